import type { CorpusText } from './types.ts';

/** A heading, a list and numbered steps. */
export const LISTS: readonly CorpusText[] = [
  {
    id: 'list-1',
    manner: 'list',
    messy: false,
    system: 'metric',
    text: `Lantern red
Makes about 5 litres

Ingredients
- 150 g dried hibiscus
- 90 g fresh ginger, grated
- 1 cinnamon stick
- 8 whole cloves
- 5.5 litres water
- 400-450 g sugar
- juice of 4 limes

Method
1. Rinse the hibiscus twice in cold water.
2. Put the hibiscus, ginger, cinnamon and cloves into a large pot with the water and bring to the boil.
3. Simmer for 15 minutes with the lid on.
4. Turn off the heat and leave to steep for 2 hours.
5. Strain through a fine sieve, then through a cloth.
6. Stir in the sugar and the lime juice.
7. Bottle and keep in the fridge for up to 5 days.`,
    drinks: [
      {
        title: 'Lantern red',
        yield: '5 l',
        lines: [
          'hibiscus-dried | 150 g | 2',
          'ginger-grated | 90 g | 2',
          'cinnamon-stick | 1 | 2',
          'clove-whole | 8 | 2',
          'water | 5.5 l | 2',
          'sugar | 400-450 g | 7',
          'lime-juice | 4 | 7',
        ],
        steps: [
          'wash x2',
          'combine',
          'heat to:boil',
          'boil 15m level:simmer lid:on',
          'steep 2h',
          'strain by:fineMesh+cloth',
          'sweeten',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'list-2',
    manner: 'list',
    messy: false,
    system: 'metric',
    text: `Pineapple skin cooler

Serves 10

You will need:
* peel and core of 2 ripe pineapples
* 3 litres of cold water
* 60 g ginger, bruised
* 4 cloves
* 250 g raw cane sugar
* 2 lemons, juiced

What to do:
1) Scrub the peel well under running water.
2) Place the peel, core, ginger and cloves in a pot and cover with the water.
3) Bring to the boil, then lower the heat and simmer gently for 40 to 45 minutes.
4) Let it cool completely.
5) Strain through a sieve, pressing well.
6) Add the lemon juice and sugar and stir until dissolved.
7) Pour into clean bottles.`,
    drinks: [
      {
        title: 'Pineapple skin cooler',
        yield: '10 serving',
        lines: [
          'pineapple-peel | 2 | 2',
          'pineapple-core | 2 | 2',
          'water | 3 l | 2',
          'ginger-bruised | 60 g | 2',
          'clove-whole | 4 | 2',
          'sugar-cane-raw | 250 g | 7',
          'lemon-juice | 2 | 7',
        ],
        steps: [
          'wash',
          'combine',
          'heat to:boil',
          'boil 40-45m level:simmer',
          'cool',
          'strain by:sieve press:press',
          'mix cue',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'list-3',
    manner: 'list',
    messy: false,
    system: 'metric',
    text: `Turmeric and tamarind tonic
Yield: 3 litres

INGREDIENTS
300 g fresh turmeric, grated
200 g ginger, sliced
250 g tamarind pulp
1 tablespoon black peppercorns
3 ½ litres water
2-3 tablespoons honey per litre, or to taste
1 pinch of salt

METHOD
Soak the tamarind in half a litre of the water for 30 minutes, then rub it through a sieve and throw away the seeds.
Put the turmeric, ginger and peppercorns in a pot with the rest of the water. Bring to the boil and boil gently, lid ajar, for 25 minutes.
Strain through a cloth and wring it out well.
Stir in the tamarind and the salt.
When it is lukewarm, sweeten with the honey.
Fill into sterilised bottles and refrigerate.`,
    drinks: [
      {
        title: 'Turmeric and tamarind tonic',
        yield: '3 l',
        lines: [
          'turmeric-grated | 300 g | 3',
          'ginger-sliced | 200 g | 3',
          'tamarind-pulp | 250 g | 1+7',
          'peppercorn-whole | 1 tbsp | 3',
          'water | 3.5 l | 1+3',
          'honey | 2-3 tbsp | 8',
          'salt | 1 pinch | 7',
        ],
        steps: [
          'soak 30m',
          'strain by:sieve',
          'combine',
          'heat to:boil',
          'boil 25m level:gentle lid:ajar',
          'strain by:cloth press:wring',
          'mix',
          'sweeten cue',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'list-4',
    manner: 'list',
    messy: false,
    system: 'metric',
    text: `Citrus vinegar cordial

For about 1 litre:

- 6 oranges
- 3 lemons
- 500 ml cider vinegar
- 600 g white sugar
- 12 allspice berries
- 2 star anise

Directions
Step 1: Wash the oranges and lemons and slice them thinly.
Step 2: Layer the fruit and the sugar in a large jar. Leave in the fridge for 24 hours.
Step 3: Pour over the vinegar and add the allspice and star anise.
Step 4: Let it stand in the fridge for 3 to 5 days, shaking it once a day.
Step 5: Strain through a sieve lined with cloth. Do not press.
Step 6: Pour into sterilised bottles. It keeps for two months in the fridge. Dilute one part with five parts of soda water.`,
    drinks: [
      {
        title: 'Citrus vinegar cordial',
        yield: '1 l',
        lines: [
          'orange-whole | 6 | 3',
          'lemon-whole | 3 | 3',
          'vinegar | 500 ml | 5',
          'sugar-white | 600 g | 3',
          'allspice-whole | 12 | 5',
          'star-anise | 2 | 5',
        ],
        steps: [
          'wash',
          'prep',
          'combine',
          'steep 24h place:fridge',
          'combine',
          'mature 3-5d place:fridge',
          'strain by:sieve+cloth press:drain',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'list-5',
    manner: 'list',
    messy: false,
    system: 'metric',
    text: `Garden herb tea, iced
(2 litres)

Ingredients:
1 bunch of fresh mint
10 basil leaves
3 stalks lemongrass, bruised
2 litres water
80 g honey
1 cucumber, sliced
1 lime, sliced

Method:
• Heat the water to 85 °C; it must not boil.
• Pour it over the lemongrass, mint and basil.
• Cover and infuse for 12 minutes.
• Strain into a jug and stir in the honey while still warm.
• Cool in an ice bath for half an hour.
• Add the cucumber and the lime slices and chill for at least 1 hour before serving.`,
    drinks: [
      {
        title: 'Garden herb tea, iced',
        yield: '2 l',
        lines: [
          'mint-leaf | 1 bunch | 2',
          'basil-leaf | 10 | 2',
          'lemongrass | 3 | 2',
          'water | 2 l | 1',
          'honey | 80 g | 5',
          'cucumber | 1 | 7',
          'lime-whole | 1 | 7',
        ],
        steps: [
          'heat 85C',
          'combine',
          'steep 12m lid:on',
          'strain',
          'sweeten cue',
          'cool 30m place:iceBath',
          'mix',
          'cool 1h place:fridge',
        ],
      },
    ],
  },
  {
    id: 'list-6',
    manner: 'list',
    messy: false,
    system: 'metric',
    text: `Raw green shots
Makes 12 small bottles of 60 ml

Ingredients
* 400 g ginger
* 3 green apples
* 5 lemons
* 1/4 teaspoon cayenne
* 200 ml water

Preparation
1. Wash everything. Peel the ginger.
2. Cut the ginger and apples into chunks and blend with the water for 1 minute.
3. Press through a cloth.
4. Squeeze the lemons and add the juice.
5. Stir in the cayenne.
6. Fill into small bottles. Freeze half of them; the others keep 3 days in the fridge.`,
    drinks: [
      {
        title: 'Raw green shots',
        yield: '12 bottle',
        lines: [
          'ginger-blended | 400 g | 4',
          'apple-whole | 3 | 4',
          'lemon-juice | 5 | 7',
          'cayenne-ground | 1/4 tsp | 8',
          'water | 200 ml | 4',
        ],
        steps: [
          'wash',
          'prep',
          'prep',
          'blend 1m',
          'strain by:cloth press:press',
          'juice',
          'mix',
          'mix',
          'bottle',
          'freeze',
        ],
      },
    ],
  },
];
