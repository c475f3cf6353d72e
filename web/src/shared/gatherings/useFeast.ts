import type { GatheringDoc } from '@big-ladle/core/documents';
import {
  agreedOn,
  basisOf,
  type Feast,
  type FeastBatch,
  type FeastTimes,
  type FeastTimetable,
  type HouseThirst,
  houseThirst,
  type MovedJob,
  movedJobs,
  pastOf,
  type Sized,
  SLOT_MIN,
  settledOf,
  timetableOf,
} from '@big-ladle/core/gathering';
import type { Job } from '@big-ladle/core/plan';
import { MINUTE_MS } from '@big-ladle/core/units';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { run } from '../../workers/run.ts';
import { useBoard } from '../batch/state.ts';
import { usePlans } from '../batchQueries.ts';
import { useBook } from '../book.ts';
import { useKitchen } from '../queries.ts';
import { send } from '../send.ts';
import { useShelf } from '../shelf.ts';
import { useCoarseNow } from '../time.ts';
import { useSettled } from '../useSettled.ts';
import { bottlesOf } from './feastBottles.ts';
import { useGatherings } from './list.ts';

/** While something is typed nothing is worked out. */
const SETTLE_MS = 400;
/** A search for the hours goes on for so long, and is begun anew as the day goes on. */
const BUDGET_MS = 3000;
const LOOK_AGAIN_MS = 5 * 60_000;
/** Always the same search. */
const SEED = 0.42;

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
  /** What somebody is wanted for at another hour than the cook has seen. */
  moved: readonly MovedJob[];
  /** What this house has learnt of its guests. */
  house: HouseThirst;
  /** The cook has seen what moved. */
  agree: () => void;
  /** What was asked of the worker. */
  job: Extract<Job, { kind: 'feast' }> | null;
}

/** In which slot the step that a batch is at will be over. */
const slotEndOf = ({ forecast, startedMs, currentStepId }: Extract<FeastBatch, { state: 'begun' }>): number =>
  Math.ceil(
    (startedMs / MINUTE_MS +
      Math.max(0, ...forecast.trace.filter((t) => t.stepId === currentStepId).map((t) => t.endMin))) /
      SLOT_MIN,
  );

/** Keeps hours for all devices. Where that fails they stay those of this one, and are found again. */
const keepFor = (id: string, timetable: FeastTimetable): void =>
  void send('keepTimetable', { params: { id }, body: timetable }).catch(() => undefined);

/**
 * Everything that follows from a gathering, worked out beside the screen; again when something of it changes. Hours that
 * were found for the same before are kept as far as they can be, so that nothing moves that has not to.
 */
export function useFeast(
  id: string,
  gathering: GatheringDoc | undefined,
  timetable: FeastTimetable | null,
): FeastState {
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
  // What a batch has come to is asked for anew when it goes on a step or is later than it was, not with each look at its pot.
  const stands = JSON.stringify(
    batches.map((b) =>
      b.state === 'begun' ? [b.batchId, b.currentStepId, slotEndOf(b)] : [b.batchId, b.plan],
    ),
  );
  const there = shelf && settled ? bottlesOf(settled, shelf) : null;
  const bottles = JSON.stringify(
    there ? [...there].map(([id, b]) => [id, b.itemIds, Math.round(b.litres * 20)]) : [],
  );
  const k = kitchen.data?.kitchen;
  const asked = settled && JSON.stringify({ ...settledOf(settled), done: settled.done });
  const basis = useMemo(() => settled && basisOf(settled), [settled]);
  const before = timetable?.basis === basis ? timetable : null;
  const stood = JSON.stringify(before?.places);
  const all = useGatherings().data?.gatherings;
  const house = useMemo(() => houseThirst(settled && all ? pastOf(settled, all) : []), [settled, all]);
  const ready = there !== null && !plans.isPending && !board.isPending;
  // biome-ignore lint/correctness/useExhaustiveDependencies: gathering, batches and bottles are named by what of them matters
  const search = useMemo(
    () =>
      settled && basis && k && ready
        ? {
            id,
            basis,
            before,
            job: {
              kind: 'feast' as const,
              input: {
                gathering: settled,
                batches,
                bottles: there,
                nowMs,
                house,
                ...(before ? { stood: { places: before.places, joined: before.joined } } : {}),
              },
              kitchen: k,
              seed: SEED,
              budgetMs: BUDGET_MS,
            },
          }
        : null,
    [id, asked, k, ready, stands, bottles, stood, house.factor, house.gatherings, nowMs],
  );
  const [state, setState] = useState<Omit<FeastState, 'stop' | 'job' | 'moved' | 'agree' | 'house'>>({
    sized: null,
    impossible: null,
    times: null,
    progress: 0,
    failed: false,
  });
  const [stop, setStop] = useState<() => void>(() => () => undefined);
  useEffect(() => {
    if (!search) return;
    const controller = new AbortController();
    let best: FeastTimes | null = null;
    let sizes: Sized | null = null;
    const keep = (times: FeastTimes | null) => {
      // What is not whole is kept once: looked for again it may come out otherwise, and no better.
      if (!times || (times.missing.length > 0 && search.before)) return;
      const next = timetableOf(times, search.basis, search.before);
      if (JSON.stringify(next.places) !== JSON.stringify(search.before?.places)) keepFor(search.id, next);
    };
    setStop(() => () => {
      controller.abort();
      setState((s) => ({ ...s, progress: null }));
      keep(best);
    });
    // What is heard of a search is drawn in pieces: a key that is pressed meanwhile is not kept waiting.
    startTransition(() => setState((s) => ({ ...s, progress: search.before ? null : 0, failed: false })));
    const hear = (more: Partial<FeastState>) => {
      if (!controller.signal.aborted) startTransition(() => setState((s) => ({ ...s, ...more })));
    };
    run(
      search.job,
      { recipes: own, rows: custom },
      {
        signal: controller.signal,
        onProgress: (progress) => hear({ progress }),
        onSized: (sized) => {
          sizes = sized;
          hear({ sized });
        },
        onBest: (times) => {
          best = times;
          hear({ times });
        },
      },
    )
      .then(({ feast }) => {
        const { times, impossible } = feast;
        // What was told on the way is not put in the place of itself: all that shows it would be drawn again.
        hear({ sized: sizes ?? feast, impossible, times, progress: null });
        if (!controller.signal.aborted) keep(times);
      })
      .catch(() => hear({ progress: null, failed: true }));
    return () => controller.abort();
  }, [search, own, custom]);
  const { times, progress } = state;
  return {
    ...state,
    house,
    stop,
    job: search?.job ?? null,
    moved: useMemo(
      () => (before && times && progress === null ? movedJobs(before.agreed, times, nowMs) : []),
      [before, times, progress, nowMs],
    ),
    agree: () => timetable && keepFor(id, agreedOn(timetable)),
  };
}
