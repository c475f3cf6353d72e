import { TZDate } from '@date-fns/tz';
import type { AwayHours } from '../documents/kitchen.ts';
import { COLD_C } from '../program/compile/usual.ts';
import type { StepId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation, TraceEntry } from '../program/model/simulation.ts';
import type { Step } from '../program/model/steps.ts';
import { DAY_MS } from '../units/time.ts';
import { type Timetable, timetableFrom } from './startBy.ts';

/** A stretch of time in which nobody stands at the stove. */
export interface AwayWindow {
  fromMs: number;
  toMs: number;
}

/** No plan asks further than that: `PLAN_AHEAD_MS` and some weeks. */
const MOST_DAYS = 800;

/**
 * The cook's sleeping and away hours between two moments, in the kitchen's zone, over a change of the clocks too; of a
 * longer time the first 800 days.
 */
export function awayWindows(
  away: readonly AwayHours[],
  zone: string,
  fromMs: number,
  toMs: number,
): AwayWindow[] {
  const first = new TZDate(fromMs - DAY_MS, zone);
  const windows: AwayWindow[] = [];
  const days = Math.min(MOST_DAYS, Math.ceil((toMs - fromMs) / DAY_MS) + 2);
  const [year, month, day] = [first.getFullYear(), first.getMonth(), first.getDate()];
  for (let d = 0; d <= days; d++) {
    // A moment in a zone is dear to work out: only for the days that are asked for.
    const at = (minutes: number): number => new TZDate(year, month, day + d, 0, minutes, zone).getTime();
    const weekday = new Date(Date.UTC(year, month, day + d)).getUTCDay();
    for (const hours of away) {
      if (!hours.days.includes(weekday) || hours.fromMin === hours.toMin) continue;
      // Past midnight: until that minute of the next day.
      const until = hours.toMin > hours.fromMin ? hours.toMin : hours.toMin + 24 * 60;
      const window = { fromMs: at(hours.fromMin), toMs: at(until) };
      if (window.toMs > fromMs && window.fromMs < toMs) windows.push(window);
    }
  }
  return windows.sort((a, b) => a.fromMs - b.fromMs);
}

/** What is cold may wait in the fridge for so long before it goes on. */
const COLD_WAIT_MIN = 12 * 60;

/** By how much an unattended step may grow without harm, minutes. */
function slackOf(step: Step): number {
  if (step.kind !== 'soak' && step.kind !== 'steep') return 0;
  const { until } = step;
  return until.kind === 'duration' ? Math.max(0, (until.maxMinutes ?? until.minutes) - until.minutes) : 0;
}

/** Strained and cold it may wait; with its solids in it would go on drawing. */
const waitsCold = (step: Step, entry: TraceEntry): boolean =>
  entry.after.solids.length === 0 &&
  step.kind === 'cool' &&
  step.until.kind === 'temp' &&
  step.until.targetC !== null &&
  step.until.targetC <= COLD_C.sour;

/** Steps that follow on directly and want the cook, with what may lie before them. */
interface Sitting {
  stepIds: readonly StepId[];
  /** Minutes after the start at which it begins where nothing waits. */
  startMin: number;
  minutes: number;
  /** Minutes of unattended steps before it, and by how much they may grow. */
  beforeMin: number;
  slackMin: number;
}

/** All that is needed to place a batch in its cook's days: when she is needed, and what may wait for her. */
export interface Timeline {
  sittings: readonly Sitting[];
  /** Minutes of unattended steps after the last. */
  tailMin: number;
  longestStepId: StepId;
  /** Where nothing waits, its start at 0 ms. */
  plain: Timetable;
}

/** The timeline of a batch as it is simulated. */
export function timelineOf(program: Program, sim: Pick<Simulation, 'trace' | 'endMin'>): Timeline {
  const { trace } = sim;
  const steps = new Map(program.steps.map((s) => [s.id, s]));
  const sittings: Sitting[] = [];
  let open: TraceEntry[] = [];
  let beforeMin = 0;
  let slackMin = 0;
  const close = () => {
    if (open.length === 0) return;
    const minutes = open.reduce((sum, e) => sum + e.endMin - e.startMin, 0);
    const stepIds = open.map((e) => e.stepId);
    sittings.push({ stepIds, startMin: open[0]!.startMin, minutes, beforeMin, slackMin });
    open = [];
    beforeMin = 0;
    slackMin = 0;
  };
  for (const entry of trace) {
    const step = steps.get(entry.stepId);
    if (!step) continue;
    if (step.attention === 'unattended') {
      close();
      beforeMin += entry.endMin - entry.startMin;
      slackMin += slackOf(step) + (waitsCold(step, entry) ? COLD_WAIT_MIN : 0);
      continue;
    }
    open.push(entry);
    if (waitsCold(step, entry)) {
      close();
      slackMin += COLD_WAIT_MIN;
    }
  }
  close();
  return {
    sittings,
    tailMin: beforeMin,
    longestStepId: longestStep(trace),
    plain: timetableFrom(program, sim, 0),
  };
}

/** The step that takes longest: where time is short, it is the one that binds. */
export const longestStep = (trace: readonly TraceEntry[]): StepId =>
  trace.reduce<TraceEntry | null>(
    (longest, t) => (!longest || t.endMin - t.startMin > longest.endMin - longest.startMin ? t : longest),
    null,
  )?.stepId ?? '';
