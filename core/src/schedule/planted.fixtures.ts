import { randomLcg } from 'd3-random';
import type { Chain, Need, Project, Stage } from './project.ts';

const CHAINS = 6;
const STAGES = 20;
/** Four days in slots of five minutes. */
const SLOTS = 4 * 288;
const NIGHTS = [0, 1, 2, 3].map((day) => [day * 288 + 264, day * 288 + 288 + 84] as const);

/**
 * A project of 120 jobs for which a plan is known to exist, for it was laid down first: six drinks, one cook, a helper on
 * the last two days, two rings, three pots, and a fridge hardly larger than what stood in it.
 */
export function plantedProject(seed: number): Project {
  const random = randomLcg(seed / 1e6);
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const dark = Array.from({ length: SLOTS }, (_, slot) => NIGHTS.some(([a, b]) => slot >= a && slot < b));
  const helperFrom = 2 * 288 + whole(0, 144);
  const capacity = {
    cook: dark.map((d) => (d ? 0 : 1)),
    helper: dark.map((d, slot) => (d || slot < helperFrom ? 0 : 1)),
    ring: new Array<number>(SLOTS).fill(2),
    pot0: new Array<number>(SLOTS).fill(1),
    pot1: new Array<number>(SLOTS).fill(1),
    pot2: new Array<number>(SLOTS).fill(1),
  };
  const used = new Map<string, number[]>(
    [...Object.keys(capacity), 'fridge'].map((id) => [id, new Array<number>(SLOTS).fill(0)]),
  );
  const free = (id: string, slot: number) =>
    slot < SLOTS && (id === 'fridge' || used.get(id)![slot]! < capacity[id as keyof typeof capacity][slot]!);
  const served = SLOTS - 24;
  const chains: Chain[] = [];
  for (let c = 0; c < CHAINS; c++) {
    const litres = whole(3, 12);
    const pot = `pot${c % 3}`;
    for (let attempt = 0; ; attempt++) {
      if (attempt > 2000) throw new Error(`nothing could be planted for seed ${seed}`);
      const taken: [id: string, amount: number, from: number, to: number][] = [];
      const stages: Stage[] = [];
      let at = whole(0, SLOTS - 400);
      const first = at;
      let fits = true;
      for (let i = 0; i < STAGES && fits; i++) {
        const boils = i % 6 === 3;
        const wet = i >= 2 && i < STAGES - 2;
        const slots = whole(1, boils ? 6 : 3);
        const flexible = i % 5 === 4;
        const wait = {
          minSlots: flexible ? whole(0, 6) : 0,
          maxSlots: flexible ? whole(40, 140) : whole(0, 3),
        };
        const needs: Need[] = [
          ...(wet ? [{ resourceId: pot, amount: 1 }] : []),
          ...(boils ? [{ resourceId: 'ring', amount: 1 }] : []),
        ];
        const before = stages.at(-1);
        const from = before ? at + before.wait.minSlots : at;
        const to = before ? at + before.wait.maxSlots : at;
        let start = -1;
        let by = '';
        for (let slot = from; slot <= to && start < 0; slot++) {
          const span = Array.from({ length: slots }, (_, k) => slot + k);
          const who = ['cook', 'helper'].find((id) => span.every((s) => free(id, s)));
          if (who && needs.every((n) => span.every((s) => free(n.resourceId, s)))) {
            start = slot;
            by = who;
          }
        }
        fits = start >= 0;
        if (!fits) break;
        if (before?.wait.needs.length) taken.push([pot, 1, at, start]);
        for (const n of needs) taken.push([n.resourceId, n.amount, start, start + slots]);
        taken.push([by, 1, start, start + slots]);
        stages.push({
          id: `s${i}`,
          slots,
          needs,
          oneOf: [
            { resourceId: 'cook', amount: 1 },
            { resourceId: 'helper', amount: 1 },
          ],
          attended: true,
          wait: { ...wait, needs: wet && i < STAGES - 3 ? [{ resourceId: pot, amount: 1 }] : [] },
          fixedAt: null,
        });
        at = start + slots;
      }
      fits &&=
        at <= served - 12 &&
        taken.every(([id, , from, to]) => {
          for (let s = from; s < to; s++) if (!free(id, s)) return false;
          return true;
        });
      if (!fits) continue;
      for (const [id, amount, from, to] of taken) for (let s = from; s < to; s++) used.get(id)![s]! += amount;
      for (let s = at; s < served; s++) used.get('fridge')![s]! += litres;
      chains.push({
        id: `drink${c}`,
        stages,
        litres,
        earliest: Math.max(0, first - whole(0, 60)),
        latest: Math.min(served, at + whole(0, 60)),
        notBefore: Math.max(0, at - whole(0, 200)),
        holds: [{ resourceId: 'fridge', amount: litres }],
        heldUntil: served,
      });
      break;
    }
  }
  const fridgeL = 1.05 * Math.max(...used.get('fridge')!);
  return {
    slots: SLOTS,
    chains,
    dark,
    joins: [],
    resources: [
      ...Object.entries(capacity).map(([id, of]) => ({ id, capacity: of })),
      { id: 'fridge', capacity: new Array<number>(SLOTS).fill(fridgeL) },
    ],
  };
}
