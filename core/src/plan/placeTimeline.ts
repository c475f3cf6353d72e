import { Bookings } from '../schedule/bookings.ts';
import { NO_LEANING, placeChain, WAIT_COST } from '../schedule/placeChain.ts';
import type { Chain, Need, Stage } from '../schedule/project.ts';
import { MINUTE_MS } from '../units/time.ts';
import type { AwayWindow, Timeline } from './timeline.ts';

/** Slots of a minute: a single batch asks for so little that its start can be found to the minute. */
const SLOT_MS = MINUTE_MS;
const HANDS: Need = { resourceId: 'hands', amount: 1 };

/** Whether the cook is there, minute by minute. */
function handsIn(slots: number, fromMs: number, away: readonly AwayWindow[]): number[] {
  const hands = new Array<number>(slots).fill(1);
  for (const w of away) {
    const from = Math.max(0, Math.floor((w.fromMs - fromMs) / SLOT_MS));
    const to = Math.min(slots, Math.ceil((w.toMs - fromMs) / SLOT_MS));
    if (from < to) hands.fill(0, from, to);
  }
  return hands;
}

/** What a batch is placed for: to begin as late as it can, or to be ready as soon as it can. */
export type Aim = 'latestStart' | 'soonestReady';

/** When a batch is begun, and each of its sittings. */
export interface FoundStart {
  startMs: number;
  beginsMs: readonly number[];
}

/**
 * When a batch begins that is placed between two moments by the engine that places the drinks of a gathering: its sittings
 * are the stages of one chain, what may lie between them its waits, and its cook's hands are not there while she is away.
 * Lengths are rounded up to minutes, so what is found fits; it may begin by as much later as the rounding took.
 * @returns null where it has no place.
 */
export function placeTimeline(
  { sittings, tailMin }: Timeline,
  fromMs: number,
  toMs: number,
  away: readonly AwayWindow[],
  aim: Aim,
): FoundStart | null {
  const first = sittings[0];
  if (!first) return null;
  const slots = Math.floor((toMs - fromMs) / SLOT_MS);
  const stages = sittings.map(({ minutes }, i): Stage => {
    const next = sittings[i + 1];
    const minSlots = Math.ceil(next?.beforeMin ?? 0);
    return {
      id: String(i),
      slots: Math.max(1, Math.ceil(minutes)),
      needs: [HANDS],
      oneOf: [],
      attended: true,
      wait: {
        minSlots,
        maxSlots: Math.max(minSlots, Math.floor((next?.beforeMin ?? 0) + (next?.slackMin ?? 0))),
        needs: [],
      },
      fixedAt: null,
    };
  });
  const latest = slots - Math.ceil(tailMin);
  const chain: Chain = {
    id: 'batch',
    stages,
    // As dear to be done early as to wait on the way: what begins latest costs least.
    litres: WAIT_COST,
    earliest: Math.ceil(first.beforeMin),
    latest,
    notBefore: 0,
    holds: [],
    heldUntil: latest,
  };
  const resources = [{ id: HANDS.resourceId, capacity: handsIn(slots, fromMs, away) }];
  const placed = placeChain(chain, { slots, dark: [] }, new Bookings({ slots, resources }), {
    ...NO_LEANING,
    // In how many sittings it is done is the batch's own affair here.
    cheap: new Float64Array(slots + 1),
    soonest: aim === 'soonestReady',
  });
  if (!placed) return null;
  const beginsMs = placed.map((p) => fromMs + p.start * SLOT_MS);
  return { startMs: beginsMs[0]! - first.beforeMin * MINUTE_MS, beginsMs };
}
