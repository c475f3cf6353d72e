/**
 * How alcohol goes off with the steam. Over a water and ethanol liquor the vapour is richer in ethanol than the liquor:
 * y₁/y₂ = α · x₁/x₂ with the relative volatility α = γ₁P₁/(γ₂P₂). Activity coefficients by the van Laar equations,
 * ln γ₁ = A₁₂/(1 + A₁₂x₁/(A₂₁x₂))², ln γ₂ = A₂₁/(1 + A₂₁x₂/(A₁₂x₁))², with A₁₂ = 1.6798 and A₂₁ = 0.9227 (ethanol,
 * water); P₁/P₂, the ratio of the pure vapour pressures, is 2.2 to 2.3 between 60 and 100 °C. Source: standard tables of
 * vapour-liquid equilibria at normal pressure.
 */
const A12 = 1.6798;
const A21 = 0.9227;
/** Vapour pressure of ethanol over that of water near the boil: 2.2 at 100 °C, a little more below. */
const PRESSURE_RATIO = 2.2;
const ETHANOL_G_PER_MOL = 46.07;
const WATER_G_PER_MOL = 18.015;

/**
 * Relative volatility of ethanol over water: about 12 in next to nothing of it, 9 at a tenth by volume, 5 at a third;
 * near 1 where spirit is almost pure.
 * @param x1 moles of ethanol in a mole of the mixture, 0 to 1.
 */
export function relativeVolatility(x1: number): number {
  const x2 = 1 - x1;
  if (x2 <= 0) return PRESSURE_RATIO * Math.exp(-A21);
  if (x1 <= 0) return PRESSURE_RATIO * Math.exp(A12);
  const lnGamma1 = A12 / (1 + (A12 * x1) / (A21 * x2)) ** 2;
  const lnGamma2 = A21 / (1 + (A21 * x2) / (A12 * x1)) ** 2;
  return PRESSURE_RATIO * Math.exp(lnGamma1 - lnGamma2);
}

/** Steam is taken in pieces of at most this share of the water, in each of which α is held. */
const PIECE = 0.05;

/**
 * Ethanol left when water has gone as steam, g: dE/E = α·dW/W (Rayleigh), so E falls as (W/W₀)^α.
 * @param steamG water that goes, less than `waterG`.
 */
export function ethanolLeftG(ethanolG: number, waterG: number, steamG: number): number {
  if (ethanolG <= 0 || steamG <= 0) return ethanolG;
  let left = ethanolG;
  let water = waterG;
  const endG = waterG - steamG;
  while (water > endG) {
    const next = Math.max(endG, water * (1 - PIECE));
    const moles1 = left / ETHANOL_G_PER_MOL;
    const alpha = relativeVolatility(moles1 / (moles1 + water / WATER_G_PER_MOL));
    left *= (next / water) ** Math.max(1, alpha);
    water = next;
  }
  return left;
}
