import { ROUTES } from '@big-ladle/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiError, ask } from '../../../shared/api.ts';
import { queryClient } from '../../../shared/queries.ts';
import { say } from '../../../words/say.ts';

const key = ['access'] as const;
const LOOK_MS = 30_000;
/** While the server begins anew it is asked oftener. */
const SOON_MS = 600;

/** Who may come into the kitchen and how; null on every screen but the first. */
export function useAccess() {
  const [wish, setWish] = useState<{ open: boolean; safe: boolean } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => ask(ROUTES.access, {}),
    retry: false,
    refetchInterval: wish ? SOON_MS : LOOK_MS,
  });
  const came = data && wish && data.open === wish.open && (data.safe === wish.safe || data.problem !== null);
  if (came) setWish(null);
  const doIt = async (work: () => Promise<unknown>): Promise<boolean> => {
    setProblem(null);
    try {
      await work();
      return true;
    } catch (error) {
      setProblem(error instanceof ApiError ? error.detail : say('common.theKitchenServerDoes'));
      return false;
    } finally {
      void queryClient.invalidateQueries({ queryKey: key });
    }
  };
  return {
    access: data ?? null,
    problem,
    /** It begins anew, to be reached as it was told. */
    busy: wish !== null,
    change: async (to: { open: boolean; safe: boolean }) => {
      if (await doIt(() => ask(ROUTES.changeNetwork, { body: to }))) setWish(to);
    },
    makeCertificate: () => void doIt(() => ask(ROUTES.makeCertificate, {})),
    shutOut: (id: string) => void doIt(() => ask(ROUTES.revoke, { params: { id } })),
  };
}
