import { DAILY_FREE_SUGAR_G } from '@big-ladle/core/tables';
import { nutrientGrams } from '../words/quantities.ts';

/** What a sentence on the sugar of a day is filled with: as much as guidance allows, and as little as it aims at. */
export const dailySugar = () => ({
  ceiling: nutrientGrams(DAILY_FREE_SUGAR_G.ceiling),
  aim: nutrientGrams(DAILY_FREE_SUGAR_G.aim),
});
