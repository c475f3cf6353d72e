import '../../../../words/places/batch.ts';
import { bowlsOf, rinsesAsked, washRoutines } from '@big-ladle/core/compare';
import type { Step } from '@big-ladle/core/program';
import { type Bath, bathCue } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { v7 as uuid } from 'uuid';
import { lineAmount } from '../../../../shared/batch/lineAmount.ts';
import { heading, role, thumb } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { num } from '../../../../words/numbers.ts';
import { type MessageKey, say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { TickList, useTicks } from '../TickList.tsx';

/** Picking over and washing: each thing ticked off by name; a bath with its clock; rinses counted. */
export function Washing({ live, step }: { live: LiveBatch; step: Step }) {
  const ticks = useTicks(`big-ladle-washed-${live.batch.id}-${step.id}`);
  if (step.kind !== 'pick' && step.kind !== 'wash') return null;
  const lines = live.program.lines.filter((l) => step.lines.includes(l.id));
  const itemIds = [...new Set(lines.map((l) => l.itemId))];
  const amountOf = (itemId: string) =>
    lineAmount(
      itemId,
      lines.filter((l) => l.itemId === itemId).reduce((sum, l) => sum + l.massG, 0),
      live.kitchen,
      live.tables,
    );
  return (
    <Box data-testid="washing">
      <TickList
        things={itemIds.map((id) => ({
          code: id,
          text: say('washing.thing', { item: sayItem(id), ...amountOf(id) }),
        }))}
        ticks={ticks}
      />
      {step.kind === 'wash' && <Bowls live={live} step={step} />}
      {step.kind === 'wash' && <BathsAndRinses live={live} step={step} />}
    </Box>
  );
}

/** Where the bowl is too small for all of it: bowl by bowl, each ticked off. */
function Bowls({ live, step }: { live: LiveBatch; step: Step }) {
  const ticks = useTicks(`big-ladle-bowls-${live.batch.id}-${step.id}`);
  const bowls = bowlsOf(step, live.program, live.kitchen, live.tables);
  if (bowls < 2) return null;
  const lines = live.program.lines.filter((l) => step.lines.includes(l.id));
  const each = lines
    .map((l) =>
      say('washing.ofEach', {
        item: sayItem(l.itemId).toLowerCase(),
        amount: lineAmount(l.itemId, l.massG / bowls, live.kitchen, live.tables).hand,
      }),
    )
    .join(', ');
  return (
    <Box data-testid="bowls" sx={{ my: 1 }}>
      <Box>{say('washing.bowls', { bowls: num(bowls), each })}</Box>
      <TickList
        things={Array.from({ length: bowls }, (_, i) => ({
          code: `bowl-${i + 1}`,
          text: say('washing.bowl', { number: i + 1 }),
        }))}
        ticks={ticks}
      />
    </Box>
  );
}

function BathsAndRinses({ live, step }: { live: LiveBatch; step: Extract<Step, { kind: 'wash' }> }) {
  const routines = washRoutines(live.program, step, live.tables);
  const cues = live.now.log.cues.filter((c) => c.stepId === step.id).map((c) => c.cue);
  const baths = routines.flatMap(({ row, itemIds }) => (row.bath ? [{ ...row.bath, itemIds }] : []));
  const whats = [...new Set(baths.map((b) => b.what))];
  const bathed = whats.filter((what) => cues.includes(bathCue(what)));
  const count = cues.filter((cue) => cue === 'rinse').length;
  const asked = rinsesAsked(step, routines, bathed);
  return (
    <>
      {whats.map((what) => {
        const its = baths.filter((b) => b.what === what);
        return (
          <BathRow
            key={what}
            live={live}
            stepId={step.id}
            what={what}
            minutes={Math.max(...its.map((b) => b.minutes))}
            needed={its.some((b) => b.needed)}
            names={its.flatMap((b) => b.itemIds.map((id) => sayItem(id).toLowerCase()))}
            begun={bathed.includes(what)}
          />
        );
      })}
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Box data-testid="rinses" sx={{ ...heading, fontSize: '3.5rem' }} aria-live="polite">
          {num(count)}
          <Box component="span" sx={{ fontSize: '0.35em', color: role('inkMuted'), ml: 1 }}>
            {say('wash.ofRinses', { asked })}
          </Box>
        </Box>
        <Button
          variant="outlined"
          color="inherit"
          sx={{ minHeight: 72, ml: 'auto', fontSize: '1.1rem' }}
          onClick={() => void live.record([{ kind: 'cueSeen', body: { stepId: step.id, cue: 'rinse' } }])}
        >
          {say('wash.rinsedOnce')}
        </Button>
      </Box>
    </>
  );
}

/** One tap puts everything in, starts the clock and one for turning it over half-way. */
function BathRow(props: {
  live: LiveBatch;
  stepId: string;
  what: Bath;
  minutes: number;
  needed: boolean;
  names: readonly string[];
  begun: boolean;
}) {
  const { live, stepId, what, minutes, needed, names, begun } = props;
  const clock = (code: MessageKey, after: number) => ({
    kind: 'clockStarted' as const,
    body: { clockId: uuid(), code, minutes: after },
  });
  return (
    <Box sx={{ display: 'grid', gap: 0.5, justifyItems: 'start', mb: 1 }}>
      <span>{say(needed ? `bath.${what}.needed` : `bath.${what}`, { names: names.join(', ') })}</span>
      {begun ? (
        <span>{say('bath.begun')}</span>
      ) : (
        <Button
          variant="outlined"
          color="inherit"
          sx={thumb}
          onClick={() =>
            void live.record([
              { kind: 'cueSeen', body: { stepId, cue: bathCue(what) } },
              clock('bath.turn', minutes / 2),
              clock('bath.out', minutes),
            ])
          }
        >
          {say('bath.begin', { minutes: num(minutes) })}
        </Button>
      )}
    </Box>
  );
}
