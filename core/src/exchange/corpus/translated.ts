import type { CorpusText } from './types.ts';

/** By people whose first language is another: other orders of words, commas in figures, missing articles. */
export const TRANSLATED: readonly CorpusText[] = [
  {
    id: 'translated-1',
    manner: 'translated',
    messy: true,
    system: 'metric',
    text: `Drink of hibiscus (for 3 liter)

Needs: hibiscus dry 100 gr, water 3,5 liter, sugar 300 gr, ginger fresh 50 gr in slices, clove 5 pieces, mint some leaves.

One washes the hibiscus two times. The water is put to boil. When it boils one adds the hibiscus with the ginger and the cloves, and lets cook 10 minutes on small fire. One closes the fire and puts the mint, and lets rest 30 minutes with cover. After one filters with a cloth. One adds the sugar and mixes until it is dissolved. To drink very cold.`,
    drinks: [
      {
        title: 'Drink of hibiscus',
        yield: '3 l',
        lines: [
          'hibiscus-dried | 100 g | 3',
          'water | 3.5 l | 2',
          'sugar | 300 g | 8',
          'ginger-sliced | 50 g | 3',
          'clove-whole | 5 | 3',
          'mint-leaf | few leaf | 5',
        ],
        steps: [
          'wash x2',
          'heat to:boil',
          'combine',
          'boil 10m level:simmer',
          'combine',
          'steep 30m lid:on',
          'strain by:cloth',
          'sweeten cue',
        ],
      },
    ],
  },
  {
    id: 'translated-2',
    manner: 'translated',
    messy: true,
    system: 'metric',
    text: `PINEAPPLE WATER FROM THE SKIN

The skin of one pineapple of good size, also the heart
2 liters water
3 cloves
1 branch of cinnamon
100 grams of brown sugar
1 spoon of grated ginger

Wash very good the skin. To boil all together, without the sugar, during 30 minutes. To let cool. To pass by a strainer. To add the sugar and to move until it disappears. To put in the fridge 2 hours before to serve. It gives 8 glasses.`,
    drinks: [
      {
        title: 'PINEAPPLE WATER FROM THE SKIN',
        yield: '8 glass',
        lines: [
          'pineapple-peel | 1 big | 2',
          'pineapple-core | 1 | 2',
          'water | 2 l | 2',
          'clove-whole | 3 | 2',
          'cinnamon-stick | 1 | 2',
          'sugar-brown | 100 g | 5',
          'ginger-grated | 1 spoon | 2',
        ],
        steps: ['wash', 'boil 30m', 'cool', 'strain by:sieve', 'sweeten cue', 'cool 2h place:fridge'],
      },
    ],
  },
  {
    id: 'translated-3',
    manner: 'translated',
    messy: true,
    system: 'metric',
    text: `Ginger drink like in my house.
Ginger 500 gr. Lemon 6 pc. Sugar 400 gr. Water 4 lt. Pepper black 10 grain. Clove 6 grain.
Ginger must be washed and not peeled, then grated. Put it in 1 lt of water which is warm and leave 1 hour. Squeeze through cloth very strong. Other 3 lt of water boil together with pepper and clove, 15 minutes, covered. Wait it become cold. Mix two waters. Lemon juice and sugar add. Mix good. Taste, must be strong! Put bottles, keep fridge, 3 days. For 5 bottles.`,
    drinks: [
      {
        title: 'Ginger drink like in my house',
        yield: '5 bottle',
        lines: [
          'ginger-grated | 500 g | 3',
          'lemon-juice | 6 | 9',
          'sugar | 400 g | 9',
          'water | 4 l | 3+6',
          'peppercorn-whole | 10 | 6',
          'clove-whole | 6 | 6',
        ],
        steps: [
          'wash',
          'prep',
          'combine',
          'soak 1h',
          'strain by:cloth press:wring',
          'boil 15m lid:on',
          'cool',
          'mix',
          'mix',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'translated-4',
    manner: 'translated',
    messy: true,
    system: 'metric',
    text: `Herbal tea of the evening, 1.500 ml

5 stems of lemon grass, 15 leaves of mint, 1 thumb ginger in thin slices, 1 small spoon of fennel seeds, honey 2 big spoons.

Cut the lemon grass and knock it with the handle of the knife. Cook it with the ginger and the fennel in 1.500 ml of water, 12 min, low flame, closed pot. Off. Mint inside, 5 min. Filter. With the honey sweeten when no more boiling. Drink hot, or let it become cold and keep in the refrigerator until the next day.`,
    drinks: [
      {
        title: 'Herbal tea of the evening',
        yield: '1.5 l',
        lines: [
          'lemongrass | 5 | 2',
          'mint-leaf | 15 | 3',
          'ginger-sliced | 1 thumb | 2',
          '?fennel seeds | 1 tsp | 2',
          'honey | 2 tbsp | 6',
          'water | 1.5 l | 2',
        ],
        steps: ['prep', 'boil 12m level:gentle lid:on', 'combine', 'steep 5m', 'strain', 'sweeten cue'],
      },
    ],
  },
  {
    id: 'translated-5',
    manner: 'translated',
    messy: true,
    system: 'metric',
    text: `Red cold tea, by my mother in law

Take hibiscus flowers dried, 80 grams circa. You wash. You put in a recipient of glass with 2 liters and a half of water of the fridge. Inside also two slices of orange, one stick of cinnamon broken and one spoon of anise stars (three stars). Close with a lid and in fridge from the evening until the morning, 10 hours or 12. Then you filter two times, the second with a gauze. No sugar inside, I give sugar apart, who wants. If instead you want it sweet, 150 grams in the filtered tea. It makes ten cups small.`,
    drinks: [
      {
        title: 'Red cold tea, by my mother in law',
        yield: '10 cup',
        lines: [
          'hibiscus-dried | 80 g | 2',
          'water | 2.5 l | 2',
          'orange-whole | 2 slice | 2',
          'cinnamon-stick | 1 | 2',
          'star-anise | 3 | 2',
          'sugar | 150 g | 5',
        ],
        steps: ['wash', 'combine', 'soak 10-12h lid:on place:fridge', 'strain by:sieve+cloth', 'sweeten'],
      },
    ],
  },
  {
    id: 'translated-6',
    manner: 'translated',
    messy: true,
    system: 'metric',
    text: `Cordial of lime, old receipt of house

Limes, 25 pieces / sugar, 1 kilo and half / water, 3/4 liter / vinegar of apple, 1 little glass (50 ml) / cloves, 8.

1. Make a syrup: sugar, water and cloves on fire until boils, 3 minutes, then off.
2. Meanwhile squeeze the limes; the skin of 5 limes cut fine, without white.
3. The skin goes in the hot syrup, 15 minutes, then out by the sieve.
4. When syrup is tepid, put the juice of limes and the vinegar.
5. Filter by gauze, fill in the bottles sterilized, close.
6. Conservation: fridge, one month. In the glass: 1 part with 6 of water with gas.
Quantity obtained: 2,2 liters`,
    drinks: [
      {
        title: 'Cordial of lime, old receipt of house',
        yield: '2.2 l',
        lines: [
          'lime-juice | 25 | 7',
          '?lime peel | 5 | 4',
          'sugar | 1.5 kg | 1',
          'water | 0.75 l | 1',
          'cider-vinegar | 50 ml | 7',
          'clove-whole | 8 | 1',
        ],
        steps: [
          'boil 3m',
          'juice',
          'prep',
          'combine',
          'steep 15m',
          'strain by:sieve',
          'mix cue',
          'strain by:cloth',
          'bottle',
        ],
      },
    ],
  },
];
