import '../../../../words/places/batch.ts';
import type { MethodAnswer, MethodRow } from '@big-ladle/core/compare';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import { firstStart, type Timetable } from '@big-ladle/core/plan';
import { MINUTE_MS } from '@big-ladle/core/units';
import type { MessageKey } from '../../../../words/say.ts';

/** So much more, as a share, is tasted or seen as more. */
const SEEN = 0.12;
/** So much more of the red left is seen as brighter. */
const SEEN_RED = 0.08;

export interface Way {
  row: MethodRow;
  /** What it gives against the quickest, by the model; of the quickest nothing. */
  gains: readonly MessageKey[];
}

/** When a way is begun and in bottles, where no hour is asked for; begun now where the hours away leave no place. */
export function whenOf(
  row: MethodRow,
  kitchen: Kitchen,
  nowMs: number,
): Pick<Timetable, 'startMs' | 'readyMs' | 'calls'> {
  const placed = firstStart(row.timeline, kitchen, nowMs);
  if (placed.ok) return placed.schedule;
  const calls = row.timeline.plain.calls.map((c) => ({
    ...c,
    startMs: nowMs + c.startMs,
    endMs: nowMs + c.endMs,
  }));
  return { startMs: nowMs, readyMs: nowMs + row.totalMin * MINUTE_MS, calls };
}

const strength = (row: MethodRow): number => Math.max(0, ...Object.values(row.gPerL).map((g) => g ?? 0));

/** What a way gives that the quickest does not. */
export function gainsOf(row: MethodRow, quickest: MethodRow): MessageKey[] {
  const gains: MessageKey[] = [];
  if (row.redLeft !== null && quickest.redLeft !== null && row.redLeft - quickest.redLeft >= SEEN_RED)
    gains.push('ways.gain.brighter');
  const ratio = strength(quickest) > 0 ? strength(row) / strength(quickest) : 1;
  if (ratio >= 1 + SEEN) gains.push('ways.gain.stronger');
  if (ratio <= 1 - SEEN) gains.push('ways.gain.milder');
  if ((row.keeping?.sealedDays ?? 0) > (quickest.keeping?.sealedDays ?? 0)) gains.push('ways.gain.longer');
  if (quickest.iceKg > 0.5 && row.iceKg < quickest.iceKg / 2) gains.push('ways.gain.lessIce');
  if (row.handsOnMin <= quickest.handsOnMin - 15) gains.push('ways.gain.lessWork');
  return gains;
}

/**
 * The few ways worth choosing between: the quickest, the one with most to be said for it, and the one that is chosen.
 * A way that takes longer and gives nothing more is left to the table of all methods.
 */
export function waysOf(answers: readonly MethodAnswer[], chosen: PlanDoc['choices']['methodId']): Way[] {
  const rows = answers.flatMap((a) => (a.ok ? [a.row] : [])).sort((a, b) => a.totalMin - b.totalMin);
  const [quickest, ...slower] = rows;
  if (!quickest) return [];
  const others = slower
    .map((row): Way => ({ row, gains: gainsOf(row, quickest) }))
    .sort((a, b) => b.gains.length - a.gains.length || a.row.totalMin - b.row.totalMin);
  const most = others[0]?.gains.length ?? 0;
  // Of those with as much to be said for them, the one that is chosen.
  const best =
    most > 0
      ? (others.find((way) => way.gains.length === most && way.row.methodId === chosen) ?? others[0])
      : undefined;
  const mine = others.find((way) => way.row.methodId === chosen && way !== best);
  return [{ row: quickest, gains: [] }, ...(best ? [best] : []), ...(mine ? [mine] : [])].sort(
    (a, b) => a.row.totalMin - b.row.totalMin,
  );
}
