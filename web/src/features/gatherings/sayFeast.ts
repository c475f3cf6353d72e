import '../../words/places/gatherings.ts';
import type { GuestGroup } from '@big-ladle/core/documents';
import { joinOf, type Reason } from '@big-ladle/core/gathering';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { nutrientGrams } from '../../words/quantities.ts';
import { say, sayCode } from '../../words/say.ts';

/** "6 children", "20 to 30 grown-ups". */
export const sayGroup = (g: Pick<GuestGroup, 'name' | 'least' | 'most'>): string =>
  g.least === g.most
    ? say('guestsAndLots.count', { count: g.most, name: g.name })
    : say('guestsAndLots.range', { least: num(g.least), most: num(g.most), name: g.name });

/** Why a group leaves a drink, in a sentence. */
export function sayReason(reason: Reason, sugarGPerGlass: number): string {
  const { code } = reason;
  if (code.startsWith('who.')) return sayCode(code);
  if (code.startsWith('item.'))
    return say('whyNot.item', { item: sayItem(code.slice('item.'.length)).toLowerCase() });
  if (code === 'sugarInAGlass') return say('whyNot.sugarInAGlass', { sugar: nutrientGrams(sugarGPerGlass) });
  return sayCode(`whyNot.${code}`);
}

/** What is done once for several drinks. */
export function sayJoin(id: string): string {
  const { kind, itemIds } = joinOf(id);
  return say(`days.join.${kind}`, { items: itemIds.map((i) => sayItem(i).toLowerCase()).join(', ') });
}
