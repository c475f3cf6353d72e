import {
  BOIL_LEVELS,
  type BoilLevel,
  LATENT_J_PER_G,
  LEAST_BOIL_FLUX,
  LID_STEAM,
  type Lid,
} from '../tables/constants.ts';

export interface BoilInput {
  level: BoilLevel;
  lid: Lid;
  /** Power that reaches the pot with the burner fully on, W. */
  powerW: number;
  /** Heat lost by the pot at the boil, W. */
  lossW: number;
  surfaceM2: number;
}

export interface BoilRate {
  litresPerH: number;
  /** What sets it: the open surface, or the heat that is left over. */
  bound: 'surface' | 'heat';
  /** The flame had to be turned up to hold a boil at all. */
  turnUp: boolean;
  /** Even fully on the burner cannot hold a boil. */
  tooWeak: boolean;
  setting: number;
}

/**
 * Water boiled away, L/h: the smaller of what the surface gives off under its lid, and what the heat left over
 * after the pot's losses can turn to steam. Where the flame could not hold the boil, the setting that holds it
 * is used and said.
 */
export function boilOff(input: BoilInput): BoilRate {
  const { fluxLPerHM2, setting } = BOIL_LEVELS[input.level];
  const steamLPerH = (share: number): number => ((input.powerW * share - input.lossW) / LATENT_J_PER_G) * 3.6;
  const least = LEAST_BOIL_FLUX * input.surfaceM2;
  const holdsAt = (least * LATENT_J_PER_G) / 3.6 / input.powerW + input.lossW / input.powerW;
  const turnUp = steamLPerH(setting) < least;
  const used = turnUp ? Math.min(1, holdsAt) : setting;
  const bySurface = fluxLPerHM2 * input.surfaceM2 * LID_STEAM[input.lid];
  const byHeat = steamLPerH(used);
  return {
    litresPerH: Math.max(0, Math.min(bySurface, byHeat)),
    bound: bySurface <= byHeat ? 'surface' : 'heat',
    turnUp,
    tooWeak: holdsAt > 1,
    setting: used,
  };
}
