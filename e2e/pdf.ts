import { createCanvas } from '@napi-rs/canvas';
import jsQR from 'jsqr';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const MM_PER_POINT = 25.4 / 72;

/** Where a label should lie on its page, mm. */
export interface Cell {
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface ReadPage {
  widthMm: number;
  heightMm: number;
  /** Everything that is written on it. */
  text: string;
  /** What the square code in each cell says, and how wide it is; cells without one are left out. */
  codes: { says: string; sideMm: number }[];
}

/** Dots to a millimetre when a page is drawn for reading. */
const DOTS_PER_MM = 8;

/** Cells in rows and columns. */
export const grid = (columns: number, rows: number, first: Cell, gapX = 0): Cell[] =>
  Array.from({ length: columns * rows }, (_, i) => ({
    ...first,
    x: first.x + (i % columns) * (first.w + gapX),
    y: first.y + Math.floor(i / columns) * first.h,
  }));

/** Reads a PDF as a printer and a phone would: its size, its words, and the square codes by their picture. */
export async function readPdf(bytes: Uint8Array, cells: readonly Cell[]): Promise<ReadPage[]> {
  const pdf = await getDocument({ data: bytes, disableFontFace: true, verbosity: 0 }).promise;
  const pages: ReadPage[] = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n);
    const size = page.getViewport({ scale: 1 });
    const view = page.getViewport({ scale: DOTS_PER_MM * MM_PER_POINT });
    const canvas = createCanvas(Math.round(view.width), Math.round(view.height));
    const context = canvas.getContext('2d');
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    await page.render({ canvas: canvas as never, canvasContext: context as never, viewport: view }).promise;
    const content = await page.getTextContent();
    const dots = (mm: number) => Math.round(mm * DOTS_PER_MM);
    pages.push({
      widthMm: size.width * MM_PER_POINT,
      heightMm: size.height * MM_PER_POINT,
      text: content.items.map((item) => ('str' in item ? item.str : '')).join(' '),
      codes: cells.flatMap((cell) => {
        const { data, width, height } = context.getImageData(
          dots(cell.x),
          dots(cell.y),
          dots(cell.w),
          dots(cell.h),
        );
        const found = jsQR(new Uint8ClampedArray(data), width, height);
        if (!found) return [];
        const { topLeftCorner: a, topRightCorner: b } = found.location;
        return [{ says: found.data, sideMm: Math.hypot(b.x - a.x, b.y - a.y) / DOTS_PER_MM }];
      }),
    });
  }
  return pages;
}
