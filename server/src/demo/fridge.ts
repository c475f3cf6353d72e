import { fridgeAirC, type InstrumentReading } from '@big-ladle/core/log';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { putInstrument, storeReadings } from '../services/instruments.ts';
import { HOUR_MS } from './writing.ts';

/** Minutes between the readings that the demo's logger has left behind. */
const READ_EVERY_MIN = 5;

/** A logger in the fridge, with a night in which its door stood ajar. */
export async function fridgeRead(db: Db, nowMs: number): Promise<void> {
  await putInstrument(db, {
    id: 'demo-fridge',
    kind: 'fridgeLogger',
    name: 'Fridge logger',
    batchId: null,
    lost: false,
    tareKg: 0,
    failing: null,
  });
  const night = new Date(nowMs - 2 * DAY_MS);
  night.setHours(22, 30, 0, 0);
  const ajar = { kind: 'doorOpen', sinceMs: night.getTime() } as const;
  const shutMs = ajar.sinceMs + 8 * HOUR_MS;
  const readings: InstrumentReading[] = [];
  for (let ms = nowMs - 6 * DAY_MS; ms < nowMs; ms += READ_EVERY_MIN * MINUTE_MS) {
    // A seed of its own without a bad day of its own.
    const own = Math.min(fridgeAirC(3, ms, 4, 21), 5.4);
    const atShut = fridgeAirC(3, shutMs, 4, 14, ajar);
    const value =
      ms > ajar.sinceMs && ms <= shutMs
        ? fridgeAirC(3, ms, 4, 14, ajar)
        : ms > shutMs
          ? own + Math.max(0, atShut - own) * Math.exp(-(ms - shutMs) / (70 * MINUTE_MS))
          : own;
    readings.push({ atMs: ms, value: Math.round(value * 10) / 10, fault: null });
  }
  const CHUNK = 60;
  for (let i = 0; i < readings.length; i += CHUNK)
    await storeReadings(db, 'demo-fridge', null, readings.slice(i, i + CHUNK));
}
