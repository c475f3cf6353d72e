import type { Kitchen } from '../documents/kitchen.ts';
import type { FactorId } from '../program/model/factors.ts';
import type { StepId, VesselId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Reading } from '../program/model/simulation.ts';
import { isPot } from '../program/model/vessels.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import { priorSpread } from './priors.ts';
import { type Read, readsOf } from './readings.ts';
import { type Moves, movesOf } from './sensitivities.ts';

/** What is read of what stands in a vessel and may be asked about. */
export type ReadKind = 'volume' | 'level' | 'mass';

/** The reading that tells most of the kitchen: where and when it is taken. */
export interface ReadingToTake {
  stepId: StepId;
  vesselId: VesselId;
  /** How much of what it shows is the kitchen's own and not how well it is read, 0 to 1. */
  share: number;
}

/** What tells less than this is not asked for. */
const WORTH = 0.35;
/** Read this far from what was foretold, in standard deviations, it is asked about. */
const ODD = 2;

/** How far a factor may be off in the next batch: as it was learnt here, else by the book. */
const spreadIn = (kitchen: Kitchen, tables: Tables, id: FactorId): number =>
  kitchen.learnt?.spreads[id] ?? priorSpread(id, tables);

/** A reading at the end of a step that says what the model says, as evidence of it. */
function readAtEnd(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  stepId: StepId,
  vesselId: VesselId,
  what: ReadKind,
): Read | null {
  const sim = simulateBatch(program, kitchen, tables);
  const entry = sim.trace.find((t) => t.stepId === stepId);
  if (!entry) return null;
  const { now } = entry;
  const readings: Record<ReadKind, Reading | null> = {
    volume: { what: 'volume', volumeL: now.volumeL, atC: 20 },
    level: now.levelCm === null ? null : { what: 'level', levelCm: now.levelCm, atC: now.tempC },
    mass: { what: 'mass', massKg: now.massG / 1000, withVessel: false },
  };
  const reading = readings[what];
  if (!reading) return null;
  const atMin = entry.endMin;
  const actual = {
    startMin: entry.startMin,
    endMin: entry.endMin,
    adjustments: [{ kind: 'measured' as const, atMin, vesselId, reading }],
  };
  const batch = {
    id: '',
    atMs: 0,
    program,
    actuals: { [stepId]: actual },
    filledL: null,
    likedPct: {},
    madeFrom: [],
  };
  return readsOf(batch, tables).find((r) => r.what === what) ?? null;
}

/** How far a figure may be off by what is not known of the kitchen: its variance. */
const varianceOf = (moves: Moves, kitchen: Kitchen, tables: Tables): number => {
  let sum = 0;
  for (const [id, by] of moves) sum += (by * spreadIn(kitchen, tables, id)) ** 2;
  return sum;
};

/**
 * The height in the pot before it is strained, where it is worth asking for: it tells what steamed off from what stays in
 * the sieve. Null where the kitchen knows itself well enough, or nothing is strained out of a pot.
 */
export function readingToTake(program: Program, kitchen: Kitchen, tables: Tables): ReadingToTake | null {
  const strainAt = program.steps.findIndex((s) => s.kind === 'strain' && s.from.some(isPot));
  const vesselId = program.steps[strainAt]?.from.find(isPot);
  if (vesselId === undefined) return null;
  const step = program.steps.slice(0, strainAt).findLast((s) => s.from.includes(vesselId));
  if (!step) return null;
  const read = readAtEnd(program, kitchen, tables, step.id, vesselId, 'level');
  if (!read) return null;
  const [moves] = movesOf(program, kitchen, tables, [read.foreseen]);
  const open = varianceOf(moves!, kitchen, tables);
  const share = open / (open + read.spread ** 2);
  return share >= WORTH ? { stepId: step.id, vesselId, share } : null;
}

/**
 * How far what is read at a step may lie from what was foretold, as the standard deviation of its logarithm: by what is not
 * known of the kitchen, and how well it is read. Null where such a thing is not read there.
 */
export function readingSpread(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  stepId: StepId,
  vesselId: VesselId,
  what: ReadKind,
): number | null {
  const read = readAtEnd(program, kitchen, tables, stepId, vesselId, what);
  if (!read) return null;
  const [moves] = movesOf(program, kitchen, tables, [read.foreseen]);
  return Math.sqrt(varianceOf(moves!, kitchen, tables) + read.spread ** 2);
}

/** Whether a reading is so far from what was foretold that it is asked about. */
export const isOdd = (read: number, foretold: number, spread: number): boolean =>
  read > 0 && foretold > 0 && Math.abs(Math.log(read / foretold)) > ODD * spread;
