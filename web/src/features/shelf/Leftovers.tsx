import '../../words/places/shelf.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { placeName } from '../../shared/house.ts';
import type { LivingLeftover, Shelf } from '../../shared/shelf.ts';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { useLeftoverFacts } from './leftoverFacts.ts';
import { deadlineWord, TONE } from './lifeDisplay.tsx';
import '../../words/places/items.ts';

/** What was set aside: how much, where, until when, and what it is good for. */
export function Leftovers({ shelf }: { shelf: Shelf }) {
  const { leftovers } = shelf;
  return (
    <Panel
      title={say('common.leftovers')}
      testId="leftovers"
      aside={
        leftovers.length > 0 ? (
          <Link to="/shelf/labels?leftovers=1">{say('common.labelsForThem')}</Link>
        ) : undefined
      }
    >
      {leftovers.length === 0 && (
        <>
          <Box>{say('leftovers.whenABatchIs')}</Box>
          <Button component={Link} to="/" variant="outlined" sx={{ mt: 1.5 }}>
            {say('common.toTheStove')}
          </Button>
        </>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {leftovers.map((l) => (
          <LeftoverRow key={l.item.facts.itemId} living={l} shelf={shelf} />
        ))}
      </Box>
    </Panel>
  );
}

function LeftoverRow({ living, shelf }: { living: LivingLeftover; shelf: Shelf }) {
  const { item, life } = living;
  const { leftover, recipeId, drinkName, itemId } = item.facts;
  const { uses, strength } = useLeftoverFacts(leftover);
  const place = placeName(shelf.kitchen, item.log.places.at(-1)?.place ?? '').toLowerCase();
  return (
    <Box
      component="li"
      data-testid="leftover"
      sx={{ py: 1.25, borderBottom: `1px solid ${role('hairline')}` }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Box component={Link} to={`/shelf/${itemId}`} sx={{ ...heading, color: role('ink'), py: 0.5 }}>
          {say(`leftover.${leftover.kind}`)}, {grams(life.leftG)}, {place}
        </Box>
        <Box sx={{ color: role(TONE[life.verdict]), fontWeight: 700, ml: 'auto' }}>
          {life.verdict === 'good'
            ? say('leftovers.until', { deadlineWord: deadlineWord(life, shelf.kitchen.zone) })
            : deadlineWord(life, shelf.kitchen.zone)}
        </Box>
      </Box>
      <Box sx={{ color: role('inkMuted') }}>
        {say('leftovers.portionsGoodFor', {
          drink: sayDrink(recipeId, drinkName),
          portions: num(leftover.portions),
          what: say(`portion.${strength}`),
          portionsSome: leftover.portions > 1,
          uses: uses.map((u) => say(`use.${u}`).toLowerCase()).join(', '),
        })}
      </Box>
    </Box>
  );
}
