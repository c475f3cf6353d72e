import '../../../words/places/shelf.ts';
import { num } from '../../../words/numbers.ts';
import { type MessageKey, say } from '../../../words/say.ts';
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
const onA4 = (columns: number, rows: number, labelW: number, labelH: number, gapX = 0): SheetFormat => ({
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

const onRoll = (labelW: number, labelH: number): SheetFormat => ({
  id: `roll-${labelW}x${labelH}`,
  name: 'sheets.roll',
  pageW: labelW,
  pageH: labelH,
  columns: 1,
  rows: 1,
  labelW,
  labelH,
  left: 0,
  top: 0,
  gapX: 0,
  gapY: 0,
});

export const SHEETS: readonly SheetFormat[] = [
  onA4(2, 7, 99, 38, 2),
  onA4(2, 4, 99, 67, 2),
  onA4(3, 8, 70, 36),
  {
    id: 'letter-2x5',
    name: 'sheets.letter',
    pageW: 215.9,
    pageH: 279.4,
    columns: 2,
    rows: 5,
    labelW: 101,
    labelH: 50,
    left: 4.5,
    top: 12.7,
    gapX: 4.9,
    gapY: 1,
  },
  onRoll(62, 40),
  onRoll(89, 36),
];

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
