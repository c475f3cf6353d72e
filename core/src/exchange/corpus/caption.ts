import type { CorpusText } from './types.ts';

/** Words under a picture: small pictures among them, tags, abbreviations, hurry. */
export const CAPTIONS: readonly CorpusText[] = [
  {
    id: 'caption-1',
    manner: 'caption',
    messy: true,
    system: 'us',
    text: `🌺 LANTERN NIGHT COOLER 🌺 save this!!

👉 3 c. dried hibiscus
👉 3 qts water
👉 2" knob ginger (sliced)
👉 1 c. sugar (or to taste)
👉 1/2 c. fresh lime juice
👉 1 cinnamon stick

Rinse the flowers ➡️ boil water ➡️ drop in hibiscus, ginger, cinnamon ➡️ simmer 12 mins ➡️ lid on, 1 hr off the heat ➡️ strain ➡️ sugar + lime ➡️ chill 4 hrs ➡️ serve over ice 🧊
Makes 2.5 qts. #bigbatch #nocans`,
    drinks: [
      {
        title: 'LANTERN NIGHT COOLER',
        yield: '2.5 quart',
        lines: [
          'hibiscus-dried | 3 cup | 3',
          'water | 3 quart | 2',
          'ginger-sliced | 2 inch | 3',
          'sugar | 1 cup | 7',
          'lime-juice | 1/2 cup | 7',
          'cinnamon-stick | 1 | 3',
        ],
        steps: [
          'wash',
          'heat to:boil',
          'combine',
          'boil 12m level:simmer',
          'steep 1h lid:on',
          'strain',
          'mix',
          'cool 4h place:fridge',
        ],
      },
    ],
  },
  {
    id: 'caption-2',
    manner: 'caption',
    messy: true,
    system: 'metric',
    text: `Ginger shots for 7 days 💪🫚 (14 x 50ml)

500 g ginger, unpeeled
2 apples
6 lemons
1 tsp turmeric powder
pinch of black pepper
100 ml water

✨ wash + chop everything
✨ blender, 2 mins full power
✨ nut milk bag, squeeze like you mean it
✨ fill into little bottles, freezer for half of them
no cooking, no sugar added. keeps 3 days in the fridge ❄️`,
    drinks: [
      {
        title: 'Ginger shots for 7 days',
        yield: '700 ml',
        lines: [
          'ginger-blended | 500 g | 3',
          'apple-whole | 2 | 3',
          'lemon | 6 | 3',
          'turmeric-ground | 1 tsp | 3',
          'pepper | 1 pinch | 3',
          'water | 100 ml | 3',
        ],
        steps: ['wash', 'prep', 'blend 2m', 'strain by:cloth press:wring', 'bottle', 'freeze'],
      },
    ],
  },
  {
    id: 'caption-3',
    manner: 'caption',
    messy: true,
    system: 'metric',
    text: `cold brew hibiscus, zero fuss. 60g dried hibiscus + 2L cold water + zest of 1 orange + 4 cloves. jar. fridge. 12-14h. thats literally it. strain thru a sieve (cloth if ur fancy), add 120g honey, shake. optional: juice of 2 limes. gone in 2 days at my place lol. makes 6-7 glasses`,
    drinks: [
      {
        title: 'cold brew hibiscus',
        yield: '6-7 glass',
        lines: [
          'hibiscus-dried | 60 g | 1',
          'water | 2 l | 1',
          'orange-peel | 1 | 1',
          'clove-whole | 4 | 1',
          'honey | 120 g | 3',
          'lime-juice | 2 | 4',
        ],
        steps: ['soak 12-14h place:fridge', 'strain by:sieve', 'sweeten', 'mix'],
      },
    ],
  },
  {
    id: 'caption-4',
    manner: 'caption',
    messy: true,
    system: 'us',
    text: `Pineapple peel tea 🍍 Don't toss those peels!
You'll need: peel of 1 pineapple / 8 cups water / 1 tbsp grated ginger / 1 tsp turmeric / 1 cinnamon stick / 3 tbsp honey / 1/2 lemon

1️⃣ Soak peel in water + 1 tbsp vinegar for 10 mins, rinse.
2️⃣ Peel, water, ginger, turmeric, cinnamon in a pot. Boil, then simmer 20–25 mins.
3️⃣ Turn off, cover, 15 mins.
4️⃣ Strain. Honey + lemon juice when it's warm, not hot.
5️⃣ Hot or iced! Good for 4 days in the fridge.`,
    drinks: [
      {
        title: 'Pineapple peel tea',
        lines: [
          'pineapple-peel | 1 | 3',
          'water | 8 cup | 3',
          'ginger-grated | 1 tbsp | 3',
          'turmeric-ground | 1 tsp | 3',
          'cinnamon-stick | 1 | 3',
          'honey | 3 tbsp | 7',
          'lemon-juice | 0.5 | 7',
        ],
        steps: [
          'soak 10m',
          'wash',
          'combine',
          'boil 20-25m level:simmer',
          'steep 15m lid:on',
          'strain',
          'sweeten cue',
        ],
      },
    ],
  },
  {
    id: 'caption-5',
    manner: 'caption',
    messy: true,
    system: 'metric',
    text: `TAMARIND × GINGER × CHILI 🔥
→ tamarind paste 200 g
→ ginger 80 g, bashed
→ dried chilies, 2
→ palm sugar 180 g
→ water 2.5 L
→ limes ×3
→ salt, pinch

Everything except the limes into the pot. Boil → 15 min gentle → rest 30 min. Sieve!! Lime juice last. Ice ice ice. Serves 8 thirsty people. Make it the night before, it gets better 👌`,
    drinks: [
      {
        title: 'TAMARIND × GINGER × CHILI',
        yield: '8 serving',
        lines: [
          'tamarind-pulp | 200 g | 1',
          'ginger-bruised | 80 g | 1',
          'chilli-dried | 2 | 1',
          'jaggery | 180 g | 1',
          'water | 2.5 l | 1',
          'lime-juice | 3 | 6',
          'salt | 1 pinch | 1',
        ],
        steps: ['combine', 'heat to:boil', 'boil 15m level:gentle', 'steep 30m', 'strain by:sieve', 'mix'],
      },
    ],
  },
  {
    id: 'caption-6',
    manner: 'caption',
    messy: true,
    system: 'metric',
    text: `Citrus + thyme cordial 🍋🍊 swipe for the colour
4 oranges, 6 lemons, 4 sprigs thyme, 750g sugar, 600ml water, 1 tbsp cider vinegar
Peel the citrus w/ a peeler, no white. Peel + sugar + water: heat to 90 degrees, stir, dont boil. Thyme in, lid, 20 mins. Juice the fruit meanwhile. Strain syrup, cool it down to room temp, add juice & vinegar. Sterilised bottles. ~1.5 L. Fridge 6 wks. 1:5 with fizz 🥂`,
    drinks: [
      {
        title: 'Citrus + thyme cordial',
        yield: '1.5 l',
        lines: [
          'orange-peel | 4 | 2',
          '?lemon peel | 6 | 2',
          'orange-juice | 4 | 8',
          'lemon-juice | 6 | 8',
          'thyme-fresh | 4 sprig | 3',
          'sugar | 750 g | 2',
          'water | 600 ml | 2',
          'vinegar | 1 tbsp | 8',
        ],
        steps: [
          'prep',
          'heat 90C',
          'combine',
          'steep 20m lid:on',
          'juice',
          'strain',
          'cool',
          'mix',
          'bottle',
        ],
      },
    ],
  },
];
