/** A temperature read at a moment, minutes after the heating began. */
export interface TempReading {
  atMin: number;
  tempC: number;
}

/** The one place for the settings of the fit. */
export const POWER_FIT = Object.freeze({
  /** Sooner after the start than this a reading says nothing of the pace, minutes. */
  soonestMin: 2,
  /** Three readings over this time show a slope of their own, minutes. */
  spanMin: 2,
  /** One or two readings count from here on, against the start temperature, minutes. */
  aloneMin: 5,
  /** A flame this much weaker or stronger than the kitchen thinks is believed. */
  least: 0.25,
  most: 2.5,
  rounds: 40,
});

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * How much of the power that the kitchen thinks a burner has really arrives in the pot, from temperatures read while it
 * heats. The sum of squares between the readings and the path of each share is searched by golden section: the path
 * rises with the power everywhere, so there is one lowest point.
 *
 * A probe lags behind the pot by the same few tenths of a degree all the way up. With three readings or more over two
 * minutes that offset is left free, and only the slope counts; with fewer, the start temperature is the other point.
 * @param tempAfter the model's temperature after so many minutes, at a share of the power.
 * @returns 1 where the readings say nothing yet.
 */
export function powerFactorOf(
  tempAfter: (share: number) => (minutes: number) => number,
  readings: readonly TempReading[],
): number {
  const counted = readings.filter((r) => r.atMin >= POWER_FIT.soonestMin);
  const last = counted.at(-1);
  if (!last) return 1;
  const free = counted.length >= 3 && last.atMin - counted[0]!.atMin >= POWER_FIT.spanMin;
  if (!free && last.atMin < POWER_FIT.aloneMin) return 1;
  const missed = (share: number): number => {
    const at = tempAfter(share);
    const misses = counted.map((r) => r.tempC - at(r.atMin));
    const offset = free ? misses.reduce((sum, m) => sum + m, 0) / misses.length : 0;
    return misses.reduce((sum, m) => sum + (m - offset) ** 2, 0);
  };
  let [low, high] = [POWER_FIT.least as number, POWER_FIT.most as number];
  let [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [missA, missB] = [missed(a), missed(b)];
  for (let round = 0; round < POWER_FIT.rounds && high - low > 1e-4; round++) {
    if (missA < missB) {
      [high, b, missB] = [b, a, missA];
      a = high - GOLDEN * (high - low);
      missA = missed(a);
    } else {
      [low, a, missA] = [a, b, missB];
      b = low + GOLDEN * (high - low);
      missB = missed(b);
    }
  }
  return (low + high) / 2;
}
