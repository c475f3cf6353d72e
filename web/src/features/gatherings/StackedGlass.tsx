import { useId } from 'react';
import { GLASSES } from '../../shared/drawings/glasses.ts';
import { role } from '../../theme/theme.ts';

/** The largest and the smallest glass, px high. */
const LARGE = 88;
const SMALL = 34;
const { outline, drink } = GLASSES.tall;
const TOP = 30;
const FOOT = 132;

/**
 * A glass for a group: as large as what it drinks, its drinks lying in it in layers.
 * @param share of the largest group, 0 to 1: glasses grow with the cube root, as volumes do.
 */
export function StackedGlass(props: {
  share: number;
  parts: readonly { key: string; litres: number; colour: string }[];
}) {
  const { share, parts } = props;
  const clip = useId();
  const high = SMALL + (LARGE - SMALL) * Math.cbrt(Math.max(0, Math.min(1, share)));
  const whole = parts.reduce((sum, p) => sum + p.litres, 0);
  let y = FOOT;
  return (
    <svg viewBox="14 0 72 142" height={high} width={(high * 72) / 142} aria-hidden="true">
      <clipPath id={clip}>
        <path d={drink} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <rect x="0" y={TOP} width="100" height={FOOT - TOP} fill="#fff" opacity="0.5" />
        {parts.map((p) => {
          const tall = whole > 0 ? ((FOOT - TOP) * p.litres) / whole : 0;
          y -= tall;
          return <rect key={p.key} x="0" y={y} width="100" height={tall} fill={p.colour} />;
        })}
      </g>
      <path d={outline} fill="none" stroke={role('rim')} strokeWidth="4" strokeLinejoin="round" />
    </svg>
  );
}
