import type { Kitchen, ShelfPlace } from '../documents/kitchen.ts';
import { KEEPING } from '../tables/keeping.ts';
import { type PlaceKind, placeKindRow } from '../tables/places.ts';
import type { TemperatureSeries } from './temperatureSeries.ts';

/** A place as its bottles feel it. */
export interface StorageClimate {
  kind: PlaceKind;
  /** As it is steadily, °C; where it follows a logged fridge the track counts instead. */
  tempC: number;
  /** Follows the track of the fridge, warmer by so much, °C; null: it does not. */
  trackedBy: number | null;
  /** Cold enough that the clock stands. */
  frozen: boolean;
}

/** Where bottles stand and how warm it is and was there. */
export interface Surroundings {
  places: ReadonlyMap<string, StorageClimate>;
  track: TemperatureSeries | null;
  roomC: number;
}

function climateOf(place: ShelfPlace, kitchen: Pick<Kitchen, 'fridgeC' | 'roomC'>): StorageClimate {
  const row = placeKindRow(place.kind);
  const tempC =
    row.follows === 'fridge'
      ? kitchen.fridgeC + row.warmerC
      : row.follows === 'room'
        ? kitchen.roomC
        : (place.tempC ?? row.usualC);
  return {
    kind: place.kind,
    tempC,
    trackedBy: row.follows === 'fridge' ? row.warmerC : null,
    frozen: place.kind === 'freezer' && tempC <= KEEPING.frozenC,
  };
}

/** The places of a kitchen with what its fridge's logger has read. */
export function surroundingsOf(
  kitchen: Pick<Kitchen, 'fridgeC' | 'roomC' | 'places'>,
  track: TemperatureSeries | null,
): Surroundings {
  return {
    places: new Map(kitchen.places.map((p) => [p.id, climateOf(p, kitchen)])),
    track,
    roomC: kitchen.roomC,
  };
}

/**
 * A place by its id. One that the kitchen has no more is taken by its kind where the id is a kind's (as in older logs),
 * else as the table: the worse answer.
 */
export function climateAt(around: Surroundings, placeId: string): StorageClimate {
  const known = around.places.get(placeId);
  if (known) return known;
  for (const climate of around.places.values()) if (climate.kind === placeId) return climate;
  return { kind: 'counter', tempC: around.roomC, trackedBy: null, frozen: false };
}
