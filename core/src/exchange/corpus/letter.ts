import type { CorpusText } from './types.ts';

/** Letters to somebody in the family: the recipe lies among the news. */
export const LETTERS: readonly CorpusText[] = [
  {
    id: 'letter-1',
    manner: 'letter',
    messy: true,
    long: true,
    system: 'metric',
    text: `Dear one,

thank you for the photographs of the garden. You asked how I make the red drink, so here it is as well as I can tell it. I take 300 g of dried hibiscus and wash it in a big bowl until the water stays clear, usually four times. It goes into the enamel pot with 7 litres of cold water, a piece of ginger of about 120 g that I have sliced with the skin on, two cinnamon sticks and the peel of two oranges without the white. That stands overnight in the cool pantry with a cloth over it; I do not cook it at this point. In the morning I bring it slowly to the boil and let it bubble gently for no more than five minutes. Then it must cool a little, and I pour it through the fine sieve and once more through muslin. While it is still warm I stir in 700 g of sugar. Your uncle says it is too sweet, but he drinks it. When it is quite cold I add the juice of five limes. It fills eight bottles and they keep a week in the refrigerator, though I would not leave them longer.

Write soon, and mind the step in the cellar.`,
    drinks: [
      {
        title: 'the red drink',
        yield: '8 bottle',
        lines: [
          'hibiscus-dried | 300 g | 2',
          'water | 7 l | 2',
          'ginger-sliced | 120 g | 2',
          'cinnamon-stick | 2 | 2',
          'orange-peel | 2 | 2',
          'sugar | 700 g | 9',
          'lime-juice | 5 | 10',
        ],
        steps: [
          'wash x4 cue',
          'combine',
          'soak 8h',
          'heat to:boil',
          'boil 5m level:gentle',
          'cool',
          'strain by:fineMesh',
          'strain by:cloth',
          'sweeten',
          'mix',
        ],
      },
    ],
  },
  {
    id: 'letter-2',
    manner: 'letter',
    messy: true,
    long: true,
    system: 'metric',
    text: `My dear nephew,

so you have a juicer now, and want to know what your aunt does with all that ginger. For the shots I count a kilo of ginger, five apples and eight lemons; that is for about a litre and a half. Wash the ginger well, brush it, but leave the skin, there is no need to peel it. The apples I quarter and put through the juicer together with the ginger. The lemons I squeeze by hand because the juicer makes them bitter. Then I stir the two juices together, add half a teaspoon of cayenne and, if it is for the children, two tablespoons of honey. Let it settle for an hour in the refrigerator and pour the clear part off into small bottles, leaving the starch behind. It is not heated at all, so it has to be drunk within three days; what I cannot use I freeze in portions of 60 ml. Never give it to anybody straight: a small glass of it into a big glass of water.

Your cousin sends her love.`,
    drinks: [
      {
        title: 'shots',
        yield: '1.5 l',
        lines: [
          'ginger | 1 kg | 3',
          'apple-whole | 5 | 3',
          'lemon-juice | 8 | 5',
          'cayenne-ground | 1/2 tsp | 6',
          'honey | 2 tbsp | 6',
        ],
        steps: ['wash', 'prep', 'juice', 'juice', 'mix', 'mix', 'settle 1h', 'bottle', 'freeze'],
      },
    ],
  },
  {
    id: 'letter-3',
    manner: 'letter',
    messy: true,
    long: true,
    system: 'metric',
    text: `Hello you two,

it was lovely to have you here, and I promised the warm punch. It begins the day before. Put a cinnamon stick, ten cloves, five allspice berries and two star anise in a small pot with half a litre of water, boil them for twenty minutes under a lid and leave them standing until the next day. That is the spice water. On the day take two litres of apple juice and one litre of cranberry juice, heat them together in the big pot until they steam, but do not let them boil. Strain the spice water into it. Cut two oranges in slices and put them in for the last ten minutes. Sweeten with honey, I take four tablespoons, and if it is only for grown-ups, a small glass of rum, about 100 ml, at the very end and off the fire. It is enough for fourteen cups. What is left over can be warmed again the next day, but take the oranges out or it will go bitter.

A kiss to the little one.`,
    drinks: [
      {
        title: 'the warm punch',
        yield: '14 cup',
        lines: [
          'cinnamon-stick | 1 | 1',
          'clove-whole | 10 | 1',
          'allspice-whole | 5 | 1',
          'star-anise | 2 | 1',
          'water | 0.5 l | 1',
          'apple-juice | 2 l | 4',
          'cranberry-juice | 1 l | 4',
          'orange-whole | 2 | 7',
          'honey | 4 tbsp | 8',
          'spirit | 100 ml | 9',
        ],
        steps: [
          'combine',
          'boil 20m lid:on',
          'steep',
          'heat to:hot cue',
          'strain',
          'prep',
          'mix',
          'sweeten',
          'mix',
        ],
      },
    ],
  },
  {
    id: 'letter-4',
    manner: 'letter',
    messy: true,
    long: true,
    system: 'metric',
    text: `Dear neighbour,

here is the cordial you tasted on Sunday. You need a dozen unwaxed lemons, a kilo of sugar, half a litre of cider vinegar and about a litre of water. Wash the lemons in warm water and dry them. Squeeze ten of the lemons and cut the other two into thin slices. Boil the water with the sugar for five minutes, no longer, and let this syrup become lukewarm. Then put in the lemon juice, the slices and the vinegar, cover it, and leave it for three days in the fridge; I turn the jar every evening. After that strain it through a cloth without pressing it, so that it stays clear, and fill it into bottles that have been boiled. You will have a bit over two litres. The label should say to take one part cordial to six parts water. Mine keeps two months in the fridge, but I throw it away earlier if it smells odd.

With greetings over the fence.`,
    drinks: [
      {
        title: 'the cordial',
        yield: '2 l',
        lines: [
          'lemon-juice | 10 | 6',
          'lemon-whole | 2 | 6',
          'sugar | 1 kg | 4',
          'cider-vinegar | 0.5 l | 6',
          'water | 1 l | 4',
        ],
        steps: [
          'wash',
          'juice',
          'prep',
          'boil 5m',
          'cool cue',
          'mix',
          'steep 3d lid:on place:fridge',
          'strain by:cloth press:drain',
          'bottle',
        ],
      },
    ],
  },
  {
    id: 'letter-5',
    manner: 'letter',
    messy: true,
    long: true,
    system: 'us',
    text: `Dear sister,

I finally watched Mother make the pineapple rice drink and wrote it all down. She uses the peel of two pineapples and their cores, which she scrubs and lets lie in salted water for twenty minutes; that water she throws out and rinses the peel again. Meanwhile one cup of white rice is washed three times. All of it goes in the pot with three quarts of water, one stick of cinnamon, eight cloves and a thumb of ginger, crushed. It boils, then simmers on a low flame for forty minutes, stirred now and again so the rice does not catch. She turns it off and lets it stand with the lid on until it is just warm, about an hour. Then the cinnamon and the peel are taken out, and the rest goes in the blender a ladle at a time and through a cloth. Sugar she puts by the handful, I weighed it, it was eleven ounces. A teaspoon of vanilla at the end. She got ten cups. It does not keep, two days in the icebox and that is all.

Love to all of you.`,
    drinks: [
      {
        title: 'the pineapple rice drink',
        yield: '10 cup',
        lines: [
          'pineapple-peel | 2 | 5',
          'pineapple-core | 2 | 5',
          'rice-white | 1 cup | 5',
          'water | 3 quart | 5',
          'cinnamon-stick | 1 | 5',
          'clove-whole | 8 | 5',
          'ginger-bruised | 1 thumb | 5',
          'sugar | 11 oz | 11',
          '?vanilla | 1 tsp | 12',
        ],
        steps: [
          'wash',
          'soak 20m thrown',
          'wash',
          'wash x3',
          'combine',
          'boil 40m level:simmer',
          'steep 1h lid:on cue',
          'lift',
          'blend',
          'strain by:cloth',
          'sweeten',
          'mix',
        ],
      },
    ],
  },
  {
    id: 'letter-6',
    manner: 'letter',
    messy: true,
    long: true,
    system: 'metric',
    text: `To whom it may concern in my kitchen while I am away,

please do not let the herbs go over. Every second day cut two big handfuls of mint, one of basil and six stalks of lemongrass. The lemongrass is cut small and boiled in four litres of water for ten minutes. Then take the pot off the stove, put the mint and the basil in, push them under, and put the lid on for exactly fifteen minutes, or it turns brown. Strain it straight away and stir in 120 g of honey while it is hot. Squeeze three lemons and a lime and put the juice in only when the tea is cold; I stand the pot in the sink with ice for that, it takes about forty minutes. Fill it in the four big bottles. They stay in the fridge door, and what is not drunk after three days goes on the compost. The cat gets nothing of it.

Thank you!`,
    drinks: [
      {
        yield: '4 bottle',
        lines: [
          'mint-leaf | 2 big handful | 3',
          'basil-leaf | 1 handful | 3',
          'lemongrass | 6 | 2',
          'water | 4 l | 2',
          'honey | 120 g | 6',
          'lemon-juice | 3 | 8',
          'lime-juice | 1 | 8',
        ],
        steps: [
          'prep',
          'boil 10m',
          'combine',
          'steep 15m lid:on',
          'strain',
          'sweeten',
          'juice',
          'mix',
          'cool 40m place:iceBath',
          'bottle',
        ],
      },
    ],
  },
];
