import highsLoader from 'highs';
import { type Chain, type Project, SITTING_GAP } from './project.ts';

export interface ExactScore {
  darkSlots: number;
  sittings: number;
  litreSlots: number;
}

type Terms = Map<string, number>;

/** Rows of a linear programme in the LP text format. */
class Rows {
  readonly #rows: string[] = [];
  add(terms: Terms | readonly (readonly [string, number])[], relation: string, right: number): void {
    const text = write(new Map(terms));
    if (text) this.#rows.push(` c${this.#rows.length}: ${text} ${relation} ${right}`);
  }
  toString = () => this.#rows.join('\n');
}

const write = (terms: Terms): string =>
  [...terms]
    .filter(([, by]) => by !== 0)
    .map(([name, by]) => `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${name}`)
    .join(' ');

const bump = (terms: Terms, name: string, by: number) => terms.set(name, (terms.get(name) ?? 0) + by);

/** When a stage can begin at all, by its chain alone: nothing else needs a variable. */
function windowsOf(chain: Chain, slots: number): { first: number; last: number }[] {
  const windows = chain.stages.map((stage) => ({
    first: stage.fixedAt ?? 0,
    last: stage.fixedAt ?? slots - stage.slots,
  }));
  windows[0]!.first = Math.max(windows[0]!.first, chain.earliest);
  for (let i = 1; i < windows.length; i++) {
    const { slots: long, wait } = chain.stages[i - 1]!;
    windows[i]!.first = Math.max(windows[i]!.first, windows[i - 1]!.first + long + wait.minSlots);
  }
  const end = chain.stages.length - 1;
  const long = chain.stages[end]!.slots;
  windows[end]!.last = Math.min(windows[end]!.last, chain.latest - long);
  windows[end]!.first = Math.max(windows[end]!.first, chain.notBefore - long);
  for (let i = end; i > 0; i--) {
    const { slots: before, wait } = chain.stages[i - 1]!;
    windows[i - 1]!.last = Math.min(windows[i - 1]!.last, windows[i]!.last - before - wait.minSlots);
    windows[i - 1]!.first = Math.max(windows[i - 1]!.first, windows[i]!.first - before - wait.maxSlots);
  }
  return windows;
}

/**
 * The best schedule there is, by an exact solver of whole-number programmes. A variable says whether a stage has begun by
 * a slot, by whose hands; what is booked in a slot is then a difference of two. One aim after the other, each held for
 * the next.
 * @param known a schedule that was found, by its score: it is only asked for less than that.
 * @returns null where there is no schedule at all; 'unknown' where it did not find out in its time.
 */
export async function exactScore(
  project: Project,
  known: ExactScore | null,
  limitS = 20,
): Promise<ExactScore | null | 'unknown'> {
  const { slots } = project;
  const rows = new Rows();
  const binaries: string[] = [];
  const used = new Map(
    project.resources.map((r) => [r.id, Array.from({ length: slots }, (): Terms => new Map())]),
  );
  const fixed = new Map(project.resources.map((r) => [r.id, new Array<number>(slots).fill(0)]));
  const attended = Array.from({ length: slots }, (): Terms[] => []);
  const dark: Terms = new Map();
  const litres: Terms = new Map();
  let darkAnyhow = 0;
  let litresAnyhow = 0;
  for (const [c, chain] of project.chains.entries()) {
    const windows = windowsOf(chain, slots);
    if (windows.some((w) => w.first > w.last)) return null;
    /** Adds `by` for each way of a stage that has begun by a slot; what is certain is a number. */
    const begun = (terms: Terms, i: number, slot: number, by: number, way: number | null = null): number => {
      const { first, last } = windows[i]!;
      const ways = Math.max(1, chain.stages[i]!.oneOf.length);
      if (slot < first) return 0;
      if (slot >= last && ways === 1) return by;
      for (let w = 0; w < ways; w++)
        if (way === null || way === w) bump(terms, `z${c}_${i}_${w}_${Math.min(slot, last)}`, by);
      return 0;
    };
    for (const [i, stage] of chain.stages.entries()) {
      const { first, last } = windows[i]!;
      const ways = Math.max(1, stage.oneOf.length);
      for (let w = 0; w < ways; w++)
        for (let slot = first; slot <= last; slot++) {
          if (slot === last && ways === 1) continue;
          binaries.push(`z${c}_${i}_${w}_${slot}`);
          if (slot > first)
            rows.add(
              [
                [`z${c}_${i}_${w}_${slot}`, 1],
                [`z${c}_${i}_${w}_${slot - 1}`, -1],
              ],
              '>=',
              0,
            );
        }
      if (ways > 1)
        rows.add(
          Array.from({ length: ways }, (_, w) => [`z${c}_${i}_${w}_${last}`, 1] as const),
          '=',
          1,
        );
      /** Going on in a slot: begun by it, and not by its length before. */
      const going = (terms: Terms, slot: number, by: number, way: number | null = null): number =>
        begun(terms, i, slot, by, way) + begun(terms, i, slot - stage.slots, -by, way);
      for (let slot = first; slot < last + stage.slots; slot++) {
        for (const n of stage.needs)
          fixed.get(n.resourceId)![slot]! += going(used.get(n.resourceId)![slot]!, slot, n.amount);
        for (const [w, n] of stage.oneOf.entries())
          fixed.get(n.resourceId)![slot]! += going(used.get(n.resourceId)![slot]!, slot, n.amount, w);
        if (!stage.attended) continue;
        if (project.dark[slot]) darkAnyhow += going(dark, slot, 1);
        const terms: Terms = new Map();
        const sure = going(terms, slot, 1);
        attended[slot]!.push(terms.set('', sure));
      }
      if (i + 1 < chain.stages.length) {
        const { minSlots, maxSlots, needs } = stage.wait;
        for (let slot = 0; slot < slots; slot++) {
          // The next has begun by a slot only if this one was over by then; and has, when this was over long ago.
          const early: Terms = new Map();
          const sureE = begun(early, i, slot - stage.slots - minSlots, 1) + begun(early, i + 1, slot, -1);
          rows.add(early, '>=', -sureE);
          const late: Terms = new Map();
          const sureL = begun(late, i + 1, slot, 1) + begun(late, i, slot - stage.slots - maxSlots, -1);
          rows.add(late, '>=', -sureL);
          for (const n of needs) {
            const terms = used.get(n.resourceId)![slot]!;
            fixed.get(n.resourceId)![slot]! +=
              begun(terms, i, slot - stage.slots, n.amount) + begun(terms, i + 1, slot, -n.amount);
          }
        }
      } else
        for (let slot = 0; slot < Math.min(chain.heldUntil, slots); slot++) {
          litresAnyhow += begun(litres, i, slot - stage.slots, chain.litres);
          for (const n of chain.holds)
            fixed.get(n.resourceId)![slot]! += begun(
              used.get(n.resourceId)![slot]!,
              i,
              slot - stage.slots,
              n.amount,
            );
        }
    }
  }
  for (const r of project.resources)
    for (let slot = 0; slot < slots; slot++) {
      const room = (r.capacity[slot] ?? 0) - fixed.get(r.id)![slot]!;
      const terms = used.get(r.id)![slot]!;
      if ([...terms.values()].every((by) => by === 0)) {
        if (room < -1e-6) return null;
      } else rows.add(terms, '<=', room);
    }
  const sittings: Terms = new Map();
  for (let slot = 0; slot < slots; slot++) {
    const most: Terms = new Map([[`b${slot}`, 1]]);
    let sure = 0;
    for (const terms of attended[slot]!) {
      const one: Terms = new Map([[`b${slot}`, 1]]);
      for (const [name, by] of terms) {
        if (name === '') continue;
        bump(one, name, -by);
        bump(most, name, -by);
      }
      sure += terms.get('') ?? 0;
      rows.add(one, '>=', terms.get('') ?? 0);
    }
    rows.add(most, '<=', sure);
    const terms: Terms = new Map([
      [`y${slot}`, 1],
      [`b${slot}`, -1],
    ]);
    for (let k = 1; k <= SITTING_GAP + 1 && slot - k >= 0; k++) bump(terms, `b${slot - k}`, 1);
    rows.add(terms, '>=', 0);
    bump(sittings, `y${slot}`, 1);
  }
  const bounds = Array.from({ length: slots }, (_, s) => ` 0 <= b${s} <= 1\n 0 <= y${s} <= 1`).join('\n');
  const highs = await highsLoader();
  const solve = (aim: Terms, most: number | null) => {
    const cut = most === null || !write(aim) ? '' : `\n most: ${write(aim)} <= ${most + 1e-4}`;
    const text = `Minimize\n obj: ${write(aim) || '0 b0'}\nSubject To\n${rows}${cut}\nBounds\n${bounds}\nBinary\n ${binaries.join('\n ')}\nEnd`;
    return highs.solve(text, { time_limit: limitS });
  };
  const worksAtAll = project.chains.some((c) => c.stages.some((stage) => stage.attended)) ? 1 : 0;
  const aims = [
    { aim: dark, anyhow: darkAnyhow, key: 'darkSlots', least: 0, step: 1 },
    { aim: sittings, anyhow: 0, key: 'sittings', least: worksAtAll, step: 1 },
    { aim: litres, anyhow: litresAnyhow, key: 'litreSlots', least: 0, step: 0 },
  ] as const;
  const found: Record<keyof ExactScore, number> = { darkSlots: 0, sittings: 0, litreSlots: 0 };
  let upTo = known;
  for (const { aim, anyhow, key, least, step } of aims) {
    const most = upTo?.[key];
    if (most !== undefined && most - least < 1e-6) found[key] = most;
    else {
      const answer = solve(aim, most === undefined ? null : most - step - anyhow);
      // Nothing less than what is known: then that is the least.
      if (answer.Status === 'Infeasible' && most !== undefined && step > 0) found[key] = most;
      else if (answer.Status === 'Infeasible') return null;
      else if (answer.Status !== 'Optimal') return 'unknown';
      else {
        found[key] = answer.ObjectiveValue + anyhow;
        // What comes after is that of another schedule now.
        if (step > 0) upTo = null;
      }
    }
    if (write(aim)) rows.add(new Map(aim), '<=', found[key] - anyhow + 1e-4);
  }
  return found;
}
