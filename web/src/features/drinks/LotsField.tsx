import '../../words/places/drinks.ts';
import { LOT_KINDS, type LotKind, type RecipeLot, type RecipeStep } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { v7 as uuid } from 'uuid';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { say } from '../../words/say.ts';

/** Lots of one kind are numbered, so that their bottles can be told apart. */
const numbered = (lots: readonly RecipeLot[]): RecipeLot[] =>
  lots.map((lot) => {
    const same = lots.filter((l) => l.kind === lot.kind);
    const { number: _, ...rest } = lot;
    return same.length > 1 ? { ...rest, number: same.indexOf(lot) + 1 } : rest;
  });

/** Into which lots a step divides the drink, each by its litres or its share. */
export function LotsField(props: { step: RecipeStep; onChange: (lots: RecipeLot[] | undefined) => void }) {
  const lots = props.step.lots ?? [];
  const put = (next: readonly RecipeLot[]) => props.onChange(next.length > 0 ? numbered(next) : undefined);
  const change = (id: string, next: (lot: RecipeLot) => RecipeLot) =>
    put(lots.map((lot) => (lot.id === id ? next(lot) : lot)));
  return (
    <Box sx={{ display: 'grid', gap: 1, width: '100%', order: 1 }} data-testid="lots-field">
      {lots.map((lot, i) => {
        const number = i + 1;
        const inLitres = lot.volumeL !== undefined;
        const { volumeL: _l, share: _s, ...rest } = lot;
        return (
          <Box key={lot.id} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
            <TextField
              select
              label={say('stepFields.lots.kind', { number })}
              value={lot.kind}
              onChange={(e) => change(lot.id, (l) => ({ ...l, kind: e.target.value as LotKind }))}
              sx={{ minWidth: 150 }}
            >
              {LOT_KINDS.map((kind) => (
                <MenuItem key={kind} value={kind}>
                  {say(`lot.${kind}`)}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label={say('stepFields.lots.by', { number })}
              value={inLitres ? 'litres' : 'share'}
              onChange={(e) =>
                change(lot.id, () =>
                  e.target.value === 'litres' ? { ...rest, volumeL: 1 } : { ...rest, share: 0.5 },
                )
              }
              sx={{ minWidth: 110 }}
            >
              <MenuItem value="share">{say('stepFields.lots.by.share')}</MenuItem>
              <MenuItem value="litres">{say('stepFields.lots.by.litres')}</MenuItem>
            </TextField>
            <QuantityField
              label={say(inLitres ? 'stepFields.lots.litres' : 'stepFields.lots.share')}
              said={say('stepFields.lots.amount', { number })}
              value={lot.volumeL ?? (lot.share ?? 0) * 100}
              min={inLitres ? 0.05 : 1}
              max={inLitres ? 400 : 100}
              decimals={inLitres ? 2 : 0}
              unit={inLitres ? 'L' : '%'}
              width={120}
              onValue={(value) =>
                change(lot.id, () =>
                  inLitres ? { ...rest, volumeL: value } : { ...rest, share: value / 100 },
                )
              }
            />
            <Button
              size="small"
              aria-label={say('stepFields.lots.remove', { number })}
              onClick={() => put(lots.filter((l) => l.id !== lot.id))}
            >
              {say('common.remove2')}
            </Button>
          </Box>
        );
      })}
      <Button
        size="small"
        sx={{ justifySelf: 'start' }}
        disabled={lots.length >= 8}
        onClick={() =>
          put([
            ...lots,
            {
              id: uuid().slice(-8),
              kind: lots.some((l) => l.kind === 'sweet') ? 'plain' : 'sweet',
              share: 0.5,
            },
          ])
        }
      >
        {say('stepFields.lots.add')}
      </Button>
    </Box>
  );
}
