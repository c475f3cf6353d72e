import '../../../words/places/drinks.ts';
import type { Check } from '@big-ladle/core/exchange';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Panel } from '../../../shared/ui.tsx';
import { heading } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';

/** What a careful reader would ask of the whole: never heated, never strained. */
export function Checks(props: {
  checks: readonly Check[];
  onMeant: (kind: string) => void;
  onBoil: () => void;
}) {
  const { checks, onMeant, onBoil } = props;
  if (!checks.length) return null;
  return (
    <Panel label={say('readPage.isThatMeant')} testId="read-checks">
      {checks.map((check) => (
        <Box
          key={check.kind}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}
        >
          <Box sx={{ ...heading, flex: '1 1 240px' }} data-testid={`check-${check.kind}`}>
            {say(`readCheck.${check.kind}`)}
          </Box>
          {check.kind === 'neverHeated' && (
            <Button size="small" variant="outlined" onClick={onBoil}>
              {say('readPage.boilTenMinutes')}
            </Button>
          )}
          <Button size="small" variant="outlined" onClick={() => onMeant(check.kind)}>
            {say('readPage.meantSo')}
          </Button>
        </Box>
      ))}
    </Panel>
  );
}
