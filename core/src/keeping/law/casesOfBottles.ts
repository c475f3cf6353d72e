import type { ItemLog } from '../../log/itemLog.ts';
import { DAY_MS, HOUR_MS } from '../../units/time.ts';
import { around, bottle, cooled, FILLED_MS, itemLog, keep, mild, stays } from '../fixtures.ts';
import { lifeOf } from '../spoilage.ts';
import type { Case } from './case.ts';

const HOT = cooled({ cold: false });
const left = (
  change: Parameters<typeof bottle>[0],
  log: Partial<ItemLog>,
  hours: number,
  place: Parameters<typeof around>[0] = {},
): number => lifeOf(bottle(change), itemLog(log), around(place), FILLED_MS + hours * HOUR_MS).leftDays;
const hotBottle = (volumeMl: number, diameterCm: number, more: object = {}) => ({
  filledC: 90,
  clockStartMs: FILLED_MS,
  volumeMl,
  diameterCm,
  keeping: keep({ cooling: cooled({ cold: false }) }),
  ...more,
});
const cold = (change: object = {}) => ({ clockStartMs: FILLED_MS, filledC: 4, ...change });

/** Lives of bottles. */
export const CASES_OF_BOTTLES: readonly Case[] = [
  {
    name: 'a litre filled at 90 °C into the fridge, after 24 h',
    hand: '60 → 21 °C 2.96 h at 6.47, 21 → 5 °C 14.9 h, the rest at 1: 47 h; 7 d − 1.96 d',
    got: () => left(hotBottle(1000, 8.5), {}, 24),
    want: 5.04,
    within: 0.05,
  },
  {
    name: 'four litres, 15 cm wide, the same',
    hand: '4.87 h at 6.47, 24.6 h, the rest at 1: 62 h; 7 d − 2.58 d',
    got: () => left(hotBottle(4000, 15), {}, 24),
    want: 4.42,
    within: 0.05,
  },
  {
    name: 'fourteen hours on the counter first',
    hand: '12.5 h at 7.22, then 19 h in the fridge, and 2 days for over 12 h: 7 − 2 − 4.6, no whole day',
    got: () => Math.floor(left(hotBottle(1000, 8.5), { places: stays(['counter', 0], ['fridge', 14]) }, 24)),
    want: 0,
  },
  {
    name: 'filled hot, not acid',
    hand: '2.96 h from 60 to 21 °C in the bottle: over 2',
    got: () =>
      lifeOf(
        bottle(hotBottle(1000, 8.5, { keeping: keep({ ...mild, cooling: HOT }) })),
        itemLog(),
        around(),
        FILLED_MS + HOUR_MS,
      ).verdict,
    want: 'throwOut',
  },
  {
    name: 'a fridge at 8 °C',
    hand: '7 d at 3^0.4 = 1.552',
    got: () => left(cold({ filledC: 8 }), {}, 0, { fridgeC: 8 }),
    want: 7 / 1.552,
    within: 0.01,
  },
  {
    name: 'ten days in the freezer',
    hand: '90 − 10',
    got: () => left(cold(), { places: stays(['fridge', 0], ['freezer', 24]) }, 24 * 11),
    want: 80,
    within: 0.001,
  },
  {
    name: 'thawed after two days and ten in the freezer',
    hand: 'five were left: at most 3',
    got: () => left(cold(), { places: stays(['fridge', 0], ['freezer', 48], ['fridge', 288]) }, 288),
    want: 3,
    within: 0.001,
  },
  {
    name: 'opened after a day',
    hand: '5 from then',
    got: () => left(cold(), { openedMs: FILLED_MS + DAY_MS }, 24),
    want: 5,
    within: 0.001,
  },
  {
    name: 'six hours on the table at 22 °C, not acid',
    hand: 'over 4 h out of the cold',
    got: () =>
      lifeOf(
        bottle(cold({ keeping: keep(mild) })),
        itemLog({ places: stays(['fridge', 0], ['counter', 2], ['fridge', 8]) }),
        around(),
        FILLED_MS + 9 * HOUR_MS,
      ).verdict,
    want: 'throwOut',
  },
];
