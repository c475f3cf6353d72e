import type { LineKind, ScaleRule } from '../../documents/recipe.ts';
import type { VigourId } from '../../tables/vigours.ts';
import type { LineId } from './ids.ts';
import type { Step } from './steps.ts';
import type { VesselSpec } from './vessel.ts';

/** An ingredient line with the amount of this batch. */
export interface ProgramLine {
  id: LineId;
  kind: LineKind;
  itemId: string;
  rule: ScaleRule;
  /** Grams; for liquids at 20 °C. A `toTarget` line is worked out at its step and has 0 here. */
  massG: number;
  /** What was said of it leaves it open: so many times the grams at the least, and at the most. */
  open?: { low: number; high: number };
  /** A root that is weak or strong, and where it is from. */
  root?: { vigour: VigourId; from?: string | undefined };
  /** How it is cut or broken: a row of the table of cuts, or the cook's own word. */
  cut?: string;
  /** Which share of a line of the recipe it is: the water of the second draw, the rinse of the blender. */
  share?: 'first' | 'second' | 'rinse' | 'later';
}

/** A batch: lines and steps over named vessels. The same shape serves plan, stove and log. */
interface ProgramShape {
  recipeId: string;
  recipeVersion: number;
  methodId: string;
  lines: readonly ProgramLine[];
  steps: readonly Step[];
  vessels: readonly VesselSpec[];
  potId: string;
  burnerId: string;
  fills: number;
  /** What share of all each load takes, where they are not equal: pots that stand side by side. */
  loadShares?: readonly number[];
}

/** As it was planned, and as a batch pins it. */
export interface PlannedProgram extends ProgramShape {
  effective?: never;
}

/** As it is really made: what was said at the stove is worked into it (`effectiveProgram`). */
export interface EffectiveProgram extends ProgramShape {
  effective: true;
}

export type Program = PlannedProgram | EffectiveProgram;
