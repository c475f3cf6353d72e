import type { Kitchen } from '../documents/kitchen.ts';
import { FACTOR_KINDS, type FactorId, type FactorKind, readFactorId } from '../program/model/factors.ts';
import type { Program } from '../program/model/program.ts';
import { LEARNT_SPREAD_ROWS } from '../tables/learntSpreads.ts';
import { SPREAD_ROWS, type SpreadId } from '../tables/spreads.ts';
import type { Tables } from '../tables/types.ts';
import { isPurchaseId, type PurchaseId } from './purchases.ts';

/**
 * What moves no batch, only what is read of it: a jug whose marks are off, a house that ends sweeter than it aimed for,
 * pictures that show more red than there is.
 */
export const READING_FACTORS = ['jug', 'sweet', 'pictures'] as const;
export type ReadingFactorId = (typeof READING_FACTORS)[number];
export const isReadingFactor = (id: LearntId): id is ReadingFactorId =>
  (READING_FACTORS as readonly string[]).includes(id);
/** What moves a batch. */
export const isOfModel = (id: LearntId): id is FactorId => !isReadingFactor(id) && !isPurchaseId(id);
/** Everything that is learnt of a kitchen. */
export type LearntId = FactorId | ReadingFactorId | PurchaseId;

const SIGMA_OF: ReadonlyMap<string, number> = new Map(LEARNT_SPREAD_ROWS.map((row) => [row.kind, row.sigma]));
const ROW_SPREADS = new Map(SPREAD_ROWS.map((row) => [row.id, row.sigma]));

const KINDS: ReadonlySet<string> = new Set([...FACTOR_KINDS, ...READING_FACTORS, 'purchase']);
/** Whether an id says something that can be learnt. */
export const isLearntId = (id: string): id is LearntId => KINDS.has(id.split(':', 1)[0]!);

/** The spread of an ingredient's constant: by how sure its row is. */
function rowSpread(kind: 'held' | 'rate' | 'potency' | 'juice', itemId: string, tables: Tables): number {
  const row = tables.ingredients.get(itemId);
  const id: SpreadId =
    kind === 'potency' && row?.marker === 'calyx'
      ? 'potencyCalyx'
      : kind === 'potency' && row?.marker === 'ginger'
        ? 'potencyGinger'
        : kind;
  const sigma = ROW_SPREADS.get(id) ?? 0;
  return typeof sigma === 'number' ? sigma : sigma[row?.confidence ?? 'l'];
}

/** How far a factor may be off in a kitchen nobody has measured: the standard deviation of its logarithm. */
export function priorSpread(id: LearntId, tables: Tables): number {
  if (isReadingFactor(id)) return SIGMA_OF.get(id)!;
  if (isPurchaseId(id)) return SIGMA_OF.get('purchase')!;
  const { kind, of } = readFactorId(id);
  switch (kind) {
    case 'held':
    case 'rate':
    case 'potency':
    case 'juice':
      return rowSpread(kind, of ?? '', tables);
    default:
      return SIGMA_OF.get(kind)!;
  }
}

/** What can differ from the book in a batch: its pots, rings, levels, places, presses, ingredients and handwork. */
export function factorsIn(program: Program, kitchen: Kitchen, tables: Tables): FactorId[] {
  const ids = new Set<FactorId>();
  const add = (kind: FactorKind, of?: string | null) => {
    if (of !== null) ids.add(of === undefined ? kind : `${kind}:${of}`);
  };
  const boils = program.steps.some((s) => s.kind === 'boil');
  for (const spec of program.vessels) {
    const potId = spec.potId ?? (spec.kind === 'pot' ? program.potId : null);
    if (boils) add('boilOff', potId);
  }
  for (const step of program.steps) {
    if (step.kind === 'boil') {
      add('boilRing', step.burnerId);
      add('boilLevel', step.level);
    }
    if (step.kind === 'heat' || step.kind === 'boil') {
      add('power', step.burnerId);
      add('heatLoss', 'stove');
    }
    if (step.kind === 'cool' || step.kind === 'steep' || step.kind === 'soak') add('heatLoss', step.place);
    if (step.kind === 'juice') add('juiceBy', step.tool);
    if (step.kind === 'strain') {
      add('strainLoss');
      add('press', step.press);
    }
    if (step.attention === 'handsOn' && step.until.kind === 'duration') add('minutes', step.kind);
  }
  const juices = program.steps.some((s) => s.kind === 'juice');
  for (const { kind, itemId } of program.lines) {
    if (kind !== 'solid' || !tables.ingredients.has(itemId)) continue;
    for (const of of ['held', 'rate', 'potency'] as const) add(of, itemId);
    if (juices) add('juice', itemId);
  }
  const rings = new Set(kitchen.burners.map((b) => b.id));
  return [...ids].filter((id) => {
    const { kind, of } = readFactorId(id);
    return (kind !== 'power' && kind !== 'boilRing') || rings.has(of ?? '');
  });
}
