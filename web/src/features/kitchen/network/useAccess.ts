import '../../../words/places/dataProblems.ts';
import { ROUTES } from '@big-ladle/core/contract';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask } from '../../../shared/api.ts';
import { keys } from '../../../shared/queries.ts';
import { sayError, useSend } from '../../../shared/send.ts';

const LOOK_MS = 30_000;
/** While the server begins anew it is asked oftener. */
const SOON_MS = 600;

/** Who may come into the kitchen and how; null on every screen but the first. */
export function useAccess() {
  const [wish, setWish] = useState<{ open: boolean; safe: boolean } | null>(null);
  const change = useSend('changeNetwork');
  const certificate = useSend('makeCertificate');
  const revoke = useSend('revoke');
  const { data } = useQuery({
    queryKey: keys.access,
    queryFn: () => ask(ROUTES.access, {}),
    retry: false,
    refetchInterval: wish ? SOON_MS : LOOK_MS,
  });
  const came = data && wish && data.open === wish.open && (data.safe === wish.safe || data.problem !== null);
  if (came) setWish(null);
  return {
    access: data ?? null,
    problem: sayError(change.error ?? certificate.error ?? revoke.error),
    /** It begins anew, to be reached as it was told. */
    busy: wish !== null,
    change: (to: { open: boolean; safe: boolean }) =>
      change.mutate({ body: to }, { onSuccess: () => setWish(to) }),
    makeCertificate: () => certificate.mutate({}),
    shutOut: (id: string) => revoke.mutate({ params: { id } }),
  };
}
