import { type Label, withLabels } from './labels.ts';
import { traitsOfOwn } from './ownTraits.ts';
import type { Trait } from './traits.ts';
import type { IngredientRow, LiquidRow, SweetenerRow, Tables } from './types.ts';

/** Rows of the tables as they were when a batch began. */
export interface PinnedRows {
  ingredients: readonly IngredientRow[];
  liquids: readonly LiquidRow[];
  sweeteners: readonly SweetenerRow[];
}

/** The rows that some items have in the tables; items that the tables do not know are passed over. */
export function rowsFor(tables: Tables, itemIds: Iterable<string>): PinnedRows {
  const ids = [...new Set(itemIds)];
  const of = <T>(table: ReadonlyMap<string, T>): T[] => ids.flatMap((id) => table.get(id) ?? []);
  return {
    ingredients: of(tables.ingredients),
    liquids: of(tables.liquids),
    sweeteners: of(tables.sweeteners),
  };
}

/**
 * The rows of some items as a batch pins them: each says its traits, also where it has none, so that a later version of
 * the table cannot lend it any.
 */
export function pinRows(tables: Tables, itemIds: Iterable<string>): PinnedRows {
  const rows = rowsFor(tables, itemIds);
  const stated = rows.ingredients.map((row) => ({ ...row, unknown: row.unknown ?? false }));
  return { ...rows, ingredients: stated };
}

/** Pinned rows with more beside them: what is pinned already stays. */
export function joinedRows(pinned: PinnedRows, more: PinnedRows): PinnedRows {
  const join = <T extends { id: string }>(a: readonly T[], b: readonly T[]): readonly T[] => {
    const known = new Set(a.map((r) => r.id));
    const fresh = b.filter((r) => !known.has(r.id));
    return fresh.length ? [...a, ...fresh] : a;
  };
  const ingredients = join(pinned.ingredients, more.ingredients);
  const liquids = join(pinned.liquids, more.liquids);
  const sweeteners = join(pinned.sweeteners, more.sweeteners);
  const same =
    ingredients === pinned.ingredients && liquids === pinned.liquids && sweeteners === pinned.sweeteners;
  return same ? pinned : { ingredients, liquids, sweeteners };
}

/** What a batch pinned of the tables. */
export interface TablePins {
  /** Left out by a batch of before 0.6.0 that no upgrade has reached yet. */
  rows?: PinnedRows | undefined;
  /** The cook's own ingredients as they were. */
  ingredients?: readonly IngredientRow[] | undefined;
  kitchen: { labels: readonly Label[] };
}

/** A row as it was stored: one of 0.5.0 says nothing of its traits. */
type Stored<T extends { traits: readonly Trait[] }> = Omit<T, 'traits'> & {
  traits?: T['traits'] | undefined;
};

/**
 * The tables as a batch pinned them, over today's: a pinned row counts as it was. One that says nothing of its traits
 * takes those of today's row of its id, or where it is the cook's own, those that nobody has denied.
 */
export function pinnedTables(today: Tables, pins: TablePins): Tables {
  const { rows } = pins;
  const over = <T extends { id: string; traits: readonly Trait[] }>(
    table: ReadonlyMap<string, T>,
    own: readonly Stored<T>[],
  ): ReadonlyMap<string, T> =>
    own.length
      ? new Map([
          ...table,
          ...own.map(
            (r) => [r.id, { ...r, traits: r.traits ?? table.get(r.id)?.traits ?? [] } as T] as const,
          ),
        ])
      : table;
  const ingredients = (rows?.ingredients ?? []).map((row) => ({
    ...row,
    unknown: row.unknown ?? today.ingredients.get(row.id)?.unknown ?? false,
  }));
  const own = ((pins.ingredients ?? []) as readonly Stored<IngredientRow>[]).map((row) => ({
    ...row,
    unknown: true as const,
    traits: row.traits ?? traitsOfOwn(row.role, row.form === 'dried'),
  }));
  const pinned: Tables = {
    version: today.version,
    ingredients: over(over(today.ingredients, ingredients), own),
    liquids: over(today.liquids, rows?.liquids ?? []),
    sweeteners: over(today.sweeteners, rows?.sweeteners ?? []),
  };
  return withLabels(pinned, pins.kitchen.labels);
}
