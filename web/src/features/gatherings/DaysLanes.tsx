import '../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import { COOK, type FeastJob, type FeastTimes, nightsOf, type Sized } from '@big-ladle/core/gathering';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import { memo } from 'react';
import { sayJob, sayPerson } from '../../shared/gatherings/sayJob.ts';
import { useWidth } from '../../shared/useWidth.ts';
import { heading, role } from '../../theme/theme.ts';
import { dayWord, say, timeOfDay } from '../../words/say.ts';
import { FridgeArea } from './FridgeArea.tsx';
import { JobBar } from './JobBar.tsx';
import { BAR_PX, FRIDGE, HEAD, LABEL, LANE } from './laneSizes.ts';
import { lotColour } from './lotColour.ts';

const HOUR_MS = 60 * MINUTE_MS;
/** The name of a day is so wide. */
const DAY_PX = 88;
/** And "18:00 served". */
const SERVED_PX = 94;
/** Hours are written so far apart at least, px. */
const TICK_PX = 70;

/**
 * The kitchen's lanes over the days: hands, rings and pots as they are taken, the fridge as it fills, the nights dark. The
 * list below says the same in words.
 */
export const DaysLanes = memo(function DaysLanes(
  props: Pick<GatheringDoc, 'servesAtMs' | 'untilMs' | 'helpers'> & {
    sized: Sized;
    times: FeastTimes;
    kitchen: Kitchen;
    nowMs: number;
    /** Litres of cold that are borrowed. */
    borrowedL: number;
    /** A job was put at another hour. */
    onPut: (job: FeastJob, atMs: number) => void;
  },
) {
  const { servesAtMs, untilMs, helpers, sized, times, kitchen, nowMs, onPut } = props;
  const [ref, width] = useWidth<HTMLDivElement>();
  if (times.jobs.length === 0) return <Box ref={ref} />;
  const fromMs = Math.min(...times.jobs.map((j) => j.startMs)) - HOUR_MS / 2;
  const toMs = untilMs;
  const wide = Math.max(0, width - LABEL);
  const x = (ms: number) => LABEL + ((ms - fromMs) / (toMs - fromMs)) * wide;
  const drinkOf = (id: string) => sized.drinks.find((d) => d.id === id);
  const people = [COOK, ...helpers.map((h) => h.id)];
  const taken = (kind: 'ring' | 'pot', all: readonly { id: string; name: string }[]) =>
    [...new Set(times.booked.flatMap((b) => (b.kind === kind ? (b.ofId ?? []) : [])))].map((id) => ({
      id,
      kind,
      name: all.find((one) => one.id === id)?.name ?? id,
    }));
  const lanes = [
    ...people.map((id) => ({ id, name: sayPerson(id, { helpers }), kind: 'person' as const })),
    ...taken('ring', kitchen.burners),
    ...taken('pot', kitchen.pots),
  ];
  const high = HEAD + lanes.length * LANE + FRIDGE + 10;
  const top = (index: number) => HEAD + index * LANE;
  const ticks = hoursBetween(fromMs, toMs, kitchen.zone, wide);
  // On a narrow screen not every day has room for its name.
  const servedPx = Math.min(x(servesAtMs) + 6, width - SERVED_PX);
  const named = new Set<number>();
  let nameEndsPx = Number.NEGATIVE_INFINITY;
  for (const { ms, day } of ticks) {
    const underServed = x(ms) + DAY_PX > servedPx && x(ms) < servedPx + SERVED_PX;
    if (!day || x(ms) < nameEndsPx || underServed) continue;
    named.add(ms);
    nameEndsPx = x(ms) + DAY_PX;
  }
  return (
    <Box ref={ref} data-testid="days-lanes">
      {width > 0 && (
        <svg width={width} height={high} aria-label={say('days.drawing')} style={{ display: 'block' }}>
          {nightsOf(kitchen, fromMs, toMs).map((n) => (
            <rect
              key={n.fromMs}
              x={Math.max(LABEL, x(n.fromMs))}
              width={Math.max(0, Math.min(width, x(n.toMs)) - Math.max(LABEL, x(n.fromMs)))}
              y={HEAD}
              height={high - HEAD}
              fill={role('night')}
            />
          ))}
          <rect
            x={x(servesAtMs)}
            width={x(toMs) - x(servesAtMs)}
            y={HEAD}
            height={high - HEAD}
            fill={role('caution')}
            opacity={0.14}
          />
          {ticks.map(({ ms }) => (
            <g key={ms}>
              <line x1={x(ms)} x2={x(ms)} y1={HEAD - 6} y2={high} stroke={role('hairline')} />
              <text x={x(ms) + 3} y={HEAD - 10} fontSize={12} fill={role('inkMuted')}>
                {timeOfDay(ms, kitchen.zone)}
              </text>
              {named.has(ms) && (
                <text x={x(ms) + 3} y={20} fontSize={16} fontWeight={700} fill={role('ink')}>
                  {dayWord(ms, nowMs, kitchen.zone)}
                </text>
              )}
            </g>
          ))}
          {lanes.map((lane, i) => (
            <g key={`${lane.kind} ${lane.id}`}>
              <text x={0} y={top(i) + LANE / 2 + 4} fontSize={14} fontWeight={700} fill={role('ink')}>
                {lane.name}
              </text>
              <line
                x1={LABEL}
                x2={width}
                y1={top(i) + LANE - 3}
                y2={top(i) + LANE - 3}
                stroke={role('rim')}
                strokeWidth={1.2}
              />
              {lane.kind === 'person'
                ? once(times.jobs)
                    .filter((j) => j.attended && (j.by ?? COOK) === lane.id)
                    .map((job) => (
                      <JobBar
                        key={`${job.drinkId} ${job.jobId}`}
                        x0={x(job.startMs)}
                        x1={x(job.endMs)}
                        y={top(i) + 8}
                        msPerPx={(toMs - fromMs) / Math.max(1, wide)}
                        job={job}
                        text={sayJob(job, drinkOf(job.drinkId))}
                        at={timeOfDay(job.startMs, kitchen.zone)}
                        onPut={onPut}
                      />
                    ))
                : times.booked
                    .filter((b) => b.kind === lane.kind && b.ofId === lane.id)
                    .map((b) => (
                      <Bar
                        key={`${b.drinkId} ${b.fromMs}`}
                        x0={x(b.fromMs)}
                        x1={x(b.toMs)}
                        y={top(i) + 8}
                        fill={lane.kind === 'ring' ? role('dangerGround') : lotColour(drinkOf(b.drinkId))}
                        stroke={lane.kind === 'ring' ? role('heat') : role('line')}
                      />
                    ))}
            </g>
          ))}
          <FridgeArea {...props} top={HEAD + lanes.length * LANE} x={x} width={width} toMs={toMs} />
          <line
            x1={x(servesAtMs)}
            x2={x(servesAtMs)}
            y1={6}
            y2={high}
            stroke={role('caution')}
            strokeWidth={2.5}
          />
          <text x={servedPx} y={20} fontSize={15} style={heading} fill={role('ink')}>
            {timeOfDay(servesAtMs, kitchen.zone)} {say('days.served')}
          </text>
        </svg>
      )}
    </Box>
  );
});

/** What several drinks have done at once stands once. */
const once = (jobs: readonly FeastJob[]): FeastJob[] =>
  jobs.filter((j) => j.together.length < 2 || j.together[0] === j.drinkId);

function Bar(props: { x0: number; x1: number; y: number; fill: string; stroke: string }) {
  return (
    <rect
      x={props.x0}
      y={props.y}
      width={Math.max(3, props.x1 - props.x0)}
      height={BAR_PX}
      rx={3}
      fill={props.fill}
      stroke={props.stroke}
      strokeWidth={1.4}
    />
  );
}

/** Whole hours, as many as there is room for, and the first of each day. */
function hoursBetween(
  fromMs: number,
  toMs: number,
  zone: string,
  wide: number,
): { ms: number; day: boolean }[] {
  const room = Math.max(1, Math.floor(wide / TICK_PX));
  const each = [1, 2, 3, 6, 12, 24].find((h) => (toMs - fromMs) / HOUR_MS / h <= room) ?? 24;
  const hour = new Intl.DateTimeFormat('en-GB', { hour: 'numeric', hourCycle: 'h23', timeZone: zone });
  const out: { ms: number; day: boolean }[] = [];
  let dayBefore = '';
  const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', timeZone: zone });
  for (let ms = Math.ceil(fromMs / HOUR_MS) * HOUR_MS; ms < toMs; ms += HOUR_MS) {
    if (Number(hour.format(ms)) % each !== 0) continue;
    const today = day.format(ms);
    out.push({ ms, day: today !== dayBefore });
    dayBefore = today;
  }
  return out;
}
