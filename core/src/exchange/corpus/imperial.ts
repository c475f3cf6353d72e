import type { CorpusText } from './types.ts';

/** Cups, quarts, pounds and ounces; heat in Fahrenheit. */
export const IMPERIAL: readonly CorpusText[] = [
  {
    id: 'imperial-1',
    manner: 'imperial',
    messy: false,
    system: 'us',
    text: `Big Pot Sorrel Drink
Makes about 1 gallon

4 cups dried sorrel, packed
1 gallon water
4 oz fresh ginger, grated
2 cinnamon sticks
10 whole cloves
peel of 1 orange
2 1/2 cups sugar
1 cup rum (optional)

Rinse the sorrel in a colander. Bring the water to a rolling boil in a large stockpot. Add the sorrel, ginger, cinnamon, cloves and orange peel. Reduce the heat, cover and simmer 10 minutes. Remove from the heat and let steep overnight on the counter. Strain through a fine mesh strainer, pressing on the solids. Stir in the sugar until it dissolves. Add the rum, if using. Bottle and refrigerate.`,
    drinks: [
      {
        title: 'Big Pot Sorrel Drink',
        yield: '1 gallon',
        lines: [
          'hibiscus-dried | 4 packed cup | 3',
          'water | 1 gallon | 2',
          'ginger-grated | 4 oz | 3',
          'cinnamon-stick | 2 | 3',
          'clove-whole | 10 | 3',
          'orange-peel | 1 | 3',
          'sugar | 2.5 cup | 7',
          'spirit | 1 cup | 8',
        ],
        steps: [
          'wash',
          'heat to:boil',
          'combine',
          'boil 10m level:simmer lid:on',
          'steep 8h place:counter',
          'strain by:fineMesh press:press',
          'sweeten cue',
          'mix',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'imperial-2',
    manner: 'imperial',
    messy: false,
    system: 'us',
    text: `CRANBERRY SPICE PUNCH
Yield: 3 quarts

1 ½ lbs cranberries, fresh or frozen
2 quarts water
3 cups apple juice
¾ cup honey
1 orange (zest and juice)
6 allspice berries
1 (2-inch) piece of ginger, sliced

1. Combine cranberries, water, allspice and ginger in a pot. Bring to a boil over high heat.
2. Lower heat and cook for 20-25 minutes, until the berries burst.
3. Strain through cheesecloth and squeeze out the pulp.
4. Add apple juice, orange zest and juice, and honey. Heat through but do not let it boil.
5. Cool to room temperature, about 2 hours, then chill.`,
    drinks: [
      {
        title: 'CRANBERRY SPICE PUNCH',
        yield: '3 quart',
        lines: [
          'cranberry-fresh | 1.5 lb | 1',
          'water | 2 quart | 1',
          'apple-juice | 3 cup | 5',
          'honey | 3/4 cup | 5',
          'orange-peel | 1 | 5',
          'orange-juice | 1 | 5',
          'allspice-whole | 6 | 1',
          'ginger-sliced | 2 inch | 1',
        ],
        steps: [
          'combine',
          'heat to:boil',
          'boil 20-25m cue',
          'strain by:cloth press:wring',
          'mix',
          'heat to:hot',
          'cool 2h place:counter',
          'cool place:fridge',
        ],
      },
    ],
  },
  {
    id: 'imperial-3',
    manner: 'imperial',
    messy: false,
    system: 'us',
    text: `Pineapple Ginger Beer Base

2 pineapples, peel and core only
1/2 pound ginger root, unpeeled, bruised
3 quarts plus 2 cups water
1 lb light brown sugar
1 tablespoon whole cloves
1/4 cup lime juice

Wash the pineapple peel thoroughly and the ginger too. Place the peel, core, ginger and cloves in a 2-gallon pot; add the water and bring to a boil. Boil for 30 minutes. Turn off the heat, add half of the sugar, stir, and cover. Let it sit for 6 hours or overnight. Strain through a sieve twice. Stir in the remaining sugar and the lime juice. Makes about 12 cups.`,
    drinks: [
      {
        title: 'Pineapple Ginger Beer Base',
        yield: '12 cup',
        lines: [
          'pineapple-peel | 2 | 2',
          'pineapple-core | 2 | 2',
          'ginger-bruised | 0.5 lb | 2',
          'water | 3.5 quart | 2',
          'sugar-brown | 1 lb | 5+8',
          'clove-whole | 1 tbsp | 2',
          'lime-juice | 1/4 cup | 8',
        ],
        steps: [
          'wash',
          'combine',
          'heat to:boil',
          'boil 30m',
          'sweeten',
          'steep 6-8h lid:on',
          'strain by:sieve*2',
          'sweeten',
        ],
      },
    ],
  },
  {
    id: 'imperial-4',
    manner: 'imperial',
    messy: false,
    system: 'us',
    text: `Hot Apple Toddy Mix for the Supper

1/2 gallon apple juice
16 fl oz orange juice
1 cup each rum and port
3 tbsp honey
1 tsp whole allspice
2 cinnamon sticks, broken
1 lemon, sliced

Pour the apple juice and the orange juice into a heavy pot. Add the allspice and cinnamon. Heat to 180°F and hold it there for 20 minutes; don't boil it. Strain. Off the heat stir in the honey, then the rum and the port. Float the lemon slices on top. Serves 12 to 14.`,
    drinks: [
      {
        title: 'Hot Apple Toddy Mix for the Supper',
        yield: '12-14 serving',
        lines: [
          'apple-juice | 0.5 gallon | 1',
          'orange-juice | 16 floz | 1',
          'spirit | 1 cup | 7',
          'wine | 1 cup | 7',
          'honey | 3 tbsp | 6',
          'allspice-whole | 1 tsp | 2',
          'cinnamon-stick | 2 | 2',
          'lemon-whole | 1 | 8',
        ],
        steps: ['combine', 'combine', 'heat 82C', 'steep 20m', 'strain', 'sweeten', 'mix', 'mix'],
      },
    ],
  },
  {
    id: 'imperial-5',
    manner: 'imperial',
    messy: false,
    system: 'us',
    text: `Lemon Shrub

INGREDIENTS
8 large lemons
2 cups granulated sugar
1 1/2 cups rice vinegar
1 sprig thyme
1/8 teaspoon salt

DIRECTIONS
Peel the lemons with a peeler, leaving the white behind. Rub the peel with the sugar and let it stand, covered, for 3 hours at room temperature. Juice the lemons; you should have about 1 1/2 cups. Pour the juice and the vinegar over the sugar, add the thyme and salt, and stir until the sugar has dissolved. Refrigerate for two days. Strain into a clean jar. Makes 1 quart.`,
    drinks: [
      {
        title: 'Lemon Shrub',
        yield: '1 quart',
        lines: [
          '?lemon peel | 8 | 2',
          'lemon-juice | 8 | 5',
          'sugar-white | 2 cup | 2',
          'rice-vinegar | 1.5 cup | 5',
          'thyme-fresh | 1 sprig | 5',
          'salt | 1/8 tsp | 5',
        ],
        steps: [
          'prep',
          'combine',
          'steep 3h lid:on place:counter',
          'juice',
          'combine cue',
          'steep 2d place:fridge',
          'strain',
        ],
      },
    ],
  },
  {
    id: 'imperial-6',
    manner: 'imperial',
    messy: false,
    system: 'us',
    text: `Hibiscus Iced Tea, 2 ways

BASIC HIBISCUS TEA
1 cup dried hibiscus flowers
8 cups water
1/2 cup sugar
Bring the water to a boil, remove from heat and add the hibiscus. Steep 20 minutes, covered. Strain and stir in the sugar. Chill.

HIBISCUS GINGER COOLER
1 cup dried hibiscus flowers
2 tablespoons grated ginger
10 cups cold water
1/3 cup honey
Put the hibiscus, ginger and water in a pitcher and leave in the refrigerator for 10 to 12 hours. Strain twice. Stir in the honey. Serve over ice.`,
    drinks: [
      {
        title: 'BASIC HIBISCUS TEA',
        lines: ['hibiscus-dried | 1 cup | 2', 'water | 8 cup | 1', 'sugar | 1/2 cup | 5'],
        steps: ['heat to:boil', 'combine', 'steep 20m lid:on', 'strain', 'sweeten', 'cool place:fridge'],
      },
      {
        title: 'HIBISCUS GINGER COOLER',
        lines: [
          'hibiscus-dried | 1 cup | 1',
          'ginger-grated | 2 tbsp | 1',
          'water | 10 cup | 1',
          'honey | 1/3 cup | 4',
        ],
        steps: ['combine', 'soak 10-12h place:fridge', 'strain', 'sweeten'],
      },
    ],
  },
];
