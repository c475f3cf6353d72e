import type { CorpusText } from './types.ts';

/** Messages from a telephone: small letters, few stops, slips of the thumb. */
export const MESSAGES: readonly CorpusText[] = [
  {
    id: 'message-1',
    manner: 'message',
    messy: true,
    system: 'metric',
    text: `ok so for the red one u need 2 cups of dried hibiscus, rinse it good. then boil 4 litres of water and throw it in with a big thumb of ginger smashed, 5 cloves and a stick of cinnamon. let it boil like 10 min not more then turn it off n leave it covered til morning. strain it thru a cloth. sugar i do about 1 1/2 cups but taste it. squeeze 3 limes in at the end. fills 5 bottles. keep it in the fridge`,
    drinks: [
      {
        yield: '5 bottle',
        lines: [
          'hibiscus-dried | 2 cup | 3',
          'ginger-bruised | 1 big thumb | 3',
          'clove-whole | 5 | 3',
          'cinnamon-stick | 1 | 3',
          'water | 4 l | 2',
          'sugar | 1.5 cup | 7',
          'lime-juice | 3 | 8',
        ],
        steps: [
          'wash',
          'heat to:boil',
          'combine',
          'boil 10m',
          'steep 8h lid:on',
          'strain by:cloth',
          'sweeten',
          'mix',
        ],
      },
    ],
  },
  {
    id: 'message-2',
    manner: 'message',
    messy: true,
    system: 'metric',
    text: `hey!! the pineapple thing: dont throw the skins away. skins + core of 1 big pineapple, wash them well, 2 l water, 50g ginger sliced, 1 stick cinamon, 6 cloves. bring to boil & simmer half an hour. let cool in the pot. strain. 120 g brown sugar + juice of 1 lemon. bottle, lasts 4 days in the fridge max`,
    drinks: [
      {
        lines: [
          'pineapple-peel | 1 big | 2',
          'pineapple-core | 1 big | 2',
          'water | 2 l | 2',
          'ginger-sliced | 50 g | 2',
          'cinnamon-stick | 1 | 2',
          'clove-whole | 6 | 2',
          'sugar-brown | 120 g | 6',
          'lemon-juice | 1 | 6',
        ],
        steps: ['wash', 'heat to:boil', 'boil 30m level:simmer', 'cool', 'strain', 'mix', 'bottle'],
      },
    ],
  },
  {
    id: 'message-3',
    manner: 'message',
    messy: true,
    system: 'metric',
    text: `Tumeric shots for the week 💛
250g tumeric root
250g ginger
4 oranges
3 lemons
1 tsp black pepper
1 tbsp honey if you want

juice the roots in the juicer, squeeze the oranges + lemons by hand, mix it all, pepper in. dont heat it. thru a fine sieve. little bottles, 10 of them. shake before drinking. 3 days fridge, rest in freezer`,
    drinks: [
      {
        title: 'Tumeric shots for the week',
        yield: '10 bottle',
        lines: [
          'turmeric | 250 g | 1',
          'ginger | 250 g | 1',
          'orange-juice | 4 | 3',
          'lemon-juice | 3 | 3',
          'pepper | 1 tsp | 4',
          'honey | 1 tbsp | -',
        ],
        steps: ['juice', 'juice', 'mix', 'mix', 'strain by:fineMesh', 'bottle', 'freeze'],
      },
    ],
  },
  {
    id: 'message-4',
    manner: 'message',
    messy: true,
    system: 'metric',
    text: `so you asked for my mint and lemongrass. i take like 6 stalks lemon grass, cut them in pieces and bash them. 3 litre water. boil that 15 mins w/ a few slices of ginger. then fire off, a good handful of mint in, lid on, 10 mins. strain. honey 3 spoons. when its cold put ice. oh and the green bottle if you have it`,
    lost: ['the green bottle if you have it'],
    drinks: [
      {
        lines: [
          'lemongrass | 6 | 2',
          'water | 3 l | 2',
          'ginger-sliced | few slice | 2',
          'mint-leaf | 1 good handful | 3',
          'honey | 3 spoon | 6',
        ],
        steps: ['prep', 'boil 15m', 'combine', 'steep 10m lid:on', 'strain', 'sweeten'],
      },
    ],
  },
  {
    id: 'message-5',
    manner: 'message',
    messy: true,
    system: 'us',
    text: `Cider warm up for sat: 1 gal apple juice, 2 oranges cut in rounds, 3 cinnamon sticks, 1 tbsp cloves, 1 inch ginger. everything in the big pot, low heat, 45 min, should steam but never boil. take the spices out. add 1 cup rum at the end for the grown ups. 16 cups. keep warm w the lid on`,
    drinks: [
      {
        title: 'Cider warm up for sat',
        yield: '16 cup',
        lines: [
          'apple-juice | 1 gallon | 1',
          'orange-whole | 2 | 1',
          'cinnamon-stick | 3 | 1',
          'clove-whole | 1 tbsp | 1',
          'ginger | 1 inch | 1',
          'spirit | 1 cup | 4',
        ],
        steps: ['combine', 'heat to:hot 45m', 'lift', 'mix'],
      },
    ],
  },
  {
    id: 'message-6',
    manner: 'message',
    messy: true,
    system: 'metric',
    text: `morning! tamarind recipe as promised
1 packet tamarind 400g
hot water 1 litre, soak it an hour then squeeze with your hands n sieve it
then another 2 litres cold water
ginger 2 thumbs grated, squeeze thru cloth, only the juice
sugar 350g ish
pinch salt, half tsp chilli powder
stir stir stir till sugar is gone
makes 3 litres more or less. no cooking!`,
    drinks: [
      {
        yield: '3 l',
        lines: [
          'tamarind-pulp | 400 g | 1',
          'water | 3 l | 1+4',
          'ginger-grated | 2 thumb | 5',
          'sugar | 350 g | 6',
          'salt | 1 pinch | 6',
          'cayenne-ground | 1/2 tsp | 6',
        ],
        steps: [
          'soak 1h',
          'strain press:wring',
          'strain by:sieve',
          'combine',
          'strain by:cloth press:wring',
          'sweeten cue',
        ],
      },
    ],
  },
];
