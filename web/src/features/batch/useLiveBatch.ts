import type { EventBody } from '@big-ladle/core/log';
import { type BatchState, momentFor, streamOf, useBatchState } from '../../shared/batch/state.ts';
import { record } from '../../shared/outbox.ts';

/** A batch that is on or done, and how to say that something happened to it. */
export interface LiveBatch extends BatchState {
  /** Says that something happened, now or at a moment of the batch's own time; resolves when this browser has kept it. */
  record: (
    deeds: readonly EventBody[],
    answer?: Parameters<typeof record>[2],
    atMs?: number,
  ) => Promise<void>;
}

/** A batch as of now, for a screen that is about it alone. */
export function useLiveBatch(id: string) {
  const { state, ...rest } = useBatchState(id);
  const live: LiveBatch | null = state && {
    ...state,
    record: (deeds, answer, atMs) =>
      record(streamOf(state.batch), deeds, answer, atMs ?? momentFor(state.batch)),
  };
  return { live, ...rest };
}
