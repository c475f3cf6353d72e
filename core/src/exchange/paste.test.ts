import { describe, expect, it } from 'vitest';
import { measuringKit } from '../program/model/kitchen.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { lengthIn, plainFigures, VAGUE_G } from './amounts.ts';
import { parsePasted, readAs } from './paste.ts';
import { HELD_OUT, PASTED, type Pasted } from './pasted.fixtures.ts';
import { UNREAD } from './unread.fixtures.ts';

interface Score {
  right: number;
  of: number;
  /** Read wrongly without a mark. */
  silent: string[];
  missed: string[];
}

/** Right: the item, and its grams within 6 %. Everything else must carry a mark. */
function scoreOf(pasted: Pasted): Score {
  const kit = { ...measuringKit(KITCHEN), system: pasted.system };
  const read = parsePasted(pasted.text, TABLES, kit);
  const score: Score = { right: 0, of: pasted.lines.length + pasted.steps.length, silent: [], missed: [] };
  for (const [itemId, massG] of pasted.lines) {
    const found = read.lines.filter((l) => l.itemId === itemId);
    const grams = found.reduce((sum, l) => sum + (l.massG ?? 0), 0);
    const sure = found.length > 0 && found.every((l) => l.sure);
    const right = found.length > 0 && (massG === null ? true : Math.abs(grams / massG - 1) < 0.06);
    if (right) score.right++;
    else {
      score.missed.push(`${itemId} ${massG}: read ${grams}`);
      if (sure) score.silent.push(`${itemId} ${massG}: read ${grams}`);
    }
  }
  // Things nobody wrote, put down as certain.
  const wanted = new Set(pasted.lines.map(([id]) => id));
  for (const line of read.lines)
    if (line.sure && line.itemId && !wanted.has(line.itemId)) score.silent.push(`made up: ${line.itemId}`);
  // Steps in their order; what is implied may stand between.
  let at = 0;
  for (const [kind, minutes] of pasted.steps) {
    const index = read.steps.findIndex((s, i) => i >= at && s.kind === kind);
    const step = read.steps[index];
    const length = step?.length ? (step.length.minutes + (step.length.max ?? step.length.minutes)) / 2 : null;
    const right =
      step !== undefined && (minutes === null || (length !== null && Math.abs(length - minutes) < 0.01));
    if (right) {
      score.right++;
      at = index + 1;
    } else {
      score.missed.push(`${kind} ${minutes}: ${length}`);
      if (step?.sure && step.length) score.silent.push(`${kind} ${minutes}: ${length}`);
    }
  }
  return score;
}

describe('recipes as people write them', () => {
  it.each(PASTED.map((p) => [p.manner, p] as const))(
    '%s: nine in ten right, no miss unmarked',
    (_, pasted) => {
      const score = scoreOf(pasted);
      expect(score.silent, score.missed.join('; ')).toEqual([]);
      expect(score.right / score.of, score.missed.join('; ')).toBeGreaterThanOrEqual(0.9);
    },
  );
});

describe('five more, by someone who had not read the parser', () => {
  it.each(UNREAD.map((p) => [p.manner, p] as const))(
    '%s: nine in ten right, no miss unmarked',
    (_, pasted) => {
      const score = scoreOf(pasted);
      expect(score.silent, score.missed.join('; ')).toEqual([]);
      expect(score.right / score.of, score.missed.join('; ')).toBeGreaterThanOrEqual(0.9);
    },
  );
});

describe('five more, put down before there was a parser', () => {
  it.each(HELD_OUT.map((p) => [p.manner, p] as const))(
    '%s: nine in ten right, no miss unmarked',
    (_, pasted) => {
      const score = scoreOf(pasted);
      expect(score.silent, score.missed.join('; ')).toEqual([]);
      expect(score.right / score.of, score.missed.join('; ')).toBeGreaterThanOrEqual(0.9);
    },
  );
});

describe('a line told to be another thing than was read', () => {
  const kit = { ...measuringKit(KITCHEN), system: 'metric' as const };
  it('is weighed anew as that thing', () => {
    const line = parsePasted('2 handfuls of moon berries', TABLES, kit).lines[0]!;
    expect(line.itemId).toBeNull();
    expect(line.massG).toBeNull();
    const told = readAs(line, 'hibiscus-dried', TABLES, kit);
    expect(told.itemId).toBe('hibiscus-dried');
    expect(told.massG).toBeCloseTo(2 * VAGUE_G.handful!, 9);
  });
  it('by its own bulk, where it was a cup', () => {
    const line = parsePasted('2 cups ginger, grated', TABLES, kit).lines[0]!;
    const sliced = readAs(line, 'ginger-sliced', TABLES, kit);
    const bulk = TABLES.ingredients.get('ginger-sliced')!.bulkGPerMl;
    expect(sliced.massG).toBeCloseTo(2 * 250 * bulk, 6);
  });
});

describe('lengths as they are said', () => {
  it.each([
    ['for three quarters of an hour', 45],
    ['a quarter of an hour', 15],
    ['half an hour', 30],
    ['an hour and a half', 90],
    ['two and a half hours', 150],
    ['1 hour 20 minutes', 80],
    ['1 hr and 15 min', 75],
    ['2 days', 2880],
    ['90 seconds', 1.5],
    ['leave overnight', 480],
  ])('%s', (text, minutes) => {
    expect(lengthIn(plainFigures(text))?.minutes).toBeCloseTo(minutes, 9);
  });
  it('keeps the far end of a range', () => {
    expect(lengthIn('20 to 30 minutes')).toEqual({ minutes: 20, max: 30, vague: false });
    expect(lengthIn('1-2 hours')).toEqual({ minutes: 60, max: 120, vague: false });
  });
  it('says nothing where nothing is said', () => {
    expect(lengthIn('until it is dark')).toBeNull();
  });
});

describe('amounts with a fraction in words', () => {
  it.each([
    ['two and a half cups of water', 2.5 * 250 * 0.9982],
    ['half a litre of water', 499.1],
    ['a litre and a half of water', 1497.3],
    ['a quarter of a litre of water', 249.6],
    ['three quarters of a cup of water', 0.75 * 250 * 0.9982],
  ])('%s is right, or marked as unsure', (text, massG) => {
    const kit = { ...measuringKit(KITCHEN), system: 'metric' as const };
    const line = parsePasted(`Ingredients\n${text}`, TABLES, kit).lines.find((l) => l.itemId === 'water')!;
    if (line.sure) expect(line.massG).toBeCloseTo(massG, 0);
    else expect(line.doubts.length).toBeGreaterThan(0);
  });
});

describe('amounts told again in the method', () => {
  const grams = (text: string, itemId: string) =>
    parsePasted(text, TABLES, { ...measuringKit(KITCHEN), system: 'metric' })
      .lines.filter((l) => l.itemId === itemId)
      .reduce((sum, l) => sum + (l.massG ?? 0), 0);
  const LIST = 'Red drink\n\n200 g dried hibiscus\n300 g honey\n3 litres water\n\n';
  it('are the same thing, and no more of it', () => {
    const text = `${LIST}Boil the 200 g hibiscus in 3 litres of water for 20 minutes. Stir in 150 g of honey.`;
    expect(grams(text, 'hibiscus-dried')).toBe(200);
    expect(grams(text, 'honey')).toBe(300);
    expect(grams(text, 'water')).toBeCloseTo(3 * 998.2, 0);
  });
  it('unless more of it is meant', () => {
    const text = `${LIST}Boil for 20 minutes. Stir in the honey, then another 100 g of honey.`;
    expect(grams(text, 'honey')).toBe(400);
  });
});
