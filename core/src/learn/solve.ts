import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { addTo, awayFromOthers, type Block, blockOf, type Weighed, weighedAt } from './blocks.ts';
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
/** No weight is less: what it would take away is gone by then, and the matrices stay regular. */
const LEAST_WEIGHT = 1e-4;
/** Weights are found by turns with the beliefs: until they move by no more than this, or so often. */
const SETTLED = 0.01;
/** What a reading counts that is so many standard deviations from what all others say: first by Huber, then by Tukey. */
const WEIGHINGS: readonly { rounds: number; weightAt: (z: number) => number }[] = [
  { rounds: 4, weightAt: (z) => (z <= HUBER ? 1 : HUBER / z) },
  {
    rounds: 4,
    weightAt: (z) => (z >= TUKEY ? LEAST_WEIGHT : Math.max(LEAST_WEIGHT, (1 - (z / TUKEY) ** 2) ** 2)),
  },
];

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

/** What was believed of a factor after one of the batches that tell of it, and those before. */
export interface Believed {
  batchId: string;
  mean: number;
  spread: number;
}

export interface Beliefs {
  beliefs: readonly Belief[];
  /** How each of the free ones came about: with the weights that readings have in the end, so that it only narrows. */
  courses: ReadonlyMap<LearntId, readonly Believed[]>;
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
  /** How each belief came about is told over so many batches, the last of the evidence. */
  courseOver?: number;
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
  const { weights, parts } = options.weights
    ? { weights: options.weights, parts: blocks.map((block, b) => weighedAt(block, options.weights![b]!)) }
    : weigh(blocks, priors);
  const { covariance, mean } = posterior(blocks, parts, priors);
  return {
    beliefs: names.map((id) => {
      const i = at.get(id);
      return {
        id,
        mean: i === undefined ? held.get(id)! : mean[i]!,
        spread: i === undefined ? 0 : Math.sqrt(covariance[i]![i]!),
        prior: options.priorOf(id),
        batchIds: [...behind.get(id)!],
      };
    }),
    free,
    courses: coursesOf(evidence, blocks, parts, priors, free, options.courseOver ?? 0),
    covariance,
    weights,
  };
}

interface Posterior {
  mean: readonly number[];
  covariance: readonly (readonly number[])[];
}

/** What is believed at a precision, and what pulls. */
function believedAt(precision: readonly Float64Array[], pull: Float64Array): Posterior {
  const n = pull.length;
  if (n === 0) return { mean: [], covariance: [] };
  const matrix = new Matrix(precision.map((row) => Array.from(row)));
  // Its two halves may differ by rounding.
  const even = Matrix.add(matrix, matrix.transpose()).mul(0.5);
  const covariance = new CholeskyDecomposition(even).solve(Matrix.eye(n));
  return {
    covariance: covariance.to2DArray(),
    mean: covariance.mmul(Matrix.columnVector([...pull])).to1DArray(),
  };
}

/** The precision before anything was read. */
const priorPrecision = (priors: readonly number[]): Float64Array[] =>
  priors.map((sigma, i) => {
    const row = new Float64Array(priors.length);
    row[i] = 1 / sigma ** 2;
    return row;
  });

function posterior(
  blocks: readonly Block[],
  parts: readonly Weighed[],
  priors: readonly number[],
): Posterior {
  const precision = priorPrecision(priors);
  const pull = new Float64Array(priors.length);
  for (const [b, block] of blocks.entries()) addTo(precision, pull, block, parts[b]!);
  return believedAt(precision, pull);
}

/** What was believed after each of the last batches, as one after the other is added. */
function coursesOf(
  evidence: readonly Evidence[],
  blocks: readonly Block[],
  parts: readonly Weighed[],
  priors: readonly number[],
  free: readonly LearntId[],
  over: number,
): Map<LearntId, Believed[]> {
  const courses = new Map<LearntId, Believed[]>();
  if (over === 0) return courses;
  const precision = priorPrecision(priors);
  const pull = new Float64Array(priors.length);
  for (const [b, block] of blocks.entries()) {
    addTo(precision, pull, block, parts[b]!);
    if (b < blocks.length - over) continue;
    const { mean, covariance } = believedAt(precision, pull);
    const { batchId } = evidence[b]!;
    for (const i of block.columns) {
      const told = courses.get(free[i]!) ?? [];
      told.push({ batchId, mean: mean[i]!, spread: Math.sqrt(covariance[i]![i]!) });
      courses.set(free[i]!, told);
    }
  }
  return courses;
}

/**
 * How much each reading counts, held against what all others say of it. First by Huber's weights, which keep everything,
 * then by Tukey's, which let go of what is far out. Source: leave-one-out residuals of a normal model, in closed form.
 */
function weigh(
  blocks: readonly Block[],
  priors: readonly number[],
): { weights: number[][]; parts: Weighed[] } {
  let weights = blocks.map(({ y }) => Array.from(y, () => 1));
  let parts = blocks.map((block, b) => weighedAt(block, weights[b]!));
  for (const { rounds, weightAt } of WEIGHINGS)
    for (let round = 0; round < rounds; round++) {
      const { mean, covariance } = posterior(blocks, parts, priors);
      const before = weights;
      weights = blocks.map((block, b) =>
        awayFromOthers(block, parts[b]!, before[b]!, mean, covariance).map(weightAt),
      );
      const moved = weights.map((ws, b) => Math.max(0, ...ws.map((w, i) => Math.abs(w - before[b]![i]!))));
      // Most batches keep all of their weights from one round to the next.
      parts = blocks.map((block, b) => (moved[b] === 0 ? parts[b]! : weighedAt(block, weights[b]!)));
      if (moved.every((by) => by < SETTLED)) break;
    }
  return { weights, parts };
}
