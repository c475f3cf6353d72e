import '../../words/places/shelf.ts';
import { num } from '../../words/numbers.ts';
import { type MessageKey, say } from '../../words/say.ts';
import type { LabelPart } from './setLines.ts';

/** One page of labels: parts in millimetres from its upper left corner. */
export interface SetPage {
  labels: readonly { x: number; y: number; parts: readonly LabelPart[] }[];
}

/** A sheet of labels, or a roll, in millimetres. */
export interface SheetFormat {
  id: string;
  /** Its measures, as they stand on the packet of any maker: a sentence that takes them. */
  name: MessageKey;
  pageW: number;
  pageH: number;
  columns: number;
  rows: number;
  labelW: number;
  labelH: number;
  left: number;
  top: number;
  /** From one label's edge to the next one's. */
  gapX: number;
  gapY: number;
}

const A4 = { pageW: 210, pageH: 297 };

/** Labels set evenly on an A4 sheet. */
export const onA4 = (
  columns: number,
  rows: number,
  labelW: number,
  labelH: number,
  gapX = 0,
): SheetFormat => ({
  id: `a4-${columns}x${rows}`,
  name: 'sheets.a4',
  ...A4,
  columns,
  rows,
  labelW,
  labelH,
  gapX,
  gapY: 0,
  left: (A4.pageW - columns * labelW - (columns - 1) * gapX) / 2,
  top: (A4.pageH - rows * labelH) / 2,
});

/** Where each label lies on its page, mm; the first sheet may have used places. */
export function placesOnSheet(
  sheet: SheetFormat,
  count: number,
  skip: number,
): { page: number; x: number; y: number }[] {
  const perPage = sheet.columns * sheet.rows;
  return Array.from({ length: count }, (_, i) => {
    const at = i + (perPage > 1 ? skip : 0);
    const onPage = at % perPage;
    return {
      page: Math.floor(at / perPage),
      x: sheet.left + (onPage % sheet.columns) * (sheet.labelW + sheet.gapX),
      y: sheet.top + Math.floor(onPage / sheet.columns) * (sheet.labelH + sheet.gapY),
    };
  });
}

/** A sheet by its measures. */
export const sheetName = ({ name, columns, rows, labelW, labelH }: SheetFormat): string =>
  say(name, { columns, rows, labelW: num(labelW), labelH: num(labelH) });

/** Things set on pages, one after the other. @param set what stands on one, in millimetres from its upper left corner. */
export function pagesOf<T>(
  things: readonly T[],
  sheet: SheetFormat,
  skip: number,
  set: (thing: T) => readonly LabelPart[],
): SetPage[] {
  const places = placesOnSheet(sheet, things.length, Math.min(skip, sheet.columns * sheet.rows - 1));
  const pages: { x: number; y: number; parts: readonly LabelPart[] }[][] = [];
  for (const [i, thing] of things.entries()) {
    const { page, x, y } = places[i]!;
    pages[page] ??= [];
    pages[page].push({ x, y, parts: set(thing) });
  }
  return pages.map((page) => ({ labels: page ?? [] }));
}
