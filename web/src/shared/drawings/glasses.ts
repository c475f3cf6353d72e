import type { InGlass } from '@big-ladle/core/liquor';

/** A glass in a box of 100 by 140, its foot at the bottom. */
export interface GlassShape {
  outline: string;
  /** What it holds, from its surface down. */
  drink: string;
  /** The surface of the drink: its middle, and half its width. */
  surface: { y: number; half: number };
  /** Where a picture of its height begins: small glasses are small. */
  rimY: number;
}

export const GLASSES = {
  tall: {
    outline: 'M22 6L29 138H71L78 6',
    drink: 'M24.9 30L31 132H69L75.1 30Z',
    surface: { y: 30, half: 25.1 },
    rimY: 6,
  },
  tumbler: {
    outline: 'M16 36L23 138H77L84 36',
    drink: 'M19.3 54L25.2 132H74.8L80.7 54Z',
    surface: { y: 54, half: 30.7 },
    rimY: 36,
  },
  mug: {
    outline: 'M20 48V128Q20 138 30 138H64Q74 138 74 128V48M74 62C98 58 98 110 74 106',
    drink: 'M23 62V126Q23 132 29 132H65Q71 132 71 126V62Z',
    surface: { y: 62, half: 24 },
    rimY: 48,
  },
  stem: {
    outline: 'M24 20C19 66 34 90 50 90C66 90 81 66 76 20M50 90V134M28 137H72',
    drink: 'M24.8 38C24 70 37 87 50 87C63 87 76 70 75.2 38Z',
    surface: { y: 38, half: 25.2 },
    rimY: 20,
  },
  small: {
    outline: 'M31 78L36 138H64L69 78',
    drink: 'M34.6 90L38.2 131H61.8L65.4 90Z',
    surface: { y: 90, half: 15.4 },
    rimY: 78,
  },
} as const satisfies Readonly<Record<string, GlassShape>>;
export type GlassKind = keyof typeof GLASSES;

/** Sweeter, sourer or hotter than this it is poured by the small glass or thinned: cordials and shots. */
const SMALL = { sweetnessPct: 18, sournessGPerL: 12, heatGPerL: 90 } as const;
/** From so much alcohol on, % by volume. */
const WINE_GLASS_PCT = 0.1;

/** The glass that suits a drink by how it is drunk. */
export function glassFor(inGlass: InGlass, hot: boolean): GlassKind {
  if (hot) return 'mug';
  if ((Object.keys(SMALL) as (keyof typeof SMALL)[]).some((figure) => inGlass[figure] > SMALL[figure]))
    return 'small';
  if (inGlass.abvPct > WINE_GLASS_PCT) return 'stem';
  return inGlass.looks.cloudy ? 'tumbler' : 'tall';
}
