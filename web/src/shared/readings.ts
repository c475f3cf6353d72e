import type { ReadingsMessage } from '@big-ladle/core/contract';
import { ROUTES } from '@big-ladle/core/contract';
import type { InstrumentReading } from '@big-ladle/core/log';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { create } from 'zustand';
import { ask } from './api.ts';
import { keys } from './queries.ts';

/** As many as a chart shows; older ones are with the server. */
const KEPT = 600;

interface Readings {
  /** Newest last, by instrument and batch. */
  byKey: Readonly<Record<string, readonly InstrumentReading[]>>;
}

const keyOf = (instrumentId: string, batchId: string | null): string => `${instrumentId}:${batchId ?? ''}`;

/** What the instruments have shown since this window was opened. */
const useStore = create<Readings>(() => ({ byKey: {} }));

export function takeReadings(message: ReadingsMessage): void {
  const key = keyOf(message.instrumentId, message.batchId);
  useStore.setState((s) => ({
    byKey: { ...s.byKey, [key]: [...(s.byKey[key] ?? []), ...message.readings].slice(-KEPT) },
  }));
}

const NONE: readonly InstrumentReading[] = [];
export const useReadings = (instrumentId: string | undefined, batchId: string | null) =>
  useStore((s) => (instrumentId ? (s.byKey[keyOf(instrumentId, batchId)] ?? NONE) : NONE));

/** All that an instrument has read, at a batch or by itself: what the server kept, and what came since. */
export function useAllReadings(
  instrumentId: string | undefined,
  batchId: string | null,
): readonly InstrumentReading[] {
  const kept = useQuery({
    queryKey: keys.readings(instrumentId ?? '', batchId ?? ''),
    queryFn: () =>
      ask(ROUTES.readings, {
        params: { id: instrumentId ?? '' },
        query: batchId === null ? {} : { batchId },
      }),
    enabled: instrumentId !== undefined,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const fresh = useReadings(instrumentId, batchId);
  return useMemo(() => {
    const from = fresh[0]?.atMs ?? Number.POSITIVE_INFINITY;
    return [...(kept.data?.readings ?? []).filter((r) => r.atMs < from), ...fresh];
  }, [kept.data, fresh]);
}

/** The value at a moment: of the reading next to it that shows one, within a minute and a half. */
export function readingAt(instrumentId: string, batchId: string, atMs: number): number | null {
  const readings = useStore.getState().byKey[keyOf(instrumentId, batchId)] ?? NONE;
  let best: InstrumentReading | null = null;
  for (const r of readings)
    if (r.value !== null && (!best || Math.abs(r.atMs - atMs) < Math.abs(best.atMs - atMs))) best = r;
  return best?.value != null && Math.abs(best.atMs - atMs) < 90_000 ? best.value : null;
}
