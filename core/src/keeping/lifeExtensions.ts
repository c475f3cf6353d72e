import type { CoolingTally, Liquor } from '../program/model/liquor.ts';
import { KEEPING } from '../tables/keeping.ts';
import { type Said, said } from '../units/result.ts';
import { type KeepingInput, keepingOf } from './shelfLife.ts';

/** A change, and the same drink as it would have been with it; null: there is nothing to change. */
interface Change {
  code: string;
  changed: (input: KeepingInput) => KeepingInput | null;
}
const CHANGES: readonly Change[] = [
  {
    code: 'longer.sterilised',
    changed: (i) => (i.hygiene === 'clean' ? { ...i, hygiene: 'sterilised' } : null),
  },
  {
    code: 'longer.readPh',
    changed: (i) => ({ ...i, liquor: { ...i.liquor, read: { pH: KEEPING.acidPh.meter, by: 'meter' } } }),
  },
  {
    code: 'longer.heatRaw',
    changed: (i) => withOrigins(i, (o) => ({ ...o, heatedMin: Math.max(o.heatedMin, KEEPING.heatedMin) })),
  },
  {
    code: 'longer.coolFast',
    changed: (i) => withCooling(i, { from60To21Min: 0, from21To5Min: 0, rawWarmMin: 0 }),
  },
  {
    code: 'longer.steepCold',
    changed: (i) => withCooling(i, { unsafeMin: 0 }),
  },
  {
    code: 'longer.noGarlic',
    changed: (i) =>
      i.liquor.origins.some((o) => o.kind === 'garlic')
        ? withoutOrigins(i, (kind) => kind === 'garlic')
        : null,
  },
  {
    code: 'longer.noCoconut',
    changed: (i) =>
      i.liquor.origins.some((o) => o.kind === 'rawMilk') || (i.liquor.markerG.coconut ?? 0) > 0
        ? {
            ...withoutOrigins(i, (kind) => kind === 'rawMilk'),
            liquor: {
              ...withoutOrigins(i, (kind) => kind === 'rawMilk').liquor,
              markerG: { ...i.liquor.markerG, coconut: 0 },
            },
          }
        : null,
  },
  {
    code: 'longer.noStarter',
    changed: (i) =>
      i.liquor.origins.some((o) => o.kind === 'live') ? withoutOrigins(i, (kind) => kind === 'live') : null,
  },
];

type Origin = Liquor['origins'][number];

const withCooling = (input: KeepingInput, change: Partial<CoolingTally>): KeepingInput => ({
  ...input,
  liquor: { ...input.liquor, cooling: { ...input.liquor.cooling, ...change } },
});
const withOrigins = (input: KeepingInput, change: (o: Origin) => Origin): KeepingInput => ({
  ...input,
  liquor: { ...input.liquor, origins: input.liquor.origins.map(change) },
});
const withoutOrigins = (input: KeepingInput, drop: (kind: Origin['kind']) => boolean): KeepingInput => ({
  ...input,
  liquor: { ...input.liquor, origins: input.liquor.origins.filter((o) => !drop(o.kind)) },
});

/**
 * What would have made it keep longer: each change by itself, run again, the best first; then, where several cost it time
 * and it takes them together to gain any, those, and what they give together. Freezing comes with any.
 */
export function wouldKeepLonger(input: KeepingInput): Said[] {
  const daysOf = (changes: readonly Change[]): number =>
    keepingOf(changes.reduce((i, { changed }) => changed(i) ?? i, input)).sealedDays;
  const now = keepingOf(input).sealedDays;
  const each = CHANGES.filter(({ changed }) => changed(input) !== null).map((change) => ({
    change,
    days: daysOf([change]),
  }));
  const alone = each.filter(({ days }) => days > now).sort((a, b) => b.days - a.days);
  const all = each.map(({ change }) => change);
  const most = daysOf(all);
  const needed = all.reduce((kept, change) => {
    const fewer = kept.filter((other) => other !== change);
    return daysOf(fewer) < most ? kept : fewer;
  }, all);
  const together = most > Math.max(now, ...alone.map(({ days }) => days)) && needed.length > 1;
  const named = together
    ? [...alone, ...each.filter((e) => needed.includes(e.change) && !alone.includes(e))]
    : alone;
  return [
    ...named.map(({ change, days }) => said(change.code, { days })),
    ...(together ? [said('longer.together', { days: most })] : []),
  ];
}
