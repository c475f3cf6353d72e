import '../../words/places/shelf.ts';
import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import { useState } from 'react';
import { createPortal, flushSync } from 'react-dom';
import { say } from '../../words/say.ts';
import { notify } from '../notices.ts';
import { saveBlob } from '../saveText.ts';
import { Page } from './Page.tsx';
import type { SetPage, SheetFormat } from './paper.ts';

/** Sheets of labels or cards on paper: as a PDF, and through the browser's own printing. */
export function SheetsOut(props: {
  sheet: SheetFormat;
  pages: readonly SetPage[];
  fileName: string;
  title: string;
}) {
  const { sheet, pages, fileName, title } = props;
  const [printing, setPrinting] = useState(false);
  const [busy, setBusy] = useState(false);
  const print = () => {
    window.addEventListener('afterprint', () => setPrinting(false), { once: true });
    flushSync(() => setPrinting(true));
    window.print();
  };
  const save = async () => {
    setBusy(true);
    try {
      // Drawing a PDF is asked for now and then: not part of the page.
      const { labelsPdf } = await import('./pdf.ts');
      const bytes = await labelsPdf(sheet, pages, title);
      saveBlob(fileName, new Blob([bytes as BlobPart], { type: 'application/pdf' }));
    } catch (error) {
      notify(
        'error',
        say('labelsPage.thePdfCouldNot', {
          message: error instanceof Error ? error.message : say('labelsPage.noReasonGiven'),
        }),
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Button variant="contained" onClick={() => void save()} disabled={busy || pages.length === 0}>
        {busy ? say('common.oneMoment') : say('labelsPage.saveAsPdf')}
      </Button>
      <Button variant="outlined" onClick={print} disabled={pages.length === 0}>
        {say('common.print')}
      </Button>
      {printing &&
        createPortal(
          <>
            <GlobalStyles
              styles={{
                '@page': { size: `${sheet.pageW}mm ${sheet.pageH}mm`, margin: 0 },
                '@media print': {
                  'body > :not(.sheets)': { display: 'none !important' },
                  'body, html': { background: '#fff !important', margin: 0 },
                  '.sheets > svg': { breakAfter: 'page', display: 'block' },
                },
                '@media screen': { '.sheets': { display: 'none' } },
              }}
            />
            <div className="sheets">
              {pages.map((page, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: pages are only counted
                <Page key={i} page={page} sheet={sheet} trueSize />
              ))}
            </div>
          </>,
          document.body,
        )}
    </>
  );
}
