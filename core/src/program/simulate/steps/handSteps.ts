import {
  massG,
  scaled,
  sourGPerLOf,
  sournessGPerL,
  sweetnessToComeG,
  volumeMl,
} from '../../../liquor/composition.ts';
import { drawnAfter } from '../../../physics/extraction.ts';
import { RINSE_CARRIED_ML_PER_G } from '../../../tables/constants.ts';
import type { Liquor, Origin } from '../../model/liquor.ts';
import type { ProgramLine } from '../../model/program.ts';
import type {
  BottleStep,
  CombineStep,
  FortifyStep,
  MixStep,
  PickStep,
  PrepStep,
  SourStep,
  SplitStep,
  Step,
  SweetenStep,
  SweetShares,
  WashStep,
} from '../../model/steps.ts';
import { sweetWeights } from '../../model/sweetShares.ts';
import type { Vessel } from '../../model/vessel.ts';
import { layOut, originKindOf, rinseWater } from '../lines.ts';
import { pourIn } from '../readings.ts';
import {
  addFlow,
  drawableIn,
  emptyLiquor,
  lineOf,
  mixLiquors,
  noteRoom,
  rowOfSolid,
  type SimState,
  StepStop,
  setVessel,
  vesselOf,
} from '../state.ts';
import { addLines, gramsFor, liftOut, moved, pourOver, pourTogether, rejoinHeld } from './pouring.ts';
import { firstOf, handWork, type StepRun, wetVessel } from './stepTime.ts';

function bowlOf(sim: SimState, step: Step): Vessel {
  return vesselOf(sim, step.id, firstOf(step.to) ?? firstOf(step.from));
}

export function pickStep(sim: SimState, step: PickStep | PrepStep, run: StepRun): void {
  const bowl = bowlOf(sim, step);
  for (const lineId of step.lines) layOut(sim, step, lineId, bowl.id, step.kind === 'prep');
  if (step.kind === 'prep' && step.mill) {
    const now = vesselOf(sim, step.id, bowl.id);
    setVessel(sim, {
      ...now,
      solids: now.solids.map((s) => (step.lines.includes(s.lineId) ? { ...s, milled: true } : s)),
    });
  }
  handWork(sim, step, run);
}

/**
 * A washing or cutting that was passed over: nobody knows whether the thing was opened all the same, so its time counts
 * from then, as if it had been.
 */
export function openUnseen(sim: SimState, step: Step): void {
  if (step.kind !== 'wash' && step.kind !== 'prep') return;
  const bowl = bowlOf(sim, step);
  for (const lineId of step.lines) layOut(sim, step, lineId, bowl.id, true);
}

/** Rinses: a little is drawn at the water's temperature and lost; dried calyx and leaf carry water away with them. */
export function washStep(sim: SimState, step: WashStep, run: StepRun): void {
  const bowl = bowlOf(sim, step);
  for (const lineId of step.lines) layOut(sim, step, lineId, bowl.id, true);
  const minutes = (run.actual?.rinses ?? step.rinses) * step.minutesPerRinse;
  const now = vesselOf(sim, step.id, bowl.id);
  setVessel(sim, {
    ...now,
    solids: now.solids.map((solid) => {
      if (!step.lines.includes(solid.lineId)) return solid;
      const row = rowOfSolid(sim, step.id, solid);
      const extracted = drawnAfter(
        solid.extracted,
        row.rate100PerMin,
        row.activationKJ,
        sim.kitchen.tapC,
        minutes,
      );
      const lost = scaled(drawableIn(sim, row, solid.massG), extracted - solid.extracted);
      addFlow(sim, () => ({
        stepId: step.id,
        code: 'drawn',
        direction: 'in',
        volumeL: 0,
        comp: lost,
        lineId: solid.lineId,
      }));
      addFlow(sim, () => ({
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
        held: row.floats && minutes > 0 ? rinseWater(sim, RINSE_CARRIED_ML_PER_G * solid.massG) : solid.held,
      };
    }),
  });
  handWork(sim, step, run);
}

export function combineStep(sim: SimState, step: CombineStep, run: StepRun): void {
  if (step.lift) {
    liftOut(sim, step);
    handWork(sim, step, run);
    return;
  }
  const vessel = rejoinHeld(sim, step, vesselOf(sim, step.id, firstOf(step.to)));
  const fresh = volumeMl(vessel.liquor) < 1 && vessel.solids.length === 0;
  // A pot that comes to the table empty has the temperature of what goes in first.
  setVessel(sim, {
    ...vessel,
    place: 'counter',
    liquor: fresh ? emptyLiquor(sim.kitchen.tapC) : vessel.liquor,
  });
  pourTogether(sim, step, vessel.id);
  addLines(sim, step, vessel.id, run);
  noteRoom(sim, vesselOf(sim, step.id, vessel.id), false);
  handWork(sim, step, run);
}

/** Hands work on it: it stands on the table, wherever it stood before, and stays there. */
function ontoTable(sim: SimState, step: Step, vesselId: string): void {
  const vessel = vesselOf(sim, step.id, vesselId);
  if (vessel.place !== 'counter') setVessel(sim, { ...vessel, place: 'counter' });
}

export function mixStep(sim: SimState, step: MixStep | FortifyStep, run: StepRun): void {
  const { id } = vesselOf(sim, step.id, firstOf(step.to));
  ontoTable(sim, step, id);
  pourTogether(sim, step, id);
  addLines(sim, step, id, run);
  noteRoom(sim, vesselOf(sim, step.id, id), false);
  handWork(sim, step, run);
}

/**
 * A step that ended without a word about what was stirred in: for whom it is and how long it keeps it counts as in the
 * drink, though nobody knows how much.
 */
function takeAsIn(
  sim: SimState,
  step: SweetenStep | SourStep,
  run: StepRun,
  vesselId: string,
  kind: 'sweetener' | 'liquid',
): void {
  if (run.actual?.adjustments.some((a) => a.kind === 'added')) return;
  const vessel = vesselOf(sim, step.id, vesselId);
  const unsaid = step.lines.map((lineId): Origin => {
    const row = sim.tables.liquids.get(lineOf(sim, step.id, lineId).itemId);
    const origin = originKindOf(kind, row);
    return { lineId, kind: origin, sinceMin: sim.nowMin, heatedMin: 0, below60Min: null };
  });
  setVessel(sim, {
    ...vessel,
    liquor: { ...vessel.liquor, origins: [...vessel.liquor.origins, ...unsaid] },
  });
}

/**
 * Sweetening to a target: what was really added is booked; as long as the step is not over, the rest of the way is
 * counted as still to come.
 */
export function sweetenStep(sim: SimState, step: SweetenStep, run: StepRun): void {
  const vesselId = vesselOf(sim, step.id, firstOf(step.to) ?? firstOf(step.from)).id;
  ontoTable(sim, step, vesselId);
  // "As much as there is juice" is as much as there was before anything was stirred in.
  const beforeMl = volumeMl(vesselOf(sim, step.id, vesselId).liquor);
  handWork(sim, step, run);
  if (run.actual?.endMin !== undefined) takeAsIn(sim, step, run, vesselId, 'sweetener');
  else if (run.stopAfterMin === null && step.lines.length > 0)
    sweetenToTarget(sim, step, run, vesselId, beforeMl);
}

/** What of a line was stirred in while this step has been on, g. */
const addedG = (run: StepRun, lineId: string): number =>
  (run.actual?.adjustments ?? []).reduce(
    (sum, a) => (a.kind === 'added' && a.lineId === lineId ? sum + a.massG : sum),
    0,
  );

function sweetenToTarget(
  sim: SimState,
  step: SweetenStep,
  run: StepRun,
  vesselId: string,
  beforeMl: number,
): void {
  const target = (run.actual?.targetSweetnessPct ?? step.targetSweetnessPct) / 100;
  const toTarget = step.lines.filter((id) => lineOf(sim, step.id, id).rule.kind === 'toTarget');
  // A recipe that says how much has it stirred in as it says: what is not in yet is still to come.
  for (const lineId of step.lines) {
    if (toTarget.includes(lineId)) continue;
    const line = lineOf(sim, step.id, lineId);
    const grams = Math.max(0, gramsFor(sim, step, line, beforeMl) - addedG(run, lineId));
    run.dosedG[line.id] = grams;
    pourIn(sim, step, vesselOf(sim, step.id, vesselId), 'sweetener', line.itemId, line.id, grams);
  }
  if (toTarget.length === 0) return;
  const { liquor } = vesselOf(sim, step.id, vesselId);
  for (const { line, grams } of sweetenersTo(sim, step, toTarget, liquor, target, step.sweetShares)) {
    run.dosedG[line.id] = grams;
    pourIn(sim, step, vesselOf(sim, step.id, vesselId), 'sweetener', line.itemId, line.id, grams);
  }
}

/** How much of each of some sweeteners brings a liquor to a sweetness, g; each brings its share of it. */
function sweetenersTo(
  sim: SimState,
  step: Step,
  lineIds: readonly string[],
  liquor: Liquor,
  target: number,
  shares: SweetShares | undefined,
): { line: ProgramLine; grams: number }[] {
  const rows = lineIds.map((lineId) => {
    const line = lineOf(sim, step.id, lineId);
    const row = sim.tables.sweeteners.get(line.itemId);
    if (!row) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
    return { line, row };
  });
  // Each brings its share wᵢ of the sweetness s, in s·wᵢ/rᵢ grams.
  const weights = sweetWeights(lineIds, shares);
  const gramsPerSweet = rows.reduce((sum, { row }, i) => sum + weights[i]! / row.relativeSweetness, 0);
  const sweetG = sweetnessToComeG({ sweetG: liquor.sweetG, massG: massG(liquor) }, target, gramsPerSweet);
  return rows.map(({ line, row }, i) => ({ line, grams: (sweetG * weights[i]!) / row.relativeSweetness }));
}

/** Souring to a titratable acidity with the liquids of the step, in equal volumes. */
export function sourStep(sim: SimState, step: SourStep, run: StepRun): void {
  const { id } = vesselOf(sim, step.id, firstOf(step.to));
  ontoTable(sim, step, id);
  handWork(sim, step, run);
  if (run.actual?.endMin !== undefined) takeAsIn(sim, step, run, id, 'liquid');
  else if (run.stopAfterMin === null && step.lines.length > 0) sourToTarget(sim, step, run, id);
}

function sourToTarget(sim: SimState, step: SourStep, run: StepRun, id: string): void {
  const { liquor } = vesselOf(sim, step.id, id);
  const rows = step.lines.map((lineId) => {
    const line = lineOf(sim, step.id, lineId);
    const row = sim.tables.liquids.get(line.itemId);
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
    pourIn(sim, step, vesselOf(sim, step.id, id), 'liquid', line.itemId, line.id, grams);
  }
}

/**
 * Spirits go in when nothing will be heated any more: alcohol boils off. What the cook notes spoon by spoon is part of
 * what is stated, not more of it: while the step is on, only that is in, and the rest is still to come; once it is over
 * what she noted counts, and where she noted nothing it went in as stated.
 */
export function fortifyStep(sim: SimState, step: FortifyStep, run: StepRun): void {
  const noted = new Set(step.lines.filter((id) => addedG(run, id) > 0));
  mixStep(sim, { ...step, lines: [] }, run);
  const over = run.actual?.endMin !== undefined;
  if (run.stopAfterMin !== null) return;
  const { id } = vesselOf(sim, step.id, firstOf(step.to));
  for (const lineId of step.lines) {
    if (over && noted.has(lineId)) continue;
    const line = lineOf(sim, step.id, lineId);
    if (line.kind === 'solid') continue;
    const toComeG = gramsFor(sim, step, line, 0) - addedG(run, lineId);
    if (toComeG > 0) pourIn(sim, step, vesselOf(sim, step.id, id), line.kind, line.itemId, line.id, toComeG);
  }
}

export function splitStep(sim: SimState, step: SplitStep, run: StepRun): void {
  const from = wetVessel(sim, step);
  const share = step.volumeMl === undefined ? step.share : step.volumeMl / volumeMl(from.liquor);
  pourOver(sim, step, from, vesselOf(sim, step.id, firstOf(step.to)), Math.min(1, Math.max(0, share)));
  ontoTable(sim, step, from.id);
  handWork(sim, step, run);
}

export function bottleStep(sim: SimState, step: BottleStep, run: StepRun): void {
  const { id } = wetVessel(sim, step);
  ontoTable(sim, step, id);
  handWork(sim, step, run);
  if (run.stopAfterMin !== null) return;
  if (step.inGlass) {
    // Nothing of it is poured in: so much is to be at hand for all the glasses.
    const { lineIds, targetSweetnessPct, sweetShares } = step.inGlass;
    const byTaste = lineIds.filter((lineId) => lineOf(sim, step.id, lineId).rule.kind === 'toTarget');
    const { liquor } = vesselOf(sim, step.id, id);
    if (byTaste.length > 0)
      for (const { line, grams } of sweetenersTo(
        sim,
        step,
        byTaste,
        liquor,
        targetSweetnessPct / 100,
        sweetShares,
      ))
        run.dosedG[line.id] = grams;
  }
  const ready = vesselOf(sim, step.id, id);
  const to = vesselOf(sim, step.id, firstOf(step.to));
  moved(sim, step, ready, to, ready.liquor, volumeMl(ready.liquor) / 1000);
  setVessel(sim, { ...ready, liquor: emptyLiquor(sim.kitchen.roomC) });
  setVessel(sim, {
    ...to,
    liquor:
      massG(to.liquor) > 0
        ? mixLiquors(sim, to.liquor, massG(to.liquor), ready.liquor, massG(ready.liquor))
        : ready.liquor,
  });
}
