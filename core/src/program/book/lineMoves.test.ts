import { describe, expect, it } from 'vitest';
import type { OwnStepKind, RecipeStep } from '../../documents/recipe.ts';
import { putLine, takeLineOut } from './lineMoves.ts';

const step = (id: string, kind: OwnStepKind, lineIds: string[] = [], says: Partial<RecipeStep> = {}) => ({
  id,
  kind,
  lineIds,
  ...says,
});
const withFruit = (steps: readonly RecipeStep[]) =>
  steps.filter((s) => s.lineIds.includes('fruit')).map((s) => s.id);

describe('a line put into a step', () => {
  const plain = [step('wash', 'wash', ['fruit']), step('fill', 'combine', ['fruit']), step('mix', 'mix')];
  it('leaves the one it went in with, not the one that washes it', () => {
    expect(withFruit(putLine(plain, 'fruit', 'mix'))).toEqual(['wash', 'mix']);
  });
  it('is lifted out where it was put in, and taken again after it', () => {
    const steps = [step('fill', 'combine', ['fruit']), step('lift', 'lift'), step('blend', 'blend')];
    const lifted = putLine(steps, 'fruit', 'lift');
    expect(withFruit(lifted)).toEqual(['fill', 'lift']);
    expect(withFruit(putLine(lifted, 'fruit', 'blend'))).toEqual(['fill', 'lift', 'blend']);
  });
  it('strained off and put aside it is taken again', () => {
    const steps = [
      step('first', 'blend', ['fruit']),
      step('strain', 'strain', [], { asideSolids: true }),
      step('second', 'blend'),
    ];
    expect(withFruit(putLine(steps, 'fruit', 'second'))).toEqual(['first', 'second']);
  });
  it('is taken out of one step alone', () => {
    expect(withFruit(takeLineOut(plain, 'fruit', 'fill'))).toEqual(['wash']);
  });
  it('its share goes with it', () => {
    const shared = [
      step('fill', 'combine', ['fruit'], { shares: [{ lineId: 'fruit', share: 0.5 }] }),
      step('mix', 'mix'),
    ];
    expect(putLine(shared, 'fruit', 'mix')[0]!.shares).toEqual([]);
  });
});
