import { WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { MINUTE_MS } from '../log/foldBatch.ts';
import type { ItemLog } from '../log/foldItem.ts';
import { bottleLossWPerK } from '../physics/heat.ts';
import { levelM } from '../physics/vesselShape.ts';
import { HEAT_CAPACITY_J } from '../tables/constants.ts';
import { KEEPING } from '../tables/keeping.ts';
import { type Said, said } from '../units/result.ts';
import type { Keeping } from './class.ts';

export const DAY_MS = 24 * 60 * MINUTE_MS;
const HOUR_MS = 60 * MINUTE_MS;

/** How fast life is spent at a temperature: 1 up to 5 °C, above that three times for each 10 °C over 4. */
export const lifeRate = (tempC: number): number => (tempC <= 5 ? 1 : 3 ** ((tempC - 4) / 10));

/** A bottle as filled. */
export interface BottleFacts {
  filledMs: number;
  /** When the clock of the lot began: before the filling, as a rule. */
  clockStartMs: number;
  filledC: number;
  volumeMl: number;
  diameterCm: number;
  keeping: Keeping;
}

export interface BottleLife {
  /** Nothing left after this instant; shown as a local date rounded down. */
  deadlineMs: number;
  /** Share of the life at filling that is left, 0 to 1, for the life bar. */
  leftShare: number;
  leftDays: number;
  verdict: 'good' | 'drinkToday' | 'past' | 'throwOut';
  reasons: readonly Said[];
  /** Life spent beyond the clock, by warm hours, days. */
  warmCostDays: number;
}

/** How finely the temperature of a bottle is followed. */
const SLICE_MS = 10 * MINUTE_MS;
/** Inside this a bottle counts as having the temperature of its place, °C. */
const CLOSE_C = 0.3;

/**
 * What is left of a bottle at `nowMs`. Life runs at rate 1 up to the filling and then by the bottle's own
 * temperature, which moves towards that of its place: T' = −UA·(T − place)/(m·c).
 * @param soonMs deadlines before this moment are told as "drink today": the end of tomorrow, where today is the last
 *   whole day left.
 */
export function lifeOf(
  bottle: BottleFacts,
  log: ItemLog,
  places: { fridgeC: number; roomC: number },
  nowMs: number,
  soonMs = nowMs + DAY_MS,
): BottleLife {
  const { keeping } = bottle;
  const reasons: Said[] = [...keeping.reasons];
  const diameterM = bottle.diameterCm / 100;
  const tauMs =
    (((bottle.volumeMl / 1000) * WATER_20_G_PER_ML * HEAT_CAPACITY_J) /
      bottleLossWPerK(diameterM, levelM(bottle.volumeMl, diameterM))) *
    1000;
  const budgetMs = keeping.sealedDays * DAY_MS;
  let spentMs = Math.max(0, bottle.filledMs - bottle.clockStartMs);
  const atFilling = Math.max(1, budgetMs - spentMs);
  let tempC = bottle.filledC;
  let wasCold = tempC <= 5.5;
  let warmMs = 0;
  let hotMs = 0;
  let warmCostMs = 0;
  const endMs = Math.max(nowMs, bottle.filledMs);
  for (const [index, stay] of log.places.entries()) {
    const placeC = stay.place === 'fridge' ? places.fridgeC : places.roomC;
    const untilMs = Math.min(endMs, log.places[index + 1]?.fromMs ?? endMs);
    let atMs = Math.max(stay.fromMs, bottle.filledMs);
    while (atMs < untilMs) {
      // Once it has settled, the rest of the stay is one slice.
      const settled = Math.abs(tempC - placeC) < CLOSE_C;
      const slice = settled ? untilMs - atMs : Math.min(SLICE_MS, untilMs - atMs);
      const middleC = settled ? placeC : placeC + (tempC - placeC) * Math.exp(-slice / 2 / tauMs);
      const rate = lifeRate(middleC);
      spentMs += rate * slice;
      if (wasCold || stay.place === 'counter') {
        warmCostMs += (rate - 1) * slice;
        if (middleC > 5.5) warmMs += slice;
        if (middleC > 40) hotMs += slice;
      }
      tempC = settled ? placeC : placeC + (tempC - placeC) * Math.exp(-slice / tauMs);
      if (tempC <= 5.5) wasCold = true;
      atMs += slice;
    }
  }

  const stands = log.places.at(-1)!.place;
  const rateNow = lifeRate(stands === 'fridge' ? places.fridgeC : places.roomC);
  let deadlineMs = endMs + (budgetMs - spentMs) / rateNow;
  if (warmCostMs > HOUR_MS / 2)
    reasons.push(said('keep.life.warm', { days: Math.round((warmCostMs / DAY_MS) * 10) / 10 }));
  if (log.openedMs !== null) {
    const openUntil = log.openedMs + keeping.openDays * DAY_MS;
    if (openUntil < deadlineMs) {
      deadlineMs = openUntil;
      reasons.push(said('keep.life.opened', { days: keeping.openDays }));
    }
  }

  const limits = places.roomC > KEEPING.hotRoomC ? KEEPING.hotTableH : KEEPING.tableH;
  let verdict: BottleLife['verdict'] = 'good';
  if (keeping.verdict === 'throwOut') verdict = 'throwOut';
  else if (hotMs > HOUR_MS) {
    verdict = 'throwOut';
    reasons.push(said('keep.life.hot'));
  } else if (!keeping.acid.shown && warmMs > limits.drinkNow * HOUR_MS) {
    verdict = 'throwOut';
    reasons.push(
      said('keep.life.table', { hours: Math.round((warmMs / HOUR_MS) * 10) / 10, limitH: limits.drinkNow }),
    );
  } else if (!keeping.acid.shown && warmMs > limits.back * HOUR_MS) {
    verdict = 'drinkToday';
    deadlineMs = Math.min(deadlineMs, endMs + limits.back * HOUR_MS);
    reasons.push(said('keep.life.tableNow', { hours: Math.round((warmMs / HOUR_MS) * 10) / 10 }));
  }
  if (keeping.verdict === 'drinkToday') {
    verdict = 'drinkToday';
    deadlineMs = bottle.filledMs + DAY_MS / 2;
  }
  const leftMs = deadlineMs - nowMs;
  if (verdict !== 'throwOut') {
    if (leftMs <= 0) verdict = 'past';
    else if (deadlineMs < soonMs) verdict = 'drinkToday';
  }
  const gone = verdict === 'throwOut' || verdict === 'past';
  return {
    deadlineMs,
    leftShare: gone ? 0 : Math.min(1, Math.max(0, leftMs / atFilling)),
    leftDays: leftMs / DAY_MS,
    verdict,
    reasons,
    warmCostDays: warmCostMs / DAY_MS,
  };
}
