import '../../../words/places/shelf.ts';
import { onA4, type SheetFormat } from '../../../shared/labels/paper.ts';

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
