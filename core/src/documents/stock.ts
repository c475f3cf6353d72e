import * as v from 'valibot';
import { between, id } from '../units/fields.ts';

const grams = between(0, 500_000);

/** What is in the house of an item, and how it is bought here. */
export const stockSchema = v.strictObject({
  itemId: id,
  inHouseG: grams,
  /** Size and price of the pack that this cook buys, where she said so. */
  packG: v.nullable(between(0.1, 500_000)),
  price: v.nullable(between(0, 100_000)),
  /** Bought on this round, not put away yet. */
  basketG: v.optional(grams, 0),
});
export type StockRow = v.InferOutput<typeof stockSchema>;

/** A thing with what is noted of it; of the rest nothing is. */
export const notedOf = (itemId: string, noted: Partial<Omit<StockRow, 'itemId'>> = {}): StockRow => ({
  itemId,
  inHouseG: 0,
  packG: null,
  price: null,
  basketG: 0,
  ...noted,
});
