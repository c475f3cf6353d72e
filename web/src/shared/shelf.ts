import type { ShelfItem, ShelfLeftover } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';
import {
  type BottleLife,
  endOfTomorrow,
  lifeOf,
  type Surroundings,
  surroundingsOf,
  type TemperatureSeries,
  temperatureSeriesOf,
} from '@big-ladle/core/keeping';
import { activeEvents, type ItemLog, isGone, itemAfter, type LogEvent } from '@big-ladle/core/log';
import { type LeftoverLife, leftoverLife, type Standee } from '@big-ladle/core/shelf';
import { MINUTE_MS } from '@big-ladle/core/units';
import { useMemo } from 'react';
import { placesOf } from './house.ts';
import { saidSince, useOutbox } from './outboxStore.ts';
import { useFridge, useItems, useKitchen } from './queries.ts';

export interface Living {
  item: ShelfItem;
  life: BottleLife;
  leftMl: number;
}

export interface LivingLeftover {
  item: ShelfLeftover;
  life: LeftoverLife;
}

export interface Shelf {
  kitchen: Kitchen;
  around: Surroundings;
  track: TemperatureSeries | null;
  /** The first to be drunk first. */
  living: readonly Living[];
  leftovers: readonly LivingLeftover[];
}

/** What this window has said of a thing since, laid on top of what the server has told. */
export function withWaiting(log: ItemLog, said: readonly LogEvent[], itemId: string): ItemLog {
  const mine = said.filter((e) => e.stream.kind === 'item' && e.stream.id === itemId);
  return activeEvents(mine).reduce(itemAfter, log);
}

/** What this window has said and an answer does not hold yet. */
export function useSaidSince(answer: { heardOf: number } | undefined): readonly LogEvent[] {
  const pending = useOutbox((s) => s.pending);
  const stored = useOutbox((s) => s.stored);
  const heardOf = answer?.heardOf ?? 0;
  return useMemo(() => saidSince({ stored, pending }, heardOf), [stored, pending, heardOf]);
}

/** Lives are looked at anew so often; nothing on a shelf changes faster. */
const LOOK_AGAIN_MS = MINUTE_MS;

/** The cook's own rule for a drink, days; null: none. */
export const ownDaysOf = (kitchen: Kitchen, recipeId: string): number | null =>
  (kitchen.ownRules ?? []).find((rule) => rule.recipeId === recipeId)?.sealedDays ?? null;

/** @param soonMs when tomorrow ends in the kitchen's zone: asked once for a whole shelf. */
export const livingOf = (
  item: ShelfItem,
  kitchen: Kitchen,
  around: Surroundings,
  nowMs: number,
  soonMs = endOfTomorrow(nowMs, kitchen.zone),
): Living => ({
  item,
  life: lifeOf(item.facts.bottle, item.log, around, nowMs, {
    soonMs,
    ownDays: ownDaysOf(kitchen, item.facts.recipeId),
  }),
  leftMl: Math.max(0, item.facts.bottle.volumeMl - item.log.pouredMl),
});

/** Where bottles stand, and how warm it is and was there. */
export function useSurroundings(nowMs: number) {
  const kitchen = useKitchen();
  const fridge = useFridge();
  const coarseMs = Math.floor(nowMs / LOOK_AGAIN_MS) * LOOK_AGAIN_MS;
  const k = kitchen.data?.kitchen;
  const record = fridge.data?.record ?? null;
  const around = useMemo(() => {
    if (!k) return null;
    return surroundingsOf({ ...k, places: placesOf(k) }, temperatureSeriesOf(record, k.fridgeC, coarseMs));
  }, [k, record, coarseMs]);
  return { kitchen: k, around, coarseMs, query: kitchen };
}

/** Everything that stands in the house, with what is left of it. */
export function useShelf(nowMs: number): {
  shelf: Shelf | null;
  isPending: boolean;
  error: unknown;
  refetch: () => void;
} {
  const { kitchen, around, coarseMs, query } = useSurroundings(nowMs);
  const items = useItems();
  const said = useSaidSince(items.data);
  const shelf = useMemo((): Shelf | null => {
    if (!kitchen || !around || !items.data) return null;
    const there = <T extends ShelfItem | ShelfLeftover>(rows: readonly T[]): T[] =>
      rows
        .map((row) => ({ ...row, log: withWaiting(row.log, said, row.facts.itemId) }))
        .filter((row) => !isGone(row.log));
    const soonMs = endOfTomorrow(coarseMs, kitchen.zone);
    return {
      kitchen,
      around,
      track: around.track,
      living: there(items.data.items)
        .map((item) => livingOf(item, kitchen, around, coarseMs, soonMs))
        .sort(
          (a, b) =>
            a.life.deadlineMs - b.life.deadlineMs || (a.item.facts.itemId < b.item.facts.itemId ? -1 : 1),
        ),
      leftovers: there(items.data.leftovers ?? [])
        .map((item) => ({
          item,
          life: leftoverLife(item.facts.leftover, item.log, around, coarseMs),
        }))
        .filter((l) => l.life.leftG >= 1)
        .sort((a, b) => a.life.deadlineMs - b.life.deadlineMs),
    };
  }, [kitchen, around, items.data, said, coarseMs]);
  return {
    shelf,
    isPending: query.isPending || items.isPending,
    error: query.error ?? items.error,
    refetch: () => void Promise.all([query.refetch(), items.refetch()]),
  };
}

/** A bottle as it takes room where it stands. */
export const standeeOf = ({ item, life }: Living): Standee => ({
  itemId: item.facts.itemId,
  deadlineMs: life.deadlineMs,
  sizeMl: item.facts.sizeMl,
  diameterCm: item.facts.bottle.diameterCm,
});
