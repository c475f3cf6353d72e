import type { StepId } from '../program/model/ids.ts';
import { type Aim, placeAlone, type Span } from '../schedule/placeAlone.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
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

/** A batch is looked for within so many days. */
const LOOK_DAYS = 7;
/** To find what stands in the way, starts an hour apart are gone through. */
const TRY_MS = 60 * MINUTE_MS;

/** Of a batch that has no place: the step that most of its starts come to grief at. */
function inTheWay(timeline: Timeline, fromMs: number, away: readonly AwayWindow[]): Placed {
  const blocked = new Map<StepId, number>();
  for (let startMs = fromMs; startMs < fromMs + LOOK_DAYS * DAY_MS; startMs += TRY_MS) {
    const placed = scheduleFrom(timeline, startMs, away);
    if (!placed.ok) blocked.set(placed.bindingStepId, (blocked.get(placed.bindingStepId) ?? 0) + 1);
  }
  const most = [...blocked].sort((a, b) => b[1] - a[1])[0];
  return { ok: false, bindingStepId: most?.[0] ?? timeline.longestStepId };
}

/** When the cook is there, between two moments. */
function hoursThere(away: readonly AwayWindow[], fromMs: number, toMs: number): Span[] {
  const there: Span[] = [];
  let atMs = fromMs;
  for (const w of [...away].sort((a, b) => a.fromMs - b.fromMs)) {
    if (w.fromMs > atMs) there.push({ from: atMs, to: Math.min(w.fromMs, toMs) });
    atMs = Math.max(atMs, w.toMs);
  }
  if (atMs < toMs) there.push({ from: atMs, to: toMs });
  return there.filter(({ from, to }) => from < to);
}

/** The batch as a chain alone: its sittings are the stages, what may lie between them its waits. */
function placeBetween(
  timeline: Timeline,
  fromMs: number,
  toMs: number,
  away: readonly AwayWindow[],
  aim: Aim,
): Schedule | null {
  const { sittings, tailMin } = timeline;
  const [first] = sittings;
  if (!first) return null;
  const leadMs = first.beforeMin * MINUTE_MS;
  const stages = sittings.map(({ minutes }, i) => {
    const { beforeMin = 0, slackMin = 0 } = sittings[i + 1] ?? {};
    return {
      long: minutes * MINUTE_MS,
      wait: { least: beforeMin * MINUTE_MS, most: (beforeMin + slackMin) * MINUTE_MS },
    };
  });
  const chain = { stages, earliest: fromMs + leadMs, latest: toMs - tailMin * MINUTE_MS };
  const begins = placeAlone(chain, hoursThere(away, fromMs, toMs), aim);
  return begins && scheduleAt(timeline, begins[0]! - leadMs, begins);
}

/** The latest start from which the bottles are filled by `readyAtMs`; where there is none, the step that stands in the way. */
export function latestStart(timeline: Timeline, readyAtMs: number, away: readonly AwayWindow[]): Placed {
  const lastMs = readyAtMs - timeline.plain.totalMin * MINUTE_MS;
  const fromMs = lastMs - LOOK_DAYS * DAY_MS;
  // Nobody is called: it is begun so much before.
  if (timeline.sittings.length === 0) return scheduleFrom(timeline, lastMs, away);
  const schedule = placeBetween(timeline, fromMs, readyAtMs, away, 'latestStart');
  return schedule ? { ok: true, schedule } : inTheWay(timeline, fromMs, away);
}

/** The earliest that it can be ready when it is begun from `nowMs` on; now, where it is ready as soon then. */
export function earliestReady(timeline: Timeline, nowMs: number, away: readonly AwayWindow[]): Placed {
  const now = scheduleFrom(timeline, nowMs, away);
  if (now.ok && now.schedule.stretched.length === 0) return now;
  const slackMin = timeline.sittings.reduce((sum, s) => sum + s.slackMin, 0);
  const longMs = (timeline.plain.totalMin + slackMin) * MINUTE_MS;
  const schedule = placeBetween(timeline, nowMs, nowMs + LOOK_DAYS * DAY_MS + longMs, away, 'soonestEnd');
  if (!schedule) return inTheWay(timeline, nowMs, away);
  return now.ok && now.schedule.readyMs <= schedule.readyMs + 1 ? now : { ok: true, schedule };
}
