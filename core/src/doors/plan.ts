/** From a wish to a program with its hours: solved, placed, drawn as lanes; and work for a worker. */
export { type Job, type JobBook, type JobResult, runJob } from '../jobs/run.ts';
export { boilingPointC } from '../physics/heat.ts';
export { findAlternatives, type WayOut } from '../plan/alternatives.ts';
export { type BandSpan, bandHours, bandOf } from '../plan/band.ts';
export { besideWays, standsIn, withBeside, withoutClash } from '../plan/beside.ts';
export {
  bottledMl,
  bottlePlan,
  bottlesFor,
  type FilledBottle,
  fillBottles,
  fillingOrder,
  fillMl,
  jugOf,
  portionTubs,
  suggestBottles,
} from '../plan/bottles.ts';
export { type CoolingWay, coolingWays } from '../plan/cooling.ts';
export { darkHours, firstStart, liesOnTwoDays } from '../plan/firstStart.ts';
export { idleJobs, type JobOfWait, placeJobs } from '../plan/idleJobs.ts';
export {
  type Lane,
  type LaneMove,
  type LaneState,
  type LaneStep,
  type Lanes,
  lanesOf,
} from '../plan/lanes.ts';
export { openingPlan } from '../plan/openingPlan.ts';
export { type PlanProblem, solvePlanDoc } from '../plan/planDoc.ts';
export type { PlanStart } from '../plan/planStart.ts';
export { joinSamples, type RangeSamples, spansOf } from '../plan/ranges.ts';
export { latestStart, type Schedule } from '../plan/schedule.ts';
export { secondBoil } from '../plan/secondBoil.ts';
export { solvePlan } from '../plan/solve.ts';
export { startBy, type Timetable, timetableFrom } from '../plan/startBy.ts';
export { type AwayWindow, awayWindows, longestStep, timelineOf } from '../plan/timeline.ts';
export { type Question, type Solution, type SolveInput, usableLines } from '../plan/wish.ts';
