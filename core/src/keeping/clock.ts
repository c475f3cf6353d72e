import { WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { MINUTE_MS } from '../log/foldBatch.ts';
import type { ItemLog } from '../log/foldItem.ts';
import { bottleLossWPerK } from '../physics/heat.ts';
import { levelM } from '../physics/vesselShape.ts';
import { HEAT_CAPACITY_J } from '../tables/constants.ts';
import { KEEPING } from '../tables/keeping.ts';
import { type Said, said } from '../units/result.ts';
import { type Standing, type Surroundings, standingAt } from './around.ts';
import { checkKindOf, meaningOf } from './check.ts';
import type { Keeping } from './class.ts';
import { CELL_MS, type FridgeTrack, trackAt, type WarmSpell } from './track.ts';

export const DAY_MS = 24 * 60 * MINUTE_MS;
const HOUR_MS = 60 * MINUTE_MS;

/** How fast life is spent at a temperature: 1 up to 5 °C, above that three times for each 10 °C over 4. */
export const lifeRate = (tempC: number): number => (tempC <= 5 ? 1 : Math.exp(PER_C * (tempC - 4)));
/** Three times for each 10 °C. */
const PER_C = Math.log(3) / 10;

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
  /** Life spent beyond the clock by hours out of the cold, days. */
  tableCostDays: number;
  /** The same by a fridge that was too warm, days. */
  fridgeCostDays: number;
  /** Hours out of the cold that are counted where it is not shown to be acid. */
  warmH: number;
  /** Hours taken as warm because nobody read them. */
  guessedH: number;
  frozen: boolean;
  /** The cook's own rule counts: shorter, or longer than the tool would give, with what that would be. */
  own: { days: number; longer: boolean; toolDeadlineMs: number } | null;
}

/** How finely the temperature of a bottle is followed where no logger says more. */
const SLICE_MS = CELL_MS;
/** Inside this a bottle counts as having the temperature of its place, °C. */
const CLOSE_C = 0.3;

/** What a stretch of time did to a bottle. */
interface Spent {
  /** Of its life, ms. */
  lifeMs: number;
  /** Beyond rate 1, out of the cold and in it. */
  tableMs: number;
  fridgeMs: number;
  /** Counted towards the hours on the table. */
  warmMs: number;
  hotMs: number;
  guessedMs: number;
  frozenMs: number;
  /** Frozen after its first opening. */
  frozenOpenMs: number;
  /** Life left when it was thawed last may be no more than three days from then. */
  thawCapMs: number;
}

/** Heat of a full bottle over what its wall lets through: the time it takes to follow its place, ms. */
function lagMs(bottle: BottleFacts): number {
  const diameterM = bottle.diameterCm / 100;
  return (
    (((bottle.volumeMl / 1000) * WATER_20_G_PER_ML * HEAT_CAPACITY_J) /
      bottleLossWPerK(diameterM, levelM(bottle.volumeMl, diameterM))) *
    1000
  );
}

/**
 * Follows a bottle from its filling to `endMs`: T' = −(T − place)/τ, in slices, by the place it stands in and what the
 * fridge's logger has read.
 * @param visit told after every slice.
 */
function follow(
  bottle: BottleFacts,
  log: ItemLog,
  around: Surroundings,
  budgetMs: number,
  endMs: number,
  visit?: (atMs: number, spent: Spent, placeC: number, rate: number) => void,
): Spent {
  const tauMs = lagMs(bottle);
  const half = Math.exp(-SLICE_MS / 2 / tauMs);
  const full = Math.exp(-SLICE_MS / tauMs);
  const spent: Spent = {
    lifeMs: Math.max(0, bottle.filledMs - bottle.clockStartMs),
    tableMs: 0,
    fridgeMs: 0,
    warmMs: 0,
    hotMs: 0,
    guessedMs: 0,
    frozenMs: 0,
    frozenOpenMs: 0,
    thawCapMs: Number.POSITIVE_INFINITY,
  };
  let tempC = bottle.filledC;
  let wasCold = tempC <= KEEPING.warmFromC;
  const openedMs = log.openedMs ?? Number.POSITIVE_INFINITY;

  const slice = (atMs: number, lengthMs: number, placeC: number, standing: Standing, settled: boolean) => {
    const whole = lengthMs === SLICE_MS;
    const middleC = settled
      ? placeC
      : placeC + (tempC - placeC) * (whole ? half : Math.exp(-lengthMs / 2 / tauMs));
    const rate = lifeRate(middleC);
    spent.lifeMs += rate * lengthMs;
    const inFridge = standing.trackedBy !== null;
    // A warm fridge costs what it costs; a bottle that still cools in it spends its own warmth besides.
    if (inFridge) spent.fridgeMs += ((wasCold ? rate : Math.min(rate, lifeRate(placeC))) - 1) * lengthMs;
    else spent.tableMs += (rate - 1) * lengthMs;
    if (wasCold || !inFridge || placeC > KEEPING.warmFridgeC) {
      if (middleC > (inFridge ? KEEPING.warmFridgeC : KEEPING.warmFromC)) spent.warmMs += lengthMs;
      if (middleC > KEEPING.hotC) spent.hotMs += lengthMs;
    }
    tempC = settled ? placeC : placeC + (tempC - placeC) * (whole ? full : Math.exp(-lengthMs / tauMs));
    if (tempC <= KEEPING.warmFromC) wasCold = true;
    visit?.(atMs + lengthMs, spent, placeC, rate);
  };

  /** Whole cells of a logged fridge, the same sums as `slice` makes. */
  const cells = (track: FridgeTrack, from: number, count: number, warmerC: number) => {
    let lifeMs = 0;
    let fridgeMs = 0;
    let warm = 0;
    let hot = 0;
    let unread = 0;
    for (let i = from; i < from + count; i++) {
      const placeC = track.tempC[i]! + warmerC;
      const over = tempC - placeC;
      const middleC = placeC + over * half;
      tempC = placeC + over * full;
      const rate = lifeRate(middleC);
      lifeMs += rate;
      fridgeMs += (wasCold ? rate : Math.min(rate, lifeRate(placeC))) - 1;
      if (middleC > KEEPING.warmFridgeC && (wasCold || placeC > KEEPING.warmFridgeC)) {
        warm++;
        if (middleC > KEEPING.hotC) hot++;
      }
      unread += track.guessed[i]!;
      if (tempC <= KEEPING.warmFromC) wasCold = true;
    }
    spent.lifeMs += lifeMs * CELL_MS;
    spent.fridgeMs += fridgeMs * CELL_MS;
    spent.warmMs += warm * CELL_MS;
    spent.hotMs += hot * CELL_MS;
    spent.guessedMs += unread * CELL_MS;
  };

  for (const [index, stay] of log.places.entries()) {
    const standing = standingAt(around, stay.place);
    const untilMs = Math.min(endMs, log.places[index + 1]?.fromMs ?? endMs);
    let atMs = Math.max(stay.fromMs, bottle.filledMs);
    if (atMs >= untilMs) continue;
    if (standing.frozen) {
      // The clock stands; what is taken out again has three days at most.
      const lengthMs = untilMs - atMs;
      spent.frozenMs += lengthMs;
      if (untilMs > openedMs) spent.frozenOpenMs += untilMs - Math.max(atMs, openedMs);
      tempC = standing.tempC;
      wasCold = true;
      visit?.(untilMs, spent, standing.tempC, 0);
      const next = log.places[index + 1];
      if (next && next.fromMs <= endMs && !standingAt(around, next.place).frozen) {
        const leftMs = Math.min(budgetMs, spent.thawCapMs) - spent.lifeMs;
        spent.thawCapMs = spent.lifeMs + Math.min(leftMs, KEEPING.thawedDays * DAY_MS);
      }
      continue;
    }
    const track = standing.trackedBy === null ? null : around.track;
    if (track) {
      const warmerC = standing.trackedBy ?? 0;
      while (atMs < untilMs) {
        const cell = Math.floor((atMs - track.fromMs) / CELL_MS);
        const onGrid = atMs % CELL_MS === 0 && untilMs - atMs >= CELL_MS;
        if (onGrid && cell >= 0 && cell < track.tempC.length && !visit) {
          // Whole cells in one run: nearly all of a bottle's life is spent here.
          const whole = Math.min(track.tempC.length - cell, Math.floor((untilMs - atMs) / CELL_MS));
          cells(track, cell, whole, warmerC);
          atMs += whole * CELL_MS;
          continue;
        }
        const lengthMs = Math.min(CELL_MS - (atMs % CELL_MS), untilMs - atMs);
        if (cell >= 0 && track.guessed[cell] === 1) spent.guessedMs += lengthMs;
        slice(atMs, lengthMs, trackAt(track, atMs) + warmerC, standing, false);
        atMs += lengthMs;
      }
      continue;
    }
    while (atMs < untilMs) {
      // Once it has settled, the rest of the stay is one slice, unless each is to be seen.
      const settled = Math.abs(tempC - standing.tempC) < CLOSE_C;
      const lengthMs =
        settled && !visit ? untilMs - atMs : Math.min(SLICE_MS - (atMs % SLICE_MS), untilMs - atMs);
      slice(atMs, lengthMs, standing.tempC, standing, settled);
      atMs += lengthMs;
    }
  }
  return spent;
}

/** How warm it is to be where a bottle stands now, °C. */
const expectedAt = (standing: Standing, around: Surroundings): number =>
  standing.trackedBy !== null && around.track ? around.track.expectedC + standing.trackedBy : standing.tempC;

const tenth = (value: number): number => Math.round(value * 10) / 10;

/** How a bottle is asked about. */
export interface LifeAsk {
  /** Deadlines before this moment are told as "drink today": the end of tomorrow, where today is the last whole day. */
  soonMs?: number;
  /** The cook's own rule for this drink, days sealed. */
  ownDays?: number | null;
}

/**
 * What is left of a bottle at `nowMs`. Life runs at rate 1 up to the filling and then by the bottle's own temperature,
 * which moves towards that of its place; frozen it stands.
 */
export function lifeOf(
  bottle: BottleFacts,
  log: ItemLog,
  around: Surroundings,
  nowMs: number,
  ask: LifeAsk = {},
): BottleLife {
  const { keeping } = bottle;
  const soonMs = ask.soonMs ?? nowMs + DAY_MS;
  const reasons: Said[] = [...keeping.reasons];
  const toolMs = keeping.sealedDays * DAY_MS;
  const ownMs = keeping.verdict === 'throwOut' ? null : ask.ownDays == null ? null : ask.ownDays * DAY_MS;
  const budgetMs = ownMs ?? toolMs;
  // What was said last has happened, also where the clock of the screen is a little behind it.
  const endMs = Math.max(nowMs, bottle.filledMs, log.places.at(-1)!.fromMs);
  const spent = follow(bottle, log, around, budgetMs, endMs);
  const atFilling = Math.max(1, budgetMs - Math.max(0, bottle.filledMs - bottle.clockStartMs));
  const standing = standingAt(around, log.places.at(-1)!.place);
  const rateNow = lifeRate(expectedAt(standing, around));

  /** When a budget is spent. */
  const endOf = (budget: number): number => {
    const leftMs = Math.min(budget, spent.thawCapMs) - spent.lifeMs;
    return standing.frozen
      ? // Its own time stands: what runs is the freezer's, and nothing that was spent already comes back.
        leftMs <= 0
        ? endMs
        : endMs + KEEPING.frozenDays * DAY_MS - spent.frozenMs
      : endMs + leftMs / rateNow;
  };
  let deadlineMs = endOf(budgetMs);
  let toolDeadlineMs = endOf(toolMs);
  if (spent.tableMs > HOUR_MS / 2)
    reasons.push(said('keep.life.warm', { days: tenth(spent.tableMs / DAY_MS) }));
  if (spent.fridgeMs > HOUR_MS / 2)
    reasons.push(said('keep.life.fridge', { days: tenth(spent.fridgeMs / DAY_MS) }));
  if (spent.guessedMs > HOUR_MS / 2)
    reasons.push(said('keep.life.gap', { hours: tenth(spent.guessedMs / HOUR_MS), tempC: KEEPING.gapC }));
  if (standing.frozen) reasons.push(said('keep.life.frozen', { days: KEEPING.frozenDays }));
  else if (Number.isFinite(spent.thawCapMs))
    reasons.push(said('keep.life.thawed', { days: KEEPING.thawedDays }));
  // Frozen for too long it has no time left once it is thawed either.
  if (!standing.frozen && spent.frozenMs > KEEPING.frozenDays * DAY_MS)
    deadlineMs = Math.min(deadlineMs, endMs);
  if (log.openedMs !== null) {
    const openUntil = log.openedMs + keeping.openDays * DAY_MS + spent.frozenOpenMs;
    if (openUntil < deadlineMs && !standing.frozen) {
      deadlineMs = openUntil;
      reasons.push(said('keep.life.opened', { days: keeping.openDays }));
    }
    if (!standing.frozen) toolDeadlineMs = Math.min(toolDeadlineMs, openUntil);
  }
  const longer = ownMs !== null && deadlineMs > toolDeadlineMs + MINUTE_MS;
  if (ownMs !== null && ask.ownDays != null)
    reasons.push(said(longer ? 'keep.own.longer' : 'keep.own.shorter', { days: ask.ownDays }));

  const limits = around.roomC > KEEPING.hotRoomC ? KEEPING.hotTableH : KEEPING.tableH;
  const hours = tenth(spent.warmMs / HOUR_MS);
  let verdict: BottleLife['verdict'] = 'good';
  const signs = meaningOf(checkKindOf(bottle.keeping), log.looks.at(-1)?.signs ?? []);
  if (keeping.verdict === 'throwOut') verdict = 'throwOut';
  else if (signs.verdict === 'throwOut') {
    verdict = 'throwOut';
    reasons.push(said('keep.life.signs'));
  } else if (spent.hotMs > KEEPING.hotH * HOUR_MS) {
    verdict = 'throwOut';
    reasons.push(said('keep.life.hot'));
  } else if (!keeping.acid.shown && spent.warmMs > limits.drinkNow * HOUR_MS) {
    verdict = 'throwOut';
    reasons.push(said('keep.life.table', { hours, limitH: limits.drinkNow }));
  } else if (nowMs >= deadlineMs) verdict = 'past';
  else if (!keeping.acid.shown && spent.warmMs > limits.back * HOUR_MS) {
    verdict = 'drinkToday';
    reasons.push(said('keep.life.tableNow', { hours }));
  } else if (deadlineMs < soonMs) verdict = 'drinkToday';
  const leftMs = Math.max(0, deadlineMs - nowMs);
  return {
    deadlineMs: verdict === 'throwOut' ? Math.min(deadlineMs, nowMs) : deadlineMs,
    leftShare: verdict === 'throwOut' ? 0 : Math.min(1, leftMs / atFilling),
    leftDays: leftMs / DAY_MS,
    verdict,
    reasons,
    tableCostDays: spent.tableMs / DAY_MS,
    fridgeCostDays: spent.fridgeMs / DAY_MS,
    warmH: spent.warmMs / HOUR_MS,
    guessedH: spent.guessedMs / HOUR_MS,
    frozen: standing.frozen,
    own: ownMs !== null && ask.ownDays != null ? { days: ask.ownDays, longer, toolDeadlineMs } : null,
  };
}

export interface LifePoint {
  atMs: number;
  /** Of its life, days, as it was spent up to then. */
  leftDays: number;
  /** Of the place it stood in, °C. */
  placeC: number;
}

/** How a bottle's life was spent from its filling up to now, in about so many points. */
export function lifeCurve(
  bottle: BottleFacts,
  log: ItemLog,
  around: Surroundings,
  nowMs: number,
  ownDays: number | null = null,
  about = 160,
): LifePoint[] {
  const budgetMs = (ownDays ?? bottle.keeping.sealedDays) * DAY_MS;
  const endMs = Math.max(nowMs, bottle.filledMs + 1);
  const gapMs = (endMs - bottle.filledMs) / about;
  const left = (lifeMs: number) => Math.max(0, (budgetMs - lifeMs) / DAY_MS);
  const points: LifePoint[] = [];
  let nextMs = bottle.filledMs;
  let last: LifePoint | null = null;
  follow(bottle, log, around, budgetMs, endMs, (atMs, spent, placeC) => {
    last = { atMs, leftDays: left(Math.max(spent.lifeMs, 0)), placeC };
    if (atMs < nextMs) return;
    points.push(last);
    nextMs = atMs + gapMs;
  });
  if (last && points.at(-1) !== last) points.push(last);
  return points;
}

/**
 * What a warm spell cost a bottle that stood in the fridge all through it, minutes of its life: by the fridge's air, so
 * a little more than a full bottle felt.
 */
export function spellCostMin(track: FridgeTrack, spell: WarmSpell): number {
  let cost = 0;
  for (let ms = spell.fromMs; ms < spell.toMs; ms += CELL_MS)
    cost += (lifeRate(trackAt(track, ms)) - 1) * CELL_MS;
  return cost / MINUTE_MS;
}
