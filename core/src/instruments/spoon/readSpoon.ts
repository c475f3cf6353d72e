import { lightBack, type Optics, opticsOf, SPOON_PATH_CM } from '../../liquor/colour.ts';
import { type Composition, markerGPerL } from '../../liquor/composition.ts';
import { COLOUR_ROWS } from '../../tables/colours.ts';
import {
  CALYX_RED,
  CAMERA_BAND_ROWS,
  SPOON_METER as METER,
  PICTURE_LIMITS,
} from '../../tables/spoonMeter.ts';
import type { Spot } from './spot.ts';

/** Parts of clear water to one of drink. */
export const THINNED = METER.thinned;
export type Thinned = (typeof THINNED)[number];

/** How a spoonful is thinned so that a picture can tell how red it is. @param redGPerL as the model has it. */
export const thinnedFor = (redGPerL: number): Thinned =>
  redGPerL < METER.paleGPerL ? 4 : redGPerL <= METER.darkGPerL ? 9 : 19;

/** Whether a drink is red enough of calyx for its colour to be read. */
export const canBeRead = (liquor: Composition): boolean => markerGPerL(liquor, 'red') >= METER.leastGPerL;

/** What two pictures say of one another. */
export const againstLast = (redGPerL: number, lastGPerL: number): 'paler' | 'same' | 'darker' => {
  const by = Math.log(redGPerL / lastGPerL);
  return Math.abs(by) < METER.sameBelow ? 'same' : by < 0 ? 'paler' : 'darker';
};

/** Why a picture tells nothing. */
export type SpoonProblem =
  | { kind: PictureProblem }
  /** It is another red than a calyx's, or no acid is in it. */
  | { kind: 'otherColour' | 'tooPale' | 'tooDark' }
  /** With so many parts of water it can be read. */
  | { kind: 'moreWater' | 'lessWater'; thinned: Thinned };
type PictureProblem = 'atEdge' | 'whiteClipped' | 'tooDim' | 'notWhite' | 'glare';

export interface SpoonRead {
  /** Calyx drawn into a litre of the drink, as its red tells it, g. */
  redGPerL: number;
  /** Standard deviation of its logarithm. */
  spread: number;
}

export type SpoonResult = { ok: true; read: SpoonRead } | { ok: false; problem: SpoonProblem };

const STEP_NM = 5;
const WAVES_NM = Array.from({ length: 61 }, (_, i) => 400 + i * STEP_NM);

const humpAt = (nm: number): number => {
  const side = nm < CALYX_RED.peakNm ? CALYX_RED.shortSideNm : CALYX_RED.longSideNm;
  return Math.exp(-0.5 * ((nm - CALYX_RED.peakNm) / side) ** 2);
};
const TABLED = COLOUR_ROWS.find((row) => row.marker === 'red')!.absorbance[1] / humpAt(CALYX_RED.tabledAtNm);

/** What a gram of calyx red in a litre takes of the light at a wave length, decadic per cm. */
export const takenAt = (nm: number): number => TABLED * humpAt(nm);

/** How much of each wave length a band sees, together 1. */
const SEEN: readonly (readonly number[])[] = CAMERA_BAND_ROWS.map(({ peakNm, sigmaNm }) => {
  const raw = WAVES_NM.map((nm) => Math.exp(-0.5 * ((nm - peakNm) / sigmaNm) ** 2));
  const sum = raw.reduce((a, b) => a + b, 0);
  return raw.map((x) => x / sum);
});
const TAKEN = WAVES_NM.map(takenAt);

/** What colours a spoonful beside the red. */
type Beside = Pick<Optics, 'absorbance' | 'haze'>;

/** How much of a band the red in a spoonful takes, decadic: of a band that is broad the thin parts of the hump let more through. */
function redTakes(band: number, redGPerL: number): number {
  let through = 0;
  SEEN[band]!.forEach((seen, i) => {
    through += seen * 10 ** (-TAKEN[i]! * redGPerL * SPOON_PATH_CM);
  });
  return -Math.log10(through);
}

/** How much of a band all else takes that is in a spoonful, decadic. */
function besideTakes(band: number, { absorbance, haze }: Beside): number {
  const depthCm = SPOON_PATH_CM / 2;
  return -Math.log10(lightBack(Math.LN10 * absorbance[band]!, haze, depthCm) / lightBack(0, 0, depthCm));
}

/** What is in a drink beside its red, thinned: taken from what the model says of it. */
function besideRed(liquor: Composition, thinned: number): Beside {
  const { absorbance, haze } = opticsOf({ ...liquor, markerG: { ...liquor.markerG, red: 0 } });
  const parts = 1 + thinned;
  return { absorbance: absorbance.map((a) => a / parts) as Optics['absorbance'], haze: haze / parts };
}

/** Strengths that are tried, g/L in the spoon by their logarithm, with what the red takes of each band. */
const LEAST = Math.log(0.05);
const MOST = Math.log(60);
const STEPS = 300;
const strengths = () =>
  Array.from({ length: STEPS + 1 }, (_, i) => {
    const logGPerL = LEAST + ((MOST - LEAST) * i) / STEPS;
    return { logGPerL, takes: CAMERA_BAND_ROWS.map((_row, band) => redTakes(band, Math.exp(logGPerL))) };
  });
let made: ReturnType<typeof strengths> | null = null;
/** Worked out at the first picture: whoever only opens a page does not wait for it. */
const tried = () => (made ??= strengths());

/** What a camera saw of a drink against its white, band by band. */
interface Seen {
  /** How much it takes, decadic. */
  seen: readonly number[];
  /** How far the mean of the bands lies above this one, as a share of it: so much more a camera that draws its bands apart takes away. */
  drawnApart: readonly number[];
}

/** Without the light that the lens spreads, and with the bands as near to one another as they were. */
function seenIn(white: Spot, drink: Spot): Seen {
  const raw = white.light.map((w, band) => {
    const flare = METER.flareShare * w;
    return Math.max(1e-4, drink.light[band]! - flare) / (w - flare);
  });
  const mean = raw.reduce((a, b) => a + b, 0) / raw.length;
  const light = raw.map((share) => (share + METER.livelier * mean) / (1 + METER.livelier));
  return {
    seen: light.map((share) => -Math.log10(share)),
    drawnApart: light.map((share) => mean / share - 1),
  };
}

/** How well a strength fits what was seen. */
interface Fit {
  /** Chi-square: how far the bands lie from what is expected of them, with the shading and the tone that suit them best. */
  misfit: number;
  /** Logarithm of its likelihood, but for a constant. */
  likely: number;
}

/** @param takes of each band, as a strength has it. */
function fitOf(takes: readonly number[], { seen, drawnApart }: Seen, useful: readonly number[]): Fit {
  const parts = useful.map((band) => {
    const taken = takes[band]!;
    const flareOff = (METER.flareSpread * (10 ** seen[band]! - 1)) / Math.LN10;
    const livelierOff = (METER.livelierSpread * drawnApart[band]!) / Math.LN10;
    const variance =
      (CAMERA_BAND_ROWS[band]!.spread * taken) ** 2 + flareOff ** 2 + livelierOff ** 2 + METER.noise ** 2;
    return { taken, off: seen[band]! - taken, variance };
  });
  // What suits them best of one shading and one tone for all, each held near nothing: two equations.
  const sum = (of: (p: (typeof parts)[number]) => number) =>
    parts.reduce((all, p) => all + of(p) / p.variance, 0);
  const ss = sum(() => 1) + 1 / METER.shading ** 2;
  const st = sum((p) => p.taken);
  const tt = sum((p) => p.taken ** 2) + 1 / METER.tone ** 2;
  const s = sum((p) => p.off);
  const t = sum((p) => p.off * p.taken);
  const whole = ss * tt - st ** 2;
  const shading = (tt * s - st * t) / whole;
  const tone = (ss * t - st * s) / whole;
  const misfit = parts.reduce(
    (all, p) => all + (p.off - shading - tone * p.taken) ** 2 / p.variance,
    (shading / METER.shading) ** 2 + (tone / METER.tone) ** 2,
  );
  // A band's spread grows with what it takes.
  return {
    misfit,
    likely: -0.5 * parts.reduce((all, p) => all + Math.log(p.variance), misfit + Math.log(whole)),
  };
}

/**
 * How much calyx a litre of drink holds, by the colour of a thinned spoonful against the white of its spoon: what each band
 * takes is set against the red's own, with one shading that all bands share. What a camera does beside that stands in
 * the spread.
 * @param white the dry white of the spoon; null: pointed at beyond the edge. @param drink what lies in it, in the same way.
 * @param liquor the drink as the model has it: what else colours it.
 */
export function readSpoon(
  white: Spot | null,
  drink: Spot | null,
  thinned: Thinned,
  liquor: Composition,
): SpoonResult {
  const refused = (problem: SpoonProblem): SpoonResult => ({ ok: false, problem });
  if (!white || !drink) return refused({ kind: 'atEdge' });
  const wrong = wrongWith(white, drink);
  if (wrong) return refused({ kind: wrong });
  const saw = seenIn(white, drink);
  const { seen } = saw;
  const useful = [0, 1, 2].filter((band) => seen[band]! <= METER.takesMost);
  const tells = useful.some((band) => seen[band]! >= METER.takesLeast);
  const dark = Math.max(...seen) > METER.takesMost / 2;
  if (!tells) return refused(dark ? withMore(thinned) : withLess(thinned));
  const other = besideRed(liquor, thinned);
  const beside = seen.map((_, band) => besideTakes(band, other));
  const all = tried();
  const fits = all.map(({ takes }) =>
    fitOf(
      takes.map((t, band) => t + beside[band]!),
      saw,
      useful,
    ),
  );
  const best = fits.reduce((a, b) => (b.likely > a.likely ? b : a));
  if (best.misfit > METER.otherColour) return refused({ kind: 'otherColour' });
  const shares = fits.map((f) => Math.exp(f.likely - best.likely));
  const whole = shares.reduce((a, b) => a + b, 0);
  const mean = shares.reduce((sum, share, i) => sum + share * all[i]!.logGPerL, 0) / whole;
  const variance = shares.reduce((sum, share, i) => sum + share * (all[i]!.logGPerL - mean) ** 2, 0) / whole;
  const spread = Math.sqrt(variance);
  if (spread > METER.tooUnsure) return refused(dark ? withMore(thinned) : withLess(thinned));
  return { ok: true, read: { redGPerL: Math.exp(mean) * (1 + thinned), spread } };
}

/** What is wrong with a picture whatever lies in the spoon. */
function wrongWith(white: Spot, drink: Spot): PictureProblem | null {
  const darkest = Math.min(...white.light);
  if (white.clipped > PICTURE_LIMITS.clippedShare) return 'whiteClipped';
  if (darkest < PICTURE_LIMITS.dimBelow) return 'tooDim';
  if (Math.max(...white.light) > PICTURE_LIMITS.whiteRatio * darkest) return 'notWhite';
  if (drink.clipped > 0 || drink.glare > PICTURE_LIMITS.glareRatio) return 'glare';
  return null;
}

const withMore = (thinned: Thinned): SpoonProblem => {
  const next = METER.thinned.find((t) => t > thinned);
  return next === undefined ? { kind: 'tooDark' } : { kind: 'moreWater', thinned: next };
};
const withLess = (thinned: Thinned): SpoonProblem => {
  const next = METER.thinned.findLast((t) => t < thinned);
  return next === undefined ? { kind: 'tooPale' } : { kind: 'lessWater', thinned: next };
};
