import type { BottleFacts } from '../keeping/follower.ts';
import { type BottleLife, type LifeAsk, lifeOf } from '../keeping/spoilage.ts';
import { climateAt, type Surroundings } from '../keeping/storageClimate.ts';
import type { ItemLog } from '../log/itemLog.ts';
import { TABLE_JUG } from '../tables/guests.ts';
import { MINUTE_MS } from '../units/time.ts';

/** How long a bottle has stood out of the cold where it stands now, min; null: it does not. */
export function outMin(log: Pick<ItemLog, 'places'>, around: Surroundings, nowMs: number): number | null {
  const here = log.places.at(-1);
  if (!here || climateAt(around, here.place).kind !== 'counter') return null;
  return Math.max(0, (nowMs - here.fromMs) / MINUTE_MS);
}

/** What would become of it if it went back to a place now: by the rules of keeping, all its minutes out counted. */
export const putBack = (
  bottle: BottleFacts,
  log: ItemLog,
  place: string,
  around: Surroundings,
  nowMs: number,
  ask: LifeAsk,
): BottleLife =>
  lifeOf(bottle, { ...log, places: [...log.places, { place, fromMs: nowMs }] }, around, nowMs, ask);

/** A bottle that may be poured from. */
export interface Pourable {
  itemId: string;
  leftMl: number;
  isOpen: boolean;
  isOut: boolean;
  deadlineMs: number;
}

/** What a jug takes from a bottle. */
export interface JugPart {
  itemId: string;
  volumeMl: number;
  /** It is opened for it. */
  opens: boolean;
}

/**
 * What a jug is filled from: what stands on the table first, then what is open, then what keeps shortest. Less than a
 * jug where there is no more.
 */
export function jugFrom(bottles: readonly Pourable[], jugMl: number = TABLE_JUG.volumeMl): JugPart[] {
  const order = [...bottles].sort(
    (a, b) =>
      Number(b.isOut) - Number(a.isOut) || Number(b.isOpen) - Number(a.isOpen) || a.deadlineMs - b.deadlineMs,
  );
  let leftMl = jugMl;
  return order.flatMap(({ itemId, leftMl: inIt, isOpen }): JugPart[] => {
    const volumeMl = Math.min(inIt, leftMl);
    // A last drop is left in it.
    if (volumeMl < 1) return [];
    leftMl -= volumeMl;
    return [{ itemId, volumeMl, opens: !isOpen }];
  });
}
