import type { StepId } from '../program/model/ids.ts';
import type { EffectiveProgram, PlannedProgram } from '../program/model/program.ts';
import type { Adjustment, StepActual } from '../program/model/simulation.ts';
import { targetAfterTastes } from '../program/model/taste.ts';
import { MINUTE_MS } from '../units/time.ts';
import { type BatchDraft, draftOf } from './batchDraft.ts';
import type { BatchLog, StepTimes } from './batchLog.ts';
import { notYetChanged } from './effectiveProgram.ts';
import { activeEvents } from './events/order.ts';
import { rowOfStove } from './events/stoveRow.ts';
import type { LogEvent } from './events/table.ts';

/**
 * A program as it is really made: what was swapped is in it, what was strained before its time may be drawn again, and
 * what was split is finished lot by lot. Pure: the program that was planned stays as it was.
 * @param active the events that count, in order (`activeEvents`).
 */
export const effectiveProgram = (planned: PlannedProgram, active: readonly LogEvent[]): EffectiveProgram =>
  active.reduce(
    (program, event) => rowOfStove(event)?.program?.(program, event) ?? program,
    notYetChanged(planned),
  );

/**
 * Folds the events of a batch over its program. Pure and total: events that name steps the program does not have, and
 * kinds that do not belong to a batch, are passed over, so that a log can never be unreadable.
 */
export function foldBatch(planned: PlannedProgram, events: readonly LogEvent[]): BatchLog {
  const active = activeEvents(events);
  const draft = draftOf(effectiveProgram(planned, active));
  for (const event of active) rowOfStove(event)?.fold?.(draft, event);
  const times = timesOf(draft);
  const { program } = draft;
  const last = program.steps.at(-1);
  const { startedMs, currentStepId } = times;
  return {
    program,
    startedMs,
    endedMs:
      last && startedMs !== null && currentStepId === null
        ? (times.steps[last.id]?.endMs ?? draft.stopped?.atMs ?? null)
        : null,
    currentStepId,
    steps: times.steps,
    actuals: actualsOf(draft, times),
    // What was given up has no clock that calls.
    clocks: times.isStopped ? [] : [...draft.clocks.values()],
    tastes: draft.tastes,
    added: draft.added,
    measured: draft.measured,
    bottled: draft.bottled,
    notes: draft.notes,
    cues: draft.cues,
    doubled: draft.doubled,
    lots: draft.lots,
    score: draft.score,
    stopped: times.isStopped ? draft.stopped : null,
    purchases: draft.purchases,
    setAside: draft.setAside,
    gifts: draft.gifts,
  };
}

interface Times {
  startedMs: number | null;
  currentStepId: StepId | null;
  steps: Readonly<Record<StepId, StepTimes>>;
  /** Given up while a step was on: what had been finished before that stays finished. */
  isStopped: boolean;
}

/** When each step was, from one to the next. */
function timesOf({ program, started, ended, skipped, stopped }: BatchDraft): Times {
  const steps: Record<StepId, StepTimes> = {};
  let startedMs: number | null = null;
  let atMs: number | null = null;
  let by: string | null = null;
  let currentStepId: StepId | null = null;
  let isStopped = false;
  for (const step of program.steps) {
    const begin = started.get(step.id);
    const over = ended.get(step.id) ?? skipped.get(step.id);
    if (begin && startedMs === null) {
      startedMs = begin.atMs;
      atMs = begin.atMs;
    }
    // A step begins where the one before ended, unless the cook said otherwise.
    const startMs = begin ? Math.max(begin.atMs, atMs ?? begin.atMs) : atMs;
    const startedBy = begin?.by ?? by;
    if (startMs === null || currentStepId !== null || isStopped) {
      steps[step.id] = { status: 'later', startMs: null, endMs: null, startedBy: null };
      continue;
    }
    if (over) {
      const endMs = Math.max(over.atMs, startMs);
      const isSkipped = skipped.has(step.id) && !ended.has(step.id);
      steps[step.id] = { status: isSkipped ? 'skipped' : 'done', startMs, endMs, startedBy };
      atMs = endMs;
      by = over.by;
    } else if (stopped) {
      steps[step.id] = { status: 'later', startMs: null, endMs: null, startedBy: null };
      isStopped = true;
    } else {
      steps[step.id] = { status: 'now', startMs, endMs: null, startedBy };
      currentStepId = step.id;
    }
  }
  return { startedMs, currentStepId, steps, isStopped };
}

/** What happened in each step, in minutes since the start, as the interpreter wants it. */
function actualsOf(draft: BatchDraft, { startedMs, steps }: Times): Record<StepId, StepActual> {
  const minuteOf = (ms: number): number => (ms - (startedMs ?? ms)) / MINUTE_MS;
  const actuals: Record<StepId, StepActual> = {};
  for (const step of draft.program.steps) {
    const times = steps[step.id]!;
    if (times.startMs === null) continue;
    const adjustments: Adjustment[] = [
      ...draft.measured
        .filter((e) => e.body.stepId === step.id)
        .map(
          (e): Adjustment => ({
            kind: 'measured',
            atMin: minuteOf(e.atMs),
            vesselId: e.body.vesselId,
            reading: e.body.reading,
          }),
        ),
      ...draft.added
        .filter((e) => e.body.stepId === step.id)
        .map((e): Adjustment => ({ ...e.body, kind: 'added', atMin: minuteOf(e.atMs) })),
      ...draft.removed
        .filter((e) => e.body.stepId === step.id)
        .map(
          (e): Adjustment => ({
            kind: 'removed',
            atMin: minuteOf(e.atMs),
            vesselId: e.body.vesselId,
            volumeL: e.body.volumeL,
          }),
        ),
    ];
    adjustments.push(
      ...draft.flames
        .filter((e) => e.body.stepId === step.id)
        .map((e): Adjustment => ({ kind: 'flame', atMin: minuteOf(e.atMs), on: e.body.on })),
    );
    const counted =
      step.kind === 'wash' ? draft.cues.filter((c) => c.stepId === step.id && c.cue === 'rinse').length : 0;
    const rinses =
      draft.ended.get(step.id)?.rinses ?? (counted > 0 && times.endMs !== null ? counted : undefined);
    const moved =
      step.kind === 'sweeten'
        ? targetAfterTastes(
            step.targetSweetnessPct,
            draft.tastes.filter((t) => t.stepId === step.id),
          )
        : null;
    const { startedBy } = times;
    const endedBy = draft.ended.get(step.id)?.by;
    const isUntimed = [startedBy, endedBy].some((by) => by != null && draft.untimed.has(by));
    actuals[step.id] = {
      startMin: minuteOf(times.startMs),
      ...(times.endMs !== null ? { endMin: minuteOf(times.endMs) } : {}),
      ...(times.status === 'skipped' ? { skipped: true } : {}),
      ...(isUntimed ? { untimed: true } : {}),
      ...(rinses !== undefined ? { rinses } : {}),
      ...(moved !== null ? { targetSweetnessPct: moved } : {}),
      adjustments,
    };
  }
  return actuals;
}
