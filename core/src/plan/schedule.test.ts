import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AwayHours } from '../documents/kitchen.ts';
import type { PlanDoc } from '../documents/plan.ts';
import type { MethodId } from '../documents/recipe.ts';
import { BOOK } from '../program/book/book.ts';
import { choicesUnder, defaultChoices } from '../program/book/recipe.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { findAlternatives } from './alternatives.ts';
import { firstStart } from './firstStart.ts';
import { solvePlanDoc } from './planDoc.ts';
import { earliestReady, latestStart, scheduleFrom } from './schedule.ts';
import { startBy } from './startBy.ts';
import { type AwayWindow, awayWindows, timelineOf } from './timeline.ts';

const H = 3_600_000;
const planOf = (methodId: MethodId, drinkId = 'deep-calyx-ginger'): PlanDoc => {
  const recipe = BOOK.find((r) => r.id === drinkId)!;
  return {
    recipeId: drinkId,
    choices: defaultChoices(recipe, methodId),
    potId: 'blue',
    burnerId: 'gas',
    question: { kind: 'litres', litres: 8 },
    fills: 1,
    readyAtMs: null,
  };
};
const madeBy = (methodId: MethodId) => {
  const { program } = unwrap(solvePlanDoc(planOf(methodId), BOOK, KITCHEN, TABLES));
  return { program, sim: simulateBatch(program, KITCHEN, TABLES) };
};
const overlaps = (a: { startMs: number; endMs: number }, w: AwayWindow) =>
  a.startMs < w.toMs - 1 && a.endMs > w.fromMs + 1;

describe('where no hour is asked for', () => {
  it('law: it is begun when the plan would say for the hour at which it is then ready', () => {
    const methods = ['straightBoil', 'shortBoilLongSteep', 'overnightSoak'] as const;
    const made = methods.map((m) => madeBy(m)).map(({ program, sim }) => timelineOf(program, sim));
    fc.assert(
      fc.property(
        fc.constantFrom(...made),
        fc.integer({ min: 0, max: 24 * 60 - 1 }),
        fc.constantFrom<[number, number] | null>(null, [22 * 60, 6 * 60], [8 * 60, 16 * 60]),
        (timeline, minute, hours) => {
          const nowMs = Date.UTC(2026, 10, 24, 0, minute);
          const away: AwayHours[] = hours
            ? [{ kind: 'away', days: [0, 1, 2, 3, 4, 5, 6], fromMin: hours[0], toMin: hours[1] }]
            : [];
          const first = firstStart(timeline, { away, zone: 'UTC' }, nowMs);
          if (!first.ok) return;
          const { startMs, readyMs, calls } = first.schedule;
          expect(startMs).toBeGreaterThanOrEqual(nowMs);
          const windows = awayWindows(away, 'UTC', nowMs, readyMs + 8 * 24 * H);
          for (const call of calls) expect(windows.some((w) => overlaps(call, w))).toBe(false);
          if (startMs === nowMs) return;
          const asked = latestStart(timeline, readyMs, windows);
          expect(asked.ok && asked.schedule.startMs).toBe(startMs);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('hours away', () => {
  const asleep: AwayHours = {
    kind: 'asleep',
    days: [0, 1, 2, 3, 4, 5, 6],
    fromMin: 22 * 60 + 30,
    toMin: 6 * 60,
  };
  it('a night runs past midnight, in the kitchen’s zone', () => {
    // Tuesday 24 Nov 2026, noon UTC; in Oslo, an hour ahead, bed at 22:30 is 21:30 UTC.
    const noon = Date.UTC(2026, 10, 24, 12);
    const [first] = awayWindows([asleep], 'Europe/Oslo', noon, noon + 24 * H);
    expect(first).toEqual({ fromMs: Date.UTC(2026, 10, 24, 21, 30), toMs: Date.UTC(2026, 10, 25, 5) });
  });
  it('a far year is looked into for so many days and no further', () => {
    const noon = Date.UTC(2026, 10, 24, 12);
    // The largest moment there is: a quarter of a million years of nights.
    const windows = awayWindows([asleep], 'Europe/Oslo', noon, 8_640_000_000_000_000);
    expect(windows.length).toBeGreaterThan(2 * 366);
    expect(windows.length).toBeLessThan(900);
  });
  it('the night in which clocks go back is an hour longer', () => {
    // 25 Oct 2026, 03:00 summer time becomes 02:00.
    const [night] = awayWindows(
      [asleep],
      'Europe/Oslo',
      Date.UTC(2026, 9, 24, 12),
      Date.UTC(2026, 9, 25, 12),
    );
    expect((night!.toMs - night!.fromMs) / H).toBe(8.5);
    const [usual] = awayWindows(
      [asleep],
      'Europe/Oslo',
      Date.UTC(2026, 9, 20, 12),
      Date.UTC(2026, 9, 21, 12),
    );
    expect((usual!.toMs - usual!.fromMs) / H).toBe(7.5);
  });
  it('work hours count on their days only', () => {
    const work: AwayHours = { kind: 'away', days: [1, 2, 3, 4, 5], fromMin: 8 * 60, toMin: 17 * 60 };
    // Saturday and Sunday, 28 and 29 Nov 2026
    const from = Date.UTC(2026, 10, 28);
    expect(awayWindows([work], 'UTC', from, from + 48 * H)).toEqual([]);
    expect(awayWindows([work], 'UTC', from, from + 72 * H)).toHaveLength(1);
  });
});

describe('start by, with hours away', () => {
  const { program, sim } = madeBy('shortBoilLongSteep');
  const ready = Date.UTC(2026, 10, 28, 17);
  it('with nobody away it is the plain chain', () => {
    const placed = latestStart(timelineOf(program, sim), ready, []);
    expect(placed.ok && placed.schedule.startMs).toBeCloseTo(startBy(program, sim, ready).startMs, 0);
    expect(placed.ok && placed.schedule.stretched).toEqual([]);
  });
  it('a steep of twelve hours spans the night, and grows so that the cook may sleep', () => {
    const night = { fromMs: Date.UTC(2026, 10, 27, 22), toMs: Date.UTC(2026, 10, 28, 7) };
    const placed = latestStart(timelineOf(program, sim), Date.UTC(2026, 10, 28, 9), [night]);
    if (!placed.ok) throw new Error('should be placed');
    for (const call of placed.schedule.calls) expect(overlaps(call, night), call.stepId).toBe(false);
    expect(placed.schedule.readyMs).toBeLessThanOrEqual(Date.UTC(2026, 10, 28, 9));
    expect(placed.schedule.startMs).toBeLessThan(night.fromMs);
  });
  it('whatever the hours: nobody is called while away, and it is ready in time, or it says what binds', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ startH: fc.integer({ min: 0, max: 90 }), lengthH: fc.integer({ min: 1, max: 10 }) }),
          { maxLength: 6 },
        ),
        fc.constantFrom<MethodId>('shortBoilLongSteep', 'straightBoil', 'overnightSoak', 'doubleDraw'),
        (hours, methodId) => {
          const made = madeBy(methodId);
          const away = hours
            .map(({ startH, lengthH }) => ({
              fromMs: ready - startH * H,
              toMs: ready - startH * H + lengthH * H,
            }))
            .sort((a, b) => a.fromMs - b.fromMs);
          const placed = latestStart(timelineOf(made.program, made.sim), ready, away);
          if (!placed.ok) {
            expect(made.program.steps.map((s) => s.id)).toContain(placed.bindingStepId);
            return;
          }
          expect(placed.schedule.readyMs).toBeLessThanOrEqual(ready + 1);
          for (const call of placed.schedule.calls)
            for (const w of away) expect(overlaps(call, w)).toBe(false);
          for (let i = 1; i < placed.schedule.calls.length; i++)
            expect(placed.schedule.calls[i]!.startMs).toBeGreaterThanOrEqual(
              placed.schedule.calls[i - 1]!.endMs - 1,
            );
        },
      ),
      { numRuns: 60 },
    );
  });
  it('law: no later start would do, and none is ready sooner', () => {
    const timelines = (['shortBoilLongSteep', 'straightBoil', 'overnightSoak'] as const)
      .map((m) => madeBy(m))
      .map((made) => timelineOf(made.program, made.sim));
    const hours = fc.array(
      fc.record({ startH: fc.integer({ min: 0, max: 60 }), lengthH: fc.integer({ min: 1, max: 10 }) }),
      { minLength: 1, maxLength: 5 },
    );
    fc.assert(
      fc.property(hours, fc.constantFrom(...timelines), (away, timeline) => {
        const windows = away
          .map(({ startH, lengthH }) => ({
            fromMs: ready - startH * H,
            toMs: ready - (startH - lengthH) * H,
          }))
          .sort((a, b) => a.fromMs - b.fromMs);
        const latest = latestStart(timeline, ready, windows);
        const lastMs = ready - timeline.plain.totalMin * 60_000;
        // Gone through minute by minute, each step as soon as it can be: what the engine finds is as late at least.
        const from = latest.ok ? latest.schedule.startMs + 1 : lastMs - 24 * H;
        for (let at = lastMs; at > from; at -= 60_000) {
          const tried = scheduleFrom(timeline, at, windows);
          expect(tried.ok && tried.schedule.readyMs <= ready).toBe(false);
        }
        const now = lastMs - 30 * H;
        const soonest = earliestReady(timeline, now, windows);
        for (let at = now; at < now + 24 * H; at += 60_000) {
          const tried = scheduleFrom(timeline, at, windows);
          if (!tried.ok) continue;
          expect(soonest.ok && soonest.schedule.readyMs).toBeLessThanOrEqual(tried.schedule.readyMs + 1);
        }
      }),
      { numRuns: 25 },
    );
  });
  it('law: what is ready soonest is found again when it is asked for by that hour', () => {
    const timelines = (['shortBoilLongSteep', 'overnightSoak', 'doubleDraw'] as const)
      .map((m) => madeBy(m))
      .map((made) => timelineOf(made.program, made.sim));
    fc.assert(
      fc.property(
        fc.constantFrom(...timelines),
        fc.integer({ min: 0, max: 24 * 3600 - 1 }),
        fc.integer({ min: 5, max: 9 }),
        fc.integer({ min: 15, max: 23 }),
        (timeline, second, wakesH, sleepsH) => {
          const now = Date.UTC(2026, 10, 24) + second * 1000;
          const nights: AwayHours[] = [
            { kind: 'asleep', days: [0, 1, 2, 3, 4, 5, 6], fromMin: sleepsH * 60, toMin: wakesH * 60 },
          ];
          const away = awayWindows(nights, 'UTC', now, now + 14 * 24 * H);
          const soonest = earliestReady(timeline, now, away);
          if (!soonest.ok) return;
          const asked = latestStart(timeline, soonest.schedule.readyMs, away);
          expect(asked.ok && asked.schedule.startMs).toBeGreaterThanOrEqual(soonest.schedule.startMs - 1);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('a steep does not grow beyond its latest', () => {
    const step = program.steps.find((s) => s.kind === 'steep')!;
    const most = step.until.kind === 'duration' ? step.until.maxMinutes! - step.until.minutes : 0;
    const entry = sim.trace.find((t) => t.kind === 'steep')!;
    const start = Date.UTC(2026, 10, 25, 6);
    const best = start + entry.endMin * 60_000;
    const until = (min: number) =>
      scheduleFrom(timelineOf(program, sim), start, [{ fromMs: best - 1000, toMs: best + min * 60_000 }]);
    expect(until(most - 5).ok).toBe(true);
    expect(until(most + 30)).toMatchObject({ ok: false });
  });
});

describe('where it cannot be ready in time', () => {
  const now = Date.UTC(2026, 10, 28, 9);
  it('three ways out, each with its price', () => {
    const plan = planOf('shortBoilLongSteep');
    const ways = findAlternatives(plan, now + 6 * H, now, [], BOOK, KITCHEN, TABLES);
    expect(ways.map((w) => w.kind)).toEqual(['fasterMethod', 'splitPots', 'laterServing']);
    const [faster, split, later] = ways;
    expect(faster!.meets).toBe(true);
    expect(faster!.methodId).not.toBe('shortBoilLongSteep');
    expect(later!.meets).toBe(false);
    expect(split!.readyMs).toBeLessThan(later!.readyMs);
    expect(later!.strength).toBeCloseTo(1, 9);
    expect(faster!.strength).toBeGreaterThan(0.8);
  });
  it('what holds under any method goes along to the other one, its lengths do not', () => {
    const recipe = BOOK.find((r) => r.id === 'deep-calyx-ginger')!;
    const from = {
      ...defaultChoices(recipe, 'shortBoilLongSteep'),
      hygiene: 'clean' as const,
      coolBy: 'counter' as const,
      strength: 'dark' as const,
      boilMin: 99,
    };
    const to = choicesUnder(recipe, 'straightBoil', from);
    expect(to).toMatchObject({
      methodId: 'straightBoil',
      hygiene: 'clean',
      coolBy: 'counter',
      strength: 'dark',
    });
    expect(to.boilMin).toBe(defaultChoices(recipe, 'straightBoil').boilMin);
    // A plan from before a choice was asked for: the drink's usual.
    expect(choicesUnder(recipe, 'doubleDraw', { methodId: 'straightBoil' })).toEqual(
      defaultChoices(recipe, 'doubleDraw'),
    );
  });
  it('a second pot that is not there is said to be wanting', () => {
    const one = { ...KITCHEN, pots: KITCHEN.pots.filter((p) => p.id === 'blue') };
    const ways = findAlternatives(planOf('straightBoil'), now + 2 * H, now, [], BOOK, one, TABLES);
    expect(ways.find((w) => w.kind === 'splitPots')!.wantsPot).toBe(true);
    expect(
      findAlternatives(planOf('straightBoil'), now + 2 * H, now, [], BOOK, KITCHEN, TABLES).find(
        (w) => w.kind === 'splitPots',
      )!.wantsPot,
    ).toBe(false);
  });
  it('the earliest hour keeps out of the night too', () => {
    const { program, sim } = madeBy('straightBoil');
    const night = { fromMs: now, toMs: now + 8 * H };
    const placed = earliestReady(timelineOf(program, sim), now, [night]);
    expect(placed.ok && placed.schedule.startMs).toBeGreaterThanOrEqual(night.toMs);
  });
});
