import { EMPTY } from '@big-ladle/core/liquor';
import { describe, expect, it } from 'vitest';
import { differenceOf, outcomeOf } from './outcome.ts';

const before = { litres: 5, sweetG: 476, endMin: 100, bottles: 5, gPerL: 12 };

describe('what an entry has made of the rest', () => {
  it('stirring in what was planned takes nothing off the sweetener: what is in and what is to come are one sum', () => {
    // 476 g still to come, then 476 g noted and none to come.
    expect(differenceOf(before, { ...before, sweetG: 0 + 476 })).toBe(
      'As expected: nothing of the rest changes.',
    );
  });
  it('fewer litres are told with what follows from them', () => {
    expect(differenceOf(before, { litres: 4.4, sweetG: 416, endMin: 100, bottles: 4, gPerL: 12 })).toBe(
      '4.4 L instead of 5.0 L: sweetener 60 g less, 1 bottle fewer.',
    );
  });
  it('two minutes later are told, one is not', () => {
    expect(differenceOf(before, { ...before, endMin: 101 })).toContain('nothing of the rest');
    expect(differenceOf(before, { ...before, endMin: 130 })).toBe('As many litres as before: 30 min later.');
  });
  it('a splash of water is told with what it does to the strength: 12 g in 5 L are 10.9 in 5.5', () => {
    const thinned = { ...before, litres: 5.5, gPerL: (12 * 5) / 5.5 };
    expect(differenceOf(before, thinned)).toBe('5.5 L instead of 5.0 L: 9 % weaker.');
    expect(differenceOf(before, { ...before, gPerL: 12.1 })).toContain('nothing of the rest');
  });
  it('counts as sweetener what flows in as such, noted or to come, and nothing else', () => {
    const flow = (code: 'sweetener' | 'poured', grams: number) => ({
      stepId: 's',
      code,
      direction: 'in' as const,
      volumeL: 0,
      comp: { ...EMPTY, sugarG: grams },
    });
    const sim = {
      vessels: {},
      flows: [flow('sweetener', 200), flow('sweetener', 276), flow('poured', 500)],
      endMin: 100,
    };
    expect(outcomeOf(sim, []).sweetG).toBe(476);
  });
});
