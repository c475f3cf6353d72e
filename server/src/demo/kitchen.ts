import { notedOf } from '@big-ladle/core/compare';
import { EMPTY_KITCHEN, type Kitchen, type StockRow } from '@big-ladle/core/documents';

/**
 * The made-up kitchen of the demo: a street of terraced houses holds a lantern supper on Saturday. All times are
 * made relative to `nowMs`, so the demo is always in the middle of things.
 */
export const demoKitchen = (zone: string): Kitchen => ({
  ...EMPTY_KITCHEN,
  zone,
  pots: [
    {
      id: 'blue-pot',
      name: 'Blue pot',
      diameterCm: 30,
      heightCm: 24,
      material: 'enamel',
      lid: true,
      massG: 2900,
    },
    {
      id: 'tall-pot',
      name: 'Tall pot',
      diameterCm: 24,
      heightCm: 27,
      material: 'stainless',
      lid: true,
      massG: null,
    },
  ],
  burners: [
    { id: 'big-ring', name: 'Big gas ring', kind: 'gas', powerW: 3000 },
    { id: 'small-ring', name: 'Small gas ring', kind: 'gas', powerW: 1800 },
  ],
  bottles: [
    { id: 'tall-bottle', name: 'Tall bottle', volumeMl: 750, diameterCm: 8, material: 'glass', count: 18 },
    {
      id: 'litre-bottle',
      name: 'Litre bottle',
      volumeMl: 1000,
      diameterCm: 8.5,
      material: 'glass',
      count: 6,
    },
    { id: 'small-bottle', name: 'Small bottle', volumeMl: 330, diameterCm: 6, material: 'glass', count: 10 },
  ],
  measures: [{ id: 'blue-mug', name: 'blue mug', volumeMl: 310 }],
  cupWeights: [{ ingredientId: 'hibiscus-dried', measureId: 'blue-mug', massG: 44 }],
  preferredMeasureId: 'blue-mug',
  servingMl: 200,
  tariff: { electricityPerKWh: 0.31, gas: { price: 1.15, per: 'm3' } },
  messageTo: [{ id: 'demo-neighbour', name: 'The neighbour at No. 9', kinds: ['due', 'vent', 'warm'] }],
  away: [{ kind: 'asleep', days: [0, 1, 2, 3, 4, 5, 6], fromMin: 22 * 60 + 30, toMin: 6 * 60 + 30 }],
});

/** A thing with what its pack costs; of what comes in pieces the price is that of one. */
const priced = (itemId: string, price: number, packG: number | null = null): StockRow =>
  notedOf(itemId, { price, packG });

/** What this street pays at its shops. */
export const DEMO_PRICES: readonly StockRow[] = [
  priced('hibiscus-dried', 4.6, 250),
  priced('ginger-sliced', 0.25),
  priced('lemongrass', 0.4),
  priced('mint-leaf', 1.3, 30),
  priced('clove-whole', 1.9, 25),
  priced('cinnamon-stick', 1.6, 20),
  priced('sugar-white', 1.2, 1000),
  priced('pineapple', 2.8),
  priced('watermelon', 4.2),
  priced('lime', 0.35),
  priced('lemon', 0.4),
  priced('ice', 1.9, 2000),
];
