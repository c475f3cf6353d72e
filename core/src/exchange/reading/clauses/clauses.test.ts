import { describe, expect, it } from 'vitest';
import { doneIn } from '../deeds.ts';
import { wordsOf } from '../details.ts';
import { tokensOf } from '../tokens.ts';
import { clausesIn } from './clauses.ts';

/** What each clause of a sentence does; "-" for nothing, "?" for a question. */
const deeds = (text: string, strained = true) => {
  const tokens = tokensOf(text);
  return clausesIn(tokens, 0, tokens.length, 0).map((c) =>
    c.question ? '?' : (doneIn(c, wordsOf(tokens, c.from, c.to), strained)?.deed ?? '-'),
  );
};

describe('what a clause does', () => {
  it.each([
    ['Wash the flowers, put them in a pot and bring to the boil', ['wash', 'put', 'toBoil']],
    ['Lower the heat and cook for 30 minutes', ['lower', 'boil']],
    ['Take it off the heat and leave it overnight', ['off', 'steep']],
    ['Heat it through', ['heat']],
    ['Push it through a sieve with a ladle', ['strain']],
    ['Squeeze the cloth well', ['press']],
    ['Squeeze six limes', ['juice']],
    ['Put the apples through the juicer', ['juice']],
    ['What is left in the cloth goes back in the blender', ['blend']],
    ['Put the bowl in a sink of ice water', ['ice']],
    ['Let it cool', ['cool']],
    ['It fills eight bottles', ['yield']],
    ['Fill into clean bottles', ['bottle']],
    ['Pour it into warmed bottles', ['bottle']],
    ['Throw away the seeds', ['discard']],
    ['Fish out the cinnamon', ['lift']],
    ['The lemongrass is cut small and boiled in water', ['prep', 'boil']],
    ['One washes the hibiscus', ['wash']],
    ['Kills the heat, dumps in the mint', ['off', 'put']],
    ['Lemon juice and sugar add', ['put']],
    ['In goes the hibiscus', ['put']],
    ['Sieve', ['strain']],
    ['Fire off', ['off']],
  ] as [string, string[]][])('%s', (text, expected) => {
    expect(deeds(text)).toEqual(expected);
  });
  it('what is not done, only says when, or is done by others is no deed', () => {
    expect(deeds('Do not let it boil')).toEqual(['-']);
    expect(deeds('No boiling')).toEqual(['-']);
    expect(deeds('Strain it without pressing')).toEqual(['strain']);
    expect(deeds('When it boils, add the mint')).toEqual(['put']);
    expect(deeds('Stir until it boils')).toEqual(['put']);
    expect(deeds('Some people grate it, I smash it')).toEqual(['prep']);
    expect(deeds('Shall I strain it?')).toEqual(['?']);
  });
  it('names of things are no verbs, and verbs are no names', () => {
    // "Peel" and "juice" are parts here.
    expect(deeds('Peel, water and ginger in a pot')).toEqual(['-']);
    expect(deeds('Peel the ginger')).toEqual(['prep']);
    expect(deeds('scrub the beets, peel, cut in cubes')).toEqual(['wash', 'prep', 'prep']);
    expect(deeds('add the juice of six limes')).toEqual(['put']);
  });
});

describe('what belongs to a clause', () => {
  const clause = (text: string) => {
    const tokens = tokensOf(text);
    return clausesIn(tokens, 0, tokens.length, 0)[0]!;
  };
  it('its time with its range, its degrees, how often', () => {
    expect(clause('Simmer for 20 to 25 minutes').times[0]).toMatchObject({ value: 20, max: 25 });
    expect(clause('Heat to 80 °C').temps[0]).toMatchObject({ value: 80 });
    expect(clause('Rinse it three times').counts[0]).toMatchObject({ value: 3 });
  });
  it('not the time after which it is done', () => {
    expect(clause('After fifteen minutes turn off the fire').times).toEqual([]);
  });
  it('what is only if one likes', () => {
    expect(clause('If you like, add honey').optional).toBe(true);
  });
  it('what comes after a remark in brackets: it opens no clause of its own', () => {
    const tokens = tokensOf('Stir in 500 g sugar (less if you like), juice of 4 limes and 3 cloves');
    const [only, ...more] = clausesIn(tokens, 0, tokens.length, 0);
    expect(more).toEqual([]);
    expect(only!.optional).toBe(false);
    expect(only!.things.map((t) => t.entry.kind === 'family' && t.entry.family.id)).toEqual([
      'sugar',
      'lime',
      'clove',
    ]);
    // What is done in brackets is done.
    expect(deeds('Wash the ginger (peel it if you like), add water')).toEqual(['wash', 'prep', 'put']);
  });
});
