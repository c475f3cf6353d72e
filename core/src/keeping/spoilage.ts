import type { ItemLog } from '../log/itemLog.ts';
import { missedStage } from '../program/simulate/exposure.ts';
import { KEEPING } from '../tables/keeping.ts';
import { type Said, said } from '../units/result.ts';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../units/time.ts';
import { checkKindOf, meaningOf } from './check.ts';
import { type BottleFacts, lifeRate, type Spent } from './follower.ts';
import { integrate, spentAt } from './integrate.ts';
import {
  type CoolingSoFar,
  coolingCutDays,
  hoursOf,
  saidCut,
  saidMissed,
  slowCoolingMin,
} from './shelfLife.ts';
import type { Surroundings } from './storageClimate.ts';
import { CELL_MS, type TemperatureSeries, trackAt, type WarmSpell } from './temperatureSeries.ts';

export interface BottleLife {
  /** Nothing left after this instant; shown as a local date rounded down. */
  deadlineMs: number;
  /** Share of the life at filling that is left, 0 to 1, for the life bar. */
  leftShare: number;
  leftDays: number;
  verdict: 'good' | 'drinkToday' | 'past' | 'throwOut';
  reasons: readonly Said[];
  /** What of its time in the bottle cost it days, with how many: without it, it would keep longer. */
  longer: readonly Said[];
  /** Life spent beyond the clock by hours out of the cold, days. */
  tableCostDays: number;
  /** The same by a fridge that was too warm, days. */
  fridgeCostDays: number;
  /** Hours out of the cold that are counted where it is not shown to be acid. */
  warmH: number;
  /** Hours taken as warm because nobody read them. */
  guessedH: number;
  frozen: boolean;
  /** It goes by today's rules, which give it less than those it was filled under: what those gave. */
  older: { deadlineMs: number; verdict: BottleLife['verdict']; reasons: readonly Said[] } | null;
  /** The cook's own rule counts: shorter, or longer than the tool would give, with what that would be. */
  own: { days: number; longer: boolean; toolDeadlineMs: number } | null;
}

const tenth = (value: number): number => Math.round(value * 10) / 10;

/** How a bottle is asked about. */
export interface LifeAsk {
  /** Deadlines before this moment are told as "drink today": the end of tomorrow, where today is the last whole day. */
  soonMs?: number;
  /** The cook's own rule for this drink, days sealed. */
  ownDays?: number | null;
}

/** The cooling of a bottle from the pot on: what it went through there, and its own way down. */
export const coolingOf = (bottle: BottleFacts, spent: Spent): CoolingSoFar => ({
  from60To21Min: (bottle.keeping.cooling?.from60To21Min ?? 0) + spent.from60To21Min,
  from21To5Min: (bottle.keeping.cooling?.from21To5Min ?? 0) + spent.from21To5Min,
  rawWarmMin: bottle.keeping.cooling?.rawWarmMin ?? 0,
  goesOn: false,
});

/**
 * What is left of a bottle at `nowMs`. Life runs at rate 1 up to the filling and then by the bottle's own temperature,
 * which moves towards that of its place; frozen it stands. The first way down of a bottle filled warm belongs to the
 * cooling of its batch.
 */
export function lifeOf(
  bottle: BottleFacts,
  log: ItemLog,
  around: Surroundings,
  nowMs: number,
  ask: LifeAsk = {},
): BottleLife {
  const asFilled = lifeByOne(bottle, log, around, nowMs, ask);
  if (!bottle.newer) return asFilled;
  const { newer, ...own } = bottle;
  const byNewer = lifeByOne({ ...own, ...newer }, log, around, nowMs, ask);
  const worse =
    STRICTNESS.indexOf(byNewer.verdict) > STRICTNESS.indexOf(asFilled.verdict) ||
    (byNewer.verdict === asFilled.verdict && byNewer.deadlineMs < asFilled.deadlineMs - MINUTE_MS);
  if (!worse) return asFilled;
  const { deadlineMs, verdict, reasons } = asFilled;
  return {
    ...byNewer,
    reasons: [said('keep.rules.newer'), ...byNewer.reasons],
    older: { deadlineMs, verdict, reasons },
  };
}

/** Verdicts, the mildest first. */
const STRICTNESS: readonly BottleLife['verdict'][] = ['good', 'drinkToday', 'past', 'throwOut'];

/** The life of a bottle by one set of rules. */
function lifeByOne(
  bottle: BottleFacts,
  log: ItemLog,
  around: Surroundings,
  nowMs: number,
  ask: LifeAsk,
): BottleLife {
  const { keeping } = bottle;
  const soonMs = ask.soonMs ?? nowMs + DAY_MS;
  const uncutMs = (keeping.uncutDays ?? keeping.sealedDays) * DAY_MS;
  const ownMs = keeping.verdict === 'throwOut' ? null : ask.ownDays == null ? null : ask.ownDays * DAY_MS;
  // What was said last has happened, also where the clock of the screen is a little behind it.
  const endMs = Math.max(nowMs, bottle.filledMs, log.places.at(-1)!.fromMs);
  const { spent, climate, ahead } = integrate(bottle, log, around, ownMs ?? uncutMs, endMs);
  const settled = ahead(Number.POSITIVE_INFINITY);
  const cooling = coolingOf(bottle, settled.spent);
  // Rows of before 0.6.0 have had the cut of their pot.
  const cutDays = coolingCutDays(slowCoolingMin(cooling));
  const toolMs = Math.max(0, uncutMs - cutDays * DAY_MS);
  const budgetMs = ownMs ?? toolMs;
  const atFilling = Math.max(1, budgetMs - Math.max(0, bottle.filledMs - bottle.clockStartMs));

  /** When a budget is spent. */
  const endOf = (budget: number): number => {
    const nowLeftMs = Math.min(budget, spent.thawCapMs) - spent.lifeMs;
    // Its own time stands: what runs is the freezer's, and nothing that was spent already comes back.
    if (climate.frozen) return nowLeftMs <= 0 ? endMs : endMs + KEEPING.frozenDays * DAY_MS - spent.frozenMs;
    if (nowLeftMs <= 0) return spentAt(bottle, log, around, budget, endMs);
    const { spent: then, atMs, rate } = ahead(budget);
    return atMs + (Math.min(budget, then.thawCapMs) - then.lifeMs) / rate;
  };
  let deadlineMs = endOf(budgetMs);
  let toolDeadlineMs = endOf(toolMs);

  const reasons: Said[] = keeping.reasons.filter(
    (r) => !r.code.startsWith('keep.cut.') || keeping.uncutDays === undefined,
  );
  const longer: Said[] = [];
  const costs = (ms: number, reason: string, without: string, params: Said['params'] = {}): void => {
    if (ms <= HOUR_MS / 2) return;
    const days = tenth(ms / DAY_MS);
    reasons.push(said(reason, { ...params, days }));
    longer.push(said(without, { days }));
  };
  if (cutDays > 0) reasons.push(saidCut(cooling, cutDays));
  if (cutDays > 0 && spent.coolingMs > 0) longer.push(said('longer.coolBeforeFilling', { days: cutDays }));
  costs(settled.spent.coolingMs, 'keep.life.cooling', 'longer.coolFirst', {
    hours: hoursOf(settled.spent.from60To21Min + settled.spent.from21To5Min),
  });
  costs(spent.tableMs, 'keep.life.warm', 'longer.keptCold');
  costs(spent.fridgeMs, 'keep.life.fridge', 'longer.colderFridge');
  if (spent.guessedMs > HOUR_MS / 2)
    reasons.push(said('keep.life.gap', { hours: tenth(spent.guessedMs / HOUR_MS), tempC: KEEPING.gapC }));
  if (climate.frozen) reasons.push(said('keep.life.frozen', { days: KEEPING.frozenDays }));
  else if (Number.isFinite(spent.thawCapMs)) {
    reasons.push(said('keep.life.thawed', { days: KEEPING.thawedDays }));
    longer.push(said('longer.notThawed'));
  }
  // Frozen for too long it has no time left once it is thawed either.
  if (!climate.frozen && spent.frozenMs > KEEPING.frozenDays * DAY_MS)
    deadlineMs = Math.min(deadlineMs, endMs);
  if (log.openedMs !== null) {
    const openUntil = log.openedMs + Math.max(0, keeping.openDays) * DAY_MS + spent.frozenOpenMs;
    if (openUntil < deadlineMs && !climate.frozen) {
      longer.push(said('longer.sealed', { days: tenth((deadlineMs - openUntil) / DAY_MS) }));
      deadlineMs = openUntil;
      reasons.push(said('keep.life.opened', { days: keeping.openDays }));
    }
    if (!climate.frozen) toolDeadlineMs = Math.min(toolDeadlineMs, openUntil);
  }
  const ownLonger = ownMs !== null && deadlineMs > toolDeadlineMs + MINUTE_MS;
  if (ownMs !== null && ask.ownDays != null)
    reasons.push(said(ownLonger ? 'keep.own.longer' : 'keep.own.shorter', { days: ask.ownDays }));

  const limits = around.roomC > KEEPING.hotRoomC ? KEEPING.hotTableH : KEEPING.tableH;
  const hours = tenth(spent.warmMs / HOUR_MS);
  const missed = keeping.acid.shown ? null : missedStage(coolingOf(bottle, spent));
  const willMiss = keeping.acid.shown ? null : missedStage(cooling);
  let verdict: BottleLife['verdict'] = 'good';
  const signs = meaningOf(checkKindOf(bottle.keeping), log.looks.at(-1)?.signs ?? []);
  if (keeping.verdict === 'throwOut') verdict = 'throwOut';
  else if (signs.verdict === 'throwOut') {
    verdict = 'throwOut';
    reasons.push(said('keep.life.signs'));
  } else if (spent.hotMs > KEEPING.hotH * HOUR_MS) {
    verdict = 'throwOut';
    reasons.push(said('keep.life.hot'));
  } else if (missed || willMiss) {
    // Where it stands it cannot cool in time: nobody waits for that.
    verdict = 'throwOut';
    reasons.push(saidMissed(missed ?? willMiss!, missed ? coolingOf(bottle, spent) : cooling));
    longer.push(said('longer.coolInTime'));
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
    longer,
    tableCostDays: spent.tableMs / DAY_MS,
    fridgeCostDays: spent.fridgeMs / DAY_MS,
    warmH: spent.warmMs / HOUR_MS,
    guessedH: spent.guessedMs / HOUR_MS,
    frozen: climate.frozen,
    older: null,
    own:
      ownMs !== null && ask.ownDays != null ? { days: ask.ownDays, longer: ownLonger, toolDeadlineMs } : null,
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
  const { keeping } = bottle;
  const endMs = Math.max(nowMs, bottle.filledMs + 1);
  const gapMs = (endMs - bottle.filledMs) / about;
  const uncutMs = (ownDays ?? keeping.uncutDays ?? keeping.sealedDays) * DAY_MS;
  const points: LifePoint[] = [];
  let nextMs = bottle.filledMs;
  let last: LifePoint | null = null;
  integrate(bottle, log, around, uncutMs, endMs, (atMs, spent, placeC) => {
    // A cut is taken as soon as its hours are over.
    const cutDays =
      ownDays === null && keeping.acid.shown ? coolingCutDays(slowCoolingMin(coolingOf(bottle, spent))) : 0;
    const budgetMs = uncutMs - cutDays * DAY_MS;
    last = { atMs, leftDays: Math.max(0, (budgetMs - Math.max(spent.lifeMs, 0)) / DAY_MS), placeC };
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
export function spellCostMin(track: TemperatureSeries, spell: WarmSpell): number {
  let cost = 0;
  for (let ms = spell.fromMs; ms < spell.toMs; ms += CELL_MS)
    cost += (lifeRate(trackAt(track, ms)) - 1) * CELL_MS;
  return cost / MINUTE_MS;
}
