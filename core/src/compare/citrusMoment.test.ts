import { describe, expect, it } from 'vitest';
import { CALYX, line, made, step, WATER_4L } from '../program/compile/ownSteps.fixtures.ts';
import { TABLES } from '../testKitchen.ts';
import { citrusMoments } from './citrusMoment.ts';

const ORANGE = line('orange', 'orange-whole', 360);
const drink = (boilMin: number, late: boolean) => {
  const { program, sim } = made(
    [WATER_4L, CALYX, ORANGE],
    [
      step('combine', late ? ['water', 'calyx'] : ['water', 'calyx', 'orange']),
      step('heat'),
      step('boil', [], { minutes: boilMin }),
      ...(late ? [step('combine', ['orange']), step('boil', [], { minutes: 5 })] : []),
      step('strain'),
    ],
  );
  return citrusMoments(program, sim, TABLES);
};

describe('citrus cooked against citrus late', () => {
  it('twelve minutes at the boil leave a quarter of its smell: half goes in six', () => {
    const [orange] = drink(12, false);
    expect(orange).toMatchObject({
      itemId: 'orange-whole',
      boilMin: expect.closeTo(12, 9),
      freshLeft: expect.closeTo(0.25, 9),
    });
    // With its pips in it turns bitter after five minutes.
    expect(orange).toMatchObject({ bitterAfterMin: 5, isBitter: true });
  });
  it('in the last five minutes it keeps nearly half of it, more than cooked from the start', () => {
    const [orange] = drink(20, true);
    // Cold fruit takes the pot off the boil: two or three minutes until it is back, then five.
    expect(orange!.boilMin).toBeGreaterThan(5);
    expect(orange!.boilMin).toBeLessThan(9);
    expect(orange!.freshLeft).toBeCloseTo(0.5 ** (orange!.boilMin / 6), 9);
    expect(orange!.lateFreshLeft).toBeCloseTo(0.5 ** (5 / 6), 9);
  });
  it('what is no citrus, or is never boiled, has no such moment', () => {
    const { program, sim } = made(
      [WATER_4L, CALYX, line('lime', 'lime-juice', 60, 'liquid')],
      [
        step('combine', ['water', 'calyx']),
        step('heat'),
        step('boil'),
        step('strain'),
        step('cool'),
        step('mix', ['lime']),
      ],
    );
    expect(citrusMoments(program, sim, TABLES)).toEqual([]);
  });
});
