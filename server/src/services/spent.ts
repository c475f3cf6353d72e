import { costOf, iceKgOf, type ShoppingPlan } from '@big-ladle/core/compare';
import type { Kitchen, StockRow } from '@big-ladle/core/documents';
import { calendarOf } from '@big-ladle/core/learn';
import { finishedL, type Program, type Simulation } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';

/** What went into a batch, and what its heat drew: kept as it was, to be priced by today's prices. */
export interface Spent {
  plan: ShoppingPlan;
  fuel: Simulation['fuel'];
}

export const spentOn = (
  lines: Program['lines'],
  forecast: Simulation,
  startedMs: number,
  zone: string,
): Spent => ({
  plan: {
    program: { lines },
    dosedG: forecast.dosedG,
    litres: finishedL(forecast),
    month: calendarOf(startedMs, zone).month,
    iceKg: iceKgOf(forecast),
  },
  fuel: forecast.fuel,
});

/** What it cost in all, by the prices of today; things without a price are not in it. */
export const moneyOf = (
  { plan, fuel }: Spent,
  kitchen: Pick<Kitchen, 'tariff'>,
  stock: readonly StockRow[],
  tables: Tables,
): number => costOf(plan, fuel, kitchen, stock, tables).total;
