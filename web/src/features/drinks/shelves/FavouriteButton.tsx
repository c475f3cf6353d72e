import '../../../words/places/drinks.ts';
import IconButton from '@mui/material/IconButton';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import { useFavourites } from '../favourites.ts';

export function FavouriteButton({ recipeId, name }: { recipeId: string; name: string }) {
  const favourites = useFavourites();
  const on = favourites.ids.includes(recipeId);
  return (
    <IconButton
      aria-label={say('drinksPage.favourite', { drink: name })}
      aria-pressed={on}
      onClick={() => favourites.toggle(recipeId)}
      sx={{ color: role('rim') }}
    >
      <svg width="22" height="22" viewBox="0 0 24 24" aria-hidden="true">
        <path
          d="M12 3 C10 7 6 8 6 13 A6 6 0 0 0 18 13 C18 8 14 7 12 3 Z"
          fill={on ? 'currentColor' : 'none'}
          stroke="currentColor"
          strokeWidth="2"
        />
      </svg>
    </IconButton>
  );
}
