import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY, scaled } from '../liquor/composition.ts';
import type { Solid } from '../program/model/liquor.ts';
import { drawableOf } from '../program/simulate/state.ts';
import { TABLES } from '../testKitchen.ts';
import { secondBoil } from './secondBoil.ts';

const calyx = TABLES.ingredients.get('hibiscus-dried')!;
/** Worked example 8: 150 g of calyx in 5 L, 90 % drawn, pressed: 3.2 mL/g stay in it, at the strength of the pool. */
const spent = (extracted = 0.9): Solid => {
  const heldMl = 150 * calyx.holdMlPerG.press;
  const pool = { ...EMPTY, waterG: 4991 };
  const drawn = scaled(drawableOf(calyx, 150), extracted);
  const share = heldMl / 5000;
  return {
    lineId: 'calyx',
    ingredientId: 'hibiscus-dried',
    massG: 150,
    extracted,
    wet: true,
    sinceMin: 0,
    held: { ...scaled(drawn, share), waterG: pool.waterG * share },
  };
};
/** A boil so long that 90 % of what is left is drawn: ln 10 / 0.25 per minute. */
const NINETY = { minutes: Math.log(10) / 0.25, boilC: 100 };

describe('a second boil over spent solids', () => {
  it('3 L win back 15.2 % of all that could be had, in 3.00 L (worked example 8)', () => {
    const { litres, gPerL } = secondBoil([spent()], TABLES, 3, NINETY);
    expect(litres).toBeCloseTo(3, 1);
    // 150 gram-equivalents in all
    expect((gPerL.calyx! * litres) / 150).toBeCloseTo(0.152, 2);
  });
  it('never gives more than was left in and on the solids', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.99, noNaN: true }),
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.integer({ min: 1, max: 60 }),
        (extracted, waterL, minutes) => {
          const solid = spent(extracted);
          const { litres, gPerL } = secondBoil([solid], TABLES, waterL, { minutes, boilC: 100 });
          const left = 150 * (1 - extracted) + solid.held.markerG.calyx!;
          expect(gPerL.calyx! * litres).toBeLessThanOrEqual(left + 1e-9);
          expect(litres).toBeGreaterThan(0);
        },
      ),
    );
  });
  it('more water is weaker, a longer boil is stronger', () => {
    const at = (waterL: number, minutes: number) =>
      secondBoil([spent(0.5)], TABLES, waterL, { minutes, boilC: 100 }).gPerL.calyx!;
    expect(at(2, 10)).toBeGreaterThan(at(4, 10));
    expect(at(2, 20)).toBeGreaterThan(at(2, 5));
  });
});
