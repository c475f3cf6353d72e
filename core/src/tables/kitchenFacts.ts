import type { Trait } from './traits.ts';
/** Facts about ingredients that a cook asks before she shops or cuts. */
// biome-ignore format: tables read by rows

/** One thing in place of another, in grams for each gram. */
export interface SubstituteRow {
  itemId: string;
  insteadId: string;
  ratio: number;
  /** How far the ratio may be off, as a factor either way. */
  range: number;
  /** When it goes in, where that changes. */
  moment: 'same' | 'earlier' | 'later' | 'offHeat' | 'afterStraining';
  /** Word code of what changes: texture, clarity, strength. */
  note: string;
  source: string;
}

const BY_POTENCY = 'Ratio of the strengths in the ingredient table; range from the spread of dry matter';

export const SUBSTITUTE_ROWS: readonly SubstituteRow[] = [
  {
    itemId: 'hibiscus-dried',
    insteadId: 'hibiscus-fresh',
    ratio: 6.9,
    range: 1.25,
    moment: 'same',
    note: 'sub.freshCalyx',
    source: BY_POTENCY,
  },
  {
    itemId: 'hibiscus-dried',
    insteadId: 'hibiscus-siftings',
    ratio: 1,
    range: 1.15,
    moment: 'same',
    note: 'sub.siftings',
    source: BY_POTENCY,
  },
  {
    itemId: 'hibiscus-fresh',
    insteadId: 'hibiscus-dried',
    ratio: 0.145,
    range: 1.25,
    moment: 'same',
    note: 'sub.driedCalyx',
    source: BY_POTENCY,
  },
  {
    itemId: 'ginger-sliced',
    insteadId: 'ginger-ground',
    ratio: 0.25,
    range: 1.4,
    moment: 'later',
    note: 'sub.groundRoot',
    source: BY_POTENCY,
  },
  {
    itemId: 'ginger-bruised',
    insteadId: 'ginger-ground',
    ratio: 0.25,
    range: 1.4,
    moment: 'later',
    note: 'sub.groundRoot',
    source: BY_POTENCY,
  },
  {
    itemId: 'ginger-grated',
    insteadId: 'ginger-ground',
    ratio: 0.25,
    range: 1.4,
    moment: 'later',
    note: 'sub.groundRoot',
    source: BY_POTENCY,
  },
  {
    itemId: 'ginger-bruised',
    insteadId: 'ginger-grated',
    ratio: 0.8,
    range: 1.3,
    moment: 'same',
    note: 'sub.gratedRoot',
    source: 'Grated gives faster what bruised gives in time',
  },
  {
    itemId: 'ginger-blended',
    insteadId: 'ginger-grated',
    ratio: 1,
    range: 1.2,
    moment: 'same',
    note: 'sub.gratedRoot',
    source: BY_POTENCY,
  },
  {
    itemId: 'turmeric-grated',
    insteadId: 'turmeric-ground',
    ratio: 0.23,
    range: 1.5,
    moment: 'later',
    note: 'sub.groundRoot',
    source: BY_POTENCY,
  },
  {
    itemId: 'turmeric-ground',
    insteadId: 'turmeric-grated',
    ratio: 4.3,
    range: 1.5,
    moment: 'earlier',
    note: 'sub.freshRoot',
    source: BY_POTENCY,
  },
  {
    itemId: 'cinnamon-stick',
    insteadId: 'cinnamon-ground',
    ratio: 0.5,
    range: 1.4,
    moment: 'later',
    note: 'sub.groundSpice',
    source: 'Ground spice gives at once what a stick gives in an hour',
  },
  {
    itemId: 'clove-whole',
    insteadId: 'clove-crushed',
    ratio: 0.6,
    range: 1.4,
    moment: 'same',
    note: 'sub.groundSpice',
    source: 'Crushed gives more of what is in it in the same time',
  },
  {
    itemId: 'clove-whole',
    insteadId: 'allspice-whole',
    ratio: 1.5,
    range: 1.5,
    moment: 'same',
    note: 'sub.otherSpice',
    source: 'Milder, of the same kind',
  },
  {
    itemId: 'allspice-whole',
    insteadId: 'clove-whole',
    ratio: 0.6,
    range: 1.5,
    moment: 'same',
    note: 'sub.otherSpice',
    source: 'Stronger, of the same kind',
  },
  {
    itemId: 'grains-of-paradise',
    insteadId: 'peppercorn-whole',
    ratio: 0.8,
    range: 1.5,
    moment: 'same',
    note: 'sub.otherSpice',
    source: 'Hot without the citrus note',
  },
  {
    itemId: 'grains-of-selim',
    insteadId: 'peppercorn-whole',
    ratio: 0.5,
    range: 1.6,
    moment: 'same',
    note: 'sub.otherSpice',
    source: 'Hot without the smoke',
  },
  {
    itemId: 'lime-juice',
    insteadId: 'lemon-juice',
    ratio: 1.05,
    range: 1.1,
    moment: 'same',
    note: 'sub.citrus',
    source: 'Ratio of titratable acid',
  },
  {
    itemId: 'lemon-juice',
    insteadId: 'lime-juice',
    ratio: 0.95,
    range: 1.1,
    moment: 'same',
    note: 'sub.citrus',
    source: 'Ratio of titratable acid',
  },
  {
    itemId: 'mint-leaf',
    insteadId: 'basil-leaf',
    ratio: 1,
    range: 1.4,
    moment: 'offHeat',
    note: 'sub.herb',
    source: 'Another tender leaf, another taste',
  },
  {
    itemId: 'basil-leaf',
    insteadId: 'mint-leaf',
    ratio: 1,
    range: 1.4,
    moment: 'offHeat',
    note: 'sub.herb',
    source: 'Another tender leaf, another taste',
  },
  {
    itemId: 'lemongrass',
    insteadId: 'orange-peel',
    ratio: 0.5,
    range: 1.6,
    moment: 'same',
    note: 'sub.peel',
    source: 'Citrus note from peel instead of stalk',
  },
  {
    itemId: 'tamarind-pulp',
    insteadId: 'lime-juice',
    ratio: 2.4,
    range: 1.3,
    moment: 'afterStraining',
    note: 'sub.acid',
    source: 'Ratio of titratable acid',
  },
  {
    itemId: 'pineapple-flesh',
    insteadId: 'pineapple-juice',
    ratio: 0.71,
    range: 1.15,
    moment: 'afterStraining',
    note: 'sub.boughtJuice',
    source: 'Juice by the blender, of the ingredient table',
  },
  {
    itemId: 'cranberry-fresh',
    insteadId: 'cranberry-juice',
    ratio: 0.57,
    range: 1.2,
    moment: 'afterStraining',
    note: 'sub.boughtJuice',
    source: 'Juice by the blender, of the ingredient table',
  },
  {
    itemId: 'sugar-cane-raw',
    insteadId: 'sugar-white',
    ratio: 0.98,
    range: 1.02,
    moment: 'same',
    note: 'sub.sugar',
    source: 'Ratio of sweetness',
  },
  {
    itemId: 'sugar-cane-raw',
    insteadId: 'honey',
    ratio: 1.15,
    range: 1.05,
    moment: 'afterStraining',
    note: 'sub.honey',
    source: 'Ratio of sweetness',
  },
  {
    itemId: 'jaggery',
    insteadId: 'sugar-brown',
    ratio: 0.96,
    range: 1.05,
    moment: 'same',
    note: 'sub.sugar',
    source: 'Ratio of sweetness',
  },
  {
    itemId: 'honey',
    insteadId: 'sugar-white',
    ratio: 0.85,
    range: 1.05,
    moment: 'same',
    note: 'sub.sugar',
    source: 'Ratio of sweetness',
  },
];

/** A tool that is missing, what serves instead, and what that costs. */
export interface ToolRow {
  missing: 'blender' | 'juicer' | 'cloth' | 'grater' | 'thermometer' | 'scale';
  instead: string;
  /** Times as long. */
  timeFactor: number;
  foam: 'less' | 'same' | 'more';
  clarity: 'clearer' | 'same' | 'cloudier';
  source: string;
}

const PRACTICE = 'General kitchen practice';
export const TOOL_ROWS: readonly ToolRow[] = [
  {
    missing: 'juicer',
    instead: 'tool.blenderCloth',
    timeFactor: 2,
    foam: 'more',
    clarity: 'cloudier',
    source: PRACTICE,
  },
  {
    missing: 'blender',
    instead: 'tool.mortar',
    timeFactor: 3,
    foam: 'less',
    clarity: 'same',
    source: PRACTICE,
  },
  {
    missing: 'blender',
    instead: 'tool.grater',
    timeFactor: 2,
    foam: 'less',
    clarity: 'clearer',
    source: PRACTICE,
  },
  {
    missing: 'cloth',
    instead: 'tool.fineSieve',
    timeFactor: 0.7,
    foam: 'same',
    clarity: 'cloudier',
    source: PRACTICE,
  },
  {
    missing: 'grater',
    instead: 'tool.bruise',
    timeFactor: 0.6,
    foam: 'less',
    clarity: 'clearer',
    source: PRACTICE,
  },
  {
    missing: 'thermometer',
    instead: 'tool.signs',
    timeFactor: 1,
    foam: 'same',
    clarity: 'same',
    source: PRACTICE,
  },
  {
    missing: 'scale',
    instead: 'tool.cups',
    timeFactor: 1.2,
    foam: 'same',
    clarity: 'same',
    source: PRACTICE,
  },
];

/** Grams for a finished litre in which a thing is usually taken. Source: the drinks of the book and half or twice of them. */
export interface UsualRow {
  itemId: string;
  lowGPerL: number;
  highGPerL: number;
  source: string;
}

const USUAL = 'Half of the least to twice the most in the drinks of the book and common practice';
const usual = (itemId: string, lowGPerL: number, highGPerL: number): UsualRow => ({
  itemId,
  lowGPerL,
  highGPerL,
  source: USUAL,
});
export const USUAL_ROWS: readonly UsualRow[] = [
  usual('hibiscus-dried', 8, 70),
  usual('hibiscus-siftings', 8, 60),
  usual('hibiscus-fresh', 60, 500),
  usual('ginger-sliced', 4, 120),
  usual('ginger-bruised', 4, 120),
  usual('ginger-grated', 4, 150),
  usual('ginger-blended', 10, 400),
  usual('ginger-ground', 0.5, 15),
  usual('turmeric-grated', 3, 120),
  usual('turmeric-ground', 0.5, 12),
  usual('clove-whole', 0.05, 2),
  usual('clove-crushed', 0.03, 1.2),
  usual('allspice-whole', 0.1, 3),
  usual('peppercorn-whole', 0.1, 3),
  usual('grains-of-paradise', 0.1, 3),
  usual('cinnamon-stick', 0.4, 8),
  usual('cinnamon-ground', 0.2, 4),
  usual('star-anise', 0.2, 4),
  usual('cayenne-ground', 0.02, 0.4),
  usual('chilli-dried', 0.05, 2),
  usual('garlic-clove', 2, 25),
  usual('mint-leaf', 1, 40),
  usual('basil-leaf', 2, 50),
  usual('lemon-juice', 5, 200),
  usual('lime-juice', 5, 200),
  usual('tamarind-pulp', 10, 150),
  usual('orange-peel', 3, 60),
];

/** The same for a kind of thing that has no row of its own: the first trait that it has counts. */
export interface UsualOfTrait extends Omit<UsualRow, 'itemId'> {
  trait: Trait;
}
const ofTrait = (trait: Trait, lowGPerL: number, highGPerL: number): UsualOfTrait => ({
  trait,
  lowGPerL,
  highGPerL,
  source: USUAL,
});
export const USUAL_OF_TRAITS: readonly UsualOfTrait[] = [
  ofTrait('spirit', 5, 300),
  ofTrait('vinegar', 5, 400),
  ofTrait('live', 10, 300),
  ofTrait('milk', 20, 500),
  ofTrait('burns', 0.02, 2),
  ofTrait('powder', 0.05, 10),
  ofTrait('hardSpice', 0.05, 6),
  ofTrait('garlic', 1, 25),
  ofTrait('tenderHerb', 1, 60),
  ofTrait('fizzy', 50, 1000),
  ofTrait('juice', 10, 800),
  ofTrait('zest', 2, 60),
  ofTrait('peel', 20, 400),
  ofTrait('root', 4, 300),
  ofTrait('leaf', 2, 150),
  ofTrait('fruit', 20, 800),
  ofTrait('citrus', 20, 500),
];

/** Where a thing is bought, how it is packed, and when it is in season; months 1 to 12, northern and all-year as marked. */
export interface ShopRow {
  itemId: string;
  shop: 'market' | 'dry' | 'spice' | 'store';
  /** A common pack, g (or mL for liquids); null: loose, by weight or by the piece. */
  pack: number | null;
  fresh: { from: number; to: number } | 'allYear';
  /** What serves when it is out of season. */
  dried?: string;
  source: string;
}

const SHELVES = 'Common packs and seasons';
const shop = (
  itemId: string,
  place: ShopRow['shop'],
  pack: number | null,
  fresh: ShopRow['fresh'] = 'allYear',
  dried?: string,
): ShopRow => ({ itemId, shop: place, pack, fresh, ...(dried ? { dried } : {}), source: SHELVES });
export const SHOP_ROWS: readonly ShopRow[] = [
  shop('hibiscus-dried', 'dry', 250),
  shop('hibiscus-siftings', 'dry', 250),
  shop('hibiscus-fresh', 'market', null, { from: 11, to: 1 }, 'hibiscus-dried'),
  shop('ginger-sliced', 'market', null),
  shop('ginger-bruised', 'market', null),
  shop('ginger-grated', 'market', null),
  shop('ginger-blended', 'market', null),
  shop('ginger-ground', 'spice', 50),
  shop('turmeric-grated', 'market', null, 'allYear', 'turmeric-ground'),
  shop('turmeric-ground', 'spice', 50),
  shop('clove-whole', 'spice', 25),
  shop('clove-crushed', 'spice', 25),
  shop('allspice-whole', 'spice', 30),
  shop('peppercorn-whole', 'spice', 50),
  shop('grains-of-paradise', 'spice', 25),
  shop('grains-of-selim', 'spice', 25),
  shop('cinnamon-stick', 'spice', 20),
  shop('cinnamon-ground', 'spice', 35),
  shop('bay-type-leaf', 'spice', 10),
  shop('star-anise', 'spice', 20),
  shop('cardamom-cracked', 'spice', 20),
  shop('coriander-seed', 'spice', 40),
  shop('cayenne-ground', 'spice', 35),
  shop('chilli-dried', 'spice', 25),
  shop('garlic-clove', 'market', null),
  shop('lemongrass', 'market', null),
  shop('mint-leaf', 'market', 30, { from: 4, to: 10 }),
  shop('basil-leaf', 'market', 30, { from: 5, to: 9 }),
  shop('thyme-fresh', 'market', 20),
  shop('rooibos', 'dry', 100),
  shop('pineapple-peel', 'market', null),
  shop('pineapple-core', 'market', null),
  shop('pineapple-flesh', 'market', null),
  shop('orange-peel', 'market', null, { from: 11, to: 4 }),
  shop('orange-whole', 'market', null, { from: 11, to: 4 }),
  shop('lemon-whole', 'market', null),
  shop('lime-whole', 'market', null),
  shop('grapefruit-whole', 'market', null, { from: 11, to: 4 }),
  shop('watermelon-flesh', 'market', null, { from: 6, to: 9 }),
  shop('watermelon-rind', 'market', null, { from: 6, to: 9 }),
  shop('apple-whole', 'market', null, { from: 8, to: 3 }),
  shop('cranberry-fresh', 'market', 300, { from: 10, to: 12 }),
  shop('beetroot', 'market', null),
  shop('cucumber', 'market', null),
  shop('tamarind-pulp', 'dry', 400),
  shop('coconut-flesh', 'market', null),
  shop('date-pitted', 'dry', 250),
  shop('date-medjool', 'dry', 250),
  shop('rice-white', 'dry', 1000),
  shop('salt', 'store', 500),
  shop('lemon-juice', 'market', null),
  shop('lime-juice', 'market', null),
  shop('orange-juice', 'market', null),
  shop('grapefruit-juice', 'market', null),
  shop('pineapple-juice', 'store', 1000),
  shop('watermelon-juice', 'market', null),
  shop('apple-juice', 'store', 1000),
  shop('cranberry-juice', 'store', 1000),
  shop('cider-vinegar', 'store', 500),
  shop('rice-vinegar', 'store', 500),
  shop('coconut-milk-fresh', 'market', null),
  shop('port-style-wine', 'store', 750),
  shop('spirit-40', 'store', 700),
  shop('spirit-63', 'store', 700),
  shop('ginger-beer', 'store', 330),
  shop('sugar-white', 'store', 1000),
  shop('sugar-brown', 'store', 500),
  shop('sugar-cane-raw', 'store', 1000),
  shop('jaggery', 'dry', 500),
  shop('coconut-sugar', 'store', 250),
  shop('honey', 'store', 500),
  shop('maple-syrup', 'store', 250),
  shop('agave-syrup', 'store', 250),
  shop('date-syrup', 'store', 350),
  shop('date-paste', 'dry', 400),
  shop('golden-syrup', 'store', 450),
  shop('molasses', 'store', 450),
  shop('erythritol', 'store', 500),
  shop('stevia-pure', 'store', 50),
];
