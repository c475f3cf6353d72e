import '../../../words/places/shelf.ts';
import { HOT_C } from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import { saysAlcohol } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { dailySugar } from '../../../shared/dailySugar.ts';
import { byHand } from '../../../shared/handMeasure.ts';
import { sharesText } from '../../../shared/StrongToday.tsx';
import { Panel } from '../../../shared/ui.tsx';
import { num } from '../../../words/numbers.ts';
import { sayFamily } from '../../../words/plainNames.ts';
import { celsius, nutrientGrams } from '../../../words/quantities.ts';
import { dayOf, percent, say } from '../../../words/say.ts';
import type { Glass } from './useGlass.ts';

/** How strong it is beside what stands in the bottle, in a word. */
const strengthWord = (share: number) =>
  share > 0.93 ? 'full' : share > 0.75 ? 'little' : share > 0.45 ? 'light' : 'very';

/** What a glass then is: its strength, its sugar, what lies on it, and what is to be minded. */
export function InTheGlass({ glass, kitchen }: { glass: Glass; kitchen: Kitchen }) {
  const { poured, sugarG, spoonSugar, strong, garnish, small } = glass;
  return (
    <Panel title={say(`glass.strength.${strengthWord(poured.strengthShare)}`)} testId="glass-is">
      <Box sx={{ display: 'grid', gap: 1 }}>
        {poured.strengthShare < 0.995 && (
          <Box>
            {say('glass.strengthIs', {
              share: percent(poured.strengthShare),
              iced: glass.cubes > 0,
              short: glass.short,
            })}
          </Box>
        )}
        <Box>
          {say('glass.sugar', {
            byHand: spoonSugar ? byHand(spoonSugar, sugarG, kitchen) : '',
            sugar: nutrientGrams(sugarG),
            share: percent(glass.sugarShare),
            ...dailySugar(),
            none: sugarG < 0.5,
          })}
        </Box>
        {saysAlcohol(glass.abvPct) && <Box>{say('glass.alcohol', { abv: num(glass.abvPct, 1) })}</Box>}
        {strong.length > 0 && <Box>{say('glass.strong', { shares: sharesText(strong) })}</Box>}
        {garnish.length > 0 && (
          <Box data-testid="garnish">
            {say('glass.garnish', {
              list: garnish
                .map((g) => say(`garnish.${g.garnish}`, { what: sayFamily(g.familyId).toLowerCase() }))
                .join(say('glass.or')),
            })}
          </Box>
        )}
        {glass.warm && <Box data-testid="warm-note">{say('glass.warmNote', { temp: celsius(HOT_C) })}</Box>}
        {small && (
          <Box data-testid="small-servings">
            {say('glass.small', {
              servings: small.servings,
              number: num(small.servings),
              day: dayOf(small.untilMs, kitchen.zone),
            })}{' '}
            {say('glass.smallStop')}
          </Box>
        )}
      </Box>
    </Panel>
  );
}
