import { iceKgOf, type ShoppingPlan } from '@big-ladle/core/compare';
import { guestsOf, servingList } from '@big-ladle/core/gathering';
import { useMemo } from 'react';
import { useGathering } from '../../shared/gatherings/gatherings.ts';
import { useFeast } from '../../shared/gatherings/useFeast.ts';

/** What a gathering asks to be bought. */
export interface GatheringToBuy {
  name: string;
  /** Drinks that are no plans of their own yet, as they are made for the guests. */
  drinks: readonly { id: string; recipeId: string; made: Omit<ShoppingPlan, 'month'> }[];
  /** Batches of it that are planned or on. */
  batchIds: ReadonlySet<string>;
  /** Ice for the glasses, kg. */
  iceKg: number;
  guests: number;
  servesAtMs: number;
}

/** @param id of the gathering that is shopped for; null: of none. */
export function useGatheringToBuy(id: string | null): GatheringToBuy | null {
  const { gathering, timetable } = useGathering(id ?? '');
  const { sized } = useFeast(id ?? '', gathering, timetable);
  return useMemo(() => {
    if (!gathering || !sized) return null;
    return {
      name: gathering.name,
      drinks: sized.drinks.flatMap(({ id: drinkId, recipeId, made, plan, litres }) =>
        made && plan && recipeId
          ? [
              {
                id: drinkId,
                recipeId,
                made: { program: made.program, dosedG: made.sim.dosedG, litres, iceKg: iceKgOf(made.sim) },
              },
            ]
          : [],
      ),
      batchIds: new Set(
        gathering.drinks.flatMap(({ source }) => (source.kind === 'batch' ? [source.batchId] : [])),
      ),
      iceKg: servingList(gathering, sized).iceKg,
      guests: gathering.groups.reduce((sum, g) => sum + guestsOf(g), 0),
      servesAtMs: gathering.servesAtMs,
    };
  }, [gathering, sized]);
}
