import { describe, expect, it } from 'vitest';
import { WASH_ROWS } from '../tables/washing.ts';
import { programOf, TABLES } from '../testKitchen.ts';
import { rinsesAsked, washRoutines } from './washing.ts';

const washing = (...itemIds: string[]) => {
  const program = programOf(
    itemIds.map((itemId, i) => ({ id: `line-${i}`, itemId, massG: 100 })),
    [
      { kind: 'wash', rinses: 1, minutesPerRinse: 1.5, lines: itemIds.map((_, i) => `line-${i}`) },
      { kind: 'boil' },
    ],
  );
  const step = program.steps[0]!;
  if (step.kind !== 'wash') throw new Error('no washing');
  return { step, routines: washRoutines(program, step, TABLES) };
};

describe('how what is in the bowl is washed', () => {
  it('each kind of skin has a routine of its own, whatever carries it', () => {
    const { routines } = washing('ginger-grated', 'turmeric-grated', 'cranberry-fresh', 'lemon-whole');
    expect(routines.map((r) => [r.row.trait, r.itemIds])).toEqual([
      ['skinWaxed', ['lemon-whole']],
      ['skinRoot', ['ginger-grated', 'turmeric-grated']],
      ['skinSoft', ['cranberry-fresh']],
    ]);
  });

  it('vinegar is a choice, and asks for three rinses once things have stood in it', () => {
    const { step, routines } = washing('lemon-whole');
    expect(rinsesAsked(step, routines, [])).toBe(1);
    expect(rinsesAsked(step, routines, ['vinegar'])).toBe(3);
    expect(rinsesAsked(step, routines, ['salt'])).toBe(1);
  });

  it('fresh calyx stands in salt water for three minutes, always, and is rinsed twice', () => {
    const { step, routines } = washing('hibiscus-fresh');
    expect(routines[0]!.row.bath).toEqual({ what: 'salt', minutes: 3, needed: true });
    expect(rinsesAsked(step, routines, [])).toBe(2);
  });

  it('a plan that asks for more rinses than the skin keeps its own', () => {
    const { step, routines } = washing('ginger-grated');
    expect(rinsesAsked({ ...step, rinses: 4 }, routines, [])).toBe(4);
  });

  it('a bath is never rinsed off less often than clear water', () => {
    for (const row of WASH_ROWS) expect(row.rinsesAfterBath).toBeGreaterThanOrEqual(row.rinses);
  });
});
