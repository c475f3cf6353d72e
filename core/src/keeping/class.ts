import { abvPct, brix, volumeMl } from '../liquor/composition.ts';
import { phOf } from '../liquor/ph.ts';
import type { Liquor, Origin, TraceEntry } from '../program/types.ts';
import {
  BASE_ROWS,
  KEEPING,
  type KeepClass,
  type KeepDays,
  LIMIT_ROWS,
  PRESERVING_ROWS,
} from '../tables/keeping.ts';
import { type Said, said } from '../units/result.ts';

/** Why a drink counts as acid, or that it does not. */
export type AcidEvidence =
  | { shown: true; by: 'meter' | 'strip' | 'estimate'; pH: number }
  | { shown: false; by: 'meter' | 'strip' | 'estimate'; pH: number }
  | { shown: false; by: 'nothing' };

/** Shown acid: a reading taken after the last addition, else an estimate of pH 3.3 or below. */
export function acidEvidence(liquor: Liquor): AcidEvidence {
  if (liquor.read) {
    const { pH, by } = liquor.read;
    return { shown: pH <= KEEPING.acidPh[by], by, pH };
  }
  const estimate = phOf(liquor);
  if (estimate.kind === 'tooLittleAcid') return { shown: false, by: 'nothing' };
  return { shown: estimate.pH <= KEEPING.acidPh.estimate, by: 'estimate', pH: estimate.pH };
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
  /** One line each, in the order decided, naming the figure. */
  reasons: readonly Said[];
}

/** Never raw, whatever was done to it. */
const NEVER_RAW: ReadonlySet<Origin['kind']> = new Set(['sweetener', 'vinegar', 'spirit', 'bought']);

const isHeated = (o: Origin): boolean => o.heatedMin >= KEEPING.heatedMin;

function classOf(origins: readonly Origin[], acid: boolean): { keepClass: KeepClass; raw: Origin[] } {
  // Tap water that never boiled counts as raw only where the drink is not shown to be acid.
  const raw = origins.filter((o) => !isHeated(o) && !NEVER_RAW.has(o.kind) && !(o.kind === 'water' && acid));
  if (raw.length === 0) return { keepClass: 'heated', raw };
  const based = origins.some((o) => isHeated(o) && o.kind !== 'sweetener');
  return { keepClass: based ? 'rawAdded' : 'raw', raw };
}

export interface KeepingInput {
  /** The finished liquor as it goes into the bottles. */
  liquor: Liquor;
  trace: readonly Pick<TraceEntry, 'kind' | 'stepId' | 'warmMin' | 'after'>[];
  hygiene: 'clean' | 'sterilised';
}

const hours = (minutes: number): number => Math.round(minutes / 6) / 10;

/**
 * How long a lot keeps and why, decided in a fixed order from what was really done: thrown out, base row, preserving
 * rows, limits, bottle cap, cooling cut. A fact that the log lacks takes the worse answer.
 */
export function keepingOf({ liquor, trace, hygiene }: KeepingInput): Keeping {
  const reasons: Said[] = [];
  const acid = acidEvidence(liquor);
  const { keepClass, raw } = classOf(liquor.origins, acid.shown);
  const clockStartMin = clockStart(liquor.origins, raw);
  const live = liquor.origins.some((o) => o.kind === 'live');
  const thrown = (...reasons: Said[]): Keeping => ({
    keepClass,
    acid,
    sealedDays: 0,
    openDays: 0,
    clockStartMin,
    verdict: 'throwOut',
    live,
    reasons,
  });

  const warm = trace.filter(
    (t) => (t.kind === 'soak' || t.kind === 'steep') && !acidEvidence(t.after.liquor).shown,
  );
  const warmMin = warm.reduce((sum, t) => sum + t.warmMin, 0);
  if (warmMin > KEEPING.warmSteepH * 60)
    return thrown(said('keep.warmSteep', { hours: hours(warmMin), limitH: KEEPING.warmSteepH }));
  const { from60To21Min, from21To5Min } = liquor.cooling;
  if (!acid.shown && from60To21Min > KEEPING.stagesH.first * 60) {
    return thrown(
      said('keep.firstStageMissed', { hours: hours(from60To21Min), limitH: KEEPING.stagesH.first }),
      // Not long since it was hot: once more it may be made safe.
      ...(from60To21Min + from21To5Min < KEEPING.boilAgainH * 60
        ? [said('keep.mayBoilAgain', { hours: KEEPING.boilAgainH })]
        : []),
    );
  }
  if (!acid.shown && from21To5Min > KEEPING.stagesH.second * 60) {
    return thrown(
      said('keep.secondStageMissed', { hours: hours(from21To5Min), limitH: KEEPING.stagesH.second }),
    );
  }

  const row = BASE_ROWS[keepClass];
  let days: KeepDays = acid.shown ? row.shownAcid : row.notShown;
  reasons.push(said(`keep.class.${keepClass}`, { days: days.sealed, open: days.open }));
  reasons.push(
    acid.by === 'nothing'
      ? said('keep.acid.none')
      : said(acid.shown ? `keep.acid.shown.${acid.by}` : `keep.acid.notShown.${acid.by}`, {
          pH: Math.round(acid.pH * 100) / 100,
        }),
  );

  const garlic = liquor.origins.some((o) => o.kind === 'garlic' && !isHeated(o));
  const milk = liquor.origins.some((o) => o.kind === 'rawMilk') || (liquor.markerG.coconut ?? 0) > 0;
  let preserved = false;
  if (!garlic && !milk && !live) {
    const abv = abvPct(liquor);
    const aceticPer100Ml = volumeMl(liquor) > 0 ? (100 * liquor.aceticG) / volumeMl(liquor) : 0;
    const { vinegarAndSugar, strongSpirit, mildSpirit } = PRESERVING_ROWS;
    const preserving =
      aceticPer100Ml >= vinegarAndSugar.aceticPer100Ml && brix(liquor) >= vinegarAndSugar.brix && acid.shown
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
  let sealedDays = days.sealed;
  if (acid.shown && keepClass === 'heated' && !preserved) {
    const slowH = from60To21Min / 60;
    const cut = slowH <= KEEPING.slowCoolingH.free ? 0 : slowH <= KEEPING.slowCoolingH.oneDay ? 1 : 2;
    if (cut > 0) reasons.push(said('keep.cut.slowCooling', { hours: hours(from60To21Min), days: cut }));
    sealedDays -= cut;
  }
  return {
    keepClass,
    acid,
    sealedDays: Math.max(0, sealedDays),
    openDays: Math.min(days.open, Math.max(0, sealedDays)),
    clockStartMin,
    verdict: sealedDays <= 0 ? 'drinkToday' : 'keep',
    live,
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
