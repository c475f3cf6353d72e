import { randomLcg } from 'd3-random';
import type { Chain, Join, Need, Project, Stage } from './project.ts';

/** How large a random project is, and how hard it is pressed. */
export interface Shape {
  chains: readonly [least: number, most: number];
  mostStages: number;
  slots: number;
  /** Of the fridge, what the drinks take together. */
  fridgeFull: number;
  joins: boolean;
  /** How long a drink lasts, as a share of the time there is: where it is short, all have to be made at once. */
  life: readonly [least: number, most: number];
}

/** Small enough for the exact solver: at most 12 jobs, a late helper, one ring, the fridge nine tenths full. */
export const SMALL: Shape = {
  chains: [2, 4],
  mostStages: 12,
  slots: 72,
  fridgeFull: 0.9,
  joins: false,
  life: [0.25, 1],
};

/** So pressed that a quarter of them have no plan. */
export const PRESSED: Shape = { ...SMALL, life: [0.1, 0.3] };

const none = { minSlots: 0, maxSlots: 0, needs: [] };

/** The seeded random project of this number. */
export function randomProject(seed: number, shape: Shape): Project {
  const random = randomLcg(seed / 1e6);
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const { slots } = shape;
  const span = (capacity: number, from: number, to: number, base: number) =>
    Array.from({ length: slots }, (_, slot) => (slot >= from && slot < to ? capacity : base));
  const served = slots - whole(2, 6);
  const nightFrom = Math.floor(slots * (0.3 + 0.2 * random()));
  const nightTo = nightFrom + whole(6, Math.max(8, Math.floor(slots / 5)));
  const out = whole(0, slots);
  const hands: Need[] = [
    { resourceId: 'cook', amount: 1 },
    { resourceId: 'helper', amount: 1 },
  ];
  const count = whole(...shape.chains);
  const litres = Array.from({ length: count }, () => whole(2, 9));
  const fridgeL = litres.reduce((a, b) => a + b, 0) / shape.fridgeFull;
  let left = shape.mostStages;
  const chains = litres.map((volume, index): Chain => {
    const rest = count - index - 1;
    const long = Math.max(2, Math.min(5, left - rest * 2));
    const stages = whole(Math.min(3, long), long);
    left -= stages;
    const pot: Need = { resourceId: random() < 0.5 ? 'potA' : 'potB', amount: 1 };
    const ring: Need = { resourceId: 'ring', amount: 1 };
    const fridge: Need = { resourceId: 'fridge', amount: volume };
    const life = whole(Math.floor(slots * shape.life[0]), Math.floor(slots * shape.life[1]));
    return {
      id: `drink${index}`,
      litres: volume,
      earliest: random() < 0.3 ? whole(0, 8) : 0,
      latest: served,
      notBefore: Math.max(0, slots - life),
      holds: [fridge],
      heldUntil: served,
      stages: Array.from({ length: stages }, (_, i): Stage => {
        const first = i === 0;
        const last = i === stages - 1;
        const boils = i === 1;
        return {
          id: `s${i}`,
          slots: whole(1, 5),
          needs: [...(first || last ? [] : [pot]), ...(boils ? [ring] : [])],
          oneOf: boils && random() < 0.5 ? [] : hands,
          attended: boils ? random() < 0.4 : true,
          wait: last
            ? none
            : boils
              ? { minSlots: whole(0, 6), maxSlots: 6 + whole(0, 20), needs: [pot] }
              : first
                ? { minSlots: 0, maxSlots: whole(0, 3), needs: [] }
                : { minSlots: 0, maxSlots: random() < 0.5 ? whole(4, 16) : 0, needs: [fridge] },
          fixedAt: null,
        };
      }),
    };
  });
  const joins: Join[] = shape.joins
    ? [
        {
          id: 'washing',
          members: chains.map((c) => ({ chainId: c.id, stageId: 's0' })),
          savedSlots: 1,
        },
      ]
    : [];
  return {
    slots,
    chains,
    joins,
    dark: span(1, nightFrom, nightTo, 0).map((d) => d === 1),
    resources: [
      { id: 'cook', capacity: span(0, out, out + whole(0, 10), 1) },
      { id: 'helper', capacity: span(1, whole(Math.floor(slots / 2), slots), slots, 0) },
      { id: 'ring', capacity: span(1, 0, slots, 1) },
      { id: 'potA', capacity: span(1, 0, slots, 1) },
      { id: 'potB', capacity: span(1, 0, slots, 1) },
      { id: 'fridge', capacity: span(fridgeL, 0, slots, fridgeL) },
    ],
  };
}
