import type { Kitchen } from '../documents/kitchen.ts';
import type { StepId } from '../program/model/ids.ts';
import type { Liquor } from '../program/model/liquor.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import type { Simulation, StepActual, StepProblem } from '../program/model/simulation.ts';
import type { Step } from '../program/model/steps.ts';
import { itemsIn } from '../program/model/tags.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import { MINUTE_MS } from '../units/time.ts';
import { tablesAsTasted } from './asTasted.ts';
import type { BatchLog, StepTimes } from './batchLog.ts';
import { EVENTS, type EventBody, type LogEvent } from './events/table.ts';
import { foldBatch } from './foldBatch.ts';

/** A clock of a step that is on: when it began, and the moments that matter. */
export interface StepClock {
  stepId: StepId;
  kind: 'timed' | 'expected';
  startMs: number;
  /** Best moment, or when the model expects it. */
  endMs: number;
  minMs: number | null;
  maxMs: number | null;
}

export interface BatchNow {
  log: BatchLog;
  /** The whole batch: what was, and what is still expected. */
  forecast: Simulation;
  /** The state of things at this moment; null before the start. */
  moment: Simulation | null;
  /** None while the flame is out: then it stands still. */
  clock: StepClock | null;
  /** Since when nothing heats the pot of the step that is on, and how long the step takes once it is back. */
  flameOut: { sinceMs: number; leftMin: number } | null;
}

/** When the flame of a step that is on went out, in minutes of the batch; null while it burns. */
function flameOutSince(actual: StepActual | undefined): number | null {
  let since: number | null = null;
  for (const a of [...(actual?.adjustments ?? [])].sort((x, y) => x.atMin - y.atMin)) {
    if (a.kind !== 'flame') continue;
    since = a.on ? null : (since ?? a.atMin);
  }
  return since;
}

/** When a step that is on is due, by its own length or by the model. */
function clockOf(
  step: Step,
  times: StepTimes,
  forecast: Simulation,
  overrun: boolean,
  lostFlame: boolean,
): StepClock | null {
  if (times.startMs === null) return null;
  const startMs = times.startMs;
  const entry = forecast.trace.find((t) => t.stepId === step.id);
  // What a power cut has cost is put to every moment of the clock.
  const cut =
    entry && step.until.kind === 'duration' && lostFlame
      ? entry.endMin - entry.startMin - step.until.minutes
      : 0;
  const at = (minutes: number) => startMs + (minutes + cut) * MINUTE_MS;
  if (step.until.kind === 'duration') {
    return {
      stepId: step.id,
      kind: 'timed',
      startMs,
      endMs: at(step.until.minutes),
      minMs: step.until.minMinutes === undefined ? null : at(step.until.minMinutes),
      maxMs: step.until.maxMinutes === undefined ? null : at(step.until.maxMinutes),
    };
  }
  if (!entry && !overrun) return null;
  const minutes = entry ? entry.endMin - entry.startMin : 0;
  return { stepId: step.id, kind: 'expected', startMs, endMs: at(minutes), minMs: null, maxMs: null };
}

/**
 * A batch at a moment: the log folded, the rest of the plan recomputed from it, the state of the pot right now and
 * the clock that runs. Clocks are computed from stored times, never counted.
 */
export function batchAt(
  planned: PlannedProgram,
  kitchen: Kitchen,
  pinned: Tables,
  events: readonly LogEvent[],
  nowMs: number,
): BatchNow {
  const log = foldBatch(planned, events);
  const { program } = log;
  const tables = tablesAsTasted(pinned, program, log.cues);
  const step = program.steps.find((s) => s.id === log.currentStepId);
  const nowMin = log.startedMs === null ? 0 : (nowMs - log.startedMs) / MINUTE_MS;
  const outSinceMin = step ? flameOutSince(log.actuals[step.id]) : null;
  // What is to come counts on the flame from now on; how it stands does not.
  const hoped =
    step && outSinceMin !== null
      ? {
          ...log.actuals,
          [step.id]: {
            ...log.actuals[step.id]!,
            adjustments: [
              ...log.actuals[step.id]!.adjustments,
              { kind: 'flame' as const, atMin: Math.max(nowMin, outSinceMin), on: true },
            ],
          },
        }
      : log.actuals;
  const clean = simulateBatch(program, kitchen, tables, { actuals: hoped });
  if (!step || log.startedMs === null)
    return { log, forecast: clean, moment: null, clock: null, flameOut: null };
  const current = hoped[step.id]!;
  const startMin = current.startMin ?? 0;
  const entry = clean.trace.find((t) => t.stepId === step.id);
  const overrun = entry !== undefined && nowMin > entry.endMin;
  const forecast = overrun
    ? simulateBatch(program, kitchen, tables, {
        actuals: { ...hoped, [step.id]: { ...current, atLeastMin: nowMin - startMin } },
      })
    : clean;
  const moment = simulateBatch(program, kitchen, tables, {
    actuals: log.actuals,
    stopAt: { stepId: step.id, atMin: Math.max(nowMin, startMin) },
  });
  const lostFlame = current.adjustments.some((a) => a.kind === 'flame');
  return {
    log,
    forecast,
    moment,
    clock: outSinceMin === null ? clockOf(step, log.steps[step.id]!, clean, overrun, lostFlame) : null,
    flameOut:
      outSinceMin === null
        ? null
        : {
            sinceMs: log.startedMs + outSinceMin * MINUTE_MS,
            leftMin: Math.max(0, (entry?.endMin ?? nowMin) - nowMin),
          },
  };
}

/** Everything that is in a liquor, by item: its origins name lines of the program, or what was stirred in. */
export function itemsOf(log: Pick<BatchLog, 'program' | 'added'>, liquor: Liquor): Set<string> {
  const stirredIn = log.added.map(({ body }) => ({ id: body.lineId, itemId: body.itemId }));
  return itemsIn({ ...log.program, lines: [...log.program.lines, ...stirredIn] }, liquor);
}

/** Problems that an entry itself makes; the others are the plan's and may stand in a log. */
const ENTRY_PROBLEMS: ReadonlySet<StepProblem['kind']> = new Set([
  'measuredTooMuch',
  'moreThanMade',
  'badReading',
  'badAmount',
  'unknownVessel',
  'unknownItem',
  'brixWithAlcohol',
]);

/** Whether a problem is that of an entry that cannot be true of its batch: such an entry is refused. */
export const isEntryProblem = (problem: { kind: StepProblem['kind'] }): boolean =>
  ENTRY_PROBLEMS.has(problem.kind);

/** A batch as it was planned and pinned, and all that was said of it since. */
export interface BatchSoFar {
  planned: PlannedProgram;
  kitchen: Kitchen;
  tables: Tables;
  events: readonly LogEvent[];
}

/** How a batch would stand, and go on, if these events were said now. Nothing is stored. */
export function whatIf(batch: BatchSoFar, said: readonly EventBody[], nowMs: number): BatchNow {
  const stream = batch.events[0]?.stream ?? { kind: 'batch' as const, id: 'trial' };
  const trial = said.map(
    (event, i): LogEvent => ({
      id: `trial-${i}`,
      stream,
      v: EVENTS[event.kind].v,
      atMs: nowMs + i,
      deviceId: 'trial',
      deviceSeq: i,
      ...event,
    }),
  );
  return batchAt(batch.planned, batch.kitchen, batch.tables, [...batch.events, ...trial], nowMs);
}

/** What would be wrong with a log if these events were said now; null where they can stand. */
export function entryProblem(
  batch: BatchSoFar,
  said: readonly EventBody[],
  nowMs: number,
): StepProblem | null {
  const { problem } = whatIf(batch, said, nowMs).forecast;
  return problem && isEntryProblem(problem) ? problem : null;
}
