import type { Kitchen } from '@big-ladle/core/documents';
import type { LaneMove, LaneState, Lanes } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type ReactNode, useId } from 'react';
import { role } from '../../theme/theme.ts';
import { litres } from '../../words/quantities.ts';
import { duration, say } from '../../words/say.ts';
import { vesselName } from '../batch/stepNames.ts';
import { Fold } from '../Fold.tsx';
import { Hatch } from './Hatch.tsx';
import { colourIn } from './laneColour.ts';
import {
  type Geometry,
  geometryOf,
  heightOf,
  LANE,
  labelsOf,
  moveStroke,
  ribbonsOf,
} from './laneGeometry.ts';
import { laneSentences, laneStepText } from './laneWords.ts';

/** Marks of the hours stand no closer, px. */
const TICK_PX = 74;

/** What stood where a move begins. */
const stateBefore = (lanes: Lanes, move: LaneMove): LaneState | undefined =>
  lanes.lanes.find((l) => l.vesselId === move.from)?.spans.find((s) => s.stepId === move.stepId)?.from;

/**
 * The way of a drink: a lane for each vessel, time to the right, ribbons as high as their litres in the colour of the
 * drink, hatching for fruit and flowers. The same is said in words below it.
 */
export function LaneDrawing(props: {
  lanes: Lanes;
  program: Program;
  kitchen: Kitchen;
  /** What lies over the drawing, in its measure. */
  over?: (geometry: Geometry, height: number) => ReactNode;
}) {
  const { lanes, program, kitchen } = props;
  const wide = useMediaQuery('(min-width: 900px)');
  const id = useId();
  const width = wide ? 1060 : 660;
  const g = geometryOf(lanes, width);
  const height = heightOf(lanes.lanes.length);
  const ribbons = lanes.lanes.flatMap((lane) => ribbonsOf(g, lanes, lane));
  const labels = labelsOf(g, lanes, (stepId) => laneStepText(lanes, program, stepId, true));
  const bottles = lanes.moves.filter((m) => m.to !== null && g.yOf(m.to) === null);
  let lastTick = Number.NEGATIVE_INFINITY;
  const ticks = lanes.steps.filter((s) => {
    const x = g.xOf(s.x0);
    if (x - lastTick < TICK_PX) return false;
    lastTick = x;
    return true;
  });
  return (
    <Box data-testid="lanes">
      {/* On a phone it is wider than the page: by keys it scrolls like any other part. */}
      <Box
        role="group"
        aria-label={say('lanes.title')}
        tabIndex={wide ? undefined : 0}
        sx={{ overflowX: 'auto' }}
      >
        <Box sx={{ position: 'relative', minWidth: wide ? 0 : width }}>
          <svg viewBox={`0 0 ${width} ${height}`} width="100%" aria-hidden style={{ display: 'block' }}>
            <defs>
              <Hatch id={`${id}-hatch`} />
              {ribbons
                .filter((r) => !r.solids)
                .map((r) => (
                  <linearGradient
                    key={r.key}
                    id={`${id}-${r.key}`}
                    gradientUnits="userSpaceOnUse"
                    x1={r.x0}
                    x2={Math.max(r.x1, r.x0 + 1)}
                    y1="0"
                    y2="0"
                  >
                    <stop offset="0" style={{ stopColor: colourIn(r.from) }} />
                    <stop offset="1" style={{ stopColor: colourIn(r.to) }} />
                  </linearGradient>
                ))}
            </defs>
            {ticks.map((s) => (
              <g key={s.stepId}>
                <text x={g.xOf(s.x0)} y={12} fontSize={12} fill={role('inkMuted')}>
                  {s.startMin < 1 ? '0' : duration(s.startMin)}
                </text>
                <line x1={g.xOf(s.x0)} x2={g.xOf(s.x0)} y1={18} y2={height - 12} stroke={role('hairline')} />
              </g>
            ))}
            {ribbons.map((r) => (
              <path key={r.key} d={r.path} fill={`url(#${id}-${r.solids ? 'hatch' : r.key})`} />
            ))}
            {lanes.moves.map((move) => {
              const step = lanes.steps.find((s) => s.stepId === move.stepId);
              const stroke = step && moveStroke(g, step, move);
              const state = stateBefore(lanes, move);
              if (!stroke || !step) return null;
              const y = g.yOf(move.from) ?? 0;
              return (
                <g key={`${move.stepId}-${move.from}-${move.to}`}>
                  <path
                    d={stroke.path}
                    fill="none"
                    strokeWidth={stroke.thickPx}
                    stroke={move.litres > 0.005 && state ? colourIn(state) : `url(#${id}-hatch)`}
                  />
                  {move.to === null && (
                    <text x={g.xOf(step.x0) + 38} y={y + LANE.fall} fontSize={12} fill={role('inkMuted')}>
                      {say('lanes.thrown')}
                    </text>
                  )}
                </g>
              );
            })}
            {lanes.lanes.map((lane) => {
              const y = g.yOf(lane.vesselId) ?? 0;
              return (
                <g key={lane.vesselId}>
                  <text x={0} y={y - 4} fontSize={13.5} fontWeight={700} fill={role('ink')}>
                    {vesselName(program, kitchen, lane.vesselId)}
                  </text>
                  <line
                    x1={LANE.left - 6}
                    x2={width - 6}
                    y1={y + 1}
                    y2={y + 1}
                    stroke={role('rim')}
                    strokeWidth={2.5}
                  />
                  {lanes.steps
                    .filter(
                      (s) => s.vesselIds.includes(lane.vesselId) && (s.kind === 'heat' || s.kind === 'boil'),
                    )
                    .map((s) => (
                      <line
                        key={s.stepId}
                        x1={g.xOf(s.x0)}
                        x2={g.xOf(s.x1)}
                        y1={y + 1}
                        y2={y + 1}
                        stroke={role('heat')}
                        strokeWidth={4}
                      />
                    ))}
                </g>
              );
            })}
            {bottles.map((move) => {
              const step = lanes.steps.find((s) => s.stepId === move.stepId);
              const y = g.yOf(move.from);
              const state = stateBefore(lanes, move);
              if (!step || y === null) return null;
              const x = g.xOf(step.x0) + 8;
              return (
                <g key={`${move.stepId}-bottles`}>
                  {[0, 13, 26].map((dx) => (
                    <path
                      key={dx}
                      d={`M${x + dx} ${y - 1}v-22q0-5 3-8v-8h4v8q3 3 3 8v22z`}
                      fill={state ? colourIn(state) : role('enamel')}
                      stroke={role('rim')}
                      strokeWidth={1.5}
                    />
                  ))}
                  <text x={x} y={y - 46} fontSize={12} fontWeight={700} fill={role('ink')}>
                    {litres(move.litres)}
                  </text>
                </g>
              );
            })}
            {labels.map((l) => (
              <text
                key={l.stepId}
                x={l.x}
                y={l.y}
                fontSize={12}
                fill={role('ink')}
                stroke={role('enamel')}
                strokeWidth={3}
                paintOrder="stroke"
              >
                {l.text}
              </text>
            ))}
            {lanes.steps
              .filter((s) => s.overfull && g.yOf(s.vesselId) !== null)
              .slice(0, 1)
              .map((s) => {
                const x = g.xOf(s.x0);
                const y = (g.yOf(s.vesselId) ?? 0) - LANE.ribbon - 26;
                return (
                  <g key={s.stepId} fill={role('caution')}>
                    <path d={`M${x} ${y + 4}l6 -11l6 11z`} />
                    <text x={x + 16} y={y + 4} fontSize={12} fontWeight={700}>
                      {say('lanes.tooFull')}
                    </text>
                  </g>
                );
              })}
          </svg>
          {props.over?.(g, height)}
        </Box>
      </Box>
      <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem', mt: 0.5 }}>{say('lanes.about')}</Box>
      <Fold summary={say('lanes.inWords')} testId="lanes-in-words">
        <Box component="ol" sx={{ m: 0, pl: 3 }}>
          {laneSentences(lanes, program, kitchen).map((text, i) => (
            <li key={lanes.steps[i]!.stepId}>{text}</li>
          ))}
        </Box>
      </Fold>
    </Box>
  );
}
