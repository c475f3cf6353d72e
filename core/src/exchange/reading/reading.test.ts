import fc from 'fast-check';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { recipeSchema } from '../../documents/recipe.ts';
import { measuringKit } from '../../program/model/kitchen.ts';
import { KITCHEN, TABLES } from '../../testKitchen.ts';
import { CORPUS } from '../corpus/index.ts';
import { scoreOf, type Verdict } from '../corpus/score.ts';
import { HELD_OUT, PASTED, type Pasted } from '../pasted.fixtures.ts';
import { UNREAD } from '../unread.fixtures.ts';
import { litresOf } from './gives.ts';
import { mended, NO_FIXES } from './mend.ts';
import { quantityAt } from './quantities/quantities.ts';
import { LONGEST_TEXT, readText } from './read.ts';
import { tokensOf } from './tokens.ts';
import { recipeOfRead } from './toRecipe.ts';

const METRIC = { ...measuringKit(KITCHEN), system: 'metric' as const };
const read = (text: string, system: 'metric' | 'us' = 'metric') =>
  readText(text, TABLES, { ...METRIC, system });
const lineOf = (text: string) => read(`Ingredients\n${text}`).drinks[0]!.lines[0]!;

describe('the corpus', () => {
  const scored = CORPUS.map((text) => ({
    text,
    verdicts: scoreOf(
      text,
      readText(text.text, TABLES, { system: text.system, measures: [], cupWeights: [] }),
      TABLES,
    ),
  }));
  const share = (verdicts: readonly Verdict[], ...outcomes: string[]) =>
    verdicts.filter((x) => outcomes.includes(x.outcome)).length / verdicts.length;
  it.each([
    ['clean', false, 0.9, 0.03],
    ['messy', true, 0.85, 0.05],
  ] as const)(
    '%s texts: right, and little that is wrong or lost without a word',
    (_, messy, right, silent) => {
      const verdicts = scored.filter((s) => s.text.messy === messy).flatMap((s) => s.verdicts);
      expect(share(verdicts, 'right')).toBeGreaterThanOrEqual(right);
      expect(share(verdicts, 'wrong', 'lost')).toBeLessThanOrEqual(silent);
    },
  );
  it('what is expected to be lost is shown as not understood', () => {
    for (const { text } of scored)
      for (const words of text.lost ?? []) {
        const at = text.text.indexOf(words);
        const { spans } = readText(text.text, TABLES, METRIC);
        expect(
          spans.some((s) => s.mark === 'notUnderstood' && s.start < at + words.length && s.end > at),
          words,
        ).toBe(true);
      }
  });
  it('every text becomes a recipe that its schema takes, and most of them give litres at once', () => {
    let gives = 0;
    let all = 0;
    for (const text of CORPUS)
      for (const drink of read(text.text, text.system).drinks) {
        const { recipe } = recipeOfRead(drink, { id: 'x', name: drink.title?.words ?? 'x' }, TABLES);
        const parsed = v.safeParse(recipeSchema, JSON.parse(JSON.stringify(recipe)));
        expect(parsed.success, `${text.id} ${JSON.stringify(parsed.issues?.map((i) => i.message))}`).toBe(
          true,
        );
        all++;
        if (litresOf(recipe, TABLES) !== null) gives++;
      }
    expect(gives / all).toBeGreaterThan(0.85);
  });
});

/** Right: the item, and its grams within 6 %; the kind of step, and its minutes. */
function missesOf(pasted: Pasted): { missed: string[]; of: number } {
  const drink = read(pasted.text, pasted.system).drinks[0]!;
  const missed: string[] = [];
  for (const [itemId, massG] of pasted.lines) {
    const found = drink.lines.filter((l) => l.itemId === itemId);
    const grams = found.reduce((sum, l) => sum + (l.massG?.likely ?? 0), 0);
    if (!found.length || (massG !== null && Math.abs(grams / massG - 1) >= 0.06))
      missed.push(`${itemId} ${massG}: ${grams}`);
  }
  const classOf = (kind: string) =>
    ['combine', 'mix', 'sweeten'].includes(kind) ? 'put' : ['soak', 'steep'].includes(kind) ? 'stand' : kind;
  let at = 0;
  for (const [kind, minutes] of pasted.steps) {
    const index = drink.steps.findIndex(
      (s, i) =>
        i >= at &&
        classOf(s.kind) === classOf(kind) &&
        (minutes === null ||
          (s.minutes !== null &&
            Math.abs((s.minutes.value + (s.minutes.max ?? s.minutes.value)) / 2 - minutes) < 0.01)),
    );
    if (index < 0) missed.push(`${kind} ${minutes}`);
    else at = classOf(kind) === 'put' ? index : index + 1;
  }
  return { missed, of: pasted.lines.length + pasted.steps.length };
}

describe('recipes as people write them', () => {
  it.each([...PASTED, ...HELD_OUT, ...UNREAD].map((p) => [p.title, p] as const))('%s', (_, pasted) => {
    const { missed, of } = missesOf(pasted);
    expect(missed.length / of, missed.join('; ')).toBeLessThanOrEqual(0.1);
  });
});

describe('quantities', () => {
  const quantity = (text: string) => quantityAt(tokensOf(text), 0);
  it.each([
    ['1 1/2 cups', 1.5, undefined, 'metricCup'],
    ['½ lb', 0.5, undefined, 'pound'],
    ['2-3 tablespoons', 2, 3, 'metricTablespoon'],
    ['2 to 3 tbsp', 2, 3, 'metricTablespoon'],
    ['two litres', 2, undefined, 'L'],
    ['0,5 l', 0.5, undefined, 'L'],
    ['1.000 ml', 1000, undefined, 'mL'],
    ['2.125 l', 2.125, undefined, 'L'],
    ['1.234,5 g', 1234.5, undefined, 'g'],
    ['two hundred and fifty grams', 250, undefined, 'g'],
    ['a kilo and a half', 1.5, undefined, 'kg'],
    ['half a litre', 0.5, undefined, 'L'],
    ['two thirds of a cup', 2 / 3, undefined, 'metricCup'],
    ['a quarter pound', 0.25, undefined, 'pound'],
    ['three quarters of a cup', 0.75, undefined, 'metricCup'],
    ['two and a half dozen limes', 30, undefined, undefined],
    ['half a dozen limes', 6, undefined, undefined],
    ['a few slices', 3, 5, 'slice'],
    ['3 thumbs', 3, undefined, 'thumb'],
    ['one point eight litres', 1.8, undefined, 'L'],
  ] as [string, number, number | undefined, string | undefined][])('%s', (text, value, max, unit) => {
    const q = quantity(text)!;
    expect(q.measured).toBe('amount');
    expect(q.value).toBeCloseTo(value, 9);
    expect(q.max).toBe(max);
    expect(q.measure?.id).toBe(unit);
  });
  it.each([
    ['for three quarters of an hour', 1, 45, undefined],
    ['a quarter of an hour', 0, 15, undefined],
    ['half an hour', 0, 30, undefined],
    ['an hour and a half', 0, 90, undefined],
    ['two and a half hours', 0, 150, undefined],
    ['1 hour 20 minutes', 0, 80, undefined],
    ['1 hr and 15 min', 0, 75, undefined],
    ['twenty-four hours', 0, 1440, undefined],
    ['90 seconds', 0, 1.5, undefined],
    ['20 to 30 minutes', 0, 20, 30],
    ['10 hours or 12', 0, 600, 720],
    ['6 hours or overnight', 0, 360, 480],
    ['3-5 days', 0, 4320, 7200],
  ] as [string, number, number, number | undefined][])('%s', (text, at, minutes, max) => {
    const q = quantityAt(tokensOf(text), at)!;
    expect(q.measured).toBe('time');
    expect(q.value).toBeCloseTo(minutes, 9);
    expect(q.max).toBe(max);
  });
  it('degrees, of either kind', () => {
    expect(quantity('85 °C')).toMatchObject({ measured: 'temp', value: 85 });
    expect(quantity('85C')).toMatchObject({ measured: 'temp', value: 85 });
    // (212 − 32) × 5/9
    expect(quantity('212°F')).toMatchObject({ measured: 'temp', value: 100 });
  });
});

describe('amounts as people say them', () => {
  // By hand from the densities and pieces of the tables: water 0.9982 g/mL, calyx 0.15 g/mL, a clove 0.08 g.
  it.each([
    ['two 300 g bags of dried hibiscus', 'hibiscus-dried', 600],
    ['1 big bag (500 g) dried hibiscus', 'hibiscus-dried', 500],
    ['2 × 250 g dried hibiscus', 'hibiscus-dried', 500],
    ['44 oz water', 'water', 44 * 29.5735 * 0.9982],
    ['3 quarts plus 2 cups water', 'water', (3 * 1136.52 + 2 * 250) * 0.9982],
    ['2 heaped tbsp dried hibiscus', 'hibiscus-dried', 2 * 15 * 0.15 * 1.5],
    ['twelve whole cloves', 'clove-whole', 12 * 0.08],
    ['three cloves of garlic', 'garlic-clove', null],
    ['2 cups orange blossom honey', 'honey', null],
    ['4 cinnamon leaves', 'bay-type-leaf', null],
    ['300 g tumeric, fresh', 'turmeric-grated', 300],
    ['2 star anis', 'star-anise', null],
    ['1.5 l cloudy apple juice', 'apple-juice', null],
  ] as [string, string, number | null][])('%s', (text, itemId, massG) => {
    const line = lineOf(text);
    expect(line.itemId).toBe(itemId);
    if (massG !== null) expect(line.massG!.likely / massG).toBeCloseTo(1, 1);
  });
  it('a handful is open by half, a weighed cup hardly', () => {
    const handful = lineOf('1 handful of mint').massG!;
    expect(handful.max / handful.min).toBeGreaterThan(2);
    const weighed = readText('Ingredients\n1 cup dried hibiscus', TABLES, {
      ...METRIC,
      cupWeights: [{ ingredientId: 'hibiscus-dried', measureId: 'metricCup', massG: 41 }],
    }).drinks[0]!.lines[0]!.massG!;
    expect(weighed.likely).toBe(41);
    expect(weighed.max / weighed.min).toBeLessThan(1.15);
  });
  it('both of two parts; the peel of a fruit no table has is asked about', () => {
    const [peel, flesh] = read('Ingredients\n1 pineapple, peel and flesh').drinks[0]!.lines;
    expect([peel!.itemId, flesh!.itemId]).toEqual(['pineapple-peel', 'pineapple-flesh']);
    expect(lineOf('zest of 2 lemons')).toMatchObject({
      itemId: null,
      name: 'lemon peel',
      doubts: ['unknownThing'],
    });
  });
  it('what nobody knows is kept with its words, and never sure', () => {
    expect(lineOf('2 cups moon berries')).toMatchObject({ itemId: null, name: 'moon berries' });
    expect(lineOf('2 cups moon berries').doubts).toContain('unknownThing');
  });
});

describe('named again', () => {
  const LIST = 'Red drink\n\n200 g dried hibiscus\n300 g honey\n3 litres water\n6 oranges\n\n';
  const grams = (text: string, itemId: string) =>
    read(text)
      .drinks[0]!.lines.filter((l) => l.itemId === itemId)
      .reduce((sum, l) => sum + (l.massG?.likely ?? 0), 0);
  it('is the same thing, and no more of it', () => {
    const text = `${LIST}Boil the 200 g hibiscus in 3 litres of water with 4 of the oranges for 20 minutes. Stir in 150 g of honey.`;
    expect(grams(text, 'hibiscus-dried')).toBe(200);
    expect(grams(text, 'honey')).toBe(300);
    expect(grams(text, 'water')).toBeCloseTo(3 * 998.2, 0);
    expect(read(text).drinks[0]!.lines.filter((l) => l.familyId === 'orange')).toHaveLength(1);
  });
  it('unless more of it is meant', () => {
    expect(
      grams(`${LIST}Boil for 20 minutes. Stir in the honey, then another 100 g of honey.`, 'honey'),
    ).toBe(400);
  });
  it('larger than the list has it, it is asked about', () => {
    const line = read(`${LIST}Boil for 20 minutes. Stir in 500 g of honey.`).drinks[0]!.lines.find(
      (l) => l.itemId === 'honey',
    )!;
    expect(line.doubts).toContain('differs');
  });
});

describe('what is not to be done', () => {
  const kinds = (text: string) =>
    read(`Red\n\n100 g dried hibiscus\n2 l water\n\n${text}`).drinks[0]!.steps.map((s) => s.kind);
  it('is no step', () => {
    expect(kinds('Soak the hibiscus in the water overnight. Do not boil it. Do not rinse. Strain.')).toEqual(
      ['soak', 'strain', 'bottle'].slice(0, 2),
    );
  });
  it('and what is cooked in other words is', () => {
    expect(kinds('Put all in a pot. Lower the heat and cook for 30 minutes. Strain.')).toContain('boil');
    expect(kinds('Put all in a pot. Heat it through. Strain.')).toContain('heat');
  });
});

describe('laws of the reading', () => {
  it('any text is read without a throw, its spans in order and over each other nowhere', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400, unit: 'grapheme' }), (text) => {
        const { drinks, spans } = read(text);
        let last = 0;
        for (const s of spans) {
          expect(s.start).toBeGreaterThanOrEqual(last);
          expect(s.end).toBeGreaterThan(s.start);
          last = s.end;
        }
        for (const d of drinks) recipeOfRead(d, { id: 'x', name: 'x' }, TABLES);
      }),
      { numRuns: 150 },
    );
  });
  const PIECES = [
    '2 cups',
    'dried hibiscus',
    'boil',
    '10 minutes',
    'the sugar',
    ',',
    '.',
    '\n',
    'and',
    'strain',
    'half',
    'of',
    '(',
    ')',
    'until',
    'not',
    'water',
    'juice',
    '3',
    '-',
    'lid on',
    'ginger',
    'put in',
    'overnight',
    '?',
    ':',
  ];
  it('nor does a time that leads to nothing', () => {
    const { spans } = read('. 10 minutes :');
    expect(spans.some((s) => s.start <= 2 && s.end >= 12)).toBe(true);
  });
  it('nor do words of recipes in any order make it fall, and no figure is lost without a mark', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...PIECES), { maxLength: 60 }), (pieces) => {
        const text = pieces.join(' ');
        const { drinks, spans } = read(text);
        for (const d of drinks) recipeOfRead(d, { id: 'x', name: 'x' }, TABLES);
        for (const m of text.matchAll(/\b(?:2 cups|10 minutes)\b/g))
          expect(
            spans.some((s) => s.start <= m.index && s.end > m.index),
            text,
          ).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
  it('a text of fifty thousand signs and more is read up to there', () => {
    const text = `${'1 cup sugar, '.repeat(8000)}`;
    expect(text.length).toBeGreaterThan(LONGEST_TEXT);
    const { spans } = read(text);
    expect(Math.max(...spans.map((s) => s.end))).toBeLessThanOrEqual(LONGEST_TEXT);
  });
});

describe('set right by hand', () => {
  const drink = read('Red\n\n2 cups dried hibiscus\n1 handful mint\n2 l water\n\nBoil. Strain.').drinks[0]!;
  it('a line is another thing, weighed anew; or has other grams; or is left out', () => {
    const [calyx, mint] = drink.lines;
    const fixed = mended(
      drink,
      {
        ...NO_FIXES,
        lines: { [calyx!.id]: { itemId: 'hibiscus-siftings' }, [mint!.id]: { massG: 33 } },
      },
      TABLES,
      METRIC,
    );
    // Two cups of 250 mL at 0.22 g/mL.
    expect(fixed.lines[0]!.massG!.likely).toBeCloseTo(110, 6);
    expect(fixed.lines[1]!.massG).toEqual({ likely: 33, min: 33, max: 33 });
    expect(fixed.lines[1]!.doubts).toEqual([]);
    const left = mended(drink, { ...NO_FIXES, lines: { [mint!.id]: { left: true } } }, TABLES, METRIC);
    expect(left.lines.map((l) => l.itemId)).toEqual(['hibiscus-dried', 'water']);
  });
});
