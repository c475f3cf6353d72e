import { colourName } from '@big-ladle/core/liquor';
import type { LotName } from '@big-ladle/core/program';
import { isCut } from '@big-ladle/core/tables';
import { has, say, sayCode } from './say.ts';

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

/** Whether the cook has named this ingredient herself. */
export const isOwnItem = (id: string): boolean => own.items.has(id);

/** An ingredient by its kitchen name, the cook's own, or that of the book. */
export function sayItem(id: string): string {
  const given = own.items.get(id);
  if (given) return given;
  return has(`item.${id}`) ? sayCode(`item.${id}`) : id;
}

/** The colour of a drink in words. */
export const sayColour = (hex: string): string => sayCode(`colour.${colourName(hex)}`);

/** A thing with how it is cut, "pineapple flesh: cube"; where its name says that already it is not said twice. */
export function sayWithCut(itemId: string, code: string | undefined): string {
  const name = sayItem(itemId).toLowerCase();
  // A word of the table, or the cook's own.
  const cut = code === undefined ? '' : isCut(code) ? say(code) : code;
  return cut === '' || name.includes(cut.toLowerCase()) ? name : `${name}: ${cut}`;
}
/** A part made aside, by its name in the book or as its id reads. */
export const sayPart = (id: string): string =>
  has(`part.${id}`) ? sayCode(`part.${id}`) : id.replaceAll('-', ' ');

/** A part of a batch by its kind, with its number where there are several; entries of before have a name. */
export const sayLot = ({ kind, number, name }: LotName): string =>
  name ?? (number ? say('lot.numbered', { kind: say(`lot.${kind}`), number }) : say(`lot.${kind}`));

/** What a bottle of this size is called here; a jug has no name of its own. */
export const saySize = (name: string | undefined): string => name ?? say('bottle.jug');

/** A drink by the name in the book, or by the cook's own. */
export function sayDrink(id: string, name?: string): string {
  if (name) return name;
  return has(`drink.${id}`) ? sayCode(`drink.${id}`) : (own.drinks.get(id) ?? say('drink.unknown'));
}

/** A drink and which part of its batch it is. */
export const sayDrinkOf = (
  of: { recipeId: string; drinkName?: string },
  lot: LotName | undefined,
): string => {
  const drink = sayDrink(of.recipeId, of.drinkName);
  return lot ? say('lot.of', { drink, lot: sayLot(lot).toLowerCase() }) : drink;
};
