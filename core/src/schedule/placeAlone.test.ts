import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Bookings } from './bookings.ts';
import { type LoneChain, placeAlone, type Span } from './placeAlone.ts';
import { placeChain } from './placeChain.ts';
import type { Chain } from './project.ts';

const SLOTS = 60;
const arbitrary = fc.record({
  stages: fc.array(
    fc.record({
      long: fc.integer({ min: 1, max: 6 }),
      least: fc.integer({ min: 0, max: 8 }),
      slack: fc.integer({ min: 0, max: 6 }),
    }),
    { minLength: 1, maxLength: 4 },
  ),
  away: fc.array(
    fc.record({ from: fc.integer({ min: 0, max: SLOTS }), long: fc.integer({ min: 1, max: 10 }) }),
    {
      maxLength: 5,
    },
  ),
  earliest: fc.integer({ min: 0, max: 20 }),
  latest: fc.integer({ min: 30, max: SLOTS }),
});

describe('a chain alone', () => {
  it('has its place by hand', () => {
    // Two hours of work, a wait of three to five, one hour of work; nobody is there from 4 to 8. Ready by 12.
    const chain: LoneChain = {
      stages: [
        { long: 2, wait: { least: 3, most: 5 } },
        { long: 1, wait: { least: 0, most: 0 } },
      ],
      earliest: 0,
      latest: 12,
    };
    const free = [
      { from: 0, to: 4 },
      { from: 8, to: 12 },
    ];
    // Begun at 2 it is done at 4, waits until 8 and is ready at 9; begun after 8 it would not be ready by 12.
    expect(placeAlone(chain, free, 'latestStart')).toEqual([2, 8]);
    // The second stage begins at 8 at the soonest, and the first as late as it can before that.
    expect(placeAlone(chain, free, 'soonestEnd')).toEqual([2, 8]);
    expect(placeAlone({ ...chain, latest: 8 }, free, 'latestStart')).toBeNull();
  });

  it('law: it has the place that it would have among others, where all of it comes in whole slots', () => {
    fc.assert(
      fc.property(arbitrary, ({ stages, away, earliest, latest }) => {
        const capacity = Array.from({ length: SLOTS }, (_, slot) =>
          away.some((w) => slot >= w.from && slot < w.from + w.long) ? 0 : 1,
        );
        const free: Span[] = capacity.flatMap((there, slot) => (there ? [{ from: slot, to: slot + 1 }] : []));
        const alone: LoneChain = {
          stages: stages.map(({ long, least, slack }) => ({ long, wait: { least, most: least + slack } })),
          earliest,
          latest,
        };
        const resources = [{ id: 'hands', capacity }];
        const among = (from: number, to: number) => {
          const chain: Chain = {
            id: 'one',
            stages: stages.map(({ long, least, slack }, i) => ({
              id: String(i),
              slots: long,
              needs: [{ resourceId: 'hands', amount: 1 }],
              oneOf: [],
              attended: true,
              wait: { minSlots: least, maxSlots: least + slack, needs: [] },
              fixedAt: null,
            })),
            litres: 1,
            earliest: from,
            latest: to,
            notBefore: 0,
            holds: [],
            heldUntil: to,
          };
          return placeChain(chain, { slots: SLOTS, dark: [] }, new Bookings({ slots: SLOTS, resources }));
        };
        const late = placeAlone(alone, free, 'latestStart');
        expect(late === null).toBe(among(earliest, latest) === null);
        if (!late) return;
        expect(among(late[0]!, latest)).not.toBeNull();
        expect(among(late[0]! + 1, latest)).toBeNull();
        const soon = placeAlone(alone, free, 'soonestEnd')!;
        const end = soon.at(-1)! + stages.at(-1)!.long;
        expect(among(earliest, end)).not.toBeNull();
        expect(among(earliest, end - 1)).toBeNull();
        for (const begins of [late, soon])
          for (const [i, { long, least, slack }] of stages.entries()) {
            const at = begins[i]!;
            expect(capacity.slice(at, at + long).every((there) => there === 1)).toBe(true);
            const wait = (begins[i + 1] ?? at + long + least) - at - long;
            expect(wait).toBeGreaterThanOrEqual(least);
            expect(wait).toBeLessThanOrEqual(least + slack);
          }
      }),
      { numRuns: 300 },
    );
  });
});
