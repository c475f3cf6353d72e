import { TZDate } from '@date-fns/tz';
import { describe, expect, it } from 'vitest';
import { type GatheringDoc, newGathering } from '../documents/gathering.ts';
import { HOUR_MS } from '../units/time.ts';
import { demandOf } from './demand.ts';
import { inGlassMl } from './feast.ts';
import { comesAgain, houseThirst, nextYearOf, pastOf } from './learning.ts';

const ZONE = 'Europe/Lisbon';
const SATURDAY = new TZDate(2026, 10, 28, 18, 0, ZONE).getTime();
const supper = (more: Partial<GatheringDoc> = {}): GatheringDoc => ({
  ...newGathering('Lantern supper', SATURDAY, SATURDAY + 4 * HOUR_MS),
  yearly: true,
  groups: [{ id: 'g', name: 'all', least: 20, most: 20, age: 'adult', rules: [], thirst: 'usual' }],
  ...more,
});
const MEAN = demandOf(supper(), inGlassMl(supper())).meanL;
const drunk = (share: number, more: object = {}) =>
  supper({ answers: { enough: 'justEnough', ranOut: [], change: '', drunkL: MEAN * share, ...more } });

describe('what a house learns of its guests', () => {
  it('is nothing before any gathering, and nothing from one that nobody counted', () => {
    expect(houseThirst([])).toEqual({ gatherings: 0, factor: 1 });
    const uncounted = drunk(1, { drunkL: null });
    expect(houseThirst([uncounted])).toEqual({ gatherings: 0, factor: 1 });
  });

  it('goes a part of the way with one, and further with more', () => {
    // 1.3 / 2.3 of the logarithm of 1.2.
    const one = houseThirst([drunk(1.2)]);
    expect(one.factor).toBeCloseTo(Math.exp((1.3 / 2.3) * Math.log(1.2)), 9);
    const three = houseThirst([drunk(1.2), drunk(1.2), drunk(1.2)]);
    expect(three.factor).toBeGreaterThan(one.factor);
    expect(three.factor).toBeLessThan(1.2);
    // The spread of the rule falls with them: 0.25² / (1 + 1.3).
    const before = demandOf(supper(), 160).cv ** 2;
    const after = demandOf(supper(), 160, one).cv ** 2;
    expect(before - after).toBeCloseTo(0.25 ** 2 - 0.25 ** 2 / 2.3, 9);
    expect(demandOf(supper(), 160, one).meanL / demandOf(supper(), 160).meanL).toBeCloseTo(one.factor, 9);
  });

  it('what ran out says only that it was at least so much', () => {
    expect(houseThirst([drunk(0.8, { enough: 'tooLittle' })]).gatherings).toBe(0);
    expect(houseThirst([drunk(1.3, { ranOut: ['red'] })]).factor).toBeGreaterThan(1);
  });

  it('counts those that were over before', () => {
    const earlier = drunk(1.2);
    const next = nextYearOf('a', earlier, () => null, ZONE);
    expect(pastOf(next, [{ gathering: earlier }, { gathering: next }])).toEqual([earlier]);
    expect(pastOf(earlier, [{ gathering: earlier }, { gathering: next }])).toEqual([]);
  });
});

describe('a yearly gathering', () => {
  const plan = {
    recipeId: 'r',
    choices: {},
    potId: 'p',
    burnerId: 'b',
    question: { kind: 'litres', litres: 5 },
    fills: 1,
    readyAtMs: SATURDAY,
  } as unknown as Extract<GatheringDoc['drinks'][number]['source'], { kind: 'plan' }>['plan'];
  const drink = (id: string, source: GatheringDoc['drinks'][number]['source']) => ({
    id,
    source,
    share: 1,
    served: 'cold' as const,
    frozen: false,
    apart: [],
  });
  const given = supper({
    drinks: [
      drink('red', { kind: 'plan', plan, litres: null }),
      drink('made', { kind: 'batch', batchId: 'known' }),
      drink('lost', { kind: 'batch', batchId: 'unknown' }),
      drink('there', { kind: 'bottles', itemIds: ['x'] }),
    ],
    helpers: [{ id: 'h', name: 'My sister', fromMs: SATURDAY - HOUR_MS, toMs: SATURDAY }],
    pins: [{ drinkId: 'red', jobId: 'shop', atMs: SATURDAY - HOUR_MS }],
    answers: { enough: 'justEnough', ranOut: [], change: 'More ice', drunkL: 20 },
  });
  const next = nextYearOf('last', given, (id) => (id === 'known' ? plan : null), ZONE);

  it('comes on the same day of the week, at the same hour, a year later', () => {
    // 28 November 2026 is a Saturday; 28 November 2027 a Sunday, the nearest Saturday the 27th.
    const at = new TZDate(next.servesAtMs, ZONE);
    expect([at.getFullYear(), at.getMonth(), at.getDate(), at.getDay(), at.getHours()]).toEqual([
      2027, 10, 27, 6, 18,
    ]);
    expect(next.untilMs - next.servesAtMs).toBe(4 * HOUR_MS);
    expect(next.helpers[0]!.toMs).toBe(next.servesAtMs);
  });

  it('keeps its guests and its drinks as plans; hours, answers and what was done begin anew', () => {
    expect(next.groups).toEqual(given.groups);
    expect(next.drinks.map((d) => [d.id, d.source.kind])).toEqual([
      ['red', 'plan'],
      ['made', 'plan'],
    ]);
    expect(next).toMatchObject({ pins: [], done: [], answers: null, before: 'last' });
  });

  it('is planned once', () => {
    const last = { id: 'last', gathering: given };
    expect(comesAgain(last, [last], SATURDAY)).toBe(false);
    expect(comesAgain(last, [last], SATURDAY + 5 * HOUR_MS)).toBe(true);
    expect(comesAgain(last, [last, { gathering: next }], SATURDAY + 5 * HOUR_MS)).toBe(false);
    const once = { id: 'once', gathering: { ...given, yearly: false } };
    expect(comesAgain(once, [once], SATURDAY + 5 * HOUR_MS)).toBe(false);
  });
});
