import '../../../../words/places/batch.ts';
import '../../../../words/places/steps.ts';
import { tastedAt } from '@big-ladle/core/log';
import type { Step } from '@big-ladle/core/program';
import { RIPENESS_ROWS, UNTREATED_WATER, WATER_CUES } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Caution } from '../../../../shared/ui.tsx';
import { thumb } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { say, sayCode } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';

/** What is asked at a step with one tap: the water that nobody boils, and how sweet the fruit is. */
export function AskHere(props: { live: LiveBatch; step: Step; asksWater: boolean }) {
  const { live, step, asksWater } = props;
  const fruit = tastedAt(live.program, step.id, live.tables);
  const water = lastOf(live, step, WATER_CUES);
  return (
    <>
      {asksWater && (
        <Box data-testid="ask-water" sx={{ display: 'grid', gap: 1 }}>
          <Taps live={live} step={step} ask={say('ask.water')} cues={WATER_CUES} said={water} />
          {water === UNTREATED_WATER && (
            <Caution severity="danger" word={say('severity.danger')} text={say('water.untreated.first')} />
          )}
        </Box>
      )}
      {fruit.length > 0 && (
        <Box data-testid="ask-fruit">
          <Taps
            live={live}
            step={step}
            ask={say('ask.fruit', { list: fruit.map((id) => sayItem(id).toLowerCase()).join(', ') })}
            cues={RIPENESS_ROWS.map((r) => r.cue)}
            said={lastOf(
              live,
              step,
              RIPENESS_ROWS.map((r) => r.cue),
            )}
          />
        </Box>
      )}
    </>
  );
}

/** What the cook has said last of these, at this step. */
const lastOf = (live: LiveBatch, step: Step, cues: readonly string[]): string | null =>
  live.now.log.cues.findLast((c) => c.stepId === step.id && cues.includes(c.cue))?.cue ?? null;

function Taps(props: {
  live: LiveBatch;
  step: Step;
  ask: string;
  cues: readonly string[];
  said: string | null;
}) {
  const { live, step, ask, cues, said } = props;
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
      <span>{ask}</span>
      {cues.map((cue) => (
        <Button
          key={cue}
          variant={said === cue ? 'contained' : 'outlined'}
          color={said === cue ? 'primary' : 'inherit'}
          sx={thumb}
          aria-pressed={said === cue}
          onClick={() => void live.record([{ kind: 'cueSeen', body: { stepId: step.id, cue } }])}
        >
          {sayCode(`cue.${cue}`)}
        </Button>
      ))}
    </Box>
  );
}
