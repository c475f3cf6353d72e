import { BOOK } from '@big-ladle/core/book';
import {
  type GatheringDoc,
  type GatheringDrink,
  type MethodId,
  newGathering,
} from '@big-ladle/core/documents';
import { basisOf, type FeastBatch, type FeastTimetable, timetableOf } from '@big-ladle/core/gathering';
import { readBatch } from '@big-ladle/core/log';
import { type JobResult, runJob } from '@big-ladle/core/plan';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import type { Db } from '../db/db.ts';
import { readKitchen } from '../db/rows.ts';
import { requireBatch } from '../services/batches.ts';
import { keepTimetable, saveGathering } from '../services/gatherings.ts';
import { eventsOf } from '../services/streams.ts';
import { comingSaturday, HOUR_MS, planOf } from './writing.ts';

const drink = (
  id: string,
  source: GatheringDrink['source'],
  served: GatheringDrink['served'],
): GatheringDrink => ({
  id,
  source,
  share: 1,
  served,
  frozen: false,
  apart: [],
});

/** The lantern supper: thirty-six guests in seven groups, four drinks, a sister who helps. */
export async function theLanternSupper(db: Db, nowMs: number): Promise<void> {
  const servesAtMs = comingSaturday(nowMs);
  const made = (recipeId: string, methodId: MethodId, potId: string): GatheringDrink['source'] => ({
    kind: 'plan',
    plan: planOf(recipeId, methodId, potId, { kind: 'litres', litres: 6 }, null),
    litres: null,
  });
  const group = (
    id: string,
    name: string,
    count: number,
    more: Partial<GatheringDoc['groups'][number]> = {},
  ) => ({
    id,
    name,
    least: count,
    most: count,
    age: 'adult' as const,
    rules: [],
    thirst: 'usual' as const,
    ...more,
  });
  const gathering: GatheringDoc = {
    ...newGathering('Lantern supper', servesAtMs, servesAtMs + 4 * HOUR_MS),
    yearly: true,
    groups: [
      group('grown', 'grown-ups', 18),
      group('abstain', 'without alcohol', 4, { rules: [{ kind: 'noAlcohol' }] }),
      group('children', 'children', 6, { age: 'child' }),
      group('teens', 'teens', 3, { age: 'teen' }),
      group('sugar', 'who count sugar', 2, { rules: [{ kind: 'fewSugar', gPerGlass: 5 }] }),
      group('expecting', 'expecting', 1, { rules: [{ kind: 'pregnant' }] }),
      group('honey', 'without honey', 2, { rules: [{ kind: 'noHoney' }] }),
    ],
    drinks: [
      drink('red', { kind: 'batch', batchId: 'demo-steeping' }, 'iced'),
      // Made early: it is frozen until then.
      { ...drink('pineapple', { kind: 'batch', batchId: 'demo-cooling' }, 'iced'), frozen: true },
      drink('mint', made('lemongrass-ginger-mint', 'pourOver', 'tall-pot'), 'cold'),
      drink('melon', made('melon-calyx', 'straightBoil', 'tall-pot'), 'cold'),
    ],
    helpers: [
      { id: 'sister', name: 'My sister', fromMs: servesAtMs - 4 * HOUR_MS, toMs: servesAtMs + 2 * HOUR_MS },
    ],
    notes: 'Lanterns by half past five. Ice from the corner shop in the afternoon.',
  };
  await saveGathering(db, 'demo-supper', { version: 0, gathering }, nowMs - HOUR_MS);
  await keepTimetable(db, 'demo-supper', await hoursOf(db, gathering, nowMs));
}

/** The search for hours is over after so many looks at it. */
const TRIES = 40;

/** Hours for it, as a page would find them: so that the demo's first page has not to look for them. */
async function hoursOf(db: Db, gathering: GatheringDoc, nowMs: number): Promise<FeastTimetable> {
  const { kitchen } = await readKitchen(db);
  let tries = 0;
  const { feast } = runJob(
    {
      kind: 'feast',
      input: { gathering, batches: await begunOf(db, gathering, nowMs), bottles: new Map(), nowMs },
      kitchen,
      seed: 0.42,
      budgetMs: TRIES,
    },
    BOOK,
    SHIPPED_TABLES,
    { cancelled: () => false, onProgress: () => undefined, elapsedMs: () => tries++ },
  ) as Extract<JobResult, { kind: 'feast' }>;
  return timetableOf(feast.times!, basisOf(gathering), null);
}

/** Batches of it that are on, as far as they are. */
async function begunOf(db: Db, gathering: GatheringDoc, nowMs: number): Promise<FeastBatch[]> {
  const begun: FeastBatch[] = [];
  for (const { source } of gathering.drinks) {
    if (source.kind !== 'batch') continue;
    const { pins } = await requireBatch(db, source.batchId);
    const events = await eventsOf(db, 'batch', source.batchId);
    const { log, forecast } = unwrap(readBatch(pins!, () => SHIPPED_TABLES, events, nowMs));
    begun.push({
      batchId: source.batchId,
      state: 'begun',
      program: log.program,
      forecast,
      startedMs: log.startedMs!,
      currentStepId: log.currentStepId,
    });
  }
  return begun;
}
