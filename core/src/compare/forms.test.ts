import { describe, expect, it } from 'vitest';
import { TABLES } from '../testKitchen.ts';
import { insteadOf, sameStrengthG } from './forms.ts';

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

describe('what may go in instead', () => {
  it('what was tried comes first, then other forms of the same, each once', () => {
    const instead = insteadOf('ginger-sliced', TABLES);
    const ids = instead.map((i) => i.itemId);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids).not.toContain('ginger-sliced');
    // Dried ginger is four times as strong: a quarter of it.
    expect(instead.find((i) => i.itemId === 'ginger-ground')?.ratio).toBeCloseTo(0.25, 6);
    expect(ids).toContain('ginger-grated');
  });
  it('for a thing with neither form nor substitute there is nothing', () => {
    expect(insteadOf('salt', TABLES)).toEqual([]);
  });
});
