import type { Job, JobResult } from '@big-ladle/core/plan';
import { useEffect, useRef } from 'react';
import { useBook } from '../../../../shared/book.ts';
import { run } from '../../../../workers/run.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

type Spreads = Extract<JobResult, { kind: 'readingSpreads' }>['spreads'];

/**
 * How far what is read in a vessel may lie from what is foretold, by what is not known of this kitchen: worked out beside
 * the screen while the cook reads. Null where it could not be worked out.
 */
export function useReadingSpreads(live: LiveBatch, vesselId: string): () => Promise<Spreads | null> {
  const { own, custom } = useBook();
  const { program, kitchen } = live;
  const stepId = live.step?.id;
  const asked = useRef<Promise<Spreads | null>>(Promise.resolve(null));
  useEffect(() => {
    if (stepId === undefined) return;
    const job: Job = { kind: 'readingSpreads', program, kitchen, stepId, vesselId };
    const controller = new AbortController();
    asked.current = run(job, { recipes: own, rows: custom }, { signal: controller.signal })
      .then((answer) => answer.spreads)
      .catch(() => null);
    return () => controller.abort();
  }, [program, kitchen, stepId, vesselId, own, custom]);
  return () => asked.current;
}
