import type { AwayHours } from '../documents/kitchen.ts';
import { DAY_MS, MINUTE_MS } from '../units/time.ts';
import { awayWindows } from './schedule.ts';

/** When most people sleep: for a kitchen that does not say when nobody stands at the stove. */
const USUAL_NIGHT: AwayHours = {
  kind: 'asleep',
  days: [0, 1, 2, 3, 4, 5, 6],
  fromMin: 22 * 60,
  toMin: 7 * 60,
};
const STEP_MS = 15 * MINUTE_MS;

/**
 * The first start from now on, in quarters of an hour and within a day, at which the cook is needed at none of her hours
 * away, or, where she has said none, not at night; the present moment where there is no such start.
 * @param calls when she is needed, minutes after the start.
 */
export function startAwake(
  calls: readonly { startMin: number; endMin: number }[],
  away: readonly AwayHours[],
  zone: string,
  nowMs: number,
): number {
  const lastMs = nowMs + DAY_MS + Math.max(0, ...calls.map((c) => c.endMin)) * MINUTE_MS;
  const windows = awayWindows(away.length > 0 ? away : [USUAL_NIGHT], zone, nowMs, lastMs);
  for (
    let startMs = nowMs;
    startMs < nowMs + DAY_MS;
    startMs = (Math.floor(startMs / STEP_MS) + 1) * STEP_MS
  ) {
    const meets = (call: { startMin: number; endMin: number }) =>
      windows.some(
        (w) => startMs + call.startMin * MINUTE_MS < w.toMs && startMs + call.endMin * MINUTE_MS > w.fromMs,
      );
    if (!calls.some(meets)) return startMs;
  }
  return nowMs;
}
