import '../../../words/places/batch.ts';
import type { LikedRegion } from '@big-ladle/core/balance';
import { memo } from 'react';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { say } from '../../../words/say.ts';
import type { Scale } from './arrows.ts';

export const EDGE = { left: 50, right: 16, top: 16, bottom: 54 };

/** Lines of equal proportion, sweet g/L to sour g/L. */
const RATIOS = [
  { ratio: 26, word: 'plane.soft' },
  { ratio: 14, word: 'plane.even' },
  { ratio: 6, word: 'plane.sharp' },
] as const;

/** Arrows are told apart by dash and by the word at their tip, not by colour. */
export const DASHES = ['', '9 5', '3 5', '14 4 3 4', '6 3 1 3', '2 3'];

/** A tidy step between figures on an axis. */
const tickStep = (most: number): number => (most > 24 ? 8 : most > 12 ? 4 : most > 6 ? 2 : 1);

const ticks = (most: number): number[] => {
  const step = tickStep(most);
  return Array.from({ length: Math.floor(most / step) }, (_, i) => (i + 1) * step);
};

/** What stands still while something is dragged: axes, proportions, what the house likes. */
export const Grid = memo(function Grid(props: {
  scale: Scale;
  most: { sour: number; sweet: number };
  W: number;
  H: number;
  liked: LikedRegion | null;
}) {
  const { scale, most, W, H, liked } = props;
  return (
    <>
      {ticks(most.sour).map((t) => (
        <g key={`x${t}`}>
          <line
            x1={scale.x(t)}
            x2={scale.x(t)}
            y1={H - EDGE.bottom}
            y2={scale.y(most.sweet)}
            stroke={role('hairline')}
          />
          <text className="quiet" x={scale.x(t)} y={H - EDGE.bottom + 18} textAnchor="middle">
            {t}
          </text>
        </g>
      ))}
      {ticks(most.sweet).map((t) => (
        <g key={`y${t}`}>
          <line
            x1={scale.x(0)}
            x2={scale.x(most.sour)}
            y1={scale.y(t)}
            y2={scale.y(t)}
            stroke={role('hairline')}
          />
          <text className="quiet" x={scale.x(0) - 8} y={scale.y(t) + 4} textAnchor="end">
            {t}
          </text>
        </g>
      ))}
      {RATIOS.map(({ ratio, word }) => {
        // Sweet g/L is ten times g in 100 g, near enough at a drink's density.
        const endSour = Math.min(most.sour, (most.sweet * 10) / ratio);
        const endSweet = (endSour * ratio) / 10;
        return (
          <g key={word}>
            <line
              x1={scale.x(0)}
              y1={scale.y(0)}
              x2={scale.x(endSour)}
              y2={scale.y(endSweet)}
              stroke={role('rimSoft')}
              strokeWidth={1.5}
            />
            <text className="quiet" x={scale.x(endSour) - 6} y={scale.y(endSweet) + 16} textAnchor="end">
              {say(word)}
            </text>
          </g>
        );
      })}
      {liked && (
        <g>
          <ellipse
            cx={scale.x(liked.sourGPerL)}
            cy={scale.y(liked.sweetPct)}
            rx={scale.x(liked.sourSpread) - scale.x(0)}
            ry={scale.y(0) - scale.y(liked.sweetSpread)}
            fill={role('ready')}
            fillOpacity={0.12}
            stroke={role('ready')}
            strokeWidth={2}
            strokeDasharray="5 4"
          />
          <text
            x={scale.x(liked.sourGPerL)}
            y={scale.y(liked.sweetPct + liked.sweetSpread) - 8}
            textAnchor="middle"
            fontSize={14}
          >
            {say('plane.whatThisHouseLikes', { batches: num(liked.batches) })}
          </text>
        </g>
      )}
      <path
        d={`M ${scale.x(0)} ${scale.y(most.sweet)} V ${scale.y(0)} H ${scale.x(most.sour)}`}
        fill="none"
        stroke={role('rim')}
        strokeWidth={2.5}
      />
      <text className="quiet" x={(W + EDGE.left) / 2} y={H - 8} textAnchor="middle">
        {say('plane.sourGLAs')}
      </text>
      <text className="quiet" transform={`translate(15 ${H / 2}) rotate(-90)`} textAnchor="middle">
        {say('plane.sweetGOfSugar')}
      </text>
    </>
  );
});
