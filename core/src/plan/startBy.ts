import type { StepId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import type { StepKind } from '../program/model/steps.ts';
import { MINUTE_MS } from '../units/time.ts';

/** A moment when the cook is needed. */
export interface AttendedInterval {
  stepId: StepId;
  kind: StepKind;
  startMs: number;
  endMs: number;
  attention: 'handsOn' | 'watched';
}

export interface Timetable {
  startMs: number;
  readyMs: number;
  /** Hands-on and watched stretches; steps that follow on directly are kept apart. */
  calls: AttendedInterval[];
  handsOnMin: number;
  totalMin: number;
}

/**
 * When to start so that the bottles are filled at `readyAtMs`: this batch's own durations from the trace, heat-up and
 * cooling included, chained backward from the end.
 */
export function startBy(
  program: Program,
  sim: Pick<Simulation, 'trace' | 'endMin'>,
  readyAtMs: number,
): Timetable {
  const startMs = readyAtMs - sim.endMin * MINUTE_MS;
  return timetableFrom(program, sim, startMs);
}

/** The same chain forward from a start. */
export function timetableFrom(
  program: Program,
  sim: Pick<Simulation, 'trace' | 'endMin'>,
  startMs: number,
): Timetable {
  const calls: AttendedInterval[] = [];
  let handsOnMin = 0;
  for (const entry of sim.trace) {
    const step = program.steps.find((s) => s.id === entry.stepId);
    if (!step || step.attention === 'unattended') continue;
    if (step.attention === 'handsOn') handsOnMin += entry.endMin - entry.startMin;
    calls.push({
      stepId: step.id,
      kind: step.kind,
      startMs: startMs + entry.startMin * MINUTE_MS,
      endMs: startMs + entry.endMin * MINUTE_MS,
      attention: step.attention,
    });
  }
  return { startMs, readyMs: startMs + sim.endMin * MINUTE_MS, calls, handsOnMin, totalMin: sim.endMin };
}
