import {
  BOOK,
  type Job,
  type JobBook,
  JobCancelled,
  runJob,
  SHIPPED_TABLES,
  withCustom,
} from '@big-ladle/core';

/** The worker's side of the one door: a job in, progress and one result out. */
self.addEventListener('message', (message: MessageEvent<{ id: number; job: Job; own: JobBook }>) => {
  const { id, job, own } = message.data;
  try {
    const result = runJob(job, [...BOOK, ...own.recipes], withCustom(SHIPPED_TABLES, own.rows), {
      cancelled: () => false,
      onProgress: (share) => self.postMessage({ id, progress: share }),
    });
    self.postMessage({ id, result });
  } catch (error) {
    self.postMessage({ id, error: error instanceof JobCancelled ? 'cancelled' : String(error) });
  }
});
