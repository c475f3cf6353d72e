import {
  type Composition,
  massG,
  minus,
  ofLiquid,
  ofSweetener,
  plus,
  scaled,
  volumeMl,
  withBrix,
  withWaterFor,
} from '../../liquor/composition.ts';
import { withPh } from '../../liquor/ph.ts';
import { coldVolume } from '../../liquor/water.ts';
import { capacityMl, mlAtLevel } from '../../physics/vesselShape.ts';
import { KEEPING } from '../../tables/keeping.ts';
import type { StepId } from '../model/ids.ts';
import type { Liquor } from '../model/liquor.ts';
import type { Adjustment, StepActual } from '../model/simulation.ts';
import type { Step } from '../model/steps.ts';
import type { Vessel } from '../model/vessel.ts';
import { NO_COOLING, readingIsEvidence, readingShowsAcid } from './exposure.ts';
import { addSolids, freshSolid, originKindOf } from './lines.ts';
import {
  addFlow,
  fellBelow60,
  ingredientOf,
  liquorOf,
  mixLiquors,
  type SimState,
  StepStop,
  setVessel,
  solidsInfo,
  vesselOf,
  withComposition,
} from './state.ts';

/**
 * What a difference in volume is put down to: before the liquor left its solids it is steam (solutes stay); in a
 * straining it is held liquor; later a spill or a taste. The last two keep the concentration.
 */
type Blame = 'steam' | 'held' | 'spill';

const blameFor = (step: Step, vessel: Vessel): Blame =>
  step.kind === 'strain' || step.kind === 'juice' ? 'held' : vessel.solids.length > 0 ? 'steam' : 'spill';

function booked(sim: SimState, step: Step, vessel: Vessel, next: Composition): void {
  const before = vessel.liquor;
  addFlow(sim, () => ({
    stepId: step.id,
    code: 'measured',
    direction: 'out',
    volumeL: (volumeMl(before) - volumeMl(next)) / 1000,
    comp: minus(before, next),
    from: vessel.id,
  }));
  setVessel(sim, { ...vessel, liquor: withComposition(before, next) });
}

/** Held liquor that turned out to be more or less than predicted stays with the solids, for a second water. */
function shiftHeld(sim: SimState, step: Step, lost: Composition): void {
  const keeper = step.from[0] === undefined ? undefined : sim.vessels.get(step.from[0]);
  if (!keeper || keeper.solids.length === 0) return;
  const total = keeper.solids.reduce((sum, s) => sum + volumeMl(s.held), 0);
  if (total <= 0 || volumeMl(lost) < -total) return;
  setVessel(sim, {
    ...keeper,
    solids: keeper.solids.map((s) => ({ ...s, held: plus(s.held, lost, volumeMl(s.held) / total) })),
  });
}

/** What a vessel nobody measured may be said to hold: half as much again as the model has there, and a litre. */
const BELIEVABLE = { factor: 1.5, moreL: 1 };

/** Stops at more than a vessel can hold, or, where its size is not known, at more than can have been made. */
function refuseTooMuch(sim: SimState, step: Step, vessel: Vessel, valueL: number): void {
  const shape = sim.specs.get(vessel.id)?.shape;
  const at = { stepId: step.id, vesselId: vessel.id, valueL };
  if (shape) {
    const capacityL = capacityMl(shape) / 1000;
    if (valueL > capacityL) throw new StepStop({ kind: 'measuredTooMuch', ...at, capacityL });
    return;
  }
  const expectedL = volumeMl(vessel.liquor) / 1000;
  if (valueL > expectedL * BELIEVABLE.factor + BELIEVABLE.moreL)
    throw new StepStop({ kind: 'moreThanMade', ...at, expectedL });
}

function replaceVolume(sim: SimState, step: Step, vessel: Vessel, targetMl: number): void {
  const liquor = vessel.liquor;
  const hasMl = volumeMl(liquor);
  const bad = () =>
    new StepStop({ kind: 'badReading', stepId: step.id, vesselId: vessel.id, what: 'volume' });
  if (!(targetMl >= 0) || !Number.isFinite(targetMl) || hasMl <= 0) throw bad();
  refuseTooMuch(sim, step, vessel, targetMl / 1000);
  const blame = blameFor(step, vessel);
  if (blame === 'steam') {
    const next = withWaterFor(liquor, targetMl);
    if (!next) throw bad();
    booked(sim, step, vessel, next);
    return;
  }
  const next = scaled(liquor, targetMl / hasMl);
  booked(sim, step, vessel, next);
  if (blame === 'held') shiftHeld(sim, step, minus(liquor, next));
}

function measured(sim: SimState, step: Step, adjustment: Extract<Adjustment, { kind: 'measured' }>): void {
  const vessel = vesselOf(sim, step.id, adjustment.vesselId);
  const { reading } = adjustment;
  const spec = sim.specs.get(vessel.id);
  const liquor = vessel.liquor;
  const bad = () =>
    new StepStop({ kind: 'badReading', stepId: step.id, vesselId: vessel.id, what: reading.what });
  switch (reading.what) {
    case 'volume': {
      if (!(reading.volumeL >= 0) || !(reading.atC > -5 && reading.atC <= 105)) throw bad();
      refuseTooMuch(sim, step, vessel, reading.volumeL);
      replaceVolume(sim, step, vessel, coldVolume(reading.volumeL * 1000, reading.atC));
      return;
    }
    case 'level': {
      const shape = spec?.shape;
      if (!shape || !(reading.levelCm >= 0)) throw bad();
      const fillMl = mlAtLevel(reading.levelCm / 100, shape.diameterM);
      refuseTooMuch(sim, step, vessel, fillMl / 1000);
      replaceVolume(sim, step, vessel, coldVolume(fillMl - solidsInfo(sim, vessel).volumeMl, reading.atC));
      return;
    }
    case 'mass': {
      const targetG =
        reading.massKg * 1000 - (reading.withVessel ? (spec?.massG ?? 0) : 0) - solidsInfo(sim, vessel).massG;
      const hasG = massG(liquor);
      if (!(targetG > 0) || hasG <= 0) throw bad();
      const blame = blameFor(step, vessel);
      const next =
        blame === 'steam'
          ? { ...liquor, waterG: liquor.waterG + targetG - hasG }
          : scaled(liquor, targetG / hasG);
      if (next.waterG < 0) throw bad();
      refuseTooMuch(sim, step, vessel, volumeMl(next) / 1000);
      booked(sim, step, vessel, next);
      if (blame === 'held') shiftHeld(sim, step, minus(liquor, next));
      return;
    }
    case 'temperature':
      if (!(reading.tempC > -25 && reading.tempC <= 105)) throw bad();
      setVessel(sim, { ...vessel, liquor: atTemperature(sim, step, liquor, reading.tempC) });
      return;
    case 'brix': {
      if (!(reading.brix >= 0 && reading.brix < 90) || massG(liquor) <= 0) throw bad();
      if (liquor.ethanolG > 0.001 * massG(liquor)) {
        throw new StepStop({ kind: 'brixWithAlcohol', stepId: step.id, vesselId: vessel.id });
      }
      booked(sim, step, vessel, withBrix(liquor, reading.brix));
      return;
    }
    case 'red':
      // A picture is off by a fifth: it teaches the kitchen, and corrects no batch.
      if (!(reading.redGPerL > 0)) throw bad();
      return;
    case 'pH':
      if (!(reading.pH > 0 && reading.pH < 14) || massG(liquor) <= 0) throw bad();
      booked(sim, step, vessel, withPh(liquor, reading.pH));
      setVessel(
        sim,
        withReading(
          vesselOf(sim, step.id, vessel.id),
          readingIsEvidence(reading, liquor)
            ? { pH: reading.pH, by: reading.by }
            : readingShowsAcid({ pH: reading.pH, by: reading.by })
              ? liquor.read
              : null,
        ),
      );
      return;
  }
}

/**
 * A thermometer's word. Where it says that a drink has cooled further than the model had it, the way down is put to the
 * earliest it can have been: since this step began. A reading heats nothing: what it says above the model counts as
 * heating only while there is a flame under it.
 */
function atTemperature(sim: SimState, step: Step, liquor: Liquor, tempC: number): Liquor {
  const flame = step.kind === 'heat' || step.kind === 'boil';
  const { origins, cooling } = liquor;
  if (tempC < liquor.tempC) {
    if (tempC >= KEEPING.warmC.to) return { ...liquor, tempC };
    const sinceMin = Math.min(sim.stepStartMin, sim.nowMin);
    const hot = liquor.tempC >= KEEPING.warmC.to;
    const fell = fellBelow60(origins, liquor.tempC, tempC, sinceMin);
    // The model may have had it fall below 60 °C a little before, in this step: that was no sooner than it did.
    const modelFellMin = hot ? sim.nowMin : Math.max(sinceMin, ...origins.map((o) => o.below60Min ?? 0));
    return {
      ...liquor,
      tempC,
      origins: fell.map((o) => ({
        ...o,
        below60Min: o.below60Min === null ? null : Math.min(o.below60Min, sinceMin),
      })),
      cooling:
        hot || modelFellMin > sinceMin
          ? { ...cooling, from60To21Min: cooling.from60To21Min + modelFellMin - sinceMin, fullHeatMin: 0 }
          : cooling,
    };
  }
  const read = flame || tempC < KEEPING.heatedC ? tempC : Math.max(liquor.tempC, HEATS_NOTHING_C);
  // Warm again, whoever warmed it: it has a way down before it once more.
  const warm = read > KEEPING.firstStageToC ? { ...cooling, hot: true, cold: false } : cooling;
  return { ...liquor, tempC: read, cooling: warm };
}
/** Just under where heating begins. */
const HEATS_NOTHING_C = KEEPING.heatedC - 0.1;

const withReading = (vessel: Vessel, read: Liquor['read']): Vessel => ({
  ...vessel,
  liquor: { ...vessel.liquor, read },
});

/** A splash of water, a spoon of sugar, an extra spice: booked where it happened. */
function added(sim: SimState, step: Step, a: Extract<Adjustment, { kind: 'added' }>): void {
  const vessel = vesselOf(sim, step.id, a.vesselId);
  if (!(a.massG >= 0))
    throw new StepStop({ kind: 'badAmount', stepId: step.id, lineId: a.lineId, massG: a.massG });
  if (a.lineKind === 'solid') {
    const row = ingredientOf(sim, step.id, a.itemId);
    addSolids(sim, step, vessel, [
      { solid: freshSolid(a.lineId, row, a.massG, sim.nowMin), cooling: NO_COOLING },
    ]);
    return;
  }
  pourIn(sim, step, vessel, a.lineKind, a.itemId, a.lineId, a.massG);
}

/** Adds a liquid or a sweetener to a vessel, at the room's temperature (a tap's own for water). */
export function pourIn(
  sim: SimState,
  step: Step,
  vessel: Vessel,
  kind: 'liquid' | 'sweetener',
  itemId: string,
  lineId: string,
  grams: number,
): void {
  if (grams === 0) return;
  const liquidRow = kind === 'liquid' ? sim.tables.liquids.get(itemId) : undefined;
  const sweetenerRow = kind === 'sweetener' ? sim.tables.sweeteners.get(itemId) : undefined;
  const comp = liquidRow
    ? ofLiquid(liquidRow, grams / liquidRow.densityGPerMl, sim.kitchen.hardnessMeqPerL)
    : sweetenerRow
      ? ofSweetener(sweetenerRow, grams)
      : null;
  if (!comp) throw new StepStop({ kind: 'unknownItem', stepId: step.id, itemId });
  const tempC = liquidRow?.treatment === 'water' ? sim.kitchen.tapC : sim.kitchen.roomC;
  const poured = liquorOf(
    comp,
    tempC,
    [
      {
        lineId,
        kind: originKindOf(kind, liquidRow),
        sinceMin: sim.nowMin,
        heatedMin: 0,
        below60Min: null,
        ...(liquidRow?.unknown ? { unknown: true as const } : {}),
      },
    ],
    NO_COOLING,
    null,
  );
  const mixed = mixLiquors(
    sim,
    vessel.liquor,
    massG(vessel.liquor) + solidsInfo(sim, vessel).massG,
    poured,
    massG(comp),
  );
  addFlow(sim, () => ({
    stepId: step.id,
    code: kind === 'sweetener' ? 'sweetener' : 'poured',
    direction: 'in',
    volumeL: (volumeMl(mixed) - volumeMl(vessel.liquor)) / 1000,
    comp,
    lineId,
    itemId,
    to: vessel.id,
  }));
  setVessel(sim, { ...vessel, liquor: mixed });
}

/** Spilt, tasted, poured away: keeps the concentration. */
function removed(sim: SimState, step: Step, a: Extract<Adjustment, { kind: 'removed' }>): void {
  const vessel = vesselOf(sim, step.id, a.vesselId);
  const hasMl = volumeMl(vessel.liquor);
  const share = hasMl > 0 ? (a.volumeL * 1000) / hasMl : 2;
  if (!(share >= 0 && share <= 1)) {
    throw new StepStop({ kind: 'badReading', stepId: step.id, vesselId: vessel.id, what: 'volume' });
  }
  const gone = scaled(vessel.liquor, share);
  addFlow(sim, () => ({
    stepId: step.id,
    code: 'spill',
    direction: 'out',
    volumeL: a.volumeL,
    comp: gone,
    from: vessel.id,
  }));
  setVessel(sim, { ...vessel, liquor: withComposition(vessel.liquor, minus(vessel.liquor, gone)) });
}

export function adjust(sim: SimState, step: Step, adjustment: Exclude<Adjustment, { kind: 'flame' }>): void {
  switch (adjustment.kind) {
    case 'measured':
      measured(sim, step, adjustment);
      return;
    case 'added':
      added(sim, step, adjustment);
      return;
    case 'removed':
      removed(sim, step, adjustment);
      return;
  }
}

/** What really happened, without what was read: what the model alone makes of it. */
export const unread = (actuals: Readonly<Record<StepId, StepActual>>): Record<StepId, StepActual> =>
  Object.fromEntries(
    Object.entries(actuals).map(([id, actual]) => [
      id,
      { ...actual, adjustments: actual.adjustments.filter((a) => a.kind !== 'measured') },
    ]),
  );
