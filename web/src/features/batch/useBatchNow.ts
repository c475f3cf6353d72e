import {
  type BatchNow,
  batchAt,
  type Deed,
  type Kitchen,
  type LogEvent,
  type Pot,
  type Program,
  type Recipe,
  type Step,
  type Tables,
} from '@big-ladle/core';
import { useMemo } from 'react';
import type { Batch } from '../../shared/apiTypes.ts';
import { tablesOf } from '../../shared/book.ts';
import { record } from '../../shared/outbox.ts';
import { useBatch } from '../../shared/queries.ts';
import { useNow } from '../../shared/time.ts';

/** Everything a screen needs of a batch that is on or done, as of now. */
export interface LiveBatch {
  batch: Batch;
  program: Program;
  kitchen: Kitchen;
  /** The tables as this batch pinned them. */
  tables: Tables;
  recipe: Recipe;
  pot: Pot;
  events: readonly LogEvent[];
  now: BatchNow;
  step: Step | null;
  nowMs: number;
  /** Says that something happened; resolves when this browser has kept it. */
  say: (deeds: readonly Deed[], answer?: Parameters<typeof record>[2]) => Promise<void>;
}

/** How often the physics is looked at again; clocks tick by themselves. */
const LOOK_AGAIN_MS = 5000;

export function useLiveBatch(id: string): {
  live: LiveBatch | null;
  batch: Batch | undefined;
  isPending: boolean;
  error: unknown;
  refetch: () => void;
} {
  const query = useBatch(id);
  const nowMs = useNow(1000);
  const { batch, events } = query;
  const coarseMs = Math.floor(nowMs / LOOK_AGAIN_MS) * LOOK_AGAIN_MS;
  const now = useMemo(
    () =>
      batch?.pins
        ? batchAt(
            batch.pins.program,
            batch.pins.kitchen,
            tablesOf(batch.pins),
            events,
            Math.max(
              coarseMs,
              events.reduce((max, e) => Math.max(max, e.atMs), 0),
            ),
          )
        : null,
    [batch, events, coarseMs],
  );
  const pins = batch?.pins;
  const pot = pins?.kitchen.pots.find((p) => p.id === pins.program.potId);
  const live: LiveBatch | null =
    batch && pins && now && pot
      ? {
          batch,
          program: pins.program,
          kitchen: pins.kitchen,
          tables: tablesOf(pins),
          recipe: pins.recipe,
          pot,
          events,
          now,
          step: pins.program.steps.find((s) => s.id === now.log.currentStepId) ?? null,
          nowMs,
          say: (deeds, answer) => record({ kind: 'batch', id }, deeds, answer),
        }
      : null;
  return { live, batch, isPending: query.isPending, error: query.error, refetch: () => void query.refetch() };
}
