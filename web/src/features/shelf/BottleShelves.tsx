import '../../words/places/shelf.ts';
import Box from '@mui/material/Box';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { BottleDrawing } from '../../shared/drawings/BottleDrawing.tsx';
import type { Living } from '../../shared/shelf.ts';
import { heading, role } from '../../theme/theme.ts';
import { sayDrinkOf } from '../../words/names.ts';
import { volume } from '../../words/quantities.ts';
import { days, moment, say } from '../../words/say.ts';
import { type Stack, stacked } from './equalBottles.ts';
import { deadlineWord, TONE } from './lifeDisplay.tsx';

/** Bottles under one heading; without a heading they are all that there is. */
export interface ShelfGroup {
  key: string;
  title: string | null;
  /** Beside the heading. */
  note?: string;
  living: readonly Living[];
}

/** A bottle with what stands under it is so wide and so high, px; a mark takes a line more. */
const CARD_W = 132;
const CARD_H = 316;
const MARK_H = 24;
const HEAD_H = 56;
/** Rows beyond the window that are kept ready. */
const OVERSCAN = 3;

const hasAlcohol = ({ item }: Living): boolean =>
  item.facts.tags.some((tag) => tag === 'alcohol' || tag === 'littleAlcohol');
const marksIn = (l: Living): number => Number(hasAlcohol(l)) + Number(l.life.own?.longer ?? false);

type Line =
  | { kind: 'head'; key: string; height: number; group: ShelfGroup }
  | { kind: 'bottles'; key: string; height: number; stacks: readonly Stack[] };

const STYLES = {
  '& .line': { position: 'absolute', top: 0, left: 0, width: '100%', contain: 'strict' },
  // The board runs on under an empty end of a row.
  '& .row': {
    display: 'grid',
    listStyle: 'none',
    margin: 0,
    padding: 0,
    background: `linear-gradient(${role('rimSoft')}, ${role('rimSoft')}) 0 178px / 100% 5px no-repeat`,
  },
  '& .row > li': { minWidth: 0 },
  '& .card': {
    all: 'unset',
    boxSizing: 'border-box',
    cursor: 'pointer',
    display: 'block',
    width: '100%',
    color: role('ink'),
  },
  '& .card:focus-visible': { outline: `3px solid ${role('rim')}`, outlineOffset: 2, borderRadius: '6px' },
  '& .stand': {
    height: 178,
    display: 'flex',
    alignItems: 'flex-end',
    paddingLeft: '12px',
    marginBottom: '5px',
  },
  '& .under': { padding: '8px 8px 14px 12px' },
  '& .bar': {
    height: 8,
    maxWidth: 84,
    borderRadius: '4px',
    overflow: 'hidden',
    marginBottom: '4px',
    background: role('hairline'),
    border: `1px solid ${role('line')}`,
    boxSizing: 'content-box',
  },
  '& .bar > i': { display: 'block', height: '100%' },
  // Where the system sets the colours, what is left still shows.
  '@media (forced-colors: active)': { '& .bar > i': { background: 'Highlight', forcedColorAdjust: 'none' } },
  '& .until': { ...heading, whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' },
  '& .name, & .more': {
    display: '-webkit-box',
    WebkitBoxOrient: 'vertical',
    WebkitLineClamp: 2,
    overflow: 'hidden',
  },
  '& .name': { fontSize: '0.9rem' },
  '& .mark': { fontSize: '0.9rem', fontWeight: 700, color: role('caution') },
  '& .more': { fontSize: '0.85rem', color: role('inkMuted') },
  ...Object.fromEntries(
    (['ready', 'caution', 'danger'] as const).flatMap((tone) => [
      [`& .${tone} .until`, { color: role(tone) }],
      [`& .${tone} .bar > i`, { background: role(tone) }],
    ]),
  ),
} as const;

/**
 * Bottles on shelves, drawn to scale. Only the rows near the window are there, so that five years of bottles scroll as
 * a handful does.
 */
export function BottleShelves(props: {
  groups: readonly ShelfGroup[];
  placeOf: (living: Living) => string | null;
  nowMs: number;
  zone: string;
}) {
  const { groups, placeOf, nowMs, zone } = props;
  const box = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  // One for all of them: a link of the router's own for each bottle costs a frame when a row comes in.
  const follow = (event: React.MouseEvent) => {
    const link = (event.target as Element).closest<HTMLAnchorElement>('a.card');
    if (!link || event.button !== 0 || event.metaKey || event.ctrlKey || event.shiftKey || event.altKey)
      return;
    event.preventDefault();
    void navigate(new URL(link.href).pathname);
  };
  // Nothing is drawn before it is measured, which is before it is seen: else every bottle would be drawn twice.
  const [columns, setColumns] = useState(0);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    const { current } = box;
    if (!current) return;
    const measure = () => {
      setColumns(Math.max(1, Math.floor(current.clientWidth / CARD_W)));
      setTop(current.getBoundingClientRect().top + window.scrollY);
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(current);
    return () => watch.disconnect();
  }, []);
  // How many stand side by side is known a moment later; which are alike does not hang on it.
  const stacks = useMemo(
    () => groups.map((group) => ({ group, stacks: stacked(group.living, zone, placeOf) })),
    [groups, zone, placeOf],
  );
  const lines = useMemo(
    () =>
      (columns === 0 ? [] : stacks).flatMap(({ group, stacks: own }): Line[] => [
        ...(group.title === null
          ? []
          : [{ kind: 'head' as const, key: `head:${group.key}`, height: HEAD_H, group }]),
        ...linesOf(group, own, columns),
      ]),
    [stacks, columns],
  );
  const rows = useWindowVirtualizer({
    count: lines.length,
    estimateSize: (i) => lines[i]!.height,
    overscan: OVERSCAN,
    scrollMargin: top,
    getItemKey: (i) => lines[i]!.key,
    // A row a frame late is ready all the same: there are some beyond the window.
    useFlushSync: false,
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: heights are asked for anew when the rows are others
  useEffect(() => rows.measure(), [lines]);
  return (
    <Box
      ref={box}
      onClick={follow}
      sx={{ position: 'relative', ...STYLES }}
      style={{ height: rows.getTotalSize() }}
    >
      {rows.getVirtualItems().map((row) => (
        <Row
          key={row.key}
          line={lines[row.index]!}
          at={row.start - rows.options.scrollMargin}
          columns={columns}
          placeOf={placeOf}
          nowMs={nowMs}
          zone={zone}
        />
      ))}
    </Box>
  );
}

/** The boards of a group, so many stacks on each. */
function linesOf(group: ShelfGroup, stacks: readonly Stack[], columns: number): Line[] {
  return Array.from({ length: Math.ceil(stacks.length / columns) }, (_, i): Line => {
    const row = stacks.slice(i * columns, (i + 1) * columns);
    return {
      kind: 'bottles',
      key: `${group.key}:${i}`,
      height: CARD_H + MARK_H * Math.max(...row.map(({ living }) => marksIn(living))),
      stacks: row,
    };
  });
}

/** A board of the shelf, or the heading above one. */
const Row = memo(function Row(props: {
  line: Line;
  /** From the top of the list, px. */
  at: number;
  columns: number;
  placeOf: (living: Living) => string | null;
  nowMs: number;
  zone: string;
}) {
  const { line, at, columns, placeOf, nowMs, zone } = props;
  return (
    <div className="line" style={{ height: line.height, transform: `translateY(${at}px)` }}>
      {line.kind === 'head' ? (
        <Head group={line.group} />
      ) : (
        <ul className="row" style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}>
          {line.stacks.map(({ living, count }) => (
            <Card
              key={living.item.facts.itemId}
              living={living}
              count={count}
              place={placeOf(living)}
              nowMs={nowMs}
              zone={zone}
            />
          ))}
        </ul>
      )}
    </div>
  );
});

function Head({ group }: { group: ShelfGroup }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap', pt: 1, pb: 0.5 }}>
      <Box component="h2" sx={{ ...heading, m: 0, fontSize: '1.1rem' }}>
        {group.title}
      </Box>
      {group.note && <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>{group.note}</Box>}
    </Box>
  );
}

const Card = memo(function Card(props: {
  living: Living;
  /** How many are like it. */
  count: number;
  place: string | null;
  nowMs: number;
  zone: string;
}) {
  const { living, count, place, nowMs, zone } = props;
  const { item, life, leftMl } = living;
  const { facts, log } = item;
  return (
    <li data-testid="bottle" data-count={count} className={TONE[life.verdict]}>
      <a className="card" href={`/shelf/${facts.itemId}`}>
        <div className="stand">
          <BottleDrawing
            sizeMl={facts.sizeMl}
            share={(leftMl / facts.sizeMl) * 0.98}
            colour={facts.colour}
            height={176}
          />
        </div>
        <div className="under">
          <div
            className="bar"
            role="img"
            aria-label={
              life.leftShare > 0
                ? say('bottleShelves.left', { leftDays: days(life.leftDays) })
                : say('bottleShelves.nothingLeft')
            }
          >
            <i style={{ width: `${Math.round(life.leftShare * 100)}%` }} />
          </div>
          <div className="until">{deadlineWord(life, zone)}</div>
          <div className="name">
            {count > 1 && (
              <strong className="count" title={say('bottleShelves.equalSaid', { count })}>
                {say('bottleShelves.equal', { count })}{' '}
              </strong>
            )}
            {sayDrinkOf(facts, facts.lot)}
          </div>
          {hasAlcohol(living) && <div className="mark">{say('mark.alcohol')}</div>}
          {life.own?.longer && <div className="mark">{say('bottleShelves.myOwnRule')}</div>}
          <div className="more">
            {[
              life.frozen
                ? say('bottleShelves.frozen')
                : log.openedMs !== null
                  ? say('bottleShelves.opened', { opened: moment(log.openedMs, nowMs, zone) })
                  : say('bottleShelves.sealed'),
              place,
              facts.forWhom ? say('bottleShelves.for', { forWhom: facts.forWhom }) : null,
              leftMl < facts.bottle.volumeMl
                ? say('bottleShelves.left2', { left: volume(leftMl / 1000) })
                : null,
            ]
              .filter(Boolean)
              .join(', ')}
          </div>
        </div>
      </a>
    </li>
  );
});
