import { juicePerKg } from '../physics/juice.ts';
import { ALIAS_ROWS, type AliasRow } from '../tables/aliases.ts';
import { FAMILY_ROWS, type FamilyRow } from '../tables/families.ts';
import type { Tables } from '../tables/types.ts';
import { gramsOf, type Measurable, type MeasuringKit } from '../units/measures.ts';
import { type Amount, VAGUE_G } from './amounts.ts';

/** A plant or thing that a text names, and where. */
export interface Mention {
  family: FamilyRow;
  alias: AliasRow;
  start: number;
  end: number;
}

const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
interface Matcher {
  row: AliasRow;
  pattern: RegExp;
}
let matchersMade: Matcher[] | null = null;
/** Longest names first. Made at the first text read: hundreds of patterns hold up whoever only opens a page. */
const matchers = (): Matcher[] =>
  (matchersMade ??= ALIAS_ROWS.map((row) => ({ row, name: plain(row.text) }))
    .sort((a, b) => b.name.length - a.name.length)
    .map(({ row, name }) => ({
      row,
      pattern: new RegExp(String.raw`(?<![\p{L}\p{N}])${escaped(name)}(?![\p{L}\p{N}])`, 'giu'),
    })));

/** Things named in a text, longest names first so that "apple cider vinegar" is no apple. */
export function mentionsIn(text: string): Mention[] {
  const folded = plain(text);
  const taken: Mention[] = [];
  for (const { row, pattern } of matchers()) {
    for (const match of folded.matchAll(pattern)) {
      const start = match.index ?? 0;
      const end = start + match[0].length;
      if (taken.some((m) => start < m.end && end > m.start)) continue;
      const family = FAMILY_ROWS.find((f) => f.id === row.family);
      if (family) taken.push({ family, alias: row, start, end });
    }
  }
  return taken.sort((a, b) => a.start - b.start);
}

/** The form that the words around a name ask for; `said` when a word did. */
export function formOf(
  family: FamilyRow,
  around: string,
  aliasText: string,
): { itemId: string; said: boolean } {
  const words = new Set(
    plain(`${around} ${aliasText}`)
      .split(/[^\p{L}]+/u)
      .filter(Boolean),
  );
  // The most telling word wins: "fresh" says less than "grated".
  let best: { itemId: string; weight: number } | null = null;
  for (const form of family.forms) {
    for (const word of form.words) {
      if (!words.has(word)) continue;
      const weight = WEAK.has(word) ? 1 : 2;
      if (!best || weight > best.weight) best = { itemId: form.itemId, weight };
    }
  }
  return best ? { itemId: best.itemId, said: true } : { itemId: family.forms[0]!.itemId, said: false };
}
const WEAK: ReadonlySet<string> = new Set([
  'fresh',
  'whole',
  'dried',
  'dry',
  'large',
  'big',
  'white',
  'dark',
  'light',
  'cold',
  'hot',
  'warm',
  'peeled',
  'chopped',
  'raw',
  'packed',
]);

export type ItemKind = 'solid' | 'liquid' | 'sweetener';

export interface ItemFacts {
  kind: ItemKind;
  measurable: Measurable;
  densityGPerMl: number | null;
}

/** What the tables know of an item, whichever table it stands in. */
export function itemFacts(itemId: string, tables: Tables): ItemFacts | null {
  const solid = tables.ingredients.get(itemId);
  if (solid) return { kind: 'solid', measurable: solid, densityGPerMl: null };
  const liquid = tables.liquids.get(itemId);
  if (liquid)
    return {
      kind: 'liquid',
      measurable: { id: itemId, bulkGPerMl: liquid.densityGPerMl, piece: null, liquid: true },
      densityGPerMl: liquid.densityGPerMl,
    };
  const sweet = tables.sweeteners.get(itemId);
  if (sweet)
    return {
      kind: 'sweetener',
      measurable: { id: itemId, bulkGPerMl: sweet.packedGPerMl ?? sweet.bulkGPerMl, piece: null },
      densityGPerMl: null,
    };
  return null;
}

/**
 * Grams of an amount of an item. So many fruit of a juice are squeezed by hand; so many of a part (peel, core) are
 * those of so many whole fruit.
 * @returns `sure` is false for handfuls and the like; null where nothing can be said.
 */
export function gramsOfAmount(
  amount: Pick<Amount, 'value' | 'max' | 'unit'>,
  itemId: string,
  family: FamilyRow | undefined,
  tables: Tables,
  kit: MeasuringKit,
): { massG: number; sure: boolean } | null {
  const facts = itemFacts(itemId, tables);
  if (!facts) return null;
  const value = amount.max === undefined ? amount.value : (amount.value + amount.max) / 2;
  if (amount.unit && VAGUE_G[amount.unit] !== undefined)
    return { massG: value * VAGUE_G[amount.unit]!, sure: false };
  if (amount.unit) {
    const grams = gramsOf(value, amount.unit, facts.measurable, kit);
    if (grams !== null) return { massG: grams, sure: true };
  }
  // So many of the thing itself: by the piece, the fruit it is a part of, or the fruit its juice comes from.
  if (family?.juice?.itemId === itemId) {
    const fruit = tables.ingredients.get(family.juice.from);
    const perKg = fruit ? juicePerKg(fruit, 'hand') : null;
    if (fruit?.piece && perKg !== null)
      return {
        massG: ((value * fruit.piece.massG) / 1000) * perKg * (facts.densityGPerMl ?? 1),
        sure: true,
      };
  }
  const piece = facts.measurable.piece;
  if (piece && (!amount.unit || amount.unit === piece.id || amount.unit === 'piece'))
    return { massG: value * piece.massG, sure: amount.unit !== 'piece' };
  return null;
}
