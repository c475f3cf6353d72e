import '../../words/places/gatherings.ts';
import '../../words/places/steps.ts';
import type { GatheringDoc, GuestGroup } from '@big-ladle/core/documents';
import { COOK, type FeastDrink, type FeastJob, joinOf, type Reason } from '@big-ladle/core/gathering';
import { stepAlone } from '../../shared/batch/stepNames.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { nutrientGrams } from '../../words/quantities.ts';
import { say, sayCode } from '../../words/say.ts';

/** "6 children", "20 to 30 grown-ups". */
export const sayGroup = (g: Pick<GuestGroup, 'name' | 'least' | 'most'>): string =>
  g.least === g.most
    ? say('guestsAndLots.count', { count: g.most, name: g.name })
    : say('guestsAndLots.range', { least: num(g.least), most: num(g.most), name: g.name });

/** What a drink of a gathering is called. */
export const sayFeastDrink = (drink: Pick<FeastDrink, 'recipeId'> | undefined): string =>
  drink?.recipeId ? sayDrink(drink.recipeId) : say('drink.unknown');

/** Why a group leaves a drink, in a sentence. */
export function sayReason(reason: Reason, sugarGPerGlass: number): string {
  const { code } = reason;
  if (code.startsWith('who.')) return sayCode(code);
  if (code.startsWith('item.'))
    return say('whyNot.item', { item: sayItem(code.slice('item.'.length)).toLowerCase() });
  if (code === 'sugarInAGlass') return say('whyNot.sugarInAGlass', { sugar: nutrientGrams(sugarGPerGlass) });
  return sayCode(`whyNot.${code}`);
}

/** Who does it: the cook, or a helper by name. */
export const sayPerson = (id: string, gathering: Pick<GatheringDoc, 'helpers'>): string =>
  id === COOK ? say('days.yourHands') : (gathering.helpers.find((h) => h.id === id)?.name ?? id);

/** What a job is, in few words. */
export function sayJob(job: FeastJob, drink: FeastDrink | undefined): string {
  if (job.extra) return say(`days.${job.extra}`);
  const program = drink?.made?.program;
  const names = job.parts.flatMap(({ stepId }) => {
    const step = program?.steps.find((s) => s.id === stepId);
    return step && program ? [stepAlone(step, program)] : [];
  });
  return [...new Set(names)].join(', ');
}

/** What is done once for several drinks. */
export function sayJoin(id: string): string {
  const { kind, itemIds } = joinOf(id);
  return say(`days.join.${kind}`, { items: itemIds.map((i) => sayItem(i).toLowerCase()).join(', ') });
}
