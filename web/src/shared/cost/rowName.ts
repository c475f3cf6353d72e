import { familyOfItem } from '@big-ladle/core/book';
import type { ShoppingRow } from '@big-ladle/core/compare';
import { sayItem } from '../../words/names.ts';
import { sayFamily } from '../../words/plainNames.ts';
import { sayCode } from '../../words/say.ts';

/** What a row is called: the fruit where whole fruit is bought, the plant where several forms of it are, else the thing. */
export function rowName({ id, what, parts }: Pick<ShoppingRow, 'id' | 'what' | 'parts'>): string {
  if (what === 'fruit') return sayCode(`fruit.${id}`);
  const family = parts.length > 1 ? familyOfItem(id) : undefined;
  return family ? sayFamily(family.id) : sayItem(parts[0]?.itemId ?? id);
}
