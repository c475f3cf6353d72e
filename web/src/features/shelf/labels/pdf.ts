import '../../../words/places/shelf.ts';
import fontkit from '@cantoo/fontkit';
import { PDFDocument, rgb } from '@cantoo/pdf-lib';
import regularUrl from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf?url';
import boldUrl from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf?url';
import { say } from '../../../words/say.ts';
import type { LabelPart } from './layout.ts';
import type { SheetFormat } from './sheets.ts';

const POINTS_PER_MM = 72 / 25.4;
const INK = rgb(0, 0, 0);

/** One page of labels: parts in millimetres from its upper left corner. */
export interface SetPage {
  labels: readonly { x: number; y: number; parts: readonly LabelPart[] }[];
}

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

/** Labels as a PDF in true millimetres: printed at 100 % it fits the sheet. */
export async function labelsPdf(sheet: SheetFormat, pages: readonly SetPage[]): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const [regular, bold] = await Promise.all(
    [regularUrl, boldUrl].map(async (url) => pdf.embedFont(await bytesOf(url), { subset: true })),
  );
  const known = new Set(regular!.getCharacterSet());
  pdf.setTitle(say('shelfPage.labels'));
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
