import { type BeliefWithCourse, EIGHT_OF_TEN } from '@big-ladle/core/learn';
import '../../../words/places/logbook.ts';
import { useWidth } from '../../../shared/useWidth.ts';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import { saySigned } from './sayBelief.ts';

/** The least half of the height, in the logarithm: a tenth more or less. */
const LEAST = 0.1;
/** Labels of days are so wide. */
const LABEL_PX = 64;

interface Point {
  mean: number;
  spread: number;
}

/** Room around the curve where days and shares are written. */
const ROOM = { left: 72, right: 64, top: 10, bottom: 28 };
const NO_ROOM = { left: 2, right: 2, top: 2, bottom: 2 };

/**
 * How a belief narrowed, batch by batch: its middle, the band in which eight of ten batches fall, and the book as a dotted
 * line. What it shows is said in words beside it.
 * @param days of the batches of its course, written below; left out: a small one without words.
 */
export function CourseDrawing(props: { belief: BeliefWithCourse; height: number; days?: readonly string[] }) {
  const { belief, height, days } = props;
  const [ref, width] = useWidth<HTMLDivElement>();
  const room = days ? ROOM : NO_ROOM;
  const points: Point[] = [{ mean: 0, spread: belief.prior }, ...belief.course];
  const reach = Math.max(LEAST, ...points.map((p) => Math.abs(p.mean) + EIGHT_OF_TEN * p.spread));
  const x = (i: number) =>
    room.left + (i / Math.max(1, points.length - 1)) * Math.max(0, width - room.left - room.right);
  const middle = room.top + (height - room.top - room.bottom) / 2;
  const y = (log: number) => middle - (log / reach) * (middle - room.top);
  const line = (of: (p: Point) => number) =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(i).toFixed(1)},${y(of(p)).toFixed(1)}`).join(' ');
  const upper = (p: Point) => p.mean + EIGHT_OF_TEN * p.spread;
  const lower = (p: Point) => p.mean - EIGHT_OF_TEN * p.spread;
  const back = points
    .map(
      (p, i) =>
        `L${x(points.length - 1 - i).toFixed(1)},${y(lower(points[points.length - 1 - i] ?? p)).toFixed(1)}`,
    )
    .join(' ');
  const step = Math.max(
    1,
    Math.ceil((points.length * LABEL_PX) / Math.max(1, width - room.left - room.right)),
  );
  const end = points.at(-1)!;
  const marks = [reach / 2, 0, -reach / 2];
  return (
    // It follows its column, and never holds it open.
    <div ref={ref} style={{ minWidth: 0, height, overflow: 'hidden' }}>
      {width > 0 && (
        <svg width={width} height={height} aria-hidden style={{ display: 'block' }}>
          <path d={`${line(upper)} ${back} Z`} fill={role('rim')} opacity={0.14} />
          <line
            x1={x(0)}
            x2={x(points.length - 1)}
            y1={y(0)}
            y2={y(0)}
            stroke={role('inkMuted')}
            strokeDasharray="2 4"
          />
          <path
            d={line((p) => p.mean)}
            fill="none"
            stroke={role('rim')}
            strokeWidth={days ? 3.5 : 2.5}
            strokeLinejoin="round"
          />
          {days && (
            <g fill={role('inkMuted')} fontSize={13}>
              {marks.map((log) => (
                <text key={log} x={room.left - 8} y={y(log)} dy="0.35em" textAnchor="end">
                  {log === 0 ? say('learn.theBook') : saySigned(log)}
                </text>
              ))}
              {days.map(
                (day, i) =>
                  (days.length - 1 - i) % step === 0 && (
                    <text key={`${day} ${x(i + 1)}`} x={x(i + 1)} y={height - 8} textAnchor="middle">
                      {day}
                    </text>
                  ),
              )}
              <text
                x={x(points.length - 1) + 8}
                y={y(end.mean)}
                dy="0.35em"
                fill={role('ink')}
                fontSize={17}
                fontWeight={700}
              >
                {saySigned(end.mean)}
              </text>
            </g>
          )}
        </svg>
      )}
    </div>
  );
}
