import { describe, expect, it } from 'vitest';
import { recipeLine, TABLES } from '../../testKitchen.ts';
import { presetFactor, presetsOf } from './presets.ts';

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
    const dark = { strength: 'dark', heat: 'mild' } as const;
    expect(LINES.map((l) => l.massG * presetFactor(l.id, presets, dark))).toEqual([4000, 140, 30, 1.5, 1]);
  });
  it('one that says it has its way; what is said not to follow does not', () => {
    const says = LINES.map((l) => (l.id === 'clove' ? { ...l, hot: true } : l));
    expect([...presetsOf({ lines: says }, TABLES).hot]).toEqual(['clove']);
    const not = LINES.map((l) => (l.id === 'ginger' ? { ...l, hot: false } : l));
    expect([...presetsOf({ lines: not }, TABLES).hot]).toEqual(['pepper']);
  });
});
