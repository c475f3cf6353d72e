import type { GatheringDoc } from '../documents/gathering.ts';
import { familyOfItem } from '../tables/families.ts';
import { SHOP_ROWS } from '../tables/kitchenFacts.ts';
import { ORDER_BEFORE_DAYS, SEASON_ROWS, type SeasonRow } from '../tables/seasons.ts';
import type { Tables } from '../tables/types.ts';
import { DAY_MS } from '../units/time.ts';
import type { FeastDrink } from './drinks.ts';

/** When what a plant gives must be sown, picked or ordered, to be there for a feast. */
export interface SeasonDates {
  familyId: string;
  /** Dried it is picked long before; fresh just before. */
  form: 'fresh' | 'dried';
  begins: SeasonRow['begins'];
  /** The drinks that it goes into. */
  drinkIds: readonly string[];
  massG: number;
  /** Sown later it is not ready in time as a rule. */
  sowByMs: number;
  /** It may be picked from then on, and until then: sooner it would be stale, later it is too late. */
  pickFromMs: number;
  pickToMs: number;
  /** Who does not grow it orders it by then. */
  orderByMs: number;
  /** What is picked on the last day is to be used by then. */
  useByMs: number;
}

/** With less water in it a plant counts as dried, %. */
const DRIED_BELOW_PCT = 20;
/** Where its hours are not found yet, a drink is made so long before it is served. */
const MADE_BEFORE_MS = 2 * DAY_MS;

/**
 * Sow by, pick between, order by: of every plant of the table that goes into what is still to be made.
 * @param beginsMs when the first job of a drink begins, where that is known.
 */
export function seasonDates(
  gathering: Pick<GatheringDoc, 'servesAtMs'>,
  drinks: readonly Pick<FeastDrink, 'id' | 'made' | 'begun'>[],
  beginsMs: (drinkId: string) => number | null,
  tables: Tables,
): SeasonDates[] {
  const found = new Map<string, SeasonDates>();
  for (const { id, made, begun } of drinks) {
    if (!made || begun) continue;
    const madeMs = beginsMs(id) ?? gathering.servesAtMs - MADE_BEFORE_MS;
    for (const { itemId, massG } of made.program.lines) {
      const season = seasonOf(itemId);
      const form = season && formOf(itemId, season, tables);
      if (!form) continue;
      const key = `${season.familyId} ${form}`;
      const dates = datesOf(itemId, season, form, madeMs);
      const was = found.get(key);
      // For several drinks the first of them counts.
      found.set(key, {
        ...(was && was.pickToMs < dates.pickToMs ? was : dates),
        drinkIds: [...new Set([...(was?.drinkIds ?? []), id])],
        massG: (was?.massG ?? 0) + massG,
      });
    }
  }
  return [...found.values()].sort((a, b) => a.sowByMs - b.sowByMs);
}

function seasonOf(itemId: string): SeasonRow | undefined {
  const familyId = familyOfItem(itemId)?.id;
  return SEASON_ROWS.find((row) => row.familyId === familyId);
}

/** Null for what this plant is not picked as: a dried form of what nobody dries at home. */
function formOf(itemId: string, season: SeasonRow, tables: Tables): SeasonDates['form'] | null {
  const row = tables.ingredients.get(itemId);
  if (!row) return null;
  if (row.waterPct >= DRIED_BELOW_PCT) return 'fresh';
  return season.dried ? 'dried' : null;
}

function datesOf(
  itemId: string,
  season: SeasonRow,
  form: SeasonDates['form'],
  madeMs: number,
): Omit<SeasonDates, 'drinkIds' | 'massG'> {
  const { dried, freshDays, toHarvestDays, familyId, begins } = season;
  const drying = form === 'dried' ? dried : null;
  const goodDays = drying?.goodDays ?? freshDays;
  const pickToMs = madeMs - (drying?.inDays ?? 0) * DAY_MS;
  const shop = SHOP_ROWS.find((r) => r.itemId === itemId)?.shop ?? 'store';
  return {
    familyId,
    form,
    begins,
    sowByMs: pickToMs - toHarvestDays[1] * DAY_MS,
    pickFromMs: Math.min(pickToMs, madeMs - goodDays * DAY_MS),
    pickToMs,
    orderByMs: madeMs - ORDER_BEFORE_DAYS[shop] * DAY_MS,
    useByMs: pickToMs + ((drying?.inDays ?? 0) + goodDays) * DAY_MS,
  };
}
