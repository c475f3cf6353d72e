import '../../../words/places/shelf.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import TextField from '@mui/material/TextField';
import { Choice } from '../../../shared/Choice.tsx';
import { Figure } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { millilitres } from '../../../words/quantities.ts';
import { percent, say } from '../../../words/say.ts';
import { Pouring } from './Pouring.tsx';
import { type Glass, SIZES, type Size } from './useGlass.ts';

const STRENGTHS = { min: 0.2, max: 1, step: 0.05 } as const;
const STEPPER = { minWidth: 56, minHeight: 56, fontSize: '1.4rem' } as const;

/** The glass as it fills, and beside it what goes in. */
export function GlassChoices({ glass, colour }: { glass: Glass; colour: string }) {
  const { warm, size, cubes, mostCubes, mixerId, poured, vesselMl, choose } = glass;
  return (
    <>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mb: 1.5 }}>
        <Choice
          label={say('glass.coldOrWarm')}
          value={warm ? 'warm' : 'cold'}
          options={(['cold', 'warm'] as const).map((value) => ({ value, text: say(`glass.${value}`) }))}
          onChange={(v) => choose({ warm: v === 'warm' })}
        />
        <Choice
          label={say('glass.into')}
          value={size}
          options={SIZES.map((value) => ({ value, text: say(`glass.size.${value}`) }))}
          onChange={(v) => choose({ size: v as Size, cubes: 0 })}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <Box sx={{ flex: { xs: '0 1 130px', sm: '0 1 240px' }, minWidth: 110 }}>
          <Pouring
            {...{ poured, vesselMl, cubes, colour, warm }}
            said={say('glass.said', {
              drink: millilitres(poured.drinkMl),
              mixer: millilitres(poured.mixerMl),
              what: sayItem(mixerId).toLowerCase(),
              mixed: poured.mixerMl > 0.5,
              cubes,
              vessel: millilitres(vesselMl),
            })}
          />
        </Box>
        <Box sx={{ flex: { xs: '1 1 170px', sm: '1 1 210px' }, display: 'grid', gap: 2, minWidth: 0 }}>
          {!warm && (
            <Box role="group" aria-labelledby="ice-label">
              <Box id="ice-label" sx={{ color: role('inkMuted'), mb: 0.5 }} data-testid="ice">
                {say('glass.ice', { cubes, number: num(cubes) })}
              </Box>
              <Box sx={{ display: 'flex', gap: 1 }}>
                <Button
                  variant="outlined"
                  sx={STEPPER}
                  aria-label={say('glass.lessIce')}
                  disabled={cubes === 0}
                  onClick={() => choose({ cubes: cubes - 1 })}
                >
                  −
                </Button>
                <Button
                  variant="outlined"
                  sx={STEPPER}
                  aria-label={say('glass.moreIce')}
                  disabled={cubes >= mostCubes}
                  onClick={() => choose({ cubes: cubes + 1 })}
                >
                  +
                </Button>
              </Box>
            </Box>
          )}
          <Box>
            <TextField
              select
              label={say('glass.thinnedWith')}
              value={mixerId}
              onChange={(e) => choose({ mixerId: e.target.value })}
              sx={{ minWidth: 150 }}
            >
              {glass.mixers.map(({ id }) => (
                <MenuItem key={id} value={id}>
                  {sayItem(id)}
                </MenuItem>
              ))}
            </TextField>
            <Box sx={{ fontWeight: 700, mt: 0.5 }} data-testid="mixer-ml">
              {millilitres(poured.mixerMl)}
            </Box>
          </Box>
          <Box sx={{ px: 1.5 }}>
            <Box id="strength-label" sx={{ color: role('inkMuted'), ml: -1.5 }}>
              {say('glass.strength')}
            </Box>
            <Slider
              aria-labelledby="strength-label"
              getAriaValueText={percent}
              value={glass.strengthShare ?? poured.most}
              {...STRENGTHS}
              onChange={(_, v) => choose({ strengthShare: v as number })}
            />
          </Box>
          <Box>
            <Box sx={{ color: role('inkMuted') }}>{say('glass.drink')}</Box>
            <Figure value={millilitres(poured.drinkMl)} size="2rem" testId="drink-ml" />
          </Box>
        </Box>
      </Box>
    </>
  );
}
