import type { Recipe, RecipeLine, RecipeStep } from '../documents/recipe.ts';

/** A drink that was seen twice, and what was seen only once of it. */
export interface SeenTwice {
  recipe: Recipe;
  /** What went in only the first or only the second time. */
  onlyOnce: readonly string[];
}

/** Two amounts nearer to each other than this are one. */
const SAME = 0.02;

/** Between two amounts that were seen: the middle by ratio, and how far each is from it. */
function between(a: number, b: number): Pick<RecipeLine, 'massG' | 'open'> {
  const massG = Math.sqrt(a * b);
  if (!(massG > 0)) return { massG: Math.max(a, b) };
  const [low, high] = [Math.min(a, b) / massG, Math.max(a, b) / massG];
  return high - 1 < SAME ? { massG } : { massG, open: { low, high } };
}

/**
 * Two recordings of the same drink as one recipe: of what went in both times the middle for the same litres, with the two
 * as its ends; of what went in once what was seen. Steps are the first recording's, with the mean of their minutes where
 * the second has the same step. Where a line of the first stands between two amounts already, its middle counts as seen.
 * @param second of any litres: it is set to those of the first.
 */
export function seenTwice(first: Recipe, second: Recipe): SeenTwice {
  const scale = first.basisL / second.basisL;
  const left = [...second.lines];
  const takeLike = (line: RecipeLine): RecipeLine | undefined => {
    const at = left.findIndex((l) => l.itemId === line.itemId && l.stream === line.stream);
    return at < 0 ? undefined : left.splice(at, 1)[0];
  };
  const onlyOnce: string[] = [];
  const lines = first.lines.map((line): RecipeLine => {
    const other = takeLike(line);
    if (!other) {
      onlyOnce.push(line.itemId);
      return line;
    }
    const { open: _, ...rest } = line;
    return { ...rest, ...between(line.massG, other.massG * scale) };
  });
  const used = new Set(first.lines.map((l) => l.id));
  const added = left.map((line): RecipeLine => {
    onlyOnce.push(line.itemId);
    let id = line.id;
    while (used.has(id)) id = `${id}b`;
    used.add(id);
    return { ...line, id, massG: line.massG * scale };
  });
  return {
    recipe: {
      ...first,
      lines: [...lines, ...added],
      targetSweetnessPct: (first.targetSweetnessPct + second.targetSweetnessPct) / 2,
      ...(first.steps ? { steps: stepsOf(first.steps, second.steps ?? [], added) } : {}),
    },
    onlyOnce,
  };
}

function stepsOf(
  first: readonly RecipeStep[],
  second: readonly RecipeStep[],
  added: readonly RecipeLine[],
): RecipeStep[] {
  const left = [...second];
  const steps = first.map((step): RecipeStep => {
    const at = left.findIndex((s) => s.kind === step.kind);
    const other = at < 0 ? undefined : left.splice(at, 1)[0];
    const isTimed = step.minutes !== undefined && other?.minutes !== undefined;
    return isTimed ? { ...step, minutes: Math.round((step.minutes! + other.minutes!) / 2) } : step;
  });
  // What went in only the second time goes in where things of its kind do.
  for (const line of added) {
    const kind = line.kind === 'sweetener' ? 'sweeten' : line.stream === 'after' ? 'mix' : 'combine';
    const into = steps.findIndex((s) => s.kind === kind);
    if (into >= 0) steps[into] = { ...steps[into]!, lineIds: [...(steps[into]!.lineIds ?? []), line.id] };
  }
  return steps;
}
