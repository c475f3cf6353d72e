import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { recipeSchema } from '../documents/recipe.ts';
import { TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { type CaptureEntry, captureToRecipe } from './capture.ts';
import { seenTwice } from './seenTwice.ts';

const MINUTE = 60_000;
const put = (atMin: number, itemId: string, massG: number): CaptureEntry => ({
  kind: 'weighed',
  atMs: atMin * MINUTE,
  itemId,
  beforeG: massG,
  afterG: 0,
});
const did = (atMin: number, deed: 'heat' | 'boil' | 'strain'): CaptureEntry => ({
  kind: 'deed',
  atMs: atMin * MINUTE,
  deed,
});
/** Somebody cooks, boils so many minutes, and so many litres come out. */
const seen = (things: readonly [string, number][], boilMin: number, litres: number) =>
  unwrap(
    captureToRecipe(
      [
        ...things.map(([id, g], i) => put(i, id, g)),
        did(10, 'heat'),
        did(40, 'boil'),
        did(40 + boilMin, 'strain'),
        put(60 + boilMin, 'sugar-white', 100 * litres),
        { kind: 'made', atMs: (70 + boilMin) * MINUTE, litres },
      ],
      { id: 'hers', name: 'Hers' },
      TABLES,
    ),
  );
const grams = (recipe: { lines: readonly { itemId: string; massG: number }[] }, id: string) =>
  recipe.lines.find((l) => l.itemId === id)!.massG;

describe('a drink that was seen twice', () => {
  const first = seen(
    [
      ['hibiscus-dried', 100],
      ['ginger-sliced', 60],
      ['water', 4000],
    ],
    10,
    3,
  );
  // Twice the litres; for the same litres four fifths more hibiscus, the same ginger, and a clove.
  const second = seen(
    [
      ['hibiscus-dried', 360],
      ['ginger-sliced', 120],
      ['clove-whole', 4],
      ['water', 8000],
    ],
    20,
    6,
  );
  const { recipe, onlyOnce } = seenTwice(first, second);
  const line = (id: string) => recipe.lines.find((l) => l.itemId === id)!;

  it('has the middle by ratio for the litres of the first, with what was seen as its ends', () => {
    expect(recipe.basisL).toBe(3);
    // By hand: the root of 100 × 180 is 134.16.
    expect(line('hibiscus-dried').massG).toBeCloseTo(134.16, 1);
    expect(line('hibiscus-dried').massG * line('hibiscus-dried').open!.low).toBeCloseTo(100, 6);
    expect(line('hibiscus-dried').massG * line('hibiscus-dried').open!.high).toBeCloseTo(180, 6);
    expect(line('ginger-sliced')).toMatchObject({ massG: 60 });
    expect(line('ginger-sliced').open).toBeUndefined();
    expect(grams(recipe, 'water')).toBeCloseTo(4000, 6);
    expect(recipe.steps!.find((s) => s.kind === 'boil')!.minutes).toBe(15);
    expect(v.safeParse(recipeSchema, recipe).success).toBe(true);
  });

  it('keeps what was seen once as it was, in a step of its own kind, and says so', () => {
    expect(onlyOnce).toEqual(['clove-whole']);
    expect(line('clove-whole').massG).toBeCloseTo(2, 6);
    const combine = recipe.steps!.find((s) => s.kind === 'combine')!;
    expect(combine.lineIds).toContain(line('clove-whole').id);
    expect(new Set(recipe.lines.map((l) => l.id)).size).toBe(recipe.lines.length);
  });

  it('is the same whichever was seen first, but for the litres', () => {
    const { recipe: other } = seenTwice(second, first);
    for (const id of ['hibiscus-dried', 'ginger-sliced', 'clove-whole', 'water', 'sugar-white'])
      expect(grams(other, id), id).toBeCloseTo(2 * grams(recipe, id), 6);
  });

  it('of two that are the same it is that', () => {
    const twice = seenTwice(first, first);
    expect(twice.onlyOnce).toEqual([]);
    expect(twice.recipe).toEqual(first);
  });
});
