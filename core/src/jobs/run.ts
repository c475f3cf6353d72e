import { type PlanDoc, type PlanProblem, solvePlanDoc } from '../plan/planDoc.ts';
import type { Solution } from '../plan/solve.ts';
import type { Kitchen } from '../program/kitchen.ts';
import type { Recipe } from '../program/recipe.ts';
import { simulateBatch } from '../program/simulate.ts';
import type { Simulation } from '../program/types.ts';
import type { Tables } from '../tables/types.ts';
import type { Result } from '../units/result.ts';

/** Work that may be heavy, as plain data, so that it can run in a worker or beside a request. */
export type Job =
  | { kind: 'solve'; plan: PlanDoc; kitchen: Kitchen }
  | { kind: 'compareFills'; plan: PlanDoc; kitchen: Kitchen; fills: readonly number[] };

export interface SolvedJob {
  solution: Solution;
  simulation: Simulation;
}
export type JobResult =
  | { kind: 'solve'; result: Result<SolvedJob, PlanProblem> }
  | { kind: 'compareFills'; results: readonly { fills: number; result: Result<SolvedJob, PlanProblem> }[] };

export interface JobControl {
  /** Asked between pieces; true stops the job. */
  cancelled: () => boolean;
  onProgress: (share: number) => void;
}

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
export function runJob(job: Job, book: readonly Recipe[], tables: Tables, control: JobControl): JobResult {
  switch (job.kind) {
    case 'solve':
      return { kind: 'solve', result: solve(job.plan, book, job.kitchen, tables) };
    case 'compareFills': {
      const results: { fills: number; result: Result<SolvedJob, PlanProblem> }[] = [];
      for (const [index, fills] of job.fills.entries()) {
        if (control.cancelled()) throw new JobCancelled();
        results.push({ fills, result: solve({ ...job.plan, fills }, book, job.kitchen, tables) });
        control.onProgress((index + 1) / job.fills.length);
      }
      return { kind: 'compareFills', results };
    }
  }
}
