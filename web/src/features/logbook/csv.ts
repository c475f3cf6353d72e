import type { LogbookRow } from '@big-ladle/core/learn';
import { unparse } from 'papaparse';
import { sayDrink } from '../../words/names.ts';
import { fullDay } from '../../words/say.ts';

/** To so many decimals; a cell that is not known is empty. */
const rounded = (figure: number | null | undefined, decimals: number): number | '' =>
  figure === null || figure === undefined ? '' : Math.round(figure * 10 ** decimals) / 10 ** decimals;

/** What was made as CSV, one row a batch. A name that begins like a formula is still a name. */
export const csvOf = (rows: readonly LogbookRow[], zone: string): string =>
  unparse(
    rows.map((row) => ({
      day: fullDay(row.startedMs, zone),
      started: new Date(row.startedMs).toISOString(),
      drink: sayDrink(row.recipeId),
      wished_litres: rounded(row.wishedL, 2),
      expected_litres: rounded(row.expectedL, 2),
      litres: rounded(row.madeL, 2),
      minutes: rounded(row.minutes, 0),
      stopped: row.stopped ? 1 : '',
      sweetness_g_in_100_g: rounded(row.sweetPct, 1),
      score: row.score ?? '',
      words: row.words ?? '',
      cost: rounded(row.cost, 2),
      drunk_litres: rounded(row.went?.drunkL, 2),
      given_litres: rounded(row.went?.givenL, 2),
      frozen_litres: rounded(row.went?.frozenL, 2),
      thrown_out_litres: rounded(row.went?.thrownOutL, 2),
      still_there_litres: rounded(row.went?.thereL, 2),
      lasted_days: rounded(row.lastedDays, 1),
    })),
    { escapeFormulae: true },
  );
