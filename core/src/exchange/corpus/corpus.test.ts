import { describe, expect, it } from 'vitest';
import { OWN_STEP_KINDS } from '../../documents/recipe.ts';
import { FAMILY_ROWS } from '../../tables/families.ts';
import { CORPUS } from './index.ts';
import { type Expected, expectedOf } from './notation.ts';
import { MANNERS } from './types.ts';

const ITEMS = new Set(FAMILY_ROWS.flatMap((f) => [f.id, ...f.forms.map((form) => form.itemId)]));

/** How many single facts are expected of a drink. */
const factsIn = (e: Expected): number =>
  (e.title ? 1 : 0) +
  (e.yield ? 1 : 0) +
  e.lines.reduce(
    (n, l) =>
      n +
      2 +
      (l.amount.max === undefined ? 0 : 1) +
      (l.at.length ? 1 : 0) +
      (FAMILY_ROWS.some((f) => f.id === l.item) ? 0 : 1),
    0,
  ) +
  e.steps.reduce((n, s) => n + Object.keys(s).length, 0);

describe('the texts and what is expected of them', () => {
  it('sixty, six in each manner, fifteen at least long and told', () => {
    expect(CORPUS).toHaveLength(60);
    for (const manner of MANNERS) expect(CORPUS.filter((t) => t.manner === manner)).toHaveLength(6);
    expect(new Set(CORPUS.map((t) => t.id)).size).toBe(60);
    expect(CORPUS.filter((t) => t.long).length).toBeGreaterThanOrEqual(15);
  });

  it.each(CORPUS.map((t) => [t.id, t] as const))(
    '%s: at least 25 facts, each of a known thing',
    (_, text) => {
      const drinks = text.drinks.map(expectedOf);
      expect(drinks.reduce((n, d) => n + factsIn(d), 0)).toBeGreaterThanOrEqual(25);
      for (const drink of drinks) {
        for (const line of drink.lines) {
          if (!line.unknown) expect(ITEMS, line.item).toContain(line.item);
          for (const at of line.at) expect(drink.steps[at], `${line.item} at ${at + 1}`).toBeDefined();
        }
        for (const step of drink.steps) expect(OWN_STEP_KINDS).toContain(step.kind);
      }
      for (const words of text.lost ?? []) expect(text.text).toContain(words);
    },
  );
});
