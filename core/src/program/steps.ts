import { EMPTY, massG, plus, scaled, volumeMl } from '../liquor/composition.ts';
import { drawnAfter } from '../physics/extraction.ts';
import { boilingPointC, type Stretch } from '../physics/heat.ts';
import {
  CLOTH_LOSS_ML,
  FUSION_J_PER_G,
  RINSE_CARRIED_ML_PER_G,
  STRAIN_LOSS_ML,
} from '../tables/constants.ts';
import { type Said, said } from '../units/result.ts';
import { atPace, boilPath, type Lived, live, othersLive, pathOf } from './evolve.ts';
import { powerIntoPotW } from './kitchen.ts';
import { addSolids, layOut, rinseWater, shareOf, takeSolids } from './lines.ts';
import { adjust, pourIn } from './readings.ts';
import {
  addFlow,
  capacityOfContents,
  drawableOf,
  emptyLiquor,
  ingredientOf,
  lineOf,
  mixLiquors,
  noteRoom,
  StepStop,
  setVessel,
  vesselOf,
  type Work,
  withComposition,
} from './state.ts';
import type {
  Adjustment,
  BoilStep,
  BottleStep,
  CombineStep,
  CoolStep,
  HeatStep,
  MixStep,
  PickStep,
  PrepStep,
  SoakStep,
  Solid,
  SteepStep,
  Step,
  StepActual,
  StrainStep,
  SweetenStep,
  Vessel,
  WashStep,
} from './types.ts';

/** What one step is given besides the state. */
export interface StepRun {
  actual: StepActual | undefined;
  /** Length by the clock, where the log has one. */
  actualMin: number | null;
  /** Stop after so many minutes: the moment that is asked about lies inside this step. */
  stopAfterMin: number | null;
  lived: Lived;
  notes: Said[];
  dosedG: Record<string, number>;
}

const plannedMin = (step: Step): number =>
  step.until.kind === 'duration' ? step.until.minutes : step.until.kind === 'cue' ? step.until.expectMin : 0;

const firstOf = (ids: readonly string[]): string | undefined => ids[0];

/** Minutes this step takes: by the clock, else as planned; cut short where the question lies inside it. */
function lengthOf(run: StepRun, predictedMin: number): number {
  const whole = Math.max(0, run.actualMin ?? Math.max(predictedMin, run.actual?.atLeastMin ?? 0));
  return run.stopAfterMin === null
    ? whole
    : Math.min(run.stopAfterMin, run.actualMin ?? Number.POSITIVE_INFINITY);
}

/**
 * Runs a step's time in pieces between the things that happened in it. `remainingMin` says how long it still takes as
 * things stand; `piece` moves the vessel of the step; everything else stands where it stands.
 */
function inPieces(
  work: Work,
  step: Step,
  run: StepRun,
  busy: ReadonlySet<string>,
  remainingMin: (goneMin: number) => number,
  piece: (minutes: number, goneMin: number) => void,
): void {
  const startMin = work.nowMin;
  const stopped = run.stopAfterMin !== null;
  let goneMin = 0;
  // Asked again after everything that happened: a temperature read in between moves the end.
  const wholeMin = () => lengthOf(run, goneMin + remainingMin(goneMin));
  const move = (toMin: number) => {
    const length = toMin - goneMin;
    if (length <= 0) return;
    othersLive(work, step.id, busy, length);
    piece(length, goneMin);
    goneMin = toMin;
    work.nowMin = startMin + goneMin;
  };
  for (const a of inOrder(run.actual?.adjustments)) {
    const dueMin = a.atMin - startMin;
    const endMin = wholeMin();
    if (stopped && dueMin > endMin) break;
    move(Math.min(Math.max(dueMin, goneMin), endMin));
    adjust(work, step, a);
  }
  move(wholeMin());
}

/** A planned length, less what has gone by. */
const ofPlan =
  (step: Step) =>
  (goneMin: number): number =>
    plannedMin(step) - goneMin;

const inOrder = (adjustments: readonly Adjustment[] | undefined): Adjustment[] =>
  adjustments ? [...adjustments].sort((a, b) => a.atMin - b.atMin) : [];

/** Time passes while hands work; nothing is heated. Things that happened are applied when they happened. */
function handWork(work: Work, step: Step, run: StepRun): void {
  inPieces(work, step, run, new Set(), ofPlan(step), () => undefined);
}

function bowlOf(work: Work, step: Step): Vessel {
  return vesselOf(work, step.id, firstOf(step.to) ?? firstOf(step.from));
}

export function pickStep(work: Work, step: PickStep | PrepStep, run: StepRun): void {
  const bowl = bowlOf(work, step);
  for (const lineId of step.lines) layOut(work, step, lineId, bowl.id);
  handWork(work, step, run);
}

/** Rinses: a little is drawn at the water's temperature and lost; dried calyx and leaf carry water away with them. */
export function washStep(work: Work, step: WashStep, run: StepRun): void {
  const bowl = bowlOf(work, step);
  for (const lineId of step.lines) layOut(work, step, lineId, bowl.id);
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

/** Liquor that clung to solids left in the vessel joins the new water: one pool, drawn on from where it stood. */
function rejoinHeld(work: Work, step: Step, vessel: Vessel): Vessel {
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
  const joined = { ...vessel, liquor, solids: vessel.solids.map((s) => ({ ...s, held: EMPTY })) };
  setVessel(work, joined);
  return joined;
}

/** Pours a step's liquids and sweeteners, then puts all its solids in at once. */
function addLines(work: Work, step: Step, vesselId: string): void {
  const solids: Solid[] = [];
  for (const lineId of step.lines) {
    const line = lineOf(work, step.id, lineId);
    if (line.kind === 'solid') solids.push(takeSolids(work, step, lineId));
    else
      pourIn(
        work,
        step,
        vesselOf(work, step.id, vesselId),
        line.kind,
        line.itemId,
        line.id,
        line.massG * shareOf(work, step),
      );
  }
  addSolids(work, step, vesselOf(work, step.id, vesselId), solids);
}

export function combineStep(work: Work, step: CombineStep, run: StepRun): void {
  const vessel = rejoinHeld(work, step, vesselOf(work, step.id, firstOf(step.to)));
  const fresh = volumeMl(vessel.liquor) < 1 && vessel.solids.length === 0;
  // A pot that comes to the table empty has the temperature of what goes in first.
  setVessel(work, {
    ...vessel,
    place: 'counter',
    liquor: fresh ? emptyLiquor(work.kitchen.tapC) : vessel.liquor,
  });
  addLines(work, step, vessel.id);
  noteRoom(work, vesselOf(work, step.id, vessel.id), false);
  handWork(work, step, run);
}

function wetVessel(work: Work, step: Step): Vessel {
  const vessel = vesselOf(work, step.id, firstOf(step.from) ?? firstOf(step.to));
  if (volumeMl(vessel.liquor) < 1)
    throw new StepStop({ kind: 'emptyVessel', stepId: step.id, vesselId: vessel.id });
  return vessel;
}

/** Standing somewhere for a time: soaking cold, steeping hot or cold. */
export function standStep(work: Work, step: SoakStep | SteepStep, run: StepRun): void {
  const { id } = wetVessel(work, step);
  inPieces(work, step, run, new Set([id]), ofPlan(step), (minutes) => {
    const vessel = { ...vesselOf(work, step.id, id), place: step.place, lid: step.lid };
    const { stretches } = pathOf(work, vessel, { place: step.place, lid: step.lid, powerW: 0 }, { minutes });
    setVessel(work, live(work, step.id, vessel, stretches, step.place, run.lived));
  });
  const after = vesselOf(work, step.id, id);
  setVessel(work, { ...after, place: step.place === 'fridge' ? 'fridge' : 'counter' });
}

function powerFor(work: Work, step: HeatStep | BoilStep): number {
  const burner = work.kitchen.burners.find((b) => b.id === step.burnerId);
  const pot = work.kitchen.pots.find((p) => p.id === work.program.potId);
  if (!burner || !pot)
    throw new StepStop({ kind: 'unknownBurner', stepId: step.id, burnerId: step.burnerId });
  return powerIntoPotW(burner, pot);
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

/** Heating to a temperature. Where the cook has said when it boiled, the pot's own pace replaces the predicted one. */
export function heatStep(work: Work, step: HeatStep, run: StepRun): void {
  const start = wetVessel(work, step);
  const targetC =
    step.until.kind === 'temp' && step.until.targetC !== null
      ? step.until.targetC
      : boilingPointC(work.kitchen.altitudeM);
  const around = { place: 'stove' as const, lid: step.lid, powerW: powerFor(work, step) };
  setVessel(work, { ...start, place: 'stove', lid: step.lid });
  noteRoom(work, vesselOf(work, step.id, start.id), true);
  const first = pathOf(work, start, around, { targetC });
  if (first.end === 'never' && run.actualMin === null && run.stopAfterMin === null) {
    throw new StepStop({ kind: 'neverBoils', stepId: step.id, vesselId: start.id, reachesC: first.endC });
  }
  run.notes.push(said('heat.takes', { minutes: Math.round(run.actualMin ?? first.minutes) }));
  const toTarget = () => pathOf(work, vesselOf(work, step.id, start.id), around, { targetC }).minutes;
  inPieces(work, step, run, new Set([start.id]), toTarget, (minutes, goneMin) => {
    const vessel = vesselOf(work, step.id, start.id);
    const path = pathOf(work, vessel, around, { targetC });
    const leftMin = Math.max(minutes, (run.actualMin ?? Number.POSITIVE_INFINITY) - goneMin);
    let stretches: Stretch[];
    if (Number.isFinite(leftMin)) {
      // The rest of the path in the time that it really took.
      stretches =
        path.end === 'reached' && path.minutes > 0
          ? cutAfter(atPace(path.stretches, leftMin / path.minutes), minutes)
          : cutAfter(evenly(vessel.liquor.tempC, targetC, leftMin), minutes);
    } else {
      stretches = cutAfter(path.stretches, minutes);
    }
    setVessel(work, live(work, step.id, vessel, stretches, 'stove', run.lived));
  });
  noteRoom(work, vesselOf(work, step.id, start.id), true);
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

export function boilStep(work: Work, step: BoilStep, run: StepRun): void {
  const start = wetVessel(work, step);
  const boilC = boilingPointC(work.kitchen.altitudeM);
  const powerW = powerFor(work, step);
  setVessel(work, { ...start, place: 'stove', lid: step.lid, liquor: { ...start.liquor, tempC: boilC } });
  noteRoom(work, vesselOf(work, step.id, start.id), true);
  const atStart = boilPath(work, start, { level: step.level, lid: step.lid, powerW, boilC }, 1);
  if (atStart.rate.tooWeak) run.notes.push(said('boil.tooWeak'));
  else if (atStart.rate.turnUp)
    run.notes.push(said('boil.turnUp', { percent: Math.round(atStart.rate.setting * 100) }));
  inPieces(work, step, run, new Set([start.id]), ofPlan(step), (minutes) => {
    const vessel = vesselOf(work, step.id, start.id);
    const { stretches } = boilPath(
      work,
      vessel,
      { level: step.level, lid: step.lid, powerW, boilC },
      minutes,
    );
    setVessel(work, live(work, step.id, vessel, stretches, 'stove', run.lived));
  });
}

/** Liquor leaves its solids: what they hold stays with them, a little is lost to sieve and cloth. */
export function strainStep(work: Work, step: StrainStep, run: StepRun): void {
  const from = wetVessel(work, step);
  const to = vesselOf(work, step.id, firstOf(step.to));
  const hasMl = volumeMl(from.liquor);
  let leftMl = hasMl;
  const holds = from.solids.map((s) => {
    const ml = ingredientOf(work, step.id, s.ingredientId).holdMlPerG[step.press] * s.massG;
    leftMl -= ml;
    return ml;
  });
  const lossMl = STRAIN_LOSS_ML + (step.cloth ? CLOTH_LOSS_ML : 0);
  leftMl -= lossMl;
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
    addFlow(work, () => ({
      stepId: step.id,
      code: 'held',
      direction: 'out',
      volumeL: holds[i]! / 1000,
      comp: scaled(from.liquor, holds[i]! / hasMl),
      lineId: solid.lineId,
      from: from.id,
    }));
  }
  addFlow(work, () => ({
    stepId: step.id,
    code: 'strainLoss',
    direction: 'out',
    volumeL: lossMl / 1000,
    comp: scaled(from.liquor, lossMl / hasMl),
    from: from.id,
  }));
  const spent = from.solids.map((s, i) => ({ ...s, held: scaled(from.liquor, holds[i]! / hasMl) }));
  const through = withComposition(from.liquor, scaled(from.liquor, leftMl / hasMl));
  const joined = mixLiquors(work, to.liquor, massG(to.liquor), through, massG(through));
  moved(work, step, from, to, through, (volumeMl(joined) - volumeMl(to.liquor)) / 1000);
  setVessel(work, {
    ...from,
    place: 'counter',
    liquor: emptyLiquor(work.kitchen.roomC),
    solids: step.keepSolids ? spent : [],
  });
  setVessel(work, { ...to, place: 'counter', lid: 'off', liquor: massG(to.liquor) > 0 ? joined : through });
  if (!step.keepSolids) {
    const leftovers = [...work.vessels.values()].find((v) => work.specs.get(v.id)?.kind === 'spent');
    if (leftovers) setVessel(work, { ...leftovers, solids: [...leftovers.solids, ...spent] });
  }
  handWork(work, step, run);
}

function moved(
  work: Work,
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

/** Cooling to a temperature, or for a time. */
export function coolStep(work: Work, step: CoolStep, run: StepRun): void {
  const start = wetVessel(work, step);
  const around = { place: step.place, lid: step.lid, powerW: 0 };
  const target = step.until.kind === 'temp' ? step.until.targetC : null;
  const toTarget = (): ReturnType<typeof pathOf> | null => {
    const vessel = vesselOf(work, step.id, start.id);
    return target === null || vessel.liquor.tempC <= target
      ? null
      : pathOf(work, vessel, around, { targetC: target });
  };
  if (target !== null && toTarget()?.end === 'never' && run.actualMin === null && run.stopAfterMin === null) {
    throw new StepStop({ kind: 'neverCools', stepId: step.id, vesselId: start.id, targetC: target });
  }
  if (step.place === 'iceBath' && target !== null && start.liquor.tempC > target) {
    const heatJ = capacityOfContents(work, start) * (start.liquor.tempC - target);
    run.notes.push(said('cool.ice', { iceKg: Math.ceil(heatJ / FUSION_J_PER_G / 100) / 10 }));
  }
  const remaining = target === null ? ofPlan(step) : () => toTarget()?.minutes ?? 0;
  inPieces(work, step, run, new Set([start.id]), remaining, (minutes) => {
    const vessel = { ...vesselOf(work, step.id, start.id), place: step.place, lid: step.lid };
    const { stretches } = pathOf(work, vessel, around, { minutes });
    setVessel(work, live(work, step.id, vessel, stretches, step.place, run.lived));
  });
  const after = vesselOf(work, step.id, start.id);
  // Out of the ice bath a pot goes into the fridge; that is where a cook puts what is cold.
  setVessel(work, {
    ...after,
    place: step.place === 'fridge' || step.place === 'iceBath' ? 'fridge' : 'counter',
  });
}

export function mixStep(work: Work, step: MixStep, run: StepRun): void {
  const vessel = vesselOf(work, step.id, firstOf(step.to));
  addLines(work, step, vessel.id);
  handWork(work, step, run);
}

/**
 * Sweetening to a target: what was really added is booked; as long as the step is not over, the rest of the way is
 * counted as still to come.
 */
export function sweetenStep(work: Work, step: SweetenStep, run: StepRun): void {
  const vesselId = vesselOf(work, step.id, firstOf(step.to) ?? firstOf(step.from)).id;
  handWork(work, step, run);
  const over = run.actual?.endMin !== undefined;
  if (over || run.stopAfterMin !== null || step.lines.length === 0) return;
  const target = (run.actual?.targetSweetnessPct ?? step.targetSweetnessPct) / 100;
  const { liquor } = vesselOf(work, step.id, vesselId);
  const rows = step.lines.map((lineId) => {
    const line = lineOf(work, step.id, lineId);
    const row = work.tables.sweeteners.get(line.itemId);
    if (!row) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
    return { line, row };
  });
  const sweetPerG = rows.reduce((sum, r) => sum + r.row.relativeSweetness, 0) / rows.length;
  // sweetG + s·g = t·(m + g)
  const grams =
    sweetPerG > target ? Math.max(0, (target * massG(liquor) - liquor.sweetG) / (sweetPerG - target)) : 0;
  for (const { line } of rows) {
    run.dosedG[line.id] = grams / rows.length;
    pourIn(
      work,
      step,
      vesselOf(work, step.id, vesselId),
      'sweetener',
      line.itemId,
      line.id,
      grams / rows.length,
    );
  }
}

export function bottleStep(work: Work, step: BottleStep, run: StepRun): void {
  const { id } = wetVessel(work, step);
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
