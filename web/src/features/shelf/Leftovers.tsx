import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { placeName } from '../../shared/house.ts';
import type { LivingLeftover, Shelf } from '../../shared/shelf.ts';
import { Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { grams, num, say } from '../../words/say.ts';
import { useLeftoverFacts } from './leftoverFacts.ts';
import { deadlineWord, TONE } from './lifeDisplay.tsx';
import '../../words/shelfWords.ts';

/** What was set aside: how much, where, until when, and what it is good for. */
export function Leftovers({ shelf }: { shelf: Shelf }) {
  const { leftovers } = shelf;
  return (
    <Panel
      title="Leftovers"
      testId="leftovers"
      aside={leftovers.length > 0 ? <Link to="/shelf/labels?leftovers=1">Labels for them</Link> : undefined}
    >
      {leftovers.length === 0 && (
        <>
          <Box>
            When a batch is strained, what is left in the cloth can be set aside: it stands here with its
            days, and with what it is good for.
          </Box>
          <Button component={Link} to="/" variant="outlined" sx={{ mt: 1.5 }}>
            To the stove
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
            ? `until ${deadlineWord(life, shelf.kitchen.zone)}`
            : deadlineWord(life, shelf.kitchen.zone)}
        </Box>
      </Box>
      <Box sx={{ color: role('inkMuted') }}>
        {sayDrink(recipeId, drinkName)}
        {leftover.portions > 1 && ` · ${num(leftover.portions)} portions, ${say(`portion.${strength}`)}`} ·
        good for {uses.map((u) => say(`use.${u}`).toLowerCase()).join(', ')}
      </Box>
    </Box>
  );
}
