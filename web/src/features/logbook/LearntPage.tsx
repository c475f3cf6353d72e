import '../../words/places/logbook.ts';
import '../../words/places/items.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { type Belief, type LearntId, madeBatchOf } from '@big-ladle/core/log';
import { readFactorId } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { useBatchesAsTold } from '../../shared/batch/state.ts';
import { useMade } from '../../shared/batchQueries.ts';
import { useBook } from '../../shared/book.ts';
import { Fold } from '../../shared/Fold.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { sayItem } from '../../words/names.ts';
import { percent, say, sayCode } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';

const DAY_MS = 24 * 60 * 60_000;
/** A belief that is known to less than this share of what was open before is told first. */
const KNOWN = 0.75;
/** Nearer to the book than this it is as in the book. */
const AS_BOOK = 0.02;

/** What it is about, in words. */
function sayWhat(id: LearntId, kitchen: Kitchen): string {
  if (id === 'jug') return say('learn.jug');
  const { kind, of } = readFactorId(id);
  const named = (): string => {
    switch (kind) {
      case 'boilOff':
        return kitchen.pots.find((p) => p.id === of)?.name ?? of ?? '';
      case 'boilRing':
      case 'power':
        return kitchen.burners.find((b) => b.id === of)?.name ?? of ?? '';
      case 'boilLevel':
      case 'heatLoss':
      case 'press':
        return sayCode(`learn.${kind}.${of}`);
      case 'minutes':
        return sayCode(`step.${of}`);
      default:
        return of === null ? '' : sayItem(of).toLowerCase();
    }
  };
  return sayCode(`learn.${kind}`, { of: named() });
}

/** By how much it is otherwise than the book has it. */
function sayBy({ id, mean }: Belief): string {
  const by = Math.exp(mean) - 1;
  if (Math.abs(by) < AS_BOOK) return say('learn.asBook');
  const figure = percent(Math.abs(by));
  const isTime = id !== 'jug' && readFactorId(id).kind === 'minutes';
  if (isTime) return by > 0 ? say('learn.longer', { figure }) : say('learn.shorter', { figure });
  return by > 0 ? say('learn.more', { figure }) : say('learn.less', { figure });
}

/** What the batches that were made have told of this kitchen: how it differs from the book, how surely, and what is open. */
export function LearntPage() {
  const kitchen = useKitchen().data?.kitchen;
  const { own, custom } = useBook();
  const { batches, isPending } = useMade(null);
  const ids = batches.map((b) => b.batch.id).join(' ');
  const { states, isPending: reading } = useBatchesAsTold(
    useMemo(() => ids.split(' ').filter(Boolean), [ids]),
  );
  // Drift is slow: a day more or less is the same.
  const dayMs = useCoarseNow(DAY_MS);
  const key = states.map((s) => `${s.batch.id} ${s.events.length}`).join(' ');
  // biome-ignore lint/correctness/useExhaustiveDependencies: of what was made only its log counts
  const job = useMemo(() => {
    if (!kitchen || isPending || reading) return null;
    const made = states.flatMap(({ batch, now, kitchen: pinned, tables }) => {
      const one = madeBatchOf(batch.id, now.log);
      return one ? [{ made: one, kitchen: pinned, tables }] : [];
    });
    return { kind: 'learn' as const, kitchen, batches: made, nowMs: dayMs };
  }, [kitchen, key, isPending, reading, dayMs]);
  const { result, progress } = useJob(job, own, custom, { tells: true });
  if (!kitchen || isPending || reading) return <Loading />;
  const learnt = result?.learnt;
  const count = job?.batches.length ?? 0;
  const row = (b: Belief) => (
    <Row
      key={b.id}
      label={sayWhat(b.id, kitchen)}
      note={say('learn.sure', { spread: percent(b.spread), count: b.batchIds.length })}
      testId={`learnt-${b.id}`}
    >
      {sayBy(b)}
    </Row>
  );
  const known = learnt?.beliefs.filter((b) => b.spread < KNOWN * b.prior) ?? [];
  const open = learnt?.beliefs.filter((b) => b.spread >= KNOWN * b.prior) ?? [];
  const steam = (id: LearntId) => id !== 'jug' && readFactorId(id).kind === 'boilOff';
  return (
    <>
      <PageHead title={say('learn.title')} beside={say('learn.beside', { count })} />
      {!learnt ? (
        <Panel>{say('learn.working', { percent: percent(progress ?? 0) })}</Panel>
      ) : learnt.beliefs.length === 0 ? (
        <Panel>{say('learn.none')}</Panel>
      ) : (
        <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
          <Panel title={say('learn.known')} testId="learnt">
            {known.map(row)}
            {learnt.letGo > 0 && <p>{say('learn.letGo', { count: learnt.letGo })}</p>}
          </Panel>
          {learnt.notApart.length > 0 && (
            <Panel title={say('learn.apart')} testId="not-apart">
              {learnt.notApart.map(({ ids: [a, b] }) => (
                <Row key={`${a} ${b}`} label={sayWhat(a, kitchen)}>
                  {sayWhat(b, kitchen)}
                </Row>
              ))}
              {learnt.notApart.some(({ ids: pair }) => pair.some(steam)) && <p>{say('learn.tell')}</p>}
            </Panel>
          )}
          <Panel>
            <Fold summary={say('learn.open')}>{open.map(row)}</Fold>
          </Panel>
        </Box>
      )}
    </>
  );
}
