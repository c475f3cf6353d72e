import { describe, expect, it } from 'vitest';
import { plannedDrink } from '../plannedDrink.fixtures.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { factorsIn, priorSpread } from './priors.ts';
import { SCATTER } from './solve.ts';
import { isOdd, readingSpread, readingToTake } from './toRead.ts';

const program = plannedDrink('deep-calyx-ginger', 'straightBoil', 8);
const take = readingToTake(program, KITCHEN, TABLES);
const knowing = (spreads: Record<string, number>) => ({
  ...KITCHEN,
  learnt: { version: 1, factors: {}, spreads },
});
/** Everything is known as well as it ever will be: what is left is the scatter from batch to batch. */
const WELL_KNOWN = knowing(
  Object.fromEntries(
    factorsIn(program, KITCHEN, TABLES).map((id) => [id, SCATTER * priorSpread(id, TABLES)]),
  ),
);

describe('the reading that tells most', () => {
  it('is the height at the end of what is done last before straining, in that pot', () => {
    const strainAt = program.steps.findIndex((s) => s.kind === 'strain');
    const last = program.steps.slice(0, strainAt).findLast((s) => s.from.includes('pot'))!;
    expect(take).toMatchObject({ stepId: last.id, vesselId: 'pot' });
    expect(take!.share).toBeGreaterThan(0.35);
    expect(take!.share).toBeLessThan(1);
  });

  it('is not asked for where the kitchen knows itself, nor of a drink that no pot boils', () => {
    expect(readingToTake(program, WELL_KNOWN, TABLES)).toBeNull();
    expect(readingToTake(plannedDrink('lemongrass-ginger-mint', 'pourOver', 2), KITCHEN, TABLES)).toBeNull();
  });
});

describe('a reading far from what was foretold', () => {
  const { stepId, vesselId } = take!;
  const spread = readingSpread(program, KITCHEN, TABLES, stepId, vesselId, 'level')!;

  it('is asked about beyond two spreads, either way, and not before', () => {
    const times = (z: number) => 15 * Math.exp(z * spread);
    expect(isOdd(times(1.9), 15, spread)).toBe(false);
    expect(isOdd(times(-1.9), 15, spread)).toBe(false);
    expect(isOdd(times(2.1), 15, spread)).toBe(true);
    expect(isOdd(times(-2.1), 15, spread)).toBe(true);
    expect(isOdd(0, 15, spread)).toBe(false);
  });

  it('is the sooner asked about the better the kitchen knows itself, and by how well it is read', () => {
    const known = readingSpread(program, WELL_KNOWN, TABLES, stepId, vesselId, 'level')!;
    expect(known).toBeLessThan(spread);
    // A rule is read to the millimetre: of 15 cm that is 0.0067.
    expect(known).toBeGreaterThan(0.1 / 30);
    expect(readingSpread(program, KITCHEN, TABLES, 'nowhere', vesselId, 'level')).toBeNull();
  });
});
