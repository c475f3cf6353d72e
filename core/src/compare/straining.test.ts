import { describe, expect, it } from 'vitest';
import type { RecipeStep } from '../documents/recipe.ts';
import { CALYX, made, step, WATER_4L } from '../program/compile/ownSteps.fixtures.ts';
import { TABLES } from '../testKitchen.ts';
import { strainings } from './straining.ts';

const strained = (says: Partial<RecipeStep>) => {
  const { program, sim } = made(
    [WATER_4L, CALYX],
    [step('combine', ['water', 'calyx']), step('heat'), step('boil'), step('strain', [], says)],
  );
  return strainings(program, sim, TABLES)[0]!;
};
const { drain, press, wring } = TABLES.ingredients.get('hibiscus-dried')!.holdMlPerG;

describe('a straining in figures', () => {
  it('pressing 100 g of calyx gains what it would hold dripping, less what it holds pressed', () => {
    expect(strained({ press: 'drain' }).pressGainL).toBe(0);
    expect(strained({ press: 'press' }).pressGainL).toBeCloseTo((100 * (drain - press)) / 1000, 9);
    expect(strained({ press: 'wring' }).pressGainL).toBeCloseTo((100 * (drain - wring)) / 1000, 9);
    // And so much more comes through.
    const [dripped, pressed] = [strained({ press: 'drain' }), strained({ press: 'press' })];
    expect(pressed.litres - dripped.litres).toBeCloseTo(pressed.pressGainL, 2);
  });
  it('a cloth is clear, a sieve silky, a colander thick; wrung it is a step cloudier', () => {
    const through = (
      by: 'colander' | 'sieve' | 'fineMesh' | 'cloth',
      times = 1,
      says: Partial<RecipeStep> = {},
    ) => strained({ press: 'drain', passes: [{ by, times }], ...says }).clarity;
    expect(through('cloth')).toBe('clear');
    expect(through('sieve')).toBe('silky');
    expect(through('fineMesh', 2)).toBe('clear');
    expect(through('colander')).toBe('thick');
    expect(through('cloth', 1, { press: 'wring' })).toBe('silky');
  });
  it('each passing takes its minutes for each litre, a cloth the most', () => {
    const minutes = (passes: RecipeStep['passes']) => strained({ passes }).minutes;
    const sieve = minutes([{ by: 'sieve', times: 1 }]);
    const both = minutes([
      { by: 'sieve', times: 1 },
      { by: 'cloth', times: 1 },
    ]);
    // Two minutes for each of four litres through the cloth, and two to change it.
    expect(both - sieve).toBe(10);
  });
  it('half a litre over the pulp thins it: more comes through, weaker', () => {
    const [plain, rinsed] = [strained({}), strained({ rinseMl: 500 })];
    expect(rinsed.litres - plain.litres).toBeCloseTo(0.5, 1);
    expect(plain.rinseThins).toBe(0);
    expect(rinsed.rinseThins).toBeGreaterThan(0.05);
    expect(rinsed.rinseThins).toBeLessThan(0.5 / rinsed.litres);
  });
});
