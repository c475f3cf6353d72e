/**
 * Units of volume and mass, each as arithmetic on its definition, so that a new unit is a new row.
 * Canonical inside the core: millilitres or litres, grams, degrees Celsius, minutes.
 */
const CUBIC_INCH_ML = 2.54 ** 3;
const US_GALLON_ML = 231 * CUBIC_INCH_ML;
const IMPERIAL_GALLON_ML = 4546.09;
const POUND_G = 453.59237;

export interface UnitRow {
  id: string;
  dimension: 'volume' | 'mass';
  /** Millilitres or grams in one of it. */
  factor: number;
  /** As it is written behind a figure. */
  symbol?: string;
  system: 'metric' | 'us' | 'imperial' | 'any';
  source: string;
}

export const UNIT_ROWS: readonly UnitRow[] = [
  { id: 'mL', dimension: 'volume', factor: 1, symbol: 'mL', system: 'any', source: 'SI' },
  { id: 'cL', dimension: 'volume', factor: 10, system: 'any', source: 'SI' },
  { id: 'dL', dimension: 'volume', factor: 100, system: 'any', source: 'SI' },
  { id: 'L', dimension: 'volume', factor: 1000, symbol: 'L', system: 'any', source: 'SI' },
  {
    id: 'metricTeaspoon',
    dimension: 'volume',
    factor: 5,
    system: 'metric',
    source: 'Metric kitchen convention',
  },
  {
    id: 'metricTablespoon',
    dimension: 'volume',
    factor: 15,
    system: 'metric',
    source: 'Metric kitchen convention',
  },
  {
    id: 'metricCup',
    dimension: 'volume',
    factor: 250,
    system: 'metric',
    source: 'Metric kitchen convention',
  },
  {
    id: 'usTeaspoon',
    dimension: 'volume',
    factor: US_GALLON_ML / 768,
    system: 'us',
    source: 'US gallon / 768',
  },
  {
    id: 'usTablespoon',
    dimension: 'volume',
    factor: US_GALLON_ML / 256,
    system: 'us',
    source: 'US gallon / 256',
  },
  {
    id: 'usFluidOunce',
    dimension: 'volume',
    factor: US_GALLON_ML / 128,
    symbol: 'fl oz',
    system: 'us',
    source: 'US gallon / 128',
  },
  { id: 'usCup', dimension: 'volume', factor: US_GALLON_ML / 16, system: 'us', source: 'US gallon / 16' },
  {
    id: 'usPint',
    dimension: 'volume',
    factor: US_GALLON_ML / 8,
    symbol: 'pt',
    system: 'us',
    source: 'US gallon / 8',
  },
  {
    id: 'usQuart',
    dimension: 'volume',
    factor: US_GALLON_ML / 4,
    symbol: 'qt',
    system: 'us',
    source: 'US gallon / 4',
  },
  {
    id: 'usGallon',
    dimension: 'volume',
    factor: US_GALLON_ML,
    symbol: 'gal',
    system: 'us',
    source: '231 cubic inches',
  },
  {
    id: 'imperialFluidOunce',
    dimension: 'volume',
    factor: IMPERIAL_GALLON_ML / 160,
    symbol: 'fl oz',
    system: 'imperial',
    source: 'Imperial gallon / 160',
  },
  {
    id: 'imperialCup',
    dimension: 'volume',
    factor: IMPERIAL_GALLON_ML / 16,
    system: 'imperial',
    source: 'Half an imperial pint, as older kitchen sets have it',
  },
  {
    id: 'imperialPint',
    dimension: 'volume',
    factor: IMPERIAL_GALLON_ML / 8,
    symbol: 'pt',
    system: 'imperial',
    source: 'Imperial gallon / 8',
  },
  {
    id: 'imperialQuart',
    dimension: 'volume',
    factor: IMPERIAL_GALLON_ML / 4,
    symbol: 'qt',
    system: 'imperial',
    source: 'Imperial gallon / 4',
  },
  {
    id: 'imperialGallon',
    dimension: 'volume',
    factor: IMPERIAL_GALLON_ML,
    symbol: 'gal',
    system: 'imperial',
    source: '4.54609 L by definition',
  },
  { id: 'g', dimension: 'mass', factor: 1, symbol: 'g', system: 'any', source: 'SI' },
  { id: 'kg', dimension: 'mass', factor: 1000, symbol: 'kg', system: 'any', source: 'SI' },
  {
    id: 'ounce',
    dimension: 'mass',
    factor: POUND_G / 16,
    symbol: 'oz',
    system: 'us',
    source: 'International pound / 16',
  },
  {
    id: 'pound',
    dimension: 'mass',
    factor: POUND_G,
    symbol: 'lb',
    system: 'us',
    source: '453.59237 g by definition',
  },
];

const UNITS = new Map(UNIT_ROWS.map((row) => [row.id, row]));

/**
 * The row of a unit.
 * @throws RangeError naming the known units when `id` is not one of them.
 */
export function unitOf(id: string): UnitRow {
  const row = UNITS.get(id);
  if (!row) throw new RangeError(`unknown unit ${id}; known: ${[...UNITS.keys()].join(', ')}`);
  return row;
}

/**
 * An amount in another unit of the same dimension.
 * @throws RangeError when either unit is unknown or the two measure different things.
 */
export function convert(value: number, fromId: string, toId: string): number {
  const from = unitOf(fromId);
  const to = unitOf(toId);
  if (from.dimension !== to.dimension)
    throw new RangeError(`${fromId} is ${from.dimension}, ${toId} is ${to.dimension}`);
  return (value * from.factor) / to.factor;
}

/** Centimetres in an inch, metres in a foot: by definition since 1959. */
export const INCH_CM = 2.54;
export const FOOT_M = 0.3048;

export const fahrenheitOf = (tempC: number): number => (tempC * 9) / 5 + 32;
export const celsiusOf = (tempF: number): number => ((tempF - 32) * 5) / 9;

export const UNIT_SYSTEMS = ['metric', 'us', 'imperial'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

export const DEGREES = ['celsius', 'fahrenheit'] as const;
/** How heat is written. */
export type Degrees = (typeof DEGREES)[number];
/** What goes with the units of a kitchen, until it says otherwise. */
export const USUAL_DEGREES: Readonly<Record<UnitSystem, Degrees>> = {
  metric: 'celsius',
  us: 'fahrenheit',
  imperial: 'celsius',
};
