import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import type { Looks } from '@big-ladle/core/liquor';
import { cuesFor, draws, type Step } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { vesselNowId } from '../../../shared/batch/vesselNow.ts';
import { Spoon } from '../../../shared/drawings/Spoon.tsx';
import { Fold } from '../../../shared/Fold.tsx';
import { SpoonPhotos } from '../../../shared/photos/lazy.tsx';
import { thumb } from '../../../theme/theme.ts';
import { say, sayCode } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';

/** Held against a white spoon: as it should be now, and as it will be when this step is over. */
export function SpoonNowAndThen(props: Record<'now' | 'then', Looks>) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: 'repeat(auto-fit, minmax(168px, 1fr))',
        alignItems: 'start',
      }}
      data-testid="spoons"
    >
      <Spoon {...props.now} label={say('stovePage.spoonNow')} />
      <Spoon {...props.then} label={say('stovePage.spoonThen')} />
    </Box>
  );
}

/** Hot liquor draws before one's eyes: a spoon of it says how far it is. */
export const showsColour = (step: Step): boolean => step.kind !== 'soak' && draws(step);

/** The spoon as it was photographed, once somebody wants to see it. */
function PhotographedSpoon({ live }: { live: LiveBatch }) {
  const [open, setOpen] = useState(false);
  return (
    <Fold summary={say('stovePage.spoonPhotos')} testId="spoon-photos-fold" onToggle={setOpen}>
      {open && (
        <SpoonPhotos
          batchId={live.batch.id}
          zone={live.kitchen.zone}
          liquor={live.now.moment?.trace.at(-1)?.after.liquor ?? null}
          onRead={(read) => {
            const { step } = live;
            if (!step) return;
            const reading = { what: 'red' as const, ...read };
            void live.record([
              { kind: 'measured', body: { stepId: step.id, vesselId: vesselNowId(live), reading } },
            ]);
          }}
        />
      )}
    </Fold>
  );
}

/** What a cook sees, hears or tastes: a tap keeps it with its minute and ends the step; and how the colour is. */
export function Cues({ live, step }: { live: LiveBatch; step: Step }) {
  const cues = cuesFor(live.program, step, live.tables);
  const verdict = live.now.log.cues.findLast((c) => c.stepId === step.id && c.cue.startsWith('spoon.'))?.cue;
  const spoon = showsColour(step);
  return (
    <>
      {spoon && (
        <Box
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}
          data-testid="spoon-verdict"
        >
          <span>{say('stovePage.yourSpoonIs')}</span>
          {['spoon.paler', 'spoon.same', 'spoon.darker'].map((cue) => (
            <Button
              key={cue}
              variant={verdict === cue ? 'contained' : 'outlined'}
              color={verdict === cue ? 'primary' : 'inherit'}
              sx={thumb}
              aria-pressed={verdict === cue}
              onClick={() => void live.record([{ kind: 'cueSeen', body: { stepId: step.id, cue } }])}
            >
              {sayCode(`cue.${cue}`)}
            </Button>
          ))}
        </Box>
      )}
      {spoon && !live.batch.rehearsal && <PhotographedSpoon live={live} />}
      {cues.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }} data-testid="cues">
          <span>{say('stovePage.overWhenYouSee')}</span>
          {cues.map((cue) => (
            <Button
              key={cue}
              variant="outlined"
              color="inherit"
              sx={thumb}
              onClick={() =>
                void live.record([
                  { kind: 'cueSeen', body: { stepId: step.id, cue } },
                  { kind: 'stepEnded', body: { stepId: step.id } },
                ])
              }
            >
              {sayCode(`cue.${cue}`)}
            </Button>
          ))}
        </Box>
      )}
    </>
  );
}
