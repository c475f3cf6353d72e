import '../../words/places/find.ts';
import { familiesOf } from '@big-ladle/core/compare';
import { ALIAS_ROWS, FAMILY_ROWS } from '@big-ladle/core/tables';
import { useMemo } from 'react';
import { useBatchNames } from '../../shared/batchQueries.ts';
import { useBook } from '../../shared/book.ts';
import { useItems, useKitchen } from '../../shared/queries.ts';
import { sayDrink } from '../../words/names.ts';
import { sayFamily } from '../../words/plainNames.ts';
import { dayOf, type MessageKey, say } from '../../words/say.ts';

export interface Findable {
  key: string;
  kind: 'drink' | 'plant' | 'batch' | 'bottle' | 'place' | 'action';
  text: string;
  beside: string;
  names: readonly string[];
  to: string;
}

/** Places and things to do, by the words a cook may look for them with. */
const PLACES: readonly { key: MessageKey; to: string; kind: 'place' | 'action' }[] = [
  { key: 'find.stove', to: '/', kind: 'place' },
  { key: 'find.drinks', to: '/drinks', kind: 'place' },
  { key: 'find.shopping', to: '/shopping', kind: 'place' },
  { key: 'find.shelf', to: '/shelf', kind: 'place' },
  { key: 'find.logbook', to: '/logbook', kind: 'place' },
  { key: 'find.leftovers', to: '/shelf?view=leftovers', kind: 'place' },
  { key: 'find.reminders', to: '/shelf?view=reminders', kind: 'place' },
  { key: 'find.kitchen', to: '/kitchen', kind: 'place' },
  { key: 'find.pots', to: '/kitchen', kind: 'place' },
  { key: 'find.backup', to: '/kitchen?part=data', kind: 'action' },
  { key: 'find.devices', to: '/kitchen?part=data', kind: 'action' },
  { key: 'find.start', to: '/drinks', kind: 'action' },
  { key: 'find.write', to: '/drinks/write', kind: 'action' },
  { key: 'find.paste', to: '/drinks/paste', kind: 'action' },
  { key: 'find.record', to: '/drinks/capture', kind: 'action' },
  { key: 'find.ratio', to: '/drinks/parts', kind: 'action' },
  { key: 'find.labels', to: '/shelf/labels', kind: 'action' },
];

/** A sentence of a place: what it is called, then the other words for it. */
const split = (key: MessageKey): string[] =>
  say(key)
    .split(',')
    .map((t) => t.trim());

/** Everything that can be found: drinks, plants by all their names, batches, bottles, places and things to do. */
export function useFindable(): readonly Findable[] {
  const { book } = useBook();
  const batches = useBatchNames();
  const items = useItems();
  const zone = useKitchen().data?.kitchen.zone ?? 'UTC';
  return useMemo(() => {
    const namesOf = (family: string) => ALIAS_ROWS.filter((a) => a.family === family).map((a) => a.text);
    const places = PLACES.map(({ key, to, kind }): Findable => {
      const [text = '', ...names] = split(key);
      return { key, kind, text, names, to, beside: '' };
    });
    const drinks = book.map(
      (recipe): Findable => ({
        key: recipe.id,
        kind: 'drink',
        text: sayDrink(recipe.id, recipe.name),
        beside: familiesOf(recipe).slice(0, 4).map(sayFamily).join(', '),
        names: familiesOf(recipe).flatMap((f) => [sayFamily(f), ...namesOf(f)]),
        to: `/drinks/${recipe.id}`,
      }),
    );
    const plants = FAMILY_ROWS.filter((f) => !f.plainWater).map(
      (f): Findable => ({
        key: f.id,
        kind: 'plant',
        text: sayFamily(f.id),
        beside: namesOf(f.id).slice(1, 5).join(', '),
        names: namesOf(f.id),
        to: `/drinks/facts/${f.id}`,
      }),
    );
    const made = (batches.data?.batches ?? []).map(
      ({ id, recipeId, status, startedMs }): Findable => ({
        key: id,
        kind: 'batch',
        text: sayDrink(recipeId),
        beside: `${say(`find.status.${status}`)} ${startedMs ? dayOf(startedMs, zone) : ''}`.trim(),
        names: [],
        to: status === 'on' ? `/batches/${id}/stove` : `/batches/${id}`,
      }),
    );
    const bottles = (items.data?.items ?? []).map(
      ({ facts }): Findable => ({
        key: facts.itemId,
        kind: 'bottle',
        text: sayDrink(facts.recipeId, facts.drinkName),
        beside: say('find.bottleOf', { day: dayOf(facts.bottle.filledMs, zone) }),
        names: facts.forWhom ? [facts.forWhom] : [],
        to: `/shelf/${facts.itemId}`,
      }),
    );
    return [...places, ...drinks, ...plants, ...made, ...bottles];
  }, [book, batches.data, items.data, zone]);
}
