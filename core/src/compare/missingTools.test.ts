import { describe, expect, it } from 'vitest';
import { CALYX, line, made, step, WATER_4L } from '../program/compile/ownSteps.fixtures.ts';
import { KITCHEN } from '../testKitchen.ts';
import { missingTools } from './missingTools.ts';

const { program } = made(
  [WATER_4L, CALYX, line('fruit', 'pineapple-flesh', 600), line('beet', 'beetroot', 500)],
  [
    step('juice', ['beet'], { tool: 'juicer' }),
    step('blend', ['fruit', 'water']),
    step('strain'),
    step('combine', ['calyx']),
    step('strain'),
  ],
);
const kitchen = (tools: Partial<typeof KITCHEN.tools>) => ({ tools: { ...KITCHEN.tools, ...tools } });

describe('tools that a plan wants', () => {
  it('a kitchen that has them lacks nothing', () => {
    expect(missingTools(program, kitchen({ juicer: true }))).toEqual([]);
  });
  it('each step that wants what is not there says which', () => {
    expect(missingTools(program, kitchen({ blenderMl: 0 })).map((m) => [m.stepId, m.tool])).toEqual([
      ['juice', 'juicer'],
      ['blend', 'blender'],
    ]);
  });
  it('without a blender the usual work of blending takes three times as long; what a cook wrote stays', () => {
    const blendMin = (blenderMl: number, says: object) => {
      const { program: p } = made(
        [WATER_4L, line('fruit', 'pineapple-flesh', 600)],
        [step('blend', ['fruit', 'water'], says), step('strain')],
        {},
        {},
        4,
        { ...KITCHEN, tools: { ...KITCHEN.tools, blenderMl } },
      );
      const until = p.steps[0]!.until;
      return until.kind === 'duration' ? until.minutes : null;
    };
    // 5 minutes and 1.5 for each of 4 L.
    expect([blendMin(1500, {}), blendMin(0, {})]).toEqual([11, 33]);
    expect(blendMin(0, { minutes: 4, minutesPerL: 1 })).toBe(24);
    expect(blendMin(0, { minutes: 20 })).toBe(20);
  });
});
