import type { Batch, BatchDoc, Pins } from '@big-ladle/core/contract';
import type { Kitchen, Pot, Recipe } from '@big-ladle/core/documents';
import { type BatchNow, type LogEvent, readBatch, rehearsalNow } from '@big-ladle/core/log';
import { type EffectiveProgram, type PlannedProgram, type Step, withServing } from '@big-ladle/core/program';
import { pinnedTables, SHIPPED_TABLES, type Tables } from '@big-ladle/core/tables';
import type { Result } from '@big-ladle/core/units';
import { useQueries, useQuery } from '@tanstack/react-query';
import { lruMemoize, weakMapMemoize } from 'reselect';
import { batchQuery, useOnList } from '../batchQueries.ts';
import { useOutbox } from '../outboxStore.ts';
import { isBatchStream } from '../queries.ts';
import { serverNow, useCoarseNow, useTick } from '../time.ts';

/** Everything that is to be known of a batch that is on or done, as of one moment. */
export interface BatchState {
  batch: Batch;
  /** As it was planned and pinned. */
  planned: PlannedProgram;
  /** As it is really made. */
  program: EffectiveProgram;
  kitchen: Kitchen;
  /** The tables as this batch pinned them. */
  tables: Tables;
  recipe: Recipe;
  pot: Pot;
  /** What was said of it, what waits in the outbox included. */
  events: readonly LogEvent[];
  now: BatchNow;
  step: Step | null;
  /** The moment that all of this is told for, by the batch's own clock. */
  nowMs: number;
}

/** How often the physics is looked at again, by the batch's own clock; clocks that are shown tick by themselves. */
const LOOK_AGAIN_MS = 5000;
/** A rehearsal runs ahead of the clock on the wall: it is looked at more often. */
const REHEARSED_LOOK_MS = 250;
/** Moments of a batch that are kept: the present one, and one for a window that is behind it. */
const MOMENTS_KEPT = 2;

/** What time it is for a batch: a rehearsal has a clock of its own. */
export const batchTime = (batch: Pick<Batch, 'rehearsal'> | undefined, realMs = serverNow()): number =>
  batch?.rehearsal ? Math.round(rehearsalNow(batch.rehearsal, realMs)) : realMs;

/** Where what is said of a batch stands. */
export const streamOf = (batch: Pick<Batch, 'id' | 'rehearsal'>): LogEvent['stream'] => ({
  kind: batch.rehearsal ? 'rehearsal' : 'batch',
  id: batch.id,
});

/** When something is said of a batch now: by a rehearsal's own clock, else undefined, for the outbox knows the time. */
export const momentFor = (batch: Pick<Batch, 'rehearsal'>): number | undefined =>
  batch.rehearsal ? batchTime(batch) : undefined;

/** How often a clock of a batch that is shown changes, ms. */
const tickMsOf = (batch: Pick<Batch, 'rehearsal'> | undefined): number =>
  batch?.rehearsal ? REHEARSED_LOOK_MS : 1000;

/** What time it is for a batch, again as often as its clocks change: for a clock that is shown, in a component of its own. */
export const useBatchTick = (batch: Pick<Batch, 'rehearsal'> | undefined): number =>
  batchTime(batch, useTick(tickMsOf(batch)));

const NO_EVENTS: readonly LogEvent[] = [];

/** A log with what waits in the outbox laid on top; itself where nothing does. */
const withWaiting = weakMapMemoize(
  (stored: readonly LogEvent[], pending: readonly LogEvent[], id: string): readonly LogEvent[] => {
    const known = new Set(stored.map((e) => e.id));
    const waiting = pending.filter((e) => isBatchStream(e.stream) && e.stream.id === id && !known.has(e.id));
    return waiting.length > 0 ? [...stored, ...waiting] : stored;
  },
);

/** What is pinned, as it is looked at; kept as long as the pins are. */
const pinnedOf = weakMapMemoize((pins: Pins) => ({
  tables: pinnedTables(SHIPPED_TABLES, pins),
  kitchen: withServing(pins.kitchen, pins.recipe),
  pot: pins.kitchen.pots.find((p) => p.id === pins.program.potId),
}));

/** The one fold of a batch, for whoever asks: each moment is worked out once. */
const foldOf = weakMapMemoize((pins: Pins) =>
  lruMemoize(
    (events: readonly LogEvent[], nowMs: number): Result<BatchNow, string> =>
      readBatch(pins, () => pinnedOf(pins).tables, events, nowMs),
    { maxSize: MOMENTS_KEPT },
  ),
);

/** A batch as it was read: how it stands, or why it cannot be read. Null for a plan. */
type ReadBatch = { state: BatchState; unreadable: null } | { state: null; unreadable: string };

/** A batch at a moment; what was said after it (by a clock that is ahead) moves the moment on. */
const stateAt = weakMapMemoize((batch: Batch) =>
  lruMemoize(
    (events: readonly LogEvent[], coarseMs: number): ReadBatch | null => {
      const { pins } = batch;
      if (!pins) return null;
      const nowMs = events.reduce((latest, e) => Math.max(latest, e.atMs), coarseMs);
      const read = foldOf(pins)(events, nowMs);
      const { tables, kitchen, pot } = pinnedOf(pins);
      if (!read.ok) return { state: null, unreadable: read.problem };
      if (!pot) return { state: null, unreadable: `its kitchen has no pot "${pins.program.potId}"` };
      const now = read.value;
      return {
        unreadable: null,
        state: {
          batch,
          planned: pins.program,
          program: now.log.program,
          kitchen,
          tables,
          recipe: pins.recipe,
          pot,
          events,
          now,
          step: now.log.program.steps.find((s) => s.id === now.log.currentStepId) ?? null,
          nowMs,
        },
      };
    },
    { maxSize: MOMENTS_KEPT },
  ),
);

const readDoc = (doc: BatchDoc, pending: readonly LogEvent[], coarseMs: number): ReadBatch | null =>
  stateAt(doc.batch)(withWaiting(doc.events, pending, doc.batch.id), coarseMs);

/** A batch as of now, with what waits in the outbox. */
export function useBatchState(id: string): {
  state: BatchState | null;
  batch: Batch | undefined;
  /** Why it cannot be read; null: it can, or it is a plan. */
  unreadable: string | null;
  isPending: boolean;
  error: unknown;
  refetch: () => void;
} {
  const query = useQuery(batchQuery(id));
  const pending = useOutbox((s) => s.pending);
  const batch = query.data?.batch;
  const coarseMs = useCoarseNow(LOOK_AGAIN_MS, (realMs) => batchTime(batch, realMs), tickMsOf(batch));
  const read = query.data ? readDoc(query.data, pending, coarseMs) : null;
  return {
    state: read?.state ?? null,
    batch,
    unreadable: read?.unreadable ?? null,
    isPending: query.isPending,
    error: query.error,
    refetch: () => void query.refetch(),
  };
}

/** What was said of a batch, with what waits in the outbox. */
export function useBatchEvents(id: string | undefined): readonly LogEvent[] {
  const query = useQuery({ ...batchQuery(id ?? ''), enabled: id !== undefined });
  const pending = useOutbox((s) => s.pending);
  return query.data && id !== undefined ? withWaiting(query.data.events, pending, id) : NO_EVENTS;
}

export interface Board {
  /** All batches that are on, the newest first. */
  on: readonly BatchState[];
  /** Those that cannot be read: they take no other with them. */
  unreadable: readonly Batch[];
  nowMs: number;
  isPending: boolean;
  error: unknown;
}

/** Several batches as they are read at a moment, with what waits in the outbox; plans are none of it. */
function useRead(ids: readonly string[], nowMs: number) {
  const docs = useQueries({ queries: ids.map((id) => batchQuery(id)) });
  const pending = useOutbox((s) => s.pending);
  return {
    read: docs.flatMap(({ data }) => {
      const read = data ? readDoc(data, pending, nowMs) : null;
      return data && read ? [{ batch: data.batch, ...read }] : [];
    }),
    isPending: docs.some((d) => d.isPending),
    error: docs.find((d) => d.error && !d.data)?.error ?? null,
    refetch: () => {
      for (const d of docs) void d.refetch();
    },
  };
}

/** All that is on in this kitchen as of now, with what waits in the outbox. Rehearsals are none of it. */
export function useBoard(): Board {
  const list = useOnList();
  const nowMs = useCoarseNow(LOOK_AGAIN_MS);
  const { read, isPending } = useRead(
    (list.data ?? []).map((b) => b.batch.id),
    nowMs,
  );
  return {
    on: read.flatMap(({ state }) => (state && state.now.log.endedMs === null ? [state] : [])),
    unreadable: read.flatMap(({ batch, unreadable }) => (unreadable === null ? [] : [batch])),
    nowMs,
    isPending: list.isPending || isPending,
    error: list.error,
  };
}

/** Several batches as of the last that was said of each, in the order that is asked for; what cannot be read is left out. */
export function useBatchesAsTold(ids: readonly string[]): {
  states: BatchState[];
  isPending: boolean;
  /** Why one of them did not come; null: all did. */
  error: unknown;
  refetch: () => void;
} {
  const { read, ...asked } = useRead(ids, 0);
  return { states: read.flatMap(({ state }) => state ?? []), ...asked };
}
