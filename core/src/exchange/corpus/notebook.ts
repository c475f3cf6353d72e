import type { CorpusText } from './types.ts';

/** An old kitchen book: whole sentences, words instead of figures, nothing wasted. */
export const NOTEBOOKS: readonly CorpusText[] = [
  {
    id: 'notebook-1',
    manner: 'notebook',
    messy: false,
    system: 'metric',
    text: `A Good Ginger Cordial

Take one pound of ginger, bruise it well and put it into three litres of cold water. Bring it slowly to the boil and let it simmer for an hour and a half with the lid ajar. Strain it through a cloth. Put the liquor back into the pot with two kilograms of sugar, the juice of six lemons and a dozen cloves, and boil it gently for ten minutes more. Skim it. When it is cold, strain it once more and fill it into sterilised bottles. It makes about four bottles.`,
    drinks: [
      {
        title: 'A Good Ginger Cordial',
        yield: '4 bottle',
        lines: [
          'ginger-bruised | 1 lb | 2',
          'water | 3 l | 2',
          'sugar | 2 kg | 6',
          'lemon-juice | 6 | 6',
          'clove-whole | 12 | 6',
        ],
        steps: [
          'prep',
          'combine',
          'heat to:boil',
          'boil 90m level:simmer lid:ajar',
          'strain by:cloth',
          'combine',
          'boil 10m level:gentle',
          'skim',
          'cool',
          'strain',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'notebook-2',
    manner: 'notebook',
    messy: false,
    system: 'metric',
    text: `Red Drink for the Harvest

Wash half a kilo of dried hibiscus until the water runs clear. Put it into ten litres of cold water with a hand of sliced ginger, two sticks of cinnamon and the peel of three oranges. Let it stand twelve hours in a cool place, covered. Draw off the liquor, and put four litres of fresh water on what is left; boil that for a quarter of an hour, strain it, and pour the two together. Sweeten with a kilo and a half of sugar. Bottle it cold. It fills sixteen bottles and is to be drunk within the week.`,
    drinks: [
      {
        title: 'Red Drink for the Harvest',
        yield: '16 bottle',
        lines: [
          'hibiscus-dried | 0.5 kg | 2',
          'water | 14 l | 2+5',
          'ginger-sliced | 1 hand | 2',
          'cinnamon-stick | 2 | 2',
          'orange-peel | 3 | 2',
          'sugar | 1.5 kg | 9',
        ],
        steps: [
          'wash cue',
          'combine',
          'soak 12h lid:on',
          'strain keep',
          'combine',
          'boil 15m',
          'strain',
          'mix',
          'sweeten',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'notebook-3',
    manner: 'notebook',
    messy: false,
    system: 'metric',
    text: `To make Apple and Beet Drink

Of apples take two kilos, of beetroot five hundred grams, and of ginger a hundred. Wash and cut them up small, the apples with the skin. Put them through the juicer. To each litre of juice add the juice of half a lemon. Heat it to seventy-five degrees and keep it there for five minutes, stirring; it must on no account boil. Fill it hot into warmed bottles and close them at once. Keep it in the cold and use it within a week. Makes one and a half litres.`,
    drinks: [
      {
        title: 'To make Apple and Beet Drink',
        yield: '1.5 l',
        lines: [
          'apple-whole | 2 kg | 3',
          'beetroot | 500 g | 3',
          'ginger | 100 g | 3',
          'lemon-juice | 0.5 | 4',
        ],
        steps: ['wash', 'prep', 'juice', 'mix', 'heat 75C', 'steep 5m', 'bottle'],
      },
    ],
  },
  {
    id: 'notebook-4',
    manner: 'notebook',
    messy: false,
    system: 'metric',
    text: `Spiced Tamarind Water

Break up a block of tamarind weighing four hundred grams and pour over it one litre of boiling water. Leave it for two hours, then work it with the fingers and press it through a sieve. Meanwhile boil ten cardamom pods, a stick of cinnamon and a teaspoonful of black peppercorns in another litre of water for twenty minutes, covered. Strain the spice water into the tamarind. Add three hundred and fifty grams of jaggery and a good pinch of salt, and stir till the jaggery is melted. Make it up to three litres with cold water. Serve it very cold.`,
    drinks: [
      {
        title: 'Spiced Tamarind Water',
        yield: '3 l',
        lines: [
          'tamarind-pulp | 400 g | 2',
          'water | 2 l | 2+5',
          'cardamom-cracked | 10 | 5',
          'cinnamon-stick | 1 | 5',
          'peppercorn-whole | 1 tsp | 5',
          'jaggery | 350 g | 7',
          'salt | 1 pinch | 7',
        ],
        steps: [
          'prep',
          'combine',
          'steep 2h',
          'strain by:sieve press:press',
          'boil 20m lid:on',
          'strain',
          'sweeten cue',
          'combine',
        ],
      },
    ],
  },
  {
    id: 'notebook-5',
    manner: 'notebook',
    messy: false,
    system: 'metric',
    text: `Mint and Lime Cordial without Fire

Pick the leaves from four bunches of mint and wash them in three waters. Bruise them in a mortar with half a kilo of white sugar. Squeeze twenty limes and pour the juice over; add a quarter of a litre of cold water. Cover and let it stand in the refrigerator for two to three days, stirring morning and evening. Strain through muslin, wringing the leaves well. It makes nearly a litre. Take one part to six of cold water. It will keep two weeks.`,
    drinks: [
      {
        title: 'Mint and Lime Cordial without Fire',
        yield: '1 l',
        lines: [
          'mint-leaf | 4 bunch | 3',
          'sugar-white | 0.5 kg | 3',
          'lime-juice | 20 | 5',
          'water | 0.25 l | 5',
        ],
        steps: [
          'pick',
          'wash x3',
          'prep',
          'juice',
          'combine',
          'steep 2-3d lid:on place:fridge',
          'strain by:cloth press:wring',
        ],
      },
    ],
  },
  {
    id: 'notebook-6',
    manner: 'notebook',
    messy: false,
    system: 'metric',
    text: `Fruit Punch for Sixty Glasses

Two pineapples, five kilograms of watermelon, thirty oranges, ten limes, three hundred grams of ginger, eight hundred grams of sugar, four litres of water, a nutmeg.

Boil the sugar and the ginger, sliced, in two litres of the water for fifteen minutes; grate in the nutmeg, and let it go cold. Peel the pineapples and the melon, and blend the flesh with the rest of the water; strain it through a coarse sieve. Juice the oranges and the limes. Strain the syrup, mix everything, and set it in ice for two hours. Do not keep it past the evening.`,
    drinks: [
      {
        title: 'Fruit Punch for Sixty Glasses',
        yield: '60 glass',
        lines: [
          'pineapple-flesh | 2 | 5',
          'watermelon-flesh | 5 kg | 5',
          'orange-juice | 30 | 9',
          'lime-juice | 10 | 9',
          'ginger-sliced | 300 g | 1',
          'sugar | 800 g | 1',
          'water | 4 l | 1+5',
          '?nutmeg | 1 | 2',
        ],
        steps: [
          'boil 15m',
          'combine',
          'cool',
          'prep',
          'blend',
          'strain',
          'juice',
          'strain',
          'mix',
          'cool 2h place:iceBath',
        ],
      },
    ],
  },
];
