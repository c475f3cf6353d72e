import type { TraceEntry } from '../program/model/simulation.ts';
import type { Step } from '../program/model/steps.ts';
import { tempAlong } from '../program/simulate/traceLine.ts';

/** Steps in which a pot warms or cools by itself, so that how warm it is tells of its ring or its place. */
export const warmsOrCools = (step: Step): boolean =>
  step.kind === 'heat' ||
  step.kind === 'cool' ||
  step.kind === 'soak' ||
  (step.kind === 'steep' && step.holdC === undefined);

/**
 * How warm the model has a vessel so many minutes into a step, °C, whatever the log says of the step's end: heating is
 * drawn in the minutes that it really took, and is read here in those of the model. Past the end of its line it goes on as
 * it went last, so that a pot that cools more slowly than the model's is compared as well. Null without a line.
 */
export function warmthAt(entry: TraceEntry, intoMin: number): number | null {
  const { kind, startMin, endMin, modelMin } = entry;
  const pace = kind === 'heat' && modelMin > 0 ? (endMin - startMin) / modelMin : 1;
  return tempAlong(entry, startMin + intoMin * pace);
}
