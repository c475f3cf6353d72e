import '../../words/places/drinks.ts';
import type { MethodId } from '@big-ladle/core/documents';
import { openingPlan } from '@big-ladle/core/plan';
import type { MarkerId } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import LinearProgress from '@mui/material/LinearProgress';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { sayDrink } from '../../words/names.ts';
import { say } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';
import { MethodTable } from './MethodTable.tsx';

const StrengthChart = lazy(() => import('./StrengthChart.tsx').then((m) => ({ default: m.StrengthChart })));

const MOST = 4;

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
  const { result, progress, stop, failed } = useJob(job, own, custom, { tells: true });
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
