import type { Kitchen } from '../documents/kitchen.ts';
import type { Learnt } from '../documents/learning.ts';
import type { FactorId } from '../program/model/factors.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import type { Tables } from '../tables/types.ts';
import type { LearntId } from './priors.ts';
import { isPurchaseId, type PurchaseId } from './purchases.ts';
import { type Moves, movesOf } from './sensitivities.ts';
import { type Beliefs, SCATTER } from './solve.ts';

/** The middle eight of ten of a normal lie within so many standard deviations. */
export const EIGHT_OF_TEN = 1.2816;

/**
 * How far a figure of a program may come to lie from what is believed, as the standard deviation of its logarithm: what is
 * not known of the kitchen, and how much a batch scatters.
 */
export function spreadOf(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  figure: (sim: Simulation) => number | null,
  beliefs: Pick<Beliefs, 'free' | 'covariance' | 'beliefs'>,
  priorOf: (id: LearntId) => number,
): number {
  const [moves] = movesOf(program, kitchen, tables, [figure]);
  return Math.sqrt(varianceOf(moves!, beliefs, priorOf));
}

function varianceOf(
  moves: Moves,
  { free, covariance, beliefs }: Pick<Beliefs, 'free' | 'covariance' | 'beliefs'>,
  priorOf: (id: LearntId) => number,
): number {
  const at = new Map<LearntId, number>(free.map((id, i) => [id, i]));
  const held = new Set<LearntId>(beliefs.flatMap(({ id }) => (at.has(id) ? [] : [id])));
  const all = [...moves] as [FactorId, number][];
  let variance = 0;
  for (const [id, by] of all) {
    if (held.has(id)) continue;
    const i = at.get(id);
    variance += (by * SCATTER * priorOf(id)) ** 2;
    if (i === undefined) {
      // Nothing was read of it yet.
      variance += (by * priorOf(id)) ** 2;
      continue;
    }
    for (const [other, otherBy] of all) {
      const k = at.get(other);
      if (k !== undefined) variance += by * otherBy * covariance[i]![k]!;
    }
  }
  return variance;
}

/** Readings that move a belief by no more than this, or leave it as open but for this, have told nothing of it. */
const NO_MORE = 1e-3;

/**
 * What a kitchen document keeps of the beliefs: factors that its batches have moved, and how far each may still be off in
 * the next batch. What a reading is wrong by is none of the model's.
 * @param bought of ingredients, the purchase that the next batch is made of.
 */
export function learntOf(
  {
    beliefs,
    free = [],
    covariance = [],
  }: Pick<Beliefs, 'beliefs'> & Partial<Pick<Beliefs, 'free' | 'covariance'>>,
  bought: ReadonlyMap<string, PurchaseId> = new Map(),
): Omit<Learnt, 'version'> {
  const factors: Record<string, number> = {};
  const spreads: Record<string, number> = {};
  for (const { id, mean, spread, prior } of beliefs) {
    // What is wrong with a jug is none of the next batch's; how sweet this house ends is its cook's to choose.
    if (id === 'jug' || isPurchaseId(id) || (Math.abs(mean) < NO_MORE && spread > (1 - NO_MORE) * prior))
      continue;
    factors[id] = Math.exp(mean);
    // The book's own spread has the scatter in it: what is read never makes it wider.
    spreads[id] = Math.min(prior, Math.hypot(spread, SCATTER * prior));
  }
  // What is in the house is its ingredient as this kitchen has it, and what this one purchase is beside.
  const at = new Map(free.map((id, i) => [id, i]));
  const of = new Map(beliefs.map((b) => [b.id, b]));
  for (const [itemId, one] of bought) {
    const [own, beside] = [of.get(`potency:${itemId}`), of.get(one)];
    if (!own || !beside) continue;
    const [i, k] = [at.get(own.id), at.get(one)];
    const together = i === undefined || k === undefined ? 0 : 2 * covariance[i]![k]!;
    factors[own.id] = Math.exp(own.mean + beside.mean);
    spreads[own.id] = Math.min(
      own.prior,
      Math.sqrt(Math.max(0, own.spread ** 2 + beside.spread ** 2 + together) + (SCATTER * own.prior) ** 2),
    );
  }
  return { factors, spreads };
}
