import '../../../words/places/drinks.ts';
import type { LineFix, ReadLine } from '@big-ladle/core/exchange';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { grams } from '../../../words/quantities.ts';
import { say, sayCode } from '../../../words/say.ts';
import { formsOf } from '../forms.ts';
import { NewIngredient } from '../NewIngredient.tsx';
import { WeighOne } from './WeighOne.tsx';

/** A spread wider than this is shown with its ends, and offered as small, middle, large. */
const WIDE = 1.3;

/** One line as it was read: what it is, how much, where it goes in; every one of them may be mended or left out. */
export function LineRow(props: {
  line: ReadLine;
  /** The measure of which weighing one fill would make it sure. */
  weigh: string | null;
  /** Steps at which it goes in, in words. */
  places: string;
  left: boolean;
  lit: boolean;
  onFix: (fix: LineFix) => void;
  onLook: () => void;
}) {
  const { line, weigh, places, left, lit, onFix, onLook } = props;
  const [asking, setAsking] = useState(false);
  const sure = line.doubts.every((d) => d === 'optional');
  // It stays open while it is being mended, also once it is sure.
  const [open, setOpen] = useState(!sure);
  const shown = !left && open;
  const { massG } = line;
  const wide = massG !== null && massG.max > massG.min * WIDE;
  const name = line.itemId ? sayItem(line.itemId) : `“${line.name}”`;
  return (
    <Box
      id={`line-${line.id}`}
      data-testid="pasted-line"
      data-sure={sure}
      onFocus={onLook}
      onClick={onLook}
      sx={{
        borderBottom: `1px solid ${role('hairline')}`,
        py: 1,
        px: 0.5,
        bgcolor: lit ? role('cautionGround') : undefined,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Box sx={{ flex: '1 1 190px', minWidth: 0, textDecoration: left ? 'line-through' : undefined }}>
          <Box component="span" sx={heading}>
            {name}
          </Box>
          {line.amount?.kind === 'taste' && <> {say('readPage.toTaste')}</>}
          <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
            “{line.words}”{places && <> · {places}</>}
          </Box>
        </Box>
        {massG && (
          <Box sx={{ whiteSpace: 'nowrap' }}>
            <Box component="span" sx={heading}>
              {grams(massG.likely)}
            </Box>
            {wide && (
              <Box component="span" sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                {' '}
                {say('readPage.between', { min: grams(massG.min), max: grams(massG.max) })}
              </Box>
            )}
          </Box>
        )}
        {weigh && line.itemId && !left && <WeighOne itemId={line.itemId} measureId={weigh} />}
        {left ? (
          <Button size="small" onClick={() => onFix({ left: false })}>
            {say('readPage.takeItIn')}
          </Button>
        ) : (
          <>
            <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
              {say('readPage.change')}
            </Button>
            <Button size="small" onClick={() => onFix({ left: true })}>
              {say('pastePage.leaveItOut')}
            </Button>
          </>
        )}
      </Box>
      {!left && !sure && (
        <Box sx={{ color: role('caution'), fontSize: '0.92rem' }}>
          {line.doubts
            .filter((d) => d !== 'optional')
            .map((d) => say(`doubt.${d}`))
            .join(' ')}
          {line.falseFriend && <> {sayCode(`friend.${line.falseFriend}`)}</>}
        </Box>
      )}
      {shown && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mt: 0.75 }}>
          {wide && massG && <Sizes massG={massG} onPick={(g) => onFix({ massG: g })} />}
          {line.itemId && formsOf(line.itemId).length > 1 && (
            <TextField
              select
              label={say('pastePage.form')}
              value={line.itemId}
              onChange={(e) => onFix({ itemId: e.target.value, sure: true })}
              sx={{ minWidth: 170 }}
            >
              {formsOf(line.itemId).map((id) => (
                <MenuItem key={id} value={id}>
                  {sayItem(id)}
                </MenuItem>
              ))}
            </TextField>
          )}
          <QuantityField
            label={say('pastePage.weightOf', { item: line.itemId ? sayItem(line.itemId) : line.name })}
            value={massG === null ? null : Math.round(massG.likely * 10) / 10}
            min={0}
            max={100_000}
            unit="g"
            width={170}
            onValue={(g) => onFix({ massG: g })}
          />
          {line.itemId ? (
            !sure && (
              <Button
                size="small"
                variant="outlined"
                onClick={() => {
                  onFix({ sure: true });
                  setOpen(false);
                }}
              >
                {say('pastePage.itIsRight')}
              </Button>
            )
          ) : (
            <Button size="small" variant="outlined" onClick={() => setAsking(true)}>
              {say('pastePage.sayWhatItIs')}
            </Button>
          )}
        </Box>
      )}
      {asking && (
        <Box sx={{ mt: 1 }}>
          <NewIngredient
            name={line.name}
            onMade={(facts) => {
              onFix({ itemId: facts.id, sure: true });
              setAsking(false);
            }}
            onCancel={() => setAsking(false)}
          />
        </Box>
      )}
    </Box>
  );
}

/** How big is your hand of ginger? The least, the usual and the most that may be meant, each one tap away. */
function Sizes({ massG, onPick }: { massG: NonNullable<ReadLine['massG']>; onPick: (g: number) => void }) {
  const sizes = [
    ['readPage.small', massG.min],
    ['readPage.middle', massG.likely],
    ['readPage.large', massG.max],
  ] as const;
  return (
    <Box
      role="group"
      aria-label={say('readPage.howBig')}
      sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}
    >
      {sizes.map(([key, g]) => (
        <Button key={key} size="small" variant="outlined" onClick={() => onPick(Math.round(g * 10) / 10)}>
          {say(key, { mass: grams(g) })}
        </Button>
      ))}
    </Box>
  );
}
