import { BOOK, ownRows, withCustom } from '@big-ladle/core/book';
import { FAMILY_ROWS } from '@big-ladle/core/tables';
import { differenceEuclidean } from 'culori';
import { describe, expect, it } from 'vitest';
import { overviewOf } from '../../../../../core/src/compare/overview.ts';
import { KITCHEN, TABLES } from '../../../../../core/src/testKitchen.ts';
import { PLANTS, plantOf, plantsOf } from './plants.ts';

describe('plants', () => {
  it('every family of the book has a drawing of its own', () => {
    for (const { id } of FAMILY_ROWS) expect(PLANTS[id]?.length, id).toBeGreaterThan(0);
    const drawn = Object.values(PLANTS).map((strokes) => JSON.stringify(strokes));
    expect(new Set(drawn).size).toBe(drawn.length);
  });

  it('a drawing stays within its square, as far as its points say', () => {
    for (const [id, strokes] of Object.entries(PLANTS))
      for (const stroke of strokes) {
        if (typeof stroke !== 'string') continue;
        // Upper-case commands give places; arcs and what is relative do not.
        const places = stroke.replace(/[a-z][^A-Z]*/g, '').replace(/A[^A-Z]*/g, '');
        for (const number of places.match(/-?\d+(\.\d+)?/g) ?? []) {
          expect(Number(number), `${id}: ${stroke}`).toBeGreaterThanOrEqual(0);
          expect(Number(number), `${id}: ${stroke}`).toBeLessThanOrEqual(64);
        }
      }
  });

  it('whatever is in the tables is drawn', () => {
    for (const rows of [TABLES.ingredients, TABLES.liquids, TABLES.sweeteners])
      for (const id of rows.keys()) expect(PLANTS[plantOf(id, TABLES)], id).toBeDefined();
  });

  it('a thing of the cook’s own looks like what it is', () => {
    const row = { ...TABLES.ingredients.get('ginger-sliced')!, id: 'own-galangal' };
    const tables = withCustom(TABLES, { ...ownRows([]), ingredients: [row] });
    expect(plantOf('own-galangal', tables)).toBe('root');
  });

  it('a drink shows what grows, not its water nor what only sweetens', () => {
    const shown = BOOK.flatMap((recipe) => plantsOf(recipe.lines, TABLES));
    expect(shown).not.toContain('water');
    expect(shown).not.toContain('sugar');
  });
});

describe('the drinks of the book side by side', () => {
  const drawn = BOOK.map((recipe) => ({
    id: recipe.id,
    looks: overviewOf(recipe, KITCHEN, TABLES).inGlass!.looks,
    plants: plantsOf(recipe.lines, TABLES).slice(0, 4),
  }));
  /** Two colours are told apart where they lie side by side from about 0.02 on; so much more lets them stand apart. */
  const APART = 0.04;
  const distance = differenceEuclidean('oklab');

  it('are told apart without their names, by colour or plants', () => {
    for (const [i, a] of drawn.entries())
      for (const b of drawn.slice(i + 1)) {
        const samePlants = [...a.plants].sort().join() === [...b.plants].sort().join();
        if (samePlants)
          expect(distance(a.looks.glass, b.looks.glass), `${a.id}, ${b.id}`).toBeGreaterThan(APART);
      }
  });
});
