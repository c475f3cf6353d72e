import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Liquor } from '../program/model/liquor.ts';
import { DAY_MS } from '../units/time.ts';
import { around, bottle, cooled, FILLED_MS, itemLog, keep, mild, origin } from './fixtures.ts';
import { lifeRate } from './follower.ts';
import type { keepingOf } from './shelfLife.ts';
import { lifeOf } from './spoilage.ts';

const codes = (k: ReturnType<typeof keepingOf>) => k.reasons.map((r) => r.code);

describe('the class table', () => {
  it.each([
    ['heated through, acid', {}, 7, 5],
    ['heated through, not shown acid', mild, 4, 3],
    [
      'raw juice after, acid',
      { origins: [origin(), origin({ kind: 'rawJuice', heatedMin: 0, below60Min: null })] },
      4,
      3,
    ],
    [
      'raw juice after, not shown',
      { ...mild, origins: [origin(), origin({ kind: 'rawJuice', heatedMin: 0, below60Min: null })] },
      2,
      2,
    ],
    ['never heated, acid', { origins: [origin({ heatedMin: 0, below60Min: null })] }, 3, 3],
    ['never heated, not shown', { ...mild, origins: [origin({ heatedMin: 0, below60Min: null })] }, 2, 2],
  ] as [string, Partial<Liquor>, number, number][])('%s: %d / %d days', (_, l, sealed, open) => {
    expect(keep(l)).toMatchObject({ sealedDays: sealed, openDays: open, verdict: 'keep' });
  });
  it('sugar, vinegar and spirits are never raw; tap water only where it is not acid', () => {
    const sweet = origin({ kind: 'sweetener', heatedMin: 0, below60Min: null });
    const tap = origin({ kind: 'water', heatedMin: 0, below60Min: null });
    expect(keep({ origins: [origin(), sweet, tap] }).keepClass).toBe('heated');
    expect(keep({ ...mild, origins: [origin(), tap] }).keepClass).toBe('rawAdded');
  });
});

describe('shown acid', () => {
  it('a meter up to 4.2, a strip up to 3.8, an estimate up to 3.3', () => {
    expect(keep({ ...mild, read: { pH: 4.2, by: 'meter' } }).sealedDays).toBe(7);
    expect(keep({ ...mild, read: { pH: 4.3, by: 'meter' } }).sealedDays).toBe(4);
    expect(keep({ ...mild, read: { pH: 3.8, by: 'strip' } }).sealedDays).toBe(7);
    expect(keep({ ...mild, read: { pH: 3.9, by: 'strip' } }).sealedDays).toBe(4);
    // A reading overrules a better estimate.
    expect(keep({ read: { pH: 4.5, by: 'meter' } }).sealedDays).toBe(4);
    expect(codes(keep({ acidG: 0, alkaliMeq: 0 }))).toContain('keep.acid.none');
  });
});

describe('preserving rows, limits, caps and cuts', () => {
  it('vinegar and sugar 60 / 45; strong spirit 60 / 45; mild spirit 14 / 10', () => {
    expect(keep({ waterG: 6000, sugarG: 3000, addedSugarG: 3000, aceticG: 150 })).toMatchObject({
      sealedDays: 60,
      openDays: 45,
    });
    expect(keep({ ethanolG: 2200 })).toMatchObject({ sealedDays: 60 });
    expect(keep({ ethanolG: 900 })).toMatchObject({ sealedDays: 14, openDays: 10 });
    // Under 10 % alcohol gives nothing.
    expect(keep({ ethanolG: 300 })).toMatchObject({ sealedDays: 7 });
  });
  it('raw garlic, coconut and milk win over everything', () => {
    const garlic = origin({ kind: 'garlic', heatedMin: 0, below60Min: null });
    expect(keep({ ethanolG: 2200, origins: [origin(), garlic] })).toMatchObject({
      sealedDays: 3,
      openDays: 3,
    });
    expect(keep({ ...mild, origins: [origin(), garlic] })).toMatchObject({ sealedDays: 2 });
    expect(keep({ markerG: { coconut: 5 } })).toMatchObject({ sealedDays: 2, openDays: 2 });
  });
  it('heated, shown acid, bottle not sterilised, 10 h between 60 and 21 °C: 3 days', () => {
    // 7, capped at 4 for a clean bottle, one day cut for 6 to 12 h of slow cooling
    const k = keep(
      { cooling: cooled({ from60To21Min: 600, from21To5Min: 60, warmMin: 700 }) },
      { hygiene: 'clean' },
    );
    expect(k.sealedDays).toBe(3);
    expect(codes(k)).toEqual([
      'keep.class.heated',
      'keep.acid.shown.estimate',
      'keep.cap.clean',
      'keep.cut.slowCooling',
    ]);
  });
  it('slow cooling: up to 6 h nothing, up to 12 h a day, more two', () => {
    const at = (h: number) =>
      keep({ cooling: cooled({ from60To21Min: h * 60, from21To5Min: 60, warmMin: 0 }) }).sealedDays;
    expect([6, 6.1, 12, 12.1].map(at)).toEqual([7, 6, 6, 5]);
  });
});

describe('throwing out', () => {
  it('not shown acid and a cooling stage missed', () => {
    expect(
      keep({ ...mild, cooling: cooled({ from60To21Min: 121, from21To5Min: 60, warmMin: 0 }) }),
    ).toMatchObject({
      verdict: 'throwOut',
      sealedDays: 0,
    });
    expect(
      keep({ ...mild, cooling: cooled({ from60To21Min: 60, from21To5Min: 241, warmMin: 0 }) }).verdict,
    ).toBe('throwOut');
    expect(keep({ cooling: cooled({ from60To21Min: 121, from21To5Min: 241, warmMin: 0 }) }).verdict).toBe(
      'keep',
    );
  });
  it('the first stage missed, but under four hours since it was hot: it may be boiled once more', () => {
    const after = (first: number, second: number) =>
      codes(keep({ ...mild, cooling: cooled({ from60To21Min: first, from21To5Min: second, warmMin: 0 }) }));
    expect(after(150, 60)).toEqual(['keep.firstStageMissed', 'keep.mayBoilAgain']);
    expect(after(200, 60)).toEqual(['keep.firstStageMissed']);
    expect(after(60, 250)).toEqual(['keep.secondStageMissed']);
  });
  it('more than 4 h warm while not shown acid, also if it is sour at the end or boiled afterwards', () => {
    const after = (unsafeMin: number, l = {}) => keep({ ...l, cooling: cooled({ unsafeMin }) }).verdict;
    expect(after(241)).toBe('throwOut');
    expect(after(241, mild)).toBe('throwOut');
    expect(after(230, mild)).toBe('keep');
  });
});

describe('the clock of a bottle', () => {
  const places = around();
  const filledMs = FILLED_MS;
  const log = itemLog;

  it('life spent per day at 8 °C 1.55 days, per hour at 22 °C 7.2 h', () => {
    // 3^((8−4)/10) = 3^0.4 = 1.552; 3^1.8 = 7.22
    expect(lifeRate(8)).toBeCloseTo(1.552, 3);
    expect(lifeRate(22)).toBeCloseTo(7.22, 2);
    expect(lifeRate(5)).toBe(1);
  });
  it('runs from before the filling at rate 1: 7 days less the half that was spent', () => {
    const life = lifeOf(bottle(), log(), places, filledMs);
    expect((life.deadlineMs - filledMs) / DAY_MS).toBeCloseTo(6.5, 6);
    expect(lifeOf(bottle(), log(), places, filledMs + 3 * DAY_MS).deadlineMs).toBeCloseTo(
      life.deadlineMs,
      -3,
    );
  });
  it('a fridge at 8 °C spends it 1.55 times as fast', () => {
    const life = lifeOf(bottle({ filledC: 8 }), log(), around({ fridgeC: 8 }), filledMs);
    expect((life.deadlineMs - filledMs) / DAY_MS).toBeCloseTo(6.5 / 1.552, 2);
  });
  it('once past, it stays past from the moment at which its time was spent, whoever looks and when', () => {
    // 6.5 days at 1.552 a day: 4.19 days after it was filled, looked at on the tenth day as on the first.
    const warm = around({ fridgeC: 8 });
    for (const day of [0, 4, 5, 10, 30]) {
      const life = lifeOf(bottle({ filledC: 8 }), log(), warm, filledMs + day * DAY_MS);
      expect((life.deadlineMs - filledMs) / DAY_MS).toBeCloseTo(6.5 / 1.552, 2);
      expect(life.verdict === 'past').toBe(day > 4);
    }
    // Spent before it was filled: half a day of 0.4.
    const short = bottle({ keeping: { ...bottle().keeping, sealedDays: 0.4, uncutDays: 0.4 } });
    const late = lifeOf(short, log(), places, filledMs + DAY_MS);
    expect((late.deadlineMs - filledMs) / DAY_MS).toBeCloseTo(-0.1, 6);
  });
  it('ten hours on the table cost nearly 10 · 6.2 h, less while it warms, and some more while it cools', () => {
    const out = [
      { place: 'fridge' as const, fromMs: filledMs },
      { place: 'counter' as const, fromMs: filledMs + DAY_MS },
      { place: 'fridge' as const, fromMs: filledMs + DAY_MS + 10 * 3_600_000 },
    ];
    const life = lifeOf(bottle(), log({ places: out }), places, filledMs + 2 * DAY_MS);
    expect(life.tableCostDays).toBeGreaterThan(1.7);
    expect(life.tableCostDays).toBeLessThan(2.6);
    expect(life.reasons.map((r) => r.code)).toContain('keep.life.warm');
  });
  it('opened: the earlier of what is left and five days from then', () => {
    const soon = lifeOf(bottle(), log({ openedMs: filledMs + DAY_MS }), places, filledMs + DAY_MS);
    expect((soon.deadlineMs - filledMs) / DAY_MS).toBeCloseTo(6, 6);
    const late = lifeOf(bottle(), log({ openedMs: filledMs + 3 * DAY_MS }), places, filledMs + 3 * DAY_MS);
    expect((late.deadlineMs - filledMs) / DAY_MS).toBeCloseTo(6.5, 6);
  });
  it('tells today, past and thrown out apart', () => {
    expect(lifeOf(bottle(), log(), places, filledMs + 5.6 * DAY_MS).verdict).toBe('drinkToday');
    expect(lifeOf(bottle(), log(), places, filledMs + 6.6 * DAY_MS)).toMatchObject({
      verdict: 'past',
      leftShare: 0,
    });
    const table = [
      { place: 'fridge' as const, fromMs: filledMs },
      { place: 'counter' as const, fromMs: filledMs + 3_600_000 },
    ];
    const unshown = bottle({ keeping: keep(mild) });
    // Out for h hours, and just put back.
    const at = (h: number) => {
      const backMs = filledMs + (1 + h) * 3_600_000;
      const back = { place: 'fridge' as const, fromMs: backMs };
      return lifeOf(unshown, log({ places: [...table, back] }), places, backMs).verdict;
    };
    expect(at(1)).toBe('good');
    expect(at(3)).toBe('drinkToday');
    expect(at(5)).toBe('throwOut');
  });
  it('never gives life back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.integer({ min: 0, max: 20 }),
        (day, more, outH) => {
          const moved =
            outH > 0
              ? [
                  { place: 'fridge' as const, fromMs: filledMs },
                  { place: 'counter' as const, fromMs: filledMs + DAY_MS },
                  { place: 'fridge' as const, fromMs: filledMs + DAY_MS + outH * 3_600_000 },
                ]
              : log().places;
          const a = lifeOf(bottle(), log({ places: moved }), places, filledMs + day * DAY_MS);
          const b = lifeOf(bottle(), log({ places: moved }), places, filledMs + (day + more) * DAY_MS);
          expect(b.deadlineMs).toBeLessThanOrEqual(a.deadlineMs + 1000);
          expect(b.leftShare).toBeLessThanOrEqual(a.leftShare + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
});
