import '../../../../words/places/batch.ts';
import type { KitchenDoc } from '@big-ladle/core/contract';
import type { PlanDoc } from '@big-ladle/core/documents';
import { type DatedDeed, writtenUp } from '@big-ladle/core/log';
import { fillBottles, type Solution, solvePlanDoc, suggestBottles } from '@big-ladle/core/plan';
import { finishedL, type Simulation, simulateBatch } from '@big-ladle/core/program';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { stepName } from '../../../../shared/batch/stepNames.ts';
import { useBook } from '../../../../shared/book.ts';
import { eventFor } from '../../../../shared/outbox.ts';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { send } from '../../../../shared/send.ts';
import { serverNow } from '../../../../shared/time.ts';
import { role } from '../../../../theme/theme.ts';
import { say } from '../../../../words/say.ts';
import { FilledThen, type Then } from './FilledThen.tsx';

/** Chosen in the place of a step: nothing of it is on any more. */
const FINISHED = 'finished';

interface Told {
  plan: PlanDoc;
  kitchen: KitchenDoc['kitchen'];
  onClose: () => void;
  onFailed: (error: unknown) => void;
}

/** A batch that was begun without a plan: where it is and since when, or when it was bottled; it goes on from there. */
export function AlreadyOn(props: Told) {
  const { plan, kitchen } = props;
  const { book, tables } = useBook();
  const made = useMemo(() => {
    const solved = solvePlanDoc(plan, book, kitchen, tables);
    if (!solved.ok) return null;
    return { ...solved.value, sim: simulateBatch(solved.value.program, kitchen, tables) };
  }, [plan, book, kitchen, tables]);
  return made && <Form {...props} program={made.program} sim={made.sim} />;
}

function Form(props: Told & { program: Solution['program']; sim: Simulation }) {
  const { plan, kitchen, program, sim, onClose, onFailed } = props;
  const navigate = useNavigate();
  const { steps } = program;
  const madeL = finishedL(sim);
  const bottle = steps.findLast((s) => s.kind === 'bottle');
  const [at, setAt] = useState(
    steps.find((s) => s.kind === 'boil' || s.kind === 'blend')?.id ?? steps[0]?.id ?? '',
  );
  const [minutes, setMinutes] = useState(5);
  const [nowMs] = useState(serverNow);
  const [then, setThen] = useState<Then>(() => ({
    bottledMs: null,
    counts: suggestBottles(madeL * 1000, kitchen.bottles),
    hygiene: bottle?.kind === 'bottle' ? bottle.hygiene : 'clean',
  }));
  const isFinished = at === FINISHED;
  const { bottledMs } = then;
  const { bottles } = fillBottles(madeL * 1000, kitchen.bottles, then.counts, uuid);
  const isTold = !isFinished || (bottledMs !== null && bottledMs <= nowMs && bottles.length > 0);

  const deeds = (): DatedDeed[] => {
    if (!isFinished) {
      const here = sim.trace.find((t) => t.stepId === at);
      return writtenUp(program, sim, serverNow() - (minutes + (here?.startMin ?? 0)) * MINUTE_MS, at);
    }
    const filled = { stepId: bottle!.id, hygiene: then.hygiene, bottles };
    return writtenUp(program, sim, (bottledMs ?? nowMs) - sim.endMin * MINUTE_MS, null, filled);
  };
  const write = async () => {
    const id = uuid();
    const events = [];
    for (const { deed, atMs } of deeds()) events.push(await eventFor({ kind: 'batch', id }, deed, atMs));
    const batch = await send('createBatch', { body: { id, plan } });
    const [first, ...rest] = events;
    await send('startBatch', { params: { id }, body: { version: batch.version, events: [first!] } });
    if (rest.length) await send('events', { body: { events: rest } });
    navigate(isFinished ? `/batches/${id}` : `/batches/${id}/stove`);
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="already-on">
      <DialogTitle id="already-on">{say('alreadyOn.itIsOnAlready')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <Box sx={{ color: role('inkMuted') }}>{say('alreadyOn.sayWhereItIs')}</Box>
        <Box
          component="select"
          aria-label={say('alreadyOn.itIsAt')}
          value={at}
          onChange={(e: React.ChangeEvent<HTMLSelectElement>) => setAt(e.target.value)}
          sx={{ font: 'inherit', minHeight: 48, px: 1, borderRadius: 2, border: `1px solid ${role('line')}` }}
        >
          {steps.map((s) => (
            <option key={s.id} value={s.id}>
              {stepName(s, program)}
            </option>
          ))}
          {bottle && kitchen.bottles.length > 0 && (
            <option value={FINISHED}>{say('alreadyOn.itIsFinished')}</option>
          )}
        </Box>
        {isFinished ? (
          <FilledThen then={then} kitchen={kitchen} madeL={madeL} nowMs={nowMs} onChange={setThen} />
        ) : (
          <QuantityField
            label={say('alreadyOn.since')}
            value={minutes}
            min={0}
            max={4320}
            decimals={0}
            unit="min"
            onValue={setMinutes}
          />
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{say('alreadyOn.notNow')}</Button>
        <Button variant="contained" disabled={!isTold} onClick={() => void write().catch(onFailed)}>
          {say(isFinished ? 'alreadyOn.writeItUp' : 'alreadyOn.goOnFromThere')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
