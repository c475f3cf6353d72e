import { type Composition, massG, sournessGPerL, sweetnessPct, volumeMl } from '../liquor/composition.ts';
import type { Candidate } from './candidates.ts';
import { type Demand, type Problem, type Relax, resultOf, solveRelaxed, TOLERANCE } from './programme.ts';
import type {
  AddedPart,
  BalanceAim,
  BalanceAnswer,
  BalanceBinding,
  BalanceLimits,
  BalanceWish,
} from './wish.ts';

/** Grams of a part that nobody could weigh. */
const NOTHING_G = 0.05;

/**
 * What to add so that a drink comes to a wish, by a linear programme with whole fruit, room, sugar and strength limits. The
 * answer is the one that misses least; where it misses, the limit is named whose lifting would bring it nearest.
 * @returns null where the demands cannot be met at all, or there is nothing to begin with.
 */
export function balanceAnswer(
  current: Composition,
  wish: BalanceWish,
  candidates: readonly Candidate[],
  limits: BalanceLimits,
  aim: BalanceAim,
  demands: readonly Demand[] = [],
): BalanceAnswer | null {
  if (!(massG(current) > 0)) return null;
  const problem = { current, wish, candidates, limits, demands };
  const found = solveRelaxed(problem, aim, new Set());
  if (!found) return null;
  const result = resultOf(current, candidates, found.units);
  const parts = candidates.flatMap((c): AddedPart[] => {
    const units = found.units.get(c.id) ?? 0;
    const grams = units * Math.abs(c.unitG);
    if (grams < NOTHING_G) return [];
    return [
      {
        id: c.id,
        kind: c.kind,
        massG: grams,
        volumeMl: Math.abs(volumeMl(c.unit)) * units,
        pieces: c.whole ? units : null,
      },
    ];
  });
  const missSweetPct = sweetnessPct(result) - wish.sweetPct;
  const missSourGPerL = wish.sourGPerL === null ? 0 : sournessGPerL(result) - wish.sourGPerL;
  const whole = parts.some((part) => part.pieces !== null);
  const near = (miss: number, target: number, share: number, least: number) =>
    Math.abs(miss) <= Math.max(share * target, least);
  const met =
    near(missSweetPct, wish.sweetPct, TOLERANCE.share, TOLERANCE.sweetPct) &&
    near(
      missSourGPerL,
      wish.sourGPerL ?? 0,
      whole ? TOLERANCE.wholeFruit : TOLERANCE.share,
      TOLERANCE.sourGPerL,
    );
  return {
    parts,
    result,
    met,
    missSweetPct,
    missSourGPerL,
    binding: met ? null : bindingOf(problem, aim, found.miss, { missSweetPct, missSourGPerL }),
  };
}

/** The limit whose lifting brings the drink nearest to the wish. */
function bindingOf(
  p: Problem,
  aim: BalanceAim,
  miss: number,
  by: { missSweetPct: number; missSourGPerL: number },
): BalanceBinding {
  const tries: { relax: Relax; binding: BalanceBinding }[] = [
    { relax: 'room', binding: { kind: 'room' } },
    { relax: 'sugar', binding: { kind: 'sugar' } },
    { relax: 'strength', binding: { kind: 'strength' } },
    ...p.candidates.flatMap((c) => [
      ...(Number.isFinite(c.most)
        ? [{ relax: `onHand:${c.id}` as const, binding: { kind: 'onHand' as const, id: c.id } }]
        : []),
      ...(c.cap ? [{ relax: `cap:${c.id}` as const, binding: { kind: 'cap' as const, id: c.id } }] : []),
    ]),
    ...(p.candidates.some((c) => c.whole)
      ? [{ relax: 'whole' as const, binding: { kind: 'whole' as const } }]
      : []),
  ];
  let best: { binding: BalanceBinding; miss: number } | null = null;
  for (const { relax, binding } of tries) {
    const without = solveRelaxed(p, aim, new Set([relax]));
    if (without && without.miss < Math.min(miss * 0.98, best?.miss ?? Number.POSITIVE_INFINITY) - 1e-9)
      best = { binding, miss: without.miss };
  }
  if (best) return best.binding;
  // Two limits at once, or none: what is lacking then is something that moves it the other way.
  const sweetShare = Math.abs(by.missSweetPct) / Math.max(p.wish.sweetPct, 0.5);
  const sourShare = Math.abs(by.missSourGPerL) / Math.max(p.wish.sourGPerL ?? 1, 0.2);
  if (sweetShare >= sourShare)
    return { kind: 'nothing', lacks: by.missSweetPct < 0 ? 'sweeter' : 'lessSweet' };
  return { kind: 'nothing', lacks: by.missSourGPerL < 0 ? 'sourer' : 'lessSour' };
}
