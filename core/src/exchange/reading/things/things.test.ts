import { describe, expect, it } from 'vitest';
import { tokensOf } from '../tokens.ts';
import { thingsIn } from './things.ts';

/** What a row names, as "amount measure name (forms) part"; "?" before what no table has. */
const things = (text: string, listed = true) => {
  const tokens = tokensOf(text);
  return thingsIn(tokens, 0, tokens.length, listed).map((t) => {
    const name =
      t.entry.kind === 'family' ? t.entry.family.id : t.entry.kind === 'group' ? 'group' : `?${t.entry.name}`;
    const { quantity: q } = t;
    const amount = q
      ? `${q.value}${q.max === undefined ? '' : `-${q.max}`} ${q.measure?.id ?? 'pieces'} `
      : '';
    return `${amount}${name}${t.part ? ` ${t.part}` : ''}`;
  });
};

describe('what a row names', () => {
  it.each([
    ['300 g dried hibiscus, whole (8 cups)', ['300 g hibiscus']],
    ['90 g orange peel, in strips (of 2 oranges)', ['90 g orange peel']],
    ['two 300 g bags of cranberries', ['600 g cranberry']],
    ['2 x 250 g brown sugar', ['500 g sugar']],
    ['1 big bag (500 g) hibiscus', ['500 g hibiscus']],
    ['1 cup + 2 tablespoons honey', ['1.125 metricCup honey']],
    ['peel and juice of 2 oranges', ['2 pieces orange peel', '2 pieces orange juice']],
    ['3 to 4 limes', ['3-4 pieces lime']],
    ['hibiscus dried | 100 g', ['100 g hibiscus']],
    ['50 g moon dust', ['50 g ?moon dust']],
    ['orange blossom honey, 200 g', ['200 g honey']],
    ['a thumb of ginger and six cloves', ['1 thumb ginger', '6 pieces clove']],
  ] as [string, string[]][])('%s', (text, expected) => expect(things(text)).toEqual(expected));
  it('in a sentence what no table has is a thing only with "of"', () => {
    expect(things('stir in 50 g of moon dust', false)).toEqual(['50 g ?moon dust']);
    expect(things('boil for 20 long minutes', false)).toEqual([]);
  });
  it('the form it is meant for holds, whatever is done to it before', () => {
    const tokens = tokensOf('420 g ginger, for blending');
    expect(thingsIn(tokens, 0, tokens.length, true)[0]!.meantFor).toBe('blended');
  });
  it('brackets with another thing in them are no other measure', () => {
    expect(things('200 g sugar (50 g honey)')).toEqual(['200 g sugar', '50 g honey']);
  });
});
