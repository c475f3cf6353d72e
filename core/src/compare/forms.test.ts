import { describe, expect, it } from 'vitest';
import { TABLES } from '../testKitchen.ts';
import { sameStrengthG } from './forms.ts';

const of = (from: string, to: string) =>
  sameStrengthG(TABLES.ingredients.get(from)!, 100, TABLES.ingredients.get(to)!);

describe('one form for another', () => {
  it('by what was tried: 100 g of sticks are 50 g ground, and the other way round', () => {
    expect(of('cinnamon-stick', 'cinnamon-ground')).toBeCloseTo(50, 6);
    expect(of('cinnamon-ground', 'cinnamon-stick')).toBeCloseTo(200, 6);
  });
  it('else by potency: dried ginger is four times as strong as fresh', () => {
    expect(of('ginger-sliced', 'ginger-ground')).toBeCloseTo(25, 6);
  });
  it('parts of a fruit are no forms of one another', () => {
    expect(of('orange-whole', 'orange-peel')).toBeNull();
    expect(of('pineapple-flesh', 'pineapple-peel')).toBeNull();
    expect(of('pineapple-peel', 'pineapple-core')).toBeNull();
    expect(of('lime-whole', 'lime-whole')).toBe(100);
  });
});
