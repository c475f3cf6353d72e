import { keepDate } from '@big-ladle/core/keeping';
import type { Living } from '../../shared/shelf.ts';

/** Bottles that are as one another: shown once, with how many there are. */
export interface Stack {
  living: Living;
  count: number;
}

/** What two bottles must have alike to be shown as one: nothing that a cook would take one of them for. */
function likeness({ item, life, leftMl }: Living, zone: string, place: string | null): string {
  const { facts, log } = item;
  const date = keepDate(life, zone);
  return JSON.stringify([
    facts.batchId,
    facts.lot?.id ?? null,
    facts.sizeMl,
    facts.bottle.volumeMl,
    leftMl,
    log.openedMs,
    facts.forWhom ?? null,
    place,
    life.verdict,
    life.frozen,
    life.own?.longer ?? false,
    date.kind === 'day' || date.kind === 'past' ? Math.floor(date.dayMs / 3_600_000) : date.kind,
    Math.round(life.leftShare * 50),
  ]);
}

/** The same bottles in the same order, equal ones as one where the first of them stands. */
export function stacked(
  living: readonly Living[],
  zone: string,
  placeOf: (living: Living) => string | null,
): Stack[] {
  const stacks = new Map<string, Stack>();
  for (const one of living) {
    const key = likeness(one, zone, placeOf(one));
    const before = stacks.get(key);
    if (before) before.count++;
    else stacks.set(key, { living: one, count: 1 });
  }
  return [...stacks.values()];
}
