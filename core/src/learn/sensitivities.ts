import type { Kitchen } from '../documents/kitchen.ts';
import { byTheBook, type FactorId } from '../program/model/factors.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { unread } from '../program/simulate/readings.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import { factorsIn } from './priors.ts';
import { type OfPurchase, type PurchaseId, purchaseId } from './purchases.ts';
import type { MadeBatch, Read } from './readings.ts';

/** By how much a factor is moved to see what follows, of its logarithm. */
const MOVED = 0.05;
/** Smaller than this is rounding. */
const NOTHING = 1e-6;

/** By how much the logarithm of a figure moves for each of a factor's; what does not move it is not named. */
export type Moves = ReadonlyMap<FactorId, number>;
/** The same with what a purchase does: as much as its ingredient's own. */
export type MovesWithPurchases = ReadonlyMap<FactorId | PurchaseId, number>;

/** What was read of a batch against the model alone, and what each factor does to it. */
export interface Residual {
  read: Pick<Read, 'what' | 'stepId' | 'spread' | 'by'>;
  /** The logarithm of what was read over what the book foretells. */
  value: number;
  moves: MovesWithPurchases;
}

/** A program by the book, and with each factor moved by a little. */
interface Runs {
  kitchen: Kitchen;
  tables: Tables;
  book: Simulation;
  moved: ReadonlyMap<FactorId, Simulation>;
}

/** Full runs are dear, and a plan asks for some dozens: they are kept as long as it is. */
const kept = new WeakMap<Program, Runs>();

function runsOf(program: Program, kitchen: Kitchen, tables: Tables): Runs {
  const known = kept.get(program);
  if (known && known.kitchen === kitchen && known.tables === tables) return known;
  const plain = byTheBook(kitchen);
  const moved = new Map(
    factorsIn(program, kitchen, tables).map((id) => [
      id,
      simulateBatch(program, plain, tables, { factors: { [id]: Math.exp(MOVED) } }),
    ]),
  );
  const runs = { kitchen, tables, book: simulateBatch(program, plain, tables), moved };
  kept.set(program, runs);
  return runs;
}

/** How the logarithms of some figures of a program move with each factor, around the book's values. */
export function movesOf(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  figures: readonly ((sim: Simulation) => number | null)[],
): Moves[] {
  const { book, moved } = runsOf(program, kitchen, tables);
  return figures.map((figure) => {
    const was = figure(book);
    const moves = new Map<FactorId, number>();
    if (was === null) return moves;
    for (const [id, sim] of moved) {
      const value = figure(sim);
      const by = value === null ? 0 : (value - was) / MOVED;
      if (Math.abs(by) > NOTHING) moves.set(id, by);
    }
    return moves;
  });
}

/**
 * What a batch tells of the kitchen's factors: what was read of it over what the model makes of what really happened,
 * by the book and without any reading.
 */
export function residualsOf(
  batch: MadeBatch,
  reads: readonly Read[],
  kitchen: Kitchen,
  tables: Tables,
): Residual[] {
  const { program } = batch;
  const sim = simulateBatch(program, byTheBook(kitchen), tables, { actuals: unread(batch.actuals) });
  const moves = movesOf(
    program,
    kitchen,
    tables,
    reads.map((r) => r.foreseen),
  );
  return reads.flatMap(({ what, stepId, spread, by, value, foreseen }, i): Residual[] => {
    const foretold = foreseen(sim);
    return foretold === null
      ? []
      : [
          {
            read: { what, stepId, spread, by },
            value: value - foretold,
            moves: withPurchases(moves[i]!, batch.madeFrom),
          },
        ];
  });
}

function withPurchases(moves: Moves, madeFrom: readonly OfPurchase[]): MovesWithPurchases {
  const all = new Map<FactorId | PurchaseId, number>(moves);
  for (const one of madeFrom) {
    const by = moves.get(`potency:${one.itemId}`);
    if (by !== undefined) all.set(purchaseId(one), by);
  }
  return all;
}
