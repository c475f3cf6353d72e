/** Rows of the keeping model: days sealed and once open. Conservative home rules; local food rules come first. */
export interface KeepDays {
  sealed: number;
  open: number;
}

export type KeepClass = 'heated' | 'rawAdded' | 'raw';

const SOURCE = 'Conservative reading of public guidance for home-made chilled drinks';

export const BASE_ROWS: Record<KeepClass, { shownAcid: KeepDays; notShown: KeepDays; source: string }> = {
  heated: { shownAcid: { sealed: 7, open: 5 }, notShown: { sealed: 4, open: 3 }, source: SOURCE },
  rawAdded: { shownAcid: { sealed: 4, open: 3 }, notShown: { sealed: 2, open: 2 }, source: SOURCE },
  raw: { shownAcid: { sealed: 3, open: 3 }, notShown: { sealed: 2, open: 2 }, source: SOURCE },
};

export const PRESERVING_ROWS = {
  /** Acetic at least 1.2 g/100 mL, at least 25 °Bx, shown acid. */
  vinegarAndSugar: { sealed: 60, open: 45, aceticPer100Ml: 1.2, brix: 25, source: SOURCE },
  strongSpirit: { sealed: 60, open: 45, abvPct: 20, source: SOURCE },
  /** Shown acid, all heated before the spirit. */
  mildSpirit: { sealed: 14, open: 10, abvPct: 10, source: SOURCE },
} as const;

export const LIMIT_ROWS = {
  rawGarlic: { shownAcid: { sealed: 3, open: 3 }, notShown: { sealed: 2, open: 2 }, source: SOURCE },
  milk: { sealed: 2, open: 2, source: SOURCE },
  /** A starter was added on purpose. */
  live: { shownAcid: { sealed: 5, open: 3 }, notShown: { sealed: 2, open: 2 }, source: SOURCE },
} as const;

export const KEEPING = Object.freeze({
  /** A bottle that was clean but not sterilised. */
  cleanOnlyDays: 4,
  /** Hours between 60 and 21 °C that cost nothing, one day; more cost two. */
  slowCoolingH: { free: 6, oneDay: 12 },
  /** Cooling of a drink not shown to be acid: 60 → 21 °C, then → 5 °C, hours. */
  stagesH: { first: 2, second: 4 },
  /** Its first stage missed, but so little time since it was 60 °C: it may be boiled once more and cooled in ice. */
  boilAgainH: 4,
  /** Warm soaking or steeping of a drink not shown to be acid in that step, hours in all. */
  warmSteepH: 4,
  /** Estimated pH counts as acid up to here; a meter up to 4.2; a strip up to 3.8. */
  acidPh: { estimate: 3.3, meter: 4.2, strip: 3.8 },
  /** Heated in full: at or above this for so many minutes, °C. */
  heatedC: 85,
  heatedMin: 5,
  /** Between these what is in a drink grows, °C. */
  warmC: { from: 5, to: 60 },
  /** Warmer than its room by so much: it was warmed, and has a cooling to finish, °C. */
  warmedByC: 2,
  /** The first stage of cooling ends at this, °C. */
  firstStageToC: 21,
  /** In fridge or ice the second stage is over at this, °C; elsewhere at 5. */
  coldEnoughC: 8,
  /** Warm hours of a bottle not shown to be acid: may go back, drink now. */
  tableH: { back: 2, drinkNow: 4 },
  /** The same above this room temperature. */
  hotRoomC: 32,
  hotTableH: { back: 1, drinkNow: 2 },
  /** In a fridge hours count as warm from here on: a little above 5 °C its life runs faster, but it is not "out". */
  warmFridgeC: 8,
  /** Out of the fridge hours count as warm from here on; half a degree for a bottle that has just been taken out. */
  warmFromC: 5.5,
  /** More bottles than so many, put into the fridge warm together, keep it at so many °C until they are cold. */
  hotBottles: { most: 3, fridgeC: 8, coldC: 9 },
  /** Above this for an hour anything is thrown out. */
  hotC: 40,
  hotH: 1,
  /** Frozen at or below this the clock stands, and so many days run instead; thawed it has so many at most. */
  frozenC: -15,
  frozenDays: 90,
  thawedDays: 3,
  /** A logger that is silent for longer: the warmer neighbour, at least so warm. */
  gapH: 2,
  gapC: 8,
});
