import type { KitchenDoc } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';

/** A change of the kitchen; a function is given the kitchen as it stands then. */
export type KitchenChange = Partial<Kitchen> | ((kitchen: Kitchen) => Partial<Kitchen>);

export const withChange = (kitchen: Kitchen, change: KitchenChange): Kitchen => ({
  ...kitchen,
  ...(typeof change === 'function' ? change(kitchen) : change),
});

/** Changes that are on their way to the server, the first said first. */
const waiting: KitchenChange[] = [];
/** The kitchen as the server last told it. */
let stored: KitchenDoc | null = null;

/** What is stored, with what is on its way laid over it: this is what the screens show. */
export function asShown(doc: KitchenDoc): KitchenDoc {
  stored = doc;
  return waiting.length === 0 ? doc : { ...doc, kitchen: waiting.reduce(withChange, doc.kitchen) };
}

/** A change sets out, over what is shown. */
export function setOut(change: KitchenChange, shown: KitchenDoc): void {
  if (waiting.length === 0) stored = shown;
  waiting.push(change);
}

/** A change has arrived, or was refused. */
export const arrived = (change: KitchenChange): void => void waiting.splice(waiting.indexOf(change), 1);

export const storedKitchen = (): KitchenDoc | null => stored;
