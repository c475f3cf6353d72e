import fnv1a from '@sindresorhus/fnv1a';
import {
  type FeastTimetable,
  type GatheringDoc,
  settledOf,
  type TimetablePlace,
} from '../documents/gathering.ts';
import { MINUTE_MS } from '../units/time.ts';
import type { FeastJob, FeastTimes } from './feast.ts';
import { COOK } from './feastProject.ts';

/** What moves by less is not told: nobody minds. */
const TOLD_MS = 10 * MINUTE_MS;

/** What of a gathering its hours hang on, in short: with another, hours are found anew. */
export const basisOf = (gathering: GatheringDoc): string =>
  fnv1a(JSON.stringify(settledOf(gathering)), { size: 64 }).toString(36);

const placesOf = (times: Pick<FeastTimes, 'jobs'>): TimetablePlace[] =>
  times.jobs.map(({ drinkId, jobId, startMs, by }) => ({ drinkId, jobId, startMs, by }));

/**
 * Hours as they are kept. @param before those that were kept until now: of the same basis, what the cook has seen of
 * them stays what she has seen.
 */
export function timetableOf(times: FeastTimes, basis: string, before: FeastTimetable | null): FeastTimetable {
  const places = placesOf(times);
  return {
    basis,
    places,
    joined: times.joined.map(({ joinId, drinkIds }) => ({ joinId, drinkIds: [...drinkIds] })),
    agreed: before?.basis === basis ? before.agreed : places,
  };
}

/** The cook has seen what moved. */
export const agreedOn = (timetable: FeastTimetable): FeastTimetable => ({
  ...timetable,
  agreed: timetable.places,
});

export interface MovedJob {
  job: FeastJob;
  fromMs: number;
}

/** What somebody is wanted for at another hour than was agreed, the first one first. */
export const movedJobs = (
  agreed: readonly TimetablePlace[],
  times: Pick<FeastTimes, 'jobs'>,
  nowMs: number,
): MovedJob[] =>
  times.jobs
    .flatMap((job) => {
      const was = agreed.find((p) => p.drinkId === job.drinkId && p.jobId === job.jobId);
      // What is going on moves no more.
      return was && job.attended && job.startMs > nowMs && Math.abs(was.startMs - job.startMs) >= TOLD_MS
        ? [{ job, fromMs: was.startMs }]
        : [];
    })
    .sort((a, b) => a.job.startMs - b.job.startMs);

/**
 * What somebody is wanted for next, what is going on with it; what is done once for several drinks stands once.
 * @param by whose jobs; null: everybody's. A pot that only wants an eye is the cook's.
 */
export const nextJobs = (
  times: Pick<FeastTimes, 'jobs'>,
  nowMs: number,
  by: string | null,
  most: number,
): FeastJob[] =>
  attendedJobs(times.jobs)
    .filter((job) => job.endMs > nowMs && (by === null || (job.by ?? COOK) === by))
    .slice(0, most);

/** What somebody is wanted for, in the order of time; what is done once for several drinks stands once. */
export const attendedJobs = (jobs: readonly FeastJob[]): FeastJob[] =>
  [...jobs]
    .sort((a, b) => a.startMs - b.startMs)
    .filter((job) => job.attended && (job.together.length < 2 || job.together[0] === job.drinkId));
