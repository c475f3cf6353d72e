import { randomNormal, randomUniform } from 'd3-random';
import jpeg from 'jpeg-js';
import type { Pixels } from './spot.ts';

/**
 * Draws a spoon as a telephone photographs it, wave length by wave length. It shares no figure and no line with what reads
 * it: the pigment, the camera and what it does to a picture are drawn at random about what is usual.
 */
export interface Scene {
  /** Calyx red in the drink before it is thinned, g/L. */
  redGPerL: number;
  /** Calyx in it as far as it browns a drink whatever its red, g/L. */
  brownGPerL: number;
  /** Parts of water to one. */
  thinned: number;
  /** Light that the lens spreads, as a share of the mean of the picture. */
  flare: number;
  /** How much lighter the drink lies than the rim of the spoon. */
  shading: number;
  /** Tone curve: exponent on linear light, and how soon it rounds off towards white. */
  tone: { exponent: number; shoulder: number };
  /** How much the camera raises the colours. */
  vivid: number;
  /** How far its bands lie from the usual, nm. */
  bandsOffNm: readonly [number, number, number];
  /** How much its white balance is off, red and blue. */
  castRed: number;
  castBlue: number;
  /** Light of the white, of all that a picture can hold. */
  exposure: number;
  /** How yellow the china is: how much less blue it throws back. */
  chinaYellow: number;
  /** The pigment against the usual. */
  pigment: number;
  /** A window shines in the drink. */
  window: boolean;
  quality: number;
  seed: number;
}

const WAVES = Array.from({ length: 31 }, (_, i) => 400 + 10 * i);
const bell = (x: number, mid: number, wide: number): number =>
  Math.exp(-((x - mid) ** 2) / (2 * wide * wide));

/** Litre, gram and centimetre: what a gram in a litre takes over one centimetre at 540 nm. */
const STRENGTH_AT_540 = 0.14;
/** Two pigments lie close together in a calyx. */
const pigment = (nm: number): number =>
  0.68 * (nm < 523 ? bell(nm, 523, 41) : bell(nm, 523, 32)) +
  0.32 * (nm < 513 ? bell(nm, 513, 38) : bell(nm, 513, 35));
const takenAt = (nm: number): number => (STRENGTH_AT_540 * pigment(nm)) / pigment(540);

/** Brown takes most of the short waves and less and less of the longer ones: 0.012 of a gram in a litre at 460 nm. */
const brownAt = (nm: number): number => 0.012 * Math.exp((460 - nm) / 70);

const DEPTH_CM = 0.8;

/** A scene by chance, as a careful cook takes it: by a window, without a lamp. */
export function chanceScene(seed: number, redGPerL: number, thinned: number): Scene {
  const source = numbers(seed);
  const within = (low: number, high: number) => randomUniform.source(source)(low, high)();
  const about = (mid: number, sd: number) => randomNormal.source(source)(mid, sd)();
  return {
    redGPerL,
    brownGPerL: 0,
    thinned,
    flare: within(0.004, 0.015),
    shading: 1 + within(-0.06, 0.06),
    tone: { exponent: within(0.94, 1.08), shoulder: within(6, 30) },
    vivid: within(0, 0.08),
    bandsOffNm: [within(-5, 5), within(-5, 5), within(-5, 5)],
    castRed: about(1, 0.03),
    castBlue: about(1, 0.03),
    exposure: within(0.55, 0.85),
    chinaYellow: within(0, 0.06),
    pigment: 1,
    window: false,
    quality: Math.round(within(75, 92)),
    seed,
  };
}

/** Mulberry's generator: the same numbers for the same seed. */
function numbers(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export interface Photograph extends Pixels {
  /** As it is kept. */
  file: Uint8Array;
  /** A spot on the dry white, and one in the drink, px. */
  white: { x: number; y: number };
  drink: { x: number; y: number };
  /** A spot that lies within both. */
  radius: number;
}

const WIDTH = 120;
const HEIGHT = 90;
const WHITE = { x: 60, y: 17 };
const DRINK = { x: 60, y: 50 };
const RADIUS = 5;

/** What the camera's bands catch of dry china, of a third of the depth and of the whole of it, each against dry china. */
function caught(scene: Scene): Record<'dry' | 'edge' | 'wet', number[]> {
  const inSpoon = (scene.redGPerL / (1 + scene.thinned)) * scene.pigment;
  const brown = scene.brownGPerL / (1 + scene.thinned);
  const china = WAVES.map((nm) => 1 - scene.chinaYellow * bell(nm, 400, 60));
  const through = (depthCm: number): number[] =>
    [600, 537, 462].map((mid, band) => {
      let back = 0;
      let all = 0;
      WAVES.forEach((nm, i) => {
        const sees = bell(nm, mid + scene.bandsOffNm[band]!, [31, 37, 28][band]!);
        back += sees * china[i]! * 10 ** (-2 * depthCm * (inSpoon * takenAt(nm) + brown * brownAt(nm)));
        all += sees;
      });
      return (0.9 * back) / all;
    });
  return { dry: through(0), edge: through(DEPTH_CM / 3), wet: through(DEPTH_CM) };
}

export function photograph(scene: Scene): Photograph {
  const noise = randomUniform.source(numbers(scene.seed ^ 0x5bd1e995))(-0.007, 0.007);
  const { dry, edge, wet } = caught(scene);
  const table = [0.22, 0.15, 0.1];
  const cast = [scene.castRed, 1, scene.castBlue];
  const light = new Float64Array(WIDTH * HEIGHT * 3);
  for (let y = 0; y < HEIGHT; y++) {
    // From the rim down to the middle of the pool the light grows or fades evenly.
    const shade = 1 + (scene.shading - 1) * ((y - WHITE.y) / (DRINK.y - WHITE.y));
    for (let x = 0; x < WIDTH; x++) {
      const bowl = ((x - 60) / 40) ** 2 + ((y - 45) / 36) ** 2;
      const pool = ((x - 60) / 29) ** 2 + ((y - 50) / 23) ** 2;
      const of = bowl > 1 ? table : pool > 1 ? dry : pool > 0.72 ? edge : wet;
      const glint = scene.window && ((x - 63) / 8) ** 2 + ((y - 49) / 6) ** 2 < 1 ? 0.7 : 0;
      for (let band = 0; band < 3; band++)
        light[(y * WIDTH + x) * 3 + band] = of[band]! * shade * cast[band]! + glint;
    }
  }
  const scattered = scene.flare * (light.reduce((a, b) => a + b, 0) / light.length);
  const { exponent, shoulder } = scene.tone;
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4).fill(255);
  for (let i = 0; i < WIDTH * HEIGHT; i++) {
    const grey = (light[i * 3]! + light[i * 3 + 1]! + light[i * 3 + 2]!) / 3;
    for (let band = 0; band < 3; band++) {
      const raw = light[i * 3 + band]!;
      const vivid = (Math.max(0, raw + scene.vivid * (raw - grey)) + scattered) * scene.exposure;
      const bent = vivid ** exponent;
      const rounded = (bent * (1 + shoulder)) / (bent + shoulder);
      const coded = rounded <= 0.0031308 ? 12.92 * rounded : 1.055 * rounded ** (1 / 2.4) - 0.055;
      data[i * 4 + band] = 255 * (coded + noise());
    }
  }
  const file = jpeg.encode({ data, width: WIDTH, height: HEIGHT }, scene.quality).data;
  const seen = jpeg.decode(file, { useTArray: true });
  return {
    data: seen.data,
    width: seen.width,
    height: seen.height,
    file,
    white: WHITE,
    drink: DRINK,
    radius: RADIUS,
  };
}
