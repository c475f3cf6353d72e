import { audienceOf, cautionsOf } from '../balance/cautions.ts';
import type { GatheringDoc, GatheringDrink } from '../documents/gathering.ts';
import type { Audience } from '../tables/audience.ts';
import type { Tag } from '../tables/traits.ts';
import type { Sized } from './feast.ts';
import { isServed, mayDrink } from './mayDrink.ts';

/** What stands on the card beside a jug. */
export interface TableCard {
  lotId: string;
  drinkId: string;
  served: GatheringDrink['served'];
  /** What is in it. */
  itemIds: readonly string[];
  tags: ReadonlySet<Tag>;
  /** All who may want to know before they drink: every caution of the lot, not only those of a label. */
  cautions: readonly Audience[];
  sugarGPerGlass: number;
  /** Groups of this gathering that are to leave it. */
  notFor: readonly string[];
}

/** A card for each lot that somebody may drink. */
export const tableCards = (gathering: GatheringDoc, sized: Pick<Sized, 'lots'>): TableCard[] => {
  const groups = gathering.groups.filter(isServed);
  return sized.lots.flatMap((lot): TableCard[] => {
    const settled = gathering.drinks.find((d) => d.id === lot.drinkId);
    const notFor = groups.filter((g) => !mayDrink(g, lot)).map((g) => g.id);
    if (!settled || notFor.length === groups.length) return [];
    return [
      {
        lotId: lot.id,
        drinkId: lot.drinkId,
        served: settled.served,
        itemIds: [...lot.itemIds],
        tags: lot.tags,
        cautions: audienceOf(cautionsOf(lot.tags)),
        sugarGPerGlass: lot.sugarGPerGlass,
        notFor,
      },
    ];
  });
};
