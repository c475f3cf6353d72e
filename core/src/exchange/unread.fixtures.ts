import type { Pasted } from './pasted.fixtures.ts';

/**
 * Five more recipes in manners of their own, written and committed by someone who had not opened the parser, before they
 * were run against it for the first time. Amounts by hand from the table's densities and pieces. They may be corrected
 * where a careful reader would disagree with what is expected; they are not tuned to what the parser can do.
 */
export const UNREAD: readonly Pasted[] = [
  {
    title: 'Winter cranberry warmer',
    manner: 'quarts, pounds and ounces',
    system: 'us',
    text: `WINTER CRANBERRY WARMER
Serves 16

1 lb fresh cranberries
3 quarts water
1 quart apple juice
8 oz brown sugar
4 cinnamon sticks
12 allspice berries
2 oranges, quartered

Rinse the cranberries and pick out the soft ones. Put cranberries, water, spices and oranges into a large pot. Bring to a boil, then simmer for 45 minutes. Strain through a fine sieve. Stir in the apple juice and the sugar and serve hot.`,
    lines: [
      ['cranberry-fresh', 453.6],
      // 3 × 946.35 mL × 0.9982
      ['water', 2834],
      // 946.35 mL × 1.047
      ['apple-juice', 990.8],
      ['sugar-brown', 226.8],
      ['cinnamon-stick', 16],
      // 12 × 0.065 g
      ['allspice-whole', 0.78],
      ['orange-whole', 360],
    ],
    steps: [
      ['wash', null],
      ['combine', null],
      ['heat', null],
      ['boil', 45],
      ['strain', null],
      ['sweeten', null],
    ],
  },
  {
    title: 'Auntie says: peel water',
    manner: 'prose without a list',
    system: 'metric',
    text: `Peel water

Scrub the peel of 2 pineapples with salt and let it lie in cold water for 15 minutes. Then put it in the big pot with 5 litres of water, 60 g of sliced ginger and 3 sticks of cinnamon. Bring it up slowly and let it simmer for three quarters of an hour. Switch off, put the lid on and leave it for 2 hours. Strain it, press the peel well, and sweeten with 250 g honey once it is cool. Fill into bottles.`,
    lines: [
      // Two pineapples' peel at 350 g
      ['pineapple-peel', 700],
      ['water', 4991],
      ['ginger-sliced', 60],
      ['cinnamon-stick', 12],
      ['honey', 250],
    ],
    steps: [
      ['wash', null],
      ['combine', null],
      ['heat', null],
      ['boil', 45],
      ['steep', 120],
      ['strain', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
  {
    title: 'Golden root tonic',
    manner: 'headings, bullets and ranges',
    system: 'metric',
    text: `Golden root tonic (makes 3 litres)

For the roots:
• 150–200 g turmeric root, grated
• 100 g ginger root, grated
• ½ tsp black peppercorns

For the rest:
• 3 L water
• 4 tbsp honey
• Juice of 3 lemons

How to:
1) Scrub the roots and grate them.
2) Bring the water to the boil with the roots and the pepper.
3) Simmer 20–30 min with the lid ajar.
4) Cool for about 1 hour.
5) Strain through a cloth and wring it out.
6) Stir in the lemon juice and honey.
7) Bottle, refrigerate.`,
    lines: [
      // The middle of the range
      ['turmeric-grated', 175],
      ['ginger-grated', 100],
      // 2.5 mL × 0.57
      ['peppercorn-whole', 1.43],
      ['water', 2994.6],
      // 60 mL × 1.42
      ['honey', 85.2],
      // 3 × 110 g × 400 mL/kg = 132 mL × 1.03
      ['lemon-juice', 136],
    ],
    steps: [
      ['wash', null],
      ['heat', null],
      ['boil', 25],
      ['cool', 60],
      ['strain', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
  {
    title: 'Red, the way we do it',
    manner: 'handfuls and half sentences',
    system: 'metric',
    text: `Red, the way we do it

dried hibiscus - 3 cups
ginger - a piece as long as your thumb, sliced
cloves - 5
star anise - 2
sugar - 1 ½ cups
water - 4 litres

soak hibiscus overnight in the cold water
next day boil it up with ginger, cloves and star anise, 15 min
off the heat, let stand 1 hr
strain, add sugar, stir
cool and bottle it`,
    lines: [
      // 3 × 250 mL × 0.15
      ['hibiscus-dried', 112.5],
      ['ginger-sliced', 30],
      // 5 × 0.08 g
      ['clove-whole', 0.4],
      ['star-anise', 2.4],
      // 375 mL × 0.845
      ['sugar-white', 317],
      ['water', 3993],
    ],
    steps: [
      ['soak', null],
      ['boil', 15],
      ['steep', 60],
      ['strain', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
  {
    title: 'Lemongrass and mint for the garden',
    manner: 'numbers as words, mixed units',
    system: 'metric',
    text: `Lemongrass & mint for the garden

You need: six stalks of lemongrass, a thumb of ginger (bruised), 30 g fresh mint, two litres of water, 80 ml lime juice and 120 g raw cane sugar.

First: chop the lemongrass and bruise the ginger.
Second: bring the water to a boil, add lemongrass and ginger, and boil gently for a quarter of an hour.
Third: turn the heat off, add the mint and leave for ten minutes.
Fourth: strain, then stir in the sugar.
Last: when cold add the lime juice. Pour into bottles.`,
    lines: [
      ['lemongrass', 90],
      ['ginger-bruised', 30],
      ['mint-leaf', 30],
      ['water', 1996],
      // 80 mL × 1.03
      ['lime-juice', 82.4],
      ['sugar-cane-raw', 120],
    ],
    steps: [
      ['prep', null],
      ['heat', null],
      ['boil', 15],
      ['steep', 10],
      ['strain', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
];
