import { describe, expect, it } from 'vitest';
import { programOf, TABLES } from '../testKitchen.ts';
import { tablesAsTasted, tastedAt } from './asTasted.ts';

const program = programOf(
  [
    { id: 'flesh', itemId: 'pineapple-flesh', massG: 1000 },
    { id: 'ginger', itemId: 'ginger-sliced', massG: 100 },
    { id: 'juice', kind: 'liquid', itemId: 'apple-juice', massG: 500 },
  ],
  [
    { kind: 'prep', from: ['bowl'], to: ['bowl'], lines: ['flesh', 'ginger'] },
    { kind: 'mix', lines: ['juice'] },
  ],
);
const tasted = (...cues: [stepId: string, cue: string][]) =>
  tablesAsTasted(
    TABLES,
    program,
    cues.map(([stepId, cue]) => ({ stepId, cue })),
  );

describe('fruit as it was tasted', () => {
  it('very ripe has a quarter more sugar, pale a quarter less, and nothing else changes', () => {
    const usual = TABLES.ingredients.get('pineapple-flesh')!;
    const ripe = tasted(['prep-0', 'fruit.ripe']).ingredients.get('pineapple-flesh')!;
    expect(ripe.sugarPct).toBeCloseTo(1.25 * usual.sugarPct, 9);
    expect(ripe.solublePct - ripe.sugarPct).toBeCloseTo(usual.solublePct - usual.sugarPct, 9);
    expect(ripe.acidPct).toBe(usual.acidPct);
    const sharp = tasted(['mix-1', 'fruit.sharp']).liquids.get('apple-juice')!;
    // 10.3 g in 100 g, three quarters of it: 7.7; °Bx falls by as much, from 12 to 9.4.
    expect(sharp.sugarGPer100g).toBeCloseTo(7.725, 6);
    expect(sharp.brix).toBeCloseTo(9.425, 6);
  });
  it('is tasted once it is washed and open, not while it is picked over', () => {
    const picked = programOf(
      [{ id: 'flesh', itemId: 'pineapple-flesh', massG: 1000 }],
      [
        { kind: 'pick', lines: ['flesh'] },
        { kind: 'wash', lines: ['flesh'] },
        { kind: 'prep', lines: ['flesh'] },
      ],
    );
    const at = (stepId: string) => tastedAt(picked, stepId, TABLES);
    expect([at('pick-0'), at('wash-1'), at('prep-2')]).toEqual([[], [], ['pineapple-flesh']]);
  });
  it('the last word counts, roots are not tasted, other cues mean nothing here', () => {
    expect(tasted(['prep-0', 'fruit.ripe'], ['prep-0', 'fruit.usual'])).toBe(TABLES);
    expect(tasted(['prep-0', 'fruit.ripe']).ingredients.get('ginger-sliced')).toBe(
      TABLES.ingredients.get('ginger-sliced'),
    );
    expect(tasted(['prep-0', 'rinse'], ['gone', 'fruit.ripe'])).toBe(TABLES);
  });
});
