import type { Stretch } from '../../../physics/heat.ts';
import { KETTLE_FACTS } from '../../../tables/constants.ts';
import { powerIntoPotW } from '../../model/kitchen.ts';
import type { BoilStep, HeatStep } from '../../model/steps.ts';
import type { Vessel } from '../../model/vessel.ts';
import { type SimState, StepStop } from '../state.ts';

/** A small pot for spices and syrups, where the kitchen has no second one: only its width matters for the flame. */
const NOMINAL_SMALL_POT = { diameterCm: 18 };

/** What heats a vessel: a kettle itself, a pot its own ring where it has one. */
export const burnerIdOf = (sim: SimState, step: HeatStep | BoilStep, vesselId: string): string =>
  sim.specs.get(vesselId)?.kind === 'kettle'
    ? vesselId
    : (sim.specs.get(vesselId)?.burnerId ?? step.burnerId);

export function powerFor(sim: SimState, step: HeatStep | BoilStep, vessel: Vessel): number {
  const burnerId = burnerIdOf(sim, step, vessel.id);
  // What was learnt of it at this batch counts for it alone.
  const share = sim.factors.power * (sim.powerFactors.get(burnerId) ?? 1);
  if (sim.specs.get(vessel.id)?.kind === 'kettle') return KETTLE_FACTS.powerIntoW * share;
  const burner = sim.kitchen.burners.find((b) => b.id === burnerId);
  if (!burner) throw new StepStop({ kind: 'unknownBurner', stepId: step.id, burnerId });
  const spec = sim.specs.get(vessel.id);
  const potId = spec?.potId ?? (spec?.kind === 'spicePot' ? null : sim.program.potId);
  const pot = potId === null ? NOMINAL_SMALL_POT : sim.kitchen.pots.find((p) => p.id === potId);
  if (!pot) throw new StepStop({ kind: 'unknownVessel', stepId: step.id, vesselId: vessel.id });
  return powerIntoPotW(burner, pot) * share;
}

/** The first `minutes` of a path; a longer time holds the last temperature. */
export function cutAfter(stretches: readonly Stretch[], minutes: number): Stretch[] {
  const out: Stretch[] = [];
  let gone = 0;
  for (const s of stretches) {
    if (gone >= minutes - 1e-9) return out;
    const share = Math.min(1, (minutes - gone) / s.minutes);
    out.push({
      minutes: s.minutes * share,
      fromC: s.fromC,
      toC: s.fromC + (s.toC - s.fromC) * share,
      steamL: s.steamL * share,
    });
    gone += s.minutes * share;
  }
  const last = out.at(-1);
  if (last && gone < minutes - 1e-9) {
    out.push({ minutes: minutes - gone, fromC: last.toC, toC: last.toC, steamL: 0 });
  }
  return out;
}
