import { useCallback, useSyncExternalStore } from 'react';

/** This device's clock against the server's: devices correct themselves by the server's time. */
let offsetMs = 0;

/** Everybody who waits for the clock, by how often they look at it, ms. */
const watchers = new Map<number, { tell: Set<() => void>; timer: ReturnType<typeof setInterval> }>();

/** The time as it was looked at last: it stands still between two looks, so that a screen is drawn of one moment. */
let lookedAtMs = 0;

const look = (): number => {
  lookedAtMs = serverNow();
  return lookedAtMs;
};

function tellAll(): void {
  look();
  for (const { tell } of watchers.values()) for (const one of tell) one();
}

export function serverTimeIs(nowMs: number): void {
  offsetMs = nowMs - Date.now();
  tellAll();
}

export const serverNow = (): number => Date.now() + offsetMs;

/** One timer for all that look at the clock equally often. A window that comes back to the front looks at once. */
function watch(everyMs: number, tell: () => void): () => void {
  if (watchers.size === 0) document.addEventListener('visibilitychange', tellAll);
  let watcher = watchers.get(everyMs);
  if (!watcher) {
    const told = new Set<() => void>();
    const tick = () => {
      look();
      for (const one of told) one();
    };
    watcher = { tell: told, timer: setInterval(tick, everyMs) };
    watchers.set(everyMs, watcher);
  }
  const { tell: told, timer } = watcher;
  told.add(tell);
  return () => {
    told.delete(tell);
    if (told.size > 0) return;
    clearInterval(timer);
    watchers.delete(everyMs);
    if (watchers.size === 0) document.removeEventListener('visibilitychange', tellAll);
  };
}

const SECOND_MS = 1000;

/**
 * The time in whole steps: the same figure for everybody who asks for the same step, so that what follows from it is
 * worked out once a step. @param of what the step is counted in: the time, or another that is worked out from it.
 */
export function useCoarseNow(
  stepMs: number,
  of: (nowMs: number) => number = same,
  lookMs = SECOND_MS,
): number {
  return useSyncExternalStore(
    useCallback((tell) => watch(Math.min(lookMs, stepMs), tell), [lookMs, stepMs]),
    () => Math.floor(of(watchers.size === 0 ? look() : lookedAtMs) / stepMs) * stepMs,
  );
}

const same = (nowMs: number): number => nowMs;

/** The time to the millisecond, again each second: for a clock that is shown, in a component of its own. */
export function useTick(everyMs = SECOND_MS): number {
  useCoarseNow(everyMs, same, everyMs);
  return serverNow();
}
