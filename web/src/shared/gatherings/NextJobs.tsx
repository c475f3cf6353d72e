import '../../words/places/feast.ts';
import type { GatheringDoc } from '@big-ladle/core/documents';
import { COOK, type FeastJob, nextJobs, type Sized } from '@big-ladle/core/gathering';
import { MINUTE_MS } from '@big-ladle/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { heading, role } from '../../theme/theme.ts';
import { moment, say } from '../../words/say.ts';
import { useCalls } from '../signals.ts';
import { useTick } from '../time.ts';
import { jobLine, sayFeastDrink, sayPerson } from './sayJob.ts';
import type { FeastState } from './useFeast.ts';

/** So many jobs of each who works are told. */
const MOST = 3;
/** A job is said aloud when its time comes, and no longer after it. */
const SAID_MS = 2 * MINUTE_MS;

interface Told {
  gathering: GatheringDoc;
  sized: Sized;
  nowMs: number;
  zone: string;
}

/** What is next for each who works on a gathering. */
export function NextJobs(
  props: Told & {
    times: NonNullable<FeastState['times']>;
    /** Only hers; null: everybody's. */
    who: string | null;
    /** What stands under a job: a tap, what to fetch. */
    under?: (job: FeastJob) => ReactNode;
  },
) {
  const { gathering, sized, times, nowMs, zone, who, under } = props;
  const people = [
    { id: COOK, fromMs: 0, toMs: Number.POSITIVE_INFINITY },
    ...gathering.helpers.map(({ id, fromMs, toMs }) => ({ id, fromMs, toMs })),
  ]
    .filter((p) => (who === null || p.id === who) && p.toMs > nowMs)
    .map((p) => ({ ...p, jobs: nextJobs(times, nowMs, p.id, MOST) }));
  return (
    <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fit, minmax(240px, 1fr))' }}>
      <SaidJobs {...{ gathering, sized, nowMs, zone }} jobs={people.map((p) => p.jobs)} />
      {people.map((p) => (
        <Box key={p.id} data-testid={`next-of-${p.id}`}>
          {(who === null || p.id !== COOK) && (
            <Box sx={{ ...heading, fontSize: '1.05rem' }}>
              {p.id === COOK ? say('nextJobs.you') : sayPerson(p.id, gathering)}
              {p.fromMs > nowMs && (
                <Box
                  component="span"
                  sx={{ ml: 1, color: role('inkMuted'), fontWeight: 400, fontSize: '0.9rem' }}
                >
                  {say('nextJobs.from', { from: moment(p.fromMs, nowMs, zone) })}
                </Box>
              )}
            </Box>
          )}
          {p.jobs.length === 0 && <Box sx={{ color: role('inkMuted') }}>{say('nextJobs.nothing')}</Box>}
          {p.jobs.map((job) => (
            <Box
              key={`${job.drinkId} ${job.jobId}`}
              data-testid="next-job"
              sx={{
                display: 'grid',
                gridTemplateColumns: '92px 1fr',
                columnGap: 1.5,
                py: 0.75,
                borderBottom: `1px solid ${role('hairline')}`,
              }}
            >
              <Box sx={heading}>
                {job.startMs <= nowMs ? say('nextJobs.now') : moment(job.startMs, nowMs, zone)}
              </Box>
              <Box>
                {job.together.length < 2 && batchOf(gathering, job.drinkId) ? (
                  <Link to={`/batches/${batchOf(gathering, job.drinkId)}/stove`}>{jobLine(job, sized)}</Link>
                ) : (
                  jobLine(job, sized)
                )}
                {under?.(job)}
              </Box>
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}

const batchOf = (gathering: GatheringDoc, drinkId: string): string | null => {
  const source = gathering.drinks.find((d) => d.id === drinkId)?.source;
  return source?.kind === 'batch' ? source.batchId : null;
};

/** Says a job of each when its time comes, and what comes after it; where speech is on. */
function SaidJobs({
  gathering,
  sized,
  jobs,
  zone,
}: Told & {
  jobs: readonly (readonly FeastJob[])[];
}) {
  const tickMs = useTick();
  const due = jobs.flatMap((mine) =>
    mine
      .filter((job) => job.startMs <= tickMs && tickMs < job.startMs + SAID_MS)
      .map((job) => {
        const next = mine[mine.indexOf(job) + 1];
        const key = `${job.drinkId} ${job.jobId} ${job.startMs}`;
        const who = job.by === null || job.by === COOK ? say('nextJobs.you') : sayPerson(job.by, gathering);
        return {
          key,
          clock: key,
          atMs: job.startMs,
          urgency: 'due' as const,
          text: [
            say('nextJobs.said', { who, what: jobLine(job, sized) }),
            next &&
              say('nextJobs.saidNext', {
                at: moment(next.startMs, tickMs, zone),
                what: jobLine(next, sized),
              }),
          ]
            .filter(Boolean)
            .join(' '),
        };
      }),
  );
  useCalls(due, '');
  return null;
}

/** What is later or sooner than the cook has seen, and whether it still works out. */
export function MovedJobs({
  feast,
  nowMs,
  zone,
}: {
  feast: Pick<FeastState, 'moved' | 'agree' | 'times' | 'sized' | 'progress'>;
  nowMs: number;
  zone: string;
}) {
  const { moved, times, sized, progress } = feast;
  if (!times || !sized || progress !== null) return null;
  const lost = times.missing.map((id) => sayFeastDrink(sized.drinks.find((d) => d.id === id)));
  if (lost.length > 0)
    return (
      <Alert severity="error" data-testid="feast-falls" sx={{ mb: 1.5 }}>
        {say('nextJobs.stands.not', { drinks: lost.join(', ') })}
      </Alert>
    );
  if (moved.length === 0) return null;
  return (
    <Alert
      severity="warning"
      data-testid="moved"
      sx={{ mb: 1.5 }}
      action={
        <Button size="small" color="inherit" onClick={feast.agree}>
          {say('nextJobs.agree')}
        </Button>
      }
    >
      <Box>{say('nextJobs.movedTitle')}</Box>
      {moved.map(({ job, fromMs }) => (
        <Box key={`${job.drinkId} ${job.jobId}`}>
          {say('nextJobs.moved', {
            what: jobLine(job, sized),
            at: moment(job.startMs, nowMs, zone),
            was: moment(fromMs, nowMs, zone),
          })}
        </Box>
      ))}
      <Box sx={{ fontWeight: 700 }}>{say('nextJobs.stands')}</Box>
    </Alert>
  );
}
