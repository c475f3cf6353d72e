import type { Kitchen } from '../documents/kitchen.ts';
import type { LearningChoices, Learnt } from '../documents/learning.ts';
import type { Tables } from '../tables/types.ts';
import { type NotApart, notApart } from './apart.ts';
import { learntOf } from './forecast.ts';
import { type LearntId, priorSpread } from './priors.ts';
import { purchasesInTheHouse } from './purchases.ts';
import { type MadeBatch, readsOf } from './readings.ts';
import { residualsOf } from './sensitivities.ts';
import { type Belief, type Believed, type Evidence, solveBeliefs } from './solve.ts';

/** A batch with what was pinned to it. */
export interface PinnedMade {
  made: MadeBatch;
  kitchen: Kitchen;
  tables: Tables;
}

export interface BeliefWithCourse extends Belief {
  held: boolean;
  /** The first batch first. */
  course: readonly Believed[];
}

/** What a kitchen's batches have told of it. */
export interface WhatIsLearnt {
  /** What is known best, against what was known before, first. */
  beliefs: readonly BeliefWithCourse[];
  notApart: readonly NotApart[];
  /** Readings that count for next to nothing, for all others say otherwise. */
  letGo: number;
  /** What plans count with. */
  learnt: Omit<Learnt, 'version'>;
}

/** A reading counts for next to nothing below this weight. */
const LET_GO = 0.05;
/** How a belief came about is told over so many batches, the newest. */
const COURSE = 24;

/** What one batch tells, against the book. */
export const evidenceOf = ({ made, kitchen, tables }: PinnedMade): Evidence => ({
  batchId: made.id,
  atMs: made.atMs,
  residuals: residualsOf(made, readsOf(made, tables), kitchen, tables),
});

/**
 * What the batches that count have told of their kitchen, all of them solved together from the prior.
 * @param evidence of every batch that was made, in any order. @param tables for the priors.
 */
export function learnFrom(
  evidence: readonly Evidence[],
  { held, forgotten, sinceMs }: LearningChoices,
  tables: Tables,
  nowMs: number,
): WhatIsLearnt {
  const away = new Set(forgotten);
  const counted = evidence
    .filter((e) => e.residuals.length > 0 && !away.has(e.batchId) && e.atMs >= (sinceMs ?? 0))
    .sort((a, b) => a.atMs - b.atMs);
  const options = {
    priorOf: (id: LearntId) => priorSpread(id, tables),
    nowMs,
    courseOver: COURSE,
    held: new Map(held.map(({ id, factor }) => [id as LearntId, Math.log(factor)])),
  };
  const all = solveBeliefs(counted, options);
  // What is held counts also where no batch tells of it.
  const named = new Set(all.beliefs.map((b) => b.id));
  const unread = [...options.held].flatMap(([id, mean]): Belief[] =>
    named.has(id) ? [] : [{ id, mean, spread: 0, prior: options.priorOf(id), batchIds: [] }],
  );
  const beliefs = [...all.beliefs, ...unread];
  return {
    beliefs: beliefs
      .map((b) => ({ ...b, held: options.held.has(b.id), course: all.courses.get(b.id) ?? [] }))
      .sort((a, b) => a.spread / a.prior - b.spread / b.prior),
    notApart: notApart(all),
    letGo: all.weights.flat().filter((w) => w < LET_GO).length,
    learnt: learntOf({ ...all, beliefs }, purchasesInTheHouse(counted)),
  };
}
