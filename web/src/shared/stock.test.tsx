import { notedOf } from '@big-ladle/core/compare';
import type { StockRow } from '@big-ladle/core/documents';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Refusal } from '../testing/fakeServer.ts';
import { kitchenServer } from '../testing/kitchen.ts';
import { useNotices } from './notices.ts';
import { changeStock, sendStock, useStockChanges, withChanges } from './stock.ts';

const row = notedOf;

/** A server with things in the house, which other windows change too. */
function shop(rows: StockRow[]) {
  const server = kitchenServer([]);
  let stock = rows;
  server.answers.stock = () => ({ stock });
  server.answers.putStock = (asked) => {
    const { id } = asked.params as { id: string };
    const stored = { itemId: id, ...(asked.body as Omit<StockRow, 'itemId'>) };
    stock = [...stock.filter((s) => s.itemId !== id), stored];
    return { stock };
  };
  return {
    server,
    stock: () => stock,
    change: (next: StockRow) => (stock = [...stock.filter((s) => s.itemId !== next.itemId), next]),
  };
}
const waiting = () => Object.keys(useStockChanges.getState().waiting);
const sent = () => vi.waitFor(() => expect(waiting()).toEqual([]), 10_000);

describe('what is changed of things in the house', () => {
  beforeEach(() => {
    localStorage.clear();
    useStockChanges.setState({ waiting: {}, unreachable: false });
    useNotices.setState({ notices: [] });
  });

  it('shows before it is stored, on things that were never noted too', () => {
    const shown = withChanges([row('ginger', { price: 2 })], {
      ginger: { basketG: 300 },
      clove: { basketG: 10 },
    });
    expect(shown).toEqual([row('ginger', { price: 2, basketG: 300 }), row('clove', { basketG: 10 })]);
  });

  it('waits while nobody answers, and then changes only what was changed here', async () => {
    const { server, stock, change } = shop([row('ginger', { price: 2 })]);
    server.down = true;
    changeStock({ itemId: 'ginger', basketG: 300 });
    changeStock({ itemId: 'clove', basketG: 10 });
    await vi.waitFor(() => expect(useStockChanges.getState().unreachable).toBe(true));
    expect(waiting()).toEqual(['ginger', 'clove']);
    // A page that is closed and opened again finds it.
    expect(JSON.parse(localStorage.getItem('big-ladle-stock')!).state.waiting).toEqual({
      ginger: { basketG: 300 },
      clove: { basketG: 10 },
    });
    // At home somebody has noted another price meanwhile.
    change(row('ginger', { price: 3 }));
    server.down = false;
    await sendStock();
    await sent();
    expect(stock()).toContainEqual(row('ginger', { price: 3, basketG: 300 }));
    expect(stock()).toContainEqual(row('clove', { basketG: 10 }));
    expect(useStockChanges.getState().unreachable).toBe(false);
  });

  it('waits beside what another window of this browser has put there', async () => {
    const { stock } = shop([]);
    const theirs = { state: { waiting: { mint: { basketG: 30 } } }, version: 0 };
    localStorage.setItem('big-ladle-stock', JSON.stringify(theirs));
    changeStock({ itemId: 'clove', basketG: 10 });
    await sent();
    expect(stock()).toEqual([row('mint', { basketG: 30 }), row('clove', { basketG: 10 })]);
  });

  it('holds the last of several, also when one of them is on its way', async () => {
    const { stock } = shop([]);
    changeStock({ itemId: 'ginger', basketG: 300 });
    changeStock({ itemId: 'ginger', basketG: 0 });
    changeStock({ itemId: 'ginger', price: 4 });
    await sent();
    expect(stock()).toEqual([row('ginger', { price: 4 })]);
  });

  it('goes, and is told, where the server refuses it for what it is', async () => {
    const { server, stock } = shop([]);
    const take = server.answers.putStock!;
    server.answers.putStock = (asked) => {
      if ((asked.params as { id: string }).id === 'nothing') throw new Refusal(422, 'invalid');
      return take(asked);
    };
    changeStock({ itemId: 'nothing', basketG: 1 });
    changeStock({ itemId: 'clove', basketG: 10 });
    await sent();
    expect(stock()).toEqual([row('clove', { basketG: 10 })]);
    expect(useNotices.getState().notices).toHaveLength(1);
  });
});
