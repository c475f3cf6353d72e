import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_PLACES } from '../documents/kitchen.ts';
import type { EventBody, LogEvent } from '../log/events/table.ts';
import { FIRST_PLACE, foldItem, freshItem, isGone, itemAfter } from '../log/foldItem.ts';
import { toldAt } from '../log/told.fixtures.ts';
import { around, bottle, FILLED_MS, itemLog } from './fixtures.ts';
import { type Footprint, hasSpace, makeSpace, type Standee, spaceIn } from './space.ts';
import { lifeOf } from './spoilage.ts';
import { CELL_MS, recordOf, temperatureSeriesOf, trackAt, warmSpells } from './temperatureSeries.ts';
import { rateOfUse } from './use.ts';

const HOUR = 3_600_000;

const footprint = fc.record({
  sizeMl: fc.integer({ min: 100, max: 2000 }),
  diameterCm: fc.integer({ min: 4, max: 12 }),
});
const standee = fc.record({
  sizeMl: fc.integer({ min: 100, max: 2000 }),
  diameterCm: fc.integer({ min: 4, max: 12 }),
  itemId: fc.uuid(),
  deadlineMs: fc.integer({ min: 0, max: 1_000_000 }),
});
const PLACE = { ...USUAL_PLACES[0]!, litres: 12, widthCm: 45, depthCm: 30 };

describe('laws of room', () => {
  it('more things never leave more room', () => {
    fc.assert(
      fc.property(fc.array(footprint, { maxLength: 12 }), footprint, (things, one) => {
        const before = spaceIn(PLACE, things);
        const after = spaceIn(PLACE, [...things, one]);
        expect(after.litresShare).toBeGreaterThanOrEqual(before.litresShare);
        expect(after.floorShare).toBeGreaterThanOrEqual(before.floorShare);
      }),
    );
  });
  it('what is said to go first makes room, in the order of dates, and without its last it would not', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(standee, { maxLength: 14, selector: (s) => s.itemId }),
        fc.array(footprint, { minLength: 1, maxLength: 4 }),
        (there: Standee[], coming: Footprint[]) => {
          const { first } = makeSpace(PLACE, there, coming);
          if (first === null) {
            expect(hasSpace(spaceIn(PLACE, coming))).toBe(false);
            return;
          }
          const rest = (gone: readonly Standee[]) => there.filter((s) => !gone.includes(s));
          expect(hasSpace(spaceIn(PLACE, [...rest(first), ...coming]))).toBe(true);
          if (first.length > 0)
            expect(hasSpace(spaceIn(PLACE, [...rest(first.slice(0, -1)), ...coming]))).toBe(false);
          const dates = first.map((s) => s.deadlineMs);
          expect(dates).toEqual([...dates].sort((a, b) => a - b));
          for (const stays of rest(first))
            if (first.length > 0) expect(stays.deadlineMs).toBeGreaterThanOrEqual(Math.max(...dates));
        },
      ),
    );
  });
});

describe('laws of a track', () => {
  const readings = fc.array(
    fc.record({
      atMs: fc.integer({ min: 0, max: 300 }).map((m) => FILLED_MS + m * 60_000),
      value: fc.oneof(fc.double({ min: 0, max: 15, noNaN: true }), fc.constant(null)),
    }),
    { minLength: 1, maxLength: 60 },
  );
  it('lies between the coldest reading and the warmest, or what a gap counts as', () => {
    fc.assert(
      fc.property(readings, (rows) => {
        const nowMs = FILLED_MS + 6 * HOUR;
        const track = temperatureSeriesOf(recordOf(rows), 4, nowMs);
        const values = rows.flatMap((r) => (r.value === null ? [] : [r.value]));
        if (values.length === 0) {
          expect(track).toBeNull();
          return;
        }
        const low = Math.min(...values);
        const high = Math.max(...values, 8);
        for (const c of track!.tempC) {
          expect(c).toBeGreaterThanOrEqual(low - 1e-9);
          expect(c).toBeLessThanOrEqual(high + 1e-9);
        }
        expect(track!.tempC.length).toBeGreaterThanOrEqual(Math.ceil((nowMs - track!.fromMs) / CELL_MS) - 1);
      }),
    );
  });
  it('warmer readings make no moment colder and no bottle longer', () => {
    fc.assert(
      fc.property(readings, fc.double({ min: 0, max: 6, noNaN: true }), (rows, more) => {
        const nowMs = FILLED_MS + 6 * HOUR;
        const cold = temperatureSeriesOf(recordOf(rows), 4, nowMs);
        const warm = temperatureSeriesOf(
          recordOf(rows.map((r) => ({ ...r, value: r.value === null ? null : r.value + more }))),
          4,
          nowMs,
        );
        if (!cold || !warm) return;
        for (let ms = FILLED_MS; ms < nowMs; ms += CELL_MS)
          expect(trackAt(warm, ms)).toBeGreaterThanOrEqual(trackAt(cold, ms) - 1e-9);
        const left = (track: typeof cold) => lifeOf(bottle(), itemLog(), around({ track }), nowMs).deadlineMs;
        expect(left(warm)).toBeLessThanOrEqual(left(cold) + 1);
      }),
      { numRuns: 60 },
    );
  });
  it('spells come in order, apart from one another, and only where it was warm', () => {
    fc.assert(
      fc.property(readings, (rows) => {
        const track = temperatureSeriesOf(recordOf(rows), 4, FILLED_MS + 8 * HOUR);
        if (!track) return;
        const spells = warmSpells(track);
        for (const [i, s] of spells.entries()) {
          expect(s.toMs).toBeGreaterThan(s.fromMs);
          expect(s.highestC).toBeGreaterThan(6);
          expect(trackAt(track, s.fromMs)).toBeGreaterThan(6);
          if (i > 0) expect(s.fromMs).toBeGreaterThan(spells[i - 1]!.toMs);
        }
      }),
    );
  });
});

describe("laws of a bottle's log", () => {
  let seq = 0;
  const deed = fc.oneof(
    fc.constant({ kind: 'opened', body: {} }),
    fc.integer({ min: 1, max: 300 }).map((volumeMl) => ({ kind: 'poured', body: { volumeMl } })),
    fc
      .constantFrom('fridge', 'door', 'freezer', 'counter')
      .map((place) => ({ kind: 'moved', body: { place } })),
    fc.constant({ kind: 'vented', body: {} }),
    fc.constant({ kind: 'looked', body: { signs: ['settled'] } }),
  );
  const eventsOf = (deeds: readonly { kind: string; body: object }[]): LogEvent[] =>
    deeds.map((d, i) =>
      toldAt(FILLED_MS + i * HOUR, ++seq, d as EventBody, { stream: { kind: 'item', id: 'a' } }),
    );
  it('folds to the same whether it comes at once or bit by bit, in order or not', () => {
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 14 }), fc.nat(14), (deeds, cut) => {
        const events = eventsOf(deeds);
        const whole = foldItem(FILLED_MS, events);
        const part = events.slice(cut).reduce(itemAfter, foldItem(FILLED_MS, events.slice(0, cut)));
        expect(part).toEqual(whole);
        expect(foldItem(FILLED_MS, events.toReversed())).toEqual(whole);
        expect(isGone(whole)).toBe(false);
        expect(whole.places[0]).toEqual({ place: FIRST_PLACE, fromMs: FILLED_MS });
      }),
    );
  });
  it('a deed taken back leaves no trace', () => {
    fc.assert(
      fc.property(fc.array(deed, { minLength: 1, maxLength: 8 }), (deeds) => {
        const events = eventsOf(deeds);
        const last = events.at(-1)!;
        const back = {
          ...last,
          id: `z${++seq}`,
          atMs: last.atMs + 1,
          kind: 'undone',
          body: { target: last.id },
        } as LogEvent;
        expect(foldItem(FILLED_MS, [...events, back])).toEqual(foldItem(FILLED_MS, events.slice(0, -1)));
      }),
    );
  });
  it('whatever happens to it, time never gives life back', () => {
    fc.assert(
      fc.property(fc.array(deed, { maxLength: 8 }), fc.integer({ min: 0, max: 60 }), (deeds, more) => {
        const log = foldItem(FILLED_MS, eventsOf(deeds));
        const endMs = FILLED_MS + deeds.length * HOUR;
        const a = lifeOf(bottle(), log, around(), endMs);
        const b = lifeOf(bottle(), log, around(), endMs + more * HOUR);
        expect(b.leftDays).toBeLessThanOrEqual(a.leftDays + 1e-6);
      }),
      { numRuns: 80 },
    );
  });
  it('a fresh thing stands where it was put and nothing has happened to it', () => {
    const log = freshItem(FILLED_MS, 'door');
    expect(log).toMatchObject({ openedMs: null, pouredMl: 0, looks: [], used: [], given: null });
    expect(log.places).toEqual([{ place: 'door', fromMs: FILLED_MS }]);
  });
});

describe('laws of use', () => {
  it('what is drunk and what is left over add up to what is there', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5000 }),
        fc.array(
          fc.record({
            leftMl: fc.integer({ min: 1, max: 1000 }),
            deadlineMs: fc.integer({ min: 0, max: 20 }).map((d) => FILLED_MS + d * 24 * HOUR),
          }),
          { maxLength: 10 },
        ),
        (pouredMl, bottles) => {
          const rate = rateOfUse(pouredMl, 14 * 24 * HOUR, bottles, FILLED_MS);
          const there = bottles.reduce((sum, b) => sum + b.leftMl, 0);
          const drunk = ((rate.lastGlassMs! - FILLED_MS) / (24 * HOUR)) * rate.mlPerDay;
          expect(drunk + rate.leftOverMl).toBeCloseTo(there, 4);
          expect(rate.leftOverMl).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
    );
  });
});
