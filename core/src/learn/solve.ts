import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { LearntId } from './priors.ts';
import type { Residual } from './sensitivities.ts';

/** From batch to batch a factor scatters by this share of its prior spread. */
export const SCATTER = 0.4;
/** What was seen a year ago tells as much less as if the kitchen had drifted by this share of its prior spread. */
const DRIFT_PER_YEAR = 0.35;
const YEAR_MS = 365.25 * 24 * 3_600_000;

/** Beyond so many standard deviations a reading counts less, and beyond so many not at all. */
const HUBER = 2;
const TUKEY = 4.7;
/** Weights are found by turns with the beliefs. */
const ROUNDS = { huber: 4, tukey: 4 };
/** No weight is less: what it would take away is gone by then, and the matrices stay regular. */
const LEAST_WEIGHT = 1e-4;

export interface Evidence {
  batchId: string;
  atMs: number;
  residuals: readonly Residual[];
}

export interface Belief {
  id: LearntId;
  /** The logarithm of the factor. */
  mean: number;
  /** Standard deviation of that logarithm, and what it was before anything was read. */
  spread: number;
  prior: number;
  /** Batches whose readings it moves. */
  batchIds: readonly string[];
}

export interface Beliefs {
  beliefs: readonly Belief[];
  /** Those that are not held fixed. */
  free: readonly LearntId[];
  /** How two of the free ones are off together, in their order: of what was not told apart. */
  covariance: readonly (readonly number[])[];
  /** How much each reading counts, 0 to 1, in the order of the evidence. */
  weights: readonly (readonly number[])[];
}

export interface SolveOptions {
  priorOf: (id: LearntId) => number;
  /** What the cook holds fixed, by the logarithm of the factor. */
  held?: ReadonlyMap<LearntId, number>;
  /** As of when: what was seen long before counts less; null: nothing drifts. */
  nowMs: number | null;
  /** Given, the readings are not weighed anew. */
  weights?: readonly (readonly number[])[];
}

/** The readings of one batch as matrices, over the factors that they move and that are not held. */
interface Block {
  /** Which of all factors its columns are. */
  columns: readonly number[];
  /** Readings by factors. */
  j: Matrix;
  /** What was read, less what factors held fixed explain of it. */
  y: readonly number[];
  /** Variance of each reading's own error. */
  variance: readonly number[];
  /** What its readings are off together: scatter from batch to batch, and drift since. */
  together: Matrix;
}

/**
 * Everything that was read in all kept batches, solved together from the prior: a linear normal model in the logarithms,
 * y = J (x + w) + e, with x the kitchen's factors, w their scatter in one batch (the same for all of its readings) and e
 * the error of a reading. x is normal with the precision P⁻¹ + Σ Jᵀ S⁻¹ J over batches, S = R + J Q Jᵀ. A factor that no
 * reading moves has no part in it. Readings are weighed by how far each is off from what all others say of it.
 */
export function solveBeliefs(evidence: readonly Evidence[], options: SolveOptions): Beliefs {
  const { held = new Map<LearntId, number>(), nowMs } = options;
  const behind = new Map<LearntId, Set<string>>();
  for (const { batchId, residuals } of evidence)
    for (const { moves, read } of residuals)
      for (const id of [...moves.keys(), ...(read.by === null ? [] : [read.by])]) {
        const ids = behind.get(id) ?? new Set();
        behind.set(id, ids.add(batchId));
      }
  const names = [...behind.keys()];
  const free = names.filter((id) => !held.has(id));
  const priors = free.map((id) => options.priorOf(id));
  const at = new Map(free.map((id, i) => [id, i]));
  const blocks = evidence.map(({ residuals, atMs }) => {
    const ageYears = nowMs === null ? 0 : Math.max(0, nowMs - atMs) / YEAR_MS;
    return blockOf(residuals, at, priors, held, SCATTER ** 2 + DRIFT_PER_YEAR ** 2 * ageYears);
  });
  const weights = options.weights ?? weigh(blocks, (w) => posterior(blocks, priors, w));
  const { covariance, mean } = posterior(blocks, priors, weights);
  return {
    beliefs: names.map((id) => {
      const i = at.get(id);
      return {
        id,
        mean: i === undefined ? held.get(id)! : mean[i]!,
        spread: i === undefined ? 0 : Math.sqrt(covariance.get(i, i)),
        prior: options.priorOf(id),
        batchIds: [...behind.get(id)!],
      };
    }),
    free,
    covariance: covariance.to2DArray(),
    weights,
  };
}

function blockOf(
  residuals: readonly Residual[],
  at: ReadonlyMap<LearntId, number>,
  priors: readonly number[],
  held: ReadonlyMap<LearntId, number>,
  scatter: number,
): Block {
  const all = residuals.map(
    ({ moves, read }): ReadonlyMap<LearntId, number> =>
      read.by === null ? moves : new Map<LearntId, number>([...moves, [read.by, 1]]),
  );
  const ids = [...new Set(all.flatMap((m) => [...m.keys()]))].filter((id) => at.has(id));
  const j = new Matrix(all.map((moves) => ids.map((id) => moves.get(id) ?? 0)));
  const columns = ids.map((id) => at.get(id)!);
  const loose = ids.map((id, i) => (isOfBatch(id) ? scatter * priors[columns[i]!]! ** 2 : 0));
  return {
    columns,
    j,
    y: residuals.map(({ value }, i) => {
      let rest = value;
      for (const [id, by] of all[i]!) rest -= by * (held.get(id) ?? 0);
      return rest;
    }),
    variance: residuals.map(({ read }) => read.spread ** 2),
    together: j.mmul(Matrix.diag(loose)).mmul(j.transpose()),
  };
}

/** A jug stays as it is from batch to batch. */
const isOfBatch = (id: LearntId): boolean => id !== 'jug';

interface Posterior {
  mean: readonly number[];
  covariance: Matrix;
  /** Of each batch: S⁻¹, and S⁻¹ J. */
  parts: readonly { inverse: Matrix; gain: Matrix }[];
}

/** Of a symmetric matrix, whose two halves may differ by rounding. */
const inverseOf = (matrix: Matrix): Matrix =>
  new CholeskyDecomposition(Matrix.add(matrix, matrix.transpose()).mul(0.5)).solve(Matrix.eye(matrix.rows));

function posterior(
  blocks: readonly Block[],
  priors: readonly number[],
  weights: readonly (readonly number[])[],
): Posterior {
  const precision = Matrix.diag(priors.map((sigma) => 1 / sigma ** 2));
  const pull = new Float64Array(priors.length);
  const parts = blocks.map(({ columns, j, y, variance, together }, b) => {
    const s = together.clone();
    for (let i = 0; i < y.length; i++) s.set(i, i, s.get(i, i) + variance[i]! / weights[b]![i]!);
    const inverse = inverseOf(s);
    const gain = inverse.mmul(j);
    const seen = j.transpose().mmul(gain);
    for (const [i, row] of columns.entries()) {
      for (const [k, column] of columns.entries())
        precision.set(row, column, precision.get(row, column) + seen.get(i, k));
      for (const [r, value] of y.entries()) pull[row]! += gain.get(r, i) * value;
    }
    return { inverse, gain };
  });
  if (priors.length === 0) return { mean: [], covariance: Matrix.zeros(0, 0), parts };
  const covariance = inverseOf(precision);
  const mean = covariance.mmul(Matrix.columnVector([...pull])).to1DArray();
  return { mean, covariance, parts };
}

/**
 * How much each reading counts. It is held against what all others say of it: off by [C⁻¹y]ᵢ / [C⁻¹]ᵢᵢ, which has a
 * variance of 1 / [C⁻¹]ᵢᵢ, with C = S + J P Jᵀ over all batches. First by Huber's weights, which keep everything, then by
 * Tukey's, which let go of what is far out. Source: leave-one-out residuals of a normal model, in closed form.
 */
function weigh(
  blocks: readonly Block[],
  solve: (weights: readonly (readonly number[])[]) => Posterior,
): number[][] {
  let weights = blocks.map(({ y }) => y.map(() => 1));
  for (let round = 0; round < ROUNDS.huber + ROUNDS.tukey; round++) {
    const { mean, covariance, parts } = solve(weights);
    const next = blocks.map(({ columns, y, variance }, b) => {
      const { inverse, gain } = parts[b]!;
      const here = columns.map((c) => mean[c]!);
      const own = covariance.selection([...columns], [...columns]);
      const spread = gain.mmul(own);
      return y.map((_, i) => {
        let pulled = 0;
        for (const [k, value] of y.entries()) pulled += inverse.get(i, k) * value;
        let less = 0;
        for (const [c, value] of here.entries()) {
          pulled -= gain.get(i, c) * value;
          less += spread.get(i, c) * gain.get(i, c);
        }
        const diagonal = inverse.get(i, i) - less;
        // Its own error as it is known: a weight that was found before does not excuse it.
        const apart = 1 / diagonal - variance[i]! / weights[b]![i]! + variance[i]!;
        const z = Math.abs(pulled) / diagonal / Math.sqrt(Math.max(apart, variance[i]!));
        if (round < ROUNDS.huber) return z <= HUBER ? 1 : HUBER / z;
        return z >= TUKEY ? LEAST_WEIGHT : Math.max(LEAST_WEIGHT, (1 - (z / TUKEY) ** 2) ** 2);
      });
    });
    const settled = next.every((ws, b) => ws.every((w, i) => Math.abs(w - weights[b]![i]!) < 1e-3));
    weights = next;
    if (settled && round >= ROUNDS.huber) break;
  }
  return weights;
}
