import type { Trait } from './traits.ts';

/** Something a cook sees, hears or tastes that ends a step as well as any clock. */
export interface CueRow {
  code: string;
  /** Step kinds that it may end. */
  at: readonly string[];
  /** Without which it is not to be seen; empty: always. */
  when: readonly Trait[];
  /** Only where the step aims at the rim's bubbles, or at a real boil. */
  only?: 'rim' | 'boil';
  source: string;
}

export const CUE_ROWS: readonly CueRow[] = [
  {
    code: 'waterClear',
    at: ['wash'],
    when: ['dusty'],
    source: 'the craft: nothing lies at the bottom of the bowl',
  },
  {
    code: 'rimBubbles',
    at: ['heat'],
    when: [],
    only: 'rim',
    source: 'the craft: small bubbles at the rim, some degrees below the boil',
  },
  { code: 'rolling', at: ['heat'], when: [], only: 'boil', source: 'the craft: it cannot be stirred down' },
  {
    code: 'berriesPopped',
    at: ['boil'],
    when: ['berries'],
    source: 'the craft: skins split within ten minutes of boiling',
  },
  {
    code: 'colourInSpoon',
    at: ['boil', 'steep', 'soak'],
    when: ['calyx'],
    source: 'the craft: held against a white spoon',
  },
  {
    code: 'smellsOfIt',
    at: ['boil', 'steep'],
    when: ['spice', 'root', 'tenderHerb'],
    source: 'the craft: the kitchen smells of it',
  },
  { code: 'reduced', at: ['boil'], when: [], source: 'the craft: down to the mark on the spoon or the side' },
  { code: 'softPeel', at: ['boil'], when: ['peel'], source: 'the craft: a knife goes through the peel' },
  { code: 'coldHand', at: ['cool'], when: [], source: 'the craft: the side of the pot is cold to the hand' },
];
