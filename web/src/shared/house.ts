import {
  EMPTY_KITCHEN,
  type House,
  type Kitchen,
  type ShelfPlace,
  USUAL_PLACES,
} from '@big-ladle/core/documents';
import { ALCOHOL_UNIT_ROWS, type AlcoholUnitRow } from '@big-ladle/core/tables';

/** What a house has settled; a kitchen that an older page has kept may lack it. */
export const houseOf = (kitchen: Kitchen): House => kitchen.house ?? EMPTY_KITCHEN.house;

/** What alcohol is counted in here. */
export const alcoholUnitOf = (kitchen: Kitchen): AlcoholUnitRow =>
  ALCOHOL_UNIT_ROWS.find((row) => row.id === houseOf(kitchen).alcoholUnitId) ?? ALCOHOL_UNIT_ROWS[0]!;

/** Where things may stand; a kitchen that an older page has kept may lack it. */
export const placesOf = (kitchen: Kitchen): readonly ShelfPlace[] => kitchen.places ?? USUAL_PLACES;

/** A place by its name; one that is no longer there by its id. */
export const placeName = (kitchen: Kitchen, id: string): string =>
  placesOf(kitchen).find((p) => p.id === id)?.name ?? id;
