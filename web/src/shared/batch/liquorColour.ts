import { colourOf, GLASS_PATH_CM, luminanceOf, SPOON_PATH_CM, volumeMl } from '@big-ladle/core/liquor';
import type { Program, TraceEntry } from '@big-ladle/core/program';

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

/**
 * How much of a drink's colour may tint the dark screen of the stove posture so that light text stays readable on
 * it, whatever the drink: pale drinks lend little.
 */
export function tintShare(hex: string): number {
  const luminance = luminanceOf(hex);
  return luminance < 0.04 ? 0.8 : luminance < 0.12 ? 0.5 : 0.2;
}
