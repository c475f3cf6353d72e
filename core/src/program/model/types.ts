import type { LotKind } from '../../documents/lot.ts';
import type { JuiceTool, LineKind, ScaleRule, Sieve } from '../../documents/recipe.ts';
import type { Composition } from '../../liquor/composition.ts';
import type { PhEstimate } from '../../liquor/ph.ts';
import type { Place } from '../../physics/heat.ts';
import type { Room } from '../../physics/room.ts';
import type { Shape } from '../../physics/vesselShape.ts';
import type { BoilLevel, Lid } from '../../tables/constants.ts';
import type { MarkerId, Press } from '../../tables/types.ts';
import type { VigourId } from '../../tables/vigours.ts';
import type { Said } from '../../units/result.ts';

export type LineId = string;
export type StepId = string;
export type VesselId = string;

/** Which part of a batch it is: a number where there are several of its kind; entries of before have a name. */
export interface LotName {
  kind: LotKind;
  number?: number | undefined;
  name?: string | undefined;
}

/** Where a part of the liquor comes from and what it has been through. Times are minutes since the batch began. */
export interface Origin {
  lineId: LineId;
  kind:
    | 'water'
    | 'solid'
    | 'rawJuice'
    | 'rawMilk'
    | 'sweetener'
    | 'vinegar'
    | 'spirit'
    | 'bought'
    | 'garlic'
    | 'live';
  /** When it was wetted, cut, juiced or poured. */
  sinceMin: number;
  /** Minutes at or above 85 °C. */
  heatedMin: number;
  /** First fell below 60 °C after its last full heating; null while hot or never heated. */
  below60Min: number | null;
  /** Nobody knows what acid and alkali it brings: with it no estimate shows a drink to be acid. */
  unknown?: true;
}

/** How a liquor has cooled and stood, minutes. */
export interface CoolingTally {
  /** In the stages of its cooling, since the last full heating that was allowed to begin them anew. */
  from60To21Min: number;
  from21To5Min: number;
  /** In all between 60 and 5 °C, since the batch began. */
  warmMin: number;
  /** The same outside of fridge and ice and while not shown to be acid: nothing takes these back. */
  unsafeMin: number;
  /** Warm outside of fridge and ice while it has never been heated in full: it counts like a slow cooling. */
  rawWarmMin: number;
  /** It was warmed above its room: it has a cooling to finish. */
  hot: boolean;
  /** It has been cold once since: its cooling is finished. */
  cold: boolean;
  /** At or above 85 °C since it was last below 60. */
  fullHeatMin: number;
  /** A missed first stage was made good by a second boil: that works once. */
  boiledAgain: boolean;
}

/** A liquor: what it is made of, its temperature, and where it comes from. */
export interface Liquor extends Composition {
  tempC: number;
  origins: readonly Origin[];
  cooling: CoolingTally;
  /** The last pH reading; anything poured or put in after it cancels it. */
  read: { pH: number; by: 'meter' | 'strip' } | null;
}

/** A solid in a vessel. Everything in it is drawn at one share, `extracted`. */
export interface Solid {
  lineId: LineId;
  ingredientId: string;
  /** As weighed before use, g. */
  massG: number;
  /** Liquor that clings to it once strained or rinsed. */
  held: Composition;
  extracted: number;
  /** Its own water has joined a liquor already: taken out and put back it brings only what clings to it. */
  wet: boolean;
  /** Minute at which it was cut or wetted; null: it is whole and dry. */
  sinceMin: number | null;
  /** Ground or pounded. */
  milled?: true;
  /** Lifted out of a liquor, whose history it shares, and lying in a bowl since. */
  lifted?: { atMin: number; cooling: CoolingTally };
}

export type VesselKind =
  | 'pot'
  | 'spicePot'
  | 'kettle'
  | 'bowl'
  | 'tub'
  | 'bottles'
  | 'jar'
  | 'blender'
  | 'spent';

/** How fruit is freed of its juice. */

export interface VesselSpec {
  id: VesselId;
  kind: VesselKind;
  /** Null for bowls and tubs nobody measured: taken as high as wide. */
  shape: Shape | null;
  massG: number;
  /** Which pot of the kitchen it is, where it is heated. */
  potId?: string;
  /** The ring it stands on, where it is not the batch's. */
  burnerId?: string;
  /** Whose it is, where it is a lot's. */
  lot?: LotName;
  /** What it holds before the first step: a part taken from the shelf. */
  holds?: Composition;
  /** What that part was made of, by the tables' ids. */
  itemIds?: readonly string[];
}

export interface Vessel {
  id: VesselId;
  liquor: Liquor;
  lid: Lid;
  place: Place;
  solids: readonly Solid[];
}

/** Typical length, with the range in which cooks keep it. */
export interface Duration {
  kind: 'duration';
  minutes: number;
  minMinutes?: number;
  maxMinutes?: number;
}
export interface Cue {
  kind: 'cue';
  cue: string;
  expectMin: number;
}
/** Until a temperature: how long that takes follows from the model. */
export interface UntilTemp {
  kind: 'temp';
  /** Null: the boil, wherever the kitchen stands. */
  targetC: number | null;
}
/** Until so much is left of it, as it stands hot: how long that takes follows from the model. */
export interface UntilDown {
  kind: 'down';
  to: { litres: number } | { share: number } | { levelCm: number };
}
export type Until = Duration | Cue | UntilTemp | UntilDown;

/** `handsOn` takes the cook's hands, `watched` the eyes, `unattended` neither. */
export type Attention = 'handsOn' | 'watched' | 'unattended';

interface StepBase {
  id: StepId;
  from: readonly VesselId[];
  to: readonly VesselId[];
  lines: readonly LineId[];
  /** Which fill of the pot this step belongs to, 1 for the first; 0 for what is done once for all. */
  fill: number;
  until: Until;
  attention: Attention;
  /** The cook's own words for it. */
  text?: string;
  /** The step of the recipe that it comes from. */
  recipeStepId?: string;
}

export interface PickStep extends StepBase {
  kind: 'pick';
}
export interface WashStep extends StepBase {
  kind: 'wash';
  rinses: number;
  minutesPerRinse: number;
}
export interface PrepStep extends StepBase {
  kind: 'prep';
  /** Ground or pounded: what is in it is free as soon as it is wet. */
  mill?: true;
}
export interface CombineStep extends StepBase {
  kind: 'combine';
  /** The solids of these lines are lifted out of `from` into the bowl, to be put back later. */
  lift?: boolean;
}
/** Strained before its time, and what is left boiled again: offered, never done unless the cook says so. */
export interface Branch {
  afterMin: number;
  waterL: number;
  boilMin: number;
}
export interface SoakStep extends StepBase {
  kind: 'soak';
  place: Place;
  lid: Lid;
  /** Turned over every so many minutes. */
  everyMin?: number;
  branch?: Branch;
  /** The water was for cleaning: it is poured away with what it drew. */
  thrown?: boolean;
}
export interface HeatStep extends StepBase {
  kind: 'heat';
  /** It goes by degrees: no bubbles tell when it is there. */
  byDegrees?: true;
  burnerId: string;
  lid: Lid;
}
export interface BoilStep extends StepBase {
  kind: 'boil';
  burnerId: string;
  level: BoilLevel;
  lid: Lid;
}
export interface SteepStep extends StepBase {
  kind: 'steep';
  /** Kept so hot on a low flame, where it stands on the stove. */
  holdC?: number;
  place: Place;
  lid: Lid;
  /** What it stands for, where it is not to draw. */
  purpose?: 'settling' | 'maturing';
  /** Shaken every so many minutes. */
  everyMin?: number;
  branch?: Branch;
}
export interface StrainStep extends StepBase {
  kind: 'strain';
  press: Press;
  cloth: boolean;
  /** Solids stay in the vessel for a second water, or go to the leftovers. */
  keepSolids: boolean;
  /** They are put aside in a bowl, to be used again. */
  asideSolids?: true;
  /** Through these, one after the other; unless said, once through a sieve and, where `cloth` is set, a cloth. */
  passes?: readonly { by: Sieve; times: number }[];
  /** Water poured over what stays in the sieve, mL. */
  rinseMl?: number;
}
export interface CoolStep extends StepBase {
  kind: 'cool';
  place: Place;
  lid: Lid;
}
export interface MixStep extends StepBase {
  kind: 'mix';
  /** Foam and scum are taken off. */
  skims?: true;
}
export interface SweetenStep extends StepBase {
  kind: 'sweeten';
  /** Sugar-equivalent g per 100 g aimed at. */
  targetSweetnessPct: number;
  /** Which share of the sweetness each brings, by line; unsaid: as much as any other. */
  sweetShares?: SweetShares;
}
export type SweetShares = Readonly<Record<LineId, number>>;
export interface BottleStep extends StepBase {
  kind: 'bottle';
  hygiene: 'clean' | 'sterilised';
  /** Hot into warmed glass. */
  hot?: true;
  /** What sweetens it in the glass, and how sweet that is to be: none of it is in the bottles. */
  inGlass?: { lineIds: readonly LineId[]; targetSweetnessPct: number; sweetShares?: SweetShares };
  /** In portions, for the freezer. */
  frozen?: true;
  portionMl?: number;
}
/** Through the blender, with the liquids of its lines: cells break, most of what is in them is free at once. */
export interface BlendStep extends StepBase {
  kind: 'blend';
}
export interface JuiceStep extends StepBase {
  kind: 'juice';
  tool: JuiceTool;
}
/** Souring to a titratable acidity, with the liquids of its lines. */
export interface SourStep extends StepBase {
  kind: 'sour';
  targetTaGPerL: number;
}
export interface FortifyStep extends StepBase {
  kind: 'fortify';
}
/** A share of the liquor goes into a vessel of its own. */
export interface SplitStep extends StepBase {
  kind: 'split';
  share: number;
  /** Instead of a share: so many millilitres, or all there is. */
  volumeMl?: number;
}

export type Step =
  | PickStep
  | WashStep
  | PrepStep
  | CombineStep
  | SoakStep
  | HeatStep
  | BoilStep
  | SteepStep
  | StrainStep
  | CoolStep
  | MixStep
  | SweetenStep
  | BottleStep
  | BlendStep
  | JuiceStep
  | SourStep
  | FortifyStep
  | SplitStep;
export type StepKind = Step['kind'];

/** An ingredient line with the amount of this batch. */
export interface ProgramLine {
  id: LineId;
  kind: LineKind;
  itemId: string;
  rule: ScaleRule;
  /** Grams; for liquids at 20 °C. A `toTarget` line is worked out at its step and has 0 here. */
  massG: number;
  /** What was said of it leaves it open: so many times the grams at the least, and at the most. */
  open?: { low: number; high: number };
  /** A root that is weak or strong, and where it is from. */
  root?: { vigour: VigourId; from?: string | undefined };
  /** How it is cut or broken: a row of the table of cuts, or the cook's own word. */
  cut?: string;
  /** Which share of a line of the recipe it is: the water of the second draw, the rinse of the blender. */
  share?: 'first' | 'second' | 'rinse' | 'later';
}

/** A batch: lines and steps over named vessels. The same shape serves plan, stove and log. */
interface ProgramShape {
  recipeId: string;
  recipeVersion: number;
  methodId: string;
  lines: readonly ProgramLine[];
  steps: readonly Step[];
  vessels: readonly VesselSpec[];
  potId: string;
  burnerId: string;
  fills: number;
  /** What share of all each load takes, where they are not equal: pots that stand side by side. */
  loadShares?: readonly number[];
}

/** As it was planned, and as a batch pins it. */
export interface PlannedProgram extends ProgramShape {
  effective?: never;
}

/** As it is really made: what was said at the stove is worked into it (`effectiveProgram`). */
export interface EffectiveProgram extends ProgramShape {
  effective: true;
}

export type Program = PlannedProgram | EffectiveProgram;

/** What was read at the stove. Volumes carry the temperature they were read at. */
export type Reading =
  | { what: 'volume'; volumeL: number; atC: number }
  | { what: 'level'; levelCm: number; atC: number }
  | { what: 'mass'; massKg: number; withVessel: boolean }
  | { what: 'temperature'; tempC: number }
  | { what: 'brix'; brix: number }
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
  /** The constants of the model as drawn for one run of a range; all 1 without. */
  factors?: ModelFactors;
  /** Keep the strength along the curves. */
  strength?: boolean;
  /** Stop in the middle: the state of things at a moment of a step. */
  stopAt?: { stepId: StepId; atMin: number };
}

/** Multipliers on the constants of the model that are not rows of a table: this kitchen's own, or one draw of a range. */
export interface ModelFactors {
  boilOff: number;
  /** Burner power that reaches the pot. */
  power: number;
  heatLoss: number;
  strainLoss: number;
}

export interface Simulation {
  trace: readonly TraceEntry[];
  flows: readonly Flow[];
  vessels: Readonly<Record<VesselId, Vessel>>;
  endMin: number;
  /** Fullest each vessel stood, as far as it has a shape. */
  peak: Readonly<Record<VesselId, Room>>;
  /** What was worked out at its step, g, by line: sweetener that reaches its target, parts by what came out. */
  dosedG: Readonly<Record<LineId, number>>;
  /** Present when the program could not be followed to its end; the trace goes as far as it went. */
  problem: StepProblem | null;
}
