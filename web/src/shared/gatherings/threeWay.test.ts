import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { threeWay } from './threeWay.ts';

const row = (id: string, most: number) => ({ id, name: id, most });
const doc = {
  name: 'Supper',
  groups: [row('a', 3), row('b', 4)],
  pins: [{ drinkId: 'x', atMs: 1 }],
  answers: null,
};

const json = fc.letrec((tie) => ({
  value: fc.oneof(
    { maxDepth: 3 },
    fc.constantFrom(null, 1, 2, 'x'),
    fc.dictionary(fc.constantFrom('a', 'b', 'c'), tie('value'), { maxKeys: 3 }),
    fc.uniqueArray(fc.record({ id: fc.constantFrom('p', 'q', 'r'), n: fc.integer({ min: 0, max: 2 }) }), {
      selector: (r) => r.id,
    }),
  ),
})).value;

describe('a document changed in two places', () => {
  it('keeps what either has changed', () => {
    const mine = { ...doc, groups: [row('a', 5), row('b', 4)], name: 'Lanterns' };
    const theirs = { ...doc, groups: [row('a', 3), row('b', 4), row('c', 1)], pins: [] };
    expect(threeWay(doc, mine, theirs)).toEqual({
      name: 'Lanterns',
      groups: [row('a', 5), row('b', 4), row('c', 1)],
      pins: [],
      answers: null,
    });
  });

  it('takes out what was taken out, unless it was changed there meanwhile', () => {
    const mine = { ...doc, groups: [row('b', 4)] };
    expect(threeWay(doc, mine, doc).groups).toEqual([row('b', 4)]);
    const theirs = { ...doc, groups: [row('a', 9), row('b', 6)] };
    expect(threeWay(doc, mine, theirs).groups).toEqual([row('a', 9), row('b', 6)]);
  });

  it('lets what was changed here count where both changed the same', () => {
    const mine = { ...doc, name: 'Mine', groups: [row('a', 7), row('b', 4)] };
    const theirs = { ...doc, name: 'Theirs', groups: [{ ...row('a', 8), name: 'aunts' }, row('b', 4)] };
    expect(threeWay(doc, mine, theirs)).toMatchObject({
      name: 'Mine',
      groups: [{ id: 'a', name: 'aunts', most: 7 }, row('b', 4)],
    });
  });

  it('is mine where there nothing changed, and theirs where nothing changed here', () => {
    fc.assert(
      fc.property(json, json, (base, other) => {
        expect(threeWay(base, other, base)).toEqual(other);
        expect(threeWay(base, base, other)).toEqual(other);
        expect(threeWay(base, other, other)).toEqual(other);
      }),
    );
  });

  it('laid over it once more, nothing changes', () => {
    fc.assert(
      fc.property(json, json, json, (base, mine, theirs) => {
        const once = threeWay(base, mine, theirs);
        expect(threeWay(base, mine, once)).toEqual(once);
      }),
    );
  });
});
