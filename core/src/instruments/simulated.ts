import { randomLcg, randomNormal } from 'd3-random';
import { FRIDGE_LIFE, type InstrumentRow, LOSS } from '../tables/instruments.ts';

/** What could be read at a moment; null where there is nothing to read. */
export interface Truth {
  tempC: number | null;
  /** Contents and vessel. */
  massKg: number | null;
  brix: number | null;
  pH: number | null;
  abvPct: number;
}
export type TruthAt = (atMs: number) => Truth;

/** Why an instrument shows nothing. */
export type ReadingFault = 'lost' | 'nothingThere' | 'outOfRange' | 'alcohol';
export type InstrumentReading =
  | { atMs: number; value: number; fault: null }
  | { atMs: number; value: null; fault: ReadingFault };

const MINUTE_MS = 60_000;
const DAY_MIN = 24 * 60;

/** A number in 0..1 that belongs to a seed and a place in time: the same question, the same answer. */
export function chance(seed: number, place: number): number {
  let h = Math.imul(seed + 1, 0x9e3779b1) ^ Math.imul(place | 0, 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 15), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

/** Whether the instrument is out of reach at a moment: once in a slot of time, at a minute of its own. */
export function isLost(seed: number, sinceMin: number): boolean {
  if (sinceMin < 0) return false;
  const slot = Math.floor(sinceMin / LOSS.everyMin);
  const from = slot * LOSS.everyMin + 20 + chance(seed, slot) * (LOSS.everyMin - LOSS.forMin - 20);
  return sinceMin >= from && sinceMin < from + LOSS.forMin;
}

/** A simulated fault that a cook switches on, to see what it does: the door stands open, or the power is out. */
export const FAILING_KINDS = ['doorOpen', 'noPower'] as const;
export interface Failing {
  kind: (typeof FAILING_KINDS)[number];
  sinceMs: number;
}

/** The air comes so near to the room's in this time, by a factor e; minutes. */
const FAILING_TAU_MIN: Readonly<Record<Failing['kind'], number>> = { doorOpen: 45, noPower: 360 };

/** The air in a fridge at a moment: its setting, its door and its bad days, and a fault that is on. */
export function fridgeAirC(
  seed: number,
  atMs: number,
  fridgeC: number,
  roomC: number,
  failing: Failing | null = null,
): number {
  const minute = atMs / MINUTE_MS;
  let airC = fridgeC;
  const slot = Math.floor(minute / FRIDGE_LIFE.everyMin);
  for (const s of [slot - 1, slot]) {
    const since = minute - (s + chance(seed, s)) * FRIDGE_LIFE.everyMin;
    if (since >= 0) airC += FRIDGE_LIFE.openingC * Math.exp(-since / FRIDGE_LIFE.recoverMin);
  }
  const day = Math.floor(minute / DAY_MIN);
  if (chance(seed + 7, day) < FRIDGE_LIFE.failingDays) {
    const since = minute - day * DAY_MIN - chance(seed + 11, day) * (DAY_MIN - 2 * FRIDGE_LIFE.failingMin);
    const warmed = (Math.min(Math.max(since, 0), FRIDGE_LIFE.failingMin) / 60) * FRIDGE_LIFE.warmsCPerH;
    const back = Math.max(0, since - FRIDGE_LIFE.failingMin);
    airC += warmed * Math.exp(-back / 60);
  }
  const own = Math.min(roomC, airC);
  if (!failing || atMs <= failing.sinceMs) return own;
  const sinceMin = (atMs - failing.sinceMs) / MINUTE_MS;
  return roomC - (roomC - own) * Math.exp(-sinceMin / FAILING_TAU_MIN[failing.kind]);
}

export interface ReadInput {
  row: InstrumentRow;
  seed: number;
  atMs: number;
  truth: TruthAt;
  /** Taken off by a scale. */
  tareKg?: number;
}

/**
 * What a simulated instrument shows at a moment: the truth of a little while ago, with noise, drift and its own steps.
 * Outside of what it can read it shows nothing and says why. The same seed and moment give the same reading.
 */
export function simulatedReading({ row, seed, atMs, truth, tareKg = 0 }: ReadInput): InstrumentReading {
  const none = (fault: ReadingFault): InstrumentReading => ({ atMs, value: null, fault });
  const past = truth(atMs - row.lagS * 1000);
  // Held into a pot that has just been filled, it shows what stands there now.
  const then = past[row.reads] === null ? truth(atMs) : past;
  const real = then[row.reads];
  if (real === null) return none('nothingThere');
  if (row.reads === 'brix' && then.abvPct > 0.5) return none('alcohol');
  const noise = randomNormal.source(randomLcg(chance(seed, Math.floor(atMs / 1000))))(0, row.noise)();
  const wander = row.drift * Math.sin(atMs / (3 * 3_600_000) + seed);
  const shown = real + noise + wander;
  if (shown < row.min || shown > row.max) return none('outOfRange');
  const value = Math.round((shown - tareKg) / row.step) * row.step;
  return { atMs, value: Number(value.toFixed(3)), fault: null };
}
