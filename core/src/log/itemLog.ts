import type { Sign } from '../tables/checks.ts';
import type { LeftoverUse } from '../tables/leftovers.ts';

/** What has happened to a bottle, jar, bag or leftover since it was put by. */
export interface ItemLog {
  openedMs: number | null;
  pouredMl: number;
  finishedMs: number | null;
  discarded: { atMs: number; why: string | null; codes: readonly string[] } | null;
  given: { atMs: number; to: string } | null;
  /** Where it stood, from when; the first entry is the filling. */
  places: readonly { place: string; fromMs: number }[];
  ventedMs: number | null;
  /** Each look at it, with what was seen. */
  looks: readonly { atMs: number; signs: readonly Sign[] }[];
  /** Of a leftover: what went into something else, g. */
  used: readonly { atMs: number; massG: number; use: LeftoverUse }[];
}
