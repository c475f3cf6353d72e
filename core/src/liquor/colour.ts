import { convertLrgbToRgb, convertRgbToLrgb, formatHex, parseHex } from 'culori/fn';
import type { MarkerId } from '../tables/types.ts';
import { type Composition, markerGPerL } from './composition.ts';
import { phOf } from './ph.ts';

/** Absorbance per cm for 1 g/L of a marker in three bands: red 610, green 540, blue 460 nm. */
interface ColourRow {
  marker: MarkerId;
  absorbance: readonly [number, number, number];
  source: string;
}

export const COLOUR_ROWS: readonly ColourRow[] = [
  {
    marker: 'red',
    absorbance: [0.004, 0.14, 0.055],
    source: 'Calyx red at pH up to 2.8, set by eye against dilutions',
  },
  {
    marker: 'calyx',
    absorbance: [0.001, 0.004, 0.012],
    source: 'What is left brownish when the red has faded, set by eye',
  },
  {
    marker: 'ginger',
    absorbance: [0.0002, 0.0006, 0.0022],
    source: 'Pale straw of a ginger brew, set by eye',
  },
  { marker: 'turmeric', absorbance: [0.002, 0.02, 0.2], source: 'Strong yellow of the root, set by eye' },
  { marker: 'peel', absorbance: [0.0002, 0.0008, 0.003], source: 'Yellow of a peel brew, set by eye' },
  { marker: 'spice', absorbance: [0.006, 0.015, 0.04], source: 'Brown of a bark and berry brew, set by eye' },
  { marker: 'clove', absorbance: [0.006, 0.015, 0.04], source: 'As other whole spices' },
  { marker: 'chilli', absorbance: [0.003, 0.02, 0.05], source: 'Orange of ground chilli, set by eye' },
  { marker: 'herb', absorbance: [0.002, 0.0015, 0.01], source: 'Green-yellow of a leaf brew, set by eye' },
  { marker: 'tamarind', absorbance: [0.004, 0.012, 0.03], source: 'Brown of the pulp, set by eye' },
  { marker: 'date', absorbance: [0.003, 0.008, 0.02], source: 'Brown of the fruit, set by eye' },
  { marker: 'fruit', absorbance: [0.0002, 0.0006, 0.002], source: 'Pale fruit brew, set by eye' },
];

/** How much of the calyx red shows at a pH; straight between the points. */
const RED_BY_PH: readonly (readonly [number, number])[] = [
  [2.8, 1],
  [3.2, 0.7],
  [3.6, 0.45],
  [4.0, 0.3],
];

/** Share of the red that shows at `pH`: 1 up to 2.8, 0.3 from 4.0. */
export function redShareAtPh(pH: number): number {
  const first = RED_BY_PH[0]!;
  if (pH <= first[0]) return first[1];
  for (let i = 1; i < RED_BY_PH.length; i++) {
    const [x0, y0] = RED_BY_PH[i - 1]!;
    const [x1, y1] = RED_BY_PH[i]!;
    if (pH <= x1) return y0 + ((y1 - y0) * (pH - x0)) / (x1 - x0);
  }
  return RED_BY_PH.at(-1)![1];
}

/** A spoon is 8 mm deep and light passes it twice; a glass is 60 mm across. */
export const SPOON_PATH_CM = 1.6;
export const GLASS_PATH_CM = 6;

/** From this on a liquor's own colour hides that of a test strip: absorbance through a spoonful. Source: half of the light of a band, set by eye. */
const HIDES_A_STRIP = 0.3;

/** Light that a liquor takes in each of three bands, per cm. */
function absorbancePerCm(c: Composition): [number, number, number] {
  const estimate = phOf(c);
  const redShare = estimate.kind === 'estimate' ? redShareAtPh(estimate.pH) : 0.3;
  const sum: [number, number, number] = [0, 0, 0];
  for (const row of COLOUR_ROWS) {
    const gPerL = markerGPerL(c, row.marker) * (row.marker === 'red' ? redShare : 1);
    for (let band = 0; band < 3; band++) sum[band]! += row.absorbance[band]! * gPerL;
  }
  return sum;
}

/** Whether a test strip dipped into it shows the drink's colour rather than its own. */
export const isStronglyColoured = (c: Composition): boolean =>
  Math.max(...absorbancePerCm(c)) * SPOON_PATH_CM > HIDES_A_STRIP;

/** Colour of a liquor seen through `pathCm` against white, as an sRGB hex. An aid to judge by, not a measurement. */
export function colourOf(c: Composition, pathCm: number): string {
  const [r, g, b] = absorbancePerCm(c).map((perCm) => 0.95 * 10 ** (-perCm * pathCm)) as [
    number,
    number,
    number,
  ];
  return formatHex(convertLrgbToRgb({ r, g, b })) ?? '#ffffff';
}

/** Relative luminance of an sRGB hex, 0 to 1: how light it looks. An unreadable colour counts as white. */
export function luminanceOf(hex: string): number {
  const rgb = parseHex(hex);
  if (!rgb) return 1;
  const { r, g, b } = convertRgbToLrgb(rgb);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
