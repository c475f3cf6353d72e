import { convertLrgbToRgb, convertRgbToLrgb, formatHex, parseHex } from 'culori/fn';
import { COLOUR_ROWS, TINT_ROWS } from '../tables/colours.ts';
import { type Composition, markerGPerL, volumeMl } from './composition.ts';
import { phOf } from './ph.ts';

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

/** The thin edge of a spoonful, 1 mm deep; a full spoon, 8 mm; both are crossed twice. A glass is 60 mm across, a third of it near its sides. */
export const FILM_PATH_CM = 0.2;
export const SPOON_PATH_CM = 1.6;
export const GLASS_PATH_CM = 6;
export const GLASS_EDGE_PATH_CM = 2;

/** From this on a liquor's own colour hides that of a test strip: absorbance through a spoonful. Source: half of the light of a band, set by eye. */
const HIDES_A_STRIP = 0.3;

/** Light comes back from white china so far. */
const WHITE = 0.95;

/** What a liquor does to light, per cm: what it takes of red, green and blue (decadic), and what it throws back. */
export interface Optics {
  absorbance: [number, number, number];
  haze: number;
}

export function opticsOf(c: Composition): Optics {
  const estimate = phOf(c);
  const redShare = estimate.kind === 'estimate' ? redShareAtPh(estimate.pH) : 0.3;
  const optics: Optics = { absorbance: [0, 0, 0], haze: 0 };
  const add = (row: { absorbance: readonly number[]; haze: number }, perL: number) => {
    for (let band = 0; band < 3; band++) optics.absorbance[band]! += row.absorbance[band]! * perL;
    optics.haze += row.haze * perL;
  };
  for (const row of COLOUR_ROWS) add(row, markerGPerL(c, row.marker) * (row.marker === 'red' ? redShare : 1));
  const litres = volumeMl(c) / 1000;
  if (litres > 0) for (const row of TINT_ROWS) add(row, (c.tint[row.tint] ?? 0) / litres);
  return optics;
}

/** From this on nothing is seen through a glass: light thrown back, per cm. Source: a layer of 6 cm throws back most of it, set by eye. */
const CLOUDY_PER_CM = 0.6;

/** Whether what stands behind a glass of it is hidden. */
export const isCloudy = ({ haze }: Optics): boolean => haze >= CLOUDY_PER_CM;

/** Whether a test strip dipped into it shows the drink's colour rather than its own. */
export const isStronglyColoured = (c: Composition): boolean =>
  Math.max(...opticsOf(c).absorbance) * SPOON_PATH_CM > HIDES_A_STRIP;

/**
 * Share of light that comes back from a layer over white. Source: Kubelka and Munk's layer of finite depth; without
 * haze it is what goes through twice.
 * @param takes natural, per cm.
 * @param haze thrown back, per cm.
 */
export function lightBack(takes: number, haze: number, depthCm: number): number {
  if (haze * depthCm < 1e-6) return WHITE * Math.exp(-2 * takes * depthCm);
  const a = 1 + takes / haze;
  const b = Math.sqrt(a * a - 1);
  const back = (1 - WHITE) * haze * depthCm;
  // It takes next to nothing: what is not thrown back goes to the white below it and comes from there.
  if (b * haze * depthCm < 1e-6) return (WHITE + back) / (1 + back);
  const cothPart = b / Math.tanh(b * haze * depthCm);
  return (1 - WHITE * (a - cothPart)) / (a - WHITE + cothPart);
}

/** Colour seen through `pathCm` of it against white, as an sRGB hex. */
export function colourThrough({ absorbance, haze }: Optics, pathCm: number): string {
  const [r, g, b] = absorbance.map((perCm) => lightBack(Math.LN10 * perCm, haze, pathCm / 2)) as [
    number,
    number,
    number,
  ];
  return formatHex(convertLrgbToRgb({ r, g, b })) ?? '#ffffff';
}

/** Colour of a liquor seen through `pathCm` against white, as an sRGB hex. An aid to judge by, not a measurement. */
export const colourOf = (c: Composition, pathCm: number): string => colourThrough(opticsOf(c), pathCm);

/** Relative luminance of an sRGB hex, 0 to 1: how light it looks. An unreadable colour counts as white. */
export function luminanceOf(hex: string): number {
  const rgb = parseHex(hex);
  if (!rgb) return 1;
  const { r, g, b } = convertRgbToLrgb(rgb);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
