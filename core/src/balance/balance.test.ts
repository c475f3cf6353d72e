import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runJob } from '../jobs/run.ts';
import { EMPTY, ofSweetener, plus, sweetnessPct, volumeMl, water } from '../liquor/composition.ts';
import { solvePlan } from '../plan/solve.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { targetAfterTastes } from '../program/model/taste.ts';
import { guidanceFor } from '../program/simulate/guidance.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { glassFacts, gramsToSweetness, overIce } from './served.ts';
import { dosesToCome, FIRST_SOUR_SHARE, nextDose, nextSweetener } from './stepPlan.ts';

describe('several sweeteners, each with as much of the sweetness', () => {
  const liquor = { sweetG: 0, massG: 9200 };
  it('begins with either; what is still to come is half of the sweetness', () => {
    // 8 %: s = 0.08 · (9200 + s) with two of relative sweetness 1: s = 736 / 0.92 = 800; 400 of each.
    const equal = [1, 1].map((relativeSweetness) => ({ addedG: 0, relativeSweetness }));
    expect(nextSweetener(equal, liquor, 8)).toEqual({ index: 0, remainingG: expect.closeTo(400, 6) });
  });
  it('a quarter of it from one, the rest from the other: what has more to bring comes first', () => {
    const equal = [1, 1].map((relativeSweetness) => ({ addedG: 0, relativeSweetness }));
    // 800 g of sweetness in all, as above: 200 and 600.
    expect(nextSweetener(equal, liquor, 8, [0.25, 0.75])).toEqual({
      index: 1,
      remainingG: expect.closeTo(600, 6),
    });
  });
  it('goes on with the one that is behind, until both are in', () => {
    const half = nextSweetener(
      [
        { addedG: 400, relativeSweetness: 1 },
        { addedG: 0, relativeSweetness: 0.8 },
      ],
      { sweetG: 400, massG: 9600 },
      8,
    )!;
    expect(half.index).toBe(1);
    // As sweet as the 400 g of the other: about 500 g of it, at 0.8.
    expect(half.remainingG).toBeGreaterThan(480);
    expect(half.remainingG).toBeLessThan(520);
    const done = nextSweetener(
      [
        { addedG: 400, relativeSweetness: 1 },
        { addedG: 500, relativeSweetness: 0.8 },
      ],
      { sweetG: 800, massG: 10_000 },
      8,
    )!;
    expect(done.remainingG).toBeCloseTo(0, 6);
  });
  it('one alone is what the target asks for of it', () => {
    const one = nextSweetener([{ addedG: 100, relativeSweetness: 0.75 }], { sweetG: 75, massG: 5000 }, 6)!;
    // s·(1 − 0.06/0.75) = 300 − 75 = 225: 244.57 of sweetness, 326.1 g.
    expect(one.remainingG).toBeCloseTo(225 / 0.92 / 0.75, 6);
    expect(one.remainingG).toBeCloseTo(gramsToSweetness({ ...EMPTY, sweetG: 75, waterG: 5000 }, 6, 0.75)!, 6);
    expect(nextSweetener([], liquor, 8)).toBeNull();
  });
});

describe('sweetening in steps', () => {
  it('60 % first, then quarters of the rest: 900 g goes in as 540 and four times 90', () => {
    expect(dosesToCome(0, 900).map((d) => Math.round(d.grams))).toEqual([540, 90, 90, 90, 90]);
    expect(dosesToCome(540, 360).map((d) => Math.round(d.grams))).toEqual([90, 90, 90, 90]);
    // What sours begins with 30 %: of 200 g first 60, then quarters of the 140 that are left.
    expect(dosesToCome(0, 200, FIRST_SOUR_SHARE).map((d) => Math.round(d.grams))).toEqual([
      60, 35, 35, 35, 35,
    ]);
  });
  it('stops at the target and never passes it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3000, noNaN: true }),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        (added, remaining) => {
          const sum = dosesToCome(added, remaining).reduce((s, d) => s + d.grams, 0);
          expect(sum).toBeLessThanOrEqual(remaining + 1e-6);
          expect(remaining - sum).toBeLessThanOrEqual(0.021 * (added + remaining) + 1e-6);
        },
      ),
    );
    expect(nextDose(900, 0)).toBeNull();
  });
  it('tastes: right stops here, too sweet aims lower, not enough aims at least a little higher', () => {
    expect(targetAfterTastes(9, [{ sweet: 0, atSweetnessPct: 7.2 }])).toBe(7.2);
    expect(targetAfterTastes(9, [{ sweet: 1, atSweetnessPct: 8 }])).toBeCloseTo(7.52, 9);
    expect(targetAfterTastes(9, [{ sweet: -1, atSweetnessPct: 6 }])).toBe(9);
    // A sharper crop, tasted before any sugar: a tenth more; the last word on it counts, and a verdict after it stands.
    expect(targetAfterTastes(9, [{ crop: 1, atSweetnessPct: 1 }])).toBeCloseTo(9.9, 9);
    expect(
      targetAfterTastes(9, [
        { crop: 1, atSweetnessPct: 1 },
        { crop: -1, atSweetnessPct: 1 },
      ]),
    ).toBeCloseTo(8.1, 9);
    expect(
      targetAfterTastes(9, [
        { crop: 1, atSweetnessPct: 1 },
        { sweet: 0, atSweetnessPct: 7 },
      ]),
    ).toBe(7);
    expect(targetAfterTastes(9, [{ sweet: -1, atSweetnessPct: 9 }])).toBeCloseTo(9.54, 9);
  });
  it('grams to a sweetness reach it, with any sweetener', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('sugar-white', 'honey', 'agave-syrup', 'date-syrup'),
        fc.double({ min: 1, max: 15, noNaN: true }),
        (id, target) => {
          const row = TABLES.sweeteners.get(id)!;
          const base = { ...EMPTY, waterG: 8000, otherSolublesG: 120 };
          const grams = gramsToSweetness(base, target, row.relativeSweetness)!;
          expect(sweetnessPct(plus(base, ofSweetener(row, grams)))).toBeCloseTo(target, 9);
        },
      ),
    );
    expect(gramsToSweetness({ ...EMPTY, waterG: 100 }, 70, 0.66)).toBeNull();
  });
});

describe('a glass', () => {
  it('250 mL of 100 g sugar in a litre: 25 g, 100 kcal, half the ceiling, all of the aim', () => {
    const c = plus(water(1000), ofSweetener(TABLES.sweeteners.get('sugar-white')!, 100));
    const facts = glassFacts(c, volumeMl(c) / 4);
    expect(facts.sugarG).toBeCloseTo(25, 9);
    expect(facts).toMatchObject({ kcal: 100, shareOfCeiling: 0.5, shareOfAim: 1 });
  });
  it('ice thins by what has melted', () => expect(overIce(water(200), 100).waterG).toBeCloseTo(235, 9));
});

describe('guidance', () => {
  const recipe = BOOK[0]!;
  const guide = (
    kind: string,
    change: Partial<ReturnType<typeof defaultChoices>> = {},
    material: 'enamel' | 'aluminium' = 'enamel',
  ) => {
    const pot = { ...POTS[1]!, material };
    const kitchen = { ...KITCHEN, pots: [pot] };
    const choices = { ...defaultChoices(recipe, 'shortBoilLongSteep'), ...change };
    const { program } = unwrap(
      solvePlan({
        recipe,
        choices,
        kitchen,
        tables: TABLES,
        pot,
        burner: BURNERS[0]!,
        wish: { question: { kind: 'litres', litres: 9 }, fills: 1 },
      }),
    );
    const sim = simulateBatch(program, kitchen, TABLES);
    const step = program.steps.find((s) => s.kind === kind)!;
    return guidanceFor(
      program,
      step,
      sim.trace.find((t) => t.stepId === step.id),
      kitchen,
      TABLES,
    ).map((g) => g.code);
  };
  it('boil-over at the boil, a closed lid only when it is closed', () => {
    expect(guide('boil')).toContain('boil.over');
    expect(guide('boil')).not.toContain('boil.lid');
    expect(guide('boil', { lid: 'on' })).toContain('boil.lid');
  });
  it('acid in a bare pot is named first, and only there', () => {
    expect(guide('combine', {}, 'aluminium')[0]).toBe('pot.reactive');
    expect(guide('combine')).not.toContain('pot.reactive');
  });
  it('the counter steep, hot straining, clean bottles', () => {
    expect(guide('steep')).not.toContain('steep.counter');
    expect(guide('steep', { steepPlace: 'counter' })).toContain('steep.counter');
    expect(guide('strain')).not.toContain('strain.steam');
    expect(guide('strain', { steepPlace: 'counter', steepMin: 10 })).toContain('strain.steam');
    expect(guide('bottle')).toContain('bottle.notShelf');
    expect(guide('bottle', { hygiene: 'clean' })).toContain('bottle.sterilise');
  });
});

describe('the worker door', () => {
  const plan = {
    recipeId: BOOK[0]!.id,
    choices: defaultChoices(BOOK[0]!, 'straightBoil'),
    potId: 'small',
    burnerId: 'gas',
    question: { kind: 'litres' as const, litres: 9 },
    fills: 'asNeeded' as const,
    readyAtMs: null,
  };
  const inLoads = (...loads: number[]) => loads.map((fills) => ({ ...plan, fills }));
  it('solves several plans with progress, as data that can be cloned', () => {
    const progress: number[] = [];
    const answer = runJob({ kind: 'solveEach', plans: inLoads(2, 3), kitchen: KITCHEN }, BOOK, TABLES, {
      cancelled: () => false,
      onProgress: (s) => progress.push(s),
      elapsedMs: () => 0,
    });
    expect(progress).toEqual([0.5, 1]);
    expect(answer.kind === 'solveEach' && answer.results.map((r) => r.ok)).toEqual([false, true]);
    expect(structuredClone(answer)).toEqual(answer);
  });
  it('stops when it is asked to', () => {
    expect(() =>
      runJob({ kind: 'solveEach', plans: inLoads(3), kitchen: KITCHEN }, BOOK, TABLES, {
        cancelled: () => true,
        onProgress: () => undefined,
        elapsedMs: () => 0,
      }),
    ).toThrow();
  });
});
