import '../../../words/places/batch.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { type Job, spansOf } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import type { MarkerId } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useMemo, useState } from 'react';
import { useInView } from 'react-intersection-observer';
import { Link } from 'react-router';
import { useBook } from '../../../shared/book.ts';
import { Explain } from '../../../shared/Explain.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { litresTo } from '../../../words/quantities.ts';
import { sayRich } from '../../../words/rich.ts';
import { duration, say } from '../../../words/say.ts';
import { useJob } from '../../../workers/useJob.ts';

/** Enough runs for spans that stand still to a tenth of a litre. */
const RUNS = 5000;
/** The same plan shows the same span. */
const SEED = 7;
/** Worked out a little before it comes into sight; a plan whose ledger nobody looks at is not worth five thousand runs. */
const AHEAD = '300px';
/** Nor is one that is still being dragged. */
const SETTLE_MS = 500;

/** Where it is likely to end: eight times in ten, with every constant of the model as unsure as it is. Worked out beside the screen. */
export function Likely({ program, kitchen }: { program: Program; kitchen: Kitchen }) {
  const { own, custom } = useBook();
  const [job, setJob] = useState<Extract<Job, { kind: 'ranges' }> | null>(null);
  const { ref, inView } = useInView({ rootMargin: AHEAD });
  useEffect(() => {
    if (!inView) return;
    const later = setTimeout(
      () => setJob({ kind: 'ranges', program, kitchen, runs: RUNS, from: 0, seed: SEED }),
      SETTLE_MS,
    );
    return () => clearTimeout(later);
  }, [program, kitchen, inView]);
  const { result, current, progress, stop, failed } = useJob(job, own, custom, { tells: true });
  const ranges = useMemo(() => (result ? spansOf(result.samples) : null), [result]);
  const ready = current && job?.program === program;
  const strengths = ranges
    ? (Object.entries(ranges.gPerL) as [MarkerId, { low: number; high: number; mid: number }][])
        .filter(([id, s]) => id !== 'red' && s.mid > 0.5)
        .sort((a, b) => b[1].mid - a[1].mid)
        .slice(0, 3)
    : [];
  const [low, high] = litresTo(ranges?.litres.low ?? 0, ranges?.litres.high ?? 0);
  return (
    <Box ref={ref} sx={{ mt: 1.5, minHeight: 46 }} data-testid="likely" data-ready={ready}>
      {ranges && (
        <Box sx={{ color: ready ? undefined : role('inkMuted') }}>
          {sayRich('likely.likelyReadyIn', {
            litres: <strong>{say('likely.to', { low, high })}</strong>,
            time: (
              <strong>
                {say('likely.to', { low: duration(ranges.minutes.low), high: duration(ranges.minutes.high) })}
              </strong>
            ),
          })}
          {strengths.map(([id, s]) => (
            <span key={id}>
              {sayRich('likely.toGL', {
                what: <Explain term="strength">{say(`marker.${id}`)}</Explain>,
                low: num(s.low, s.high < 10 ? 1 : 0),
                high: num(s.high, s.high < 10 ? 1 : 0),
              })}
            </span>
          ))}
          <Box component="span" sx={{ color: role('inkMuted') }}>
            <Explain term="likely">{say('likely.eightTimesInTen')}</Explain>
          </Box>
          {kitchen.learnt && (
            <>
              {' '}
              <Link to="/logbook/learnt">{say('likely.byOwnBatches')}</Link>
            </>
          )}
        </Box>
      )}
      {failed && <Box sx={{ color: role('inkMuted') }}>{say('likely.howSureThisIs')}</Box>}
      {progress !== null && (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
          <LinearProgress
            variant="determinate"
            value={progress * 100}
            sx={{ flex: 1 }}
            aria-label={say('likely.workingOutHowSure')}
          />
          <Button size="small" onClick={stop}>
            {say('common.stop')}
          </Button>
        </Box>
      )}
    </Box>
  );
}
