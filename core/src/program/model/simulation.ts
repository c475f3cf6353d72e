import type { LineKind } from '../../documents/recipe.ts';
import type { Composition } from '../../liquor/composition.ts';
import type { PhEstimate } from '../../liquor/ph.ts';
import type { Room } from '../../physics/room.ts';
import type { Fuel } from '../../tables/constants.ts';
import type { MarkerId } from '../../tables/types.ts';
import type { Said } from '../../units/result.ts';
import type { ModelFactors } from './factors.ts';
import type { LineId, StepId, VesselId } from './ids.ts';
import type { StepKind } from './steps.ts';
import type { Vessel } from './vessel.ts';

/** What was read at the stove. Volumes carry the temperature they were read at. */
export type Reading =
  | { what: 'volume'; volumeL: number; atC: number }
  | { what: 'level'; levelCm: number; atC: number }
  | { what: 'mass'; massKg: number; withVessel: boolean }
  | { what: 'temperature'; tempC: number }
  | { what: 'brix'; brix: number }
  /** Calyx drawn into a litre, as a photographed spoonful tells it by the colour table, g; and how much water it was thinned with. */
  | { what: 'red'; redGPerL: number; thinned: number }
  | {
      what: 'pH';
      pH: number;
      by: 'meter' | 'strip';
      /** Of a meter: it was calibrated on the day. */
      calibrated?: boolean | undefined;
      /** Of a strip: in drink thinned with clear water, read against its own white. */
      thinned?: boolean | undefined;
    };

/** Something that happened to a vessel while a step ran or at its end. */
export type Adjustment =
  | { kind: 'measured'; atMin: number; vesselId: VesselId; reading: Reading }
  | {
      kind: 'added';
      atMin: number;
      vesselId: VesselId;
      lineKind: LineKind;
      itemId: string;
      lineId: LineId;
      massG: number;
    }
  | { kind: 'removed'; atMin: number; vesselId: VesselId; volumeL: number }
  /** The flame went out, or is back. */
  | { kind: 'flame'; atMin: number; on: boolean };

/** What really happened in a step; anything missing is taken from the plan. */
export interface StepActual {
  startMin?: number;
  endMin?: number;
  skipped?: boolean;
  /** When it began or ended was not read from a clock. */
  untimed?: boolean;
  rinses?: number;
  /** Still going on: it lasts at least so long, whatever the model says. */
  atLeastMin?: number;
  /** Tastes have moved the sweetness aimed at. */
  targetSweetnessPct?: number;
  adjustments: readonly Adjustment[];
}

/** One flow of liquor, for the ledger: what came in, what left, by step. Litres are the change of the vessel's liquor. */
export interface Flow {
  stepId: StepId;
  code: FlowCode;
  direction: 'in' | 'out' | 'move';
  /** The change of liquor volume at 20 °C, L: positive into the batch for `in`, positive out of it for `out`. */
  volumeL: number;
  comp: Composition;
  lineId?: LineId;
  /** Of what was poured or stirred in, also where it stands in no line. */
  itemId?: string;
  from?: VesselId;
  to?: VesselId;
}

/** What a ring or a kettle draws in a step, as its meter counts it: what goes past the pot too. */
export interface FuelUse {
  stepId: StepId;
  fuel: Fuel;
  kWh: number;
}

export type FlowCode =
  | 'poured'
  | 'onHand'
  | 'thrown'
  | 'ownWater'
  | 'rinseWater'
  | 'bowl'
  | 'drawn'
  | 'steam'
  | 'faded'
  | 'held'
  | 'strainLoss'
  | 'sweetener'
  | 'spill'
  | 'measured'
  | 'moved';

/** A vessel as the screens show it. */
export interface VesselNow {
  vesselId: VesselId;
  volumeL: number;
  /** Litres as they stand, at their temperature. */
  hotVolumeL: number;
  solidsL: number;
  /** Height of the contents, cm; null without a shape. */
  levelCm: number | null;
  tempC: number;
  massG: number;
  brix: number;
  taGPerL: number;
  sournessGPerL: number;
  sweetnessPct: number;
  ph: PhEstimate;
  abvPct: number;
}

export interface CurvePoint {
  atMin: number;
  tempC: number;
  /** Drawn markers in the vessel's liquor, g/L; only where strength was asked for. */
  gPerL?: Readonly<Partial<Record<MarkerId, number>>>;
}

export interface TraceEntry {
  stepId: StepId;
  kind: StepKind;
  startMin: number;
  endMin: number;
  /** How long the model gave it as things stood at its start, whatever the log says. */
  modelMin: number;
  /** The vessel the step is about, before and after. */
  vesselId: VesselId;
  before: Vessel;
  after: Vessel;
  /** Other vessels that it changed, as they stand when it is over. */
  also: readonly Vessel[];
  now: VesselNow;
  /** Fullest the vessel stood during the step, with its room. */
  room: Room | null;
  /** Share drawn from each solid at the end, by line. */
  drawn: Readonly<Record<LineId, number>>;
  curve: readonly CurvePoint[];
  notes: readonly Said[];
  /** Minutes between 60 and 5 °C in this step outside fridge and ice bath. */
  warmMin: number;
  /** Sweetener that reaches the target, g, by line (sweeten only). */
  dosedG: Readonly<Record<LineId, number>>;
}

export type StepProblem =
  | { kind: 'cannotJuice'; stepId: StepId; itemId: string }
  | { kind: 'cannotSour'; stepId: StepId; targetTaGPerL: number }
  | { kind: 'unknownLine'; stepId: StepId; lineId: LineId }
  | { kind: 'unknownItem'; stepId: StepId; itemId: string }
  | { kind: 'unknownVessel'; stepId: StepId; vesselId: VesselId }
  | { kind: 'unknownBurner'; stepId: StepId; burnerId: string }
  | { kind: 'badAmount'; stepId: StepId; lineId: LineId; massG: number }
  | { kind: 'emptyVessel'; stepId: StepId; vesselId: VesselId }
  | { kind: 'neverBoils'; stepId: StepId; vesselId: VesselId; reachesC: number }
  | { kind: 'neverCools'; stepId: StepId; vesselId: VesselId; targetC: number }
  | { kind: 'boiledDry'; stepId: StepId; vesselId: VesselId }
  | { kind: 'neverDown'; stepId: StepId; vesselId: VesselId; toL: number }
  | { kind: 'allHeld'; stepId: StepId; vesselId: VesselId; heldL: number; hasL: number }
  | { kind: 'measuredTooMuch'; stepId: StepId; vesselId: VesselId; valueL: number; capacityL: number }
  | { kind: 'moreThanMade'; stepId: StepId; vesselId: VesselId; valueL: number; expectedL: number }
  | { kind: 'badReading'; stepId: StepId; vesselId: VesselId; what: Reading['what'] }
  | { kind: 'brixWithAlcohol'; stepId: StepId; vesselId: VesselId };

export interface SimulationOptions {
  actuals?: Readonly<Record<StepId, StepActual>>;
  /** With `lean` no curves or per-step copies are kept, only the last states, flows and room. */
  detail?: 'full' | 'lean';
  /** The constants of the model as this kitchen has them, or as drawn for one run of a range; all 1 without. */
  factors?: ModelFactors;
  /** Keep the strength along the curves. */
  strength?: boolean;
  /** Stop in the middle: the state of things at a moment of a step. */
  stopAt?: { stepId: StepId; atMin: number };
}

export interface Simulation {
  trace: readonly TraceEntry[];
  flows: readonly Flow[];
  /** One row for each step that is heated, and each fuel. */
  fuel: readonly FuelUse[];
  vessels: Readonly<Record<VesselId, Vessel>>;
  endMin: number;
  /** Fullest each vessel stood, as far as it has a shape. */
  peak: Readonly<Record<VesselId, Room>>;
  /** What was worked out at its step, g, by line: sweetener that reaches its target, parts by what came out. */
  dosedG: Readonly<Record<LineId, number>>;
  /** Present when the program could not be followed to its end; the trace goes as far as it went. */
  problem: StepProblem | null;
}
