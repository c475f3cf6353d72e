import { describe, expect, it } from 'vitest';
import { plannedDrink } from '../../plannedDrink.fixtures.ts';
import { KITCHEN, TABLES } from '../../testKitchen.ts';
import { finishedL } from './finished.ts';
import { simulateBatch } from './simulate.ts';
import { traceLine } from './traceLine.ts';

const sim = simulateBatch(plannedDrink('deep-calyx-ginger', 'straightBoil', 8), KITCHEN, TABLES);

describe('a trace as a line', () => {
  it('follows the warmth from cold water over the boil to cold bottles', () => {
    const line = traceLine(sim, 'tempC');
    const boil = sim.trace.find((t) => t.kind === 'boil')!;
    expect(line[0]!.value).toBeLessThan(25);
    expect(line.find((p) => p.atMin === boil.endMin)!.value).toBeGreaterThan(97);
    expect(Math.max(...line.map((p) => p.value))).toBeLessThan(101);
    expect(line.at(-1)!.value).toBeLessThan(30);
  });

  it('follows the litres: what boils away is gone, and what is strained off', () => {
    const line = traceLine(sim, 'volumeL');
    const boil = sim.trace.find((t) => t.kind === 'boil')!;
    const at = (min: number) => line.findLast((p) => p.atMin <= min)!.value;
    expect(at(boil.endMin)).toBeLessThan(at(boil.startMin) - 0.3);
    expect(line.at(-1)!.value).toBeCloseTo(finishedL(sim), 6);
  });

  it('ends where a batch was given up', () => {
    const boil = sim.trace.find((t) => t.kind === 'boil')!;
    expect(traceLine(sim, 'volumeL', boil.endMin).at(-1)!.atMin).toBe(boil.endMin);
    expect(traceLine(sim, 'tempC', boil.startMin - 1).every((p) => p.atMin < boil.startMin)).toBe(true);
  });

  it('goes forwards only', () => {
    for (const figure of ['tempC', 'volumeL'] as const) {
      const minutes = traceLine(sim, figure).map((p) => p.atMin);
      expect(minutes).toEqual([...minutes].sort((a, b) => a - b));
    }
  });
});
