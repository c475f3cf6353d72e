import type { Program } from './program.ts';
import type { Step } from './steps.ts';

/** Whether the loads stand in pots side by side, and not in one pot one after the other. */
export const standsSideBySide = (program: Pick<Program, 'loadShares'>): boolean =>
  program.loadShares !== undefined;

/** What share of a line one step takes: its load's; all of it where the step is done once for all. */
export const shareOfLoad = (
  program: Pick<Program, 'fills' | 'loadShares'>,
  step: Pick<Step, 'fill'>,
): number => (step.fill > 0 ? (program.loadShares?.[step.fill - 1] ?? 1 / program.fills) : 1);
