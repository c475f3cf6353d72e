import '../../words/places/shelf.ts';
import { spellCostMin, trackAt, warmSpells } from '@big-ladle/core/keeping';
import { placeKindRow, spaceIn } from '@big-ladle/core/shelf';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lazy, Suspense, useCallback, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { placeName, placesOf } from '../../shared/house.ts';
import { type Living, type Shelf, useShelf } from '../../shared/shelf.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { celsius, litres } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { duration, percent, say, weekday } from '../../words/say.ts';
import { BottleShelves, type ShelfGroup } from './BottleShelves.tsx';

const Leftovers = lazy(() => import('./Leftovers.tsx').then((m) => ({ default: m.Leftovers })));
const Reminders = lazy(() => import('./Reminders.tsx').then((m) => ({ default: m.Reminders })));
const Gone = lazy(() => import('./Gone.tsx').then((m) => ({ default: m.Gone })));

const VIEWS = [
  { id: 'first', text: 'shelfPage.firstToDrink' },
  { id: 'drink', text: 'shelfPage.byDrink' },
  { id: 'place', text: 'shelfPage.byPlace' },
  { id: 'leftovers', text: 'shelfPage.leftovers' },
  { id: 'reminders', text: 'shelfPage.reminders' },
  { id: 'gone', text: 'shelfPage.gone' },
] as const;
type View = (typeof VIEWS)[number]['id'];

/** Everything that stands cold: what must be drunk first, where it stands, and what is left over. */
export function ShelfPage() {
  const nowMs = useCoarseNow(MINUTE_MS);
  const { shelf, isPending, error, refetch } = useShelf(nowMs);
  const [search] = useSearchParams();
  const view = VIEWS.find((v) => v.id === search.get('view'))?.id ?? 'first';
  if (isPending) return <Loading />;
  if (!shelf) return <ErrorPanel error={error} again={refetch} />;
  return (
    <>
      <PageHead title={say('common.coldShelf')} beside={<HeadLine shelf={shelf} nowMs={nowMs} />}>
        {shelf.living.length > 0 && (
          <Button component={Link} to="/shelf/labels" variant="outlined">
            {say('shelfPage.labels')}
          </Button>
        )}
      </PageHead>
      <Views view={view} shelf={shelf} />
      <Suspense fallback={<Loading />}>
        {view === 'leftovers' ? (
          <Leftovers shelf={shelf} />
        ) : view === 'reminders' ? (
          <Reminders shelf={shelf} nowMs={nowMs} />
        ) : view === 'gone' ? (
          <Gone nowMs={nowMs} zone={shelf.kitchen.zone} />
        ) : (
          <Bottles shelf={shelf} view={view} nowMs={nowMs} />
        )}
      </Suspense>
    </>
  );
}

/** Further back than this a warm night is no news, ms. */
const NEWS_MS = 7 * 24 * 60 * MINUTE_MS;

function HeadLine({ shelf, nowMs }: { shelf: Shelf; nowMs: number }) {
  const { living, track, kitchen } = shelf;
  const totalL = living.reduce((sum, l) => sum + l.leftMl, 0) / 1000;
  const spell = track ? warmSpells(track).findLast((s) => s.toMs > nowMs - NEWS_MS) : undefined;
  const costMin = spell && track ? spellCostMin(track, spell) : 0;
  return (
    <span data-testid="shelf-line">
      {sayRich('shelfPage.oneOtherFridge', {
        bottles: num(living.length),
        lengthCount: living.length,
        total: litres(totalL),
        fridge: !track
          ? say('shelfPage.at', { fridgeC: celsius(kitchen.fridgeC) })
          : track.guessed.at(-1) === 1
            ? say('shelfPage.notReadOfLate', { trackAt: celsius(trackAt(track, nowMs)) })
            : say('shelfPage.readAt', { trackAt: celsius(trackAt(track, nowMs)) }),
        spell: spell && costMin > 30 && (
          <Box component="span" sx={{ color: role('caution'), fontWeight: 700 }}>
            {' '}
            {say('shelfPage.warmOnUpTo', {
              from: weekday(spell.fromMs, kitchen.zone),
              highestC: celsius(spell.highestC),
              cost: duration(costMin),
            })}
          </Box>
        ),
      })}
    </span>
  );
}

/** The ways to look at the shelf, as links: each has an address. */
function Views({ view, shelf }: { view: View; shelf: Shelf }) {
  return (
    <Box
      component="nav"
      aria-label={say('shelfPage.waysToLookAt')}
      sx={{ display: 'flex', gap: { xs: 1.5, md: 2.5 }, flexWrap: 'wrap', mb: 1.5 }}
    >
      {VIEWS.map((v) => (
        <Box
          key={v.id}
          component={Link}
          to={v.id === 'first' ? '/shelf' : `/shelf?view=${v.id}`}
          aria-current={view === v.id ? 'page' : undefined}
          sx={{
            color: role('ink'),
            py: 1,
            textDecoration: view === v.id ? 'underline' : 'none',
            textUnderlineOffset: 5,
            textDecorationThickness: 2,
            fontWeight: view === v.id ? 700 : 400,
          }}
        >
          {say(v.text)}
          {v.id === 'leftovers' && shelf.leftovers.length > 0 && ` (${num(shelf.leftovers.length)})`}
        </Box>
      ))}
      <Box component={Link} to="/shelf/recall" sx={{ color: role('ink'), py: 1, textDecoration: 'none' }}>
        {say('recall.title')}
      </Box>
    </Box>
  );
}

function Bottles({ shelf, view, nowMs }: { shelf: Shelf; view: View; nowMs: number }) {
  const { living, kitchen } = shelf;
  const groups = useMemo(() => groupsOf(shelf, view), [shelf, view]);
  const placeOf = useCallback(
    (l: Living) => {
      const id = l.item.log.places.at(-1)?.place ?? '';
      const place = placesOf(kitchen).find((p) => p.id === id);
      if (view === 'place' || place?.kind === 'fridge' || place?.kind === 'freezer') return null;
      return place?.kind === 'counter' ? say('shelfPage.onTheTable') : placeName(kitchen, id).toLowerCase();
    },
    [kitchen, view],
  );
  if (living.length === 0)
    return (
      <Panel title={say('shelfPage.noBottlesYet')}>
        <Typography>{say('shelfPage.whenABatchIs')}</Typography>
        <Button component={Link} to="/drinks" variant="outlined" sx={{ mt: 1.5 }}>
          {say('common.beginABatch')}
        </Button>
      </Panel>
    );
  const past = living.filter((l) => l.life.verdict === 'past' || l.life.verdict === 'throwOut').length;
  return (
    <Panel>
      {past > 0 && (
        <Box role="status" sx={{ bgcolor: role('dangerGround'), borderRadius: 2, p: 1.25, mb: 1.5 }}>
          {sayRich('shelfPage.doNotTasteTo', {
            past: (
              <strong>{say('shelfPage.bottleIsBottlesAre', { past: num(past), pastCount: past })}</strong>
            ),
          })}
        </Box>
      )}
      <BottleShelves groups={groups} placeOf={placeOf} nowMs={nowMs} zone={kitchen.zone} />
    </Panel>
  );
}

function groupsOf(shelf: Shelf, view: View): ShelfGroup[] {
  const { living, kitchen } = shelf;
  if (view === 'first') return [{ key: 'all', title: null, living }];
  const by = new Map<string, Living[]>();
  for (const l of living) {
    const key = view === 'drink' ? l.item.facts.recipeId : (l.item.log.places.at(-1)?.place ?? '');
    const group = by.get(key);
    if (group) group.push(l);
    else by.set(key, [l]);
  }
  if (view === 'drink')
    return [...by].map(([key, group]) => ({
      key,
      title: sayDrink(key, group[0]?.item.facts.drinkName),
      note: `${num(group.length)}, ${litres(group.reduce((sum, l) => sum + l.leftMl, 0) / 1000)}`,
      living: group,
    }));
  const known = placesOf(kitchen).map((p) => p.id);
  return [...new Set([...known, ...by.keys()])].map((key) => {
    const group = by.get(key) ?? [];
    const place = placesOf(kitchen).find((p) => p.id === key);
    const space = place
      ? spaceIn(
          place,
          group.map((l) => ({ sizeMl: l.item.facts.sizeMl, diameterCm: l.item.facts.bottle.diameterCm })),
        )
      : null;
    const warm = place && placeKindRow(place.kind).follows === 'room';
    return {
      key,
      title: placeName(kitchen, key),
      note: [
        space && place
          ? say('shelfPage.ofOfItsFloor', {
              litres: litres(space.litres),
              capacity: litres(place.litres),
              floor: percent(Math.min(9.99, space.floorShare)),
            })
          : say('shelfPage.aPlaceThisKitchen'),
        space && (space.litresShare > 1 || space.floorShare > 1) ? say('shelfPage.moreThanItHolds') : null,
        warm && group.length > 0 ? say('shelfPage.warmTheirLifeRuns') : null,
      ]
        .filter(Boolean)
        .join(' · '),
      living: group,
    };
  });
}
