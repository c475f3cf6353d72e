import {
  ALCOHOL_UNIT_ROWS,
  type AlcoholUnitRow,
  EMPTY_KITCHEN,
  type House,
  type Kitchen,
} from '@big-ladle/core';

/** What a house has settled; a kitchen that an older page has kept may lack it. */
export const houseOf = (kitchen: Kitchen): House => kitchen.house ?? EMPTY_KITCHEN.house;

/** What alcohol is counted in here. */
export const alcoholUnitOf = (kitchen: Kitchen): AlcoholUnitRow =>
  ALCOHOL_UNIT_ROWS.find((row) => row.id === houseOf(kitchen).alcoholUnitId) ?? ALCOHOL_UNIT_ROWS[0]!;
