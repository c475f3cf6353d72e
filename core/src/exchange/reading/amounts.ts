import { juicePerKg } from '../../physics/juice.ts';
import { FAMILY_ROWS, type FamilyRow } from '../../tables/families.ts';
import { FILLS, MEASURE_WORDS, type MeasureWord, PACKED_SHARE } from '../../tables/reading/measureWords.ts';
import type { Tables } from '../../tables/types.ts';
import { gramsOf } from '../../units/measures.ts';
import { unitOf } from '../../units/units.ts';
import { type ItemFacts, itemFacts } from '../items.ts';
import type { Quantity } from './quantities/quantities.ts';
import type { Grams, ReadAmount, ReadingKit, ReadLine } from './types.ts';

/** The unit of a measure in this kitchen: cups and pints are its own. Null: so many pieces. */
export const unitOfMeasure = (row: MeasureWord, kit: ReadingKit): string =>
  (kit.system === 'us' ? row.usId : kit.system === 'imperial' ? row.imperialId : undefined) ?? row.id;

/** An amount as it was said. */
export function amountOf(q: Quantity, words: string, kit: ReadingKit): ReadAmount {
  return {
    kind: 'said',
    value: q.value,
    ...(q.max === undefined ? {} : { max: q.max }),
    unit: q.measure ? unitOfMeasure(q.measure, kit) : null,
    ...(q.how ? { how: q.how } : {}),
    words,
  };
}

const dimensionOf = (unit: string | null): 'mass' | 'volume' | null => {
  if (!unit) return null;
  try {
    return unitOf(unit).dimension;
  } catch {
    return null;
  }
};

export const isMass = (unit: string | null): boolean => dimensionOf(unit) === 'mass';

/** What two amounts of one thing come to, in the unit of the first. Null where they cannot be added. */
export function added(a: ReadAmount, b: ReadAmount): ReadAmount | null {
  if (a.kind !== 'said' || b.kind !== 'said') return null;
  let share = 1;
  if (a.unit !== b.unit) {
    const dimension = dimensionOf(a.unit);
    if (!dimension || dimension !== dimensionOf(b.unit)) return null;
    share = unitOf(b.unit!).factor / unitOf(a.unit!).factor;
  }
  return {
    ...a,
    value: a.value + b.value * share,
    ...(a.max === undefined && b.max === undefined
      ? {}
      : { max: (a.max ?? a.value) + (b.max ?? b.value) * share }),
    words: `${a.words} + ${b.words}`,
  };
}

/** How one amount of a thing stands to another: 1 the same, under 1 less of it. Null where nothing can be said. */
export function compared(b: ReadAmount, a: ReadAmount): number | null {
  if (a.kind !== 'said' || b.kind !== 'said' || !(a.value > 0)) return null;
  if (a.unit === b.unit) return (b.max ?? b.value) / (a.max ?? a.value);
  const dimension = dimensionOf(a.unit);
  if (!dimension || dimension !== dimensionOf(b.unit)) return null;
  return ((b.max ?? b.value) * unitOf(b.unit!).factor) / ((a.max ?? a.value) * unitOf(a.unit!).factor);
}

const rowOf = (unit: string | null): MeasureWord | undefined =>
  unit ? MEASURE_WORDS.find((m) => m.id === unit || m.usId === unit || m.imperialId === unit) : undefined;

/** A share by which pieces of one kind differ from another. */
const PIECE_SPREAD = 0.2;

/**
 * Grams of an amount of an item, from the least that may be meant to the most. A cup that the kitchen has weighed is
 * sure; a handful is open by half.
 * @returns null where the measure says nothing about the thing.
 */
export function gramsOfRead(
  amount: ReadAmount,
  itemId: string,
  family: FamilyRow | undefined,
  tables: Tables,
  kit: ReadingKit,
): { grams: Grams; vague: boolean } | null {
  if (amount.kind !== 'said') return null;
  const facts = itemFacts(itemId, tables);
  if (!facts) return null;
  const row = rowOf(amount.unit);
  const per = gramsPerOne(amount, row, itemId, family, tables, kit);
  if (per === null) return null;
  const fill = amount.how ? FILLS[amount.how] : undefined;
  const weighed = kit.cupWeights.some((w) => w.ingredientId === itemId);
  const heavy = fill && (amount.how === 'packed' ? packedShare(itemId, facts.kind) : fill.share);
  const each = per * (heavy ?? 1);
  const isMass = dimensionOf(amount.unit) === 'mass';
  const spread =
    (isMass || facts.kind === 'liquid'
      ? (row?.spread ?? 0.02)
      : weighed
        ? 0.05
        : (row?.spread ?? PIECE_SPREAD) + (dimensionOf(amount.unit) === 'volume' ? 0.1 : 0)) +
    (fill?.spread ?? 0);
  const far = amount.max ?? amount.value;
  return {
    grams: {
      likely: ((amount.value + far) / 2) * each,
      min: amount.value * each * Math.max(0.1, 1 - spread),
      max: far * each * (1 + spread),
    },
    vague: spread >= 0.35,
  };
}

/** Brown sugar of the tables is weighed packed already. */
const packedShare = (_itemId: string, kind: string): number => (kind === 'sweetener' ? 1 : PACKED_SHARE);

function gramsPerOne(
  amount: ReadAmount,
  row: MeasureWord | undefined,
  itemId: string,
  family: FamilyRow | undefined,
  tables: Tables,
  kit: ReadingKit,
): number | null {
  const facts = itemFacts(itemId, tables)!;
  const density = facts.densityGPerMl ?? facts.measurable.bulkGPerMl;
  const familyId = family?.id ?? '';
  // Fluid ounces and those of weight are told apart by what is measured.
  const unit = amount.unit === 'ounce' && facts.kind === 'liquid' ? 'usFluidOunce' : amount.unit;
  const piece = facts.measurable.piece;
  if (row && unit && dimensionOf(unit) === null) {
    const own = row.familyG?.[familyId];
    if (own !== undefined) return own;
    if (piece && piece.id === unit) return piece.massG;
    if (row.volumeMl) return row.volumeMl * density;
    if (row.massG) return row.massG;
    // "five pieces", "six grains", "two branches": so many of the thing itself.
    if (piece && ['piece', 'seed', 'star', 'stick', 'stalk', 'pod', 'clove', 'leaf', 'hand'].includes(unit))
      return piece.massG;
    return null;
  }
  if (unit) return gramsOf(1, unit, facts.measurable, kit);
  return gramsPerPiece(itemId, facts, family, tables);
}

/** Grams of one of the thing itself: a piece, the part of one fruit, or what one fruit gives squeezed by hand. */
function gramsPerPiece(
  itemId: string,
  facts: ItemFacts,
  family: FamilyRow | undefined,
  tables: Tables,
): number | null {
  if (family?.juice?.itemId === itemId) {
    const fruit = tables.ingredients.get(family.juice.from);
    const perKg = fruit ? juicePerKg(fruit, 'hand') : null;
    if (fruit?.piece && perKg !== null)
      return (fruit.piece.massG / 1000) * perKg * (facts.densityGPerMl ?? 1);
  }
  return facts.measurable.piece?.massG ?? null;
}

export const familyById = (id: string | null): FamilyRow | undefined => FAMILY_ROWS.find((f) => f.id === id);

/** Weighing one is worth while where the most that may be meant is so many times the least. */
const WORTH_WEIGHING = 1.3;

/**
 * The measure of which the kitchen would have to weigh one fill to know how much was meant: a cup or a spoon of something
 * that lies loose or close. Null where the amount is sure, or weighing tells nothing.
 */
export function measureToWeigh(
  line: Pick<ReadLine, 'itemId' | 'amount' | 'massG'>,
  tables: Tables,
  kit: ReadingKit,
): string | null {
  const { itemId, amount, massG } = line;
  if (!itemId || amount?.kind !== 'said' || !massG || amount.how) return null;
  if (itemFacts(itemId, tables)?.kind === 'liquid' || dimensionOf(amount.unit) !== 'volume') return null;
  if (kit.cupWeights.some((w) => w.ingredientId === itemId)) return null;
  return massG.max > massG.min * WORTH_WEIGHING ? amount.unit : null;
}
