import { DAY_MS } from '../units/time.ts';

/** How fast a drink goes, from what was poured of late. */
export interface RateOfUse {
  mlPerDay: number;
  /** When the last glass goes; null: nothing goes. */
  lastGlassMs: number | null;
  /** When the next batch is to be begun, so that it is there then. */
  makeMs: number | null;
  /** A good part is not drunk before its date. */
  leftOverMl: number;
}

/** Looked back so many days; less where the drink has not been there so long. */
export const USE_WINDOW_DAYS = 14;
/** Made, cooled and bottled within this many days. */
const LEAD_DAYS = 1;

/**
 * Rate of use of a drink and what follows from it.
 * @param pouredMl in the window. @param windowMs how long the drink has been on the shelf, up to the window.
 * @param bottles what is left of each, with its deadline.
 */
export function rateOfUse(
  pouredMl: number,
  windowMs: number,
  bottles: readonly { leftMl: number; deadlineMs: number }[],
  nowMs: number,
): RateOfUse {
  const days = Math.max(1, Math.min(USE_WINDOW_DAYS, windowMs / DAY_MS));
  const mlPerDay = pouredMl / days;
  const leftMl = bottles.reduce((sum, b) => sum + b.leftMl, 0);
  if (mlPerDay <= 0) return { mlPerDay: 0, lastGlassMs: null, makeMs: null, leftOverMl: leftMl };
  // Drunk one after the other, the first to end first: what its date comes before is left over.
  let atMs = nowMs;
  let leftOverMl = 0;
  for (const bottle of [...bottles].sort((a, b) => a.deadlineMs - b.deadlineMs)) {
    const drunkMl = Math.min(bottle.leftMl, Math.max(0, ((bottle.deadlineMs - atMs) / DAY_MS) * mlPerDay));
    leftOverMl += bottle.leftMl - drunkMl;
    atMs += (drunkMl / mlPerDay) * DAY_MS;
  }
  return { mlPerDay, lastGlassMs: atMs, makeMs: Math.max(nowMs, atMs - LEAD_DAYS * DAY_MS), leftOverMl };
}
