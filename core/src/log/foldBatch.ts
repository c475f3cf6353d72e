import type { Kitchen } from '../program/kitchen.ts';
import { simulateBatch } from '../program/simulate.ts';
import { itemsIn } from '../program/tags.ts';
import { type Taste, targetAfterTastes } from '../program/taste.ts';
import type {
  Adjustment,
  Liquor,
  Program,
  Simulation,
  Step,
  StepActual,
  StepId,
  StepProblem,
} from '../program/types.ts';
import type { Tables } from '../tables/types.ts';
import { asMade, nextStraining } from './asMade.ts';
import { tablesAsTasted } from './asTasted.ts';
import { activeEvents, type Deed, type EventOf, type LogEvent } from './events.ts';

export const MINUTE_MS = 60_000;

export interface StepTimes {
  status: 'done' | 'skipped' | 'now' | 'later';
  startMs: number | null;
  endMs: number | null;
  /** The event that set the start, for "it boiled six minutes ago". */
  startedBy: string | null;
}

export interface SideClock {
  id: string;
  label: string;
  startMs: number;
  endMs: number;
}

export interface Bottled {
  eventId: string;
  atMs: number;
  stepId: StepId;
  hygiene: 'clean' | 'sterilised';
  bottles: EventOf<'bottled'>['body']['bottles'];
}

export type Lot = EventOf<'split'>['body']['lots'][number];

/** What the log says of a batch, before any physics. */
export interface BatchLog {
  /** As it is really made: with what was swapped, and with what follows from straining early. */
  program: Program;
  startedMs: number | null;
  endedMs: number | null;
  currentStepId: StepId | null;
  steps: Readonly<Record<StepId, StepTimes>>;
  /** Minutes since the start, as the interpreter wants them. */
  actuals: Readonly<Record<StepId, StepActual>>;
  clocks: readonly SideClock[];
  tastes: readonly (Taste & { stepId: StepId; eventId: string })[];
  added: readonly EventOf<'added'>[];
  measured: readonly EventOf<'measured'>[];
  bottled: readonly Bottled[];
  notes: readonly EventOf<'noted'>[];
  /** Cues the cook has seen at a step, rinses among them (`rinse`). */
  cues: readonly { stepId: StepId; cue: string; atMs: number }[];
  /** Ends of steps that had ended already, as another device had said: the earlier counts. */
  doubled: readonly string[];
  /** Lots that the batch was split into. */
  lots: readonly Lot[];
  /** What the cook thought of it, said last. */
  score: EventOf<'scored'>['body'] | null;
  /** Leftovers that were kept. */
  setAside: readonly EventOf<'setAside'>[];
  /** Whom it is for, said last. */
  gifts: EventOf<'gifts'>['body'] | null;
}

/**
 * Folds the events of a batch over its program. Pure and total: events that name steps the program does not have
 * are passed over, so that a log can never be unreadable.
 */
export function foldBatch(planned: Program, events: readonly LogEvent[]): BatchLog {
  const active = activeEvents(events);
  const program = asMade(planned, active);
  const known = new Set(program.steps.map((s) => s.id));
  const started = new Map<StepId, { atMs: number; by: string }>();
  const ended = new Map<StepId, { atMs: number; by: string; rinses: number | undefined }>();
  const skipped = new Map<StepId, { atMs: number; by: string }>();
  const clocks = new Map<string, SideClock>();
  const tastes: (Taste & { stepId: StepId; eventId: string })[] = [];
  const added: EventOf<'added'>[] = [];
  const measured: EventOf<'measured'>[] = [];
  const removed: EventOf<'removed'>[] = [];
  const flames: EventOf<'flame'>[] = [];
  const bottled: Bottled[] = [];
  const notes: EventOf<'noted'>[] = [];
  const cues: { stepId: StepId; cue: string; atMs: number }[] = [];
  const doubled: string[] = [];
  const lots: Lot[] = [];
  let score: EventOf<'scored'>['body'] | null = null;
  const setAside: EventOf<'setAside'>[] = [];
  let gifts: EventOf<'gifts'>['body'] | null = null;

  for (const event of active) {
    switch (event.kind) {
      case 'stepStarted':
        if (known.has(event.body.stepId)) started.set(event.body.stepId, { atMs: event.atMs, by: event.id });
        break;
      case 'stepEnded':
        if (!known.has(event.body.stepId)) break;
        if (ended.has(event.body.stepId)) doubled.push(event.id);
        else ended.set(event.body.stepId, { atMs: event.atMs, by: event.id, rinses: event.body.rinses });
        break;
      case 'skipped':
        if (known.has(event.body.stepId)) skipped.set(event.body.stepId, { atMs: event.atMs, by: event.id });
        break;
      case 'strainedEarly': {
        const { stepId } = event.body;
        if (!known.has(stepId)) break;
        if (!ended.has(stepId)) ended.set(stepId, { atMs: event.atMs, by: event.id, rinses: undefined });
        for (const left of nextStraining(program, stepId)?.between ?? [])
          skipped.set(left.id, { atMs: event.atMs, by: event.id });
        break;
      }
      case 'flame':
        flames.push(event);
        break;
      case 'clockStarted':
        clocks.set(event.body.clockId, {
          id: event.body.clockId,
          label: event.body.label,
          startMs: event.atMs,
          endMs: event.atMs + event.body.minutes * MINUTE_MS,
        });
        break;
      case 'cueSeen':
        if (event.body.clockId) clocks.delete(event.body.clockId);
        if (event.body.stepId)
          cues.push({ stepId: event.body.stepId, cue: event.body.cue, atMs: event.atMs });
        break;
      case 'tasted':
        tastes.push({
          stepId: event.body.stepId,
          eventId: event.id,
          ...event.body.axes,
          atSweetnessPct: event.body.atSweetnessPct,
          atSourGPerL: event.body.atSourGPerL,
        });
        break;
      case 'added':
        added.push(event);
        break;
      case 'measured':
        measured.push(event);
        break;
      case 'removed':
        removed.push(event);
        break;
      case 'bottled':
        bottled.push({ eventId: event.id, atMs: event.atMs, ...event.body });
        break;
      case 'noted':
        notes.push(event);
        break;
      case 'scored':
        score = event.body;
        break;
      case 'setAside':
        setAside.push(event);
        break;
      case 'gifts':
        gifts = event.body;
        break;
      case 'split':
        if (known.has(event.body.stepId))
          lots.push(...event.body.lots.filter((lot) => lots.every((other) => other.lotId !== lot.lotId)));
        break;
      // Acted upon before the fold: the program has it.
      case 'swapped':
      case 'planned':
      case 'moved':
      case 'opened':
      case 'poured':
      case 'finished':
      case 'discarded':
      case 'retimed':
      case 'undone':
        break;
    }
  }

  const steps: Record<StepId, StepTimes> = {};
  const actuals: Record<StepId, StepActual> = {};
  let startedMs: number | null = null;
  let atMs: number | null = null;
  let by: string | null = null;
  let currentStepId: StepId | null = null;
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
    if (startMs === null || currentStepId !== null) {
      steps[step.id] = { status: 'later', startMs: null, endMs: null, startedBy: null };
      continue;
    }
    if (over) {
      const endMs = Math.max(over.atMs, startMs);
      const isSkipped = skipped.has(step.id) && !ended.has(step.id);
      steps[step.id] = { status: isSkipped ? 'skipped' : 'done', startMs, endMs, startedBy };
      atMs = endMs;
      by = over.by;
    } else {
      steps[step.id] = { status: 'now', startMs, endMs: null, startedBy };
      currentStepId = step.id;
    }
  }

  const minuteOf = (ms: number): number => (ms - (startedMs ?? ms)) / MINUTE_MS;
  for (const step of program.steps) {
    const times = steps[step.id]!;
    if (times.startMs === null) continue;
    const adjustments: Adjustment[] = [
      ...measured
        .filter((e) => e.body.stepId === step.id)
        .map(
          (e): Adjustment => ({
            kind: 'measured',
            atMin: minuteOf(e.atMs),
            vesselId: e.body.vesselId,
            reading: e.body.reading,
          }),
        ),
      ...added
        .filter((e) => e.body.stepId === step.id)
        .map((e): Adjustment => ({ ...e.body, kind: 'added', atMin: minuteOf(e.atMs) })),
      ...removed
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
      ...flames
        .filter((e) => e.body.stepId === step.id)
        .map((e): Adjustment => ({ kind: 'flame', atMin: minuteOf(e.atMs), on: e.body.on })),
    );
    const counted =
      step.kind === 'wash' ? cues.filter((c) => c.stepId === step.id && c.cue === 'rinse').length : 0;
    const rinses = ended.get(step.id)?.rinses ?? (counted > 0 && times.endMs !== null ? counted : undefined);
    const moved =
      step.kind === 'sweeten'
        ? targetAfterTastes(
            step.targetSweetnessPct,
            tastes.flatMap((t) =>
              t.stepId === step.id && t.sweet !== undefined
                ? [{ sweet: t.sweet, atSweetnessPct: t.atSweetnessPct }]
                : [],
            ),
          )
        : null;
    actuals[step.id] = {
      startMin: minuteOf(times.startMs),
      ...(times.endMs !== null ? { endMin: minuteOf(times.endMs) } : {}),
      ...(times.status === 'skipped' ? { skipped: true } : {}),
      ...(rinses !== undefined ? { rinses } : {}),
      ...(moved !== null ? { targetSweetnessPct: moved } : {}),
      adjustments,
    };
  }

  const last = program.steps.at(-1);
  return {
    program,
    startedMs,
    endedMs: last && startedMs !== null && currentStepId === null ? (steps[last.id]?.endMs ?? null) : null,
    currentStepId,
    steps,
    actuals,
    clocks: [...clocks.values()],
    tastes,
    added,
    measured,
    bottled,
    notes,
    cues,
    doubled,
    lots,
    score,
    setAside,
    gifts,
  };
}

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
  planned: Program,
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

/** What would be wrong with a log if `deeds` were said now; null where they can stand. */
export function entryProblem(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  events: readonly LogEvent[],
  deeds: readonly Deed[],
  nowMs: number,
): StepProblem | null {
  const stream = events[0]?.stream ?? { kind: 'batch' as const, id: 'trial' };
  const trial = deeds.map(
    (deed, i) =>
      ({
        id: `trial-${i}`,
        stream,
        v: 1,
        atMs: nowMs + i,
        deviceId: 'trial',
        deviceSeq: i,
        ...deed,
      }) as LogEvent,
  );
  const { problem } = batchAt(program, kitchen, tables, [...events, ...trial], nowMs).forecast;
  return problem && isEntryProblem(problem) ? problem : null;
}
