import '../../../words/places/drinks.ts';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { Link } from 'react-router';
import { DrinkDrawing } from '../../../shared/drawings/DrinkDrawing.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';
import { quickest, type ShownDrink } from './drinkList.ts';
import { FavouriteButton } from './FavouriteButton.tsx';
import { TasteDot } from './TasteDot.tsx';
import { TimeBars } from './TimeBars.tsx';

interface CellProps {
  drink: ShownDrink;
  tables: Tables;
  /** What the bars are drawn out of, minutes. */
  barMin: number;
  /** How many things were asked for. */
  asked: number;
}

/** A drink on its shelf: itself above the edge, its name and figures below. */
export const DrinkCell = memo(function DrinkCell({ drink, tables, barMin, asked }: CellProps) {
  const { recipe, overview } = drink;
  const name = sayDrink(recipe.id, recipe.name);
  const way = quickest(drink);
  return (
    <Box
      component="li"
      data-testid="drink"
      sx={{ minWidth: 0, display: 'grid', gridTemplateRows: 'subgrid', gridRow: 'span 2' }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'center', alignItems: 'end', overflow: 'hidden' }}>
        <DrinkDrawing recipe={recipe} inGlass={overview?.inGlass ?? null} tables={tables} height={138} />
      </Box>
      <Box
        sx={{
          borderTop: `2.5px solid ${role('rim')}`,
          bgcolor: role('enamel'),
          p: 1.5,
          display: 'flex',
          flexDirection: 'column',
          gap: 1,
        }}
      >
        <Box
          component={Link}
          to={`/drinks/${recipe.id}`}
          sx={{
            ...heading,
            fontSize: '1.1rem',
            lineHeight: 1.2,
            color: role('ink'),
            py: 0.25,
            flex: 1,
            textDecoration: 'none',
            '&:hover': { textDecoration: 'underline' },
          }}
        >
          {name}
        </Box>
        {asked > 0 && (
          <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
            {say('drinksPage.youHave', { has: drink.has, asked })}
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
          {way && <TimeBars handsOnMin={way.handsOnMin} totalMin={way.totalMin} barMin={barMin} />}
          {overview?.inGlass && <TasteDot inGlass={overview.inGlass} />}
        </Box>
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
          <Button
            size="small"
            variant="outlined"
            component={Link}
            to={`/new/${recipe.id}${way ? `?method=${way.methodId}` : ''}`}
            aria-label={say('drinksPage.make', { drink: name })}
          >
            {say('drinksPage.makeIt')}
          </Button>
          <FavouriteButton recipeId={recipe.id} name={name} />
        </Box>
      </Box>
    </Box>
  );
});
