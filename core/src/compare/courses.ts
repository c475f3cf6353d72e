import { insteadOfLine } from '../balance/swaps.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { MethodId, Recipe, RecipeLine } from '../documents/recipe.ts';
import type { StockRow } from '../documents/stock.ts';
import { solvePlanDoc } from '../plan/planDoc.ts';
import { choicesUnder, completeChoices, insteadWith } from '../program/book/recipe.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { SOURING_IDS } from '../tables/choices.ts';
import type { Tables } from '../tables/types.ts';
import { type Cost, costOf } from './cost.ts';
import { iceKgOf } from './methods.ts';

/** One way to make a plan's litres, with what it costs. */
export interface Course {
  plan: PlanDoc;
  methodId: MethodId;
  /** What goes in instead of what the recipe has. */
  instead: readonly { lineId: string; itemId: string }[];
  cost: Cost;
}

export interface Courses {
  now: Course;
  cheap: Course;
  dear: Course;
}

/** Money that is not worth another way of doing it: a hundredth of what it costs now. */
const WORTH_SHARE = 0.01;

/**
 * The least and the most that the litres of a plan cost by the methods of its recipe, and by what this house sweetens and
 * sours with: first the method, then one line after the other, each with the rest as it is. Only
 * ways with the same things without a price are set side by side: what takes one more only looks cheap, what takes one less
 * only looks dear.
 * @param month 1 to 12, for the season.
 * @returns null where the plan does not work out.
 */
export function coursesOf(
  plan: PlanDoc,
  month: number,
  around: {
    book: readonly Recipe[];
    kitchen: Kitchen;
    stock: readonly StockRow[];
    tables: Tables;
    cancelled?: () => boolean;
  },
): Courses | null {
  const { book, cancelled = () => false } = around;
  const recipe = book.find((r) => r.id === plan.recipeId);
  const now = recipe && courseOf(plan, recipe, month, around);
  if (!recipe || !now) return null;
  const may = (course: Course | null): course is Course =>
    course !== null && unknownIn(course.cost) === unknownIn(now.cost);
  const tried = (choices: PlanDoc['choices'], fills = plan.fills): Course | null =>
    cancelled() ? null : courseOf({ ...plan, choices, fills }, recipe, month, around);

  const byMethod = [
    now,
    ...recipe.methods.flatMap((methodId) => {
      if (methodId === now.methodId) return [];
      const course = tried(choicesUnder(recipe, methodId, plan.choices), 'asNeeded');
      return may(course) ? [course] : [];
    }),
  ];
  const [least, most] = [cheaper, dearer].map((better) => {
    let best = byMethod.reduce((a, b) => (better(b.cost, a.cost, now.cost) ? b : a));
    for (const line of recipe.lines)
      for (const itemId of othersFor(line, around)) {
        const { instead } = completeChoices(recipe, best.plan.choices);
        const other = insteadOfLine(line, itemId, around.tables);
        if (!other && itemId !== line.itemId) continue;
        const course = tried(
          { ...best.plan.choices, instead: insteadWith(instead, line.id, other) },
          best.plan.fills,
        );
        if (may(course) && better(course.cost, best.cost, now.cost)) best = course;
      }
    return best;
  }) as [Course, Course];
  return { now, cheap: least, dear: most };
}

const cheaper = (a: Cost, b: Cost, now: Cost): boolean => a.total < b.total - WORTH_SHARE * now.total;
const dearer = (a: Cost, b: Cost, now: Cost): boolean => cheaper(b, a, now);

/** What it takes of which nobody knows the price. */
const unknownIn = ({ unpriced, unpricedFuels }: Cost): string =>
  [...unpriced.map(({ id }) => id), ...unpricedFuels].sort().join(' ');

/** What this house may take for a line: of what it sweetens with and sours with, and what the recipe has itself. */
function othersFor(
  line: RecipeLine,
  { kitchen, tables }: { kitchen: Pick<Kitchen, 'house'>; tables: Tables },
): readonly string[] {
  const allowed = kitchen.house.allows;
  if (line.kind === 'sweetener')
    return [line.itemId, ...allowed.filter((id) => id !== line.itemId && tables.sweeteners.has(id))];
  return line.kind === 'liquid' && SOURING_IDS.includes(line.itemId)
    ? [line.itemId, ...SOURING_IDS.filter((id) => id !== line.itemId && allowed.includes(id))]
    : [];
}

function courseOf(
  plan: PlanDoc,
  recipe: Recipe,
  month: number,
  around: { book: readonly Recipe[]; kitchen: Kitchen; stock: readonly StockRow[]; tables: Tables },
): Course | null {
  const { book, kitchen, stock, tables } = around;
  const solved = solvePlanDoc(plan, book, kitchen, tables);
  if (!solved.ok) return null;
  const { program, litres } = solved.value;
  const sim = simulateBatch(program, kitchen, tables);
  if (sim.problem) return null;
  const { instead, methodId } = completeChoices(recipe, plan.choices);
  return {
    plan,
    methodId,
    instead: instead.map(({ lineId, itemId }) => ({ lineId, itemId })),
    cost: costOf(
      { program, dosedG: sim.dosedG, litres, month, iceKg: iceKgOf(sim) },
      sim.fuel,
      kitchen,
      stock,
      tables,
    ),
  };
}
