import type { LearntId } from './priors.ts';
import type { Residual } from './sensitivities.ts';

/**
 * What one batch adds to the normal equations. Hundreds of batches are gone through a dozen times, each with a few
 * readings: plain arrays, row by row, take a hundredth of the time of a general matrix for each.
 */

/** The readings of one batch, over the factors that they move and that are not held. */
export interface Block {
  /** Which of all factors its columns are. */
  columns: readonly number[];
  /** Readings by factors. */
  j: readonly Float64Array[];
  /** What was read, less what factors held fixed explain of it. */
  y: Float64Array;
  /** Variance of each reading's own error. */
  variance: Float64Array;
  /** What its readings are off together: scatter from batch to batch, and drift since. */
  together: readonly Float64Array[];
}

/** A block at some weights: S = R / weights + what is off together. */
export interface Weighed {
  /** S⁻¹, and S⁻¹ J. */
  inverse: readonly Float64Array[];
  gain: readonly Float64Array[];
}

/** A jug stays as it is from batch to batch. */
const isOfBatch = (id: LearntId): boolean => id !== 'jug';

/** @param scatter variance of a factor in one batch, as a share of its prior variance. */
export function blockOf(
  residuals: readonly Residual[],
  at: ReadonlyMap<LearntId, number>,
  priors: readonly number[],
  held: ReadonlyMap<LearntId, number>,
  scatter: number,
): Block {
  const columns: number[] = [];
  const loose: number[] = [];
  const columnOf = new Map<LearntId, number>();
  const placeOf = (id: LearntId): number | undefined => {
    const there = columnOf.get(id);
    if (there !== undefined) return there;
    const i = at.get(id);
    if (i === undefined) return undefined;
    loose.push(isOfBatch(id) ? scatter * priors[i]! ** 2 : 0);
    columnOf.set(id, columns.length);
    return columns.push(i) - 1;
  };
  const entries = residuals.map(({ moves, read }) => {
    const all: [LearntId, number][] = [...moves];
    if (read.by !== null) all.push([read.by, 1]);
    return all.map(([id, by]) => ({ place: placeOf(id), by, held: held.get(id) ?? 0 }));
  });
  const j = entries.map((moves) => {
    const row = new Float64Array(columns.length);
    for (const { place, by } of moves) if (place !== undefined) row[place] = by;
    return row;
  });
  return {
    columns,
    j,
    y: Float64Array.from(residuals, ({ value }, i) =>
      entries[i]!.reduce((rest, { by, held: mean }) => rest - by * mean, value),
    ),
    variance: Float64Array.from(residuals, ({ read }) => read.spread ** 2),
    together: offTogether(j, loose),
  };
}

/** Some of a row's figures, in the order of the columns. */
function taken(row: readonly number[], columns: readonly number[]): Float64Array {
  const out = new Float64Array(columns.length);
  for (let c = 0; c < out.length; c++) out[c] = row[columns[c]!]!;
  return out;
}

/** What each two readings are off together by what is loose in a batch. */
function offTogether(j: readonly Float64Array[], loose: readonly number[]): Float64Array[] {
  const all = j.map(() => new Float64Array(j.length));
  for (let i = 0; i < j.length; i++) {
    const own = j[i]!;
    for (let k = 0; k <= i; k++) {
      const other = j[k]!;
      let sum = 0;
      for (let c = 0; c < own.length; c++) sum += own[c]! * loose[c]! * other[c]!;
      all[i]![k] = sum;
      all[k]![i] = sum;
    }
  }
  return all;
}

/** The inverse of a symmetric, positive definite matrix, by its Cholesky factor. */
function inverseOf(matrix: readonly Float64Array[]): Float64Array[] {
  const n = matrix.length;
  const factor = matrix.map((row) => row.slice());
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++) {
      let sum = factor[i]![k]!;
      for (let c = 0; c < k; c++) sum -= factor[i]![c]! * factor[k]![c]!;
      factor[i]![k] = i === k ? Math.sqrt(Math.max(sum, Number.MIN_VALUE)) : sum / factor[k]![k]!;
    }
  // L⁻¹, row by row; the inverse is L⁻ᵀ L⁻¹.
  const lower = matrix.map(() => new Float64Array(n));
  for (let i = 0; i < n; i++) {
    lower[i]![i] = 1 / factor[i]![i]!;
    for (let k = 0; k < i; k++) {
      let sum = 0;
      for (let c = k; c < i; c++) sum -= factor[i]![c]! * lower[c]![k]!;
      lower[i]![k] = sum / factor[i]![i]!;
    }
  }
  const inverse = matrix.map(() => new Float64Array(n));
  for (let i = 0; i < n; i++)
    for (let k = 0; k <= i; k++) {
      let sum = 0;
      for (let c = i; c < n; c++) sum += lower[c]![i]! * lower[c]![k]!;
      inverse[i]![k] = sum;
      inverse[k]![i] = sum;
    }
  return inverse;
}

/** A block with each of its readings counting so much. */
export function weighedAt({ j, variance, together }: Block, weights: readonly number[]): Weighed {
  const s = together.map((row, i) => {
    const own = row.slice();
    own[i]! += variance[i]! / weights[i]!;
    return own;
  });
  const inverse = inverseOf(s);
  const width = j[0]?.length ?? 0;
  const gain = inverse.map((row) => {
    const out = new Float64Array(width);
    for (let r = 0; r < row.length; r++) {
      const by = row[r]!;
      const reading = j[r]!;
      for (let c = 0; c < width; c++) out[c]! += by * reading[c]!;
    }
    return out;
  });
  return { inverse, gain };
}

/** Adds what a block says to the precision of all factors and to what pulls them. */
export function addTo(
  precision: readonly Float64Array[],
  pull: Float64Array,
  { columns, j, y }: Block,
  { gain }: Weighed,
): void {
  const width = columns.length;
  for (let r = 0; r < gain.length; r++) {
    const row = gain[r]!;
    const reading = j[r]!;
    const value = y[r]!;
    for (let a = 0; a < width; a++) {
      const into = precision[columns[a]!]!;
      const by = reading[a]!;
      pull[columns[a]!]! += row[a]! * value;
      if (by !== 0) for (let b = 0; b < width; b++) into[columns[b]!]! += by * row[b]!;
    }
  }
}

/**
 * How far each reading is from what all others say of it: off by [C⁻¹r]ᵢ / [C⁻¹]ᵢᵢ, which has a variance of 1 / [C⁻¹]ᵢᵢ,
 * with C = S + J P Jᵀ. In standard deviations, with the reading's own error as it is known: a weight that was found before
 * does not excuse it.
 */
export function awayFromOthers(
  { columns, j, y, variance }: Block,
  { inverse, gain }: Weighed,
  weights: readonly number[],
  mean: readonly number[],
  covariance: readonly (readonly number[])[],
): number[] {
  const width = columns.length;
  const here = taken(mean, columns);
  const own = columns.map((c) => taken(covariance[c]!, columns));
  const rest = new Float64Array(y.length);
  for (let i = 0; i < y.length; i++) {
    const reading = j[i]!;
    let left = y[i]!;
    for (let c = 0; c < width; c++) left -= reading[c]! * here[c]!;
    rest[i] = left;
  }
  const away: number[] = [];
  for (let i = 0; i < y.length; i++) {
    const row = inverse[i]!;
    const toward = gain[i]!;
    let pulled = 0;
    for (let k = 0; k < rest.length; k++) pulled += row[k]! * rest[k]!;
    let less = 0;
    for (let a = 0; a < width; a++) {
      const shared = own[a]!;
      let sum = 0;
      for (let b = 0; b < width; b++) sum += shared[b]! * toward[b]!;
      less += toward[a]! * sum;
    }
    const diagonal = row[i]! - less;
    const apart = 1 / diagonal - variance[i]! / weights[i]! + variance[i]!;
    away.push(Math.abs(pulled) / diagonal / Math.sqrt(Math.max(apart, variance[i]!)));
  }
  return away;
}
