import type { Program } from '../program/model/program.ts';
import type { Step } from '../program/model/steps.ts';
import { traitsOf } from '../program/model/tags.ts';
import { RIPENESS_ROWS } from '../tables/ripeness.ts';
import type { Tables } from '../tables/types.ts';

interface SeenCue {
  stepId: string;
  cue: string;
}

/** Washed and open: before that nobody tastes it. */
const TASTED_AT: ReadonlySet<Step['kind']> = new Set(['prep', 'juice', 'blend', 'mix']);

/** Items of a step whose sweetness a cook can taste before they go in: fruit, and juice. */
export function tastedAt(
  program: Pick<Program, 'lines' | 'steps'>,
  stepId: string,
  tables: Tables,
): string[] {
  const step = program.steps.find((s) => s.id === stepId && TASTED_AT.has(s.kind));
  const ids = program.lines.filter((l) => step?.lines.includes(l.id)).map((l) => l.itemId);
  return ids.filter((id) => {
    const traits = traitsOf([id], tables);
    return (traits.has('fruit') || traits.has('juice') || traits.has('citrus')) && !traits.has('zest');
  });
}

/** The tables with the sugar of fruit as the cook has tasted it, the last word on each step counting. */
export function tablesAsTasted(
  tables: Tables,
  program: Pick<Program, 'lines' | 'steps'>,
  cues: readonly SeenCue[],
): Tables {
  const factors = new Map<string, number>();
  for (const { stepId, cue } of cues) {
    const row = RIPENESS_ROWS.find((r) => r.cue === cue);
    if (row) for (const id of tastedAt(program, stepId, tables)) factors.set(id, row.sugarFactor);
  }
  if ([...factors.values()].every((f) => f === 1)) return tables;
  const ingredients = new Map(tables.ingredients);
  const liquids = new Map(tables.liquids);
  for (const [id, factor] of factors) {
    const solid = ingredients.get(id);
    const liquid = liquids.get(id);
    // What else is dissolved stays: sugar and solubles move together.
    if (solid) {
      const moreSugarPct = solid.sugarPct * (factor - 1);
      ingredients.set(id, {
        ...solid,
        sugarPct: solid.sugarPct + moreSugarPct,
        solublePct: solid.solublePct + moreSugarPct,
        waterPct: solid.waterPct - moreSugarPct,
      });
    }
    if (liquid) {
      const moreSugarPct = liquid.sugarGPer100g * (factor - 1);
      liquids.set(id, {
        ...liquid,
        sugarGPer100g: liquid.sugarGPer100g + moreSugarPct,
        brix: liquid.brix + moreSugarPct,
      });
    }
  }
  return { ...tables, ingredients, liquids };
}
