import { describe, expect, it } from 'vitest';
import type { Instead, PlannedWay } from '../documents/recipe.ts';
import { massG, volumeMl } from '../liquor/composition.ts';
import { BOOK } from '../program/book/book.ts';
import { choicesUnder, defaultChoices, withInstead, withWay } from '../program/book/recipe.ts';
import { BOTTLES } from '../program/model/vessels.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { solvePlan } from './solve.ts';

const recipe = BOOK.find((r) => r.id === 'lemongrass-ginger-mint')!;
const sweet = recipe.lines.find((l) => l.kind === 'sweetener')!;
const lime = recipe.lines.find((l) => l.itemId === 'lime-juice')!;

const made = (instead: readonly Instead[], way: PlannedWay | null = null) => {
  const solved = unwrap(
    solvePlan({
      recipe,
      choices: { ...defaultChoices(recipe, 'straightBoil'), instead, way },
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[1]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: 6 }, fills: 1 },
    }),
  );
  const sim = simulateBatch(solved.program, KITCHEN, TABLES);
  return { ...solved, sim, end: sim.vessels[BOTTLES]!.liquor };
};

describe('something else instead, in a plan', () => {
  const other = sweet.itemId === 'honey' ? 'sugar-white' : 'honey';
  it('another sweetener: as sweet, as many litres, grams by its sweetness, less water for what it brings', () => {
    const plain = made([]);
    const swapped = made([{ lineId: sweet.id, itemId: other, ratio: 1 }]);
    expect(swapped.litres).toBeCloseTo(6, 2);
    const asSweet = (m: typeof plain) => m.end.sweetG / massG(m.end);
    expect(asSweet(swapped)).toBeCloseTo(asSweet(plain), 6);
    const dosed = (m: typeof plain) => m.sim.dosedG[sweet.id]!;
    const relative = (id: string) => TABLES.sweeteners.get(id)!.relativeSweetness;
    // The same sweetness: grams the other way round as a gram is sweet, within what a little water more or less does.
    expect(dosed(swapped) / dosed(plain)).toBeCloseTo(relative(sweet.itemId) / relative(other), 1);
    // White sugar brings no water: more is poured. Honey brings a sixth of itself: less.
    expect(swapped.waterL > plain.waterL).toBe(other === 'sugar-white');
  });
  it('lemon for lime by acid: as sour, and the line says what it is', () => {
    const ratio = (58 / 55) * (1.03 / 1.03);
    const plain = made([]);
    const swapped = made([{ lineId: lime.id, itemId: 'lemon-juice', ratio }]);
    expect(swapped.program.lines.find((l) => l.id === lime.id)!.itemId).toBe('lemon-juice');
    const sour = (m: typeof plain) => (1000 * m.end.acidG) / volumeMl(m.end);
    expect(sour(swapped)).toBeCloseTo(sour(plain), 1);
  });
  it('leaves the recipe as it was, and stays when the method changes', () => {
    expect(withInstead(recipe, [])).toBe(recipe);
    const instead = [{ lineId: sweet.id, itemId: other, ratio: 1 }];
    expect(withInstead(recipe, instead).lines.find((l) => l.id === sweet.id)!.itemId).toBe(other);
    expect(recipe.lines.find((l) => l.id === sweet.id)!.itemId).toBe(sweet.itemId);
    const method = recipe.methods.find((m) => m !== 'straightBoil') ?? 'straightBoil';
    expect(
      choicesUnder(recipe, method, { ...defaultChoices(recipe, 'straightBoil'), instead }).instead,
    ).toEqual(instead);
  });
  it('what is not known as that kind is said where it would go in', () => {
    const refused = solvePlan({
      recipe,
      choices: {
        ...defaultChoices(recipe, 'straightBoil'),
        instead: [{ lineId: lime.id, itemId: 'honey', ratio: 1 }],
      },
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[1]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: 6 }, fills: 1 },
    });
    expect(refused).toMatchObject({ ok: false, problem: { kind: 'step', problem: { kind: 'unknownItem' } } });
  });
});

describe('a way of the plane taken in a plan', () => {
  const sweetOf = (m: ReturnType<typeof made>) => (100 * m.end.sweetG) / massG(m.end);
  const none = { sweeteners: ['sugar-white'], with: [], litresShare: 1 };
  it('half and half: each brings as much of the sweetness, and the target stands', () => {
    const half = made([], { ...none, sweeteners: ['honey', 'sugar-white'] });
    const dosed = half.sim.dosedG;
    const [honey, sugar] = [dosed[sweet.id]!, dosed['way-sugar-white']!];
    expect(honey * TABLES.sweeteners.get('honey')!.relativeSweetness).toBeCloseTo(
      sugar * TABLES.sweeteners.get('sugar-white')!.relativeSweetness,
      6,
    );
    expect(sweetOf(half)).toBeCloseTo(recipe.targetSweetnessPct, 2);
    expect(half.litres).toBeCloseTo(6, 2);
  });
  it('with juice: so many grams for each litre, less sweetener for what it brings', () => {
    const plain = made([], none);
    const juicy = made([], { ...none, with: [{ itemId: 'apple-juice', gPerL: 200 }] });
    // 200 g/L in 6 L: 1200 g.
    expect(juicy.program.lines.find((l) => l.id === 'way-apple-juice')!.massG).toBeCloseTo(1200, 6);
    const grams = (m: typeof plain) => m.sim.dosedG[sweet.id]!;
    expect(grams(juicy)).toBeLessThan(grams(plain) - 60);
    expect(sweetOf(juicy)).toBeCloseTo(recipe.targetSweetnessPct, 2);
  });
  it('nothing but fruit: no sweetener is dosed, and none is said to be', () => {
    const fruit = made([], { sweeteners: [], with: [{ itemId: 'apple-juice', gPerL: 500 }], litresShare: 1 });
    expect(fruit.sim.dosedG).toEqual({});
    expect(fruit.end.addedSugarG).toBe(0);
  });
  it('less water: the same of everything for fewer litres', () => {
    const plain = made([], none);
    const less = made([], { ...none, litresShare: 0.75 });
    const of = (m: typeof plain, id: string) => m.program.lines.find((l) => l.id === id)!.massG;
    expect(of(less, lime.id) / of(plain, lime.id)).toBeCloseTo(1 / 0.75, 6);
    expect(less.litres).toBeCloseTo(6, 2);
  });
  it("a cordial and a cook's own steps have no place for it", () => {
    const way = { ...none, with: [{ itemId: 'apple-juice', gPerL: 200 }] };
    expect(withWay(recipe, way, 'cordial')).toBe(recipe);
    expect(withWay(recipe, way, 'own')).toBe(recipe);
    expect(withWay(recipe, null, 'straightBoil')).toBe(recipe);
  });
});
