import { type Constraint, solve } from 'yalps';
import { type Composition, massG, plus, sourG, volumeMl } from '../liquor/composition.ts';
import type { Candidate } from './candidates.ts';
import type { BalanceAim, BalanceLimits, BalanceWish } from './wish.ts';

/** A demand on one answer beyond the wish: at least so much of something, or as sweet from one as from another. */
export type Demand =
  | { atLeast: { id: string; units: number } }
  | { sameSweetness: readonly [string, string] };

export const TOLERANCE = { share: 0.01, wholeFruit: 0.05, sweetPct: 0.02, sourGPerL: 0.02 };

/** How volumes add up near the result, and what a share of miss weighs, are found again until they stand still. */
const ROUNDS = 8;

const SETTLED = 1e-5;

/** The second aim counts for so much of the first. */
const SECOND = 1e-4;

export type Relax = 'room' | 'sugar' | 'strength' | 'whole' | `onHand:${string}` | `cap:${string}`;

export interface Problem {
  current: Composition;
  wish: BalanceWish;
  candidates: readonly Candidate[];
  limits: BalanceLimits;
  demands: readonly Demand[];
}

/**
 * One linear programme in masses, with volumes taken as they add up near the last result: sweet and sour missed by as little as
 * possible, weighted each by its wish; then the aim. What a reader sees is the miss as a share of what there is in the
 * end, which is a quotient: it is made smallest by taking `missShare`, as found the last time, off for every gram that
 * is added, until it stands still (the parametric method for linear quotients).
 * @returns units of each candidate and the miss as a share; null where not even the demands can be met.
 */
function solveAt(
  p: Problem,
  volumes: Volumes,
  missShare: number,
  relaxed: ReadonlySet<Relax>,
  aim: BalanceAim,
): { units: Map<string, number>; miss: number } | null {
  const { current, wish, candidates, limits } = p;
  const baseG = massG(current);
  const t = wish.sweetPct / 100;
  const perMl = wish.sourGPerL === null ? 0 : wish.sourGPerL / 1000;
  /** A unit of a candidate that comes by weight is a hundredth of the batch. */
  const scale = (c: Candidate) => (c.whole ? 1 : baseG / 100);
  const of = (c: Candidate, grams: number) => (grams * scale(c)) / baseG;
  const baseMl = volumes.baseMl / baseG;
  const ml = (c: Candidate) => volumes.perUnit.get(c.id) ?? 0;
  const sweetWeight = 1 / Math.max(t, 0.005);
  const sourWeight = 1 / (Math.max(perMl, 0.0002) * baseMl);

  // Both wishes as shares of themselves: what is lacking now, and how much of it a unit of each brings. Told as "no
  // further than the wish, but for what is over": then adding nothing keeps every limit, and the simplex can begin there.
  const wants = [
    {
      name: 'sweet',
      lack: sweetWeight * (t - current.sweetG / baseG),
      by: (c: Candidate) => sweetWeight * of(c, c.unit.sweetG - t * massG(c.unit)),
    },
    ...(wish.sourGPerL === null
      ? []
      : [
          {
            name: 'sour',
            lack: sourWeight * (perMl * baseMl - sourG(current) / baseG),
            by: (c: Candidate) => sourWeight * of(c, sourG(c.unit) - perMl * ml(c)),
          },
        ]),
  ].map((want) => ({ ...want, sign: want.lack < 0 ? -1 : 1 }));
  const constraints = new Map<string, Constraint>(wants.map((w) => [w.name, { max: Math.abs(w.lack) }]));
  const volume0 = volumeMl(current);
  const room = (most: number) => (most - volumes.baseMl) / baseG;
  if (!relaxed.has('room') && Number.isFinite(limits.roomMl))
    constraints.set('room', { max: room(Math.max(limits.roomMl, volume0)) });
  if (!relaxed.has('strength') && limits.leastStrength > 0)
    constraints.set('strength', { max: room(volume0 / limits.leastStrength) });
  if (!relaxed.has('sugar') && limits.freeSugarGPerGlass !== null) {
    const most = (limits.freeSugarGPerGlass / limits.servingMl) * baseMl;
    constraints.set('sugar', { max: Math.max(0, most - current.freeSugarG / baseG) });
  }
  const variables = new Map<string, Map<string, number>>();
  const integers = new Set<string>();
  for (const c of candidates) {
    const u = c.unit;
    const g = massG(u);
    const coefficients = new Map<string, number>([
      ...wants.map((w): [string, number] => [w.name, w.sign * w.by(c)]),
      ['room', of(c, ml(c))],
      ['strength', of(c, ml(c))],
      // Sugar in a glass: its grams, less the limit for the glasses that it adds.
      [
        'sugar',
        of(
          c,
          u.freeSugarG -
            (limits.freeSugarGPerGlass === null ? 0 : (limits.freeSugarGPerGlass / limits.servingMl) * ml(c)),
        ),
      ],
      // Less water is nothing that is added.
      ['added', of(c, c.kind === 'lessWater' ? 0.2 * Math.abs(g) : g)],
      ['sugarAdded', of(c, u.freeSugarG)],
      // What is missed of a wish is what it lacks, less what comes in, and twice what is over.
      ['miss', wants.reduce((miss, w) => miss - w.sign * w.by(c), -missShare * of(c, g))],
    ]);
    if (Number.isFinite(c.most) && !relaxed.has(`onHand:${c.id}`)) {
      coefficients.set(`most:${c.id}`, 1);
      constraints.set(`most:${c.id}`, { max: c.most / scale(c) });
    }
    if (c.whole && !relaxed.has('whole')) integers.add(c.id);
    variables.set(c.id, coefficients);
  }
  for (const c of candidates) {
    if (!c.cap || relaxed.has(`cap:${c.id}`)) continue;
    const name = `cap:${c.id}`;
    for (const other of candidates) {
      const mine = other === c ? massG(c.unit) : 0;
      const row = variables.get(other.id)!;
      if (c.cap.kind === 'gPerL') row.set(name, of(other, mine - (c.cap.value / 1000) * ml(other)));
      else row.set(name, of(other, (other === c ? other.unit.sweetG : 0) - c.cap.value * other.unit.sweetG));
    }
    constraints.set(name, {
      max: c.cap.kind === 'gPerL' ? (c.cap.value / 1000) * baseMl : (c.cap.value * current.sweetG) / baseG,
    });
  }
  for (const [i, demand] of p.demands.entries()) {
    const name = `demand:${i}`;
    if ('atLeast' in demand) {
      const c = candidates.find((x) => x.id === demand.atLeast.id);
      if (!c) return null;
      variables.get(c.id)!.set(name, 1);
      constraints.set(name, { min: demand.atLeast.units / scale(c) });
    } else {
      const [a, b] = demand.sameSweetness.map((id) => candidates.find((x) => x.id === id));
      if (!a || !b) return null;
      variables.get(a.id)!.set(name, of(a, a.unit.sweetG));
      variables.get(b.id)!.set(name, -of(b, b.unit.sweetG));
      constraints.set(name, { equal: 0 });
    }
  }
  for (const { name } of wants)
    variables.set(
      `over:${name}`,
      new Map([
        [name, -1],
        ['miss', 2],
      ]),
    );
  const run = (objective: string) =>
    solve(
      { direction: 'minimize', objective, constraints, variables, integers },
      { includeZeroVariables: true, tolerance: 0, maxIterations: 4000 },
    );
  const first = run('miss');
  if (first.status !== 'optimal') return null;
  constraints.set('miss', { max: first.result + 1e-7 });
  const [main, other] = aim === 'leastSugar' ? ['sugarAdded', 'added'] : ['added', 'sugarAdded'];
  for (const c of candidates) {
    const row = variables.get(c.id)!;
    row.set('aim', (row.get(main!) ?? 0) + SECOND * (row.get(other!) ?? 0));
  }
  const second = run('aim');
  const chosen = second.status === 'optimal' ? second : first;
  const units = new Map<string, number>();
  let grown = 1;
  const left = wants.map((w) => w.lack);
  for (const [id, value] of chosen.variables) {
    const c = candidates.find((x) => x.id === id);
    if (!c) continue;
    units.set(id, c.whole && !relaxed.has('whole') ? Math.round(value) : value * scale(c));
    grown += of(c, massG(c.unit)) * value;
    for (const [i, want] of wants.entries()) left[i]! -= want.by(c) * value;
  }
  return { units, miss: left.reduce((sum, l) => sum + Math.abs(l), 0) / grown };
}

export const resultOf = (
  current: Composition,
  candidates: readonly Candidate[],
  units: ReadonlyMap<string, number>,
): Composition => candidates.reduce((sum, c) => plus(sum, c.unit, units.get(c.id) ?? 0), current);

/** How volumes add up near a result: each unit as it would grow it there, and what is left for the drink itself. */
interface Volumes {
  baseMl: number;
  perUnit: ReadonlyMap<string, number>;
}

function volumesAt(result: Composition, p: Problem, units: ReadonlyMap<string, number>): Volumes {
  const ml = volumeMl(result);
  const perUnit = new Map(p.candidates.map((c) => [c.id, volumeMl(plus(result, c.unit)) - ml]));
  return {
    baseMl: p.candidates.reduce((rest, c) => rest - (units.get(c.id) ?? 0) * perUnit.get(c.id)!, ml),
    perUnit,
  };
}

export function solveRelaxed(p: Problem, aim: BalanceAim, relaxed: ReadonlySet<Relax>) {
  let volumes = volumesAt(p.current, p, new Map());
  let found: ReturnType<typeof solveAt> = null;
  let missShare = 0;
  for (let round = 0; round < ROUNDS; round++) {
    found = solveAt(p, volumes, missShare, relaxed, aim);
    if (!found) return null;
    const next = volumesAt(resultOf(p.current, p.candidates, found.units), p, found.units);
    const still =
      Math.abs(next.baseMl / volumes.baseMl - 1) < SETTLED && Math.abs(found.miss - missShare) < SETTLED;
    volumes = next;
    missShare = found.miss;
    if (still) break;
  }
  return found;
}
