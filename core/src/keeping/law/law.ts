import { abvPct } from '../../liquor/composition.ts';
import { phOf } from '../../liquor/ph.ts';
import { missedStage, STAGE_MIN } from '../../program/simulate/exposure.ts';
import { KEEPING, PRESERVING_ROWS } from '../../tables/keeping.ts';
import type { Tables } from '../../tables/types.ts';
import { type CoolingSoFar, coolingCutDays, slowCoolingMin } from '../shelfLife.ts';
import { type Course, type Judged, judge, rankOf } from './course.ts';
import { MOVES, type Pair, WEIGHTS } from './moves.ts';
import { poolOf } from './pool.ts';
import { randomOf } from './random.ts';
import { courseOf, nearLimit } from './randomCourse.ts';

/**
 * Two deadlines nearer than this are the same, ms: a path that is cut into other pieces ends some hundredths of a degree
 * elsewhere, and a little more or less liquor cools a few minutes slower or faster.
 */
const SAME_MS = 15 * 60_000;
/** Where a move changes how much is steamed off, some litres more or less reach 60 °C later or earlier, ms. */
const SAME_DRAWN_MS = 60 * 60_000;
/** A tally is cut into other pieces too: limits that lie between two as near as this are taken as passed by neither, min. */
const SAME_TALLY_MIN = 2;
/** Stricter by more than this is strictly stricter, ms. */
const STRICTER_MS = 2 * 60_000;
const RANK_OF_PAST = 2;
/** Near a threshold: within this share of it, and this much of a pH. */
const NEAR_SHARE = 0.1;
const NEAR_PH = 0.1;

/** The tables with nothing known of anything: nobody can show acid then. */
const unknowing = (tables: Tables): Tables => ({
  ...tables,
  ingredients: new Map([...tables.ingredients].map(([id, row]) => [id, { ...row, unknown: true as const }])),
  liquids: new Map(
    [...tables.liquids].map(([id, row]) => [id, { ...row, taGPerL: 0, aceticPct: 0, alkaliMeqPerL: 50 }]),
  ),
});
const withoutAcid = (course: Course): Course => ({
  ...course,
  tables: unknowing(course.tables),
  extras: course.extras.filter((e) => !(e.deed.kind === 'measured' && e.deed.body.reading.what === 'pH')),
});

const isNear = (value: number, limit: number): boolean => Math.abs(value - limit) <= NEAR_SHARE * limit;

/** Whether one of the figures that decide lies near its threshold. */
function isNearThreshold({ liquor, keeping, life }: Judged): boolean {
  const { unsafeMin, from60To21Min, from21To5Min } = liquor.cooling;
  const slowMin = slowCoolingMin(liquor.cooling);
  const pH = keeping.acid.by === 'estimate' ? phOf(liquor) : null;
  const { mildSpirit, strongSpirit } = PRESERVING_ROWS;
  return (
    isNear(unsafeMin, KEEPING.warmSteepH * 60) ||
    isNear(slowMin, KEEPING.slowCoolingH.free * 60) ||
    isNear(slowMin, KEEPING.slowCoolingH.oneDay * 60) ||
    (!keeping.acid.shown &&
      (isNear(from60To21Min, STAGE_MIN.first) || isNear(from21To5Min, STAGE_MIN.second))) ||
    liquor.origins.some((o) => isNear(o.heatedMin, KEEPING.heatedMin)) ||
    (pH?.kind === 'estimate' && Math.abs(pH.pH - KEEPING.acidPh.estimate) <= NEAR_PH) ||
    (liquor.read !== null && Math.abs(liquor.read.pH - KEEPING.acidPh[liquor.read.by]) <= NEAR_PH) ||
    isNear(abvPct(liquor), mildSpirit.abvPct) ||
    isNear(abvPct(liquor), strongSpirit.abvPct) ||
    (!keeping.acid.shown &&
      (isNear(life.warmH, KEEPING.tableH.back) || isNear(life.warmH, KEEPING.tableH.drinkNow)))
  );
}

const coolingOf = ({ keeping }: Judged): CoolingSoFar => keeping.cooling!;

/** The tallies of both are the same, but for a limit between them. */
function straddle(safer: Judged, riskier: Judged): boolean {
  const [a, b] = [safer.wholeCooling(), riskier.wholeCooling()];
  const limitsMin = [
    [slowCoolingMin(a), slowCoolingMin(b), KEEPING.slowCoolingH.free, KEEPING.slowCoolingH.oneDay],
    [a.from60To21Min, b.from60To21Min, KEEPING.stagesH.first],
    [a.from21To5Min, b.from21To5Min, KEEPING.stagesH.second],
    [safer.liquor.cooling.unsafeMin, riskier.liquor.cooling.unsafeMin, KEEPING.warmSteepH],
  ] as const;
  return limitsMin.some(
    ([x, y, ...limitsH]) =>
      Math.abs(x - y) < SAME_TALLY_MIN && limitsH.some((h) => x > h * 60 !== y > h * 60),
  );
}

/** As warm as each other, and one has just been cold in the ice where the other has not. */
const justCold = ({ liquor: a }: Judged, { liquor: b }: Judged): boolean =>
  a.cooling.cold !== b.cooling.cold && Math.abs(a.tempC - b.tempC) < 0.1;

/** The second of two courses came out milder than the first. */
function isMilder(safer: Judged, riskier: Judged, draws: boolean): boolean {
  const [a, b] = [rankOf(safer), rankOf(riskier)];
  const milder =
    a === b
      ? safer.life.verdict !== 'throwOut' && riskier.leftMs > safer.leftMs + (draws ? SAME_DRAWN_MS : SAME_MS)
      : b < a;
  return milder && !straddle(safer, riskier) && !(draws && justCold(safer, riskier));
}
const isStricter = (safer: Judged, riskier: Judged): boolean =>
  rankOf(riskier) > rankOf(safer) ||
  (rankOf(riskier) === rankOf(safer) && riskier.leftMs < safer.leftMs - STRICTER_MS);

/** Shown to be acid by a reading. */
const isRead = ({ keeping: { acid } }: Judged): boolean => acid.shown && acid.by !== 'estimate';

/** When a drink first fell below 60 °C, minutes; never: while it is hot, and where it never was. */
const fellBelow60At = ({ liquor }: Judged): number =>
  Math.min(...liquor.origins.map((o) => o.below60Min ?? Number.POSITIVE_INFINITY));

/** Both courses judged, with the worse evidence of acid for both where the move changes what is drawn. */
function judgeBoth(pair: Pair): [Judged, Judged] | null {
  const a = judge(pair.safer);
  const b = judge(pair.riskier);
  if (!a || !b) return null;
  // A reading that is moved must have shown acid where it was.
  if (pair.reads && !isRead(a)) return null;
  // Earlier it shows other hours to be acid than it does at the end: what it stands for later is what is compared.
  if (pair.reads && b.liquor.cooling.unsafeMin < a.liquor.cooling.unsafeMin) return null;
  // Filled above 21 °C it goes on cooling in the bottle: an hour more in the open pot is an hour or more less there.
  if (pair.waits && a.liquor.tempC > KEEPING.firstStageToC) return null;
  // A heating brings a cooling with it: where that is what costs, leaving both out is no greater risk by these rules.
  if (
    pair.heats &&
    (missedStage(coolingOf(a)) || coolingCutDays(slowCoolingMin(coolingOf(a))) > 0 || coolingOf(a).goesOn)
  )
    return null;
  // With the lid on it stays above 60 °C for longer than in the open pot: that costs nothing.
  if (
    pair.opens &&
    (a.liquor.cooling.unsafeMin > b.liquor.cooling.unsafeMin || fellBelow60At(a) < fellBelow60At(b))
  )
    return null;
  if (!pair.draws || pair.reads || !isMilder(a, b, pair.draws)) return [a, b];
  // A heating that decides nothing, for something in it stays raw all the same, only leaves it warmer.
  if (pair.heats && a.keeping.keepClass === b.keeping.keepClass && a.keeping.keepClass !== 'heated')
    return null;
  const c = judge(withoutAcid(pair.safer));
  const d = judge(withoutAcid(pair.riskier));
  return c && d ? [c, d] : null;
}

/** The pair with everything taken out of it that it does not need to fail. */
function shrunk(pair: Pair): Pair {
  let least = pair;
  const fails = (p: Pair): boolean => {
    const both = judgeBoth(p);
    return both !== null && isMilder(...both, p.draws);
  };
  const both = (change: (course: Course) => Course): void => {
    const next = { ...least, safer: change(least.safer), riskier: change(least.riskier) };
    if (fails(next)) least = next;
  };
  for (let i = pair.safer.extras.length - 1; i >= 0; i--) {
    const extra = pair.safer.extras[i]!;
    both((c) => ({ ...c, extras: c.extras.filter((e) => e !== extra) }));
  }
  both((c) => ({ ...c, stays: [{ place: 'fridge', hours: 1000 }] }));
  both((c) => ({ ...c, openedH: null }));
  both((c) => ({ ...c, checkH: 0 }));
  for (const i of pair.safer.gaps.keys()) {
    const gap = pair.safer.gaps[i]!;
    if (gap > 0) both((c) => ({ ...c, gaps: c.gaps.map((g, k) => (k === i ? Math.max(0, g - gap) : g)) }));
  }
  return least;
}

/** A failing pair in words that fit a screen. */
function tell(pair: Pair): string {
  const line = (c: Course, j: Judged | null) =>
    JSON.stringify({
      steps: c.program.steps.map(
        (s, i) =>
          `${c.gaps[i]! > 0 ? `+${c.gaps[i]!.toFixed(0)} ` : ''}${s.kind}${'place' in s ? `/${s.place}` : ''} ${c.lengths[i]!.toFixed(1)}${c.skipped[i] ? ' skipped' : ''}`,
      ),
      extras: c.extras.map(
        (e) => `${e.step}@${e.at.toFixed(2)} ${JSON.stringify(e.deed.body)}${e.undone ? ' undone' : ''}`,
      ),
      stays: c.stays,
      bottle: c.bottle,
      hygiene: c.hygiene,
      openedH: c.openedH,
      checkH: c.checkH,
      room: c.kitchen.roomC,
      fridge: c.kitchen.fridgeC,
      lines: c.program.lines.map((l) => `${l.itemId} ${l.massG.toFixed(0)}`),
      got: j && {
        verdict: j.life.verdict,
        leftDays: j.leftMs / 86_400_000,
        reasons: j.life.reasons.map((r) => `${r.code} ${JSON.stringify(r.params)}`),
        filledC: j.liquor.tempC,
        cooling: j.liquor.cooling,
        wholeCooling: j.wholeCooling(),
        class: j.keeping.keepClass,
        acid: j.keeping.acid,
      },
    });
  const both = judgeBoth(pair);
  return `${pair.name} (${pair.safer.program.recipeId}, ${pair.safer.program.methodId})\n  safer:   ${line(pair.safer, both?.[0] ?? null)}\n  riskier: ${line(pair.riskier, both?.[1] ?? null)}`;
}

export interface LawResult {
  pairs: number;
  nearShare: number;
  stricterShare: number;
  /** How often each move was tried, and was strictly stricter. */
  byMove: Readonly<Record<string, { tried: number; stricter: number }>>;
  /** The first pair in which more risk was milder, shrunk and told. */
  failure: string | null;
}

/**
 * Risk only ever shortens: random courses, each beside one that is riskier in one way.
 * @param until stops after so many pairs.
 */
export function runLaw(seed: number, until: { pairs: number; poolSize?: number }): LawResult {
  const r = randomOf(seed);
  const pool = poolOf(r, until.poolSize ?? 160);
  const names = Object.keys(MOVES);
  const weighted = names.flatMap((name) => Array.from({ length: WEIGHTS[name] ?? 2 }, () => name));
  const byMove: Record<string, { tried: number; stricter: number }> = Object.fromEntries(
    names.map((name) => [name, { tried: 0, stricter: 0 }]),
  );
  let pairs = 0;
  let near = 0;
  let stricter = 0;
  const result = (failure: string | null): LawResult => ({
    pairs,
    nearShare: pairs ? near / pairs : 0,
    stricterShare: pairs ? stricter / pairs : 0,
    byMove,
    failure,
  });
  for (let tries = 0; pairs < until.pairs && tries < until.pairs * 20; tries++) {
    const base = courseOf(r.pick(pool), r);
    const course = nearLimit(base, r);
    const name = r.pick(weighted);
    const made = MOVES[name]!(course, r);
    if (!made) continue;
    const pair: Pair = { name, ...made };
    const both = judgeBoth(pair);
    // What is past or thrown out already can hardly be riskier; a few stay, for they must not become milder.
    if (!both || (rankOf(both[0]) >= RANK_OF_PAST && !r.chance(0.1))) continue;
    pairs++;
    byMove[name]!.tried++;
    if (isMilder(...both, pair.draws)) return result(tell(shrunk(pair)));
    if (isNearThreshold(both[0]) || isNearThreshold(both[1])) near++;
    if (isStricter(...both)) {
      stricter++;
      byMove[name]!.stricter++;
    }
  }
  return result(null);
}
