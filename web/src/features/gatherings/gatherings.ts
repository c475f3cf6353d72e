import '../../words/places/gatherings.ts';
import { type Gathering, ROUTES } from '@big-ladle/core/contract';
import { type GatheringDoc, gatheringSchema } from '@big-ladle/core/documents';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import * as v from 'valibot';
import { create } from 'zustand';
import { ask } from '../../shared/api.ts';
import { notify } from '../../shared/notices.ts';
import { keys, queryClient } from '../../shared/queries.ts';
import { sayError, send } from '../../shared/send.ts';
import { sayField } from '../../words/fields.ts';
import { say } from '../../words/say.ts';

export type GatheringChange = (gathering: GatheringDoc) => GatheringDoc;

/** Changes that are on their way, in their order: shown at once, and put to whatever the server has by then. */
interface Waiting {
  changes: readonly { id: string; change: GatheringChange }[];
}
const useWaiting = create<Waiting>(() => ({ changes: [] }));

export const useGatherings = () =>
  useQuery({ queryKey: keys.gatherings, queryFn: () => ask(ROUTES.gatherings, {}) });

const withChanges = (gathering: GatheringDoc, id: string, { changes }: Waiting): GatheringDoc =>
  changes.reduce((g, c) => (c.id === id ? c.change(g) : g), gathering);

/** A gathering as its cook sees it: what she has just changed is in it. */
export function useGathering(id: string) {
  const query = useGatherings();
  const waiting = useWaiting();
  const stored = query.data?.gatherings.find((g) => g.id === id);
  const gathering = useMemo(
    () => stored && withChanges(stored.gathering, id, waiting),
    [stored, id, waiting],
  );
  return { gathering, version: stored?.version ?? 0, isPending: query.isPending, error: query.error };
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
    const now = storedOf(id);
    try {
      if (now)
        await send('saveGathering', {
          params: { id },
          body: { version: now.version, gathering: change(now.gathering) },
        });
    } catch (error) {
      notify('error', sayError(error) ?? '');
    }
    useWaiting.setState(({ changes }) => ({ changes: changes.filter((c) => c !== entry) }));
  });
  return true;
}
