/** A small generator whose seed is printed: the same courses can be made again. */
export interface Random {
  /** 0 up to 1. */
  next: () => number;
  between: (low: number, high: number) => number;
  chance: (share: number) => boolean;
  pick: <T>(list: readonly T[]) => T;
}

/** Mulberry32. Source: a common 32-bit generator, good enough to choose test cases by. */
export function randomOf(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  return {
    next,
    between: (low, high) => low + (high - low) * next(),
    chance: (share) => next() < share,
    pick: (list) => list[Math.floor(next() * list.length)]!,
  };
}
