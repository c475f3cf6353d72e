import type { Confidence } from '../types.ts';

/** A word by which amounts are measured. */
export interface MeasureWord {
  /** A unit id, or a word for a piece or a vessel. */
  id: string;
  /** The unit in kitchens of US measures, where it is another. */
  usId?: string;
  /** And in those of imperial measures. */
  imperialId?: string;
  words: readonly string[];
  /** Stands for a measure only right after a figure: "3 c", "2 t". */
  afterFigure?: true;
  /** A share by which the amount may be off either way, besides what the table says of the thing. */
  spread: number;
  /** Grams that it stands for where the thing itself has no piece of that name. */
  massG?: number;
  /** Millilitres of a vessel that everybody has in another size. */
  volumeMl?: number;
  /** Grams for certain families of things. */
  familyG?: Readonly<Record<string, number>>;
  confidence: Confidence;
  source: string;
}

const UNIT = 'By definition of the unit';
const SPOON = 'Level spoons of kitchen sets; a hand that does not level is off by a sixth';
const HAND = 'Weighed by hand several times over; hands and bunches differ by half';

// biome-ignore format: a table reads by rows
export const MEASURE_WORDS: readonly MeasureWord[] = [
  { id: 'g', words: ['g', 'gr', 'gm', 'gms', 'gram', 'grams', 'gramme', 'grammes'], spread: 0.02, confidence: 'h', source: UNIT },
  { id: 'kg', words: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms', 'kilogramme', 'kilogrammes'], spread: 0.02, confidence: 'h', source: UNIT },
  { id: 'mL', words: ['ml', 'mls', 'millilitre', 'millilitres', 'milliliter', 'milliliters'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'cL', words: ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'dL', words: ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'L', words: ['l', 'lt', 'ltr', 'ltrs', 'lts', 'litre', 'litres', 'liter', 'liters'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'ounce', words: ['oz', 'ozs', 'ounce', 'ounces'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'pound', words: ['lb', 'lbs', 'pound', 'pounds'], spread: 0.02, confidence: 'h', source: UNIT },
  { id: 'usFluidOunce', imperialId: 'imperialFluidOunce', words: ['fl oz', 'fl ozs', 'floz', 'fluid ounce', 'fluid ounces'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'metricTablespoon', usId: 'usTablespoon', words: ['tbsp', 'tbsps', 'tbs', 'tbl', 'tblsp', 'tablespoon', 'tablespoons', 'tablespoonful', 'tablespoonfuls', 'table spoon', 'table spoons', 'big spoon', 'big spoons', 'soup spoon', 'soup spoons', 'soupspoon', 'soupspoons'], spread: 0.15, confidence: 'm', source: SPOON },
  { id: 'metricTeaspoon', usId: 'usTeaspoon', words: ['tsp', 'tsps', 'teaspoon', 'teaspoons', 'teaspoonful', 'teaspoonfuls', 'tea spoon', 'tea spoons', 'small spoon', 'small spoons', 'little spoon', 'little spoons', 'coffee spoon', 'coffee spoons'], spread: 0.15, confidence: 'm', source: SPOON },
  { id: 'metricTablespoon', usId: 'usTablespoon', words: ['spoon', 'spoons', 'spoonful', 'spoonfuls'], spread: 0.6, confidence: 'l', source: 'A spoon that nobody names is a tablespoon more often than not' },
  { id: 'metricCup', usId: 'usCup', imperialId: 'imperialCup', words: ['cup', 'cups', 'cupful', 'cupfuls'], spread: 0.1, confidence: 'm', source: 'Cups of kitchen sets' },
  { id: 'usCup', words: ['us cup', 'us cups'], spread: 0.1, confidence: 'm', source: 'Cups of kitchen sets' },
  { id: 'usTablespoon', words: ['us tablespoon', 'us tablespoons', 'us tbsp'], spread: 0.15, confidence: 'm', source: SPOON },
  { id: 'usTeaspoon', words: ['us teaspoon', 'us teaspoons', 'us tsp'], spread: 0.15, confidence: 'm', source: SPOON },
  { id: 'metricCup', usId: 'usCup', imperialId: 'imperialCup', words: ['c'], afterFigure: true, spread: 0.1, confidence: 'm', source: 'Cups of kitchen sets' },
  { id: 'mug', words: ['mug', 'mugs', 'mugful', 'mugfuls'], volumeMl: 300, spread: 0.25, confidence: 'l', source: 'Mugs hold 250 to 380 mL' },
  { id: 'glassful', words: ['glass', 'glasses', 'tumbler', 'tumblers', 'glassful'], volumeMl: 220, spread: 0.25, confidence: 'l', source: 'Drinking glasses hold 180 to 300 mL' },
  { id: 'imperialPint', usId: 'usPint', words: ['pint', 'pints', 'pt', 'pts'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'imperialQuart', usId: 'usQuart', words: ['quart', 'quarts', 'qt', 'qts'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'imperialGallon', usId: 'usGallon', words: ['gallon', 'gallons', 'gal', 'gals'], spread: 0.03, confidence: 'h', source: UNIT },
  { id: 'handful', words: ['handful', 'handfuls', 'fistful', 'fistfuls'], massG: 25, familyG: { mint: 15, basil: 15, thyme: 10, hibiscus: 20, sugar: 60, rice: 50 }, spread: 0.5, confidence: 'l', source: HAND },
  { id: 'pinch', words: ['pinch', 'pinches'], massG: 0.4, spread: 0.5, confidence: 'l', source: HAND },
  { id: 'dash', words: ['dash', 'dashes', 'splash', 'splashes'], volumeMl: 3, spread: 0.6, confidence: 'l', source: HAND },
  { id: 'bunch', words: ['bunch', 'bunches'], massG: 40, spread: 0.5, confidence: 'l', source: HAND },
  { id: 'knob', words: ['knob', 'knobs'], massG: 30, spread: 0.5, confidence: 'l', source: HAND },
  { id: 'hand', words: ['hand', 'hands', 'root', 'roots', 'rhizome', 'rhizomes'], familyG: { ginger: 180, turmeric: 80 }, spread: 0.4, confidence: 'l', source: HAND },
  { id: 'inch', words: ['inch', 'inches', '"', '″', '”'], massG: 15, spread: 0.4, confidence: 'l', source: 'An inch of a root as thick as a thumb weighs 10 to 20 g' },
  { id: 'cm', words: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], massG: 6, spread: 0.4, confidence: 'l', source: 'An inch of root, by 2.54' },
  { id: 'thumb', words: ['thumb', 'thumbs', 'thumb-sized piece', 'thumb sized piece'], familyG: { ginger: 30, turmeric: 15 }, spread: 0.35, confidence: 'l', source: HAND },
  { id: 'finger', words: ['finger', 'fingers'], familyG: { turmeric: 12, ginger: 20 }, spread: 0.35, confidence: 'l', source: HAND },
  { id: 'slice', words: ['slice', 'slices', 'round', 'rounds', 'wedge', 'wedges', 'coin', 'coins'], massG: 15, familyG: { ginger: 4, turmeric: 2, orange: 18, lemon: 10, lime: 8, apple: 18, cucumber: 6, pineapple: 60, beetroot: 15 }, spread: 0.4, confidence: 'l', source: HAND },
  { id: 'strip', words: ['strip', 'strips'], massG: 2, spread: 0.4, confidence: 'l', source: HAND },
  { id: 'stick', words: ['stick', 'sticks', 'quill', 'quills', 'branch', 'branches'], spread: 0.3, confidence: 'm', source: HAND },
  { id: 'stalk', words: ['stalk', 'stalks', 'stem', 'stems', 'blade', 'blades'], spread: 0.3, confidence: 'm', source: HAND },
  { id: 'sprig', words: ['sprig', 'sprigs', 'twig', 'twigs'], massG: 1, familyG: { mint: 2, basil: 2 }, spread: 0.4, confidence: 'l', source: HAND },
  { id: 'leaf', words: ['leaf', 'leaves'], spread: 0.3, confidence: 'm', source: HAND },
  { id: 'pod', words: ['pod', 'pods'], spread: 0.3, confidence: 'm', source: HAND },
  { id: 'seed', words: ['grain', 'grains', 'corns'], spread: 0.3, confidence: 'm', source: HAND },
  { id: 'star', words: ['star', 'stars'], spread: 0.3, confidence: 'm', source: HAND },
  { id: 'head', words: ['head', 'heads', 'bulb', 'bulbs'], familyG: { garlic: 45 }, spread: 0.35, confidence: 'l', source: HAND },
  { id: 'clove', words: ['clove', 'cloves'], spread: 0.3, confidence: 'm', source: HAND },
  { id: 'piece', words: ['piece', 'pieces', 'pc', 'pcs', 'chunk', 'chunks'], spread: 0.4, confidence: 'l', source: HAND },
  { id: 'pack', words: ['packet', 'packets', 'pack', 'packs', 'package', 'packages', 'bag', 'bags', 'tin', 'tins', 'can', 'cans', 'box', 'boxes', 'carton', 'cartons', 'sachet', 'sachets', 'block', 'blocks', 'slab', 'slabs', 'jarful', 'tub', 'tubs'], spread: 0.5, confidence: 'l', source: 'A pack is as large as its maker likes' },
  { id: 'bottleful', words: ['bottle', 'bottles', 'jar', 'jars', 'jug', 'jugs', 'pitcher', 'pitchers'], spread: 0.4, confidence: 'l', source: 'A bottle is as large as its maker likes' },
  { id: 'teabag', words: ['teabag', 'teabags', 'tea bag', 'tea bags'], massG: 2, spread: 0.25, confidence: 'm', source: 'Tea bags hold 1.5 to 2.5 g' },
];

/** How full a measure is: what it holds against a level one. */
export const FILLS: Readonly<Record<string, { share: number; spread: number; words: readonly string[] }>> = {
  heaped: {
    share: 1.5,
    spread: 0.25,
    words: ['heaped', 'heaping', 'heap', 'rounded', 'generous', 'piled'],
  },
  packed: { share: 1, spread: 0.1, words: ['packed', 'pressed', 'tight'] },
  scant: { share: 0.9, spread: 0.1, words: ['scant', 'scanty', 'shy'] },
  level: { share: 1, spread: 0, words: ['level', 'flat'] },
  loose: { share: 0.8, spread: 0.2, words: ['loose', 'loosely'] },
  big: {
    share: 1.35,
    spread: 0.3,
    words: ['big', 'large', 'good', 'fat', 'nice', 'huge', 'generous-sized'],
  },
  small: { share: 0.7, spread: 0.3, words: ['small', 'little', 'tiny'] },
  medium: { share: 1, spread: 0.1, words: ['medium', 'average', 'normal', 'regular'] },
};

/** Packed tight, a dry thing that is measured loosely weighs so much more. */
export const PACKED_SHARE = 1.3;

/** Short forms that a stop may follow in the middle of a sentence. */
export const ABBREVIATIONS: ReadonlySet<string> = new Set(
  'c t tbsp tsp tbs oz lb lbs qt qts pt pts gal approx ca w g gr kg ml l lt pc pcs no dr fl ltr incl'.split(
    ' ',
  ),
);
