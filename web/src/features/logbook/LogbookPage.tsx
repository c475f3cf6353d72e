import '../../words/places/logbook.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link } from 'react-router';
import { everythingMade, useBatchNames, useMade } from '../../shared/batchQueries.ts';
import { useKitchen } from '../../shared/queries.ts';
import { saveText } from '../../shared/saveText.ts';
import { Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { litres } from '../../words/quantities.ts';
import { duration, fullDay, say } from '../../words/say.ts';
import { csvOf } from './csv.ts';

/** So many are set side by side. */
const MOST = 4;
const MINUTE = 60_000;

/** Everything that was made, the newest first: looked through by drink, opened, set side by side, taken along as CSV. */
export function LogbookPage() {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<readonly string[]>([]);
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
  const toggle = (id: string) =>
    setChosen((ids) => (ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id].slice(-MOST)));
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
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {shown.map(({ batch, now }) => {
              const drink = sayDrink(batch.plan.recipeId);
              const day = now?.startedMs == null ? '' : fullDay(now.startedMs, zone);
              const minutes =
                now?.startedMs != null && now.endedMs != null ? (now.endedMs - now.startedMs) / MINUTE : null;
              return (
                <Box
                  component="li"
                  key={batch.id}
                  data-testid="made"
                  sx={{
                    display: 'grid',
                    gridTemplateColumns: {
                      xs: '44px minmax(0,1fr) auto',
                      md: '44px minmax(0,2fr) auto auto minmax(0,2fr)',
                    },
                    columnGap: 2,
                    alignItems: 'center',
                    borderBottom: `1px solid ${role('hairline')}`,
                    minHeight: 56,
                  }}
                >
                  <Checkbox
                    checked={chosen.includes(batch.id)}
                    onChange={() => toggle(batch.id)}
                    slotProps={{ input: { 'aria-label': say('logbook.take', { drink, day }) } }}
                  />
                  <Box>
                    <Link to={`/batches/${batch.id}`}>{drink}</Link>
                    <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>{day}</Box>
                  </Box>
                  <Box sx={{ ...heading, textAlign: 'right', whiteSpace: 'nowrap' }}>
                    {now?.stopped ? say('logbook.stopped') : now ? litres(now.litres) : ''}
                  </Box>
                  <Box sx={{ color: role('inkMuted'), display: { xs: 'none', md: 'block' } }}>
                    {minutes === null ? '' : duration(minutes)}
                  </Box>
                  <Box
                    sx={{
                      gridColumn: { xs: '2 / -1', md: 'auto' },
                      color: role('inkMuted'),
                      fontSize: '0.9rem',
                    }}
                  >
                    {[now?.score !== undefined && say('common.of', { score: num(now.score) }), now?.words]
                      .filter(Boolean)
                      .join('; ')}
                  </Box>
                </Box>
              );
            })}
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
