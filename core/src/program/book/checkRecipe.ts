import type { Recipe, RecipeLine } from '../../documents/recipe.ts';
import { FIRM_SKINS, TENDER_SKINS, type Trait } from '../../tables/traits.ts';
import type { IngredientRow, Tables } from '../../tables/types.ts';
import { takesLines } from './lineMoves.ts';

/** Something in a recipe that wants a look, at the line or step where it stands. */
export interface RecipeProblem {
  code:
    | 'unknownItem'
    | 'neverUsed'
    | 'usedTwice'
    | 'boilsEmpty'
    | 'peeledBeforeWashed'
    | 'neverWashed'
    | 'tenderBoiled'
    | 'noWater'
    | 'notStrained'
    | 'sweetBeforeStrained'
    | 'noAmount'
    | 'stepAfterBottles'
    | 'lotsTooMuch'
    | 'manyMinutes';
  severity: 'error' | 'warning';
  lineId?: string;
  stepId?: string;
}

/** Tender leaves give all they have in minutes; boiled longer than this they taste stewed. */
const TENDER_MIN = 10;
/** A boil longer than this is more likely hours meant as minutes. */
const LONG_BOIL_MIN = 180;

/** A line of which so little is left is used up. */
const NOTHING_LEFT = 1e-9;

const SKINS: ReadonlySet<Trait> = new Set<Trait>([...FIRM_SKINS, ...TENDER_SKINS]);

/** Everything that wants a look in a recipe with steps of its own. */
export function checkRecipe(recipe: Recipe, tables: Tables): RecipeProblem[] {
  const problems: RecipeProblem[] = [];
  const rowOf = (line: RecipeLine): IngredientRow | undefined =>
    line.kind === 'solid' ? tables.ingredients.get(line.itemId) : undefined;
  for (const line of recipe.lines) {
    const known =
      line.kind === 'solid'
        ? tables.ingredients.has(line.itemId)
        : line.kind === 'liquid'
          ? tables.liquids.has(line.itemId)
          : tables.sweeteners.has(line.itemId);
    if (!known) problems.push({ code: 'unknownItem', severity: 'error', lineId: line.id });
    if (line.massG <= 0 && (line.rule.kind === 'linear' || line.rule.kind === 'power'))
      problems.push({ code: 'noAmount', severity: 'error', lineId: line.id });
  }
  if (!recipe.steps || !recipe.methods.includes('own')) return problems;

  const usedAt = new Map<string, number>();
  const inHand = new Set<string>();
  const usedShare = new Map<string, number>();
  const washedAt = new Map<string, number>();
  const preparedAt = new Map<string, number>();
  let wet = false;
  let solidsIn = false;
  let strained = false;
  const ended = new Set<string | undefined>();
  const inPot = new Set<string>();
  for (const [index, step] of recipe.steps.entries()) {
    if (ended.has(step.lot)) problems.push({ code: 'stepAfterBottles', severity: 'error', stepId: step.id });
    if (step.kind === 'bottle' || step.kind === 'freeze') ended.add(step.lot);
    if ((step.lots ?? []).reduce((sum, lot) => sum + (lot.share ?? 0), 0) > 1 + NOTHING_LEFT)
      problems.push({ code: 'lotsTooMuch', severity: 'error', stepId: step.id });
    if (step.kind === 'lift') for (const id of step.lineIds) inHand.add(id);
    // Out of a cleaning soak it comes again.
    const comesOut = step.kind === 'soak' && step.thrown;
    if (step.kind === 'strain' && step.asideSolids) for (const id of usedAt.keys()) inHand.add(id);
    for (const id of step.lineIds) {
      if (step.kind === 'wash' || step.kind === 'pick') washedAt.set(id, index);
      if (step.kind === 'prep') preparedAt.set(id, index);
      if (!takesLines(step.kind)) continue;
      // Lifted out, or strained off and put aside, it is taken again.
      if (inHand.delete(id) && usedAt.has(id)) continue;
      const share = step.shares?.find((s) => s.lineId === id)?.share;
      const before = usedShare.get(id) ?? 0;
      usedShare.set(id, share === undefined ? 1 : before + share);
      const byTaste = recipe.lines.some((l) => l.id === id && l.rule.kind === 'toTarget');
      if (!byTaste && before + (share ?? 0) >= 1 - NOTHING_LEFT && usedAt.has(id))
        problems.push({ code: 'usedTwice', severity: 'error', lineId: id, stepId: step.id });
      usedAt.set(id, index);
      if (comesOut) inHand.add(id);
      const line = recipe.lines.find((l) => l.id === id);
      if (!line) continue;
      if (line.kind === 'solid') {
        solidsIn = true;
        if (step.kind === 'combine' || step.kind === 'soak') inPot.add(id);
        if (step.kind === 'juice') wet = true;
      } else wet = true;
      if (step.kind === 'sweeten' && solidsIn && !strained)
        problems.push({ code: 'sweetBeforeStrained', severity: 'warning', stepId: step.id });
    }
    if (step.kind === 'boil' || step.kind === 'heat') {
      if (!wet) problems.push({ code: 'boilsEmpty', severity: 'error', stepId: step.id });
      if (step.kind === 'boil' && (step.minutes ?? 0) > LONG_BOIL_MIN)
        problems.push({ code: 'manyMinutes', severity: 'warning', stepId: step.id });
      if (step.kind === 'boil' && (step.minutes ?? 0) > TENDER_MIN) {
        for (const id of inPot) {
          const line = recipe.lines.find((l) => l.id === id);
          if (line && rowOf(line)?.traits.includes('tenderHerb'))
            problems.push({ code: 'tenderBoiled', severity: 'warning', lineId: id, stepId: step.id });
        }
      }
    }
    if (step.kind === 'strain') {
      strained = true;
      inPot.clear();
      solidsIn = false;
    }
  }
  for (const line of recipe.lines) {
    const row = rowOf(line);
    const prepared = preparedAt.get(line.id);
    const washed = washedAt.get(line.id);
    const hasSkin = row?.traits.some((trait) => SKINS.has(trait)) ?? false;
    const used = prepared ?? usedAt.get(line.id);
    if (hasSkin && washed === undefined && used !== undefined)
      problems.push({
        code: 'neverWashed',
        severity: 'warning',
        lineId: line.id,
        stepId: recipe.steps[used]!.id,
      });
    if (hasSkin && prepared !== undefined && washed !== undefined && washed > prepared)
      problems.push({
        code: 'peeledBeforeWashed',
        severity: 'warning',
        lineId: line.id,
        stepId: recipe.steps[prepared]!.id,
      });
    if (!usedAt.has(line.id)) problems.push({ code: 'neverUsed', severity: 'error', lineId: line.id });
  }
  if (!wet) problems.push({ code: 'noWater', severity: 'error' });
  if (solidsIn && !strained) problems.push({ code: 'notStrained', severity: 'warning' });
  return problems;
}
