/**
 * Recipes as people write them down, made up for the tests, with what a careful reader takes from each: amounts by hand
 * from the table's densities and pieces (metric cup 250 mL, US cup 236.6 mL, tablespoon 15 and 14.79 mL).
 */
export interface Pasted {
  title: string;
  manner: string;
  system: 'metric' | 'us';
  text: string;
  /** Item and grams; null grams where the text gives no amount. */
  lines: readonly [itemId: string, massG: number | null][];
  /** Kind and minutes; null minutes where the text gives none. */
  steps: readonly [kind: string, minutes: number | null][];
}

export const PASTED: readonly Pasted[] = [
  {
    title: 'Hibiscus and ginger cooler',
    manner: 'numbered steps, metric',
    system: 'metric',
    text: `Hibiscus and ginger cooler
Makes about 4 litres

Ingredients
- 120 g dried hibiscus
- 80 g fresh ginger, sliced
- 4 l water
- 350 g sugar
- 6 whole cloves

Method
1. Rinse the hibiscus in cold water three times.
2. Put the hibiscus, ginger, cloves and water in a pot and bring to the boil.
3. Boil gently for 10 minutes.
4. Take off the heat, cover and steep for 8 hours.
5. Strain through a cloth.
6. Stir in the sugar until dissolved.
7. Bottle and keep in the fridge.`,
    lines: [
      ['hibiscus-dried', 120],
      ['ginger-sliced', 80],
      ['water', 4000 * 0.9982],
      ['sugar-white', 350],
      // 6 × 0.08 g
      ['clove-whole', 0.48],
    ],
    steps: [
      ['wash', null],
      ['combine', null],
      ['heat', null],
      ['boil', 10],
      ['steep', 480],
      ['strain', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
  {
    title: 'Red drink for a full table',
    manner: 'cups and thumbs',
    system: 'metric',
    text: `Red drink for a full table

2 cups dried sorrel
3 thumbs of ginger, grated
1 stick of cinnamon
peel of 1 orange
10 cups water
1 1/2 cups brown sugar
juice of 2 limes

Wash the sorrel. Put everything but the sugar and lime in a big pot with the water. Bring to a boil and simmer 20 minutes. Leave to cool. Strain. Stir in the lime juice and the sugar.`,
    lines: [
      // 2 × 250 mL × 0.15
      ['hibiscus-dried', 75],
      ['ginger-grated', 90],
      ['cinnamon-stick', 4],
      ['orange-peel', 45],
      ['water', 2500 * 0.9982],
      // 1.5 × 250 × 0.93
      ['sugar-brown', 348.75],
      // 2 × 67 g × 430 mL/kg = 57.6 mL × 1.03
      ['lime-juice', 59.3],
    ],
    steps: [
      ['wash', null],
      ['combine', null],
      ['heat', null],
      ['boil', 20],
      ['cool', null],
      ['strain', null],
      ['mix', null],
      ['sweeten', null],
    ],
  },
  {
    title: 'Skin and core drink',
    manner: 'prose',
    system: 'metric',
    text: `Skin and core drink

Take the peel and core of one pineapple, wash the peel well, and put them in a pot with two litres of water, 50 g of sliced ginger and four cloves. Bring it to the boil and simmer for 45 minutes. When it has cooled, strain it. Add the juice of one lemon and sweeten with 150 g of raw cane sugar. Keep it in the fridge.`,
    lines: [
      ['pineapple-peel', 350],
      ['pineapple-core', 90],
      ['water', 2000 * 0.9982],
      ['ginger-sliced', 50],
      ['clove-whole', 0.32],
      // 110 g × 400 mL/kg = 44 mL × 1.03
      ['lemon-juice', 45.3],
      ['sugar-cane-raw', 150],
    ],
    steps: [
      ['wash', null],
      ['combine', null],
      ['heat', null],
      ['boil', 45],
      ['cool', null],
      ['strain', null],
      ['mix', null],
      ['sweeten', null],
    ],
  },
  {
    title: 'Gallon of gold',
    manner: 'US measures with fractions and ranges',
    system: 'us',
    text: `Gallon of gold
Yield: 1 gallon

INGREDIENTS:
1 gallon water
1/2 lb ginger root, grated
2-3 tablespoons ground turmeric
½ cup honey
1/4 tsp cayenne pepper
3 lemons, juiced

DIRECTIONS:
Bring the water, ginger and turmeric to a boil. Reduce the heat and simmer for 25 to 30 minutes.
Let cool, then strain through a fine sieve.
Stir in the lemon juice, cayenne and honey.
Pour into bottles and refrigerate.`,
    lines: [
      ['water', 3785.4 * 0.9982],
      ['ginger-grated', 226.8],
      // 2.5 × 14.79 × 0.58
      ['turmeric-ground', 21.4],
      // 0.5 × 236.6 × 1.42
      ['honey', 168],
      // 0.25 × 4.929 × 0.36
      ['cayenne-ground', 0.444],
      // 330 g × 400 mL/kg = 132 mL × 1.03
      ['lemon-juice', 136],
    ],
    steps: [
      ['combine', null],
      ['heat', null],
      ['boil', 27.5],
      ['cool', null],
      ['strain', null],
      ['mix', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
  {
    title: 'Root tonic',
    manner: 'shorthand, amount behind the thing',
    system: 'metric',
    text: `ROOT TONIC
turmeric, fresh, grated 300g
ginger grated: 200 g
tamarind block 250g
black peppercorns 1 tbsp
water 5L
jaggery to taste

Simmer 40 min. Strain. Cool. Sweeten. Bottle.`,
    lines: [
      ['turmeric-grated', 300],
      ['ginger-grated', 200],
      ['tamarind-pulp', 250],
      // 15 × 0.57
      ['peppercorn-whole', 8.55],
      ['water', 5000 * 0.9982],
      ['jaggery', null],
    ],
    steps: [
      ['boil', 40],
      ['strain', null],
      ['cool', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
];

/** Five more, put down before there was a parser to read them. */
export const HELD_OUT: readonly Pasted[] = [
  {
    title: 'Sunday pot',
    manner: 'a letter to a friend',
    system: 'metric',
    text: `Sunday pot

Dear one, this is how I make it. I soak 200 g of dried hibiscus in 3 litres of cold water overnight with a cinnamon stick. In the morning I boil it for 15 minutes with 100 g of bruised ginger. Then I strain it through a cloth and let it cool. I add 400 ml of pineapple juice and 250 g of sugar, and I bottle it.`,
    lines: [
      ['hibiscus-dried', 200],
      ['water', 3000 * 0.9982],
      ['cinnamon-stick', 4],
      ['ginger-bruised', 100],
      // 400 × 1.05
      ['pineapple-juice', 420],
      ['sugar-white', 250],
    ],
    steps: [
      ['soak', 480],
      ['boil', 15],
      ['strain', null],
      ['cool', null],
      ['mix', null],
      ['sweeten', null],
      ['bottle', null],
    ],
  },
  {
    title: 'Lemongrass jug',
    manner: 'list with notes in brackets',
    system: 'metric',
    text: `Lemongrass jug (serves 8)

You need:
* 4 stalks lemongrass (chopped)
* 1 handful fresh mint leaves
* 60 g ginger (thinly sliced)
* 2 litres water
* 3 tbsp honey
* 2 limes (juice only)

What to do:
1) Boil the lemongrass and the ginger in the water for 12 minutes.
2) Turn off the heat, add the mint and let it stand 10 minutes with the lid on.
3) Strain, add lime juice and honey while warm.
4) Chill before serving.`,
    lines: [
      // 4 × 15 g
      ['lemongrass', 60],
      ['mint-leaf', null],
      ['ginger-sliced', 60],
      ['water', 2000 * 0.9982],
      // 3 × 15 × 1.42
      ['honey', 63.9],
      ['lime-juice', 59.3],
    ],
    steps: [
      ['boil', 12],
      ['steep', 10],
      ['strain', null],
      ['mix', null],
      ['sweeten', null],
      ['cool', null],
    ],
  },
  {
    title: 'Harvest punch',
    manner: 'US pounds and quarts',
    system: 'us',
    text: `HARVEST PUNCH

1 lb fresh cranberries
2 quarts water
1 quart apple juice
2 cinnamon sticks
8 whole cloves
4 allspice berries
1 orange, sliced
3/4 cup packed brown sugar

Rinse cranberries. Combine everything except sugar in a large pot and bring to a boil. Lower heat and simmer, covered, 30 minutes. Strain, pressing on the fruit. Stir in sugar until dissolved. Serve warm.`,
    lines: [
      ['cranberry-fresh', 453.6],
      ['water', 1892.7 * 0.9982],
      // 946.4 × 1.047
      ['apple-juice', 990.8],
      ['cinnamon-stick', 8],
      ['clove-whole', 0.64],
      ['allspice-whole', 0.26],
      ['orange-whole', 180],
      // 0.75 × 236.6 × 0.93
      ['sugar-brown', 165],
    ],
    steps: [
      ['wash', null],
      ['combine', null],
      ['heat', null],
      ['boil', 30],
      ['strain', null],
      ['sweeten', null],
    ],
  },
  {
    title: 'Raw green root',
    manner: 'short sentences, no list of ingredients',
    system: 'metric',
    text: `Raw green root

Peel 400 g ginger. Blend it with 1 litre of water and two green apples. Strain through a cloth. Squeeze 4 lemons and add the juice. Add another 2 litres of water. Sweeten with 200 g of honey. Keep cold, drink within three days.`,
    lines: [
      ['ginger-blended', 400],
      ['water', 3000 * 0.9982],
      ['apple-whole', 360],
      // 440 g × 400 = 176 mL × 1.03
      ['lemon-juice', 181.3],
      ['honey', 200],
    ],
    steps: [
      ['prep', null],
      ['blend', null],
      ['strain', null],
      ['mix', null],
      ['sweeten', null],
    ],
  },
  {
    title: 'Party red',
    manner: 'table of amounts, then terse steps with times first',
    system: 'metric',
    text: `Party red

hibiscus (dried) | 250 g
water | 8 l
ginger, sliced | 150 g
orange peel | 60 g
cloves | 1 tsp
cane sugar | 800 g

5 min: rinse hibiscus
10 min: boil all but the sugar
12 hours: steep in the fridge
15 min: strain
5 min: stir in sugar
20 min: bottle`,
    lines: [
      ['hibiscus-dried', 250],
      ['water', 8000 * 0.9982],
      ['ginger-sliced', 150],
      ['orange-peel', 60],
      // 5 × 0.42
      ['clove-whole', 2.1],
      ['sugar-cane-raw', 800],
    ],
    steps: [
      ['wash', 5],
      ['boil', 10],
      ['steep', 720],
      ['strain', 15],
      ['sweeten', 5],
      ['bottle', 20],
    ],
  },
];
