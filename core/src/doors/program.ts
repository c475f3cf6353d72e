/** What is done to a drink, step by step, and what becomes of it. */
export { measuringKit, potCapacityMl, potShape, withServing } from '../program/model/kitchen.ts';
export { shareOfLoad, standsSideBySide } from '../program/model/loads.ts';
export { lotOf, lotOfVessel } from '../program/model/lots.ts';
export { isWater, saysAlcohol, tagsOf, tagsOfBatch, traitsOf, waterPouredG } from '../program/model/tags.ts';
export { type Taste, wishAfterTastes } from '../program/model/taste.ts';
export type {
  BottleStep,
  EffectiveProgram,
  LineId,
  Liquor,
  LotName,
  PlannedProgram,
  Program,
  ProgramLine,
  Reading,
  Simulation,
  Step,
  StepProblem,
  TraceEntry,
  UntilDown,
} from '../program/model/types.ts';
export {
  BLENDER,
  BOTTLES,
  BOWL,
  isPot,
  JUG,
  KETTLE,
  POT,
  partOfJar,
  potAt,
  SPENT,
  SPICE_POT,
  TUB,
} from '../program/model/vessels.ts';
export { fillingsOf, finishedL, finishedLiquor, largestFilling } from '../program/simulate/finished.ts';
export {
  cuesFor,
  draws,
  drawsStanding,
  type Guidance,
  guidanceAt,
  guidanceFor,
  heatManner,
} from '../program/simulate/guidance.ts';
export { type Ledger, type LedgerRow, ledgerOf } from '../program/simulate/ledger.ts';
export { simulateBatch } from '../program/simulate/simulate.ts';
export { NO_FACTORS } from '../program/simulate/state.ts';
