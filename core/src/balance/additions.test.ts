import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Composition,
  EMPTY,
  massG,
  ofLiquid,
  ofSweetener,
  plus,
  sournessGPerL,
  sweetnessPct,
  volumeMl,
  water,
} from '../liquor/composition.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { balanceAnswer } from './additions.ts';
import { type Candidate, candidateOf, LESS_WATER } from './candidates.ts';
import { suggestAdditions } from './suggestions.ts';
import { type BalanceLimits, NO_LIMITS } from './wish.ts';

const of = (id: string, most?: number): Candidate => candidateOf(id, TABLES, KITCHEN, most)!;
const juice = (id: string, ml: number) => ofLiquid(TABLES.liquids.get(id)!, ml);
/** So many litres of a sour brew: TA so much, other solubles of 1.5 %. */
const brew = (litres: number, taGPerL = 6): Composition => ({
  ...EMPTY,
  waterG: litres * 985,
  otherSolublesG: litres * 15,
  acidG: litres * taGPerL,
  alkaliMeq: litres * 8,
  markerG: { calyx: litres * 20 },
});
const grams = (parts: readonly { id: string; massG: number }[], id: string) =>
  parts.find((p) => p.id === id)?.massG ?? 0;

describe('suggested additions', () => {
  it('sugar alone, by hand: t·(m + g) = g', () => {
    // 8 kg of brew to 8 %: g = 0.08·8000/(1 − 0.08) = 695.7 g.
    const answer = balanceAnswer(
      brew(8),
      { sweetPct: 8, sourGPerL: null },
      [of('sugar-white')],
      NO_LIMITS,
      'leastAdded',
    )!;
    expect(grams(answer.parts, 'sugar-white')).toBeCloseTo(695.7, 0);
    expect(answer.met).toBe(true);
    expect(answer.binding).toBeNull();
  });
  it('honey alone: 0.85·g = t·(m + g)', () => {
    // g = 0.08·8000/(0.85 − 0.08) = 831.2 g.
    const answer = balanceAnswer(
      brew(8),
      { sweetPct: 8, sourGPerL: null },
      [of('honey')],
      NO_LIMITS,
      'leastAdded',
    )!;
    expect(grams(answer.parts, 'honey')).toBeCloseTo(831.2, 0);
  });
  it('lime juice alone to a sourness: litres by hand', () => {
    // 5 L of TA 3 to 4: 58·x + 15 = 4·(5 + x), x = 5/54 = 0.0926 L of juice, 95.4 g. Mixing moves volumes by a hair.
    const answer = balanceAnswer(
      brew(5, 3),
      { sweetPct: 0, sourGPerL: 4 },
      [of('lime-juice')],
      NO_LIMITS,
      'leastAdded',
    )!;
    expect(grams(answer.parts, 'lime-juice')).toBeGreaterThan(93);
    expect(grams(answer.parts, 'lime-juice')).toBeLessThan(98);
    expect(sournessGPerL(answer.result)).toBeCloseTo(4, 2);
  });
  it('too sour is thinned with water, and sweetened for what it has become', () => {
    const answer = balanceAnswer(
      brew(6, 9),
      { sweetPct: 8, sourGPerL: 6 },
      [of('sugar-white'), of('water')],
      NO_LIMITS,
      'leastAdded',
    )!;
    expect(answer.met).toBe(true);
    expect(grams(answer.parts, 'water')).toBeGreaterThan(1500);
    expect(sweetnessPct(answer.result)).toBeCloseTo(8, 2);
  });
  it('names the limit that binds: room, sugar, what is in the house, bitterness, whole fruit, nothing that helps', () => {
    const ask = (
      current: Composition,
      sweetPct: number,
      sourGPerL: number | null,
      candidates: Candidate[],
      limits: Partial<BalanceLimits> = {},
    ) =>
      balanceAnswer(current, { sweetPct, sourGPerL }, candidates, { ...NO_LIMITS, ...limits }, 'leastAdded')!;
    const cases = [
      [ask(brew(8, 9), 8, 6, [of('sugar-white'), of('water')], { roomMl: 9000 }), { kind: 'room' }],
      [ask(brew(8), 10, null, [of('sugar-white')], { freeSugarGPerGlass: 12 }), { kind: 'sugar' }],
      [ask(brew(8), 10, null, [of('honey', 300)]), { kind: 'onHand', id: 'honey' }],
      [ask(brew(8), 6, null, [of('molasses')]), { kind: 'cap', id: 'molasses' }],
      [ask(brew(8), 6, null, [of('stevia-pure')]), { kind: 'cap', id: 'stevia-pure' }],
      [ask(brew(0.5, 3), 0, 4, [of('lime')]), { kind: 'whole' }],
      [ask(brew(8, 9), 0, 6, [of('water')], { leastStrength: 0.9 }), { kind: 'strength' }],
      [ask(brew(8), 8, null, [of('water')]), { kind: 'nothing', lacks: 'sweeter' }],
      [ask(brew(8, 3), 0, 8, [of('water')]), { kind: 'nothing', lacks: 'sourer' }],
      [ask(brew(8, 9), 0, 4, [of('lime-juice')]), { kind: 'nothing', lacks: 'lessSour' }],
    ] as const;
    for (const [answer, binding] of cases) {
      expect(answer.met, JSON.stringify(binding)).toBe(false);
      expect(answer.binding).toEqual(binding);
    }
    // The nearest: with honey for 300 g it is as sweet as that makes it.
    expect(grams(cases[2][0].parts, 'honey')).toBeCloseTo(300, 0);
    // A glass of 250 mL at 12 g: 48 g/L and no more.
    const sugared = cases[1][0].result;
    expect((250 * sugared.freeSugarG) / volumeMl(sugared)).toBeCloseTo(12, 1);
  });
  it('several ways to one wish, each of its own kind, the met ones first', () => {
    const answers = suggestAdditions(
      brew(8),
      { sweetPct: 9, sourGPerL: 6 },
      ['sugar-white', 'honey', 'pineapple-juice', 'lime', 'water', 'lemon-juice'].map((id) => of(id)),
      { ...NO_LIMITS, roomMl: 14_000 },
      'leastAdded',
    );
    const codes = answers.map((a) => `${a.way.code} ${a.way.ids.join('+')}`);
    expect(codes).toEqual(
      expect.arrayContaining([
        'all sugar-white',
        'all honey',
        'half honey+sugar-white',
        'with pineapple-juice',
        'noAdded pineapple-juice',
      ]),
    );
    const half = answers.find((a) => a.way.code === 'half')!;
    expect(grams(half.parts, 'honey') * 0.85).toBeCloseTo(grams(half.parts, 'sugar-white'), 0);
    const withJuice = answers.find((a) => a.way.code === 'with')!;
    expect(withJuice.parts.find((p) => p.id === 'pineapple-juice')!.volumeMl).toBeCloseTo(
      0.1 * volumeMl(brew(8)),
      3,
    );
    const none = answers.find((a) => a.way.code === 'noAdded')!;
    expect(none.result.addedSugarG).toBe(0);
    const met = answers.map((a) => a.met);
    expect([...met].sort((a, b) => Number(b) - Number(a))).toEqual(met);
    expect(answers.length).toBeGreaterThanOrEqual(5);
  });
  it('planned with less water it is stronger and sweeter with less sugar', () => {
    const answer = balanceAnswer(
      brew(8, 5),
      { sweetPct: 8, sourGPerL: 6 },
      [of('sugar-white'), of(LESS_WATER, 3000)],
      NO_LIMITS,
      'leastAdded',
    )!;
    expect(answer.met).toBe(true);
    // TA from 5 to 6 at the same grams of acid: 8 L become 6.67 L, sugar's own room included.
    expect(volumeMl(answer.result) / 1000).toBeCloseTo((8 * 5) / 6, 1);
  });
});

const wishes = fc.record({
  litres: fc.double({ min: 2, max: 15, noNaN: true }),
  ta: fc.double({ min: 2, max: 9, noNaN: true }),
  sweetPct: fc.double({ min: 1, max: 14, noNaN: true }),
  sour: fc.double({ min: 2, max: 10, noNaN: true }),
  ids: fc.uniqueArray(
    fc.constantFrom(
      'sugar-white',
      'honey',
      'agave-syrup',
      'molasses',
      'lemon-juice',
      'lime',
      'orange-juice',
      'pineapple-juice',
      'cider-vinegar',
      'water',
    ),
    { minLength: 1, maxLength: 6 },
  ),
  roomShare: fc.double({ min: 1.02, max: 2, noNaN: true }),
  sugarG: fc.option(fc.double({ min: 5, max: 40, noNaN: true })),
});

describe('laws of suggestions', () => {
  it('what is suggested lands where it says, within every limit, or names the limit', () => {
    fc.assert(
      fc.property(wishes, ({ litres, ta, sweetPct, sour, ids, roomShare, sugarG }) => {
        const current = brew(litres, ta);
        const limits = { ...NO_LIMITS, roomMl: volumeMl(current) * roomShare, freeSugarGPerGlass: sugarG };
        const candidates = ids.map((id) => of(id));
        const answer = balanceAnswer(
          current,
          { sweetPct, sourGPerL: sour },
          candidates,
          limits,
          'leastSugar',
        )!;
        // Poured together afresh from the tables, part by part.
        let poured = current;
        for (const part of answer.parts) {
          const c = candidates.find((x) => x.id === part.id)!;
          poured = plus(poured, c.unit, part.massG / c.unitG);
        }
        expect(sweetnessPct(poured)).toBeCloseTo(sweetnessPct(answer.result), 1);
        expect(volumeMl(poured)).toBeLessThanOrEqual(limits.roomMl * 1.002 + 1);
        if (sugarG !== null)
          expect((250 * poured.freeSugarG) / volumeMl(poured)).toBeLessThanOrEqual(sugarG * 1.01 + 0.01);
        for (const part of answer.parts)
          if (part.pieces !== null) expect(Number.isInteger(part.pieces)).toBe(true);
        if (answer.met) {
          const whole = answer.parts.some((p) => p.pieces !== null);
          expect(Math.abs(sweetnessPct(poured) - sweetPct)).toBeLessThanOrEqual(
            Math.max(0.0101 * sweetPct, 0.025),
          );
          expect(Math.abs(sournessGPerL(poured) - sour)).toBeLessThanOrEqual(
            Math.max((whole ? 0.0501 : 0.0101) * sour, 0.025),
          );
        } else expect(answer.binding).not.toBeNull();
      }),
      // Two on which the simplex turned in circles while it had to look for a place to begin.
      {
        numRuns: 150,
        examples: [
          [
            {
              litres: 2,
              ta: 2,
              sweetPct: 3.160333206702194,
              sour: 2.0084351608416333,
              ids: ['orange-juice', 'sugar-white'],
              roomShare: 1.1682178268130234,
              sugarG: 8.492728216053347,
            },
          ],
          [
            {
              litres: 2.0575879642827366,
              ta: 6.963870218807725,
              sweetPct: 1.5549001280643293,
              sour: 9.612764672100901,
              ids: ['lemon-juice', 'pineapple-juice', 'molasses'],
              roomShare: 1.020000000000001,
              sugarG: 12.850017389537804,
            },
          ],
        ],
      },
    );
  });

  it('what can be met is met: a wish made by mixing is found again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 12, noNaN: true }),
        fc.array(
          fc.tuple(
            fc.constantFrom('sugar-white', 'honey', 'lemon-juice', 'pineapple-juice', 'water'),
            fc.double({ min: 0.001, max: 0.08, noNaN: true }),
          ),
          { minLength: 1, maxLength: 4 },
        ),
        (litres, adds) => {
          const current = brew(litres);
          let target = current;
          for (const [id, share] of adds) target = plus(target, of(id).unit, share * massG(current));
          const answer = balanceAnswer(
            current,
            { sweetPct: sweetnessPct(target), sourGPerL: sournessGPerL(target) },
            ['sugar-white', 'honey', 'lemon-juice', 'pineapple-juice', 'water'].map((id) => of(id)),
            { ...NO_LIMITS, roomMl: volumeMl(target) * 1.05 },
            'leastAdded',
          )!;
          expect(answer.met).toBe(true);
          // It was asked for the least: never more than what the wish was mixed with.
          expect(massG(answer.result)).toBeLessThanOrEqual(massG(target) * 1.001 + 1);
        },
      ),
      { numRuns: 100 },
    );
  });

  it('200 small problems: no mixture on a fine grid comes nearer than the programme', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 9, noNaN: true }),
        fc.double({ min: 1, max: 12, noNaN: true }),
        fc.double({ min: 2, max: 9, noNaN: true }),
        fc.constantFrom(
          ['sugar-white', 'lime'],
          ['honey', 'water'],
          ['pineapple-juice', 'lemon'],
          ['sugar-white', 'water'],
        ),
        fc.double({ min: 1.05, max: 1.4, noNaN: true }),
        (ta, sweetPct, sour, [a, b], roomShare) => {
          const current = brew(3, ta);
          const roomMl = volumeMl(current) * roomShare;
          const pair = [of(a!), of(b!)] as const;
          const answer = balanceAnswer(
            current,
            { sweetPct, sourGPerL: sour },
            pair,
            { ...NO_LIMITS, roomMl },
            'leastAdded',
          )!;
          const missOf = (c: Composition) =>
            Math.abs(sweetnessPct(c) - sweetPct) / Math.max(sweetPct, 0.5) +
            Math.abs(sournessGPerL(c) - sour) / sour;
          const steps = (c: Candidate): number[] =>
            c.whole
              ? Array.from({ length: 26 }, (_, i) => i)
              : Array.from({ length: 41 }, (_, i) => (i / 40) * 0.4 * massG(current));
          let best = Number.POSITIVE_INFINITY;
          for (const x of steps(pair[0]))
            for (const y of steps(pair[1])) {
              const mixed = plus(plus(current, pair[0].unit, x), pair[1].unit, y);
              if (volumeMl(mixed) <= roomMl) best = Math.min(best, missOf(mixed));
            }
          expect(missOf(answer.result)).toBeLessThanOrEqual(best * 1.02 + 0.003);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('in whatever order things go in, the composition is the same', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(['sugar-white', 'honey', 'lemon-juice', 'lime', 'water', 'cider-vinegar'], {
          minLength: 2,
        }),
        fc.infiniteStream(fc.double({ min: 1, max: 300, noNaN: true })),
        (ids, amounts) => {
          const [...adds] = ids.map((id) => [of(id).unit, amounts.next().value as number] as const);
          const mix = (list: typeof adds) => list.reduce((c, [unit, n]) => plus(c, unit, n), brew(4));
          const there = mix(adds);
          const back = mix([...adds].reverse());
          for (const key of ['waterG', 'sugarG', 'acidG', 'aceticG', 'sweetG', 'addedSugarG'] as const)
            expect(back[key]).toBeCloseTo(there[key], 6);
        },
      ),
    );
  });
});

describe('candidates', () => {
  it('a lime by hand gives the juice of its weight, and comes in whole fruit', () => {
    const lime = of('lime', 500);
    const row = TABLES.ingredients.get('lime-whole')!;
    expect(lime.juice!.ml).toBeCloseTo((row.piece!.massG / 1000) * row.juiceMlPerKg.hand!, 6);
    expect(lime.unit.acidG).toBeCloseTo(juice('lime-juice', lime.juice!.ml).acidG, 9);
    // 500 g of limes of 67 g: seven whole ones.
    expect(lime.most).toBe(7);
    expect(candidateOf('stone', TABLES, KITCHEN)).toBeNull();
  });
  it('added sugar is that of sweeteners and bought sweet drinks, not of fruit', () => {
    expect(of('honey').unit.addedSugarG).toBeCloseTo(0.82, 9);
    expect(of('pineapple-juice').unit.addedSugarG).toBe(0);
    expect(of('ginger-beer').unit.addedSugarG).toBeGreaterThan(0.05);
    expect(plus(water(100), ofSweetener(TABLES.sweeteners.get('date-paste')!, 10)).addedSugarG).toBeCloseTo(
      5,
      9,
    );
  });
});
