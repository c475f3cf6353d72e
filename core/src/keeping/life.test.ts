import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ItemLog } from '../log/itemLog.ts';
import { DAY_MS } from '../units/time.ts';
import { around, bottle, FILLED_MS, itemLog, keep, mild, origin, raw, stays } from './fixtures.ts';
import { lifeCurve, lifeOf, spellCostMin } from './spoilage.ts';
import { recordOf, temperatureSeriesOf, trackAt, warmSpells } from './temperatureSeries.ts';

const HOUR = 3_600_000;
const at = (hours: number) => FILLED_MS + hours * HOUR;
const left = (log: Partial<ItemLog>, hours: number, change = {}, facts = bottle()) =>
  lifeOf(facts, itemLog(log), around(change), at(hours)).leftDays;

/** A reading a minute, °C by the hour. */
const readings = (hours: number, tempC: (h: number) => number | null, everyMin = 1) =>
  Array.from({ length: Math.ceil((hours * 60) / everyMin) }, (_, i) => ({
    atMs: at((i * everyMin) / 60),
    value: tempC((i * everyMin) / 60),
  }));
const track = (rows: ReturnType<typeof readings>, nowH: number) =>
  temperatureSeriesOf(recordOf(rows), 4, at(nowH));

describe('a fridge that is read', () => {
  it('cold all day it changes nothing', () => {
    const cold = track(
      readings(48, () => 4),
      48,
    );
    expect(left({}, 48, { track: cold })).toBeCloseTo(left({}, 48), 6);
  });
  it('a night of eight hours at 12 °C: by hand a little less than 8 · (3^0.8 − 1) h', () => {
    const night = track(
      readings(48, (h) => (h >= 20 && h < 28 ? 12 : 4)),
      48,
    );
    const life = lifeOf(bottle(), itemLog(), around({ track: night }), at(48));
    // 3^0.8 = 2.408: 8 h cost 11.27 h by the air; the bottle lags in, and lags out again.
    const airH = 8 * (3 ** 0.8 - 1);
    expect(airH).toBeCloseTo(11.27, 2);
    expect(life.fridgeCostDays * 24).toBeGreaterThan(0.75 * airH);
    expect(life.fridgeCostDays * 24).toBeLessThan(1.1 * airH);
    expect(life.tableCostDays).toBe(0);
    expect(life.reasons.map((r) => r.code)).toContain('keep.life.fridge');
    const [spell] = warmSpells(night!);
    expect((spell!.fromMs - at(20)) / HOUR).toBeCloseTo(0, 6);
    expect((spell!.toMs - spell!.fromMs) / HOUR).toBeCloseTo(8, 6);
    expect(spell!.highestC).toBe(12);
    expect(spellCostMin(night!, spell!)).toBeCloseTo(airH * 60, 0);
  });
  it('a gap up to two hours is bridged, a longer one counts as the warmer neighbour and at least 8 °C', () => {
    const short = track(
      readings(10, (h) => (h >= 3 && h < 4.5 ? null : h < 3 ? 4 : 6)),
      10,
    )!;
    expect(trackAt(short, at(3.75))).toBeCloseTo(5, 1);
    expect(short.guessed.some((g) => g === 1)).toBe(false);
    const long = track(
      readings(12, (h) => (h >= 3 && h < 7 ? null : h < 3 ? 4 : 6)),
      12,
    )!;
    expect(trackAt(long, at(5))).toBe(8);
    const hot = track(
      readings(12, (h) => (h >= 3 && h < 7 ? null : h < 3 ? 4 : 11)),
      12,
    )!;
    expect(trackAt(hot, at(5))).toBe(11);
    const life = lifeOf(bottle(), itemLog(), around({ track: long }), at(12));
    expect(life.guessedH).toBeCloseTo(4, 1);
    expect(life.reasons.find((r) => r.code === 'keep.life.gap')!.params.hours).toBeCloseTo(4, 1);
  });
  it('a logger that fell silent counts as warm up to now; before it was there the fridge is as entered', () => {
    const silent = track(
      readings(5, () => 4),
      20,
    )!;
    expect(trackAt(silent, at(19))).toBe(8);
    expect(trackAt(silent, at(-30))).toBe(4);
    expect(temperatureSeriesOf(null, 4, at(3))).toBeNull();
    expect(recordOf([{ atMs: at(0), value: null }])).toBeNull();
  });
  it('splitting a log changes nothing', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 700 }), fc.integer({ min: 1, max: 9 }), (cut, every) => {
        const all = readings(12, (h) => 4 + 5 * Math.sin(h / 2) ** 2, every);
        const [a, b] = [all.slice(0, cut), all.slice(cut)];
        const joined = recordOf([...b, ...a])!;
        const whole = recordOf(all)!;
        expect(joined.fromMs).toBe(whole.fromMs);
        expect(joined.tempC.length).toBe(whole.tempC.length);
        // The same but for the order in which a cell is summed.
        for (const [i, tempC] of whole.tempC.entries()) expect(joined.tempC[i]).toBeCloseTo(tempC!, 9);
      }),
      { numRuns: 40 },
    );
  });
  it('being moved within the fridge changes nothing', () => {
    const night = track(
      readings(48, (h) => (h >= 20 && h < 28 ? 12 : 4)),
      48,
    );
    const moved = stays(['fridge', 0], ['fridge', 21.3], ['fridge', 25.7]);
    expect(left({ places: moved }, 48, { track: night })).toBeCloseTo(left({}, 48, { track: night }), 3);
  });
});

/** Where a bottle was, hour by hour, for the laws. */
const anyStays = fc
  .array(
    fc.record({
      place: fc.constantFrom('fridge', 'door', 'counter'),
      hours: fc.integer({ min: 1, max: 20 }),
    }),
    { minLength: 1, maxLength: 5 },
  )
  .map((rows) => {
    let h = 0;
    const places: [string, number][] = [['fridge', 0]];
    for (const row of rows) {
      h += row.hours;
      places.push([row.place, h]);
    }
    return { places: stays(...places), endH: h + 10 };
  });

describe('laws of a life', () => {
  it('warmer never lengthens it: neither the fridge, nor the room, nor a reading', () => {
    fc.assert(
      fc.property(
        anyStays,
        fc.double({ min: 1, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        ({ places, endH }, fridgeC, more) => {
          const life = (f: number, r: number) => left({ places }, endH, { fridgeC: f, roomC: r });
          expect(life(fridgeC + more, 20)).toBeLessThanOrEqual(life(fridgeC, 20) + 1e-9);
          expect(life(fridgeC, 20 + more)).toBeLessThanOrEqual(life(fridgeC, 20) + 1e-9);
          const read = (c: number) =>
            left({ places }, endH, {
              track: track(
                readings(endH, () => c, 10),
                endH,
              ),
            });
          expect(read(fridgeC + more)).toBeLessThanOrEqual(read(fridgeC) + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('an hour on the table never lengthens it', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 20 }),
        (fromH, hours, more) => {
          const out = (h: number) =>
            lifeOf(
              bottle(),
              itemLog({ places: stays(['fridge', 0], ['counter', fromH], ['fridge', fromH + h]) }),
              around(),
              at(100),
            ).leftDays;
          expect(out(hours + more)).toBeLessThanOrEqual(out(hours) + 1e-9);
          expect(out(hours)).toBeLessThanOrEqual(left({}, 100) + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('opened never lengthens it, nor does opening earlier', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 60 }), (h, earlier) => {
        const opened = (openedMs: number | null) => left({ openedMs }, 110);
        expect(opened(at(h))).toBeLessThanOrEqual(opened(null) + 1e-9);
        expect(opened(at(Math.max(0, h - earlier)))).toBeLessThanOrEqual(opened(at(h)) + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
  it('a raw part never lengthens it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('rawJuice', 'rawMilk', 'garlic', 'live', 'solid', 'water'),
        fc.boolean(),
        fc.constantFrom('clean', 'sterilised'),
        (kind, acid, hygiene) => {
          const l = acid ? {} : mild;
          const plain = keep(l, { hygiene });
          const with_ = keep({ ...l, origins: [origin(), raw(kind)] }, { hygiene });
          expect(with_.sealedDays).toBeLessThanOrEqual(plain.sealedDays);
          expect(with_.openDays).toBeLessThanOrEqual(plain.openDays);
        },
      ),
    );
  });
});

describe('frozen and thawed', () => {
  it('frozen after two days its clock stands; ninety days run instead', () => {
    const frozen = { places: stays(['fridge', 0], ['freezer', 48]) };
    const life = lifeOf(bottle(), itemLog(frozen), around(), at(48 + 10 * 24));
    expect(life.frozen).toBe(true);
    expect(life.leftDays).toBeCloseTo(80, 6);
    expect(life.verdict).toBe('good');
  });
  it('thawed in the fridge: the lesser of three days and what was left', () => {
    const thawed = (frozenAtH: number) =>
      lifeOf(
        bottle(),
        itemLog({ places: stays(['fridge', 0], ['freezer', frozenAtH], ['fridge', frozenAtH + 240]) }),
        around(),
        at(frozenAtH + 240),
      );
    // 6.5 days at filling. After two days 4.5 were left: three. After five days 1.5.
    expect(thawed(48).leftDays).toBeCloseTo(3, 6);
    expect(thawed(120).leftDays).toBeCloseTo(1.5, 6);
    expect(thawed(48).reasons.map((r) => r.code)).toContain('keep.life.thawed');
  });
  it('frozen again it gains nothing', () => {
    const twice = itemLog({
      places: stays(['fridge', 0], ['freezer', 48], ['fridge', 200], ['freezer', 224], ['fridge', 400]),
    });
    // Three days after the first thawing, one of them spent.
    expect(lifeOf(bottle(), twice, around(), at(400)).leftDays).toBeCloseTo(2, 6);
  });
  it('past its time it is not saved by the freezer, and after ninety days there it is past', () => {
    const late = itemLog({ places: stays(['fridge', 0], ['freezer', 7 * 24]) });
    expect(lifeOf(bottle(), late, around(), at(8 * 24)).verdict).toBe('past');
    const long = itemLog({ places: stays(['fridge', 0], ['freezer', 24], ['fridge', 24 + 95 * 24]) });
    expect(lifeOf(bottle(), long, around(), at(24 + 95 * 24 + 1)).verdict).toBe('past');
  });
  it('opened before it was frozen, its open days stand as well', () => {
    const log = itemLog({
      openedMs: at(24),
      places: stays(['fridge', 0], ['freezer', 48], ['fridge', 48 + 240]),
    });
    // Five days open, one spent before the freezer, so four would be left; three at most once it is thawed.
    expect(lifeOf(bottle(), log, around(), at(48 + 240)).leftDays).toBeCloseTo(3, 6);
  });
  it('a freezer that is not cold enough stops no clock', () => {
    const warm = around();
    const places = new Map(warm.places);
    places.set('freezer', { ...places.get('freezer')!, tempC: -10, frozen: false });
    const log = itemLog({ places: stays(['fridge', 0], ['freezer', 48]) });
    expect(lifeOf(bottle(), log, { ...warm, places }, at(96)).leftDays).toBeCloseTo(2.5, 1);
  });
});

describe('what else ends a life', () => {
  const unshown = bottle({ keeping: keep(mild) });
  it('seen signs: gas, a bulge, mould throw a still drink out; settled pulp does not', () => {
    const seen = (signs: ItemLog['looks'][number]['signs']) =>
      lifeOf(bottle(), itemLog({ looks: [{ atMs: at(1), signs }] }), around(), at(2)).verdict;
    expect([['gas'], ['mould'], ['bulge']].map((s) => seen(s as never))).toEqual([
      'throwOut',
      'throwOut',
      'throwOut',
    ]);
    expect(seen(['settled', 'colour'])).toBe('good');
    const live = bottle({ keeping: keep({ origins: [origin(), raw('live')] }) });
    expect(lifeOf(live, itemLog({ looks: [{ atMs: at(1), signs: ['gas'] }] }), around(), at(2)).verdict).toBe(
      'good',
    );
  });
  it('in a hot room one hour may go back, two are drunk now; else two and four', () => {
    const out = (h: number, roomC: number) =>
      lifeOf(
        unshown,
        itemLog({ places: stays(['fridge', 0], ['counter', 2], ['fridge', 2 + h]) }),
        around({ roomC }),
        at(2 + h),
      ).verdict;
    expect([1.5, 3, 5].map((h) => out(h, 22))).toEqual(['good', 'drinkToday', 'throwOut']);
    expect([0.5, 1.6, 3].map((h) => out(h, 34))).toEqual(['good', 'drinkToday', 'throwOut']);
  });
  it('says how many hours were out of the cold, so that the moment to put it back can be told', () => {
    const log = itemLog({ places: stays(['fridge', 0], ['counter', 2]) });
    const life = lifeOf(unshown, log, around(), at(3));
    // It takes a while until it is warm: less than the hour it stood there, more than half of it.
    expect(life.warmH).toBeGreaterThan(0.5);
    expect(life.warmH).toBeLessThanOrEqual(1);
  });
  it('in a failing fridge hours above 8 °C count for what is not shown acid', () => {
    const night = track(
      readings(40, (h) => (h >= 20 && h < 30 ? 13 : 4)),
      40,
    );
    expect(lifeOf(unshown, itemLog(), around({ track: night }), at(40)).verdict).toBe('throwOut');
    expect(lifeOf(bottle(), itemLog(), around({ track: night }), at(40)).verdict).toBe('good');
  });
});

describe("a rule of the cook's own", () => {
  const ask = (ownDays: number, hours = 24) => lifeOf(bottle(), itemLog(), around(), at(hours), { ownDays });
  it('shorter counts at once', () => {
    // 7 days by the tool, half of one spent at the filling; 3 by the cook.
    expect((ask(3).deadlineMs - FILLED_MS) / DAY_MS).toBeCloseTo(2.5, 6);
    expect(ask(3).own).toMatchObject({ days: 3, longer: false });
  });
  it('longer is marked, and what the tool would give stands beside it', () => {
    const life = ask(14);
    expect((life.deadlineMs - FILLED_MS) / DAY_MS).toBeCloseTo(13.5, 6);
    expect(life.own!.longer).toBe(true);
    expect((life.own!.toolDeadlineMs - FILLED_MS) / DAY_MS).toBeCloseTo(6.5, 6);
    expect(life.reasons.map((r) => r.code)).toContain('keep.own.longer');
  });
  it('never brings back what is thrown out', () => {
    const facts = bottle({ keeping: { ...keep({}), verdict: 'throwOut', sealedDays: 0 } });
    expect(lifeOf(facts, itemLog(), around(), at(2), { ownDays: 30 })).toMatchObject({
      verdict: 'throwOut',
      own: null,
    });
  });
});

describe('the curve', () => {
  it('falls from what it had at the filling to what is left, faster where it was warm', () => {
    const log = itemLog({ places: stays(['fridge', 0], ['counter', 24], ['fridge', 34]) });
    const points = lifeCurve(bottle(), log, around(), at(72));
    expect(points[0]!.leftDays).toBeCloseTo(6.5, 1);
    const life = lifeOf(bottle(), log, around(), at(72));
    expect(points.at(-1)!.leftDays).toBeCloseTo(life.leftDays, 2);
    for (const [i, p] of points.entries())
      if (i > 0) expect(p.leftDays).toBeLessThanOrEqual(points[i - 1]!.leftDays + 1e-9);
    const fell = (fromH: number, toH: number) => {
      const near = (h: number) => points.find((p) => p.atMs >= at(h))!.leftDays;
      return near(fromH) - near(toH);
    };
    expect(fell(26, 33)).toBeGreaterThan(3 * fell(50, 57));
    expect(points.length).toBeLessThan(200);
  });
});
