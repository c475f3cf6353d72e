/** A drink that this household called about right, where it stood on the plane. */
export interface LikedPoint {
  sweetPct: number;
  sourGPerL: number;
}

/** A soft shape on the plane: an ellipse along the axes, with the number of batches behind it. */
export interface LikedRegion {
  sweetPct: number;
  sourGPerL: number;
  sweetSpread: number;
  sourSpread: number;
  batches: number;
}

/** Fewer verdicts say nothing. */
export const FEWEST_VERDICTS = 3;
/** Nobody tastes finer than this. */
const LEAST = { sweetPct: 0.6, sourGPerL: 0.4 };
/** Two standard deviations: most of what was liked lies inside. */
const WIDTH = 2;

const mean = (values: readonly number[]): number => values.reduce((sum, x) => sum + x, 0) / values.length;
const deviation = (values: readonly number[]): number => {
  const m = mean(values);
  return Math.sqrt(values.reduce((sum, x) => sum + (x - m) ** 2, 0) / (values.length - 1));
};

/**
 * Where what a household likes lies, from its own verdicts.
 * @returns null before there are three of them: no region is invented.
 */
export function likedRegion(points: readonly LikedPoint[]): LikedRegion | null {
  if (points.length < FEWEST_VERDICTS) return null;
  const sweet = points.map((p) => p.sweetPct);
  const sour = points.map((p) => p.sourGPerL);
  return {
    sweetPct: mean(sweet),
    sourGPerL: mean(sour),
    sweetSpread: Math.max(LEAST.sweetPct, WIDTH * deviation(sweet)),
    sourSpread: Math.max(LEAST.sourGPerL, WIDTH * deviation(sour)),
    batches: points.length,
  };
}
