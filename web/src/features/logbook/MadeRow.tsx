import '../../words/places/logbook.ts';
import { costPerL, type LogbookRow, type WhereItWent } from '@big-ladle/core/learn';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';
import { memo } from 'react';
import { Link } from 'react-router';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { litres } from '../../words/quantities.ts';
import { duration, fullDay, say } from '../../words/say.ts';

/** How the rows of a list look: said once for all of them, for there may be hundreds. */
export const MADE_ROWS = {
  listStyle: 'none',
  m: 0,
  p: 0,
  '& > li': {
    display: 'grid',
    gridTemplateColumns: {
      xs: '44px minmax(0,1fr)',
      md: '44px minmax(0,1.5fr) minmax(0,1.4fr) minmax(0,0.9fr) minmax(0,1.5fr) minmax(0,1.3fr)',
    },
    columnGap: 2,
    rowGap: 0.5,
    alignItems: 'center',
    borderBottom: `1px solid ${role('hairline')}`,
    minHeight: 56,
    py: 0.75,
  },
  '& > li.head': {
    display: { xs: 'none', md: 'grid' },
    minHeight: 0,
    color: role('inkMuted'),
    fontSize: '0.9rem',
  },
  '& label': { display: 'grid', placeItems: 'center', width: 44, height: 44, cursor: 'pointer' },
  '& input': { width: 20, height: 20, m: 0, accentColor: role('rim') },
  '& .muted': { color: role('inkMuted') },
  '& .small': { fontSize: '0.9rem' },
  '& .litres': { ...heading, whiteSpace: 'nowrap' },
  '& > li > div:not(:nth-of-type(1))': { gridColumn: { xs: '2 / -1', md: 'auto' } },
  // On a phone what is not said takes no line.
  '& > li > div:empty': { display: { xs: 'none', md: 'block' } },
  '& .scale': { position: 'relative', height: 10, my: 0.5, maxWidth: 220 },
  '& .scale > *': { position: 'absolute', top: 0, bottom: 0, left: 0 },
  '& .scale .planned': { border: `1.5px solid ${role('rim')}`, boxSizing: 'border-box', borderRadius: '3px' },
  '& .scale .made': { bgcolor: role('rim'), borderRadius: '3px' },
  '& .scale .wish': { width: 0, top: -3, bottom: -3, borderLeft: `2px dashed ${role('ink')}` },
  '& .parts': { display: 'flex', height: 10, my: 0.5, maxWidth: 220, gap: '2px' },
  '& .parts > *': { minWidth: 2, borderRadius: '2px' },
  '& .drunk': { bgcolor: role('ready') },
  '& .given': { bgcolor: role('caution') },
  '& .frozen': { bgcolor: role('cold') },
  '& .there': { border: `1.5px solid ${role('cold')}`, boxSizing: 'border-box' },
  '& .thrownOut': {
    background: `repeating-linear-gradient(45deg, ${role('danger')} 0 3px, transparent 3px 6px)`,
  },
} as const;

/** Less than this is nothing that would be said, L. */
const SAID_L = 0.05;

const PARTS = [
  { part: 'drunk', of: (w: WhereItWent) => w.drunkL },
  { part: 'given', of: (w: WhereItWent) => w.givenL },
  { part: 'frozen', of: (w: WhereItWent) => w.frozenL },
  { part: 'there', of: (w: WhereItWent) => w.thereL },
  { part: 'thrownOut', of: (w: WhereItWent) => w.thrownOutL },
] as const;

/** Wished, expected and made, on one scale for all rows. */
function Litres({ row, mostL }: { row: LogbookRow; mostL: number }) {
  const { wishedL, expectedL, madeL } = row;
  const wide = (volumeL: number) => `${(100 * volumeL) / mostL}%`;
  return (
    <div>
      <div className="litres">{madeL === null ? say('logbook.stopped') : litres(madeL)}</div>
      <div className="scale" aria-hidden>
        {expectedL !== null && <div className="planned" style={{ width: wide(expectedL) }} />}
        {madeL !== null && <div className="made" style={{ width: wide(madeL) }} />}
        {wishedL !== null && <div className="wish" style={{ left: wide(wishedL) }} />}
      </div>
      <div className="muted small">
        {[
          wishedL !== null && say('logbook.wished', { litres: litres(wishedL) }),
          expectedL !== null && say('logbook.expected', { litres: litres(expectedL) }),
        ]
          .filter(Boolean)
          .join(', ')}
      </div>
    </div>
  );
}

/** Where it went, drawn and said, and how long it lasted. */
function Went({ row: { went, lastedDays } }: { row: LogbookRow }) {
  if (!went) return <div className="muted small">{say('logbook.noBottles')}</div>;
  const parts = PARTS.map(({ part, of }) => ({ part, volumeL: of(went) })).filter(
    ({ volumeL }) => volumeL >= SAID_L,
  );
  return (
    <div>
      <div className="parts" aria-hidden>
        {parts.map(({ part, volumeL }) => (
          <div key={part} className={part} style={{ flexGrow: volumeL }} />
        ))}
      </div>
      <div className="muted small">
        {[
          ...parts.map(({ part, volumeL }) => say(`logbook.${part}`, { litres: litres(volumeL) })),
          lastedDays !== null && say('logbook.lasted', { time: duration((lastedDays * DAY_MS) / MINUTE_MS) }),
        ]
          .filter(Boolean)
          .join(', ')}
      </div>
    </div>
  );
}

/** A batch that was made, in one line. */
export const MadeRow = memo(function MadeRow(props: {
  row: LogbookRow;
  zone: string;
  /** The most that any row shows, L. */
  mostL: number;
  chosen: boolean;
  onToggle: (batchId: string) => void;
}) {
  const { row, zone, mostL, chosen, onToggle } = props;
  const drink = sayDrink(row.recipeId);
  const day = fullDay(row.startedMs, zone);
  const eachL = costPerL(row);
  const was = [
    row.score !== null && say('common.of', { score: num(row.score) }),
    row.words,
    eachL !== null && eachL >= 0.005 && say('logbook.cost', { money: num(eachL, 2) }),
  ].filter(Boolean);
  return (
    <li data-testid="made">
      <label>
        <input
          type="checkbox"
          checked={chosen}
          onChange={() => onToggle(row.batchId)}
          aria-label={say('logbook.take', { drink, day })}
        />
      </label>
      <div>
        <Link to={`/batches/${row.batchId}`}>{drink}</Link>
        <div className="muted small">{day}</div>
      </div>
      <Litres row={row} mostL={mostL} />
      <div className="muted small">
        <div>{duration(row.minutes)}</div>
        {row.sweetPct !== null && <div>{say('logbook.sweet', { figure: num(row.sweetPct, 1) })}</div>}
      </div>
      <Went row={row} />
      <div className="muted small">{was.join('; ')}</div>
    </li>
  );
});
