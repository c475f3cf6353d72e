import type { FeastTimes, Sized } from '@big-ladle/core/gathering';
import { type Job, type JobBook, type JobResult, joinSamples, type RangeSamples } from '@big-ladle/core/plan';
import { proxy, type Remote, wrap } from 'comlink';
import type { WorkerSide } from './core.worker.ts';

/** The worker's script did not come: the server is out of reach and the browser does not have it yet. */
export class WorkerNotLoaded extends Error {}

interface RunOptions {
  signal?: AbortSignal;
  onProgress?: (share: number) => void;
  onSized?: (sized: Sized) => void;
  onBest?: (times: FeastTimes) => void;
}

/** A worker and how it is called. */
interface Hand {
  worker: Worker;
  side: Remote<WorkerSide>;
}

function newHand(): Hand {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  return { worker, side: wrap<WorkerSide>(worker) };
}

/** Workers that have nothing to do. One that has run before answers in half the time, so a few are kept. */
const idle: Hand[] = [];
const LANES = Math.min(2, navigator.hardwareConcurrency || 1);

/**
 * Runs a job beside the screen, with the cook's own recipes and ingredients beside the shipped ones.
 * @throws DOMException AbortError when the signal fires, WorkerNotLoaded without its script, Error when the job fails.
 */
export function run<K extends Job['kind']>(
  job: Extract<Job, { kind: K }>,
  own: JobBook,
  options: RunOptions = {},
): Promise<Extract<JobResult, { kind: K }>> {
  const asked: Job = job;
  return (asked.kind === 'ranges' ? inLanes(asked, own, options) : inWorker(asked, own, options)) as Promise<
    Extract<JobResult, { kind: K }>
  >;
}

const aborted = () => new DOMException('cancelled', 'AbortError');

/** One job in one worker; cancelling ends the worker. */
async function inWorker(
  job: Job,
  own: JobBook,
  { signal, onProgress, onSized, onBest }: RunOptions,
): Promise<JobResult> {
  if (signal?.aborted) throw aborted();
  const hand = idle.pop() ?? newHand();
  const over = new AbortController();
  const ended = new Promise<never>((_, reject) => {
    const listen = { signal: over.signal };
    signal?.addEventListener('abort', () => reject(aborted()), listen);
    hand.worker.addEventListener(
      'error',
      // A script that could not be fetched says nothing; one that failed tells what.
      ({ message }) => reject(message ? new Error(message) : new WorkerNotLoaded()),
      listen,
    );
  });
  let usable = false;
  try {
    // What is told on the way comes by another line than the answer: what comes after it is not heard any more.
    const heard = <T>(tell: ((told: T) => void) | undefined) =>
      proxy((told: T) => {
        if (!over.signal.aborted) tell?.(told);
      });
    const told = [heard(onProgress), heard<Sized>(onSized), heard<FeastTimes>(onBest)] as const;
    const result = await Promise.race([hand.side.run(job, own, ...told), ended]);
    usable = true;
    return result;
  } finally {
    over.abort();
    if (usable && idle.length < LANES) idle.push(hand);
    else hand.worker.terminate();
  }
}

/** Runs in one message: short enough that a question no longer asked keeps no worker busy for long. */
const RUNS_A_PIECE = 500;

/** Many runs in pieces, over as many workers as there are cores to spare; cancelling asks for no more pieces. */
async function inLanes(
  job: Extract<Job, { kind: 'ranges' }>,
  own: JobBook,
  { signal, onProgress }: RunOptions,
): Promise<JobResult> {
  const pieces = Array.from({ length: Math.ceil(job.runs / RUNS_A_PIECE) }, (_, i) => ({
    ...job,
    from: job.from + i * RUNS_A_PIECE,
    runs: Math.min(RUNS_A_PIECE, job.runs - i * RUNS_A_PIECE),
  }));
  const samples: RangeSamples[] = [];
  let next = 0;
  let done = 0;
  const failed = new AbortController();
  const asked = signal ? AbortSignal.any([signal, failed.signal]) : failed.signal;
  const lane = async () => {
    while (next < pieces.length && !asked.aborted) {
      const index = next++;
      const result = await inWorker(pieces[index]!, own, {});
      if (asked.aborted) return;
      if (result.kind === 'ranges') samples[index] = result.samples;
      done++;
      onProgress?.(done / pieces.length);
    }
  };
  try {
    await Promise.all(Array.from({ length: LANES }, lane));
  } catch (error) {
    failed.abort();
    throw error;
  }
  if (signal?.aborted) throw aborted();
  return { kind: 'ranges', samples: joinSamples(samples) };
}
