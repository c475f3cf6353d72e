import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import { lazy, Suspense, useMemo } from 'react';
import { useCoarseNow } from '../../../shared/time.ts';

const CostTable = lazy(() =>
  import('../../../shared/cost/CostTable.tsx').then((m) => ({ default: m.CostTable })),
);

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
    <Suspense>
      <CostTable
        plans={plans}
        kitchen={kitchen}
        servingMl={kitchen.servingMl}
        onTake={([taken]) => taken && onChange(taken.plan)}
      />
    </Suspense>
  );
}
