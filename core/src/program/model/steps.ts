import type { JuiceTool, Sieve } from '../../documents/recipe.ts';
import type { Place } from '../../physics/heat.ts';
import type { BoilLevel, Lid } from '../../tables/constants.ts';
import type { Press } from '../../tables/types.ts';
import type { LineId, StepId, VesselId } from './ids.ts';

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
