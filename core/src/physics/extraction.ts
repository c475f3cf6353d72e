import { GAS_CONSTANT, RED_FADE } from '../tables/constants.ts';

/** From this share on what is left in a solid is beyond any scale. */
export const ALL_DRAWN = 1 - 1e-9;

const KELVIN = 273.15;
const AT_100_K = 373.15;

/** How much slower than at 100 °C a process of that activation energy runs. */
export const arrhenius = (activationKJ: number, tempC: number): number =>
  Math.exp(((-activationKJ * 1000) / GAS_CONSTANT) * (1 / (tempC + KELVIN) - 1 / AT_100_K));

/**
 * Share drawn after `minutes` at a temperature, from a share already drawn: dE/dt = k(T)·(1 − E).
 * @param rate100PerMin null: not modelled, nothing is drawn.
 */
export function drawnAfter(
  drawn: number,
  rate100PerMin: number | null,
  activationKJ: number | null,
  tempC: number,
  minutes: number,
): number {
  if (rate100PerMin === null || activationKJ === null) return drawn;
  return 1 - (1 - drawn) * Math.exp(-rate100PerMin * arrhenius(activationKJ, tempC) * minutes);
}

const FADE_100_PER_MIN = Math.LN2 / (RED_FADE.halfLifeH100 * 60);
const SLOWEST_PER_MIN = Math.LN2 / (RED_FADE.slowestHalfLifeDays * 24 * 60);

/** Share of the calyx red that is left after `minutes` at a temperature. */
export const redLeft = (tempC: number, minutes: number): number =>
  Math.exp(-Math.max(SLOWEST_PER_MIN, FADE_100_PER_MIN * arrhenius(RED_FADE.activationKJ, tempC)) * minutes);
