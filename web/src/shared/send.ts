import { type AnswerOf, ROUTES, type Sent } from '@big-ladle/core/contract';
import { useMutation } from '@tanstack/react-query';
import { say } from '../words/say.ts';
import { ApiError, ask } from './api.ts';
import { notify } from './notices.ts';
import { fetchAnew, keys } from './queries.ts';

type Routes = typeof ROUTES;
type Keys = readonly (readonly string[])[];
type About<R> = Sent<R> extends { params: infer P } ? P : object;

/** What each change makes old of what has been fetched; what is said of batches and bottles goes by its own table. */
const STALE_AFTER = {
  saveKitchen: () => [keys.kitchen, keys.lookedBack],
  createBatch: () => [keys.batches],
  savePlan: ({ id }) => [keys.batch(id), keys.batches],
  putBatchAway: ({ id }) => [keys.batch(id), keys.batches],
  dropPlan: () => [keys.batches],
  startBatch: ({ id }) => [keys.batch(id), keys.batches],
  createRehearsal: () => [keys.rehearsals],
  changeRehearsal: ({ id }) => [keys.batch(id), keys.rehearsals],
  forgetRehearsal: () => [keys.rehearsals, keys.instruments],
  events: () => [keys.batches, keys.items, keys.lookedBack],
  putInstrument: () => [keys.instruments, keys.fridge],
  dropInstrument: () => [keys.instruments, keys.fridge],
  createRecipe: () => [keys.recipes],
  saveRecipe: ({ id }) => [keys.recipes, keys.versions(id)],
  retireRecipe: () => [keys.recipes],
  putIngredient: () => [keys.recipes],
  putStock: () => [keys.stock, keys.lookedBack],
  saveLearning: () => [keys.learning, keys.kitchen],
  saveGathering: () => [keys.gatherings],
  keepTimetable: () => [keys.gatherings],
  dropGathering: () => [keys.gatherings],
  addPhoto: () => [keys.photos],
  dropPhoto: () => [keys.photos],
  pair: () => [],
  revoke: () => [keys.access],
  changeNetwork: () => [keys.access],
  makeCertificate: () => [keys.access],
  makeBackup: () => [keys.backups],
  chooseBackupFolder: () => [keys.backups],
  restoreBackup: () => [keys.backups],
  uploadArchive: () => [keys.import],
  takeArchive: () => [keys.import],
  cancelImport: () => [keys.import],
} as const satisfies { [K in keyof Routes]?: (params: About<Routes[K]>) => Keys };

export type Change = keyof typeof STALE_AFTER;
/** The changes that have a row: held complete by a test. */
export const CHANGES = Object.keys(STALE_AFTER) as Change[];

/**
 * Asks the server for a change; what it makes old is fetched anew, also after a refusal, which may come of what was old.
 * @param file sent as it is, as the body. @throws ApiError, OfflineError
 */
export async function send<K extends Change>(
  name: K,
  sent: Sent<Routes[K]>,
  file?: Blob,
): Promise<AnswerOf<Routes[K]>> {
  const { params = {} } = sent as { params?: object };
  const staleOf: (params: never) => Keys = STALE_AFTER[name];
  const stale = staleOf(params as never);
  try {
    const answer = await ask<Routes[K]>(ROUTES[name], sent, file);
    await fetchAnew(stale);
    return answer;
  } catch (error) {
    void fetchAnew(stale);
    throw error;
  }
}

/** A change that a screen asks for: whether it is on its way, and why it was not done. */
export const useSend = <K extends Change>(name: K) =>
  useMutation({ mutationFn: (sent: Sent<Routes[K]>) => send(name, sent) });

/** Tells in the notices why something was not done. */
export const tellError = (error: unknown, whenSilent?: string): void =>
  notify('error', sayError(error, whenSilent) ?? '');

/** Why something was not done, to be shown; null where nothing went wrong. */
export function sayError(error: unknown, whenSilent = say('common.theKitchenServerDoes')): string | null {
  if (error === null || error === undefined) return null;
  return error instanceof ApiError ? error.detail : whenSilent;
}
