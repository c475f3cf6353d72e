import { areaM2, type FieldUnit } from '@big-ladle/core/units';
import { useId } from 'react';
import { role } from '../../theme/theme.ts';
import { centimetres, litres, unitOfField } from '../../words/quantities.ts';

export interface VesselMark {
  /** Height of the mark, cm. */
  levelCm: number;
  text: string;
}

export interface VesselDrawingProps {
  name: string;
  diameterCm: number;
  heightCm: number;
  /** Height of the contents, cm, at their temperature, solids included. */
  levelCm: number;
  /** Litres as they stand, at their temperature, solids aside. */
  standsL: number;
  /** Height that contents and foam together may reach, and the foam's part of it, cm. */
  limitCm?: number;
  foamCm?: number;
  colour: string;
  solids?: string | undefined;
  marks?: readonly VesselMark[];
  lid?: boolean;
  pxPerCm?: number;
  /** What the picture says, for those who do not see it. */
  description: string;
}

const SIDE = 78;
const TOP = 34;
const FOOT = 14;

/** A step of 1, 2 or 5 that gives about five ticks. */
const tickStep = (range: number): number => [0.5, 1, 2, 5, 10, 20].find((s) => range / s <= 6) ?? 50;

/** Marks along an edge in the kitchen's unit, up to so much of what the drawing counts in. */
function ticksUpTo(most: number, unit: FieldUnit): { text: number; at: number }[] {
  const step = tickStep(unit.shown(most));
  return Array.from({ length: Math.floor(unit.shown(most) / step) }, (_, i) => {
    const text = (i + 1) * step;
    return { text, at: unit.held(text) };
  });
}

/**
 * A pot in cross-section, to scale: litres on one edge, centimetres from the bottom on the other, liquor in its
 * expected colour, room for foam, the brim, and faint marks for what is to come.
 */
export function VesselDrawing(props: VesselDrawingProps) {
  const gradient = useId();
  const px = props.pxPerCm ?? Math.min(250 / props.diameterCm, 300 / props.heightCm);
  const potW = props.diameterCm * px;
  const potH = props.heightCm * px;
  const width = potW + 2 * SIDE;
  const height = potH + TOP + FOOT;
  const left = SIDE;
  const right = SIDE + potW;
  const bottom = TOP + potH;
  const y = (cm: number) => bottom - Math.min(cm, props.heightCm * 1.12) * px;
  const area = areaM2(props.diameterCm / 100) * 1e4;
  const capacityL = (area * props.heightCm) / 1000;
  const levelH = Math.max(0, bottom - y(props.levelCm));
  const overfull = props.limitCm !== undefined && props.levelCm + (props.foamCm ?? 0) > props.limitCm * 1.001;
  const inVolume = unitOfField('L', 1);
  const inLength = unitOfField('cm', 1);
  const near = (cm: number) => Math.abs(cm - props.levelCm) * px < 15;
  const tick = { fontSize: 13, fill: role('inkMuted') };

  // Marks that would lie on one another are moved apart, each with a line to its own height.
  const placed: (VesselMark & { y: number; labelY: number })[] = [];
  for (const mark of [...(props.marks ?? [])].sort((a, b) => b.levelCm - a.levelCm)) {
    const at = y(mark.levelCm);
    const before = placed.at(-1);
    placed.push({
      ...mark,
      y: at,
      labelY: Math.min(bottom - 12, before ? Math.max(at, before.labelY + 24) : Math.max(at, TOP + 12)),
    });
  }

  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      role="img"
      aria-label={props.description}
      data-testid="vessel"
      data-px-per-cm={px}
      style={{
        maxWidth: '100%',
        height: 'auto',
        display: 'block',
        marginInline: 'auto',
        fontFamily: 'inherit',
      }}
    >
      <defs>
        <linearGradient id={gradient} x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor={`color-mix(in srgb, ${props.colour} 92%, white)`} />
          <stop offset="1" stopColor={props.colour} />
        </linearGradient>
      </defs>
      <rect x={left} y={TOP} width={potW} height={potH} fill={role('enamel')} />
      {props.foamCm !== undefined && props.foamCm > 0 && (
        <rect
          x={left}
          y={y(props.levelCm + props.foamCm)}
          width={potW}
          height={props.foamCm * px}
          fill={props.colour}
          opacity={0.16}
          data-testid="foam"
        />
      )}
      <rect
        x={left}
        y={bottom - levelH}
        width={potW}
        height={levelH}
        fill={`url(#${gradient})`}
        data-testid="liquor"
        style={{ transition: 'height 160ms, y 160ms' }}
      />
      {props.limitCm !== undefined && (
        <line
          x1={left}
          x2={right}
          y1={y(props.limitCm)}
          y2={y(props.limitCm)}
          stroke={overfull ? role('danger') : role('line')}
          strokeWidth={overfull ? 3 : 1.5}
          strokeDasharray="2 4"
        />
      )}
      <path
        d={`M ${left - 16} ${TOP} L ${left} ${TOP} L ${left} ${bottom - 12} Q ${left} ${bottom} ${left + 12} ${bottom} L ${right - 12} ${bottom} Q ${right} ${bottom} ${right} ${bottom - 12} L ${right} ${TOP} L ${right + 16} ${TOP}`}
        fill="none"
        stroke={role('rim')}
        strokeWidth={4.5}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {props.lid && (
        <g stroke={role('rim')} strokeWidth={4.5} strokeLinecap="round">
          <line x1={left - 12} x2={right + 12} y1={TOP - 10} y2={TOP - 10} />
          <line x1={(left + right) / 2 - 12} x2={(left + right) / 2 + 12} y1={TOP - 19} y2={TOP - 19} />
        </g>
      )}
      {ticksUpTo(capacityL, inVolume).map(({ text, at }) => {
        const cm = (at * 1000) / area;
        return (
          <g key={`l${text}`}>
            <line x1={left - 12} x2={left - 5} y1={y(cm)} y2={y(cm)} stroke={role('line')} />
            {!near(cm) && (
              <text x={left - 17} y={y(cm) + 4} textAnchor="end" {...tick}>
                {text}
              </text>
            )}
          </g>
        );
      })}
      {ticksUpTo(props.heightCm, inLength).map(({ text, at: cm }) => (
        <g key={`c${text}`}>
          <line x1={right + 5} x2={right + 12} y1={y(cm)} y2={y(cm)} stroke={role('line')} />
          {!near(cm) && (
            <text x={right + 17} y={y(cm) + 4} {...tick}>
              {text}
            </text>
          )}
        </g>
      ))}
      {props.levelCm > 0 && (
        <g fontSize={15} fontWeight={700} fill={role('ink')}>
          <text x={left - 14} y={y(props.levelCm) + 5} textAnchor="end">
            {litres(props.standsL)}
          </text>
          <text x={right + 14} y={y(props.levelCm) + 5}>
            {centimetres(props.levelCm)}
          </text>
        </g>
      )}
      {placed.map((mark) => (
        <g key={mark.text}>
          <path
            d={`M ${left + 6} ${mark.y} L ${left + 30} ${mark.y} L ${left + 40} ${mark.labelY}`}
            fill="none"
            stroke={role('enamel')}
            strokeWidth={4}
            opacity={0.8}
          />
          <path
            d={`M ${left + 6} ${mark.y} L ${left + 30} ${mark.y} L ${left + 40} ${mark.labelY}`}
            fill="none"
            stroke={role('ink')}
            strokeWidth={1.5}
            strokeDasharray="4 3"
          />
          <rect
            x={left + 40}
            y={mark.labelY - 10}
            width={mark.text.length * 7 + 12}
            height={20}
            rx={4}
            fill={role('enamel')}
            opacity={0.94}
          />
          <text x={left + 46} y={mark.labelY + 4.5} fontSize={13} fill={role('ink')}>
            {mark.text}
          </text>
        </g>
      ))}
      {props.solids && (
        <g>
          <rect
            x={(left + right) / 2 - props.solids.length * 3.6 - 8}
            y={bottom - 30}
            width={props.solids.length * 7.2 + 16}
            height={20}
            rx={4}
            fill={role('enamel')}
            opacity={0.94}
          />
          <text x={(left + right) / 2} y={bottom - 15.5} textAnchor="middle" fontSize={13} fill={role('ink')}>
            {props.solids}
          </text>
        </g>
      )}
      <text x={left - 17} y={TOP - 12} textAnchor="end" {...tick}>
        {inVolume.symbol}
      </text>
      <text x={right + 17} y={TOP - 12} {...tick}>
        {inLength.symbol}
      </text>
    </svg>
  );
}
