import type { Poured } from '@big-ladle/core/balance';
import { role } from '../../../theme/theme.ts';

/** The inside of the glass in a box of 240 by 340: narrower towards its foot. */
const BOX = { w: 240, h: 340 } as const;
const TOP = { y: 12, half: 104 } as const;
const FOOT = { y: 322, half: 84 } as const;
const MIDDLE = 112;

/** Half as wide as the glass is inside at a height. */
const halfAt = (y: number): number => FOOT.half + ((TOP.half - FOOT.half) * (FOOT.y - y)) / (FOOT.y - TOP.y);

/** A layer of the glass between two heights. */
function layer(fromY: number, toY: number): string {
  const [a, b] = [halfAt(fromY), halfAt(toY)];
  return `M${MIDDLE - a} ${fromY}L${MIDDLE - b} ${toY}H${MIDDLE + b}L${MIDDLE + a} ${fromY}Z`;
}

/** How far below the rim a glass is full. */
const FULL_Y = 40;
const CUBE = 44;
const MOST_CUBES = 8;

/** What goes into a glass, one above the other, each as high as there is of it. */
export function Pouring(props: {
  poured: Poured;
  vesselMl: number;
  cubes: number;
  colour: string;
  warm: boolean;
  said: string;
}) {
  const { poured, vesselMl, cubes, colour, warm, said } = props;
  const perMl = (FOOT.y - FULL_Y) / vesselMl;
  const drinkY = FOOT.y - poured.drinkMl * perMl;
  const mixerY = drinkY - poured.mixerMl * perMl;
  const iceY = mixerY - poured.iceMl * perMl;
  const drawn = Math.min(MOST_CUBES, cubes);
  const across = Math.min(4, drawn);
  return (
    <svg
      viewBox={`0 0 ${BOX.w} ${BOX.h}`}
      width={BOX.w}
      height={BOX.h}
      role="img"
      aria-label={said}
      style={{ maxWidth: '100%', height: 'auto', display: 'block' }}
    >
      <path d={layer(FOOT.y, drinkY)} fill={colour} />
      {poured.mixerMl > 0.5 && (
        <>
          <path d={layer(drinkY, mixerY)} fill={role('rim')} opacity="0.16" />
          <path
            d={`M${MIDDLE - halfAt(drinkY)} ${drinkY}H${MIDDLE + halfAt(drinkY)}`}
            stroke={role('rim')}
            strokeWidth="1.5"
          />
        </>
      )}
      {Array.from({ length: drawn }, (_, i) => {
        const row = Math.floor(i / across);
        const size = Math.min(CUBE, Math.max(18, (mixerY - iceY) / Math.ceil(drawn / across)));
        const x = MIDDLE + ((i % across) - (across - 1) / 2) * (size + 4);
        const y = mixerY - size / 2 - row * size;
        return (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: cubes are as many as they are
            key={i}
            x={x - size / 2}
            y={y - size / 2}
            width={size}
            height={size}
            rx="5"
            transform={`rotate(${((i * 37) % 25) - 12} ${x} ${y})`}
            fill={role('enamel')}
            stroke={role('rim')}
            strokeWidth="2"
          />
        );
      })}
      <path
        d={`M${MIDDLE - TOP.half} ${TOP.y}L${MIDDLE - FOOT.half} ${FOOT.y}H${MIDDLE + FOOT.half}L${MIDDLE + TOP.half} ${TOP.y}`}
        fill="none"
        stroke={role('rim')}
        strokeWidth="4"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {warm && (
        <path
          d={`${[70, 110, 150].map((x) => `M${x} 34c-9-10 9-16 0-28`).join('')}M${MIDDLE + 96} 110c34-4 34 96-8 92`}
          fill="none"
          stroke={role('rim')}
          strokeWidth="4"
          strokeLinecap="round"
        />
      )}
    </svg>
  );
}
