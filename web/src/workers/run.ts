import type { Job, JobBook, JobResult } from '@big-ladle/core';

/** The worker's script did not come: the server is out of reach and the browser does not have it yet. */
export class WorkerNotLoaded extends Error {}

type Answer = { id: number; progress?: number; result?: JobResult; error?: string };

let nextId = 1;

/**
 * Runs a job beside the screen, with the cook's own recipes and ingredients beside the shipped ones. Each job has a worker of its own, so that cancelling is ending it.
 * @throws DOMException AbortError when the signal fires, WorkerNotLoaded without its script, Error when the job fails.
 */
export function run<K extends Job['kind']>(
  job: Extract<Job, { kind: K }>,
  own: JobBook,
  { signal, onProgress }: { signal?: AbortSignal; onProgress?: (share: number) => void } = {},
): Promise<Extract<JobResult, { kind: K }>> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
    const id = nextId++;
    const end = () => {
      worker.terminate();
      signal?.removeEventListener('abort', abort);
    };
    const abort = () => {
      end();
      reject(new DOMException('cancelled', 'AbortError'));
    };
    signal?.addEventListener('abort', abort);
    worker.addEventListener('message', (message: MessageEvent<Answer>) => {
      const answer = message.data;
      if (answer.id !== id) return;
      if (answer.progress !== undefined) onProgress?.(answer.progress);
      if (answer.result) {
        end();
        resolve(answer.result as Extract<JobResult, { kind: K }>);
      }
      if (answer.error) {
        end();
        reject(new Error(answer.error));
      }
    });
    worker.addEventListener('error', (event) => {
      end();
      // A script that could not be fetched says nothing; one that failed tells what.
      reject(event.message ? new Error(event.message) : new WorkerNotLoaded());
    });
    worker.postMessage({ id, job, own });
  });
}
