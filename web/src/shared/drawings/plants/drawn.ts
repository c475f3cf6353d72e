/** A line of a drawing, as an SVG path in a square of 64 by 64; with a transform where it is drawn again elsewhere. */
export type Stroke = string | readonly [path: string, transform: string];

export type Drawn = readonly Stroke[];

/** A circle as a path. */
export const ring = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;

/** A seed or a narrow leaf: an oval of these half axes, turned about its middle. */
export const oval = (x: number, y: number, long: number, wide: number, turnDeg = 0): Stroke => [
  `M${-long} 0a${long} ${wide} 0 1 0 ${2 * long} 0a${long} ${wide} 0 1 0 ${-2 * long} 0`,
  `translate(${x} ${y}) rotate(${turnDeg})`,
];

/** The same strokes somewhere else. */
export const again = (strokes: readonly string[], transform: string): Stroke[] =>
  strokes.map((path) => [path, transform] as const);
