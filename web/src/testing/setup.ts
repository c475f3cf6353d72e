import 'fake-indexeddb/auto';
import '../words/places/pages.ts';
import { cleanup } from '@testing-library/react';
import { afterEach, vi } from 'vitest';

/** What every test of a component stands on: a browser in memory, and jobs that run at once instead of in a worker. */
vi.mock('../workers/run.ts', async () => {
  const { BOOK, withCustom } = await import('@big-ladle/core/book');
  const { runJob } = await import('@big-ladle/core/plan');
  const { SHIPPED_TABLES } = await import('@big-ladle/core/tables');
  type Args = Parameters<typeof import('../workers/run.ts').run>;
  return {
    WorkerNotLoaded: class extends Error {},
    run: async (job: Args[0], own: Args[1]) => {
      // A search is over after a few tries, on any machine.
      let elapsedMs = 0;
      return runJob(job, [...BOOK, ...own.recipes], withCustom(SHIPPED_TABLES, own.rows), {
        cancelled: () => false,
        onProgress: () => undefined,
        elapsedMs: () => (elapsedMs += 50),
      });
    },
  };
});

const nothing = () => undefined;
window.matchMedia ??= (media: string) =>
  Object.assign(new EventTarget(), {
    matches: false,
    media,
    onchange: null,
    addListener: nothing,
    removeListener: nothing,
  });
window.scrollTo = nothing;

afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
