import type { RecipeLine } from '../documents/recipe.ts';

/**
 * Grams of a line for `factor` times the recipe. A per-pot line counts once for each fill; lines that are worked out
 * later (to a volume, a target, a result) have nothing yet.
 */
export function lineMassG(line: RecipeLine, factor: number, fills: number): number {
  switch (line.rule.kind) {
    case 'linear':
      return line.massG * factor;
    case 'power':
      return line.massG * factor ** line.rule.exponent;
    case 'perPot':
      return line.massG * fills;
    case 'cover':
    case 'byResult':
    case 'toTarget':
    case 'toVolume':
      return 0;
  }
}

/**
 * How many times the recipe uses up so many grams of a line; null where the line does not decide the size.
 */
export function scaleForMass(line: RecipeLine, massG: number): number | null {
  if (line.massG <= 0) return null;
  switch (line.rule.kind) {
    case 'linear':
      return massG / line.massG;
    case 'power':
      return (massG / line.massG) ** (1 / line.rule.exponent);
    case 'perPot':
    case 'cover':
    case 'byResult':
    case 'toTarget':
    case 'toVolume':
      return null;
  }
}
