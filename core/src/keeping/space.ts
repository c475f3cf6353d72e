import type { ShelfPlace } from '../documents/kitchen.ts';

/** What stands somewhere, or is to. */
export interface Footprint {
  sizeMl: number;
  diameterCm: number;
}

export interface Space {
  litres: number;
  /** Share of the litres and of the floor that is taken; above 1: more than goes in. */
  litresShare: number;
  floorShare: number;
}

/** Bottles stand in rows: each takes a square as wide as itself. */
const floorCm2 = (things: readonly Footprint[]): number =>
  things.reduce((sum, t) => sum + t.diameterCm * t.diameterCm, 0);

/** How full a place is with these in it. */
export function spaceIn(place: ShelfPlace, things: readonly Footprint[]): Space {
  const litres = things.reduce((sum, t) => sum + t.sizeMl, 0) / 1000;
  return {
    litres,
    litresShare: litres / place.litres,
    floorShare: floorCm2(things) / (place.widthCm * place.depthCm),
  };
}

/** A hair over is still in. */
const FULL = 1 + 1e-9;
export const hasSpace = (space: Space): boolean => space.litresShare <= FULL && space.floorShare <= FULL;

/** What stands there already, the first to be drunk first. */
export interface Standee extends Footprint {
  itemId: string;
  deadlineMs: number;
}

/**
 * Whether so many more fit into a place, and what must go first so that they do.
 * @returns `first` is empty where they fit as it is; null where they would not fit into the empty place.
 */
export function makeSpace(
  place: ShelfPlace,
  there: readonly Standee[],
  coming: readonly Footprint[],
): { space: Space; first: Standee[] | null } {
  const space = spaceIn(place, [...there, ...coming]);
  if (hasSpace(space)) return { space, first: [] };
  if (!hasSpace(spaceIn(place, coming))) return { space, first: null };
  const order = [...there].sort((a, b) => a.deadlineMs - b.deadlineMs);
  const first: Standee[] = [];
  for (const next of order) {
    first.push(next);
    const rest = order.filter((s) => !first.includes(s));
    if (hasSpace(spaceIn(place, [...rest, ...coming]))) break;
  }
  return { space, first };
}
