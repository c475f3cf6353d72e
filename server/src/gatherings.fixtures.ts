import { type GatheringDoc, newGathering } from '@big-ladle/core/documents';
import { MINUTE_MS } from '@big-ladle/core/units';
import { CALYX_PLAN, NOW } from './testServer.ts';

/** A supper in three days for a few people, with one drink. */
export const SUPPER: GatheringDoc = {
  ...newGathering('Lantern supper', NOW + 72 * 60 * MINUTE_MS, NOW + 76 * 60 * MINUTE_MS),
  yearly: true,
  groups: [
    { id: 'grown', name: 'Grown-ups', least: 8, most: 10, age: 'adult', rules: [], thirst: 'usual' },
    {
      id: 'sugar',
      name: 'Who count sugar',
      least: 2,
      most: 2,
      age: 'adult',
      rules: [
        { kind: 'fewSugar', gPerGlass: 5 },
        { kind: 'without', itemId: 'clove' },
      ],
      thirst: 'little',
    },
  ],
  drinks: [
    {
      id: 'red',
      source: { kind: 'plan', plan: CALYX_PLAN, litres: null },
      share: 1,
      served: 'iced',
      frozen: false,
      apart: [],
    },
  ],
  helpers: [
    { id: 'sister', name: 'My sister', fromMs: NOW + 60 * 60 * MINUTE_MS, toMs: NOW + 72 * 60 * MINUTE_MS },
  ],
};
