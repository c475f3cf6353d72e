import { scaled, volumeMl } from '../../../liquor/composition.ts';
import { expansion } from '../../../liquor/water.ts';
import { boilingPointC, heldPath, type Stretch } from '../../../physics/heat.ts';
import { powerFactorOf } from '../../../physics/powerFactor.ts';
import { areaM2 } from '../../../physics/vesselShape.ts';
import { FUSION_J_PER_G } from '../../../tables/constants.ts';
import { said } from '../../../units/result.ts';
import { powerIntoPotW } from '../../model/kitchen.ts';
import type { BoilStep, CoolStep, HeatStep, SoakStep, SteepStep, Step, Vessel } from '../../model/types.ts';
import { advanceVessel, atPace, boilPath, pathOf } from '../evolve.ts';
import {
  addFlow,
  capacityOfContents,
  drainedOf,
  ingredientOf,
  noteRoom,
  type SimState,
  StepStop,
  setVessel,
  solidsInfo,
  vesselOf,
  widthM,
} from '../state.ts';
import { flameOutAheadMin, inPieces, plannedRemaining, type StepRun, wetVessel } from './stepTime.ts';

/** StorageClimate somewhere for a time: soaking cold, steeping hot or cold. */
export function standStep(sim: SimState, step: SoakStep | SteepStep, run: StepRun): void {
  const { id } = wetVessel(sim, step);
  inPieces(sim, step, run, new Set([id]), plannedRemaining(step), (minutes) => {
    const vessel = { ...vesselOf(sim, step.id, id), place: step.place, lid: step.lid };
    const held = step.kind === 'steep' && step.holdC !== undefined && !run.flameOut;
    const stretches = held
      ? heldPath(
          vessel.liquor.tempC,
          { ambientC: sim.kitchen.roomC, surfaceM2: areaM2(widthM(sim, vessel)), lid: step.lid },
          minutes,
        )
      : pathOf(sim, vessel, { place: step.place, lid: step.lid, powerW: 0 }, { minutes }).stretches;
    setVessel(sim, advanceVessel(sim, step.id, vessel, stretches, step.place, run.lived));
  });
  const after = vesselOf(sim, step.id, id);
  setVessel(sim, { ...after, place: step.place === 'fridge' ? 'fridge' : 'counter' });
  if (step.kind === 'soak' && step.thrown && run.stopAfterMin === null) throwAway(sim, step, id);
}

/** The water of a cleaning soak goes down the sink; what drips from the solids stays on them. */
function throwAway(sim: SimState, step: Step, vesselId: string): void {
  const vessel = vesselOf(sim, step.id, vesselId);
  const hasMl = volumeMl(vessel.liquor);
  if (hasMl <= 0) return;
  let keptMl = 0;
  const solids = vessel.solids.map((solid) => {
    const row = ingredientOf(sim, step.id, solid.ingredientId);
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

/** A small pot for spices and syrups, where the kitchen has no second one: only its width matters for the flame. */
const NOMINAL_SMALL_POT = { diameterCm: 18 };

function powerFor(sim: SimState, step: HeatStep | BoilStep, vessel: Vessel): number {
  const burner = sim.kitchen.burners.find((b) => b.id === step.burnerId);
  if (!burner) throw new StepStop({ kind: 'unknownBurner', stepId: step.id, burnerId: step.burnerId });
  const spec = sim.specs.get(vessel.id);
  const potId = spec?.potId ?? (spec?.kind === 'spicePot' ? null : sim.program.potId);
  const pot = potId === null ? NOMINAL_SMALL_POT : sim.kitchen.pots.find((p) => p.id === potId);
  if (!pot) throw new StepStop({ kind: 'unknownVessel', stepId: step.id, vesselId: vessel.id });
  return powerIntoPotW(burner, pot) * sim.factors.power * (sim.powerFactors.get(burner.id) ?? 1);
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
  sim.powerFactors.set(step.burnerId, (sim.powerFactors.get(step.burnerId) ?? 1) * share);
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

/** Heating to a temperature. Where the cook has said when it boiled, the pot's own pace replaces the predicted one. */
export function heatStep(sim: SimState, step: HeatStep, run: StepRun): void {
  const start = wetVessel(sim, step);
  const targetC =
    step.until.kind === 'temp' && step.until.targetC !== null
      ? step.until.targetC
      : boilingPointC(sim.kitchen.altitudeM);
  learnPace(sim, step, start, run);
  const around = { place: 'stove' as const, lid: step.lid, powerW: powerFor(sim, step, start) };
  setVessel(sim, { ...start, place: 'stove', lid: step.lid });
  noteRoom(sim, vesselOf(sim, step.id, start.id), true);
  const first = pathOf(sim, start, around, { targetC });
  if (first.end === 'never' && run.actualMin === null && run.stopAfterMin === null) {
    throw new StepStop({ kind: 'neverBoils', stepId: step.id, vesselId: start.id, reachesC: first.endC });
  }
  run.notes.push(said('heat.takes', { minutes: Math.round(run.actualMin ?? first.minutes) }));
  const startMin = sim.nowMin;
  const toTarget = () => pathOf(sim, vesselOf(sim, step.id, start.id), around, { targetC }).minutes;
  inPieces(sim, step, run, new Set([start.id]), toTarget, (minutes, goneMin) => {
    const vessel = vesselOf(sim, step.id, start.id);
    const path = pathOf(sim, vessel, around, { targetC });
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
    setVessel(sim, advanceVessel(sim, step.id, vessel, stretches, 'stove', run.lived));
  });
  noteRoom(sim, vesselOf(sim, step.id, start.id), true);
}

/** The first `minutes` of a path; a longer time holds the last temperature. */
function cutAfter(stretches: readonly Stretch[], minutes: number): Stretch[] {
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

/** A boil that would have to go on for longer never gets there, minutes. */
const LONGEST_BOIL_MIN = 24 * 60;

/** What a boil goes down to, mL as at 20 °C; null where it goes by the clock. A cook's litres are read as it stands hot. */
function goalMlOf(sim: SimState, step: BoilStep, start: Vessel, boilC: number): number | null {
  if (step.until.kind !== 'down') return null;
  const { to } = step.until;
  if ('share' in to) return to.share * volumeMl(start.liquor);
  // Up to a mark there is liquor and what lies in it.
  const hotMl =
    'litres' in to
      ? to.litres * 1000
      : areaM2(widthM(sim, start)) * to.levelCm * 1e4 - solidsInfo(sim, start).volumeMl;
  return Math.max(0, hotMl) / expansion(boilC);
}

/** Minutes of boiling until so much is left: what the plants still give is counted by trying. */
function downMin(
  sim: SimState,
  step: BoilStep,
  vessel: Vessel,
  boil: Parameters<typeof boilPath>[2],
  goalMl: number,
): number {
  const hasMl = volumeMl(vessel.liquor);
  if (hasMl <= goalMl) return 0;
  const { rate } = boilPath(sim, vessel, boil, 1);
  const mlPerMin = (rate.litresPerH * sim.factors.boilOff * 1000) / 60;
  let minutes = (hasMl - goalMl) / mlPerMin;
  const never = { kind: 'neverDown' as const, stepId: step.id, vesselId: vessel.id, toL: goalMl / 1000 };
  if (!(minutes < LONGEST_BOIL_MIN)) throw new StepStop(never);
  const quiet = { ...sim, flows: null };
  for (let round = 0; round < 3; round++) {
    const { stretches } = boilPath(sim, vessel, boil, minutes);
    const left = volumeMl(advanceVessel(quiet, step.id, vessel, stretches, 'stove', null).liquor);
    minutes = Math.max(0, minutes + (left - goalMl) / mlPerMin);
  }
  return minutes;
}

/** So near the boiling point it boils, °C. */
const AT_THE_BOIL_C = 0.2;

export function boilStep(sim: SimState, step: BoilStep, run: StepRun): void {
  const start = wetVessel(sim, step);
  const boilC = boilingPointC(sim.kitchen.altitudeM);
  const powerW = powerFor(sim, step, start);
  // A heat step has brought it to the boil; where that was left out, the flame does so now.
  const isBoiling = (vessel: Vessel) => vessel.liquor.tempC > boilC - AT_THE_BOIL_C;
  const boiling = isBoiling(start) ? { ...start.liquor, tempC: boilC } : start.liquor;
  setVessel(sim, { ...start, place: 'stove', lid: step.lid, liquor: boiling });
  noteRoom(sim, vesselOf(sim, step.id, start.id), true);
  const atStart = boilPath(sim, start, { level: step.level, lid: step.lid, powerW, boilC }, 1);
  if (atStart.rate.tooWeak) run.notes.push(said('boil.tooWeak'));
  else if (atStart.rate.turnUp)
    run.notes.push(said('boil.turnUp', { percent: Math.round(atStart.rate.setting * 100) }));
  const around = { place: 'stove' as const, lid: step.lid, powerW };
  const here = () => vesselOf(sim, step.id, start.id);
  /** Minutes in which it did not boil: without a flame, and on the way to the boil. */
  let stillMin = 0;
  const toBoil = () => (isBoiling(here()) ? null : pathOf(sim, here(), around, { targetC: boilC }));
  // A flame too weak for it never gets there: the planned minutes go by all the same.
  const wayMin = () => {
    const way = toBoil();
    return way?.end === 'reached' ? way.minutes : 0;
  };
  const goalMl = goalMlOf(sim, step, start, boilC);
  const remaining = (goneMin: number) => {
    const leftMin =
      goalMl === null
        ? plannedRemaining(step)(goneMin) + stillMin
        : downMin(sim, step, here(), { level: step.level, lid: step.lid, powerW, boilC }, goalMl);
    // What is poured in at its end is not brought back to the boil.
    return leftMin > 1e-9 ? leftMin + wayMin() : 0;
  };
  inPieces(sim, step, run, new Set([start.id]), remaining, (minutes) => {
    if (run.flameOut) {
      const { stretches } = pathOf(sim, here(), { ...around, powerW: 0 }, { minutes });
      setVessel(sim, advanceVessel(sim, step.id, here(), stretches, 'stove', run.lived));
      stillMin += minutes;
      return;
    }
    const way = toBoil();
    if (way && way.end !== 'reached') {
      const { stretches } = pathOf(sim, here(), around, { minutes });
      setVessel(sim, advanceVessel(sim, step.id, here(), stretches, 'stove', run.lived));
      return;
    }
    const warmMin = Math.min(minutes, way?.minutes ?? 0);
    const warmed = way ? cutAfter(way.stretches, warmMin) : [];
    stillMin += warmMin;
    const { stretches } = boilPath(
      sim,
      here(),
      { level: step.level, lid: step.lid, powerW, boilC },
      minutes - warmMin,
    );
    setVessel(sim, advanceVessel(sim, step.id, here(), [...warmed, ...stretches], 'stove', run.lived));
  });
}

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
