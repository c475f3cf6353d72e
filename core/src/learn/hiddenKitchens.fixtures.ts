import { randomLcg, randomNormal } from 'd3-random';
import { volumeMl } from '../liquor/composition.ts';
import { expansion } from '../liquor/water.ts';
import { levelM } from '../physics/vesselShape.ts';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import type { FactorId } from '../program/model/factors.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import type { Adjustment, Simulation, StepActual, TraceEntry } from '../program/model/simulation.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { simulateBatch, vesselNow } from '../program/simulate/simulate.ts';
import { READING_SPREADS } from '../tables/readingSpreads.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { factorsIn, type LearntId, priorSpread } from './priors.ts';
import { type MadeBatch, readsOf } from './readings.ts';
import { residualsOf } from './sensitivities.ts';
import { type Evidence, SCATTER } from './solve.ts';

/** Drinks that the hidden kitchens make. */
const DRINKS: (() => PlannedProgram)[] = [
  () => plannedDrink('deep-calyx-ginger', 'straightBoil', 8),
  () => plannedDrink('deep-calyx-ginger', 'shortBoilLongSteep', 8),
  () => plannedDrink('calyx-pineapple', 'straightBoil', 7),
  () => plannedDrink('deep-calyx-ginger', 'longSimmer', 6),
  () => plannedDrink('calyx-pineapple', 'shortBoilLongSteep', 9),
];
const known = new Map<number, PlannedProgram>();
const drinkAt = (index: number): PlannedProgram => {
  const there = known.get(index);
  if (there) return there;
  const made = DRINKS[index]!();
  known.set(index, made);
  return made;
};

type Factors = Partial<Record<FactorId, number>>;

/** A batch of a hidden kitchen: what happened, what was read of it, and how it really was. */
export interface HiddenBatch {
  program: PlannedProgram;
  drink: number;
  made: MadeBatch;
  evidence: Evidence;
  litres: number;
  minutes: number;
}

export interface HiddenKitchen {
  /** By how much farther than the priors say it may be off. */
  odd: number;
  /** The logarithms of its factors. */
  truth: ReadonlyMap<LearntId, number>;
  batches: readonly HiddenBatch[];
}

export interface Hiding {
  batches: number;
  /** A reading in so many is a blunder; 0: none. */
  blunderIn: number;
  /** By how much a blunder is off. */
  blunder: number;
  /** Heights are read to the millimetre before the straining. */
  heights: boolean;
  /** What is so for certain, by logarithm: for examples by hand. */
  truth?: ReadonlyMap<LearntId, number>;
  /** The only drink that is made. */
  drink?: number;
  /** Nothing scatters and nothing is misread. */
  exact?: boolean;
}
export const USUAL: Hiding = { batches: 8, blunderIn: 12, blunder: 1.3, heights: true };

/** A kitchen drawn from the priors, a tenth of them from twice their spreads, and the batches that it makes. */
export function hiddenKitchen(seed: number, options: Partial<Hiding> = {}): HiddenKitchen {
  const how = { ...USUAL, ...options };
  const random = randomLcg(((seed * 2_654_435_761) % 2 ** 32) / 2 ** 32);
  const normal = randomNormal.source(random)(0, 1);
  for (let i = 0; i < 5; i++) random();
  const odd = random() < 0.1 ? 2 : 1;
  const truth = new Map<LearntId, number>();
  const hidden = (id: LearntId): number => {
    const there = how.truth ? (how.truth.get(id) ?? 0) : truth.get(id);
    if (there !== undefined) return there;
    const drawn = odd * priorSpread(id, TABLES) * normal();
    truth.set(id, drawn);
    return drawn;
  };
  const many = 2 + Math.floor(random() * 2);
  const drinks = Array.from({ length: many }, () => how.drink ?? Math.floor(random() * DRINKS.length));
  const noise = (spread: number): number => (how.exact ? 0 : spread * normal());
  const batches: HiddenBatch[] = [];
  while (batches.length < how.batches) {
    const drink = drinks[Math.floor(random() * many)]!;
    const program = drinkAt(drink);
    const ids = factorsIn(program, KITCHEN, TABLES);
    const factors: Factors = Object.fromEntries(
      ids.map((id) => [id, Math.exp(hidden(id) + noise(SCATTER * priorSpread(id, TABLES)))]),
    );
    const sim = simulateBatch(program, KITCHEN, TABLES, { factors });
    // A ring so weak that it never boils is told at once, and nothing is made.
    if (sim.problem) {
      if (how.truth) throw new Error(sim.problem.kind);
      truth.clear();
      batches.length = 0;
      continue;
    }
    const id = `batch-${batches.length}`;
    const slip = () =>
      how.blunderIn > 0 && random() < 1 / how.blunderIn
        ? random() < 0.5
          ? how.blunder
          : 1 / how.blunder
        : 1;
    const { actuals, minutes } = logged(program, sim, how, noise, slip, hidden('jug'));
    const litres = finishedL(sim);
    const made: MadeBatch = {
      id,
      atMs: batches.length * 7 * 24 * 3_600_000,
      program,
      actuals,
      likedPct: {},
      madeFrom: [],
      filledL: inBottles(litres * Math.exp(noise(READING_SPREADS.filledShare)) * slip(), how),
    };
    const residuals = residualsOf(made, readsOf(made, TABLES), KITCHEN, TABLES);
    batches.push({
      program,
      drink,
      made,
      evidence: { batchId: id, atMs: made.atMs, residuals },
      litres,
      minutes,
    });
  }
  return { odd, truth, batches };
}

/** Bottles of three quarters of a litre; what fills no more of them is told by nobody. */
const BOTTLE_L = 0.72;
function inBottles(litres: number, { exact }: Hiding): { least: number; most: number } {
  if (exact) return { least: litres, most: litres };
  const least = Math.floor(litres / BOTTLE_L) * BOTTLE_L;
  return { least, most: least + BOTTLE_L };
}

/** What a log would hold of a batch: when each step began and ended by the taps, and what was read. */
function logged(
  program: PlannedProgram,
  sim: Simulation,
  how: Hiding,
  noise: (spread: number) => number,
  slip: () => number,
  jug: number,
): { actuals: Record<string, StepActual>; minutes: number } {
  const steps = new Map(program.steps.map((s) => [s.id, s]));
  const actuals: Record<string, StepActual> = {};
  let nowMin = 0;
  let trueMin = 0;
  for (const [i, entry] of sim.trace.entries()) {
    const step = steps.get(entry.stepId)!;
    const handwork = step.attention === 'handsOn';
    const length = entry.endMin - entry.startMin;
    const really = length * (handwork ? Math.exp(noise(READING_SPREADS.handworkShare)) : 1);
    trueMin += really;
    // A tap forgotten for a time is seen in a step of the model's: the next one begins at the tap.
    const forgotten = handwork || step.until.kind === 'temp' ? slip() : 1;
    const endMin = nowMin + Math.max(0.2, really * forgotten + noise(READING_SPREADS.tapMin));
    const adjustments: Adjustment[] = [];
    if (how.heights && sim.trace[i + 1]?.kind === 'strain') {
      const shape = program.vessels.find((v) => v.id === entry.vesselId)?.shape;
      if (shape) {
        const { tempC } = entry.now;
        const levelCm = levelOf(program, entry, shape.diameterM) + noise(READING_SPREADS.levelCm);
        adjustments.push({
          kind: 'measured',
          atMin: endMin,
          vesselId: entry.vesselId,
          reading: { what: 'level', levelCm: levelCm * slip(), atC: tempC },
        });
      }
    }
    if (entry.kind === 'strain') {
      const volumeL = (volumeMl(entry.after.liquor) * expansion(entry.now.tempC)) / 1000;
      adjustments.push({
        kind: 'measured',
        atMin: endMin,
        vesselId: entry.after.id,
        reading: {
          what: 'volume',
          volumeL: volumeL * Math.exp(jug + noise(READING_SPREADS.jugShare)) * slip(),
          atC: entry.now.tempC,
        },
      });
    }
    // What was dosed by taste stands in the log.
    for (const [lineId, massG] of Object.entries(entry.dosedG)) {
      const line = program.lines.find((l) => l.id === lineId);
      if (line)
        adjustments.push({
          kind: 'added',
          atMin: (nowMin + endMin) / 2,
          vesselId: entry.before.id,
          lineKind: line.kind,
          itemId: line.itemId,
          lineId,
          massG,
        });
    }
    actuals[entry.stepId] = { startMin: nowMin, endMin, adjustments };
    nowMin = endMin;
  }
  return { actuals, minutes: trueMin };
}

function levelOf(program: PlannedProgram, entry: TraceEntry, diameterM: number): number {
  const specs = new Map(program.vessels.map((v) => [v.id, v]));
  const { hotVolumeL, solidsL } = vesselNow({ specs, tables: TABLES }, entry.after);
  return levelM((hotVolumeL + solidsL) * 1000, diameterM) * 100;
}
