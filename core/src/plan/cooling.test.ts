import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type CoolingInput, coolingWays } from './cooling.ts';

/** Worked example 6: 12 L in a 30 cm pot in a 22 °C room, no steel. */
const POT: CoolingInput = {
  massG: 11_978,
  solidsG: 0,
  contentsMl: 12_000,
  tempC: 60,
  coldC: 8,
  diameterM: 0.3,
  vesselG: 0,
  roomC: 22,
  fridgeC: 4,
};
const way = (id: string, change: Partial<CoolingInput> = {}) =>
  coolingWays({ ...POT, ...change }).find((w) => w.id === id)!;

describe('ways of cooling', () => {
  it('stirred in ice water: 60 to 21 °C in 0.45 h, as worked by hand; open it is a little faster', () => {
    expect(way('iceStirred').to21Min! / 60).toBeLessThan(0.45);
    expect(way('iceStirred').to21Min! / 60).toBeGreaterThan(0.43);
  });
  it('kilograms of ice: 12 L from 60 to 8 °C give 2607 kJ, 334 J melt a gram: 7.8 kg', () => {
    // 11.978 kg × 4.186 × 52 K = 2607 kJ
    expect(way('iceStirred').iceKg!).toBeCloseTo(2607 / 334, 1);
    expect(way('trays').iceKg).toBeNull();
  });
  it('a counter never makes it colder than the room: 21 °C in a room of 22 is out of reach', () => {
    expect(way('counterCovered').to21Min).toBeNull();
    expect(way('counterCovered', { roomC: 18 }).to21Min).toBeGreaterThan(300);
    expect(way('counterOpen', { roomC: 18 }).toColdMin).toBeNull();
    expect(way('fridge').toColdMin).toBeGreaterThan(way('fridge').to21Min!);
  });
  it('what is cold already takes no time', () => {
    for (const w of coolingWays({ ...POT, tempC: 7 })) expect([w.to21Min, w.toColdMin]).toEqual([0, 0]);
  });
  it('for any pot: open is faster than covered, two pots than one, trays than a pot, stirred ice than still', () => {
    fc.assert(
      fc.property(
        fc.record({
          litres: fc.double({ min: 8, max: 20, noNaN: true }),
          diameterM: fc.double({ min: 0.22, max: 0.4, noNaN: true }),
          tempC: fc.double({ min: 45, max: 99, noNaN: true }),
          roomC: fc.double({ min: 8, max: 19, noNaN: true }),
        }),
        ({ litres, diameterM, tempC, roomC }) => {
          const at = Object.fromEntries(
            coolingWays({
              ...POT,
              massG: litres * 998,
              contentsMl: litres * 1000,
              diameterM,
              tempC,
              roomC,
            }).map((w) => [w.id, w.to21Min!]),
          );
          expect(at.counterOpen).toBeLessThan(at.counterCovered!);
          expect(at.twoPots).toBeLessThan(at.counterOpen!);
          expect(at.trays).toBeLessThan(at.counterOpen!);
          expect(at.iceStirred).toBeLessThan(at.iceStill!);
          expect(at.iceStirred).toBeLessThan(at.fridge!);
        },
      ),
      { numRuns: 60 },
    );
  });
});
