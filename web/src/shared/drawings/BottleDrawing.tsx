import { useId } from 'react';
import { role } from '../../theme/theme.ts';

/** A bottle to scale by its volume, filled to a share of its body. */
export function BottleDrawing(props: { sizeMl: number; share: number; colour: string; height?: number }) {
  // Bottles of one shape: height grows with the cube root of the volume; a litre stands 150 units.
  const high = 150 * Math.cbrt(props.sizeMl / 1000);
  const wide = high * 0.34;
  const neck = wide * 0.32;
  const capH = 9;
  const bodyTop = high * 0.42;
  const shoulder = high * 0.26;
  const mid = wide / 2;
  const body = `M ${mid - neck / 2} ${capH} L ${mid - neck / 2} ${shoulder} C ${mid - neck / 2} ${bodyTop * 0.86} 1 ${bodyTop * 0.82} 1 ${bodyTop} L 1 ${high - 6} Q 1 ${high} 7 ${high} L ${wide - 7} ${high} Q ${wide - 1} ${high} ${wide - 1} ${high - 6} L ${wide - 1} ${bodyTop} C ${wide - 1} ${bodyTop * 0.82} ${mid + neck / 2} ${bodyTop * 0.86} ${mid + neck / 2} ${shoulder} L ${mid + neck / 2} ${capH} Z`;
  const level = high - (high - shoulder) * Math.min(1, Math.max(0, props.share));
  const drink = useId();
  const shown = (props.height ?? 150) / 150;
  // One path, its lower part in the drink's colour: a clipped one costs a software renderer several times as much.
  const at = level / high;
  return (
    <svg
      width={wide * shown}
      height={high * shown}
      viewBox={`0 0 ${wide} ${high}`}
      aria-hidden="true"
      style={{ display: 'block' }}
    >
      <linearGradient id={drink} gradientUnits="userSpaceOnUse" x1={0} y1={0} x2={0} y2={high}>
        <stop offset={at} stopColor={role('enamel')} />
        <stop offset={at} stopColor={props.colour} />
      </linearGradient>
      <path d={body} fill={`url(#${drink})`} stroke={role('line')} strokeWidth={1.6} />
      <rect x={mid - neck / 2 - 2} y={0} width={neck + 4} height={capH} rx={2} fill={role('rim')} />
    </svg>
  );
}
