import type { LogEvent } from '@big-ladle/core';
import { create } from 'zustand';

interface Outbox {
  /** What has been said here and not yet been stored by the server. */
  pending: LogEvent[];
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
  offline: false,
  because: 'silent',
  keepsNothing: false,
  held: {},
}));
