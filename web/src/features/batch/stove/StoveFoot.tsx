import '../../../words/places/batch.ts';
import type { Step } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { stepDeed } from '../../../shared/batch/stepWords.ts';
import { deedText } from '../../../shared/log/logWords.ts';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import { WideButton } from './PrimaryAction.tsx';
import { SmallClocks } from './SmallClocks.tsx';
import type { Stove } from './useStove.ts';

/** Steps whose form holds the one wide button: what it says follows from what was entered. */
const OWN_DEED: ReadonlySet<Step['kind']> = new Set(['strain', 'sweeten', 'bottle']);

/** Always in sight: the clocks beside the large one, the way back, and the one wide button. */
export function StoveFoot(props: {
  stove: Stove;
  /** Things that nobody has ticked off yet. */
  missing: number;
  setPlace: (place: HTMLElement | null) => void;
}) {
  const { stove, missing, setPlace } = props;
  const { live, clocks, back, gettingReady } = stove;
  const { step, program, now, nowMs } = live;
  const { main } = clocks;
  return (
    <Box
      sx={{
        position: 'fixed',
        left: 0,
        right: 0,
        bottom: 0,
        bgcolor: role('ground'),
        borderTop: `2px solid ${role('rimSoft')}`,
        zIndex: 5,
      }}
    >
      <Box sx={{ maxWidth: 760, mx: 'auto', p: 1.5, display: 'grid', gap: 1.25 }}>
        <SmallClocks clocks={clocks.small} live={live} />
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 72, px: 2.5 }}
            disabled={!back}
            onClick={stove.undo}
            aria-label={
              back
                ? say('batchPage.undo', { deedText: deedText(back.told, live.program) })
                : say('common.undo')
            }
          >
            {say('common.undo')}
          </Button>
          <Box
            ref={setPlace}
            sx={{ flex: 1, display: step !== null && OWN_DEED.has(step.kind) ? 'flex' : 'none' }}
          />
          {step && now.flameOut && (
            <WideButton
              onClick={() => void live.record([{ kind: 'flame', body: { stepId: step.id, on: true } }])}
            >
              {say('stovePage.theFlameIsBack')}
            </WideButton>
          )}
          {step && gettingReady && (
            <WideButton data-testid="ready" onClick={stove.ready}>
              {stepName(step, program)}
              {missing > 0 && (
                <Box component="span" sx={{ fontSize: '0.95rem', fontWeight: 400 }}>
                  {say('getReady.missing', { missing })}
                </Box>
              )}
            </WideButton>
          )}
          {step && !gettingReady && !now.flameOut && !OWN_DEED.has(step.kind) && (
            <WideButton data-testid="done" onClick={stove.end}>
              {main?.draws && nowMs < main.endMs
                ? say('stovePage.strainNowInstead')
                : stepDeed(step, program)}
            </WideButton>
          )}
        </Box>
      </Box>
    </Box>
  );
}
