import { describe, expect, it } from 'vitest';
import { EMPTY_KITCHEN, type Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import { solvePlanDoc } from '../plan/planDoc.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { SHIPPED_TABLES } from '../tables/index.ts';
import { planRisk, safeWays } from './risk.ts';

const KITCHEN: Kitchen = {
  ...EMPTY_KITCHEN,
  roomC: 22,
  pots: [
    { id: 'pot', name: 'Pot', diameterCm: 30, heightCm: 24, material: 'enamel', lid: true, massG: 2900 },
    { id: 'small', name: 'Small', diameterCm: 20, heightCm: 16, material: 'enamel', lid: true, massG: null },
  ],
  burners: [{ id: 'ring', name: 'Ring', kind: 'gas', powerW: 3000 }],
};
const planOf = (
  recipe: (typeof BOOK)[number],
  methodId: Parameters<typeof defaultChoices>[1],
  litres: number,
  change: Partial<PlanDoc> = {},
  choices: Partial<PlanDoc['choices']> = {},
): PlanDoc => ({
  recipeId: recipe.id,
  choices: { ...defaultChoices(recipe, methodId), ...choices },
  potId: 'pot',
  burnerId: 'ring',
  question: { kind: 'litres', litres },
  fills: 1,
  readyAtMs: null,
  ...change,
});
/** Why a plan must not be kept; null: it may be; undefined: it cannot be made. */
function riskOf(plan: PlanDoc, kitchen: Kitchen = KITCHEN) {
  const solved = solvePlanDoc(plan, BOOK, kitchen, SHIPPED_TABLES);
  if (!solved.ok) return undefined;
  const { program } = solved.value;
  const sim = simulateBatch(program, kitchen, SHIPPED_TABLES);
  return sim.problem ? undefined : planRisk(program, sim, kitchen, { startMs: 0, nowMs: 0 });
}

describe('the shipped book', () => {
  it('has no drink that must be thrown out by default, at any size, room or number of fills', () => {
    const bad: string[] = [];
    let tried = 0;
    for (const recipe of BOOK)
      for (const method of recipe.methods)
        for (const [litres, fills, roomC, potId] of [
          [2, 1, 15, 'small'],
          [2, 2, 32, 'pot'],
          [9, 1, 32, 'pot'],
          [12, 2, 22, 'pot'],
          [20, 3, 32, 'pot'],
        ] as const) {
          const risk = riskOf(planOf(recipe, method, litres, { fills, potId }), { ...KITCHEN, roomC });
          if (risk !== undefined) tried++;
          if (risk)
            bad.push(`${recipe.id} ${method} ${litres} L ${fills} ${roomC} °C: ${risk.reasons[0]?.code}`);
        }
    expect(bad).toEqual([]);
    expect(tried).toBeGreaterThan(150);
  });
});

describe('eight hours of steeping on the counter', () => {
  const risky = BOOK.flatMap((recipe) =>
    recipe.methods
      .filter((m) => m === 'shortBoilLongSteep')
      .map((m) => planOf(recipe, m, 4, {}, { steepMin: 480, steepPlace: 'counter' })),
  ).filter((plan) => riskOf(plan));

  it('is a risk for what is not shown to be acid, at the steep, with its reason', () => {
    expect(risky.length).toBeGreaterThan(1);
    for (const plan of risky) {
      const risk = riskOf(plan)!;
      expect(risk.stepId, plan.recipeId).toMatch(/^steep/);
      expect(risk.reasons.length).toBeGreaterThan(0);
    }
  });
  it('has safe ways, the fridge and a shorter steep among them, and each is safe', () => {
    for (const plan of risky) {
      const ways = safeWays(plan, BOOK, KITCHEN, SHIPPED_TABLES);
      expect(
        ways.map((w) => w.kind),
        plan.recipeId,
      ).toContain('shorterSteep');
      expect(ways.some((w) => w.kind === 'steepCold' || w.kind === 'coldAndIce')).toBe(true);
      for (const way of ways) expect(riskOf(way.plan), `${plan.recipeId} ${way.kind}`).toBeNull();
    }
  });
  it('is no less of a risk in a larger batch, or in two fills', () => {
    for (const { recipeId } of risky) {
      const recipe = BOOK.find((r) => r.id === recipeId)!;
      for (const [litres, fills] of [
        [2, 1],
        [6, 1],
        [9, 1],
        [12, 2],
      ] as const) {
        const plan = planOf(
          recipe,
          'shortBoilLongSteep',
          litres,
          { fills },
          { steepMin: 480, steepPlace: 'counter' },
        );
        const risk = riskOf(plan);
        if (risk !== undefined) expect(risk, `${recipeId} ${litres} L`).not.toBeNull();
      }
    }
  });
});
