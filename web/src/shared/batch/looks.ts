import {
  colourOf,
  GLASS_PATH_CM,
  type Program,
  SPOON_PATH_CM,
  type TraceEntry,
  volumeMl,
} from '@big-ladle/core';

/** Which ingredient a line of a program is. */
export const itemIdOf =
  (program: Program) =>
  (lineId: string): string =>
    program.lines.find((l) => l.id === lineId)?.itemId ?? lineId;

/** Expected colours of the liquor after a step; near white where there is none. */
export function colours(entry: TraceEntry | undefined): { spoon: string; glass: string } {
  const liquor = entry?.after.liquor;
  if (!liquor || volumeMl(liquor) < 1) return { spoon: '#f4f4f2', glass: '#f4f4f2' };
  return { spoon: colourOf(liquor, SPOON_PATH_CM), glass: colourOf(liquor, GLASS_PATH_CM) };
}
