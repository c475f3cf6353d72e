import { massG, volumeMl } from '../liquor/composition.ts';
import type { ItemLog } from '../log/itemLog.ts';
import type { Program } from '../program/model/program.ts';
import type { TraceEntry } from '../program/model/simulation.ts';
import { itemsIn, traitsOf } from '../program/model/tags.ts';
import type { Vessel } from '../program/model/vessel.ts';
import { SPENT } from '../program/model/vessels.ts';
import { type Guidance, guidanceAt } from '../program/simulate/guidance.ts';
import { remainingMassG } from '../program/simulate/state.ts';
import {
  LEFTOVER_ROWS,
  type LeftoverKind,
  type LeftoverRow,
  type LeftoverUse,
  type ScreenCode,
} from '../tables/leftovers.ts';
import type { Trait } from '../tables/traits.ts';
import type { IngredientRow, Tables } from '../tables/types.ts';
import { DAY_MS } from '../units/time.ts';
import { meaningOf } from './check.ts';
import { climateAt, type Surroundings } from './storageClimate.ts';

export const leftoverRow = (kind: LeftoverKind): LeftoverRow => LEFTOVER_ROWS.find((r) => r.kind === kind)!;

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

/** A leftover as it was set aside. */
export interface LeftoverFacts {
  kind: LeftoverKind;
  ingredientIds: readonly string[];
  /** All that was in the pot with it; what was set aside before 0.6.0 does not say. */
  companionIds?: readonly string[];
  massG: number;
  portions: number;
  madeMs: number;
  heldMl: number;
  boiled: boolean;
  strengthShare: number;
  /** Sugar in it, g in 100 g. */
  sugarPct: number;
  alcohol: boolean;
}

export interface LeftoverLife {
  deadlineMs: number;
  verdict: 'good' | 'useToday' | 'past' | 'throwOut';
  leftG: number;
  frozen: boolean;
}

/** More than so long out of the cold, in all, and it is thrown out; hours. */
const OUT_H = 2;

/** How long a leftover keeps: its days in the fridge, or in the freezer, each spent as a share of the whole. */
export function leftoverLife(
  facts: LeftoverFacts,
  log: ItemLog,
  around: Surroundings,
  nowMs: number,
): LeftoverLife {
  const row = leftoverRow(facts.kind);
  const fridgeMs = (facts.boiled ? row.fridgeDays.boiled : row.fridgeDays.raw) * DAY_MS;
  const freezerMs = row.freezerDays * DAY_MS;
  let share = 0;
  let outMs = 0;
  const endMs = Math.max(nowMs, facts.madeMs, log.places.at(-1)!.fromMs);
  for (const [i, stay] of log.places.entries()) {
    const climate = climateAt(around, stay.place);
    const lengthMs = Math.max(
      0,
      Math.min(endMs, log.places[i + 1]?.fromMs ?? endMs) - Math.max(stay.fromMs, facts.madeMs),
    );
    if (climate.frozen) share += lengthMs / freezerMs;
    else {
      share += lengthMs / fridgeMs;
      if (climate.trackedBy === null) outMs += lengthMs;
    }
  }
  const frozen = climateAt(around, log.places.at(-1)!.place).frozen;
  const deadlineMs = endMs + (1 - share) * (frozen ? freezerMs : fridgeMs);
  const leftG = Math.max(0, facts.massG - log.used.reduce((sum, u) => sum + u.massG, 0));
  const bad = meaningOf('leftover', log.looks.at(-1)?.signs ?? []).verdict === 'throwOut';
  return {
    deadlineMs,
    verdict:
      bad || outMs > OUT_H * 3_600_000
        ? 'throwOut'
        : share >= 1
          ? 'past'
          : deadlineMs < endMs + DAY_MS
            ? 'useToday'
            : 'good',
    leftG,
    frozen,
  };
}

/** From here on what clings to it is sweet, g in 100 g. */
const SWEET_PCT = 3;
/** With less than this left of its strength a second brew gives nothing worth the gas. */
const BREWS_FROM = 0.15;

type Screened = Pick<LeftoverFacts, 'kind' | 'ingredientIds' | 'companionIds' | 'sugarPct' | 'alcohol'>;

/** What speaks against giving it to animals, by all that was in the pot with it; empty: nothing that is known. */
export function screenOf(facts: Screened, tables: Tables): ScreenCode[] {
  const traits = traitsOf([...facts.ingredientIds, ...(facts.companionIds ?? [])], tables);
  const has = (...some: Trait[]) => some.some((trait) => traits.has(trait));
  const codes: ScreenCode[] = [];
  if (has('spice', 'root', 'burns', 'strongSpice')) codes.push('spice');
  if (has('citrus')) codes.push('citrus');
  if (facts.sugarPct > SWEET_PCT || facts.kind === 'syrup') codes.push('sugar');
  if (has('stoned', 'cored')) codes.push('stones');
  if (has('garlic')) codes.push('garlic');
  if (has('caffeine', 'medicines', 'live')) codes.push('unknown');
  if (facts.alcohol || has('spirit')) codes.push('alcohol');
  return codes;
}

/** What a leftover is good for: each use only where nothing speaks against it. */
export function usesOf(
  facts: Screened & Pick<LeftoverFacts, 'strengthShare'>,
  tables: Tables,
): LeftoverUse[] {
  const screened = screenOf(facts, tables).length > 0;
  const garlic = traitsOf([...facts.ingredientIds, ...(facts.companionIds ?? [])], tables).has('garlic');
  return leftoverRow(facts.kind).uses.filter((use) => {
    if (use === 'animals') return !screened;
    if (use === 'secondBrew') return facts.strengthShare >= BREWS_FROM;
    // Garlic under oil is dangerous however it was cooked before.
    if (use === 'spicePaste') return !garlic;
    return true;
  });
}

/** What is to be said before it is put by, the gravest first. */
export const setAsideGuidance = (facts: Screened, tables: Tables): Guidance[] =>
  guidanceAt('setAside', traitsOf([...facts.ingredientIds, ...(facts.companionIds ?? [])], tables));

/** How hot or spiced a portion of it still is. */
export function portionStrength(
  facts: Pick<LeftoverFacts, 'ingredientIds' | 'massG' | 'portions' | 'strengthShare'>,
  tables: Tables,
): 'mild' | 'medium' | 'strong' {
  const traits = traitsOf(facts.ingredientIds, tables);
  const spiced = traits.has('spice') || traits.has('root') || traits.has('burns');
  if (!spiced || facts.strengthShare < 0.15) return 'mild';
  return facts.strengthShare < 0.45 ? 'medium' : 'strong';
}
