import '../../words/places/pages.ts';
import type { ShoppingList } from '@big-ladle/core/compare';
import { describe, expect, it } from 'vitest';
import { rowName } from '../../shared/cost/rowName.ts';
import { knowNames } from '../../words/names.ts';
import { csvOf, textOf } from './listWords.ts';

const listOf = (id: string): ShoppingList => ({
  rows: [
    {
      id,
      what: 'item',
      shop: 'market',
      needG: 250,
      inHouseG: 0,
      buyG: 250,
      packs: null,
      pieces: null,
      leftG: 0,
      cost: null,
      offSeason: null,
      parts: [],
      price: null,
      basketG: 0,
      bought: false,
    },
  ],
  cost: 0,
  unpriced: 1,
  litres: 5,
});

describe('the shopping list as CSV', () => {
  it('has no cell that a spreadsheet would reckon: a name is a name', () => {
    for (const start of ['=', '+', '-', '@', '\t', '\r']) {
      knowNames([], [['own-leaf', `${start}HYPERLINK("http://127.0.0.1","a")`]]);
      const [, row = ''] = csvOf(listOf('own-leaf')).split('\r\n');
      const [, what = ''] = row.split(/,(?=")/);
      expect(what, JSON.stringify(start)).toMatch(/^"'/);
    }
  });
});

describe('the shopping list as text', () => {
  it('says shop by shop what is still to be bought', () => {
    const list = listOf('ginger-sliced');
    expect(textOf(list)).toBe('Greengrocer or market\n- Ginger, sliced: 250 g');
    expect(textOf({ ...list, rows: [{ ...list.rows[0]!, bought: true }] })).toBe('');
  });
  it('calls a root that is bought for several forms by its plant', () => {
    const parts = ['ginger-bruised', 'ginger-grated'].map((itemId) => ({ itemId, massG: 100 }));
    const [row] = listOf('ginger-sliced').rows;
    expect(rowName({ ...row!, parts })).toBe('Ginger');
    expect(rowName({ ...row!, parts: parts.slice(0, 1) })).toBe('Ginger, bruised');
  });
});
