import type { FamilyRow } from '../../tables/families.ts';
import { plain } from './tokens.ts';

/** Words that say less than another beside them: "fresh, grated" is grated. */
const WEAK: ReadonlySet<string> = new Set(
  'fresh whole dried dry large big white dark light cold hot warm peeled chopped raw packed'.split(' '),
);

/** The form of a family that words ask for, the most telling of them first; `said` when a word did. */
export function formOf(family: FamilyRow, words: string): { itemId: string; said: boolean } {
  const asked = new Set(
    plain(words)
      .split(/[^\p{L}]+/u)
      .filter(Boolean),
  );
  let best: { itemId: string; weight: number; count: number } | null = null;
  for (const form of family.forms) {
    const words = form.words.filter((word) => asked.has(word));
    if (!words.length) continue;
    const weight = words.some((word) => !WEAK.has(word)) ? 2 : 1;
    // Of two that are asked for alike, the one that more words ask for.
    if (!best || weight > best.weight || (weight === best.weight && words.length > best.count))
      best = { itemId: form.itemId, weight, count: words.length };
  }
  return best ? { itemId: best.itemId, said: true } : { itemId: family.forms[0]!.itemId, said: false };
}
