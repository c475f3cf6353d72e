import type { Kitchen } from '../documents/kitchen.ts';
import type { FactorId, ModelFactors } from '../program/model/factors.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import type { Tables } from '../tables/types.ts';
import type { LearntId } from './priors.ts';
import { type Moves, movesOf } from './sensitivities.ts';
import { type Beliefs, SCATTER } from './solve.ts';

/** What is believed of the model, as its multipliers. Of what a reading is wrong by the model knows nothing. */
export const factorsBy = (beliefs: Pick<Beliefs, 'beliefs'>): ModelFactors =>
  Object.fromEntries(
    beliefs.beliefs.flatMap(({ id, mean }) => (id === 'jug' || mean === 0 ? [] : [[id, Math.exp(mean)]])),
  );

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
