import type { Candidate } from '@big-ladle/core/balance';
import { type Composition, massG, plus, sournessGPerL, sweetnessPct, volumeMl } from '@big-ladle/core/liquor';

/** What may be added, as an arrow on the plane. */
export interface Arrow {
  candidate: Candidate;
  name: string;
  /** The amount in words: "860 g", "2". */
  amount: string;
}

/** A point of the plane: sour across, g/L as citric; sweet up, sugar-equivalent g in 100 g. */
export interface PlanePoint {
  sour: number;
  sweet: number;
}

export const pointOf = (c: Composition): PlanePoint => ({
  sour: Math.max(0, sournessGPerL(c)),
  sweet: sweetnessPct(c),
});

/** As much of a candidate as its arrow may show: as much again as there is drink, or all there is of it. */
export const mostUnits = (c: Candidate, drink: Composition): number => {
  const most = Math.min(c.most, massG(drink) / Math.max(1e-9, Math.abs(c.unitG)));
  return c.whole ? Math.floor(most) : most;
};

/** The drink with so many units of one candidate, or of several. */
export const withUnits = (
  drink: Composition,
  candidates: readonly Candidate[],
  units: Readonly<Record<string, number>>,
): Composition =>
  candidates.reduce((sum, c) => ((units[c.id] ?? 0) > 0 ? plus(sum, c.unit, units[c.id]!) : sum), drink);

/** Pixels on the plane, for figures of the plane. */
export interface Scale {
  x: (sour: number) => number;
  y: (sweet: number) => number;
  sourOf: (x: number) => number;
  sweetOf: (y: number) => number;
}

const HALVINGS = 26;

/**
 * How many units bring the tip of an arrow nearest to where it is dragged, along its own direction: the tip moves one way
 * as more goes in, so the amount is found by halving.
 */
export function unitsAt(
  candidate: Candidate,
  drink: Composition,
  scale: Scale,
  at: { x: number; y: number },
): number {
  const from = pointOf(drink);
  const most = mostUnits(candidate, drink);
  const start = { x: scale.x(from.sour), y: scale.y(from.sweet) };
  const tip = (units: number) => {
    const p = pointOf(plus(drink, candidate.unit, units));
    return { x: scale.x(p.sour) - start.x, y: scale.y(p.sweet) - start.y };
  };
  const all = tip(most);
  const length = Math.hypot(all.x, all.y);
  if (length < 1e-6) return 0;
  const along = (p: { x: number; y: number }) => (p.x * all.x + p.y * all.y) / length;
  const wanted = along({ x: at.x - start.x, y: at.y - start.y });
  let low = 0;
  let high = most;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (along(tip(middle)) < wanted) low = middle;
    else high = middle;
  }
  const units = (low + high) / 2;
  return candidate.whole ? Math.round(units) : units;
}

/** A step of the arrow keys: a fruit, or an amount that a cook would spoon. */
export function keyStep(candidate: Candidate, drink: Composition): number {
  if (candidate.whole) return 1;
  const grams = massG(drink) / 500;
  const round = 10 ** Math.floor(Math.log10(Math.max(1, grams)));
  return Math.max(1, Math.round(grams / round) * round);
}

/** Litres of a drink. */
export const litresOf = (c: Composition): number => volumeMl(c) / 1000;
