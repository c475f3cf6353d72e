import type { ItemLog } from '../log/itemLog.ts';
import { KEEPING } from '../tables/keeping.ts';
import { DAY_MS } from '../units/time.ts';
import {
  type BottleFacts,
  expectedAt,
  FOLLOWED_MS,
  Follower,
  lifeRate,
  SLICE_MS,
  type Spent,
  startOf,
} from './follower.ts';
import { climateAt, type StorageClimate, type Surroundings } from './storageClimate.ts';

export interface Followed {
  spent: Spent;
  /** Where it stands at the end. */
  climate: StorageClimate;
  /**
   * What is to come where it stands now: its way down, as long as it is still on it, and then the rate of the place.
   * @param budgetMs it is looked no further than to the spending of this.
   * @returns what will have been spent, when that is, and the rate from there on; where more than the budget was spent, the
   *   rate at which it was.
   */
  ahead: (budgetMs: number) => { spent: Spent; atMs: number; rate: number };
}

/** The longest that a full bottle is on its way to the temperature of its place, ms. */
const SETTLES_MS = 3 * DAY_MS;

/**
 * Follows a bottle from its filling to `endMs`.
 * @param budgetMs its life, for what a thawed one has left.
 * @param visit told after every slice.
 */
export function integrate(
  bottle: BottleFacts,
  log: ItemLog,
  around: Surroundings,
  budgetMs: number,
  endMs: number,
  visit?: (atMs: number, spent: Spent, placeC: number) => void,
): Followed {
  const follower = new Follower(bottle, around, startOf(bottle, around), visit);
  const { spent } = follower.state;
  const openedMs = log.openedMs ?? Number.POSITIVE_INFINITY;
  const lastMs = Math.min(endMs, bottle.filledMs + FOLLOWED_MS);
  for (const [index, stay] of log.places.entries()) {
    const climate = climateAt(around, stay.place);
    const untilMs = Math.min(lastMs, log.places[index + 1]?.fromMs ?? lastMs);
    const atMs = Math.max(stay.fromMs, bottle.filledMs);
    if (atMs >= untilMs) continue;
    if (!climate.frozen) {
      follower.stand(climate, atMs, untilMs);
      continue;
    }
    follower.freeze(climate, atMs, untilMs, openedMs);
    const next = log.places[index + 1];
    if (next && next.fromMs <= lastMs && !climateAt(around, next.place).frozen) {
      const leftMs = Math.min(budgetMs, spent.thawCapMs) - spent.lifeMs;
      spent.thawCapMs = spent.lifeMs + Math.min(leftMs, KEEPING.thawedDays * DAY_MS);
    }
  }
  // Followed no further, what is left of its time ran at least at rate 1.
  if (lastMs < endMs) spent.lifeMs += endMs - lastMs;
  const climate = climateAt(around, log.places.at(-1)!.place);
  const expectedC = expectedAt(climate, around);
  return {
    spent,
    climate,
    ahead: (budget) => {
      const { state } = follower;
      const rate = lifeRate(expectedC);
      if (!state.firstCooling || climate.frozen) return { spent, atMs: endMs, rate };
      // As it will be: in the same place, with the warmth that is expected there.
      const later = new Follower(bottle, { ...around, track: null }, { ...state, spent: { ...spent } });
      const settled = { ...climate, tempC: expectedC };
      let atMs = endMs;
      let lastRate = rate;
      while (atMs < endMs + SETTLES_MS && later.state.firstCooling && later.state.spent.lifeMs < budget) {
        const beforeMs = later.state.spent.lifeMs;
        later.stand(settled, atMs, atMs + SLICE_MS);
        lastRate = (later.state.spent.lifeMs - beforeMs) / SLICE_MS;
        atMs += SLICE_MS;
      }
      return { spent: later.state.spent, atMs, rate: later.state.spent.lifeMs > budget ? lastRate : rate };
    },
  };
}

/**
 * When a budget of life was spent, in the past: the moment within the slice in which it was.
 * @param endMs by then it is spent.
 */
export function spentAt(
  bottle: BottleFacts,
  log: ItemLog,
  around: Surroundings,
  budgetMs: number,
  endMs: number,
): number {
  let before = { atMs: bottle.filledMs, lifeMs: bottle.filledMs - bottle.clockStartMs };
  // Before it was filled its time ran at rate 1.
  if (before.lifeMs >= budgetMs) return bottle.filledMs - (before.lifeMs - budgetMs);
  let spentMs: number | null = null;
  integrate(bottle, log, around, budgetMs, endMs, (atMs, { lifeMs, thawCapMs }) => {
    const budget = Math.min(budgetMs, thawCapMs);
    if (spentMs === null && lifeMs >= budget && lifeMs > before.lifeMs)
      spentMs =
        before.atMs + ((atMs - before.atMs) * Math.max(0, budget - before.lifeMs)) / (lifeMs - before.lifeMs);
    before = { atMs, lifeMs };
  });
  return spentMs ?? endMs;
}
