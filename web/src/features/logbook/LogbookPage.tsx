import '../../words/places/logbook.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useCallback, useState } from 'react';
import { Link } from 'react-router';
import { everythingMade, useBatchNames, useMade } from '../../shared/batchQueries.ts';
import { useKitchen } from '../../shared/queries.ts';
import { saveText } from '../../shared/saveText.ts';
import { Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { say } from '../../words/say.ts';
import { csvOf } from './csv.ts';
import { MADE_ROWS, MadeRow } from './MadeRow.tsx';

/** So many are set side by side. */
const MOST = 4;

/** Everything that was made, the newest first: looked through by drink, opened, set side by side, taken along as CSV. */
export function LogbookPage() {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const toggle = useCallback(
    (id: string) =>
      setChosen((ids) => (ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id].slice(-MOST))),
    [],
  );
  const zone = useKitchen().data?.kitchen.zone ?? 'UTC';
  const names = useBatchNames();
  const done = (names.data?.batches ?? []).filter((b) => b.status === 'done');
  const drinks = [...new Set(done.map((b) => b.recipeId))];
  const asked = text.trim().toLowerCase();
  const found =
    asked === '' ? null : drinks.filter((id) => sayDrink(id).toLowerCase().includes(asked)).sort();
  const { batches, more, isFetchingMore, isPending } = useMade(found);
  if (names.isPending) return <Loading />;
  const shown = found?.length === 0 ? [] : batches;
  const csv = async () => saveText('logbook.csv', csvOf(await everythingMade(), zone), 'text/csv');
  return (
    <>
      <PageHead
        title={say('logbook.title')}
        beside={say('logbook.made', { count: done.length, shown: num(done.length) })}
      >
        {done.length > 0 && (
          <Button variant="outlined" component={Link} to="/logbook/learnt">
            {say('learn.title')}
          </Button>
        )}
        {done.length > 0 && (
          <Button variant="outlined" component={Link} to="/logbook/year">
            {say('year.link')}
          </Button>
        )}
        {done.length > 0 && <Button onClick={() => void csv()}>{say('logbook.csv')}</Button>}
      </PageHead>
      {done.length === 0 ? (
        <Panel>{say('logbook.none')}</Panel>
      ) : (
        <Panel testId="logbook">
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
            <TextField
              label={say('logbook.find')}
              value={text}
              onChange={(e) => setText(e.target.value)}
              sx={{ width: 280, maxWidth: '100%' }}
            />
            {chosen.length < 2 ? (
              <Box sx={{ color: role('inkMuted') }}>{say('logbook.choose')}</Box>
            ) : (
              <Button variant="contained" component={Link} to={`/logbook/beside?ids=${chosen.join(',')}`}>
                {say('logbook.beside')}
              </Button>
            )}
          </Box>
          {!isPending && shown.length === 0 && <Box>{say('logbook.noneOf')}</Box>}
          <Box component="ul" sx={MADE_ROWS}>
            {shown.map((entry) => (
              <MadeRow
                key={entry.batch.id}
                entry={entry}
                zone={zone}
                chosen={chosen.includes(entry.batch.id)}
                onToggle={toggle}
              />
            ))}
          </Box>
          {more && found?.length !== 0 && (
            <Button sx={{ mt: 1 }} disabled={isFetchingMore} onClick={more}>
              {say('logbook.earlier')}
            </Button>
          )}
        </Panel>
      )}
    </>
  );
}
