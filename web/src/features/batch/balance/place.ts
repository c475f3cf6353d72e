import type { BalanceLimits } from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import { type Composition, volumeMl } from '@big-ladle/core/liquor';
import { potShape, type Simulation, type Step, TUB } from '@big-ladle/core/program';
import { capacityMl } from '@big-ladle/core/units';
import { vesselNowId } from '../../../shared/batch/vesselNow.ts';
import { houseOf } from '../../../shared/house.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** The drink whose balance is looked at: as it stands, or as it will stand once it is strained and cool. */
export interface Balanced {
  liquor: Composition;
  /** Where what is stirred in is booked; null: nothing can go in yet. */
  into: { stepId: string; vesselId: string } | null;
}

/** Steps at which a cook stirs things in, the solids being out. */
const OPEN_TO_ADD: ReadonlySet<Step['kind']> = new Set(['cool', 'mix', 'sweeten', 'bottle']);

/** The drink before its sweetening in a plan: what the plane begins with. */
export function plannedBase(sim: Simulation): Composition | null {
  // A drink that nothing sweetens is what goes into the bottles.
  const liquor =
    sim.trace.find((t) => t.kind === 'sweeten')?.before.liquor ??
    sim.trace.find((t) => t.kind === 'bottle')?.after.liquor;
  return liquor && volumeMl(liquor) > 50 ? liquor : null;
}

export function balancedNow(live: LiveBatch): Balanced | null {
  const { step, now } = live;
  const entry = now.moment?.trace.at(-1);
  if (step && entry && OPEN_TO_ADD.has(step.kind)) {
    const vesselId = step.kind === 'bottle' ? (step.from[0] ?? TUB) : vesselNowId(live);
    const vessel = now.moment?.vessels[vesselId];
    if (vessel && volumeMl(vessel.liquor) > 50 && vessel.solids.length === 0)
      return { liquor: vessel.liquor, into: { stepId: step.id, vesselId } };
  }
  const base = plannedBase(now.forecast);
  return base ? { liquor: base, into: null } : null;
}

/** What bounds an addition in this kitchen: what can receive it, and what the house has settled. */
export function limitsOf(kitchen: Kitchen): BalanceLimits {
  const largest = Math.max(0, ...kitchen.pots.map((p) => capacityMl(potShape(p))));
  return {
    roomMl: Math.max(kitchen.tools.receiverMl, largest),
    freeSugarGPerGlass: houseOf(kitchen).freeSugarGPerGlass,
    servingMl: kitchen.servingMl,
    leastStrength: 0,
  };
}
