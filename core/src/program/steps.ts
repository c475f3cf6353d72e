import { EMPTY, massG, minus, plus, scaled, sournessGPerL, volumeMl, water } from '../liquor/composition.ts';
import { drawnAfter } from '../physics/extraction.ts';
import { boilingPointC, type Stretch } from '../physics/heat.ts';
import { juicePerKg } from '../physics/juice.ts';
import {
  BLENDING,
  CLOTH_LOSS_ML,
  FUSION_J_PER_G,
  MOST_LOSS_SHARE,
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
  solidsInfo,
  vesselOf,
  type Work,
  withComposition,
} from './state.ts';
import type {
  Adjustment,
  BlendStep,
  BoilStep,
  BottleStep,
  ChillStep,
  CombineStep,
  CoolStep,
  FortifyStep,
  FreezeStep,
  HeatStep,
  JuiceStep,
  MixStep,
  PickStep,
  PrepStep,
  ProgramLine,
  SoakStep,
  Solid,
  SourStep,
  SplitStep,
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

/** Grams of a line that a step takes: its share for this fill, or so much for each millilitre that is there. */
function gramsFor(work: Work, step: Step, line: ProgramLine, resultMl: number): number {
  if (line.rule.kind !== 'byResult') return line.massG * shareOf(work, step);
  const perMl =
    work.tables.liquids.get(line.itemId)?.densityGPerMl ??
    work.tables.sweeteners.get(line.itemId)?.bulkGPerMl;
  if (perMl === undefined) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
  return line.rule.ratio * resultMl * perMl;
}

/** Pours a step's liquids and sweeteners, then puts all its solids in at once. */
function addLines(work: Work, step: Step, vesselId: string, run: StepRun): void {
  const solids: Solid[] = [];
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
function pourTogether(work: Work, step: Step, toId: string): void {
  for (const id of step.from) {
    if (id === toId) continue;
    const from = vesselOf(work, step.id, id);
    if (volumeMl(from.liquor) < 1) continue;
    pourOver(work, step, from, vesselOf(work, step.id, toId), 1);
  }
}

/** A share of a vessel's liquor into another. */
function pourOver(work: Work, step: Step, from: Vessel, to: Vessel, share: number): void {
  const through = withComposition(from.liquor, scaled(from.liquor, share));
  const dry = massG(to.liquor) <= 0 && to.solids.length === 0;
  const joined = dry
    ? through
    : mixLiquors(work, to.liquor, massG(to.liquor) + solidsInfo(work, to).massG, through, massG(through));
  moved(work, step, from, to, through, (volumeMl(joined) - volumeMl(to.liquor)) / 1000);
  setVessel(work, {
    ...from,
    liquor:
      share >= 1
        ? emptyLiquor(work.kitchen.roomC)
        : withComposition(from.liquor, scaled(from.liquor, 1 - share)),
  });
  setVessel(work, { ...to, liquor: joined });
}

/** Solids lifted out of the pot, dripping: they keep what they hold, and may be put back. */
function liftOut(work: Work, step: Step): void {
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
    return { ...solid, held };
  });
  setVessel(work, { ...from, liquor, solids: from.solids.filter((s) => !lifted.includes(s)) });
  setVessel(work, { ...bowl, solids: [...bowl.solids, ...out] });
}

export function combineStep(work: Work, step: CombineStep, run: StepRun): void {
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
  if (step.kind === 'soak' && step.thrown && run.stopAfterMin === null) throwAway(work, step, id);
}

/** The water of a cleaning soak goes down the sink; what drips from the solids stays on them. */
function throwAway(work: Work, step: Step, vesselId: string): void {
  const vessel = vesselOf(work, step.id, vesselId);
  const hasMl = volumeMl(vessel.liquor);
  if (hasMl <= 0) return;
  let keptMl = 0;
  const solids = vessel.solids.map((solid) => {
    const row = ingredientOf(work, step.id, solid.ingredientId);
    // Own water included: what the solid holds when it has drained.
    const ml = Math.min(row.holdMlPerG.drain * solid.massG, Math.max(0, hasMl - keptMl));
    keptMl += ml;
    return { ...solid, held: scaled(vessel.liquor, ml / hasMl) };
  });
  for (const solid of solids) {
    addFlow(work, () => ({
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
  addFlow(work, () => ({
    stepId: step.id,
    code: 'thrown',
    direction: 'out',
    volumeL: (hasMl * goneShare) / 1000,
    comp: scaled(vessel.liquor, goneShare),
    from: vesselId,
  }));
  setVessel(work, { ...vessel, liquor: emptyLiquor(work.kitchen.tapC), solids });
}

/** A small pot for spices and syrups, where the kitchen has no second one: only its width matters for the flame. */
const NOMINAL_SMALL_POT = { diameterCm: 18 };

function powerFor(work: Work, step: HeatStep | BoilStep, vessel: Vessel): number {
  const burner = work.kitchen.burners.find((b) => b.id === step.burnerId);
  if (!burner) throw new StepStop({ kind: 'unknownBurner', stepId: step.id, burnerId: step.burnerId });
  const spec = work.specs.get(vessel.id);
  const potId = spec?.potId ?? (spec?.kind === 'spicePot' ? null : work.program.potId);
  const pot = potId === null ? NOMINAL_SMALL_POT : work.kitchen.pots.find((p) => p.id === potId);
  if (!pot) throw new StepStop({ kind: 'unknownVessel', stepId: step.id, vesselId: vessel.id });
  return powerIntoPotW(burner, pot) * work.factors.power;
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
  const around = { place: 'stove' as const, lid: step.lid, powerW: powerFor(work, step, start) };
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
  const powerW = powerFor(work, step, start);
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
  // A jar of syrup does not lose half of itself to its sieve.
  const lossMl = Math.min(
    (STRAIN_LOSS_ML + (step.cloth ? CLOTH_LOSS_ML : 0)) * work.factors.strainLoss,
    MOST_LOSS_SHARE * volumeMl(from.liquor),
  );
  freeLiquor(work, step, from, {
    holdMl: (solid) => ingredientOf(work, step.id, solid.ingredientId).holdMlPerG[step.press] * solid.massG,
    lossMl,
    keepSolids: step.keepSolids,
  });
  handWork(work, step, run);
}

/** Parts liquor and solids of a vessel: what each solid holds stays with it, the rest goes on. */
function freeLiquor(
  work: Work,
  step: StrainStep | JuiceStep,
  from: Vessel,
  how: { holdMl: (solid: Solid) => number; lossMl: number; keepSolids: boolean },
): void {
  const to = vesselOf(work, step.id, firstOf(step.to));
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
    volumeL: how.lossMl / 1000,
    comp: scaled(from.liquor, how.lossMl / hasMl),
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
    solids: how.keepSolids ? spent : [],
  });
  // What waits in a jar waits cold.
  const waits = work.specs.get(to.id)?.kind === 'jar';
  setVessel(work, {
    ...to,
    place: waits ? 'fridge' : 'counter',
    lid: waits ? 'on' : 'off',
    liquor: massG(to.liquor) > 0 ? joined : through,
  });
  noteRoom(work, vesselOf(work, step.id, to.id), false);
  if (!how.keepSolids) {
    const leftovers = [...work.vessels.values()].find((v) => work.specs.get(v.id)?.kind === 'spent');
    if (leftovers) setVessel(work, { ...leftovers, solids: [...leftovers.solids, ...spent] });
  }
}

/** Books what is drawn from solids that are broken open, up to a share of all that is in them. */
function breakOpen(work: Work, step: Step, vessel: Vessel, share: number): Vessel {
  let liquor = vessel.liquor;
  const solids = vessel.solids.map((solid) => {
    const row = ingredientOf(work, step.id, solid.ingredientId);
    const delta = share - solid.extracted;
    if (row.rate100PerMin === null || delta <= 0) return solid;
    const all = drawableOf(row, solid.massG);
    const after = plus(liquor, all, delta);
    const before = liquor;
    addFlow(work, () => ({
      stepId: step.id,
      code: 'drawn',
      direction: 'in',
      volumeL: (volumeMl(after) - volumeMl(before)) / 1000,
      comp: scaled(all, delta),
      lineId: solid.lineId,
      to: vessel.id,
    }));
    liquor = withComposition(liquor, after);
    return { ...solid, extracted: share };
  });
  return { ...vessel, liquor, solids };
}

/** Blending: what is in broken cells is free at once. The foam that stands on it is air and is not counted. */
export function blendStep(work: Work, step: BlendStep, run: StepRun): void {
  const { id } = vesselOf(work, step.id, firstOf(step.to));
  pourTogether(work, step, id);
  addLines(work, step, id, run);
  const vessel = vesselOf(work, step.id, id);
  const fillMl = volumeMl(vessel.liquor) + solidsInfo(work, vessel).volumeMl;
  if (fillMl < 1) throw new StepStop({ kind: 'emptyVessel', stepId: step.id, vesselId: id });
  setVessel(work, breakOpen(work, step, vessel, BLENDING.drawnShare));
  const loads = Math.ceil(fillMl / (work.kitchen.tools.blenderMl * BLENDING.fillShare) - 1e-9);
  run.notes.push(said('blend.loads', { loads }));
  handWork(work, step, run);
}

/** Juicing: so many millilitres for each kilogram by the tool at hand; the rest stays in the pulp. */
export function juiceStep(work: Work, step: JuiceStep, run: StepRun): void {
  const from = vesselOf(work, step.id, firstOf(step.from));
  addLines(work, step, from.id, run);
  const whole = breakOpen(work, step, vesselOf(work, step.id, from.id), 1);
  const allMl = volumeMl(whole.liquor);
  const contentMl = (solid: Solid): number => {
    const row = ingredientOf(work, step.id, solid.ingredientId);
    return volumeMl(plus(water((solid.massG * row.waterPct) / 100), drawableOf(row, solid.massG)));
  };
  const totalMl = whole.solids.reduce((sum, s) => sum + contentMl(s), 0);
  freeLiquor(work, step, whole, {
    holdMl: (solid) => {
      const row = ingredientOf(work, step.id, solid.ingredientId);
      const perKg = juicePerKg(row, step.tool);
      if (perKg === null) throw new StepStop({ kind: 'cannotJuice', stepId: step.id, itemId: row.id });
      // Its part of the pool, less the juice that comes out of it.
      const content = (contentMl(solid) / totalMl) * allMl;
      return Math.max(0, content - (solid.massG / 1000) * perKg);
    },
    lossMl: 0,
    keepSolids: false,
  });
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

export function mixStep(work: Work, step: MixStep | FortifyStep, run: StepRun): void {
  const { id } = vesselOf(work, step.id, firstOf(step.to));
  pourTogether(work, step, id);
  addLines(work, step, id, run);
  noteRoom(work, vesselOf(work, step.id, id), false);
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

/** Souring to a titratable acidity with the liquids of the step, in equal volumes. */
export function sourStep(work: Work, step: SourStep, run: StepRun): void {
  const { id } = vesselOf(work, step.id, firstOf(step.to));
  handWork(work, step, run);
  const over = run.actual?.endMin !== undefined;
  if (over || run.stopAfterMin !== null || step.lines.length === 0) return;
  const { liquor } = vesselOf(work, step.id, id);
  const rows = step.lines.map((lineId) => {
    const line = lineOf(work, step.id, lineId);
    const row = work.tables.liquids.get(line.itemId);
    if (!row) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId: line.itemId });
    return { line, row };
  });
  const target = step.targetTaGPerL;
  const litres = volumeMl(liquor) / 1000;
  // Acetic counts as sour too: 1.066 g of citric for each gram.
  const sourPerL =
    rows.reduce((sum, { row }) => sum + row.taGPerL + 1.066 * 10 * row.aceticPct, 0) / rows.length;
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
export function fortifyStep(work: Work, step: FortifyStep, run: StepRun): void {
  mixStep(work, step, run);
}

export function splitStep(work: Work, step: SplitStep, run: StepRun): void {
  const from = wetVessel(work, step);
  pourOver(work, step, from, vesselOf(work, step.id, firstOf(step.to)), Math.min(1, Math.max(0, step.share)));
  handWork(work, step, run);
}

/** Standing in the fridge until it is as cold as that, or for the planned time. */
export function chillStep(work: Work, step: ChillStep, run: StepRun): void {
  coolStep(work, { ...step, kind: 'cool', place: 'fridge', lid: 'on' }, run);
}

/** A freezer stands at this, °C. */
const FREEZER_C = -18;

export function freezeStep(work: Work, step: FreezeStep, run: StepRun): void {
  const { id } = wetVessel(work, step);
  handWork(work, step, run);
  if (run.stopAfterMin !== null) return;
  const vessel = vesselOf(work, step.id, id);
  setVessel(work, { ...vessel, place: 'fridge', liquor: { ...vessel.liquor, tempC: FREEZER_C } });
}
