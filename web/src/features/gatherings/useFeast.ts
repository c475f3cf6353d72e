import type { GatheringDoc } from '@big-ladle/core/documents';
import type { Feast, FeastBatch, FeastBottles, FeastTimes, Sized } from '@big-ladle/core/gathering';
import type { Job } from '@big-ladle/core/plan';
import { useEffect, useMemo, useState } from 'react';
import { useBoard } from '../../shared/batch/state.ts';
import { usePlans } from '../../shared/batchQueries.ts';
import { useBook } from '../../shared/book.ts';
import { useKitchen } from '../../shared/queries.ts';
import { type Shelf, useShelf } from '../../shared/shelf.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { useSettled } from '../../shared/useSettled.ts';
import { run } from '../../workers/run.ts';

/** While something is typed nothing is worked out. */
const SETTLE_MS = 400;
/** A search for the hours goes on for so long, and is begun anew as the day goes on. */
const BUDGET_MS = 3000;
const LOOK_AGAIN_MS = 5 * 60_000;
/** Always the same search. */
const SEED = 0.42;

/** Bottles that a gathering names, as they stand now: which are left, and what is in them. */
function bottlesOf(gathering: GatheringDoc, shelf: Shelf): Map<string, FeastBottles> {
  const out = new Map<string, FeastBottles>();
  for (const drink of gathering.drinks) {
    const { source } = drink;
    if (source.kind === 'plan') continue;
    const mine = shelf.living.filter(({ item }) =>
      source.kind === 'bottles'
        ? source.itemIds.includes(item.facts.itemId)
        : item.facts.batchId === source.batchId,
    );
    if (mine.length === 0) continue;
    const litres = mine.reduce((sum, b) => sum + b.leftMl, 0) / 1000;
    const sugarG = mine.reduce((sum, { item, leftMl }) => {
      const { sugarG: inGlassG, servingMl } = item.facts.glass;
      return sum + (inGlassG / servingMl) * leftMl;
    }, 0);
    out.set(drink.id, {
      itemIds: mine.map((b) => b.item.facts.itemId),
      recipeId: mine[0]!.item.facts.recipeId,
      colour: mine[0]!.item.facts.colour,
      litres,
      tags: [...new Set(mine.flatMap((b) => b.item.facts.tags))],
      madeOf: [...new Set(mine.flatMap((b) => b.item.facts.itemIds))],
      sugarGPerL: litres > 0 ? sugarG / litres : 0,
      deadlineMs: Math.min(...mine.map((b) => b.life.deadlineMs)),
    });
  }
  return out;
}

export interface FeastState {
  sized: Sized | null;
  /** Why there are no hours for all of it, once the search is over. */
  impossible: Feast['impossible'];
  /** The best hours so far, while they are still searched for. */
  times: FeastTimes | null;
  /** 0 to 1 while it is worked out; null when it is done. */
  progress: number | null;
  failed: boolean;
  stop: () => void;
  /** What was asked of the worker. */
  job: Extract<Job, { kind: 'feast' }> | null;
}

/** Everything that follows from a gathering, worked out beside the screen; again when something of it changes. */
export function useFeast(gathering: GatheringDoc | undefined): FeastState {
  const kitchen = useKitchen();
  const { own, custom } = useBook();
  const board = useBoard();
  const plans = usePlans();
  const nowMs = useCoarseNow(LOOK_AGAIN_MS);
  const { shelf } = useShelf(nowMs);
  const settled = useSettled(gathering, SETTLE_MS);
  const named = new Set(
    (settled?.drinks ?? []).flatMap((d) => (d.source.kind === 'batch' ? [d.source.batchId] : [])),
  );
  const batches: FeastBatch[] = [
    ...(plans.data ?? []).flatMap(({ batch }): FeastBatch[] =>
      named.has(batch.id) ? [{ batchId: batch.id, state: 'planned', plan: batch.plan }] : [],
    ),
    ...board.on.flatMap(({ batch, program, now }): FeastBatch[] =>
      named.has(batch.id) && now.log.startedMs !== null
        ? [
            {
              batchId: batch.id,
              state: 'begun',
              program,
              forecast: now.forecast,
              startedMs: now.log.startedMs,
              currentStepId: now.log.currentStepId,
            },
          ]
        : [],
    ),
  ];
  // What a batch has come to is asked for anew when it goes on a step, not with each look at its pot.
  const stands = JSON.stringify(
    batches.map((b) => [b.batchId, b.state, b.state === 'begun' ? b.currentStepId : b.plan]),
  );
  const there = shelf && settled ? bottlesOf(settled, shelf) : null;
  const bottles = JSON.stringify(
    there ? [...there].map(([id, b]) => [id, b.itemIds, Math.round(b.litres * 20)]) : [],
  );
  const k = kitchen.data?.kitchen;
  const ready = there !== null && !plans.isPending && !board.isPending;
  // biome-ignore lint/correctness/useExhaustiveDependencies: batches and bottles are named by what of them matters
  const job = useMemo(
    () =>
      settled && k && ready
        ? {
            kind: 'feast' as const,
            input: { gathering: settled, batches, bottles: there, nowMs },
            kitchen: k,
            seed: SEED,
            budgetMs: BUDGET_MS,
          }
        : null,
    [settled, k, ready, stands, bottles, nowMs],
  );
  const [state, setState] = useState<Omit<FeastState, 'stop' | 'job'>>({
    sized: null,
    impossible: null,
    times: null,
    progress: 0,
    failed: false,
  });
  const [stop, setStop] = useState<() => void>(() => () => undefined);
  useEffect(() => {
    if (!job) return;
    const controller = new AbortController();
    setStop(() => () => {
      controller.abort();
      setState((s) => ({ ...s, progress: null }));
    });
    setState((s) => ({ ...s, progress: 0, failed: false }));
    const hear = (more: Partial<FeastState>) => {
      if (!controller.signal.aborted) setState((s) => ({ ...s, ...more }));
    };
    run(
      job,
      { recipes: own, rows: custom },
      {
        signal: controller.signal,
        onProgress: (progress) => hear({ progress }),
        onSized: (sized) => hear({ sized }),
        onBest: (times) => hear({ times }),
      },
    )
      .then(({ feast }) =>
        hear({ sized: feast, impossible: feast.impossible, times: feast.times, progress: null }),
      )
      .catch(() => hear({ progress: null, failed: true }));
    return () => controller.abort();
  }, [job, own, custom]);
  return { ...state, stop, job };
}
