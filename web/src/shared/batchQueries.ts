import { type BatchDoc, type BatchListEntry, type BatchStatus, ROUTES } from '@big-ladle/core/contract';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { ask } from './api.ts';
import { keys, queryClient } from './queries.ts';

/** Pages that are asked for in one go: what is on and what is planned is never more. */
const MOST_PAGES = 40;

/** All batches of a state, whatever their number. */
async function everyPage(status: BatchStatus): Promise<BatchListEntry[]> {
  const all: BatchListEntry[] = [];
  let before: string | undefined;
  for (let page = 0; page < MOST_PAGES; page++) {
    const { batches, next } = await ask(ROUTES.batches, { query: { status, before } });
    all.push(...batches);
    if (next === null) break;
    before = next;
  }
  return all;
}

export const useOnList = () =>
  useQuery({ queryKey: [...keys.batches, 'on'], queryFn: () => everyPage('on') });

export const usePlans = () =>
  useQuery({ queryKey: [...keys.batches, 'planned'], queryFn: () => everyPage('planned') });

/** What was made of some drinks, page by page, the newest first. @param drinks null: of all. */
export function useMade(drinks: readonly string[] | null) {
  const asked = drinks?.join(',');
  const query = useInfiniteQuery({
    queryKey: [...keys.batches, 'done', asked ?? null],
    queryFn: ({ pageParam }) =>
      ask(ROUTES.batches, { query: { status: 'done', drinks: asked, before: pageParam } }),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (page) => page.next ?? undefined,
  });
  return {
    batches: query.data?.pages.flatMap((page) => page.batches) ?? [],
    /** Asks for the page after these; null: all are there. */
    more: query.hasNextPage ? () => void query.fetchNextPage() : null,
    isFetchingMore: query.isFetchingNextPage,
    isPending: query.isPending,
  };
}

/** Every batch that was made, a line each. */
export const useLogbook = () =>
  useQuery({ queryKey: [...keys.lookedBack, 'batches'], queryFn: () => ask(ROUTES.logbook, {}) });

/** Every batch by its drink and day, to be looked through. */
export const useBatchNames = () =>
  useQuery({ queryKey: [...keys.batches, 'names'], queryFn: () => ask(ROUTES.batchNames, {}) });

/** Where the drinks stood that were about right. */
export const useLikedPoints = () =>
  useQuery({ queryKey: [...keys.batches, 'liked'], queryFn: () => ask(ROUTES.likedPoints, {}) });

/** Those that cannot be read and were put out of sight. */
export const useBatchesAway = () =>
  useQuery({
    queryKey: [...keys.batches, 'away'],
    queryFn: () => ask(ROUTES.batches, { query: { away: '1' } }),
  });

export const useRehearsals = () =>
  useQuery({ queryKey: keys.rehearsals, queryFn: () => ask(ROUTES.batches, { query: { rehearsals: '1' } }) });

/**
 * A batch with its log from the server. The log only grows: what this window has heard already stays, also when an
 * answer that set out earlier comes in later.
 */
export const batchQuery = (id: string) => ({
  queryKey: keys.batch(id),
  queryFn: async (): Promise<BatchDoc> => {
    const doc = await ask(ROUTES.batch, { params: { id } });
    const fetched = new Set(doc.events.map((e) => e.id));
    const heard = queryClient.getQueryData<BatchDoc>(keys.batch(id))?.events ?? [];
    return { ...doc, events: [...doc.events, ...heard.filter((e) => !fetched.has(e.id))] };
  },
});
