import type { Kitchen } from '../documents/kitchen.ts';
import type { StockRow } from '../documents/stock.ts';
import type { FuelUse } from '../program/model/simulation.ts';
import { learntTables } from '../program/simulate/factoredTables.ts';
import { FUELS, type Fuel } from '../tables/constants.ts';
import { GAS_UNIT_ROWS } from '../tables/energy.ts';
import type { Tables } from '../tables/types.ts';
import { type ShoppingPlan, type ShoppingRow, shoppingList } from './shopping.ts';

/** What making something costs, in the kitchen's money. */
export interface Cost {
  /** What is used up, by what its packs and pieces cost; of what has no price nothing is counted. */
  things: number;
  /** What has no price. */
  unpriced: readonly Pick<ShoppingRow, 'id' | 'what' | 'parts'>[];
  kWh: Readonly<Record<Fuel, number>>;
  /** The heat, by the kitchen's tariff. */
  heat: number;
  /** What is burnt and has no price. */
  unpricedFuels: readonly Fuel[];
  total: number;
  litres: number;
}

/** What a kilowatt-hour costs in this kitchen; null where it was not said. */
function pricePerKWh({ tariff }: Pick<Kitchen, 'tariff'>, fuel: Fuel): number | null {
  switch (fuel) {
    case 'electricity':
      return tariff.electricityPerKWh;
    case 'gas':
      return tariff.gas && tariff.gas.price / GAS_UNIT_ROWS[tariff.gas.per].kWhPer;
  }
}

/** What the rings draw in all, kWh. */
export function heatOf(fuel: readonly FuelUse[]): Record<Fuel, number> {
  const kWh: Record<Fuel, number> = { electricity: 0, gas: 0 };
  for (const use of fuel) kWh[use.fuel] += use.kWh;
  return kWh;
}

/**
 * What is used up for a plan and what its heat costs. A pack that is opened counts by what is taken of it; what lies in
 * the house counts as what is bought does: it has to be bought again.
 */
export function costOf(
  plan: ShoppingPlan,
  fuel: readonly FuelUse[],
  kitchen: Pick<Kitchen, 'tariff' | 'learnt'>,
  stock: readonly StockRow[],
  tables: Tables,
): Cost {
  const nothingThere = stock.map((row) => ({ ...row, inHouseG: 0 }));
  const { rows } = shoppingList([plan], nothingThere, learntTables(tables, kitchen));
  // Of whole fruit and pieces what is left over is left; of a pack it is used another time.
  const things = rows.reduce((sum, row) => {
    const boughtG = row.what === 'fruit' ? row.buyG : row.buyG + row.leftG;
    const usedShare = row.packs && boughtG > 0 ? row.needG / boughtG : 1;
    return sum + (row.cost ?? 0) * usedShare;
  }, 0);
  const kWh = heatOf(fuel);
  const burnt = FUELS.filter((f) => kWh[f] > 0);
  const heat = burnt.reduce((sum, f) => sum + kWh[f] * (pricePerKWh(kitchen, f) ?? 0), 0);
  return {
    things,
    unpriced: rows
      .filter((r) => r.cost === null && r.buyG > 0)
      .map(({ id, what, parts }) => ({ id, what, parts })),
    kWh,
    heat,
    unpricedFuels: burnt.filter((f) => pricePerKWh(kitchen, f) === null),
    total: things + heat,
    litres: plan.litres,
  };
}

/** Several things that are made, as one. */
export function costInAll(costs: readonly Cost[]): Cost {
  const sum = (of: (cost: Cost) => number) => costs.reduce((all, cost) => all + of(cost), 0);
  return {
    things: sum((c) => c.things),
    unpriced: costs.flatMap((c, i) =>
      c.unpriced.filter(
        ({ id }) => !costs.slice(0, i).some((sooner) => sooner.unpriced.some((r) => r.id === id)),
      ),
    ),
    kWh: { electricity: sum((c) => c.kWh.electricity), gas: sum((c) => c.kWh.gas) },
    heat: sum((c) => c.heat),
    unpricedFuels: FUELS.filter((f) => costs.some((c) => c.unpricedFuels.includes(f))),
    total: sum((c) => c.total),
    litres: sum((c) => c.litres),
  };
}
