import { holdingW, lossWPerK, type Stretch } from '../../../physics/heat.ts';
import { areaM2 } from '../../../physics/vesselShape.ts';
import { FUEL_OF, type Fuel, KETTLE_FACTS, type Lid } from '../../../tables/constants.ts';
import { factorOf } from '../../model/factors.ts';
import { powerIntoPotW } from '../../model/kitchen.ts';
import type { BoilStep, HeatStep, SteepStep } from '../../model/steps.ts';
import type { Vessel } from '../../model/vessel.ts';
import { contentsLevelM, type SimState, StepStop, widthM } from '../state.ts';

/** A small pot for spices and syrups, where the kitchen has no second one: only its width matters for the flame. */
const NOMINAL_SMALL_POT = { diameterCm: 18 };

/** A step with a flame under it; one without a ring of its own is kept hot on the plan's. */
type Heated = HeatStep | BoilStep | SteepStep;

/** What heats a vessel: a kettle itself, a pot its own ring where it has one. */
export const burnerIdOf = (sim: SimState, step: Heated, vesselId: string): string =>
  sim.specs.get(vesselId)?.kind === 'kettle'
    ? vesselId
    : (sim.specs.get(vesselId)?.burnerId ?? ('burnerId' in step ? step.burnerId : sim.program.burnerId));

export function powerFor(sim: SimState, step: Heated, vessel: Vessel): number {
  const burnerId = burnerIdOf(sim, step, vessel.id);
  // What was learnt of it at this batch counts for it alone.
  const share = factorOf(sim.factors, 'power', burnerId) * (sim.powerFactors.get(burnerId) ?? 1);
  if (sim.specs.get(vessel.id)?.kind === 'kettle') return KETTLE_FACTS.powerIntoW * share;
  const burner = sim.kitchen.burners.find((b) => b.id === burnerId);
  if (!burner) throw new StepStop({ kind: 'unknownBurner', stepId: step.id, burnerId });
  const spec = sim.specs.get(vessel.id);
  const potId = spec?.potId ?? (spec?.kind === 'spicePot' ? null : sim.program.potId);
  const pot = potId === null ? NOMINAL_SMALL_POT : sim.kitchen.pots.find((p) => p.id === potId);
  if (!pot) throw new StepStop({ kind: 'unknownVessel', stepId: step.id, vesselId: vessel.id });
  return powerIntoPotW(burner, pot) * share;
}

/**
 * A vessel's ring is on for so long: its meter counts what it draws, whatever of that reaches the pot.
 * @param share of its full power.
 */
export function burn(sim: SimState, step: Heated, vesselId: string, minutes: number, share = 1): void {
  if (!(minutes > 0 && share > 0)) return;
  const drawn = drawnBy(sim, step, vesselId);
  // What is heated by nothing that is known is counted nowhere; no batch stops for its meter.
  if (!drawn) return;
  const { fuel, powerW } = drawn;
  const kWh = (powerW * Math.min(1, share) * minutes) / 60_000;
  const same = sim.fuel.find((f) => f.stepId === step.id && f.fuel === fuel);
  if (same) same.kWh += kWh;
  else sim.fuel.push({ stepId: step.id, fuel, kWh });
}

/** What a vessel's ring or its kettle draws with all of its power, W. */
function drawnBy(sim: SimState, step: Heated, vesselId: string): { fuel: Fuel; powerW: number } | null {
  if (sim.specs.get(vesselId)?.kind === 'kettle') return { fuel: 'electricity', powerW: KETTLE_FACTS.powerW };
  const burner = sim.kitchen.burners.find((b) => b.id === burnerIdOf(sim, step, vesselId));
  return burner ? { fuel: FUEL_OF[burner.kind], powerW: burner.powerW } : null;
}

/** What of its full power keeps a vessel as hot as it is. */
export function holdingShare(sim: SimState, step: Heated, vessel: Vessel, lid: Lid): number {
  if (!drawnBy(sim, step, vessel.id)) return 0;
  const diameterM = widthM(sim, vessel);
  const setting = {
    lossWPerK:
      lossWPerK('stove', diameterM, contentsLevelM(sim, vessel)) * factorOf(sim.factors, 'heatLoss', 'stove'),
    ambientC: sim.kitchen.roomC,
    surfaceM2: areaM2(diameterM),
    lid,
  };
  return holdingW(vessel.liquor.tempC, setting) / powerFor(sim, step, vessel);
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
