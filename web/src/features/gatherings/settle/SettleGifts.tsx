import '../../../words/places/gatherings.ts';
import type { GatheringDrink, GatheringGift } from '@big-ladle/core/documents';
import { followsGuests, type Sized } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { v7 as uuid } from 'uuid';
import type { GatheringChange } from '../../../shared/gatherings/gatherings.ts';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { WordsField } from '../../../shared/WordsField.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { OneOf } from './OneOf.tsx';

const FIRST = { bottles: 2, bottleMl: 500 };

/** Bottles that are given away: made beside what is drunk. */
export const SettleGifts = memo(function SettleGifts(props: {
  gifts: readonly GatheringGift[];
  drinks: readonly GatheringDrink[];
  sized: Sized | null;
  onChange: (change: GatheringChange) => void;
}) {
  const { gifts, drinks, sized, onChange } = props;
  const change = (id: string, by: Partial<GatheringGift>) =>
    onChange((g) => ({ ...g, gifts: g.gifts.map((x) => (x.id === id ? { ...x, ...by } : x)) }));
  const moreL = gifts
    .filter((x) => drinks.some((d) => d.id === x.drinkId && followsGuests(d)))
    .reduce((sum, x) => sum + (x.bottles * x.bottleMl) / 1000, 0);
  const [first] = drinks;
  if (!first) return null;
  return (
    <Box data-testid="settle-gifts">
      <Box sx={{ ...heading, mb: 1 }}>{say('gifts.title')}</Box>
      {gifts.map((gift) => (
        <Box key={gift.id} sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'end', mb: 1.5 }}>
          <WordsField label={say('gifts.to')} value={gift.to} onCommit={(to) => change(gift.id, { to })} />
          <OneOf
            label={say('gifts.drink')}
            value={gift.drinkId}
            options={drinks.map((d) => ({
              value: d.id,
              text: sayFeastDrink(sized?.drinks.find((x) => x.id === d.id)),
            }))}
            onChange={(drinkId) => change(gift.id, { drinkId })}
          />
          <QuantityField
            label={say('gifts.bottles')}
            value={gift.bottles}
            min={1}
            max={50}
            decimals={0}
            width={100}
            onCommit={(bottles) => change(gift.id, { bottles: Math.round(bottles) })}
          />
          <QuantityField
            label={say('gifts.each')}
            value={gift.bottleMl}
            unit="mL"
            min={50}
            max={5000}
            decimals={0}
            width={120}
            onCommit={(bottleMl) => change(gift.id, { bottleMl })}
          />
          <Button
            size="small"
            color="error"
            onClick={() => onChange((g) => ({ ...g, gifts: g.gifts.filter((x) => x.id !== gift.id) }))}
          >
            {say('settle.takeAway')}
          </Button>
        </Box>
      ))}
      {moreL > 0 && (
        <Box sx={{ color: role('inkMuted'), mb: 1 }}>{say('gifts.more', { litres: litres(moreL) })}</Box>
      )}
      <Button
        variant="outlined"
        onClick={() =>
          onChange((g) => ({
            ...g,
            gifts: [
              ...g.gifts,
              { id: uuid(), to: say('gifts.toFirst'), drinkId: first.id, given: false, ...FIRST },
            ],
          }))
        }
      >
        {say('gifts.add')}
      </Button>
    </Box>
  );
});
