import type { IngredientRow, Tables } from '../../tables/types.ts';
import {
  type FactorId,
  type FactorKind,
  factorOf,
  type ModelFactors,
  readFactorId,
} from '../model/factors.ts';

/** Factors that belong to rows of the table of ingredients. */
const OF_ROWS: ReadonlySet<FactorKind> = new Set(['held', 'rate', 'potency', 'juice']);

function factoredRow(row: IngredientRow, factors: ModelFactors): IngredientRow {
  const held = factorOf(factors, 'held', row.id);
  const rate = factorOf(factors, 'rate', row.id);
  const potency = factorOf(factors, 'potency', row.id);
  const juice = factorOf(factors, 'juice', row.id);
  const { holdMlPerG: hold, juiceMlPerKg } = row;
  const juiced = (tool: keyof typeof juiceMlPerKg) => {
    const ml = juiceMlPerKg[tool];
    return ml === null ? null : ml * juice * factorOf(factors, 'juiceBy', tool);
  };
  return {
    ...row,
    holdMlPerG: { drain: hold.drain * held, press: hold.press * held, wring: hold.wring * held },
    rate100PerMin: row.rate100PerMin === null ? null : row.rate100PerMin * rate,
    potency: row.potency * potency,
    juiceMlPerKg: {
      hand: juiced('hand'),
      blender: juiced('blender'),
      juicer: juiced('juicer'),
    },
  };
}

/** The tables with the factors of single ingredients worked into their rows; the same ones where there are none. */
export function factoredTables(tables: Tables, factors: ModelFactors): Tables {
  const items = new Set<string>();
  let byTool = false;
  for (const id of Object.keys(factors) as FactorId[]) {
    const { kind, of } = readFactorId(id);
    if (of !== null && OF_ROWS.has(kind)) items.add(of);
    if (kind === 'juiceBy') byTool = true;
  }
  if (byTool)
    for (const row of tables.ingredients.values())
      if (Object.values(row.juiceMlPerKg).some((ml) => ml !== null)) items.add(row.id);
  if (items.size === 0) return tables;
  const ingredients = new Map(tables.ingredients);
  for (const id of items) {
    const row = ingredients.get(id);
    if (row) ingredients.set(id, factoredRow(row, factors));
  }
  return { ...tables, ingredients };
}

/** By what was learnt: hundreds of batches are priced with the same tables. */
const known = new WeakMap<object, { of: Tables; learnt: Tables }>();

/** The tables as a kitchen knows its own ingredients and tools by now. */
export function learntTables(
  tables: Tables,
  { learnt }: { learnt?: { factors: ModelFactors } | undefined },
): Tables {
  if (!learnt) return tables;
  const kept = known.get(learnt);
  if (kept?.of === tables) return kept.learnt;
  const own = factoredTables(tables, learnt.factors);
  known.set(learnt, { of: tables, learnt: own });
  return own;
}
