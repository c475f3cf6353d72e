import { expansion } from '../liquor/water.ts';
import { BRIM_SHARE, FLOAT_ML_PER_G, FOAM_SHARE } from '../tables/constants.ts';
import type { FoamClass, IngredientRow } from '../tables/types.ts';

/** Room a solid takes in the pot, mL: a fresh solid's own water has joined the liquid and is not counted twice. */
export function solidVolumeMl(row: IngredientRow, massG: number): number {
  const own = row.displaceMlPerG - row.waterPct / 100;
  return massG * (Math.max(0, own) + (row.floats ? FLOAT_ML_PER_G : 0));
}

/** Height the contents stand at, in mL of vessel: liquid at its temperature and the solids. */
export const hotFillMl = (liquorMl: number, tempC: number, solidsMl: number): number =>
  liquorMl * expansion(tempC) + solidsMl;

const FOAM_ORDER: FoamClass[] = ['quiet', 'foamy', 'milky'];
/** The liveliest foam of several ingredients. */
export const foamOf = (classes: readonly FoamClass[]): FoamClass =>
  classes.reduce<FoamClass>(
    (worst, c) => (FOAM_ORDER.indexOf(c) > FOAM_ORDER.indexOf(worst) ? c : worst),
    'quiet',
  );

export interface Room {
  capacityMl: number;
  fillMl: number;
  foamMl: number;
  /** Fill and foam together may take this much. */
  limitMl: number;
  /** Positive: room to spare; negative: too much by that. */
  spareMl: number;
  foam: FoamClass;
}

/** Does it fit? Hot contents and foam against 92 % of the brim. */
export function roomIn(capacityMl: number, fillMl: number, foam: FoamClass): Room {
  const foamMl = FOAM_SHARE[foam] * capacityMl;
  const limitMl = BRIM_SHARE * capacityMl;
  return { capacityMl, fillMl, foamMl, limitMl, spareMl: limitMl - fillMl - foamMl, foam };
}

/** Dried calyx swells: the height of its bed grows by this. */
const SWELL = 1.3;

/**
 * Water "to cover plus n cm", mL: area × (height of the bed + n) less the room the solids themselves take.
 * @param solids what lies in the vessel, g.
 */
export function coverWaterMl(
  surfaceM2: number,
  plusCm: number,
  solids: readonly { row: IngredientRow; massG: number }[],
): number {
  const bedMl = solids.reduce((sum, s) => sum + (s.massG / s.row.bulkGPerMl) * (s.row.floats ? SWELL : 1), 0);
  const takenMl = solids.reduce((sum, s) => sum + s.massG * s.row.displaceMlPerG, 0);
  return Math.max(0, bedMl + surfaceM2 * plusCm * 1e4 - takenMl);
}
