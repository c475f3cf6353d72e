import { randomLcg, randomNormal } from 'd3-random';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { GatheringDoc, GuestGroup } from '../documents/gathering.ts';
import { DEMAND_SPREAD, SPILT, TURN_OUT } from '../tables/guests.ts';
import { HOUR_MS } from '../units/time.ts';
import { demandCurve, demandOf, enoughL, glassesOf, leftOverL, runsOut, shareOut } from './demand.ts';

const SIX = Date.UTC(2026, 10, 28, 18, 0);
const adults = (count: number): GuestGroup => ({
  id: 'adults',
  name: 'Adults',
  least: count,
  most: count,
  age: 'adult',
  rules: [],
  thirst: 'usual',
});
type Evening = Pick<GatheringDoc, 'servesAtMs' | 'untilMs' | 'outdoorC' | 'alcoholBeside' | 'groups'>;
const evening = (groups: readonly GuestGroup[], hours = 4): Evening => ({
  servesAtMs: SIX,
  untilMs: SIX + hours * HOUR_MS,
  outdoorC: null,
  alcoholBeside: false,
  groups,
});

/** Evenings drawn one by one: each guest comes or not and drinks in her own way, and the whole evening is as it is. */
function drawnL(count: number, glasses: number, glassL: number, evenings: number, ruleCv: number): number[] {
  const random = randomLcg(0.37);
  const normal = randomNormal.source(random)(0, 1);
  const factor = (cv: number) => {
    const sigma = Math.sqrt(Math.log1p(cv * cv));
    return Math.exp(sigma * normal() - (sigma * sigma) / 2);
  };
  return Array.from({ length: evenings }, () => {
    const whole = factor(DEMAND_SPREAD.evening) * (ruleCv > 0 ? factor(ruleCv) : 1);
    let litres = 0;
    for (let guest = 0; guest < count; guest++)
      if (random() < TURN_OUT.share) litres += glasses * factor(DEMAND_SPREAD.person) * glassL;
    return litres * whole * (1 + SPILT.share);
  }).sort((a, b) => a - b);
}
const quantile = (sorted: readonly number[], share: number) => sorted[Math.floor(share * sorted.length)]!;

/** Of 36, each of whom comes in 92 of a hundred cases: (0.45² + 0.08) ÷ (0.92 × 36). */
const PEOPLE = 0.008_53;

describe('how much a gathering drinks', () => {
  const demand = demandOf(evening([adults(36)]), 200);

  it('counts two glasses in the first hour and one in each further one', () => {
    const g = evening([adults(1)]);
    expect(glassesOf(adults(1), g)).toBe(5);
    expect(glassesOf(adults(1), { ...g, untilMs: SIX + HOUR_MS / 2 })).toBe(1);
    // A child six tenths of it, at 34 °C three tenths more, beside wine seven tenths.
    expect(glassesOf({ age: 'child', thirst: 'usual' }, g)).toBeCloseTo(3, 9);
    expect(glassesOf(adults(1), { ...g, outdoorC: 34 })).toBeCloseTo(6.5, 9);
    expect(glassesOf(adults(1), { ...g, alcoholBeside: true })).toBeCloseTo(3.5, 9);
    expect(glassesOf({ age: 'infant', thirst: 'much' }, g)).toBe(0);
    // 36 × 5 × 0.92 × 0.2 L × 1.07
    expect(demand.meanL).toBeCloseTo(35.4384, 4);
  });

  it('gives the worked figures for 36 adults and four hours, with the evening and the people alone', () => {
    const known = { meanL: demand.meanL, cv: Math.sqrt(0.2 ** 2 + PEOPLE) };
    const worked = [
      { share: 0.5, litres: 34.6, left: 2.5 },
      { share: 0.8, litres: 41.8, left: 7.0 },
      { share: 0.9, litres: 46.1, left: 10.4 },
      { share: 0.95, litres: 49.8, left: 13.6 },
    ];
    for (const { share, litres, left } of worked) {
      expect(Math.abs(enoughL(known, share) / litres - 1), `${share}`).toBeLessThan(0.02);
      expect(Math.abs(leftOverL(known, enoughL(known, share)) / left - 1), `${share} left`).toBeLessThan(
        0.07,
      );
    }
    // With the rule's own spread, before any gathering.
    expect(enoughL(demand, 0.9)).toBeGreaterThan(50);
    expect(enoughL(demand, 0.9)).toBeLessThan(52);
  });

  it('and is within two in a hundred of evenings drawn one by one', () => {
    for (const ruleCv of [0, DEMAND_SPREAD.rule]) {
      const drawn = drawnL(36, 5, 0.2, 8000, ruleCv);
      const cv = Math.sqrt(ruleCv ** 2 + 0.2 ** 2 + PEOPLE);
      for (const share of [0.5, 0.8, 0.9, 0.95]) {
        const litres = enoughL({ meanL: demand.meanL, cv }, share);
        expect(Math.abs(litres / quantile(drawn, share) - 1), `${ruleCv} ${share}`).toBeLessThan(0.02);
        const left = drawn.reduce((sum, x) => sum + Math.max(0, litres - x), 0) / drawn.length;
        expect(Math.abs(leftOverL({ meanL: demand.meanL, cv }, litres) - left)).toBeLessThan(0.5);
      }
    }
  });

  it('is surer with each gathering of this house, and follows what it drank', () => {
    const after = demandOf(evening([adults(36)]), 200, { gatherings: 4, factor: 0.8 });
    expect(after.meanL).toBeCloseTo(0.8 * demand.meanL, 9);
    expect(after.cv).toBeLessThan(demand.cv);
    // 0.0625 ÷ 6.2 + 0.04, and the people.
    expect(after.cv ** 2).toBeCloseTo(0.010_081 + 0.04 + PEOPLE, 5);
  });

  it('a count from and to makes it less sure', () => {
    const sure = demandOf(evening([adults(30)]), 200);
    const unsure = demandOf(evening([{ ...adults(0), least: 20, most: 40 }]), 200);
    expect(unsure.meanL).toBeCloseTo(sure.meanL, 9);
    expect(unsure.cv).toBeGreaterThan(sure.cv);
  });
});

describe('laws of demand', () => {
  const group = fc.record({
    least: fc.integer({ min: 0, max: 60 }),
    more: fc.integer({ min: 0, max: 20 }),
    age: fc.constantFrom('adult', 'teen', 'child', 'infant'),
    thirst: fc.constantFrom('little', 'usual', 'much'),
  });
  const groups = fc.array(group, { minLength: 1, maxLength: 6 }).map((rows) =>
    rows.map(
      ({ more, ...row }, i): GuestGroup => ({
        ...row,
        most: row.least + more,
        id: `g${i}`,
        name: 'G',
        rules: [],
      }),
    ),
  );
  const hours = fc.double({ min: 0.5, max: 12, noNaN: true });
  const share = fc.double({ min: 0.5, max: 0.99, noNaN: true });

  it('more guests never less litres', () => {
    fc.assert(
      fc.property(groups, hours, share, fc.nat(5), (rows, h, assurance, which) => {
        const before = enoughL(demandOf(evening(rows, h), 180), assurance);
        const more = rows.map((row, i) =>
          i === which % rows.length ? { ...row, least: row.least + 1, most: row.most + 1 } : row,
        );
        expect(enoughL(demandOf(evening(more, h), 180), assurance)).toBeGreaterThanOrEqual(before - 1e-9);
      }),
      { numRuns: 300 },
    );
  });

  it('a higher assurance never less; it runs out as seldom as was asked; what is left grows with the litres', () => {
    fc.assert(
      fc.property(groups, hours, share, share, (rows, h, a, b) => {
        const demand = demandOf(evening(rows, h), 200);
        fc.pre(demand.meanL > 0);
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(enoughL(demand, high)).toBeGreaterThanOrEqual(enoughL(demand, low) - 1e-9);
        expect(runsOut(demand, enoughL(demand, a))).toBeCloseTo(1 - a, 5);
        expect(leftOverL(demand, enoughL(demand, high))).toBeGreaterThanOrEqual(
          leftOverL(demand, enoughL(demand, low)) - 1e-6,
        );
        // What is drunk afterwards while it keeps is not left over.
        expect(leftOverL(demand, enoughL(demand, a), 3)).toBeLessThanOrEqual(
          leftOverL(demand, enoughL(demand, a)) + 1e-9,
        );
      }),
      { numRuns: 300 },
    );
  });

  it('what is shared out comes to the total, and nobody is given what she may not have', () => {
    fc.assert(
      fc.property(
        groups,
        fc.array(fc.tuple(fc.nat(3), fc.nat(63)), { minLength: 1, maxLength: 5 }),
        (rows, raw) => {
          const demand = demandOf(evening(rows), 200);
          const drinks = raw.map(([part, bits], i) => ({
            id: `d${i}`,
            share: part,
            groupIds: new Set(rows.filter((_, g) => bits & (1 << g)).map((r) => r.id)),
          }));
          const litres = shareOut(demand, 2 * demand.meanL, drinks);
          const served = rows.filter((r) => drinks.some((d) => d.share > 0 && d.groupIds.has(r.id)));
          const wanted = served.reduce((sum, r) => sum + demand.groupL.get(r.id)!, 0);
          expect([...litres.values()].reduce((x, y) => x + y, 0)).toBeCloseTo(2 * wanted, 6);
          for (const d of drinks) if (d.groupIds.size === 0) expect(litres.get(d.id)).toBe(0);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('the curve falls in running out and rises in what is left', () => {
    const curve = demandCurve(demandOf(evening([adults(36)]), 200), 0);
    for (const [i, at] of curve.entries()) {
      if (i === 0) continue;
      expect(at.litres).toBeGreaterThan(curve[i - 1]!.litres);
      expect(at.runsOut).toBeLessThan(curve[i - 1]!.runsOut);
      expect(at.leftL).toBeGreaterThan(curve[i - 1]!.leftL);
    }
  });
});
