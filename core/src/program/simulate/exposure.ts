import { isStronglyColoured } from '../../liquor/colour.ts';
import { type Composition, volumeMl } from '../../liquor/composition.ts';
import { isAtMostPh } from '../../liquor/ph.ts';
import type { Place, Stretch } from '../../physics/heat.ts';
import { KEEPING } from '../../tables/keeping.ts';
import type { CoolingTally, Liquor, Origin } from '../model/liquor.ts';

/** What a liquor has been through: its origins with their heating, the stages of its cooling, its warm minutes. */
export interface Exposure {
  origins: readonly Origin[];
  cooling: CoolingTally;
}

export const NO_COOLING: CoolingTally = Object.freeze({
  from60To21Min: 0,
  from21To5Min: 0,
  warmMin: 0,
  unsafeMin: 0,
  rawWarmMin: 0,
  hot: false,
  cold: false,
  fullHeatMin: 0,
  boiledAgain: false,
});

/** Where things count as out of the warm: in the fridge, as long as it is one, and in ice. */
export const isColdPlace = (place: Place, fridgeC: number): boolean =>
  place === 'iceBath' || (place === 'fridge' && fridgeC <= KEEPING.warmFridgeC);

/** Minutes of a stretch that lie between two temperatures; within a stretch of a few degrees the path is taken as straight. */
export function minutesBetween(stretch: Stretch, lowC: number, highC: number): number {
  const low = Math.min(stretch.fromC, stretch.toC);
  const high = Math.max(stretch.fromC, stretch.toC);
  if (high - low < 1e-9) return low >= lowC && low < highC ? stretch.minutes : 0;
  const overlap = Math.min(high, highC) - Math.max(low, lowC);
  return overlap > 0 ? (stretch.minutes * overlap) / (high - low) : 0;
}

/** Minutes in which something grows: warm, and outside of fridge and ice. */
export const warmMinutes = (stretch: Stretch): number =>
  minutesBetween(stretch, KEEPING.warmC.from, KEEPING.warmC.to);

/** Each origin's minutes of heating, and when it first fell below 60 °C after the last full one. */
export function olderOrigins(
  origins: readonly Origin[],
  stretches: readonly Stretch[],
  startMin: number,
): readonly Origin[] {
  let hotMin = 0;
  let fellAtMin: number | null = null;
  let atMin = startMin;
  for (const s of stretches) {
    const hot = minutesBetween(s, KEEPING.heatedC, Number.POSITIVE_INFINITY);
    hotMin += hot;
    if (hot > 0) fellAtMin = null;
    if (s.fromC >= KEEPING.warmC.to && s.toC < KEEPING.warmC.to)
      fellAtMin = atMin + (s.minutes * (s.fromC - KEEPING.warmC.to)) / (s.fromC - s.toC);
    atMin += s.minutes;
  }
  if (hotMin === 0 && fellAtMin === null) return origins;
  return origins.map((o) => {
    const heatedMin = o.heatedMin + hotMin;
    const below60Min =
      fellAtMin !== null && heatedMin >= KEEPING.heatedMin ? fellAtMin : hotMin > 0 ? null : o.below60Min;
    // Field by field: this is made for every origin of every heating.
    const { lineId, kind, sinceMin, unknown } = o;
    return unknown
      ? { lineId, kind, sinceMin, heatedMin, below60Min, unknown }
      : { lineId, kind, sinceMin, heatedMin, below60Min };
  });
}

/** How long each stage of a cooling may take, minutes. */
export const STAGE_MIN = { first: KEEPING.stagesH.first * 60, second: KEEPING.stagesH.second * 60 };

/** A stage of its cooling that something not shown to be acid has missed; null: none. */
export function missedStage(
  cooling: Pick<CoolingTally, 'from60To21Min' | 'from21To5Min'>,
): 'first' | 'second' | null {
  if (cooling.from60To21Min > STAGE_MIN.first) return 'first';
  return cooling.from21To5Min > STAGE_MIN.second ? 'second' : null;
}

/**
 * The tally begun anew by a full heating, where that is allowed: after a cooling within its limits, and once after a
 * first stage that was missed by so little that it is under four hours since 60 °C. Any other missed cooling stays.
 */
function beginAnew(t: { -readonly [K in keyof CoolingTally]: CoolingTally[K] }): void {
  // What it stood warm before it was ever hot is no cooling.
  t.rawWarmMin = 0;
  const missed = missedStage(t) !== null;
  const soon = t.from60To21Min + t.from21To5Min < KEEPING.boilAgainH * 60;
  if (missed && (t.boiledAgain || t.from21To5Min > STAGE_MIN.second || !soon)) return;
  t.from60To21Min = 0;
  t.from21To5Min = 0;
  t.cold = false;
  t.boiledAgain = t.boiledAgain || missed;
}

/**
 * The stages of cooling are those of something that was hot; they run whether it cools or stands, until it has been
 * cold once. Nothing but a full heating begins them anew.
 * @param unsafeMin warm minutes of these stretches in which it was not shown to be acid.
 * @param roomC what is warmer than its room was warmed, and has a way down before it.
 */
export function olderCooling(
  before: CoolingTally,
  stretches: readonly Stretch[],
  coldPlace: boolean,
  unsafeMin: number,
  roomC: number,
): CoolingTally {
  const warmedC = Math.max(KEEPING.firstStageToC, roomC) + KEEPING.warmedByC;
  // Written over stretch by stretch: there are many of them, and copies are what costs most.
  const t = { ...before };
  const coldC = coldPlace ? KEEPING.coldEnoughC : KEEPING.warmC.from;
  for (const s of stretches) {
    const high = Math.max(s.fromC, s.toC);
    // Poured together with something colder it may have fallen without a path.
    if (s.fromC < KEEPING.warmC.to) t.fullHeatMin = 0;
    if (high > warmedC) t.cold = false;
    if (t.hot && !t.cold) {
      t.from60To21Min += minutesBetween(s, KEEPING.firstStageToC, KEEPING.warmC.to);
      t.from21To5Min += minutesBetween(s, coldC, KEEPING.firstStageToC);
    }
    const full = minutesBetween(s, KEEPING.heatedC, Number.POSITIVE_INFINITY);
    t.fullHeatMin += full;
    const warm = warmMinutes(s);
    t.warmMin += warm;
    if (!t.hot && !coldPlace) t.rawWarmMin += warm;
    t.hot = t.hot || high > warmedC;
    t.cold = t.cold || s.toC <= coldC;
    if (full > 0 && t.fullHeatMin >= KEEPING.heatedMin) beginAnew(t);
    if (s.toC < KEEPING.warmC.to) t.fullHeatMin = 0;
  }
  t.unsafeMin += unsafeMin;
  return t;
}

/** The tally of something that has lain in a warm kitchen for so many minutes. */
export const standing = (t: CoolingTally, minutes: number, unsafe: boolean): CoolingTally => ({
  ...t,
  from60To21Min: t.from60To21Min + (t.hot && !t.cold ? minutes : 0),
  warmMin: t.warmMin + minutes,
  rawWarmMin: t.rawWarmMin + (t.hot ? 0 : minutes),
  unsafeMin: t.unsafeMin + (unsafe ? minutes : 0),
});

/** Two tallies in one liquor: of every figure the worse. One that was never warm or hot has nothing to say. */
export function worseCooling(a: CoolingTally, b: CoolingTally): CoolingTally {
  if (a === b || b === NO_COOLING) return a;
  if (a === NO_COOLING) return b;
  const counts = (t: CoolingTally): boolean => t.from60To21Min > 0 || t.from21To5Min > 0;
  return {
    from60To21Min: Math.max(a.from60To21Min, b.from60To21Min),
    from21To5Min: Math.max(a.from21To5Min, b.from21To5Min),
    warmMin: Math.max(a.warmMin, b.warmMin),
    unsafeMin: Math.max(a.unsafeMin, b.unsafeMin),
    rawWarmMin: Math.max(a.rawWarmMin, b.rawWarmMin),
    hot: a.hot || b.hot,
    // What never was hot has no cooling to finish.
    cold: (a.cold || !a.hot) && (b.cold || !b.hot),
    // A part that has something to make good must be heated in full itself.
    fullHeatMin:
      counts(a) === counts(b)
        ? Math.min(a.fullHeatMin, b.fullHeatMin)
        : counts(a)
          ? a.fullHeatMin
          : b.fullHeatMin,
    boiledAgain: a.boiledAgain || b.boiledAgain,
  };
}

/** Acid and alkali of a liquor, as far as evidence of acid asks for them. */
export interface AcidFigures {
  acidG: number;
  alkaliMeq: number;
  aceticG: number;
  volumeMl: number;
}

export const acidFigures = (c: Composition): AcidFigures => ({
  acidG: c.acidG,
  // What a reading has taken off the alkali is proof of nothing: it counts as if nobody had read.
  alkaliMeq: c.alkaliMeq + c.unprovedMeq,
  aceticG: c.aceticG,
  volumeMl: volumeMl(c),
});

/** Whether an estimate alone shows a liquor to be acid: only where everything in it is known. */
export function estimateShowsAcid(figures: AcidFigures, origins: readonly Origin[]): boolean {
  const litres = figures.volumeMl / 1000;
  return (
    litres > 0 &&
    origins.every((o) => !o.unknown) &&
    isAtMostPh(
      KEEPING.acidPh.estimate,
      figures.acidG / litres,
      figures.alkaliMeq / litres,
      figures.aceticG / litres,
    )
  );
}

/** Whether a reading that still counts shows it to be acid. */
export const readingShowsAcid = (read: Liquor['read']): boolean =>
  read !== null && read.pH <= KEEPING.acidPh[read.by];

/**
 * Whether a reading says anything of how long a drink keeps: a meter with a calibration of the same day; a strip, in a
 * strongly coloured drink only thinned with clear water and read against its own white.
 */
export const readingIsEvidence = (
  read: { by: 'meter' | 'strip'; calibrated?: boolean | undefined; thinned?: boolean | undefined },
  liquor: Liquor,
): boolean =>
  read.by === 'meter' ? read.calibrated === true : read.thinned === true || !isStronglyColoured(liquor);
