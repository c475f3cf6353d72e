import { describe, expect, it } from 'vitest';
import { SHIPPED_TABLES } from '../tables/index.ts';
import { goesWith } from './goesWith.ts';

describe('what goes with what', () => {
  it('vinegar and sweetener for a fruit, apart from its flavours', () => {
    expect(goesWith('cranberry-fresh', SHIPPED_TABLES)).toEqual({
      sweet: ['maple-syrup'],
      sour: ['cider-vinegar'],
      flavour: ['orange-peel'],
    });
  });
  it('says nothing where the table has nothing', () => {
    expect(goesWith('salt', SHIPPED_TABLES)).toBeNull();
  });
});
