import { familyOfItem } from '@big-ladle/core/book';
import type { Tables } from '@big-ladle/core/tables';
import type { Drawn } from './drawn.ts';
import { FLOWERS_AND_HERBS } from './flowersAndHerbs.ts';
import { FRUITS } from './fruits.ts';
import { PANTRY } from './pantry.ts';
import { ROOTS } from './roots.ts';
import { SPICES } from './spices.ts';

/** A drawing for each family of the book, and some for what a cook brings of her own. */
export const PLANTS: Readonly<Record<string, Drawn>> = {
  ...FLOWERS_AND_HERBS,
  ...FRUITS,
  ...ROOTS,
  ...SPICES,
  ...PANTRY,
};

/** What a thing of the cook's own looks like by what it is, the first that fits. */
const BY_TRAIT = [
  ['root', 'root'],
  ['leaf', 'leaf'],
  ['spice', 'seeds'],
  ['fruit', 'fruit'],
  ['citrus', 'fruit'],
  ['peel', 'fruit'],
] as const;

/** The drawing of an item: its family's, else one by its traits. */
export function plantOf(
  itemId: string,
  tables: Pick<Tables, 'ingredients' | 'liquids' | 'sweeteners'>,
): string {
  const family = familyOfItem(itemId);
  if (family) return family.id;
  if (tables.liquids.has(itemId)) return 'bottle';
  if (tables.sweeteners.has(itemId)) return 'sack';
  const traits = new Set<string>(tables.ingredients.get(itemId)?.traits);
  return BY_TRAIT.find(([trait]) => traits.has(trait))?.[1] ?? 'sprig';
}

/** What a drink is made of, as drawings, each once: in the order of the recipe, without its water and what only sweetens. */
export const plantsOf = (
  lines: readonly { kind: string; itemId: string }[],
  tables: Parameters<typeof plantOf>[1],
): string[] => [
  ...new Set(
    lines
      .filter((line) => line.kind !== 'sweetener' && !familyOfItem(line.itemId)?.plainWater)
      .map((line) => plantOf(line.itemId, tables)),
  ),
];
