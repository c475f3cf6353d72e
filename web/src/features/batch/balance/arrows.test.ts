import { type Candidate, candidateOf } from '@big-ladle/core/balance';
import { EMPTY_KITCHEN } from '@big-ladle/core/documents';
import { type Composition, EMPTY, plus } from '@big-ladle/core/liquor';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keyStep, mostUnits, pointOf, type Scale, unitsAt, withUnits } from './arrows.ts';

const of = (id: string, most?: number): Candidate => candidateOf(id, SHIPPED_TABLES, EMPTY_KITCHEN, most)!;
const brew: Composition = { ...EMPTY, waterG: 7880, otherSolublesG: 120, acidG: 48, alkaliMeq: 60 };
/** 60 px for each g/L across, 30 px for each g in 100 g up. */
const scale: Scale = {
  x: (sour) => 50 + sour * 60,
  y: (sweet) => 500 - sweet * 30,
  sourOf: (x) => (x - 50) / 60,
  sweetOf: (y) => (500 - y) / 30,
};
const pixelOf = (c: Composition) => {
  const p = pointOf(c);
  return { x: scale.x(p.sour), y: scale.y(p.sweet) };
};

describe('arrows of the plane', () => {
  it('dragged to where an amount would take the drink, it is that amount', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('sugar-white', 'honey', 'lemon-juice', 'pineapple-juice', 'water'),
        fc.double({ min: 20, max: 2500, noNaN: true }),
        (id, grams) => {
          const candidate = of(id);
          const at = pixelOf(plus(brew, candidate.unit, grams));
          expect(unitsAt(candidate, brew, scale, at) / grams).toBeCloseTo(1, 1);
        },
      ),
    );
  });
  it('whole fruit snap to whole numbers; dragged back it is nothing, and never less', () => {
    const lime = of('lime');
    const at = pixelOf(plus(brew, lime.unit, 5.3));
    expect(unitsAt(lime, brew, scale, at)).toBe(5);
    const sugar = of('sugar-white');
    const dot = pixelOf(brew);
    expect(unitsAt(sugar, brew, scale, { x: dot.x, y: dot.y + 200 })).toBeCloseTo(0, 3);
  });
  it('no further than there is of it', () => {
    expect(mostUnits(of('honey', 300), brew)).toBe(300);
    expect(mostUnits(of('lime', 200), brew)).toBe(2);
    expect(unitsAt(of('honey', 300), brew, scale, { x: 0, y: -5000 })).toBeCloseTo(300, 0);
  });
  it('a press of a key is a fruit, or an amount that a cook would spoon', () => {
    expect(keyStep(of('lime'), brew)).toBe(1);
    // 8 kg: a five-hundredth is 16 g, said as 20.
    expect(keyStep(of('sugar-white'), brew)).toBe(20);
  });
  it('several together are their sum, in any order', () => {
    const both = [of('sugar-white'), of('lime')];
    const units = { 'sugar-white': 500, lime: 4 };
    const there = withUnits(brew, both, units);
    const back = withUnits(brew, [...both].reverse(), units);
    expect(there.sweetG).toBeCloseTo(back.sweetG, 9);
    expect(there.acidG).toBeCloseTo(brew.acidG + 4 * of('lime').unit.acidG, 9);
    expect(withUnits(brew, both, {})).toBe(brew);
  });
});
