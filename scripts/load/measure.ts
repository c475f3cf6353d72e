/** Time, and what is said of it. */

export const sorted = (values: readonly number[]): number[] => [...values].sort((a, b) => a - b);
export const at = (values: readonly number[], share: number): number =>
  sorted(values)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? Number.NaN;
export const ms = (value: number): string => `${value.toFixed(value < 10 ? 2 : 0)} ms`;

/** How long something took, ms. */
export async function timed(work: () => Promise<unknown>): Promise<number> {
  const began = performance.now();
  await work();
  return performance.now() - began;
}

/** Two things in turns, so that whatever else the machine does falls on both. @returns the medians, ms. */
export async function inTurns(
  times: number,
  one: (i: number) => Promise<unknown>,
  other: (i: number) => Promise<unknown>,
): Promise<[number, number]> {
  const took: [number[], number[]] = [[], []];
  for (let i = 0; i < times; i++) {
    took[0].push(await timed(() => one(i)));
    took[1].push(await timed(() => other(i)));
  }
  return [at(took[0], 0.5), at(took[1], 0.5)];
}
