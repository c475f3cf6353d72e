import { EMPTY, massG, minus, plus, scaled, volumeMl } from '../../../liquor/composition.ts';
import { BLENDING } from '../../../tables/constants.ts';
import { shareOfLoad } from '../../model/loads.ts';
import type { ProgramLine } from '../../model/program.ts';
import type { Step } from '../../model/steps.ts';
import type { Vessel } from '../../model/vessel.ts';
import { addSolids, type TakenSolid, takeSolids } from '../lines.ts';
import { pourIn } from '../readings.ts';
import {
  addFlow,
  drainedOf,
  drawableIn,
  lineOf,
  mixLiquors,
  rowOfSolid,
  type SimState,
  StepStop,
  setVessel,
  solidOf,
  solidsInfo,
  vesselOf,
  withComposition,
} from '../state.ts';
import { firstOf, type StepRun } from './stepTime.ts';

export function moved(
  sim: SimState,
  step: Step,
  from: Vessel,
  to: Vessel,
  comp: Vessel['liquor'],
  volumeL: number,
): void {
  addFlow(sim, () => ({
    stepId: step.id,
    code: 'moved',
    direction: 'move',
    volumeL,
    comp,
    from: from.id,
    to: to.id,
  }));
}

/** Liquor that clung to solids left in the vessel joins the new water: one pool, drawn on from where it stood. */
export function rejoinHeld(sim: SimState, step: Step, vessel: Vessel): Vessel {
  let liquor = vessel.liquor;
  for (const solid of vessel.solids) {
    if (massG(solid.held) <= 0) continue;
    const after = plus(liquor, solid.held);
    addFlow(sim, () => ({
      stepId: step.id,
      code: 'held',
      direction: 'out',
      volumeL: (volumeMl(liquor) - volumeMl(after)) / 1000,
      comp: scaled(solid.held, -1),
      lineId: solid.lineId,
      from: vessel.id,
    }));
    liquor = withComposition(liquor, after);
  }
  const joined = { ...vessel, liquor, solids: vessel.solids.map((s) => solidOf(s, s.extracted, EMPTY)) };
  setVessel(sim, joined);
  return joined;
}

/** Grams of a line that a step takes: its share for this fill, or so much for each millilitre that is there. */
export function gramsFor(sim: SimState, step: Step, line: ProgramLine, resultMl: number): number {
  if (line.rule.kind !== 'byResult') return line.massG * shareOfLoad(sim.program, step);
  const perMl =
    sim.tables.liquids.get(line.itemId)?.densityGPerMl ?? sim.tables.sweeteners.get(line.itemId)?.bulkGPerMl;
  if (perMl === undefined) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
  return line.rule.ratio * resultMl * perMl;
}

/** Pours a step's liquids and sweeteners, then puts all its solids in at once. */
export function addLines(sim: SimState, step: Step, vesselId: string, run: StepRun): void {
  const solids: TakenSolid[] = [];
  const resultMl = volumeMl(vesselOf(sim, step.id, vesselId).liquor);
  for (const lineId of step.lines) {
    const line = lineOf(sim, step.id, lineId);
    if (line.kind === 'solid') solids.push(takeSolids(sim, step, lineId));
    else {
      const grams = gramsFor(sim, step, line, resultMl);
      if (line.rule.kind === 'byResult') run.dosedG[line.id] = grams;
      pourIn(sim, step, vesselOf(sim, step.id, vesselId), line.kind, line.itemId, line.id, grams);
    }
  }
  addSolids(sim, step, vesselOf(sim, step.id, vesselId), solids);
  const milled = new Set(solids.flatMap((t) => (t.solid.milled ? [t.solid.lineId] : [])));
  if (milled.size > 0)
    setVessel(sim, breakOpen(sim, step, vesselOf(sim, step.id, vesselId), BLENDING.drawnShare, milled));
}

/** Books what is drawn from solids that are broken open, up to a share of all that is in them. */
export function breakOpen(
  sim: SimState,
  step: Step,
  vessel: Vessel,
  share: number,
  only?: ReadonlySet<string>,
): Vessel {
  let liquor = vessel.liquor;
  const solids = vessel.solids.map((solid) => {
    const row = rowOfSolid(sim, step.id, solid);
    const delta = share - solid.extracted;
    if (row.rate100PerMin === null || delta <= 0 || (only && !only.has(solid.lineId))) return solid;
    const all = drawableIn(sim, row, solid.massG);
    const after = plus(liquor, all, delta);
    const before = liquor;
    addFlow(sim, () => ({
      stepId: step.id,
      code: 'drawn',
      direction: 'in',
      volumeL: (volumeMl(after) - volumeMl(before)) / 1000,
      comp: scaled(all, delta),
      lineId: solid.lineId,
      to: vessel.id,
    }));
    liquor = { ...withComposition(liquor, after), read: null };
    return solidOf(solid, share, solid.held);
  });
  return { ...vessel, liquor, solids };
}

/** Pours everything that is liquid in other vessels into one. */
export function pourTogether(sim: SimState, step: Step, toId: string): void {
  for (const id of step.from) {
    if (id === toId) continue;
    const from = vesselOf(sim, step.id, id);
    if (volumeMl(from.liquor) < 1) continue;
    pourOver(sim, step, from, vesselOf(sim, step.id, toId), 1);
  }
}

/** A share of a vessel's liquor into another. */
export function pourOver(sim: SimState, step: Step, from: Vessel, to: Vessel, share: number): void {
  const through = withComposition(from.liquor, scaled(from.liquor, share));
  const dry = massG(to.liquor) <= 0 && to.solids.length === 0 && to.liquor.origins.length === 0;
  const joined = dry
    ? through
    : mixLiquors(sim, to.liquor, massG(to.liquor) + solidsInfo(sim, to).massG, through, massG(through));
  moved(sim, step, from, to, through, (volumeMl(joined) - volumeMl(to.liquor)) / 1000);
  setVessel(sim, {
    ...from,
    liquor:
      share >= 1
        ? drainedOf(sim, from, from.solids, sim.kitchen.roomC)
        : withComposition(from.liquor, scaled(from.liquor, 1 - share)),
  });
  setVessel(sim, { ...to, liquor: joined });
}

/** Solids lifted out of the pot, dripping: they keep what they hold, and may be put back. */
export function liftOut(sim: SimState, step: Step): void {
  const from = vesselOf(sim, step.id, firstOf(step.from));
  const bowl = vesselOf(sim, step.id, firstOf(step.to));
  const hasMl = volumeMl(from.liquor);
  const lifted = from.solids.filter((s) => step.lines.includes(s.lineId));
  if (hasMl < 1 && lifted.length === 0)
    throw new StepStop({ kind: 'emptyVessel', stepId: step.id, vesselId: from.id });
  let liquor = from.liquor;
  let leftMl = hasMl;
  const out = lifted.map((solid) => {
    // Off a dry bottom it comes with what clings to it already.
    if (hasMl < 1) return { ...solid, lifted: { atMin: sim.nowMin, cooling: from.liquor.cooling } };
    const ml = Math.min(
      rowOfSolid(sim, step.id, solid).holdMlPerG.drain * solid.massG,
      // Of several each takes from what the one before it left.
      leftMl * 0.9,
    );
    leftMl -= ml;
    const held = scaled(from.liquor, ml / hasMl);
    addFlow(sim, () => ({
      stepId: step.id,
      code: 'held',
      direction: 'out',
      volumeL: ml / 1000,
      comp: held,
      lineId: solid.lineId,
      from: from.id,
    }));
    liquor = withComposition(liquor, minus(liquor, held));
    return { ...solid, held, lifted: { atMin: sim.nowMin, cooling: from.liquor.cooling } };
  });
  setVessel(sim, { ...from, liquor, solids: from.solids.filter((s) => !lifted.includes(s)) });
  setVessel(sim, { ...bowl, solids: [...bowl.solids, ...out] });
}
