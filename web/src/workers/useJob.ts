import type { IngredientRow, Job, JobResult, Recipe } from '@big-ladle/core';
import { useEffect, useState } from 'react';
import { run } from './run.ts';

/**
 * The result of a job that runs beside the screen; a new job stops the one before. While a new one runs, the last
 * result stays. `job` must keep its identity as long as it asks the same.
 */
export function useJob<K extends Job['kind']>(
  job: Extract<Job, { kind: K }> | null,
  recipes: readonly Recipe[],
  ingredients: readonly IngredientRow[],
): {
  result: Extract<JobResult, { kind: K }> | null;
  progress: number | null;
  stop: () => void;
  failed: boolean;
} {
  const [result, setResult] = useState<Extract<JobResult, { kind: K }> | null>(null);
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
    setProgress(0);
    setFailed(false);
    run(job, { recipes, ingredients }, { signal: controller.signal, onProgress: setProgress })
      .then((answer) => {
        setResult(answer as Extract<JobResult, { kind: K }>);
        setProgress(null);
      })
      .catch((error: unknown) => {
        if (controller.signal.aborted) return;
        setProgress(null);
        setFailed(true);
        if (error instanceof Error) reportError(error);
      });
    return () => controller.abort();
  }, [job, recipes, ingredients]);
  return { result, progress, stop, failed };
}
