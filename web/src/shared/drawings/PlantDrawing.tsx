import { role } from '../../theme/theme.ts';
import { PLANTS } from './plants/plants.ts';

/**
 * The lines of a plant within a larger drawing, in a square of 64.
 * @param props.scales its lines grow with it, as they do on paper; else they are as wide at every size.
 */
export const PlantLines = ({
  plant,
  strokePx = 2,
  stroke: colour = role('rim'),
  scales = false,
}: {
  plant: string;
  strokePx?: number;
  stroke?: string;
  scales?: boolean;
}) => (
  <g fill="none" stroke={colour} strokeWidth={strokePx} strokeLinecap="round" strokeLinejoin="round">
    {(PLANTS[plant] ?? []).map((line, i) => {
      const [d, transform] = typeof line === 'string' ? [line, undefined] : line;
      return (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: the strokes of a drawing never move.
          key={i}
          d={d}
          transform={transform}
          vectorEffect={scales ? undefined : 'non-scaling-stroke'}
        />
      );
    })}
  </g>
);

/** Under this its lines would run into each other. */
const SMALL_PX = 48;

/** A plant, or a thing of the cupboard, as a line drawing beside its name. */
export const PlantDrawing = ({ plant, size = 40 }: { plant: string; size?: number }) => (
  <svg
    width={size}
    height={size}
    viewBox="0 0 64 64"
    aria-hidden="true"
    style={{ display: 'block', flex: 'none' }}
  >
    <PlantLines plant={plant} strokePx={size < SMALL_PX ? 1.4 : 2} />
  </svg>
);
