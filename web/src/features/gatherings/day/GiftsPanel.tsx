import '../../../words/places/gatherings.ts';
import type { GatheringDoc, GatheringGift } from '@big-ladle/core/documents';
import type { Sized } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { bottlesOfDrink } from '../../../shared/gatherings/feastBottles.ts';
import type { GatheringChange } from '../../../shared/gatherings/gatherings.ts';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { type Shelf, useShelf } from '../../../shared/shelf.ts';
import { tellOfThing } from '../../../shared/tellOfThing.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';

/** Bottles for a gift: whole ones that nobody has opened, those that keep longest. */
function bottlesFor(gift: GatheringGift, gathering: GatheringDoc, shelf: Shelf): string[] {
  const drink = gathering.drinks.find((d) => d.id === gift.drinkId);
  if (!drink) return [];
  const whole = bottlesOfDrink(drink, shelf)
    .filter((b) => b.item.log.openedMs === null && b.item.log.pouredMl === 0 && b.life.verdict === 'good')
    .reverse();
  // Bottles of the size that was meant for it come first.
  const near = (ml: number) => Math.abs(ml - gift.bottleMl);
  return whole
    .sort((a, b) => near(a.item.facts.bottle.volumeMl) - near(b.item.facts.bottle.volumeMl))
    .slice(0, gift.bottles)
    .map((b) => b.item.facts.itemId);
}

/** Who is given what, with labels to print and one tap when it is given. */
export function GiftsPanel(props: {
  gathering: GatheringDoc;
  sized: Sized;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { gathering, sized, nowMs, onChange } = props;
  const { shelf } = useShelf(nowMs);
  if (gathering.gifts.length === 0 || !shelf) return null;
  const give = (gift: GatheringGift, ids: readonly string[]) => {
    for (const id of ids) void tellOfThing(id, [{ kind: 'gaveAway', body: { to: gift.to } }]);
    onChange((g) => ({ ...g, gifts: g.gifts.map((x) => (x.id === gift.id ? { ...x, given: true } : x)) }));
  };
  return (
    <Panel title={say('gifts.title')} testId="gifts">
      {gathering.gifts.map((gift) => {
        const ids = bottlesFor(gift, gathering, shelf);
        const isThere = ids.length === gift.bottles;
        return (
          <Row
            key={gift.id}
            testId="gift"
            label={say('gifts.row', {
              to: gift.to,
              count: gift.bottles,
              drink: sayFeastDrink(sized.drinks.find((d) => d.id === gift.drinkId)),
            })}
          >
            {gift.given ? (
              say('gifts.given')
            ) : isThere ? (
              <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                <Button
                  size="small"
                  component={Link}
                  to={`/shelf/labels?ids=${ids.map(encodeURIComponent).join(',')}`}
                >
                  {say('gifts.labels')}
                </Button>
                <Button size="small" variant="outlined" onClick={() => give(gift, ids)}>
                  {say('gifts.give')}
                </Button>
              </Box>
            ) : (
              <Box component="span" sx={{ color: role('inkMuted'), fontWeight: 400 }}>
                {say('gifts.notYet')}
              </Box>
            )}
          </Row>
        );
      })}
    </Panel>
  );
}
