import '../../words/places/gatherings.ts';
import type { Gathering } from '@big-ladle/core/contract';
import { type GatheringDoc, gatheringSchema } from '@big-ladle/core/documents';
import { useMemo } from 'react';
import * as v from 'valibot';
import { create } from 'zustand';
import { sayField } from '../../words/fields.ts';
import { say } from '../../words/say.ts';
import { ApiError, OfflineError } from '../api.ts';
import { notify } from '../notices.ts';
import { keys, queryClient } from '../queries.ts';
import { sayError, send } from '../send.ts';
import { useGatherings } from './list.ts';

export type GatheringChange = (gathering: GatheringDoc) => GatheringDoc;

/** Changes that are on their way, in their order: shown at once, and put to whatever the server has by then. */
interface Waiting {
  changes: readonly { id: string; change: GatheringChange }[];
  /** The server does not answer at present. */
  unreachable: boolean;
}
const useWaiting = create<Waiting>(() => ({ changes: [], unreachable: false }));

const withChanges = (
  gathering: GatheringDoc,
  id: string,
  { changes }: Pick<Waiting, 'changes'>,
): GatheringDoc => changes.reduce((g, c) => (c.id === id ? c.change(g) : g), gathering);

/** A gathering as its cook sees it: what she has just changed is in it. */
export function useGathering(id: string) {
  const query = useGatherings();
  const waiting = useWaiting();
  const stored = query.data?.gatherings.find((g) => g.id === id);
  const gathering = useMemo(
    () => stored && withChanges(stored.gathering, id, waiting),
    [stored, id, waiting],
  );
  return {
    gathering,
    timetable: stored?.timetable ?? null,
    version: stored?.version ?? 0,
    unreachable: waiting.unreachable,
    isPending: query.isPending,
    error: query.error,
  };
}

const storedOf = (id: string): Gathering | undefined =>
  queryClient.getQueryData<{ gatherings: Gathering[] }>(keys.gatherings)?.gatherings.find((g) => g.id === id);

/** One after the other: two changes in one breath are two changes, not a quarrel with another window. */
let turn: Promise<void> = Promise.resolve();

/** Changes a gathering; false where that would not fit together, which is told. */
export function changeGathering(id: string, change: GatheringChange): boolean {
  const stored = storedOf(id);
  if (!stored) return false;
  const read = v.safeParse(gatheringSchema, change(withChanges(stored.gathering, id, useWaiting.getState())));
  if (!read.success) {
    const what = sayField(read.issues[0]?.message) ?? say('field.other');
    notify('error', say('settle.wrong', { what }));
    return false;
  }
  const entry = { id, change };
  useWaiting.setState(({ changes }) => ({ changes: [...changes, entry] }));
  turn = turn.then(async () => {
    try {
      await sent(entry);
    } catch (error) {
      notify('error', sayError(error) ?? '');
    }
    useWaiting.setState(({ changes }) => ({
      changes: changes.filter((c) => c !== entry),
      unreachable: false,
    }));
  });
  return true;
}

/** While the server does not answer it is asked again so often. */
const AGAIN_MS = 4000;
/** Another window was quicker: the change is put to what it has left, so often at most. */
const MOST_QUARRELS = 5;

/** Sends a change over what the server has by then; as long as it does not answer, it waits here. */
async function sent({ id, change }: Waiting['changes'][number]): Promise<void> {
  for (let quarrels = 0; ; ) {
    const now = storedOf(id);
    if (!now) return;
    try {
      const body = { version: now.version, gathering: change(now.gathering) };
      await send('saveGathering', { params: { id }, body });
      return;
    } catch (error) {
      if (error instanceof OfflineError) {
        useWaiting.setState({ unreachable: true });
        await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
      } else if (error instanceof ApiError && error.code === 'changedElsewhere' && quarrels < MOST_QUARRELS)
        quarrels += 1;
      else throw error;
    }
  }
}

// What waits here is this page's alone: whoever leaves it is asked first.
addEventListener('beforeunload', (leaving) => {
  if (useWaiting.getState().unreachable) leaving.preventDefault();
});
