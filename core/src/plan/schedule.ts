import type { StepId } from '../program/model/ids.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
import { type FoundStart, placeTimeline } from './placeTimeline.ts';
import type { Timetable } from './startBy.ts';
import type { AwayWindow, Timeline } from './timeline.ts';

/** The first moment from `earliestMs` on at which the cook is there for so long; null beyond `latestMs`. */
function freeFrom(
  earliestMs: number,
  latestMs: number,
  minutes: number,
  away: readonly AwayWindow[],
): number | null {
  let startMs = earliestMs;
  for (let again = true; again; ) {
    again = false;
    for (const w of away) {
      if (startMs < w.toMs && startMs + minutes * MINUTE_MS > w.fromMs) {
        startMs = w.toMs;
        again = true;
      }
    }
  }
  return startMs <= latestMs + 1 ? startMs : null;
}

export interface Schedule extends Timetable {
  /** Unattended steps that take longer than usual, so that the cook may be away. */
  stretched: readonly { beforeStepId: StepId; byMin: number }[];
}

export type Placed = { ok: true; schedule: Schedule } | { ok: false; bindingStepId: StepId };

/** A batch whose sittings begin at these moments. */
function scheduleAt(timeline: Timeline, startMs: number, beginsMs: readonly number[]): Schedule {
  const { sittings, tailMin, plain } = timeline;
  const shifted = new Map<StepId, number>();
  const stretched: { beforeStepId: StepId; byMin: number }[] = [];
  let atMs = startMs;
  for (const [i, sitting] of sittings.entries()) {
    const beginMs = beginsMs[i]!;
    const waitedMs = beginMs - (atMs + sitting.beforeMin * MINUTE_MS);
    if (waitedMs >= MINUTE_MS)
      stretched.push({ beforeStepId: sitting.stepIds[0]!, byMin: waitedMs / MINUTE_MS });
    const shiftMs = beginMs - sitting.startMin * MINUTE_MS;
    for (const stepId of sitting.stepIds) shifted.set(stepId, shiftMs);
    atMs = beginMs + sitting.minutes * MINUTE_MS;
  }
  const readyMs = atMs + tailMin * MINUTE_MS;
  return {
    startMs,
    readyMs,
    calls: plain.calls.map((c) => ({
      ...c,
      startMs: c.startMs + (shifted.get(c.stepId) ?? startMs),
      endMs: c.endMs + (shifted.get(c.stepId) ?? startMs),
    })),
    handsOnMin: plain.handsOnMin,
    totalMin: (readyMs - startMs) / MINUTE_MS,
    stretched,
  };
}

/**
 * The batch begun at a moment, with every step that wants the cook outside of the hours in which she is away, each as soon
 * as it can be. Soaks and steeps may grow within their range, and what is cold may wait in the fridge.
 */
export function scheduleFrom(timeline: Timeline, startMs: number, away: readonly AwayWindow[]): Placed {
  const beginsMs: number[] = [];
  let atMs = startMs;
  for (const [index, sitting] of timeline.sittings.entries()) {
    const earliestMs = atMs + sitting.beforeMin * MINUTE_MS;
    const slackMs = (index === 0 ? 0 : sitting.slackMin) * MINUTE_MS;
    const beginMs = freeFrom(earliestMs, earliestMs + slackMs, sitting.minutes, away);
    if (beginMs === null) return { ok: false, bindingStepId: sitting.stepIds[0]! };
    beginsMs.push(beginMs);
    atMs = beginMs + sitting.minutes * MINUTE_MS;
  }
  return { ok: true, schedule: scheduleAt(timeline, startMs, beginsMs) };
}

/** A batch is looked for within a day first, then within so many. */
const LOOK_DAYS = [1, 7];
/** To find what stands in the way, starts an hour apart are gone through. */
const TRY_MS = 60 * MINUTE_MS;

/** Of a batch that has no place: the step that most of its starts come to grief at. */
function inTheWay(timeline: Timeline, fromMs: number, away: readonly AwayWindow[]): Placed {
  const blocked = new Map<StepId, number>();
  for (let startMs = fromMs; startMs < fromMs + LOOK_DAYS.at(-1)! * DAY_MS; startMs += TRY_MS) {
    const placed = scheduleFrom(timeline, startMs, away);
    if (!placed.ok) blocked.set(placed.bindingStepId, (blocked.get(placed.bindingStepId) ?? 0) + 1);
  }
  const most = [...blocked].sort((a, b) => b[1] - a[1])[0];
  return { ok: false, bindingStepId: most?.[0] ?? timeline.longestStepId };
}

/** A start that was found, each step as soon as it can be; where that does not go, as it was found. */
function asFound(timeline: Timeline, found: FoundStart | null, away: readonly AwayWindow[]): Schedule | null {
  if (!found) return null;
  const soon = scheduleFrom(timeline, found.startMs, away);
  return soon.ok ? soon.schedule : scheduleAt(timeline, found.startMs, found.beginsMs);
}

/** The latest start from which the bottles are filled by `readyAtMs`; where there is none, the step that stands in the way. */
export function latestStart(timeline: Timeline, readyAtMs: number, away: readonly AwayWindow[]): Placed {
  const fits = (startMs: number): Placed | null => {
    const placed = scheduleFrom(timeline, startMs, away);
    return placed.ok && placed.schedule.readyMs <= readyAtMs + 1 ? placed : null;
  };
  const lastMs = readyAtMs - timeline.plain.totalMin * MINUTE_MS;
  const plain = fits(lastMs);
  if (plain) return plain;
  for (const days of LOOK_DAYS) {
    const found = placeTimeline(timeline, lastMs - days * DAY_MS, readyAtMs, away, 'latestStart');
    const schedule = asFound(timeline, found, away);
    if (!schedule) continue;
    // What rounding to minutes has taken is given back.
    return fits(schedule.startMs + readyAtMs - schedule.readyMs) ?? { ok: true, schedule };
  }
  return inTheWay(timeline, lastMs - LOOK_DAYS.at(-1)! * DAY_MS, away);
}

/** The earliest that it can be ready when it is begun from `nowMs` on. */
export function earliestReady(timeline: Timeline, nowMs: number, away: readonly AwayWindow[]): Placed {
  const now = scheduleFrom(timeline, nowMs, away);
  if (now.ok && now.schedule.stretched.length === 0) return now;
  const slackMin = timeline.sittings.reduce((sum, s) => sum + s.slackMin, 0);
  const longMs = (timeline.plain.totalMin + slackMin) * MINUTE_MS;
  for (const days of LOOK_DAYS) {
    const found = placeTimeline(timeline, nowMs, nowMs + days * DAY_MS + longMs, away, 'soonestReady');
    const schedule = asFound(timeline, found, away);
    if (schedule) return { ok: true, schedule };
  }
  return inTheWay(timeline, nowMs, away);
}
