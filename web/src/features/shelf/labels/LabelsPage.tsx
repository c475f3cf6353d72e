import '../../../words/places/shelf.ts';
import { portionStrength } from '@big-ladle/core/shelf';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import GlobalStyles from '@mui/material/GlobalStyles';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useMemo, useState } from 'react';
import { createPortal, flushSync } from 'react-dom';
import { Link, useSearchParams } from 'react-router';
import { useBook } from '../../../shared/book.ts';
import { Choice } from '../../../shared/Choice.tsx';
import { notify } from '../../../shared/notices.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { saveBlob } from '../../../shared/saveText.ts';
import { type Shelf, useShelf } from '../../../shared/shelf.ts';
import { useCoarseNow } from '../../../shared/time.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { saySize } from '../../../words/names.ts';
import { sayRich } from '../../../words/rich.ts';
import { num, say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import { codeOf } from '../../../shared/squareCode.ts';
import { type LabelPart, type LabelText, type Measure, setLabel } from './layout.ts';
import type { SetPage } from './pdf.ts';
import { placesOnSheet, SHEETS, type SheetFormat, sheetName } from './sheets.ts';
import { bottleLabel, byHandLine, leftoverLabel, type Printed, within } from './texts.ts';

const FONT = '"Atkinson Hyperlegible Next", system-ui, sans-serif';

/** Widths by the font that is shipped, which the PDF carries as well. */
function measureWith(context: CanvasRenderingContext2D): Measure {
  return (text, sizeMm, bold) => {
    context.font = `${bold ? 700 : 400} 100px ${FONT}`;
    return (context.measureText(text).width / 100) * sizeMm;
  };
}

/** Waits for the font, so that the first preview is set as the last. */
function useMeasure(): Measure | null {
  const [measure, setMeasure] = useState<Measure | null>(null);
  useEffect(() => {
    const context = document.createElement('canvas').getContext('2d');
    if (!context) return;
    void Promise.all([document.fonts.load(`400 20px ${FONT}`), document.fonts.load(`700 20px ${FONT}`)])
      .catch(() => undefined)
      .then(() => setMeasure(() => measureWith(context)));
  }, []);
  return measure;
}

/** Labels for what stands on the shelf: on a sheet, on a roll, or by hand. */
export function LabelsPage() {
  const nowMs = useCoarseNow(60_000);
  const { shelf, isPending, error, refetch } = useShelf(nowMs);
  if (isPending) return <Loading />;
  if (!shelf) return <ErrorPanel error={error} again={refetch} />;
  return <Labels shelf={shelf} nowMs={nowMs} />;
}

interface Choosable {
  id: string;
  title: string;
  note: string;
  labels: readonly LabelText[];
  /** It is not to be kept: it gets no label. */
  over: boolean;
}

const isOver = (life: { verdict: string }): boolean => life.verdict === 'past' || life.verdict === 'throwOut';

function useChoosable(shelf: Shelf, nowMs: number): Choosable[] {
  const { book, tables } = useBook();
  return useMemo(() => {
    const to: Printed = {
      zone: shelf.kitchen.zone,
      nowMs,
      origin: window.location.origin,
      tables,
      smallMlOf: (recipeId) => book.find((r) => r.id === recipeId)?.servingMl ?? null,
    };
    return [
      ...shelf.living.map(({ item, life }): Choosable => {
        const label = bottleLabel(item.facts, life, to);
        return {
          id: item.facts.itemId,
          title: label.name,
          note: `${saySize(item.facts.sizeName).toLowerCase()}, ${within(label.until)}${item.facts.forWhom ? say('bottlePage.for', { forWhom: item.facts.forWhom }) : ''}`,
          labels: isOver(life) ? [] : [label],
          over: isOver(life),
        };
      }),
      ...shelf.leftovers.map(({ item, life }): Choosable => {
        const { leftover } = item.facts;
        const label = leftoverLabel(item.facts, life, portionStrength(leftover, tables), to);
        return {
          id: item.facts.itemId,
          title: label.name,
          note: say('count.portions', { count: leftover.portions }),
          labels: isOver(life) ? [] : Array.from({ length: leftover.portions }, () => label),
          over: isOver(life),
        };
      }),
    ];
  }, [shelf, nowMs, book, tables]);
}

const HOSTS_OF_THIS_MACHINE = new Set(['localhost', '127.0.0.1', '[::1]']);

function Labels({ shelf, nowMs }: { shelf: Shelf; nowMs: number }) {
  const [search, setSearch] = useSearchParams();
  const all = useChoosable(shelf, nowMs);
  const asked = search.get('ids')?.split(',') ?? null;
  const batch = search.get('batch');
  const first = useMemo(() => {
    const leftovers = new Set(shelf.leftovers.map((l) => l.item.facts.itemId));
    const ofBatch = new Set(
      [...shelf.living, ...shelf.leftovers]
        .filter((l) => l.item.facts.batchId === batch)
        .map((l) => l.item.facts.itemId),
    );
    return all
      .filter((c) =>
        asked
          ? asked.includes(c.id)
          : batch
            ? ofBatch.has(c.id)
            : search.get('leftovers')
              ? leftovers.has(c.id)
              : !leftovers.has(c.id) && !c.over,
      )
      .map((c) => c.id);
  }, [all, asked, batch, search, shelf]);
  const [chosen, setChosen] = useState<readonly string[] | null>(null);
  const ids = chosen ?? first;
  const sheet = SHEETS.find((s) => s.id === search.get('sheet')) ?? SHEETS[0]!;
  const [skip, setSkip] = useState(0);
  const [trueSize, setTrueSize] = useState(false);
  const measure = useMeasure();
  const labels = useMemo(() => all.filter((c) => ids.includes(c.id)).flatMap((c) => c.labels), [all, ids]);
  const pages = useMemo(
    () => (measure ? pagesOf(labels, sheet, skip, measure) : []),
    [labels, sheet, skip, measure],
  );
  const refused = all.filter((c) => c.over && ids.includes(c.id));
  const [printing, setPrinting] = useState(false);
  const [busy, setBusy] = useState(false);
  const perPage = sheet.columns * sheet.rows;
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
      const bytes = await labelsPdf(sheet, pages);
      saveBlob('labels.pdf', new Blob([bytes as BlobPart], { type: 'application/pdf' }));
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
  if (all.length === 0)
    return (
      <>
        <PageHead title={say('shelfPage.labels')} />
        <Panel>
          {sayRich('labelsPage.nothingStandsOnThe', {
            link: <Link to="/shelf">{say('common.coldShelf2')}</Link>,
          })}
        </Panel>
      </>
    );
  return (
    <>
      <PageHead
        title={say('shelfPage.labels')}
        beside={say('labelsPage.on', {
          labels: num(labels.length),
          sheets: pages.length,
          roll: perPage === 1,
        })}
      >
        <Button variant="contained" onClick={() => void save()} disabled={busy || pages.length === 0}>
          {busy ? say('common.oneMoment') : say('labelsPage.saveAsPdf')}
        </Button>
        <Button variant="outlined" onClick={print} disabled={pages.length === 0}>
          {say('common.print')}
        </Button>
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gap: 1.75,
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,2fr) minmax(0,3fr)' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
          <Panel title={say('labelsPage.onWhat')}>
            <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0,1fr)' }}>
              <TextField
                select
                label={say('labelsPage.sheetOrRoll')}
                value={sheet.id}
                onChange={(e) => {
                  search.set('sheet', e.target.value);
                  setSearch(search, { replace: true });
                }}
              >
                {SHEETS.map((s) => (
                  <MenuItem key={s.id} value={s.id}>
                    {sheetName(s)}
                  </MenuItem>
                ))}
              </TextField>
              {perPage > 1 && (
                <QuantityField
                  label={say('labelsPage.placesUsedAlreadyOn')}
                  value={skip}
                  min={0}
                  max={perPage - 1}
                  decimals={0}
                  fullWidth
                  onValue={(v) => setSkip(Math.round(v))}
                  testId="skip"
                />
              )}
              {HOSTS_OF_THIS_MACHINE.has(window.location.hostname) && (
                <Alert severity="info">
                  {say('labelsPage.theSquareCodesLead', { host: window.location.host })}
                </Alert>
              )}
              <Box sx={{ color: role('inkMuted') }}>{say('labelsPage.printAtWithoutFit')}</Box>
            </Box>
          </Panel>
          {refused.length > 0 && (
            <Alert severity="error" data-testid="no-label">
              {say('labelsPage.noLabelForNot', { refused: refused.map((c) => c.title).join(', ') })}
            </Alert>
          )}
          <Choose all={all} ids={ids} onIds={setChosen} />
          <Panel title={say('labelsPage.byHand')} aside={say('labelsPage.aPenAndA')} testId="by-hand">
            {[...new Set(labels.map(byHandLine))].map((line) => (
              <Box key={line} sx={{ py: 0.75, borderBottom: `1px solid ${role('hairline')}` }}>
                {line}
              </Box>
            ))}
          </Panel>
        </Box>
        <Panel
          title={say('labelsPage.howItComesOut')}
          aside={
            <Choice
              label=""
              value={trueSize ? 'true' : 'fit'}
              options={[
                { value: 'fit', text: say('labelsPage.wholeSheet') },
                { value: 'true', text: say('labelsPage.trueSize') },
              ]}
              onChange={(v) => setTrueSize(v === 'true')}
            />
          }
          testId="preview"
        >
          <Box
            component="section"
            aria-label={say('labelsPage.theSheetsToScroll')}
            tabIndex={0}
            sx={{ display: 'grid', gap: 1.5, overflow: 'auto', maxHeight: '80vh' }}
          >
            {pages.slice(0, PREVIEWED).map((page, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: pages are only counted
              <Page key={i} page={page} sheet={sheet} trueSize={trueSize} lines />
            ))}
            {pages.length > PREVIEWED && (
              <Box>{say('labelsPage.andMore', { count: num(pages.length - PREVIEWED) })}</Box>
            )}
          </Box>
        </Panel>
      </Box>
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

/** More pages than this are counted, not shown. */
const PREVIEWED = 6;

function pagesOf(
  labels: readonly LabelText[],
  sheet: SheetFormat,
  skip: number,
  measure: Measure,
): SetPage[] {
  const places = placesOnSheet(sheet, labels.length, Math.min(skip, sheet.columns * sheet.rows - 1));
  const pages: { x: number; y: number; parts: readonly LabelPart[] }[][] = [];
  for (const [i, label] of labels.entries()) {
    const { page, x, y } = places[i]!;
    pages[page] ??= [];
    pages[page].push({
      x,
      y,
      parts: setLabel(label, sheet.labelW, sheet.labelH, codeOf(label.url), measure),
    });
  }
  return pages.map((page) => ({ labels: page ?? [] }));
}

/** A page of labels drawn in millimetres: the preview, and what the browser prints. */
function Page(props: { page: SetPage; sheet: SheetFormat; trueSize: boolean; lines?: boolean }) {
  const { page, sheet, trueSize, lines } = props;
  return (
    <svg
      data-testid="sheet"
      role="img"
      aria-label={say('labelsPage.aSheetWithLabels', { labels: page.labels.length })}
      viewBox={`0 0 ${sheet.pageW} ${sheet.pageH}`}
      width={trueSize ? `${sheet.pageW}mm` : '100%'}
      height={trueSize ? `${sheet.pageH}mm` : undefined}
      style={{ background: '#fff', color: '#000', display: 'block', flexShrink: 0 }}
    >
      {page.labels.map(({ x, y, parts }) => (
        <g key={`${x},${y}`} transform={`translate(${x} ${y})`}>
          {lines && (
            <rect
              width={sheet.labelW}
              height={sheet.labelH}
              rx={1.5}
              fill="none"
              stroke="#9aa7c4"
              strokeWidth={0.2}
              strokeDasharray="1 1"
            />
          )}
          {parts.map((part, i) =>
            part.kind === 'text' ? (
              <text
                // biome-ignore lint/suspicious/noArrayIndexKey: parts of a label are only counted
                key={i}
                x={part.x}
                y={part.y}
                fontSize={part.sizeMm}
                fontWeight={part.bold ? 700 : 400}
                fontFamily={FONT}
                fill="#000"
              >
                {part.text}
              </text>
            ) : (
              <path
                // biome-ignore lint/suspicious/noArrayIndexKey: parts of a label are only counted
                key={i}
                fill="#000"
                d={part.runs
                  .map(
                    (run) =>
                      `M${part.x + run.from * part.moduleMm} ${part.y + run.row * part.moduleMm}h${(run.to - run.from) * part.moduleMm}v${part.moduleMm * 1.01}h${-(run.to - run.from) * part.moduleMm}z`,
                  )
                  .join('')}
              />
            ),
          )}
        </g>
      ))}
    </svg>
  );
}

/** Which of them get one. */
function Choose(props: {
  all: readonly Choosable[];
  ids: readonly string[];
  onIds: (ids: readonly string[]) => void;
}) {
  const { all, ids, onIds } = props;
  return (
    <Panel title={say('labelsPage.forWhich')}>
      <Box sx={{ display: 'flex', gap: 1, mb: 0.5 }}>
        <Button size="small" onClick={() => onIds(all.filter((c) => !c.over).map((c) => c.id))}>
          {say('labelsPage.all')}
        </Button>
        <Button size="small" onClick={() => onIds([])}>
          {say('labelsPage.none')}
        </Button>
      </Box>
      <Box sx={{ maxHeight: 320, overflow: 'auto', display: 'grid' }}>
        {all.map((c) => (
          <FormControlLabel
            key={c.id}
            control={
              <Checkbox
                checked={ids.includes(c.id) && !c.over}
                disabled={c.over}
                onChange={(_, on) => onIds(on ? [...ids, c.id] : ids.filter((id) => id !== c.id))}
              />
            }
            label={
              <>
                {c.title}
                <Box component="span" sx={{ color: role('inkMuted') }}>
                  {' '}
                  {c.note}
                </Box>
              </>
            }
          />
        ))}
      </Box>
    </Panel>
  );
}
