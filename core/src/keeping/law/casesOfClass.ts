import { cooled, keep, mild, origin, raw } from '../fixtures.ts';
import { type Case, days } from './case.ts';

const ACID = {};

/** Keeping decided from a liquor as it stands. */
export const CASES_OF_CLASS: readonly Case[] = [
  { name: 'heated, acid', hand: 'row 1: 7', got: () => days(keep(ACID)), want: 7 },
  { name: 'heated, not acid', hand: 'row 1: 4', got: () => days(keep(mild)), want: 4 },
  {
    name: 'raw juice into a heated base, acid',
    hand: 'row 2: 4',
    got: () => days(keep({ origins: [origin(), raw('rawJuice')] })),
    want: 4,
  },
  {
    name: 'raw juice into a heated base, not acid',
    hand: 'row 2: 2',
    got: () => days(keep({ ...mild, origins: [origin(), raw('rawJuice')] })),
    want: 2,
  },
  {
    name: 'never heated, acid',
    hand: 'row 3: 3',
    got: () => days(keep({ origins: [raw('solid'), raw('water')] })),
    want: 3,
  },
  {
    name: 'raw with boiled water and honey',
    hand: 'neither is a base: row 3, 3',
    got: () => days(keep({ origins: [raw('solid'), origin({ kind: 'water' }), raw('sweetener')] })),
    want: 3,
  },
  {
    name: 'only clean',
    hand: '7, at most 4',
    got: () => days(keep(ACID, { hygiene: 'clean' })),
    want: 4,
  },
  {
    name: 'raw garlic',
    hand: 'row 2 gives 4; garlic 3',
    got: () => days(keep({ origins: [origin(), raw('garlic')] })),
    want: 3,
  },
  {
    name: 'milk in acid',
    hand: 'the limit: 2',
    got: () => days(keep({ origins: [origin(), raw('rawMilk')] })),
    want: 2,
  },
  {
    name: 'a starter, not acid',
    hand: 'the limit: 2',
    got: () => days(keep({ ...mild, origins: [origin(), raw('live')] })),
    want: 2,
  },
  {
    name: 'a fifth of alcohol',
    hand: 'row 3 of preserving: 60',
    got: () => days(keep({ ethanolG: 2200 })),
    want: 60,
  },
  {
    name: 'a tenth of alcohol, acid, heated',
    hand: '14',
    got: () => days(keep({ ethanolG: 900 })),
    want: 14,
  },
  {
    name: 'vinegar and sugar',
    hand: '150 g in 11 L are 1.3 g/100 mL, 33 °Bx: 60',
    got: () => days(keep({ waterG: 6000, sugarG: 3000, addedSugarG: 3000, aceticG: 150 })),
    want: 60,
  },
  {
    name: 'vinegar, and sugar that is all of fruit',
    hand: '60 % of 33 °Bx is sure: 20, under 25: as acid, 7',
    got: () => days(keep({ waterG: 6000, sugarG: 3000, aceticG: 150 })),
    want: 7,
  },
  {
    name: 'seven hours from 60 to 21 °C',
    hand: '7 − 1',
    got: () => days(keep({ cooling: cooled({ from60To21Min: 420 }) })),
    want: 6,
  },
  {
    name: 'thirteen hours, raw juice after',
    hand: '4 − 2',
    got: () => days(keep({ origins: [origin(), raw('rawJuice')], cooling: cooled({ from60To21Min: 780 }) })),
    want: 2,
  },
  {
    name: 'ten hours, the bottle only clean',
    hand: 'the worked example: 7, at most 4, less 1',
    got: () => days(keep({ cooling: cooled({ from60To21Min: 600 }) }, { hygiene: 'clean' })),
    want: 3,
  },
  {
    name: 'the first stage missed by a minute, not acid',
    hand: 'over 120 min',
    got: () => days(keep({ ...mild, cooling: cooled({ from60To21Min: 121 }) })),
    want: 'throwOut',
  },
  {
    name: 'the second stage missed by a minute, not acid',
    hand: 'over 240 min',
    got: () => days(keep({ ...mild, cooling: cooled({ from21To5Min: 241 }) })),
    want: 'throwOut',
  },
  {
    name: 'more than four warm hours, acid in the end',
    hand: 'over 240 min while it was not',
    got: () => days(keep({ cooling: cooled({ unsafeMin: 241 }) })),
    want: 'throwOut',
  },
  {
    name: 'something unknown in it, by the estimate pH 2.7',
    hand: 'no estimate counts: 4',
    got: () => days(keep({ origins: [origin({ unknown: true })] })),
    want: 4,
  },
  {
    name: 'a meter at 4.2, and at 4.21',
    hand: '7 and 4',
    got: () => [4.2, 4.21].map((pH) => days(keep({ ...mild, read: { pH, by: 'meter' } }))).join(' '),
    want: '7 4',
  },
  {
    name: 'alkali that a reading took off',
    hand: 'counted again: not acid, 4',
    got: () => days(keep({ unprovedMeq: 600 })),
    want: 4,
  },
];
