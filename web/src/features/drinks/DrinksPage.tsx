import '../../words/places/drinks.ts';
import type { DrinkOverview } from '@big-ladle/core/compare';
import type { Recipe } from '@big-ladle/core/documents';
import { FAMILY_ROWS } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { Link, Navigate, useSearchParams } from 'react-router';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { namesLike } from '../../shared/findName.ts';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { sayFamily } from '../../words/plainNames.ts';
import { sayRich } from '../../words/rich.ts';
import { duration, litres, say, sayCode } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';
import { useFavourites } from './favourites.ts';

const FILTERS = [
  { id: 'cold', text: 'drinksPage.cold' },
  { id: 'hot', text: 'drinksPage.hot' },
  { id: 'noSugar', text: 'drinksPage.noAddedSugar' },
  { id: 'noAlcohol', text: 'drinksPage.noAlcohol' },
  { id: 'mild', text: 'drinksPage.mildForChildren' },
  { id: 'favourite', text: 'drinksPage.favourites' },
] as const;
type FilterId = (typeof FILTERS)[number]['id'];

const TIMES = [
  { value: 'any', text: 'drinksPage.any', minutes: Number.POSITIVE_INFINITY },
  { value: '3', text: 'drinksPage.3H', minutes: 180 },
  { value: '6', text: 'drinksPage.6H', minutes: 360 },
  { value: 'day', text: 'drinksPage.aDay', minutes: 1440 },
] as const;
const HANDS = [
  { value: 'any', text: 'drinksPage.any', minutes: Number.POSITIVE_INFINITY },
  { value: '60', text: 'drinksPage.1H', minutes: 60 },
  { value: '90', text: 'drinksPage.1H30', minutes: 90 },
] as const;

interface Shown {
  recipe: Recipe;
  o: DrinkOverview | undefined;
}
const least = (s: Shown, of: 'totalMin' | 'handsOnMin'): number =>
  Math.min(Number.POSITIVE_INFINITY, ...(s.o?.methods ?? []).map((m) => m[of]));
/** In what order the drinks stand; the book's own leaves them as they are. */
const SORTS = {
  book: () => 0,
  name: (a: Shown, b: Shown) =>
    sayDrink(a.recipe.id, a.recipe.name).localeCompare(sayDrink(b.recipe.id, b.recipe.name)),
  quick: (a: Shown, b: Shown) => least(a, 'totalMin') - least(b, 'totalMin'),
  work: (a: Shown, b: Shown) => least(a, 'handsOnMin') - least(b, 'handsOnMin'),
} as const;
const SORT_IDS = Object.keys(SORTS) as (keyof typeof SORTS)[];

const familyName = (id: string): string => (FAMILY_ROWS.some((f) => f.id === id) ? sayFamily(id) : id);

function fits(
  recipe: Recipe,
  o: DrinkOverview | undefined,
  on: ReadonlySet<FilterId>,
  time: number,
  hands: number,
) {
  if (on.has('cold') && recipe.serve === 'hot') return false;
  if (on.has('hot') && recipe.serve === 'cold') return false;
  if (!o) return true;
  if (on.has('noSugar') && !o.noAddedSugar && !o.standsPlain) return false;
  if (on.has('noAlcohol') && o.alcohol) return false;
  if (on.has('mild') && !o.mild) return false;
  return o.methods.length === 0 || o.methods.some((m) => m.totalMin <= time && m.handsOnMin <= hands);
}

/** A glass of it, in its expected colour. */
const Glass = ({ colour }: { colour: string }) => (
  <svg width="34" height="46" viewBox="0 0 34 46" aria-hidden="true">
    <path d="M2 2 L32 2 L28 44 L6 44 Z" fill={role('enamel')} stroke={role('line')} strokeWidth="1.5" />
    <path d="M3.2 12 L30.8 12 L27.4 42.6 L6.6 42.6 Z" fill={colour} />
  </svg>
);

/** The book: find a drink by what is in the house, by time, by who will drink it, by a name in any tongue. */
export function DrinksPage() {
  const kitchen = useKitchen();
  const { book, own, custom } = useBook();
  const [search, setSearch] = useSearchParams();
  const [name, setName] = useState('');
  const favourites = useFavourites();
  const job = useMemo(
    () => (kitchen.data ? { kind: 'overview' as const, kitchen: kitchen.data.kitchen } : null),
    [kitchen.data],
  );
  const { result } = useJob(job, own, custom);
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} again={() => void kitchen.refetch()} />;
  if (kitchen.data.kitchen.pots.length === 0) return <Navigate to="/" replace />;

  const sort = SORT_IDS.find((s) => s === search.get('sort')) ?? 'book';
  const held = (search.get('held') ?? '').split(',').filter(Boolean);
  const on = new Set((search.get('only') ?? '').split(',').filter(Boolean) as FilterId[]);
  const time = TIMES.find((t) => t.value === search.get('time')) ?? TIMES[0];
  const hands = HANDS.find((t) => t.value === search.get('hands')) ?? HANDS[0];
  const put = (key: string, value: string) => {
    if (value && value !== 'any') search.set(key, value);
    else search.delete(key);
    setSearch(search, { replace: true });
  };
  const overview = new Map(result?.drinks.map((d) => [d.recipeId, d]));
  const found = namesLike(name);
  const wanted = name.trim().toLowerCase();
  const shown = book
    .map((recipe) => {
      const o = overview.get(recipe.id);
      const has = held.filter((f) => o?.families.includes(f)).length;
      const called = [
        sayDrink(recipe.id, recipe.name),
        recipe.about ?? sayCode(`drink.${recipe.id}.about`),
        say(`family.${recipe.family}`),
      ].some((text) => text.toLowerCase().includes(wanted));
      const made = found.some((row) => o?.families.includes(row.family));
      return { recipe, o, has, byName: wanted.length < 2 || called || made };
    })
    .filter(
      (r) =>
        r.byName &&
        r.has === held.length &&
        (!on.has('favourite') || favourites.ids.includes(r.recipe.id)) &&
        fits(r.recipe, r.o, on, time.minutes, hands.minutes),
    )
    .sort(SORTS[sort]);

  return (
    <>
      <PageHead
        title={say('drinksPage.drinks')}
        beside={say('drinksPage.ofInTheBook', { shown: shown.length, all: book.length })}
      >
        <Button variant="outlined" component={Link} to="/drinks/write">
          {say('drinksPage.writeOne')}
        </Button>
        <Button variant="outlined" component={Link} to="/drinks/paste">
          {say('drinksPage.pasteOne')}
        </Button>
        <Button variant="outlined" component={Link} to="/drinks/parts">
          {say('drinksPage.inParts')}
        </Button>
        <Button variant="outlined" component={Link} to="/drinks/capture">
          {say('capturePage.watchAndWriteDown')}
        </Button>
      </PageHead>
      <Panel sx={{ mb: 1.75 }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-end' }}>
          <TextField
            label={say('drinksPage.aDrinkAPlant')}
            value={name}
            onChange={(e) => setName(e.target.value)}
            sx={{ width: 280 }}
            slotProps={{ htmlInput: { 'data-testid': 'find-name' } }}
          />
          <Choice
            label={say('drinksPage.readyWithin')}
            value={time.value}
            options={TIMES.map((t) => ({ value: t.value, text: say(t.text) }))}
            onChange={(v) => put('time', v)}
          />
          <Choice
            label={say('drinksPage.ofYourHandsAt')}
            value={hands.value}
            options={HANDS.map((t) => ({ value: t.value, text: say(t.text) }))}
            onChange={(v) => put('hands', v)}
          />
          <TextField
            select
            label={say('drinksPage.sort')}
            value={sort}
            onChange={(e) => put('sort', e.target.value === 'book' ? '' : e.target.value)}
            slotProps={{ select: { native: true } }}
          >
            {SORT_IDS.map((s) => (
              <option key={s} value={s}>
                {say(`drinksPage.sort.${s}`)}
              </option>
            ))}
          </TextField>
        </Box>
        {found.length > 0 && (
          <Box sx={{ mt: 1 }} data-testid="found">
            {found.slice(0, 4).map((row) => (
              <Box key={row.family} sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
                <span>
                  {sayRich('drinksPage.is', {
                    text: <strong>{row.text}</strong>,
                    familyName: familyName(row.family).toLowerCase(),
                  })}
                </span>
                {row.falseFriend && (
                  <Box component="span" sx={{ color: role('caution') }}>
                    {sayCode(`friend.${row.falseFriend}`)}
                  </Box>
                )}
                {!held.includes(row.family) && (
                  <Button size="small" onClick={() => put('held', [...held, row.family].join(','))}>
                    {say('drinksPage.iHaveIt')}
                  </Button>
                )}
                <Button size="small" component={Link} to={`/drinks/facts/${row.family}`}>
                  {say('drinksPage.facts')}
                </Button>
              </Box>
            ))}
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5, alignItems: 'center' }}>
          {FILTERS.map((f) => (
            <Chip
              key={f.id}
              label={say(f.text)}
              component="button"
              aria-pressed={on.has(f.id)}
              color={on.has(f.id) ? 'primary' : 'default'}
              variant={on.has(f.id) ? 'filled' : 'outlined'}
              onClick={() => {
                const next = new Set(on);
                if (!next.delete(f.id)) next.add(f.id);
                put('only', [...next].join(','));
              }}
              sx={{ minHeight: 36 }}
            />
          ))}
          {held.map((f) => (
            <Chip
              key={f}
              label={say('drinksPage.iHave', { familyName: familyName(f).toLowerCase() })}
              component="button"
              onClick={() => put('held', held.filter((h) => h !== f).join(','))}
              color="primary"
              sx={{ minHeight: 36 }}
            />
          ))}
        </Box>
      </Panel>
      {shown.length === 0 && (
        <Panel title={say('drinksPage.nothingFitsAllOf')}>{say('drinksPage.takeAFilterAway')}</Panel>
      )}
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          m: 0,
          p: 0,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 330px), 1fr))',
          gap: 1.75,
        }}
      >
        {shown.map(({ recipe, o, has }) => {
          const quick = o?.methods.reduce((a, b) => (b.totalMin < a.totalMin ? b : a), o.methods[0]!);
          return (
            <Box component="li" key={recipe.id} data-testid="drink" sx={{ minWidth: 0 }}>
              <Panel sx={{ height: '100%', position: 'relative' }}>
                <IconButton
                  aria-label={say('drinksPage.favourite', { drink: sayDrink(recipe.id, recipe.name) })}
                  aria-pressed={favourites.ids.includes(recipe.id)}
                  onClick={() => favourites.toggle(recipe.id)}
                  sx={{ position: 'absolute', right: 8, bottom: 8, color: role('rim') }}
                >
                  <svg width="22" height="22" viewBox="0 0 24 24" aria-hidden="true">
                    <path
                      d="M12 3 C10 7 6 8 6 13 A6 6 0 0 0 18 13 C18 8 14 7 12 3 Z"
                      fill={favourites.ids.includes(recipe.id) ? 'currentColor' : 'none'}
                      stroke="currentColor"
                      strokeWidth="2"
                    />
                  </svg>
                </IconButton>
                {o?.glass && (
                  <Box sx={{ position: 'absolute', right: 16, top: 16 }}>
                    <Glass colour={o.glass} />
                  </Box>
                )}
                <Box
                  component={Link}
                  to={`/drinks/${recipe.id}`}
                  sx={{
                    ...heading,
                    fontSize: '1.15rem',
                    color: role('ink'),
                    display: 'inline-block',
                    py: 0.5,
                    pr: 6,
                  }}
                >
                  {sayDrink(recipe.id, recipe.name)}
                </Box>
                <Box sx={{ pr: 6 }}>
                  {recipe.name ? (recipe.about ?? '') : sayCode(`drink.${recipe.id}.about`)}
                </Box>
                <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.75 }}>
                  {say('drinksPage.writtenForFromOf', {
                    family: say(`family.${recipe.family}`),
                    basis: litres(recipe.basisL),
                    total: duration(quick?.totalMin ?? 0),
                    handsOn: duration(quick?.handsOnMin ?? 0),
                    isQuick: Boolean(quick),
                    has,
                    asked: held.length,
                    isAsked: held.length > 0,
                  })}
                </Box>
                <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
                  <Button
                    variant="contained"
                    component={Link}
                    to={`/new/${recipe.id}${quick ? `?method=${quick.methodId}` : ''}`}
                    aria-label={say('drinksPage.make', { drink: sayDrink(recipe.id, recipe.name) })}
                  >
                    {say('drinksPage.makeIt')}
                  </Button>
                  <Button
                    component={Link}
                    to={`/drinks/${recipe.id}`}
                    aria-label={say('drinksPage.read', { drink: sayDrink(recipe.id, recipe.name) })}
                  >
                    {say('drinksPage.read2')}
                  </Button>
                </Box>
              </Panel>
            </Box>
          );
        })}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 2 }}>
        <Button component={Link} to="/drinks/two">
          {say('drinksPage.compareTwoRecipes')}
        </Button>
        <Button component={Link} to="/drinks/facts/hibiscus">
          {say('drinksPage.ingredientFacts')}
        </Button>
        <Button component={Link} to="/shopping">
          {say('drinksPage.shoppingList')}
        </Button>
      </Box>
    </>
  );
}
