import { brix, markerGPerL, massG, volumeMl } from '../liquor/composition.ts';
import { coldVolume, expansion } from '../liquor/water.ts';
import { levelM } from '../physics/vesselShape.ts';
import type { StepId, VesselId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Reading, Simulation, StepActual, TraceEntry } from '../program/model/simulation.ts';
import { draws } from '../program/model/stepFacts.ts';
import type { Step } from '../program/model/steps.ts';
import type { Vessel } from '../program/model/vessel.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { solidsInfo } from '../program/simulate/state.ts';
import { READING_SPREADS as SPREAD } from '../tables/readingSpreads.ts';
import type { Tables } from '../tables/types.ts';
import type { ReadingFactorId } from './priors.ts';
import type { OfPurchase } from './purchases.ts';
import { warmsOrCools, warmthAt } from './warmth.ts';

/** A batch that was made, as far as learning asks for it. */
export interface MadeBatch {
  id: string;
  /** When it was made. */
  atMs: number;
  /** As it was really made. */
  program: Program;
  actuals: Readonly<Record<StepId, StepActual>>;
  /** Of what it was made, where its cook has said from which packet or purchase it came. */
  madeFrom: readonly OfPurchase[];
  /** All that came out of it lies between these; null: the log does not say. */
  filledL: { least: number; most: number } | null;
  /** By the step that sweetens, how sweet it was when it was found about right, g in 100 g. */
  likedPct: Readonly<Record<StepId, number>>;
}

/** Something that was read of a batch, and how far such a reading may be off. */
export interface Read {
  what: 'minutes' | Reading['what'] | 'filled' | 'sweetness';
  stepId: StepId;
  /** The logarithm of what was read. */
  value: number;
  /** Standard deviation of that logarithm. */
  spread: number;
  /** What the model says of it, as its logarithm. */
  foreseen: (sim: Simulation) => number | null;
  /** It is read with something that may be off each time. */
  by: ReadingFactorId | null;
}

/** How far a reading of litres may be off, with what the model leaves out of them. */
const ofLitres = (...shares: number[]): number => Math.hypot(SPREAD.modelShare, ...shares);

/** Steps whose end the model foretells, where the cook's tap tells when it really came. */
const isTimed = (step: Step): boolean =>
  step.kind === 'heat' ||
  (step.kind === 'cool' && step.until.kind === 'temp') ||
  (step.kind === 'boil' && step.until.kind === 'down') ||
  (step.attention === 'handsOn' && step.until.kind === 'duration');

const log = (value: number): number | null => (value > 0 && Number.isFinite(value) ? Math.log(value) : null);

/** What a batch has to tell, from its own log: how long its steps took, and what was read of its litres. */
export function readsOf(batch: MadeBatch, tables: Tables): Read[] {
  return batch.program.steps
    .flatMap((step): Read[] => {
      const actual = batch.actuals[step.id];
      if (!actual || actual.skipped) return [];
      return [...minutesOf(step, actual), ...measuredIn(batch.program, step, actual, tables)];
    })
    .concat(filled(batch), endedAt(batch));
}

function minutesOf(step: Step, { startMin, endMin, untimed, adjustments }: StepActual): Read[] {
  if (startMin === undefined || endMin === undefined || untimed || !isTimed(step)) return [];
  // With another thing thrown in, or without a flame for a time, it does not get hot or cold as was foreseen.
  if (step.attention !== 'handsOn' && adjustments.some((a) => a.kind !== 'measured')) return [];
  const value = log(endMin - startMin);
  if (value === null) return [];
  const share = step.attention === 'handsOn' ? SPREAD.handworkShare : SPREAD.minutesShare;
  return [
    {
      what: 'minutes',
      stepId: step.id,
      value,
      spread: Math.hypot(share, SPREAD.tapMin / (endMin - startMin)),
      foreseen: (sim) => log(entryOf(sim, step.id)?.modelMin ?? 0),
      by: null,
    },
  ];
}

const entryOf = (sim: Simulation, stepId: StepId): TraceEntry | undefined =>
  sim.trace.find((t) => t.stepId === stepId);

/** A vessel within a step: what boils or stands changes evenly from its start to its end, what hands do is done at once. */
function standing(
  entry: TraceEntry,
  vesselId: VesselId,
  atMin: number,
): { vessel: Vessel; ml: number } | null {
  const after = entry.after.id === vesselId ? entry.after : entry.also.find((v) => v.id === vesselId);
  if (!after) return null;
  const ml = volumeMl(after.liquor);
  const before = entry.before.id === vesselId ? entry.before : null;
  const evenly = entry.kind === 'boil' || entry.kind === 'heat' || entry.kind === 'steep';
  if (!before || !evenly || entry.endMin <= entry.startMin) return { vessel: after, ml };
  const gone = Math.min(1, Math.max(0, (atMin - entry.startMin) / (entry.endMin - entry.startMin)));
  return { vessel: after, ml: volumeMl(before.liquor) * (1 - gone) + ml * gone };
}

function measuredIn(program: Program, step: Step, actual: StepActual, tables: Tables): Read[] {
  const specs = new Map(program.vessels.map((v) => [v.id, v]));
  return actual.adjustments.flatMap((a): Read[] => {
    if (a.kind !== 'measured') return [];
    const { vesselId, atMin, reading } = a;
    const at = (sim: Simulation) => {
      const entry = entryOf(sim, step.id);
      return entry ? standing(entry, vesselId, atMin) : null;
    };
    const base = { stepId: step.id, by: null };
    const read = readOf(reading, (of) => (sim) => {
      const there = at(sim);
      return there && log(of(there.vessel, there.ml));
    });
    return read ? [{ ...base, ...read }] : [];

    function readOf(
      r: Reading,
      foresee: (of: (vessel: Vessel, ml: number) => number) => Read['foreseen'],
    ): (Omit<Read, 'stepId' | 'by'> & { by?: ReadingFactorId }) | null {
      const shape = specs.get(vesselId)?.shape ?? null;
      switch (r.what) {
        case 'volume': {
          const value = log(coldVolume(r.volumeL * 1000, r.atC));
          return value === null
            ? null
            : {
                what: 'volume',
                value,
                spread: ofLitres(SPREAD.jugShare),
                foreseen: foresee((_, ml) => ml),
                by: 'jug',
              };
        }
        case 'level': {
          const value = log(r.levelCm);
          if (value === null || !shape) return null;
          const levelCm = (vessel: Vessel, ml: number) => {
            const solidsMl = solidsInfo({ tables }, vessel).volumeMl;
            return levelM(ml * expansion(r.atC) + solidsMl, shape.diameterM) * 100;
          };
          return {
            what: 'level',
            value,
            spread: ofLitres(SPREAD.levelCm / r.levelCm),
            foreseen: foresee(levelCm),
          };
        }
        case 'mass': {
          const kg = r.massKg - (r.withVessel ? (specs.get(vesselId)?.massG ?? 0) / 1000 : 0);
          const value = log(kg);
          const massKg = (vessel: Vessel, ml: number) => {
            const { liquor } = vessel;
            // Between its two ends a pot has lost water, as much as it has lost of its litres.
            return (massG(liquor) + (ml - volumeMl(liquor)) + solidsInfo({ tables }, vessel).massG) / 1000;
          };
          return value === null
            ? null
            : { what: 'mass', value, spread: ofLitres(SPREAD.scaleShare), foreseen: foresee(massKg) };
        }
        case 'brix': {
          const value = log(r.brix);
          return value === null
            ? null
            : { what: 'brix', value, spread: SPREAD.brix / r.brix, foreseen: foresee((v) => brix(v.liquor)) };
        }
        case 'red': {
          // While the drink draws it grows redder, and by no straight line.
          const { startMin = 0, endMin = Number.POSITIVE_INFINITY } = actual;
          if (draws(step) && endMin - atMin > STILL_DRAWING * (endMin - startMin)) return null;
          const value = log(r.redGPerL);
          const redGPerL = (v: Vessel) => markerGPerL(v.liquor, 'red');
          return value === null
            ? null
            : {
                what: 'red',
                value,
                spread: SPREAD.pictureShare,
                foreseen: foresee(redGPerL),
                by: 'pictures',
              };
        }
        case 'temperature': {
          const { startMin, untimed, adjustments } = actual;
          if (startMin === undefined || untimed || !warmsOrCools(step)) return null;
          // What was thrown in, or a flame that went out, makes another course of it.
          if (adjustments.some((other) => other.kind !== 'measured' && other.atMin <= atMin)) return null;
          const value = log(r.tempC);
          return value === null || atMin - startMin < SPREAD.tapMin
            ? null
            : {
                what: 'temperature',
                value,
                spread: SPREAD.warmthC / r.tempC,
                foreseen: (sim) => {
                  const entry = entryOf(sim, step.id);
                  return entry?.vesselId === vesselId ? log(warmthAt(entry, atMin - startMin) ?? 0) : null;
                },
              };
        }
        case 'pH':
          // It hangs on the acids and the water of one batch. No factor of a kitchen moves it by more than two thousandths
          // of itself, and it is read to within a thirtieth: it would tell nothing.
          return null;
      }
    }
  });
}

/** With more than this share of a step to come, what is drawn in it is still too little to tell of its end. */
const STILL_DRAWING = 0.15;

/** Anywhere between two ends with the same chance: so much of what lies between is one standard deviation. */
const EVENLY = 1 / Math.sqrt(12);

function filled({ program, filledL }: MadeBatch): Read[] {
  const last = program.steps.findLast((s) => s.kind === 'bottle');
  if (!last || !filledL) return [];
  const { least, most } = filledL;
  const value = log((least + most) / 2);
  if (value === null) return [];
  return [
    {
      what: 'filled',
      stepId: last.id,
      value,
      spread: ofLitres(SPREAD.filledShare, (EVENLY * (most - least) * 2) / (least + most)),
      foreseen: (sim) => log(finishedL(sim)),
      by: null,
    },
  ];
}

/** How sweet it was when it was found about right, against what was aimed for. */
const endedAt = ({ program, likedPct }: MadeBatch): Read[] =>
  program.steps.flatMap((step): Read[] => {
    const pct = likedPct[step.id];
    const value = step.kind === 'sweeten' && pct !== undefined ? log(pct) : null;
    if (step.kind !== 'sweeten' || value === null) return [];
    const aimed = log(step.targetSweetnessPct);
    const by = 'sweet';
    return [
      { what: 'sweetness', stepId: step.id, value, spread: SPREAD.tasteShare, foreseen: () => aimed, by },
    ];
  });
