import type { Recipe } from '@big-ladle/core/documents';
import type { Job, JobResult } from '@big-ladle/core/plan';
import type { PinnedRows } from '@big-ladle/core/tables';
import { useEffect, useState } from 'react';
import { run, WorkerNotLoaded } from './run.ts';

/**
 * The result of a job that runs beside the screen; a new job stops the one before. While a new one runs, the last
 * result stays. `job` must keep its identity as long as it asks the same.
 * @param tells how far it is is shown: whoever asks is drawn again with each piece that is done, and only then.
 */
export function useJob<K extends Job['kind']>(
  job: Extract<Job, { kind: K }> | null,
  recipes: readonly Recipe[],
  rows: PinnedRows,
  { tells = false }: { tells?: boolean } = {},
): {
  result: Extract<JobResult, { kind: K }> | null;
  /** The result answers the job as it is now, not one before it. */
  current: boolean;
  /** 0 to 1 while it runs and is told; null otherwise. */
  progress: number | null;
  stop: () => void;
  failed: boolean;
} {
  const [answered, setAnswered] = useState<{ job: Job; result: Extract<JobResult, { kind: K }> } | null>(
    null,
  );
  const [progress, setProgress] = useState<number | null>(null);
  const [failed, setFailed] = useState(false);
  const [stop, setStop] = useState<() => void>(() => () => undefined);
  useEffect(() => {
    if (!job) return;
    const controller = new AbortController();
    const end = () => {
      controller.abort();
      setProgress(null);
    };
    setStop(() => end);
    if (tells) setProgress(0);
    setFailed(false);
    run(job, { recipes, rows }, { signal: controller.signal, ...(tells && { onProgress: setProgress }) })
      .then((answer) => {
        setAnswered({ job, result: answer });
        setProgress(null);
      })
      .catch((error: unknown) => {
        if (controller.signal.aborted) return;
        setProgress(null);
        setFailed(true);
        if (!(error instanceof WorkerNotLoaded)) reportError(error);
      });
    return () => controller.abort();
  }, [job, recipes, rows, tells]);
  return {
    result: answered?.result ?? null,
    current: answered !== null && answered.job === job,
    progress,
    stop,
    failed,
  };
}
