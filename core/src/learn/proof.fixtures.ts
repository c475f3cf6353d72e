import type { Simulation } from '../program/model/simulation.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { READING_SPREADS } from '../tables/readingSpreads.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { EIGHT_OF_TEN, learntOf, spreadOf } from './forecast.ts';
import { type HiddenBatch, type HiddenKitchen, hiddenKitchen } from './hiddenKitchens.fixtures.ts';
import { priorSpread } from './priors.ts';
import { type Beliefs, type Evidence, solveBeliefs } from './solve.ts';

/** After so many batches a kitchen is asked what it has learnt. */
const AFTER = 5;

const priorOf = (id: Parameters<typeof priorSpread>[0]) => priorSpread(id, TABLES);
const solve = (evidence: readonly Evidence[]) => solveBeliefs(evidence, { priorOf, nowMs: null });
const litresOf = (sim: Simulation) => Math.log(finishedL(sim));
const minutesOf = (sim: Simulation) => Math.log(sim.endMin);

export interface LearningFigures {
  kitchens: number;
  /** Median error of batches of drinks that were made before, as a share: by the book, and as learnt. */
  litres: { book: number; learnt: number };
  hours: { book: number; learnt: number };
  /** The same after the last batch, of kitchens twice as odd as the priors. */
  odd: { kitchens: number; litres: number; hours: number };
  /** How many batches came to lie within the range of eight in ten. */
  within: { litres: number; hours: number };
  /** Share of blunders that move a forecast by at most two per cent. */
  blunder: { litres: number; hours: number };
  /** How long an update took, ms: half of them, ninety-nine of a hundred, all of them. The first ones find cold code. */
  updateMs: { half: number; most: number; all: number };
}

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
}
const median = (values: readonly number[]): number => quantile(values, 0.5);

/** What is foretold of a batch before it is made, and how it came out. */
function foretold(batch: HiddenBatch, beliefs: Beliefs) {
  const sim = simulateBatch(batch.program, KITCHEN, TABLES, { factors: learntOf(beliefs).factors });
  return {
    litres: Math.log(batch.litres) - litresOf(sim),
    minutes: Math.log(batch.minutes) - minutesOf(sim),
  };
}

/** Handwork varies by itself: what that does to the whole. */
function handworkSpread(batch: HiddenBatch, beliefs: Beliefs): number {
  const sim = simulateBatch(batch.program, KITCHEN, TABLES, { factors: learntOf(beliefs).factors });
  const byHand = new Set(batch.program.steps.filter((s) => s.attention === 'handsOn').map((s) => s.id));
  const squares = sim.trace
    .filter((t) => byHand.has(t.stepId))
    .reduce((sum, t) => sum + ((t.endMin - t.startMin) * READING_SPREADS.handworkShare) ** 2, 0);
  return Math.sqrt(squares) / sim.endMin;
}

/** One reading of the last batch misread. */
function withBlunder(evidence: readonly Evidence[], pick: number): Evidence[] {
  const last = evidence.at(-1)!;
  const index = Math.floor(pick * last.residuals.length);
  const by = (pick * 7919) % 1 < 0.5 ? Math.log(1.3) : -Math.log(1.3);
  const residuals = last.residuals.map((r, i) => (i === index ? { ...r, value: r.value + by } : r));
  return [...evidence.slice(0, -1), { ...last, residuals }];
}

/**
 * Kitchens whose constants are hidden, drawn from the priors, each of which makes eight batches of two or three drinks with
 * noisy readings, one in twelve of them a blunder. What is learnt from the first of them is held against those after.
 */
export function proveLearning(seed: number, kitchens: number): LearningFigures {
  const errors = {
    bookL: [] as number[],
    learntL: [] as number[],
    bookH: [] as number[],
    learntH: [] as number[],
  };
  const odd = { kitchens: 0, litres: [] as number[], hours: [] as number[] };
  const within = { litres: [] as boolean[], hours: [] as boolean[] };
  const moved = { litres: [] as number[], hours: [] as number[] };
  const tookMs: number[] = [];
  for (let i = 0; i < kitchens; i++) {
    const kitchen: HiddenKitchen = hiddenKitchen(seed * 10_007 + i);
    const evidence = kitchen.batches.map((b) => b.evidence);
    for (let n = AFTER; n < kitchen.batches.length; n++) {
      const batch = kitchen.batches[n]!;
      if (!kitchen.batches.slice(0, n).some((b) => b.drink === batch.drink)) continue;
      const beganMs = performance.now();
      const learnt = solve(evidence.slice(0, n));
      tookMs.push(performance.now() - beganMs);
      const book = foretold(batch, {
        beliefs: [],
        free: [],
        covariance: [],
        courses: new Map(),
        weights: [],
      });
      const now = foretold(batch, learnt);
      errors.bookL.push(Math.abs(book.litres));
      errors.learntL.push(Math.abs(now.litres));
      errors.bookH.push(Math.abs(book.minutes));
      errors.learntH.push(Math.abs(now.minutes));
      const spread = (figure: (sim: Simulation) => number) =>
        spreadOf(batch.program, KITCHEN, TABLES, figure, learnt, priorOf);
      if (kitchen.odd === 1) {
        within.litres.push(
          Math.abs(now.litres) <= EIGHT_OF_TEN * Math.hypot(spread(litresOf), READING_SPREADS.modelShare),
        );
        within.hours.push(
          Math.abs(now.minutes) <=
            EIGHT_OF_TEN * Math.hypot(spread(minutesOf), handworkSpread(batch, learnt)),
        );
      } else {
        odd.litres.push(Math.abs(now.litres));
        odd.hours.push(Math.abs(now.minutes));
      }
      const wrong = solve(withBlunder(evidence.slice(0, n), ((i * 37 + n * 11) % 101) / 101));
      const then = foretold(batch, wrong);
      moved.litres.push(Math.abs(then.litres - now.litres));
      if (n > AFTER) moved.hours.push(Math.abs(then.minutes - now.minutes));
    }
    if (kitchen.odd > 1) odd.kitchens++;
  }
  const share = (values: readonly boolean[]) => values.filter(Boolean).length / Math.max(1, values.length);
  return {
    kitchens,
    litres: { book: median(errors.bookL), learnt: median(errors.learntL) },
    hours: { book: median(errors.bookH), learnt: median(errors.learntH) },
    odd: { kitchens: odd.kitchens, litres: median(odd.litres), hours: median(odd.hours) },
    within: { litres: share(within.litres), hours: share(within.hours) },
    blunder: {
      litres: share(moved.litres.map((m) => m <= 0.02)),
      hours: share(moved.hours.map((m) => m <= 0.02)),
    },
    updateMs: { half: quantile(tookMs, 0.5), most: quantile(tookMs, 0.99), all: quantile(tookMs, 1) },
  };
}
