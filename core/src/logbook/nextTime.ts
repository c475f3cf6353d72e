import type { BatchLog } from '../log/batchLog.ts';
import type { StepId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Step, StepKind } from '../program/model/steps.ts';
import type { Otherwise } from './lookBack.ts';

/** The one thing that is worth changing when a drink is made again, and the step at which it is changed. */
export type NextTime =
  | { kind: 'sweetness'; stepId: StepId; pct: number; aimedPct: number }
  | { kind: 'sour' | 'strong' | 'hot'; stepId: StepId; tooMuch: boolean }
  | { kind: 'added'; stepId: StepId; itemId: string; massG: number }
  | { kind: 'leaveOut'; stepId: StepId }
  | { kind: 'time'; stepId: StepId; byMin: number };

/** Ended so much sweeter or less sweet than it was aimed for, it tells. */
const TELLS = 0.04;
/** Steps in which a drink gets its strength. */
const DRAWS: ReadonlySet<StepKind> = new Set(['boil', 'steep', 'soak']);
/** What was made, and how it tasted. */
type Made = { program: Program } & Pick<BatchLog, 'tastes'>;
const AXES = ['sour', 'strong', 'hot'] as const;

/**
 * What to change next time, from what was tasted and what went otherwise: a verdict comes before what was put in, that
 * before what was left out, and that before hours. Null where all went as it should.
 */
export function nextTime(
  log: Made & Pick<BatchLog, 'added'>,
  otherwise: readonly Otherwise[],
): NextTime | null {
  return bySweetness(log) ?? byTaste(log) ?? byDeeds(log, otherwise);
}

function bySweetness({ program, tastes }: Made): NextTime | null {
  const last = tastes.findLast((t) => t.sweet !== undefined);
  const step = program.steps.find((s) => s.id === last?.stepId);
  if (last?.sweet !== 0 || step?.kind !== 'sweeten') return null;
  const aimedPct = step.targetSweetnessPct;
  const pct = Math.round(last.atSweetnessPct * 10) / 10;
  if (aimedPct <= 0 || Math.abs(last.atSweetnessPct / aimedPct - 1) < TELLS) return null;
  return { kind: 'sweetness', stepId: step.id, pct, aimedPct };
}

function byTaste({ program, tastes }: Made): NextTime | null {
  const isDrawn = (s: Step) => DRAWS.has(s.kind);
  for (const axis of AXES) {
    const last = tastes.findLast((t) => t[axis] !== undefined);
    const verdict = last?.[axis] ?? 0;
    if (!last || verdict === 0) continue;
    // Sourness is set right where it was tasted, strength where it was drawn.
    const drawn = axis === 'sour' ? undefined : program.steps.findLast(isDrawn);
    return { kind: axis, stepId: drawn?.id ?? last.stepId, tooMuch: verdict > 0 };
  }
  return null;
}

function byDeeds({ added }: Pick<BatchLog, 'added'>, otherwise: readonly Otherwise[]): NextTime | null {
  const put = otherwise.find((o) => o.kind === 'added');
  const entry = put && added.find((a) => a.body.itemId === put.itemId);
  if (put && entry) return { kind: 'added', stepId: entry.body.stepId, itemId: put.itemId, massG: put.massG };
  const left = otherwise.find((o) => o.kind === 'skipped');
  if (left) return { kind: 'leaveOut', stepId: left.stepId };
  const longest = otherwise
    .filter((o) => o.kind === 'longer')
    .sort((a, b) => b.byMin - a.byMin)
    .at(0);
  return longest ? { kind: 'time', stepId: longest.stepId, byMin: longest.byMin } : null;
}
