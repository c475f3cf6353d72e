import '../../words/places/waiting.ts';
import type { AnswerOf, BatchDoc, ROUTES, ShelfThing } from '@big-ladle/core/contract';
import { EMPTY_KITCHEN, type Kitchen } from '@big-ladle/core/documents';
import type { LogEvent } from '@big-ladle/core/log';
import { itemDeedText } from '../../shared/log/itemWords.ts';
import { deedText } from '../../shared/log/logWords.ts';
import { keys, queryClient } from '../../shared/queries.ts';
import { sayDrink } from '../../words/names.ts';
import { say } from '../../words/say.ts';

/** An entry in words, and of what it speaks, as far as this window knows: the server may be away. */
export function entryOf(event: LogEvent, kitchen: Kitchen | undefined): { whose: string; deed: string } {
  const { kind, id } = event.stream;
  if (kind === 'item')
    return {
      whose: drinkOfThing(id) ?? say('waiting.someThing'),
      deed: itemDeedText(event, kitchen ?? EMPTY_KITCHEN),
    };
  const batch = queryClient.getQueryData<BatchDoc>(keys.batch(id))?.batch;
  const recipe = batch?.pins?.recipe;
  return {
    whose: recipe ? sayDrink(recipe.id, recipe.name) : say('waiting.someBatch'),
    deed: deedText(event, batch?.pins?.program ?? null),
  };
}

function drinkOfThing(id: string): string | null {
  const thing = queryClient.getQueryData<ShelfThing>(keys.thing(id));
  const list = queryClient.getQueryData<AnswerOf<typeof ROUTES.items>>(keys.items);
  const facts =
    thing?.facts ??
    [...(list?.items ?? []), ...(list?.leftovers ?? [])].find((t) => t.facts.itemId === id)?.facts;
  return facts ? sayDrink(facts.recipeId, facts.drinkName) : null;
}
