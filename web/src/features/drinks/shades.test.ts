import { describe, expect, it } from 'vitest';
import { shadeOf } from './shades.ts';

const row = (...values: (number | null)[]) =>
  values.map((value) => ({ value, text: `${value?.toFixed(1)}` }));
const shades = (best: 'low' | 'high' | null, ...values: (number | null)[]) =>
  values.map((_, i) => shadeOf(row(...values), i, best));

describe('figures of several ways side by side', () => {
  it('the best and the worst stand out, what lies between does not', () => {
    expect(shades('low', 4, 5, 6)).toEqual(['best', null, 'worst']);
    expect(shades('high', 4, 5, 6)).toEqual(['worst', null, 'best']);
  });
  it('figures that read the same look the same', () => {
    // 4.01 and 3.98 are both "4.0": both best.
    expect(shades('low', 4.01, 3.98, 6)).toEqual(['best', 'best', 'worst']);
  });
  it('within two in a hundred nothing stands out, nor does one alone, nor what has no better', () => {
    expect(shades('low', 100, 101)).toEqual([null, null]);
    expect(shades('low', 4, null)).toEqual([null, null]);
    expect(shades(null, 4, 6)).toEqual([null, null]);
  });
});
