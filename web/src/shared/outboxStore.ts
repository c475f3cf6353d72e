import type { LogEvent } from '@big-ladle/core/log';
import { create } from 'zustand';

/** An entry that the server has stored, with its number among those stored from this window. */
interface Stored {
  no: number;
  event: LogEvent;
}

interface Outbox {
  /** What has been said here and not yet been stored by the server. */
  pending: LogEvent[];
  /** The newest of what the server has stored: an answer that set out before holds them not yet. */
  stored: readonly Stored[];
  offline: boolean;
  /** Why nothing can be sent: nobody answers, something else does, or our own server says why. */
  because: 'silent' | 'foreign' | { detail: string };
  /** This browser has stored nothing of what waits: it is lost when the page is closed. */
  keepsNothing: boolean;
  /** Entries that the server does not take for now, with its reason, by id: they wait like the others. */
  held: Readonly<Record<string, string>>;
}

export const useOutbox = create<Outbox>(() => ({
  pending: [],
  stored: [],
  offline: false,
  because: 'silent',
  keepsNothing: false,
  held: {},
}));

/** Far more than can be stored while one answer is on its way. */
const STORED_KEPT = 500;

/** How many entries of this window the server has stored so far: what a question that sets out now is sure to be told of. */
export const storedSoFar = (): number => useOutbox.getState().stored.at(-1)?.no ?? 0;

/** Takes entries out of what waits, into what is stored. */
export function moveToStored(events: readonly LogEvent[]): void {
  const gone = new Set(events.map((e) => e.id));
  const first = storedSoFar() + 1;
  useOutbox.setState((s) => ({
    pending: s.pending.filter((e) => !gone.has(e.id)),
    stored: [...s.stored, ...events.map((event, i) => ({ no: first + i, event }))].slice(-STORED_KEPT),
  }));
}

/** What an answer that set out after so many stored entries may not hold yet: those stored since, and what waits. */
export const saidSince = (
  { stored, pending }: Pick<Outbox, 'stored' | 'pending'>,
  heardOf: number,
): LogEvent[] => [...stored.filter((s) => s.no > heardOf).map((s) => s.event), ...pending];
