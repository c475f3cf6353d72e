import { BOOK, defaultChoices } from '@big-ladle/core/book';
import { EMPTY_KITCHEN } from '@big-ladle/core/documents';
import { solvePlan } from '@big-ladle/core/plan';
import { SHIPPED_TABLES } from '@big-ladle/core/tables';
import { unwrap } from '@big-ladle/core/units';
import { describe, expect, it } from 'vitest';
import { vesselNowId } from './vesselNow.ts';

const recipe = BOOK.find((r) => r.id === 'deep-calyx-ginger')!;
const pot = {
  id: 'pot',
  name: 'Pot',
  diameterCm: 30,
  heightCm: 24,
  material: 'stainless' as const,
  lid: true,
  massG: null,
};
const burner = { id: 'ring', name: 'Ring', kind: 'gas' as const, powerW: 3000 };
const { program } = unwrap(
  solvePlan({
    recipe,
    choices: defaultChoices(recipe, 'straightBoil'),
    kitchen: { ...EMPTY_KITCHEN, pots: [pot], burners: [burner] },
    tables: SHIPPED_TABLES,
    pot,
    burner,
    wish: { question: { kind: 'litres', litres: 6 }, fills: 1 },
  }),
);
const at = (kind: string) =>
  vesselNowId({ step: program.steps.find((s) => s.kind === kind) ?? null, program });

describe('the vessel that holds the drink', () => {
  it('while it is washed, cut and filled a splash goes into the pot, not into the bowl that receives', () => {
    expect(['wash', 'prep', 'combine', 'heat', 'boil'].map(at)).toEqual(['pot', 'pot', 'pot', 'pot', 'pot']);
  });
  it('once it is strained it is the bowl', () => {
    expect(['strain', 'cool', 'sweeten', 'bottle'].map(at)).toEqual(['tub', 'tub', 'tub', 'tub']);
    expect(vesselNowId({ step: null, program })).toBe('tub');
  });
});
