import { describe, expect, it } from 'vitest';
import { KITCHEN, programOf, TABLES } from '../testKitchen.ts';
import { toLayOut } from './layOut.ts';

describe('what is laid out before the first step', () => {
  const codes = (...args: Parameters<typeof programOf>) =>
    toLayOut(programOf(...args), KITCHEN, TABLES).map((t) => t.code);
  it('a scrubbed root, boiled and wrung through a cloth', () => {
    expect(
      codes(
        [{ id: 'ginger', itemId: 'ginger-grated', massG: 100 }],
        [
          { kind: 'wash', rinses: 1, minutesPerRinse: 1, lines: ['ginger'] },
          { kind: 'boil' },
          { kind: 'strain', press: 'wring', cloth: false, keepSolids: false },
          { kind: 'bottle' },
        ],
      ),
    ).toEqual(['brush', 'bowl', 'sieve', 'cloth', 'receiver', 'bottles']);
  });
  it('a cold drink with nothing to wash needs neither brush nor cloth', () => {
    expect(
      codes(
        [{ id: 'juice', kind: 'liquid', itemId: 'lemon-juice-bottled', massG: 100 }],
        [{ kind: 'blend' }, { kind: 'bottle' }],
      ),
    ).toEqual(['blender', 'bottles']);
  });
});
