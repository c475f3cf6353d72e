import { describe, expect, it } from 'vitest';
import { juicePerKg } from '../../physics/juice.ts';
import { KITCHEN, TABLES } from '../../testKitchen.ts';
import { learntTables } from './factoredTables.ts';

describe('tables as a kitchen knows its own things', () => {
  const learnt = (factors: Record<string, number>) =>
    learntTables(TABLES, { learnt: { version: 1, factors, spreads: {} } as never });
  const row = (tables: typeof TABLES, id: string) => tables.ingredients.get(id)!;

  it('where nothing is learnt they are the book’s own', () => {
    expect(learntTables(TABLES, KITCHEN)).toBe(TABLES);
    expect(learnt({ 'power:gas': 0.8 })).toBe(TABLES);
  });
  it('a hand that squeezes a fifth more gets it of every fruit, by hand alone', () => {
    const tables = learnt({ 'juiceBy:hand': 1.2 });
    for (const id of ['lime-whole', 'orange-whole', 'pineapple-flesh']) {
      const { hand, blender, juicer } = row(TABLES, id).juiceMlPerKg;
      expect(row(tables, id).juiceMlPerKg).toEqual({
        hand: hand === null ? null : hand * 1.2,
        blender,
        juicer,
      });
    }
  });
  it('a juicy fruit and a hard hand come together', () => {
    const tables = learnt({ 'juiceBy:hand': 1.2, 'juice:lime-whole': 0.5 });
    expect(juicePerKg(row(tables, 'lime-whole'), 'hand')).toBeCloseTo(
      0.6 * juicePerKg(row(TABLES, 'lime-whole'), 'hand')!,
      9,
    );
  });
});
