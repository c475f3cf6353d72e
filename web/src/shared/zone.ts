import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';

/** A moment as a local date-time field of the kitchen's zone shows it. */
export const toLocalField = (ms: number, zone: string): string =>
  format(new TZDate(ms, zone), "yyyy-MM-dd'T'HH:mm");

/** What stands in such a field as a moment; null when it is not a whole date and time. */
export function fromLocalField(text: string, zone: string): number | null {
  const match = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/.exec(text);
  if (!match) return null;
  const [, y, mo, d, h, mi] = match.map(Number) as [number, number, number, number, number, number];
  const ms = new TZDate(y, mo - 1, d, h, mi, zone).getTime();
  return Number.isNaN(ms) ? null : ms;
}

/** "It was at 18:20": the latest such time of day up to now. */
export function lastTimeOfDay(hour: number, minute: number, nowMs: number, zone: string): number {
  const today = new TZDate(nowMs, zone);
  const at = new TZDate(today.getFullYear(), today.getMonth(), today.getDate(), hour, minute, zone).getTime();
  return at <= nowMs ? at : at - 86_400_000;
}
