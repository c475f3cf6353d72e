import type { BackupFile } from '@big-ladle/core/contract';

/** So many of the latest days, weeks and months keep their newest backup. */
export const KEPT = { days: 7, weeks: 4, months: 12 } as const;
/** Of those that were made for a reason, so many of each reason stay. */
const KEPT_OF_A_REASON = 5;

const DAY_MS = 24 * 3_600_000;
const dayOf = (ms: number): number => Math.floor(ms / DAY_MS);
/** Weeks begin on Mondays; the first day of 1970 was a Thursday. */
const weekOf = (ms: number): number => Math.floor((dayOf(ms) + 3) / 7);
const monthOf = (ms: number): number => {
  const date = new Date(ms);
  return date.getUTCFullYear() * 12 + date.getUTCMonth();
};

/**
 * Which backups may go: of the daily ones the newest of each of the last seven days, four weeks and twelve months with
 * one stays. The newest of all never goes.
 */
export function mayGo(backups: readonly BackupFile[]): BackupFile[] {
  const newestFirst = [...backups].sort((a, b) => b.atMs - a.atMs);
  const stays = new Set<BackupFile>(newestFirst.slice(0, 1));
  const daily = newestFirst.filter((b) => b.kind === 'daily');
  const keep = (periodOf: (ms: number) => number, count: number) => {
    const seen = new Set<number>();
    for (const backup of daily) {
      const period = periodOf(backup.atMs);
      if (seen.has(period)) continue;
      seen.add(period);
      if (seen.size > count) break;
      stays.add(backup);
    }
  };
  keep(dayOf, KEPT.days);
  keep(weekOf, KEPT.weeks);
  keep(monthOf, KEPT.months);
  for (const kind of new Set(newestFirst.map((b) => b.kind)))
    if (kind !== 'daily')
      for (const backup of newestFirst.filter((b) => b.kind === kind).slice(0, KEPT_OF_A_REASON))
        stays.add(backup);
  return newestFirst.filter((b) => !stays.has(b));
}
