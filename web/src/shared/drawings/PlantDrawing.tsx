import { role } from '../../theme/theme.ts';
import { PLANTS } from './plants/plants.ts';

/** The lines of a plant within a larger drawing, in a square of 64. */
export const PlantLines = ({ plant, strokePx = 2 }: { plant: string; strokePx?: number }) => (
  <g fill="none" stroke={role('rim')} strokeWidth={strokePx} strokeLinecap="round" strokeLinejoin="round">
    {(PLANTS[plant] ?? []).map((stroke, i) =>
      typeof stroke === 'string' ? (
        // biome-ignore lint/suspicious/noArrayIndexKey: the strokes of a drawing never move.
        <path key={i} d={stroke} vectorEffect="non-scaling-stroke" />
      ) : (
        // biome-ignore lint/suspicious/noArrayIndexKey: the strokes of a drawing never move.
        <path key={i} d={stroke[0]} transform={stroke[1]} vectorEffect="non-scaling-stroke" />
      ),
    )}
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
