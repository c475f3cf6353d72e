import '../../../words/places/batch.ts';
import type { PlanDoc } from '@big-ladle/core/documents';
import type { Step } from '@big-ladle/core/program';
import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { Answer } from '../../../shared/Answer.tsx';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { send } from '../../../shared/send.ts';
import { moment, say } from '../../../words/say.ts';
import { begin, tellFailed } from '../plan/PlanPage.tsx';
import type { LiveBatch } from '../useLiveBatch.ts';

/** What is on, until when, and what comes after it. */
export function NextDeed({ live, step }: { live: LiveBatch; step: Step }) {
  const { program, now, nowMs, kitchen } = live;
  const name = stepName(step, program);
  const at = program.steps.findIndex((s) => s.id === step.id);
  const then = program.steps.slice(at + 1).find((s) => now.log.steps[s.id]?.status === 'later');
  return (
    <Answer
      label={say('batchPage.now')}
      title={
        now.clock && now.clock.endMs > nowMs
          ? say(now.clock.kind === 'timed' ? 'batchPage.until' : 'batchPage.untilAbout', {
              step: name,
              end: moment(now.clock.endMs, nowMs, kitchen.zone),
            })
          : name
      }
      below={then && say('batchPage.then', { step: stepName(then, program).toLowerCase() })}
    />
  );
}

/** A batch that is over begun anew: the same plan, with what was noted at its steps. */
export function MakeAgain({ live }: { live: LiveBatch }) {
  const navigate = useNavigate();
  const again = async () => {
    const plan: PlanDoc = { ...live.batch.plan, readyAtMs: null, again: live.batch.id };
    const batch = await send('createBatch', { body: { id: uuid(), plan } });
    await begin(batch, live.program.steps[0]!.id);
    navigate(`/batches/${batch.id}/stove`);
  };
  return (
    <Button variant="contained" onClick={() => void again().catch(tellFailed)}>
      {say('batchPage.makeItAgain')}
    </Button>
  );
}
