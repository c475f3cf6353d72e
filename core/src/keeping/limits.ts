import type { Kitchen } from '../documents/kitchen.ts';
import type { TraceEntry } from '../program/model/simulation.ts';
import type { Step } from '../program/model/steps.ts';
import { isColdPlace, STAGE_MIN } from '../program/simulate/exposure.ts';
import { KEEPING } from '../tables/keeping.ts';
import { acidEvidence } from './shelfLife.ts';

/** A moment of a step from which on what stands there is not to be kept. */
export interface WarmLimit {
  /** Minute of the batch. */
  atMin: number;
  /** Four warm hours while not shown to be acid, or the first stage of its cooling. */
  kind: 'warm' | 'cooling';
}

/** Steps in which something stands, so that minutes are all that passes. */
const STANDS: ReadonlySet<Step['kind']> = new Set(['soak', 'steep', 'cool']);

/**
 * When a step that goes on comes to "throw out": counted from its end as the trace has it, forwards and backwards, for
 * there minutes count one for one.
 * @returns null where it is acid, cold, or no step in which anything stands.
 */
export function warmLimitOf(
  entry: TraceEntry,
  step: Step,
  kitchen: Pick<Kitchen, 'fridgeC'>,
): WarmLimit | null {
  if (!STANDS.has(step.kind) || !('place' in step)) return null;
  // The water of a cleaning soak is not kept at all.
  if (step.kind === 'soak' && step.thrown) return null;
  const { liquor } = entry.after;
  const { cooling, tempC } = liquor;
  const before = entry.before.liquor.cooling;
  const acid = acidEvidence(liquor).shown;
  const limits: WarmLimit[] = [];
  const warmMost = KEEPING.warmSteepH * 60;
  const goesOn =
    !acid &&
    !isColdPlace(step.place, kitchen.fridgeC) &&
    tempC < KEEPING.warmC.to &&
    tempC > KEEPING.warmC.from;
  const counted = cooling.unsafeMin > before.unsafeMin;
  if (cooling.unsafeMin > warmMost ? counted : goesOn && counted)
    limits.push({ kind: 'warm', atMin: entry.endMin - (cooling.unsafeMin - warmMost) });
  const inStage = cooling.from60To21Min > before.from60To21Min;
  if (!acid && inStage && (cooling.from60To21Min > STAGE_MIN.first || tempC >= KEEPING.firstStageToC))
    limits.push({ kind: 'cooling', atMin: entry.endMin - (cooling.from60To21Min - STAGE_MIN.first) });
  return limits.sort((a, b) => a.atMin - b.atMin)[0] ?? null;
}
