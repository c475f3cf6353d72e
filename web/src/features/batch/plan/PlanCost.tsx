import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import { useMemo } from 'react';
import { CostTable } from '../../../shared/cost/lazy.tsx';
import { useCoarseNow } from '../../../shared/time.ts';

const DAY = 24 * 60 * 60_000;

/** What a plan costs, and what its cheapest and its dearest way would. */
export function PlanCost(props: { plan: PlanDoc; kitchen: Kitchen; onChange: (plan: PlanDoc) => void }) {
  const { plan, kitchen, onChange } = props;
  const nowMs = useCoarseNow(DAY);
  const plans = useMemo(
    () => [{ id: plan.recipeId, plan, madeAtMs: Math.max(nowMs, plan.readyAtMs ?? nowMs) }],
    [plan, nowMs],
  );
  return (
    <CostTable
      plans={plans}
      kitchen={kitchen}
      servingMl={kitchen.servingMl}
      onTake={([taken]) => taken && onChange(taken.plan)}
    />
  );
}
