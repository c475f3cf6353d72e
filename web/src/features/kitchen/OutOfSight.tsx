import { Link } from 'react-router';
import { useBatchesAway } from '../../shared/batchQueries.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { sayDrink } from '../../words/names.ts';
import { dayOf, say } from '../../words/say.ts';

/** Batches that cannot be read and were put out of sight; nothing where there are none. */
export function OutOfSight({ zone }: { zone: string }) {
  const batches = useBatchesAway().data?.batches ?? [];
  if (batches.length === 0) return null;
  return (
    <Panel title={say('unreadable.outOfSight')} testId="out-of-sight">
      {batches.map(({ batch }) => (
        <Row key={batch.id} label={<Link to={`/batches/${batch.id}`}>{sayDrink(batch.plan.recipeId)}</Link>}>
          {dayOf(batch.createdMs, zone)}
        </Row>
      ))}
    </Panel>
  );
}
