import type { Kitchen } from '../documents/kitchen.ts';
import { askedL, type PlanDoc } from '../documents/plan.ts';
import { sweetnessPct, volumeMl } from '../liquor/composition.ts';
import type { BatchNow } from '../log/batchAt.ts';
import type { StepId } from '../program/model/ids.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import type { StepKind } from '../program/model/steps.ts';
import { finishedL, finishedLiquor } from '../program/simulate/finished.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import type { Tables } from '../tables/types.ts';
import { MINUTE_MS } from '../units/time.ts';

/** A step as it was planned and as it was. */
export interface StepLookedBack {
  stepId: StepId;
  kind: StepKind;
  plannedMin: number;
  /** By the log; null: it does not say. */
  realMin: number | null;
  skipped: boolean;
}

/** What a figure was expected to be when the batch began, and what it was. */
export interface Both {
  planned: number;
  /** Null where it is not known. */
  real: number | null;
}

/** Something that went otherwise than planned and shows in the figures. */
export type Otherwise =
  | { kind: 'litres'; byL: number }
  | { kind: 'longer'; stepId: StepId; byMin: number }
  | { kind: 'shorter'; stepId: StepId; byMin: number }
  | { kind: 'skipped'; stepId: StepId }
  | { kind: 'added'; itemId: string; massG: number };

/** A batch that was made beside its own plan. */
export interface LookedBack {
  wishedL: number | null;
  /** Made in all, as the model has it with what was read. */
  litres: Both;
  /** What of it was filled into bottles; null: the log says of none. */
  bottledL: number | null;
  /** From the first step to the last bottle, min. */
  minutes: Both;
  /** Of the finished drink, g of sugar-equivalent in 100 g. */
  sweetnessPct: Both;
  steps: readonly StepLookedBack[];
  otherwise: readonly Otherwise[];
}

/** A difference counts from here on: a tenth of the litres, a fifth of a step and five minutes. */
const COUNTS = { litres: 0.1, step: 0.2, stepMin: 5 };

/**
 * A finished batch against the plan that it was begun with: what was expected without any reading, and what the log says.
 * @param planned as it was begun. @param now as it is by its log.
 */
export function lookBack(
  planned: PlannedProgram,
  kitchen: Kitchen,
  tables: Tables,
  { log, forecast }: Pick<BatchNow, 'log' | 'forecast'>,
  question: PlanDoc['question'],
): LookedBack {
  const expected = simulateBatch(planned, kitchen, tables);
  const foreseen = new Set(planned.lines.map((l) => l.id));
  const entries = new Map(expected.trace.map((t) => [t.stepId, t]));
  const steps = log.program.steps.map((step): StepLookedBack => {
    const times = log.steps[step.id];
    const entry = entries.get(step.id);
    const timed = times && times.startMs !== null && times.endMs !== null;
    return {
      stepId: step.id,
      kind: step.kind,
      plannedMin: entry ? entry.endMin - entry.startMin : 0,
      realMin: timed ? (times.endMs! - times.startMs!) / MINUTE_MS : null,
      skipped: times?.status === 'skipped',
    };
  });
  const filledMl = log.bottled.reduce(
    (sum, b) => sum + b.bottles.reduce((all, { volumeMl: ml }) => all + ml, 0),
    0,
  );
  const ended = log.endedMs !== null && log.startedMs !== null;
  const litres: Both = {
    planned: finishedL(expected),
    real: log.stopped || !ended ? null : finishedL(forecast),
  };
  return {
    wishedL: askedL(question),
    litres,
    bottledL: filledMl > 0 ? filledMl / 1000 : null,
    minutes: {
      planned: expected.endMin,
      real: ended ? (log.endedMs! - log.startedMs!) / MINUTE_MS : null,
    },
    sweetnessPct: {
      planned: sweetnessOf(expected),
      real: ended && !log.stopped ? sweetnessOf(forecast) : null,
    },
    steps,
    otherwise: [
      ...litresOtherwise(litres),
      ...steps.flatMap(stepOtherwise),
      ...log.added.flatMap(({ body: { lineId, itemId, massG } }): Otherwise[] =>
        // What is dosed by taste stands in the plan, with another amount.
        foreseen.has(lineId) ? [] : [{ kind: 'added', itemId, massG }],
      ),
    ],
  };
}

function sweetnessOf(sim: Simulation): number {
  const liquor = finishedLiquor(sim);
  return liquor && volumeMl(liquor) > 0 ? sweetnessPct(liquor) : 0;
}

function litresOtherwise({ planned, real }: Both): Otherwise[] {
  if (real === null || Math.abs(real - planned) < COUNTS.litres * planned) return [];
  return [{ kind: 'litres', byL: real - planned }];
}

function stepOtherwise({ stepId, plannedMin, realMin, skipped }: StepLookedBack): Otherwise[] {
  if (skipped) return [{ kind: 'skipped', stepId }];
  if (realMin === null) return [];
  const byMin = realMin - plannedMin;
  if (Math.abs(byMin) < Math.max(COUNTS.stepMin, COUNTS.step * plannedMin)) return [];
  return [byMin > 0 ? { kind: 'longer', stepId, byMin } : { kind: 'shorter', stepId, byMin: -byMin }];
}
