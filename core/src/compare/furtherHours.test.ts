import { describe, expect, it } from 'vitest';
import { solvePlan } from '../plan/solve.ts';
import { BOOK } from '../program/book/book.ts';
import { defaultChoices } from '../program/book/recipe.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { furtherHours, standingSteps } from './furtherHours.ts';

const T0 = Date.UTC(2026, 10, 24, 8);
const TIMES = { startMs: T0, nowMs: T0 };

function planned(id: string, change: object) {
  const recipe = BOOK.find((r) => r.id === id)!;
  return unwrap(
    solvePlan({
      recipe,
      choices: { ...defaultChoices(recipe, 'shortBoilLongSteep'), ...change },
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[0]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: 6 }, fills: 1 },
    }),
  ).program;
}

describe('what each further hour gives and costs', () => {
  it('in the fridge more hours are stronger, less and less so; the planned time counts as one', () => {
    const program = planned('deep-calyx-ginger', { steepPlace: 'fridge', steepMin: 240 });
    const [stepId] = standingSteps(program);
    const rows = furtherHours(program, stepId!, KITCHEN, TABLES, TIMES);
    expect(rows.find((r) => r.which === 'planned')).toMatchObject({ minutes: 240, strength: 1 });
    for (const [i, row] of rows.entries()) {
      if (i === 0) continue;
      expect(row.minutes).toBeGreaterThan(rows[i - 1]!.minutes);
      expect(row.gPerL).toBeGreaterThanOrEqual(rows[i - 1]!.gPerL - 1e-9);
      expect(row.keepsDays).toBeLessThanOrEqual(rows[i - 1]!.keepsDays);
    }
  });
  it('on the table a night too long has its price: it is not to be kept', () => {
    const program = planned('lemongrass-ginger-mint', { steepPlace: 'counter', steepMin: 60 });
    const [stepId] = standingSteps(program);
    // Not sour: what stands warm beyond its hours is thrown out.
    const step = program.steps.find((s) => s.id === stepId)!;
    const long = {
      ...program,
      steps: program.steps.map((s) =>
        s === step ? { ...s, until: { kind: 'duration' as const, minutes: 60, maxMinutes: 24 * 60 } } : s,
      ),
    };
    const rows = furtherHours(long, stepId!, KITCHEN, TABLES, TIMES);
    expect(rows.at(-1)).toMatchObject({ which: 'most', minutes: 1440, verdict: 'throwOut', keepsDays: 0 });
    expect(rows[0]!.verdict).not.toBe('throwOut');
  });
  it('a step that draws nothing has no such hours', () => {
    const program = planned('deep-calyx-ginger', {});
    const cool = program.steps.find((s) => s.kind === 'cool')!;
    expect(furtherHours(program, cool.id, KITCHEN, TABLES, TIMES)).toEqual([]);
    expect(furtherHours(program, 'nothing', KITCHEN, TABLES, TIMES)).toEqual([]);
  });
});
