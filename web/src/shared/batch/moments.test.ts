import { describe, expect, it } from 'vitest';
import type { RunningClock } from './clocks.ts';
import { momentsOf } from './moments.ts';

const MINUTE = 60_000;
const T0 = 1_000_000_000;

const clock = (change: Partial<RunningClock>): RunningClock => ({
  key: 'b:s',
  batchId: 'b',
  label: 'Bowl, soak cold',
  stepKind: 'soak',
  kind: 'timed',
  startMs: T0,
  endMs: T0 + 30 * MINUTE,
  minMs: null,
  maxMs: null,
  clockId: null,
  limitMs: null,
  draws: false,
  everyMin: null,
  branchMin: null,
  next: null,
  ...change,
});
const minutesOf = (c: RunningClock, text: RegExp) =>
  momentsOf(c).flatMap((m) => (text.test(m.text) ? [(m.atMs - T0) / MINUTE] : []));

describe('the moments at which a clock calls', () => {
  it('a soak that is turned every ten minutes calls at 10 and 20; at 30 it is over', () => {
    expect(minutesOf(clock({ everyMin: 10 }), /turn it over/)).toEqual([10, 20]);
    expect(minutesOf(clock({ everyMin: 10 }), /time is up/)).toEqual([30]);
  });
  it('turned less often than it lasts it is never turned', () => {
    expect(minutesOf(clock({ everyMin: 30 }), /turn it over/)).toEqual([]);
    expect(minutesOf(clock({ everyMin: 45 }), /turn it over/)).toEqual([]);
  });
  it('a cordial is shaken, and calls no more than so often however long it matures', () => {
    const cordial = clock({ stepKind: 'steep', everyMin: 1, endMs: T0 + 60 * 24 * 60 * MINUTE });
    expect(minutesOf(cordial, /shake it/)).toHaveLength(60);
  });
  it('what may be strained early and boiled again calls then, once; not where it is over before', () => {
    const minutes = (branchMin: number, change: Partial<RunningClock> = {}) =>
      minutesOf(clock({ stepKind: 'steep', branchMin, ...change }), /may be strained now/);
    expect(minutes(12)).toEqual([12]);
    expect(minutes(30)).toEqual([]);
    expect(minutes(12, { limitMs: T0 + 10 * MINUTE })).toEqual([]);
  });
  it('only what draws is at its best; what is kept hot or settles is done', () => {
    const steep = (draws: boolean) => clock({ stepKind: 'steep', draws, minMs: T0 + 10 * MINUTE });
    expect(minutesOf(steep(true), /at its best/)).toEqual([30]);
    expect(minutesOf(steep(false), /at its best|to strain/)).toEqual([]);
    expect(minutesOf(steep(false), /long enough$/)).toEqual([10]);
  });
});
