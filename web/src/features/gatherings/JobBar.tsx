import '../../words/places/gatherings.ts';
import type { FeastJob } from '@big-ladle/core/gathering';
import { MINUTE_MS } from '@big-ladle/core/units';
import { useState } from 'react';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { BAR_PX, LANE } from './laneSizes.ts';

/** A letter of a job's name is so wide. */
const LETTER_PX = 6.6;
/** Jobs are put at whole five minutes; a key moves one by a quarter of an hour. */
const GRID_MS = 5 * MINUTE_MS;
const KEY_MS = 15 * MINUTE_MS;

/** A job of somebody's: dragged, or moved by the arrow keys, it stays where it is put, and the rest gives way. */
export function JobBar(props: {
  x0: number;
  x1: number;
  y: number;
  msPerPx: number;
  job: FeastJob;
  text: string;
  at: string;
  onPut: (job: FeastJob, atMs: number) => void;
}) {
  const { x0, x1, y, msPerPx, job, text, at, onPut } = props;
  const [dragged, setDragged] = useState<{ fromPx: number; byPx: number } | null>(null);
  const wide = Math.max(3, x1 - x0);
  const by = dragged?.byPx ?? 0;
  const fits = text.length * LETTER_PX < wide - 8;
  const put = (byMs: number) =>
    byMs !== 0 && onPut(job, Math.round((job.startMs + byMs) / GRID_MS) * GRID_MS);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing has no button of its own
    <g
      role="button"
      tabIndex={0}
      aria-label={say('days.jobAt', { what: text, at })}
      data-testid="job-bar"
      style={{ cursor: dragged ? 'grabbing' : 'grab', touchAction: 'pan-y' }}
      transform={`translate(${by} 0)`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setDragged({ fromPx: e.clientX, byPx: 0 });
      }}
      onPointerMove={(e) => dragged && setDragged({ ...dragged, byPx: e.clientX - dragged.fromPx })}
      onPointerUp={() => {
        setDragged(null);
        if (Math.abs(by) > 2) put(by * msPerPx);
      }}
      onPointerCancel={() => setDragged(null)}
      onKeyDown={(e) => {
        const way = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
        if (way === 0) return;
        e.preventDefault();
        put(way * KEY_MS);
      }}
    >
      <title>{say('days.jobAt', { what: text, at })}</title>
      <rect
        x={x0}
        y={y}
        width={wide}
        height={BAR_PX}
        rx={3}
        fill={job.pinned ? role('rim') : role('enamelDeep')}
        stroke={role('rim')}
        strokeWidth={1.4}
      />
      {fits && (
        <text
          x={x0 + 5}
          y={y + LANE / 2 - 3}
          fontSize={12}
          fontWeight={700}
          fill={job.pinned ? role('onRim') : role('ink')}
        >
          {text}
        </text>
      )}
    </g>
  );
}
