import { type Composition, massG, volumeMl } from '../liquor/composition.ts';
import { balanceAnswer } from './additions.ts';
import type { Candidate } from './candidates.ts';
import type { Demand } from './programme.ts';
import type { BalanceAim, BalanceAnswer, BalanceLimits, BalanceWish } from './wish.ts';

/** What an answer is made with, as a word code with the items it names. */
export interface BalanceWay {
  code: 'all' | 'half' | 'with' | 'noAdded' | 'lessWater';
  ids: readonly string[];
}

export interface Suggestion extends BalanceAnswer {
  way: BalanceWay;
}

/** A juice that is "with pineapple" and not a splash: this share of the drink. */
const WITH_SHARE = 0.1;

/** A liquid is sweet from so much sugar on, g in 100 g. */
const SWEET_LIQUID_PCT = 5;

const isSweet = (c: Candidate): boolean =>
  (100 * c.unit.sweetG) / Math.max(1e-9, massG(c.unit)) >= SWEET_LIQUID_PCT;

/**
 * Several answers to one wish, each with a character of its own: all by one sweetener, half by another, with a sweet juice,
 * with no sugar added, with less water. Those that meet the wish come first; the same parts are offered once.
 * @param candidates what the cook allows, the preferred sweetener first.
 */
export function suggestAdditions(
  current: Composition,
  wish: BalanceWish,
  candidates: readonly Candidate[],
  limits: BalanceLimits,
  aim: BalanceAim,
): Suggestion[] {
  const sweeteners = candidates.filter((c) => c.kind === 'sweetener');
  const juices = candidates.filter((c) => (c.kind === 'liquid' || c.kind === 'fruit') && isSweet(c));
  const rest = candidates.filter((c) => !sweeteners.includes(c) && !juices.includes(c));
  const plain = rest.filter((c) => c.kind !== 'lessWater');
  const lessWater = rest.filter((c) => c.kind === 'lessWater');
  const first = sweeteners[0];
  const answers: Suggestion[] = [];
  const offer = (way: BalanceWay, allowed: readonly Candidate[], demands: readonly Demand[] = []) => {
    const answer = balanceAnswer(current, wish, allowed, limits, aim, demands);
    if (!answer || (answer.parts.length === 0 && answers.length > 0)) return;
    const key = (a: BalanceAnswer) => a.parts.map((p) => `${p.id}:${Math.round(p.massG)}`).join();
    if (answers.some((a) => key(a) === key(answer))) return;
    answers.push({ ...answer, way });
  };
  for (const s of sweeteners) offer({ code: 'all', ids: [s.id] }, [s, ...plain]);
  // Half and half is a taste of its own only where one of the two is a syrup or honey.
  const syrupy = (c: Candidate) => c.unit.waterG > 0.05 * massG(c.unit);
  if (first)
    for (const other of sweeteners.slice(1).filter((o) => syrupy(o) || syrupy(first)))
      offer(
        { code: 'half', ids: [other.id, first.id] },
        [first, other, ...plain],
        [{ sameSweetness: [first.id, other.id] }],
      );
  for (const juice of juices) {
    const ml = volumeMl(current) * WITH_SHARE;
    const units = juice.whole ? Math.ceil(ml / volumeMl(juice.unit)) : ml / volumeMl(juice.unit);
    offer(
      { code: 'with', ids: [juice.id] },
      [...(first ? [first] : []), juice, ...plain],
      [{ atLeast: { id: juice.id, units: Math.min(units, juice.most) } }],
    );
  }
  if (juices.length) offer({ code: 'noAdded', ids: juices.map((j) => j.id) }, [...juices, ...plain]);
  if (first && lessWater.length)
    offer({ code: 'lessWater', ids: [first.id] }, [first, ...plain, ...lessWater]);
  return answers.sort((a, b) => Number(b.met) - Number(a.met));
}
