import type { Confidence } from './types.ts';

/**
 * The red of a calyx as it takes light: a hump that falls steeper towards the long waves. It takes as much at 540 nm as
 * the colour table says of it.
 * Source: spectra of the two main pigments of red calyces in acid water, their maximum at 520 nm. Confidence: medium.
 */
export const CALYX_RED = { peakNm: 520, shortSideNm: 40, longSideNm: 33, tabledAtNm: 540 } as const;

export interface CameraBandRow {
  band: 'red' | 'green' | 'blue';
  /** Where it sees best, and the standard deviation of what it sees, nm. */
  peakNm: number;
  sigmaNm: number;
  /** How far what the calyx takes of it may be off by the make of the camera: standard deviation of its logarithm. */
  spread: number;
  source: string;
  confidence: Confidence;
}

const CURVES = 'Published curves of the sensors in telephones, by daylight';

/** What a telephone calls red, green and blue. */
export const CAMERA_BAND_ROWS: readonly CameraBandRow[] = [
  { band: 'red', peakNm: 602, sigmaNm: 30, spread: 0.35, source: CURVES, confidence: 'l' },
  { band: 'green', peakNm: 535, sigmaNm: 36, spread: 0.06, source: CURVES, confidence: 'm' },
  { band: 'blue', peakNm: 460, sigmaNm: 27, spread: 0.1, source: CURVES, confidence: 'm' },
];

/** How a spoon is photographed and what may be off with it. Confidence: medium where nothing else is said. */
export const SPOON_METER = {
  /** Parts of water to one of drink. */
  thinned: [4, 9, 19],
  /** A drink with less red than the first is thinned with four parts, one with more than the second with nineteen, the others with nine: g of calyx drawn, per L. */
  paleGPerL: 15,
  darkGPerL: 45,
  /** With less it is not asked for, g/L. */
  leastGPerL: 2,
  /** Two pictures that differ by less say the same: the logarithm of how much stronger one is. Source: about the spread of a picture. */
  sameBelow: 0.15,
  /** A band tells how strong a drink is where it takes so much (decadic): below it is hardly taken, above it is black. */
  takesLeast: 0.05,
  takesMost: 1,
  /** Light that the lens spreads over the whole picture, as a share of the white; and how far that may be off. */
  flareShare: 0.0095,
  flareSpread: 0.004,
  /** How far a camera draws its bands apart to make colours livelier, and how far that may be off. Low confidence. */
  livelier: 0.04,
  livelierSpread: 0.03,
  /** The drink lies in more or less light than the white beside it: standard deviation, decadic. */
  shading: 0.025,
  /** A telephone brightens and darkens a picture as it likes: standard deviation of the logarithm of what is taken. Low confidence. */
  tone: 0.08,
  /** What the eye of a camera does not tell apart: decadic. */
  noise: 0.006,
  /** A result that may be off by more is none: standard deviation of its logarithm. */
  tooUnsure: 0.18,
  /** Bands that say so different things (chi-square) see another colour than a calyx. */
  otherColour: 9,
} as const;

/** What a picture must be to be measured. Source: what a camera of 8 bits tells apart; set by eye on pictures. Low confidence. */
export const PICTURE_LIMITS = {
  /** A white so bright is cut off (of 255), in so large a share of its spot. */
  clippedFrom: 250,
  clippedShare: 0.02,
  /** A white darker than this was taken in too little light, linear. */
  dimBelow: 0.12,
  /** The brightest band of a white is at most so many times its darkest, linear. */
  whiteRatio: 1.35,
  /** The brighter tenth of a spot against its middle: more is a window that shines in it. */
  glareRatio: 1.25,
} as const;
