import { describe, expect, it } from 'vitest';
import { TABLES } from '../../testKitchen.ts';
import { readText } from './read.ts';

const KIT = { system: 'metric' as const, measures: [], cupWeights: [] };
const marked = (text: string, mark: string) =>
  readText(text, TABLES, KIT)
    .spans.filter((s) => s.mark === mark)
    .map((s) => text.slice(s.start, s.end));

describe('what became of each piece of a text', () => {
  const TEXT = `Red

100 g dried hibiscus
a handful of mint
2 l water

Boil 10 minutes. Add the green bottle. Add the mint and the glitter. Strain. My cat likes it.`;
  it('what was read, what is unsure, what nobody understood; talk stays without a mark', () => {
    expect(marked(TEXT, 'read')).toContain('100 g dried hibiscus');
    expect(marked(TEXT, 'unsure')).toContain('a handful of mint');
    expect(marked(TEXT, 'notUnderstood')).toEqual(['Add the green bottle', 'glitter']);
    expect([...marked(TEXT, 'read'), ...marked(TEXT, 'unsure')].join(' ')).not.toContain('cat');
  });
  it('something nobody knows is seen by its powder, dust or leaf, also without a verb', () => {
    const text = 'Red\n\n100 g dried hibiscus\n2 l water\n\nBoil 10 minutes. Strain. Pixie dust on top.';
    expect(marked(text, 'notUnderstood')).toEqual(['Pixie dust on top']);
  });
  it('each piece carries its facts', () => {
    const { spans, drinks } = readText(TEXT, TABLES, KIT);
    const calyx = spans.find((s) => TEXT.slice(s.start, s.end) === '100 g dried hibiscus')!;
    expect(calyx.facts).toEqual([`0:${drinks[0]!.lines[0]!.id}`]);
  });
  it('a figure that became no fact is shown', () => {
    expect(
      marked(
        'Red\n\n100 g dried hibiscus\n2 l water\n\nBoil 10 minutes at 3 bars. Strain.',
        'notUnderstood',
      ).join(' '),
    ).toContain('3');
  });
  it('the counts are those of facts, and of pieces that were not understood', () => {
    const { counts, drinks } = readText(TEXT, TABLES, KIT);
    const facts = [...drinks[0]!.lines, ...drinks[0]!.steps.filter((s) => !s.implied)];
    expect(counts.unsure).toBe(facts.filter((f) => f.doubts.length > 0).length);
    expect(counts.notUnderstood).toBe(2);
  });
});
