/** Water's own properties along temperature. */

/**
 * Density of water, g/mL, 0 to 100 °C. Source: G. S. Kell's rational polynomial (1975), good to a part in 10⁵ here.
 */
export function waterDensityGPerMl(tempC: number): number {
  const t = tempC;
  const top =
    999.83952 +
    t * (16.945176 + t * (-7.9870401e-3 + t * (-46.170461e-6 + t * (105.56302e-9 - t * 280.54253e-12))));
  return top / (1 + 16.87985e-3 * t) / 1000;
}

const DENSITY_20 = waterDensityGPerMl(20);

/** How much more room a liquor takes at a temperature than at 20 °C: 12.00 L stands as 12.50 L at 100 °C. */
export const expansion = (tempC: number): number => DENSITY_20 / waterDensityGPerMl(tempC);

/** Cold litres (20 °C) of a volume read at a temperature. */
export const coldVolume = (volume: number, tempC: number): number => volume / expansion(tempC);

/** One millimetre of mercury, kPa. */
const MMHG_KPA = 101.325 / 760;

/**
 * Saturation pressure of water vapour, kPa. Source: Antoine's equation with the usual constants for 1 to 100 °C,
 * within 0.5 %.
 */
export const saturationKPa = (tempC: number): number =>
  MMHG_KPA * Math.exp(Math.LN10 * (8.07131 - 1730.63 / (233.426 + tempC)));
