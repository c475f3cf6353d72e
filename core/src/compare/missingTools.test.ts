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
});
