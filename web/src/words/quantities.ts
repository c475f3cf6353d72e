import type { Kitchen } from '@big-ladle/core/documents';
import type { InstrumentKind } from '@big-ladle/core/log';
import {
  type FieldUnit,
  fieldUnit,
  typedFigure,
  type Written,
  writtenLength,
  writtenMass,
  writtenTemp,
  writtenTempDifference,
  writtenVolume,
} from '@big-ladle/core/units';
import { num } from './numbers.ts';

type Spoken = Pick<Kitchen, 'units' | 'degrees'>;

const METRIC: Spoken = { units: 'metric', degrees: 'celsius' };
let spoken = METRIC;

/** From now on figures are written in the units of this kitchen; an answer kept from an older version may not say. */
export function speakUnits({ units, degrees }: Partial<Spoken>): void {
  spoken = { units: units ?? METRIC.units, degrees: degrees ?? METRIC.degrees };
}

const text = ({ value, decimals, symbol }: Written): string => `${num(value, decimals)} ${symbol}`;

/** A figure and its unit apart, for a figure that stands large. */
export interface Figure {
  figure: string;
  unit: string;
}

const apart = ({ value, decimals, symbol }: Written): Figure => ({
  figure: num(value, decimals),
  unit: symbol,
});

const inLitres = (volumeL: number, decimals: number): Written =>
  spoken.units === 'metric'
    ? { value: volumeL, decimals, symbol: 'L' }
    : writtenVolume(volumeL, 10 ** (3 - decimals), spoken.units);

export const litres = (volumeL: number, decimals = 1): string => text(inLitres(volumeL, decimals));

export const litresApart = (volumeL: number, decimals = 1): Figure => apart(inLitres(volumeL, decimals));

const SMALL_L = 0.995;

/** Litres finely: small amounts in millilitres, to ten of them. */
export const volume = (volumeL: number): string =>
  text(writtenVolume(volumeL, Math.abs(volumeL) < SMALL_L ? 10 : 100, spoken.units));

const FINE_BELOW_L = 5;

/** As many decimals as say something: "1 L", "1.5 L", "1.25 L". */
export function decimalsOf(value: number, most: number): number {
  for (let d = 0; d < most; d++) if (Math.abs(value * 10 ** d - Math.round(value * 10 ** d)) < 0.05) return d;
  return most;
}

/** Litres as finely as a kitchen measures them; small amounts by the millilitre. */
export function poured(volumeL: number): string {
  const ml = volumeL * 1000;
  const stepMl = ml < 100 ? 1 : ml < 1000 ? 5 : volumeL < FINE_BELOW_L ? 10 : 100;
  return spoken.units === 'metric' && ml >= 1000
    ? litres(volumeL, decimalsOf(volumeL, volumeL < FINE_BELOW_L ? 2 : 1))
    : text(writtenVolume(volumeL, stepMl, spoken.units));
}

/** Two amounts that are told together, with their unit once where it is one: "710" and "750 mL". */
function together(first: Written, second: Written): [string, string] {
  return [first.symbol === second.symbol ? num(first.value, first.decimals) : text(first), text(second)];
}

const inMillilitres = (volumeMl: number): Written =>
  spoken.units === 'metric'
    ? { value: volumeMl, decimals: volumeMl < 10 && !Number.isInteger(volumeMl) ? 1 : 0, symbol: 'mL' }
    : writtenVolume(volumeMl / 1000, Math.abs(volumeMl) < 30 ? 1 : 10, spoken.units);

/** Millilitres as they are poured by glass and spoon: to the millilitre. */
export const millilitres = (volumeMl: number): string => text(inMillilitres(volumeMl));

/** Millilitres of so many, for "710 of 750 mL". */
export const millilitresOf = (partMl: number, wholeMl: number): [string, string] =>
  together(inMillilitres(partMl), inMillilitres(wholeMl));

/** Litres from and to, for "8.5 to 9.4 L". */
export const litresTo = (lowL: number, highL: number): [string, string] =>
  together(inLitres(lowL, 1), inLitres(highL, 1));

export const grams = (massG: number): string => writtenMass(massG, spoken.units).map(text).join(' ');

/** Kilograms, for what is weighed by them: ice, a full pot. */
export const kilograms = (massKg: number, decimals = 1): string =>
  spoken.units === 'metric' ? `${num(massKg, decimals)} kg` : grams(massKg * 1000);

/** Grams as nutrition is told in every kitchen. */
export const nutrientGrams = (massG: number): string => writtenMass(massG, METRIC.units).map(text).join(' ');

export const celsius = (tempC: number, decimals = 0): string =>
  text(writtenTemp(tempC, decimals, spoken.degrees));

/** By how many degrees. */
export const degrees = (byC: number, decimals = 0): string =>
  text(writtenTempDifference(byC, decimals, spoken.degrees));

/** Width and depth of a place, or the like. */
export const centimetresBy = (widthCm: number, depthCm: number): string => {
  const across = writtenLength(widthCm, 0, spoken.units);
  return `${num(across.value, across.decimals)} × ${centimetres(depthCm, 0)}`;
};

export const centimetres = (lengthCm: number, decimals = 1): string =>
  text(writtenLength(lengthCm, decimals, spoken.units));

/** The unit in which a field or a chart shows what its screen holds in this one. */
export const unitOfField = (unit: string, decimals: number): FieldUnit =>
  fieldUnit(unit, decimals, spoken.units, spoken.degrees);

/** A unit that is the same in every kitchen. */
export const plainUnit = (unit: string, decimals: number): FieldUnit =>
  fieldUnit(unit, decimals, METRIC.units, METRIC.degrees);

/** What an amount is told for each of: the measure of a drink that this kitchen thinks in, and how many litres it is. */
export function eachMeasure(): { name: 'litre' | 'quart' | 'pint'; litres: number } {
  const name = { metric: 'litre', us: 'quart', imperial: 'pint' } as const;
  return { name: name[spoken.units], litres: unitOfField('L', 1).held(1) };
}

/** What was typed into a field, in the unit that its screen holds; NaN where it makes no sense. */
export const typedIn = (text: string, unit: string, shown: FieldUnit): number =>
  typedFigure(text, unit, shown, spoken.units);

/** What an instrument shows, with its unit. */
export function sayReading(kind: InstrumentKind, value: number): string {
  switch (kind) {
    case 'probe':
    case 'fridgeLogger':
      return celsius(value, 1);
    case 'scale':
      return kilograms(value, 3);
    case 'refractometer':
      return `${num(value, 1)} °Bx`;
    case 'phStrip':
      return `pH ${num(value, 1)}`;
  }
}

const WRITERS: Readonly<Record<string, (value: number, decimals: number) => string>> = {
  C: celsius,
  /** A difference of temperature. */
  dC: degrees,
  cm: centimetres,
  m: (lengthM) => {
    const { shown, symbol } = unitOfField('m', 0);
    return `${num(shown(lengthM))} ${symbol}`;
  },
  mL: millilitres,
  L: litres,
  g: grams,
};

const CONSTANT = /^(\d+)([A-Za-z]+)$/;

/** An amount that stands in a sentence as it is: "60 °C" is written {60C}, "4 cm" {4cm}. Null: no such amount. */
export function writtenConstant(name: string): string | null {
  const [, figure, unit] = CONSTANT.exec(name) ?? [];
  const write = unit ? WRITERS[unit] : undefined;
  return write ? write(Number(figure), 0) : null;
}
