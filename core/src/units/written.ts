import { celsiusOf, type Degrees, FOOT_M, fahrenheitOf, INCH_CM, type UnitSystem, unitOf } from './units.ts';

/**
 * A figure as a kitchen writes it: in the unit that its hands know for so much of it, with as many decimals as the
 * figure itself is fine. Two of them for pounds and ounces.
 */
export interface Written {
  value: number;
  decimals: number;
  symbol: string;
}

/** From so much on, mL or g, a unit is written; the first that fits, rounded, is taken. */
interface Rung {
  from: number;
  unitId: string;
}

const VOLUMES: Record<UnitSystem, readonly Rung[]> = {
  metric: [
    { from: 995, unitId: 'L' },
    { from: 0, unitId: 'mL' },
  ],
  // Pots and jugs are known by quarts up to five gallons.
  us: [
    { from: 5 * unitOf('usGallon').factor, unitId: 'usGallon' },
    { from: unitOf('usQuart').factor, unitId: 'usQuart' },
    { from: 0, unitId: 'usFluidOunce' },
  ],
  imperial: [
    { from: 2 * unitOf('imperialGallon').factor, unitId: 'imperialGallon' },
    { from: unitOf('imperialPint').factor, unitId: 'imperialPint' },
    { from: 0, unitId: 'imperialFluidOunce' },
  ],
};

/** Units of fields: a figure that is typed keeps one unit, whatever is typed. */
const FIELD_UNITS: Record<UnitSystem, Readonly<Record<string, string>>> = {
  metric: {},
  us: { L: 'usQuart', mL: 'usFluidOunce', kg: 'pound', g: 'ounce' },
  imperial: { L: 'imperialPint', mL: 'imperialFluidOunce', kg: 'pound', g: 'ounce' },
};

/** Three are read as thousands where the comma is a point. */
const MOST_DECIMALS = 2;

/** So many decimals of a unit are as fine as a step of the figure: a tenth of a litre is a tenth of a quart, a hundredth of a gallon. */
const decimalsFor = (unit: number, step: number): number =>
  Math.min(MOST_DECIMALS, Math.max(0, Math.ceil(Math.log10(unit / step) - 0.03)));

/**
 * Litres as they are written.
 * @param stepMl how fine the figure is.
 */
export function writtenVolume(volumeL: number, stepMl: number, system: UnitSystem): Written {
  const volumeMl = volumeL * 1000;
  const size = Math.abs(volumeMl) + stepMl / 2;
  const { unitId } = VOLUMES[system].find((r) => size >= r.from) ?? VOLUMES[system].at(-1)!;
  const { factor, symbol = '' } = unitOf(unitId);
  // Millilitres are counted in steps; nobody counts fluid ounces so.
  const shownMl = factor < stepMl && system === 'metric' ? Math.round(volumeMl / stepMl) * stepMl : volumeMl;
  return { value: shownMl / factor, decimals: decimalsFor(factor, stepMl), symbol };
}

const { factor: OUNCE_G, symbol: OUNCE = '' } = unitOf('ounce');
const { symbol: POUND = '' } = unitOf('pound');
const OUNCES_IN_POUND = 16;
/** Less is weighed on a fine scale, which reads grams everywhere. */
const GRAMS_BELOW_OZ = 0.25;
const TENTHS_FROM_OZ = 3;
/** From so many pounds on, an ounce is fine enough. */
const WHOLE_OUNCES_FROM_LB = 5;

/** Grams as they are written: one figure, or pounds and ounces. */
export function writtenMass(massG: number, system: UnitSystem): readonly Written[] {
  const ounces = massG / OUNCE_G;
  if (system === 'metric' || ounces < GRAMS_BELOW_OZ) {
    if (massG >= 1000) return [{ value: massG / 1000, decimals: 2, symbol: 'kg' }];
    return [{ value: massG, decimals: massG >= 20 ? 0 : 1, symbol: 'g' }];
  }
  if (ounces < OUNCES_IN_POUND - 0.05)
    return [{ value: ounces, decimals: ounces < TENTHS_FROM_OZ ? 2 : 1, symbol: OUNCE }];
  const decimals = ounces < WHOLE_OUNCES_FROM_LB * OUNCES_IN_POUND ? 1 : 0;
  const rounded = Math.round(ounces * 10 ** decimals) / 10 ** decimals;
  const pounds = Math.floor(rounded / OUNCES_IN_POUND + 1e-9);
  const left = rounded - pounds * OUNCES_IN_POUND;
  return [
    { value: pounds, decimals: 0, symbol: POUND },
    ...(left < 0.05 ? [] : [{ value: left, decimals, symbol: OUNCE }]),
  ];
}

export const writtenTemp = (tempC: number, decimals: number, degrees: Degrees): Written =>
  degrees === 'celsius'
    ? { value: tempC, decimals, symbol: '°C' }
    : { value: fahrenheitOf(tempC), decimals, symbol: '°F' };

/** By how much two temperatures differ. */
export const writtenTempDifference = (byC: number, decimals: number, degrees: Degrees): Written =>
  degrees === 'celsius'
    ? { value: byC, decimals, symbol: '°C' }
    : { value: (byC * 9) / 5, decimals, symbol: '°F' };

/** @param decimals of the centimetres. */
export const writtenLength = (lengthCm: number, decimals: number, system: UnitSystem): Written =>
  system === 'metric'
    ? { value: lengthCm, decimals, symbol: 'cm' }
    : { value: lengthCm / INCH_CM, decimals: decimals + 1, symbol: 'in' };

/** A unit in which a field shows and takes what its screen holds in another. */
export interface FieldUnit {
  symbol: string;
  decimals: number;
  shown: (value: number) => number;
  held: (value: number) => number;
}

/** @param decimals of the figure that the screen holds. */
export function fieldUnit(unit: string, decimals: number, system: UnitSystem, degrees: Degrees): FieldUnit {
  const scaled = (symbol: string, factor: number): FieldUnit => ({
    symbol,
    decimals: decimalsFor(factor, 10 ** -decimals),
    shown: (value) => value / factor,
    held: (value) => value * factor,
  });
  if (unit === '°C' && degrees === 'fahrenheit')
    return { symbol: '°F', decimals, shown: fahrenheitOf, held: celsiusOf };
  if (unit === 'cm' && system !== 'metric') return scaled('in', INCH_CM);
  if (unit === 'm' && system !== 'metric') return scaled('ft', FOOT_M);
  const other = FIELD_UNITS[system][unit];
  if (other) return scaled(unitOf(other).symbol ?? '', unitOf(other).factor / unitOf(unit).factor);
  return { symbol: unit, decimals, shown: (value) => value, held: (value) => value };
}
