/** Sizes of the lanes of the days, px. */
export const LABEL = 132;
export const LANE = 46;
export const BAR_PX = LANE - 14;
export const FRIDGE = 110;
export const HEAD = 52;
