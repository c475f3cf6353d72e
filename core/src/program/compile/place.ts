import type { RecipeLot, RecipeStep } from '../../documents/recipe.ts';
import { takesLines } from '../book/lineMoves.ts';
import type { VesselId } from '../model/ids.ts';
import { lotBottles, lotVessel } from '../model/lots.ts';
import { BLENDER, BOTTLES, BOWL, JUG, KETTLE, POT, SPICE_POT, TUB } from '../model/vessels.ts';

/** A step with the vessels it means. */
export interface PlacedStep {
  step: RecipeStep;
  from: readonly VesselId[];
  to: readonly VesselId[];
  /** The lot that it pours off. */
  lot?: RecipeLot;
}

/** Vessels that a flame can stand under. */
const HEATED: ReadonlySet<VesselId> = new Set([POT, SPICE_POT, KETTLE]);
/** What is in these is poured to what comes next, which never goes into them. */
const CARRIED: ReadonlySet<VesselId> = new Set([BLENDER, KETTLE]);

/** Something that a step means though nobody writes it: what is strained goes back into the pot to be heated. */
const implied = (
  step: RecipeStep,
  kind: RecipeStep['kind'],
  minutes: number,
  lineIds: readonly string[],
  from: readonly VesselId[],
  to: VesselId,
): PlacedStep => ({ step: { id: step.id, kind, lineIds: [...lineIds], minutes }, from, to: [to] });

/** Where one stream of the drink stands while its steps are gone through: the drink itself, or one of its lots. */
interface Stream {
  /** Where the drink is; null: nothing is anywhere yet. */
  at: VesselId | null;
  /** Where solids were kept for more water. */
  kept: VesselId | null;
  /** What was blended or juiced apart and waits to be poured in. */
  waiting: VesselId[];
  /** Where what is strained goes. */
  receives: VesselId;
  bottles: VesselId;
}

/**
 * The steps with their vessels. A step happens where the drink is unless it says otherwise: what is put in goes into
 * the pot until it is strained, onto solids that were kept for a second water, else to what was strained; what is
 * heated is in a pot; what was blended or juiced apart waits until it is poured together. A lot has a vessel of its own.
 */
export function placeSteps(steps: readonly RecipeStep[]): PlacedStep[] {
  const placed: PlacedStep[] = [];
  const main: Stream = { at: null, kept: null, waiting: [], receives: TUB, bottles: BOTTLES };
  const lots = new Map<string, Stream>();
  for (const [i, step] of steps.entries()) {
    const stream = (step.lot === undefined ? undefined : lots.get(step.lot)) ?? main;
    // A lot is heated in the pot, unless the drink itself is in it.
    if (step.kind === 'soak' && step.thrown && placeBath(placed, step, steps.slice(i + 1))) continue;
    placeStep(placed, step, stream, stream !== main && main.at === POT ? SPICE_POT : POT);
    for (const { id } of step.lots ?? [])
      lots.set(id, {
        at: lotVessel(id),
        kept: null,
        waiting: [],
        receives: lotVessel(id),
        bottles: lotBottles(id),
      });
  }
  return placed;
}

/**
 * A cleaning soak of things that go in later: in a bowl of its own, out of which they come again. Where none of them is
 * named again they lie where they are to be drawn, and the water is poured off them.
 */
function placeBath(placed: PlacedStep[], step: RecipeStep, later: readonly RecipeStep[]): boolean {
  const again = step.lineIds.filter((id) => later.some((s) => takesLines(s.kind) && s.lineIds.includes(id)));
  if (again.length === 0) return false;
  const bath = step.to ?? TUB;
  placed.push(
    implied(step, 'combine', 2, step.lineIds, [BOWL], bath),
    { step: { ...step, lineIds: [] }, from: [bath], to: [bath] },
    implied(step, 'lift', 0, again, [bath], BOWL),
  );
  return true;
}

function placeStep(placed: PlacedStep[], step: RecipeStep, s: Stream, heatedIn: VesselId): void {
  const put = (from: readonly VesselId[], to: readonly VesselId[]): void => {
    placed.push({ step, from: step.from ?? from, to: step.to === undefined ? to : [step.to] });
  };
  const here: VesselId = step.from?.[0] ?? s.at ?? POT;
  switch (step.kind) {
    case 'pick':
    case 'wash':
    case 'prep':
    case 'mill':
      put([BOWL], [BOWL]);
      break;
    case 'combine': {
      const to: VesselId = step.to ?? s.kept ?? (s.at === null || CARRIED.has(s.at) ? POT : s.at);
      const carried = s.at !== null && CARRIED.has(s.at) && to !== s.at && !step.to;
      put(carried ? [BOWL, s.at!] : [BOWL], [to]);
      if (to === s.kept) s.kept = null;
      s.at = to;
      break;
    }
    case 'lift':
      placed.push({ step, from: [here], to: [BOWL] });
      break;
    case 'soak': {
      const to = step.to ?? (step.lineIds.length && s.receives === TUB ? POT : here);
      if (step.lineIds.length) placed.push(implied(step, 'combine', 2, step.lineIds, [BOWL], to));
      placed.push({ step: { ...step, lineIds: [] }, from: [to], to: [to] });
      s.at = to;
      break;
    }
    case 'heat':
    case 'boil': {
      let pot = here;
      if (!step.from && !HEATED.has(pot)) {
        placed.push(implied(step, 'combine', 3, [], [BOWL, pot], heatedIn));
        pot = heatedIn;
      }
      put([pot], [pot]);
      s.at = pot;
      break;
    }
    case 'steep':
    case 'settle':
    case 'mature':
      if (step.lineIds.length) placed.push(implied(step, 'combine', 1, step.lineIds, [BOWL], here));
      placed.push({ step: { ...step, lineIds: [] }, from: [here], to: [step.to ?? here] });
      s.at = here;
      break;
    case 'cool':
    case 'sweeten':
    case 'sour':
    case 'fortify':
    case 'skim':
      put([here], [here]);
      s.at = here;
      break;
    case 'strain': {
      // What was blended apart is strained to what waits for it.
      const apart = !step.from && s.waiting.at(-1) === BLENDER;
      if (apart) s.waiting.pop();
      const from = apart ? BLENDER : here;
      // Out of a vessel into itself nothing is strained.
      const asked = step.to === from ? undefined : step.to;
      const to: VesselId = asked ?? (from === s.receives ? JUG : s.receives);
      placed.push({ step, from: [from], to: [to] });
      if (step.keepSolids) s.kept = from;
      s.at = to;
      // Nothing but a sieve between: what went through goes on where it was.
      if (from === s.receives && !asked) {
        placed.push(implied(step, 'mix', 0, [], [JUG], s.receives));
        s.at = s.receives;
      }
      break;
    }
    case 'blend': {
      const from = step.from ?? [s.at === POT ? POT : BLENDER];
      put(from, [BLENDER]);
      if (s.at === s.receives && !step.to) s.waiting.push(BLENDER);
      else s.at = step.to ?? BLENDER;
      break;
    }
    case 'juice': {
      const to: VesselId = step.to ?? s.at ?? TUB;
      put([s.at === BLENDER || s.waiting.includes(BLENDER) ? JUG : BLENDER], [to]);
      if (s.at === null || s.at === to) s.at = to;
      else s.waiting.push(to);
      break;
    }
    case 'mix': {
      put([here, ...s.waiting.filter((id) => id !== here)], [here]);
      s.waiting = [];
      s.at = step.to ?? here;
      break;
    }
    case 'split':
      // Shares are of what the litres leave.
      for (const lot of [...(step.lots ?? [])].sort((a, b) => Number(!a.volumeL) - Number(!b.volumeL)))
        placed.push({ step, from: [here], to: [lotVessel(lot.id)], lot });
      s.at = here;
      break;
    case 'bottle':
    case 'freeze':
      put([here], [s.bottles]);
      break;
    default:
      step.kind satisfies never;
  }
}

/**
 * Which part is done once for each load of the pot: from the first filling to the last straining out of it, and the
 * cooling of what came out; what follows a dividing is done once. Null: nothing is.
 */
export function loadsOf(
  placed: readonly PlacedStep[],
): { from: number; strained: number; to: number } | null {
  const divided = placed.findIndex((p) => p.step.kind === 'split');
  const whole = divided < 0 ? placed : placed.slice(0, divided);
  const from = whole.findIndex((p) => p.step.kind === 'combine' && p.to[0] === POT);
  const strained = whole.findLastIndex((p) => p.step.kind === 'strain' && p.from[0] === POT);
  if (from < 0 || strained < from) return null;
  const next = whole[strained + 1];
  const cools = next?.step.kind === 'cool' && next.from[0] === whole[strained]!.to[0];
  return { from, strained, to: strained + (cools ? 1 : 0) };
}
