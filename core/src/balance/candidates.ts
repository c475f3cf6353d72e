import type { Kitchen } from '../documents/kitchen.ts';
import { type Composition, massG, ofLiquid, ofSweetener, scaled, water } from '../liquor/composition.ts';
import { juicePerKg, pressedOf } from '../physics/juice.ts';
import { juiceToolOf } from '../program/model/kitchen.ts';
import type { Origin } from '../program/model/liquor.ts';
import { FRUIT_ROWS } from '../tables/fruits.ts';
import { factsOfSweetener, type SweetenerFacts } from '../tables/sweetenerFacts.ts';
import type { Tables } from '../tables/types.ts';

export type CandidateKind = 'sweetener' | 'liquid' | 'fruit' | 'lessWater';

/** Something that may go into a drink to move its balance. */
export interface Candidate {
  /** The item, a whole fruit of the fruit table, or `less-water`. */
  id: string;
  kind: CandidateKind;
  /** What one unit brings: a gram, or the juice of one fruit. */
  unit: Composition;
  unitG: number;
  /** Comes in whole pieces only. */
  whole: boolean;
  /** For a fruit: the liquid it gives, and how much of it. */
  juice: { itemId: string; ml: number } | null;
  /** As many units as there are of it. */
  most: number;
  cap: SweetenerFacts['cap'];
  origin: Origin['kind'];
}

/** As many units as anybody would want: nothing bounds it but the pot. */
const NO_BOUND = Number.POSITIVE_INFINITY;

/** A plan may be made with less water: the grams come out of what would be poured. */
export const LESS_WATER = 'less-water';

/**
 * A candidate by its id: a sweetener, a liquid, a whole citrus or other fruit whose juice is known, or less water.
 * @param mostG grams of it that there are (fruit as weighed); without: as much as one likes.
 * @returns null where nothing is known of it.
 */
export function candidateOf(
  id: string,
  tables: Tables,
  kitchen: Pick<Kitchen, 'hardnessMeqPerL' | 'tools'>,
  mostG = NO_BOUND,
): Candidate | null {
  const gram = { unitG: 1, whole: false, juice: null, most: mostG };
  if (id === LESS_WATER)
    return { id, kind: 'lessWater', ...gram, unit: scaled(water(1), -1), cap: null, origin: 'water' };
  const sweetener = tables.sweeteners.get(id);
  if (sweetener)
    return {
      id,
      kind: 'sweetener',
      ...gram,
      unit: ofSweetener(sweetener, 1),
      cap: factsOfSweetener(id)?.cap ?? null,
      origin: 'sweetener',
    };
  const liquid = tables.liquids.get(id);
  if (liquid)
    return {
      id,
      kind: 'liquid',
      ...gram,
      unit: ofLiquid(liquid, 1 / liquid.densityGPerMl, kitchen.hardnessMeqPerL),
      cap: null,
      origin: liquid.treatment,
    };
  const fruit = FRUIT_ROWS.find((f) => f.id === id);
  const pressed = fruit ? pressedOf(fruit, tables) : null;
  if (!fruit || !pressed) return null;
  const { row, juice: juiceRow } = pressed;
  // Of a fruit that is bought whole only the flesh is juiced.
  const juicedG = row.piece?.massG ?? fruit.wholeG;
  const perKg = juicePerKg(row, row.role === 'citrus' ? 'hand' : juiceToolOf(kitchen));
  if (perKg === null) return null;
  const ml = (juicedG / 1000) * perKg;
  const unit = ofLiquid(juiceRow, ml);
  return {
    id,
    kind: 'fruit',
    unit,
    unitG: massG(unit),
    whole: true,
    juice: { itemId: juiceRow.id, ml },
    most: mostG === NO_BOUND ? NO_BOUND : Math.floor(mostG / fruit.wholeG + 1e-9),
    cap: null,
    origin: juiceRow.treatment,
  };
}
