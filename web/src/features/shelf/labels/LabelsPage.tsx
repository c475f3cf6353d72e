import '../../../words/places/shelf.ts';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Choice } from '../../../shared/Choice.tsx';
import { useMeasure } from '../../../shared/labels/measure.ts';
import { Page, PREVIEWED } from '../../../shared/labels/Page.tsx';
import { pagesOf, sheetName } from '../../../shared/labels/paper.ts';
import { SheetsOut } from '../../../shared/labels/SheetsOut.tsx';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { type Shelf, useShelf } from '../../../shared/shelf.ts';
import { codeOf } from '../../../shared/squareCode.ts';
import { useCoarseNow } from '../../../shared/time.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { sayRich } from '../../../words/rich.ts';
import { say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import { Choose } from './Choose.tsx';
import { setLabel } from './layout.ts';
import { SHEETS } from './sheets.ts';
import { byHandLine } from './texts.ts';
import { useChoosable } from './useChoosable.ts';

/** Labels for what stands on the shelf: on a sheet, on a roll, or by hand. */
export function LabelsPage() {
  const nowMs = useCoarseNow(60_000);
  const { shelf, isPending, error, refetch } = useShelf(nowMs);
  if (isPending) return <Loading />;
  if (!shelf) return <ErrorPanel error={error} again={refetch} />;
  return <Labels shelf={shelf} nowMs={nowMs} />;
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
    () =>
      measure
        ? pagesOf(labels, sheet, skip, (label) =>
            setLabel(label, sheet.labelW, sheet.labelH, codeOf(label.url), measure),
          )
        : [],
    [labels, sheet, skip, measure],
  );
  const refused = all.filter((c) => c.over && ids.includes(c.id));
  const perPage = sheet.columns * sheet.rows;
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
        <SheetsOut sheet={sheet} pages={pages} fileName="labels.pdf" title={say('shelfPage.labels')} />
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
    </>
  );
}
