import '../../words/places/batch.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { endOfDay, keepDate, notBefore, plannedLife } from '@big-ladle/core/keeping';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { Caution } from '../../shared/ui.tsx';
import { moment, say, sayDate } from '../../words/say.ts';
import type { LiveBatch } from './useLiveBatch.ts';

/** A plan that would be past its date on the day it is for, if it were begun now. */
export function TooEarlyToBegin(props: {
  readyAtMs: number | null;
  startMs: number;
  deadlineMs: number | undefined;
  nowMs: number;
  kitchen: Kitchen;
}) {
  const { readyAtMs, startMs, deadlineMs, nowMs, kitchen } = props;
  if (readyAtMs === null || deadlineMs === undefined) return null;
  const firstMs = notBefore(readyAtMs, { startMs, deadlineMs }, kitchen.zone);
  if (firstMs <= nowMs) return null;
  return <Early text={say('early.plan', { at: moment(firstMs, nowMs, kitchen.zone) })} />;
}

/** A batch that is on, whose bottles will be past their date on the day it was planned for. */
export function TooEarly({ live }: { live: LiveBatch }) {
  const { batch, program, now, kitchen, nowMs } = live;
  const { readyAtMs } = batch.plan;
  const startMs = now.log.startedMs;
  // What is bottled has its own date; until then it moves only with what is entered, not by the second.
  // biome-ignore lint/correctness/useExhaustiveDependencies: worked out when the forecast changes
  const life = useMemo(
    () =>
      readyAtMs === null || startMs === null
        ? null
        : plannedLife(program, now.forecast, kitchen, { startMs, nowMs }),
    [readyAtMs, startMs, program, now.forecast, kitchen],
  );
  if (readyAtMs === null || !life || life.deadlineMs >= endOfDay(readyAtMs, kitchen.zone)) return null;
  return (
    <Early
      text={say('early.batch', {
        day: moment(readyAtMs, nowMs, kitchen.zone),
        date: sayDate(keepDate(life, kitchen.zone), kitchen.zone),
      })}
    />
  );
}

const Early = ({ text }: { text: string }) => (
  <Box data-testid="too-early" sx={{ mb: 1.5 }}>
    <Caution severity="caution" word={say('severity.caution')} text={text} />
  </Box>
);
