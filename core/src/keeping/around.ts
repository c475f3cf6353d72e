import type { Kitchen, ShelfPlace } from '../documents/kitchen.ts';
import { KEEPING } from '../tables/keeping.ts';
import { type PlaceKind, placeKindRow } from '../tables/places.ts';
import type { FridgeTrack } from './track.ts';

/** A place as its bottles feel it. */
export interface Standing {
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
  places: ReadonlyMap<string, Standing>;
  track: FridgeTrack | null;
  roomC: number;
}

function standingOf(place: ShelfPlace, kitchen: Pick<Kitchen, 'fridgeC' | 'roomC'>): Standing {
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
  track: FridgeTrack | null,
): Surroundings {
  return {
    places: new Map(kitchen.places.map((p) => [p.id, standingOf(p, kitchen)])),
    track,
    roomC: kitchen.roomC,
  };
}

/**
 * A place by its id. One that the kitchen has no more is taken by its kind where the id is a kind's (as in older logs),
 * else as the table: the worse answer.
 */
export function standingAt(around: Surroundings, placeId: string): Standing {
  const known = around.places.get(placeId);
  if (known) return known;
  for (const standing of around.places.values()) if (standing.kind === placeId) return standing;
  return { kind: 'counter', tempC: around.roomC, trackedBy: null, frozen: false };
}
