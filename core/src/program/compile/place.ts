import type { RecipeStep } from '../../documents/recipe.ts';
import type { VesselId } from '../model/types.ts';
import { BLENDER, BOTTLES, BOWL, JUG, POT, SPICE_POT, TUB } from '../model/vessels.ts';

/** A step with the vessels it means. */
export interface PlacedStep {
  step: RecipeStep;
  from: readonly VesselId[];
  to: readonly VesselId[];
}

/** Vessels that a flame can stand under. */
const HEATED: ReadonlySet<VesselId> = new Set([POT, SPICE_POT]);

/** Something that a step means though nobody writes it: what is strained goes back into the pot to be heated. */
const implied = (
  step: RecipeStep,
  kind: RecipeStep['kind'],
  minutes: number,
  lineIds: readonly string[],
  from: readonly VesselId[],
  to: VesselId,
): PlacedStep => ({ step: { id: step.id, kind, lineIds: [...lineIds], minutes }, from, to: [to] });

/**
 * The steps with their vessels. A step happens where the drink is unless it says otherwise: what is put in goes into
 * the pot until it is strained, onto solids that were kept for a second water, else to what was strained; what is
 * heated is in a pot; what was blended or juiced apart waits until it is poured together.
 */
export function placeSteps(steps: readonly RecipeStep[]): PlacedStep[] {
  const placed: PlacedStep[] = [];
  /** Where the drink is; null: nothing is anywhere yet. */
  let at: VesselId | null = null;
  /** Where solids were kept for more water. */
  let kept: VesselId | null = null;
  let waiting: VesselId[] = [];

  for (const step of steps) {
    const put = (from: readonly VesselId[], to: readonly VesselId[]): void => {
      placed.push({ step, from: step.from ?? from, to: step.to === undefined ? to : [step.to] });
    };
    const here: VesselId = step.from?.[0] ?? at ?? POT;
    switch (step.kind) {
      case 'pick':
      case 'wash':
      case 'prep':
        put([BOWL], [BOWL]);
        break;
      case 'combine': {
        const to: VesselId = step.to ?? kept ?? (at === null || at === BLENDER ? POT : at);
        put(at === BLENDER && to !== BLENDER && !step.to ? [BOWL, BLENDER] : [BOWL], [to]);
        if (to === kept) kept = null;
        at = to;
        break;
      }
      case 'lift':
        placed.push({ step, from: [here], to: [BOWL] });
        break;
      case 'soak': {
        const to = step.to ?? (step.lineIds.length ? POT : here);
        if (step.lineIds.length) placed.push(implied(step, 'combine', 2, step.lineIds, [BOWL], to));
        placed.push({ step: { ...step, lineIds: [] }, from: [to], to: [to] });
        at = to;
        break;
      }
      case 'heat':
      case 'boil': {
        let pot = here;
        if (!step.from && !HEATED.has(pot)) {
          placed.push(implied(step, 'combine', 3, [], [BOWL, pot], POT));
          pot = POT;
        }
        put([pot], [pot]);
        at = pot;
        break;
      }
      case 'steep':
        if (step.lineIds.length) placed.push(implied(step, 'combine', 1, step.lineIds, [BOWL], here));
        placed.push({ step: { ...step, lineIds: [] }, from: [here], to: [step.to ?? here] });
        at = here;
        break;
      case 'cool':
        put([here], [here]);
        at = here;
        break;
      case 'strain': {
        // What was blended apart is strained to what waits for it.
        const apart = !step.from && waiting.at(-1) === BLENDER;
        if (apart) waiting.pop();
        const from = apart ? BLENDER : here;
        // Out of a vessel into itself nothing is strained.
        const asked = step.to === from ? undefined : step.to;
        const to: VesselId = asked ?? (from === TUB ? JUG : TUB);
        placed.push({ step, from: [from], to: [to] });
        if (step.keepSolids) kept = from;
        at = to;
        // Nothing but a sieve between: what went through goes on where it was.
        if (from === TUB && !asked) {
          placed.push(implied(step, 'mix', 0, [], [JUG], TUB));
          at = TUB;
        }
        break;
      }
      case 'blend': {
        const from = step.from ?? [at === POT ? POT : BLENDER];
        put(from, [BLENDER]);
        if (at === TUB && !step.to) waiting.push(BLENDER);
        else at = step.to ?? BLENDER;
        break;
      }
      case 'juice': {
        const to: VesselId = step.to ?? at ?? TUB;
        put([at === BLENDER || waiting.includes(BLENDER) ? JUG : BLENDER], [to]);
        if (at === null || at === to) at = to;
        else waiting.push(to);
        break;
      }
      case 'mix': {
        put([here, ...waiting.filter((id) => id !== here)], [here]);
        waiting = [];
        at = step.to ?? here;
        break;
      }
      case 'sweeten':
        put([here], [here]);
        at = here;
        break;
      case 'bottle':
        put([here], [BOTTLES]);
        break;
    }
  }
  return placed;
}

/** Which part is done once for each load of the pot: from the first filling to the last straining out of it, and the cooling of what came out. Null: nothing is. */
export function loadsOf(placed: readonly PlacedStep[]): { from: number; to: number } | null {
  const from = placed.findIndex((p) => p.step.kind === 'combine' && p.to[0] === POT);
  const strained = placed.findLastIndex((p) => p.step.kind === 'strain' && p.from[0] === POT);
  if (from < 0 || strained < from) return null;
  const next = placed[strained + 1];
  const cools = next?.step.kind === 'cool' && next.from[0] === placed[strained]!.to[0];
  return { from, to: strained + (cools ? 1 : 0) };
}
