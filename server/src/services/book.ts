import { createHash } from 'node:crypto';
import { BOOK, ownRows, withCustom } from '@big-ladle/core/book';
import type { RecipeVersion } from '@big-ladle/core/contract';
import type { CustomFacts, Kitchen, OwnRecipe, Recipe, StockRow } from '@big-ladle/core/documents';
import { type PinnedRows, SHIPPED_TABLES, type Tables, withLabels } from '@big-ladle/core/tables';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import type { Outcome } from '../outcome.ts';
import { HttpProblem, notFound } from '../problems.ts';

/** What a recipe says, whatever its version: the same words twice have the same hash. */
export function hashOf(recipe: Recipe): string {
  const { version: _, ...said } = recipe;
  return createHash('sha256').update(JSON.stringify(said)).digest('hex').slice(0, 32);
}

interface VersionRow {
  recipe_id: string;
  version: number;
  parent: number | null;
  hash: string;
  body: string;
  created_ms: number;
}

/** The cook's own recipes in their current versions, by name. */
export async function ownRecipes(db: Db): Promise<Recipe[]> {
  const rows = (await db('recipe')
    .join('recipe_version', function () {
      this.on('recipe.id', 'recipe_version.recipe_id').andOn('recipe.version', 'recipe_version.version');
    })
    .where('recipe.retired', 0)
    .select('recipe_version.body')) as { body: string }[];
  return rows
    .map((r) => JSON.parse(r.body) as Recipe)
    .sort((a, b) => (a.name ?? '').localeCompare(b.name ?? ''));
}

export async function versionsOf(db: Db, id: string): Promise<RecipeVersion[]> {
  const rows = (await db('recipe_version').where({ recipe_id: id }).orderBy('version')) as VersionRow[];
  if (rows.length === 0) throw notFound('recipe', id);
  return rows.map((r) => ({
    version: r.version,
    parent: r.parent,
    hash: r.hash,
    createdMs: r.created_ms,
    recipe: JSON.parse(r.body) as Recipe,
  }));
}

async function addVersion(db: Db, recipe: Recipe, parent: number | null, nowMs: number): Promise<void> {
  await db('recipe_version').insert({
    recipe_id: recipe.id,
    version: recipe.version,
    parent,
    hash: hashOf(recipe),
    body: JSON.stringify(recipe),
    created_ms: nowMs,
  });
}

/** Everything that a recipe names must be there. */
async function checkItems(db: Db, recipe: Recipe): Promise<void> {
  const tables = await tablesOfKitchen(db);
  const wrong = recipe.lines.findIndex(
    (l) =>
      !(
        l.kind === 'solid' ? tables.ingredients : l.kind === 'liquid' ? tables.liquids : tables.sweeteners
      ).has(l.itemId),
  );
  if (wrong >= 0) {
    throw new HttpProblem('unknownPart', {
      params: { what: recipe.lines[wrong]!.itemId },
      fields: [{ field: `recipe.lines.${wrong}.itemId`, message: 'unknown' }],
    });
  }
}

/** A recipe that was changed: answered, and told to the other windows. */
const told = (recipe: Recipe): Outcome<Recipe> => ({
  answer: recipe,
  changed: [{ doc: 'recipe', id: recipe.id, version: recipe.version }],
});

/** Keeps a new recipe; the same again is the same. */
export async function createRecipe(db: Db, sent: OwnRecipe, nowMs: number): Promise<Outcome<Recipe>> {
  const recipe = { ...sent, version: 1 };
  if (BOOK.some((r) => r.id === recipe.id)) throw new HttpProblem('shippedId');
  return db.transaction(async (trx) => {
    await checkItems(trx, recipe);
    const before = (await trx('recipe_version')
      .where({ recipe_id: recipe.id })
      .orderBy('version', 'desc')
      .first()) as VersionRow | undefined;
    if (before) {
      if (before.hash === hashOf(recipe)) return { answer: JSON.parse(before.body) as Recipe };
      throw new HttpProblem('alreadyThere', { stored: JSON.parse(before.body) });
    }
    await trx('recipe').insert({ id: recipe.id, version: 1, retired: 0, updated_ms: nowMs });
    await addVersion(trx, recipe, null, nowMs);
    return told(recipe);
  });
}

/** Adds a version; earlier ones stay as they were. @throws 409 with both when it was changed meanwhile. */
export async function updateRecipe(
  db: Db,
  id: string,
  { version, recipe: sent }: { version: number; recipe: OwnRecipe },
  nowMs: number,
): Promise<Outcome<Recipe>> {
  return db.transaction(async (trx) => {
    const row = (await trx('recipe').where({ id }).first()) as { version: number } | undefined;
    if (!row) throw notFound('recipe', id);
    const stored = (await trx('recipe_version')
      .where({ recipe_id: id, version: row.version })
      .first()) as VersionRow;
    if (row.version !== version) {
      throw new HttpProblem('changedElsewhere', {
        params: { what: 'recipe' },
        stored: JSON.parse(stored.body),
        sent,
      });
    }
    const recipe: Recipe = { ...sent, id, version: version + 1 };
    if (hashOf(recipe) === stored.hash) return { answer: JSON.parse(stored.body) as Recipe };
    await checkItems(trx, recipe);
    await addVersion(trx, recipe, version, nowMs);
    await trx('recipe')
      .where({ id })
      .update({ version: version + 1, retired: 0, updated_ms: nowMs });
    return told(recipe);
  });
}

/** Takes a recipe out of the book; batches and versions made from it stay. */
export async function retireRecipe(
  db: Db,
  id: string,
  version: number,
  nowMs: number,
): Promise<Outcome<undefined>> {
  const changed = await db('recipe').where({ id, version }).update({ retired: 1, updated_ms: nowMs });
  if (changed === 0) {
    const row = await db('recipe').where({ id }).first();
    if (!row) throw notFound('recipe', id);
    throw new HttpProblem('changedElsewhere', { params: { what: 'recipe' } });
  }
  return { answer: undefined, changed: [{ doc: 'recipe', id, version }] };
}

/** What is the cook's own, as rows of the tables. */
export const rowsOfOwn = async (db: Db): Promise<PinnedRows> => ownRows(await ownFacts(db));

export async function ownFacts(db: Db): Promise<CustomFacts[]> {
  const rows = (await db('ingredient').orderBy('id').select('facts')) as { facts: string }[];
  return rows.map((r) => JSON.parse(r.facts) as CustomFacts);
}

export async function putIngredient(db: Db, facts: CustomFacts): Promise<Outcome<CustomFacts>> {
  const { ingredients, liquids, sweeteners } = SHIPPED_TABLES;
  if (ingredients.has(facts.id) || liquids.has(facts.id) || sweeteners.has(facts.id))
    throw new HttpProblem('shippedId');
  await db('ingredient')
    .insert({ id: facts.id, facts: JSON.stringify(facts) })
    .onConflict('id')
    .merge();
  return { answer: facts, changed: [{ doc: 'recipe', id: facts.id, version: 0 }] };
}

/** The shipped tables with a kitchen's own ingredients and labels. */
export const tablesWith = (own: PinnedRows, kitchen: Pick<Kitchen, 'labels'>): Tables =>
  withLabels(withCustom(SHIPPED_TABLES, own), kitchen.labels);

/** The tables that are reckoned by in this kitchen. */
export const tablesOfKitchen = async (db: Db): Promise<Tables> =>
  tablesWith(await rowsOfOwn(db), (await readKitchen(db)).kitchen);

/** Shipped drinks and the cook's own. */
export const wholeBook = async (db: Db): Promise<Recipe[]> => [...BOOK, ...(await ownRecipes(db))];

export async function readStock(db: Db): Promise<StockRow[]> {
  const rows = (await db('stock').orderBy('item_id')) as {
    item_id: string;
    in_house_g: number;
    pack_g: number | null;
    price: number | null;
    basket_g: number;
  }[];
  return rows.map((r) => ({
    itemId: r.item_id,
    inHouseG: r.in_house_g,
    packG: r.pack_g,
    price: r.price,
    basketG: r.basket_g,
  }));
}

export async function putStock(db: Db, row: StockRow): Promise<Outcome<{ stock: StockRow[] }>> {
  await db('stock')
    .insert({
      item_id: row.itemId,
      in_house_g: row.inHouseG,
      pack_g: row.packG,
      price: row.price,
      basket_g: row.basketG,
    })
    .onConflict('item_id')
    .merge();
  return { answer: { stock: await readStock(db) }, changed: [{ doc: 'stock', id: row.itemId, version: 0 }] };
}
