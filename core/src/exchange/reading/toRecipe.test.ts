import { describe, expect, it } from 'vitest';
import { measuringKit } from '../../program/model/kitchen.ts';
import { KITCHEN, TABLES } from '../../testKitchen.ts';
import { litresOf } from './gives.ts';
import { readText } from './read.ts';
import { recipeOfRead } from './toRecipe.ts';

const recipeOf = (text: string) => {
  const [drink] = readText(text, TABLES, { ...measuringKit(KITCHEN), system: 'metric' }).drinks;
  return recipeOfRead(drink!, { id: 'read', name: 'Read' }, TABLES);
};

const SYRUP_APART = `Rooibos with its syrup
Put 500 ml water, 500 g sugar and the peel of one orange into the small pan. Bring it to the boil and simmer for 10 minutes. Strain it into a jug.
Put 4 l water and 60 g rooibos into the big pot. Bring it to the boil and boil for 5 minutes. Strain it into the bowl.
Pour what is in the jug into the bowl and stir. Cool. Bottle.`;

describe('two liquors made apart', () => {
  it('each stays in its vessel until they are poured together', () => {
    const { recipe, missing } = recipeOf(SYRUP_APART);
    expect(missing).toEqual([]);
    const at = recipe.steps!.map((s) => [s.kind, s.from?.join('+') ?? '', s.to ?? '']);
    expect(at).toContainEqual(['combine', '', 'spicePot']);
    expect(at).toContainEqual(['strain', '', 'jug']);
    expect(at).toContainEqual(['combine', '', 'pot']);
    expect(at).toContainEqual(['mix', 'tub+jug', 'tub']);
    // 4.5 L of water, half a litre of sugar, less what boils off and what the leaf keeps.
    expect(litresOf(recipe, TABLES)).toBeGreaterThan(3.8);
    expect(litresOf(recipe, TABLES)).toBeLessThan(4.8);
  });
  it('in a text with one liquor the names of bowls tell nothing', () => {
    const { recipe } = recipeOf(
      'Put 3 l water and 100 g hibiscus in a saucepan. Boil 10 minutes. Strain it into a bowl. Add 200 g sugar.',
    );
    expect(recipe.steps!.every((s) => s.from === undefined && s.to === undefined)).toBe(true);
  });
});

describe('what a step says goes into the recipe', () => {
  it.each([
    ['Boil it until 2 litres are left.', { kind: 'boil', downToL: 2 }],
    [
      'Boil it gently for 25 min (20 min to 30 min).',
      { kind: 'boil', minutes: 25, minMinutes: 20, maxMinutes: 30 },
    ],
    ['Heat it to 80 °C and keep it there for 10 minutes.', { kind: 'heat', toC: 80, minutes: 10 }],
    [
      'Strain it through the sieve and twice through a cloth.',
      {
        kind: 'strain',
        passes: [
          { by: 'sieve', times: 1 },
          { by: 'cloth', times: 2 },
        ],
      },
    ],
    ['Strain it. Pour 250 ml of water over what stays in the sieve.', { kind: 'strain', rinseMl: 250 }],
    ['Strain it. Put what is left in the sieve aside.', { kind: 'strain', asideSolids: true }],
    ['Freeze it in portions of 60 ml.', { kind: 'freeze', portionMl: 60 }],
    [
      'Strain it. Let it mature for 4 days, in the fridge. Shake it every 12 h.',
      {
        kind: 'mature',
        minutes: 5760,
        place: 'fridge',
        everyMin: 720,
      },
    ],
    ['Each glass is sweetened with honey.', { kind: 'sweeten', inGlass: true }],
  ] as [string, object][])('%s', (text, expected) => {
    const { recipe } = recipeOf(
      `Put 3 l water and 100 g hibiscus into the pot. Bring it to the boil. ${text}`,
    );
    expect(recipe.steps).toContainEqual(expect.objectContaining(expected));
  });
  it('parts of a batch end in their own ways', () => {
    const { recipe } = recipeOf(
      'Put 6 l water and 200 g hibiscus into the pot. Boil for 10 minutes. Strain. Put 1.5 l of it aside, with spirits. Put 40 % of it aside, for children. With spirits: stir in 100 ml rum. For children: fill it into bottles. Bottle.',
    );
    expect(recipe.steps!.find((s) => s.kind === 'split')!.lots).toEqual([
      { id: 'spirits', kind: 'spirits', volumeL: 1.5 },
      { id: 'children', kind: 'children', share: 0.4 },
    ]);
    expect(recipe.steps!.filter((s) => s.lot).map((s) => [s.kind, s.lot])).toEqual([
      ['mix', 'spirits'],
      ['bottle', 'children'],
    ]);
  });
  it('fruit by weight goes through the juicer as it is, fruit by number is its juice', () => {
    const weighed = recipeOf('Squeeze 800 g lemons by hand. Add 2 l water and 200 g sugar. Bottle.').recipe;
    expect(weighed.lines[0]).toMatchObject({ itemId: 'lemon-whole', massG: 800 });
    const counted = recipeOf('Squeeze six lemons. Add 2 l water and 200 g sugar. Bottle.').recipe;
    expect(counted.lines[0]).toMatchObject({ itemId: 'lemon-juice' });
  });
  it('a cleaning soak whose water nobody told of is a washing of that length', () => {
    const { recipe } = recipeOf(
      'Soak the hibiscus in cold water for 10 minutes and pour the water away. Put 100 g hibiscus and 3 l water into the pot. Boil for 10 minutes. Strain.',
    );
    expect(recipe.steps![0]).toMatchObject({ kind: 'wash', minutes: 10 });
    expect(litresOf(recipe, TABLES)).not.toBeNull();
  });
});
