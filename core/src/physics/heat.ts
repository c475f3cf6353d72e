import { saturationKPa } from '../liquor/water.ts';
import { HEAT_CAPACITY_J, LATENT_J_PER_G, LID_HEAT, LID_STEAM, type Lid } from '../tables/constants.ts';
import { areaM2 } from './vesselShape.ts';

/** Boiling point of water at an altitude, °C. Source: 1 °C per 300 m. */
export const boilingPointC = (altitudeM: number): number => 100 - altitudeM / 300;

/** Where a vessel stands; each loses heat in its own way. */
export type Place = 'stove' | 'counter' | 'fridge' | 'iceBath' | 'trays';

/** Heat-transfer coefficients, W/m²K, and how much of the top counts. Source: general values for still air, a fridge and stirred ice water. */
const TRANSFER: Record<Place, { h: number; top: number; base: number }> = {
  stove: { h: 10, top: 1.5, base: 0 },
  counter: { h: 10, top: 1.5, base: 0 },
  trays: { h: 10, top: 1.5, base: 0 },
  fridge: { h: 8, top: 1.5, base: 0 },
  iceBath: { h: 150, top: 0, base: 1 },
};

/** UA of a vessel filled to `levelMetres`, W/K. */
export function lossWPerK(place: Place, diameterM: number, levelMetres: number): number {
  const { h, top, base } = TRANSFER[place];
  const side = Math.PI * diameterM * levelMetres;
  return h * (side + (top + base) * areaM2(diameterM));
}

/** UA of a closed bottle in the fridge, W/K: side, base and top at 8 W/m²K. */
export const bottleLossWPerK = (diameterM: number, levelMetres: number): number =>
  8 * (Math.PI * diameterM * levelMetres + 2 * areaM2(diameterM));

/** Water given off below the boil by an open surface, L/h: 0.07·(p(T) − 0.5·p(Tₐ)) per m², p in kPa, never negative. Source: general open-pan evaporation in still room air. */
const openEvaporation = (tempC: number, airKPa: number, surfaceM2: number): number =>
  Math.max(0, 0.07 * (saturationKPa(tempC) - airKPa)) * surfaceM2;

/** Everything that decides how a vessel's temperature moves. */
export interface ThermalSetting {
  /** Heat capacity of the contents and the vessel, J/K. */
  capacityJPerK: number;
  lossWPerK: number;
  ambientC: number;
  powerW: number;
  surfaceM2: number;
  lid: Lid;
}

/** One short stretch of a temperature path; within it the path is exponential. */
export interface Stretch {
  minutes: number;
  fromC: number;
  toC: number;
  steamL: number;
}

export type PathEnd = 'reached' | 'timeUp' | 'never';

/** Largest change of temperature in one stretch, °C: keeps the rate of extraction along the path within half a per cent. */
const STRETCH_C = 6;
/** Temperatures at which something begins or ends to count: a stretch ends there, so that the moment is exact, °C. */
const MARKS_C = [85, 60, 21, 8, 5];
const nextMark = (fromC: number, direction: number, toC: number): number =>
  MARKS_C.reduce(
    (next, mark) => ((mark - fromC) * direction > 1e-9 && (next - mark) * direction > 0 ? mark : next),
    toC,
  );
/** Closer to its end temperature than this a vessel counts as settled, °C. */
const SETTLED_C = 0.02;
/** Rounds in which the middle of a stretch is found: each takes the miss down to a tenth or less. */
const MIDDLE_ROUNDS = 3;
/** Longest stretch, minutes. */
const STRETCH_MIN = 240;
/** A path that takes longer than this never gets there for a cook, minutes. */
const NEVER_MIN = 6 * 24 * 60;

/**
 * The temperature path of a vessel from `fromC`, to `targetC` or for `minutes`, whichever is given.
 *
 * m·c·dT/dt = P − UA·(T − Tₐ) − evaporative heat. In each stretch the evaporative heat is held at its middle, so
 * T moves exponentially towards Tₐ + (P − Q)/UA: with the lid on this is exact whatever the stretches.
 */
export function temperaturePath(
  fromC: number,
  setting: ThermalSetting,
  until: { targetC: number } | { minutes: number },
): { stretches: Stretch[]; minutes: number; endC: number; end: PathEnd } {
  const targetC = 'targetC' in until ? until.targetC : null;
  const limitMin = 'minutes' in until ? until.minutes : NEVER_MIN;
  const tauMin = setting.capacityJPerK / setting.lossWPerK / 60;
  const airKPa = 0.5 * saturationKPa(setting.ambientC);
  // W for each L/h that takes heat with it; under a closed lid none does, and the path is exact.
  const wattsPerLPerH = ((1000 * LATENT_J_PER_G) / 3600) * LID_HEAT[setting.lid];
  const steamShare = LID_STEAM[setting.lid];
  const driveC = setting.ambientC + setting.powerW / setting.lossWPerK;
  const settlesAt = (tempC: number): number =>
    wattsPerLPerH === 0
      ? driveC
      : driveC - (openEvaporation(tempC, airKPa, setting.surfaceM2) * wattsPerLPerH) / setting.lossWPerK;

  const stretches: Stretch[] = [];
  let tempC = fromC;
  let gone = 0;
  const done = (end: PathEnd) => ({ stretches, minutes: gone, endC: tempC, end });
  if (!(setting.capacityJPerK > 0)) return done(targetC === null ? 'timeUp' : 'reached');

  for (let guard = 0; guard < 2000; guard++) {
    if (targetC !== null && Math.abs(tempC - targetC) < 1e-9) return done('reached');
    if (gone >= limitMin - 1e-9) return done(targetC === null ? 'timeUp' : 'never');
    const direction = Math.sign(settlesAt(tempC) - tempC) || 1;
    let nextC = nextMark(tempC, direction, tempC + direction * STRETCH_C);
    if (targetC !== null) {
      if (Math.sign(targetC - tempC) !== direction) return done('never');
      nextC = direction > 0 ? Math.min(nextC, targetC) : Math.max(nextC, targetC);
    }
    const restC = settlesAt((tempC + nextC) / 2);
    const left = limitMin - gone;
    let minutes: number;
    if ((restC - nextC) * direction > SETTLED_C) {
      minutes = tauMin * Math.log((tempC - restC) / (nextC - restC));
    } else {
      if (targetC !== null && nextC === targetC) return done('never');
      minutes = Math.abs(restC - tempC) < SETTLED_C ? left : Math.min(left, tauMin / 2);
    }
    const cut = minutes > Math.min(left, STRETCH_MIN);
    minutes = Math.min(minutes, left, STRETCH_MIN);
    const reaches = (settlesC: number): number => settlesC + (tempC - settlesC) * Math.exp(-minutes / tauMin);
    const reached = !cut && (restC - nextC) * direction > SETTLED_C;
    let toC = reached ? nextC : reaches(restC);
    // Cut short by the clock or by its end temperature, the stretch has another middle than was assumed: taken again with
    // its own, until it stays where it is.
    if (!reached && wattsPerLPerH > 0)
      for (let round = 0; round < MIDDLE_ROUNDS; round++) toC = reaches(settlesAt((tempC + toC) / 2));
    const endC = Number.isFinite(toC) ? toC : tempC;
    const steamL =
      (openEvaporation((tempC + endC) / 2, airKPa, setting.surfaceM2) * steamShare * minutes) / 60;
    stretches.push({ minutes, fromC: tempC, toC: endC, steamL });
    gone += minutes;
    tempC = endC;
  }
  return done('never');
}

/** What keeps a vessel at its temperature, W: what it loses, and what its surface gives off. */
export const holdingW = (tempC: number, setting: Omit<ThermalSetting, 'capacityJPerK' | 'powerW'>): number =>
  Math.max(0, setting.lossWPerK * (tempC - setting.ambientC)) +
  (openEvaporation(tempC, 0.5 * saturationKPa(setting.ambientC), setting.surfaceM2) *
    1000 *
    LATENT_J_PER_G *
    LID_HEAT[setting.lid]) /
    3600;

/** A vessel kept at its temperature by a low flame for so long: only what its surface gives off leaves it. */
export function heldPath(
  tempC: number,
  setting: Pick<ThermalSetting, 'ambientC' | 'surfaceM2' | 'lid'>,
  minutes: number,
): Stretch[] {
  const perMin =
    (openEvaporation(tempC, 0.5 * saturationKPa(setting.ambientC), setting.surfaceM2) *
      LID_STEAM[setting.lid]) /
    60;
  const parts = Math.max(1, Math.ceil(minutes / STRETCH_MIN));
  return Array.from({ length: parts }, () => ({
    minutes: minutes / parts,
    fromC: tempC,
    toC: tempC,
    steamL: (perMin * minutes) / parts,
  }));
}

/** Heat capacity of liquor, wet solids and the vessel itself, J/K. */
export const heatCapacityJPerK = (
  liquorG: number,
  solidsG: number,
  vesselG: number,
  steelShare: number,
): number => ((liquorG + solidsG + steelShare * vesselG) / 1000) * HEAT_CAPACITY_J;
