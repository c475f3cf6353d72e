import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { faultsOf } from './check.fixtures.ts';
import { keepSchedule } from './keep.ts';
import type { Project, Schedule } from './project.ts';
import { randomProject, SMALL } from './random.fixtures.ts';
import { searchTries as search } from './search.fixtures.ts';

const startsOf = (s: Schedule) => new Map(s.placed.map((p) => [`${p.chainId} ${p.stageId}`, p]));
/** The same project, this stage of it longer. */
const withLonger = (project: Project, chainId: string, stageId: string, by: number): Project => ({
  ...project,
  chains: project.chains.map((c) =>
    c.id === chainId
      ? { ...c, stages: c.stages.map((s) => (s.id === stageId ? { ...s, slots: s.slots + by } : s)) }
      : c,
  ),
});

describe('a schedule that is kept', () => {
  it('stays as it was where nothing has changed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1_000_000 }), fc.boolean(), (seed, joins) => {
        const project = randomProject(seed, { ...SMALL, joins, mostStages: 18, chains: [2, 5] });
        const before = search(project, 15);
        fc.pre(before.missing.length === 0);
        const kept = keepSchedule(project, before);
        expect(startsOf(kept)).toEqual(startsOf(before));
        expect(kept.joined).toEqual(before.joined);
        expect(kept.score).toEqual(before.score);
      }),
      { numRuns: 60 },
    );
  });

  it('holds after any delay, counted by other code', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1_000_000 }),
        fc.nat(),
        fc.integer({ min: 1, max: 6 }),
        (seed, which, by) => {
          const project = randomProject(seed, { ...SMALL, mostStages: 18, chains: [2, 5] });
          const before = search(project, 15);
          fc.pre(before.missing.length === 0);
          const late = before.placed[which % before.placed.length]!;
          const delayed = withLonger(project, late.chainId, late.stageId, by);
          const kept = keepSchedule(delayed, before);
          expect(faultsOf(delayed, kept)).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('what comes after a delay moves as little as it has to', () => {
    // Cut for 2 slots, then up to 10 slots of waiting, then boil at 20. The cut takes 3 slots longer: the boil stays.
    const always = (amount: number) => new Array<number>(48).fill(amount);
    const stage = (id: string, slots: number, maxSlots: number) => ({
      id,
      slots,
      needs: [],
      oneOf: [{ resourceId: 'cook', amount: 1 }],
      attended: true,
      wait: { minSlots: 0, maxSlots, needs: [] },
      fixedAt: null,
    });
    const project: Project = {
      slots: 48,
      dark: new Array<boolean>(48).fill(false),
      joins: [],
      resources: [{ id: 'cook', capacity: always(1) }],
      chains: [
        {
          id: 'a',
          stages: [stage('cut', 2, 10), stage('boil', 4, 0)],
          litres: 4,
          earliest: 0,
          latest: 40,
          notBefore: 0,
          holds: [],
          heldUntil: 40,
        },
      ],
    };
    const stood = {
      placed: [
        { chainId: 'a', stageId: 'cut', start: 10, by: 'cook' },
        { chainId: 'a', stageId: 'boil', start: 20, by: 'cook' },
      ],
      joined: [],
    };
    const starts = (p: Project) => keepSchedule(p, stood).placed.map((s) => s.start);
    expect(starts(project)).toEqual([10, 20]);
    expect(starts(withLonger(project, 'a', 'cut', 3))).toEqual([10, 20]);
    // Longer than until then: it begins sooner, and the boil stays.
    expect(starts(withLonger(project, 'a', 'cut', 12))[1]).toBe(20);
    // The cut was to be done before now, and was not: the boil stays where there is room for both.
    const missed = { ...stood, placed: stood.placed.map((p) => ({ ...p, start: p.start - 15 })) };
    expect(keepSchedule(project, missed).placed.map((s) => s.start)).toEqual([3, 5]);
    // Nobody is there at its hour: it goes where somebody is.
    const away = { id: 'cook', capacity: always(1).map((n, slot) => (slot >= 18 && slot < 22 ? 0 : n)) };
    const elsewhere = keepSchedule({ ...project, resources: [away] }, stood).placed;
    expect(elsewhere.every((p) => p.end <= 18 || p.start >= 22)).toBe(true);
  });
});
