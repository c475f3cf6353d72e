import type { GatheringDoc } from '@big-ladle/core/documents';
import { useQueries } from '@tanstack/react-query';
import { batchQuery } from '../../shared/batchQueries.ts';
import { useItems } from '../../shared/queries.ts';

/** The recipe of each drink of a gathering, also when its batch is over or its bottles are gone; null: not known any more. */
export function useRecipeOf(gathering: GatheringDoc | undefined): (drinkId: string) => string | null {
  const items = useItems();
  const batches = useQueries({
    queries: (gathering?.drinks ?? []).flatMap(({ source }) =>
      source.kind === 'batch' ? [batchQuery(source.batchId)] : [],
    ),
  });
  return (drinkId) => {
    const source = gathering?.drinks.find((d) => d.id === drinkId)?.source;
    if (source?.kind === 'plan') return source.plan.recipeId;
    if (source?.kind === 'batch')
      return batches.find((b) => b.data?.batch.id === source.batchId)?.data?.batch.plan.recipeId ?? null;
    return items.data?.items.find((i) => source?.itemIds.includes(i.facts.itemId))?.facts.recipeId ?? null;
  };
}
