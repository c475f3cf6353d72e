import {
  colourThrough,
  FILM_PATH_CM,
  GLASS_EDGE_PATH_CM,
  GLASS_PATH_CM,
  isCloudy,
  opticsOf,
  SPOON_PATH_CM,
} from './colour.ts';
import { abvPct, type Composition, heatGPerL, sournessGPerL, sweetnessPct, volumeMl } from './composition.ts';

/** How a drink looks, each an sRGB hex. Through a full spoon most are saturated: the thin edge tells them apart. */
export interface Looks {
  /** The thin edge of a spoonful. */
  film: string;
  spoon: string;
  /** Where a glass narrows to its side. */
  glassEdge: string;
  glass: string;
  /** What stands behind the glass is not seen through it. */
  cloudy: boolean;
}

const NEAR_WHITE = '#f4f4f2';

/** What an empty vessel shows. */
export const NO_LOOKS: Looks = {
  film: NEAR_WHITE,
  spoon: NEAR_WHITE,
  glassEdge: NEAR_WHITE,
  glass: NEAR_WHITE,
  cloudy: false,
};

/** How a liquor looks; near white where there is none. */
export function looksOf(c: Composition | undefined): Looks {
  if (c === undefined || volumeMl(c) < 1) return NO_LOOKS;
  const optics = opticsOf(c);
  return {
    film: colourThrough(optics, FILM_PATH_CM),
    spoon: colourThrough(optics, SPOON_PATH_CM),
    glassEdge: colourThrough(optics, GLASS_EDGE_PATH_CM),
    glass: colourThrough(optics, GLASS_PATH_CM),
    cloudy: isCloudy(optics),
  };
}

/** A drink as it stands in a glass: what it looks like, and what decides which glass suits it. */
export interface InGlass {
  looks: Looks;
  sweetnessPct: number;
  sournessGPerL: number;
  heatGPerL: number;
  abvPct: number;
}

export const inGlassOf = (c: Composition): InGlass => ({
  looks: looksOf(c),
  sweetnessPct: sweetnessPct(c),
  sournessGPerL: sournessGPerL(c),
  heatGPerL: heatGPerL(c),
  abvPct: abvPct(c),
});
