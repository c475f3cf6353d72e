import { expect } from 'vitest';
import { cautionsOf } from './balance/cautions.ts';
import type { Choices, MethodId } from './documents/recipe.ts';
import { solvePlan } from './plan/solve.ts';
import { BOOK } from './program/book/book.ts';
import { defaultChoices } from './program/book/recipe.ts';
import type { Program, ProgramLine } from './program/model/program.ts';
import type { Simulation } from './program/model/simulation.ts';
import type { Step } from './program/model/steps.ts';
import { tagsOfBatch } from './program/model/tags.ts';
import { type Guidance, guidanceAt, guidanceFor } from './program/simulate/guidance.ts';
import { simulateBatch } from './program/simulate/simulate.ts';
import type { GuidancePlace, Severity } from './tables/guidance/types.ts';
import type { Tag } from './tables/traits.ts';
import { BURNERS, KITCHEN, POTS, programOf, TABLES } from './testKitchen.ts';
import { unwrap } from './units/result.ts';

/** A batch as it is planned. */
export interface Made {
  program: Program;
  sim: Simulation;
  kitchen: typeof KITCHEN;
}

const drinks = new Map<string, Made>();

/** A shipped drink as it is planned, at 6 L. */
export function shipped(
  id: string,
  methodId?: MethodId,
  change: Partial<Choices> = {},
  pot = POTS[0]!,
): Made {
  const key = JSON.stringify([id, methodId, change, pot.material]);
  const known = drinks.get(key);
  if (known) return known;
  const recipe = BOOK.find((r) => r.id === id)!;
  const kitchen = { ...KITCHEN, pots: [pot, ...POTS.slice(1)] };
  const { program } = unwrap(
    solvePlan({
      recipe,
      choices: { ...defaultChoices(recipe, methodId ?? recipe.methods[0]!), ...change },
      kitchen,
      tables: TABLES,
      pot,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: 6 }, fills: 1 },
    }),
  );
  const made = { program, sim: simulateBatch(program, kitchen, TABLES), kitchen };
  drinks.set(key, made);
  return made;
}

export type Bare = Partial<Step> & { kind: Step['kind'] };
/** A drink of the cook's own: two litres of water and some things, with these steps. */
export function own(itemIds: readonly string[], steps: readonly Bare[]): Made {
  const lines: Partial<ProgramLine>[] = [
    { id: 'water', kind: 'liquid', itemId: 'water', massG: 2000 },
    ...itemIds.map((itemId): Partial<ProgramLine> => {
      const kind = TABLES.ingredients.has(itemId)
        ? 'solid'
        : TABLES.liquids.has(itemId)
          ? 'liquid'
          : 'sweetener';
      return { id: itemId, kind, itemId, massG: 150 };
    }),
  ];
  const program = programOf(lines, steps);
  return { program, sim: simulateBatch(program, KITCHEN, TABLES), kitchen: KITCHEN };
}
export const combine = (...lines: string[]): Bare => ({
  kind: 'combine',
  from: ['bowl'],
  lines: ['water', ...lines],
});
export const BOIL: Bare = {
  kind: 'boil',
  burnerId: 'gas',
  level: 'gentle',
  lid: 'ajar',
  until: { kind: 'duration', minutes: 20 },
};
export const STRAIN = {
  kind: 'strain',
  to: ['tub'],
  press: 'wring',
  cloth: true,
  keepSolids: false,
} as const satisfies Bare;
export const BOTTLE: Bare = { kind: 'bottle', from: ['tub'], to: ['bottles'], hygiene: 'clean' };

/** What is said at the steps of a kind, all together. */
export const saidAt = (made: Made, kind: Step['kind']): Guidance[] =>
  made.program.steps
    .filter((s) => s.kind === kind)
    .flatMap((s) =>
      guidanceFor(
        made.program,
        s,
        made.sim.trace.find((t) => t.stepId === s.id),
        made.kitchen,
        TABLES,
      ),
    );
export const tagsIn = (made: Made): Set<Tag> => tagsOfBatch(made.program, made.sim.trace, TABLES);

export const atStep = (made: () => Made, kind: Step['kind'], code: string, severity: Severity) => () =>
  expect(saidAt(made(), kind)).toContainEqual(expect.objectContaining({ code, severity }));
export const atPlace = (made: () => Made, place: GuidancePlace, code: string, severity: Severity) => () =>
  expect(guidanceAt(place, tagsIn(made()))).toContainEqual(expect.objectContaining({ code, severity }));
/** On the recipe page and in the plan, before anything is begun. */
export const told =
  (made: () => Made, ...codes: string[]) =>
  () =>
    expect(cautionsOf(tagsIn(made())).map((r) => r.code)).toEqual(expect.arrayContaining(codes));

/** Ginger boiled and wrung through a cloth while it is hot. */
export const wrung = () => own(['ginger-grated'], [combine('ginger-grated'), BOIL, STRAIN, BOTTLE]);
export const calyx = () => shipped('deep-calyx-ginger', 'straightBoil');
export const counterSteep = () =>
  shipped('peel-core-infusion', 'shortBoilLongSteep', { steepPlace: 'counter', steepMin: 480 });
export const punch = () => shipped('spiced-cranberry-punch');
export const shots = () => shipped('root-lemon-shots', 'rawBlend');
export const cordial = () => shipped('citrus-vinegar-cordial');
export const coconut = () => shipped('pineapple-coconut');
