import { describe, expect, it } from 'vitest';
import { markerGPerL } from '../../liquor/composition.ts';
import { solvePlan } from '../../plan/solve.ts';
import type { VigourId } from '../../tables/vigours.ts';
import { BURNERS, KITCHEN, POTS, recipeLine, TABLES } from '../../testKitchen.ts';
import { finishedLiquor } from '../simulate/finished.ts';
import { simulateBatch } from '../simulate/simulate.ts';
import { recipeById } from './book.ts';
import { presetFactor, presetsOf, varyingLines } from './presets.ts';
import { defaultChoices } from './recipe.ts';

const LINES = [
  recipeLine('water', 'water', 4000, 'liquid'),
  recipeLine('calyx', 'hibiscus-dried', 100),
  recipeLine('ginger', 'ginger-sliced', 60),
  recipeLine('pepper', 'peppercorn-whole', 3),
  recipeLine('clove', 'clove-whole', 1),
];

describe('light and dark, mild and hot', () => {
  it('a recipe that says nothing of it goes by what its things are', () => {
    const presets = presetsOf({ lines: LINES }, TABLES);
    expect([...presets.strong]).toEqual(['calyx']);
    expect([...presets.hot]).toEqual(['ginger', 'pepper']);
    // 100 g at "dark" are 140 g, 60 g at "mild" 30 g; cloves and water stay.
    const dark = { strength: 'dark', heat: 'mild', roots: [] } as const;
    expect(LINES.map((l) => l.massG * presetFactor(l.id, presets, dark))).toEqual([4000, 140, 30, 1.5, 1]);
  });
  it('one that says it has its way; what is said not to follow does not', () => {
    const says = LINES.map((l) => (l.id === 'clove' ? { ...l, hot: true } : l));
    expect([...presetsOf({ lines: says }, TABLES).hot]).toEqual(['clove']);
    const not = LINES.map((l) => (l.id === 'ginger' ? { ...l, hot: false } : l));
    expect([...presetsOf({ lines: not }, TABLES).hot]).toEqual(['pepper']);
  });
});

describe('weak and strong roots', () => {
  const ginger = recipeById('deep-calyx-ginger')!;
  const lineId = ginger.lines.find((l) => l.itemId === 'ginger-bruised')!.id;
  const planned = (vigour: VigourId) => {
    const choices = { ...defaultChoices(ginger, 'straightBoil'), roots: [{ lineId, vigour }] };
    const solved = solvePlan({
      recipe: ginger,
      choices,
      kitchen: KITCHEN,
      tables: TABLES,
      pot: POTS[0]!,
      burner: BURNERS[0]!,
      wish: { question: { kind: 'litres', litres: 6 }, fills: 1 },
    });
    if (!solved.ok) throw new Error(JSON.stringify(solved.problem));
    const { program } = solved.value;
    const sim = simulateBatch(program, KITCHEN, TABLES);
    return {
      massG: program.lines.find((l) => l.id === lineId)!.massG,
      gPerL: markerGPerL(finishedLiquor(sim)!, 'ginger'),
    };
  };
  it('are the lines whose things differ from one to the next', () => {
    expect(varyingLines(ginger, TABLES).map((l) => l.id)).toEqual([lineId]);
  });
  it('of a weak root more goes in, of a strong one less, and the drink tastes as it was meant to', () => {
    const usual = planned('usual');
    // 150 g for 9 L are 100 g for 6; of a root that gives 0.6 of the usual 100 / 0.6 = 167 g, of one that gives 1.35, 74 g.
    expect(usual.massG).toBeCloseTo(100, 6);
    expect(planned('weak').massG).toBeCloseTo(100 / 0.6, 6);
    expect(planned('strong').massG).toBeCloseTo(100 / 1.35, 6);
    for (const vigour of ['weak', 'strong'] as const)
      expect(planned(vigour).gPerL / usual.gPerL).toBeCloseTo(1, 1);
  });
});
