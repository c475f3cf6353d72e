import { describe, expect, it } from 'vitest';
import { cooled, keep, liquor, mild, origin, raw } from './fixtures.ts';
import { wouldKeepLonger } from './lifeExtensions.ts';
import { type KeepingInput, keepingOf } from './shelfLife.ts';

/**
 * Every row, limit, cap and cut of the table put together in every way, against the rule read plainly: the least part
 * decides. Figures are those of the rule, not of the program.
 */
type Heating = 'heated' | 'rawAdded' | 'raw';
const BASE: Record<Heating, Record<'acid' | 'not', [sealed: number, open: number]>> = {
  heated: { acid: [7, 5], not: [4, 3] },
  rawAdded: { acid: [4, 3], not: [2, 2] },
  raw: { acid: [3, 3], not: [2, 2] },
};
const LIMITS: Record<'garlic' | 'milk' | 'live', Record<'acid' | 'not', [sealed: number, open: number]>> = {
  garlic: { acid: [3, 3], not: [2, 2] },
  milk: { acid: [2, 2], not: [2, 2] },
  live: { acid: [5, 3], not: [2, 2] },
};
/** Hours between 60 and 21 °C, and the days they take from what is acid and heated. */
const SLOW: readonly [hours: number, cut: number][] = [
  [0.5, 0],
  [8, 1],
  [14, 2],
];

const heatings: Heating[] = ['heated', 'rawAdded', 'raw'];
/** All sets of some things, by the bits of a count. */
const subsets = <T>(of: readonly T[]): T[][] =>
  Array.from({ length: 2 ** of.length }, (_, bits) => of.filter((_one, i) => bits & (1 << i)));

const cases = heatings.flatMap((heating) =>
  (['acid', 'not'] as const).flatMap((acid) =>
    (['sterilised', 'clean'] as const).flatMap((hygiene) =>
      subsets(['garlic', 'milk', 'live'] as const).flatMap((limits) =>
        SLOW.map(([hours, cut]) => ({ heating, acid, hygiene, limits, hours, cut })),
      ),
    ),
  ),
);

function inputOf(c: (typeof cases)[number]): KeepingInput {
  const base =
    c.heating === 'raw'
      ? [raw('solid')]
      : c.heating === 'rawAdded'
        ? [origin(), raw('rawJuice')]
        : [origin()];
  // A meter says whether it is acid: what goes in moves no estimate.
  return {
    liquor: liquor({
      origins: [
        ...base,
        ...(c.limits.includes('garlic') ? [raw('garlic')] : []),
        ...(c.limits.includes('milk') ? [raw('rawMilk')] : []),
        ...(c.limits.includes('live') ? [raw('live')] : []),
      ],
      cooling: cooled({ from60To21Min: c.hours * 60, from21To5Min: 60, warmMin: c.hours * 60 }),
      read: { pH: c.acid === 'acid' ? 3.5 : 4.9, by: 'meter' },
    }),
    hygiene: c.hygiene,
  };
}

/** The rule, read plainly. */
function expected(c: (typeof cases)[number]): { sealed: number; open: number } | 'throwOut' {
  // Not shown acid and the first stage of cooling missed: thrown out.
  if (c.acid === 'not' && c.hours > 2) return 'throwOut';
  // Garlic, milk and a starter are raw themselves: what they go into is no longer heated all through.
  const heating = c.heating === 'heated' && c.limits.length > 0 ? 'rawAdded' : c.heating;
  const parts = [BASE[heating][c.acid], ...c.limits.map((l) => LIMITS[l][c.acid])];
  let sealed = Math.min(...parts.map((p) => p[0]));
  const open = Math.min(...parts.map((p) => p[1]));
  if (c.hygiene === 'clean') sealed = Math.min(sealed, 4);
  if (c.acid === 'acid') sealed -= c.cut;
  return { sealed: Math.max(0, sealed), open: Math.min(open, Math.max(0, sealed)) };
}

describe('the keeping table, every combination: the least part decides', () => {
  it(`${cases.length} of them`, () => {
    expect(cases.length).toBe(3 * 2 * 2 * 8 * 3);
    for (const c of cases) {
      const k = keepingOf(inputOf(c));
      const want = expected(c);
      const got = k.verdict === 'throwOut' ? 'throwOut' : { sealed: k.sealedDays, open: k.openDays };
      expect(got, JSON.stringify(c)).toEqual(want);
    }
  });
  it.each([
    ['vinegar and sugar', { waterG: 6000, sugarG: 3000, addedSugarG: 3000, aceticG: 150 }, 60, 45],
    ['a strong spirit', { ethanolG: 2200 }, 60, 45],
    ['a mild spirit', { ethanolG: 900 }, 14, 10],
  ] as const)(
    '%s: the bottle that was only clean counts no more; a slow cooling costs its days',
    (_, l, sealed, open) => {
      const slow = cooled({ from60To21Min: 14 * 60, from21To5Min: 60 });
      const k = keep({ ...l, read: { pH: 3.2, by: 'meter' }, cooling: slow }, { hygiene: 'clean' });
      expect([k.sealedDays, k.openDays]).toEqual([sealed - 2, Math.min(open, sealed - 2)]);
      // But garlic, milk and a starter do.
      for (const kind of ['garlic', 'rawMilk', 'live'] as const) {
        const limited = keep({ ...l, read: { pH: 3.2, by: 'meter' }, origins: [origin(), raw(kind)] });
        expect(limited.sealedDays).toBeLessThanOrEqual(5);
      }
    },
  );
  it('a starter: five days, three once open, and it is said to be live', () => {
    const k = keep({ origins: [raw('live'), raw('rawJuice')], read: { pH: 3.4, by: 'meter' } });
    // Raw and acid already gives three.
    expect(k.sealedDays).toBe(3);
    expect(k.live).toBe(true);
    const heated = keep({ origins: [origin(), raw('live')], read: { pH: 3.4, by: 'meter' } });
    expect([heated.sealedDays, heated.openDays]).toEqual([4, 3]);
    expect(keep({}).live).toBe(false);
  });
});

describe('what would have made it longer', () => {
  const longer = (l: Parameters<typeof keep>[0], hygiene: 'clean' | 'sterilised' = 'sterilised') =>
    wouldKeepLonger({ liquor: liquor(l), hygiene }).map((s) => [s.code, s.params.days]);
  it('names each change by itself, with the days it would give, the best first', () => {
    // Acid, raw juice in it, a clean bottle: 4 days. Heated all through it would be 7, capped at 4 by the bottle.
    // Either by itself gives nothing more, both do.
    expect(longer({ origins: [origin(), raw('rawJuice')] }, 'clean')).toEqual([
      ['longer.sterilised', 4],
      ['longer.heatRaw', 4],
      ['longer.together', 7],
    ]);
    expect(longer({ origins: [origin(), raw('rawJuice')] })).toEqual([['longer.heatRaw', 7]]);
    expect(longer({}, 'clean')).toEqual([['longer.sterilised', 7]]);
    // Heated and cooled in 8 h: 6; at once 7.
    expect(longer({ cooling: cooled({ from60To21Min: 480, from21To5Min: 60, warmMin: 0 }) })).toEqual([
      ['longer.coolFast', 7],
    ]);
    // Not shown acid: 4; read as acid 7.
    expect(longer(mild)).toEqual([['longer.readPh', 7]]);
    // Garlic 3 days; heated with the rest, or left out, 7.
    expect(longer({ origins: [origin(), raw('garlic')] })).toEqual([
      ['longer.heatRaw', 7],
      ['longer.noGarlic', 7],
    ]);
    expect(longer({ markerG: { coconut: 4 } })).toEqual([['longer.noCoconut', 7]]);
    expect(longer({ origins: [origin(), raw('live')] })).toContainEqual(['longer.noStarter', 7]);
    expect(longer({})).toEqual([]);
  });
  it('thrown out for a warm steep, it would have kept, steeped in the fridge', () => {
    const input = { liquor: liquor({ cooling: cooled({ unsafeMin: 300 }) }), hygiene: 'sterilised' as const };
    expect(keepingOf(input).verdict).toBe('throwOut');
    expect(wouldKeepLonger(input).map((s) => [s.code, s.params.days])).toEqual([['longer.steepCold', 7]]);
  });
});
