import { EMPTY, massG, minus, plus, scaled, volumeMl } from '../../liquor/composition.ts';
import { addSolids, shareOf, type TakenSolid, takeSolids } from '../lines.ts';
import { pourIn } from '../readings.ts';
import {
  addFlow,
  drainedOf,
  ingredientOf,
  lineOf,
  mixLiquors,
  type SimState,
  StepStop,
  setVessel,
  solidOf,
  solidsInfo,
  vesselOf,
  withComposition,
} from '../state.ts';
import type { ProgramLine, Step, Vessel } from '../types.ts';
import { firstOf, type StepRun, wetVessel } from './stepTime.ts';

export function moved(
  work: SimState,
  step: Step,
  from: Vessel,
  to: Vessel,
  comp: Vessel['liquor'],
  volumeL: number,
): void {
  addFlow(work, () => ({
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
export function rejoinHeld(work: SimState, step: Step, vessel: Vessel): Vessel {
  let liquor = vessel.liquor;
  for (const solid of vessel.solids) {
    if (massG(solid.held) <= 0) continue;
    const after = plus(liquor, solid.held);
    addFlow(work, () => ({
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
  setVessel(work, joined);
  return joined;
}

/** Grams of a line that a step takes: its share for this fill, or so much for each millilitre that is there. */
export function gramsFor(work: SimState, step: Step, line: ProgramLine, resultMl: number): number {
  if (line.rule.kind !== 'byResult') return line.massG * shareOf(work, step);
  const perMl =
    work.tables.liquids.get(line.itemId)?.densityGPerMl ??
    work.tables.sweeteners.get(line.itemId)?.bulkGPerMl;
  if (perMl === undefined) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
  return line.rule.ratio * resultMl * perMl;
}

/** Pours a step's liquids and sweeteners, then puts all its solids in at once. */
export function addLines(work: SimState, step: Step, vesselId: string, run: StepRun): void {
  const solids: TakenSolid[] = [];
  const resultMl = volumeMl(vesselOf(work, step.id, vesselId).liquor);
  for (const lineId of step.lines) {
    const line = lineOf(work, step.id, lineId);
    if (line.kind === 'solid') solids.push(takeSolids(work, step, lineId));
    else {
      const grams = gramsFor(work, step, line, resultMl);
      if (line.rule.kind === 'byResult') run.dosedG[line.id] = grams;
      pourIn(work, step, vesselOf(work, step.id, vesselId), line.kind, line.itemId, line.id, grams);
    }
  }
  addSolids(work, step, vesselOf(work, step.id, vesselId), solids);
}

/** Pours everything that is liquid in other vessels into one. */
export function pourTogether(work: SimState, step: Step, toId: string): void {
  for (const id of step.from) {
    if (id === toId) continue;
    const from = vesselOf(work, step.id, id);
    if (volumeMl(from.liquor) < 1) continue;
    pourOver(work, step, from, vesselOf(work, step.id, toId), 1);
  }
}

/** A share of a vessel's liquor into another. */
export function pourOver(work: SimState, step: Step, from: Vessel, to: Vessel, share: number): void {
  const through = withComposition(from.liquor, scaled(from.liquor, share));
  const dry = massG(to.liquor) <= 0 && to.solids.length === 0 && to.liquor.origins.length === 0;
  const joined = dry
    ? through
    : mixLiquors(work, to.liquor, massG(to.liquor) + solidsInfo(work, to).massG, through, massG(through));
  moved(work, step, from, to, through, (volumeMl(joined) - volumeMl(to.liquor)) / 1000);
  setVessel(work, {
    ...from,
    liquor:
      share >= 1
        ? drainedOf(work, from, from.solids, work.kitchen.roomC)
        : withComposition(from.liquor, scaled(from.liquor, 1 - share)),
  });
  setVessel(work, { ...to, liquor: joined });
}

/** Solids lifted out of the pot, dripping: they keep what they hold, and may be put back. */
export function liftOut(work: SimState, step: Step): void {
  const from = wetVessel(work, step);
  const bowl = vesselOf(work, step.id, firstOf(step.to));
  const hasMl = volumeMl(from.liquor);
  const lifted = from.solids.filter((s) => step.lines.includes(s.lineId));
  let liquor = from.liquor;
  const out = lifted.map((solid) => {
    const ml = Math.min(
      ingredientOf(work, step.id, solid.ingredientId).holdMlPerG.drain * solid.massG,
      hasMl * 0.9,
    );
    const held = scaled(from.liquor, ml / hasMl);
    addFlow(work, () => ({
      stepId: step.id,
      code: 'held',
      direction: 'out',
      volumeL: ml / 1000,
      comp: held,
      lineId: solid.lineId,
      from: from.id,
    }));
    liquor = withComposition(liquor, minus(liquor, held));
    return { ...solid, held, lifted: { atMin: work.nowMin, cooling: from.liquor.cooling } };
  });
  setVessel(work, { ...from, liquor, solids: from.solids.filter((s) => !lifted.includes(s)) });
  setVessel(work, { ...bowl, solids: [...bowl.solids, ...out] });
}
