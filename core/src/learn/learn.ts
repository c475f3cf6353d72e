import type { Kitchen } from '../documents/kitchen.ts';
import type { Tables } from '../tables/types.ts';
import { type NotApart, notApart } from './apart.ts';
import { priorSpread } from './priors.ts';
import { type MadeBatch, readsOf } from './readings.ts';
import { residualsOf } from './sensitivities.ts';
import { type Belief, type Evidence, solveBeliefs } from './solve.ts';

/** A batch with what was pinned to it. */
export interface PinnedMade {
  made: MadeBatch;
  kitchen: Kitchen;
  tables: Tables;
}

/** What a kitchen's batches have told of it. */
export interface WhatIsLearnt {
  /** What is known best, against what was known before, first. */
  beliefs: readonly Belief[];
  notApart: readonly NotApart[];
  /** Readings that count for next to nothing, for all others say otherwise. */
  letGo: number;
}

/** A reading counts for next to nothing below this weight. */
const LET_GO = 0.05;

/**
 * What batches that were made have told of their kitchen, all of them together.
 * @param tables for the priors. @param onBatch told after each batch how many are done; true stops it.
 * @returns null when it was stopped.
 */
export function learnFrom(
  batches: readonly PinnedMade[],
  tables: Tables,
  nowMs: number,
  onBatch: (done: number) => boolean,
): WhatIsLearnt | null {
  const evidence: Evidence[] = [];
  for (const [i, { made, kitchen, tables: pinned }] of batches.entries()) {
    const residuals = residualsOf(made, readsOf(made, pinned), kitchen, pinned);
    if (residuals.length > 0) evidence.push({ batchId: made.id, atMs: made.atMs, residuals });
    if (onBatch(i + 1)) return null;
  }
  const learnt = solveBeliefs(evidence, { priorOf: (id) => priorSpread(id, tables), nowMs });
  return {
    beliefs: [...learnt.beliefs].sort((a, b) => a.spread / a.prior - b.spread / b.prior),
    notApart: notApart(learnt),
    letGo: learnt.weights.flat().filter((w) => w < LET_GO).length,
  };
}
