import type { Lane, LaneMove, LaneState, LaneStep, Lanes } from '@big-ladle/core/plan';
import { area, curveBumpX, line } from 'd3-shape';

/** Sizes of the drawing, px of its own. */
export const LANE = {
  left: 92,
  right: 70,
  top: 34,
  /** From one lane to the next. */
  pitch: 82,
  /** The fullest vessel's ribbon. */
  ribbon: 40,
  /** A thing that is thrown falls so far. */
  fall: 26,
} as const;

/** How long a ribbon takes from one lane to another, px. */
const GOES_OVER_PX = 34;
const LEAST_PX = 3;
const SOLIDS_PX = 7;

export const heightOf = (count: number): number => LANE.top + count * LANE.pitch + 8;

export interface Geometry {
  width: number;
  xOf: (share: number) => number;
  /** The line on which a lane stands. */
  yOf: (vesselId: string) => number | null;
  px: (litres: number) => number;
}

export function geometryOf(lanes: Lanes, width: number): Geometry {
  const most = Math.max(0.1, ...lanes.lanes.map((l) => l.peakL));
  const rows = new Map(lanes.lanes.map((l, i) => [l.vesselId, LANE.top + (i + 1) * LANE.pitch - 26]));
  return {
    width,
    xOf: (share) => LANE.left + share * (width - LANE.left - LANE.right),
    yOf: (vesselId) => rows.get(vesselId) ?? null,
    px: (litres) => (litres <= 0.005 ? 0 : Math.max(LEAST_PX, (litres / most) * LANE.ribbon)),
  };
}

const band = area<{ x: number; y0: number; y1: number }>()
  .x((d) => d.x)
  .y0((d) => d.y0)
  .y1((d) => d.y1)
  .curve(curveBumpX);

const fullPx = (g: Geometry, state: LaneState): number => g.px(state.litres) + solidsPx(g, state);
export const solidsPx = (g: Geometry, state: LaneState): number =>
  state.solidsL > 0.005 ? Math.max(SOLIDS_PX, Math.min(16, g.px(state.solidsL))) : 0;

export interface Ribbon {
  key: string;
  stepId: string;
  path: string;
  x0: number;
  x1: number;
  from: LaneState;
  to: LaneState;
  solids: boolean;
}

/** The stretches of one lane, each as a ribbon; what goes over leaves at once, what comes arrives a little later. */
export function ribbonsOf(g: Geometry, lanes: Lanes, lane: Lane): Ribbon[] {
  const y = g.yOf(lane.vesselId) ?? 0;
  return lane.spans.flatMap((span): Ribbon[] => {
    const step = lanes.steps.find((s) => s.stepId === span.stepId);
    if (!step) return [];
    const x0 = g.xOf(step.x0);
    const x1 = g.xOf(step.x1);
    const moves = lanes.moves.filter((m) => m.stepId === span.stepId);
    const arrives = moves.some((m) => m.to === lane.vesselId);
    const leaves = moves.some((m) => m.from === lane.vesselId);
    const over = Math.min(GOES_OVER_PX, (x1 - x0) * 0.9);
    const shape = (of: (state: LaneState) => [top: number, bottom: number]) => {
      const a = of(span.from);
      const b = of(span.to);
      // What is left behind stands at once; what arrives stands from where it lands.
      const points = leaves
        ? [
            { x: x0, ...ends(b) },
            { x: x1, ...ends(b) },
          ]
        : arrives
          ? [
              { x: x0, ...ends(a) },
              { x: x0 + over - 0.5, ...ends(a) },
              { x: x0 + over, ...ends(b) },
              { x: x1, ...ends(b) },
            ]
          : [
              { x: x0, ...ends(a) },
              { x: x0 + over, ...ends(b) },
              { x: x1, ...ends(b) },
            ];
      return band(points) ?? '';
    };
    const ends = ([top, bottom]: [number, number]) => ({ y0: y - top, y1: y - bottom });
    const base = { stepId: span.stepId, x0, x1, from: span.from, to: span.to };
    return [
      {
        ...base,
        key: `${lane.vesselId}-${span.stepId}`,
        path: shape((s) => [fullPx(g, s), 0]),
        solids: false,
      },
      ...(span.from.solidsL > 0.005 || span.to.solidsL > 0.005
        ? [
            {
              ...base,
              key: `${lane.vesselId}-${span.stepId}-solids`,
              path: shape((s) => [solidsPx(g, s), 0]),
              solids: true,
            },
          ]
        : []),
    ];
  });
}

/** What goes from one lane to another: its middle line and how thick it is. */
export interface MoveStroke {
  path: string;
  thickPx: number;
}

const middle = line<{ x: number; y: number }>()
  .x((d) => d.x)
  .y((d) => d.y)
  .curve(curveBumpX);

/** What is thrown falls a little way. Null: it comes into bottles, which have no lane. */
export function moveStroke(g: Geometry, step: LaneStep, move: LaneMove): MoveStroke | null {
  const from = g.yOf(move.from);
  const to = move.to === null ? from && from + LANE.fall : g.yOf(move.to);
  if (from === null || to === null) return null;
  const thickPx = move.to !== null && move.litres > 0.005 ? g.px(move.litres) : SOLIDS_PX;
  const x0 = g.xOf(step.x0);
  const x1 = x0 + Math.min(GOES_OVER_PX, (g.xOf(step.x1) - x0) * 0.9);
  const path = middle([
    { x: x0, y: from - thickPx / 2 },
    { x: x1, y: to - thickPx / 2 },
  ]);
  return path === null ? null : { path, thickPx };
}

/** Three bottles side by side. */
const BOTTLES_PX = 52;
/** Words of so many letters take about so much room at 12 px. */
const LETTER_PX = 6.4;

export interface Label {
  stepId: string;
  x: number;
  y: number;
  text: string;
}

/** A label above its step where there is room for it, the longest steps first. */
export function labelsOf(g: Geometry, lanes: Lanes, textOf: (stepId: string) => string): Label[] {
  // Where the bottles stand nothing is written.
  const taken = lanes.steps
    .filter((s) => s.kind === 'bottle')
    .flatMap((s) => {
      const moves = lanes.moves.filter((m) => m.stepId === s.stepId);
      return moves.map((m) => ({ y: g.yOf(m.from) ?? 0, x0: g.xOf(s.x0), x1: g.xOf(s.x0) + BOTTLES_PX }));
    });
  const placed: Label[] = [];
  const rows = [...lanes.steps].sort((a, b) => b.x1 - b.x0 - (a.x1 - a.x0));
  for (const step of rows) {
    const base = g.yOf(step.vesselId);
    const text = textOf(step.stepId);
    if (base === null || !text) continue;
    const x0 = g.xOf(step.x0) + 2;
    const x1 = x0 + text.length * LETTER_PX;
    const span = lanes.lanes
      .find((l) => l.vesselId === step.vesselId)
      ?.spans.find((s) => s.stepId === step.stepId);
    const y = base - (span ? Math.max(fullPx(g, span.from), fullPx(g, span.to)) : 0) - 6;
    const meets = taken.some((t) => t.x0 < x1 && x0 < t.x1 && Math.abs(t.y - base) < 1);
    if (meets || x1 > g.width) continue;
    taken.push({ y: base, x0, x1: x1 + 8 });
    placed.push({ stepId: step.stepId, x: x0, y, text });
  }
  return placed;
}
