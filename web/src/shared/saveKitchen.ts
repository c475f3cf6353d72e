import { type KitchenDoc, ROUTES } from '@big-ladle/core/contract';
import { type Kitchen, kitchenSchema } from '@big-ladle/core/documents';
import * as v from 'valibot';
import { sayField } from '../words/fields.ts';
import { say } from '../words/say.ts';
import { ApiError, ask } from './api.ts';
import { notify } from './notices.ts';
import { keys, queryClient, takeKitchen } from './queries.ts';

/** Stores a change of the kitchen; true when it is stored. A function is given the kitchen as it stands then. */
export type SaveKitchen = (
  change: Partial<Kitchen> | ((kitchen: Kitchen) => Partial<Kitchen>),
) => Promise<boolean>;

/** One after the other: two changes in one breath are two changes, not a quarrel with another window. */
let turn: Promise<boolean> = Promise.resolve(true);

async function saveNow(
  change: Parameters<SaveKitchen>[0],
  problem: (text: string | null) => void,
): Promise<boolean> {
  problem(null);
  const doc = queryClient.getQueryData<KitchenDoc>(keys.kitchen);
  if (!doc) return false;
  const next = { ...doc.kitchen, ...(typeof change === 'function' ? change(doc.kitchen) : change) };
  const checked = v.safeParse(kitchenSchema, next);
  if (!checked.success) {
    problem(sayField(checked.issues[0]?.message) ?? say('field.other'));
    return false;
  }
  // Shown at once: a form that is opened in the next moment begins with it.
  queryClient.setQueryData<KitchenDoc>(keys.kitchen, takeKitchen({ ...doc, kitchen: next }));
  try {
    const saved = await ask(ROUTES.saveKitchen, { body: { version: doc.version, kitchen: next } });
    queryClient.setQueryData(keys.kitchen, takeKitchen(saved));
    return true;
  } catch (error) {
    queryClient.setQueryData(keys.kitchen, takeKitchen(doc));
    if (error instanceof ApiError && error.code === 'changedElsewhere') {
      await queryClient.invalidateQueries({ queryKey: keys.kitchen });
      problem(say('saveKitchen.theKitchenWasChanged'));
    } else problem(error instanceof ApiError ? error.detail : say('saveKitchen.theKitchenServerDoes'));
    return false;
  }
}

/** @param problem where it is told that a change was not stored; without it the notices tell. */
export const saveKitchenWith =
  (problem: (text: string | null) => void): SaveKitchen =>
  (change) => {
    turn = turn.then(() => saveNow(change, problem));
    return turn;
  };

export const saveKitchen: SaveKitchen = saveKitchenWith((text) => text && notify('error', text));
