import { garnishOf } from '../balance/pour.ts';
import type { GatheringDoc, GatheringDrink } from '../documents/gathering.ts';
import { iceMl } from '../tables/constants.ts';
import type { GarnishRow } from '../tables/garnish.ts';
import { GLASSES } from '../tables/guests.ts';
import { HOUR_MS, MINUTE_MS } from '../units/time.ts';
import { guestsOf } from './demand.ts';
import type { Sized } from './feast.ts';
import { isServed, mayDrink } from './mayDrink.ts';

/** One drink on the table. */
export interface ServedDrink {
  drinkId: string;
  /** What is set apart of it has its own jug. */
  lotId: string;
  served: GatheringDrink['served'];
  litres: number;
  /** Out of the cold, so much at a time: no more than is drunk within two hours. */
  rounds: readonly { atMs: number; litres: number }[];
  iceKg: number;
  garnish: readonly GarnishRow[];
  /** Pieces of each garnish: one for a glass. */
  pieces: number;
  /** Who may have it, by group; all of them: nobody is to be warned. */
  forGroups: readonly string[];
}

export interface ServingList {
  drinks: readonly ServedDrink[];
  glasses: number;
  iceKg: number;
  /** When ice is fetched: on the day, so late as it can be. */
  iceAtMs: number;
}

/** Nothing stands out of the cold longer than that. Source: usual guidance for chilled food. */
export const OUT_MOST_MS = 2 * HOUR_MS;
/** A glass for everybody, and some for those that are put down somewhere. */
const SPARE_GLASSES = 1.25;
/** Of bought ice so much is water before it is in a glass. Source: general kitchen practice. */
const ICE_LOST = 0.25;
const ICE_BEFORE_MS = 90 * MINUTE_MS;
/** The first round stands on the table when they come. */
const FIRST_BEFORE_MS = 10 * MINUTE_MS;

/** What is put on the table when: rounds of two hours at most, ice, glasses, garnish, and which jug is for whom. */
export function servingList(
  gathering: GatheringDoc,
  sized: Pick<Sized, 'drinks' | 'lots' | 'giftL'>,
): ServingList {
  const { servesAtMs, untilMs, iceShare, glassMl } = gathering;
  const groups = gathering.groups.filter(isServed);
  const hours = Math.max(1, (untilMs - servesAtMs) / HOUR_MS);
  const count = Math.ceil(((untilMs - servesAtMs) / OUT_MOST_MS) * (1 - 1e-9));
  const drinks = sized.lots.flatMap((lot): ServedDrink[] => {
    const drink = sized.drinks.find((d) => d.id === lot.drinkId);
    const settled = gathering.drinks.find((d) => d.id === lot.drinkId);
    if (!drink || !settled) return [];
    const forGroups = groups.filter((g) => mayDrink(g, lot)).map((g) => g.id);
    // What nobody may drink, or what is past its date by then, is not put on the table.
    if (forGroups.length === 0) return [];
    const isMain = lot.id === drink.lot.id;
    const apartL = settled.apart.reduce((sum, a) => sum + a.litres, 0);
    const part = settled.apart.find((a) => lot.id.endsWith(`:${a.beforeStepId}`));
    const litres = isMain
      ? Math.max(0, drink.litres - apartL - (sized.giftL.get(drink.id) ?? 0))
      : (part?.litres ?? 0);
    const iced = settled.served === 'iced';
    const glasses = (litres * 1000) / (glassMl * (iced ? 1 - iceShare : 1));
    return [
      {
        drinkId: drink.id,
        lotId: lot.id,
        served: settled.served,
        litres,
        rounds: Array.from({ length: Math.max(1, count) }, (_, i) => {
          const atMs = servesAtMs + i * OUT_MOST_MS;
          // In the first hour twice as much is drunk as in a later one.
          return {
            atMs: i === 0 ? atMs - FIRST_BEFORE_MS : atMs,
            litres: (litres * drunkBetween(i * 2, Math.min(hours, (i + 1) * 2))) / drunkBetween(0, hours),
          };
        }),
        iceKg: iced ? ((glasses * glassMl * iceShare) / iceMl(1) / 1000) * (1 + ICE_LOST) : 0,
        garnish: garnishOf(lot.itemIds, settled.served === 'warm'),
        pieces: Math.ceil(glasses),
        forGroups,
      },
    ];
  });
  return {
    drinks,
    glasses: Math.ceil(groups.reduce((sum, g) => sum + guestsOf(g), 0) * SPARE_GLASSES),
    iceKg: drinks.reduce((sum, d) => sum + d.iceKg, 0),
    iceAtMs: servesAtMs - ICE_BEFORE_MS,
  };
}

/** Glasses between two hours of an evening, by the rule of thirst. */
const drunkBetween = (from: number, to: number): number => drunkUntil(to) - drunkUntil(from);
const drunkUntil = (hours: number): number =>
  Math.min(1, hours) * GLASSES.firstHour + Math.max(0, hours - 1) * GLASSES.furtherHour;
