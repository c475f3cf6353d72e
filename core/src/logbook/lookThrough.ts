import type { WhereItWent } from './whereItWent.ts';
import { calendarOf } from './year.ts';

/** A batch that was made, in one line of the logbook. */
export interface LogbookRow {
  batchId: string;
  recipeId: string;
  startedMs: number;
  /** From its first step to its last. */
  minutes: number;
  /** Given up before its bottles. */
  stopped: boolean;
  /** Null: it was not litres that were asked for. */
  wishedL: number | null;
  /** What its plan had it make; null: not known. */
  expectedL: number | null;
  /** What it made, by the model with all that was read; null where it was given up. */
  madeL: number | null;
  /** Of the finished drink, g of sugar-equivalent in 100 g. */
  sweetPct: number | null;
  /** Of five, with a word, as the cook said. */
  score: number | null;
  words: string | null;
  /** What it cost by the prices of today; null: nobody has counted it. */
  cost: number | null;
  /** Null: nothing of it was filled into bottles. */
  went: WhereItWent | null;
  /** From its first bottle to the end of its last one; null while one is there. */
  lastedDays: number | null;
}

/** The months of a quarter of the year, the first of them winter in the north. */
export const QUARTERS = [
  [12, 1, 2],
  [3, 4, 5],
  [6, 7, 8],
  [9, 10, 11],
] as const;
export type Quarter = 0 | 1 | 2 | 3;

export const LOGBOOK_ORDERS = ['newest', 'best', 'dearest', 'thrownOut'] as const;
export type LogbookOrder = (typeof LOGBOOK_ORDERS)[number];

/** What is looked for in the logbook. */
export interface LookedFor {
  /** Drinks of this name, and whatever was said in these words, in small letters; null: any. */
  text: { drinkIds: ReadonlySet<string>; words: string } | null;
  /** Begun in these months; null: at any time of the year. */
  quarter: Quarter | null;
  /** Scored so high or higher; null: whatever was said of it. */
  atLeast: number | null;
  /** Only what some was thrown out of. */
  wasted: boolean;
  order: LogbookOrder;
}

/** What a litre of it cost; null: not known. */
export const costPerL = ({ cost, madeL }: Pick<LogbookRow, 'cost' | 'madeL'>): number | null =>
  cost !== null && madeL !== null && madeL > 0 ? cost / madeL : null;

/** By what an order goes, none below 0 and the highest first; null: it stands last. */
const BY: Record<Exclude<LogbookOrder, 'newest'>, (row: LogbookRow) => number | null> = {
  best: (row) => row.score,
  dearest: costPerL,
  thrownOut: (row) => row.went?.thrownOutL ?? null,
};

/**
 * The rows that are looked for, in their order; those that are alike in it, the newest first.
 * @param zone where the kitchen is: its calendar says in which month a batch was begun.
 */
export function lookThrough(rows: readonly LogbookRow[], asked: LookedFor, zone: string): LogbookRow[] {
  const { text, quarter, atLeast, wasted, order } = asked;
  const months: readonly number[] | null = quarter === null ? null : QUARTERS[quarter];
  const found = rows.filter(
    (row) =>
      (text === null || text.drinkIds.has(row.recipeId) || row.words?.toLowerCase().includes(text.words)) &&
      (atLeast === null || (row.score ?? 0) >= atLeast) &&
      (!wasted || (row.went?.thrownOutL ?? 0) > 0) &&
      (months === null || months.includes(calendarOf(row.startedMs, zone).month)),
  );
  const by = order === 'newest' ? () => 0 : BY[order];
  return found.sort((a, b) => (by(b) ?? -1) - (by(a) ?? -1) || b.startedMs - a.startedMs);
}
