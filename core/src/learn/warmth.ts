import type { TraceEntry } from '../program/model/simulation.ts';
import type { Step } from '../program/model/steps.ts';

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
export function warmthAt(
  { kind, startMin, endMin, modelMin, before, curve }: TraceEntry,
  intoMin: number,
): number | null {
  const pace = kind === 'heat' && modelMin > 0 ? (endMin - startMin) / modelMin : 1;
  const atMin = startMin + intoMin * pace;
  const line = [{ atMin: startMin, tempC: before.liquor.tempC }, ...curve];
  const next = line.findIndex((p, i) => i > 0 && p.atMin >= atMin);
  const to = next < 0 ? line.length - 1 : next;
  const [a, b] = [line[to - 1], line[to]];
  if (!a || !b || b.atMin <= a.atMin) return null;
  return a.tempC + ((b.tempC - a.tempC) * (atMin - a.atMin)) / (b.atMin - a.atMin);
}
