import { type Composition, markerGPerL } from '../liquor/composition.ts';
import { STRONG_HERB_ROWS } from '../tables/strongHerbs.ts';
import type { MarkerId } from '../tables/types.ts';

/** What a litre of a drink holds of the herbs that are counted by the day, g; those that are not in it are left out. */
export function strongGPerL(c: Composition): Partial<Record<MarkerId, number>> {
  const found = STRONG_HERB_ROWS.flatMap(({ marker }) => {
    const grams = markerGPerL(c, marker);
    return grams > 0.005 ? [[marker, Math.round(grams * 100) / 100] as const] : [];
  });
  return Object.fromEntries(found);
}

export interface StrongShare {
  marker: MarkerId;
  massG: number;
  /** Of a moderate day. */
  share: number;
}

/** How much of a moderate day an amount of it is, the largest share first. */
export const strongShares = (grams: Partial<Record<MarkerId, number>>): StrongShare[] =>
  STRONG_HERB_ROWS.flatMap(({ marker, moderateGPerDay }): StrongShare[] => {
    const massG = grams[marker] ?? 0;
    return massG > 0 ? [{ marker, massG, share: massG / moderateGPerDay }] : [];
  }).sort((a, b) => b.share - a.share);
