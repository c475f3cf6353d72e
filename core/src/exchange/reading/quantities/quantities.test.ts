import { describe, expect, it } from 'vitest';
import { tokensOf } from '../tokens.ts';
import { quantityAt } from './quantities.ts';

const quantity = (text: string) => {
  const q = quantityAt(tokensOf(text), 0);
  return q ? [q.measured, q.value, ...(q.max === undefined ? [] : [q.max])] : null;
};

describe('what a figure counts', () => {
  it.each([
    // A clock: hours and minutes.
    ['1 h 40', ['time', 100]],
    ['2 h 05 in all', ['time', 125]],
    ['an hour and a half', ['time', 90]],
    ['twenty-four hours', ['time', 1440]],
    ['4 days 3 h', ['time', 4 * 1440 + 180]],
    ['2 h 40 to 12 h', ['time', 160, 720]],
    ['3 min to 1 h 40', ['time', 3, 100]],
    // Twenty grams of something are no minutes.
    ['1 h 20 g ginger', ['time', 60]],
    ['85C', ['temp', 85]],
    ['185 °F', ['temp', 85]],
    ['40 %', ['share', 0.4]],
    ['3 times', ['times', 3]],
    ['two and a half dozen', ['amount', 30]],
    ['three quarters of a cup', ['amount', 0.75]],
    ['1.000 ml', ['amount', 1000]],
    // Four ounces are a quarter of a pound, 300 g three tenths of a kilo.
    ['1 lb 4 oz', ['amount', 1.25]],
    ['2 pounds and 8 ounces', ['amount', 2.5]],
    ['2 kg 300 g', ['amount', 2.3]],
    ['1 gallon 2 quarts', ['amount', 1.5]],
    // Two things, not one amount.
    ['1 litre 500 g sugar', ['amount', 1]],
  ] as [string, (string | number)[]][])('%s', (text, expected) => expect(quantity(text)).toEqual(expected));
});
