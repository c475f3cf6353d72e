import { warmLimitOf } from '@big-ladle/core/keeping';
import { drawsStanding, type Step } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import { sayClock } from '../../words/saidWords.ts';
import type { BatchState } from './state.ts';

/** One running clock, with its batch. */
export interface RunningClock {
  key: string;
  batchId: string;
  label: string;
  stepKind: Step['kind'] | 'own';
  kind: 'timed' | 'expected';
  startMs: number;
  endMs: number;
  minMs: number | null;
  maxMs: number | null;
  clockId: string | null;
  /** From here on what stands there is not to be kept. */
  limitMs: number | null;
  /** It is at its best when it is over. */
  draws: boolean;
  /** Turned over, stirred or shaken every so many minutes. */
  everyMin: number | null;
  /** It may be strained already after so many minutes, as its recipe says. */
  branchMin: number | null;
  /** What is to be done when it is over. */
  next: Step | null;
}

type OfClocks = Pick<BatchState, 'batch' | 'now' | 'step'>;

/** Steps that a clock runs for. */
const TIMED: ReadonlySet<Step['kind']> = new Set(['heat', 'boil', 'steep', 'soak', 'cool']);

/** Whether a step is one that goes by the clock, and not by the hand. */
export const isTimed = (step: Step): boolean => TIMED.has(step.kind);

/** The step after the one that is on. */
function nextOf({ now, step }: OfClocks): Step | null {
  const { steps } = now.log.program;
  return steps[steps.findIndex((s) => s.id === step?.id) + 1] ?? null;
}

/** When the step that is on comes to its limit; null: it has none. */
export function limitOf({ now, step, batch }: OfClocks): number | null {
  const { startedMs } = now.log;
  const entry = now.forecast.trace.find((t) => t.stepId === step?.id);
  if (!step || !entry || startedMs === null || !batch.pins) return null;
  const limit = warmLimitOf(entry, step, batch.pins.kitchen);
  return limit ? startedMs + limit.atMin * MINUTE_MS : null;
}

/** The clocks of a batch: that of its step, and the cook's own. */
export function clocksOf(
  on: OfClocks,
  label: (step: Step) => string,
  own: (label: string) => string = (text) => text,
): RunningClock[] {
  const { now, step, batch } = on;
  const clocks: RunningClock[] = now.log.clocks.map((c) => ({
    key: `${batch.id}:${c.id}`,
    batchId: batch.id,
    label: own(sayClock(c.said)),
    stepKind: 'own' as const,
    kind: 'timed' as const,
    startMs: c.startMs,
    endMs: c.endMs,
    minMs: null,
    maxMs: null,
    clockId: c.id,
    limitMs: null,
    draws: false,
    everyMin: null,
    branchMin: null,
    next: null,
  }));
  if (now.clock && step && isTimed(step)) {
    clocks.unshift({
      key: `${batch.id}:${step.id}`,
      batchId: batch.id,
      label: label(step),
      stepKind: step.kind,
      clockId: null,
      limitMs: limitOf(on),
      draws: drawsStanding(step),
      everyMin: (step.kind === 'soak' || step.kind === 'steep') && step.everyMin ? step.everyMin : null,
      branchMin: (step.kind === 'soak' || step.kind === 'steep') && step.branch ? step.branch.afterMin : null,
      next: nextOf(on),
      ...now.clock,
    });
  }
  return clocks;
}
