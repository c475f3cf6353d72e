import type { Batch } from '@big-ladle/core/contract';
import { idleJobs, type JobOfWait, placeJobs } from '@big-ladle/core/plan';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { v7 as uuid } from 'uuid';
import { role, thumb } from '../../theme/theme.ts';
import { sayClock } from '../../words/saidWords.ts';
import { duration, moment, say } from '../../words/say.ts';
import { record } from '../outbox.ts';
import { Panel } from '../ui.tsx';
import { type BatchState, momentFor, streamOf } from './state.ts';

/** Fewer minutes than this are no time to begin something else. */
const WORTH_MS = 8 * MINUTE_MS;

type Job = JobOfWait & { text: string; potName: string; batch: Batch };

const wordsOf = (job: { code: string; itemIds: readonly string[] }): string =>
  sayClock({ label: null, code: `job.${job.code}`, itemIds: job.itemIds });

/** What the hands can do while pots look after themselves: all pots, one pair of hands. */
export function jobsOf(on: readonly BatchState[], nowMs: number): Job[] {
  const waits = on.flatMap(({ batch, now, step, tables }) => {
    if (!step || !now.clock || step.attention === 'handsOn') return [];
    if (now.clock.endMs - nowMs < WORTH_MS) return [];
    const running = new Set(now.log.clocks.map((c) => sayClock(c.said)));
    const jobs = idleJobs(now.log.program, step.id, tables).filter((j) => !running.has(wordsOf(j)));
    return [{ id: batch.id, endMs: now.clock.endMs, jobs }];
  });
  // Hands that stir, strain and bottle at one pot are not free for another.
  const busy = on.flatMap(({ now, step }) => {
    const startedMs = now.log.startedMs ?? nowMs;
    return now.log.program.steps.flatMap((s) => {
      const entry = now.forecast.trace.find((t) => t.stepId === s.id);
      return s.attention === 'handsOn' && entry && now.log.steps[s.id]?.status !== 'done' && s.id !== step?.id
        ? [{ fromMs: startedMs + entry.startMin * MINUTE_MS, toMs: startedMs + entry.endMin * MINUTE_MS }]
        : [];
    });
  });
  return placeJobs(waits, nowMs, busy).map((job) => {
    const { batch, pot } = on.find((o) => o.batch.id === job.waitId)!;
    return { ...job, text: wordsOf(job), potName: pot.name, batch };
  });
}

/** Side jobs in the order in which to do them, each begun with a tap. */
export function SideJobs(props: {
  on: readonly BatchState[];
  nowMs: number;
  zone: string;
  /** In a panel of its own, where panels stand. */
  framed?: boolean;
}) {
  const { on, nowMs, zone } = props;
  const jobs = jobsOf(on, nowMs);
  if (jobs.length === 0) return null;
  const named = on.length > 1;
  const list = (
    <Box data-testid="while-it-waits" sx={{ display: 'grid', gap: 1 }}>
      {jobs.map((job) => (
        <Box
          key={`${job.waitId}${job.code}`}
          data-testid="side-job"
          sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
        >
          <Box sx={{ flex: '1 1 180px' }}>
            {job.text}
            {named && <>{say('sideJobs.forThe', { potName: job.potName })}</>}
            <Box sx={{ color: role(job.late ? 'caution' : 'inkMuted') }}>
              {say('sideJobs.fromNotDoneBefore', {
                minutes: duration(job.minutes),
                begin: job.beginMs <= nowMs ? say('common.now') : moment(job.beginMs, nowMs, zone),
                isLate: Boolean(job.late),
              })}
            </Box>
          </Box>
          <Button
            variant="outlined"
            color="inherit"
            sx={thumb}
            aria-label={say('sideJobs.beginItForThe', {
              text: job.text,
              potName: job.potName,
              isNamed: Boolean(named),
            })}
            onClick={() =>
              void record(
                streamOf(job.batch),
                [
                  {
                    kind: 'clockStarted',
                    body: {
                      clockId: uuid(),
                      code: `job.${job.code}`,
                      itemIds: [...job.itemIds],
                      minutes: job.minutes,
                    },
                  },
                ],
                {},
                momentFor(job.batch),
              )
            }
          >
            {say('sideJobs.beginIt')}
          </Button>
        </Box>
      ))}
    </Box>
  );
  if (props.framed) return <Panel title={say('sideJobs.meanwhile')}>{list}</Panel>;
  return (
    <details data-testid="meanwhile">
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: 48, py: 1 }}>
        {say('sideJobs.meanwhileCount', { count: jobs.length })}
      </Box>
      {list}
    </details>
  );
}
