import type { RecipeStep } from '../../documents/recipe.ts';
import type { VesselId } from '../model/ids.ts';
import type { Step } from '../model/steps.ts';
import { BOWL, POT, potAt, TUB } from '../model/vessels.ts';
import { type BuildInput, loadSharesOf, potsOf } from './context.ts';
import { emitStep, PUT_AWAY_MIN } from './emitStep.ts';
import type { CompiledLines } from './lines.ts';
import { loadsOf, type PlacedStep } from './place.ts';
import { type StepBuilder, stepBuilder } from './stepBuilder.ts';
import { minutes } from './usual.ts';

const POUR_BACK_MIN = 2;

/** What pots that stand side by side do at the same time: a mark is reached by each for itself. */
const DONE_TOGETHER: ReadonlySet<RecipeStep['kind']> = new Set(['heat', 'boil', 'steep', 'soak', 'settle']);

const isTogether = ({ step, from }: PlacedStep): boolean =>
  from[0] === POT &&
  DONE_TOGETHER.has(step.kind) &&
  step.downToL === undefined &&
  step.downToCm === undefined &&
  step.downToShare === undefined;

/** The program's steps; several loads of the pot are unrolled, each takes its equal part. */
export function compileSteps(c: BuildInput, placed: readonly PlacedStep[], lines: CompiledLines): Step[] {
  const b = stepBuilder();
  const emit = (part: readonly PlacedStep[], load: number) => {
    for (const p of part) emitStep(c, b, p, lines, load);
  };
  const loads = loadsOf(placed);
  if (!loads) {
    emit(placed, 0);
    return b.steps;
  }
  emit(placed.slice(0, loads.from), 0);
  if (c.beside?.length) {
    // They are poured together before they are cooled.
    emitBeside(c, b, placed.slice(loads.from, loads.strained + 1), lines);
    emit(placed.slice(loads.strained + 1), 0);
    return b.steps;
  }
  const again = placed.slice(loads.from, loads.to + 1);
  const standsCold =
    again.at(-1)?.step.kind !== 'cool' &&
    again.findLast((p) => p.step.kind === 'steep' || p.step.kind === 'soak')?.step.place === 'fridge';
  const each = stepsOfEachLoad(again, []);
  for (let load = 1; load <= c.fills; load++) {
    for (const p of load === 1 ? again : each) emitStep(c, b, p, lines, each.has(p) ? load : 0);
    // What is cold waits in the fridge while the next load takes its hours.
    if (standsCold && load < c.fills)
      b.add('cool', {
        from: [TUB],
        to: [TUB],
        lines: [],
        fill: load,
        place: 'fridge',
        lid: 'on',
        until: minutes(PUT_AWAY_MIN),
        attention: 'handsOn',
      });
  }
  emit(placed.slice(loads.to + 1), 0);
  return b.steps;
}

/**
 * The steps of the loads that are done for each of them: they have to do with the pot, or with what goes into it or came
 * out of it. What is cut on the board, or boils in a small pot beside it, is done once.
 * @param pooled where all loads come together, which is no part of any one of them.
 */
function stepsOfEachLoad(all: readonly PlacedStep[], pooled: readonly string[]): Set<PlacedStep> {
  const touches = (p: PlacedStep) => [...p.from, ...p.to];
  const inPot = new Set(all.filter((p) => touches(p).includes(POT)));
  const shared = new Set([...inPot].flatMap(touches).filter((id) => id !== BOWL && !pooled.includes(id)));
  const isShared = (id: string) => shared.has(id);
  const isOfEach = (p: PlacedStep) =>
    p.from.every((id) => id === BOWL) ? p.to.some(isShared) : p.from.some(isShared);
  return new Set(all.filter((p) => inPot.has(p) || isOfEach(p)));
}

/**
 * What needs a pot, in pots that stand side by side: they are heated, boiled and left to stand together; what hands do
 * is done to one after the other.
 */
function emitBeside(
  c: BuildInput,
  b: StepBuilder,
  placed: readonly PlacedStep[],
  lines: CompiledLines,
): void {
  const pots = potsOf(c).map((_, i) => potAt(i));
  // What was filled for one pot alone is poured into it alone; of anything else each takes its part.
  const each = stepsOfEachLoad(placed, [TUB]);
  const forOnePot = new Set([...each].flatMap((p) => p.to.filter((id) => id !== TUB)));
  let apart: PlacedStep[] = [];
  const emitApart = () => {
    for (const i of pots.keys()) for (const p of apart) emitInPot(c, b, p, lines, i, forOnePot);
    apart = [];
  };
  for (const p of placed) {
    const together = isTogether(p);
    if (!together && each.has(p)) {
      apart.push(p);
      continue;
    }
    emitApart();
    emitStep(c, b, p, lines, 0, together ? { from: pots, to: pots } : p);
  }
  emitApart();
}

/** A step in one of several pots; what was poured together goes back into all, each takes its part and the last the rest. */
function emitInPot(
  c: BuildInput,
  b: StepBuilder,
  p: PlacedStep,
  lines: CompiledLines,
  index: number,
  forOnePot: ReadonlySet<VesselId>,
): void {
  const shares = loadSharesOf(c) ?? [1];
  const pot = potAt(index);
  const inPot = (ids: readonly string[]) => ids.map((id) => (id === POT ? pot : id));
  const poured = p.from.filter((id) => id !== BOWL && !forOnePot.has(id));
  const partly =
    p.step.kind === 'combine' && p.to[0] === POT && poured.length > 0 && index < shares.length - 1;
  if (partly)
    for (const from of poured)
      b.add('split', {
        from: [from],
        to: [pot],
        lines: [],
        fill: index + 1,
        recipeStepId: p.step.id,
        share: shares[index]! / shares.slice(index).reduce((sum, share) => sum + share, 0),
        until: minutes(POUR_BACK_MIN),
        attention: 'handsOn',
      });
  if (partly && p.step.lineIds.length === 0 && p.from.every((id) => id === BOWL || poured.includes(id)))
    return;
  const from = partly ? p.from.filter((id) => !poured.includes(id)) : p.from;
  emitStep(c, b, p, lines, index + 1, { from: inPot(from), to: inPot(p.to) });
}
