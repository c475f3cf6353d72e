import { TZDate } from '@date-fns/tz';
import { MINUTE_MS } from '../units/time.ts';
import type { LeftoverLife } from './leftovers.ts';
import type { BottleLife } from './spoilage.ts';

/** When tomorrow ends in a zone: a deadline before it leaves today as the last whole day. */
export function endOfTomorrow(nowMs: number, zone: string): number {
  const today = new TZDate(nowMs, zone);
  return new TZDate(today.getFullYear(), today.getMonth(), today.getDate() + 2, zone).getTime();
}

/** When the day of a moment ends in a zone: what is to be good on that day must have a deadline no earlier. */
export function endOfDay(ms: number, zone: string): number {
  const day = new TZDate(ms, zone);
  return new TZDate(day.getFullYear(), day.getMonth(), day.getDate() + 1, zone).getTime();
}

/**
 * Before this moment a batch for a day is begun too early: its bottles would be past their date on that day.
 * @param made a start and the deadline that bottles begun then get; begun at another time they keep as long.
 */
export const notBefore = (
  dayMs: number,
  made: { startMs: number; deadlineMs: number },
  zone: string,
): number => endOfDay(dayMs, zone) - (made.deadlineMs - made.startMs);

/** When today began in a zone. */
export function startOfToday(nowMs: number, zone: string): number {
  const today = new TZDate(nowMs, zone);
  return new TZDate(today.getFullYear(), today.getMonth(), today.getDate(), zone).getTime();
}

const QUARTER_MS = 15 * MINUTE_MS;
/** A shelf has few days and many bottles: by zone, the last whole day of each quarter of an hour that was asked about. */
const lastDays = new Map<string, Map<number, number>>();
/** More of them than this are forgotten again. */
const MOST_KEPT = 10_000;

/**
 * The last whole day before a deadline, as the noon of that day: whole days are rounded down in the kitchen's own zone,
 * by the calendar, so that a day of 23 or 25 hours is one as well. Days begin at full quarters of an hour in every zone.
 */
export function lastWholeDay(deadlineMs: number, zone: string): number {
  let known = lastDays.get(zone);
  if (!known || known.size > MOST_KEPT) {
    known = new Map();
    lastDays.set(zone, known);
  }
  const quarter = Math.floor(deadlineMs / QUARTER_MS);
  const before = known.get(quarter);
  if (before !== undefined) return before;
  const end = new TZDate(quarter * QUARTER_MS, zone);
  const dayMs = new TZDate(end.getFullYear(), end.getMonth(), end.getDate() - 1, 12, zone).getTime();
  known.set(quarter, dayMs);
  return dayMs;
}

/** The one date of a thing, wherever it is shown. */
export type KeepDate =
  /** To be drunk or used by the end of this day (its noon). */
  | { kind: 'day'; dayMs: number }
  /** Today is the last day; its time may end in the course of it. */
  | { kind: 'today' }
  /** It was good until the end of this day (its noon). */
  | { kind: 'past'; dayMs: number }
  | { kind: 'throwOut' };

/** A life as a date: the only place where a deadline becomes one. */
export function keepDate(
  life: { deadlineMs: number; verdict: BottleLife['verdict'] | LeftoverLife['verdict'] },
  zone: string,
): KeepDate {
  switch (life.verdict) {
    case 'throwOut':
      return { kind: 'throwOut' };
    case 'past':
      return { kind: 'past', dayMs: lastWholeDay(life.deadlineMs, zone) };
    case 'drinkToday':
    case 'useToday':
      return { kind: 'today' };
    case 'good':
      return { kind: 'day', dayMs: lastWholeDay(life.deadlineMs, zone) };
  }
}

/** The same as a day of the calendar, YYYY-MM-DD, for documents: null where it is not to be kept any more. */
export function isoKeepDate(date: KeepDate, nowMs: number, zone: string): string | null {
  if (date.kind === 'throwOut' || date.kind === 'past') return null;
  const day = new TZDate(date.kind === 'today' ? nowMs : date.dayMs, zone);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
}
