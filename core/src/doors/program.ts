/** What is done to a drink, step by step, and what becomes of it. */

export type { LineId, LotName } from '../program/model/ids.ts';
export { measuringKit, potCapacityMl, potShape, withServing } from '../program/model/kitchen.ts';
export type { Liquor } from '../program/model/liquor.ts';
export { shareOfLoad, standsSideBySide } from '../program/model/loads.ts';
export { lotOf, lotOfVessel } from '../program/model/lots.ts';
export type { EffectiveProgram, PlannedProgram, Program, ProgramLine } from '../program/model/program.ts';
export type { Reading, Simulation, StepProblem, TraceEntry } from '../program/model/simulation.ts';
export { draws, drawsStanding, heatManner } from '../program/model/stepFacts.ts';
export type { BottleStep, Step, UntilDown } from '../program/model/steps.ts';
export { isWater, saysAlcohol, tagsOf, tagsOfBatch, traitsOf, waterPouredG } from '../program/model/tags.ts';
export { type Taste, wishAfterTastes } from '../program/model/taste.ts';
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
export { learntTables } from '../program/simulate/factoredTables.ts';
export { fillingsOf, finishedL, finishedLiquor, largestFilling } from '../program/simulate/finished.ts';
export { cuesFor, type Guidance, guidanceAt, guidanceFor } from '../program/simulate/guidance.ts';
export { type Ledger, type LedgerRow, ledgerOf } from '../program/simulate/ledger.ts';
export { simulateBatch } from '../program/simulate/simulate.ts';
export { NO_FACTORS } from '../program/simulate/state.ts';
export { traceLine } from '../program/simulate/traceLine.ts';
