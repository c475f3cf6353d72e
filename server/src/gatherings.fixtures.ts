import type { GatheringDoc } from '@big-ladle/core/documents';
import { MINUTE_MS } from '@big-ladle/core/units';
import { CALYX_PLAN, NOW } from './testServer.ts';

/** A supper in three days for a few people, with one drink. */
export const SUPPER: GatheringDoc = {
  name: 'Lantern supper',
  servesAtMs: NOW + 72 * 60 * MINUTE_MS,
  untilMs: NOW + 76 * 60 * MINUTE_MS,
  yearly: true,
  glassMl: 200,
  iceShare: 0.2,
  outdoorC: null,
  alcoholBeside: false,
  assurance: 0.9,
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
  gifts: [],
  pins: [],
  notJoined: [],
  borrowed: { pots: 0, rings: 0, coldL: 0 },
  answers: null,
  before: null,
  notes: '',
};
