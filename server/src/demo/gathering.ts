import {
  type GatheringDoc,
  type GatheringDrink,
  type MethodId,
  newGathering,
} from '@big-ladle/core/documents';
import type { Db } from '../db/db.ts';
import { saveGathering } from '../services/gatherings.ts';
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
      drink('pineapple', made('pineapple-ginger', 'straightBoil', 'tall-pot'), 'iced'),
      drink('mint', made('lemongrass-ginger-mint', 'pourOver', 'tall-pot'), 'cold'),
      drink('melon', made('melon-calyx', 'straightBoil', 'tall-pot'), 'cold'),
    ],
    helpers: [
      { id: 'sister', name: 'My sister', fromMs: servesAtMs - 4 * HOUR_MS, toMs: servesAtMs + 2 * HOUR_MS },
    ],
    notes: 'Lanterns by half past five. Ice from the corner shop in the afternoon.',
  };
  await saveGathering(db, 'demo-supper', { version: 0, gathering }, nowMs - HOUR_MS);
}
