import '../../words/places/pages.ts';
import '../../words/places/batch.ts';
import { BOOK } from '@big-ladle/core/book';
import type { Kitchen, Recipe } from '@big-ladle/core/documents';
import { readText, recipeOfRead } from '@big-ladle/core/exchange';
import { openingPlan } from '@big-ladle/core/plan';
import { measuringKit, type Program, type Simulation, simulateBatch } from '@big-ladle/core/program';
import { describe, expect, it } from 'vitest';
import { LONG_DRINKS } from '../../../../core/src/ownDrinks/long.fixtures.ts';
import { SHORT_DRINKS } from '../../../../core/src/ownDrinks/short.fixtures.ts';
import { KITCHEN, TABLES } from '../../../../core/src/testKitchen.ts';
import '../../words/places/drinks.ts';
import { finishedL } from '@big-ladle/core/program';
import { sayItem } from '../../words/names.ts';
import { speakUnits } from '../../words/quantities.ts';
import { handText } from '../../words/say.ts';
import { outline } from './outline.fixtures.ts';
import { recipeText } from './recipeText.ts';

interface Made {
  program: Program;
  sim: Simulation;
}

function made(recipe: Recipe, methodId: Recipe['methods'][number], kitchen: Kitchen): Made {
  const solution = openingPlan(recipe, kitchen, [recipe], TABLES, methodId)?.solution;
  if (!solution) throw new Error(`${recipe.id} ${methodId} does not work out`);
  return { program: solution.program, sim: simulateBatch(solution.program, kitchen, TABLES) };
}

/** A mug of this house, and what cooks pour by it. */
const WITH_MUG: Kitchen = {
  ...KITCHEN,
  measures: [{ id: 'mug', name: 'Blue mug', volumeMl: 310 }],
  preferredMeasureId: 'mug',
};

/** Amounts are written to three figures or so. */
const near = (a: number, b: number) => Math.abs(a - b) <= 0.06 + 0.03 * Math.abs(b);

function written(recipe: Recipe, methodId: Recipe['methods'][number], kitchen: Kitchen) {
  const first = made(recipe, methodId, kitchen);
  const text = recipeText({ recipe, ...first, kitchen, tables: TABLES });
  const reading = readText(text, TABLES, measuringKit(kitchen));
  return { first, text, reading };
}

/** Written down, read back and planned again: the same things done with the same amounts, in the same order. */
function expectSame(recipe: Recipe, methodId: Recipe['methods'][number], kitchen: Kitchen): void {
  const { first, text, reading } = written(recipe, methodId, kitchen);
  expect(text, 'a gap where a name should be').not.toMatch(/\S {2}\S/);
  const lost = reading.spans.filter((s) => s.mark === 'notUnderstood').map((s) => text.slice(s.start, s.end));
  expect(lost).toEqual([]);
  expect(reading.drinks).toHaveLength(1);
  const back = recipeOfRead(reading.drinks[0]!, { id: 'read-back', name: recipe.name ?? recipe.id }, TABLES);
  expect(back.missing).toEqual([]);
  const second = made(back.recipe, 'own', kitchen);
  const before = outline(first.program, first.sim);
  const after = outline(second.program, second.sim);
  expect(after.map((s) => s.key)).toEqual(before.map((s) => s.key));
  for (const [i, step] of before.entries()) {
    expect(Object.keys(after[i]!.massG).sort(), step.key).toEqual(Object.keys(step.massG).sort());
    for (const [itemId, massG] of Object.entries(step.massG))
      expect(
        near(after[i]!.massG[itemId]!, massG),
        `${step.key}: ${itemId} ${massG} ${after[i]!.massG[itemId]}`,
      ).toBe(true);
  }
  expect(near(finishedL(second.sim), finishedL(first.sim))).toBe(true);
}

describe('a recipe as text, read back, is the same recipe', () => {
  for (const recipe of BOOK)
    for (const methodId of recipe.methods)
      it(`${recipe.id}, ${methodId}`, () => expectSame(recipe, methodId, KITCHEN));
  for (const recipe of [...SHORT_DRINKS, ...LONG_DRINKS])
    it(recipe.id, () => expectSame(recipe, 'own', KITCHEN));
  it('in the measures of a house', () => {
    for (const recipe of BOOK.slice(0, 6)) expectSame(recipe, recipe.methods[0]!, WITH_MUG);
  });
  for (const units of ['us', 'imperial'] as const)
    it(`in a kitchen of ${units} measures`, () => {
      const kitchen: Kitchen = { ...KITCHEN, units, degrees: 'fahrenheit' };
      speakUnits(kitchen);
      try {
        for (const recipe of BOOK) expectSame(recipe, recipe.methods[0]!, kitchen);
      } finally {
        speakUnits({});
      }
    });
});

describe('names', () => {
  const ids = [...TABLES.ingredients.keys(), ...TABLES.liquids.keys(), ...TABLES.sweeteners.keys()];
  it('everything that the tables have is read by the name that the screens give it', () => {
    const other = ids.filter((id) => {
      const row = `300 g ${sayItem(id).toLowerCase()}`;
      const lines = readText(`Drink\n\nWhat goes in\n- ${row}`, TABLES, measuringKit(KITCHEN)).drinks[0]
        ?.lines;
      return lines?.length !== 1 || lines[0]!.itemId !== id;
    });
    expect(other).toEqual([]);
  });
  it('every piece that something is counted by is read', () => {
    const other = ids.flatMap((id) => {
      const row = TABLES.ingredients.get(id);
      if (!row?.piece) return [];
      const hand = handText(
        { whole: 6, fraction: '', unitId: row.piece.id, kind: 'piece', massG: 0, offBy: 0 },
        [],
        id,
      );
      const text = `Drink\n\nWhat goes in\n- 300 g ${sayItem(id).toLowerCase()} (${hand})`;
      const { drinks, counts } = readText(text, TABLES, measuringKit(KITCHEN));
      return drinks[0]?.lines.length === 1 && counts.notUnderstood === 0 ? [] : [text];
    });
    expect(other).toEqual([]);
  });
});

describe('a recipe as text', () => {
  const [calyx] = BOOK;
  it('says amounts in measures of any kitchen and of this one', () => {
    const { text } = written(calyx!, 'straightBoil', WITH_MUG);
    const row = text.split('\n').find((line) => line.includes('dried hibiscus'));
    // 300 g at 0.15 g/mL are 2 L: 8 cups of 250 mL, 6 ½ mugs of 310.
    expect(row).toBe('- 300 g dried hibiscus, whole (8 cups; in this kitchen 6 ½ × Blue mug)');
  });
  it('says passes, lids and what is to be minded where it is done, each caution once', () => {
    const { text } = written(calyx!, 'straightBoil', KITCHEN);
    expect(text).toContain('Bring it to the boil, with the lid on.');
    expect(text).toContain('Strain it through the sieve and through a cloth, pressing with a ladle.');
    const cautions = text.split('\n').filter((line) => line.trim().startsWith('Take care: '));
    expect(cautions.length).toBeGreaterThan(3);
    expect(new Set(cautions).size).toBe(cautions.length);
  });
  it('a step that names nothing is about "it": no sentence has a gap', () => {
    const read = readText(
      'Wash everything. Put 60 g hibiscus and 50 g ginger in 4 l water. Boil 10 minutes. Strain. Bottle.',
      TABLES,
      measuringKit(KITCHEN),
    );
    const { recipe } = recipeOfRead(read.drinks[0]!, { id: 'gap', name: 'Gap' }, TABLES);
    const { text } = written(recipe, 'own', KITCHEN);
    expect(text).toContain('1. Rinse it once.');
    expect(text).not.toMatch(/\S {2}\S/);
  });
  it('keeps the words of a cook, and gives them back to their step', () => {
    const veranda = LONG_DRINKS[0]!;
    const { text, reading } = written(veranda, 'own', KITCHEN);
    expect(text).toContain('The cook says: “Until the water runs clear.”');
    const wash = reading.drinks[0]!.steps.find((s) => s.kind === 'wash');
    expect(wash?.own).toBe('Until the water runs clear.');
    const back = recipeOfRead(reading.drinks[0]!, { id: 'x', name: 'x' }, TABLES).recipe;
    expect(back.steps?.find((s) => s.kind === 'wash')?.text).toBe('Until the water runs clear.');
  });
  it('tells loads of the pot once, and says how many there are', () => {
    const small: Kitchen = { ...KITCHEN, pots: KITCHEN.pots.slice(2).map((p) => ({ ...p, lid: true })) };
    const solution = openingPlan(calyx!, small, [calyx!], TABLES, 'straightBoil')!.solution!;
    const program = { ...solution.program, fills: 2 };
    const text = recipeText({
      recipe: calyx!,
      program,
      sim: simulateBatch(solution.program, small, TABLES),
      kitchen: small,
      tables: TABLES,
    });
    expect(text).toContain('In 2 loads of the pot, one after the other');
    expect(text.match(/Bring it to the boil/g)).toHaveLength(1);
  });
});
