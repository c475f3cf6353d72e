import type { BatchListEntry } from '@big-ladle/core/contract';
import { unparse } from 'papaparse';
import { sayDrink } from '../../words/names.ts';
import { fullDay } from '../../words/say.ts';

const MINUTE = 60_000;

/** What was made as CSV, one row a batch. A name that begins like a formula is still a name. */
export const csvOf = (made: readonly BatchListEntry[], zone: string): string =>
  unparse(
    made.map(({ batch, now }) => ({
      day: now?.startedMs == null ? '' : fullDay(now.startedMs, zone),
      started: now?.startedMs == null ? '' : new Date(now.startedMs).toISOString(),
      drink: sayDrink(batch.plan.recipeId),
      litres: now && !now.stopped ? Math.round(now.litres * 100) / 100 : '',
      minutes:
        now?.startedMs != null && now.endedMs != null
          ? Math.round((now.endedMs - now.startedMs) / MINUTE)
          : '',
      stopped: now?.stopped ? 1 : '',
      score: now?.score ?? '',
      words: now?.words ?? '',
    })),
    { escapeFormulae: true },
  );
