import type { MethodAnswer, MethodRow } from '@big-ladle/core/compare';
import { EMPTY_KITCHEN } from '@big-ladle/core/documents';
import { describe, expect, it } from 'vitest';
import { gainsOf, waysOf, whenOf } from './ways.ts';

const MIN = 60_000;
/** A way of so many minutes that needs its cook from and to these minutes after the start. */
function timeline(totalMin: number, needed: readonly [number, number][]): MethodRow['timeline'] {
  const calls = needed.map(([from, to], i) => ({
    stepId: `s${i}`,
    kind: 'prep' as const,
    startMs: from * MIN,
    endMs: to * MIN,
    attention: 'handsOn' as const,
  }));
  return {
    sittings: needed.map(([from, to], i) => ({
      stepIds: [`s${i}`],
      startMin: from,
      minutes: to - from,
      beforeMin: from - (needed[i - 1]?.[1] ?? 0),
      slackMin: 0,
    })),
    tailMin: totalMin - needed.at(-1)![1],
    longestStepId: 's0',
    plain: { startMs: 0, readyMs: totalMin * MIN, calls, handsOnMin: 90, totalMin },
  };
}
const row = (of: Partial<MethodRow>): MethodRow => ({
  methodId: 'straightBoil',
  totalMin: 200,
  handsOnMin: 90,
  timeline: timeline(200, [[0, 60]]),
  band: [],
  litres: 8,
  waterL: 9,
  steamL: 0.3,
  heldL: 1,
  gPerL: { calyx: 30 },
  redLeft: 0.6,
  into: 'cold',
  warmMin: 60,
  keeping: null,
  kWh: { electricity: 0, gas: 0 },
  iceKg: 5,
  washUp: 6,
  potShare: 0.9,
  curve: [],
  stretches: [],
  end: null,
  firstDraw: null,
  secondDraw: null,
  ...of,
});
const all = (...rows: MethodRow[]): MethodAnswer[] =>
  rows.map((r) => ({ ok: true, methodId: r.methodId, row: r }));

describe('what a way gives that the quickest does not', () => {
  const quickest = row({});
  it('more red, from eight parts of a hundred on', () => {
    expect(gainsOf(row({ redLeft: 0.67 }), quickest)).toEqual([]);
    expect(gainsOf(row({ redLeft: 0.69 }), quickest)).toEqual(['ways.gain.brighter']);
  });
  it('stronger and milder, from an eighth on', () => {
    expect(gainsOf(row({ gPerL: { calyx: 33 } }), quickest)).toEqual([]);
    expect(gainsOf(row({ gPerL: { calyx: 34 } }), quickest)).toEqual(['ways.gain.stronger']);
    expect(gainsOf(row({ gPerL: { calyx: 26 } }), quickest)).toEqual(['ways.gain.milder']);
  });
  it('less than half the ice, and a quarter of an hour less of work', () => {
    expect(gainsOf(row({ iceKg: 2.4, handsOnMin: 75 }), quickest)).toEqual([
      'ways.gain.lessIce',
      'ways.gain.lessWork',
    ]);
  });
});

describe('the ways that are offered', () => {
  const quick = row({});
  const bright = row({ methodId: 'firstBubbles', totalMin: 900, redLeft: 0.8 });
  const none = row({ methodId: 'doubleDraw', totalMin: 300 });
  it('the quickest and the one with something to be said for it; a slow one that gives nothing is left out', () => {
    expect(waysOf(all(bright, none, quick), 'straightBoil').map((w) => w.row.methodId)).toEqual([
      'straightBoil',
      'firstBubbles',
    ]);
  });
  it('and always the one that is chosen', () => {
    expect(waysOf(all(bright, none, quick), 'doubleDraw').map((w) => w.row.methodId)).toEqual([
      'straightBoil',
      'doubleDraw',
      'firstBubbles',
    ]);
  });
  it('none where nothing works out', () => {
    expect(waysOf([], 'straightBoil')).toEqual([]);
  });
});

describe('when a way is begun', () => {
  const kitchen = { ...EMPTY_KITCHEN, zone: 'UTC' };
  const now = Date.UTC(2026, 10, 25, 20, 0);
  it('one of a few hours now, late as it may be', () => {
    expect(whenOf(row({}), kitchen, now)).toMatchObject({ startMs: now, readyMs: now + 200 * 60_000 });
  });
  it('one over night so that its end is in the day', () => {
    const over = row({
      totalMin: 700,
      timeline: timeline(700, [
        [0, 60],
        [640, 700],
      ]),
    });
    // Begun at 20:00 it would call at 06:40; at 20:20 it would call at seven: the next quarter is half past.
    expect(whenOf(over, kitchen, now).startMs).toBe(Date.UTC(2026, 10, 25, 20, 30));
  });
});
