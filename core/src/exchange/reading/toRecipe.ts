import type { OwnStepKind, Recipe, RecipeLine, RecipeStep } from '../../documents/recipe.ts';
import { TAP_WATER_ID } from '../../tables/choices.ts';
import { FAMILY_ROWS } from '../../tables/families.ts';
import type { Tables } from '../../tables/types.ts';
import { itemFacts } from '../items.ts';
import { ownRecipe } from '../ownRecipe.ts';
import { litresOf } from './gives.ts';
import type { ReadDrink, ReadLine, ReadLot, ReadStep } from './types.ts';
import { madeApart, vesselsOf } from './vessels.ts';

/** What the recipe still lacks, said before it is taken over. */
export type Missing =
  | { kind: 'unknownThing'; lineId: string; name: string }
  | { kind: 'noAmount'; lineId: string }
  | { kind: 'noTime'; stepId: string }
  | { kind: 'noLitres' }
  | { kind: 'noSteps' };

export interface ReadRecipe {
  recipe: Recipe;
  missing: Missing[];
  /** Litres that the stated amounts give; null where it cannot be worked out yet. */
  givesL: number | null;
}

/** Where a recipe says "to taste" and nothing else: medium sweet; the taste at the pot decides. */
const BY_TASTE_PCT = 8;
const MOST_SWEET_PCT = 40;
/** How long it boils where nobody says. */
const USUAL_BOIL_MIN = 15;
const LEAST_L = 0.25;

interface Parted {
  line: RecipeLine;
  read: ReadLine;
  /** The steps it goes in at; none: those of the read line. */
  stepIds: readonly string[];
}

/**
 * The recipe of a drink as it was read: what is stated goes in as it is stated. Its litres are those that the text tells
 * of; where it tells of none, what the stated amounts give.
 * @param customIds items of the cook's own, by the line that they are.
 */
export function recipeOfRead(
  drink: ReadDrink,
  identity: { id: string; name: string; customIds?: Readonly<Record<string, string>> },
  tables: Tables,
): ReadRecipe {
  const missing: Missing[] = [];
  const parted: Parted[] = [];
  for (const read of drink.lines) {
    const itemId = read.itemId ?? identity.customIds?.[read.id];
    if (!itemId) {
      missing.push({ kind: 'unknownThing', lineId: read.id, name: read.name });
      continue;
    }
    const facts = itemFacts(itemId, tables);
    if (!facts) {
      missing.push({ kind: 'unknownThing', lineId: read.id, name: read.name });
      continue;
    }
    const sours = drink.steps.some((s) => s.kind === 'sour' && read.stepIds.includes(s.id));
    const byTaste = (facts.kind === 'sweetener' || sours) && read.massG === null;
    if (read.massG === null && !byTaste && itemId !== TAP_WATER_ID)
      missing.push({ kind: 'noAmount', lineId: read.id });
    parted.push(...linesOf(read, itemId, facts.kind, byTaste));
  }
  pressable(drink, parted, tables);
  const steps = stepsOf(drink, parted, missing, tables);
  if (!drink.steps.length) missing.push({ kind: 'noSteps' });
  const waterG = parted
    .filter((p) => p.line.itemId === TAP_WATER_ID)
    .reduce((sum, p) => sum + p.line.massG, 0);
  const saidL = drink.yield?.litres ?? null;
  if (saidL === null && waterG === 0) missing.push({ kind: 'noLitres' });
  const lines = parted.map((p) => p.line);
  const poured = lines.filter((l) => l.kind === 'liquid').reduce((sum, l) => sum + l.massG, 0) / 1000;
  const basisL = rounded(Math.max(LEAST_L, saidL ?? poured * 0.9));
  const sweetG = lines.filter((l) => l.kind === 'sweetener').reduce((sum, l) => sum + l.massG, 0);
  const draft = ownRecipe({
    id: identity.id,
    name: identity.name,
    lines,
    steps,
    basisL,
    targetSweetnessPct: 0,
  });
  const givesL = litresOf(draft, tables);
  const litres = saidL ?? givesL;
  if (litres !== null) draft.basisL = Math.max(LEAST_L, rounded(litres));
  const sweetPct =
    sweetG > 0
      ? Math.min(MOST_SWEET_PCT, Math.round((sweetG / (draft.basisL * 1030)) * 200) / 2)
      : lines.some((l) => l.kind === 'sweetener')
        ? BY_TASTE_PCT
        : 0;
  return { recipe: { ...draft, targetSweetnessPct: sweetPct }, missing, givesL };
}

const rounded = (litres: number): number => Math.round(litres * 100) / 100;

/** How far an amount is open, where it is worth saying. */
function openOf(massG: ReadLine['massG']): Pick<RecipeLine, 'open'> {
  if (!massG || !(massG.likely > 0) || massG.max <= massG.min * 1.1) return {};
  return {
    open: { low: Math.max(0.01, massG.min / massG.likely), high: Math.min(100, massG.max / massG.likely) },
  };
}

/** A line of the recipe; water that goes in at several steps is a line for each. */
function linesOf(read: ReadLine, itemId: string, kind: RecipeLine['kind'], byTaste: boolean): Parted[] {
  const line = (id: string, share: number, stepIds: readonly string[]): Parted => ({
    read,
    stepIds,
    line: {
      id,
      kind,
      itemId,
      massG: (read.massG?.likely ?? 0) * share,
      ...openOf(read.massG),
      rule: byTaste ? { kind: 'toTarget' } : { kind: 'linear' },
      stream: kind === 'sweetener' ? 'sweet' : kind === 'liquid' && itemId !== TAP_WATER_ID ? 'after' : 'pot',
      wash: 'none',
      prep: null,
    },
  });
  if (itemId !== TAP_WATER_ID || read.shares.length < 2) return [line(read.id, 1, read.stepIds)];
  return read.shares.map(({ stepId, share }, i) =>
    line(i === 0 ? read.id : `${read.id}-${i + 1}`, share, [stepId]),
  );
}

/** What goes through a juicer whole is in a form that gives juice: a root as if it were grated. */
function pressable(drink: ReadDrink, parted: readonly Parted[], tables: Tables): void {
  const gives = (itemId: string) => {
    const row = tables.ingredients.get(itemId);
    return row !== undefined && Object.values(row.juiceMlPerKg).some((ml) => ml !== null);
  };
  const juicing = new Set(drink.steps.filter((s) => s.kind === 'juice').map((s) => s.id));
  for (const { line, read } of parted) {
    if (line.kind !== 'solid' || gives(line.itemId) || !read.stepIds.some((id) => juicing.has(id))) continue;
    const form = FAMILY_ROWS.find((f) => f.id === read.familyId)?.forms.find((f) => gives(f.itemId));
    if (form) line.itemId = form.itemId;
  }
}

const TAKES_SOLIDS: ReadonlySet<OwnStepKind> = new Set(['juice', 'mill', 'prep', 'wash', 'pick', 'lift']);

function stepsOf(
  drink: ReadDrink,
  parted: readonly Parted[],
  missing: Missing[],
  tables: Tables,
): RecipeStep[] {
  /** Of fresh juice it is the fruit that is washed. */
  const pressed = (id: string) =>
    parted.some((p) => p.line.id === id && tables.liquids.get(p.line.itemId)?.treatment === 'rawJuice');
  const solid = (id: string) => parted.some((p) => p.line.id === id && p.line.kind === 'solid');
  const steps: RecipeStep[] = [];
  const apart = madeApart(drink);
  const heated = drink.steps.some((s) => s.kind === 'heat' || s.kind === 'boil');
  for (const read of drink.steps) {
    const mine = parted.filter((p) => p.stepIds.includes(read.id));
    const handled = parted.filter((p) => read.handles.includes(p.read.id)).map((p) => p.line.id);
    let kind = read.kind;
    let lineIds = [...new Set([...mine.map((p) => p.line.id), ...(TAKES_SOLIDS.has(kind) ? handled : [])])];
    // Juice that is a line of its own is poured in; only whole fruit goes through a juicer.
    if (kind === 'juice' && lineIds.length > 0 && !lineIds.some(solid)) kind = 'mix';
    if (kind === 'juice' && lineIds.length === 0) continue;
    if (TAKES_SOLIDS.has(kind))
      lineIds = lineIds.filter((id) => solid(id) || (kind === 'wash' && pressed(id)));
    if (kind === 'soak' && read.thrown) {
      lineIds = [...new Set([...lineIds, ...handled.filter(solid)])];
      // Nobody said in how much water: it is washed for so long.
      if (!lineIds.some((id) => !solid(id))) kind = 'wash';
    }
    if (kind === 'sweeten' && mine.some((p) => p.line.kind !== 'sweetener')) kind = 'mix';
    if (kind === 'lift' && lineIds.length === 0) continue;
    const bottles = steps.findLast((s) => s.kind === 'bottle');
    if (kind === 'freeze' && bottles) {
      bottles.text = [bottles.text, read.words].filter(Boolean).join('. ');
      continue;
    }
    const hot = steps.at(-1);
    // "Heat it to 80 °C and keep it there for 10 min": one step says both.
    if (read.keptHot && read.minutes && hot?.kind === 'heat' && !mine.length) {
      hot.minutes = read.minutes.value;
      hot.text = [hot.text, read.words].filter(Boolean).join(' ');
      continue;
    }
    if (read.kind === 'split' && !read.lots.length) continue;
    if (read.minutes === null && read.doubts.includes('noTime'))
      missing.push({ kind: 'noTime', stepId: read.id });
    const shares = mine.flatMap((p) => {
      const share =
        p.line.itemId === TAP_WATER_ID ? undefined : p.read.shares.find((s) => s.stepId === read.id)?.share;
      // What was lifted out, or kept back by the sieve, goes in again: no part of it, all of it.
      const again = p.line.kind === 'solid' && comesBackIn(drink.steps, p.read);
      return share !== undefined && share < 1 && !again ? [{ lineId: p.line.id, share }] : [];
    });
    steps.push({
      id: read.id,
      kind,
      lineIds,
      ...(shares.length ? { shares } : {}),
      ...saysOf(read, kind),
      ...(apart || !heated || read.vessel === 'blender' ? vesselsOf(read, kind) : {}),
    });
  }
  if (steps.length && !steps.some((s) => s.kind === 'bottle' || s.kind === 'freeze'))
    steps.push({ id: 'end', kind: 'bottle', lineIds: [] });
  return steps;
}

/** Between two steps that it goes in at, a thing comes back to hand. */
function comesBackIn(steps: readonly ReadStep[], line: ReadLine): boolean {
  const at = line.stepIds.map((id) => steps.findIndex((s) => s.id === id));
  const between = steps.slice(Math.min(...at) + 1, Math.max(...at));
  return between.some((s) => s.aside || (s.kind === 'lift' && s.handles.includes(line.id)));
}

/** Shares that come to all but a rounding are all there is. */
function wholeLots(lots: readonly ReadLot[]): NonNullable<RecipeStep['lots']> {
  const sum = lots.reduce((total, lot) => total + (lot.share ?? 0), 0);
  const scale = Math.abs(sum - 1) < NEARLY_ALL ? 1 / sum : 1;
  return lots.map((lot) => (lot.share === undefined ? { ...lot } : { ...lot, share: lot.share * scale }));
}
const NEARLY_ALL = 0.02;

function downToOf(read: ReadStep): Partial<RecipeStep> {
  if (read.downToL !== null) return { downToL: Math.min(400, Math.max(0.05, read.downToL)) };
  if (read.downToCm !== null) return { downToCm: Math.min(60, Math.max(0.5, read.downToCm)) };
  if (read.downToShare !== null) return { downToShare: Math.min(0.99, Math.max(0.05, read.downToShare)) };
  return {};
}

/** What a step says besides what goes in: as much of it as its kind may say. */
function saysOf(read: ReadStep, kind: OwnStepKind): Partial<RecipeStep> {
  const says: Partial<RecipeStep> = {};
  if (read.minutes) {
    says.minutes = read.minutes.value;
    if (read.minutes.min !== undefined) says.minMinutes = read.minutes.min;
    if (read.minutes.max !== undefined) says.maxMinutes = read.minutes.max;
  } else if (kind === 'boil' && Object.keys(downToOf(read)).length === 0) says.minutes = USUAL_BOIL_MIN;
  if (read.rinses !== null && kind === 'wash')
    says.rinses = Math.min(20, Math.max(1, Math.round(read.rinses)));
  if (kind === 'heat') {
    if (read.tempC !== null) says.toC = Math.min(99, Math.max(1, Math.round(read.tempC)));
    else if (read.heatTo && read.heatTo !== 'boil') says.heatTo = read.heatTo;
  }
  if (kind === 'cool' && read.tempC !== null) says.toC = Math.min(99, Math.max(1, Math.round(read.tempC)));
  if (kind === 'boil' && read.level) says.level = read.level;
  if (kind === 'boil') Object.assign(says, downToOf(read));
  if (kind === 'freeze' && read.portionMl !== null)
    says.portionMl = Math.min(5000, Math.max(10, Math.round(read.portionMl)));
  if (kind === 'sweeten' && read.inGlass) says.inGlass = true;
  if (kind === 'split') says.lots = wholeLots(read.lots);
  if (read.lot) says.lot = read.lot;
  if (read.branch && (kind === 'steep' || kind === 'soak')) says.branch = read.branch;
  if (read.lid && ['boil', 'steep', 'soak', 'heat', 'settle', 'mature'].includes(kind)) says.lid = read.lid;
  if (read.place && ['steep', 'soak', 'cool', 'mature', 'settle'].includes(kind)) says.place = read.place;
  if (kind === 'strain') {
    if (read.passes.length)
      says.passes = read.passes
        .slice(0, 6)
        .map((p) => ({ by: p.by, times: Math.min(9, Math.max(1, p.times)) }));
    if (read.press) says.press = read.press;
    if (read.aside) says.asideSolids = true;
    else if (read.kept) says.keepSolids = true;
    if (read.rinseMl !== null) says.rinseMl = Math.min(20_000, Math.max(1, Math.round(read.rinseMl)));
  }
  if (kind === 'juice' && read.tool) says.tool = read.tool;
  if (kind === 'soak' && read.thrown) says.thrown = true;
  if (kind === 'bottle' && read.sterilised) says.hygiene = 'sterilised';
  if (read.everyMin !== null && ['steep', 'soak', 'mature'].includes(kind)) says.everyMin = read.everyMin;
  const words = read.own ?? (read.implied ? '' : read.words.trim());
  if (words) says.text = words.slice(0, 2000);
  return says;
}
