import '../../words/places/drinks.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Link, Navigate } from 'react-router';
import { useBatchNames } from '../../shared/batchQueries.ts';
import { useBook } from '../../shared/book.ts';
import { namesLike } from '../../shared/findName.ts';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { sayDrink } from '../../words/names.ts';
import { say, sayCode } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';
import { useFavourites } from './favourites.ts';
import { DrinkFilters } from './shelves/DrinkFilters.tsx';
import { type ShownDrink, shelvesOf } from './shelves/drinkList.ts';
import { FeaturedDrink } from './shelves/FeaturedDrink.tsx';
import { fits, useDrinkFilter } from './shelves/filters.ts';
import { Shelves } from './shelves/Shelves.tsx';

/** The book, on shelves by when a drink is ready: found by what is in the house, by time, by who will drink it, by a name in any language. */
export function DrinksPage() {
  const kitchen = useKitchen();
  const { book, own, custom, tables } = useBook();
  const filter = useDrinkFilter();
  const [name, setName] = useState('');
  const favourites = useFavourites();
  const batches = useBatchNames();
  const job = useMemo(
    () => (kitchen.data ? { kind: 'overview' as const, kitchen: kitchen.data.kitchen } : null),
    [kitchen.data],
  );
  const { result } = useJob(job, own, custom);
  const held = filter.held.join();
  // The same drinks as long as nothing is known anew of them: what is typed draws none of them again.
  const drinks = useMemo((): ShownDrink[] => {
    const overviews = new Map(result?.drinks.map((d) => [d.recipeId, d]));
    const wanted = held.split(',');
    return book.map((recipe) => {
      const overview = overviews.get(recipe.id);
      return { recipe, overview, has: wanted.filter((f) => overview?.families.includes(f)).length };
    });
  }, [book, result, held]);
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} again={() => void kitchen.refetch()} />;
  if (kitchen.data.kitchen.pots.length === 0) return <Navigate to="/" replace />;

  const found = namesLike(name);
  const wanted = name.trim().toLowerCase();
  const isNamed = ({ recipe, overview }: ShownDrink): boolean =>
    wanted.length < 2 ||
    found.some((row) => overview?.families.includes(row.family)) ||
    [
      sayDrink(recipe.id, recipe.name),
      recipe.about ?? sayCode(`drink.${recipe.id}.about`),
      say(`family.${recipe.family}`),
    ].some((text) => text.toLowerCase().includes(wanted));
  const shown = drinks.filter(
    (drink) =>
      drink.has === filter.held.length &&
      (!filter.on.has('favourite') || favourites.ids.includes(drink.recipe.id)) &&
      fits(drink.recipe, drink.overview, filter) &&
      isNamed(drink),
  );
  const lastMs = new Map<string, number>();
  for (const { recipeId, startedMs } of batches.data?.batches ?? [])
    if (startedMs !== null) lastMs.set(recipeId, Math.max(startedMs, lastMs.get(recipeId) ?? 0));
  const featured = shown.reduce<ShownDrink | undefined>(
    (best, drink) =>
      best && (lastMs.get(best.recipe.id) ?? 0) >= (lastMs.get(drink.recipe.id) ?? 0) ? best : drink,
    undefined,
  );
  const shelves = shelvesOf(
    shown.filter((drink) => drink !== featured),
    filter.sort,
  );

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
        <Button variant="outlined" component={Link} to="/logbook" sx={{ display: { md: 'none' } }}>
          {say('frame.logbook')}
        </Button>
        <Button variant="outlined" component={Link} to="/drinks/parts">
          {say('drinksPage.inParts')}
        </Button>
        <Button variant="outlined" component={Link} to="/drinks/capture">
          {say('capturePage.watchAndWriteDown')}
        </Button>
      </PageHead>
      <DrinkFilters filter={filter} name={name} onName={setName} found={found} />
      {shown.length === 0 && (
        <Panel title={say('drinksPage.nothingFitsAllOf')}>{say('drinksPage.takeAFilterAway')}</Panel>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: '318px minmax(0,1fr)' },
          gap: 2.5,
          alignItems: 'start',
        }}
      >
        {featured && (
          <FeaturedDrink
            drink={featured}
            tables={tables}
            lastMs={lastMs.get(featured.recipe.id) ?? null}
            zone={kitchen.data.kitchen.zone}
            asked={filter.held.length}
          />
        )}
        <Shelves shelves={shelves} tables={tables} asked={filter.held.length} />
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
