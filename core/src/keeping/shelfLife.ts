import { abvPct, massG, solublesG, volumeMl } from '../liquor/composition.ts';
import { estimatePh } from '../liquor/ph.ts';
import type { Liquor, Origin } from '../program/model/liquor.ts';
import { isHeated } from '../program/model/tags.ts';
import { acidFigures, estimateShowsAcid, missedStage } from '../program/simulate/exposure.ts';
import {
  BASE_ROWS,
  KEEPING,
  type KeepClass,
  type KeepDays,
  LIMIT_ROWS,
  PRESERVING_ROWS,
} from '../tables/keeping.ts';
import { RIPENESS_ROWS } from '../tables/ripeness.ts';
import { type Said, said } from '../units/result.ts';

/** Why a drink counts as acid, or that it does not. */
export type AcidEvidence =
  | { shown: true; by: 'meter' | 'strip' | 'estimate'; pH: number }
  | { shown: false; by: 'meter' | 'strip' | 'estimate'; pH: number }
  | { shown: false; by: 'unknown' | 'nothing' };

/** Between its palest and its ripest, of the sugar of fruit so much is sure. */
const SURE_SHARE_OF_FRUIT =
  Math.min(...RIPENESS_ROWS.map((r) => r.sugarFactor)) / Math.max(...RIPENESS_ROWS.map((r) => r.sugarFactor));

/** Degrees Brix with the sugar of fruit at its least: what somebody tasted in a fruit lengthens nothing. */
function sureBrix(liquor: Liquor): number {
  const all = massG(liquor);
  const unsureG = (1 - SURE_SHARE_OF_FRUIT) * Math.max(0, liquor.sugarG - liquor.addedSugarG);
  return all > 0 ? (100 * (solublesG(liquor) - unsureG)) / all : 0;
}

/**
 * Shown acid: a reading of the finished drink that is evidence, else an estimate of pH 3.3 or below with everything in
 * it known. The estimate takes no good news from readings that no longer count.
 */
export function acidEvidence(liquor: Liquor): AcidEvidence {
  if (liquor.read) {
    const { pH, by } = liquor.read;
    return { shown: pH <= KEEPING.acidPh[by], by, pH };
  }
  const figures = acidFigures(liquor);
  const litres = figures.volumeMl / 1000;
  const estimate =
    litres > 0
      ? estimatePh(figures.acidG / litres, figures.alkaliMeq / litres, figures.aceticG / litres)
      : null;
  if (estimate?.kind !== 'estimate') return { shown: false, by: 'nothing' };
  if (liquor.origins.some((o) => o.unknown)) return { shown: false, by: 'unknown' };
  return { shown: estimateShowsAcid(figures, liquor.origins), by: 'estimate', pH: estimate.pH };
}

/** What the first cooling of a bottle goes on from. */
export interface CoolingSoFar {
  from60To21Min: number;
  from21To5Min: number;
  /** Warm before it was ever heated: it counts like a slow cooling. */
  rawWarmMin: number;
  /** It was hot, and has not been cold since: its cooling goes on in the bottle. */
  goesOn: boolean;
}

/** The life that a lot starts with, before its bottles live their own. */
export interface Keeping {
  keepClass: KeepClass;
  acid: AcidEvidence;
  /** Days sealed, all cuts taken; 0: drink today. */
  sealedDays: number;
  openDays: number;
  /** Minute of the batch at which the clock began; null: with the bottling. */
  clockStartMin: number | null;
  verdict: 'keep' | 'drinkToday' | 'throwOut';
  /** A starter was added on purpose: it fizzes, and is let off. Older rows do not say. */
  live?: boolean;
  /** Days before the cut for a slow cooling, and the cooling up to the bottle. Rows of before 0.6.0 do not say. */
  uncutDays?: number;
  cooling?: CoolingSoFar;
  /** One line each, in the order decided, naming the figure. */
  reasons: readonly Said[];
}

/** Never raw, whatever was done to it. */
const NEVER_RAW: ReadonlySet<Origin['kind']> = new Set(['sweetener', 'vinegar', 'spirit', 'bought']);
/** Heated, these make a base of nothing: a raw drink with boiled water is a raw drink. */
const NO_BASE: ReadonlySet<Origin['kind']> = new Set([...NEVER_RAW, 'water']);

function classOf(origins: readonly Origin[], acid: boolean): { keepClass: KeepClass; raw: Origin[] } {
  // Tap water that never boiled counts as raw only where the drink is not shown to be acid.
  const raw = origins.filter((o) => !isHeated(o) && !NEVER_RAW.has(o.kind) && !(o.kind === 'water' && acid));
  if (raw.length === 0) return { keepClass: 'heated', raw };
  const based = origins.some((o) => isHeated(o) && !NO_BASE.has(o.kind));
  return { keepClass: based ? 'rawAdded' : 'raw', raw };
}

export interface KeepingInput {
  /** The finished liquor as it goes into the bottles. */
  liquor: Liquor;
  hygiene: 'clean' | 'sterilised';
}

export const hoursOf = (minutes: number): number => Math.round(minutes / 6) / 10;

/**
 * Days that a slow first cooling costs, whatever the class. What is not shown to be acid is thrown out after two such
 * hours where it was hot; where it never was, it pays like the rest.
 */
export function coolingCutDays(slowMin: number): number {
  const { free, oneDay } = KEEPING.slowCoolingH;
  const hours = slowMin / 60;
  return hours <= free ? 0 : hours <= oneDay ? 1 : 2;
}

/** Hours that count for the cut: of the way down from 60 °C, and warm ones of what was never heated. */
export const slowCoolingMin = (cooling: Pick<CoolingSoFar, 'from60To21Min' | 'rawWarmMin'>): number =>
  cooling.from60To21Min + cooling.rawWarmMin;

/** What the cut took, as a reason. */
export const saidCut = (cooling: CoolingSoFar, days: number): Said =>
  said(cooling.from60To21Min >= cooling.rawWarmMin ? 'keep.cut.slowCooling' : 'keep.cut.stoodWarm', {
    hours: hoursOf(slowCoolingMin(cooling)),
    days,
  });

/** A missed stage, as a reason. */
export const saidMissed = (stage: 'first' | 'second', cooling: CoolingSoFar): Said =>
  stage === 'first'
    ? said('keep.firstStageMissed', {
        hours: hoursOf(cooling.from60To21Min),
        limitH: KEEPING.stagesH.first,
      })
    : said('keep.secondStageMissed', {
        hours: hoursOf(cooling.from21To5Min),
        limitH: KEEPING.stagesH.second,
      });

/**
 * How long a lot keeps and why, decided in a fixed order from what was really done: thrown out, base row, preserving
 * rows, limits, bottle cap, cooling cut. A fact that the log lacks takes the worse answer.
 */
export function keepingOf({ liquor, hygiene }: KeepingInput): Keeping {
  const reasons: Said[] = [];
  const acid = acidEvidence(liquor);
  const { keepClass, raw } = classOf(liquor.origins, acid.shown);
  const clockStartMin = clockStart(liquor.origins, raw);
  const live = liquor.origins.some((o) => o.kind === 'live');
  const { from60To21Min, from21To5Min, rawWarmMin, hot, cold, unsafeMin, boiledAgain } = liquor.cooling;
  const cooling: CoolingSoFar = { from60To21Min, from21To5Min, rawWarmMin, goesOn: hot && !cold };
  const thrown = (...reasons: Said[]): Keeping => ({
    keepClass,
    acid,
    sealedDays: 0,
    openDays: 0,
    clockStartMin,
    verdict: 'throwOut',
    live,
    uncutDays: 0,
    cooling,
    reasons,
  });

  if (unsafeMin > KEEPING.warmSteepH * 60)
    return thrown(said('keep.warmSteep', { hours: hoursOf(unsafeMin), limitH: KEEPING.warmSteepH }));
  const missed = acid.shown ? null : missedStage(cooling);
  if (missed === 'first')
    return thrown(
      saidMissed(missed, cooling),
      // Not long since it was hot: once more it may be made safe.
      ...(from60To21Min + from21To5Min < KEEPING.boilAgainH * 60 && !boiledAgain
        ? [said('keep.mayBoilAgain', { hours: KEEPING.boilAgainH })]
        : []),
    );
  if (missed) return thrown(saidMissed(missed, cooling));

  const row = BASE_ROWS[keepClass];
  let days: KeepDays = acid.shown ? row.shownAcid : row.notShown;
  reasons.push(said(`keep.class.${keepClass}`, { days: days.sealed, open: days.open }));
  reasons.push(
    'pH' in acid
      ? said(acid.shown ? `keep.acid.shown.${acid.by}` : `keep.acid.notShown.${acid.by}`, {
          // What is over its limit is never rounded down to it.
          pH: (acid.shown ? Math.round : Math.ceil)(acid.pH * 100 - (acid.shown ? 0 : 1e-6)) / 100,
        })
      : said(acid.by === 'unknown' ? 'keep.acid.unknown' : 'keep.acid.none'),
  );

  const garlic = liquor.origins.some((o) => o.kind === 'garlic' && !isHeated(o));
  const milk = liquor.origins.some((o) => o.kind === 'rawMilk') || (liquor.markerG.coconut ?? 0) > 0;
  let preserved = false;
  if (!garlic && !milk && !live) {
    const abv = abvPct(liquor);
    const aceticPer100Ml = volumeMl(liquor) > 0 ? (100 * liquor.aceticG) / volumeMl(liquor) : 0;
    const { vinegarAndSugar, strongSpirit, mildSpirit } = PRESERVING_ROWS;
    const preserving =
      aceticPer100Ml >= vinegarAndSugar.aceticPer100Ml &&
      sureBrix(liquor) >= vinegarAndSugar.brix &&
      acid.shown
        ? { row: vinegarAndSugar, code: 'keep.preserve.vinegar' }
        : abv >= strongSpirit.abvPct
          ? { row: strongSpirit, code: 'keep.preserve.strongSpirit' }
          : abv >= mildSpirit.abvPct && acid.shown && keepClass === 'heated'
            ? { row: mildSpirit, code: 'keep.preserve.mildSpirit' }
            : null;
    if (preserving) {
      days = { sealed: preserving.row.sealed, open: preserving.row.open };
      preserved = true;
      reasons.push(said(preserving.code, { days: days.sealed, open: days.open }));
    }
  }
  const limit = (cap: KeepDays, code: string): void => {
    if (cap.sealed < days.sealed || cap.open < days.open)
      reasons.push(said(code, { days: cap.sealed, open: cap.open }));
    days = { sealed: Math.min(days.sealed, cap.sealed), open: Math.min(days.open, cap.open) };
  };
  if (garlic)
    limit(acid.shown ? LIMIT_ROWS.rawGarlic.shownAcid : LIMIT_ROWS.rawGarlic.notShown, 'keep.limit.garlic');
  if (milk) limit(LIMIT_ROWS.milk, 'keep.limit.milk');
  if (live) limit(acid.shown ? LIMIT_ROWS.live.shownAcid : LIMIT_ROWS.live.notShown, 'keep.limit.live');
  if (hygiene === 'clean' && !preserved && days.sealed > KEEPING.cleanOnlyDays) {
    limit({ sealed: KEEPING.cleanOnlyDays, open: days.open }, 'keep.cap.clean');
  }
  const cut = coolingCutDays(slowCoolingMin(cooling));
  if (cut > 0) reasons.push(saidCut(cooling, cut));
  const sealedDays = Math.max(0, days.sealed - cut);
  return {
    keepClass,
    acid,
    sealedDays,
    openDays: Math.min(days.open, sealedDays),
    clockStartMin,
    verdict: sealedDays <= 0 ? 'drinkToday' : 'keep',
    live,
    uncutDays: days.sealed,
    cooling,
    reasons,
  };
}

/** Earliest part counts: a heated part from its first fall below 60 °C, a raw one from when it was cut or poured. */
function clockStart(origins: readonly Origin[], raw: readonly Origin[]): number | null {
  const moments = origins.flatMap((o) => {
    if (NEVER_RAW.has(o.kind)) return [];
    if (raw.includes(o)) return [o.sinceMin];
    return o.below60Min === null ? [] : [o.below60Min];
  });
  return moments.length ? Math.min(...moments) : null;
}
