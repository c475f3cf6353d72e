import { describe, expect, it } from 'vitest';
import { tokensOf } from '../tokens.ts';
import type { Block } from './block.ts';
import { rowsOf } from './rows.ts';
import { segment } from './segment.ts';
import { sentencesOf } from './sentences.ts';

const blocksOf = (text: string) => {
  const tokens = tokensOf(text);
  const words = (from: number, end: number) => text.slice(tokens[from]!.start, tokens[end - 1]!.end);
  return segment(tokens).map((b: Block) => ({
    title: b.title ? words(b.title.from, b.title.to) : null,
    listed: b.listed.map((r) => words(r.from, r.end)),
    told: b.told.map((s) => words(s.from, s.end)),
  }));
};

describe('rows', () => {
  it('past bullets, numbers and steps', () => {
    const text = '- one\n2) two\nStep 3: three\n• four\n\n1.5 l five';
    const tokens = tokensOf(text);
    expect(rowsOf(tokens).map((r) => text.slice(tokens[r.from]!.start, tokens[r.end - 1]!.end))).toEqual([
      'one',
      'two',
      'three',
      'four',
      '1.5 l five',
    ]);
  });
});

describe('sentences', () => {
  const said = (text: string) => {
    const tokens = tokensOf(text);
    return sentencesOf(tokens, 0, tokens.length).map((s) =>
      text.slice(tokens[s.from]!.start, tokens[s.end - 1]!.end),
    );
  };
  it('end at a stop, but not behind a short form of a measure', () => {
    expect(said('Add 2 tbsp. honey. Boil 15 min. strain')).toEqual([
      'Add 2 tbsp. honey',
      'Boil 15 min',
      'strain',
    ]);
  });
  it('are cut where they go on for ever', () => {
    const lengths = sentencesOf(tokensOf('a '.repeat(5000)), 0, 5000).map((s) => s.end - s.from);
    expect(Math.max(...lengths)).toBeLessThan(300);
    expect(lengths.reduce((a, b) => a + b, 0)).toBe(5000);
  });
});

describe('a text taken apart', () => {
  it('title, list and method, with headings and without', () => {
    const parts = [
      {
        title: 'Red',
        listed: ['100 g dried hibiscus', '2 l water'],
        told: ['Boil it', 'Strain it'],
      },
    ];
    expect(
      blocksOf(
        'Red\n\nIngredients\n- 100 g dried hibiscus\n- 2 l water\n\nMethod\n1. Boil it.\n2. Strain it.',
      ),
    ).toEqual(parts);
    expect(blocksOf('Red\n100 g dried hibiscus\n2 l water\nBoil it. Strain it.')).toEqual(parts);
  });
  it('facts about the whole and headings of parts are no steps', () => {
    const [block] = blocksOf(
      'Red\nPrep: 10 min | Cook: 20 min | Serves 6\nFor the base:\n100 g dried hibiscus\nBoil it.',
    );
    expect(block).toMatchObject({ listed: ['100 g dried hibiscus'], told: ['Boil it'] });
  });
  it('several drinks, by their headings or told one after the other', () => {
    const two = blocksOf(
      'RED\n100 g dried hibiscus\n2 l water\nBoil. Strain.\n\nGOLD\n80 g ginger\n3 l water\nSoak. Strain.',
    );
    expect(two.map((b) => b.title)).toEqual(['RED', 'GOLD']);
    const told = blocksOf(
      'The first one is red. Boil 100 g hibiscus in water. Strain it. Cool it. The second one is gold. Soak the ginger.',
    );
    expect(told).toHaveLength(2);
    expect(told[1]!.told[0]).toBe('The second one is gold');
  });
  it('a greeting is no title, and speakers are no words', () => {
    expect(blocksOf('Dear one,\n\nthe red drink is easy. Boil it.')[0]!.title).toBeNull();
    const [block] = blocksOf('A: How long?\nB: Ten minutes.\nA: With a lid?\nB: Lid on.');
    expect(block!.told).toEqual(['How long', 'Ten minutes', 'With a lid', 'Lid on']);
  });
});
