import { BOOK, ownRows, withCustom } from '@big-ladle/core/book';
import { ROUTES } from '@big-ladle/core/contract';
import type { CustomFacts, Recipe, StockRow } from '@big-ladle/core/documents';
import { type PinnedRows, SHIPPED_TABLES, type Tables, withLabels } from '@big-ladle/core/tables';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { ask } from './api.ts';
import { type OwnBook, useOwnBook } from './ownBook.ts';
import { keys, queryClient, useKitchen } from './queries.ts';
import { send } from './send.ts';

export interface WholeBook {
  /** Shipped drinks and the cook's own. */
  book: readonly Recipe[];
  own: readonly Recipe[];
  facts: readonly CustomFacts[];
  /** The cook's own ingredients, as rows. */
  custom: PinnedRows;
  tables: Tables;
}

const SHIPPED: WholeBook = { book: BOOK, own: [], facts: [], custom: ownRows([]), tables: SHIPPED_TABLES };

function bookOf(doc: OwnBook): WholeBook {
  const custom = ownRows(doc.ingredients);
  return {
    book: [...BOOK, ...doc.recipes],
    own: doc.recipes,
    facts: doc.ingredients,
    custom,
    tables: withCustom(SHIPPED_TABLES, custom),
  };
}

/** The whole book of this kitchen. While the cook's own part is on its way, the shipped one stands in. */
export function useBook(): WholeBook & { isPending: boolean; error: unknown } {
  const query = useOwnBook();
  const kitchen = useKitchen();
  const labels = kitchen.data?.kitchen.labels;
  const whole = useMemo(() => {
    const book = query.data ? bookOf(query.data) : SHIPPED;
    return { ...book, tables: withLabels(book.tables, labels) };
  }, [query.data, labels]);
  return { ...whole, isPending: query.isPending, error: query.error };
}

/** Changes what is said of a thing in the house, one change after the other: each begins with what the one before it left. */
export const useKeepStock = () =>
  useMutation({
    scope: { id: 'stock' },
    mutationFn: ({ itemId, ...change }: Partial<StockRow> & Pick<StockRow, 'itemId'>) => {
      const stored = queryClient
        .getQueryData<{ stock: StockRow[] }>(keys.stock)
        ?.stock.find((s) => s.itemId === itemId);
      const { itemId: _, ...before } = stored ?? {
        itemId,
        inHouseG: 0,
        packG: null,
        price: null,
        basketG: 0,
      };
      return send('putStock', { params: { id: itemId }, body: { ...before, ...change } });
    },
  });

export const useStock = () => useQuery({ queryKey: keys.stock, queryFn: () => ask(ROUTES.stock, {}) });
