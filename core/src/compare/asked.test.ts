import { describe, expect, it } from 'vitest';
import type { MethodId } from '../documents/recipe.ts';
import { volumeMl } from '../liquor/composition.ts';
import { BOOK } from '../program/book/book.ts';
import { BOTTLES } from '../program/model/vessels.ts';
import { learntTables } from '../program/simulate/factoredTables.ts';
import { familyOfItem } from '../tables/families.ts';
import { FRUIT_ROWS } from '../tables/fruits.ts';
import { SHOP_ROWS, SUBSTITUTE_ROWS, TOOL_ROWS, USUAL_ROWS } from '../tables/kitchenFacts.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { made } from './made.fixtures.ts';
import { overviewOf } from './overview.ts';
import { amountWarning, measuredLossWarning, planWarnings, timeWarning } from './plausibility.ts';
import { shoppingList, stillToGoIn } from './shopping.ts';
import { bowlsOf, toolCounts } from './toolCounts.ts';

describe('tools, overviews and slips', () => {
  it('counts loads and lots by the sizes of the kitchen', () => {
    const { program, sim } = made('raw-ginger-spice', 'rawBlend', {}, 5);
    const blend = sim.trace.find((t) => t.kind === 'blend')!;
    const small = { ...KITCHEN, tools: { ...KITCHEN.tools, blenderMl: 1000 } };
    const counts = toolCounts(program, sim, small, TABLES);
    // A jar of a litre takes 660 mL of it.
    expect(counts.blenderLoads).toBeGreaterThanOrEqual(Math.ceil(volumeMl(blend.after.liquor) / 660));
    expect(counts.blenderLoads).toBeLessThanOrEqual(Math.ceil(volumeMl(blend.after.liquor) / 660) + 1);
    const wash = made('deep-calyx-ginger', 'straightBoil', {}, 9);
    // 300 g of calyx at 0.15 g/mL is 2 L: in a 2 L bowl filled to 40 % three lots; roots and peel are one.
    const bowl = { ...KITCHEN, tools: { ...KITCHEN.tools, bowlMl: 2000 } };
    const bowls = wash.program.steps
      .filter((s) => s.kind === 'wash')
      .map((s) => bowlsOf(s, wash.program, bowl, TABLES));
    expect(bowls).toEqual([3, 1]);
    const short = { ...KITCHEN, tools: { ...KITCHEN.tools, receiverMl: 5000 } };
    expect(toolCounts(wash.program, wash.sim, short, TABLES).receiverShortL).toBeGreaterThan(3);
  });
  it('tells who a drink is for', () => {
    const of = (id: string) => overviewOf(BOOK.find((r) => r.id === id)!, KITCHEN, TABLES);
    expect(of('basil-thyme').mild).toBe(true);
    expect(of('root-lemon-shots').mild).toBe(false);
    expect(of('lemon-garlic').mild).toBe(false);
    expect(of('deep-calyx-ginger').noAddedSugar).toBe(false);
    expect(of('deep-calyx-ginger').families).toContain('hibiscus');
    expect(BOOK.every((r) => !overviewOf(r, KITCHEN, TABLES).alcohol)).toBe(true);
  });
  it('asks about amounts and times far from the usual, and only then', () => {
    // A spoon for a cup: 300 g of cayenne in 5 L, where 0.02 to 1 g/L is usual.
    expect(amountWarning('cayenne-ground', 30, 5, TABLES)).toMatchObject({ kind: 'much' });
    expect(amountWarning('cayenne-ground', 2, 5, TABLES)).toBeNull();
    expect(amountWarning('hibiscus-dried', 5, 9, TABLES)).toMatchObject({ kind: 'little' });
    // Three times what the recipe has.
    // Three times the usual top of 0.4 g/L; half a litre where a spoonful is meant, and the reverse.
    expect(amountWarning('cayenne-ground', 4.8, 4, TABLES)).toMatchObject({ kind: 'much' });
    expect(amountWarning('cider-vinegar', 5, 4, TABLES)).toMatchObject({ kind: 'little' });
    expect(amountWarning('spirit-40', 5000, 4, TABLES)).toMatchObject({ kind: 'much' });
    expect(amountWarning('lemon-juice', 515, 4, TABLES, 5.15)).toMatchObject({ kind: 'much' });
    expect(amountWarning('lemon-juice', 5.15, 4, TABLES, 515)).toMatchObject({ kind: 'little' });
    expect(amountWarning('lemon-juice', 200, 4, TABLES, 240)).toBeNull();
    expect(amountWarning('lemongrass', 400, 5, TABLES, 100)).toMatchObject({ kind: 'much' });
    expect(amountWarning('lemongrass', 200, 5, TABLES, 100)).toBeNull();
    expect(timeWarning('boil', 600)).toMatchObject({ kind: 'long' });
    expect(timeWarning('steep', 1)).toMatchObject({ kind: 'short' });
    expect(timeWarning('boil', 20)).toBeNull();
  });
  it('asks about nothing in a shipped drink, whichever way it is made, and about ten times the cloves', () => {
    for (const recipe of BOOK)
      for (const methodId of recipe.methods) {
        const { program, sim } = made(recipe.id, methodId, {}, 5);
        const litres = volumeMl(sim.vessels[BOTTLES]!.liquor) / 1000;
        expect(planWarnings(program, litres, TABLES), `${recipe.id} ${methodId}`).toEqual([]);
      }
    const { program } = made('deep-calyx-ginger', 'straightBoil', {}, 5);
    const lines = program.lines.map((l) => (l.itemId === 'clove-whole' ? { ...l, massG: 10 * l.massG } : l));
    expect(planWarnings({ lines }, 5, TABLES)).toMatchObject([{ kind: 'much', itemId: 'clove-whole' }]);
  });
  it('asks about a measure that flame and solids cannot explain, and about no honest one', () => {
    const { sim } = made('deep-calyx-ginger', 'straightBoil');
    const strain = sim.trace.findIndex((t) => t.kind === 'strain');
    const before = sim.trace.slice(0, strain);
    const boiled = before.at(-1)!.now.volumeL;
    const expected = sim.trace[strain]!.now.volumeL;
    expect(measuredLossWarning(before, expected, expected, boiled - expected)).toBeNull();
    expect(measuredLossWarning(before, expected - 4, expected, boiled - expected)).toMatchObject({
      kind: 'lossUnexplained',
    });
    // Half of a litre and a half gone in seven minutes under a lid: 0.02 L of steam, 1.5 · 0.02 + 0.15 + 0.05 = 0.23 L at most.
    const stood = (kind: 'combine' | 'boil', volumeL: number) => ({ kind, now: { volumeL } }) as never;
    const lidded = [stood('combine', 1.5), stood('boil', 1.48)];
    expect(measuredLossWarning(lidded, 0.75, 1.48, 0)).toMatchObject({ kind: 'lossUnexplained' });
    expect(measuredLossWarning(lidded, 1.3, 1.48, 0)).toBeNull();
    // While a pot is still being filled nothing is asked.
    expect(measuredLossWarning([stood('combine', 7.9)], 5, 7.9, 0)).toBeNull();
  });
});

describe('shopping', () => {
  const plan = (id: string, methodId: MethodId, litres: number, month = 11) => {
    const { program, sim } = made(id, methodId, {}, litres);
    return { program, dosedG: sim.dosedG, litres, month };
  };
  it('buys each fruit once for all its parts, and rounds packs up with what is left', () => {
    const list = shoppingList([plan('calyx-pineapple', 'straightBoil', 9)], [], TABLES);
    const pineapple = list.rows.find((r) => r.id === 'pineapple')!;
    // Peel 700 of 350 each, core 180 of 90, flesh 1700 of 850: two fruit, not six.
    expect(pineapple.pieces).toEqual({ count: 2, pieceId: 'pineapple' });
    expect(pineapple.parts).toHaveLength(3);
    const dried = list.rows.find((r) => r.id === 'hibiscus-dried')!;
    // 190 g from packs of 250 g: one, 60 g left.
    expect(dried.packs).toEqual({ count: 1, sizeG: 250 });
    expect(dried.leftG).toBeCloseTo(60, 6);
  });
  it('leaves nothing of a fruit that was squeezed but the fruit that was not cut', () => {
    const list = shoppingList([plan('peel-core-infusion', 'straightBoil', 6)], [], TABLES);
    const lime = list.rows.find((r) => r.id === 'lime')!;
    expect(lime.parts.map((p) => p.itemId)).toEqual(['lime-juice']);
    expect(lime.pieces!.count).toBeGreaterThan(1);
    expect(lime.leftG).toBeLessThan(67);
  });
  it('a kitchen that is known to get half of the juice buys twice the fruit', () => {
    const limes = (tables: typeof TABLES) =>
      shoppingList([plan('peel-core-infusion', 'straightBoil', 6)], [], tables).rows.find(
        (r) => r.id === 'lime',
      )!.pieces!.count;
    const learnt = { version: 1, factors: { 'juiceBy:hand': 0.5 }, spreads: {} };
    const [few, many] = [limes(TABLES), limes(learntTables(TABLES, { learnt }))];
    // Whole limes: each of the two is rounded up.
    expect(many).toBeGreaterThanOrEqual(2 * few - 2);
    expect(many).toBeLessThanOrEqual(2 * few);
  });
  it('takes off what is in the house, and prices by the pack', () => {
    const stock = [
      { itemId: 'hibiscus-dried', inHouseG: 100, packG: 50, price: 2, basketG: 0 },
      { itemId: 'ginger-bruised', inHouseG: 1000, packG: null, price: null, basketG: 0 },
    ];
    const list = shoppingList([plan('deep-calyx-ginger', 'straightBoil', 9)], stock, TABLES);
    const dried = list.rows.find((r) => r.id === 'hibiscus-dried')!;
    // 300 − 100 = 200 g in packs of 50: four, at 2 each.
    expect(dried.packs).toEqual({ count: 4, sizeG: 50 });
    expect(dried.cost).toBe(8);
    expect(list.cost).toBe(8);
    // Noted as bruised: the same root, however it is cut.
    expect(list.rows.find((r) => r.id === 'ginger-sliced')!.buyG).toBe(0);
    expect(list.unpriced).toBeGreaterThan(0);
  });
  it('says what is out of season, with what is to be had all year', () => {
    const list = shoppingList([plan('fresh-calyx-ginger', 'straightBoil', 5, 7)], [], TABLES);
    expect(list.rows.find((r) => r.id === 'hibiscus-fresh')!.offSeason).toEqual({ dried: 'hibiscus-dried' });
    const winter = shoppingList([plan('fresh-calyx-ginger', 'straightBoil', 5, 12)], [], TABLES);
    expect(winter.rows.find((r) => r.id === 'hibiscus-fresh')!.offSeason).toBeNull();
  });
  it('buys one root once, however it is cut, and ground of it apart', () => {
    // 150 g bruised and 110 g grated: one row of 260 g, at 30 g a thumb nine of them.
    const list = shoppingList(
      [plan('deep-calyx-ginger', 'straightBoil', 9), plan('fresh-calyx-ginger', 'straightBoil', 8)],
      [],
      TABLES,
    );
    const root = list.rows.filter((r) => familyOfItem(r.id)?.id === 'ginger');
    expect(root).toHaveLength(1);
    expect(root[0]!.needG).toBeCloseTo(260, 6);
    expect(root[0]!.pieces).toEqual({ count: 9, pieceId: 'thumb' });
    expect(root[0]!.parts.map((p) => p.itemId)).toEqual(['ginger-bruised', 'ginger-grated']);
  });
  it('what comes by the piece is priced by the piece', () => {
    // 150 g of root at 30 g a thumb: five, at 0.5 each.
    const priced = [{ itemId: 'ginger-bruised', inHouseG: 0, packG: null, price: 0.5, basketG: 0 }];
    const list = shoppingList([plan('deep-calyx-ginger', 'straightBoil', 9)], priced, TABLES);
    expect(list.rows.find((r) => r.id === 'ginger-sliced')).toMatchObject({ price: 0.5, cost: 2.5 });
    expect(list.cost).toBe(2.5);
  });
  it('what lies in the basket is bought as far as it goes: more wanted, and it is open again', () => {
    const inBasket = [{ itemId: 'hibiscus-dried', inHouseG: 0, packG: 250, price: 4, basketG: 500 }];
    const row = (litres: number) =>
      shoppingList([plan('deep-calyx-ginger', 'straightBoil', litres)], inBasket, TABLES).rows.find(
        (r) => r.id === 'hibiscus-dried',
      )!;
    // 300 g for 9 L; 600 g for 18 L.
    expect(row(9)).toMatchObject({ bought: true, price: 4, basketG: 500 });
    const twice = { ...plan('deep-calyx-ginger', 'straightBoil', 9) };
    const list = shoppingList([twice, twice], inBasket, TABLES);
    expect(list.rows.find((r) => r.id === 'hibiscus-dried')!.bought).toBe(false);
  });
  it('of a batch that is on counts what only later steps take', () => {
    const { program } = made('calyx-pineapple', 'straightBoil', {}, 9);
    const boilAt = program.steps.findIndex((s) => s.kind === 'boil');
    const begun = new Set(program.steps.slice(0, boilAt + 1).map((s) => s.id));
    const later = stillToGoIn(program, (id) => begun.has(id)).lines.map((l) => l.itemId);
    expect(later).toContain('sugar-cane-raw');
    expect(later).not.toContain('hibiscus-dried');
    expect(stillToGoIn(program, () => true).lines).toEqual([]);
  });
});

describe('facts', () => {
  it('name only what the tables have, each with a source', () => {
    const known = (id: string) =>
      TABLES.ingredients.has(id) || TABLES.liquids.has(id) || TABLES.sweeteners.has(id);
    for (const row of SUBSTITUTE_ROWS) {
      expect(known(row.itemId) && known(row.insteadId), `${row.itemId} ${row.insteadId}`).toBe(true);
      expect(row.range).toBeGreaterThanOrEqual(1);
    }
    for (const row of [...USUAL_ROWS, ...SHOP_ROWS]) expect(known(row.itemId), row.itemId).toBe(true);
    for (const row of USUAL_ROWS) expect(row.lowGPerL).toBeLessThan(row.highGPerL);
    for (const row of FRUIT_ROWS) for (const p of row.parts) expect(known(p.itemId), p.itemId).toBe(true);
    for (const row of [...SUBSTITUTE_ROWS, ...TOOL_ROWS, ...FRUIT_ROWS, ...USUAL_ROWS, ...SHOP_ROWS])
      expect(row.source.length).toBeGreaterThan(5);
  });
});
