import { abvPct, markerGPerL, sournessGPerL } from '../../liquor/composition.ts';
import { KEEPING } from '../../tables/keeping.ts';
import { STRONG_HERB_ROWS } from '../../tables/strongHerbs.ts';
import type { DrinkState, Tag, Trait } from '../../tables/traits.ts';
import type { IngredientRow, LiquidRow, SweetenerRow, Tables } from '../../tables/types.ts';
import type { Liquor, Origin } from './liquor.ts';
import type { Program } from './program.ts';
import type { TraceEntry } from './simulation.ts';

/** Below this a drink counts as without alcohol, % by volume; up to the next as with a little. Source: usual labelling. */
const ALCOHOL_PCT = { trace: 0.05, little: 1.2 };
/** Whether a drink is said to be with alcohol, however little. */
export const saysAlcohol = (pct: number): boolean => pct > ALCOHOL_PCT.trace;
/** From here on most people call a drink hot, g/L of fresh root or dried pod. */
const HOT_G_PER_L = { ginger: 40, chilli: 0.3 };
/** From here on a drink is called sour, for stomachs and teeth, g/L as citric. */
const ACID_G_PER_L = 5;
const NO_SUGAR_G = 0.5;
/** Concentrated: a common glass holds so much of a moderate day of a strong herb. */
const CONCENTRATED = { glassL: 0.2, ofDay: 0.5 };

/** Heated through once: raw no longer. */
export const isHeated = (o: Pick<Origin, 'heatedMin'>): boolean => o.heatedMin >= KEEPING.heatedMin;
const RAW: ReadonlySet<Origin['kind']> = new Set(['rawJuice', 'rawMilk', 'solid', 'garlic', 'live']);
export const isRaw = (o: Origin): boolean => RAW.has(o.kind) && !isHeated(o);

type Row = IngredientRow | LiquidRow | SweetenerRow;
/** The row of an item, from whichever table has it. */
export const rowOf = (tables: Tables, itemId: string): Row | undefined =>
  tables.ingredients.get(itemId) ?? tables.liquids.get(itemId) ?? tables.sweeteners.get(itemId);

/** The traits of some items together. What no table knows has none. */
export function traitsOf(itemIds: Iterable<string>, tables: Tables): Set<Trait> {
  const traits = new Set<Trait>();
  for (const id of itemIds) for (const trait of rowOf(tables, id)?.traits ?? []) traits.add(trait);
  return traits;
}

/** Whether it is water: from the tap, or bought. */
export const isWater = (tables: Tables, itemId: string): boolean =>
  rowOf(tables, itemId)?.traits.includes('water') ?? false;

/** All water that lines pour, g. */
export const waterPouredG = (lines: readonly { itemId: string; massG: number }[], tables: Tables): number =>
  lines.reduce((sum, l) => sum + (isWater(tables, l.itemId) ? l.massG : 0), 0);

/** Everything that is in a liquor, by what was poured, put or lay in it: a part from the shelf by what it was made of. */
export function itemsIn(
  program: { lines: readonly { id: string; itemId: string }[]; vessels: Program['vessels'] },
  liquor: Pick<Liquor, 'origins'>,
): Set<string> {
  const items = new Map<string, readonly string[]>(program.lines.map((l) => [l.id, [l.itemId]]));
  for (const vessel of program.vessels) if (vessel.itemIds) items.set(vessel.id, vessel.itemIds);
  return new Set(liquor.origins.flatMap((o) => items.get(o.lineId) ?? []));
}

/**
 * What a liquor has become.
 * @param itemIds everything in it: what burns and is not followed by the model counts as hot.
 */
export function statesOf(liquor: Liquor, itemIds: Iterable<string>, tables: Tables): Set<DrinkState> {
  const states = new Set<DrinkState>();
  const abv = abvPct(liquor);
  if (abv > ALCOHOL_PCT.little) states.add('alcohol');
  else if (saysAlcohol(abv)) states.add('littleAlcohol');
  if (liquor.origins.some(isRaw)) states.add('raw');
  const unmeasured = [...itemIds].some((id) => {
    const row = tables.ingredients.get(id);
    return row?.traits.includes('burns') && row.rate100PerMin === null;
  });
  if (
    unmeasured ||
    markerGPerL(liquor, 'ginger') > HOT_G_PER_L.ginger ||
    markerGPerL(liquor, 'chilli') > HOT_G_PER_L.chilli
  )
    states.add('hot');
  const { glassL, ofDay } = CONCENTRATED;
  if (
    STRONG_HERB_ROWS.some(
      ({ marker, moderateGPerDay }) => markerGPerL(liquor, marker) * glassL >= ofDay * moderateGPerDay,
    )
  )
    states.add('concentrated');
  if (sournessGPerL(liquor) >= ACID_G_PER_L) states.add('acid');
  states.add(liquor.addedSugarG < NO_SUGAR_G ? 'noAddedSugar' : 'sweetened');
  return states;
}

/** All that cautions and guidance may ask of a drink: what is in it, and what it has become. */
export const tagsOf = (liquor: Liquor, itemIds: ReadonlySet<string>, tables: Tables): Set<Tag> =>
  new Set([...traitsOf(itemIds, tables), ...statesOf(liquor, itemIds, tables)]);

/**
 * The same of a whole batch: what goes into it, also what comes out again with the pulp, and what its bottles become.
 * @param trace of its run; empty: only what goes in can be told.
 */
export function tagsOfBatch(
  program: Pick<Program, 'lines' | 'vessels'>,
  trace: readonly TraceEntry[],
  tables: Tables,
): Set<Tag> {
  const itemIds = [
    ...program.lines.map((l) => l.itemId),
    ...program.vessels.flatMap((vessel) => vessel.itemIds ?? []),
  ];
  const filled = trace.filter((t) => t.kind === 'bottle');
  const ends = filled.length > 0 ? filled : trace.slice(-1);
  return new Set<Tag>([
    ...traitsOf(itemIds, tables),
    ...ends.flatMap((t) => [...statesOf(t.after.liquor, itemIds, tables)]),
  ]);
}
