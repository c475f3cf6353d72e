import type { Kitchen } from '../../documents/kitchen.ts';
import { massG } from '../../liquor/composition.ts';
import { POT_MATERIALS } from '../../tables/constants.ts';
import { CUE_ROWS } from '../../tables/cues.ts';
import { GUIDANCE_ROWS } from '../../tables/guidance/rows.ts';
import type { GuidanceKind, GuidancePlace, GuidanceRow, Severity } from '../../tables/guidance/types.ts';
import type { Tag } from '../../tables/traits.ts';
import type { Tables } from '../../tables/types.ts';
import type { Program } from '../model/program.ts';
import type { TraceEntry } from '../model/simulation.ts';
import { draws, heatManner } from '../model/stepFacts.ts';
import type { Step } from '../model/steps.ts';
import { isHeated, isWater, itemsIn, statesOf, traitsOf } from '../model/tags.ts';

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
/** Warmer than this it warms the fridge that it is put into. */
const WARM_C = 30;
/** From here on hours on the counter are worth a word, minutes. */
const LONG_COUNTER_MIN = 60;

/** Steps whose own lines decide what is said; elsewhere everything that is in the vessel counts. */
const BY_OWN_LINES = new Set<Step['kind']>(['pick', 'wash', 'prep', 'sweeten', 'juice', 'blend']);

/** What a step takes up, and what the drink has become by its end. */
function tagsAt(program: Program, step: Step, entry: TraceEntry | undefined, tables: Tables): Set<Tag> {
  // What is stirred in or put in says more than all that is in the batch; a pouring together has no lines of its own.
  const own =
    step.lines.length > 0 &&
    (BY_OWN_LINES.has(step.kind) ||
      step.kind === 'mix' ||
      step.kind === 'combine' ||
      step.kind === 'fortify');
  const lines = own ? program.lines.filter((l) => step.lines.includes(l.id)) : program.lines;
  const inVessel = entry ? itemsIn(program, entry.after.liquor) : null;
  const ids = own || !inVessel || inVessel.size === 0 ? lines.map((l) => l.itemId) : [...inVessel];
  const states = entry ? statesOf(entry.after.liquor, inVessel ?? [], tables) : [];
  return new Set<Tag>([...traitsOf(ids, tables), ...states]);
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
    case 'iceBath':
      return 'place' in step && step.place === row.only;
    case 'longCounter':
      return 'place' in step && step.place === 'counter' && lengthMin(step, entry) >= LONG_COUNTER_MIN;
    case 'warmIntoFridge':
      return 'place' in step && step.place === 'fridge' && (entry?.before.liquor.tempC ?? 0) > WARM_C;
    case 'cloth':
      return step.kind === 'strain' && step.cloth;
    case 'hotLiquor':
      return hottestC(entry) > HOT_C;
    case 'pressedHot':
      return step.kind === 'strain' && step.press !== 'drain' && hottestC(entry) > HOT_C;
    case 'secondDraw':
      return (
        step.kind === 'strain' &&
        program.steps.some(
          (s, i) => s.kind === 'strain' && s.fill === step.fill && i > program.steps.indexOf(step),
        )
      );
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
    case 'waterUnboiled':
      return (
        !program.steps.some((s) => s.kind === 'boil' || s.kind === 'heat') &&
        step.lines.some((id) => {
          const line = program.lines.find((l) => l.id === id);
          return line !== undefined && isWater(tables, line.itemId);
        })
      );
    case 'neverBoiled':
      return entry !== undefined && !entry.before.liquor.origins.some(isHeated);
    case 'unattended':
      return step.kind === 'boil' && step.attention === 'unattended';
    case 'bigPot':
      return entry !== undefined && massG(entry.after.liquor) > HEAVY_G;
    case 'wasClean':
      return step.kind === 'bottle' && step.hygiene === 'clean';
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

const hottestC = (entry: TraceEntry | undefined): number =>
  entry ? Math.max(entry.before.liquor.tempC, entry.after.liquor.tempC) : 0;

/** How long a step takes: as it went, or as it is meant. */
const lengthMin = (step: Step, entry: TraceEntry | undefined): number =>
  entry ? entry.endMin - entry.startMin : step.until.kind === 'duration' ? step.until.minutes : 0;

const ORDER: Severity[] = ['danger', 'caution', 'check', 'hint'];
const brought = (row: GuidanceRow, tags: ReadonlySet<Tag>): boolean =>
  row.when.length === 0 || row.when.some((tag) => tags.has(tag));
const gravestFirst = (rows: readonly GuidanceRow[]): Guidance[] =>
  rows
    .map((row) => ({ code: row.code, severity: row.severity, kind: kindOf(row) }))
    .sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));

/** What is to be said at a step, the gravest first. */
export function guidanceFor(
  program: Program,
  step: Step,
  entry: TraceEntry | undefined,
  kitchen: Kitchen,
  tables: Tables,
): Guidance[] {
  const tags = tagsAt(program, step, entry, tables);
  return gravestFirst(
    GUIDANCE_ROWS.filter(
      (row) =>
        row.at.includes(step.kind) && brought(row, tags) && holds(row, program, step, entry, kitchen, tables),
    ),
  );
}

/** What is to be said of a drink where there is no step: where it is chosen, put by or poured; the gravest first. */
export const guidanceAt = (place: GuidancePlace, tags: ReadonlySet<Tag>): Guidance[] =>
  gravestFirst(GUIDANCE_ROWS.filter((row) => row.at.includes(place) && brought(row, tags)));

/** The cues by which a step may end, those that can be seen in this batch. */
export function cuesFor(program: Program, step: Step, tables: Tables): string[] {
  // What settles, is kept hot or only cleaned goes by the clock.
  if ((step.kind === 'steep' || step.kind === 'soak') && !draws(step)) return [];
  const lines = step.kind === 'wash' ? program.lines.filter((l) => step.lines.includes(l.id)) : program.lines;
  const tags = traitsOf(
    lines.map((l) => l.itemId),
    tables,
  );
  const heat = step.kind === 'heat' ? heatManner(step) : null;
  return CUE_ROWS.filter(
    (row) =>
      row.at.includes(step.kind) &&
      (row.when.length === 0 || row.when.some((tag) => tags.has(tag))) &&
      (row.only === undefined || row.only === heat),
  ).map((row) => row.code);
}
