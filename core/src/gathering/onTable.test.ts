import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jugFrom, type Pourable } from './onTable.ts';

const bottle = (itemId: string, leftMl: number, more: Partial<Pourable> = {}): Pourable => ({
  itemId,
  leftMl,
  isOpen: false,
  isOut: false,
  deadlineMs: 100,
  ...more,
});

describe('a jug', () => {
  it('is filled from the table first, then from what is open, then from what keeps shortest', () => {
    const bottles = [
      bottle('later', 1000, { deadlineMs: 200 }),
      bottle('sooner', 1000),
      bottle('open', 300, { isOpen: true, deadlineMs: 300 }),
      bottle('out', 400, { isOut: true, deadlineMs: 300 }),
    ];
    // 400 + 300 of 1,500: 800 of the next one.
    expect(jugFrom(bottles, 1500)).toEqual([
      { itemId: 'out', volumeMl: 400, opens: true },
      { itemId: 'open', volumeMl: 300, opens: false },
      { itemId: 'sooner', volumeMl: 800, opens: true },
    ]);
  });

  it('holds what is asked, or all there is; nothing is poured that is not there', () => {
    const bottles = fc.array(
      fc.record({
        leftMl: fc.double({ min: 0, max: 2000, noNaN: true }),
        isOpen: fc.boolean(),
        isOut: fc.boolean(),
        deadlineMs: fc.nat(),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(bottles, fc.double({ min: 100, max: 3000, noNaN: true }), (rows, jugMl) => {
        const there = rows.map((r, i) => bottle(`b${i}`, r.leftMl, r));
        const parts = jugFrom(there, jugMl);
        const sum = parts.reduce((all, p) => all + p.volumeMl, 0);
        const has = there.reduce((all, b) => all + b.leftMl, 0);
        expect(sum).toBeLessThanOrEqual(jugMl + 1e-6);
        // A bottle may keep its last drop.
        expect(sum).toBeGreaterThanOrEqual(Math.min(jugMl, has) - there.length);
        for (const part of parts)
          expect(part.volumeMl).toBeLessThanOrEqual(there.find((b) => b.itemId === part.itemId)!.leftMl);
      }),
    );
  });
});
