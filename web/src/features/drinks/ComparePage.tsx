import '../../words/places/drinks.ts';
import type { MethodAnswer, MethodRow } from '@big-ladle/core/compare';
import type { MethodId } from '@big-ladle/core/documents';
import { openingPlan } from '@big-ladle/core/plan';
import type { MarkerId } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import LinearProgress from '@mui/material/LinearProgress';
import { lazy, type ReactNode, Suspense, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { colours } from '../../shared/batch/liquorColour.ts';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Spoon } from '../../shared/drawings/Spoon.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { days, duration, litres, num, percent, say, volume } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';
import { shadeOf } from './shades.ts';

const StrengthChart = lazy(() => import('./StrengthChart.tsx').then((m) => ({ default: m.StrengthChart })));

const MOST = 4;

interface FigureRow {
  label: string;
  /** What the row means, one tap away. */
  why: string;
  value: (row: MethodRow) => number | null;
  show: (row: MethodRow) => ReactNode;
  /** Which end is good; null: neither. */
  best: 'low' | 'high' | null;
}

const INTO = {
  cold: 'comparePage.cold',
  boiling: 'comparePage.boiling',
  blender: 'comparePage.blender',
} as const;

/** The same wish by two to four methods, side by side. */
export function ComparePage() {
  const { id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const kitchen = useKitchen();
  const { book, own, custom, tables, isPending } = useBook();
  const recipe = book.find((r) => r.id === id);
  const [marker, setMarker] = useState<MarkerId | null>(null);
  const asked = search.get('methods') ?? '';
  const methodIds = useMemo(() => {
    const able = recipe?.methods ?? [];
    const chosen = asked.split(',').filter((m): m is MethodId => able.includes(m as MethodId));
    return chosen.length >= 2 ? chosen.slice(0, MOST) : able.slice(0, 3);
  }, [recipe, asked]);
  const wantedL = Number(search.get('litres') ?? Number.NaN);
  const job = useMemo(() => {
    if (!recipe || !kitchen.data) return null;
    const opening = openingPlan(recipe, kitchen.data.kitchen, book, tables, methodIds[0]);
    if (!opening) return null;
    const { plan } = opening;
    const question = wantedL > 0 ? { kind: 'litres' as const, litres: wantedL } : plan.question;
    return {
      kind: 'compareMethods' as const,
      plan: { ...plan, question },
      kitchen: kitchen.data.kitchen,
      methodIds,
    };
  }, [recipe, kitchen.data, book, tables, methodIds, wantedL]);
  const { result, progress, stop, failed } = useJob(job, own, custom);
  const answers = useMemo(
    () => result?.answers.filter((a) => methodIds.includes(a.methodId)) ?? [],
    [result, methodIds],
  );
  const rows = useMemo(() => answers.flatMap((a) => (a.ok ? [a.row] : [])), [answers]);

  if (kitchen.isPending || (!recipe && isPending)) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  if (!recipe) return <ErrorPanel error={null} />;
  const markers = [
    ...new Set(
      rows.flatMap((r) =>
        (Object.keys(r.gPerL) as MarkerId[]).filter((m) => m !== 'red' && (r.gPerL[m] ?? 0) > 0.05),
      ),
    ),
  ].sort((a, b) => (rows[0]?.gPerL[b] ?? 0) - (rows[0]?.gPerL[a] ?? 0));
  const shownMarker = marker && markers.includes(marker) ? marker : (markers[0] ?? null);
  const toggle = (m: MethodId) => {
    const next = methodIds.includes(m) ? methodIds.filter((x) => x !== m) : [...methodIds, m];
    if (next.length < 2 || next.length > MOST) return;
    search.set('methods', next.join(','));
    setSearch(search, { replace: true });
  };

  return (
    <>
      <PageHead title={say('comparePage.methodsSideBySide', { drink: sayDrink(recipe.id, recipe.name) })}>
        <Button component={Link} to={`/drinks/${recipe.id}`}>
          {say('comparePage.theRecipe')}
        </Button>
      </PageHead>
      <Panel sx={{ mb: 1.75 }}>
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          {recipe.methods.map((m) => (
            <Chip
              key={m}
              component="button"
              label={say(`method.${m}`)}
              aria-pressed={methodIds.includes(m)}
              color={methodIds.includes(m) ? 'primary' : 'default'}
              variant={methodIds.includes(m) ? 'filled' : 'outlined'}
              disabled={!methodIds.includes(m) && methodIds.length >= MOST}
              onClick={() => toggle(m)}
              sx={{ minHeight: 40 }}
            />
          ))}
          <Box sx={{ ml: 'auto' }}>
            <QuantityField
              label={say('comparePage.theSameWish')}
              value={
                wantedL > 0 ? wantedL : job?.plan.question.kind === 'litres' ? job.plan.question.litres : null
              }
              min={0.5}
              max={60}
              unit="L"
              width={150}
              onValue={(v) => {
                search.set('litres', String(v));
                setSearch(search, { replace: true });
              }}
            />
          </Box>
        </Box>
        {progress !== null && (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 1 }}>
            <LinearProgress
              variant="determinate"
              value={progress * 100}
              sx={{ flex: 1 }}
              aria-label={say('comparePage.workingItOut')}
            />
            <Button size="small" onClick={stop}>
              {say('common.stop')}
            </Button>
          </Box>
        )}
        {failed && <Alert severity="error">{say('comparePage.itCouldNotBe')}</Alert>}
        {rows.length > 0 && shownMarker && (
          <Box sx={{ mt: 1.5 }}>
            {markers.length > 1 && (
              <Choice
                label={say('comparePage.strengthIn')}
                value={shownMarker}
                options={markers.slice(0, 6).map((m) => ({ value: m, text: say(`marker.${m}`) }))}
                onChange={(v) => setMarker(v as MarkerId)}
              />
            )}
            <Suspense fallback={<Box sx={{ height: 260 }} />}>
              <StrengthChart rows={rows} marker={shownMarker} />
            </Suspense>
          </Box>
        )}
      </Panel>
      {answers.length > 0 && (
        <MethodTable answers={answers} rows={rows} markers={markers} recipeId={recipe.id} />
      )}
    </>
  );
}

function rowsFor(markers: readonly MarkerId[], withRed: boolean, withDraws: boolean): FigureRow[] {
  return [
    {
      label: say('comparePage.fromStartToBottles'),
      why: say('comparePage.allStepsHeatingAnd'),
      value: (r) => r.totalMin,
      show: (r) => duration(r.totalMin),
      best: 'low',
    },
    {
      label: say('comparePage.ofYourHands'),
      why: say('comparePage.washingCuttingStrainingSweetening'),
      value: (r) => r.handsOnMin,
      show: (r) => duration(r.handsOnMin),
      best: 'low',
    },
    {
      label: say('common.inBottles'),
      why: say('comparePage.theWishFromWhat'),
      value: () => null,
      show: (r) => litres(r.litres),
      best: null,
    },
    {
      label: say('comparePage.water'),
      why: say('comparePage.pouredInAllSecond'),
      value: (r) => r.waterL,
      show: (r) => litres(r.waterL),
      best: 'low',
    },
    {
      label: say('comparePage.lostAsSteam'),
      why: say('comparePage.atTheBoilAnd'),
      value: (r) => r.steamL,
      show: (r) => volume(r.steamL),
      best: 'low',
    },
    {
      label: say('comparePage.heldInTheSolids'),
      why: say('comparePage.whatDrainsPressesOr'),
      value: (r) => r.heldL,
      show: (r) => volume(r.heldL),
      best: 'low',
    },
    ...markers.slice(0, 5).map(
      (m): FigureRow => ({
        label: say('comparePage.drawn', { what: say(`marker.${m}`) }),
        why: say('comparePage.inTheFinishedDrink'),
        value: (r) => r.gPerL[m] ?? 0,
        show: (r) => `${num(r.gPerL[m] ?? 0, 1)} g/L`,
        best: 'high',
      }),
    ),
    ...(withRed
      ? [
          {
            label: say('comparePage.redThatIsLeft'),
            why: say('comparePage.heatAndTimeFade'),
            value: (r: MethodRow) => r.redLeft,
            show: (r: MethodRow) => (r.redLeft === null ? '–' : percent(r.redLeft)),
            best: 'high' as const,
          },
        ]
      : []),
    {
      label: say('comparePage.theSolidsGoInto'),
      why: say('comparePage.aBigPotHeated'),
      value: () => null,
      show: (r) => say(INTO[r.into]),
      best: null,
    },
    {
      label: say('comparePage.betweenAndC'),
      why: say('comparePage.whereThingsGrowIn'),
      value: (r) => r.warmMin,
      show: (r) => duration(r.warmMin),
      best: 'low',
    },
    {
      label: say('comparePage.keepsSealedAndCold'),
      why: say('comparePage.byTheKeepingTable'),
      value: (r) => r.keeping?.sealedDays ?? 0,
      show: (r) =>
        r.keeping === null
          ? '–'
          : r.keeping.verdict === 'throwOut'
            ? say('verdict.throwOut')
            : days(r.keeping.sealedDays),
      best: 'high',
    },
    ...(withDraws
      ? [
          {
            label: say('comparePage.theSecondDraw'),
            why: say('comparePage.whatASecondWater'),
            value: () => null,
            show: (r: MethodRow) =>
              r.secondDraw
                ? say('comparePage.atGL', {
                    litres: litres(r.secondDraw.litres),
                    strength: num(r.secondDraw.gPerL, 1),
                    minutes: duration(r.secondDraw.minutes),
                  })
                : '–',
            best: null,
          },
        ]
      : []),
    {
      label: say('comparePage.toWashUp'),
      why: say('comparePage.potsBowlsJugsBlender'),
      value: (r) => r.washUp,
      show: (r) => num(r.washUp),
      best: 'low',
    },
  ];
}

function MethodTable(props: {
  answers: readonly MethodAnswer[];
  rows: readonly MethodRow[];
  markers: readonly MarkerId[];
  recipeId: string;
}) {
  const { answers, rows, markers, recipeId } = props;
  const [why, setWhy] = useState<string | null>(null);
  const figures = rowsFor(
    markers,
    rows.some((r) => r.redLeft !== null),
    rows.some((r) => r.secondDraw),
  );
  const cell = {
    p: 1,
    textAlign: 'left',
    verticalAlign: 'top',
    borderBottom: `1px solid ${role('hairline')}`,
  };
  return (
    <Panel>
      <Box
        sx={{ overflowX: 'auto' }}
        tabIndex={0}
        role="region"
        aria-label={say('comparePage.methodsInFigures')}
      >
        <Box
          component="table"
          sx={{ borderCollapse: 'collapse', width: '100%', minWidth: 520 }}
          data-testid="method-table"
        >
          <thead>
            <tr>
              <Box component="td" sx={cell} />
              {answers.map((a) => (
                <Box
                  component="th"
                  scope="col"
                  key={a.methodId}
                  sx={{ ...cell, ...heading, fontSize: '1.05rem' }}
                >
                  {say(`method.${a.methodId}`)}
                </Box>
              ))}
            </tr>
          </thead>
          <tbody>
            {figures.map((figure) => {
              const shown = rows.map((r) => ({ value: figure.value(r), text: figure.show(r) }));
              return (
                <tr key={figure.label}>
                  <Box component="th" scope="row" sx={{ ...cell, fontWeight: 400, minWidth: 150 }}>
                    <Box
                      component="button"
                      type="button"
                      aria-expanded={why === figure.label}
                      onClick={() => setWhy(why === figure.label ? null : figure.label)}
                      sx={{
                        all: 'unset',
                        cursor: 'pointer',
                        minHeight: 24,
                        '&:hover': { textDecoration: 'underline' },
                        '&:focus-visible': { outline: `3px solid ${role('rim')}` },
                      }}
                    >
                      {figure.label}
                    </Box>
                    {why === figure.label && (
                      <Box sx={{ color: role('inkMuted'), fontSize: '0.85rem' }}>{figure.why}</Box>
                    )}
                  </Box>
                  {answers.map((a) => {
                    if (!a.ok) {
                      return (
                        <Box component="td" key={a.methodId} sx={{ ...cell, color: role('inkMuted') }}>
                          –
                        </Box>
                      );
                    }
                    const shade = shadeOf(shown, rows.indexOf(a.row), figure.best);
                    return (
                      <Box
                        component="td"
                        key={a.methodId}
                        sx={{
                          ...cell,
                          fontWeight: shade === 'best' ? 700 : 400,
                          color: role(shade === 'best' ? 'ready' : shade === 'worst' ? 'caution' : 'ink'),
                        }}
                      >
                        {figure.show(a.row)}
                        {shade === 'best' && <Box component="span"> ✓</Box>}
                      </Box>
                    );
                  })}
                </tr>
              );
            })}
            <tr>
              <Box component="th" scope="row" sx={{ ...cell, fontWeight: 400 }}>
                {say('comparePage.inTheSpoonAnd')}
              </Box>
              {answers.map((a) => (
                <Box component="td" key={a.methodId} sx={cell}>
                  {a.ok && a.row.end ? (
                    <Spoon {...colours(a.row.end)} label="" />
                  ) : (
                    say('comparePage.doesNotWorkOut')
                  )}
                </Box>
              ))}
            </tr>
            <tr>
              <Box component="td" sx={cell} />
              {answers.map((a) => (
                <Box component="td" key={a.methodId} sx={cell}>
                  <Button
                    variant="outlined"
                    component={Link}
                    to={`/new/${recipeId}?method=${a.methodId}`}
                    aria-label={say('comparePage.makeItBy', { what: say(`method.${a.methodId}`) })}
                  >
                    {say('comparePage.makeItSo')}
                  </Button>
                </Box>
              ))}
            </tr>
          </tbody>
        </Box>
      </Box>
    </Panel>
  );
}
