import { describe, expect, it } from 'vitest';
import { finder, namesLike } from './findName.ts';

describe('finding by name', () => {
  it.each(['hibiscus', 'rosella', 'foleré', 'folere', 'wonjo', 'كركديه', 'hibsicus', 'bisap', 'rosele'])(
    '%s is hibiscus',
    (text) => expect(namesLike(text)[0]?.family).toBe('hibiscus'),
  );
  it.each([
    ['gingr', 'ginger'],
    ['tumeric', 'turmeric'],
    ['pinapple', 'pineapple'],
  ])('%s is %s', (text, family) => expect(namesLike(text)[0]?.family).toBe(family));
  it('what is like nothing finds nothing', () => {
    expect(namesLike('zzzzz')).toEqual([]);
    expect(namesLike('q')).toEqual([]);
  });
  it('the nearest first', () => {
    const find = finder([
      { text: 'Cold shelf', names: ['bottles', 'fridge'] },
      { text: 'Shopping list', names: [] },
    ]);
    expect(find('fridge')[0]?.text).toBe('Cold shelf');
    expect(find('shoping')[0]?.text).toBe('Shopping list');
    expect(find('a')).toEqual([]);
  });
});
