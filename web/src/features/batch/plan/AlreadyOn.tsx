import '../../../words/places/batch.ts';
import type { KitchenDoc } from '@big-ladle/core/contract';
import type { PlanDoc } from '@big-ladle/core/documents';
import { solvePlanDoc } from '@big-ladle/core/plan';
import { simulateBatch } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { useBook } from '../../../shared/book.ts';
import { eventFor } from '../../../shared/outbox.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { send } from '../../../shared/send.ts';
import { serverNow } from '../../../shared/time.ts';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';

/** A batch that stands on the stove without a plan: where it is and since when, and it goes on from there. */
export function AlreadyOn(props: {
  plan: PlanDoc;
  kitchen: KitchenDoc['kitchen'];
  onClose: () => void;
  onFailed: (error: unknown) => void;
}) {
  const { plan, kitchen, onClose, onFailed } = props;
  const { book, tables } = useBook();
  const navigate = useNavigate();
  const solved = solvePlanDoc(plan, book, kitchen, tables);
  const program = solved.ok ? solved.value.program : null;
  const steps = program?.steps ?? [];
  const [stepId, setStepId] = useState(
    steps.find((s) => s.kind === 'boil' || s.kind === 'blend')?.id ?? steps[0]?.id ?? '',
  );
  const [minutes, setMinutes] = useState(5);
  if (!program) return null;
  const join = async () => {
    const id = uuid();
    const stream = { kind: 'batch' as const, id };
    const sim = simulateBatch(program, kitchen, tables);
    const here = sim.trace.find((t) => t.stepId === stepId);
    // The steps before it took as long as the model says: nobody wrote them down.
    const startMs = Math.round(serverNow() - (minutes + (here?.startMin ?? 0)) * MINUTE_MS);
    const first = await eventFor(
      stream,
      { kind: 'stepStarted', body: { stepId: program.steps[0]!.id } },
      startMs,
    );
    const before = sim.trace.slice(
      0,
      Math.max(
        0,
        sim.trace.findIndex((t) => t.stepId === stepId),
      ),
    );
    const events = [];
    for (const entry of before)
      events.push(
        await eventFor(
          stream,
          { kind: 'stepEnded', body: { stepId: entry.stepId } },
          Math.round(startMs + entry.endMin * MINUTE_MS),
        ),
      );
    const batch = await send('createBatch', { body: { id, plan } });
    await send('startBatch', { params: { id }, body: { version: batch.version, events: [first] } });
    if (events.length) await send('events', { body: { events } });
    navigate(`/batches/${id}/stove`);
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="already-on">
      <DialogTitle id="already-on">{say('alreadyOn.itIsOnAlready')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <Box sx={{ color: role('inkMuted') }}>{say('alreadyOn.sayWhereItIs')}</Box>
        <Box
          component="select"
          aria-label={say('alreadyOn.itIsAt')}
          value={stepId}
          onChange={(e: React.ChangeEvent<HTMLSelectElement>) => setStepId(e.target.value)}
          sx={{ font: 'inherit', minHeight: 48, px: 1, borderRadius: 2, border: `1px solid ${role('line')}` }}
        >
          {steps.map((s) => (
            <option key={s.id} value={s.id}>
              {stepName(s, program)}
            </option>
          ))}
        </Box>
        <QuantityField
          label={say('alreadyOn.since')}
          value={minutes}
          min={0}
          max={4320}
          decimals={0}
          unit="min"
          onValue={setMinutes}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{say('alreadyOn.notNow')}</Button>
        <Button variant="contained" onClick={() => void join().catch(onFailed)}>
          {say('alreadyOn.goOnFromThere')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
