import type { StepId, VesselId } from '../program/model/ids.ts';
import type { StepKind } from '../program/model/steps.ts';
import { MINUTE_MS } from '../units/time.ts';
import type { LaneState, Lanes } from './lanes.ts';
import type { Timetable } from './startBy.ts';

/** A stretch of a drink's way, whichever vessel it stands in. */
export interface BandSpan {
  stepId: StepId;
  kind: StepKind;
  startMin: number;
  endMin: number;
  /** Along the way, 0 where the first water goes in, 1 at its end. */
  x0: number;
  x1: number;
  from: LaneState;
  to: LaneState;
  /** What comes in from another vessel. */
  joins: LaneState[];
  /** Fruit and flowers leave it here. */
  solidsLeave: boolean;
}

/** Less than this is a drop, L. */
const NOTHING_L = 0.005;

/**
 * The one way of a drink, from its first water to its bottles: at each step what there is most of. Other vessels show
 * only where they pour into it.
 */
export function bandOf(lanes: Lanes): BandSpan[] {
  let vesselId: VesselId | null = null;
  let state: LaneState | null = null;
  const spans: BandSpan[] = [];
  for (const step of lanes.steps) {
    const here = lanes.lanes
      .flatMap((lane) => {
        const span = lane.spans.find((s) => s.stepId === step.stepId);
        return span && span.to.litres > NOTHING_L ? [{ vesselId: lane.vesselId, ...span }] : [];
      })
      .sort((a, b) => b.to.litres - a.to.litres)[0];
    // Before the first water nothing flows; while it is filled into bottles it stands as it stood.
    if (!here && !state) continue;
    const to: LaneState = here?.to ?? state!;
    const before: VesselId | null = vesselId;
    const joins = lanes.moves
      .filter((m) => m.stepId === step.stepId && m.to === here?.vesselId && m.from !== before)
      .filter((m) => m.litres > NOTHING_L && before !== null)
      .flatMap(
        (m) =>
          lanes.lanes.find((l) => l.vesselId === m.from)?.spans.find((s) => s.stepId === step.stepId)?.from ??
          [],
      );
    spans.push({
      stepId: step.stepId,
      kind: step.kind,
      startMin: step.startMin,
      endMin: step.endMin,
      x0: step.x0,
      x1: step.x1,
      from: state ?? { ...to, litres: 0, solidsL: 0 },
      to,
      joins,
      solidsLeave: (state?.solidsL ?? 0) > NOTHING_L && to.solidsL <= NOTHING_L,
    });
    vesselId = here?.vesselId ?? vesselId;
    state = to;
  }
  const first = spans[0]?.x0 ?? 0;
  const room = (spans.at(-1)?.x1 ?? 1) - first || 1;
  return spans.map((s) => ({ ...s, x0: (s.x0 - first) / room, x1: (s.x1 - first) / room }));
}

/** A stretch of the way at its hours. */
export interface BandHours {
  span: BandSpan;
  startMs: number;
  endMs: number;
}

/**
 * The way at the hours of a timetable. What wants the cook begins when she is called; what goes on by itself goes on
 * until then, however long that is.
 */
export function bandHours(
  spans: readonly BandSpan[],
  timetable: Pick<Timetable, 'calls' | 'startMs' | 'readyMs'>,
): BandHours[] {
  const called = new Map(timetable.calls.map((c) => [c.stepId, c.startMs]));
  let atMs = timetable.startMs;
  const starts = spans.map((span) => {
    const startMs = called.get(span.stepId) ?? atMs;
    atMs = startMs + (span.endMin - span.startMin) * MINUTE_MS;
    return startMs;
  });
  return spans.map((span, i) => ({
    span,
    startMs: starts[i]!,
    endMs: starts[i + 1] ?? timetable.readyMs,
  }));
}
