import { BOOK, type Job, JobCancelled, runJob, SHIPPED_TABLES } from '@big-ladle/core';

/** The worker's side of the one door: a job in, progress and one result out. */
self.addEventListener('message', (message: MessageEvent<{ id: number; job: Job }>) => {
  const { id, job } = message.data;
  try {
    const result = runJob(job, BOOK, SHIPPED_TABLES, {
      cancelled: () => false,
      onProgress: (share) => self.postMessage({ id, progress: share }),
    });
    self.postMessage({ id, result });
  } catch (error) {
    self.postMessage({ id, error: error instanceof JobCancelled ? 'cancelled' : String(error) });
  }
});
