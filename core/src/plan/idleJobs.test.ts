import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { CALYX, made, step, WATER_4L } from '../program/compile/ownSteps.fixtures.ts';
import { BURNERS, KITCHEN, POTS, recipeLine, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { idleJobs, placeJobs } from './idleJobs.ts';
import { solvePlan } from './solve.ts';

const program = (id: string, hygiene: 'clean' | 'sterilised' = 'sterilised') => {
  const recipe = BOOK.find((r) => r.id === id)!;
  return unwrap(
    solvePlan({
      recipe,
      choices: { ...defaultChoices(recipe, 'straightBoil'), hygiene },
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[1]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: 5 }, fills: 1 },
    }),
  ).program;
};
const at = (p: ReturnType<typeof program>, kind: string) => p.steps.find((s) => s.kind === kind)!.id;

describe('side jobs for idle minutes', () => {
  it('while it boils: hot bottles, limes, ice, the longest first', () => {
    const p = program('lemongrass-ginger-mint');
    const jobs = idleJobs(p, at(p, 'boil'), TABLES);
    expect(jobs.map((j) => j.code).sort()).toEqual(['bottlesHot', 'ice', 'squeeze']);
    for (let i = 1; i < jobs.length; i++) expect(jobs[i]!.minutes).toBeLessThanOrEqual(jobs[i - 1]!.minutes);
    expect(jobs[0]).toMatchObject({ code: 'bottlesHot', minutes: 20 });
    expect(jobs.find((j) => j.code === 'squeeze')!.itemIds).toEqual(['lime-juice']);
  });
  it('clean bottles take half as long; once it is cold no ice is wanted', () => {
    const p = program('deep-calyx-ginger', 'clean');
    expect(idleJobs(p, at(p, 'boil'), TABLES)[0]).toMatchObject({ code: 'bottlesClean', minutes: 10 });
    expect(idleJobs(p, at(p, 'cool'), TABLES).map((j) => j.code)).not.toContain('ice');
    expect(idleJobs(p, at(p, 'bottle'), TABLES)).toEqual([]);
  });
  it('what the recipe’s own steps do away from the pot is done meanwhile: washed, cut, blended', () => {
    const { program: own } = made(
      [
        WATER_4L,
        CALYX,
        recipeLine('fruit', 'pineapple-flesh', 600),
        recipeLine('more', 'pineapple-core', 300),
      ],
      [
        step('combine', ['water', 'calyx']),
        step('heat'),
        step('boil', [], { minutes: 30 }),
        step('wash', ['fruit'], { minutes: 4 }),
        step('prep', ['fruit'], { minutes: 9 }),
        step('prep', ['more'], { minutes: 3 }),
        step('blend', ['fruit', 'more'], { minutes: 5, from: ['blender'], to: 'blender' }),
        step('strain', [], { from: ['pot'], to: 'tub' }),
        step('cool', [], { place: 'iceBath' }),
      ],
    );
    const jobs = idleJobs(own, at(own, 'boil'), TABLES);
    const of = (code: string) => jobs.find((j) => j.code === code);
    expect(of('prep')).toMatchObject({ minutes: 12, itemIds: ['pineapple-flesh', 'pineapple-core'] });
    expect(of('wash')).toMatchObject({ minutes: 4 });
    expect(of('blend')).toMatchObject({ minutes: 5 });
    // Once it is cut it is no longer to be cut; what is done to the pot itself is no side job.
    expect(idleJobs(own, at(own, 'strain'), TABLES).map((j) => j.code)).not.toContain('prep');
  });
  const job = (minutes: number) => ({ code: 'ice' as const, itemIds: [], minutes });
  it('two pots: what is due first comes first, and hands are not wanted twice', () => {
    // Pot A is done in 60 min and wants 20 + 5; pot B in 50 min and wants 10. From the end back: A's 5 from 55, its 20
    // from 35, and B's 10, due by 50, must be out of the way: from 25.
    const placed = placeJobs(
      [
        { id: 'A', endMs: 60 * 60_000, jobs: [job(20), job(5)] },
        { id: 'B', endMs: 50 * 60_000, jobs: [job(10)] },
      ],
      0,
    );
    expect(placed.map((p) => [p.waitId, p.beginMs / 60_000, p.endMs / 60_000, p.late])).toEqual([
      ['B', 25, 35, false],
      ['A', 35, 55, false],
      ['A', 55, 60, false],
    ]);
    // Hands wanted from 40 to 50: A's 20 min must be over before, from 20; B's before that.
    const around = placeJobs(
      [
        { id: 'A', endMs: 60 * 60_000, jobs: [job(20), job(5)] },
        { id: 'B', endMs: 50 * 60_000, jobs: [job(10)] },
      ],
      0,
      [{ fromMs: 40 * 60_000, toMs: 50 * 60_000 }],
    );
    expect(around.map((p) => p.beginMs / 60_000)).toEqual([10, 20, 55]);
  });
  const waits = fc.array(
    fc.record({
      endMin: fc.integer({ min: 1, max: 300 }),
      lengths: fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 4 }),
    }),
    { minLength: 1, maxLength: 4 },
  );
  it('none overlaps another or a busy stretch, none begins before now, and late is said only where it is', () => {
    fc.assert(
      fc.property(
        waits,
        fc.array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 1, max: 30 })), {
          maxLength: 3,
        }),
        (pots, stretches) => {
          const busy = stretches.map(([from, length]) => ({
            fromMs: from * 60_000,
            toMs: (from + length) * 60_000,
          }));
          const placed = placeJobs(
            pots.map((p, i) => ({ id: String(i), endMs: p.endMin * 60_000, jobs: p.lengths.map(job) })),
            0,
            busy,
          );
          expect(placed).toHaveLength(pots.reduce((n, p) => n + p.lengths.length, 0));
          for (const [i, p] of placed.entries()) {
            expect(p.beginMs).toBeGreaterThanOrEqual(i === 0 ? 0 : placed[i - 1]!.endMs);
            for (const b of busy) expect(p.endMs <= b.fromMs || p.beginMs >= b.toMs).toBe(true);
            expect(p.late).toBe(p.endMs > pots[Number(p.waitId)]!.endMin * 60_000);
          }
        },
      ),
    );
  });
  it('with free hands nothing is late where any order could be in time', () => {
    // One machine, all there from the start: by due date is late only where every order is.
    fc.assert(
      fc.property(waits, (pots) => {
        const jobs = pots.flatMap((p) => p.lengths.map((minutes) => ({ minutes, dueMin: p.endMin })));
        const dues = [...new Set(jobs.map((j) => j.dueMin))];
        const feasible = dues.every(
          (due) => jobs.filter((j) => j.dueMin <= due).reduce((sum, j) => sum + j.minutes, 0) <= due,
        );
        const placed = placeJobs(
          pots.map((p, i) => ({ id: String(i), endMs: p.endMin * 60_000, jobs: p.lengths.map(job) })),
          0,
        );
        expect(placed.some((p) => p.late)).toBe(!feasible);
      }),
    );
  });
});
