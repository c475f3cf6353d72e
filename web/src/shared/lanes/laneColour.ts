import { colourOf, luminanceOf, volumeMl } from '@big-ladle/core/liquor';
import type { LaneState } from '@big-ladle/core/plan';
import { role } from '../../theme/theme.ts';

/** A glass of it, cm: what the ribbon's colour is seen through. */
const PATH_CM = 3;
/** Paler than this it is drawn as water. */
const PALE = 0.8;

/** The colour of what stands in a lane; of what is nearly clear, that of water. */
export const colourIn = (state: LaneState): string => {
  const colour = volumeMl(state.liquor) < 1 ? '#ffffff' : colourOf(state.liquor, PATH_CM);
  return luminanceOf(colour) > PALE ? `color-mix(in srgb, ${role('cold')} 24%, ${role('enamel')})` : colour;
};
