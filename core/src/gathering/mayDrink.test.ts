import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GUEST_RULES, type GuestGroup, type GuestRule, newGathering } from '../documents/gathering.ts';
import { CAUTION_ROWS } from '../tables/audience.ts';
import { AGES } from '../tables/guests.ts';
import type { Tag } from '../tables/traits.ts';
import { tableCards } from './cards.ts';
import { type Cut, fewestMends, isServed, mayDrink, reasonsAgainst, type TableLot } from './mayDrink.ts';

const lot = (id: string, tags: readonly Tag[], more: Partial<TableLot> = {}): TableLot => ({
  id,
  drinkId: id,
  tags: new Set(tags),
  itemIds: new Set(),
  sugarGPerGlass: 12,
  lasts: true,
  ...more,
});
const group = (id: string, rules: readonly GuestRule[], age: GuestGroup['age'] = 'adult'): GuestGroup => ({
  id,
  name: id,
  least: 3,
  most: 3,
  age,
  rules,
  thirst: 'usual',
});

describe('a card on the table', () => {
  it('says every caution of its lot, and who of the gathering leaves it', () => {
    const tags = [...new Set(CAUTION_ROWS.flatMap((row) => row.when))];
    fc.assert(
      fc.property(fc.subarray(tags), (some) => {
        const groups = [group('any', []), group('dry', [{ kind: 'noAlcohol' }])];
        const gathering = {
          ...newGathering('x', 0, 1),
          groups,
          drinks: [
            {
              id: 'd',
              source: { kind: 'bottles' as const, itemIds: ['i'] },
              share: 1,
              served: 'cold' as const,
              frozen: false,
              apart: [],
            },
          ],
        };
        const [card] = tableCards(gathering, { lots: [lot('d', some)] });
        for (const row of CAUTION_ROWS)
          if (row.when.some((tag) => some.includes(tag))) expect(card!.cautions).toContain(row.who);
        expect(card!.notFor).toEqual(groups.filter((g) => !mayDrink(g, lot('d', some))).map((g) => g.id));
      }),
    );
  });
  it('is not made for what nobody drinks', () => {
    const none = { ...newGathering('x', 0, 1), groups: [group('dry', [{ kind: 'noAlcohol' }])] };
    expect(tableCards(none, { lots: [lot('d', ['alcohol'])] })).toEqual([]);
  });
});

describe('who may drink what', () => {
  const punch = lot('punch', ['sweetened', 'alcohol', 'honey'], { itemIds: new Set(['honey', 'rum']) });
  const red = lot('red', ['sweetened', 'notInPregnancy', 'bloodPressure']);
  const plain = lot('plain', ['noAddedSugar'], { sugarGPerGlass: 2 });

  it('each rule by what is in the drink', () => {
    expect(reasonsAgainst(group('a', []), punch)).toEqual([]);
    expect(reasonsAgainst(group('a', [{ kind: 'noAlcohol' }]), punch)).toEqual([
      { because: 'noAlcohol', code: 'who.alcohol.abstain' },
    ]);
    expect(reasonsAgainst(group('a', [{ kind: 'noHoney' }]), punch)).toEqual([
      { because: 'noHoney', code: 'tag.honey' },
    ]);
    expect(reasonsAgainst(group('a', [{ kind: 'pregnant' }]), red)).toEqual([
      { because: 'pregnant', code: 'who.calyx.pregnancy' },
    ]);
    expect(mayDrink(group('a', [{ kind: 'medicine' }]), red)).toBe(false);
    expect(mayDrink(group('a', [{ kind: 'noAddedSugar' }]), red)).toBe(false);
    expect(mayDrink(group('a', [{ kind: 'fewSugar', gPerGlass: 5 }]), red)).toBe(false);
    expect(mayDrink(group('a', [{ kind: 'fewSugar', gPerGlass: 5 }, { kind: 'noAddedSugar' }]), plain)).toBe(
      true,
    );
    expect(mayDrink(group('a', [{ kind: 'without', itemId: 'rum' }]), punch)).toBe(false);
  });

  it('ages bring their own: no child and no teen drinks alcohol, and nobody what is past its life', () => {
    expect(mayDrink(group('a', [], 'child'), punch)).toBe(false);
    expect(mayDrink(group('a', [], 'teen'), punch)).toBe(false);
    expect(mayDrink(group('a', [], 'child'), red)).toBe(true);
    expect(mayDrink(group('a', []), { ...red, lasts: false })).toBe(false);
    expect(isServed(group('a', [], 'infant'))).toBe(false);
  });

  it('what is set apart before the sugar serves two groups at once', () => {
    const groups = [
      group('count', [{ kind: 'fewSugar', gPerGlass: 5 }]),
      group('none', [{ kind: 'noAddedSugar' }]),
      group('others', []),
      group('pregnant', [{ kind: 'pregnant' }]),
    ];
    const cuts: Cut[] = [
      {
        drinkId: 'red',
        beforeStepId: 'sugar',
        lot: lot('red-1', ['noAddedSugar', 'notInPregnancy'], { sugarGPerGlass: 1 }),
      },
      { drinkId: 'punch', beforeStepId: 'honey', lot: lot('punch-1', ['sweetened']) },
    ];
    const { mends, without } = fewestMends(groups, [red], cuts);
    // The pregnant guest by the punch before its honey and rum, the other two by the red before its sugar.
    expect(mends.map((m) => [m.cut.drinkId, [...m.groupIds].sort()])).toEqual([
      ['red', ['count', 'none']],
      ['punch', ['pregnant']],
    ]);
    expect(without).toEqual([]);
    expect(fewestMends(groups, [red], cuts.slice(0, 1)).without).toEqual(['pregnant']);
  });
});

describe('laws of who may drink what', () => {
  const TAGS: readonly Tag[] = [
    'alcohol',
    'honey',
    'raw',
    'hot',
    'sweetened',
    'notInPregnancy',
    'nut',
    'caffeine',
  ];
  const anyRule: fc.Arbitrary<GuestRule> = fc.oneof(
    fc.constantFrom(...GUEST_RULES).map((kind) => ({ kind })),
    fc.integer({ min: 0, max: 40 }).map((gPerGlass) => ({ kind: 'fewSugar' as const, gPerGlass })),
    fc.constantFrom('ginger', 'clove', 'lime').map((itemId) => ({ kind: 'without' as const, itemId })),
  );
  const rules = fc.array(anyRule, { maxLength: 4 });
  const anyLot = fc
    .tuple(fc.subarray([...TAGS]), fc.subarray(['ginger', 'clove', 'lime']), fc.nat(40), fc.boolean())
    .map(([tags, items, sugarGPerGlass, lasts]) =>
      lot('l', tags, { itemIds: new Set(items), sugarGPerGlass, lasts }),
    );

  it('a further rule, or a stricter one, never opens a lot', () => {
    fc.assert(
      fc.property(rules, anyRule, fc.constantFrom(...AGES), anyLot, (some, more, age, l) => {
        const before = mayDrink(group('g', some, age), l);
        if (!before) expect(mayDrink(group('g', [...some, more], age), l)).toBe(false);
        if (more.kind === 'fewSugar' && !mayDrink(group('g', [more], age), l))
          expect(mayDrink(group('g', [{ ...more, gPerGlass: more.gPerGlass / 2 }], age), l)).toBe(false);
        if (!mayDrink(group('g', some), l)) expect(mayDrink(group('g', some, age), l)).toBe(false);
      }),
      { numRuns: 1000 },
    );
  });

  it('the mend is as small as trying all of them finds, in 500 random cases', () => {
    const cases = fc.record({
      groups: fc.array(rules, { minLength: 1, maxLength: 5 }),
      lots: fc.array(anyLot, { maxLength: 2 }),
      cuts: fc.array(anyLot, { maxLength: 7 }),
    });
    fc.assert(
      fc.property(cases, ({ groups, lots, cuts }) => {
        const all = groups.map((r, i) => group(`g${i}`, r));
        const parts = cuts.map((l, i): Cut => ({ drinkId: `d${i % 3}`, beforeStepId: `s${i}`, lot: l }));
        const { mends, without } = fewestMends(all, lots, parts);
        const left = all.filter((g) => !lots.some((l) => mayDrink(g, l)));
        const servedBy = (bits: number) =>
          left.filter((g) => parts.some((c, i) => bits & (1 << i) && mayDrink(g, c.lot))).length;
        const most = servedBy(2 ** parts.length - 1);
        let fewest = parts.length;
        for (let bits = 0; bits < 2 ** parts.length; bits++) {
          const count = [...bits.toString(2)].filter((b) => b === '1').length;
          if (servedBy(bits) === most) fewest = Math.min(fewest, count);
        }
        expect(mends).toHaveLength(most === 0 ? 0 : fewest);
        expect(without).toHaveLength(left.length - most);
        // Everybody who can be served is, each from one part.
        const served = mends.flatMap((m) => m.groupIds);
        expect(new Set(served).size).toBe(served.length);
        expect(served).toHaveLength(most);
        for (const m of mends)
          for (const id of m.groupIds) expect(mayDrink(all.find((g) => g.id === id)!, m.cut.lot)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});
