import '../../words/places/logbook.ts';
import type { BatchListEntry } from '@big-ladle/core/contract';
import { memo } from 'react';
import { Link } from 'react-router';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { litres } from '../../words/quantities.ts';
import { duration, fullDay, say } from '../../words/say.ts';

const MINUTE = 60_000;

/** How the rows of a list look: said once for all of them, for there may be hundreds. */
export const MADE_ROWS = {
  listStyle: 'none',
  m: 0,
  p: 0,
  '& > li': {
    display: 'grid',
    gridTemplateColumns: {
      xs: '44px minmax(0,1fr) auto',
      md: '44px minmax(0,2fr) auto auto minmax(0,2fr)',
    },
    columnGap: 2,
    alignItems: 'center',
    borderBottom: `1px solid ${role('hairline')}`,
    minHeight: 56,
  },
  '& label': { display: 'grid', placeItems: 'center', width: 44, height: 44, cursor: 'pointer' },
  '& input': { width: 20, height: 20, m: 0, accentColor: role('rim') },
  '& .muted': { color: role('inkMuted') },
  '& .small': { fontSize: '0.9rem' },
  '& .litres': { ...heading, textAlign: 'right', whiteSpace: 'nowrap' },
  '& .hours': { display: { xs: 'none', md: 'block' } },
  '& .verdict': { gridColumn: { xs: '2 / -1', md: 'auto' } },
} as const;

/** A batch that was made, in one line. */
export const MadeRow = memo(function MadeRow(props: {
  entry: BatchListEntry;
  zone: string;
  chosen: boolean;
  onToggle: (batchId: string) => void;
}) {
  const { entry, zone, chosen, onToggle } = props;
  const { batch, now } = entry;
  const drink = sayDrink(batch.plan.recipeId);
  const day = now?.startedMs == null ? '' : fullDay(now.startedMs, zone);
  const minutes =
    now?.startedMs != null && now.endedMs != null ? (now.endedMs - now.startedMs) / MINUTE : null;
  const verdict = [now?.score !== undefined && say('common.of', { score: num(now.score) }), now?.words];
  return (
    <li data-testid="made">
      <label>
        <input
          type="checkbox"
          checked={chosen}
          onChange={() => onToggle(batch.id)}
          aria-label={say('logbook.take', { drink, day })}
        />
      </label>
      <div>
        <Link to={`/batches/${batch.id}`}>{drink}</Link>
        <div className="muted small">{day}</div>
      </div>
      <div className="litres">{now?.stopped ? say('logbook.stopped') : now ? litres(now.litres) : ''}</div>
      <div className="muted hours">{minutes === null ? '' : duration(minutes)}</div>
      <div className="muted small verdict">{verdict.filter(Boolean).join('; ')}</div>
    </li>
  );
});
