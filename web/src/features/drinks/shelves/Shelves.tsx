import '../../../words/places/drinks.ts';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { role } from '../../../theme/theme.ts';
import { duration, say } from '../../../words/say.ts';
import { DrinkCell } from './DrinkCell.tsx';
import type { DrinkShelf } from './drinkList.ts';

/** Drinks on shelves by when they are ready. */
export const Shelves = (props: { shelves: readonly DrinkShelf[]; tables: Tables; asked: number }) => (
  <Box sx={{ display: 'grid', gap: 2.5, minWidth: 0 }}>
    {props.shelves.map((shelf, i) => (
      <section
        key={shelf.id ?? 'all'}
        aria-label={shelf.id ? say(`drinksPage.shelf.${shelf.id}`) : undefined}
      >
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 0.5 }}>
          {shelf.id && <Typography variant="h2">{say(`drinksPage.shelf.${shelf.id}`)}</Typography>}
          {shelf.id !== 'unknown' && (
            <Box sx={{ ml: 'auto', color: role('inkMuted'), fontSize: '0.875rem' }}>
              {say('drinksPage.barsOutOf', { time: duration(shelf.barMin), isFirst: i === 0 })}
            </Box>
          )}
        </Box>
        <Box
          component="ul"
          sx={{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'grid',
            gridTemplateColumns: {
              xs: 'repeat(auto-fill, minmax(150px, 1fr))',
              md: 'repeat(auto-fill, minmax(184px, 1fr))',
            },
            // Each drink spans two rows of the grid, its drawing and its figures: edges stand at one height.
            gridAutoRows: 'auto',
            rowGap: 0,
            borderRadius: '3px 3px 14px 14px',
            overflow: 'hidden',
          }}
        >
          {shelf.drinks.map((drink) => (
            <DrinkCell
              key={drink.recipe.id}
              drink={drink}
              tables={props.tables}
              barMin={shelf.barMin}
              asked={props.asked}
            />
          ))}
        </Box>
      </section>
    ))}
  </Box>
);
