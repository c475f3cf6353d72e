import { INGREDIENT_ROWS } from './ingredients.ts';
import { LIQUID_ROWS } from './liquids.ts';
import { SWEETENER_ROWS } from './sweeteners.ts';
import type { Tables } from './types.ts';

/** The shipped tables. Raise the version with every change of a value: batches pin it. */
export const SHIPPED_TABLES: Tables = {
  version: '2026-11',
  ingredients: new Map(INGREDIENT_ROWS.map((row) => [row.id, row])),
  liquids: new Map(LIQUID_ROWS.map((row) => [row.id, row])),
  sweeteners: new Map(SWEETENER_ROWS.map((row) => [row.id, row])),
};
