import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Choices, MethodId } from '../documents/recipe.ts';
import { volumeMl } from '../liquor/composition.ts';
import { drawnAfter } from '../physics/extraction.ts';
import { solvePlanDoc } from '../plan/planDoc.ts';
import { drawRuns, joinSamples, type RangeOptions, spansOf } from '../plan/ranges.ts';
import { timetableFrom } from '../plan/startBy.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { BOTTLES } from '../program/model/vessels.ts';
import { guidanceFor } from '../program/simulate/guidance.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { GUIDANCE_ROWS } from '../tables/guidance/rows.ts';
import { INGREDIENT_ROWS } from '../tables/ingredients.ts';
import { SPREAD_ROWS } from '../tables/spreads.ts';
import { KITCHEN, programOf, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { calyx, made } from './made.fixtures.ts';
import { compareMethods, drawsOf } from './methods.ts';

describe('what the schools cost and give', () => {
  it('a double draw takes more out of the same solids than one draw', () => {
    const got = (m: MethodId) => made('deep-calyx-ginger', m).sim.vessels[BOTTLES]!.liquor.markerG.calyx!;
    expect(got('doubleDraw')).toBeGreaterThan(got('straightBoil') * 1.02);
  });
  it('the second draw is never above what the first left', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.15, max: 0.55, noNaN: true }),
        fc.constantFrom<Choices['press']>('drain', 'press', 'wring'),
        fc.integer({ min: 2, max: 40 }),
        (secondShare, press, boilMin) => {
          const { program, sim } = made('deep-calyx-ginger', 'doubleDraw', { secondShare, press, boilMin });
          const draws = drawsOf(program, sim, 'calyx')!;
          const all = program.lines.find((l) => l.id === 'calyx')!.massG;
          expect(draws.second.markerG).toBeLessThanOrEqual(all - draws.first.markerG + 1e-9);
          expect(draws.second.gPerL).toBeLessThan(draws.first.gPerL);
        },
      ),
      { numRuns: 25 },
    );
  });
  it('splitting a boil in two halves changes nothing', () => {
    const boil = (minutes: number) => ({
      kind: 'boil' as const,
      level: 'gentle' as const,
      lid: 'ajar' as const,
      burnerId: 'gas',
      until: { kind: 'duration' as const, minutes },
    });
    const lines = [
      { id: 'water', kind: 'liquid' as const, itemId: 'water', massG: 6000 },
      { id: 'ginger', itemId: 'ginger-bruised', massG: 150 },
    ];
    const start = { kind: 'combine' as const, lines: ['water', 'ginger'] };
    const end = (steps: readonly object[]) =>
      simulateBatch(programOf(lines, [start, ...steps] as never), KITCHEN, TABLES).vessels.pot!;
    const whole = end([boil(30)]);
    const halves = end([boil(15), boil(15)]);
    expect(halves.liquor.markerG.ginger).toBeCloseTo(whole.liquor.markerG.ginger!, 6);
    // The pot stands a little lower in the second half: the losses of its side are a hair smaller.
    expect(volumeMl(halves.liquor) / volumeMl(whole.liquor)).toBeCloseTo(1, 4);
  });
  it('a finer form never draws slower; cold is slower than hot', () => {
    for (const forms of [
      ['ginger-sliced', 'ginger-bruised', 'ginger-grated', 'ginger-blended'],
      ['hibiscus-dried', 'hibiscus-siftings'],
      ['clove-whole', 'clove-crushed'],
      ['cinnamon-stick', 'cinnamon-ground'],
    ]) {
      const rows = forms.map((id) => TABLES.ingredients.get(id)!);
      for (let i = 1; i < rows.length; i++)
        expect(rows[i]!.rate100PerMin!, forms[i]).toBeGreaterThanOrEqual(rows[i - 1]!.rate100PerMin!);
    }
    for (const row of INGREDIENT_ROWS) {
      if (row.rate100PerMin === null) continue;
      const cold = drawnAfter(0, row.rate100PerMin, row.activationKJ, 4, 60);
      const hot = drawnAfter(0, row.rate100PerMin, row.activationKJ, 95, 60);
      expect(cold, row.id).toBeLessThanOrEqual(hot);
    }
  });
  it('more press never yields less', () => {
    for (const id of ['deep-calyx-ginger', 'calyx-apple-mint', 'lemon-garlic']) {
      const out = (press: Choices['press']) => {
        const { program } = made(id, 'straightBoil', { press: 'press' });
        const steps = program.steps.map((s) => (s.kind === 'strain' ? { ...s, press } : s));
        return volumeMl(simulateBatch({ ...program, steps }, KITCHEN, TABLES).vessels[BOTTLES]!.liquor);
      };
      expect(out('press')).toBeGreaterThanOrEqual(out('drain'));
      expect(out('wring')).toBeGreaterThanOrEqual(out('press'));
    }
  });
  it('methods side by side: each meets the wish, and says what it costs', () => {
    const plan = {
      recipeId: calyx.id,
      choices: defaultChoices(calyx, 'straightBoil'),
      potId: 'wide',
      burnerId: 'gas',
      question: { kind: 'litres' as const, litres: 8 },
      fills: 1 as const,
      readyAtMs: null,
    };
    const seen: number[] = [];
    const answers = compareMethods(
      plan,
      ['straightBoil', 'shortBoilLongSteep', 'doubleDraw'],
      BOOK,
      KITCHEN,
      TABLES,
      {
        cancelled: () => false,
        onProgress: (share) => seen.push(share),
      },
    )!;
    expect(seen).toEqual([1 / 3, 2 / 3, 1]);
    const rows = answers.map((a) => {
      if (!a.ok) throw new Error(a.methodId);
      return a.row;
    });
    const [straight, steep, double] = rows as [(typeof rows)[0], (typeof rows)[0], (typeof rows)[0]];
    for (const row of rows) {
      expect(row.litres).toBeCloseTo(8, 1);
      expect(row.handsOnMin).toBeLessThan(row.totalMin);
      // The curve is read from the trace: it starts weak, ends at what is in the bottles, and time runs forward.
      expect(row.curve.at(-1)!.gPerL.calyx).toBeCloseTo(row.gPerL.calyx!, 6);
      expect(row.curve[0]!.gPerL.calyx ?? 0).toBeLessThan(row.gPerL.calyx!);
      for (let i = 1; i < row.curve.length; i++)
        expect(row.curve[i]!.atMin).toBeGreaterThanOrEqual(row.curve[i - 1]!.atMin - 1e-9);
    }
    expect(steep.totalMin).toBeGreaterThan(straight.totalMin * 2);
    expect(steep.redLeft!).toBeGreaterThan(straight.redLeft!);
    expect(double.secondDraw!.litres).toBeGreaterThan(1);
    expect(straight.secondDraw).toBeNull();
    const stopped = compareMethods(plan, ['straightBoil'], BOOK, KITCHEN, TABLES, {
      cancelled: () => true,
      onProgress: () => undefined,
    });
    expect(stopped).toBeNull();
  });
  it('what a way says of the chosen method is what its plan says, in one pot load or several', () => {
    for (const fills of [1, 2, 3] as const) {
      const plan = {
        recipeId: calyx.id,
        choices: defaultChoices(calyx, 'straightBoil'),
        potId: 'wide',
        burnerId: 'gas',
        question: { kind: 'potFull' as const },
        fills,
        readyAtMs: null,
      };
      const [answer] = compareMethods(plan, ['straightBoil'], BOOK, KITCHEN, TABLES, {
        cancelled: () => false,
        onProgress: () => undefined,
      })!;
      const { program } = unwrap(solvePlanDoc(plan, BOOK, KITCHEN, TABLES));
      const sim = simulateBatch(program, KITCHEN, TABLES);
      if (!answer!.ok) throw new Error(answer!.problem.kind);
      expect(answer!.row.totalMin).toBeCloseTo(sim.endMin, 3);
      expect(answer!.row.handsOnMin).toBeCloseTo(timetableFrom(program, sim, 0).handsOnMin, 3);
    }
  });
});

describe('spans', () => {
  const { program } = made('calyx-pineapple', 'straightBoil', { fruit: 'raw' });
  const drawn = (change: Partial<RangeOptions> = {}) =>
    drawRuns(program, KITCHEN, TABLES, { runs: 400, seed: 11, ...change })!;
  const spans = (change: Partial<RangeOptions> = {}) => spansOf(drawn(change));
  it('every spread has a source, and each constant has a row', () => {
    for (const row of SPREAD_ROWS) {
      expect(row.source.length).toBeGreaterThan(10);
      expect(row.drives.length).toBeGreaterThan(0);
    }
    expect(new Set(SPREAD_ROWS.map((r) => r.id)).size).toBe(SPREAD_ROWS.length);
  });
  it('the same seed gives the same spans, another one nearly the same', () => {
    expect(spans()).toEqual(spans());
    const other = spans({ seed: 12 });
    expect(other).not.toEqual(spans());
    expect(other.litres.mid / spans().litres.mid).toBeCloseTo(1, 1);
  });
  it('are the same wherever the runs are drawn, in whatever pieces', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 59 }), fc.integer({ min: 0, max: 1000 }), (cut, seed) => {
        const pieces = [drawn({ seed, runs: cut }), drawn({ seed, from: cut, runs: 60 - cut })];
        expect(joinSamples(pieces)).toEqual(drawn({ seed, runs: 60 }));
      }),
      { numRuns: 12 },
    );
  });
  it('draw every run from a stream of its own', () => {
    const { litres } = drawn({ runs: 200 });
    expect(new Set(litres).size).toBe(200);
    // Streams that ran along with each other would make neighbours alike: here they are not.
    const mean = litres.reduce((a, b) => a + b, 0) / litres.length;
    const variance = litres.reduce((a, x) => a + (x - mean) ** 2, 0);
    const lagged = litres.slice(1).reduce((a, x, i) => a + (x - mean) * (litres[i]! - mean), 0);
    expect(Math.abs(lagged / variance)).toBeLessThan(0.2);
  });
  it('hold the plan between their ends', () => {
    const { litres, failed } = spans();
    expect(failed).toBe(0);
    expect(litres.low).toBeLessThan(6);
    expect(litres.high).toBeGreaterThan(6);
  });
  it.each(SPREAD_ROWS.map((r) => [r.id, r] as const))(
    'without the spread of %s what it drives is narrower',
    (id, row) => {
      const only = SPREAD_ROWS.map((r) => (r.id === id ? r : { ...r, sigma: 0 }));
      const none = SPREAD_ROWS.map((r) => ({ ...r, sigma: 0 }));
      // Two plans, so that every constant finds something to drive.
      const width = (spreads: typeof only) => {
        const r = spans({ runs: 60, seed: 3, spreads });
        const of = (s: { low: number; high: number }) => s.high - s.low;
        const strength = Object.values(r.gPerL).reduce((sum, s) => sum + of(s!), 0);
        return { litres: of(r.litres), time: of(r.minutes), strength };
      };
      const alone = width(only);
      const still = width(none);
      for (const driven of row.drives) expect(alone[driven], driven).toBeGreaterThan(still[driven] + 1e-6);
      expect(still.litres).toBeCloseTo(0, 9);
    },
  );
  it('can be stopped', () => {
    expect(drawn({ runs: 1000, cancelled: () => true })).toBeNull();
  });
});

describe('guidance', () => {
  /** Rows that a drink of the book must bring to its step. */
  const WANTED = [
    'pair.vinegar',
    'fruit.taste',
    'wash.label',
    'wash.colour',
    'wash.insects',
    'wash.rough',
    'wash.waxed',
    'wash.soft',
    'wash.root',
    'wash.leaf',
    'wash.rinse',
    'pick.fruit',
    'pot.sound',
    'juice.sieved',
    'water.drinkable',
    'soak.place',
    'long.calyx',
    'herb.offHeat',
    'strain.sequence',
    'strain.wait',
    'strain.slowCloth',
    'strain.metal',
    'strain.cloth',
    'juice.cold',
    'mix.coolFirst',
    'mix.curdle',
    'sweeten.moment',
    'citrus.late',
    'blend.load',
    'blend.foam',
    'spice.open',
    'ginger.form',
    'citrus.seeds',
    'shake.daily',
    'garlic.warm',
    'chilli.gloves',
  ];
  it('each row stands at a step of a shipped drink', () => {
    const seen = new Set<string>();
    for (const recipe of BOOK) {
      for (const methodId of recipe.methods) {
        for (const fruit of ['cooked', 'raw'] as const) {
          const { program, sim } = made(recipe.id, methodId, { fruit }, Math.min(5, recipe.basisL));
          for (const step of program.steps) {
            const entry = sim.trace.find((t) => t.stepId === step.id);
            for (const g of guidanceFor(program, step, entry, KITCHEN, TABLES)) seen.add(g.code);
          }
        }
      }
    }
    expect(WANTED.filter((code) => !seen.has(code))).toEqual([]);
    for (const code of WANTED)
      expect(
        GUIDANCE_ROWS.some((r) => r.code === code),
        code,
      ).toBe(true);
  });
});
