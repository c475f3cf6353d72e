import { describe, expect, it } from 'vitest';
import type { Burner, Pot } from '../documents/kitchen.ts';
import type { MethodId, Recipe } from '../documents/recipe.ts';
import { volumeMl } from '../liquor/composition.ts';
import { LONG_DRINKS } from '../ownDrinks/long.fixtures.ts';
import { SHORT_DRINKS } from '../ownDrinks/short.fixtures.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { shareOfLoad } from '../program/model/loads.ts';
import { booksOf } from '../program/simulate/conserved.fixtures.ts';
import { finishedL } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { besideWays, standsIn, withBeside, withoutClash } from './beside.ts';
import { lanesOf } from './lanes.ts';
import { solvePlan } from './solve.ts';

const [WIDE, BLUE] = POTS as [Pot, Pot];
const [GAS, INDUCTION] = BURNERS as [Burner, Burner];
/** The same pot and the same ring a second time. */
const KITCHEN_OF_TWO = {
  ...KITCHEN,
  fridgeFreeL: 200,
  pots: [...POTS, { ...WIDE, id: 'wide-2', name: 'Wide too' }],
  burners: [...BURNERS, { ...GAS, id: 'gas-2', name: 'Gas too' }],
};

type How = 'twin' | 'blue' | 'loads' | 'twoLoads';

function planned(recipe: Recipe, methodId: MethodId, litres: number, beside: How) {
  const others = {
    twin: [{ pot: KITCHEN_OF_TWO.pots[3]!, burner: KITCHEN_OF_TWO.burners[2]! }],
    blue: [{ pot: BLUE, burner: INDUCTION }],
    loads: [],
    twoLoads: [],
  }[beside];
  return solvePlan({
    recipe,
    choices: defaultChoices(recipe, methodId),
    kitchen: KITCHEN_OF_TWO,
    tables: TABLES,
    pot: WIDE,
    burner: GAS,
    beside: others,
    wish: {
      question: { kind: 'litres', litres },
      fills: beside === 'loads' ? 'asNeeded' : beside === 'twoLoads' ? 2 : 1,
    },
  });
}

function made(recipe: Recipe, methodId: MethodId, litres: number, beside: How) {
  const solved = planned(recipe, methodId, litres, beside);
  if (!solved.ok) throw new Error(`${recipe.id} ${methodId}: ${JSON.stringify(solved.problem)}`);
  const { program } = solved.value;
  return { ...solved.value, sim: simulateBatch(program, KITCHEN_OF_TWO, TABLES) };
}
const calyx = BOOK.find((r) => r.id === 'deep-calyx-ginger')!;
const spanOf = (sim: ReturnType<typeof made>['sim'], kind: string) => {
  const entry = sim.trace.find((t) => t.kind === kind)!;
  return entry.endMin - entry.startMin;
};

describe('pots side by side, poured together before they are cooled', () => {
  it('two alike pots are each what one of them is with half of it', () => {
    const half = made(calyx, 'straightBoil', 6, 'loads');
    const both = made(calyx, 'straightBoil', 12, 'twin');
    expect(half.fills).toBe(1);
    expect(both.sim.problem).toBeNull();
    // The same flame under the same half: as long to the boil, as much steam from each.
    expect(spanOf(both.sim, 'heat') / spanOf(half.sim, 'heat')).toBeCloseTo(1, 1);
    const boiled = both.sim.trace.find((t) => t.kind === 'boil')!;
    const [one, two] = [boiled.after, boiled.also.find((v) => v.id === 'pot-2')!];
    // The second was filled some minutes later.
    expect(volumeMl(two.liquor)).toBeCloseTo(volumeMl(one.liquor), 0);
    expect(two.liquor.tempC).toBeCloseTo(one.liquor.tempC, 9);
    // One clock for the boil, one cooling for all of it.
    expect(both.program.steps.filter((s) => s.kind === 'boil')).toHaveLength(1);
    expect(both.program.steps.filter((s) => s.kind === 'cool')).toHaveLength(1);
    expect(both.litres).toBeCloseTo(12, 1);
  });

  it('each takes as much of all as it is of all of them', () => {
    const { program } = made(calyx, 'straightBoil', 12, 'blue');
    // 36 x 22 cm and 30 x 24 cm: 36² · 22 = 28 512 against 30² · 24 = 21 600, so 56.9 % and 43.1 %.
    expect(shareOfLoad(program, { fill: 1 })).toBeCloseTo(28_512 / 50_112, 6);
    expect(shareOfLoad(program, { fill: 2 })).toBeCloseTo(21_600 / 50_112, 6);
    expect(shareOfLoad(program, { fill: 0 })).toBe(1);
  });

  it('the slower of two pots sets the time to the boil, and both boil then', () => {
    const { sim } = made(calyx, 'straightBoil', 12, 'blue');
    const heat = sim.trace.find((t) => t.kind === 'heat')!;
    const temps = [heat.after, heat.also.find((v) => v.id === 'pot-2')!].map((v) => v.liquor.tempC);
    expect(Math.abs(temps[0]! - temps[1]!)).toBeLessThan(0.5);
  });

  it('in the lanes each pot has its own, and nothing goes from one to the other', () => {
    const { program, sim } = made(calyx, 'straightBoil', 12, 'blue');
    const { lanes, moves } = lanesOf(program, sim, TABLES);
    expect(lanes.map((l) => l.vesselId)).toEqual(['pot', 'pot-2', 'tub']);
    expect(moves.filter((m) => m.from === 'pot' && m.to === 'pot-2')).toEqual([]);
    const thrown = moves.filter((m) => m.to === null);
    expect(thrown.map((m) => m.from)).toEqual(['pot', 'pot-2']);
  });

  it('a night that two loads would take twice is taken once', () => {
    const loads = made(calyx, 'overnightSoak', 26, 'loads');
    const beside = made(calyx, 'overnightSoak', 26, 'twin');
    expect(loads.fills).toBe(2);
    expect(beside.sim.endMin).toBeLessThan(loads.sim.endMin * 0.6);
    expect(beside.potShare).toBeLessThanOrEqual(1.0005);
  });

  it('what does not fit beside either is told, with the loads of the first pot that it takes', () => {
    const solved = planned(calyx, 'straightBoil', 60, 'blue');
    expect(solved.ok).toBe(false);
    if (!solved.ok) expect(solved.problem).toMatchObject({ kind: 'potTooSmall' });
  });

  it('a pot is offered beside it on a ring that is free; a pot or a ring stands nowhere twice', () => {
    const plan = {
      recipeId: calyx.id,
      choices: { methodId: 'straightBoil' as const },
      potId: 'blue',
      burnerId: 'gas',
      question: { kind: 'litres' as const, litres: 12 },
      fills: 2 as const,
      readyAtMs: null,
    };
    const ways = besideWays(plan, KITCHEN);
    // Two other pots, the larger first, on the one ring that is left.
    expect(ways.map((p) => p.beside)).toEqual([
      [{ potId: 'wide', burnerId: 'induction' }],
      [{ potId: 'small', burnerId: 'induction' }],
    ]);
    expect(besideWays(ways[0]!, KITCHEN)).toEqual([]);
    expect(ways.every((p) => p.fills === 1 && standsIn(p, KITCHEN))).toBe(true);
    expect(standsIn(ways[0]!, { ...KITCHEN, pots: [BLUE] })).toBe(false);
    expect(withoutClash({ ...ways[0]!, potId: 'wide' }).beside).toBeUndefined();
    expect(withoutClash({ ...ways[0]!, burnerId: 'induction' }).beside).toBeUndefined();
    expect(withBeside(ways[0]!, [])).not.toHaveProperty('beside');
  });

  it.each([
    ...BOOK.flatMap((r) => r.methods.map((m) => [`${r.id} ${m}`, r, m] as const)),
    ...[...LONG_DRINKS, ...SHORT_DRINKS].map((r) => [r.name!, r, 'own'] as const),
  ])('law: %s loses nothing and makes as much, beside and one after the other', (_, recipe, methodId) => {
    for (const how of ['blue', 'twoLoads'] as const) {
      const litres = Math.min(recipe.basisL, 6);
      const { sim, program } = made(recipe, methodId, litres, how);
      expect(sim.problem).toBeNull();
      expect(Math.abs(finishedL(sim) - litres)).toBeLessThan(litres * 0.02);
      for (const { key, flowed, stands } of booksOf(sim))
        expect(Math.abs(stands - flowed), key).toBeLessThan(1e-6 * Math.max(1, flowed));
      // Everything that is put in is put in whole, whatever each pot takes of it.
      for (const line of program.lines.filter((l) => l.kind === 'liquid' && l.rule.kind === 'toVolume')) {
        const inG = sim.flows
          .filter((f) => f.lineId === line.id && f.direction === 'in')
          .reduce((sum, f) => sum + f.comp.waterG, 0);
        expect(inG).toBeCloseTo(line.massG, 3);
      }
    }
  });
});
