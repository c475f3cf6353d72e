import { isTooFarAhead, type Kitchen, type PlanDoc } from '@big-ladle/core/documents';
import { plannedLife, planRisk } from '@big-ladle/core/keeping';
import {
  awayWindows,
  firstStart,
  latestStart,
  type Schedule,
  solvePlanDoc,
  startBy,
  timelineOf,
  timetableFrom,
  withBeside,
} from '@big-ladle/core/plan';
import { simulateBatch } from '@big-ladle/core/program';
import { DAY_MS } from '@big-ladle/core/units';
import { useDeferredValue, useMemo } from 'react';
import { useBook } from '../../../shared/book.ts';

/** Hours away are looked at so far ahead. */
const AHEAD_MS = 8 * DAY_MS;

/** A plan worked out: what it makes, when it is begun, how long it keeps, or why it does not work out. */
export function useMadePlan(plan: PlanDoc, kitchen: Kitchen, nowMs: number) {
  const { book, tables } = useBook();
  // The control under the finger answers first; what follows from it may come a frame later.
  const deferred = useDeferredValue(plan);
  // Nothing is reckoned for a year that is a slip of the finger.
  const farAhead = isTooFarAhead(deferred.readyAtMs, nowMs);
  const thought = useMemo(
    () => (farAhead ? { ...deferred, readyAtMs: null } : deferred),
    [deferred, farAhead],
  );
  const solved = useMemo(
    () => solvePlanDoc(thought, book, kitchen, tables),
    [thought, kitchen, book, tables],
  );
  // A pot too small still shows the batch as it would be in more fills, under the message that says so.
  const tooSmall = !solved.ok && solved.problem.kind === 'potTooSmall' ? solved.problem : null;
  const shown = useMemo(
    () =>
      solved.ok
        ? solved
        : tooSmall
          ? solvePlanDoc({ ...withBeside(thought, []), fills: 'asNeeded' }, book, kitchen, tables)
          : solved,
    [solved, tooSmall, thought, kitchen, book, tables],
  );
  const sim = useMemo(
    () => (shown.ok ? simulateBatch(shown.value.program, kitchen, tables) : null),
    [shown, kitchen, tables],
  );

  const pot = kitchen.pots.find((p) => p.id === thought.potId);
  const { readyAtMs } = thought;
  const away = useMemo(
    () => awayWindows(kitchen.away, kitchen.zone, nowMs, Math.max(nowMs, readyAtMs ?? nowMs) + AHEAD_MS),
    [kitchen, nowMs, readyAtMs],
  );
  const placed = useMemo(
    () =>
      shown.ok && sim
        ? readyAtMs !== null
          ? latestStart(timelineOf(shown.value.program, sim), readyAtMs, away)
          : firstStart(timelineOf(shown.value.program, sim), kitchen, nowMs)
        : null,
    [shown, sim, readyAtMs, nowMs, kitchen, away],
  );
  // Where the hours away leave no place, the plain chain shows what it would take.
  const timetable = useMemo((): Schedule | null => {
    if (!shown.ok || !sim || !placed) return null;
    if (placed.ok) return placed.schedule;
    const plain =
      readyAtMs !== null
        ? startBy(shown.value.program, sim, readyAtMs)
        : timetableFrom(shown.value.program, sim, nowMs);
    return { ...plain, stretched: [] };
  }, [shown, sim, placed, readyAtMs, nowMs]);
  const made = useMemo(
    () =>
      shown.ok && sim && pot && timetable
        ? {
            ...shown.value,
            timetable,
            life: plannedLife(shown.value.program, sim, kitchen, { startMs: timetable.startMs, nowMs }),
            risk: planRisk(shown.value.program, sim, kitchen, { startMs: timetable.startMs, nowMs }),
            input: {
              program: shown.value.program,
              sim,
              kitchen,
              tables,
              pot,
              startMs: timetable.startMs,
              nowMs,
            },
          }
        : null,
    [shown, sim, kitchen, tables, pot, timetable, nowMs],
  );
  const late =
    timetable !== null && plan.readyAtMs !== null && (timetable.startMs < nowMs || placed?.ok === false);
  return { deferred, solved, shown, made, sim, away, placed, timetable, farAhead, late, readyAtMs };
}

export type MadePlan = ReturnType<typeof useMadePlan>;
/** What a plan that works out makes. */
export type Made = NonNullable<MadePlan['made']>;
