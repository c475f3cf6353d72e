import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figureOf, tokensOf, unwrapped } from './tokens.ts';

describe('figures as they are written', () => {
  it.each([
    ['12', 12],
    ['1,5', 1.5],
    ['0.250', 0.25],
    ['1.000', 1000],
    ['1,000', 1000],
    ['12.500', 12_500],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['½', 0.5],
    ['1½', 1.5],
    ['2 ¾', 2.75],
    ['1 1/2', 1.5],
  ])('%s', (text, value) => {
    expect(figureOf(text)).toBeCloseTo(value, 12);
  });
});

describe('pieces of a text', () => {
  const said = (text: string) => tokensOf(text).map((t) => t.t);
  it('small letters, no accents, signs as they are, rows apart', () => {
    expect(said('Jus de Citron\nÀ 85 °C!')).toEqual(['jus', 'de', 'citron', '\n', 'a', '85', '°', 'c', '!']);
  });
  it('a figure in a box counts rows like a bullet; signs that join pictures are none', () => {
    expect(said('1️⃣ soak')).toEqual(['•', 'soak']);
    expect(said('➡️ strain')).toEqual(['➡', 'strain']);
  });
  it('law: in order, over each other nowhere, and nothing but spaces between', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200, unit: 'grapheme' }), (text) => {
        let at = 0;
        for (const token of tokensOf(text)) {
          expect(token.start).toBeGreaterThanOrEqual(at);
          expect(text.slice(at, token.start)).toMatch(/^(?:\s|\uFE0F|\u200D|\u20E3)*$/u);
          at = token.end;
        }
      }),
    );
  });
});

describe('rows broken by the width of a page', () => {
  const rows = (text: string) => unwrapped(tokensOf(text)).filter((t) => t.kind === 'row').length;
  it('go on where a long one ends in the middle of a sentence', () => {
    expect(rows('In the morning strain it through the old curtain, and add the juice of\nsix limes.')).toBe(
      0,
    );
  });
  it('end where they are short, where a sentence ends, or a row of a list begins', () => {
    expect(rows('ginger\nhoney')).toBe(1);
    expect(
      rows('In the morning strain it through the old curtain and squeeze it well.\nthen bottle it'),
    ).toBe(1);
    expect(rows('In the morning strain it through the old curtain and squeeze it well\n- 2 limes')).toBe(1);
    expect(rows('In the morning strain it through the old curtain and squeeze it well\nBottle it')).toBe(1);
  });
});
