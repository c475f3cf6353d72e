/** Values nearer than this share of the highest are the same. */
const SAME_SHARE = 0.02;

/** A figure of one way beside the same figure of the others. */
export interface Shown {
  value: number | null;
  /** As it is shown: what is equal reads the same. */
  text: unknown;
}

/** Whether a figure is the best or the worst of its row: what reads the same is the same. */
export function shadeOf(
  row: readonly Shown[],
  index: number,
  best: 'low' | 'high' | null,
): 'best' | 'worst' | null {
  const values = row.flatMap((s) => s.value ?? []);
  if (best === null || values.length < 2) return null;
  const [low, high] = [Math.min(...values), Math.max(...values)];
  if (high - low <= Math.abs(high) * SAME_SHARE) return null;
  const reads = (value: number) => row.some((s) => s.value === value && s.text === row[index]?.text);
  if (reads(best === 'low' ? low : high)) return 'best';
  return reads(best === 'low' ? high : low) ? 'worst' : null;
}
