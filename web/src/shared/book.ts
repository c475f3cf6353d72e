import { BOOK, ownRows, withCustom } from '@big-ladle/core/book';
import type { CustomFacts, Recipe } from '@big-ladle/core/documents';
import { type PinnedRows, SHIPPED_TABLES, type Tables, withLabels } from '@big-ladle/core/tables';
import { useMemo } from 'react';
import { type OwnBook, useOwnBook } from './ownBook.ts';
import { useKitchen } from './queries.ts';

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
