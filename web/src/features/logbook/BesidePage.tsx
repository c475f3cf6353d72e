import { type LookedBack, lookBack, type Otherwise } from '@big-ladle/core/learn';
import '../../words/places/logbook.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, type ReactNode, Suspense, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { weakMapMemoize } from 'reselect';
import { type BatchState, useBatchesAsTold } from '../../shared/batch/state.ts';
import { stepName } from '../../shared/batch/stepNames.ts';
import { LastSpoon } from '../../shared/photos/lazy.tsx';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams, litres } from '../../words/quantities.ts';
import { duration, fullDay, say, sayCode } from '../../words/say.ts';

const Traces = lazy(() => import('./Traces.tsx').then((m) => ({ default: m.Traces })));

const MOST = 4;

interface Column {
  state: BatchState;
  back: LookedBack;
}

/** What was made is over: it is worked out once for its log. */
const backOf = weakMapMemoize(({ planned, kitchen, tables, now, batch }: BatchState) =>
  lookBack(planned, kitchen, tables, now, batch.plan.question),
);

/** Two to four batches, each as it was planned and as it came out. */
export function BesidePage() {
  const [search] = useSearchParams();
  const asked = search.get('ids') ?? '';
  const ids = useMemo(() => [...new Set(asked.split(',').filter(Boolean))].slice(0, MOST), [asked]);
  const { states, isPending, error, refetch } = useBatchesAsTold(ids);
  const columns = states.map((state): Column => ({ state, back: backOf(state) }));
  if (isPending) return <Loading />;
  if (error && columns.length < 2) return <ErrorPanel error={error} again={refetch} />;
  return (
    <>
      <PageHead title={say('beside.title')}>
        <Button component={Link} to="/logbook">
          {say('logbook.all')}
        </Button>
      </PageHead>
      {columns.length < 2 ? (
        <Panel testId="beside">{say('beside.tooFew')}</Panel>
      ) : (
        <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
          <Panel testId="beside">
            <InShort columns={columns} />
          </Panel>
          <Suspense fallback={<Panel title={say('traces.title')}>{null}</Panel>}>
            <Traces states={states} />
          </Suspense>
          <Panel title={say('beside.steps')} testId="beside-steps">
            <StepByStep columns={columns} />
          </Panel>
        </Box>
      )}
    </>
  );
}

const CELL = { p: 0.75, pl: 2, verticalAlign: 'top', textAlign: 'left' } as const;

/** A column a batch, under its drink and day. */
function Columns({ columns, children }: { columns: readonly Column[]; children: ReactNode }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          tableLayout: 'fixed',
          width: '100%',
          // Two of them fit on a phone.
          minWidth: 108 * (columns.length + 1),
          '& tr': { borderBottom: `1px solid ${role('hairline')}` },
        }}
      >
        <thead>
          <tr>
            <td />
            {columns.map(({ state: { batch, recipe, now, kitchen } }) => (
              <Box component="th" scope="col" key={batch.id} sx={CELL}>
                <Link to={`/batches/${batch.id}`}>{sayDrink(recipe.id, recipe.name)}</Link>
                <Box sx={{ fontWeight: 400, color: role('inkMuted') }}>
                  {now.log.startedMs === null ? '' : fullDay(now.log.startedMs, kitchen.zone)}
                </Box>
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </Box>
    </Box>
  );
}

/** What each batch says of one thing; nothing where none of them says anything. */
function Line({ label, cells }: { label: string; cells: readonly { id: string; says: ReactNode }[] }) {
  if (cells.every(({ says }) => !says)) return null;
  return (
    <tr>
      <Box component="th" scope="row" sx={{ ...CELL, pl: 0, fontWeight: 400, color: role('inkMuted') }}>
        {label}
      </Box>
      {cells.map(({ id, says }) => (
        <Box component="td" key={id} sx={CELL}>
          {says}
        </Box>
      ))}
    </tr>
  );
}

const both = (planned: number, real: number | null, show: (figure: number) => string) => (
  <>
    <Box sx={{ ...heading, fontSize: '1.2rem' }}>{real === null ? say('beside.unknown') : show(real)}</Box>
    <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
      {say('beside.planned', { figure: show(planned) })}
    </Box>
  </>
);

function InShort({ columns }: { columns: readonly Column[] }) {
  const line = (label: string, of: (column: Column) => ReactNode) => (
    <Line label={label} cells={columns.map((c) => ({ id: c.state.batch.id, says: of(c) }))} />
  );
  return (
    <Columns columns={columns}>
      {line(say('beside.way'), ({ state }) => sayCode(`method.${state.program.methodId}`))}
      {line(say('beside.wished'), ({ back }) => back.wishedL !== null && litres(back.wishedL))}
      {line(say('beside.litres'), ({ back }) => both(back.litres.planned, back.litres.real, litres))}
      {line(say('beside.bottled'), ({ back }) =>
        back.bottledL === null ? say('beside.unknown') : litres(back.bottledL),
      )}
      {line(say('beside.hours'), ({ back }) => both(back.minutes.planned, back.minutes.real, duration))}
      {line(say('beside.sweet'), ({ back }) =>
        both(back.sweetnessPct.planned, back.sweetnessPct.real, (f) => num(f, 1)),
      )}
      {line(say('beside.spoon'), ({ state: { batch, kitchen } }) => (
        <LastSpoon batchId={batch.id} zone={kitchen.zone} />
      ))}
      {line(say('beside.otherwise'), ({ state, back }) => {
        const said = [
          ...(state.now.log.stopped ? [say('beside.stopped')] : []),
          ...back.otherwise.map((o) => sayOtherwise(o, state)),
        ];
        return said.length === 0 ? say('beside.nothing') : said.map((text) => <Box key={text}>{text}</Box>);
      })}
      {line(
        say('beside.verdict'),
        ({ state: { now } }) =>
          now.log.score &&
          [say('common.of', { score: num(now.log.score.score) }), now.log.score.words]
            .filter(Boolean)
            .join('; '),
      )}
      {line(
        say('beside.notes'),
        ({ state: { now } }) =>
          now.log.notes.length > 0 && now.log.notes.map((n) => <Box key={n.id}>{n.body.text}</Box>),
      )}
    </Columns>
  );
}

function StepByStep({ columns }: { columns: readonly Column[] }) {
  return (
    <Columns columns={columns}>
      {stepRows(columns).map(({ name, of }) => (
        <Line
          key={name}
          label={name}
          cells={columns.map(({ state }, i) => {
            const step = of[i];
            return {
              id: state.batch.id,
              says: step && both(step.plannedMin, step.realMin, duration),
            };
          })}
        />
      ))}
    </Columns>
  );
}

/** Steps of several batches in rows: those of one name, each the same time round, stand beside one another. */
function stepRows(columns: readonly Column[]) {
  const rows: { name: string; round: number; of: (LookedBack['steps'][number] | undefined)[] }[] = [];
  for (const [i, { state, back }] of columns.entries()) {
    const seen = new Map<string, number>();
    for (const step of state.program.steps) {
      const looked = back.steps.find((s) => s.stepId === step.id);
      if (!looked || (looked.plannedMin < 1 && !looked.realMin)) continue;
      const name = stepName(step, state.program);
      const round = (seen.get(name) ?? 0) + 1;
      seen.set(name, round);
      let row = rows.find((r) => r.name === name && r.round === round);
      if (!row) {
        row = { name, round, of: [] };
        rows.push(row);
      }
      row.of[i] = looked;
    }
  }
  return rows.map(({ name, round, of }) => ({ name: round > 1 ? `${name} (${round})` : name, of }));
}

function sayOtherwise(o: Otherwise, { program }: BatchState): string {
  const named = (stepId: string) => {
    const step = program.steps.find((s) => s.id === stepId);
    return step ? stepName(step, program) : '';
  };
  switch (o.kind) {
    case 'litres':
      return say(o.byL > 0 ? 'beside.litresMore' : 'beside.litresLess', { litres: litres(Math.abs(o.byL)) });
    case 'longer':
    case 'shorter':
      return say(`beside.${o.kind}`, { step: named(o.stepId), time: duration(o.byMin) });
    case 'skipped':
      return say('beside.skipped', { step: named(o.stepId) });
    case 'added':
      return say('beside.added', { mass: grams(o.massG), item: sayItem(o.itemId).toLowerCase() });
  }
}
