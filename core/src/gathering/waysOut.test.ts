import { describe, expect, it } from 'vitest';
import { newGathering } from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import { openingPlan } from '../plan/openingPlan.ts';
import { BOOK } from '../program/book/book.ts';
import { searchTries } from '../schedule/search.fixtures.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { HOUR_MS } from '../units/time.ts';
import { type FeastInput, planFeast, sizeFeast } from './feast.ts';
import { feastProject } from './feastProject.ts';
import { bindingLimits, type FeastWay, LIMITS, waysOut, withoutLimit, withWay } from './waysOut.ts';

const SATURDAY = Date.UTC(2026, 10, 28, 18, 0);
const KITCHENS: Record<
  string,
  {
    kitchen: Partial<Kitchen>;
    hours: number;
    recipes: readonly string[];
    /** Among those that help. */
    ways: readonly FeastWay['kind'][];
  }
> = {
  'too small a fridge': {
    kitchen: { fridgeFreeL: 14 },
    hours: 72,
    recipes: ['deep-calyx-ginger', 'calyx-pineapple'],
    ways: ['coolBox', 'smaller'],
  },
  'one pot and one ring, and one evening': {
    kitchen: { pots: KITCHEN.pots.slice(0, 1), burners: KITCHEN.burners.slice(0, 1) },
    hours: 12,
    recipes: ['deep-calyx-ginger', 'calyx-pineapple', 'lemongrass-ginger-mint'],
    ways: ['later'],
  },
};
const inputOf = (name: string): FeastInput => {
  const { kitchen: more, hours, recipes } = KITCHENS[name]!;
  const bottle = {
    id: 'l',
    name: 'L',
    volumeMl: 1000,
    diameterCm: 8.5,
    material: 'glass' as const,
    count: 80,
  };
  const kitchen: Kitchen = { ...KITCHEN, bottles: [bottle], ...more };
  return {
    kitchen,
    batches: [],
    bottles: new Map(),
    nowMs: SATURDAY - hours * HOUR_MS,
    gathering: {
      ...newGathering('Supper', SATURDAY, SATURDAY + 4 * HOUR_MS),
      iceShare: 0,
      groups: [{ id: 'g', name: 'G', least: 14, most: 14, age: 'adult', rules: [], thirst: 'usual' }],
      drinks: recipes.map((id) => ({
        id,
        source: {
          kind: 'plan',
          plan: openingPlan(BOOK.find((r) => r.id === id)!, kitchen, BOOK, TABLES)!.plan,
          litres: null,
        },
        share: 1,
        served: 'cold',
        frozen: false,
        apart: [],
      })),
    },
  };
};
const control = () => ({ seed: 0.4, over: () => false, tries: 15 });
const plan = (input: FeastInput) => {
  let left = 40;
  return planFeast(input, BOOK, TABLES, { seed: 0.4, over: () => left-- <= 0 });
};

describe.each(Object.keys(KITCHENS))('a feast that cannot be: %s', (name) => {
  const input = inputOf(name);
  const { times } = plan(input);

  it('has drinks without hours', () => {
    expect(times!.missing.length).toBeGreaterThan(0);
  });

  it('names limits of which dropping any one alone gives a plan', () => {
    const limits = bindingLimits(input, BOOK, TABLES, control());
    expect(limits.length).toBeGreaterThan(0);
    const { drinks } = sizeFeast(input, BOOK, TABLES);
    const { project } = feastProject(input.gathering, drinks, input.kitchen, TABLES, input.nowMs)!;
    for (const limit of limits) {
      const found = searchTries(withoutLimit(project, limit), 60, 0.9);
      expect(found.missing, limit).toEqual([]);
    }
    expect(LIMITS).toEqual(expect.arrayContaining(limits));
  });

  it('has ways out, each of which works when it is taken', () => {
    const ways = waysOut(input, times!.missing, BOOK, TABLES, control());
    expect(ways.map((w) => w.kind)).toEqual(expect.arrayContaining([...KITCHENS[name]!.ways]));
    for (const way of ways) {
      const gathering = withWay(input.gathering, way, BOOK, { id: 'h', name: 'Neighbour' });
      expect(plan({ ...input, gathering }).times!.missing, JSON.stringify(way)).toEqual([]);
    }
  });
});
