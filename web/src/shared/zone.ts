import { TZDate } from '@date-fns/tz';

/**
 * A moment as a local date-time field of the kitchen's zone shows it: the date and the minutes of its ISO form. Empty
 * where it lies beyond what such a field can hold.
 */
export function toLocalField(ms: number, zone: string): string {
  const local = new TZDate(ms, zone);
  const year = local.getFullYear();
  return year >= 0 && year <= 9999 ? local.toISOString().slice(0, 16) : '';
}

/** What stands in such a field as a moment; null when it is not a whole date and time. */
export function fromLocalField(text: string, zone: string): number | null {
  const match = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/.exec(text);
  if (!match) return null;
  const [, y, mo, d, h, mi] = match.map(Number) as [number, number, number, number, number, number];
  const ms = new TZDate(y, mo - 1, d, h, mi, zone).getTime();
  return Number.isNaN(ms) ? null : ms;
}
