import type { Composition } from '../liquor/composition.ts';
import { massG, sweetnessPct, volumeMl } from '../liquor/composition.ts';
import { ICE_MELTED_SHARE, iceMl } from '../tables/constants.ts';
import { FAMILY_ROWS } from '../tables/families.ts';
import { GARNISH_ROWS, type GarnishRow } from '../tables/garnish.ts';

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
    meltMl,
    strengthShare: inAllMl > 0 ? drinkMl / inAllMl : 0,
    most: inAllMl > 0 ? roomMl / inAllMl : 0,
  };
}

/**
 * How sweet a drink must be in the pot, so that over ice it is as sweet as it is now without.
 * @param pour what a glass of it is.
 * @returns sugar-equivalent g in 100 g; what is sweetened so thins back to where it was.
 */
export function sweetForIce(c: Composition, pour: Pick<Poured, 'drinkMl' | 'meltMl'>): number {
  const ml = volumeMl(c);
  const drinkG = ml > 0 ? (massG(c) * pour.drinkMl) / ml : 0;
  return drinkG > 0 ? sweetnessPct(c) * (1 + pour.meltMl / drinkG) : sweetnessPct(c);
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
