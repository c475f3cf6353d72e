import { scaled, volumeMl } from '../../../liquor/composition.ts';
import { boilingPointC, heldPath, type Stretch } from '../../../physics/heat.ts';
import { powerFactorOf } from '../../../physics/powerFactor.ts';
import { areaM2 } from '../../../physics/vesselShape.ts';
import { FUSION_J_PER_G, KETTLE_FACTS } from '../../../tables/constants.ts';
import { said } from '../../../units/result.ts';
import type { CoolStep, HeatStep, SoakStep, SteepStep, Step } from '../../model/steps.ts';
import type { Vessel } from '../../model/vessel.ts';
import { advanceVessel, atPace, pathOf } from '../evolve.ts';
import {
  addFlow,
  capacityOfContents,
  drainedOf,
  noteRoom,
  rowOfSolid,
  type SimState,
  StepStop,
  setVessel,
  vesselOf,
  widthM,
} from '../state.ts';
import { burn, burnerIdOf, cutAfter, holdingShare, powerFor } from './flame.ts';
import {
  flameOutAheadMin,
  inPieces,
  plannedRemaining,
  type StepRun,
  wetVessel,
  wetVessels,
} from './stepTime.ts';

/** Somewhere for a time: soaking cold, steeping hot or cold. */
export function standStep(sim: SimState, step: SoakStep | SteepStep, run: StepRun): void {
  const ids = wetVessels(sim, step).map((v) => v.id);
  inPieces(sim, step, run, new Set(ids), plannedRemaining(step), (minutes) => {
    for (const [i, id] of ids.entries()) {
      const vessel = { ...vesselOf(sim, step.id, id), place: step.place, lid: step.lid };
      const held = step.kind === 'steep' && step.holdC !== undefined && !run.flameOut;
      const stretches = held
        ? heldPath(
            vessel.liquor.tempC,
            { ambientC: sim.kitchen.roomC, surfaceM2: areaM2(widthM(sim, vessel)), lid: step.lid },
            minutes,
          )
        : pathOf(sim, vessel, { place: step.place, lid: step.lid, powerW: 0 }, { minutes }).stretches;
      if (held) burn(sim, step, id, minutes, holdingShare(sim, step, vessel, step.lid));
      setVessel(sim, advanceVessel(sim, step.id, vessel, stretches, step.place, i === 0 ? run.lived : null));
    }
  });
  for (const id of ids) {
    const after = vesselOf(sim, step.id, id);
    setVessel(sim, { ...after, place: step.place === 'fridge' ? 'fridge' : 'counter' });
    if (step.kind === 'soak' && step.thrown && run.stopAfterMin === null) throwAway(sim, step, id);
  }
}

/** The water of a cleaning soak goes down the sink; what drips from the solids stays on them. */
function throwAway(sim: SimState, step: Step, vesselId: string): void {
  const vessel = vesselOf(sim, step.id, vesselId);
  const hasMl = volumeMl(vessel.liquor);
  if (hasMl <= 0) return;
  let keptMl = 0;
  const solids = vessel.solids.map((solid) => {
    const row = rowOfSolid(sim, step.id, solid);
    // Own water included: what the solid holds when it has drained.
    const ml = Math.min(row.holdMlPerG.drain * solid.massG, Math.max(0, hasMl - keptMl));
    keptMl += ml;
    return { ...solid, held: scaled(vessel.liquor, ml / hasMl) };
  });
  for (const solid of solids) {
    addFlow(sim, () => ({
      stepId: step.id,
      code: 'held',
      direction: 'out',
      volumeL: volumeMl(solid.held) / 1000,
      comp: solid.held,
      lineId: solid.lineId,
      from: vesselId,
    }));
  }
  const goneShare = 1 - keptMl / hasMl;
  addFlow(sim, () => ({
    stepId: step.id,
    code: 'thrown',
    direction: 'out',
    volumeL: (hasMl * goneShare) / 1000,
    comp: scaled(vessel.liquor, goneShare),
    from: vesselId,
  }));
  setVessel(sim, { ...vessel, liquor: drainedOf(sim, vessel, solids, sim.kitchen.tapC), solids });
}

const evenly = (fromC: number, toC: number, minutes: number): Stretch[] => {
  const parts = Math.max(1, Math.ceil(Math.abs(toC - fromC) / 5));
  return Array.from({ length: parts }, (_, i) => ({
    minutes: minutes / parts,
    fromC: fromC + ((toC - fromC) * i) / parts,
    toC: fromC + ((toC - fromC) * (i + 1)) / parts,
    steamL: 0,
  }));
};

/** What temperatures read while it heats say of the flame: the rest of this batch is predicted at that pace. */
function learnPace(sim: SimState, step: HeatStep, start: Vessel, run: StepRun): void {
  const happened = run.actual?.adjustments ?? [];
  // What was thrown in or taken out makes another pot of it: readings count up to there.
  const until = Math.min(...happened.filter((a) => a.kind !== 'measured').map((a) => a.atMin));
  const readings = happened.flatMap((a) =>
    a.kind === 'measured' && a.vesselId === start.id && a.reading.what === 'temperature' && a.atMin < until
      ? [{ atMin: a.atMin - sim.nowMin, tempC: a.reading.tempC }]
      : [],
  );
  if (readings.length === 0) return;
  const believedW = powerFor(sim, step, start);
  const minutes = Math.max(...readings.map((r) => r.atMin));
  const share = powerFactorOf(
    (part) => {
      const around = { place: 'stove' as const, lid: step.lid, powerW: believedW * part };
      return along(pathOf(sim, start, around, { minutes }).stretches, start.liquor.tempC);
    },
    readings.sort((a, b) => a.atMin - b.atMin),
  );
  if (share === 1) return;
  const burnerId = burnerIdOf(sim, step, start.id);
  sim.powerFactors.set(burnerId, (sim.powerFactors.get(burnerId) ?? 1) * share);
  run.notes.push(said('heat.pace', { percent: Math.round(share * 100) }));
}

/** The temperature at a minute of a path. */
const along =
  (stretches: readonly Stretch[], startC: number) =>
  (minutes: number): number => {
    let from = 0;
    for (const s of stretches) {
      if (minutes <= from + s.minutes) return s.fromC + ((s.toC - s.fromC) * (minutes - from)) / s.minutes;
      from += s.minutes;
    }
    return stretches.at(-1)?.toC ?? startC;
  };

/**
 * Heating to a temperature. Where the cook has said when it boiled, the pot's own pace replaces the predicted one. Of
 * several pots the slowest sets the time; the others wait for it on a low flame.
 */
export function heatStep(sim: SimState, step: HeatStep, run: StepRun): void {
  const pots = wetVessels(sim, step);
  const targetC =
    step.until.kind === 'temp' && step.until.targetC !== null
      ? step.until.targetC
      : boilingPointC(sim.kitchen.altitudeM);
  for (const pot of pots) learnPace(sim, step, pot, run);
  const aroundOf = (vessel: Vessel) => ({
    place: 'stove' as const,
    lid: step.lid,
    powerW: powerFor(sim, step, vessel),
  });
  for (const pot of pots) {
    setVessel(sim, { ...pot, place: 'stove', lid: step.lid });
    noteRoom(sim, vesselOf(sim, step.id, pot.id), true);
  }
  const ways = pots.map((pot) => ({ pot, way: pathOf(sim, pot, aroundOf(pot), { targetC }) }));
  const never = ways.find(({ way }) => way.end === 'never');
  if (never && run.actualMin === null && run.stopAfterMin === null) {
    throw new StepStop({
      kind: 'neverBoils',
      stepId: step.id,
      vesselId: never.pot.id,
      reachesC: never.way.endC,
    });
  }
  const { pot: start, way: first } = never ?? ways.reduce((a, b) => (b.way.minutes > a.way.minutes ? b : a));
  const around = aroundOf(start);
  run.notes.push(said('heat.takes', { minutes: Math.round(run.actualMin ?? first.minutes) }));
  noteKettles(sim, start, run);
  const startMin = sim.nowMin;
  // Worked out once for each state of the pot: what is left of the way, and the way itself.
  let last = { liquor: start.liquor, solids: start.solids, path: first };
  const wayOf = (vessel: Vessel) => {
    if (vessel.liquor !== last.liquor || vessel.solids !== last.solids)
      last = { liquor: vessel.liquor, solids: vessel.solids, path: pathOf(sim, vessel, around, { targetC }) };
    return last.path;
  };
  const toTarget = () => wayOf(vesselOf(sim, step.id, start.id)).minutes;
  inPieces(sim, step, run, new Set(pots.map((p) => p.id)), toTarget, (minutes, goneMin) => {
    for (const { id } of pots) {
      if (id === start.id) continue;
      const vessel = vesselOf(sim, step.id, id);
      const way = run.flameOut
        ? pathOf(sim, vessel, { ...aroundOf(vessel), powerW: 0 }, { minutes })
        : pathOf(sim, vessel, aroundOf(vessel), { targetC });
      const stretches = run.flameOut ? way.stretches : thenHeld(way.stretches, vessel.liquor.tempC, minutes);
      if (!run.flameOut) {
        burn(sim, step, id, Math.min(minutes, way.minutes));
        const hot = { ...vessel, liquor: { ...vessel.liquor, tempC: targetC } };
        burn(sim, step, id, minutes - way.minutes, holdingShare(sim, step, hot, step.lid));
      }
      setVessel(sim, advanceVessel(sim, step.id, vessel, stretches, 'stove', null));
    }
    const vessel = vesselOf(sim, step.id, start.id);
    const path = wayOf(vessel);
    const heatedMin =
      (run.actualMin ?? Number.POSITIVE_INFINITY) - goneMin - flameOutAheadMin(run, startMin, goneMin);
    const leftMin = Math.max(minutes, heatedMin);
    let stretches: Stretch[];
    if (run.flameOut) {
      stretches = pathOf(sim, vessel, { ...around, powerW: 0 }, { minutes }).stretches;
    } else if (Number.isFinite(leftMin)) {
      // The rest of the path in the time that it really took.
      stretches =
        path.end === 'reached' && path.minutes > 0
          ? cutAfter(atPace(path.stretches, leftMin / path.minutes), minutes)
          : cutAfter(evenly(vessel.liquor.tempC, targetC, leftMin), minutes);
    } else {
      stretches = cutAfter(path.stretches, minutes);
    }
    if (!run.flameOut) burn(sim, step, start.id, minutes);
    setVessel(sim, advanceVessel(sim, step.id, vessel, stretches, 'stove', run.lived));
  });
  for (const { id } of pots) noteRoom(sim, vesselOf(sim, step.id, id), true);
}

/** More than a kettle holds is boiled one kettle after the other: as long in all, for the power is the same. */
function noteKettles(sim: SimState, vessel: Vessel, run: StepRun): void {
  if (sim.specs.get(vessel.id)?.kind !== 'kettle') return;
  const loads = Math.ceil(volumeMl(vessel.liquor) / KETTLE_FACTS.holdsMl - 1e-9);
  if (loads > 1) run.notes.push(said('kettle.loads', { loads }));
}

/** A path for so many minutes; what has no way to go stays as hot as it is. */
const thenHeld = (stretches: readonly Stretch[], tempC: number, minutes: number): Stretch[] =>
  stretches.length > 0 ? cutAfter(stretches, minutes) : [{ minutes, fromC: tempC, toC: tempC, steamL: 0 }];

/** Cooling to a temperature, or for a time. */
export function coolStep(sim: SimState, step: CoolStep, run: StepRun): void {
  const start = wetVessel(sim, step);
  const around = { place: step.place, lid: step.lid, powerW: 0 };
  const target = step.until.kind === 'temp' ? step.until.targetC : null;
  const toTarget = (): ReturnType<typeof pathOf> | null => {
    const vessel = vesselOf(sim, step.id, start.id);
    return target === null || vessel.liquor.tempC <= target
      ? null
      : pathOf(sim, vessel, around, { targetC: target });
  };
  if (target !== null && toTarget()?.end === 'never' && run.actualMin === null && run.stopAfterMin === null) {
    throw new StepStop({ kind: 'neverCools', stepId: step.id, vesselId: start.id, targetC: target });
  }
  if (step.place === 'iceBath' && target !== null && start.liquor.tempC > target) {
    const heatJ = capacityOfContents(sim, start) * (start.liquor.tempC - target);
    run.notes.push(said('cool.ice', { iceKg: Math.ceil(heatJ / FUSION_J_PER_G / 100) / 10 }));
  }
  const remaining = target === null ? plannedRemaining(step) : () => toTarget()?.minutes ?? 0;
  inPieces(sim, step, run, new Set([start.id]), remaining, (minutes) => {
    const vessel = { ...vesselOf(sim, step.id, start.id), place: step.place, lid: step.lid };
    const { stretches } = pathOf(sim, vessel, around, { minutes });
    setVessel(sim, advanceVessel(sim, step.id, vessel, stretches, step.place, run.lived));
  });
  const after = vesselOf(sim, step.id, start.id);
  // Out of the ice bath a pot goes into the fridge; that is where a cook puts what is cold.
  setVessel(sim, {
    ...after,
    place: step.place === 'fridge' || step.place === 'iceBath' ? 'fridge' : 'counter',
  });
}
