import type { BandSpan, LaneState } from '@big-ladle/core/plan';
import { area, curveBumpX } from 'd3-shape';

/** Sizes of the band, px. */
export const BAND = {
  top: 44,
  height: 64,
  /** Where it stands; below it are the flames and the hours. */
  foot: 108,
  all: 148,
  left: 4,
  /** How long it takes from one height to another. */
  over: 30,
  /** Fruit and flowers lie in it so high. */
  solids: 13,
} as const;
const LEAST_PX = 8;
/** A label that would touch the one before it is left out: so wide is a letter. */
const LETTER_PX = 7.2;
const GAP_PX = 14;

export interface BandPiece {
  span: BandSpan;
  x0: number;
  x1: number;
  path: string;
  solids: string | null;
}

export interface Band {
  pieces: BandPiece[];
  /** How high it is at its end, where it pours. */
  endPx: number;
  endX: number;
}

const shape = area<{ x: number; y0: number; y1: number }>()
  .x((d) => d.x)
  .y0((d) => d.y0)
  .y1((d) => d.y1)
  .curve(curveBumpX);

/** The band in pieces from step to step, as wide as there is room. */
export function bandPieces(spans: readonly BandSpan[], width: number): Band {
  const most = Math.max(0.1, ...spans.map((s) => s.to.litres));
  const px = (state: LaneState): number =>
    state.litres <= 0.005 ? 0 : Math.max(LEAST_PX, (state.litres / most) * BAND.height);
  const xOf = (share: number): number => BAND.left + share * (width - BAND.left);
  const pieces = spans.map((span): BandPiece => {
    const [x0, x1] = [xOf(span.x0), xOf(span.x1)];
    const over = Math.min(BAND.over, (x1 - x0) * 0.8);
    const along = (from: number, to: number) =>
      shape([
        { x: x0, y0: BAND.foot - from, y1: BAND.foot },
        { x: x0 + over, y0: BAND.foot - to, y1: BAND.foot },
        // A hair further, so that no seam shows.
        { x: x1 + 0.5, y0: BAND.foot - to, y1: BAND.foot },
      ]) ?? '';
    const lies = (state: LaneState) => (state.solidsL > 0.005 ? BAND.solids : 0);
    return {
      span,
      x0,
      x1,
      path: along(px(span.from), px(span.to)),
      solids: lies(span.to) > 0 ? along(lies(span.from), lies(span.to)) : null,
    };
  });
  const last = pieces.at(-1);
  return { pieces, endPx: last ? px(last.span.to) : 0, endX: last?.x1 ?? width };
}

export interface BandLabel {
  stepId: string;
  x: number;
  text: string;
}

/** Labels that stand beside one another: the first ones that find room, what is longest first. */
export function bandLabels(
  pieces: readonly BandPiece[],
  textOf: (span: BandSpan) => string | null,
  width: number,
): BandLabel[] {
  const taken: [number, number][] = [];
  const labels: BandLabel[] = [];
  const byLength = [...pieces].sort((a, b) => b.x1 - b.x0 - (a.x1 - a.x0));
  for (const { span, x0 } of byLength) {
    const text = textOf(span);
    if (!text) continue;
    const x = Math.min(x0, width - text.length * LETTER_PX);
    const end = x + text.length * LETTER_PX + GAP_PX;
    if (taken.some(([from, to]) => x < to && end > from)) continue;
    taken.push([x, end]);
    labels.push({ stepId: span.stepId, x, text });
  }
  return labels.sort((a, b) => a.x - b.x);
}
