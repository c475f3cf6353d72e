import { massG } from '../liquor/composition.ts';
import { POT_MATERIALS } from '../tables/constants.ts';
import { CUE_ROWS } from '../tables/cues.ts';
import { GUIDANCE_ROWS, type GuidanceKind, type GuidanceRow, type Severity } from '../tables/guidance.ts';
import type { Tables } from '../tables/types.ts';
import type { Kitchen } from './kitchen.ts';
import type { Program, Step, TraceEntry } from './types.ts';

export interface Guidance {
  code: string;
  severity: Severity;
  kind: GuidanceKind;
}

const kindOf = (row: GuidanceRow): GuidanceKind =>
  row.kind ?? (row.severity === 'check' ? 'check' : row.severity === 'hint' ? 'prompt' : 'caution');

/** A full 12 L pot weighs about 15 kg: from 8 kg of liquor on, ladle it. */
const HEAVY_G = 8000;
const HOT_C = 60;
/** From here on a boil gives roots more and takes from the red. */
const LONG_BOIL_MIN = 20;

/** Ids, roles and markers of what is in the batch, for `when`. */
function tagsOf(program: Program, tables: Tables, lineIds: readonly string[] | null): Set<string> {
  const tags = new Set<string>();
  for (const line of program.lines) {
    if (lineIds && !lineIds.includes(line.id)) continue;
    tags.add(line.itemId);
    const solid = tables.ingredients.get(line.itemId);
    if (solid) {
      tags.add(solid.marker);
      tags.add(solid.role);
    }
    const liquid = tables.liquids.get(line.itemId);
    if (liquid) tags.add(liquid.treatment);
  }
  return tags;
}

function holds(
  row: GuidanceRow,
  program: Program,
  step: Step,
  entry: TraceEntry | undefined,
  kitchen: Kitchen,
  tables: Tables,
): boolean {
  switch (row.only) {
    case undefined:
      return true;
    case 'lidOn':
      return step.kind === 'boil' && step.lid === 'on';
    case 'reactivePot': {
      const pot = kitchen.pots.find((p) => p.id === program.potId);
      return pot !== undefined && !POT_MATERIALS[pot.material].acidSafe;
    }
    case 'counter':
    case 'fridge':
    case 'iceBath':
      return 'place' in step && step.place === row.only;
    case 'cloth':
      return step.kind === 'strain' && step.cloth;
    case 'hotLiquor':
      return entry !== undefined && Math.max(entry.before.liquor.tempC, entry.after.liquor.tempC) > HOT_C;
    case 'coldCrystals':
      return (
        entry !== undefined &&
        entry.before.liquor.tempC < 30 &&
        step.lines.some((id) => {
          const line = program.lines.find((l) => l.id === id);
          const row = line ? tables.sweeteners.get(line.itemId) : undefined;
          return row?.dissolves === 'warm' || row?.dissolves === 'hot';
        })
      );
    case 'noHeatBefore':
      return !program.steps.some((s) => s.kind === 'boil' || s.kind === 'heat');
    case 'bigPot':
      return entry !== undefined && massG(entry.after.liquor) > HEAVY_G;
    case 'wasClean':
      return step.kind === 'bottle' && step.hygiene === 'clean';
    case 'longBoil':
      return step.kind === 'boil' && step.until.kind === 'duration' && step.until.minutes >= LONG_BOIL_MIN;
    case 'withAcid':
      return program.lines.some((l) => {
        const solid = tables.ingredients.get(l.itemId);
        const liquid = tables.liquids.get(l.itemId);
        return (solid?.acidPct ?? 0) >= 0.5 || (liquid?.taGPerL ?? 0) >= 5 || (liquid?.aceticPct ?? 0) > 0;
      });
    case 'filledHot':
      return (
        step.kind === 'bottle' &&
        (step.hot === true || (entry !== undefined && entry.before.liquor.tempC > HOT_C))
      );
    case 'thrown':
      return step.kind === 'soak' && step.thrown === true;
    case 'ownFruit':
      return step.lines.some((id) => {
        const line = program.lines.find((l) => l.id === id);
        return line !== undefined && (tables.ingredients.get(line.itemId)?.sugarPct ?? 0) >= 5;
      });
  }
}

/** Steps whose own lines decide what is said; elsewhere everything in the batch counts. */
const BY_OWN_LINES = new Set(['pick', 'wash', 'prep', 'sweeten', 'juice', 'blend']);
const ORDER: Severity[] = ['danger', 'caution', 'check', 'hint'];

/** What is to be said at a step, the gravest first. */
export function guidanceFor(
  program: Program,
  step: Step,
  entry: TraceEntry | undefined,
  kitchen: Kitchen,
  tables: Tables,
): Guidance[] {
  // What is stirred in or put in says more than all that is in the batch; a pouring together has no lines of its own.
  const own =
    BY_OWN_LINES.has(step.kind) ||
    (step.lines.length > 0 && (step.kind === 'mix' || step.kind === 'combine'));
  const tags = tagsOf(program, tables, own ? step.lines : null);
  return GUIDANCE_ROWS.filter(
    (row) =>
      row.at.includes(step.kind) &&
      (row.when.length === 0 || row.when.some((tag) => tags.has(tag))) &&
      holds(row, program, step, entry, kitchen, tables),
  )
    .map((row) => ({ code: row.code, severity: row.severity, kind: kindOf(row) }))
    .sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));
}

/** The cues by which a step may end, those that can be seen in this batch. */
export function cuesFor(program: Program, step: Step, tables: Tables): string[] {
  const tags = tagsOf(program, tables, step.kind === 'wash' ? step.lines : null);
  const rim = step.kind === 'heat' && step.until.kind === 'temp' && step.until.targetC !== null;
  return CUE_ROWS.filter(
    (row) =>
      row.at.includes(step.kind) &&
      (row.when.length === 0 || row.when.some((tag) => tags.has(tag))) &&
      (row.only === undefined || (row.only === 'rim') === rim),
  ).map((row) => row.code);
}
