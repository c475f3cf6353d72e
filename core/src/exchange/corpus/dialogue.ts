import type { CorpusText } from './types.ts';

/** On the telephone: one asks, the other answers. */
export const DIALOGUES: readonly CorpusText[] = [
  {
    id: 'dialogue-1',
    manner: 'dialogue',
    messy: true,
    long: true,
    system: 'metric',
    text: `- Tell me again how much hibiscus?
- A quarter kilo, dried. And you rinse it, please, three times.
- And the water?
- Six litres. Cold. You put everything in cold and bring it up together.
- What is everything?
- The hibiscus, eighty grams of ginger, sliced, one stick of cinnamon, six cloves. Not the sugar!
- How long does it boil?
- Ten minutes. Once it boils, ten minutes, with the lid half on.
- And then I strain it?
- No no, then it stands. Turn it off, lid on, four to five hours. Then you strain it, through a cloth.
- Do I squeeze the cloth?
- Yes, squeeze it well.
- And how much sugar?
- Five hundred grams, stirred in while it is still a bit warm. Lemon juice you put at the end, of three lemons.
- How much will I get?
- Five and a half litres, seven bottles.
- And it keeps?
- A week, in the fridge.`,
    drinks: [
      {
        yield: '5.5 l',
        lines: [
          'hibiscus-dried | 0.25 kg | 2',
          'water | 6 l | 2',
          'ginger-sliced | 80 g | 2',
          'cinnamon-stick | 1 | 2',
          'clove-whole | 6 | 2',
          'sugar | 500 g | 7',
          'lemon-juice | 3 | 8',
        ],
        steps: [
          'wash x3',
          'combine',
          'heat to:boil',
          'boil 10m lid:ajar',
          'steep 4-5h lid:on',
          'strain by:cloth press:wring',
          'sweeten',
          'mix',
        ],
      },
    ],
  },
  {
    id: 'dialogue-2',
    manner: 'dialogue',
    messy: true,
    long: true,
    system: 'metric',
    text: `A: What goes in the pineapple one?
B: The peel of two pineapples. The core as well if you have not eaten it.
A: Do I wash it?
B: With a brush, yes. Then four litres of water, a hundred grams of ginger, bruised, five allspice berries and half a lemongrass stalk. No, make it two stalks.
A: All from the beginning?
B: All from the beginning. Bring it to the boil and then simmer it, thirty to thirty-five minutes.
A: With a lid?
B: Lid on. Then leave it in the pot until it is cold. I usually leave it overnight.
A: And the sugar?
B: Two hundred and fifty grams of raw cane sugar, after you strained it. Use the fine sieve.
A: Lime?
B: Four limes, the juice.
A: How many bottles is that?
B: About five. Drink it in four days.`,
    drinks: [
      {
        title: 'the pineapple one',
        yield: '5 bottle',
        lines: [
          'pineapple-peel | 2 | 2',
          'pineapple-core | 2 | 2',
          'water | 4 l | 2',
          'ginger-bruised | 100 g | 2',
          'allspice-whole | 5 | 2',
          'lemongrass | 2 | 2',
          'sugar-cane-raw | 250 g | 7',
          'lime-juice | 4 | 8',
        ],
        steps: [
          'wash',
          'combine',
          'heat to:boil',
          'boil 30-35m level:simmer lid:on',
          'steep 8h cue',
          'strain by:fineMesh',
          'sweeten',
          'mix',
        ],
      },
    ],
  },
  {
    id: 'dialogue-3',
    manner: 'dialogue',
    messy: true,
    long: true,
    system: 'metric',
    text: `Q: Is it true that you never cook your tamarind drink?
A: Never. You lose the taste. I take six hundred grams of tamarind and three litres of water, and I let it soak overnight at room temperature.
Q: And in the morning?
A: In the morning I knead it with my hands and push it through a sieve, twice.
Q: What about spices?
A: One tablespoon of ginger powder, a teaspoon of cayenne, half a teaspoon of salt. Stir them in well.
Q: Sugar?
A: Honey! Two cups. And I put two more litres of water after that.
Q: Cold water?
A: Cold, yes. And then the juice of two oranges for the smell.
Q: How long can it stand?
A: In the fridge, two days. Because it was never boiled.
Q: And how much is it?
A: Around five litres.`,
    drinks: [
      {
        title: 'tamarind drink',
        yield: '5 l',
        lines: [
          'tamarind-pulp | 600 g | 1',
          'water | 5 l | 1+5',
          'ginger-ground | 1 tbsp | 3',
          'cayenne-ground | 1 tsp | 3',
          'salt | 1/2 tsp | 3',
          'honey | 2 cup | 4',
          'orange-juice | 2 | 6',
        ],
        steps: ['soak 8h place:counter', 'strain by:sieve*2 press:press', 'mix', 'sweeten', 'mix', 'mix'],
      },
    ],
  },
  {
    id: 'dialogue-4',
    manner: 'dialogue',
    messy: true,
    long: true,
    system: 'us',
    text: `Caller: I lost the paper with the cranberry recipe.
Host: All right, get a pen. Two pounds of cranberries, fresh or frozen.
Caller: Two pounds. Got it.
Host: Three quarts of water. Three cinnamon sticks, a teaspoon of cloves and one orange cut into slices.
Caller: One orange.
Host: Into the pot with all of it. When it boils, turn it down and let it simmer for half an hour, lid on.
Caller: Lid on. And then?
Host: Mash the berries with a masher and strain it through a sieve. Press it, but don't wring it.
Caller: When does the sugar go in?
Host: Right after, while it's hot. One and a half cups, packed brown sugar. Then one quart of apple juice.
Caller: And ginger ale?
Host: No, no ginger ale. You let it cool for an hour and then it goes in the refrigerator.
Caller: How many people is it for?
Host: Sixteen glasses. It's good for five days.`,
    drinks: [
      {
        title: 'the cranberry recipe',
        yield: '16 glass',
        lines: [
          'cranberry-fresh | 2 lb | 1',
          'water | 3 quart | 1',
          'cinnamon-stick | 3 | 1',
          'clove-whole | 1 tsp | 1',
          'orange-whole | 1 | 1',
          'sugar-brown | 1.5 packed cup | 6',
          'apple-juice | 1 quart | 7',
        ],
        steps: [
          'combine',
          'heat to:boil',
          'boil 30m level:simmer lid:on',
          'prep',
          'strain by:sieve press:press',
          'sweeten',
          'mix',
          'cool 1h',
          'cool place:fridge',
        ],
      },
    ],
  },
  {
    id: 'dialogue-5',
    manner: 'dialogue',
    messy: true,
    long: true,
    system: 'metric',
    text: `- So you steep the herbs, you don't boil them.
- Right. The water boils, two litres, then I take it off and wait a minute or two.
- And the herbs?
- Twenty mint leaves, ten basil leaves, three sprigs of thyme. In they go, lid on, eight minutes.
- Eight minutes only?
- Only eight. Then out with them, through a sieve.
- Anything for sweetness?
- Sixty grams of honey. Stir it in at once, it melts better.
- And lemon?
- One lemon, only the juice, but when it's cold. I cool it in ice water, about twenty minutes.
- So it's about two litres?
- A bit less. One point eight.
- I'll put it in the fridge then.
- Yes, and finish it by tomorrow evening.`,
    drinks: [
      {
        yield: '1.8 l',
        lines: [
          'mint-leaf | 20 | 2',
          'basil-leaf | 10 | 2',
          'thyme-fresh | 3 sprig | 2',
          'water | 2 l | 1',
          'honey | 60 g | 5',
          'lemon-juice | 1 | 7',
        ],
        steps: [
          'heat to:boil',
          'combine',
          'steep 8m lid:on',
          'strain by:sieve',
          'sweeten',
          'cool 20m place:iceBath',
          'mix',
        ],
      },
    ],
  },
  {
    id: 'dialogue-6',
    manner: 'dialogue',
    messy: true,
    long: true,
    system: 'metric',
    text: `Interviewer: Your beetroot and apple drink won the hall's prize. What is in it?
Cook: Three big beetroots, a kilo of apples, sixty grams of ginger, two lemons. That's all.
Interviewer: No sugar?
Cook: None. The apples are sweet enough.
Interviewer: How do you make it?
Cook: You scrub the beetroots and peel them, and you cut everything in pieces. The beetroots and the ginger I boil in a litre and a half of water for half an hour with the lid on. Then it has to cool.
Interviewer: And the apples?
Cook: They are never cooked. They go through the juicer, raw. Then I strain the beetroot water through a cloth and pour the apple juice to it.
Interviewer: And the lemons?
Cook: Squeezed, at the end. Then I heat all of it once, up to seventy degrees, not more, for two minutes, and fill it hot in bottles.
Interviewer: How many?
Cook: Four big ones, of three quarters of a litre.`,
    drinks: [
      {
        title: 'beetroot and apple drink',
        yield: '3 l',
        lines: [
          'beetroot | 3 big | 4',
          'apple-whole | 1 kg | 6',
          'ginger | 60 g | 4',
          'lemon-juice | 2 | 9',
          'water | 1.5 l | 4',
        ],
        steps: [
          'wash',
          'prep',
          'prep',
          'boil 30m lid:on',
          'cool',
          'juice',
          'strain by:cloth',
          'mix',
          'mix',
          'heat 70C 2m',
          'bottle',
        ],
      },
    ],
  },
];
