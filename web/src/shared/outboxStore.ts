import type { LogEvent } from '@big-ladle/core';
import { create } from 'zustand';

/** What has been said here and not yet been stored by the server. */
export const useOutbox = create<{ pending: LogEvent[]; offline: boolean }>(() => ({
  pending: [],
  offline: false,
}));
