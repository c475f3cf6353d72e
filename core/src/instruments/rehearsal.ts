/** How fast a rehearsal may run. */
export const REHEARSAL_SPEEDS = [10, 60, 600] as const;
export type RehearsalSpeed = (typeof REHEARSAL_SPEEDS)[number];

/** A clock of its own: from a moment on, so many times as fast as the kitchen's. */
export interface RehearsalClock {
  speed: number;
  /** The kitchen's time when this speed was set, and the rehearsal's own then. */
  realMs: number;
  atMs: number;
}
export const rehearsalNow = (clock: RehearsalClock, realNowMs: number): number =>
  clock.atMs + Math.max(0, realNowMs - clock.realMs) * clock.speed;
