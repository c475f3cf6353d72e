import type { Keeping } from '../shelfLife.ts';

/**
 * Courses whose outcome was worked out by hand from the rules: what a pair of courses cannot show, for a fault that is on
 * both sides of it.
 */
export interface Case {
  name: string;
  /** How the figure comes about. */
  hand: string;
  got: () => number | string;
  want: number | string;
  /** How near a figure must come; 0: it must be the same. */
  within?: number;
}

/** What a case says of a class: its days sealed, or that it must go. */
export const days = (k: Keeping): number | string => (k.verdict === 'throwOut' ? 'throwOut' : k.sealedDays);

/** What a case came to, where it is not what was worked out; null: it is. */
export function missOf({ name, got, want, within }: Case): string | null {
  const value = got();
  const same =
    typeof value === 'number' && typeof want === 'number' && within
      ? Math.abs(value - want) <= within
      : value === want;
  return same ? null : `${name}: ${value}, worked out ${want}`;
}
