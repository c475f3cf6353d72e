import {
  type Batch,
  type BatchNow,
  type EffectiveProgram,
  type EventBody,
  type Kitchen,
  type LogEvent,
  type PlannedProgram,
  type Pot,
  type Recipe,
  readBatch,
  rehearsalNow,
  type Step,
  type Tables,
  withServing,
} from '@big-ladle/core';
import { useMemo } from 'react';
import { tablesOf } from '../../shared/book.ts';
import { record } from '../../shared/outbox.ts';
import { useBatch } from '../../shared/queries.ts';
import { serverNow, useNow } from '../../shared/time.ts';

/** Everything a screen needs of a batch that is on or done, as of now. */
export interface LiveBatch {
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
  events: readonly LogEvent[];
  now: BatchNow;
  step: Step | null;
  nowMs: number;
  /** Says that something happened, now or at a moment of the batch's own time; resolves when this browser has kept it. */
  record: (
    deeds: readonly EventBody[],
    answer?: Parameters<typeof record>[2],
    atMs?: number,
  ) => Promise<void>;
}

/** How often the physics is looked at again; clocks tick by themselves. */
const LOOK_AGAIN_MS = 5000;
/** A rehearsal runs ahead of the clock on the wall: it is looked at more often. */
const REHEARSED_TICK_MS = 250;

export function useLiveBatch(id: string): {
  live: LiveBatch | null;
  batch: Batch | undefined;
  /** Why it cannot be read; null: it can, or it is a plan. */
  unreadable: string | null;
  isPending: boolean;
  error: unknown;
  refetch: () => void;
} {
  const query = useBatch(id);
  const { batch, events } = query;
  const rehearsal = batch?.rehearsal;
  const realMs = useNow(rehearsal ? REHEARSED_TICK_MS : 1000);
  const nowMs = rehearsal ? rehearsalNow(rehearsal, realMs) : realMs;
  const coarseMs = Math.floor(nowMs / LOOK_AGAIN_MS) * LOOK_AGAIN_MS;
  const pinned = batch?.pins ?? null;
  const read = useMemo(
    () =>
      pinned
        ? readBatch(
            pinned,
            () => tablesOf(pinned),
            events,
            Math.max(
              coarseMs,
              events.reduce((max, e) => Math.max(max, e.atMs), 0),
            ),
          )
        : null,
    [pinned, events, coarseMs],
  );
  const now = read?.ok ? read.value : null;
  const pins = read?.ok ? pinned : null;
  const kitchen = useMemo(() => (pins ? withServing(pins.kitchen, pins.recipe) : null), [pins]);
  const pot = pins?.kitchen.pots.find((p) => p.id === pins.program.potId);
  const live: LiveBatch | null =
    batch && pins && kitchen && now && pot
      ? {
          batch,
          planned: pins.program,
          program: now.log.program,
          kitchen,
          tables: tablesOf(pins),
          recipe: pins.recipe,
          pot,
          events,
          now,
          step: now.log.program.steps.find((s) => s.id === now.log.currentStepId) ?? null,
          nowMs,
          record: (deeds, answer, atMs) =>
            record(
              { kind: rehearsal ? 'rehearsal' : 'batch', id },
              deeds,
              answer,
              atMs ?? (rehearsal ? Math.round(rehearsalNow(rehearsal, serverNow())) : undefined),
            ),
        }
      : null;
  return {
    live,
    batch,
    unreadable: read && !read.ok ? read.problem : null,
    isPending: query.isPending,
    error: query.error,
    refetch: () => void query.refetch(),
  };
}
