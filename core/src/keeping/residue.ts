import { massG, volumeMl } from '../liquor/composition.ts';
import type { Program } from '../program/model/program.ts';
import type { TraceEntry } from '../program/model/simulation.ts';
import { itemsIn } from '../program/model/tags.ts';
import type { Vessel } from '../program/model/vessel.ts';
import { SPENT } from '../program/model/vessels.ts';
import { remainingMassG } from '../program/simulate/state.ts';
import type { LeftoverKind } from '../tables/leftovers.ts';
import type { IngredientRow, Tables } from '../tables/types.ts';

/** What an ingredient is once its liquor is out of it. */
export function leftoverKindOf(row: IngredientRow): LeftoverKind | null {
  if (row.traits.includes('calyx')) return 'calyx';
  switch (row.role) {
    case 'peel':
      return row.traits.includes('zest') ? 'zest' : 'peel';
    case 'citrus':
    case 'fruit':
    case 'souring':
      return 'pulp';
    case 'aromatic':
      return 'root';
    case 'spice':
      return 'spice';
    case 'herb':
    case 'botanical':
      return 'herb';
    default:
      return null;
  }
}

/** Solids of one kind that lie in the cloth, with what clings to them. */
export interface Residue {
  kind: LeftoverKind;
  ingredientIds: string[];
  /** As it lies there, wet, g. */
  massG: number;
  /** Liquor in it, mL. */
  heldMl: number;
  /** What is left of its strength, 0..1, by mass. */
  strengthShare: number;
  /** Everything in it was in a boil. */
  boiled: boolean;
  /** Sugar in what clings to it, g. */
  sugarG: number;
}

/**
 * What lies in the cloth of a batch, by kind, the heaviest first.
 * @param vessels of the batch at some moment; what is spent lies in one of them.
 * @param boiledLines lines that were in the pot while it boiled.
 */
export function residueOf(
  vessels: Readonly<Record<string, Vessel>>,
  boiledLines: ReadonlySet<string>,
  tables: Tables,
): Residue[] {
  const byKind = new Map<LeftoverKind, Residue & { drawn: number; dry: number }>();
  for (const solid of vessels[SPENT]?.solids ?? []) {
    const row = tables.ingredients.get(solid.ingredientId);
    const kind = row ? leftoverKindOf(row) : null;
    if (!row || !kind) continue;
    const at = byKind.get(kind) ?? {
      kind,
      ingredientIds: [],
      massG: 0,
      heldMl: 0,
      strengthShare: 0,
      boiled: true,
      sugarG: 0,
      drawn: 0,
      dry: 0,
    };
    at.massG += remainingMassG(solid, row) + massG(solid.held);
    at.heldMl += volumeMl(solid.held);
    at.sugarG += solid.held.sugarG;
    at.boiled &&= boiledLines.has(solid.lineId);
    at.drawn += solid.massG * (1 - solid.extracted);
    at.dry += solid.massG;
    if (!at.ingredientIds.includes(row.id)) at.ingredientIds.push(row.id);
    byKind.set(kind, at);
  }
  return [...byKind.values()]
    .map(({ drawn, dry, ...r }) => ({ ...r, strengthShare: dry > 0 ? drawn / dry : 0 }))
    .filter((r) => r.massG >= 5)
    .sort((a, b) => b.massG - a.massG);
}

/** Everything that was in a vessel with what was strained out: its taste, and what speaks against a use of it, is in all. */
export function companionsOf(program: Program, trace: readonly TraceEntry[]): string[] {
  const strained = new Set(program.steps.filter((s) => s.kind === 'strain').map((s) => s.id));
  return [
    ...new Set(
      trace
        .filter((t) => strained.has(t.stepId))
        .flatMap((t) => [
          ...itemsIn(program, t.before.liquor),
          ...t.before.solids.map((s) => s.ingredientId),
        ]),
    ),
  ];
}

/** Lines that were in a pot while it boiled. */
export function boiledLinesOf(program: Program, tables: Tables): Set<string> {
  const boils = program.steps.filter((s) => s.kind === 'boil');
  const pots = new Set(boils.flatMap((s) => s.from));
  const before = new Set<string>();
  for (const step of program.steps)
    if (step.kind === 'combine' && step.to.some((id) => pots.has(id)))
      for (const id of step.lines) before.add(id);
  return new Set(
    program.lines.filter((l) => before.has(l.id) && tables.ingredients.has(l.itemId)).map((l) => l.id),
  );
}
