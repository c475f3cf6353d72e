import { describe, expect, it } from 'vitest';
import type { ProgramLine } from '../program/model/program.ts';
import { TABLES } from '../testKitchen.ts';
import { enoughOf, inBottlesG } from './enough.ts';

const line = (id: string, itemId: string, massG: number): ProgramLine =>
  ({ id, itemId, massG, kind: 'liquid', rule: { kind: 'linear' } }) as ProgramLine;
const program = {
  lines: [
    line('vinegar', 'cider-vinegar', 808),
    line('honey', 'honey', 0),
    line('water', 'water', 3000),
    line('sugar', 'sugar-white', 400),
    line('splash', 'rice-vinegar', 40),
  ],
};
const stock = (itemId: string, inHouseG: number) => ({
  itemId,
  inHouseG,
  packG: 505,
  price: null,
  basketG: 0,
});

describe('is there enough in the bottles', () => {
  it('counts vinegar and honey by their own weight: 808 g of vinegar are 800 mL, 710 g of honey half a litre', () => {
    const rows = enoughOf(program, { honey: 710 }, [], TABLES);
    // Water runs from the tap, sugar is weighed, a splash is in every cupboard.
    expect(rows.map((r) => [r.itemId, Math.round(r.wantedMl)])).toEqual([
      ['cider-vinegar', 800],
      ['honey', 500],
    ]);
    expect(rows.every((r) => r.inHouseG === null && r.shortG === 0)).toBe(true);
  });
  it('one closed bottle of half a litre and 200 mL in the open one are 101 g short of it', () => {
    const inHouseG = inBottlesG(1, 500, 200, 1.01);
    // 700 mL at 1.01 g/mL.
    expect(inHouseG).toBeCloseTo(707, 6);
    const [vinegar] = enoughOf(program, {}, [stock('cider-vinegar', inHouseG)], TABLES);
    expect(vinegar).toMatchObject({ shortG: expect.closeTo(101, 6), bottleG: 505 });
  });
  it('the same thing in two lines is counted together', () => {
    const twice = { lines: [line('a', 'cider-vinegar', 60), line('b', 'cider-vinegar', 60)] };
    expect(enoughOf(twice, {}, [], TABLES)[0]!.wantedG).toBe(120);
  });
});
