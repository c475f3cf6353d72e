import {
  massG,
  scaled,
  sourGPerLOf,
  sournessGPerL,
  sweetnessToComeG,
  volumeMl,
} from '../../liquor/composition.ts';
import { drawnAfter } from '../../physics/extraction.ts';
import { RINSE_CARRIED_ML_PER_G } from '../../tables/constants.ts';
import { layOut, originKindOf, rinseWater } from '../lines.ts';
import { pourIn } from '../readings.ts';
import {
  addFlow,
  drawableOf,
  emptyLiquor,
  ingredientOf,
  lineOf,
  mixLiquors,
  noteRoom,
  type SimState,
  StepStop,
  setVessel,
  vesselOf,
} from '../state.ts';
import type {
  BottleStep,
  CombineStep,
  FortifyStep,
  MixStep,
  Origin,
  PickStep,
  PrepStep,
  SourStep,
  SplitStep,
  Step,
  SweetenStep,
  Vessel,
  WashStep,
} from '../types.ts';
import { addLines, gramsFor, liftOut, moved, pourOver, pourTogether, rejoinHeld } from './pouring.ts';
import { firstOf, handWork, type StepRun, wetVessel } from './stepTime.ts';

function bowlOf(work: SimState, step: Step): Vessel {
  return vesselOf(work, step.id, firstOf(step.to) ?? firstOf(step.from));
}

export function pickStep(work: SimState, step: PickStep | PrepStep, run: StepRun): void {
  const bowl = bowlOf(work, step);
  for (const lineId of step.lines) layOut(work, step, lineId, bowl.id, step.kind === 'prep');
  handWork(work, step, run);
}

/**
 * A washing or cutting that was passed over: nobody knows whether the thing was opened all the same, so its time counts
 * from then, as if it had been.
 */
export function openUnseen(work: SimState, step: Step): void {
  if (step.kind !== 'wash' && step.kind !== 'prep') return;
  const bowl = bowlOf(work, step);
  for (const lineId of step.lines) layOut(work, step, lineId, bowl.id, true);
}

/** Rinses: a little is drawn at the water's temperature and lost; dried calyx and leaf carry water away with them. */
export function washStep(work: SimState, step: WashStep, run: StepRun): void {
  const bowl = bowlOf(work, step);
  for (const lineId of step.lines) layOut(work, step, lineId, bowl.id, true);
  const minutes = (run.actual?.rinses ?? step.rinses) * step.minutesPerRinse;
  const now = vesselOf(work, step.id, bowl.id);
  setVessel(work, {
    ...now,
    solids: now.solids.map((solid) => {
      if (!step.lines.includes(solid.lineId)) return solid;
      const row = ingredientOf(work, step.id, solid.ingredientId);
      const extracted = drawnAfter(
        solid.extracted,
        row.rate100PerMin,
        row.activationKJ,
        work.kitchen.tapC,
        minutes,
      );
      const lost = scaled(drawableOf(row, solid.massG), extracted - solid.extracted);
      addFlow(work, () => ({
        stepId: step.id,
        code: 'drawn',
        direction: 'in',
        volumeL: 0,
        comp: lost,
        lineId: solid.lineId,
      }));
      addFlow(work, () => ({
        stepId: step.id,
        code: 'bowl',
        direction: 'out',
        volumeL: 0,
        comp: lost,
        lineId: solid.lineId,
      }));
      return {
        ...solid,
        extracted,
        held: row.floats && minutes > 0 ? rinseWater(work, RINSE_CARRIED_ML_PER_G * solid.massG) : solid.held,
      };
    }),
  });
  handWork(work, step, run);
}

export function combineStep(work: SimState, step: CombineStep, run: StepRun): void {
  if (step.lift) {
    liftOut(work, step);
    handWork(work, step, run);
    return;
  }
  const vessel = rejoinHeld(work, step, vesselOf(work, step.id, firstOf(step.to)));
  const fresh = volumeMl(vessel.liquor) < 1 && vessel.solids.length === 0;
  // A pot that comes to the table empty has the temperature of what goes in first.
  setVessel(work, {
    ...vessel,
    place: 'counter',
    liquor: fresh ? emptyLiquor(work.kitchen.tapC) : vessel.liquor,
  });
  pourTogether(work, step, vessel.id);
  addLines(work, step, vessel.id, run);
  noteRoom(work, vesselOf(work, step.id, vessel.id), false);
  handWork(work, step, run);
}

/** Hands work on it: it stands on the table, wherever it stood before, and stays there. */
function ontoTable(work: SimState, step: Step, vesselId: string): void {
  const vessel = vesselOf(work, step.id, vesselId);
  if (vessel.place !== 'counter') setVessel(work, { ...vessel, place: 'counter' });
}

export function mixStep(work: SimState, step: MixStep | FortifyStep, run: StepRun): void {
  const { id } = vesselOf(work, step.id, firstOf(step.to));
  ontoTable(work, step, id);
  pourTogether(work, step, id);
  addLines(work, step, id, run);
  noteRoom(work, vesselOf(work, step.id, id), false);
  handWork(work, step, run);
}

/**
 * A step that ended without a word about what was stirred in: for whom it is and how long it keeps it counts as in the
 * drink, though nobody knows how much.
 */
function takeAsIn(
  work: SimState,
  step: SweetenStep | SourStep,
  run: StepRun,
  vesselId: string,
  kind: 'sweetener' | 'liquid',
): void {
  if (run.actual?.adjustments.some((a) => a.kind === 'added')) return;
  const vessel = vesselOf(work, step.id, vesselId);
  const unsaid = step.lines.map((lineId): Origin => {
    const row = work.tables.liquids.get(lineOf(work, step.id, lineId).itemId);
    const origin = originKindOf(kind, row);
    return { lineId, kind: origin, sinceMin: work.nowMin, heatedMin: 0, below60Min: null };
  });
  setVessel(work, {
    ...vessel,
    liquor: { ...vessel.liquor, origins: [...vessel.liquor.origins, ...unsaid] },
  });
}

/**
 * Sweetening to a target: what was really added is booked; as long as the step is not over, the rest of the way is
 * counted as still to come.
 */
export function sweetenStep(work: SimState, step: SweetenStep, run: StepRun): void {
  const vesselId = vesselOf(work, step.id, firstOf(step.to) ?? firstOf(step.from)).id;
  ontoTable(work, step, vesselId);
  handWork(work, step, run);
  if (run.actual?.endMin !== undefined) takeAsIn(work, step, run, vesselId, 'sweetener');
  else if (run.stopAfterMin === null && step.lines.length > 0) sweetenToTarget(work, step, run, vesselId);
}

function sweetenToTarget(work: SimState, step: SweetenStep, run: StepRun, vesselId: string): void {
  const target = (run.actual?.targetSweetnessPct ?? step.targetSweetnessPct) / 100;
  const toTarget = step.lines.filter((id) => lineOf(work, step.id, id).rule.kind === 'toTarget');
  // A recipe that says how much has it stirred in as it says.
  for (const lineId of step.lines) {
    if (toTarget.includes(lineId)) continue;
    const line = lineOf(work, step.id, lineId);
    const grams = gramsFor(work, step, line, volumeMl(vesselOf(work, step.id, vesselId).liquor));
    run.dosedG[line.id] = grams;
    pourIn(work, step, vesselOf(work, step.id, vesselId), 'sweetener', line.itemId, line.id, grams);
  }
  if (toTarget.length === 0) return;
  const { liquor } = vesselOf(work, step.id, vesselId);
  const rows = toTarget.map((lineId) => {
    const line = lineOf(work, step.id, lineId);
    const row = work.tables.sweeteners.get(line.itemId);
    if (!row) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
    return { line, row };
  });
  // Each of n brings as much sweetness s/n, in s/(n·rᵢ) grams.
  const gramsPerSweet = rows.reduce((sum, r) => sum + 1 / r.row.relativeSweetness, 0) / rows.length;
  const sweetG = sweetnessToComeG({ sweetG: liquor.sweetG, massG: massG(liquor) }, target, gramsPerSweet);
  for (const { line, row } of rows) {
    const grams = sweetG / rows.length / row.relativeSweetness;
    run.dosedG[line.id] = grams;
    pourIn(work, step, vesselOf(work, step.id, vesselId), 'sweetener', line.itemId, line.id, grams);
  }
}

/** Souring to a titratable acidity with the liquids of the step, in equal volumes. */
export function sourStep(work: SimState, step: SourStep, run: StepRun): void {
  const { id } = vesselOf(work, step.id, firstOf(step.to));
  ontoTable(work, step, id);
  handWork(work, step, run);
  if (run.actual?.endMin !== undefined) takeAsIn(work, step, run, id, 'liquid');
  else if (run.stopAfterMin === null && step.lines.length > 0) sourToTarget(work, step, run, id);
}

function sourToTarget(work: SimState, step: SourStep, run: StepRun, id: string): void {
  const { liquor } = vesselOf(work, step.id, id);
  const rows = step.lines.map((lineId) => {
    const line = lineOf(work, step.id, lineId);
    const row = work.tables.liquids.get(line.itemId);
    if (!row) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
    return { line, row };
  });
  const target = step.targetTaGPerL;
  const litres = volumeMl(liquor) / 1000;
  const sourPerL = rows.reduce((sum, { row }) => sum + sourGPerLOf(row), 0) / rows.length;
  const hasG = sournessGPerL(liquor) * litres;
  if (hasG >= target * litres) return;
  if (sourPerL <= target) throw new StepStop({ kind: 'cannotSour', stepId: step.id, targetTaGPerL: target });
  const addL = (target * litres - hasG) / (sourPerL - target);
  for (const { line, row } of rows) {
    const grams = (addL / rows.length) * 1000 * row.densityGPerMl;
    run.dosedG[line.id] = grams;
    pourIn(work, step, vesselOf(work, step.id, id), 'liquid', line.itemId, line.id, grams);
  }
}

/** Spirits go in when nothing will be heated any more: alcohol boils off. */
export function fortifyStep(work: SimState, step: FortifyStep, run: StepRun): void {
  mixStep(work, step, run);
}

export function splitStep(work: SimState, step: SplitStep, run: StepRun): void {
  const from = wetVessel(work, step);
  const share = step.volumeMl === undefined ? step.share : step.volumeMl / volumeMl(from.liquor);
  pourOver(work, step, from, vesselOf(work, step.id, firstOf(step.to)), Math.min(1, Math.max(0, share)));
  ontoTable(work, step, from.id);
  handWork(work, step, run);
}

export function bottleStep(work: SimState, step: BottleStep, run: StepRun): void {
  const { id } = wetVessel(work, step);
  ontoTable(work, step, id);
  handWork(work, step, run);
  if (run.stopAfterMin !== null) return;
  const ready = vesselOf(work, step.id, id);
  const to = vesselOf(work, step.id, firstOf(step.to));
  moved(work, step, ready, to, ready.liquor, volumeMl(ready.liquor) / 1000);
  setVessel(work, { ...ready, liquor: emptyLiquor(work.kitchen.roomC) });
  setVessel(work, {
    ...to,
    liquor:
      massG(to.liquor) > 0
        ? mixLiquors(work, to.liquor, massG(to.liquor), ready.liquor, massG(ready.liquor))
        : ready.liquor,
  });
}
