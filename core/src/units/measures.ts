import * as v from 'valibot';
import { between, id, name } from './fields.ts';
import { type UnitSystem, unitOf } from './units.ts';

/** A kitchen's own vessel for measuring: "the blue mug, 310 mL". */
export const measureSchema = v.strictObject({ id, name: name(60), volumeMl: between(1, 10_000) });
export type KitchenMeasure = v.InferOutput<typeof measureSchema>;

/** The kitchen's own weight for one level fill of a measure with an ingredient. */
export const cupWeightSchema = v.strictObject({
  ingredientId: id,
  /** A unit id (`metricCup`) or the id of a kitchen measure. */
  measureId: id,
  massG: between(0.1, 10_000),
});
export type CupWeight = v.InferOutput<typeof cupWeightSchema>;

/** What the model must know of an ingredient to turn grams into something a hand can measure. */
export interface Measurable {
  id: string;
  bulkGPerMl: number;
  piece: { id: string; massG: number } | null;
  /** A liquid is measured in jugs rather than cups. */
  liquid?: boolean;
}

/** An amount as a hand measures it, always with the weight beside. */
export interface HandAmount {
  /** Whole part and eighths-like fraction, e.g. 11 and '1/2'. */
  whole: number;
  fraction: Fraction;
  /** A unit id, a kitchen measure id, or a piece id. */
  unitId: string;
  kind: 'unit' | 'measure' | 'piece';
  massG: number;
  /** The amount stands between two marks: what the hand measures is within this share of the weight. */
  offBy: number;
}

export type Fraction = '' | '1/8' | '1/4' | '1/3' | '1/2' | '2/3' | '3/4';

const FRACTIONS: readonly { text: Fraction; value: number }[] = [
  { text: '', value: 0 },
  { text: '1/4', value: 1 / 4 },
  { text: '1/3', value: 1 / 3 },
  { text: '1/2', value: 1 / 2 },
  { text: '2/3', value: 2 / 3 },
  { text: '3/4', value: 3 / 4 },
];

/** Nearest amount with a fraction that a measuring cup has; above ten only halves, above thirty whole ones. */
export function handFraction(amount: number): { whole: number; fraction: Fraction; value: number } {
  const allowed =
    amount >= 30
      ? FRACTIONS.filter((f) => f.value === 0)
      : amount >= 10
        ? FRACTIONS.filter((f) => f.value === 0 || f.value === 0.5)
        : amount < 0.19
          ? [...FRACTIONS, { text: '1/8' as const, value: 1 / 8 }]
          : FRACTIONS;
  const floor = Math.floor(amount);
  let best = { whole: floor, fraction: '' as Fraction, value: floor };
  let miss = Math.abs(amount - floor);
  for (const whole of [floor, floor + 1]) {
    for (const f of allowed) {
      const value = whole + f.value;
      const off = Math.abs(amount - value);
      if (off < miss - 1e-12) {
        best = { whole, fraction: f.text, value };
        miss = off;
      }
    }
  }
  return best;
}

export interface MeasuringKit {
  system: UnitSystem;
  measures: readonly KitchenMeasure[];
  cupWeights: readonly CupWeight[];
  /** The measure this cook reaches for instead of a cup, if any. */
  preferredMeasureId?: string | undefined;
}

const SPOONS: Record<UnitSystem, { cup: string; tablespoon: string; teaspoon: string }> = {
  metric: { cup: 'metricCup', tablespoon: 'metricTablespoon', teaspoon: 'metricTeaspoon' },
  us: { cup: 'usCup', tablespoon: 'usTablespoon', teaspoon: 'usTeaspoon' },
  // Spoons of kitchens with imperial measures are metric ones today.
  imperial: { cup: 'imperialCup', tablespoon: 'metricTablespoon', teaspoon: 'metricTeaspoon' },
};

/** The cup of a kitchen that names none of its own. */
export const usualCup = (system: UnitSystem): string => SPOONS[system].cup;

/** Millilitres of a measure: a named unit or one of the kitchen's own. Null when unknown. */
export function measureVolumeMl(measureId: string, kit: Pick<MeasuringKit, 'measures'>): number | null {
  const own = kit.measures.find((m) => m.id === measureId);
  if (own) return own.volumeMl;
  try {
    const unit = unitOf(measureId);
    return unit.dimension === 'volume' ? unit.factor : null;
  } catch {
    return null;
  }
}

/**
 * Grams in one fill of a measure: the kitchen's own weighing if there is one, else that weighing carried
 * over from another measure by volume, else the table's bulk density.
 * @returns null when the measure is unknown.
 */
export function gramsPerMeasure(item: Measurable, measureId: string, kit: MeasuringKit): number | null {
  const volumeMl = measureVolumeMl(measureId, kit);
  if (volumeMl === null) return null;
  const own = kit.cupWeights.filter((w) => w.ingredientId === item.id);
  const same = own.find((w) => w.measureId === measureId);
  if (same) return same.massG;
  const other = own[0];
  const otherMl = other ? measureVolumeMl(other.measureId, kit) : null;
  if (other && otherMl) return (other.massG / otherMl) * volumeMl;
  return item.bulkGPerMl * volumeMl;
}

/**
 * An amount shown as a hand can measure it: whole pieces where the thing comes in pieces, else cups (or the
 * kitchen's own measure), tablespoons or teaspoons, with the fraction nearest to it and the weight beside.
 * @param massG grams, not negative.
 */
export function asHandMeasures(massG: number, item: Measurable, kit: MeasuringKit): HandAmount {
  const round = (perOne: number, unitId: string, kind: HandAmount['kind']): HandAmount => {
    const near = handFraction(massG / perOne);
    const shown = near.value * perOne;
    return {
      whole: near.whole,
      fraction: near.fraction,
      unitId,
      kind,
      massG,
      offBy: massG > 0 ? shown / massG - 1 : 0,
    };
  };
  if (item.piece && massG >= item.piece.massG * 0.4 && massG <= item.piece.massG * 40) {
    return round(item.piece.massG, item.piece.id, 'piece');
  }
  const spoons = SPOONS[kit.system];
  const cupId = kit.preferredMeasureId ?? spoons.cup;
  const candidates: { id: string; kind: HandAmount['kind'] }[] = [
    { id: cupId, kind: kit.preferredMeasureId ? 'measure' : 'unit' },
    { id: spoons.tablespoon, kind: 'unit' },
    { id: spoons.teaspoon, kind: 'unit' },
  ];
  // The largest measure of which there is at least a quarter (a whole one for a tablespoon).
  const minimum = [0.25, 1, 0];
  for (const [index, candidate] of candidates.entries()) {
    const perOne = gramsPerMeasure(item, candidate.id, kit);
    if (perOne && massG / perOne >= minimum[index]!) return round(perOne, candidate.id, candidate.kind);
  }
  return round(item.bulkGPerMl * unitOf(spoons.teaspoon).factor, spoons.teaspoon, 'unit');
}

/**
 * Grams of an amount given in any unit, measure or piece.
 * @returns null when the unit means nothing for this item.
 */
export function gramsOf(value: number, unitId: string, item: Measurable, kit: MeasuringKit): number | null {
  if (item.piece?.id === unitId) return value * item.piece.massG;
  const perMeasure = gramsPerMeasure(item, unitId, kit);
  if (perMeasure !== null) return value * perMeasure;
  try {
    const unit = unitOf(unitId);
    return unit.dimension === 'mass' ? value * unit.factor : null;
  } catch {
    return null;
  }
}
