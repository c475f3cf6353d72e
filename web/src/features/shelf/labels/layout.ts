import '../../../words/places/shelf.ts';
import {
  type LabelPart,
  LEAST_FULL_MM,
  LEAST_MM,
  type Line,
  type Measure,
  PAD,
  setLines,
  sizes,
} from '../../../shared/labels/setLines.ts';
import type { CodeMatrix } from '../../../shared/squareCode.ts';
import { say } from '../../../words/say.ts';
/** What stands on one label. */
export interface LabelText {
  itemId: string;
  name: string;
  /** Sweetened or not, of whom, which lot. */
  under: string;
  made: string;
  /** "Drink by Thu 3 Dec", or that it is to be thrown out. */
  until: string;
  onceOpen: string;
  keepCold: string;
  /** How it is taken where it is a concentrate: "30 mL a day until Thu 3 Dec". */
  taken: string | null;
  alcohol: string | null;
  /** A few words each. */
  cautions: readonly string[];
  contains: string;
  /** What is in it as drawings, the first one first; only where there is room. */
  plants: readonly string[];
  code: string;
  /** What the square code opens. */
  url: string;
}

/** A module smaller than this no phone reads from a wet bottle, mm. */
const LEAST_MODULE = 0.42;
const QUIET_MODULES = 2;

/** Runs of dark modules along each row. */
function runsOf(code: CodeMatrix): { row: number; from: number; to: number }[] {
  const runs: { row: number; from: number; to: number }[] = [];
  for (let row = 0; row < code.size; row++) {
    let from = -1;
    for (let column = 0; column <= code.size; column++) {
      const dark = column < code.size && code.dark(row, column);
      if (dark && from < 0) from = column;
      if (!dark && from >= 0) {
        runs.push({ row, from, to: column });
        from = -1;
      }
    }
  }
  return runs;
}

/**
 * Sets a label, in millimetres from its upper left corner; a text's y is its base line. The square code stands at the
 * right, as large as it is readable; date, cold and cautions always find room, the rest as far as there is some.
 */
export function setLabel(
  label: LabelText,
  widthMm: number,
  heightMm: number,
  code: CodeMatrix,
  measure: Measure,
): LabelPart[] {
  const side = Math.max(
    Math.min(heightMm - 2 * PAD, widthMm * 0.34, 26),
    (code.size + 2 * QUIET_MODULES) * LEAST_MODULE,
  );
  const moduleMm = side / (code.size + 2 * QUIET_MODULES);
  const codeX = widthMm - PAD - side;
  const textW = codeX - 2 * PAD;
  const lines: Line[] = [
    { text: label.until, bold: true, must: true, scale: 1.12 },
    { text: `${label.onceOpen} · ${label.keepCold}`, bold: false, must: true, scale: 1 },
    ...(label.alcohol ? [{ text: label.alcohol, bold: true, must: true, scale: 1 }] : []),
    ...(label.taken ? [{ text: label.taken, bold: false, must: true, scale: 1 }] : []),
    ...(label.cautions.length
      ? [{ text: `${label.cautions.join(', ')}.`, bold: true, must: true, scale: 1 }]
      : []),
    { text: say('layout.made', { made: label.made, code: label.code }), bold: false, must: true, scale: 1 },
    // What it contains is never cut: on a small label it is printed smaller.
    { text: say('layout.contains', { contains: label.contains }), bold: false, must: true, scale: 1 },
    { text: label.under, bold: false, must: false, scale: 1 },
  ].filter((l) => l.text.trim() !== '');
  const tries = [
    // As large as it may be with something of everything; on a small label with what must stand alone.
    ...sizes(Math.min(4.6, heightMm / 8), LEAST_FULL_MM).map((sizeMm) => ({ sizeMm, needs: lines })),
    ...sizes(LEAST_FULL_MM, LEAST_MM).map((sizeMm) => ({ sizeMm, needs: lines.filter((l) => l.must) })),
  ];
  let parts: LabelPart[] = [];
  for (const { sizeMm, needs } of tries) {
    const set = setLines(label.name, lines, needs, sizeMm, textW, heightMm, measure);
    parts = set.parts;
    if (set.fits) break;
  }
  // Plants stand above the code where the label is high enough for both.
  const plantMm = Math.min(MOST_PLANT_MM, heightMm - 2 * PAD - side, side / MOST_PLANTS);
  const plants = plantMm >= LEAST_PLANT_MM ? label.plants.slice(0, MOST_PLANTS) : [];
  const codeY = plants.length > 0 ? heightMm - PAD - side : (heightMm - side) / 2;
  return [
    ...parts,
    ...plants.map(
      (plant, i): LabelPart => ({ kind: 'plant', x: codeX + i * plantMm, y: PAD, sizeMm: plantMm, plant }),
    ),
    {
      kind: 'code',
      x: codeX + QUIET_MODULES * moduleMm,
      y: codeY + QUIET_MODULES * moduleMm,
      moduleMm,
      runs: runsOf(code),
      side: code.size * moduleMm,
    },
  ];
}

/** A drawing smaller than this is a smudge, mm. */
const LEAST_PLANT_MM = 6;
const MOST_PLANT_MM = 12;
const MOST_PLANTS = 2;
