import type { UnitSystem } from '../units/units.ts';

/** An amount in a text: "2-3 tablespoons". */
export interface Amount {
  value: number;
  max?: number;
  /** A unit id, a word for a piece ("stick", "thumb"), or null: so many of the thing itself. */
  unit: string | null;
  /** A measure nobody can weigh: "a handful". */
  vague: boolean;
  /** Where in the text it stands. */
  start: number;
  end: number;
}

const FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const WORD_NUMBERS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  dozen: 12,
  half: 0.5,
  couple: 2,
};

const UNITS: readonly { words: readonly string[]; metric: string; us: string; vague?: boolean }[] = [
  {
    words: ['tablespoons', 'tablespoon', 'tbsps', 'tbsp', 'tbs'],
    metric: 'metricTablespoon',
    us: 'usTablespoon',
  },
  { words: ['teaspoons', 'teaspoon', 'tsps', 'tsp'], metric: 'metricTeaspoon', us: 'usTeaspoon' },
  { words: ['cups', 'cup'], metric: 'metricCup', us: 'usCup' },
  { words: ['kilograms', 'kilogram', 'kilos', 'kilo', 'kg'], metric: 'kg', us: 'kg' },
  { words: ['grams', 'gram', 'gr', 'g'], metric: 'g', us: 'g' },
  { words: ['millilitres', 'milliliters', 'ml'], metric: 'mL', us: 'mL' },
  { words: ['litres', 'liters', 'litre', 'liter', 'ltr', 'l'], metric: 'L', us: 'L' },
  { words: ['fluid ounces', 'fluid ounce', 'fl oz'], metric: 'usFluidOunce', us: 'usFluidOunce' },
  { words: ['ounces', 'ounce', 'oz'], metric: 'ounce', us: 'ounce' },
  { words: ['pounds', 'pound', 'lbs', 'lb'], metric: 'pound', us: 'pound' },
  { words: ['pints', 'pint', 'pt'], metric: 'imperialPint', us: 'usPint' },
  { words: ['quarts', 'quart', 'qt'], metric: 'imperialQuart', us: 'usQuart' },
  { words: ['gallons', 'gallon', 'gal'], metric: 'imperialGallon', us: 'usGallon' },
  { words: ['handfuls', 'handful'], metric: 'handful', us: 'handful', vague: true },
  { words: ['pinches', 'pinch'], metric: 'pinch', us: 'pinch', vague: true },
  { words: ['bunches', 'bunch'], metric: 'bunch', us: 'bunch', vague: true },
  { words: ['knobs', 'knob', 'hands'], metric: 'knob', us: 'knob', vague: true },
  { words: ['inches', 'inch', 'cm'], metric: 'inch', us: 'inch', vague: true },
  {
    words: [
      'packets',
      'packet',
      'packs',
      'pack',
      'bags',
      'bag',
      'tins',
      'tin',
      'bottles',
      'bottle',
      'jars',
      'jar',
    ],
    metric: 'pack',
    us: 'pack',
    vague: true,
  },
  { words: ['thumbs', 'thumb'], metric: 'thumb', us: 'thumb' },
  { words: ['fingers', 'finger'], metric: 'finger', us: 'finger' },
  { words: ['sticks', 'stick'], metric: 'stick', us: 'stick' },
  { words: ['stalks', 'stalk'], metric: 'stalk', us: 'stalk' },
  { words: ['sprigs', 'sprig'], metric: 'sprig', us: 'sprig' },
  { words: ['leaves', 'leaf'], metric: 'leaf', us: 'leaf' },
  { words: ['pods', 'pod'], metric: 'pod', us: 'pod' },
  { words: ['pieces', 'piece'], metric: 'piece', us: 'piece' },
];

/** Grams or millilitres that a vague measure stands for, as far as anyone can say. */
export const VAGUE_G: Readonly<Record<string, number>> = {
  handful: 25,
  pinch: 0.4,
  bunch: 40,
  knob: 30,
  inch: 15,
};

const NUMBER = String.raw`(?:\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?)`;
const WORDS = Object.keys(WORD_NUMBERS).join('|');
const UNIT_WORDS = UNITS.flatMap((u) => u.words)
  .sort((a, b) => b.length - a.length)
  .map((w) => w.replace(' ', String.raw`\s+`))
  .join('|');
const PATTERN = new RegExp(
  String.raw`(?<![\w/.])(?:(?:about|around|roughly|another|some)\s+)?(?:(?<n1>${NUMBER})(?:\s*(?:-|to|or)\s*(?<n2>${NUMBER}))?|(?<word>${WORDS})(?:\s+(?:a|an|of))?)(?:[\s-]*(?:(?:heaped|level|packed|large|small|big|good)\s+)?(?<unit>${UNIT_WORDS})\b\.?)?(?![\w/])`,
  'gi',
);

const figureOf = (text: string): number => {
  const parts = text.trim().replace(',', '.').split(/\s+/);
  return parts.reduce((sum, part) => {
    const [top, bottom] = part.split('/').map(Number);
    return sum + (bottom ? top! / bottom : (top ?? 0));
  }, 0);
};

const wordOrFigure = (t: string): number => WORD_NUMBERS[t.toLowerCase()] ?? figureOf(t);

/** Fractions in words become figures: "three quarters of an hour" is 3/4 hour, "a litre and a half" 1 1/2 litre. */
const FRACTION_WORDS: readonly [RegExp, (...groups: string[]) => string][] = [
  [/\bthree[ -]quarters of (?:an? )?/gi, () => '3/4 '],
  [/\b(?:an? |one )?quarter of (?:an? )/gi, () => '1/4 '],
  [/\bhalf an? /gi, () => '1/2 '],
  [
    new RegExp(String.raw`\b(\d+|${WORDS}) (\w+) and a (half|quarter)\b`, 'gi'),
    (n, unit, part) => `${wordOrFigure(n!)} ${partOf(part!)} ${unit}`,
  ],
  [
    new RegExp(String.raw`\b(\d+|${WORDS}) and a (half|quarter)\b`, 'gi'),
    (n, part) => `${wordOrFigure(n!)} ${partOf(part!)}`,
  ],
];
const partOf = (word: string): string => (word.toLowerCase() === 'half' ? '1/2' : '1/4');

const inFigures = (text: string): string =>
  FRACTION_WORDS.reduce(
    (said, [pattern, write]) => said.replace(pattern, (_, ...groups: string[]) => write(...groups)),
    text,
  );

/** Fractions, in signs or in words, as "1 1/2", dashes and spaces of one kind. */
export const plainFigures = (text: string): string =>
  inFigures(text)
    .replace(/(\d)?([½⅓⅔¼¾⅛⅜⅝⅞])/g, (_, whole: string | undefined, f: string) =>
      whole ? `${whole} ${FRACTIONS[f]}` : FRACTIONS[f]!,
    )
    .replace(/[‒–—]/g, '-')
    .replace(/[\u00a0\t|]/g, ' ')
    .replace(/(\d),(\d{3})\b/g, '$1$2');

/** All amounts of a text, in their order. Lengths of time and temperatures are none. */
export function amountsIn(text: string, system: UnitSystem): Amount[] {
  const found: Amount[] = [];
  for (const match of text.matchAll(PATTERN)) {
    const { n1, n2, word, unit } = match.groups ?? {};
    const after = text.slice((match.index ?? 0) + match[0].length);
    if (!unit && /^\s*(?:°|degrees|%|x\b|×|min|hour|hr|day|night|times|minute|second|week)/i.test(after))
      continue;
    const row = unit
      ? UNITS.find((u) => u.words.includes(unit.toLowerCase().replace(/\s+/g, ' ')))
      : undefined;
    const value = n1 !== undefined ? figureOf(n1) : (WORD_NUMBERS[(word ?? '').toLowerCase()] ?? 0);
    if (!(value > 0)) continue;
    found.push({
      value,
      ...(n2 !== undefined ? { max: figureOf(n2) } : {}),
      unit: row ? row[system] : null,
      vague: row?.vague ?? false,
      start: match.index ?? 0,
      end: (match.index ?? 0) + match[0].length,
    });
  }
  return found;
}

/** Minutes that a text in plain figures speaks of: "25 to 30 minutes", "overnight". */
export interface Length {
  minutes: number;
  max?: number;
  /** Said in a word rather than a figure. */
  vague: boolean;
}

const OVERNIGHT_MIN = 480;
const PER: Readonly<Record<string, number>> = { s: 1 / 60, m: 1, h: 60, d: 1440 };

const SPAN = String.raw`(?<n1>${NUMBER}|${WORDS})(?:\s*(?:-|to|or)\s*(?<n2>${NUMBER}|${WORDS}))?(?:\s+more)?\s*-?\s*(?<unit>minutes?|mins?|hours?|hrs?|h\b|days?|nights?|seconds?|secs?)\b`;
/** "1 hour 20 minutes": the second figure belongs to the first. */
const AND_MINUTES = new RegExp(
  String.raw`^\.?,?\s*(?:and\s+)?(?<n>${NUMBER}|${WORDS})\s*-?\s*(?:minutes?|mins?)\b`,
  'i',
);

export function lengthIn(text: string): Length | null {
  const match = new RegExp(SPAN, 'i').exec(text);
  if (!match) return /\bover\s?night\b/i.test(text) ? { minutes: OVERNIGHT_MIN, vague: true } : null;
  const { n1, n2, unit } = match.groups ?? {};
  const letter = unit![0]!.toLowerCase();
  const per = letter === 'n' ? OVERNIGHT_MIN : (PER[letter] ?? 1);
  const rest =
    letter === 'h' && n2 === undefined ? AND_MINUTES.exec(text.slice(match.index + match[0].length)) : null;
  return {
    minutes: wordOrFigure(n1!) * per + (rest ? wordOrFigure(rest.groups!.n!) : 0),
    ...(n2 !== undefined ? { max: wordOrFigure(n2) * per } : {}),
    vague: false,
  };
}
