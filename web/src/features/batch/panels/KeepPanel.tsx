import '../../../words/places/batch.ts';
import { type BottleLife, keepDate, wouldKeepLonger } from '@big-ladle/core/keeping';
import Box from '@mui/material/Box';
import { Figure, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayReason } from '../../../words/coreWords.ts';
import { celsius } from '../../../words/quantities.ts';
import { say, sayDate } from '../../../words/say.ts';
import { keepingInput } from './figures.ts';
import type { PanelInput } from './input.ts';

/** How long it will keep, reason by reason. */
export function KeepPanel({
  program,
  sim,
  kitchen,
  hygiene,
  life,
}: PanelInput & { life: BottleLife | null }) {
  const input = keepingInput(sim, program, hygiene);
  if (!input || !life) return null;
  const longer = [...life.longer, ...wouldKeepLonger(input)];
  return (
    <Panel title={say('panels.keepDrinkBy')}>
      <Box sx={{ mb: 1 }}>
        <Figure
          value={sayDate(keepDate(life, kitchen.zone), kitchen.zone)}
          unit={life.verdict === 'good' ? say('keep.wholeDays') : ''}
          testId="drink-by"
        />
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.5 }} data-testid="keep-reasons">
        {life.reasons.map((reason) => (
          <li key={reason.code}>{sayReason(reason)}</li>
        ))}
        <li>{say('panels.theClockStartsWhen')}</li>
      </Box>
      {longer.length > 0 && (
        <Box sx={{ mt: 1.5 }}>
          {say('panels.itWouldKeepLonger')}
          <Box component="ul" sx={{ m: 0, pl: 2.5 }} data-testid="keep-longer">
            {longer.map((reason) => (
              <li key={reason.code}>{sayReason(reason)}</li>
            ))}
          </Box>
        </Box>
      )}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
        {say('panels.cautiousHomeRulesYour', { fridgeC: celsius(kitchen.fridgeC) })}
      </Box>
    </Panel>
  );
}
