import { describe, expect, it } from 'vitest';
import { massG, volumeMl } from '../liquor/composition.ts';
import { BOOK } from '../program/book.ts';
import { dosedGOf } from '../program/ledger.ts';
import { BOTTLES } from '../program/making.ts';
import { choicesUnder, defaultChoices, type Instead, withInstead } from '../program/recipe.ts';
import { simulateBatch } from '../program/simulate.ts';
import { BURNERS, KITCHEN, POTS, TABLES } from '../testKitchen.ts';
import { unwrap } from '../units/result.ts';
import { solvePlan } from './solve.ts';

const recipe = BOOK.find((r) => r.id === 'lemongrass-ginger-mint')!;
const sweet = recipe.lines.find((l) => l.kind === 'sweetener')!;
const lime = recipe.lines.find((l) => l.itemId === 'lime-juice')!;

const made = (instead: readonly Instead[]) => {
  const solved = unwrap(
    solvePlan({
      recipe,
      choices: { ...defaultChoices(recipe, 'straightBoil'), instead },
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
    const dosed = (m: typeof plain) => dosedGOf(m.sim)[sweet.id]!;
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
