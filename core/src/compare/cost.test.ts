import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { insteadOfLine } from '../balance/swaps.ts';
import type { PlanDoc } from '../documents/plan.ts';
import { notedOf } from '../documents/stock.ts';
import { massG } from '../liquor/composition.ts';
import { solvePlanDoc } from '../plan/planDoc.ts';
import { BOOK } from '../program/book/book.ts';
import { choicesUnder, defaultChoices } from '../program/book/recipe.ts';
import type { BoilStep, SteepStep } from '../program/model/steps.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { BOIL_LEVELS } from '../tables/constants.ts';
import { BURNERS, KITCHEN, POTS, programLine, recipeLine, TABLES } from '../testKitchen.ts';
import { costInAll, costOf, heatOf } from './cost.ts';
import { coursesOf } from './courses.ts';
import { made } from './made.fixtures.ts';
import { iceKgOf } from './methods.ts';

const priced = (itemId: string, price: number, packG: number | null = null) =>
  notedOf(itemId, { price, packG });
const kitchen = {
  ...KITCHEN,
  tariff: { electricityPerKWh: 0.3, gas: { price: 1.05, per: 'm3' as const } },
  house: { ...KITCHEN.house, allows: ['sugar-white', 'honey', 'lemon-juice', 'lemon-juice-bottled'] },
};

const planOf = (
  recipeId: string,
  litres: number,
  methodId = BOOK.find((r) => r.id === recipeId)!.methods[0]!,
  burnerId = 'gas',
): PlanDoc => ({
  recipeId,
  choices: defaultChoices(BOOK.find((r) => r.id === recipeId)!, methodId),
  potId: POTS[0]!.id,
  burnerId,
  question: { kind: 'litres', litres },
  fills: 'asNeeded',
  readyAtMs: null,
});

const same = (a: readonly string[], b: readonly string[]): boolean =>
  [...a].sort().join(' ') === [...b].sort().join(' ');

/** A boil as a steep that a low flame keeps hot. */
const held = ({ level, burnerId, ...step }: BoilStep): SteepStep => ({
  ...step,
  kind: 'steep',
  holdC: 90,
  place: 'stove',
});

describe('heat', () => {
  const { program, sim } = made('deep-calyx-ginger', 'straightBoil', {}, 9);
  const minutes = (kind: string) =>
    sim.trace.filter((t) => t.kind === kind).reduce((sum, t) => sum + t.endMin - t.startMin, 0);

  it('is what the ring draws: all of it on the way to the boil, and its setting while it boils', () => {
    const boil = program.steps.find((s) => s.kind === 'boil')!;
    if (boil.kind !== 'boil') throw new Error('no boil');
    // A ring of 3 kW; three fifths of it hold a gentle boil.
    const setting = BOIL_LEVELS[boil.level].setting;
    const expected = (3 * (minutes('heat') + setting * minutes('boil'))) / 60;
    expect(heatOf(sim.fuel).gas).toBeCloseTo(expected, 6);
    expect(heatOf(sim.fuel).electricity).toBe(0);
  });

  it('is never less than what the drink itself takes up on its way', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BOOK),
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom(...BURNERS),
        (recipe, litres, burner) => {
          for (const methodId of recipe.methods) {
            const solved = solvePlanDoc(
              planOf(recipe.id, litres, methodId, burner.id),
              BOOK,
              KITCHEN,
              TABLES,
            );
            if (!solved.ok) continue;
            const run = simulateBatch(solved.value.program, KITCHEN, TABLES);
            for (const { stepId, kind, before, after } of run.trace) {
              if (kind !== 'heat') continue;
              const kWh = run.fuel.filter((f) => f.stepId === stepId).reduce((sum, f) => sum + f.kWh, 0);
              // 3.9 kJ/kg and °C at the least, for a drink with much sugar in it.
              const risesC = after.liquor.tempC - before.liquor.tempC;
              expect(kWh * 3600).toBeGreaterThan(((massG(before.liquor) / 1000) * 3.9 * risesC) / 1.000001);
            }
          }
        },
      ),
      { numRuns: 6 },
    );
  });

  it('keeps what is steeped hot on a low flame, and counts that too', () => {
    const warm = { ...program, steps: program.steps.map((s) => (s.kind === 'boil' ? held(s) : s)) };
    const run = simulateBatch(warm, KITCHEN, TABLES);
    const [step] = warm.steps.filter((s) => s.kind === 'steep');
    const entry = run.trace.find((t) => t.stepId === step!.id)!;
    const kWh = run.fuel.find((f) => f.stepId === step!.id)!.kWh;
    // A lid on: only the walls lose heat, far less than the ring gives.
    expect(kWh).toBeGreaterThan(0.05);
    expect(kWh).toBeLessThan((0.5 * 3 * (entry.endMin - entry.startMin)) / 60);
  });
});

describe('what a drink costs', () => {
  it('is what is used up: of a pack what is taken, of whole fruit all of it', () => {
    const lines = [
      programLine(recipeLine('calyx', 'hibiscus-dried', 100)),
      programLine(recipeLine('sugar', 'sugar-white', 300, 'sweetener')),
      programLine(recipeLine('lime', 'lime-juice', 90, 'liquid')),
      programLine(recipeLine('clove', 'clove-whole', 4)),
    ];
    const stock = [priced('hibiscus-dried', 5, 250), priced('sugar-white', 1.2, 1000), priced('lime', 0.4)];
    const plan = { program: { lines }, dosedG: {}, litres: 6, month: 11, iceKg: 3 };
    const fuel = [
      { stepId: 'heat', fuel: 'gas' as const, kWh: 1.5 },
      { stepId: 'boil', fuel: 'electricity' as const, kWh: 0.5 },
    ];
    const cost = costOf(plan, fuel, kitchen, stock, TABLES);
    // 100 of 250 g at 5: 2.00. 300 g of a kilogram at 1.20: 0.36. 90 g of juice at 30 mL a lime: 3 limes, 1.20.
    expect(cost.things).toBeCloseTo(2 + 0.36 + 1.2, 6);
    expect(cost.unpriced.map((r) => r.id).sort()).toEqual(['clove-whole', 'ice']);
    // A cubic metre is 10.5 kWh: 0.10 each. 1.5 x 0.10 + 0.5 x 0.30.
    expect(cost.heat).toBeCloseTo(0.15 + 0.15, 6);
    expect(cost.total).toBeCloseTo(3.86, 6);
    // What lies in the house has been paid for as well.
    const inHouse = stock.map((row) => ({ ...row, inHouseG: 1000 }));
    expect(costOf(plan, fuel, kitchen, inHouse, TABLES).things).toBeCloseTo(cost.things, 6);
    // A bag of ice at two kilograms: of two bags three quarters are used.
    const withIce = costOf(plan, fuel, kitchen, [...stock, priced('ice', 2)], TABLES);
    expect(withIce.things - cost.things).toBeCloseTo(3, 6);
  });

  it('says what burns without a price, and adds several drinks up', () => {
    const plan = { program: { lines: [] }, dosedG: {}, litres: 4, month: 1 };
    const fuel = [{ stepId: 'a', fuel: 'gas' as const, kWh: 2 }];
    const unknown = costOf(plan, fuel, KITCHEN, [], TABLES);
    expect(unknown).toMatchObject({ heat: 0, unpricedFuels: ['gas'], kWh: { gas: 2, electricity: 0 } });
    const both = costInAll([unknown, costOf(plan, fuel, kitchen, [], TABLES)]);
    expect(both).toMatchObject({ litres: 8, unpricedFuels: ['gas'], kWh: { gas: 4 } });
    expect(both.total).toBeCloseTo(0.2, 6);
  });
});

describe('a cheap and a dear course', () => {
  const stock = [
    priced('hibiscus-dried', 5, 250),
    priced('ginger-sliced', 0.3),
    priced('sugar-white', 1.2, 1000),
    priced('honey', 6, 340),
    priced('lemon', 0.4),
    priced('lemon-juice-bottled', 1, 1000),
  ];
  const around = { book: BOOK, kitchen, stock, tables: TABLES };

  it('finds what trying every way finds', () => {
    for (const id of ['deep-calyx-ginger', 'pineapple-ginger']) {
      const plan = planOf(id, 5);
      const found = coursesOf(plan, 11, around)!;
      const all = everyWay(plan);
      expect(found.cheap.cost.total).toBeLessThanOrEqual(Math.min(...all) * 1.0101);
      expect(found.dear.cost.total).toBeGreaterThanOrEqual(Math.max(...all) / 1.0101);
      expect(found.cheap.cost.total).toBeLessThanOrEqual(found.now.cost.total);
      expect(found.dear.cost.total).toBeGreaterThanOrEqual(found.now.cost.total);
    }
  });

  it('makes as many litres as were asked for, and takes nothing whose price is not known', () => {
    const withoutHoney = stock.filter((row) => row.itemId !== 'honey');
    const { now, cheap, dear } = coursesOf(planOf('deep-calyx-ginger', 5), 11, {
      ...around,
      stock: withoutHoney,
    })!;
    for (const course of [now, cheap, dear]) {
      expect(course.cost.litres).toBeCloseTo(5, 0);
      expect(course.instead.map((i) => i.itemId)).not.toContain('honey');
    }
  });

  it('has nothing to say of what cannot be made', () => {
    expect(coursesOf({ ...planOf('deep-calyx-ginger', 5), potId: 'gone' }, 11, around)).toBeNull();
  });

  /** What each method costs with each sweetener, in full. */
  function everyWay(plan: PlanDoc): number[] {
    const recipe = BOOK.find((r) => r.id === plan.recipeId)!;
    const now = coursesOf(plan, 11, around)!.now.cost.unpriced.map((r) => r.id);
    return recipe.methods.flatMap((methodId) =>
      ['sugar-white', 'honey'].flatMap((itemId) => {
        const sweet = recipe.lines.filter((l) => l.kind === 'sweetener');
        const choices = {
          ...choicesUnder(recipe, methodId, plan.choices),
          instead: sweet.flatMap((line) => insteadOfLine(line, itemId, TABLES) ?? []),
        };
        const solved = solvePlanDoc({ ...plan, choices }, BOOK, kitchen, TABLES);
        if (!solved.ok) return [];
        const { program, litres } = solved.value;
        const sim = simulateBatch(program, kitchen, TABLES);
        const made = { program, dosedG: sim.dosedG, litres, month: 11, iceKg: iceKgOf(sim) };
        const cost = costOf(made, sim.fuel, kitchen, stock, TABLES);
        return same(
          cost.unpriced.map((r) => r.id),
          now,
        )
          ? [cost.total]
          : [];
      }),
    );
  }
});
