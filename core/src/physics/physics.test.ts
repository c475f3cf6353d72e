import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BoilLevel, burnerEfficiency, type Lid } from '../tables/constants.ts';
import { TABLES } from '../testKitchen.ts';
import { boilOff } from './boilOff.ts';
import { drawnAfter, redLeft } from './extraction.ts';
import {
  boilingPointC,
  bottleLossWPerK,
  heatCapacityJPerK,
  lossWPerK,
  type ThermalSetting,
  temperaturePath,
} from './heat.ts';
import { fruitToCome } from './juice.ts';
import { coverWaterMl, hotFillMl, roomIn, solidVolumeMl } from './room.ts';
import { areaM2, capacityMl, levelM, mlAtLevel } from './vesselShape.ts';

/** 12 L of water in a 30 cm pot, no steel, in a 22 °C room. */
const twelveLitres = (change: Partial<ThermalSetting>): ThermalSetting => {
  const level = levelM(12_000, 0.3);
  return {
    capacityJPerK: heatCapacityJPerK(12_000 * 0.9982, 0, 0, 0),
    lossWPerK: lossWPerK('counter', 0.3, level),
    ambientC: 22,
    powerW: 0,
    surfaceM2: areaM2(0.3),
    lid: 'on',
    ...change,
  };
};
const gas = 2200 * burnerEfficiency('gas', 2200, 0.3);

describe('heating up', () => {
  it('12 L, 20 → 98 °C: gas with the lid on 73 min, off 84 min, induction 41 min', () => {
    // UA = 10·(π·0.3·0.1698 + 1.5·0.0707) = 2.66 W/K, m·c = 11.98 · 4186 = 50141 J/K, τ = 18845 s, P = 990 W.
    // lid on: −18845·ln[(990 − 2.66·76)/(990 + 2.66·2)] = 18845 · 0.2338 = 4406 s = 73.4 min
    expect(temperaturePath(20, twelveLitres({ powerW: gas }), { targetC: 98 }).minutes).toBeCloseTo(73.4, 0);
    const open = temperaturePath(20, twelveLitres({ powerW: gas, lid: 'off' }), { targetC: 98 }).minutes;
    expect(Math.abs(open / 84 - 1)).toBeLessThan(0.01);
    const induction = 2000 * burnerEfficiency('induction', 2000, 0.3);
    expect(
      Math.abs(temperaturePath(20, twelveLitres({ powerW: induction }), { targetC: 98 }).minutes / 41 - 1),
    ).toBeLessThan(0.01);
  });

  it('a small flame never gets a big open pot to the boil, and says so', () => {
    const path = temperaturePath(20, twelveLitres({ powerW: 250, lid: 'off' }), { targetC: 98 });
    expect(path.end).toBe('never');
    expect(path.endC).toBeLessThan(90);
  });

  it('a rest of 20 min split into two of 10 ends at the same temperature', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 100, noNaN: true }),
        fc.constantFrom<Lid>('on', 'ajar', 'off'),
        (fromC, lid) => {
          const setting = twelveLitres({ lid });
          const whole = temperaturePath(fromC, setting, { minutes: 20 });
          const half = temperaturePath(fromC, setting, { minutes: 10 });
          const rest = temperaturePath(half.endC, setting, { minutes: 10 });
          expect(Math.abs(rest.endC - whole.endC)).toBeLessThan(0.02);
        },
      ),
    );
  });

  it('takes the burner table: small pots and big rings waste more', () => {
    expect(burnerEfficiency('gas', 2200, 0.2)).toBe(0.38);
    expect(burnerEfficiency('gas', 6000, 0.3)).toBe(0.33);
    // A quarter of the way from a narrow pot to a wide one: 0.38 + 0.07 / 4.
    expect(burnerEfficiency('gas', 2200, 0.21)).toBeCloseTo(0.3975, 6);
    expect(burnerEfficiency('electric', 2000, 0.2)).toBe(0.7);
  });

  it('water boils 1 °C lower for each 300 m', () => {
    expect(boilingPointC(1500)).toBe(95);
  });
});

describe('boiling away', () => {
  const half = (litres: number, diameter: number, level: BoilLevel, lid: Lid) => {
    const loss = lossWPerK('stove', diameter, levelM(litres * 1000, diameter)) * (100 - 22);
    return boilOff({
      level,
      lid,
      powerW: 2200 * burnerEfficiency('gas', 2200, diameter),
      lossW: loss,
      surfaceM2: areaM2(diameter),
    });
  };
  it('30 min: 8 L gentle in 28 cm 0.345 L open, 0.081 L covered; 18 L rolling in 36 cm 0.570 L', () => {
    // gentle: 990·0.6 = 594 W − 2.067·78 = 433 W left; 433/2257·3.6 = 0.690 L/h, under 22 · 0.0616 = 1.35 by surface
    expect(half(8, 0.28, 'gentle', 'off').litresPerH / 2).toBeCloseTo(0.345, 2);
    expect(half(8, 0.28, 'gentle', 'off').bound).toBe('heat');
    // covered: 1.355 · 0.12 = 0.1626 L/h
    expect(half(8, 0.28, 'gentle', 'on').litresPerH / 2).toBeCloseTo(0.081, 3);
    expect(half(8, 0.28, 'gentle', 'on').bound).toBe('surface');
    // rolling: 990 − 3.527·78 = 715 W; 715/2257·3.6 = 1.140 L/h
    expect(half(18, 0.36, 'rolling', 'off').litresPerH / 2).toBeCloseTo(0.57, 2);
  });
  it('a flame too low for the boil is turned up, a ring too weak is named', () => {
    const surfaceM2 = areaM2(0.36);
    const weak = boilOff({ level: 'simmer', lid: 'off', powerW: 990, lossW: 275, surfaceM2 });
    // simmer gives 396 − 275 = 121 W = 0.19 L/h, under 7 · 0.1018 = 0.71: turned up until it holds that
    expect(weak.turnUp).toBe(true);
    expect(weak.litresPerH).toBeCloseTo(7 * surfaceM2, 6);
    expect(boilOff({ level: 'gentle', lid: 'off', powerW: 500, lossW: 400, surfaceM2 }).tooWeak).toBe(true);
  });
  it('a closer lid never lets more steam away', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        fc.constantFrom<BoilLevel>('rolling', 'medium', 'gentle', 'simmer'),
        (litres, level) => {
          const [off, ajar, on] = (['off', 'ajar', 'on'] as const).map(
            (lid) => half(litres, 0.3, level, lid).litresPerH,
          );
          expect(ajar).toBeLessThanOrEqual(off! + 1e-12);
          expect(on).toBeLessThanOrEqual(ajar! + 1e-12);
        },
      ),
    );
  });
});

describe('cooling', () => {
  const hours = (fromC: number, targetC: number, change: Partial<ThermalSetting>) =>
    temperaturePath(fromC, twelveLitres(change), { targetC }).minutes / 60;
  it('12 L: 95 → 60 °C 3.4 h covered, 1.9 h open; 60 → 25 °C 13.3 h; ice bath 60 → 21 °C 0.45 h', () => {
    // covered: 18845 s · ln(73/38) = 12304 s = 3.42 h; 18845 · ln(38/3) = 47850 s = 13.3 h
    expect(hours(95, 60, {})).toBeCloseTo(3.42, 1);
    expect(hours(95, 60, { lid: 'off' })).toBeCloseTo(1.9, 1);
    expect(hours(60, 25, {}) / 13.3).toBeCloseTo(1, 2);
    // ice: 150·(side + base) = 34.6 W/K; 50141/34.6 · ln(58/19) = 1617 s
    const ice = { lossWPerK: lossWPerK('iceBath', 0.3, levelM(12_000, 0.3)), ambientC: 2 };
    expect(hours(60, 21, ice)).toBeCloseTo(0.45, 2);
  });
  it('a litre bottle 8.5 cm wide in a fridge at 4 °C: 21 → 5 °C in 7.0 h, 8 → 5 °C in 3.4 h', () => {
    // UA = 8·(π·0.085·0.1762 + 2·0.00567) = 0.467 W/K; 4178/0.467 = 8942 s; · ln 17 = 7.04 h, · ln 4 = 3.44 h
    const bottle: ThermalSetting = {
      capacityJPerK: heatCapacityJPerK(998.2, 0, 0, 0),
      lossWPerK: bottleLossWPerK(0.085, levelM(1000, 0.085)),
      ambientC: 4,
      powerW: 0,
      surfaceM2: 0,
      lid: 'on',
    };
    expect(temperaturePath(21, bottle, { targetC: 5 }).minutes / 60).toBeCloseTo(7.04, 1);
    expect(temperaturePath(8, bottle, { targetC: 5 }).minutes / 60).toBeCloseTo(3.44, 1);
  });
  it('never cools below what stands around it', () => {
    expect(temperaturePath(60, twelveLitres({}), { targetC: 20 }).end).toBe('never');
  });
});

describe('extraction', () => {
  const calyx = TABLES.ingredients.get('hibiscus-dried')!;
  const drawn = (tempC: number, minutes: number) =>
    drawnAfter(0, calyx.rate100PerMin, calyx.activationKJ, tempC, minutes);
  it('dried calyx: 100 °C 5 min 71 %, 15 min 98 %; 25 °C 5 h 95 %; 4 °C 12 h 87 %', () => {
    // 1 − e^(−0.25·5) = 0.713; 25 °C: k = 0.25·exp(−40000/8.314·(1/298.15 − 1/373.15)) = 0.00976, · 300 min = 2.93
    expect(drawn(100, 5)).toBeCloseTo(0.713, 2);
    expect(drawn(100, 15)).toBeCloseTo(0.976, 2);
    expect(drawn(25, 300)).toBeCloseTo(0.947, 2);
    expect(drawn(4, 720)).toBeCloseTo(0.874, 2);
  });
  it('goes on from where it stood, and what is not modelled is not drawn', () => {
    expect(drawnAfter(drawn(60, 30), calyx.rate100PerMin, calyx.activationKJ, 60, 30)).toBeCloseTo(
      drawn(60, 60),
      12,
    );
    expect(drawnAfter(0.2, null, null, 100, 1000)).toBe(0.2);
  });
  it('red halves in 3 h at 100 °C and never slower than in 90 days', () => {
    expect(redLeft(100, 180)).toBeCloseTo(0.5, 9);
    expect(redLeft(-10, 90 * 24 * 60)).toBeCloseTo(0.5, 9);
  });
});

describe('room in the pot', () => {
  it('level and volume are each other’s inverse', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50_000, noNaN: true }),
        fc.double({ min: 0.05, max: 0.8, noNaN: true }),
        (ml, d) => {
          expect(mlAtLevel(levelM(ml, d), d)).toBeCloseTo(ml, 5);
        },
      ),
    );
  });
  it('a fresh solid counts without its own water, dried calyx stands proud', () => {
    // peel: 0.94 − 0.82 = 0.12 mL/g; calyx: 0.70 − 0.10 + 0.5 = 1.1 mL/g
    expect(solidVolumeMl(TABLES.ingredients.get('pineapple-peel')!, 1000)).toBeCloseTo(120, 6);
    expect(solidVolumeMl(TABLES.ingredients.get('hibiscus-dried')!, 200)).toBeCloseTo(220, 6);
  });
  it('foam and 92 % of the brim: 17 L pot, 12 L at 100 °C and 330 mL of calyx', () => {
    // 16965 mL: limit 15608, foam 12 % = 2036, fill 12000·1.0416 + 330 = 12829 → 743 mL to spare
    const capacity = capacityMl({ diameterM: 0.3, heightM: 0.24 });
    const room = roomIn(capacity, hotFillMl(12_000, 100, 330), 'foamy');
    expect(capacity).toBeCloseTo(16_965, 0);
    expect(room.foamMl).toBeCloseTo(2035.8, 0);
    expect(room.spareMl).toBeCloseTo(743, -1);
  });
  it('water to cover plus 2 cm', () => {
    // 1 kg of peel: bed 1000/0.55 = 1818 mL, takes 940; 0.0707 m² · 2 cm = 1414 mL → 2292 mL
    const solids = [{ row: TABLES.ingredients.get('pineapple-peel')!, massG: 1000 }];
    expect(coverWaterMl(areaM2(0.3), 2, solids)).toBeCloseTo(2292, 0);
  });
});

describe('fruit to come', () => {
  it('so much a fruit so far, so many more like them', () => {
    // 5 limes gave 130 mL: 26 each. 250 are wanted: 120 more are 4.6 limes, so 5.
    expect(fruitToCome(250, 130, 5)).toEqual({ perPieceMl: 26, more: 5 });
    // Exactly enough with four more: 104 of 104.
    expect(fruitToCome(234, 130, 5)).toEqual({ perPieceMl: 26, more: 4 });
    expect(fruitToCome(100, 130, 5)!.more).toBe(0);
    expect(fruitToCome(100, 0, 5)).toBeNull();
    expect(fruitToCome(100, 50, 0)).toBeNull();
  });
});
