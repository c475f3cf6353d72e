import '../../../words/places/batch.ts';
import { isPot, type Step, saysAlcohol, standsSideBySide } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import type { RunningClock } from '../../../shared/batch/clocks.ts';
import { placeName, stepName } from '../../../shared/batch/stepNames.ts';
import { stepHow } from '../../../shared/batch/stepWords.ts';
import { PageTitle } from '../../../shared/PageTitle.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { moment, say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';
import { LimitLine } from './BigClock.tsx';

/** What the step is, very large, how it is done, and how long it may stand. */
export function StepHead({ live, step, main }: { live: LiveBatch; step: Step; main: RunningClock | null }) {
  const { program, kitchen, now, nowMs } = live;
  const { zone } = kitchen;
  const entry = now.moment?.trace.at(-1);
  return (
    <Box>
      <PageTitle
        title={stepName(step, program)}
        sx={{ ...heading, fontSize: 'clamp(2.2rem, 9vw, 3.4rem)', lineHeight: 1.05, m: 0 }}
        own
      />
      {standsSideBySide(program) && [...step.from, ...step.to].some(isPot) && (
        <Box data-testid="which-pot" sx={{ mt: 0.5, fontSize: '1.3rem', fontWeight: 700 }}>
          {placeName(program, kitchen, step)}
        </Box>
      )}
      {step.text && (
        <Box
          data-testid="own-words"
          sx={{ mt: 1, fontSize: '1.45rem', lineHeight: 1.25, whiteSpace: 'pre-line' }}
        >
          {step.text}
        </Box>
      )}
      <Box sx={{ mt: 1, ...(step.text ? { color: role('inkMuted') } : { fontSize: '1.2rem' }) }}>
        {stepHow(step, program, true)}
      </Box>
      {entry && saysAlcohol(entry.now.abvPct) && (
        <Box data-testid="with-alcohol" sx={{ mt: 1, fontWeight: 700, color: role('caution') }}>
          {say('mark.alcohol')}, {num(entry.now.abvPct, 1)} %
        </Box>
      )}
      {main?.limitMs != null && <LimitLine limitMs={main.limitMs} live={live} />}
      {main?.draws && (main.limitMs === null || main.endMs < main.limitMs) && (
        <Box sx={{ mt: 0.5, color: role('inkMuted') }}>
          {say('stovePage.bestStrainedNotBefore', {
            end: moment(main.endMs, nowMs, zone),
            min: main.minMs === null ? '' : moment(main.minMs, nowMs, zone),
            minIs: main.minMs !== null,
            max: main.maxMs === null ? '' : moment(main.maxMs, nowMs, zone),
            maxIs: main.maxMs !== null,
          })}
        </Box>
      )}
    </Box>
  );
}
