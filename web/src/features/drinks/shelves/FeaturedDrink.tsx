import '../../../words/places/drinks.ts';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { DrinkDrawing } from '../../../shared/drawings/DrinkDrawing.tsx';
import { role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { sayRich } from '../../../words/rich.ts';
import { duration, fullDay, say, sayCode } from '../../../words/say.ts';
import { quickest, type ShownDrink } from './drinkList.ts';
import { FavouriteButton } from './FavouriteButton.tsx';

/** The drink that this kitchen made last, large: what is made again is made most. */
export function FeaturedDrink(props: {
  drink: ShownDrink;
  tables: Tables;
  lastMs: number | null;
  zone: string;
  /** How many things were asked for. */
  asked: number;
}) {
  const { drink, tables, lastMs, zone, asked } = props;
  const { recipe } = drink;
  const name = sayDrink(recipe.id, recipe.name);
  const way = quickest(drink);
  return (
    <Box
      component="section"
      aria-label={name}
      data-testid="drink"
      sx={{ position: { lg: 'sticky' }, top: 16 }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'center' }}>
        <DrinkDrawing
          recipe={recipe}
          inGlass={drink.overview?.inGlass ?? null}
          tables={tables}
          height={250}
        />
      </Box>
      <Box
        sx={{
          borderTop: `4px solid ${role('rim')}`,
          borderRadius: '0 0 14px 14px',
          bgcolor: role('enamel'),
          p: 2.25,
          display: 'grid',
          gap: 1,
        }}
      >
        <Typography variant="h2" sx={{ fontSize: '1.7rem' }}>
          {name}
        </Typography>
        <span>
          {recipe.name ? (recipe.about ?? '') : sayCode(`drink.${recipe.id}.about`)}
          {lastMs !== null && ` ${say('drinksPage.lastMade', { day: fullDay(lastMs, zone) })}`}
        </span>
        {asked > 0 && (
          <Box sx={{ color: role('inkMuted') }}>{say('drinksPage.youHave', { has: drink.has, asked })}</Box>
        )}
        {way && (
          <Box sx={{ color: role('inkMuted') }}>
            {sayRich('drinksPage.workAndAll', {
              work: <strong>{duration(way.handsOnMin)}</strong>,
              all: <strong>{duration(way.totalMin)}</strong>,
            })}
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: 1, mt: 0.5, flexWrap: 'wrap' }}>
          <Button
            variant="contained"
            component={Link}
            to={`/new/${recipe.id}${way ? `?method=${way.methodId}` : ''}`}
          >
            {say('drinksPage.make', { drink: name })}
          </Button>
          <Button
            component={Link}
            to={`/drinks/${recipe.id}`}
            aria-label={say('drinksPage.read', { drink: name })}
          >
            {say('drinksPage.read2')}
          </Button>
          <FavouriteButton recipeId={recipe.id} name={name} />
        </Box>
      </Box>
    </Box>
  );
}
