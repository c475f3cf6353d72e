import '../../../words/places/logbook.ts';
import { ROUTES } from '@big-ladle/core/contract';
import type { YearDoc } from '@big-ladle/core/learn';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ask } from '../../../shared/api.ts';
import { keys } from '../../../shared/queries.ts';
import { ErrorPanel, Figure, Loading, PageHead, Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { litres } from '../../../words/quantities.ts';
import { monthName, say, sayCode } from '../../../words/say.ts';

const MonthBars = lazy(() => import('./MonthBars.tsx').then((m) => ({ default: m.MonthBars })));

/** The bars are so high, and so is their place while they come. */
const BARS_PX = 240;

const money = (value: number): string => num(value, 2);

/** Years one after the other: those in which something was made, and the one that is shown. */
function Years({ doc, onYear }: { doc: YearDoc; onYear: (year: number) => void }) {
  const years = [...new Set([doc.year, ...doc.years])].sort((a, b) => b - a);
  if (years.length < 2) return null;
  return (
    <Box role="group" aria-label={say('year.which')} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      {years.map((year) => (
        <Button
          key={year}
          variant={year === doc.year ? 'contained' : 'outlined'}
          aria-pressed={year === doc.year}
          onClick={() => onYear(year)}
        >
          {year}
        </Button>
      ))}
    </Box>
  );
}

/** What was made in a year in a few figures. */
function InAll({ of }: Pick<YearDoc, 'of'>) {
  const figures = [
    { name: say('year.batches'), value: num(of.batches), id: 'year-batches' },
    { name: say('year.made'), value: litres(of.litres), id: 'year-litres' },
    { name: say('year.money'), value: money(of.money), id: 'year-money' },
    {
      name: say('year.moneyEach'),
      value: of.litres > 0 ? money(of.money / of.litres) : '–',
      id: 'year-each',
    },
    { name: say('year.thrownOut'), value: litres(of.thrownOutL), id: 'year-thrown-out' },
  ];
  return (
    <Box sx={{ display: 'flex', gap: 4, rowGap: 2, flexWrap: 'wrap' }}>
      {figures.map(({ name, value, id }) => (
        <Box key={id}>
          <Figure value={value} testId={id} />
          <Box sx={{ color: role('inkMuted') }}>{name}</Box>
        </Box>
      ))}
    </Box>
  );
}

/** A year of this kitchen: what was made, what it cost, where it went, and what would have spared what was thrown out. */
export function YearPage() {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('of');
  const {
    data: doc,
    error,
    refetch,
  } = useQuery({
    queryKey: [...keys.lookedBack, 'year', asked],
    queryFn: () => ask(ROUTES.year, { query: { of: asked === null ? undefined : Number(asked) } }),
  });
  if (error && !doc) return <ErrorPanel error={error} again={() => void refetch()} />;
  if (!doc) return <Loading />;
  const { of, year } = doc;
  const most = of.months.reduce((best, m, i) => (m.litres > of.months[best]!.litres ? i : best), 0);
  const liked = of.drinks.filter((d) => d.score !== null).sort((a, b) => b.score! - a.score!);
  return (
    <>
      <PageHead title={say('year.title', { year: String(year) })}>
        <Button component={Link} to="/logbook">
          {say('logbook.all')}
        </Button>
      </PageHead>
      <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
        <Years doc={doc} onYear={(y) => setSearch({ of: String(y) }, { replace: true })} />
        {of.batches === 0 ? (
          <Panel>{say('year.none')}</Panel>
        ) : (
          <>
            <Panel testId="year">
              <InAll of={of} />
              {of.uncounted > 0 && (
                <Box sx={{ color: role('inkMuted'), mt: 1 }}>
                  {say('year.uncounted', { count: of.uncounted })}
                </Box>
              )}
              <Box sx={{ mt: 2 }}>
                <Suspense fallback={<Box sx={{ height: BARS_PX }} />}>
                  <MonthBars
                    height={BARS_PX}
                    months={of.months}
                    said={say('year.bars', {
                      month: monthName(most + 1),
                      litres: litres(of.months[most]!.litres),
                    })}
                  />
                </Suspense>
              </Box>
            </Panel>
            <Panel title={say('year.byDrink')} testId="year-drinks">
              {of.drinks.map((d) => (
                <Row
                  key={d.recipeId}
                  label={sayDrink(d.recipeId)}
                  note={d.money > 0 ? say('year.cost', { money: money(d.money) }) : undefined}
                >
                  {say('year.ofDrink', { count: d.batches, litres: litres(d.litres) })}
                </Row>
              ))}
            </Panel>
            <Panel title={say('year.where')} testId="year-where">
              <Row label={say('year.drunk')}>{litres(of.drunkL)}</Row>
              <Row label={say('year.given')}>{litres(of.givenL)}</Row>
              <Row label={say('year.there')}>{litres(of.thereL)}</Row>
              <Row label={say('year.thrownOut')}>{litres(of.thrownOutL)}</Row>
              {of.avoidable.map(({ by, litres: wasted, money: cost }) => (
                <Box key={by} sx={{ mt: 1 }} data-testid={`avoid-${by}`}>
                  {sayCode(`year.avoid.${by}`, { litres: litres(wasted) })}
                  {cost > 0.005 && ` ${say('year.worth', { money: money(cost) })}`}
                </Box>
              ))}
            </Panel>
            {liked.length > 0 && (
              <Panel title={say('year.liked')} testId="year-liked">
                {liked.map((d) => (
                  <Row key={d.recipeId} label={sayDrink(d.recipeId)}>
                    {say('year.score', { score: num(d.score!, 1) })}
                  </Row>
                ))}
              </Panel>
            )}
          </>
        )}
      </Box>
    </>
  );
}
