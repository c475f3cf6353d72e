import '../../../words/places/shelf.ts';
import { portionStrength } from '@big-ladle/core/shelf';
import { useMemo } from 'react';
import { useBook } from '../../../shared/book.ts';
import type { Shelf } from '../../../shared/shelf.ts';
import { saySize } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import type { LabelText } from './layout.ts';
import { bottleLabel, leftoverLabel, type Printed, within } from './texts.ts';

export interface Choosable {
  id: string;
  title: string;
  note: string;
  labels: readonly LabelText[];
  /** It is not to be kept: it gets no label. */
  over: boolean;
}

const isOver = (life: { verdict: string }): boolean => life.verdict === 'past' || life.verdict === 'throwOut';

export function useChoosable(shelf: Shelf, nowMs: number): Choosable[] {
  const { book, tables } = useBook();
  return useMemo(() => {
    const to: Printed = {
      zone: shelf.kitchen.zone,
      nowMs,
      origin: window.location.origin,
      tables,
      smallMlOf: (recipeId) => book.find((r) => r.id === recipeId)?.servingMl ?? null,
    };
    return [
      ...shelf.living.map(({ item, life }): Choosable => {
        const label = bottleLabel(item.facts, life, to);
        return {
          id: item.facts.itemId,
          title: label.name,
          note: `${saySize(item.facts.sizeName).toLowerCase()}, ${within(label.until)}${item.facts.forWhom ? say('bottlePage.for', { forWhom: item.facts.forWhom }) : ''}`,
          labels: isOver(life) ? [] : [label],
          over: isOver(life),
        };
      }),
      ...shelf.leftovers.map(({ item, life }): Choosable => {
        const { leftover } = item.facts;
        const label = leftoverLabel(item.facts, life, portionStrength(leftover, tables), to);
        return {
          id: item.facts.itemId,
          title: label.name,
          note: say('count.portions', { count: leftover.portions }),
          labels: isOver(life) ? [] : Array.from({ length: leftover.portions }, () => label),
          over: isOver(life),
        };
      }),
    ];
  }, [shelf, nowMs, book, tables]);
}
