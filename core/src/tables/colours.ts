import type { Confidence, MarkerId, TintId } from './types.ts';

/** What a litre with 1 g of it does to light, per cm: what it takes of red (610 nm), green (540) and blue (460), decadic, and what it throws back. */
interface Looks {
  absorbance: readonly [number, number, number];
  /** Cloudiness: light thrown back. */
  haze: number;
  confidence: Confidence;
  source: string;
}

// biome-ignore format: a table reads by rows
export const COLOUR_ROWS: readonly (Looks & { marker: MarkerId })[] = [
  { marker: 'red', absorbance: [0.004, 0.14, 0.055], haze: 0, confidence: 'l', source: 'Calyx red at pH up to 2.8, set by eye against dilutions' },
  { marker: 'calyx', absorbance: [0.001, 0.004, 0.012], haze: 0.001, confidence: 'l', source: 'What is left brownish when the red has faded, set by eye' },
  { marker: 'ginger', absorbance: [0.0002, 0.0006, 0.0022], haze: 0.01, confidence: 'l', source: 'Pale straw of a ginger brew, cloudy with its starch where much of it went in raw, set by eye' },
  { marker: 'turmeric', absorbance: [0.001, 0.02, 0.25], haze: 0.05, confidence: 'l', source: 'Strong yellow of the root, set by eye' },
  { marker: 'peel', absorbance: [0.0002, 0.0008, 0.003], haze: 0.0003, confidence: 'l', source: 'Yellow of a peel brew, set by eye' },
  { marker: 'spice', absorbance: [0.006, 0.015, 0.04], haze: 0, confidence: 'l', source: 'Brown of a bark and berry brew, set by eye' },
  { marker: 'clove', absorbance: [0.006, 0.015, 0.04], haze: 0, confidence: 'l', source: 'As other whole spices' },
  { marker: 'chilli', absorbance: [0.003, 0.02, 0.05], haze: 0, confidence: 'l', source: 'Orange of ground chilli, set by eye' },
  { marker: 'herb', absorbance: [0.002, 0.0015, 0.01], haze: 0, confidence: 'l', source: 'Green-yellow of a leaf brew, set by eye' },
  { marker: 'tamarind', absorbance: [0.003, 0.009, 0.025], haze: 0.02, confidence: 'l', source: 'Brown of the pulp, set by eye' },
  { marker: 'date', absorbance: [0.003, 0.008, 0.02], haze: 0.02, confidence: 'l', source: 'Brown of the fruit, set by eye' },
  { marker: 'fruit', absorbance: [0.0001, 0.0003, 0.001], haze: 0.001, confidence: 'l', source: 'Pale fruit brew, set by eye' },
];

// biome-ignore format: a table reads by rows
export const TINT_ROWS: readonly (Looks & { tint: TintId })[] = [
  { tint: 'pulp', absorbance: [0.0001, 0.0002, 0.001], haze: 0.004, confidence: 'l', source: 'Cloud of a pale pressed fruit, set by eye against lemon juice in water' },
  { tint: 'yellowPulp', absorbance: [0.0001, 0.0007, 0.011], haze: 0.008, confidence: 'l', source: 'Cloud and yellow of pineapple and orange, set by eye' },
  { tint: 'pinkPulp', absorbance: [0.0002, 0.003, 0.0022], haze: 0.01, confidence: 'l', source: 'Cloud and pink of watermelon, set by eye' },
  { tint: 'berry', absorbance: [0.0002, 0.0035, 0.0018], haze: 0.0003, confidence: 'l', source: 'Clear red of cranberry, set by eye' },
  { tint: 'brown', absorbance: [0.008, 0.03, 0.09], haze: 0.002, confidence: 'l', source: 'Brown of molasses, of which paler syrups are a share, set by eye' },
  { tint: 'milk', absorbance: [0, 0.0001, 0.0003], haze: 0.08, confidence: 'l', source: 'Coconut milk of a fifth fat: white from a few per cent on, set by eye' },
];
