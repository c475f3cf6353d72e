import { notedOf } from '@big-ladle/core/compare';
import { ROUTES } from '@big-ladle/core/contract';
import type { StockRow } from '@big-ladle/core/documents';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { say } from '../words/say.ts';
import { ApiError, ask } from './api.ts';
import { notify } from './notices.ts';
import { keys } from './queries.ts';
import { send } from './send.ts';
import { sendsWaiting } from './sendWaiting.ts';
import { STOCK_KEY } from './stockWaits.ts';

type Change = Partial<Omit<StockRow, 'itemId'>>;

interface StockChanges {
  /** What was changed here of each thing and is not stored by the server yet: a tick in a market is kept until it can be. */
  waiting: Readonly<Record<string, Change>>;
  /** The server could not be reached with them; it is tried again. */
  unreachable: boolean;
}

export const useStockChanges = create<StockChanges>()(
  persist((): StockChanges => ({ waiting: {}, unreachable: false }), {
    name: STOCK_KEY,
    storage: createJSONStorage(() => localStorage),
    partialize: ({ waiting }) => ({ waiting }),
  }),
);

/** All windows of this browser keep one list: what another one has put there is not written over. */
function changeWaiting(change: (waiting: StockChanges['waiting']) => StockChanges['waiting']): void {
  void useStockChanges.persist.rehydrate();
  useStockChanges.setState(({ waiting }) => ({ waiting: change(waiting) }));
}

/** What is stored, with what waits laid on top. */
export function withChanges(
  stored: readonly StockRow[],
  waiting: Readonly<Record<string, Change>>,
): StockRow[] {
  const known = new Set(stored.map((s) => s.itemId));
  return [
    ...stored.map((s) => ({ ...s, ...waiting[s.itemId] })),
    ...Object.entries(waiting)
      .filter(([itemId]) => !known.has(itemId))
      .map(([itemId, change]) => notedOf(itemId, change)),
  ];
}

const stockQuery = { queryKey: keys.stock, queryFn: () => ask(ROUTES.stock, {}) };

/** What is in the house and in the basket, with what was changed here and is on its way. */
export function useStock() {
  const { data: stored, isPending, error } = useQuery(stockQuery);
  const waiting = useStockChanges((s) => s.waiting);
  const data = useMemo(
    () => (stored ? { stock: withChanges(stored.stock, waiting) } : undefined),
    [stored, waiting],
  );
  return { data, isPending, error };
}

/** Changes what is said of a thing in the house: it shows at once, and is sent until the server has it. */
export function changeStock({ itemId, ...change }: Change & Pick<StockRow, 'itemId'>): void {
  changeWaiting((waiting) => ({ ...waiting, [itemId]: { ...waiting[itemId], ...change } }));
  void sendStock();
}

/** It is stored, or it never will be; what was changed of the thing meanwhile goes on waiting. */
function settle(itemId: string, sent: Change): void {
  const text = JSON.stringify(sent);
  changeWaiting((waiting) =>
    Object.fromEntries(
      Object.entries(waiting).filter(([id, change]) => id !== itemId || JSON.stringify(change) !== text),
    ),
  );
}

const RETRY_MS = 3000;

/** Sends what waits, and tries again by itself. */
export const sendStock = sendsWaiting(
  () => {
    const [first] = Object.entries(useStockChanges.getState().waiting);
    return first ? () => sendOne(...first) : null;
  },
  (unreachable) => useStockChanges.setState({ unreachable }),
  RETRY_MS,
);

/** @throws OfflineError or ApiError when it cannot be stored at present. */
async function sendOne(itemId: string, change: Change): Promise<void> {
  try {
    // What another window has said of the thing stays: only what was changed here is changed.
    const { stock } = await ask(ROUTES.stock, {});
    const { itemId: _, ...before } = stock.find((s) => s.itemId === itemId) ?? notedOf(itemId);
    await send('putStock', { params: { id: itemId }, body: { ...before, ...change } });
  } catch (error) {
    const refused = error instanceof ApiError && error.ours && [400, 404, 422].includes(error.status);
    if (!refused) throw error;
    notify('error', say('common.notStored', { detail: error.detail }));
  }
  settle(itemId, change);
}

window.addEventListener('online', () => void sendStock());
window.addEventListener('storage', () => void useStockChanges.persist.rehydrate());
