import type { BottleSize } from '../documents/kitchen.ts';
import { volumeMl } from '../liquor/composition.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { fillingsOf } from '../program/simulate/finished.ts';
import { HEADSPACE } from '../tables/containers.ts';

/** How far a container is filled: shaking and the cork want some room, freezing more. */
export const fillMl = (sizeMl: number, headspace: number = HEADSPACE.usual): number =>
  sizeMl * (1 - headspace);

export interface BottlePlan {
  /** How many of each size. */
  counts: { sizeId: string; count: number }[];
  bottles: number;
  filledMl: number;
  leftMl: number;
}

/** What ends up in bottles, mL: the batch's own and each lot's, which never share a bottle. */
export const bottledMl = (sim: Pick<Simulation, 'vessels'>): number[] =>
  fillingsOf(sim).map(({ liquor }) => volumeMl(liquor));

/** What a choice of bottles takes, and what is left over. */
export function bottlePlan(
  volumeMl: number,
  sizes: readonly BottleSize[],
  counts: Readonly<Record<string, number>>,
  headspace: number = HEADSPACE.usual,
): BottlePlan {
  let capacity = 0;
  let bottles = 0;
  const rows: BottlePlan['counts'] = [];
  for (const size of sizes) {
    const count = counts[size.id] ?? 0;
    if (count <= 0) continue;
    rows.push({ sizeId: size.id, count });
    bottles += count;
    capacity += count * fillMl(size.volumeMl, headspace);
  }
  const filledMl = Math.min(volumeMl, capacity);
  return { counts: rows, bottles, filledMl, leftMl: volumeMl - filledMl };
}

/** Resolution of the search, mL. */
const GRAIN_ML = 10;

/**
 * Full bottles of the sizes at hand with least left over, then with fewest bottles: a bounded knapsack over 10 mL
 * grains. @returns counts by size id.
 */
export function suggestBottles(
  volumeMl: number,
  sizes: readonly BottleSize[],
  headspace: number = HEADSPACE.usual,
): Record<string, number> {
  const usable = sizes.filter((s) => s.count > 0 && s.volumeMl > 0);
  const grains = Math.floor(volumeMl / GRAIN_ML + 1e-9);
  // fewest[g]: least bottles that fill exactly g grains; how[g]: the size of the last of them.
  const fewest = new Array<number>(grains + 1).fill(Number.POSITIVE_INFINITY);
  const how = new Array<number>(grains + 1).fill(-1);
  const usedOf = usable.map(() => new Array<number>(grains + 1).fill(0));
  fewest[0] = 0;
  for (let g = 1; g <= grains; g++) {
    for (const [i, size] of usable.entries()) {
      const before = g - Math.ceil(fillMl(size.volumeMl, headspace) / GRAIN_ML - 1e-9);
      if (before < 0 || fewest[before]! + 1 >= fewest[g]!) continue;
      if (usedOf[i]![before]! >= size.count) continue;
      fewest[g] = fewest[before]! + 1;
      how[g] = i;
      for (const [j, used] of usedOf.entries()) used[g] = used[before]! + (j === i ? 1 : 0);
    }
  }
  let best = grains;
  while (best > 0 && !Number.isFinite(fewest[best]!)) best--;
  return Object.fromEntries(usable.map((size, i) => [size.id, usedOf[i]![best] ?? 0]));
}

/** Full bottles for several amounts that are not to be mixed, from the sizes at hand: what one takes the next lacks. */
export function bottlesFor(
  mls: readonly number[],
  sizes: readonly BottleSize[],
): { plans: BottlePlan[]; bottles: number; leftMl: number } {
  let left = sizes;
  const plans = mls.map((ml) => {
    const counts = suggestBottles(ml, left);
    const plan = bottlePlan(ml, left, counts);
    left = left.map((s) => ({ ...s, count: s.count - (counts[s.id] ?? 0) }));
    return plan;
  });
  return {
    plans,
    bottles: plans.reduce((sum, p) => sum + p.bottles, 0),
    leftMl: plans.reduce((sum, p) => sum + p.leftMl, 0),
  };
}

/** A bottle as it is written into the log. */
export interface FilledBottle {
  itemId: string;
  sizeId: string;
  /** None: a jug. */
  name?: string;
  sizeMl: number;
  volumeMl: number;
  diameterCm: number;
  material?: BottleSize['material'];
  form?: NonNullable<BottleSize['form']>;
  closure?: NonNullable<BottleSize['closure']>;
  placeId?: string;
  forWhom?: string;
}

/** The order in which to fill: the largest first, so that what is left finds a size it fills. */
export const fillingOrder = (
  sizes: readonly BottleSize[],
  counts: Readonly<Record<string, number>>,
): BottleSize[] => sizes.filter((s) => (counts[s.id] ?? 0) > 0).toSorted((a, b) => b.volumeMl - a.volumeMl);

/**
 * So many bottles of each size, each to its fill line as far as it goes; the last may stay short.
 * @returns the bottles with something in them, and what is left over, mL.
 */
export function fillBottles(
  volumeMl: number,
  sizes: readonly BottleSize[],
  counts: Readonly<Record<string, number>>,
  newId: () => string,
  headspace: number = HEADSPACE.usual,
): { bottles: FilledBottle[]; leftMl: number } {
  let leftMl = volumeMl;
  const bottles = fillingOrder(sizes, counts).flatMap((size) =>
    Array.from({ length: counts[size.id] ?? 0 }, (): FilledBottle => {
      const filled = Math.min(fillMl(size.volumeMl, headspace), leftMl);
      leftMl -= filled;
      return {
        itemId: newId(),
        sizeId: size.id,
        name: size.name,
        sizeMl: size.volumeMl,
        volumeMl: Math.round(filled),
        diameterCm: size.diameterCm,
        material: size.material,
        ...(size.form ? { form: size.form } : {}),
        ...(size.closure ? { closure: size.closure } : {}),
      };
    }),
  );
  return { bottles: bottles.filter((b) => b.volumeMl >= 1), leftMl };
}

/** Tubs for portions of so many millilitres in the freezer: as many as it takes, each with room to swell. */
export const portionTubs = (name: string, volumeMl: number, portionMl: number): BottleSize => {
  const sizeMl = portionMl / (1 - HEADSPACE.freezing);
  return {
    id: 'portion',
    name,
    volumeMl: sizeMl,
    // As high as wide: V = π d³ / 4.
    diameterCm: Math.cbrt((4 * sizeMl) / Math.PI),
    material: 'plastic',
    form: 'jar',
    closure: 'plasticLid',
    count: Math.ceil(volumeMl / portionMl),
  };
};

/** What is left over, in a jug of its own size. */
export const jugOf = (volumeMl: number, newId: () => string): FilledBottle => ({
  itemId: newId(),
  sizeId: 'jug',
  sizeMl: Math.max(10, Math.round(volumeMl)),
  volumeMl: Math.round(volumeMl),
  diameterCm: 12,
});
