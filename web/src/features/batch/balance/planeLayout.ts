import '../../../words/places/batch.ts';
import type { Candidate } from '@big-ladle/core/balance';
import type { Composition } from '@big-ladle/core/liquor';
import type { Arrow } from './arrows.ts';
import { mostUnits, pointOf, type Scale, withUnits } from './arrows.ts';
import { DASHES } from './planeGrid.tsx';

/** Drawn wide at the table, narrow in the hand: words keep their size. */
export const SIZES = { wide: { W: 640, H: 560 }, narrow: { W: 370, H: 440 } };

/** A handle begins so far from the dot, so that it can be taken hold of where nothing is added yet. */
export const STUB = 60;

/** A little room below the axis, for a drink that is not sweet at all, g in 100 g. */
export const BELOW = 1.6;

export const KEYS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
};

/** Where an arrow points, as a unit of pixels. */
export function directionOf(c: Candidate, drink: Composition, scale: Scale): { x: number; y: number } {
  const from = pointOf(drink);
  const to = pointOf(withUnits(drink, [c], { [c.id]: Math.max(1, mostUnits(c, drink) / 20) }));
  const x = scale.x(to.sour) - scale.x(from.sour);
  const y = scale.y(to.sweet) - scale.y(from.sweet);
  const length = Math.hypot(x, y) || 1;
  return { x: x / length, y: y / length };
}

/** Nearer to the edge than this a word on the left would be cut off. */
const LEFT_EDGE = 120;

/** Whether two arrows point nearly the same way. */
const near = (a: { x: number; y: number }, b: { x: number; y: number }): boolean =>
  Math.abs(a.x - b.x) + Math.abs(a.y - b.y) < 0.35;

/** Tips, handles and words of the arrows; words that would lie on one another stand below. */
export function layOut(
  arrows: readonly Arrow[],
  drink: Composition,
  units: Readonly<Record<string, number>>,
  scale: Scale,
  dot: { x: number; y: number },
  directions: ReadonlyMap<string, { x: number; y: number }>,
) {
  const taken: { x: number; y: number }[] = [];
  return arrows.map(({ candidate, name, amount }, i) => {
    const amountUnits = units[candidate.id] ?? 0;
    const p = pointOf(withUnits(drink, [candidate], units));
    const way = directions.get(candidate.id) ?? { x: 0, y: -1 };
    const tip = { x: scale.x(p.sour), y: scale.y(p.sweet) };
    // Arrows that point the same way stand beside one another.
    const beside = taken.filter((t) => near(t, way)).length;
    taken.push(way);
    const reach = STUB + beside * 4;
    const handle = {
      x: tip.x + way.x * reach - way.y * 26 * beside,
      y: tip.y + way.y * reach + way.x * 26 * beside,
    };
    // Of several that point the same way the first has its word on the left, out of the way of the others.
    const alone = ![...directions].some(([id, d]) => id !== candidate.id && near(d, way));
    const left = way.x < -0.25 || (beside === 0 && !alone && Math.abs(way.x) < 0.35);
    return {
      id: candidate.id,
      candidate,
      name,
      amount,
      units: amountUnits,
      most: mostUnits(candidate, drink),
      dash: DASHES[i % DASHES.length]!,
      moved: Math.hypot(tip.x - dot.x, tip.y - dot.y) > 2,
      tip,
      handle,
      angle: (Math.atan2(way.y, way.x) * 180) / Math.PI + 90,
      label:
        left && handle.x < LEFT_EDGE
          ? // No room beside it: below.
            { x: handle.x - 12, y: handle.y + 30, anchor: 'start' as const }
          : {
              x: handle.x + (left ? -16 : 16),
              y: handle.y + 5 + beside * 18,
              anchor: left ? ('end' as const) : ('start' as const),
            },
    };
  });
}
