/** How high a usual pot is for its width. Source: stock pots of 5 to 30 L in household shops, 0.65 to 0.85. */
const HEIGHT_TO_WIDTH = 0.75;
/** Litres in a US liquid quart and gallon. */
const LITRES_PER = { litre: 1, quart: 0.946353, gallon: 3.785412 } as const;
export type PotUnit = keyof typeof LITRES_PER;
export const POT_UNITS = Object.keys(LITRES_PER) as PotUnit[];

/** A size as it is stamped on a pot, in litres. */
export const potLitres = (size: number, unit: PotUnit): number => size * LITRES_PER[unit];

/**
 * Width and height inside of a pot that is known by its litres only: V = π/4 · d² · 0.75 d.
 * @returns centimetres, to the millimetre; the volume comes out within 1.5 %.
 */
export function usualShape(litres: number): { diameterCm: number; heightCm: number } {
  const diameterCm = Math.cbrt((litres * 1000 * 4) / (Math.PI * HEIGHT_TO_WIDTH));
  const round = (cm: number) => Math.round(cm * 10) / 10;
  return { diameterCm: round(diameterCm), heightCm: round(diameterCm * HEIGHT_TO_WIDTH) };
}
