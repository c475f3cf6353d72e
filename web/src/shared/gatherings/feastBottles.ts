import type { GatheringDoc, GatheringDrink } from '@big-ladle/core/documents';
import type { FeastBottles } from '@big-ladle/core/gathering';
import type { Living, Shelf } from '../shelf.ts';

/** Bottles on the shelf that a drink of a gathering is poured from, the first to be drunk first. */
export const bottlesOfDrink = ({ source }: Pick<GatheringDrink, 'source'>, shelf: Shelf): Living[] =>
  shelf.living.filter(({ item: { facts } }) => {
    if (source.kind === 'bottles') return source.itemIds.includes(facts.itemId);
    return source.kind === 'batch' && facts.batchId === source.batchId;
  });

/** Bottles that a gathering names, as they stand now: which are left, and what is in them. */
export function bottlesOf(gathering: GatheringDoc, shelf: Shelf): Map<string, FeastBottles> {
  const out = new Map<string, FeastBottles>();
  for (const drink of gathering.drinks) {
    const mine = bottlesOfDrink(drink, shelf);
    if (mine.length === 0) continue;
    const litres = mine.reduce((sum, b) => sum + b.leftMl, 0) / 1000;
    const sugarG = mine.reduce((sum, { item, leftMl }) => {
      const { sugarG: inGlassG, servingMl } = item.facts.glass;
      return sum + (inGlassG / servingMl) * leftMl;
    }, 0);
    out.set(drink.id, {
      itemIds: mine.map((b) => b.item.facts.itemId),
      recipeId: mine[0]!.item.facts.recipeId,
      colour: mine[0]!.item.facts.colour,
      litres,
      tags: [...new Set(mine.flatMap((b) => b.item.facts.tags))],
      madeOf: [...new Set(mine.flatMap((b) => b.item.facts.itemIds))],
      sugarGPerL: litres > 0 ? sugarG / litres : 0,
      deadlineMs: Math.min(...mine.map((b) => b.life.deadlineMs)),
      frozenL: mine.reduce((sum, b) => sum + (b.life.frozen ? b.leftMl : 0), 0) / 1000,
    });
  }
  return out;
}
