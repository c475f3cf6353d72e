import { BOOK, withCustom } from '@big-ladle/core/book';
import type { FeastTimes, Sized } from '@big-ladle/core/gathering';
import { type Job, type JobBook, type JobResult, runJob } from '@big-ladle/core/plan';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { expose } from 'comlink';

/** The worker's side: a job in, progress and one result out. */
const workerSide = {
  run(
    job: Job,
    own: JobBook,
    onProgress: (share: number) => void,
    onSized: (sized: Sized) => void,
    onBest: (times: FeastTimes) => void,
  ): JobResult {
    const beganMs = performance.now();
    return runJob(job, [...BOOK, ...own.recipes], withCustom(SHIPPED_TABLES, own.rows), {
      cancelled: () => false,
      onProgress,
      onSized,
      onBest,
      elapsedMs: () => performance.now() - beganMs,
    });
  },
};
export type WorkerSide = typeof workerSide;

expose(workerSide);
