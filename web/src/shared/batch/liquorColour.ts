import { type Looks, looksOf } from '@big-ladle/core/liquor';
import type { Program, TraceEntry } from '@big-ladle/core/program';

/** Which ingredient a line of a program is. */
export const itemIdOf =
  (program: Program) =>
  (lineId: string): string =>
    program.lines.find((l) => l.id === lineId)?.itemId ?? lineId;

/** How the liquor is expected to look after a step; near white where there is none. */
export const colours = (entry: TraceEntry | undefined): Looks => looksOf(entry?.after.liquor);
