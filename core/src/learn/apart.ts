import type { LearntId } from './priors.ts';
import type { Beliefs } from './solve.ts';

/** Two factors of which what was read says only what they come to together. */
export interface NotApart {
  ids: readonly [LearntId, LearntId];
  /** How they are off together, -1 to 1. */
  correlation: number;
}

/** Off together by more than this, they are one to the readings. */
const TOGETHER = 0.4;
/** What is known to less than so much of its prior spread is known by itself. */
const KNOWN = 0.6;

/** What cannot be told apart yet: the closest first. */
export function notApart({ beliefs, free, covariance }: Beliefs): NotApart[] {
  const prior = new Map(beliefs.map((b) => [b.id, b.prior]));
  const spread = free.map((_, i) => Math.sqrt(covariance[i]![i]!));
  const open = free.map((id, i) => spread[i]! > KNOWN * prior.get(id)!);
  const pairs: NotApart[] = [];
  for (const [i, a] of free.entries()) {
    if (!open[i]) continue;
    for (let k = i + 1; k < free.length; k++) {
      if (!open[k]) continue;
      const correlation = covariance[i]![k]! / (spread[i]! * spread[k]!);
      if (Math.abs(correlation) >= TOGETHER) pairs.push({ ids: [a, free[k]!], correlation });
    }
  }
  return pairs.sort((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation));
}
