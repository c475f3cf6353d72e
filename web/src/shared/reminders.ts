import type { MessageKind } from '@big-ladle/core/documents';
import { lastWholeDay, warmSpells } from '@big-ladle/core/keeping';
import { giftReminder, morningOf, type Reminder, rateOfUse, remindersOf } from '@big-ladle/core/shelf';
import { useMemo } from 'react';
import { useGifts, useUse } from './queries.ts';
import type { Shelf } from './shelf.ts';

/** Told of so long after it was over, ms. */
const WARM_NEWS_MS = 48 * 3_600_000;

/** How fast each drink goes, and when it is to be made again. */
export function useRates(shelf: Shelf, nowMs: number) {
  const { data } = useUse();
  return useMemo(() => {
    const byRecipe = new Map<string, typeof shelf.living>();
    for (const l of shelf.living)
      byRecipe.set(l.item.facts.recipeId, [...(byRecipe.get(l.item.facts.recipeId) ?? []), l]);
    return [...byRecipe].map(([recipeId, living]) => {
      const use = data?.use.find((u) => u.recipeId === recipeId);
      return {
        recipeId,
        drinkName: living[0]?.item.facts.drinkName,
        leftMl: living.reduce((sum, l) => sum + l.leftMl, 0),
        rate: rateOfUse(
          use?.pouredMl ?? 0,
          nowMs - (use?.sinceMs ?? nowMs),
          living.map((l) => ({ leftMl: l.leftMl, deadlineMs: l.life.deadlineMs })),
          nowMs,
        ),
      };
    });
  }, [shelf, data, nowMs]);
}

/** Everything the shelf asks for, in the order of time. */
export function useReminders(shelf: Shelf, nowMs: number): Reminder[] {
  const gifts = useGifts().data?.gifts;
  return useMemo(() => {
    const { zone } = shelf.kitchen;
    const list = remindersOf(
      shelf.living.map(({ item, life }) => ({
        itemId: item.facts.itemId,
        batchId: item.facts.batchId,
        recipeId: item.facts.recipeId,
        ...(item.facts.drinkName ? { drinkName: item.facts.drinkName } : {}),
        ...(item.facts.lot ? { lot: item.facts.lot } : {}),
        bottle: item.facts.bottle,
        log: item.log,
        life,
      })),
      zone,
      nowMs,
    );
    for (const g of gifts ?? []) list.push(giftReminder({ ...g, occasion: g.gifts.occasion }, zone));
    for (const { item, life } of shelf.leftovers)
      list.push({
        key: `leftover:${item.facts.itemId}`,
        kind: life.frozen ? 'defrost' : 'due',
        ...(life.verdict === 'past' || life.verdict === 'throwOut' ? { over: true as const } : {}),
        atMs: morningOf(lastWholeDay(life.deadlineMs, zone), zone),
        itemIds: [item.facts.itemId],
        recipeId: item.facts.recipeId,
        ...(item.facts.drinkName ? { drinkName: item.facts.drinkName } : {}),
        about: { what: 'leftover', leftover: item.facts.leftover.kind },
      });
    for (const spell of shelf.track ? warmSpells(shelf.track) : [])
      if (spell.toMs > nowMs - WARM_NEWS_MS)
        list.push({
          key: `warm:${spell.fromMs}`,
          kind: 'warm' satisfies MessageKind,
          atMs: spell.toMs,
          itemIds: [],
          recipeId: '',
          about: { what: 'warmth', highestC: spell.highestC },
        });
    return list.sort((a, b) => a.atMs - b.atMs || (a.key < b.key ? -1 : 1));
  }, [shelf, gifts, nowMs]);
}
