import { volumeMl } from '../../../liquor/composition.ts';
import type { Said } from '../../../units/result.ts';
import { factorOf } from '../../model/factors.ts';
import type { Adjustment, StepActual } from '../../model/simulation.ts';
import type { Step } from '../../model/steps.ts';
import type { Vessel } from '../../model/vessel.ts';
import { isPot } from '../../model/vessels.ts';
import { advanceOthers, type Recorder } from '../evolve.ts';
import { adjust } from '../readings.ts';
import { type SimState, StepStop, vesselOf } from '../state.ts';

/** What one step is given besides the state. */
export interface StepRun {
  actual: StepActual | undefined;
  /** Length by the clock, where the log has one. */
  actualMin: number | null;
  /** Stop after so many minutes: the moment that is asked about lies inside this step. */
  stopAfterMin: number | null;
  lived: Recorder;
  /** The power is off, or the gas: nothing heats until it is back. */
  flameOut: boolean;
  notes: Said[];
  /** How long the model gave the step at its start; null before. */
  modelMin: number | null;
  dosedG: Record<string, number>;
}

const plannedMin = (step: Step): number =>
  step.until.kind === 'duration' ? step.until.minutes : step.until.kind === 'cue' ? step.until.expectMin : 0;

export const firstOf = (ids: readonly string[]): string | undefined => ids[0];

/** Minutes this step takes: by the clock, else as planned; cut short where the question lies inside it. */
function lengthOf(run: StepRun, predictedMin: number): number {
  const whole = Math.max(0, run.actualMin ?? Math.max(predictedMin, run.actual?.atLeastMin ?? 0));
  return run.stopAfterMin === null
    ? whole
    : Math.min(run.stopAfterMin, run.actualMin ?? Number.POSITIVE_INFINITY);
}

/**
 * Runs a step's time in pieces between the things that happened in it. `remainingMin` says how long it still takes as
 * things stand; `piece` moves the vessel of the step; everything else stands where it stands.
 */
export function inPieces(
  sim: SimState,
  step: Step,
  run: StepRun,
  busy: ReadonlySet<string>,
  remainingMin: (goneMin: number) => number,
  piece: (minutes: number, goneMin: number) => void,
): void {
  const startMin = sim.nowMin;
  const stopped = run.stopAfterMin !== null;
  run.modelMin ??= remainingMin(0);
  let goneMin = 0;
  // Asked again after everything that happened: a temperature read in between moves the end.
  const wholeMin = () =>
    lengthOf(run, run.flameOut ? Number.POSITIVE_INFINITY : goneMin + remainingMin(goneMin));
  const move = (toMin: number) => {
    const length = toMin - goneMin;
    if (length <= 0) return;
    advanceOthers(sim, step.id, busy, length);
    piece(length, goneMin);
    goneMin = toMin;
    sim.nowMin = startMin + goneMin;
  };
  for (const a of inOrder(run.actual?.adjustments)) {
    const dueMin = a.atMin - startMin;
    const endMin = wholeMin();
    if (stopped && dueMin > endMin) break;
    move(Math.min(Math.max(dueMin, goneMin), endMin));
    if (a.kind === 'flame') run.flameOut = !a.on;
    else adjust(sim, step, a);
  }
  // As far as anybody knows it comes back now.
  if (!stopped) run.flameOut = false;
  move(wholeMin());
}

/** Minutes without a flame that a step still has before it, from a minute of it on. */
export function flameOutAheadMin(run: StepRun, startMin: number, fromMin: number): number {
  let outSince: number | null = run.flameOut ? fromMin : null;
  let out = 0;
  for (const a of inOrder(run.actual?.adjustments)) {
    const atMin = a.atMin - startMin;
    if (a.kind !== 'flame' || atMin < fromMin) continue;
    if (!a.on) outSince ??= atMin;
    else if (outSince !== null) {
      out += atMin - outSince;
      outSince = null;
    }
  }
  return out;
}

/** A planned length, less what has gone by. */
export const plannedRemaining =
  (step: Step) =>
  (goneMin: number): number =>
    plannedMin(step) - goneMin;

const inOrder = (adjustments: readonly Adjustment[] | undefined): Adjustment[] =>
  adjustments ? [...adjustments].sort((a, b) => a.atMin - b.atMin) : [];

/** Time passes while hands work; nothing is heated. Things that happened are applied when they happened. */
export function handWork(sim: SimState, step: Step, run: StepRun): void {
  const wholeMin = plannedMin(step) * factorOf(sim.factors, 'minutes', step.kind);
  const remainingMin = (goneMin: number) => wholeMin - goneMin;
  inPieces(sim, step, run, new Set(), remainingMin, () => undefined);
}

/** Time until a minute of the batch, in which nothing is done: everything stands where it stands. */
export function passUntil(sim: SimState, stepId: string, atMin: number): void {
  const gapMin = atMin - sim.nowMin;
  if (gapMin <= 0) return;
  advanceOthers(sim, stepId, new Set(), gapMin);
  sim.nowMin = atMin;
}

/** A step that was skipped: its time goes by all the same, and what happened meanwhile has happened. */
export function standBy(sim: SimState, step: Step, run: StepRun): void {
  inPieces(
    sim,
    step,
    run,
    new Set(),
    (goneMin) => Math.max(0, (run.actualMin ?? 0) - goneMin),
    () => undefined,
  );
}

/** The pots that a step is about, where several stand side by side; of any other step its one vessel. */
export function wetVessels(sim: SimState, step: Step): Vessel[] {
  if (step.from.length < 2 || !step.from.every(isPot)) return [wetVessel(sim, step)];
  return step.from.map((id) => wetVessel(sim, { ...step, from: [id] }));
}

export function wetVessel(sim: SimState, step: Step): Vessel {
  const vessel = vesselOf(sim, step.id, firstOf(step.from) ?? firstOf(step.to));
  if (volumeMl(vessel.liquor) < 1)
    throw new StepStop({ kind: 'emptyVessel', stepId: step.id, vesselId: vessel.id });
  return vessel;
}
