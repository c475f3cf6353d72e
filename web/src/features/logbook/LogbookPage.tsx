import '../../words/places/logbook.ts';
import { type LogbookRow, lookThrough } from '@big-ladle/core/learn';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useCallback, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useLogbook } from '../../shared/batchQueries.ts';
import { useKitchen } from '../../shared/queries.ts';
import { saveText } from '../../shared/saveText.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { say } from '../../words/say.ts';
import { csvOf } from './csv.ts';
import { type Asked, LookFor, NOTHING_ASKED } from './LookFor.tsx';
import { MADE_ROWS, MadeRow } from './MadeRow.tsx';

/** So many are set side by side. */
const MOST = 4;
/** So many rows are shown at first, and with each step further back. */
const AT_ONCE = 30;

const NONE: readonly LogbookRow[] = [];

/** The rows that are asked for: a drink is looked for by the name it goes by here. */
function found(rows: readonly LogbookRow[], { text, ...asked }: Asked, zone: string): LogbookRow[] {
  const words = text.trim().toLowerCase();
  const drinkIds = new Set(
    [...new Set(rows.map((r) => r.recipeId))].filter((id) => sayDrink(id).toLowerCase().includes(words)),
  );
  return lookThrough(rows, { ...asked, text: words === '' ? null : { drinkIds, words } }, zone);
}

/** Everything that was made: looked through, opened, set side by side, taken along as CSV. */
export function LogbookPage() {
  const [asked, setAsked] = useState(NOTHING_ASKED);
  const [most, setMost] = useState(AT_ONCE);
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const toggle = useCallback(
    (id: string) =>
      setChosen((ids) => (ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id].slice(-MOST))),
    [],
  );
  const zone = useKitchen().data?.kitchen.zone ?? 'UTC';
  const { data, error, refetch } = useLogbook();
  const rows = data?.rows ?? NONE;
  const shown = useMemo(() => found(rows, asked, zone), [rows, asked, zone]);
  const mostL = useMemo(
    () => Math.max(1, ...rows.flatMap((r) => [r.madeL ?? 0, r.expectedL ?? 0, r.wishedL ?? 0])),
    [rows],
  );
  if (error && !data) return <ErrorPanel error={error} again={() => void refetch()} />;
  if (!data) return <Loading />;
  const csv = () => saveText('logbook.csv', csvOf(rows, zone), 'text/csv');
  const ask = (next: Asked) => {
    setAsked(next);
    setMost(AT_ONCE);
  };
  const all = num(rows.length);
  return (
    <>
      <PageHead title={say('logbook.title')} beside={say('logbook.made', { count: rows.length, shown: all })}>
        {rows.length > 0 && (
          <>
            <Button variant="outlined" component={Link} to="/logbook/learnt">
              {say('learn.title')}
            </Button>
            <Button variant="outlined" component={Link} to="/logbook/year">
              {say('year.link')}
            </Button>
            <Button onClick={() => void csv()}>{say('logbook.csv')}</Button>
          </>
        )}
      </PageHead>
      {rows.length === 0 ? (
        <Panel>{say('logbook.none')}</Panel>
      ) : (
        <Panel testId="logbook">
          <LookFor asked={asked} onAsk={ask} />
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', my: 1, minHeight: 44 }}>
            {chosen.length < 2 ? (
              <Box sx={{ color: role('inkMuted') }}>{say('logbook.choose')}</Box>
            ) : (
              <Button variant="contained" component={Link} to={`/logbook/beside?ids=${chosen.join(',')}`}>
                {say('logbook.beside')}
              </Button>
            )}
            {shown.length < rows.length && (
              <Box role="status" sx={{ color: role('inkMuted'), ml: 'auto' }}>
                {shown.length === 0
                  ? say('logbook.noneOf')
                  : say('logbook.found', { shown: num(shown.length), all })}
              </Box>
            )}
          </Box>
          <Box component="ul" sx={MADE_ROWS}>
            {shown.length > 0 && (
              <li className="head" aria-hidden>
                <span />
                <span />
                <span>{say('logbook.head.litres')}</span>
                <span>{say('logbook.head.time')}</span>
                <span>{say('logbook.head.went')}</span>
                <span>{say('logbook.head.was')}</span>
              </li>
            )}
            {shown.slice(0, most).map((row) => (
              <MadeRow
                key={row.batchId}
                row={row}
                zone={zone}
                mostL={mostL}
                chosen={chosen.includes(row.batchId)}
                onToggle={toggle}
              />
            ))}
          </Box>
          {shown.length > most && (
            <Button sx={{ mt: 1 }} onClick={() => setMost(most + AT_ONCE)}>
              {say('logbook.more')}
            </Button>
          )}
        </Panel>
      )}
    </>
  );
}
