import type { MethodRow } from '@big-ladle/core/compare';
import { type AwayWindow, bandHours, type Timetable } from '@big-ladle/core/plan';
import { useId } from 'react';
import { Hatch } from '../../../../shared/lanes/Hatch.tsx';
import { colourIn } from '../../../../shared/lanes/laneColour.ts';
import { role } from '../../../../theme/theme.ts';

/** As it is drawn, before it is stretched to its card. */
const WIDE = 1000;
const HIGH = 46;
const FOOT = 36;
const MOST = 32;
/** Thinner than this nothing is seen. */
const LEAST_WIDE = 8;
const LEAST_HIGH = 4;

/**
 * A way as a strip of hours: what stands in the pot in its colour and as high as its litres, the hours in which nobody
 * stands at the stove dark, and below it when the cook is needed. All strips of a choice span the same hours. The card
 * that it stands on says the same in words.
 */
export function WayStrip(props: {
  row: MethodRow;
  hours: Pick<Timetable, 'startMs' | 'readyMs' | 'calls'>;
  fromMs: number;
  toMs: number;
  dark: readonly AwayWindow[];
}) {
  const { row, hours, fromMs, toMs, dark } = props;
  const id = useId();
  const x = (atMs: number) => Math.min(1, Math.max(0, (atMs - fromMs) / Math.max(1, toMs - fromMs))) * WIDE;
  const most = Math.max(0.1, ...row.band.map((s) => s.to.litres));
  const stretch = (startMs: number, endMs: number) => ({
    x: x(startMs),
    width: Math.max(LEAST_WIDE, x(endMs) - x(startMs)),
  });
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      height={HIGH}
      preserveAspectRatio="none"
      aria-hidden="true"
      data-testid={`way-strip-${row.methodId}`}
      style={{ display: 'block', marginBottom: 8 }}
    >
      <defs>
        <Hatch id={`${id}-hatch`} />
      </defs>
      {dark.map((w) => (
        <rect
          key={w.fromMs}
          x={x(w.fromMs)}
          width={x(w.toMs) - x(w.fromMs)}
          y={0}
          height={HIGH}
          fill={role('ink')}
          opacity={0.16}
        />
      ))}
      {bandHours(row.band, hours).map(({ span, startMs, endMs }) => {
        const high = Math.max(LEAST_HIGH, (span.to.litres / most) * MOST);
        const lies = span.to.solidsL > 0.005;
        return (
          <g key={span.stepId}>
            <rect {...stretch(startMs, endMs)} y={FOOT - high} height={high} fill={colourIn(span.to)} />
            {lies && <rect {...stretch(startMs, endMs)} y={FOOT - 7} height={7} fill={`url(#${id}-hatch)`} />}
          </g>
        );
      })}
      <line x1={0} x2={WIDE} y1={FOOT + 1} y2={FOOT + 1} stroke={role('line')} strokeWidth={1} />
      {hours.calls.map((c) => (
        <rect key={c.stepId} {...stretch(c.startMs, c.endMs)} y={FOOT + 4} height={6} fill={role('rim')} />
      ))}
    </svg>
  );
}
