import type { LogEvent } from '@big-ladle/core';
import { create } from 'zustand';

interface Outbox {
  /** What has been said here and not yet been stored by the server. */
  pending: LogEvent[];
  offline: boolean;
  /** Entries that the server does not take for now, with its reason, by id: they wait like the others. */
  held: Readonly<Record<string, string>>;
}

export const useOutbox = create<Outbox>(() => ({ pending: [], offline: false, held: {} }));
