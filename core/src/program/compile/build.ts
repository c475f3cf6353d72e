import type { RecipeStep } from '../../documents/recipe.ts';
import { scaled } from '../../liquor/composition.ts';
import { expand, partSteps } from '../book/methods/methods.ts';
import { potCapacityMl, potMassG, potShape } from '../model/kitchen.ts';
import { lotVessels } from '../model/lots.ts';
import type { PlannedProgram } from '../model/program.ts';
import type { Step } from '../model/steps.ts';
import { itemsIn } from '../model/tags.ts';
import type { VesselSpec } from '../model/vessel.ts';
import {
  BLENDER,
  BOTTLES,
  BOWL,
  JUG,
  jarOf,
  KETTLE,
  POT,
  potAt,
  SPENT,
  SPICE_POT,
  TUB,
} from '../model/vessels.ts';
import { simulateBatch } from '../simulate/simulate.ts';
import { type BuildInput, loadSharesOf, potsOf } from './context.ts';
import { programLines } from './lines.ts';
import { placeSteps } from './place.ts';
import { compileSteps } from './steps.ts';

/** A part from the shelf: what is in it. */
type ShelfPart = Required<Pick<VesselSpec, 'holds' | 'itemIds'>>;

/** The program of a batch: its recipe by the method chosen, expanded into steps, compiled for this pot and this much. */
export function buildProgram(whole: BuildInput): PlannedProgram {
  const { input, taken } = withoutShelfParts(whole);
  const steps = expand(input.recipe, input.choices, input.tables, new Set(taken.keys()));
  return compile(input, [...steps, ...bottledAtLast(steps)], taken);
}

/** Whoever does not write that a drink, or a lot of it, is bottled means it; where lots take all of it nothing is left to. */
function bottledAtLast(steps: readonly RecipeStep[]): RecipeStep[] {
  const ends = new Set(steps.flatMap((s) => (s.kind === 'bottle' || s.kind === 'freeze' ? [s.lot] : [])));
  const lots = steps.flatMap((s) => s.lots ?? []);
  const allTaken = steps.some(
    (s) => (s.lots ?? []).reduce((sum, lot) => sum + (lot.share ?? 0), 0) >= 1 - 1e-9,
  );
  return [...(allTaken ? [] : [undefined]), ...lots.map((lot) => lot.id)]
    .filter((lot) => !ends.has(lot))
    .map((lot) => ({
      id: lot === undefined ? 'bottled' : `bottled-${lot}`,
      kind: 'bottle',
      lineIds: [],
      ...(lot === undefined ? {} : { lot }),
    }));
}

/** Steps compiled for a batch. */
export function compile(
  input: BuildInput,
  recipeSteps: readonly RecipeStep[],
  taken: ReadonlyMap<string, ShelfPart> = new Map(),
): PlannedProgram {
  const { recipe, choices, pot, burner, fills } = input;
  const loadShares = loadSharesOf(input);
  const placed = placeSteps(recipeSteps);
  const lines = programLines(input, placed);
  const steps = compileSteps(input, placed, lines);
  return {
    recipeId: recipe.id,
    recipeVersion: recipe.version,
    methodId: choices.methodId,
    potId: pot.id,
    burnerId: burner.id,
    fills,
    ...(loadShares ? { loadShares } : {}),
    lines: lines.lines,
    steps,
    vessels: [
      ...vesselsOf(input, steps, taken),
      ...recipeSteps.flatMap((s) => (s.lots ?? []).flatMap((lot) => lotVessels(lot.id, lot))),
    ],
  };
}

/**
 * Parts that stand ready on the shelf: what the recipe would have made of their lines, in a jar; their lines and steps
 * fall away. A part that could not be made stays in the program, which then says what is wrong with it.
 */
function withoutShelfParts(input: BuildInput): { input: BuildInput; taken: Map<string, ShelfPart> } {
  const taken = new Map<string, ShelfPart>();
  const { recipe, choices, kitchen, tables } = input;
  for (const part of recipe.parts ?? []) {
    if (!choices.shelfParts.includes(part.id)) continue;
    const program = compile(input, partSteps(recipe, choices, tables, part.id));
    const sim = simulateBatch(program, kitchen, tables, { detail: 'lean' });
    const jar = sim.vessels[jarOf(part.id)];
    if (!sim.problem && jar)
      taken.set(part.id, { holds: scaled(jar.liquor, 1), itemIds: [...itemsIn(program, jar.liquor)] });
  }
  if (taken.size === 0) return { input, taken };
  const stays = recipe.lines.filter((l) => !(l.stream === 'part' && taken.has(l.partId ?? '')));
  const ids = new Set(stays.map((l) => l.id));
  return {
    input: {
      ...input,
      recipe: { ...recipe, lines: stays },
      lines: input.lines.filter((l) => ids.has(l.id)),
    },
    taken,
  };
}

function vesselsOf(
  input: BuildInput,
  steps: readonly Step[],
  taken: ReadonlyMap<string, ShelfPart>,
): VesselSpec[] {
  const { pot, kitchen, recipe } = input;
  // The smallest other pot of the kitchen serves for spices and syrups; without one, a small pan as every kitchen has.
  const onStove = new Set(potsOf(input).map((p) => p.pot.id));
  const small = kitchen.pots
    .filter((p) => !onStove.has(p.id) && potCapacityMl(p) < potCapacityMl(pot))
    .sort((a, b) => potCapacityMl(a) - potCapacityMl(b))[0];
  const used = new Set(steps.flatMap((s) => [...s.from, ...s.to]));
  const bare = (id: string, kind: VesselSpec['kind']): VesselSpec => ({ id, kind, shape: null, massG: 0 });
  const aside: VesselSpec[] = [
    {
      id: SPICE_POT,
      kind: 'spicePot',
      shape: small ? potShape(small) : null,
      massG: small ? potMassG(small) : 0,
      ...(small ? { potId: small.id } : {}),
    },
    bare(KETTLE, 'kettle'),
    bare(BLENDER, 'blender'),
    bare(JUG, 'jar'),
    ...(recipe.parts ?? []).map((p): VesselSpec => {
      const part = taken.get(p.id);
      return part ? { ...bare(jarOf(p.id), 'jar'), ...part } : bare(jarOf(p.id), 'jar');
    }),
  ];
  return [
    ...potsOf(input).map(
      ({ pot: p, burner }, i): VesselSpec => ({
        id: potAt(i),
        kind: 'pot',
        shape: potShape(p),
        massG: potMassG(p),
        potId: p.id,
        ...(i > 0 ? { burnerId: burner.id } : {}),
      }),
    ),
    bare(BOWL, 'bowl'),
    // Where the pot is not used it serves as the mixing bowl: it is what must hold it all.
    { ...bare(TUB, 'tub'), shape: used.has(POT) ? null : potShape(pot) },
    bare(BOTTLES, 'bottles'),
    bare(SPENT, 'spent'),
    ...aside.filter((v) => used.has(v.id)),
  ];
}
