import { volumeMl } from '../liquor/composition.ts';
import { solidVolumeMl } from '../physics/room.ts';
import type { LineId, StepId, VesselId } from '../program/model/ids.ts';
import type { Liquor } from '../program/model/liquor.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import type { StepKind } from '../program/model/steps.ts';
import type { Vessel, VesselKind } from '../program/model/vessel.ts';
import type { Tables } from '../tables/types.ts';

/** What stands in a vessel at one moment. */
export interface LaneState {
  litres: number;
  solidsL: number;
  tempC: number;
  liquor: Liquor;
}

/** A stretch of one vessel's lane: what stood in it before and after a step. */
export interface LaneSpan {
  stepId: StepId;
  from: LaneState;
  to: LaneState;
}

export interface Lane {
  vesselId: VesselId;
  kind: VesselKind;
  spans: LaneSpan[];
  peakL: number;
}

/** Something that goes from one vessel to another in a step; `to` null: it is thrown away. */
export interface LaneMove {
  stepId: StepId;
  from: VesselId;
  to: VesselId | null;
  /** Liquor that goes over, L; 0 where only solids do. */
  litres: number;
  lineIds: LineId[];
}

export interface LaneStep {
  stepId: StepId;
  kind: StepKind;
  /** The lane that it stands on: its vessel's, of bottles that which they are filled from. */
  vesselId: VesselId;
  /** All vessels that it goes on in: pots side by side are heated together. */
  vesselIds: readonly VesselId[];
  startMin: number;
  endMin: number;
  /** Where it begins and ends along the way, 0 to 1. */
  x0: number;
  x1: number;
  /** Its number among the steps of the recipe, from 1. */
  number: number;
  recipeStepId: string | null;
  /** Fuller than the vessel can take. */
  overfull: boolean;
}

/** The way of a drink through its vessels. */
export interface Lanes {
  lanes: Lane[];
  steps: LaneStep[];
  moves: LaneMove[];
  endMin: number;
}

/** Less than this is a drop, L. */
const NOTHING_L = 0.005;
/** A step of no time at all still has so much room, against one of an hour. */
const LEAST_ROOM = 0.9;

/**
 * Room along the way: minutes and days stand on one line, so it grows with the logarithm. A step of 4 minutes takes a
 * third of what an hour takes, a night about twice as much.
 */
const roomOf = (minutes: number): number => LEAST_ROOM + Math.log2(1 + minutes / 10);

const stateOf = (vessel: Vessel, tables: Tables): LaneState => ({
  litres: volumeMl(vessel.liquor) / 1000,
  solidsL:
    vessel.solids.reduce((sum, s) => {
      const row = tables.ingredients.get(s.ingredientId);
      return sum + (row ? solidVolumeMl(row, s.massG) : 0);
    }, 0) / 1000,
  tempC: vessel.liquor.tempC,
  liquor: vessel.liquor,
});

const holds = (state: LaneState): boolean => state.litres > NOTHING_L || state.solidsL > NOTHING_L;

/** In which vessels each solid lies: several pots may each have their part of it. */
function lyingWhere(vessels: Iterable<Vessel>): Map<LineId, Set<VesselId>> {
  const where = new Map<LineId, Set<VesselId>>();
  for (const vessel of vessels)
    for (const s of vessel.solids) where.set(s.lineId, (where.get(s.lineId) ?? new Set()).add(vessel.id));
  return where;
}

/**
 * The lanes of a batch, read from its trace: what stands in each vessel from step to step, and what goes from one to
 * another. Bottles and what is thrown away have no lane; a bowl has one where something was lifted into it.
 * @param sim a simulation in full detail; where it stops at a problem the lanes stop with it.
 */
export function lanesOf(program: Program, sim: Pick<Simulation, 'trace' | 'flows'>, tables: Tables): Lanes {
  const kinds = new Map(program.vessels.map((v) => [v.id, v.kind]));
  const now = new Map<VesselId, Vessel>();
  const lanes = new Map<VesselId, Lane>();
  const moves: LaneMove[] = [];
  const steps: LaneStep[] = [];
  const numbers = new Map<string, number>();
  const total = sim.trace.reduce((sum, t) => sum + roomOf(t.endMin - t.startMin), 0);
  let x = 0;
  for (const entry of sim.trace) {
    const step = program.steps.find((s) => s.id === entry.stepId);
    const recipeStepId = step?.recipeStepId ?? entry.stepId;
    if (!numbers.has(recipeStepId)) numbers.set(recipeStepId, numbers.size + 1);
    const x1 = x + roomOf(entry.endMin - entry.startMin) / total;
    steps.push({
      stepId: entry.stepId,
      kind: entry.kind,
      vesselId: kinds.get(entry.vesselId) === 'bottles' ? (step?.from[0] ?? '') : entry.vesselId,
      vesselIds: step && step.to.length > 1 ? step.to : [entry.vesselId],
      startMin: entry.startMin,
      endMin: entry.endMin,
      x0: x,
      x1,
      number: numbers.get(recipeStepId)!,
      recipeStepId: step?.recipeStepId ?? null,
      overfull: entry.room !== null && entry.room.fillMl + entry.room.foamMl > entry.room.limitMl,
    });
    x = x1;
    if (!now.has(entry.vesselId)) now.set(entry.vesselId, entry.before);
    const before = new Map(now);
    for (const vessel of [entry.after, ...entry.also]) now.set(vessel.id, vessel);
    moves.push(...movesOf(entry.stepId, sim, before, now, kinds));
    for (const [id, vessel] of now) {
      const kind = kinds.get(id);
      if (kind === undefined || kind === 'bottles' || kind === 'spent') continue;
      const was = before.get(id);
      const to = stateOf(vessel, tables);
      const from = was ? stateOf(was, tables) : { ...to, litres: 0, solidsL: 0 };
      if (!holds(from) && !holds(to)) continue;
      // What only lies on the board until it goes in has no lane.
      if (kind === 'bowl' && !hasLifted(vessel) && !hasLifted(was)) continue;
      const lane = lanes.get(id) ?? { vesselId: id, kind, spans: [], peakL: 0 };
      lane.spans.push({ stepId: entry.stepId, from, to });
      lane.peakL = Math.max(lane.peakL, from.litres + from.solidsL, to.litres + to.solidsL);
      lanes.set(id, lane);
    }
  }
  return {
    lanes: [...lanes.values()],
    steps,
    moves,
    endMin: sim.trace.at(-1)?.endMin ?? 0,
  };
}

/** What went over in a step: liquor by its flows, solids by where they lie now. */
function movesOf(
  stepId: StepId,
  sim: Pick<Simulation, 'flows'>,
  before: ReadonlyMap<VesselId, Vessel>,
  after: ReadonlyMap<VesselId, Vessel>,
  kinds: ReadonlyMap<VesselId, VesselKind>,
): LaneMove[] {
  const moves = new Map<string, LaneMove>();
  const moveOf = (from: VesselId, to: VesselId | null): LaneMove => {
    const key = `${from}>${to ?? ''}`;
    const move = moves.get(key) ?? { stepId, from, to, litres: 0, lineIds: [] };
    moves.set(key, move);
    return move;
  };
  for (const flow of sim.flows) {
    if (flow.stepId !== stepId || flow.from === undefined) continue;
    if (flow.direction === 'move' && flow.to !== undefined) moveOf(flow.from, flow.to).litres += flow.volumeL;
    if (flow.code === 'thrown') moveOf(flow.from, null).litres += flow.volumeL;
  }
  const was = lyingWhere(before.values());
  for (const [lineId, there] of lyingWhere(after.values())) {
    const earlier = was.get(lineId) ?? new Set();
    const from = [...earlier].find((id) => !there.has(id));
    const to = [...there].find(
      (id) => !earlier.has(id) || massIn(after.get(id), lineId) > massIn(before.get(id), lineId),
    );
    // From the board into a vessel is putting in, no going over.
    if (
      from === undefined ||
      to === undefined ||
      (kinds.get(from) === 'bowl' && !isLifted(before.get(from), lineId))
    )
      continue;
    moveOf(from, kinds.get(to) === 'spent' ? null : to).lineIds.push(lineId);
  }
  return [...moves.values()].filter((m) => m.litres > NOTHING_L || m.lineIds.length > 0);
}

const massIn = (vessel: Vessel | undefined, lineId: LineId): number =>
  vessel?.solids.reduce((sum, s) => sum + (s.lineId === lineId ? s.massG : 0), 0) ?? 0;
const hasLifted = (vessel: Vessel | undefined): boolean =>
  vessel?.solids.some((s) => s.lifted !== undefined) ?? false;
const isLifted = (vessel: Vessel | undefined, lineId: LineId): boolean =>
  vessel?.solids.some((s) => s.lineId === lineId && s.lifted !== undefined) ?? false;
