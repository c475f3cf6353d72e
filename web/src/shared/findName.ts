import { ALIAS_ROWS, type AliasRow, findByName } from '@big-ladle/core/tables';
import Fuse from 'fuse.js';

/** How far a word may be from a name and still be meant: a slip or two of the finger. */
const SLIP = 0.34;
const aliases = new Fuse(ALIAS_ROWS, {
  keys: ['text'],
  threshold: SLIP,
  minMatchCharLength: 3,
  ignoreDiacritics: true,
});

/** The names that a text may mean, the nearest first: as it is written, else with a slip forgiven. */
export function namesLike(text: string): AliasRow[] {
  const exact = findByName(text).map((f) => f.row);
  if (exact.length > 0 || text.trim().length < 4) return exact;
  const near = new Map<string, AliasRow>();
  for (const { item } of aliases.search(text.trim())) if (!near.has(item.family)) near.set(item.family, item);
  return [...near.values()].slice(0, 3);
}

/** Finds among things that each have a text, forgiving slips, the nearest first. */
export const finder = <T extends { text: string; names: readonly string[] }>(things: readonly T[]) => {
  const fuse = new Fuse(things, {
    keys: [
      { name: 'text', weight: 2 },
      { name: 'names', weight: 1 },
    ],
    threshold: SLIP,
    ignoreLocation: true,
    minMatchCharLength: 2,
    ignoreDiacritics: true,
  });
  return (text: string): T[] => (text.trim().length < 2 ? [] : fuse.search(text.trim()).map((r) => r.item));
};
