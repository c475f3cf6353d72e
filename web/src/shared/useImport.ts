import '../words/places/dataProblems.ts';
import { type ImportMode, type ImportState, ROUTES } from '@big-ladle/core/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { sayProblem } from '../words/problemWords.ts';
import { say } from '../words/say.ts';
import { ask } from './api.ts';
import { keys, queryClient } from './queries.ts';
import { sayError, send } from './send.ts';

/** How often it is asked how far it has come while it runs, ms. */
const LOOK_MS = 400;
const RUNS: readonly ImportState['stage'][] = ['checking', 'preparing', 'taking'];

/** An archive on its way in: where it stands, and what can be done with it. */
export interface Import {
  state: ImportState | null;
  /** What is wrong with the file, or why it did not go on. */
  problem: string | null;
  runs: boolean;
  /** The kitchen began anew with what was in the file. */
  replaced: boolean;
  upload: (file: File) => void;
  take: (mode: ImportMode) => void;
  /** Calls it off, or takes note of its end. */
  dismiss: () => void;
}

/** @param only taken in so as soon as it has been looked over, without a question. */
export function useImport(only: ImportMode | null = null): Import {
  const [replaced, setReplaced] = useState(false);
  const [calledOff, setCalledOff] = useState(false);
  const { data } = useQuery({
    queryKey: keys.import,
    queryFn: () => ask(ROUTES.importState, {}),
    retry: false,
    staleTime: 0,
    refetchInterval: (query) => {
      const stage = query.state.data?.state?.stage;
      return stage && RUNS.includes(stage) ? LOOK_MS : false;
    },
  });
  const state = data?.state ?? null;
  const stage = state?.stage ?? null;
  // A server that begins anew with another file knows of no import: that is how its end is seen.
  const [waitsForAnew, setWaits] = useState(false);
  const replaces = state?.mode === 'replace' && stage !== 'failed';
  if (replaces !== waitsForAnew && state !== null) setWaits(replaces);
  if (waitsForAnew && state === null && !calledOff) {
    setWaits(false);
    setReplaced(true);
  }
  const change = useMutation({
    mutationFn: (work: () => Promise<ImportState | null>) => work(),
    onSuccess: (next) => queryClient.setQueryData(keys.import, { state: next }),
  });
  const run = (work: () => Promise<ImportState | null>) => {
    setReplaced(false);
    setCalledOff(false);
    change.mutate(work);
  };
  const sending = change.isPending;
  const refused = sayError(change.error, say('takeArchive.theKitchenServerDoes'));
  const take = (mode: ImportMode) => run(() => send('takeArchive', { body: { mode } }));
  // What began here goes on by itself where nothing is to be asked.
  useEffect(() => {
    if (only && stage === 'checked' && !sending && refused === null) take(only);
  });
  // What came in is shown everywhere.
  useEffect(() => {
    if (stage === 'done' || replaced)
      void queryClient.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.import[0] });
  }, [stage, replaced]);
  return {
    state,
    problem: refused ?? (state?.problem ? sayProblem(state.problem) : null),
    runs: (sending && stage !== 'done' && stage !== 'failed') || (stage !== null && RUNS.includes(stage)),
    replaced,
    upload: (file) => run(() => send('uploadArchive', {}, file)),
    take,
    dismiss: () => {
      run(async () => {
        await send('cancelImport', {});
        return null;
      });
      setCalledOff(true);
    },
  };
}
