import type { Kitchen } from '../../documents/kitchen.ts';
import { type Composition, EMPTY, massG, plus, scaled, tintOf, volumeMl } from '../../liquor/composition.ts';
import { heatCapacityJPerK } from '../../physics/heat.ts';
import { foamOf, hotFillMl, type Room, roomIn, solidVolumeMl } from '../../physics/room.ts';
import { bowlDiameterM, capacityMl, levelM } from '../../physics/vesselShape.ts';
import { STEEL_HEAT_SHARE } from '../../tables/constants.ts';
import { KEEPING } from '../../tables/keeping.ts';
import type { IngredientRow, MarkerId, Tables } from '../../tables/types.ts';
import { vigourGives } from '../../tables/vigours.ts';
import type { ModelFactors } from '../model/factors.ts';
import type { VesselId } from '../model/ids.ts';
import type { CoolingTally, Liquor, Origin, Solid } from '../model/liquor.ts';
import type { Program, ProgramLine } from '../model/program.ts';
import type { Flow, FuelUse, StepProblem } from '../model/simulation.ts';
import type { Vessel, VesselSpec } from '../model/vessel.ts';
import { NO_COOLING, worseCooling } from './exposure.ts';
import { factoredTables } from './factoredTables.ts';

/** Raised inside the interpreter only, to unwind to the one place that returns the problem with the trace so far. */
export class StepStop extends Error {
  constructor(readonly problem: StepProblem) {
    super(problem.kind);
  }
}

export const NO_FACTORS: ModelFactors = Object.freeze({});
export const emptyLiquor = (tempC: number): Liquor => liquorOf(EMPTY, tempC, [], NO_COOLING, null);

/** The interpreter's own working state; nobody outside sees it change. */
export interface SimState {
  program: Program;
  kitchen: Kitchen;
  tables: Tables;
  factors: ModelFactors;
  vessels: Map<VesselId, Vessel>;
  specs: Map<VesselId, VesselSpec>;
  lines: Map<string, ProgramLine>;
  nowMin: number;
  /** When the step that is on began. */
  stepStartMin: number;
  /** Null when only the outcome is wanted. */
  flows: Flow[] | null;
  peak: Map<VesselId, Room>;
  /** What a solid gives when all of it is drawn, as it was worked out last for its row. */
  drawables: Map<IngredientRow, { grams: number; all: Composition }>;
  /** Share of a burner's power that its pot has shown to take up, by burner; it holds for the rest of the batch. */
  powerFactors: Map<string, number>;
  /** What the rings have drawn so far. */
  fuel: FuelUse[];
}

export function startWork(
  program: Program,
  kitchen: Kitchen,
  tables: Tables,
  keepFlows: boolean,
  factors: ModelFactors = NO_FACTORS,
): SimState {
  const sim: SimState = {
    program,
    kitchen,
    tables: factoredTables(tables, factors),
    factors,
    vessels: new Map(),
    specs: new Map(program.vessels.map((v) => [v.id, v])),
    lines: new Map(program.lines.map((l) => [l.id, l])),
    nowMin: 0,
    stepStartMin: 0,
    flows: keepFlows ? [] : null,
    peak: new Map(),
    drawables: new Map(),
    powerFactors: new Map(),
    fuel: [],
  };
  for (const spec of program.vessels) {
    // A part that an older version kept may lack a figure.
    const held = spec.holds ? { ...EMPTY, ...spec.holds } : undefined;
    if (held) {
      addFlow(sim, () => ({
        stepId: '',
        code: 'onHand',
        direction: 'in',
        volumeL: volumeMl(held) / 1000,
        comp: held,
        to: spec.id,
      }));
    }
    sim.vessels.set(spec.id, {
      id: spec.id,
      // What comes from the shelf is as cold as the fridge, and as raw as what it was made of may be.
      liquor: held
        ? liquorOf(
            held,
            kitchen.fridgeC,
            [{ lineId: spec.id, kind: 'rawJuice', sinceMin: 0, heatedMin: 0, below60Min: null }],
            NO_COOLING,
            null,
          )
        : emptyLiquor(kitchen.roomC),
      lid: 'off',
      place: 'counter',
      solids: [],
    });
  }
  return sim;
}

export function vesselOf(sim: SimState, stepId: string, vesselId: VesselId | undefined): Vessel {
  const vessel = vesselId === undefined ? undefined : sim.vessels.get(vesselId);
  if (!vessel) throw new StepStop({ kind: 'unknownVessel', stepId, vesselId: vesselId ?? '' });
  return vessel;
}

export function lineOf(sim: SimState, stepId: string, lineId: string): ProgramLine {
  const line = sim.lines.get(lineId);
  if (!line) throw new StepStop({ kind: 'unknownLine', stepId, lineId });
  if (!Number.isFinite(line.massG) || line.massG < 0) {
    throw new StepStop({ kind: 'badAmount', stepId, lineId, massG: line.massG });
  }
  return line;
}

export function ingredientOf(sim: Pick<SimState, 'tables'>, stepId: string, itemId: string): IngredientRow {
  const row = sim.tables.ingredients.get(itemId);
  if (!row) throw new StepStop({ kind: 'unknownItem', stepId, itemId });
  return row;
}

/** The row of a line's thing, as much as this one gives. */
export function rowOfLine(
  sim: Pick<SimState, 'tables' | 'lines'>,
  stepId: string,
  lineId: string,
  itemId: string,
): IngredientRow {
  const row = ingredientOf(sim, stepId, itemId);
  const root = sim.lines.get(lineId)?.root;
  return root ? { ...row, potency: row.potency * vigourGives(root.vigour) } : row;
}
/** The same of a solid that lies in a vessel. */
export const rowOfSolid = (
  sim: Pick<SimState, 'tables' | 'lines'>,
  stepId: string,
  solid: Solid,
): IngredientRow => rowOfLine(sim, stepId, solid.lineId, solid.ingredientId);

/** What one gram of a solid gives when all of it is drawn. */
export function drawableOf(row: IngredientRow, grams: number): Composition {
  const sugarG = (grams * row.sugarPct) / 100;
  const markerG: Partial<Record<MarkerId, number>> = { [row.marker]: grams * row.potency };
  if (row.marker === 'calyx') markerG.red = grams * row.potency;
  return {
    waterG: 0,
    sugarG,
    // Out of its cells it counts as that of juice does.
    freeSugarG: sugarG,
    addedSugarG: 0,
    sweetG: sugarG,
    otherSolublesG: (grams * Math.max(0, row.solublePct - row.sugarPct)) / 100,
    acidG: (grams * row.acidPct) / 100,
    alkaliMeq: (grams * row.alkaliMeqPerKg) / 1000,
    unprovedMeq: 0,
    ethanolG: 0,
    aceticG: 0,
    fatG: (grams * (row.fatPct ?? 0)) / 100,
    excessMl: 0,
    markerG,
    tint: tintOf(row, grams),
  };
}

/** The same for a solid of this batch: each is drawn on again and again. */
export function drawableIn(sim: SimState, row: IngredientRow, grams: number): Composition {
  const known = sim.drawables.get(row);
  if (known?.grams === grams) return known.all;
  const all = drawableOf(row, grams);
  sim.drawables.set(row, { grams, all });
  return all;
}

/** What is left of a solid in the pot, g: its own water has joined the liquor and its drawn part too. */
export const remainingMassG = (solid: Solid, row: IngredientRow): number =>
  solid.massG * (1 - row.waterPct / 100 - ((row.solublePct + (row.fatPct ?? 0)) / 100) * solid.extracted);

export function solidsInfo(
  sim: Pick<SimState, 'tables'>,
  vessel: Vessel,
): { volumeMl: number; massG: number } {
  let ml = 0;
  let grams = 0;
  for (const solid of vessel.solids) {
    const row = ingredientOf(sim, '', solid.ingredientId);
    ml += solidVolumeMl(row, solid.massG);
    grams += remainingMassG(solid, row);
  }
  return { volumeMl: ml, massG: grams };
}

/** The pot of the kitchen that a vessel is; null for one that is none. */
export function potIdOf(sim: Pick<SimState, 'specs' | 'program'>, vesselId: VesselId): string | null {
  const spec = sim.specs.get(vesselId);
  return spec?.potId ?? (spec?.kind === 'pot' ? sim.program.potId : null);
}

/** A vessel's width: its own, or that of a bowl as high as wide. */
export const widthM = (sim: Pick<SimState, 'specs'>, vessel: Vessel): number =>
  sim.specs.get(vessel.id)?.shape?.diameterM ?? bowlDiameterM(volumeMl(vessel.liquor));

/** How high the contents stand, m. */
export function contentsLevelM(sim: Pick<SimState, 'specs' | 'tables'>, vessel: Vessel): number {
  return levelM(volumeMl(vessel.liquor) + solidsInfo(sim, vessel).volumeMl, widthM(sim, vessel));
}

export const capacityOfContents = (sim: SimState, vessel: Vessel): number =>
  heatCapacityJPerK(
    massG(vessel.liquor),
    solidsInfo(sim, vessel).massG,
    sim.specs.get(vessel.id)?.massG ?? 0,
    STEEL_HEAT_SHARE,
  );

/** Cooled at a stroke, by what was poured in or by a reading: what was heated in full fell below 60 °C then. */
export const fellBelow60 = (
  origins: readonly Origin[],
  fromC: number,
  toC: number,
  atMin: number,
): readonly Origin[] =>
  fromC >= KEEPING.warmC.to && toC < KEEPING.warmC.to
    ? origins.map((o) =>
        o.heatedMin >= KEEPING.heatedMin && o.below60Min === null ? { ...o, below60Min: atMin } : o,
      )
    : origins;

/** Two liquors in one: masses add, temperatures mix by heat, origins stand side by side, the worse cooling counts. */
export function mixLiquors(sim: SimState, a: Liquor, aHeatG: number, b: Liquor, bHeatG: number): Liquor {
  const total = aHeatG + bHeatG;
  const tempC = total > 0 ? (a.tempC * aHeatG + b.tempC * bHeatG) / total : a.tempC;
  return liquorOf(
    plus(a, b),
    tempC,
    [
      ...fellBelow60(a.origins, a.tempC, tempC, sim.nowMin),
      ...fellBelow60(b.origins, b.tempC, tempC, sim.nowMin),
    ],
    worseCooling(a.cooling, b.cooling),
    null,
  );
}

/** Books a flow; nothing is worked out for it when only the outcome is wanted. */
export function addFlow(sim: SimState, make: () => Flow): void {
  if (!sim.flows) return;
  const flow = make();
  // Nothing flowed; a reading or fading may change figures that have neither room nor weight.
  const empty =
    flow.volumeL === 0 && massG(flow.comp) === 0 && flow.code !== 'faded' && flow.code !== 'measured';
  if (!empty) sim.flows.push(flow);
}

/**
 * A liquor from its parts, field by field: the interpreter makes many, and copying whole objects is what costs most.
 */
export const liquorOf = (
  c: Composition,
  tempC: number,
  origins: readonly Origin[],
  cooling: CoolingTally,
  read: Liquor['read'],
): Liquor => ({
  waterG: c.waterG,
  sugarG: c.sugarG,
  freeSugarG: c.freeSugarG,
  addedSugarG: c.addedSugarG,
  sweetG: c.sweetG,
  otherSolublesG: c.otherSolublesG,
  acidG: c.acidG,
  alkaliMeq: c.alkaliMeq,
  unprovedMeq: c.unprovedMeq,
  ethanolG: c.ethanolG,
  aceticG: c.aceticG,
  fatG: c.fatG,
  excessMl: c.excessMl,
  markerG: c.markerG,
  tint: c.tint,
  tempC,
  origins,
  cooling,
  read,
});

/** A solid after something happened to it, field by field for the same reason. */
export const solidOf = (s: Solid, extracted: number, held: Composition, wet = s.wet): Solid => ({
  sinceMin: s.sinceMin,
  lineId: s.lineId,
  ingredientId: s.ingredientId,
  massG: s.massG,
  held,
  extracted,
  wet,
});

/**
 * What stays of a liquor where it was poured off: nothing at all, or the solids that it clings to, which go on with the
 * history that they share with it.
 */
export function drainedOf(sim: SimState, vessel: Vessel, solids: readonly Solid[], tempC: number): Liquor {
  if (solids.length === 0) return emptyLiquor(tempC);
  const { origins, cooling, tempC: fromC } = vessel.liquor;
  return liquorOf(EMPTY, tempC, fellBelow60(origins, fromC, tempC, sim.nowMin), cooling, null);
}

/** Replaces a vessel's composition, keeping its temperature and history. */
export const withComposition = (liquor: Liquor, c: Composition): Liquor =>
  liquorOf(c, liquor.tempC, liquor.origins, liquor.cooling, liquor.read);

export function setVessel(sim: SimState, vessel: Vessel): void {
  sim.vessels.set(vessel.id, vessel);
}

/** Takes note of how full a vessel with a shape stands; foam counts where it boils. */
export function noteRoom(sim: SimState, vessel: Vessel, boils: boolean): Room | null {
  const shape = sim.specs.get(vessel.id)?.shape;
  if (!shape) return null;
  const fill = hotFillMl(volumeMl(vessel.liquor), vessel.liquor.tempC, solidsInfo(sim, vessel).volumeMl);
  const foam = foamOf(vessel.solids.map((s) => rowOfSolid(sim, '', s).foam));
  const room = roomIn(capacityMl(shape), fill, foam);
  const counted = boils ? room : { ...room, foamMl: 0, spareMl: room.limitMl - fill };
  const before = sim.peak.get(vessel.id);
  if (!before || counted.spareMl < before.spareMl) sim.peak.set(vessel.id, counted);
  return counted;
}

/** Part of a solid, with its share of what clings to it. */
export const partOfSolid = (solid: Solid, share: number): Solid => ({
  ...solid,
  massG: solid.massG * share,
  held: scaled(solid.held, share),
});
