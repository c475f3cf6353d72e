import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOOK } from '../program/book.ts';
import { defaultChoices } from '../program/recipe.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
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
  it('with one pair of hands none overlaps, and all are done when the pot is, where there is time', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 200 }),
        (lengths, waitMin) => {
          const jobs = lengths.map((minutes) => ({ code: 'ice' as const, itemIds: [], minutes }));
          const placed = placeJobs(jobs, 0, waitMin * 60_000);
          for (let i = 1; i < placed.length; i++) expect(placed[i]!.beginMs).toBe(placed[i - 1]!.endMs);
          expect(placed[0]!.beginMs).toBeGreaterThanOrEqual(0);
          const total = lengths.reduce((a, b) => a + b, 0);
          expect(placed.at(-1)!.endMs).toBe(Math.max(waitMin, total) * 60_000);
        },
      ),
    );
  });
});
