import { describe, expect, it } from 'vitest';
import { CALYX, line, made, step, WATER_4L } from '../program/compile/ownSteps.fixtures.ts';
import { TABLES } from '../testKitchen.ts';
import { lanesOf } from './lanes.ts';

const FRUIT = line('fruit', 'pineapple-flesh', 600);

function drawn(...args: Parameters<typeof made>) {
  const { program, sim } = made(...args);
  return { ...lanesOf(program, sim, TABLES), sim, program };
}

describe('the lanes of a batch', () => {
  const lanes = drawn(
    [WATER_4L, CALYX, FRUIT],
    [
      step('prep', ['fruit']),
      step('combine', ['water', 'calyx', 'fruit']),
      step('heat'),
      step('boil', [], { minutes: 20 }),
      step('lift', ['fruit']),
      step('strain'),
      step('blend', ['fruit']),
      step('strain'),
      step('mix'),
      step('cool'),
      step('bottle'),
    ],
  );
  it('a lane for each vessel that holds something, in the order of their use; none for bottles', () => {
    expect(lanes.lanes.map((l) => l.vesselId)).toEqual(['pot', 'bowl', 'tub', 'blender']);
  });
  it('every span ends where the next one of its lane begins', () => {
    for (const { spans } of lanes.lanes)
      for (const [i, span] of spans.entries())
        if (i > 0) expect(span.from.litres).toBeCloseTo(spans[i - 1]!.to.litres, 9);
  });
  it('liquor goes over by its litres, solids by name', () => {
    const strained = lanes.moves.find((m) => m.from === 'pot' && m.to === 'tub')!;
    const entry = lanes.sim.trace.find((t) => t.kind === 'strain')!;
    // Hot as it is, a little of it goes into the air meanwhile.
    expect(strained.litres).toBeCloseTo(entry.now.volumeL, 1);
    expect(lanes.moves.find((m) => m.from === 'pot' && m.to === 'bowl')?.lineIds).toEqual(['fruit']);
    expect(lanes.moves.find((m) => m.from === 'bowl' && m.to === 'blender')?.lineIds).toEqual(['fruit']);
    expect(lanes.moves.find((m) => m.from === 'pot' && m.to === null)?.lineIds).toEqual(['calyx']);
    expect(lanes.moves.at(-1)).toMatchObject({ from: 'tub', to: 'bottles' });
  });
  it('steps stand side by side from 0 to 1, each by the number it has in the recipe', () => {
    expect(lanes.steps[0]!.x0).toBe(0);
    expect(lanes.steps.at(-1)!.x1).toBeCloseTo(1, 9);
    for (const [i, s] of lanes.steps.entries()) if (i > 0) expect(s.x0).toBe(lanes.steps[i - 1]!.x1);
    expect(lanes.steps.filter((s) => s.kind === 'boil').map((s) => s.number)).toEqual([4]);
    expect(lanes.steps.at(-1)!.number).toBe(11);
  });
  it('what a cleaning soak gives is thrown', () => {
    const { moves } = drawn(
      [line('bath', 'water', 1000, 'liquid'), WATER_4L, CALYX],
      [
        step('soak', ['bath', 'calyx'], { minutes: 20, thrown: true }),
        step('combine', ['water']),
        step('heat'),
        step('strain'),
      ],
    );
    const thrown = moves.find((m) => m.to === null && m.litres > 0)!;
    expect(thrown.from).toBe('pot');
    // A litre less what each of 100 g holds.
    const { drain } = TABLES.ingredients.get('hibiscus-dried')!.holdMlPerG;
    expect(thrown.litres).toBeCloseTo(1 - (drain * 100) / 1000, 1);
  });
  it('fuller than a pot can take is marked', () => {
    const { steps } = drawn(
      [line('water', 'water', 60_000, 'liquid'), CALYX],
      [step('combine', ['water', 'calyx']), step('heat'), step('strain')],
      { basisL: 60 },
    );
    expect(steps.some((s) => s.overfull)).toBe(true);
  });
});
