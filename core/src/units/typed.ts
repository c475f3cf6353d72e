import { celsiusOf, FOOT_M, INCH_CM, UNIT_ROWS, type UnitSystem } from './units.ts';
import type { FieldUnit } from './written.ts';

type Dimension = 'volume' | 'mass' | 'temp' | 'length';

/** A unit that may be typed behind a figure: how its figure is told in mL, g, °C or cm. */
interface TypedUnit {
  symbols: readonly string[];
  dimension: Dimension;
  base: (figure: number) => number;
}

const by =
  (factor: number) =>
  (figure: number): number =>
    figure * factor;

const OTHERS: readonly TypedUnit[] = [
  { symbols: ['°c', 'c'], dimension: 'temp', base: by(1) },
  { symbols: ['°f', 'f'], dimension: 'temp', base: celsiusOf },
  { symbols: ['mm'], dimension: 'length', base: by(0.1) },
  { symbols: ['cm'], dimension: 'length', base: by(1) },
  { symbols: ['m'], dimension: 'length', base: by(100) },
  { symbols: ['in', '"', '″'], dimension: 'length', base: by(INCH_CM) },
  { symbols: ['ft', "'", '′'], dimension: 'length', base: by(FOOT_M * 100) },
];

/** A pint is another one on the other side of the sea: a kitchen's own is meant, in metric ones nobody's. */
const unitsOf = (system: UnitSystem): TypedUnit[] => [
  ...UNIT_ROWS.flatMap(({ symbol, dimension, factor, system: whose }) =>
    symbol !== undefined && (dimension === 'mass' || whose === 'any' || whose === system)
      ? [{ symbols: [symbol.toLowerCase()], dimension, base: by(factor) }]
      : [],
  ),
  ...OTHERS,
];

/** A figure with at most one point or comma in it. */
export function parseFigure(text: string): number {
  const clean = text.replace(/\s/g, '').replace(',', '.');
  return clean === '' ? Number.NaN : Number(clean);
}

const PARTS = /([\d\s.,+-]+)([^\d.,+-]+)/g;

/**
 * A figure as it was typed into a field: bare, it is in the unit that the field shows; "2 gal", "1 lb 4 oz", "180 F" are
 * in what they say.
 * @param held the unit of what comes back.
 * @returns NaN where it makes no sense.
 */
export function typedFigure(text: string, held: string, shown: FieldUnit, system: UnitSystem): number {
  const plain = text.trim().replace(/[\s.]+$/, '');
  const bare = parseFigure(plain);
  if (!Number.isNaN(bare)) return shown.held(bare);
  const known = unitsOf(system);
  const find = (symbol: string) => known.find((u) => u.symbols.includes(symbol));
  const parts = [...plain.matchAll(PARTS)];
  if (parts.map((p) => p[0]).join('') !== plain) return Number.NaN;
  const told = parts.map(([, figure = '', symbol = '']) => ({
    figure: parseFigure(figure),
    symbol: symbol.trim().replace(/\s+/g, ' ').toLowerCase(),
  }));
  const [only] = told;
  if (told.length === 1 && only?.symbol === shown.symbol.toLowerCase()) return shown.held(only.figure);
  const wanted = find(held.toLowerCase());
  let sum = 0;
  for (const { figure, symbol } of told) {
    const unit = find(symbol);
    if (!wanted || unit?.dimension !== wanted.dimension) return Number.NaN;
    if (told.length > 1 && unit.dimension === 'temp') return Number.NaN;
    sum += unit.base(figure);
  }
  return told.length === 0 || !wanted ? Number.NaN : sum / wanted.base(1);
}
