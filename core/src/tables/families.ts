/**
 * One plant or thing in its forms: which row of which table each form is, and the words that name a form. The first
 * form is meant when nothing is said.
 */
export interface FamilyRow {
  id: string;
  /** Forms, each with the item it is and the words that ask for it. */
  forms: readonly { itemId: string; words: readonly string[] }[];
  /** Its forms differ so much that a form which nobody said must be shown as a guess. */
  formMatters?: true;
  /** It goes in to sweeten. */
  sweetens?: true;
  /** Named beside others it is the thing that is meant: garlic cloves are no cloves. */
  leads?: true;
  /** Things are washed with it: there it is no part of the drink. */
  washes?: true;
  /** It is water, and nothing that a drink is named after. */
  plainWater?: true;
  /** The part that juice of this fruit is squeezed from, and what the juice is. */
  juice?: { from: string; itemId: string };
}

const family = (
  id: string,
  forms: readonly (readonly [itemId: string, ...words: string[]])[],
  juice?: FamilyRow['juice'],
  more: Pick<FamilyRow, 'formMatters' | 'sweetens' | 'plainWater' | 'leads' | 'washes'> = {},
): FamilyRow => ({
  id,
  forms: forms.map(([itemId, ...words]) => ({ itemId, words })),
  ...(juice ? { juice } : {}),
  ...more,
});

export const FAMILY_ROWS: readonly FamilyRow[] = [
  family(
    'hibiscus',
    [
      ['hibiscus-dried', 'dried', 'dry', 'whole'],
      ['hibiscus-siftings', 'siftings', 'broken', 'crumbled', 'dust'],
      ['hibiscus-fresh', 'fresh'],
    ],
    undefined,
    { formMatters: true },
  ),
  family(
    'ginger',
    [
      ['ginger-sliced', 'sliced', 'slices', 'chopped', 'peeled', 'fresh'],
      ['ginger-bruised', 'bruised', 'smashed', 'bashed', 'crushed', 'pounded'],
      ['ginger-grated', 'grated', 'shredded', 'minced'],
      ['ginger-blended', 'blended', 'puree', 'pureed'],
      ['ginger-ground', 'ground', 'powder', 'powdered', 'dried'],
    ],
    undefined,
    { formMatters: true },
  ),
  family(
    'turmeric',
    [
      ['turmeric-grated', 'grated', 'fresh', 'sliced', 'chopped'],
      ['turmeric-ground', 'ground', 'powder', 'powdered', 'dried'],
    ],
    undefined,
    { formMatters: true },
  ),
  family('clove', [
    ['clove-whole', 'whole'],
    ['clove-crushed', 'crushed', 'ground', 'cracked', 'powder'],
  ]),
  family('allspice', [['allspice-whole', 'whole', 'berry', 'berries']]),
  family('pepper', [['peppercorn-whole', 'whole', 'corns', 'cracked', 'ground']]),
  family('paradise', [['grains-of-paradise', 'grains']]),
  family('selim', [['grains-of-selim', 'pods', 'grains']]),
  family('cinnamon', [
    ['cinnamon-stick', 'stick', 'sticks', 'bark', 'whole'],
    ['cinnamon-ground', 'ground', 'powder', 'powdered'],
  ]),
  family('spiceLeaf', [['bay-type-leaf', 'leaf', 'leaves', 'dried']]),
  family('starAnise', [['star-anise', 'star', 'stars', 'whole']]),
  family('cardamom', [['cardamom-cracked', 'pods', 'cracked', 'whole', 'crushed']]),
  family('coriander', [['coriander-seed', 'seed', 'seeds']]),
  family('cayenne', [['cayenne-ground', 'ground', 'powder']]),
  family('chilli', [['chilli-dried', 'dried', 'whole']]),
  family('garlic', [['garlic-clove', 'clove', 'cloves', 'crushed', 'fresh']], undefined, { leads: true }),
  family('lemongrass', [['lemongrass', 'stalk', 'stalks', 'chopped', 'fresh']]),
  family('mint', [['mint-leaf', 'leaf', 'leaves', 'fresh', 'torn']]),
  family('basil', [['basil-leaf', 'leaf', 'leaves', 'fresh', 'torn']]),
  family('thyme', [['thyme-fresh', 'sprig', 'sprigs', 'fresh']]),
  family('rooibos', [['rooibos', 'dried']]),
  family(
    'pineapple',
    [
      ['pineapple-flesh', 'flesh', 'cubed', 'chunks', 'diced', 'fresh'],
      ['pineapple-peel', 'peel', 'peels', 'skin', 'rind'],
      ['pineapple-core', 'core', 'cores'],
      ['pineapple-juice', 'juice'],
    ],
    { from: 'pineapple-flesh', itemId: 'pineapple-juice' },
    { formMatters: true },
  ),
  family(
    'orange',
    [
      ['orange-whole', 'whole', 'sliced', 'quartered', 'fresh'],
      ['orange-peel', 'peel', 'peels', 'skin', 'rind', 'zest', 'strips'],
      ['orange-juice', 'juice', 'juiced'],
    ],
    { from: 'orange-whole', itemId: 'orange-juice' },
  ),
  family(
    'lemon',
    [
      ['lemon-whole', 'whole', 'sliced', 'quartered', 'fresh'],
      ['lemon-juice', 'juice', 'juiced'],
      ['lemon-juice-bottled', 'juice', 'bottled'],
    ],
    { from: 'lemon-whole', itemId: 'lemon-juice' },
  ),
  family(
    'lime',
    [
      ['lime-whole', 'whole', 'sliced', 'fresh'],
      ['lime-juice', 'juice', 'juiced'],
      ['lime-juice-bottled', 'juice', 'bottled'],
    ],
    { from: 'lime-whole', itemId: 'lime-juice' },
  ),
  family(
    'grapefruit',
    [
      ['grapefruit-whole', 'whole', 'fresh'],
      ['grapefruit-juice', 'juice', 'juiced'],
    ],
    { from: 'grapefruit-whole', itemId: 'grapefruit-juice' },
  ),
  family(
    'watermelon',
    [
      ['watermelon-flesh', 'flesh', 'cubed', 'chunks', 'fresh'],
      ['watermelon-rind', 'rind', 'peel', 'skin'],
      ['watermelon-juice', 'juice'],
    ],
    { from: 'watermelon-flesh', itemId: 'watermelon-juice' },
    { formMatters: true },
  ),
  family(
    'apple',
    [
      ['apple-whole', 'whole', 'sliced', 'chopped', 'fresh'],
      ['apple-juice', 'juice'],
    ],
    { from: 'apple-whole', itemId: 'apple-juice' },
  ),
  family(
    'cranberry',
    [
      ['cranberry-fresh', 'fresh', 'frozen', 'whole'],
      ['cranberry-juice', 'juice'],
    ],
    { from: 'cranberry-fresh', itemId: 'cranberry-juice' },
  ),
  family('beetroot', [['beetroot', 'sliced', 'fresh']]),
  family('cucumber', [['cucumber', 'sliced', 'fresh']]),
  family('tamarind', [['tamarind-pulp', 'pulp', 'block', 'paste', 'seedless']]),
  family(
    'coconut',
    [
      ['coconut-flesh', 'flesh', 'grated', 'fresh'],
      ['coconut-milk-fresh', 'milk'],
    ],
    undefined,
    { formMatters: true },
  ),
  family('date', [
    ['date-pitted', 'pitted', 'stoned', 'dried'],
    ['date-medjool', 'large', 'soft', 'big'],
    ['date-syrup', 'syrup'],
    ['date-paste', 'paste', 'blended'],
  ]),
  family('rice', [['rice-white', 'white', 'dry']]),
  family('salt', [['salt', 'fine', 'sea']], undefined, { washes: true }),
  family('water', [['water', 'cold', 'hot', 'warm', 'tap', 'drinking', 'boiling']], undefined, {
    plainWater: true,
  }),
  family(
    'sugar',
    [
      ['sugar-white', 'white', 'granulated', 'caster'],
      ['sugar-brown', 'brown', 'packed', 'dark', 'light'],
      ['sugar-cane-raw', 'raw', 'cane', 'demerara', 'turbinado'],
      ['coconut-sugar', 'coconut'],
    ],
    undefined,
    { sweetens: true },
  ),
  family('jaggery', [['jaggery', 'chopped', 'grated']], undefined, { sweetens: true }),
  family('honey', [['honey', 'runny', 'raw']], undefined, { sweetens: true }),
  family('maple', [['maple-syrup', 'syrup']], undefined, { sweetens: true }),
  family('agave', [['agave-syrup', 'syrup', 'nectar']], undefined, { sweetens: true }),
  family('goldenSyrup', [['golden-syrup', 'syrup']], undefined, { sweetens: true }),
  family('molasses', [['molasses', 'dark']], undefined, { sweetens: true }),
  family('erythritol', [['erythritol', 'powder']], undefined, { sweetens: true }),
  family('stevia', [['stevia-pure', 'extract', 'pure', 'powder']], undefined, { sweetens: true }),
  family(
    'vinegar',
    [
      ['cider-vinegar', 'cider', 'apple'],
      ['rice-vinegar', 'rice'],
    ],
    undefined,
    { washes: true },
  ),
  family('wine', [['port-style-wine', 'fortified', 'sweet']]),
  family('spirit', [
    ['spirit-40', 'white', 'dark'],
    ['spirit-63', 'overproof', 'strong'],
  ]),
  family('gingerBeer', [['ginger-beer', 'bottled']]),
  family('sodaWater', [['soda-water', 'cold', 'sparkling']]),
  family('starter', [['live-starter', 'live', 'active']]),
];

/** The family that an item is a form of; undefined for a thing of the cook's own. */
export const familyOfItem = (itemId: string): FamilyRow | undefined =>
  FAMILY_ROWS.find((f) => f.forms.some((form) => form.itemId === itemId));
