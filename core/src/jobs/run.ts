import { type Courses, coursesOf } from '../compare/courses.ts';
import { compareMethods, type MethodAnswer } from '../compare/methods.ts';
import { type DrinkOverview, overviewOf } from '../compare/overview.ts';
import type { GatheringDoc, GuestGroup } from '../documents/gathering.ts';
import type { Kitchen } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { MethodId, Recipe } from '../documents/recipe.ts';
import type { StockRow } from '../documents/stock.ts';
import { type Feast, type FeastInput, type FeastTimes, planFeast, type Sized } from '../gathering/feast.ts';
import { type OtherDrink, othersFor } from '../gathering/others.ts';
import { bindingLimits, type FeastWay, type Limit, waysOut } from '../gathering/waysOut.ts';
import { type ReadingToTake, type ReadKind, readingSpread, readingToTake } from '../learn/toRead.ts';
import { type PlanProblem, solvePlanDoc } from '../plan/planDoc.ts';
import { type PlanStart, planStart } from '../plan/planStart.ts';
import { drawRuns, type RangeSamples } from '../plan/ranges.ts';
import type { Solution } from '../plan/wish.ts';
import type { StepId, VesselId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { withLabels } from '../tables/labels.ts';
import type { PinnedRows } from '../tables/pinned.ts';
import type { Tables } from '../tables/types.ts';
import type { Result } from '../units/result.ts';

/** Work that may be heavy, as plain data, so that it can run in a worker or beside a request. */
export type Job =
  | { kind: 'planStarts'; plans: readonly { id: string; plan: PlanDoc }[]; kitchen: Kitchen }
  | { kind: 'solveEach'; plans: readonly PlanDoc[]; kitchen: Kitchen }
  | { kind: 'compareMethods'; plan: PlanDoc; kitchen: Kitchen; methodIds: readonly MethodId[] }
  | {
      kind: 'courses';
      /** Of each the month in which it is made, 1 to 12. */
      plans: readonly { id: string; plan: PlanDoc; month: number }[];
      kitchen: Kitchen;
      stock: readonly StockRow[];
    }
  | { kind: 'ranges'; program: Program; kitchen: Kitchen; runs: number; from: number; seed: number }
  | { kind: 'overview'; kitchen: Kitchen }
  /** Which reading tells most of the kitchen; and how far readings at a step may lie from what is foretold. */
  | { kind: 'toRead'; program: Program; kitchen: Kitchen }
  | { kind: 'readingSpreads'; program: Program; kitchen: Kitchen; stepId: StepId; vesselId: VesselId }
  | {
      kind: 'feastWays';
      input: Omit<FeastInput, 'kitchen'>;
      kitchen: Kitchen;
      missing: readonly string[];
      seed: number;
      budgetMs: number;
    }
  | {
      kind: 'othersFor';
      groups: readonly GuestGroup[];
      gathering: GatheringDoc;
      kitchen: Kitchen;
      nowMs: number;
    }
  | { kind: 'feast'; input: Omit<FeastInput, 'kitchen'>; kitchen: Kitchen; seed: number; budgetMs: number };

/** The recipes and custom ingredients of a kitchen that are not shipped: sent along with a job. */
export interface JobBook {
  recipes: readonly Recipe[];
  /** What is the cook's own of the tables. */
  rows: PinnedRows;
}

export interface SolvedJob {
  solution: Solution;
  simulation: Simulation;
}
export type JobResult =
  | { kind: 'planStarts'; plans: readonly ({ id: string } & PlanStart)[] }
  | { kind: 'solveEach'; results: readonly Result<SolvedJob, PlanProblem>[] }
  | { kind: 'compareMethods'; answers: readonly MethodAnswer[] }
  /** Null for a plan that does not work out. */
  | { kind: 'courses'; courses: readonly { id: string; courses: Courses | null }[] }
  | { kind: 'ranges'; samples: RangeSamples }
  | { kind: 'overview'; drinks: readonly DrinkOverview[] }
  | { kind: 'toRead'; reading: ReadingToTake | null }
  | { kind: 'readingSpreads'; spreads: Readonly<Record<ReadKind, number | null>> }
  | { kind: 'feastWays'; limits: readonly Limit[]; ways: readonly FeastWay[] }
  | { kind: 'othersFor'; drinks: readonly OtherDrink[] }
  | { kind: 'feast'; feast: Feast };

export interface JobControl {
  /** Asked between pieces; true stops the job. */
  cancelled: () => boolean;
  onProgress: (share: number) => void;
  /** Told how much of what a feast takes, before its hours are looked for. */
  onSized?: (sized: Sized) => void;
  /** Told of the best so far of a search that goes on. */
  onBest?: (times: FeastTimes) => void;
  /** Since it was begun, ms: by a clock that the core has none of. */
  elapsedMs: () => number;
}

/** Each way out is tried so often before it counts as none. */
const WAY_TRIES = 25;
/** A search tells how far it is so often. */
const TELL_MS = 100;

/** Thrown by a job that was asked to stop. */
export class JobCancelled extends Error {}

function solve(
  plan: PlanDoc,
  book: readonly Recipe[],
  kitchen: Kitchen,
  tables: Tables,
): Result<SolvedJob, PlanProblem> {
  const solved = solvePlanDoc(plan, book, kitchen, tables);
  if (!solved.ok) return solved;
  const { program } = solved.value;
  return { ok: true, value: { solution: solved.value, simulation: simulateBatch(program, kitchen, tables) } };
}

/** The one door for workers: a job in, its result out. */
export function runJob(job: Job, book: readonly Recipe[], shipped: Tables, control: JobControl): JobResult {
  const tables = withLabels(shipped, job.kitchen.labels);
  switch (job.kind) {
    case 'planStarts':
      return {
        kind: 'planStarts',
        plans: job.plans.map(({ id, plan }) => ({ id, ...planStart(plan, book, job.kitchen, tables) })),
      };
    case 'solveEach': {
      const results: Result<SolvedJob, PlanProblem>[] = [];
      for (const [index, plan] of job.plans.entries()) {
        if (control.cancelled()) throw new JobCancelled();
        results.push(solve(plan, book, job.kitchen, tables));
        control.onProgress((index + 1) / job.plans.length);
      }
      return { kind: 'solveEach', results };
    }
    case 'compareMethods': {
      const answers = compareMethods(job.plan, job.methodIds, book, job.kitchen, tables, control);
      if (!answers) throw new JobCancelled();
      return { kind: 'compareMethods', answers };
    }
    case 'courses': {
      const { kitchen, stock } = job;
      const courses: { id: string; courses: Courses | null }[] = [];
      for (const [index, { id, plan, month }] of job.plans.entries()) {
        const around = { book, kitchen, stock, tables, cancelled: control.cancelled };
        courses.push({ id, courses: coursesOf(plan, month, around) });
        if (control.cancelled()) throw new JobCancelled();
        control.onProgress((index + 1) / job.plans.length);
      }
      return { kind: 'courses', courses };
    }
    case 'overview': {
      const drinks: DrinkOverview[] = [];
      for (const [index, recipe] of book.entries()) {
        if (control.cancelled()) throw new JobCancelled();
        drinks.push(overviewOf(recipe, job.kitchen, tables));
        control.onProgress((index + 1) / book.length);
      }
      return { kind: 'overview', drinks };
    }
    case 'toRead':
      return { kind: 'toRead', reading: readingToTake(job.program, job.kitchen, tables) };
    case 'readingSpreads': {
      const of = (what: ReadKind) =>
        readingSpread(job.program, job.kitchen, tables, job.stepId, job.vesselId, what);
      const spreads = { volume: of('volume'), level: of('level'), mass: of('mass') };
      return { kind: 'readingSpreads', spreads };
    }
    case 'feastWays': {
      const input = { ...job.input, kitchen: job.kitchen };
      const searched = {
        seed: job.seed,
        tries: WAY_TRIES,
        over: () => control.cancelled() || control.elapsedMs() >= job.budgetMs,
      };
      return {
        kind: 'feastWays',
        limits: bindingLimits(input, book, tables, searched),
        ways: waysOut(input, job.missing, book, tables, searched),
      };
    }
    case 'othersFor': {
      const { groups, gathering, kitchen, nowMs } = job;
      const drinks = othersFor(groups, gathering, kitchen, book, tables, nowMs, control.cancelled);
      return { kind: 'othersFor', drinks };
    }
    case 'feast': {
      const { onBest, onSized } = control;
      let toldMs = 0;
      const feast = planFeast({ ...job.input, kitchen: job.kitchen }, book, tables, {
        seed: job.seed,
        over: () => {
          if (control.cancelled()) throw new JobCancelled();
          const elapsedMs = control.elapsedMs();
          if (elapsedMs - toldMs >= TELL_MS) {
            toldMs = elapsedMs;
            control.onProgress(Math.min(1, elapsedMs / job.budgetMs));
          }
          return elapsedMs >= job.budgetMs;
        },
        ...(onBest ? { onBest } : {}),
        ...(onSized ? { onSized } : {}),
      });
      return { kind: 'feast', feast };
    }
    case 'ranges': {
      const samples = drawRuns(job.program, job.kitchen, tables, {
        runs: job.runs,
        from: job.from,
        seed: job.seed,
        cancelled: control.cancelled,
        onProgress: control.onProgress,
      });
      if (!samples) throw new JobCancelled();
      return { kind: 'ranges', samples };
    }
  }
}
