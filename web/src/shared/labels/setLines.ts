export type LabelPart =
  | { kind: 'text'; x: number; y: number; sizeMm: number; bold: boolean; text: string }
  /** A plant's line drawing, in a square. */
  | { kind: 'plant'; x: number; y: number; sizeMm: number; plant: string }
  /** Dark modules of the square code, as runs along a row. */
  | {
      kind: 'code';
      x: number;
      y: number;
      moduleMm: number;
      runs: readonly { row: number; from: number; to: number }[];
      side: number;
    };

/** How wide a text is at a size, mm. */
export type Measure = (text: string, sizeMm: number, bold: boolean) => number;

/** Free at each edge, mm. */
export const PAD = 2.5;

/** A line of a label or a card, before it is set. */
export interface Line {
  text: string;
  bold: boolean;
  /** What must stand, however small the label; the rest as far as there is room, in this order. */
  must: boolean;
  scale: number;
}

/** Breaks a text into lines that fit; the last one ends in an ellipsis where more would follow. */
export function wrapped(
  text: string,
  widthMm: number,
  most: number,
  sizeMm: number,
  bold: boolean,
  measure: Measure,
): string[] {
  const lines: string[] = [];
  let line = '';
  const words = text.split(/\s+/).filter(Boolean);
  for (const [i, word] of words.entries()) {
    const longer = line ? `${line} ${word}` : word;
    if (measure(longer, sizeMm, bold) <= widthMm || !line) {
      line = longer;
      continue;
    }
    if (lines.length === most - 1) {
      let cut = `${line} ${words.slice(i).join(' ')}`;
      while (cut.length > 1 && measure(`${cut}…`, sizeMm, bold) > widthMm) cut = cut.slice(0, -1).trimEnd();
      return [...lines, `${cut}…`];
    }
    lines.push(line);
    line = word;
  }
  return line ? [...lines, line] : lines;
}

/** How wide the lines of a plant are, in its square of 64. */
export const PLANT_LINE = 2.6;

/** Smaller print nobody reads in a fridge; below the other nobody reads it at all, mm. */
export const LEAST_FULL_MM = 2.3;
export const LEAST_MM = 1.5;
/** Sizes of print from a large one down, mm. */
export const sizes = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(1, Math.round((from - to) / 0.1) + 1) }, (_, i) => from - i * 0.1);

const LEADING = 1.22;

/** Lines under a name at one size. @returns whether those that are needed found room. */
export function setLines(
  name: string,
  lines: readonly Line[],
  needs: readonly Line[],
  sizeMm: number,
  widthMm: number,
  heightMm: number,
  measure: Measure,
): { parts: LabelPart[]; fits: boolean } {
  const parts: LabelPart[] = [];
  let fits = true;
  let y = PAD;
  const nameSize = sizeMm * 1.4;
  for (const text of wrapped(name, widthMm, 2, nameSize, true, measure)) {
    y += nameSize;
    parts.push({ kind: 'text', x: PAD, y: y - nameSize * 0.18, sizeMm: nameSize, bold: true, text });
  }
  for (const line of lines) {
    const size = sizeMm * line.scale;
    const left = Math.floor((heightMm - PAD - y) / (size * LEADING) + 1e-9);
    const all = wrapped(line.text, widthMm, 99, size, line.bold, measure);
    if (needs.includes(line) && (line.must ? all.length : 1) > left) fits = false;
    if (left < 1) continue;
    for (const text of wrapped(line.text, widthMm, Math.min(left, all.length), size, line.bold, measure)) {
      y += size * LEADING;
      parts.push({ kind: 'text', x: PAD, y: y - size * 0.28, sizeMm: size, bold: line.bold, text });
    }
  }
  return { parts, fits };
}
