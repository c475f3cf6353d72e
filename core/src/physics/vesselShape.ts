/** A round, straight-sided vessel. Lengths in metres. */
export interface Shape {
  diameterM: number;
  heightM: number;
}

export const areaM2 = (diameterM: number): number => (Math.PI * diameterM ** 2) / 4;
export const capacityMl = (shape: Shape): number => areaM2(shape.diameterM) * shape.heightM * 1e6;
/** Height in metres at which `ml` stand. */
export const levelM = (ml: number, diameterM: number): number => ml / 1e6 / areaM2(diameterM);
/** Millilitres up to a height in metres. */
export const mlAtLevel = (heightM: number, diameterM: number): number => heightM * areaM2(diameterM) * 1e6;

/** The diameter of a cylinder as high as it is wide, for a bowl or tub nobody has measured. */
export const bowlDiameterM = (ml: number): number => Math.cbrt((4 * Math.max(ml, 1)) / 1e6 / Math.PI);
