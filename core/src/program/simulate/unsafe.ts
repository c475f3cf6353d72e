import { type Composition, EMPTY, plus, volumeMl } from '../../liquor/composition.ts';
import { ALL_DRAWN, drawnAfter } from '../../physics/extraction.ts';
import type { Stretch } from '../../physics/heat.ts';
import { KEEPING } from '../../tables/keeping.ts';
import type { IngredientRow } from '../../tables/types.ts';
import type { Liquor } from '../model/liquor.ts';
import type { Vessel } from '../model/vessel.ts';
import {
  type AcidFigures,
  acidFigures,
  estimateShowsAcid,
  minutesBetween,
  readingShowsAcid,
  STAGE_MIN,
  warmMinutes,
} from './exposure.ts';

/** What of a vessel is tasted for acid: its liquor, or what clings to solids that it was poured off from. */
const acidOf = (vessel: Vessel): AcidFigures =>
  acidFigures(
    volumeMl(vessel.liquor) >= 1
      ? vessel.liquor
      : vessel.solids.reduce<Composition>((sum, s) => plus(sum, s.held), EMPTY),
  );

/**
 * Of a way down that is not shown to be acid: nothing within the time of its first stage, and all of that stage once it
 * is missed, so that what is poured in afterwards excuses it no more than it excuses a steep.
 */
function missedStageMinutes(cooling: Liquor['cooling'], stretches: readonly Stretch[]): number {
  const before = cooling.from60To21Min;
  const now = stretches.reduce(
    (sum, s) => sum + minutesBetween(s, KEEPING.firstStageToC, KEEPING.warmC.to),
    0,
  );
  if (before + now <= STAGE_MIN.first) return 0;
  return before > STAGE_MIN.first ? now : now + Math.max(0, before - cooling.unsafeMin);
}

/**
 * Warm minutes of a path in which a vessel was not shown to be acid, minute by minute: acid that is drawn or poured in
 * late excuses nothing of before.
 */
export function unsafeMinutes(
  vessel: Vessel,
  rows: readonly IngredientRow[],
  stretches: readonly Stretch[],
  read: Liquor['read'],
): number {
  const { origins, cooling } = vessel.liquor;
  if (origins.length === 0 && volumeMl(vessel.liquor) < 1) return 0;
  // A strained liquor on its first way down is judged by the stages of its cooling.
  if (vessel.solids.length === 0 && cooling.hot && !cooling.cold)
    return estimateShowsAcid(acidOf(vessel), origins) || readingShowsAcid(read)
      ? 0
      : missedStageMinutes(cooling, stretches);
  const warm = stretches.map(warmMinutes);
  const total = warm.reduce((sum, m) => sum + m, 0);
  if (total === 0) return 0;
  const base = acidOf(vessel);
  const wet = volumeMl(vessel.liquor) > 0;
  const drawing = wet
    ? rows.flatMap((row, i) =>
        row.rate100PerMin !== null && vessel.solids[i]!.extracted <= ALL_DRAWN ? [i] : [],
      )
    : [];
  const shownAt = (drawn: readonly number[], steamL: number): boolean => {
    const figures = { ...base, volumeMl: base.volumeMl - steamL * 1000 };
    for (const i of drawing) {
      const grams = vessel.solids[i]!.massG * (drawn[i]! - vessel.solids[i]!.extracted);
      figures.acidG += (grams * rows[i]!.acidPct) / 100;
      figures.alkaliMeq += (grams * rows[i]!.alkaliMeqPerKg) / 1000;
    }
    return estimateShowsAcid(figures, origins);
  };
  let drawn = vessel.solids.map((s) => s.extracted);
  if (drawing.length === 0) return shownAt(drawn, 0) || readingShowsAcid(read) ? 0 : total;
  /** Null: nobody has asked yet; it is asked only around minutes that are warm. */
  let shown: boolean | null = null;
  const isDrawing = rows.map((_, i) => drawing.includes(i));
  const lastWarm = warm.findLastIndex((m) => m > 0);
  let steamL = 0;
  let unsafe = 0;
  for (let n = 0; n <= lastWarm; n++) {
    const s = stretches[n]!;
    const middleC = (s.fromC + s.toC) / 2;
    const after = (minutes: number): number[] =>
      drawn.map((e, i) =>
        isDrawing[i] ? drawnAfter(e, rows[i]!.rate100PerMin, rows[i]!.activationKJ, middleC, minutes) : e,
      );
    const next = after(s.minutes);
    if (warm[n] === 0) {
      drawn = next;
      shown = null;
      steamL += s.steamL;
      continue;
    }
    shown ??= shownAt(drawn, steamL);
    const nextShown = shownAt(next, steamL + s.steamL);
    if (!(shown && nextShown)) {
      let share = 1;
      if (shown !== nextShown) {
        // When it turned: by halving the stretch.
        let low = 0;
        let high = 1;
        for (let round = 0; round < 16; round++) {
          const middle = (low + high) / 2;
          if (shownAt(after(s.minutes * middle), steamL + s.steamL * middle) === shown) low = middle;
          else high = middle;
        }
        share = shown ? 1 - low : high;
      }
      unsafe += warm[n]! * share;
    }
    drawn = next;
    shown = nextShown;
    steamL += s.steamL;
  }
  return unsafe;
}
