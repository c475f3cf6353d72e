import type { AwayHours, Kitchen } from '../documents/kitchen.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
import { earliestReady, latestStart, type Placed, scheduleFrom } from './schedule.ts';
import type { Timetable } from './startBy.ts';
import { type AwayWindow, awayWindows, type Timeline } from './timeline.ts';

/** When most people sleep: for a kitchen that does not say when nobody stands at the stove. */
const USUAL_NIGHT: AwayHours = {
  kind: 'asleep',
  days: [0, 1, 2, 3, 4, 5, 6],
  fromMin: 22 * 60,
  toMin: 7 * 60,
};

/** The hours in which the cook sleeps, as the kitchen says; of one that does not say, the usual night. */
export function nightsOf(
  kitchen: Pick<Kitchen, 'away' | 'zone'>,
  fromMs: number,
  toMs: number,
): AwayWindow[] {
  const asleep = kitchen.away.filter((a) => a.kind === 'asleep');
  return awayWindows(asleep.length > 0 ? asleep : [USUAL_NIGHT], kitchen.zone, fromMs, toMs);
}

/** The hours in which nobody stands at the stove, as the kitchen says; of one that says nothing, the usual night. */
export const darkHours = (
  kitchen: Pick<Kitchen, 'away' | 'zone'>,
  fromMs: number,
  toMs: number,
): AwayWindow[] =>
  awayWindows(kitchen.away.length > 0 ? kitchen.away : [USUAL_NIGHT], kitchen.zone, fromMs, toMs);

const STEP_MS = 15 * MINUTE_MS;
/** What takes so long lies on two days, min. */
const TWO_DAYS_MIN = 10 * 60;
/** No batch takes longer, its waiting included. */
const LONGEST_MS = 14 * DAY_MS;

export const liesOnTwoDays = (timeline: Pick<Timeline, 'plain'>): boolean =>
  timeline.plain.totalMin > TWO_DAYS_MIN;

/**
 * When a batch that is not asked for by an hour is begun. Where the cook has said when she is away, so that it is ready
 * soonest, none of its calls in those hours, and nothing waits longer for it than it has to. Where she has not: now, or,
 * if it lies on two days, at the first hour at which nobody is called out of bed.
 */
export function firstStart(
  timeline: Timeline,
  kitchen: Pick<Kitchen, 'away' | 'zone'>,
  nowMs: number,
): Placed {
  if (kitchen.away.length === 0) {
    const startMs = liesOnTwoDays(timeline) ? startAwake(timeline.plain.calls, kitchen.zone, nowMs) : nowMs;
    return scheduleFrom(timeline, startMs, []);
  }
  const away = awayWindows(kitchen.away, kitchen.zone, nowMs, nowMs + LONGEST_MS);
  const soonest = earliestReady(timeline, nowMs, away);
  if (!soonest.ok || soonest.schedule.startMs < nowMs + MINUTE_MS) return soonest;
  const latest = latestStart(timeline, soonest.schedule.readyMs, away);
  return latest.ok && latest.schedule.startMs >= nowMs ? latest : soonest;
}

/**
 * The first start from now on, in quarters of an hour and within a day, at which the cook is not needed at night; the
 * present moment where there is no such start.
 * @param calls when she is needed, ms after the start.
 */
export function startAwake(
  calls: readonly Pick<Timetable['calls'][number], 'startMs' | 'endMs'>[],
  zone: string,
  nowMs: number,
): number {
  const lastMs = nowMs + DAY_MS + Math.max(0, ...calls.map((c) => c.endMs));
  const nights = awayWindows([USUAL_NIGHT], zone, nowMs, lastMs);
  for (
    let startMs = nowMs;
    startMs < nowMs + DAY_MS;
    startMs = (Math.floor(startMs / STEP_MS) + 1) * STEP_MS
  ) {
    const atNight = calls.some((call) =>
      nights.some((w) => startMs + call.startMs < w.toMs && startMs + call.endMs > w.fromMs),
    );
    if (!atNight) return startMs;
  }
  return nowMs;
}
