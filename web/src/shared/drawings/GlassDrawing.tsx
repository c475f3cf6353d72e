import type { Looks } from '@big-ladle/core/liquor';
import { useId } from 'react';
import { role } from '../../theme/theme.ts';
import { GLASSES, type GlassKind } from './glasses.ts';

/** Squares of ice, from the surface down, each turned by so much. */
const ICE = [
  { x: -16, y: 8, deg: 12 },
  { x: 4, y: 4, deg: -10 },
  { x: -4, y: 26, deg: 22 },
] as const;
const ICE_SIZE = 17;

/** A glass of a drink in its expected colours, in a box of 100 by 140: pale at its sides, where it is less deep. */
export function GlassLines({
  looks,
  kind,
  ice,
  steam,
}: {
  looks: Looks;
  kind: GlassKind;
  ice: boolean;
  steam: boolean;
}) {
  const shape = GLASSES[kind];
  const { y, half } = shape.surface;
  const fill = useId();
  return (
    <g>
      <linearGradient id={fill} gradientUnits="userSpaceOnUse" x1={50 - half} y1="0" x2={50 + half} y2="0">
        <stop offset="0" stopColor={looks.glassEdge} />
        <stop offset="0.22" stopColor={looks.glass} />
        <stop offset="0.78" stopColor={looks.glass} />
        <stop offset="1" stopColor={looks.glassEdge} />
      </linearGradient>
      {/* White behind it, as the colours are reckoned; what is clear lets some of what stands behind be seen. */}
      <path d={shape.drink} fill="#fff" opacity={looks.cloudy ? 1 : 0.8} />
      <path d={shape.drink} fill={`url(#${fill})`} opacity={looks.cloudy ? 1 : 0.9} />
      <ellipse
        cx="50"
        cy={y}
        rx={half}
        ry={half / 6}
        fill={looks.glassEdge}
        stroke={looks.glass}
        strokeWidth="0.8"
      />
      {ice &&
        ICE.map((cube) => (
          <rect
            key={cube.deg}
            x="0"
            y="0"
            width={ICE_SIZE}
            height={ICE_SIZE}
            rx="3"
            transform={`translate(${50 + cube.x} ${y + cube.y}) rotate(${cube.deg})`}
            fill="#fff"
            fillOpacity="0.35"
            stroke="#fff"
            strokeOpacity="0.8"
          />
        ))}
      <path
        d={shape.outline}
        fill="none"
        stroke={role('rim')}
        strokeWidth="2.5"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {steam && (
        <path
          d={[36, 48, 60].map((x) => `M${x} ${shape.rimY - 8}c-5-6 5-10 0-16s4-8 1-12`).join('')}
          fill="none"
          stroke={role('line')}
          strokeWidth="2"
          strokeLinecap="round"
        />
      )}
    </g>
  );
}
