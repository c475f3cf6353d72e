import { LONGEST_TEXT, type ReadDrink, readText, recipeOfRead } from '@big-ladle/core/exchange';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { argsOf, textOf } from './input.ts';

export const READ_FORMAT = 'big-ladle-read';

/** A drink as JSON: what was read of it, what is missing, and the recipe that it makes. */
function drinkJson(drink: ReadDrink, index: number) {
  const { recipe, missing, givesL } = recipeOfRead(
    drink,
    { id: `read-${index + 1}`, name: drink.title?.words ?? `Drink ${index + 1}` },
    SHIPPED_TABLES,
  );
  return {
    title: drink.title,
    yield: drink.yield,
    lines: drink.lines.map(({ itemId, stepIds, shares, ...line }) => ({
      ...line,
      item: itemId,
      destinations: stepIds.map((step) => ({
        step,
        share: shares.find((s) => s.stepId === step)?.share ?? 1,
      })),
    })),
    steps: drink.steps,
    notes: drink.notes,
    without: drink.without,
    checks: drink.checks.map((c) => c.kind),
    missing,
    givesL,
    recipe,
  };
}

/** `ladle read`: a text to JSON. */
export function read(args: readonly string[]): string {
  const { values, file } = argsOf(args, { us: { type: 'boolean' } });
  const text = textOf(file);
  if (text.length > LONGEST_TEXT) console.error(`ladle: only the first ${LONGEST_TEXT} characters are read`);
  const { drinks, spans, counts } = readText(text, SHIPPED_TABLES, {
    system: values.us ? 'us' : 'metric',
    measures: [],
    cupWeights: [],
  });
  return JSON.stringify(
    {
      format: READ_FORMAT,
      v: 1,
      drinks: drinks.map(drinkJson),
      notUnderstood: spans
        .filter((s) => s.mark === 'notUnderstood')
        .map(({ start, end }) => ({ words: text.slice(start, end), span: { start, end } })),
      spans,
      counts,
    },
    null,
    2,
  );
}
