import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LIQUID_ROWS } from '../tables/liquids.ts';
import { colourOf, FILM_PATH_CM, GLASS_PATH_CM, lightBack, luminanceOf } from './colour.ts';
import { EMPTY, ofLiquid, plus, water } from './composition.ts';
import { looksOf, NO_LOOKS } from './looks.ts';

describe('light that comes back from a layer over white', () => {
  it('without haze is what goes through twice: 0.95 · e^(−2 · 0.5 · 1) = 0.3495', () => {
    expect(lightBack(0.5, 0, 1)).toBeCloseTo(0.3495, 4);
  });
  it('by hand: takes 0.25, throws back 1, 1 cm deep', () => {
    // a = 1.25, b = √(1.5625 − 1) = 0.75, b·coth(0.75) = 0.75 / 0.63515 = 1.18083
    // (1 − 0.95·(1.25 − 1.18083)) / (1.25 − 0.95 + 1.18083) = 0.93429 / 1.48083
    expect(lightBack(0.25, 1, 1)).toBeCloseTo(0.6309, 4);
  });
  it('of pure haze is whiter than the white below: (0.95 + 0.05 · 2) / (1 + 0.05 · 2)', () => {
    expect(lightBack(0, 2, 1)).toBeCloseTo(1.05 / 1.1, 6);
  });

  const figure = fc.double({ min: 0, max: 20, noNaN: true });
  it('lies between nothing and all, and a deeper layer of what takes light is never lighter', () => {
    fc.assert(
      fc.property(figure, figure, fc.double({ min: 0.01, max: 5, noNaN: true }), (takes, haze, depthCm) => {
        const back = lightBack(takes, haze, depthCm);
        expect(back).toBeGreaterThanOrEqual(0);
        expect(back).toBeLessThanOrEqual(1);
        expect(lightBack(takes + 0.1, haze, depthCm)).toBeLessThanOrEqual(back + 1e-9);
      }),
    );
  });
  it('more haze never makes it darker', () => {
    fc.assert(
      fc.property(figure, figure, fc.double({ min: 0.01, max: 5, noNaN: true }), (takes, haze, depthCm) => {
        expect(lightBack(takes, haze + 0.1, depthCm)).toBeGreaterThanOrEqual(
          lightBack(takes, haze, depthCm) - 1e-9,
        );
      }),
    );
  });
});

describe('what comes from a bottle colours a drink', () => {
  const liquid = (id: string, ml: number) => ofLiquid(LIQUID_ROWS.find((r) => r.id === id)!, ml);

  it('a litre of water with a fifth of cranberry is red, with a fifth of coconut milk white and cloudy', () => {
    const cranberry = plus(water(800), liquid('cranberry-juice', 200));
    const coconut = plus(water(800), liquid('coconut-milk-fresh', 200));
    expect(looksOf(cranberry).cloudy).toBe(false);
    expect(looksOf(coconut).cloudy).toBe(true);
    const [r, g] = [1, 3].map((at) =>
      Number.parseInt(colourOf(cranberry, GLASS_PATH_CM).slice(at, at + 2), 16),
    );
    expect(r! - g!).toBeGreaterThan(40);
    expect(luminanceOf(colourOf(coconut, GLASS_PATH_CM))).toBeGreaterThan(0.7);
  });

  it('is conserved when drinks are mixed: half and half has half of the tint in the same room', () => {
    const juice = liquid('pineapple-juice', 1000);
    const mixed = plus(juice, water(1000));
    expect(mixed.tint.yellowPulp).toBe(juice.tint.yellowPulp);
  });

  it('the thin edge of a spoon is lighter than a glass', () => {
    const red = { ...EMPTY, waterG: 998, acidG: 7, markerG: { red: 20 } };
    const { film, spoon, glassEdge, glass } = looksOf(red);
    const lights = [film, spoon, glassEdge, glass].map(luminanceOf);
    expect(lights).toEqual([...lights].sort((a, b) => b - a));
    expect(lights[0]! - lights[1]!).toBeGreaterThan(0.1);
    expect(film).toBe(colourOf(red, FILM_PATH_CM));
    expect(looksOf(undefined)).toEqual(NO_LOOKS);
  });
});
