import fontkit from '@cantoo/fontkit';
import {
  concatTransformationMatrix,
  LineCapStyle,
  PDFDocument,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rgb,
} from '@cantoo/pdf-lib';
import regularUrl from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url';
import boldUrl from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf?url';
import { PLANTS } from '../drawings/plants/plants.ts';
import type { SetPage, SheetFormat } from './paper.ts';
import { PLANT_LINE } from './setLines.ts';

const POINTS_PER_MM = 72 / 25.4;
const INK = rgb(0, 0, 0);

/** What the font cannot draw, by its nearest letters; else a question mark. */
function drawable(text: string, known: ReadonlySet<number>): string {
  return [...text]
    .map((letter) => {
      if (known.has(letter.codePointAt(0)!)) return letter;
      const plain = letter.normalize('NFD').replace(/\p{M}/gu, '');
      return [...plain].every((l) => known.has(l.codePointAt(0)!)) && plain ? plain : '?';
    })
    .join('');
}

const bytesOf = async (url: string): Promise<ArrayBuffer> => (await fetch(url)).arrayBuffer();

/** A matrix of six, as PDF and SVG have it: x' = a·x + c·y + e, y' = b·x + d·y + f. */
type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

const times = ([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
];

const MATRIX_OF: Readonly<Record<string, (...figures: number[]) => Matrix>> = {
  translate: (x = 0, y = 0) => [1, 0, 0, 1, x, y],
  scale: (x = 1, y = x) => [x, 0, 0, y, 0, 0],
  rotate: (deg = 0) => {
    const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
    return [cos, sin, -sin, cos, 0, 0];
  },
};

/** What the transform of a stroke does, as a matrix. @throws RangeError on one that no drawing of ours has. */
export function matrixOf(transform: string): Matrix {
  let all: Matrix = [1, 0, 0, 1, 0, 0];
  for (const [, name = '', figures = ''] of transform.matchAll(/(\w+)\(([^)]*)\)/g)) {
    const make = MATRIX_OF[name];
    if (!make) throw new RangeError(`no drawing is ${name}d`);
    all = times(
      all,
      make(
        ...figures
          .trim()
          .split(/[\s,]+/)
          .map(Number),
      ),
    );
  }
  return all;
}

/** A plant's lines on a page, its upper left corner at a point. */
function drawPlant(
  page: PDFPage,
  { plant, sizeMm }: { plant: string; sizeMm: number },
  xMm: number,
  topPt: number,
): void {
  const scale = (sizeMm * POINTS_PER_MM) / 64;
  // A page of PDF grows upwards.
  const place: Matrix = [scale, 0, 0, -scale, xMm * POINTS_PER_MM, topPt];
  for (const stroke of PLANTS[plant] ?? []) {
    const [path, transform] = typeof stroke === 'string' ? [stroke, ''] : stroke;
    // What draws a path turns it over once more.
    const [a, b, c, d, e, f] = times(times(place, matrixOf(transform)), [1, 0, 0, -1, 0, 0]);
    page.pushOperators(pushGraphicsState(), concatTransformationMatrix(a, b, c, d, e, f));
    page.drawSvgPath(path, {
      x: 0,
      y: 0,
      borderColor: INK,
      borderWidth: PLANT_LINE,
      borderLineCap: LineCapStyle.Round,
    });
    page.pushOperators(popGraphicsState());
  }
}

/** Labels as a PDF in true millimetres: printed at 100 % it fits the sheet. */
export async function labelsPdf(
  sheet: SheetFormat,
  pages: readonly SetPage[],
  title: string,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const [regular, bold] = await Promise.all(
    [regularUrl, boldUrl].map(async (url) => pdf.embedFont(await bytesOf(url), { subset: true })),
  );
  const known = new Set(regular!.getCharacterSet());
  pdf.setTitle(title);
  pdf.setCreator('Big Ladle');
  for (const { labels } of pages) {
    const page = pdf.addPage([sheet.pageW * POINTS_PER_MM, sheet.pageH * POINTS_PER_MM]);
    const down = (mm: number) => (sheet.pageH - mm) * POINTS_PER_MM;
    for (const { x, y, parts } of labels)
      for (const part of parts) {
        if (part.kind === 'text')
          page.drawText(drawable(part.text, known), {
            x: (x + part.x) * POINTS_PER_MM,
            y: down(y + part.y),
            size: part.sizeMm * POINTS_PER_MM,
            font: part.bold ? bold! : regular!,
            color: INK,
          });
        else if (part.kind === 'plant') drawPlant(page, part, x + part.x, down(y + part.y));
        else
          for (const run of part.runs)
            page.drawRectangle({
              x: (x + part.x + run.from * part.moduleMm) * POINTS_PER_MM,
              y: down(y + part.y + (run.row + 1) * part.moduleMm),
              width: (run.to - run.from) * part.moduleMm * POINTS_PER_MM,
              // A hair taller, so that no seam shows between rows.
              height: part.moduleMm * POINTS_PER_MM * 1.01,
              color: INK,
            });
      }
  }
  return pdf.save();
}
