import { type Leaning, NO_LEANING, type Stretch } from './placeChain.ts';
import type { Schedule } from './project.ts';

/** Stretches that a chain is kept out of, or places that all lean to, at most. */
const MOST_STRETCHES = 3;

function stretches(slots: number, random: () => number): Stretch[] {
  const count = 1 + Math.floor(random() * MOST_STRETCHES);
  return Array.from({ length: count }, () => {
    const from = Math.floor(random() * slots);
    return { from, to: from + 1 + Math.floor((random() * slots) / 6) };
  });
}

/** Places at which a sitting is cheap: all that are placed anew lean to the same ones. */
function magnets(slots: number, random: () => number): Float64Array {
  const cheap = new Float64Array(slots + 1).fill(1);
  const count = 1 + Math.floor(random() * MOST_STRETCHES);
  for (let i = 0; i < count; i++) {
    const from = Math.floor(random() * slots);
    cheap.fill(0.3, from, Math.min(slots, from + 3 + Math.floor(random() * 12)));
  }
  return cheap;
}

/** Prices by chance, from hardly any to more than a sitting's worth of freshness. */
export function prices(slots: number, random: () => number): Float64Array {
  const most = 10 ** (3 * random());
  return Float64Array.from({ length: slots + 1 }, () => most * random());
}

/** So often whoever is named first does it. */
const FIRST_FREE_SHARE = 0.65;

/** By itself as it is best, but for who does it. */
export const plain = (random: () => number): Leaning =>
  random() < FIRST_FREE_SHARE ? { ...NO_LEANING, firstFree: true } : NO_LEANING;

/** How the chains of one try lean: each by itself, or all together. */
export function leaningsOf(slots: number, now: Schedule, random: () => number): () => Leaning {
  const how = random();
  if (how < 0.15) return () => plain(random);
  if (how < 0.5)
    return () => (random() < 0.4 ? plain(random) : { ...plain(random), price: prices(slots, random) });
  if (how < 0.65)
    return () => (random() < 0.5 ? plain(random) : { ...plain(random), avoid: stretches(slots, random) });
  const cheap = how < 0.9 ? magnets(slots, random) : null;
  const placed = now.placed[Math.floor(random() * now.placed.length)];
  // The sitting that one stage stands in is given up.
  const around = 2 + Math.floor(random() * 12);
  const avoid = how > 0.8 && placed ? [{ from: placed.start - around, to: placed.end + around }] : [];
  return () => ({
    avoid,
    cheap,
    price: random() < 0.3 ? prices(slots, random) : null,
    firstFree: random() < FIRST_FREE_SHARE,
  });
}
