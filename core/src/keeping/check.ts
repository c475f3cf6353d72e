import { type CheckKind, LOOK_EVERY_DAYS, SIGN_ROWS, type Sign } from '../tables/checks.ts';
import type { Keeping } from './shelfLife.ts';

/** How a drink is looked at: live ones are expected to fizz, others never. */
export const checkKindOf = (keeping: Pick<Keeping, 'keepClass' | 'live'>): CheckKind =>
  keeping.live ? 'live' : keeping.keepClass === 'heated' ? 'still' : 'raw';

/** What is asked when a thing of a kind is looked at, in the order of the table. */
export const signsFor = (kind: CheckKind): Sign[] =>
  SIGN_ROWS.filter((row) => row.means[kind] !== 'notAsked').map((row) => row.sign);

/**
 * What was seen, taken together: one bad sign is enough, and nothing seen is no promise.
 * @returns the signs that decide.
 */
export function meaningOf(
  kind: CheckKind,
  signs: readonly Sign[],
): { verdict: 'throwOut' | 'vent' | 'fine'; by: Sign[] } {
  const means = (what: 'throwOut' | 'vent') =>
    signs.filter((sign) => SIGN_ROWS.find((row) => row.sign === sign)?.means[kind] === what);
  const bad = means('throwOut');
  if (bad.length) return { verdict: 'throwOut', by: bad };
  const gas = means('vent');
  return gas.length ? { verdict: 'vent', by: gas } : { verdict: 'fine', by: [] };
}

/** When a thing wants to be looked at next, ms. */
export const nextLookMs = (kind: CheckKind, lastMs: number): number =>
  lastMs + LOOK_EVERY_DAYS[kind] * 24 * 3_600_000;
