import type { Instead, JuiceTool, RecipeLine } from '../documents/recipe.ts';
import {
  type Composition,
  massG,
  minus,
  ofLiquid,
  ofSweetener,
  plus,
  sourGPerLOf,
  volumeMl,
  WATER_20_G_PER_ML,
  withWaterFor,
} from '../liquor/composition.ts';
import { fruitForJuice, pressedOf } from '../physics/juice.ts';
import { FRUIT_ROWS } from '../tables/fruits.ts';
import { DISSOLVES_FROM_C, factsOfSweetener, type SweetenerFacts } from '../tables/sweetenerFacts.ts';
import type { IngredientRow, SweetenerRow, Tables } from '../tables/types.ts';

/** What a swap leaves as it is. */
export type Keeps = 'sweetness' | 'sugar';

export interface SweetenerSwap {
  fromId: string;
  toId: string;
  keeps: Keeps;
  massG: number;
  /** As it is measured: spooned or poured. */
  bulkMl: number;
  /** What it brings along. */
  waterG: number;
  sugarG: number;
  /** Change against the one before: sugar-equivalent g, sugar g, kcal. */
  sweetMoreG: number;
  sugarMoreG: number;
  kcalMore: number;
  /** Goes in easily from here on, and loses its aroma above, °C. */
  dissolvesFromC: number;
  mostC: number | null;
  colour: SweetenerFacts['colour'];
  /** It would be more than it takes before it turns bitter or crystallises; judged for `inMl` of drink. */
  overCap: boolean;
}

/**
 * One sweetener in place of another.
 * @param grams of the one that is planned.
 * @param inMl the finished drink, to judge the cap of what takes its place.
 * @returns null where it cannot be done: a sweetener without sugar cannot keep the sugar.
 */
export function swapSweetener(
  from: SweetenerRow,
  grams: number,
  to: SweetenerRow,
  keeps: Keeps,
  inMl: number,
): SweetenerSwap | null {
  const was = ofSweetener(from, grams);
  const perG = keeps === 'sweetness' ? to.relativeSweetness : to.sugarPct / 100;
  if (perG <= 0) return null;
  const toG = (keeps === 'sweetness' ? was.sweetG : was.sugarG) / perG;
  const now = ofSweetener(to, toG);
  const facts = factsOfSweetener(to.id);
  const cap = facts?.cap ?? null;
  return {
    fromId: from.id,
    toId: to.id,
    keeps,
    massG: toG,
    bulkMl: toG / to.bulkGPerMl,
    waterG: now.waterG,
    sugarG: now.sugarG,
    sweetMoreG: now.sweetG - was.sweetG,
    sugarMoreG: now.sugarG - was.sugarG,
    kcalMore: (toG * to.kcalPer100g - grams * from.kcalPer100g) / 100,
    dissolvesFromC: DISSOLVES_FROM_C[to.dissolves],
    mostC: facts?.mostC ?? null,
    colour: facts?.colour ?? null,
    overCap:
      cap?.kind === 'gPerL'
        ? inMl > 0 && (1000 * toG) / inMl > cap.value
        : cap?.kind === 'sweetShare'
          ? // All the sweetness of the drink would be its own.
            cap.value < 1
          : false,
  };
}

/**
 * A drink sweetened otherwise at the same litres: what the new sweetener brings in water and room is poured less.
 * @returns the drink, and the millilitres of water that are left out (negative: more); null where there is not so much
 *   water in it.
 */
export function swappedInDrink(
  drink: Composition,
  from: Composition,
  to: Composition,
): { drink: Composition; waterLessMl: number } | null {
  const swapped = plus(minus(drink, from), to);
  const same = withWaterFor(swapped, volumeMl(drink));
  if (!same) return null;
  return { drink: same, waterLessMl: (swapped.waterG - same.waterG) / WATER_20_G_PER_ML };
}

/** Something sour that may take the place of something sour: a liquid by the millilitre, or a solid by the gram. */
export interface SourSwap {
  id: string;
  massG: number;
  /** Null for what is weighed. */
  volumeMl: number | null;
  /** Whole fruit that give it, where it is pressed from fruit. */
  fruit: { id: string; pieces: number; massG: number } | null;
  /** Sugar that comes with it, g, against what it replaces. */
  sugarMoreG: number;
  /** It has not been heated: the drink keeps no longer than raw juice does. */
  raw: boolean;
  /** It sours by vinegar: another taste, and it preserves. */
  acetic: boolean;
}

/** Fruit of which a juice is pressed, with the ingredient row that says how much. */
function fruitOf(liquidId: string, tables: Tables): { id: string; row: IngredientRow } | null {
  const fruit = FRUIT_ROWS.find((f) => f.parts.some((p) => p.share === 'juice' && p.itemId === liquidId));
  const pressed = fruit ? pressedOf(fruit, tables) : null;
  return fruit && pressed ? { id: fruit.id, row: pressed.row } : null;
}

/**
 * Equal sourness by acid, not by count of fruit: lemon, lime, tamarind, vinegar, fresh or bottled.
 * @param fromId a sour liquid or a sour solid of the tables.
 * @param amount millilitres of a liquid, grams of a solid.
 * @returns null where one of the two is not sour.
 */
export function swapSour(
  fromId: string,
  amount: number,
  toId: string,
  tables: Tables,
  tool: JuiceTool = 'hand',
): SourSwap | null {
  const liquid = tables.liquids.get(fromId);
  const solid = tables.ingredients.get(fromId);
  const sourG = liquid ? (amount * sourGPerLOf(liquid)) / 1000 : solid ? (amount * solid.acidPct) / 100 : 0;
  if (!(sourG > 0)) return null;
  const sugarG = liquid ? ofLiquid(liquid, amount).sugarG : solid ? (amount * solid.sugarPct) / 100 : 0;
  const toLiquid = tables.liquids.get(toId);
  if (toLiquid) {
    const per = sourGPerLOf(toLiquid) / 1000;
    if (!(per > 0)) return null;
    const ml = sourG / per;
    const fruit = fruitOf(toId, tables);
    const squeezed = fruit ? fruitForJuice(fruit.row, ml, tool) : null;
    return {
      id: toId,
      massG: ml * toLiquid.densityGPerMl,
      volumeMl: ml,
      fruit:
        fruit && squeezed?.pieces != null
          ? { id: fruit.id, pieces: Math.ceil(squeezed.pieces - 1e-9), massG: squeezed.massG }
          : null,
      sugarMoreG: ofLiquid(toLiquid, ml).sugarG - sugarG,
      raw: toLiquid.treatment === 'rawJuice',
      acetic: toLiquid.aceticPct > 0,
    };
  }
  const toSolid = tables.ingredients.get(toId);
  if (!toSolid || !(toSolid.acidPct > 0)) return null;
  const grams = sourG / (toSolid.acidPct / 100);
  return {
    id: toId,
    massG: grams,
    volumeMl: null,
    fruit: null,
    sugarMoreG: (grams * toSolid.sugarPct) / 100 - sugarG,
    raw: false,
    acetic: false,
  };
}

/** A ratio of a sour swap is kept to a thousandth. */
const toThousandth = (ratio: number): number => Math.round(ratio * 1000) / 1000;

/**
 * What goes in instead of a line of a recipe: a sweetener as sweet, something sour as sour by its acid.
 * @returns null where it is the line's own, or nothing that can take its place.
 */
export function insteadOfLine(
  line: Pick<RecipeLine, 'id' | 'itemId' | 'rule'>,
  itemId: string,
  tables: Tables,
): Instead | null {
  if (itemId === line.itemId) return null;
  const [own, other] = [tables.sweeteners.get(line.itemId), tables.sweeteners.get(itemId)];
  if (own && other) {
    // By taste the amount follows from the target; a line with an amount keeps its sweetness.
    const ratio =
      line.rule.kind === 'toTarget' ? 1 : Math.max(0.001, own.relativeSweetness / other.relativeSweetness);
    return { lineId: line.id, itemId, ratio };
  }
  const liquid = tables.liquids.get(line.itemId);
  const swap = liquid && tables.liquids.has(itemId) ? swapSour(line.itemId, 1000, itemId, tables) : null;
  return liquid && swap
    ? { lineId: line.id, itemId, ratio: toThousandth(swap.massG / (1000 * liquid.densityGPerMl)) }
    : null;
}

/** Fruit in the place of a sweetener. */
export interface FruitSweetening {
  id: string;
  massG: number;
  volumeMl: number;
  fruit: { id: string; pieces: number; massG: number } | null;
  /** What it adds to the litres, beyond what the sweetener would have. */
  litresMore: number;
  /** Sugar that comes with it, g. */
  sugarG: number;
  raw: boolean;
  /** Date pulp thickens, juice thins. */
  body: 'thicker' | 'thinner';
}

/**
 * How much of a sweet juice or of blended dates sweetens a drink to a sweetness.
 * @returns null where it is itself not that sweet.
 */
export function sweetenWithFruit(
  drink: Composition,
  targetPct: number,
  id: string,
  tables: Tables,
  tool: JuiceTool = 'blender',
): FruitSweetening | null {
  const liquid = tables.liquids.get(id);
  const sweetener = tables.sweeteners.get(id);
  const unit = liquid
    ? ofLiquid(liquid, 1 / liquid.densityGPerMl)
    : sweetener
      ? ofSweetener(sweetener, 1)
      : null;
  if (!unit) return null;
  const t = targetPct / 100;
  const perG = unit.sweetG / massG(unit);
  if (perG <= t) return null;
  const grams = Math.max(0, (t * massG(drink) - drink.sweetG) / (perG - t));
  const added = plus(drink, unit, grams);
  const fruit = liquid ? fruitOf(id, tables) : null;
  const ml = liquid ? grams / liquid.densityGPerMl : grams / (sweetener?.densityGPerMl ?? 1);
  const squeezed = fruit ? fruitForJuice(fruit.row, ml, tool) : null;
  // As much sweetness as sugar would have brought this room.
  const asSugarG = Math.max(0, (t * massG(drink) - drink.sweetG) / (1 - t));
  const withSugar = { ...drink, sugarG: drink.sugarG + asSugarG };
  return {
    id,
    massG: grams,
    volumeMl: ml,
    fruit:
      fruit && squeezed?.pieces != null
        ? { id: fruit.id, pieces: Math.ceil(squeezed.pieces - 1e-9), massG: squeezed.massG }
        : null,
    litresMore: (volumeMl(added) - volumeMl(withSugar)) / 1000,
    sugarG: unit.sugarG * grams,
    raw: liquid?.treatment === 'rawJuice',
    body: liquid ? 'thinner' : 'thicker',
  };
}
