import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EMPTY } from '../../liquor/composition.ts';
import { COLOUR_ROWS } from '../../tables/colours.ts';
import { againstLast, readSpoon, type SpoonResult, type Thinned, takenAt, thinnedFor } from './readSpoon.ts';
import { chanceScene, photograph, type Scene } from './renderSpoon.fixtures.ts';
import { type Spot, spotOf } from './spot.ts';

/** A photograph is taken of the scene, and read where its white and its drink are. @param said how it is said to be thinned. */
function readScene(scene: Scene, said = scene.thinned): SpoonResult {
  const p = photograph(scene);
  return readSpoon(
    spotOf(p, p.white.x, p.white.y, p.radius),
    spotOf(p, p.drink.x, p.drink.y, p.radius),
    said as Thinned,
    EMPTY,
  );
}

/** How far readings lie from the truth, as shares, the smallest first; and how many were refused. */
function errorsOf(strengths: readonly number[], thinned: Thinned, times: number) {
  const results = strengths.flatMap((g) =>
    Array.from({ length: times }, (_, i) => ({
      g,
      result: readScene(chanceScene(1000 * g + i, g, thinned)),
    })),
  );
  const errors = results
    .flatMap(({ g, result }) => (result.ok ? [Math.abs(result.read.redGPerL / g - 1)] : []))
    .sort((a, b) => a - b);
  return { errors, refused: results.length - errors.length };
}
const shareWithin = (errors: readonly number[], most: number) =>
  errors.filter((e) => e <= most).length / errors.length;

const spot = (light: readonly [number, number, number]): Spot => ({ light, clipped: 0, glare: 1 });
const WHITE = spot([0.6, 0.6, 0.6]);
/** What lies in the spoon takes so much of each band, decadic; and no lens spreads any light. */
const taking = (red: number, green: number, blue: number) =>
  spot([red, green, blue].map((a) => 0.6 * (10 ** -a + 0.0095 * (1 - 10 ** -a))) as [number, number, number]);

describe('the red of a calyx', () => {
  it('takes of each band what the colour table says of it', () => {
    // By hand: a peak of 0.14 / exp(−(20/33)² / 2) = 0.1682; at 460 nm × exp(−(60/40)² / 2) = 0.3247, at 610 nm × exp(−(90/33)² / 2) = 0.0243.
    expect(takenAt(540)).toBeCloseTo(0.14, 6);
    expect(takenAt(460)).toBeCloseTo(0.0546, 4);
    expect(takenAt(610)).toBeCloseTo(0.0041, 4);
    const [red, , blue] = COLOUR_ROWS.find((row) => row.marker === 'red')!.absorbance;
    expect(takenAt(610)).toBeCloseTo(red, 3);
    expect(takenAt(460)).toBeCloseTo(blue, 3);
  });
});

describe('a photographed spoonful', () => {
  it('tells 20 to 60 g/L within 15 % in four of five, and is never off by 30 % without being refused', () => {
    const { errors, refused } = errorsOf([20, 30, 40, 50, 60], 9, 14);
    expect(shareWithin(errors, 0.15)).toBeGreaterThanOrEqual(0.8);
    expect(errors.at(-1)).toBeLessThan(0.3);
    expect(refused).toBeLessThanOrEqual(0.1 * errors.length);
  });
  it('tells a paler drink as well, thinned with less water', () => {
    const { errors } = errorsOf([6, 10, 14], 4, 14);
    expect(shareWithin(errors, 0.15)).toBeGreaterThanOrEqual(0.8);
    expect(errors.at(-1)).toBeLessThan(0.3);
  });
  it('is never off by 30 % without being refused, however it was thinned', () => {
    for (const thinned of [4, 9, 19] as const) {
      const { errors } = errorsOf([3, 8, 20, 40, 80, 120, 200], thinned, 3);
      expect(errors.at(-1)).toBeLessThan(0.3);
    }
  });
  it('knows what else colours the drink from the model of it', () => {
    const brown = { ...EMPTY, waterG: 998.2, markerG: { calyx: 40 } };
    const scene = { ...chanceScene(11, 40, 9), brownGPerL: 40 };
    const p = photograph(scene);
    const [white, drink] = [p.white, p.drink].map(({ x, y }) => spotOf(p, x, y, p.radius)) as [Spot, Spot];
    const errorOf = (result: SpoonResult) => (result.ok ? Math.abs(result.read.redGPerL / 40 - 1) : 1);
    const told = errorOf(readSpoon(white, drink, 9, brown));
    expect(told).toBeLessThan(0.15);
    expect(told).toBeLessThan(errorOf(readSpoon(white, drink, 9, EMPTY)));
  });
  it('is thinned with nine parts, a paler one with four, a darker one with nineteen', () => {
    expect(thinnedFor(30)).toBe(9);
    expect(thinnedFor(15)).toBe(9);
    expect(thinnedFor(14.9)).toBe(4);
    expect(thinnedFor(60)).toBe(19);
  });
  it('says what is wrong with a picture that tells nothing', () => {
    const scene = chanceScene(5, 35, 9);
    const problemOf = (change: Partial<Scene>) => {
      const result = readScene({ ...scene, ...change }, 9);
      return result.ok ? `read ${result.read.redGPerL}` : result.problem;
    };
    expect(problemOf({})).toMatch(/^read /);
    expect(problemOf({ exposure: 1.6 })).toEqual({ kind: 'whiteClipped' });
    expect(problemOf({ exposure: 0.08 })).toEqual({ kind: 'tooDim' });
    // A lamp, or a spoon that is not white.
    expect(problemOf({ castRed: 1.2, castBlue: 0.7, exposure: 0.6 })).toEqual({ kind: 'notWhite' });
    expect(problemOf({ window: true, exposure: 0.6 })).toEqual({ kind: 'glare' });
    // Said to be thinned and was not: black but for a little red.
    expect(problemOf({ thinned: 0 })).toEqual({ kind: 'moreWater', thinned: 19 });
    // The drink pointed at beyond the picture.
    const p = photograph(scene);
    const atWhite = spotOf(p, p.white.x, p.white.y, p.radius);
    expect(readSpoon(atWhite, spotOf(p, 2, 2, p.radius), 9, EMPTY)).toEqual({
      ok: false,
      problem: { kind: 'atEdge' },
    });
    // White pointed at twice.
    expect(readSpoon(atWhite, atWhite, 9, EMPTY)).toEqual({
      ok: false,
      problem: { kind: 'lessWater', thinned: 4 },
    });
  });
  it('is refused where what lies in the spoon is no calyx red', () => {
    // Yellow as turmeric; blue as a flower tea; a calyx without its acid, more violet.
    for (const drink of [taking(0.02, 0.1, 0.8), taking(0.7, 0.3, 0.06), taking(0.3, 0.4, 0.05)])
      expect(readSpoon(WHITE, drink, 9, EMPTY)).toEqual({ ok: false, problem: { kind: 'otherColour' } });
  });
  it('reads the same whether a picture is lighter or darker', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 1.5, noNaN: true }), (by) => {
        const drink = taking(0.06, 0.7, 0.34);
        const lit = ({ light, ...rest }: Spot): Spot => ({
          ...rest,
          light: light.map((x) => x * by) as unknown as Spot['light'],
        });
        const a = readSpoon(WHITE, drink, 9, EMPTY);
        const b = readSpoon(lit(WHITE), lit(drink), 9, EMPTY);
        if (!a.ok || !b.ok) throw new Error('refused');
        expect(b.read.redGPerL).toBeCloseTo(a.read.redGPerL, 6);
      }),
      { numRuns: 20 },
    );
  });
  it('one that is less thinned reads as that much less', () => {
    const at = (thinned: Thinned) => readSpoon(WHITE, taking(0.06, 0.7, 0.34), thinned, EMPTY);
    const [four, nine] = [at(4), at(9)];
    if (!four.ok || !nine.ok) throw new Error('refused');
    expect(nine.read.redGPerL / four.read.redGPerL).toBeCloseTo(10 / 5, 6);
  });
  it('beside another says paler, darker, or neither', () => {
    expect(againstLast(30, 31)).toBe('same');
    expect(againstLast(30, 40)).toBe('paler');
    expect(againstLast(40, 30)).toBe('darker');
  });
});
