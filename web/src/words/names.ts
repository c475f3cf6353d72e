import { SHIPPED_TABLES } from '@big-ladle/core';
import { has, sayCode } from './say.ts';

/** Names that a cook has given: of her own drinks and ingredients, by id. */
const own = { drinks: new Map<string, string>(), items: new Map<string, string>() };

/** Takes over the names of this kitchen, for screens that only know an id. */
export function knowNames(
  drinks: Iterable<readonly [string, string]>,
  items: Iterable<readonly [string, string]>,
): void {
  for (const [id, name] of drinks) own.drinks.set(id, name);
  for (const [id, name] of items) own.items.set(id, name);
}

/** An ingredient by its kitchen name, the cook's own, or its table name and form. */
export function sayItem(id: string): string {
  const given = own.items.get(id);
  if (given) return given;
  if (has(`item.${id}`)) return sayCode(`item.${id}`);
  const row = SHIPPED_TABLES.ingredients.get(id);
  if (row) return `${row.name}, ${row.form}`;
  return SHIPPED_TABLES.liquids.get(id)?.name ?? SHIPPED_TABLES.sweeteners.get(id)?.name ?? id;
}

/** A part made aside, by its name in the book or as its id reads. */
export const sayPart = (id: string): string =>
  has(`part.${id}`) ? sayCode(`part.${id}`) : id.replaceAll('-', ' ');

/** A drink by the name in the book, or by the cook's own. */
export function sayDrink(id: string, name?: string): string {
  if (name) return name;
  return has(`drink.${id}`)
    ? sayCode(`drink.${id}`)
    : (own.drinks.get(id) ?? 'A drink that is no longer in the book');
}
