import { type KitchenDoc, ROUTES } from '@big-ladle/core/contract';
import { type Kitchen, kitchenSchema } from '@big-ladle/core/documents';
import * as v from 'valibot';
import { sayField } from '../words/fields.ts';
import { say } from '../words/say.ts';
import { ApiError, ask } from './api.ts';
import { arrived, asShown, type KitchenChange, setOut, storedKitchen, withChange } from './kitchenChanges.ts';
import { notify } from './notices.ts';
import { keys, queryClient, takeKitchen } from './queries.ts';

/** Stores a change of the kitchen; true when it is stored. */
export type SaveKitchen = (change: KitchenChange) => Promise<boolean>;
type TellProblem = (text: string | null) => void;

const show = (doc: KitchenDoc): void => {
  queryClient.setQueryData(keys.kitchen, takeKitchen(asShown(doc)));
};

/** The kitchen with a change; null where that cannot be, which is told. */
function checked(kitchen: Kitchen, change: KitchenChange, problem: TellProblem): Kitchen | null {
  const next = withChange(kitchen, change);
  const read = v.safeParse(kitchenSchema, next);
  if (read.success) return next;
  problem(sayField(read.issues[0]?.message) ?? say('field.other'));
  return null;
}

/** Sends one change, over what the server has by then. */
async function sendChange(change: KitchenChange, problem: TellProblem): Promise<boolean> {
  const before = storedKitchen();
  const kitchen = before && checked(before.kitchen, change, problem);
  if (!kitchen) {
    arrived(change);
    if (before) show(before);
    return false;
  }
  try {
    const saved = await ask(ROUTES.saveKitchen, { body: { version: before.version, kitchen } });
    arrived(change);
    show(saved);
    return true;
  } catch (error) {
    arrived(change);
    show(before);
    if (error instanceof ApiError && error.code === 'changedElsewhere') {
      await queryClient.invalidateQueries({ queryKey: keys.kitchen });
      problem(say('saveKitchen.theKitchenWasChanged'));
    } else problem(error instanceof ApiError ? error.detail : say('saveKitchen.theKitchenServerDoes'));
    return false;
  }
}

/** One after the other: two changes in one breath are two changes, not a quarrel with another window. */
let turn: Promise<boolean> = Promise.resolve(true);

/** @param problem where it is told that a change was not stored; without it the notices tell. */
export const saveKitchenWith =
  (problem: TellProblem): SaveKitchen =>
  (change) => {
    problem(null);
    const shown = queryClient.getQueryData<KitchenDoc>(keys.kitchen);
    const next = shown && checked(shown.kitchen, change, problem);
    if (!next) return Promise.resolve(false);
    setOut(change, shown);
    // Shown at once, whatever is still on its way: a form that is opened in the next moment begins with it.
    queryClient.setQueryData<KitchenDoc>(keys.kitchen, takeKitchen({ ...shown, kitchen: next }));
    turn = turn.then(() => sendChange(change, problem));
    return turn;
  };

export const saveKitchen: SaveKitchen = saveKitchenWith((text) => text && notify('error', text));
