import { type Composition, volumeMl } from './composition.ts';

/** Citric acid's three steps and acetic's one. Source: standard tables, 25 °C. */
const K1 = 10 ** -3.13;
const K2 = 10 ** -4.76;
const K3 = 10 ** -6.4;
const K_ACETIC = 10 ** -4.76;
const K_WATER = 1e-14;
/** Grams of citric acid per mole of titratable hydrogen (192.12 / 3). */
const CITRIC_G_PER_EQ = 64.04;
const ACETIC_G_PER_MOL = 60.05;

export type PhEstimate = { kind: 'estimate'; pH: number } | { kind: 'tooLittleAcid' };

/** Charges per citric molecule at hydrogen h: (a₁+2a₂+3a₃)/(1+a₁+a₂+a₃). */
function citricCharge(h: number): number {
  const a1 = K1 / h;
  const a2 = (a1 * K2) / h;
  const a3 = (a2 * K3) / h;
  return (a1 + 2 * a2 + 3 * a3) / (1 + a1 + a2 + a3);
}

/** Alkali that no acid is left to meet: above this the balance is of alkali alone. */
const NEUTRAL = 7;
/** Less acid than this says nothing of the pH, mol/L. */
const LEAST_ACID_MOL = 0.001;

/** Positive charges minus negative ones, mol/L; it falls as pH rises, so there is one root. */
function excessCharge(pH: number, K: number, C: number, A: number): number {
  const h = 10 ** -pH;
  return h + K - C * citricCharge(h) - A / (1 + h / K_ACETIC) - K_WATER / h;
}

/**
 * pH by charge balance of citric-equivalent acid, acetic acid and alkali, by bisection between pH 1 and 7.
 * Citric stands for all fruit acids, so this is an estimate and is always labelled so.
 * @param taGPerL titratable acidity as citric, without acetic.
 * @returns `tooLittleAcid` under 1 mmol/L of acid, where nothing titrates, and where the balance lands above neutral: there
 *   it says nothing.
 */
export function estimatePh(taGPerL: number, alkaliMeqPerL: number, aceticGPerL = 0): PhEstimate {
  const K = alkaliMeqPerL / 1000;
  const A = aceticGPerL / ACETIC_G_PER_MOL;
  const C = (taGPerL / CITRIC_G_PER_EQ + K) / 3;
  if (C + A < LEAST_ACID_MOL || taGPerL + aceticGPerL <= 0) return { kind: 'tooLittleAcid' };
  if (excessCharge(NEUTRAL, K, C, A) > 0) return { kind: 'tooLittleAcid' };
  let low = 1;
  let high = NEUTRAL;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (excessCharge(middle, K, C, A) > 0) low = middle;
    else high = middle;
  }
  return { kind: 'estimate', pH: (low + high) / 2 };
}

/**
 * Whether the charge balance puts the pH at or below a value: one look at its sign, for what is asked many times.
 * False where there is too little acid to estimate.
 */
export function isAtMostPh(pH: number, taGPerL: number, alkaliMeqPerL: number, aceticGPerL: number): boolean {
  const K = alkaliMeqPerL / 1000;
  const A = aceticGPerL / ACETIC_G_PER_MOL;
  const C = (taGPerL / CITRIC_G_PER_EQ + K) / 3;
  if (C + A < LEAST_ACID_MOL) return false;
  return excessCharge(pH, K, C, A) <= 0;
}

export function phOf(c: Composition): PhEstimate {
  const litres = volumeMl(c) / 1000;
  if (litres <= 0) return { kind: 'tooLittleAcid' };
  return estimatePh(c.acidG / litres, c.alkaliMeq / litres, c.aceticG / litres);
}

/**
 * The composition with its alkali changed so that the balance gives the pH that was read: the balance is linear
 * in the alkali, K(1 − f/3) = f·TA/(3·64.04) + acetate + OH⁻ − h with f the charge per citric molecule, so what is
 * added later starts from the reading.
 */
export function withPh(c: Composition, pH: number): Composition {
  const litres = volumeMl(c) / 1000;
  if (litres <= 0) return c;
  const h = 10 ** -pH;
  const f = citricCharge(h);
  const acetate = c.aceticG / litres / ACETIC_G_PER_MOL / (1 + h / K_ACETIC);
  // Near full charge (pH above 8) the reading says nothing about the alkali.
  if (f > 2.97) return c;
  const K = ((f * (c.acidG / litres)) / (3 * CITRIC_G_PER_EQ) + acetate + K_WATER / h - h) / (1 - f / 3);
  const alkaliMeq = K * 1000 * litres;
  // A reading may bring bad news that stays; good news is its own evidence, for as long as it counts.
  return { ...c, alkaliMeq, unprovedMeq: Math.max(0, c.alkaliMeq + c.unprovedMeq - alkaliMeq) };
}
