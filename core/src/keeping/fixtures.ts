import { USUAL_PLACES } from '../documents/kitchen.ts';
import { EMPTY } from '../liquor/composition.ts';
import { freshItem } from '../log/foldItem.ts';
import type { ItemLog } from '../log/itemLog.ts';
import type { CoolingTally, Liquor, Origin } from '../program/model/liquor.ts';
import { NO_COOLING } from '../program/simulate/exposure.ts';
import { DAY_MS } from '../units/time.ts';
import type { BottleFacts } from './follower.ts';
import { type KeepingInput, keepingOf } from './shelfLife.ts';
import { type Surroundings, surroundingsOf } from './storageClimate.ts';
import type { TemperatureSeries } from './temperatureSeries.ts';

/** A kitchen, a drink and a bottle for the tests of this floor. */
export const FILLED_MS = 1_800_000_000_000;

export const origin = (change: Partial<Origin> = {}): Origin => ({
  lineId: 'x',
  kind: 'solid',
  sinceMin: 0,
  heatedMin: 20,
  below60Min: 100,
  ...change,
});
export const raw = (kind: Origin['kind']): Origin => origin({ kind, heatedMin: 0, below60Min: null });

/** The tally of something that was hot and has finished its cooling, unless it says otherwise. */
export const cooled = (change: Partial<CoolingTally> = {}): CoolingTally => ({
  ...NO_COOLING,
  hot: true,
  cold: true,
  ...change,
});

/** Nine litres, sour enough for an estimate of about pH 2.9, heated all through. */
export const liquor = (change: Partial<Liquor> = {}): Liquor => ({
  ...EMPTY,
  waterG: 9000,
  acidG: 60,
  alkaliMeq: 80,
  tempC: 8,
  origins: [origin({ kind: 'water' }), origin()],
  cooling: cooled({ from60To21Min: 30, from21To5Min: 60, warmMin: 90 }),
  read: null,
  ...change,
});
/** Little acid and plenty of alkali: an estimate near pH 5. */
export const mild = { acidG: 8, alkaliMeq: 120 };
export const keep = (l: Partial<Liquor>, change: Partial<KeepingInput> = {}) =>
  keepingOf({ liquor: liquor(l), hygiene: 'sterilised', ...change });

export const bottle = (change: Partial<BottleFacts> = {}): BottleFacts => ({
  filledMs: FILLED_MS,
  clockStartMs: FILLED_MS - 0.5 * DAY_MS,
  filledC: 4,
  volumeMl: 720,
  diameterCm: 8,
  keeping: keep({}),
  ...change,
});

export const itemLog = (change: Partial<ItemLog> = {}): ItemLog => ({ ...freshItem(FILLED_MS), ...change });

/** Stays one after the other, each with where and how many hours after the filling it began. */
export const stays = (...rows: readonly [place: string, hours: number][]): ItemLog['places'] =>
  rows.map(([place, hours]) => ({ place, fromMs: FILLED_MS + hours * 3_600_000 }));

export const around = (
  change: { fridgeC?: number; roomC?: number; track?: TemperatureSeries | null } = {},
): Surroundings =>
  surroundingsOf(
    { fridgeC: change.fridgeC ?? 4, roomC: change.roomC ?? 22, places: USUAL_PLACES },
    change.track ?? null,
  );
