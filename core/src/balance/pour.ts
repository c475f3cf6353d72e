import type { Composition } from '../liquor/composition.ts';
import { massG, volumeMl } from '../liquor/composition.ts';
import { ICE_MELTED_SHARE, iceMl } from '../tables/constants.ts';
import { FAMILY_ROWS } from '../tables/families.ts';
import { GARNISH_ROWS, type GarnishRow } from '../tables/garnish.ts';
import { gramsToSweetness } from './served.ts';

/** A cube of ice, g. Source: as for the ice of a glass. */
export const ICE_CUBE_G = 20;

/** A glass or a jug, the ice in it, and how strong it is to be once a third of the ice has melted. */
export interface PourWish {
  vesselMl: number;
  iceG: number;
  /** Of the strength in the bottle, 0..1. */
  strengthShare: number;
}

export interface Poured {
  drinkMl: number;
  mixerMl: number;
  /** Room that the ice takes. */
  iceMl: number;
  /** Water that the ice gives while it is drunk. */
  meltMl: number;
  /** As strong as it then is, of the strength in the bottle: less than wished where the ice alone thins it more. */
  strengthShare: number;
  /** The strongest that can be had with so much ice: nothing but the drink beside it. */
  most: number;
}

/**
 * How much drink and how much mixer fill a vessel to a strength: beside the ice there is room for
 * vessel − ice, and strength = drink ÷ (drink + mixer + what melts).
 */
export function pourTo({ vesselMl, iceG, strengthShare }: PourWish): Poured {
  const roomMl = Math.max(0, vesselMl - iceMl(iceG));
  const meltMl = iceG * ICE_MELTED_SHARE;
  const inAllMl = roomMl + meltMl;
  const drinkMl = Math.min(roomMl, Math.max(0, strengthShare) * inAllMl);
  return {
    drinkMl,
    mixerMl: roomMl - drinkMl,
    iceMl: iceMl(iceG),
    meltMl,
    strengthShare: inAllMl > 0 ? drinkMl / inAllMl : 0,
    most: inAllMl > 0 ? roomMl / inAllMl : 0,
  };
}

/**
 * How sweet a drink must be in the pot, so that over ice it is as sweet as it was aimed at without.
 * @param aimPct the sweetness aimed at, sugar-equivalent g in 100 g; it may still have to be stirred in.
 * @param glass so much of it in a glass, and the ice there.
 * @returns what to aim at then, and how much more sugar that is in all of it, g.
 */
export function sweetForIce(
  c: Composition,
  aimPct: number,
  glass: { drinkMl: number; iceG: number },
): { sweetPct: number; moreG: number } {
  const ml = volumeMl(c);
  const drinkG = ml > 0 ? (massG(c) * glass.drinkMl) / ml : 0;
  if (drinkG <= 0) return { sweetPct: aimPct, moreG: 0 };
  const sweetPct = aimPct * (1 + (glass.iceG * ICE_MELTED_SHARE) / drinkG);
  const dose = (pct: number) => gramsToSweetness(c, pct, 1) ?? 0;
  return { sweetPct, moreG: dose(sweetPct) - dose(aimPct) };
}

const MOST_GARNISH = 2;

/** What may lie on a glass of a drink that is made of these things. */
export function garnishOf(itemIds: ReadonlySet<string>, warm: boolean): GarnishRow[] {
  const families = new Set(
    FAMILY_ROWS.filter(
      (f) =>
        f.forms.some((form) => itemIds.has(form.itemId)) ||
        (f.juice !== undefined && itemIds.has(f.juice.itemId)),
    ).map((f) => f.id),
  );
  return GARNISH_ROWS.filter(
    (row) => families.has(row.familyId) && row.only !== (warm ? 'cold' : 'warm'),
  ).slice(0, MOST_GARNISH);
}
