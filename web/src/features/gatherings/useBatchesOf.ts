import type { BatchDoc } from '@big-ladle/core/contract';
import type { GatheringDoc } from '@big-ladle/core/documents';
import { useQueries } from '@tanstack/react-query';
import { batchQuery } from '../../shared/batchQueries.ts';
import { useItems } from '../../shared/queries.ts';

/** The batches that drinks of a gathering are made by, over or not, and what each drink is. */
export function useBatchesOf(gathering: GatheringDoc | undefined): {
  isPending: boolean;
  batchOf: (batchId: string) => BatchDoc['batch'] | null;
  /** The recipe of a drink, also when its batch is over or its bottles are gone; null: not known any more. */
  recipeOf: (drinkId: string) => string | null;
} {
  const items = useItems();
  const docs = useQueries({
    queries: (gathering?.drinks ?? []).flatMap(({ source }) =>
      source.kind === 'batch' ? [batchQuery(source.batchId)] : [],
    ),
  });
  const batchOf = (batchId: string) => docs.find((d) => d.data?.batch.id === batchId)?.data?.batch ?? null;
  return {
    isPending: docs.some((d) => d.isPending),
    batchOf,
    recipeOf: (drinkId) => {
      const source = gathering?.drinks.find((d) => d.id === drinkId)?.source;
      if (source?.kind === 'plan') return source.plan.recipeId;
      if (source?.kind === 'batch') return batchOf(source.batchId)?.plan.recipeId ?? null;
      return items.data?.items.find((i) => source?.itemIds.includes(i.facts.itemId))?.facts.recipeId ?? null;
    },
  };
}
