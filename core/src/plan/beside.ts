import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import { potCapacityMl } from '../program/model/kitchen.ts';

/** The plan with one more pot beside those it has, for each pot that is free, the largest first; each on a free ring. */
export function besideWays(plan: PlanDoc, kitchen: Pick<Kitchen, 'pots' | 'burners'>): PlanDoc[] {
  const beside = plan.beside ?? [];
  const pots = new Set([plan.potId, ...beside.map((p) => p.potId)]);
  const rings = new Set([plan.burnerId, ...beside.map((p) => p.burnerId)]);
  const ring = kitchen.burners.find((b) => !rings.has(b.id));
  if (!ring) return [];
  return kitchen.pots
    .filter((p) => !pots.has(p.id))
    .sort((a, b) => potCapacityMl(b) - potCapacityMl(a))
    .map((p) => ({ ...plan, fills: 1, beside: [...beside, { potId: p.id, burnerId: ring.id }] }));
}

/** The plan with what stands beside it changed; none, where nothing does. */
export function withBeside(plan: PlanDoc, beside: NonNullable<PlanDoc['beside']>): PlanDoc {
  const { beside: _, ...rest } = plan;
  return beside.length === 0 ? rest : { ...rest, beside };
}

/** A plan after its pot or its ring was chosen anew: a pot or a ring stands nowhere twice. */
export const withoutClash = (plan: PlanDoc): PlanDoc =>
  withBeside(
    plan,
    (plan.beside ?? []).filter((p) => p.potId !== plan.potId && p.burnerId !== plan.burnerId),
  );

/** Whether all its pots and rings are still in the kitchen. */
export const standsIn = (plan: PlanDoc, kitchen: Pick<Kitchen, 'pots' | 'burners'>): boolean =>
  [{ potId: plan.potId, burnerId: plan.burnerId }, ...(plan.beside ?? [])].every(
    ({ potId, burnerId }) =>
      kitchen.pots.some((p) => p.id === potId) && kitchen.burners.some((b) => b.id === burnerId),
  );
