import type { FeastDrink } from '@big-ladle/core/gathering';
import { colourOf } from '@big-ladle/core/liquor';
import { finishedLiquor } from '@big-ladle/core/program';
import { role } from '../../theme/theme.ts';

/** A bottle of it, cm: what its colour is seen through. */
const PATH_CM = 3;

/** The colour that a drink is drawn in; of bottles, as they were filled. */
export function lotColour(drink: FeastDrink | undefined): string {
  const liquor = drink?.made ? finishedLiquor(drink.made.sim) : undefined;
  return liquor ? colourOf(liquor, PATH_CM) : (drink?.colour ?? role('line'));
}
