import '../../words/places/gatherings.ts';
import { type Gathering, ROUTES } from '@big-ladle/core/contract';
import { type GatheringDoc, gatheringSchema } from '@big-ladle/core/documents';
import { replaceEqualDeep } from '@tanstack/react-query';
import { useMemo } from 'react';
import * as v from 'valibot';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { sayField } from '../../words/fields.ts';
import { say } from '../../words/say.ts';
import { ApiError, ask } from '../api.ts';
import { notify } from '../notices.ts';
import { keys, queryClient } from '../queries.ts';
import { send } from '../send.ts';
import { sendsWaiting } from '../sendWaiting.ts';
import { GATHERINGS_KEY } from './gatheringsWait.ts';
import { useGatherings } from './list.ts';
import { threeWay } from './threeWay.ts';

export type GatheringChange = (gathering: GatheringDoc) => GatheringDoc;

/** What was changed here of a gathering and is not stored yet: as it was before, and as it is here. */
interface Changed {
  base: GatheringDoc;
  mine: GatheringDoc;
}

interface Waiting {
  /** Shown at once, and laid over whatever the server has by then; kept in this browser until it is stored. */
  waiting: Readonly<Record<string, Changed>>;
  /** The server does not answer at present. */
  unreachable: boolean;
}

const waitingSchema = v.object({
  waiting: v.record(v.string(), v.object({ base: gatheringSchema, mine: gatheringSchema })),
});

function readWaiting(kept: unknown): Waiting['waiting'] {
  const read = v.safeParse(waitingSchema, kept);
  return read.success ? read.output.waiting : {};
}

const useWaiting = create<Waiting>()(
  persist((): Waiting => ({ waiting: {}, unreachable: false }), {
    name: GATHERINGS_KEY,
    storage: createJSONStorage(() => localStorage),
    partialize: ({ waiting }) => ({ waiting }),
    // What an older page has kept here is read as anything else that comes from outside is.
    merge: (kept, now) => ({ ...now, waiting: readWaiting(kept) }),
  }),
);

/** All windows of this browser keep one list: what another one has put there is not written over. */
function changeWaiting(id: string, to: (changed: Changed | undefined) => Changed | undefined): void {
  void useWaiting.persist.rehydrate();
  useWaiting.setState(({ waiting }) => {
    const { [id]: was, ...others } = waiting;
    const next = to(was);
    return { waiting: next ? { ...others, [id]: next } : others };
  });
}

/** What did not change is the very same as what is stored: what shows it alone is not drawn again. */
const laidOver = (stored: GatheringDoc, changed: Changed | undefined): GatheringDoc =>
  changed ? replaceEqualDeep(stored, threeWay(changed.base, changed.mine, stored)) : stored;

/** A gathering as its cook sees it: what she has just changed is in it. */
export function useGathering(id: string) {
  const query = useGatherings();
  const changed = useWaiting((s) => s.waiting[id]);
  const unreachable = useWaiting((s) => s.unreachable);
  const stored = query.data?.gatherings.find((g) => g.id === id);
  const gathering = useMemo(() => stored && laidOver(stored.gathering, changed), [stored, changed]);
  return {
    gathering,
    timetable: stored?.timetable ?? null,
    version: stored?.version ?? 0,
    unreachable: unreachable && changed !== undefined,
    isPending: query.isPending,
    error: query.error,
  };
}

/** Changes a gathering; false where that would not fit together, which is told. */
export function changeGathering(id: string, change: GatheringChange): boolean {
  const stored = queryClient
    .getQueryData<{ gatherings: Gathering[] }>(keys.gatherings)
    ?.gatherings.find((g) => g.id === id);
  if (!stored) return false;
  const shown = laidOver(stored.gathering, useWaiting.getState().waiting[id]);
  const read = v.safeParse(gatheringSchema, change(shown));
  if (!read.success) {
    const what = sayField(read.issues[0]?.message) ?? say('field.other');
    notify('error', say('settle.wrong', { what }));
    return false;
  }
  changeWaiting(id, (was) => ({
    // What waited before is in what is shown, and with it a change against what is stored.
    base: stored.gathering,
    mine: threeWay(shown, read.output, laidOver(stored.gathering, was)),
  }));
  void sendGatherings();
  return true;
}

/** While the server does not answer it is asked again so often. */
const AGAIN_MS = 4000;
/** Another window was quicker: the change is put to what it has left, so often at most. */
const MOST_QUARRELS = 5;

/** Sends what waits, and tries again by itself. */
export const sendGatherings = sendsWaiting(
  () => {
    const [first] = Object.entries(useWaiting.getState().waiting);
    return first ? () => sendOne(...first) : null;
  },
  (unreachable) => useWaiting.setState({ unreachable }),
  AGAIN_MS,
);

/** @throws OfflineError or ApiError when it cannot be stored at present. */
async function sendOne(id: string, changed: Changed): Promise<void> {
  for (let quarrels = 0; ; quarrels++) {
    try {
      const { gatherings } = await ask(ROUTES.gatherings, {});
      const now = gatherings.find((g) => g.id === id);
      // Deleted elsewhere: there is nothing left to change.
      if (!now) break;
      const gathering = laidOver(now.gathering, changed);
      await send('saveGathering', { params: { id }, body: { version: now.version, gathering } });
      settle(id, changed);
      return;
    } catch (error) {
      if (error instanceof ApiError && error.code === 'changedElsewhere' && quarrels < MOST_QUARRELS)
        continue;
      const refused = error instanceof ApiError && error.ours && [400, 404, 409, 422].includes(error.status);
      if (!refused) throw error;
      notify('error', say('common.notStored', { detail: error.detail }));
      break;
    }
  }
  settle(id, changed);
}

/** It is stored, or it never will be; what was changed meanwhile goes on waiting, as a change against what was sent. */
const settle = (id: string, sent: Changed): void =>
  changeWaiting(id, (was) =>
    was === undefined || JSON.stringify(was) === JSON.stringify(sent)
      ? undefined
      : { base: sent.mine, mine: was.mine },
  );

window.addEventListener('online', () => void sendGatherings());
window.addEventListener('storage', () => void useWaiting.persist.rehydrate());
