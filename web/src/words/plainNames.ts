import { FAMILY_ROWS } from '@big-ladle/core/tables';
import { isOwnItem, sayItem } from './names.ts';
import { sayCode } from './say.ts';

/** A plant or other thing in general, whichever form of it: "Hibiscus". */
export const sayFamily = (familyId: string): string => sayCode(`plant.${familyId}`);

const familyByItem = new Map(FAMILY_ROWS.flatMap((f) => f.forms.map((form) => [form.itemId, f.id])));
/** An ingredient without its form, as a label names it: "Ginger" for grated ginger. */
export function sayPlain(itemId: string): string {
  const family = isOwnItem(itemId) ? undefined : familyByItem.get(itemId);
  return family ? sayFamily(family) : sayItem(itemId);
}
