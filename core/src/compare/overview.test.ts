import { describe, expect, it } from 'vitest';
import { colourName } from '../liquor/colourName.ts';
import { recipeById } from '../program/book/book.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { overviewOf } from './overview.ts';

describe('how drinks look in a glass', () => {
  const looks = (id: string) => overviewOf(recipeById(id)!, KITCHEN, TABLES).inGlass!.looks;
  it.each([
    // As their recipes say of them: dark red and tart; pink and cooling; golden.
    ['deep-calyx-ginger', ['deepRed']],
    ['melon-calyx', ['pink']],
    ['turmeric-tamarind', ['orange', 'amber', 'golden']],
    ['lemongrass-ginger-mint', ['green', 'golden']],
    ['spiced-cranberry-punch', ['red', 'brownRed']],
  ])('%s is %s', (id, names) => expect(names).toContain(colourName(looks(id).glass)));
  it('milk and pressed fruit hide what is behind the glass, a strained brew does not', () => {
    expect(looks('pineapple-coconut').cloudy).toBe(true);
    expect(looks('deep-calyx-ginger').cloudy).toBe(false);
  });
});
