import type { Learnt } from '../documents/learning.ts';
import type { Tables } from '../tables/types.ts';
import { priorSpread } from './priors.ts';

/** Less than this nobody tastes. */
const TELLS = 0.03;
/** Of what was open before, so much may still be: less known it is a hunch that nobody is told. */
const KNOWN = 0.75;

/**
 * Where a house is likely to end that aims at a sweetness, g in 100 g, and by which share that is more or less; null
 * where it ends as it aims, or too little is known of it.
 */
export function endsAt(
  aimedPct: number,
  learnt: Learnt | undefined,
  tables: Tables,
): { pct: number; share: number } | null {
  const factor = learnt?.factors.sweet;
  const spread = learnt?.spreads.sweet;
  if (factor === undefined || spread === undefined || aimedPct <= 0) return null;
  const share = factor - 1;
  if (Math.abs(share) < TELLS || spread > KNOWN * priorSpread('sweet', tables)) return null;
  return { pct: Math.round(aimedPct * factor * 10) / 10, share };
}
