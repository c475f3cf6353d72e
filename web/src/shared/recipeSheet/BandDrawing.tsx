import '../../words/places/drinks.ts';
import type { BandSpan } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import { useId } from 'react';
import { role } from '../../theme/theme.ts';
import { duration, say } from '../../words/say.ts';
import { stepAlone } from '../batch/stepNames.ts';
import { Hatch } from '../lanes/Hatch.tsx';
import { colourIn } from '../lanes/laneColour.ts';
import { useWidth } from '../useWidth.ts';
import { BAND, bandLabels, bandPieces } from './bandGeometry.ts';

/** The right column, in which it pours into the glass. */
export const POUR = { width: 264, x: 132, thick: 26, to: 196 } as const;
const TICK_PX = 96;

/** Steps of no length to speak of say only what they are. */
const TOLD_FROM_MIN = 5;

/**
 * The way of a drink as one band: time to the right, as high as its litres, in its colours, fruit and flowers hatched,
 * flames where it is heated. The steps below say the same in words.
 * @param pours where there is a glass beside it, it runs over into that.
 */
export function BandDrawing(props: {
  spans: readonly BandSpan[];
  program: Program;
  pours: boolean;
  /** On paper there is nothing to measure. */
  width?: number;
}) {
  const { spans, program, pours } = props;
  const [ref, measured] = useWidth<HTMLDivElement>();
  const width = props.width ?? measured;
  const id = useId();
  const { pieces, endPx, endX } = bandPieces(spans, Math.max(1, width));
  const labels = bandLabels(
    pieces,
    (span) => {
      const step = program.steps.find((s) => s.id === span.stepId);
      if (!step) return null;
      const minutes = span.endMin - span.startMin;
      const name = stepAlone(step, program);
      return minutes >= TOLD_FROM_MIN ? `${name}, ${duration(minutes)}` : name;
    },
    width,
  );
  const last = pieces.at(-1);
  const colour = last ? colourIn(last.span.to) : role('enamel');
  let lastTick = Number.NEGATIVE_INFINITY;
  const ticks = pieces.filter(({ x0 }) => {
    if (x0 - lastTick < TICK_PX || width - x0 < 40) return false;
    lastTick = x0;
    return true;
  });
  const startMin = spans[0]?.startMin ?? 0;
  return (
    <Box ref={ref} sx={{ position: 'relative', minWidth: 0, height: BAND.all }} data-testid="band">
      {width > 0 && (
        <svg
          width={width}
          height={BAND.all}
          role="img"
          aria-label={say('recipeFace.band')}
          style={{ display: 'block', overflow: 'visible', position: 'relative', zIndex: 1 }}
        >
          <defs>
            <Hatch id={`${id}-hatch`} />
            {pieces.map(({ span, x0, x1 }) => (
              <linearGradient
                key={span.stepId}
                id={`${id}-${span.stepId}`}
                gradientUnits="userSpaceOnUse"
                x1={x0}
                x2={Math.max(x1, x0 + 1)}
                y1="0"
                y2="0"
              >
                <stop
                  offset="0"
                  style={{ stopColor: colourIn(span.from.litres > 0.005 ? span.from : span.to) }}
                />
                <stop offset="1" style={{ stopColor: colourIn(span.to) }} />
              </linearGradient>
            ))}
          </defs>
          {pieces.map(({ span, path, solids }) => (
            <g key={span.stepId}>
              <path d={path} fill={`url(#${id}-${span.stepId})`} />
              {solids && <path d={solids} fill={`url(#${id}-hatch)`} />}
            </g>
          ))}
          {pieces
            .filter(({ span }) => span.solidsLeave)
            .map(({ span, x0 }) => (
              <path
                key={span.stepId}
                d={`M${x0} ${BAND.foot - BAND.solids / 2}C${x0 + 24} ${BAND.foot - BAND.solids / 2} ${x0 + 8} ${BAND.top - 6} ${x0 + 34} ${BAND.top - 8}`}
                fill="none"
                stroke={`url(#${id}-hatch)`}
                strokeWidth={BAND.solids}
              />
            ))}
          {pieces.flatMap(({ span, x0 }) =>
            span.joins.map((state) => (
              <path
                key={span.stepId}
                d={`M${x0 - 34} ${BAND.top - 4}C${x0 - 8} ${BAND.top - 4} ${x0 - 10} ${BAND.foot - endPx} ${x0 + 14} ${BAND.foot - endPx + 6}`}
                fill="none"
                stroke={colourIn(state)}
                strokeWidth={7}
                strokeLinecap="round"
              />
            )),
          )}
          {pours && <path d={pourPath(endX, endPx, width)} fill={colour} />}
          <line
            x1={0}
            x2={endX}
            y1={BAND.foot + 1}
            y2={BAND.foot + 1}
            stroke={role('rim')}
            strokeWidth={2.5}
          />
          {pieces
            .filter(({ span }) => span.kind === 'heat' || span.kind === 'boil')
            .map(({ span, x0, x1 }) => (
              <path
                key={span.stepId}
                d={flames(x0, x1)}
                fill="none"
                stroke={role('heat')}
                strokeWidth={2.5}
                strokeLinecap="round"
              />
            ))}
          {labels.map((l) => (
            <text key={l.stepId} x={l.x} y={24} fontSize={14} fontWeight={700} fill={role('ink')}>
              {l.text}
            </text>
          ))}
          {ticks.map(({ span, x0 }) => (
            <text key={span.stepId} x={x0} y={BAND.all - 4} fontSize={13} fill={role('inkMuted')}>
              {span.startMin - startMin < 1 ? say('recipeFace.water') : duration(span.startMin - startMin)}
            </text>
          ))}
        </svg>
      )}
    </Box>
  );
}

/** Little flames below the stretch that is heated. */
function flames(x0: number, x1: number): string {
  const count = Math.max(1, Math.min(4, Math.floor((x1 - x0) / 22)));
  const middle = (x0 + x1) / 2;
  return Array.from({ length: count }, (_, i) => {
    const x = middle + (i - (count - 1) / 2) * 16;
    return `M${x} ${BAND.foot + 6}c-4 4 4 6 0 11`;
  }).join('');
}

/** From the end of the band to the right and down into the glass. */
function pourPath(endX: number, endPx: number, width: number): string {
  const top = BAND.foot - endPx;
  const x = width + 14 + POUR.x;
  const [l, r] = [x - POUR.thick / 2, x + POUR.thick / 2];
  return `M${endX - 1} ${top}C${x - 60} ${top} ${r} ${top + 10} ${r} ${BAND.foot + 40}V${POUR.to}H${l}V${BAND.foot + 40}C${l} ${BAND.foot} ${x - 90} ${BAND.foot} ${endX - 1} ${BAND.foot}Z`;
}
