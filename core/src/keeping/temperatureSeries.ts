import { KEEPING } from '../tables/keeping.ts';
import { HOUR_MS, MINUTE_MS } from '../units/time.ts';

/** A fridge logger's readings are kept by cells of so long; null: nothing was read in it. */
export const CELL_MS = 10 * MINUTE_MS;

/** What a logger has read of the fridge: one figure a cell, the mean of its readings, °C. */
export interface FridgeRecord {
  /** A whole number of cells since 1970. */
  fromMs: number;
  tempC: readonly (number | null)[];
}

/** Readings put into cells. The cells of two parts of a log joined are those of the whole. */
export function recordOf(readings: readonly { atMs: number; value: number | null }[]): FridgeRecord | null {
  const sums = new Map<number, { sum: number; count: number }>();
  let first = Number.POSITIVE_INFINITY;
  let last = Number.NEGATIVE_INFINITY;
  for (const { atMs, value } of readings) {
    if (value === null || !Number.isFinite(value)) continue;
    const cell = Math.floor(atMs / CELL_MS);
    const at = sums.get(cell);
    if (at) {
      at.sum += value;
      at.count++;
    } else sums.set(cell, { sum: value, count: 1 });
    first = Math.min(first, cell);
    last = Math.max(last, cell);
  }
  if (!Number.isFinite(first)) return null;
  return {
    fromMs: first * CELL_MS,
    tempC: Array.from({ length: last - first + 1 }, (_, i) => {
      const at = sums.get(first + i);
      return at ? at.sum / at.count : null;
    }),
  };
}

/** The fridge's temperature in every cell up to now, with what was not read filled in. */
export interface TemperatureSeries {
  fromMs: number;
  tempC: Float64Array;
  /** Cells that nobody read, over gaps too long to be bridged: taken as warm. */
  guessed: Uint8Array;
  /** Taken before the record begins and after now, °C. */
  enteredC: number;
  /** The mean of the last day, for what is to come, °C. */
  expectedC: number;
}

/**
 * Fills a record's gaps: up to 2 h by a straight line between its neighbours, longer ones by the warmer neighbour and
 * at least 8 °C, up to now as well.
 */
export function temperatureSeriesOf(
  record: FridgeRecord | null,
  enteredC: number,
  nowMs: number,
): TemperatureSeries | null {
  if (!record || record.tempC.length === 0) return null;
  const cells = Math.max(record.tempC.length, Math.ceil((nowMs - record.fromMs) / CELL_MS));
  const tempC = new Float64Array(cells);
  const guessed = new Uint8Array(cells);
  const bridged = (KEEPING.gapH * HOUR_MS) / CELL_MS;
  let lastRead = -1;
  const fill = (to: number, right: number | null): void => {
    const gap = to - lastRead - 1;
    if (gap <= 0) return;
    const left = lastRead >= 0 ? tempC[lastRead]! : (right ?? enteredC);
    for (let i = lastRead + 1; i < to; i++) {
      if (gap > bridged) {
        tempC[i] = Math.max(left, right ?? left, KEEPING.gapC);
        guessed[i] = 1;
      } else if (right === null) tempC[i] = left;
      else tempC[i] = left + ((right - left) * (i - lastRead)) / (gap + 1);
    }
  };
  for (const [i, value] of record.tempC.entries()) {
    if (value === null) continue;
    fill(i, value);
    tempC[i] = value;
    lastRead = i;
  }
  fill(cells, null);
  const day = Math.min(cells, (24 * HOUR_MS) / CELL_MS);
  let sum = 0;
  for (let i = cells - day; i < cells; i++) sum += tempC[i]!;
  return { fromMs: record.fromMs, tempC, guessed, enteredC, expectedC: sum / day };
}

/** The fridge's temperature at a moment, °C. */
export function trackAt(track: TemperatureSeries, atMs: number): number {
  const cell = Math.floor((atMs - track.fromMs) / CELL_MS);
  if (cell < 0) return track.enteredC;
  return cell < track.tempC.length ? track.tempC[cell]! : track.expectedC;
}

/** Hours in which the fridge was warm: a door left open, a night without power. */
export interface WarmSpell {
  fromMs: number;
  toMs: number;
  highestC: number;
  /** Part of it was not read but taken as warm. */
  guessed: boolean;
}

/** Above this for longer than the least a spell is told. */
const SPELL_C = 6;
const SPELL_LEAST_MS = 30 * MINUTE_MS;
/** Shorter pauses between two warm stretches belong to one spell. */
const SPELL_JOIN_MS = 60 * MINUTE_MS;

/** The warm spells of a track, in order of time. */
export function warmSpells(track: TemperatureSeries): WarmSpell[] {
  const spells: WarmSpell[] = [];
  for (let i = 0; i < track.tempC.length; i++) {
    const tempC = track.tempC[i]!;
    if (tempC <= SPELL_C) continue;
    const fromMs = track.fromMs + i * CELL_MS;
    const last = spells.at(-1);
    const guessed = track.guessed[i] === 1;
    if (last && fromMs - last.toMs <= SPELL_JOIN_MS) {
      last.toMs = fromMs + CELL_MS;
      last.highestC = Math.max(last.highestC, tempC);
      last.guessed ||= guessed;
    } else spells.push({ fromMs, toMs: fromMs + CELL_MS, highestC: tempC, guessed });
  }
  return spells.filter((s) => s.toMs - s.fromMs >= SPELL_LEAST_MS);
}
