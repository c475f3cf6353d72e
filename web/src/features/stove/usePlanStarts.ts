import { ownRows } from '@big-ladle/core/book';
import type { BatchListEntry } from '@big-ladle/core/contract';
import type { Kitchen, Recipe } from '@big-ladle/core/documents';
import type { Job, PlanStart } from '@big-ladle/core/plan';
import { useMemo } from 'react';
import { usePlans } from '../../shared/batchQueries.ts';
import { useOwnBook } from '../../shared/ownBook.ts';
import { sayDrink } from '../../words/names.ts';
import { litres } from '../../words/quantities.ts';
import { useJob } from '../../workers/useJob.ts';

/** A plan that waits; what it makes and when it begins is null until it has been worked out. */
export interface WaitingPlan {
  id: string;
  recipeId: string;
  readyAtMs: number | null;
  start: PlanStart | null;
}

const NO_PLANS: readonly BatchListEntry[] = [];
const NO_RECIPES: readonly Recipe[] = [];

/** Plans with what they make and when they must begin, the first to begin first. They are solved beside the screen. */
export function usePlanStarts(kitchen: Kitchen): {
  plans: readonly WaitingPlan[];
  /** They are being worked out for the first time. */
  isPending: boolean;
} {
  const planned = usePlans().data ?? NO_PLANS;
  const own = useOwnBook().data;
  const rows = useMemo(() => ownRows(own?.ingredients ?? []), [own]);
  const job = useMemo(
    (): Extract<Job, { kind: 'planStarts' }> | null =>
      planned.length > 0
        ? { kind: 'planStarts', plans: planned.map(({ batch: { id, plan } }) => ({ id, plan })), kitchen }
        : null,
    [planned, kitchen],
  );
  const { result, failed } = useJob(job, own?.recipes ?? NO_RECIPES, rows);
  const plans = useMemo(() => {
    const starts = new Map(result?.plans.map((p) => [p.id, p]));
    const order = (p: WaitingPlan) => p.start?.startMs ?? Number.POSITIVE_INFINITY;
    return planned
      .map(({ batch: { id, plan } }): WaitingPlan => {
        const { recipeId, readyAtMs } = plan;
        return { id, recipeId, readyAtMs, start: starts.get(id) ?? null };
      })
      .sort((a, b) => order(a) - order(b));
  }, [planned, result]);
  return { plans, isPending: job !== null && result === null && !failed };
}

/** "Deep calyx & ginger, 9.0 L". */
export const planName = ({ recipeId, start }: WaitingPlan): string =>
  `${sayDrink(recipeId)}${start?.litres == null ? '' : `, ${litres(start.litres)}`}`;
