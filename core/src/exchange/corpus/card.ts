import type { CorpusText } from './types.ts';

/** Short notes on a card: no verbs to spare, columns, the thing before its amount. */
export const CARDS: readonly CorpusText[] = [
  {
    id: 'card-1',
    manner: 'card',
    messy: false,
    system: 'metric',
    text: `ROOT TONIC, 4 L
ginger 350 g (blended)
turmeric 120 g, grated
lemons 6 (juice)
pepper, black 1 tsp
water 4 L
jaggery 280 g

Wash roots. Blend ginger w/ 1 L water. Strain, cloth, wring.
Rest of water + turmeric + pepper: boil 20 min, lid on.
Strain. Join both. Cool in ice water.
Lemon juice + jaggery in. Bottle.`,
    drinks: [
      {
        title: 'ROOT TONIC',
        yield: '4 l',
        lines: [
          'ginger-blended | 350 g | 2',
          'turmeric-grated | 120 g | 4',
          'lemon-juice | 6 | 9',
          'pepper | 1 tsp | 4',
          'water | 4 l | 2+4',
          'jaggery | 280 g | 9',
        ],
        steps: [
          'wash',
          'blend',
          'strain by:cloth press:wring',
          'combine',
          'boil 20m lid:on',
          'strain',
          'mix',
          'cool place:iceBath',
          'mix',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'card-2',
    manner: 'card',
    messy: false,
    system: 'metric',
    text: `Hibiscus | cold | big tub
------------------------
hibiscus, dried | 300 g
water, cold | 9 l
orange peel | of 3
cloves | 12
cinnamon sticks | 3
sugar | 900 g
lime juice | 150 ml

Rinse x3. Soak all but sugar + lime overnight, fridge.
Strain: sieve x2, cloth x1. No boiling.
Sugar, lime: in at the end, to taste.
12 bottles.`,
    drinks: [
      {
        title: 'Hibiscus',
        yield: '12 bottle',
        lines: [
          'hibiscus-dried | 300 g | 2',
          'water | 9 l | 2',
          'orange-peel | 3 | 2',
          'clove-whole | 12 | 2',
          'cinnamon-stick | 3 | 2',
          'sugar | 900 g | 4',
          'lime-juice | 150 ml | 4',
        ],
        steps: ['wash x3', 'soak 8h place:fridge', 'strain by:sieve*2+cloth', 'mix'],
      },
    ],
  },
  {
    id: 'card-3',
    manner: 'card',
    messy: false,
    system: 'metric',
    text: `Winter punch (20 people)
3 l apple juice
1 l cranberry juice
2 oranges, sliced
5 sticks cinnamon
15 cloves
4 star anise
thumb of ginger, sliced
100 g honey

10 min: warm juices w. spices + ginger to 80 °C, do not boil
30 min: stand, lid on
5 min: strain
honey in. oranges in. Serve hot.`,
    drinks: [
      {
        title: 'Winter punch',
        yield: '20 serving',
        lines: [
          'apple-juice | 3 l | 1',
          'cranberry-juice | 1 l | 1',
          'orange-whole | 2 | 5',
          'cinnamon-stick | 5 | 1',
          'clove-whole | 15 | 1',
          'star-anise | 4 | 1',
          'ginger-sliced | 1 thumb | 1',
          'honey | 100 g | 4',
        ],
        steps: ['heat 80C 10m', 'steep 30m lid:on', 'strain 5m', 'sweeten', 'mix'],
      },
    ],
  },
  {
    id: 'card-4',
    manner: 'card',
    messy: false,
    system: 'metric',
    text: `TAMARIND COOLER
makes 2.5 l

500 g tamarind, block
2 l water + ½ l hot water
1 tsp ground ginger
½ tsp cayenne
300 g brown sugar
pinch salt

1. tamarind + hot water, soak 1 h
2. mash, strain (sieve, press)
3. rest of water, sugar, ginger, cayenne, salt: bring to boil, 5 min simmer
4. add tamarind, stir
5. cool, bottle, fridge`,
    drinks: [
      {
        title: 'TAMARIND COOLER',
        yield: '2.5 l',
        lines: [
          'tamarind-pulp | 500 g | 1+6',
          'water | 2.5 l | 1+3',
          'ginger-ground | 1 tsp | 3',
          'cayenne-ground | 1/2 tsp | 3',
          'sugar-brown | 300 g | 3',
          'salt | 1 pinch | 3',
        ],
        steps: [
          'soak 1h',
          'strain by:sieve press:press',
          'combine',
          'heat to:boil',
          'boil 5m level:simmer',
          'mix',
          'cool',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'card-5',
    manner: 'card',
    messy: false,
    system: 'metric',
    text: `Watermelon + lime
-- 1 watermelon, about 4 kg, flesh only
-- 6 limes, juice
-- mint: 1 handful
-- salt: 1/4 tsp
-- sugar syrup? no

Blend flesh. Sieve, don't press. Lime juice + salt in.
Bruise mint, in for 20 min, out again.
Chill 2 h. Drink same day.`,
    drinks: [
      {
        title: 'Watermelon + lime',
        lines: [
          'watermelon-flesh | 4 kg | 1',
          'lime-juice | 6 | 3',
          'mint-leaf | 1 handful | 5',
          'salt | 1/4 tsp | 3',
        ],
        steps: [
          'blend',
          'strain by:sieve press:drain',
          'mix',
          'prep',
          'steep 20m',
          'lift',
          'cool 2h place:fridge',
        ],
      },
    ],
  },
  {
    id: 'card-6',
    manner: 'card',
    messy: false,
    system: 'metric',
    text: `Beet & ginger, batch for the week
4 beetroots
120g ginger (slices)
2 lemons - juice
1½ L water
50g honey
1 tsp cider vinegar

scrub beets, peel, cut in cubes
boil beets + ginger + water 35-40min, lid
leave till cold, strain
lemon, vinegar, honey
=> 6 bottles 250ml, fridge, 4 days`,
    drinks: [
      {
        title: 'Beet & ginger',
        yield: '6 bottle',
        lines: [
          'beetroot | 4 | 4',
          'ginger-sliced | 120 g | 4',
          'lemon-juice | 2 | 7',
          'water | 1.5 l | 4',
          'honey | 50 g | 7',
          'vinegar | 1 tsp | 7',
        ],
        steps: ['wash', 'prep', 'prep', 'boil 35-40m lid:on', 'cool', 'strain', 'mix', 'bottle'],
      },
    ],
  },
];
