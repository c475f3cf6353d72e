import { describe, expect, it } from 'vitest';
import { METHOD_IDS } from '../documents/recipe.ts';

import { BOOK } from '../program/book/book.ts';
import { COLOUR_ROWS, TINT_ROWS } from './colours.ts';
import { BOIL_LEVELS, POT_MATERIALS } from './constants.ts';
import { GUIDANCE_ROWS } from './guidance/rows.ts';
import { SHIPPED_TABLES } from './index.ts';
import { INGREDIENT_ROWS } from './ingredients.ts';
import { BASE_ROWS } from './keeping.ts';
import { LIQUID_ROWS } from './liquids.ts';
import { PAIR_ROWS } from './pairs.ts';
import { SWEETENER_ROWS } from './sweeteners.ts';

describe('tables', () => {
  it('give every row a source, a confidence and an id of its own', () => {
    for (const rows of [INGREDIENT_ROWS, LIQUID_ROWS, SWEETENER_ROWS]) {
      expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
      for (const row of rows) {
        expect(row.source.length, row.id).toBeGreaterThan(10);
        expect(['h', 'm', 'l'], row.id).toContain(row.confidence);
      }
    }
    for (const row of [
      ...COLOUR_ROWS,
      ...TINT_ROWS,
      ...Object.values(BOIL_LEVELS),
      ...Object.values(POT_MATERIALS),
      ...Object.values(BASE_ROWS),
    ]) {
      expect(row.source.length).toBeGreaterThan(5);
    }
    expect(new Set(GUIDANCE_ROWS.map((r) => r.code)).size).toBe(GUIDANCE_ROWS.length);
  });
  it('pair only what they have', () => {
    const known = (id: string) =>
      SHIPPED_TABLES.ingredients.has(id) ||
      SHIPPED_TABLES.liquids.has(id) ||
      SHIPPED_TABLES.sweeteners.has(id);
    for (const row of PAIR_ROWS) for (const id of [row.itemId, ...row.with]) expect(known(id), id).toBe(true);
  });
  it('hold ingredients that can be: parts of a whole, held liquor falling with the press', () => {
    for (const row of INGREDIENT_ROWS) {
      expect(row.waterPct + row.solublePct, row.id).toBeLessThanOrEqual(100);
      expect(row.sugarPct, row.id).toBeLessThanOrEqual(row.solublePct);
      const { drain, press, wring } = row.holdMlPerG;
      expect(drain >= press && press >= wring, row.id).toBe(true);
      if (row.rate100PerMin !== null) expect(row.activationKJ, row.id).toBeGreaterThan(0);
    }
  });
  it('the book uses only what the tables have, and methods that exist', () => {
    for (const recipe of BOOK) {
      for (const line of recipe.lines) {
        const table =
          line.kind === 'solid'
            ? SHIPPED_TABLES.ingredients
            : line.kind === 'liquid'
              ? SHIPPED_TABLES.liquids
              : SHIPPED_TABLES.sweeteners;
        expect(table.has(line.itemId), `${recipe.id} ${line.itemId}`).toBe(true);
      }
      for (const method of recipe.methods) expect(METHOD_IDS).toContain(method);
      // Water makes up the litres, or everything follows the juice that came out.
      expect(
        recipe.lines.filter((l) => l.rule.kind === 'toVolume').length === 1 ||
          recipe.lines.some((l) => l.rule.kind === 'byResult'),
        recipe.id,
      ).toBe(true);
    }
  });
});
