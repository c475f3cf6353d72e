import type { DrinkOverview } from '@big-ladle/core/compare';
import { describe, expect, it } from 'vitest';
import { atHand, proposalsFor } from './firstKitchen.ts';

const drink = (recipeId: string, families: string[], ...minutes: number[]): DrinkOverview => ({
  recipeId,
  families,
  methods: minutes.map((totalMin) => ({ methodId: 'straightBoil', totalMin, handsOnMin: 60 })),
  noAddedSugar: false,
  alcohol: false,
  mild: true,
  standsPlain: false,
  inGlass: null,
});
const DRINKS = [
  drink('red', ['hibiscus', 'ginger', 'clove'], 1700, 280),
  drink('pale', ['ginger', 'lemon'], 200),
  drink('late', ['hibiscus', 'ginger'], 3000),
  drink('never', ['hibiscus']),
];
const ids = (held: string[], withinMin: number | null = null) =>
  proposalsFor(DRINKS, new Set(held), withinMin).map((p) => p.recipeId);

describe('a first drink', () => {
  it('uses most of what is at hand, then needs least besides', () => {
    expect(ids(['hibiscus', 'ginger'])).toEqual(['late', 'red', 'pale']);
    expect(ids(['lemon'])).toEqual(['pale', 'late', 'red']);
  });
  it('is there by then, by its quickest way', () => {
    expect(ids(['hibiscus', 'ginger'], 300)).toEqual(['red', 'pale']);
    expect(proposalsFor(DRINKS, new Set(), null).find((p) => p.recipeId === 'red')!.totalMin).toBe(280);
  });
  it('what cannot be made here is not proposed', () => {
    expect(ids([])).not.toContain('never');
  });
  it('asks for plants and fruit, not for sugar and water', () => {
    expect(atHand()).toContain('hibiscus');
    expect(atHand()).toContain('ginger');
    expect(atHand()).not.toContain('sugar');
    expect(atHand()).not.toContain('water');
  });
});
