import { abvPct } from '../../liquor/composition.ts';
import { simulateBatch } from '../../program/simulate/simulate.ts';
import { SHIPPED_TABLES } from '../../tables/index.ts';
import { KITCHEN, programOf, tablesWith } from '../../testKitchen.ts';
import { fillingOf } from '../bottled.ts';
import { type Case, days } from './case.ts';
import {
  type Bare,
  BOIL,
  BOTTLE,
  CALYX,
  COMBINE,
  COOL,
  HEAT,
  kept,
  liquid,
  MIX,
  PEEL,
  quiet,
  read,
  run,
  STAND,
  STRAIN,
  solid,
} from './courseSteps.ts';

const MELON = 'watermelon-juice';
const UNKNOWN_CALYX = tablesWith('hibiscus-dried', { unknown: true });

/** Whole courses, from the pot to the bottles. */
export const CASES_OF_COURSES: readonly Case[] = [
  {
    name: 'peel left on the counter for 12 h',
    hand: 'boiled, then warm for about 10 h: over 4',
    got: () =>
      days(kept(PEEL, [COMBINE('water', 'peel'), HEAT, BOIL(10), STAND('steep', 12), STRAIN, BOTTLE])),
    want: 'throwOut',
  },
  {
    name: 'the same steep skipped at its end',
    hand: 'the hours went by all the same',
    got: () =>
      days(
        kept(PEEL, [COMBINE('water', 'peel'), HEAT, BOIL(10), STAND('steep', 0), STRAIN, BOTTLE], {
          'steep-3': { startMin: 60, endMin: 60 + 720, skipped: true, ...quiet },
        }),
      ),
    want: 'throwOut',
  },
  {
    name: 'a cooling on the table, skipped at its end',
    hand: '12 h from hot: over 2 h to 21 °C',
    got: () =>
      days(
        kept(PEEL, [COMBINE('water', 'peel'), HEAT, BOIL(10), STRAIN, COOL('iceBath', 0), BOTTLE], {
          'cool-4': { startMin: 80, endMin: 80 + 720, skipped: true, ...quiet },
        }),
      ),
    want: 'throwOut',
  },
  {
    name: 'cooled on the table for 12 h, with lemon after it',
    hand: 'its first stage was missed by more than 4 h before it was acid',
    got: () =>
      days(
        kept(
          [...PEEL, liquid('lemon', 'lemon-juice', 500)],
          [COMBINE('water', 'peel'), HEAT, BOIL(10), STRAIN, COOL('counter', 720), MIX(2, 'lemon'), BOTTLE],
        ),
      ),
    want: 'throwOut',
  },
  {
    name: 'five hours between two steps',
    hand: 'it stood hot on the table: over 2 h to 21 °C',
    got: () =>
      days(
        kept(PEEL, [COMBINE('water', 'peel'), HEAT, BOIL(10), STRAIN, BOTTLE], {
          'bottle-4': { startMin: 80 + 300, endMin: 80 + 305, ...quiet },
        }),
      ),
    want: 'throwOut',
  },
  {
    name: 'boiled again after 20 h on the counter',
    hand: 'allowed only under 4 h: the missed stage stays',
    got: () =>
      days(
        kept(PEEL, [
          COMBINE('water', 'peel'),
          HEAT,
          BOIL(10),
          STAND('steep', 20),
          HEAT,
          BOIL(10),
          STRAIN,
          COOL('iceBath', 120),
          BOTTLE,
        ]),
      ),
    want: 'throwOut',
  },
  {
    name: 'acid, boiled again after 16 h on the counter',
    hand: 'the cut of over 12 h from 60 °C stays: 7 − 2',
    got: () =>
      days(
        kept(CALYX, [
          COMBINE('water', 'calyx'),
          HEAT,
          BOIL(10),
          STAND('steep', 16),
          HEAT,
          BOIL(10),
          STRAIN,
          COOL('iceBath', 120),
          BOTTLE,
        ]),
      ),
    want: 5,
  },
  {
    name: 'sour by the tables, of something nobody knows, soaked for 5 h before the boil',
    hand: 'no estimate counts in those hours either: over 4',
    got: () =>
      days(
        kept(
          CALYX,
          [COMBINE('water', 'calyx'), STAND('soak', 5), HEAT, BOIL(10), STRAIN, COOL('iceBath', 120), BOTTLE],
          {},
          UNKNOWN_CALYX,
        ),
      ),
    want: 'throwOut',
  },
  {
    name: 'a meter held in, then a litre of water poured in',
    hand: 'what comes in cancels it: too little acid to estimate; cold water is unheated: 2',
    got: () => {
      const k = kept(
        [...PEEL, liquid('more', 'water', 998)],
        [
          COMBINE('water', 'peel'),
          HEAT,
          BOIL(10),
          STRAIN,
          COOL('iceBath', 120),
          MIX(2),
          MIX(2, 'more'),
          BOTTLE,
        ],
        { 'mix-5': read(3.6, 'tub', 1) },
      );
      return `${k.acid.by} ${k.sealedDays}`;
    },
    want: 'nothing 2',
  },
  {
    name: 'boiled again within four hours, and cooled in ice',
    hand: 'made good once: 4',
    got: () =>
      days(
        kept(PEEL, [
          COMBINE('water', 'peel'),
          HEAT,
          BOIL(10),
          STRAIN,
          COOL('counter', 270),
          { ...MIX(0), kind: 'combine', from: ['tub'], to: ['pot'] } as Bare,
          HEAT,
          BOIL(10),
          STRAIN,
          COOL('iceBath', 120),
          BOTTLE,
        ]),
      ),
    want: 4,
  },
  {
    name: 'raw melon left for 20 h where it was mixed',
    hand: 'mild and warm for over 4 h, in whatever step',
    got: () =>
      days(
        kept(
          [...PEEL, liquid('melon', MELON, 3000)],
          [
            COMBINE('water', 'peel'),
            HEAT,
            BOIL(10),
            STRAIN,
            COOL('iceBath', 150),
            MIX(1200, 'melon'),
            BOTTLE,
          ],
        ),
      ),
    want: 'throwOut',
  },
  {
    name: 'a meter held in before the boil',
    hand: 'what is drawn cancels it: too little acid to estimate, 4',
    got: () => {
      const k = kept(PEEL, [COMBINE('water', 'peel'), HEAT, BOIL(30), STRAIN, COOL('iceBath', 150), BOTTLE], {
        'combine-0': read(3.6, 'pot', 1),
      });
      return `${k.acid.by} ${k.sealedDays}`;
    },
    want: 'nothing 4',
  },
  {
    name: 'a litre of spirit in three, boiled open for 90 min',
    hand: 'under a fifth of it is left: no row of alcohol counts',
    got: () =>
      abvPct(
        run(
          [
            liquid('water', 'water', 3000 * 0.9982),
            liquid('spirit', 'spirit-40', 949),
            solid('peel', 'orange-peel', 50),
          ],
          [COMBINE('water', 'spirit', 'peel'), HEAT, BOIL(90, 'off'), STRAIN, BOTTLE],
        ),
      ) < 3.3
        ? 'weak'
        : 'strong',
    want: 'weak',
  },
  {
    name: 'lemon in the last minute of 24 h on the counter',
    hand: 'warm and mild for nearly a day before: over 4 h',
    got: () =>
      days(
        kept(
          [...PEEL, liquid('lemon', 'lemon-juice', 400)],
          [
            COMBINE('water', 'peel'),
            STAND('soak', 24),
            { ...COMBINE('lemon'), from: ['bowl'] } as Bare,
            HEAT,
            BOIL(10),
            STRAIN,
            COOL('iceBath', 150),
            BOTTLE,
          ],
        ),
      ),
    want: 'throwOut',
  },
  {
    name: 'calyx soaked on the counter for 12 h',
    hand: 'sour within minutes: heated, acid, 7',
    got: () =>
      days(
        kept(CALYX, [
          COMBINE('water', 'calyx'),
          STAND('soak', 12),
          HEAT,
          BOIL(10),
          STRAIN,
          COOL('iceBath', 150),
          BOTTLE,
        ]),
      ),
    want: 7,
  },
  {
    name: 'a thermometer at 55 °C in the ice bath',
    hand: 'it fell below 60 °C in that step: the clock began there, not with the bottling',
    got: () => {
      const program = programOf(CALYX, [
        COMBINE('water', 'calyx'),
        HEAT,
        BOIL(10),
        STRAIN,
        COOL('iceBath', 60),
        BOTTLE,
      ]);
      const { vessels } = simulateBatch(program, KITCHEN, SHIPPED_TABLES, {
        actuals: {
          'cool-4': {
            startMin: 100,
            endMin: 160,
            adjustments: [
              { kind: 'measured', atMin: 101, vesselId: 'tub', reading: { what: 'temperature', tempC: 55 } },
            ],
          },
        },
        detail: 'lean',
      });
      return fillingOf(vessels.bottles!.liquor, 'sterilised', 0, 165 * 60_000).clockStartMs / 60_000;
    },
    want: 100,
    within: 0.001,
  },
  {
    name: 'a thermometer at 40 °C, before and after the model had it fall below 60 °C',
    hand: 'it may have been below since that step began: the 20 to 160 min of it, and 5 of filling',
    got: () =>
      Math.max(
        ...[20, 40, 60, 80, 100, 120, 140, 160].map((min) => {
          const liquor = run(CALYX, [COMBINE('water', 'calyx'), HEAT, BOIL(10), STRAIN, MIX(min), BOTTLE], {
            'mix-4': {
              startMin: 100,
              endMin: 100 + min,
              adjustments: [
                {
                  kind: 'measured',
                  atMin: 100 + min,
                  vesselId: 'tub',
                  reading: { what: 'temperature', tempC: 40 },
                },
              ],
            },
          });
          return Math.abs(liquor.cooling.from60To21Min - min - 5);
        }),
      ),
    want: 0,
    within: 0.001,
  },
  {
    name: 'peel whose washing was skipped, put in six hours later',
    hand: 'its clock runs from the washing that was passed over: minute 0',
    got: () => {
      const wash = {
        kind: 'wash',
        from: ['bowl'],
        to: ['bowl'],
        lines: ['peel'],
        rinses: 1,
        minutesPerRinse: 4,
      };
      const liquor = run(PEEL, [wash as unknown as Bare, COMBINE('water', 'peel'), STRAIN, BOTTLE], {
        'wash-0': { startMin: 0, endMin: 4, skipped: true, ...quiet },
        'combine-1': { startMin: 364, endMin: 366, ...quiet },
      });
      return fillingOf(liquor, 'sterilised', 0, 380 * 60_000).clockStartMs / 60_000;
    },
    want: 0,
    within: 0.001,
  },
  {
    name: 'milk that nobody was asked about',
    hand: 'unanswered is yes: 2',
    got: () =>
      days(
        kept(
          CALYX,
          [COMBINE('water', 'calyx'), HEAT, BOIL(10), STRAIN, COOL('iceBath', 150), BOTTLE],
          {},
          tablesWith('hibiscus-dried', { traits: ['calyx', 'milk'] }),
        ),
      ),
    want: 2,
  },
];
