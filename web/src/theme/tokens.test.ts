import { BOOK } from '@big-ladle/core/book';
import { wcagContrast } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { overviewOf } from '../../../core/src/compare/overview.ts';
import { KITCHEN, TABLES } from '../../../core/src/testKitchen.ts';
import { mixed, tintShare, WRITTEN } from './tint.ts';
import { DAY, NIGHT, PAIRS } from './tokens.ts';

describe('colours used together have the contrast they need', () => {
  for (const [name, tokens] of [
    ['day', DAY],
    ['night', NIGHT],
  ] as const) {
    it.each(PAIRS.map((p) => [p.over, p.under, p.least] as const))(
      `${name}: %s on %s at least %d`,
      (over, under, least) => {
        expect(wcagContrast(tokens[over], tokens[under])).toBeGreaterThanOrEqual(least);
      },
    );
  }
  const readable = (drink: string) => {
    const ground = mixed(drink, NIGHT.ground, tintShare(drink, NIGHT));
    for (const { over, least } of WRITTEN)
      expect(wcagContrast(NIGHT[over], ground), `${over} on ${drink}`).toBeGreaterThanOrEqual(least - 0.01);
  };
  it('every text stays readable on the stove’s tint of every drink of the book', () => {
    for (const recipe of BOOK) {
      const looks = overviewOf(recipe, KITCHEN, TABLES).inGlass!.looks;
      for (const drink of [looks.film, looks.spoon, looks.glassEdge, looks.glass]) readable(drink);
      // It is the drink's own colour still, not the night's.
      expect(tintShare(looks.glass, NIGHT)).toBeGreaterThan(0);
    }
  });
  it('and of any other colour', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (colour) =>
        readable(`#${colour.toString(16).padStart(6, '0')}`),
      ),
    );
  });
});
