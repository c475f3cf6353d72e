import {
  type Batch,
  type BatchNow,
  drawsStanding,
  MINUTE_MS,
  readBatch,
  type Step,
  warmLimitOf,
} from '@big-ladle/core';
import { useQueries } from '@tanstack/react-query';
import { sayClock } from '../../words/saidWords.ts';
import { tablesOf } from '../book.ts';
import { batchQuery, useBatches } from '../queries.ts';

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

export interface OnBatch {
  batch: Batch;
  now: BatchNow;
  step: Step | null;
}

/** The step after the one that is on. */
function nextOf({ now, step }: OnBatch): Step | null {
  const { steps } = now.log.program;
  return steps[steps.findIndex((s) => s.id === step?.id) + 1] ?? null;
}

/** When the step that is on comes to its limit; null: it has none. */
export function limitOf({ now, step, batch }: OnBatch): number | null {
  const { startedMs } = now.log;
  const entry = now.forecast.trace.find((t) => t.stepId === step?.id);
  if (!step || !entry || startedMs === null || !batch.pins) return null;
  const limit = warmLimitOf(entry, step, batch.pins.kitchen);
  return limit ? startedMs + limit.atMin * MINUTE_MS : null;
}

/** The clocks of a batch: that of its step, and the cook's own. */
export function clocksOf(
  on: OnBatch,
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
  const timed = step && ['heat', 'boil', 'steep', 'soak', 'cool'].includes(step.kind);
  if (now.clock && step && timed) {
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

/** All batches that are on, with their logs, as of `nowMs`; one that cannot be read takes no other with it. */
export function useOnBatches(nowMs: number): {
  on: OnBatch[];
  unreadable: Batch[];
  isPending: boolean;
  error: unknown;
} {
  const list = useBatches();
  const ids = (list.data?.batches ?? []).filter((b) => b.batch.status === 'on').map((b) => b.batch.id);
  const docs = useQueries({
    queries: ids.map(batchQuery),
  });
  const on: OnBatch[] = [];
  const unreadable: Batch[] = [];
  for (const { data } of docs) {
    const pins = data?.batch.pins;
    if (!data || !pins) continue;
    const read = readBatch(pins, () => tablesOf(pins), data.events, nowMs);
    if (!read.ok) {
      unreadable.push(data.batch);
      continue;
    }
    const now = read.value;
    on.push({
      batch: data.batch,
      now,
      step: now.log.program.steps.find((s) => s.id === now.log.currentStepId) ?? null,
    });
  }
  return {
    on: on.filter((b) => b.now.log.endedMs === null),
    unreadable,
    isPending: list.isPending || docs.some((d) => d.isPending),
    error: list.error,
  };
}
