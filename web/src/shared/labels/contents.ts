import { cautionsOf } from '@big-ladle/core/balance';
import { isWater, traitsOf } from '@big-ladle/core/program';
import { TAP_WATER_ID, type Tables } from '@big-ladle/core/tables';
import { sayItem } from '../../words/names.ts';
import { sayPlain } from '../../words/plainNames.ts';
import { plantsOf } from '../drawings/plants/plants.ts';

/** What is warned of on the label stands first: there may not be room for everything. */
const isSaidFirst = (id: string, tables: Tables): boolean =>
  cautionsOf(traitsOf([id], tables)).some((row) => row.onLabel);

/** What is in it, each by its plain name once, in the order in which it went in, but what is warned of first. */
export const containsOf = (itemIds: readonly string[], tables: Tables): string =>
  [
    ...new Set(
      itemIds
        .filter((id) => !isWater(tables, id))
        .sort((a, b) => Number(isSaidFirst(b, tables)) - Number(isSaidFirst(a, tables)))
        .map((id) => sayPlain(id).toLowerCase()),
    ),
  ].join(', ') || sayItem(TAP_WATER_ID).toLowerCase();

/** What is in it as drawings, without what only sweetens. */
export const drawn = (itemIds: readonly string[], tables: Tables): string[] =>
  plantsOf(
    itemIds.map((itemId) => ({ kind: tables.sweeteners.has(itemId) ? 'sweetener' : 'other', itemId })),
    tables,
  );
