import { massG, plus, scaled, volumeMl, water } from '../../../liquor/composition.ts';
import { juicePerKg } from '../../../physics/juice.ts';
import { foamOf } from '../../../physics/room.ts';
import {
  BLENDED_FOAM_MIN,
  BLENDING,
  CLOTH_LOSS_ML,
  MOST_LOSS_SHARE,
  STRAIN_LOSS_ML,
} from '../../../tables/constants.ts';
import { said } from '../../../units/result.ts';
import { factorOf } from '../../model/factors.ts';
import type { Solid } from '../../model/liquor.ts';
import type { BlendStep, JuiceStep, Step, StrainStep } from '../../model/steps.ts';
import type { Vessel } from '../../model/vessel.ts';
import { rinseWater } from '../lines.ts';
import {
  addFlow,
  drainedOf,
  drawableOf,
  emptyLiquor,
  mixLiquors,
  noteRoom,
  rowOfSolid,
  type SimState,
  StepStop,
  setVessel,
  solidOf,
  solidsInfo,
  vesselOf,
  withComposition,
} from '../state.ts';
import { addLines, breakOpen, moved, pourTogether, rejoinHeld } from './pouring.ts';
import { firstOf, handWork, type StepRun, wetVessel } from './stepTime.ts';

/** Parts liquor and solids of a vessel: what each solid holds stays with it, the rest goes on. */
function freeLiquor(
  sim: SimState,
  step: StrainStep | JuiceStep,
  from: Vessel,
  how: { holdMl: (solid: Solid) => number; lossMl: number; keepSolids: boolean; aside?: boolean },
): void {
  const to = vesselOf(sim, step.id, firstOf(step.to));
  const hasMl = volumeMl(from.liquor);
  let leftMl = hasMl - how.lossMl;
  const holds = from.solids.map((s) => {
    const ml = how.holdMl(s);
    leftMl -= ml;
    return ml;
  });
  if (leftMl <= 0) {
    throw new StepStop({
      kind: 'allHeld',
      stepId: step.id,
      vesselId: from.id,
      heldL: (hasMl - leftMl) / 1000,
      hasL: hasMl / 1000,
    });
  }
  for (const [i, solid] of from.solids.entries()) {
    addFlow(sim, () => ({
      stepId: step.id,
      code: 'held',
      direction: 'out',
      volumeL: holds[i]! / 1000,
      comp: scaled(from.liquor, holds[i]! / hasMl),
      lineId: solid.lineId,
      from: from.id,
    }));
  }
  addFlow(sim, () => ({
    stepId: step.id,
    code: 'strainLoss',
    direction: 'out',
    volumeL: how.lossMl / 1000,
    comp: scaled(from.liquor, how.lossMl / hasMl),
    from: from.id,
  }));
  const spent = from.solids.map((s, i) => solidOf(s, s.extracted, scaled(from.liquor, holds[i]! / hasMl)));
  const through = withComposition(from.liquor, scaled(from.liquor, leftMl / hasMl));
  const joined = mixLiquors(sim, to.liquor, massG(to.liquor), through, massG(through));
  moved(sim, step, from, to, through, (volumeMl(joined) - volumeMl(to.liquor)) / 1000);
  setVessel(sim, {
    ...from,
    place: 'counter',
    liquor: drainedOf(sim, from, how.keepSolids ? spent : [], sim.kitchen.roomC),
    solids: how.keepSolids ? spent : [],
  });
  // What waits in a jar waits cold.
  const waits = sim.specs.get(to.id)?.kind === 'jar';
  setVessel(sim, {
    ...to,
    place: waits ? 'fridge' : 'counter',
    lid: waits ? 'on' : 'off',
    liquor: massG(to.liquor) > 0 ? joined : through,
  });
  noteRoom(sim, vesselOf(sim, step.id, to.id), false);
  if (how.aside) layAside(sim, from, spent);
  else if (!how.keepSolids) {
    const leftovers = [...sim.vessels.values()].find((v) => sim.specs.get(v.id)?.kind === 'spent');
    if (leftovers) setVessel(sim, { ...leftovers, solids: [...leftovers.solids, ...spent] });
  }
}

/** Strained off and put into a bowl, to be used again: they go on with the history that they share with their liquor. */
function layAside(sim: SimState, from: Vessel, solids: readonly Solid[]): void {
  const bowl = [...sim.vessels.values()].find((v) => sim.specs.get(v.id)?.kind === 'bowl');
  if (!bowl) return;
  const lifted = { atMin: sim.nowMin, cooling: from.liquor.cooling };
  setVessel(sim, { ...bowl, solids: [...bowl.solids, ...solids.map((s) => ({ ...s, lifted }))] });
}

/** Lost to sieves and cloths: each passing wets them anew, mL. */
function lossOf(step: StrainStep): number {
  const passes = step.passes ?? [
    { by: 'sieve', times: 1 },
    ...(step.cloth ? [{ by: 'cloth', times: 1 }] : []),
  ];
  return passes.reduce((sum, p) => sum + p.times * (p.by === 'cloth' ? CLOTH_LOSS_ML : STRAIN_LOSS_ML), 0);
}

/** Liquor leaves its solids: what they hold stays with them, a little is lost to sieve and cloth. */
export function strainStep(sim: SimState, step: StrainStep, run: StepRun): void {
  const from = wetVessel(sim, step);
  const hand = factorOf(sim.factors, 'press', step.press);
  const holdMl = (solid: Solid) =>
    rowOfSolid(sim, step.id, solid).holdMlPerG[step.press] * hand * solid.massG;
  // A jar of syrup does not lose half of itself to its sieve.
  const lossMl = Math.min(
    lossOf(step) * factorOf(sim.factors, 'strainLoss'),
    MOST_LOSS_SHARE * volumeMl(from.liquor),
  );
  const { keepSolids } = step;
  const aside = step.asideSolids ?? false;
  if (step.rinseMl) {
    freeLiquor(sim, step, from, { holdMl, lossMl, keepSolids: true });
    // Water over what stays in the sieve joins what clings there, and as much runs off.
    pourOnPulp(sim, step, from.id, step.rinseMl);
    freeLiquor(sim, step, vesselOf(sim, step.id, from.id), { holdMl, lossMl: 0, keepSolids, aside });
  } else freeLiquor(sim, step, from, { holdMl, lossMl, keepSolids, aside });
  handWork(sim, step, run);
}

function pourOnPulp(sim: SimState, step: Step, vesselId: string, ml: number): void {
  const vessel = rejoinHeld(sim, step, vesselOf(sim, step.id, vesselId));
  const rinse = rinseWater(sim, ml);
  const comp = plus(vessel.liquor, rinse);
  addFlow(sim, () => ({
    stepId: step.id,
    code: 'rinseWater',
    direction: 'in',
    volumeL: (volumeMl(comp) - volumeMl(vessel.liquor)) / 1000,
    comp: rinse,
    to: vesselId,
  }));
  setVessel(sim, { ...vessel, liquor: { ...withComposition(vessel.liquor, comp), read: null } });
}

/** What is blended out of a pot is blended with all that lies in it. */
function moveSolids(sim: SimState, step: Step, toId: string): void {
  for (const id of step.from) {
    if (id === toId || sim.specs.get(id)?.kind === 'bowl') continue;
    const from = vesselOf(sim, step.id, id);
    if (from.solids.length === 0) continue;
    setVessel(sim, { ...from, liquor: emptyLiquor(sim.kitchen.roomC), solids: [] });
    const to = vesselOf(sim, step.id, toId);
    setVessel(sim, { ...to, solids: [...to.solids, ...from.solids] });
  }
}

/** Blending: what is in broken cells is free at once. The foam that stands on it is air and is not counted. */
export function blendStep(sim: SimState, step: BlendStep, run: StepRun): void {
  const { id } = vesselOf(sim, step.id, firstOf(step.to));
  pourTogether(sim, step, id);
  moveSolids(sim, step, id);
  addLines(sim, step, id, run);
  const vessel = vesselOf(sim, step.id, id);
  const fillMl = volumeMl(vessel.liquor) + solidsInfo(sim, vessel).volumeMl;
  if (fillMl < 1) throw new StepStop({ kind: 'emptyVessel', stepId: step.id, vesselId: id });
  setVessel(sim, breakOpen(sim, step, vessel, BLENDING.drawnShare));
  const { blenderMl } = sim.kitchen.tools;
  // Where there is no blender it is pounded: there are no loads to count.
  if (blenderMl > 0) {
    const loads = Math.ceil(fillMl / (blenderMl * BLENDING.fillShare) - 1e-9);
    run.notes.push(said('blend.loads', { loads }));
    noteFoam(sim, step, vessel.solids, run);
  }
  handWork(sim, step, run);
}

/** A blender beats in air: the liveliest of what is in it says how long its foam stands. */
function noteFoam(sim: SimState, step: Step, solids: readonly Solid[], run: StepRun): void {
  if (solids.length === 0) return;
  const foam = foamOf(solids.map((s) => rowOfSolid(sim, step.id, s).foam));
  run.notes.push(said('blend.foam', { minutes: BLENDED_FOAM_MIN[foam] }));
}

/** Juicing: so many millilitres for each kilogram by the tool at hand; the rest stays in the pulp. */
export function juiceStep(sim: SimState, step: JuiceStep, run: StepRun): void {
  const from = vesselOf(sim, step.id, firstOf(step.from));
  addLines(sim, step, from.id, run);
  const whole = breakOpen(sim, step, vesselOf(sim, step.id, from.id), 1);
  const allMl = volumeMl(whole.liquor);
  const contentMl = (solid: Solid): number => {
    const row = rowOfSolid(sim, step.id, solid);
    return volumeMl(plus(water((solid.massG * row.waterPct) / 100), drawableOf(row, solid.massG)));
  };
  if (step.tool === 'blender') noteFoam(sim, step, whole.solids, run);
  const totalMl = whole.solids.reduce((sum, s) => sum + contentMl(s), 0);
  freeLiquor(sim, step, whole, {
    holdMl: (solid) => {
      const row = rowOfSolid(sim, step.id, solid);
      const perKg = juicePerKg(row, step.tool);
      if (perKg === null) throw new StepStop({ kind: 'cannotJuice', stepId: step.id, itemId: row.id });
      // Its part of the pool, less the juice that comes out of it.
      const content = (contentMl(solid) / totalMl) * allMl;
      return Math.max(0, content - (solid.massG / 1000) * perKg);
    },
    lossMl: 0,
    keepSolids: false,
  });
  handWork(sim, step, run);
}
