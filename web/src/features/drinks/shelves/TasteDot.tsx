import '../../../words/places/drinks.ts';
import type { DrinkOverview } from '@big-ladle/core/compare';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { say } from '../../../words/say.ts';

/** The square holds drinks up to so sweet and so sour; cordials stand at its edge. */
const MOST = { sweetnessPct: 16, sournessGPerL: 12 };

/** How sweet and how sour a drink is, as a dot in its own colour: sweeter to the top, sourer to the right. */
export function TasteDot({
  inGlass,
  size = 40,
}: {
  inGlass: NonNullable<DrinkOverview['inGlass']>;
  size?: number;
}) {
  const share = (of: keyof typeof MOST) => Math.min(1, Math.max(0, inGlass[of] / MOST[of]));
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 40 40"
      role="img"
      aria-label={say('drinksPage.taste', {
        sweet: num(inGlass.sweetnessPct, 1),
        sour: num(inGlass.sournessGPerL, 1),
      })}
      style={{ flex: 'none' }}
    >
      <rect x="1" y="1" width="38" height="38" fill="none" stroke={role('line')} />
      <path d="M20 1V39M1 20H39" stroke={role('hairline')} />
      <circle
        cx={6 + 28 * share('sournessGPerL')}
        cy={34 - 28 * share('sweetnessPct')}
        r="5"
        fill={inGlass.looks.glass}
        stroke={role('ink')}
      />
    </svg>
  );
}
