import type { Program } from '../program/model/program.ts';
import type { WashStep } from '../program/model/steps.ts';
import { traitsOf } from '../program/model/tags.ts';
import type { Tables } from '../tables/types.ts';
import { type Bath, WASH_ROWS, type WashRow } from '../tables/washing.ts';

/** How some of what is washed in a step is washed. */
export interface WashRoutine {
  row: WashRow;
  itemIds: readonly string[];
}

/** The routines of a washing step, by the skin of what is in it. */
export function washRoutines(
  program: Pick<Program, 'lines'>,
  step: Pick<WashStep, 'lines'>,
  tables: Tables,
): WashRoutine[] {
  const lines = program.lines.filter((l) => step.lines.includes(l.id));
  const itemIds = [...new Set(lines.map((l) => l.itemId))];
  return WASH_ROWS.flatMap((row) => {
    const its = itemIds.filter((id) => traitsOf([id], tables).has(row.trait));
    return its.length > 0 ? [{ row, itemIds: its }] : [];
  });
}

/**
 * Rinses to count to, all that is in the bowl rinsed together: as the step plans, and more where a skin asks for more or
 * something has stood in a bath.
 */
export function rinsesAsked(
  step: Pick<WashStep, 'rinses'>,
  routines: readonly WashRoutine[],
  bathed: readonly Bath[],
): number {
  const asked = routines.map(({ row }) =>
    row.bath && (row.bath.needed || bathed.includes(row.bath.what)) ? row.rinsesAfterBath : row.rinses,
  );
  return Math.max(step.rinses, ...asked);
}
