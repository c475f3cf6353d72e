import { PICTURE_LIMITS } from '../../tables/spoonMeter.ts';

/** A picture as a browser gives it: red, green, blue and opacity of each pixel, row by row, 0 to 255, sRGB. */
export interface Pixels {
  data: Uint8ClampedArray | Uint8Array;
  width: number;
  height: number;
}

/** What is seen around a point of a picture. */
export interface Spot {
  /** Light of red, green and blue, linear, 0 to 1. */
  light: readonly [number, number, number];
  /** Share of its pixels that are as bright as a picture can be. */
  clipped: number;
  /** How much brighter its brightest tenth is than its middle. */
  glare: number;
}

/** Light of an sRGB value, linear. Source: IEC 61966-2-1. */
const LINEAR: readonly number[] = Array.from({ length: 256 }, (_, i) => {
  const x = i / 255;
  return x <= 0.04045 ? x / 12.92 : ((x + 0.055) / 1.055) ** 2.4;
});

/** The value below which this share of sorted figures lies. */
const atShare = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;

/**
 * What is seen within a circle. @param x of its middle, px. @param radius px, at least 1.
 * @returns null where the circle does not lie within the picture.
 */
export function spotOf(picture: Pixels, x: number, y: number, radius: number): Spot | null {
  const { data, width, height } = picture;
  if (!(x - radius >= 0 && y - radius >= 0 && x + radius < width && y + radius < height)) return null;
  const bands: [number[], number[], number[]] = [[], [], []];
  const brightness: number[] = [];
  let clipped = 0;
  for (let py = Math.ceil(y - radius); py <= y + radius; py++)
    for (let px = Math.ceil(x - radius); px <= x + radius; px++) {
      if ((px - x) ** 2 + (py - y) ** 2 > radius ** 2) continue;
      const at = (py * width + px) * 4;
      const values = [data[at]!, data[at + 1]!, data[at + 2]!] as const;
      if (Math.max(...values) >= PICTURE_LIMITS.clippedFrom) clipped++;
      for (const [band, value] of values.entries()) bands[band]!.push(LINEAR[value]!);
      brightness.push(
        0.2126 * LINEAR[values[0]]! + 0.7152 * LINEAR[values[1]]! + 0.0722 * LINEAR[values[2]]!,
      );
    }
  brightness.sort((a, b) => a - b);
  // The middle one of each band: a crumb or a glint within the circle does not move it.
  const light = bands.map((band) =>
    atShare(
      band.sort((a, b) => a - b),
      0.5,
    ),
  ) as [number, number, number];
  const middle = atShare(brightness, 0.5);
  return {
    light,
    clipped: clipped / brightness.length,
    glare: middle > 0 ? atShare(brightness, 0.9) / middle : 1,
  };
}
