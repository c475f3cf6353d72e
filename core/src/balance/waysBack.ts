import {
  type Composition,
  massG,
  ofLiquid,
  plus,
  sournessGPerL,
  sweetnessPct,
  volumeMl,
} from '../liquor/composition.ts';
import { TAP_WATER_ID } from '../tables/choices.ts';
import type { Tables } from '../tables/types.ts';

/** A way back from too sweet, with what it costs. */
export type WayBack =
  /** Water until it is as sweet as wanted: it is weaker by so much. */
  | {
      kind: 'dilute';
      waterMl: number;
      litres: number;
      strengthShare: number;
      sourGPerL: number;
      fits: boolean;
    }
  /** As sweet as it is, but with the sourness that belongs to it: raw juice costs days. */
  | { kind: 'sour'; itemId: string; volumeMl: number; litres: number; sourGPerL: number; fits: boolean }
  /** So much of it is taken out and kept as a base to be thinned later. */
  | { kind: 'split'; takenMl: number; waterMl: number; litres: number };

/**
 * Ways back from too sweet: thin it, sour it up to the old proportion, or take some out and fill up with water.
 * @param wantedPct the sweetness that was meant.
 * @param roomMl what the vessel holds in all.
 * @returns nothing where it is not too sweet.
 */
export function waysBack(
  c: Composition,
  wantedPct: number,
  roomMl: number,
  sourId: string,
  tables: Tables,
): WayBack[] {
  const now = sweetnessPct(c);
  if (!(wantedPct > 0) || now <= wantedPct) return [];
  const ml = volumeMl(c);
  const waterRow = tables.liquids.get(TAP_WATER_ID);
  const sourRow = tables.liquids.get(sourId);
  if (!waterRow) return [];
  // sweetG / (m + w) = t
  const waterG = (c.sweetG * 100) / wantedPct - massG(c);
  const waterMl = waterG / waterRow.densityGPerMl;
  const thinned = plus(c, ofLiquid(waterRow, waterMl));
  const ways: WayBack[] = [
    {
      kind: 'dilute',
      waterMl,
      litres: volumeMl(thinned) / 1000,
      strengthShare: ml / volumeMl(thinned),
      sourGPerL: sournessGPerL(thinned),
      fits: volumeMl(thinned) <= roomMl,
    },
  ];
  const sour = sournessGPerL(c);
  if (sourRow && sourRow.taGPerL > 0) {
    // The proportion of sweet to sour that was meant: sourness up by as much as sweetness is.
    const wantedSour = (sour * now) / wantedPct;
    const sourMl = (ml * (wantedSour - sour)) / (sourRow.taGPerL - wantedSour);
    if (sourMl > 0) {
      const soured = plus(c, ofLiquid(sourRow, sourMl));
      ways.push({
        kind: 'sour',
        itemId: sourId,
        volumeMl: sourMl,
        litres: volumeMl(soured) / 1000,
        sourGPerL: sournessGPerL(soured),
        fits: volumeMl(soured) <= roomMl,
      });
    }
  }
  // What leaves makes room for the water that the rest wants: the litres stay.
  const keptShare = ml / volumeMl(thinned);
  ways.push({
    kind: 'split',
    takenMl: ml * (1 - keptShare),
    waterMl: waterMl * keptShare,
    litres: ml / 1000,
  });
  return ways;
}
