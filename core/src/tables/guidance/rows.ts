import { FINISHING_ROWS } from './finishing.ts';
import { HEATING_ROWS } from './heating.ts';
import { PREPARING_ROWS } from './preparing.ts';
import { SERVING_ROWS } from './serving.ts';
import type { GuidanceRow } from './types.ts';

/**
 * Prompts, checks and cautions as rows. Screens ask this table; nothing about a fruit or a spice is written into a
 * screen. Wording is in `words/`: usual cautions, no health claims, no medical advice.
 */
export const GUIDANCE_ROWS: readonly GuidanceRow[] = [
  ...PREPARING_ROWS,
  ...HEATING_ROWS,
  ...FINISHING_ROWS,
  ...SERVING_ROWS,
];
