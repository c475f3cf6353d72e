import type { ItemLog } from '../log/itemLog.ts';
import { traitsOf } from '../program/model/tags.ts';
import {
  LEFTOVER_ROWS,
  type LeftoverKind,
  type LeftoverRow,
  type LeftoverUse,
  type ScreenCode,
} from '../tables/leftovers.ts';
import type { Trait } from '../tables/traits.ts';
import type { Tables } from '../tables/types.ts';
import { DAY_MS } from '../units/time.ts';
import { meaningOf } from './check.ts';
import { climateAt, type Surroundings } from './storageClimate.ts';

export const leftoverRow = (kind: LeftoverKind): LeftoverRow => LEFTOVER_ROWS.find((r) => r.kind === kind)!;

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

export type Screened = Pick<
  LeftoverFacts,
  'kind' | 'ingredientIds' | 'companionIds' | 'sugarPct' | 'alcohol'
>;

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
