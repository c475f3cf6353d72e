import { describe, expect, it } from 'vitest';
import { brix } from '../../liquor/composition.ts';
import { phOf } from '../../liquor/ph.ts';
import { expansion } from '../../liquor/water.ts';
import { solidVolumeMl } from '../../physics/room.ts';
import { mlAtLevel } from '../../physics/vesselShape.ts';
import { KITCHEN, programOf, TABLES } from '../../testKitchen.ts';
import type { Reading, Simulation } from '../model/simulation.ts';
import type { Step } from '../model/steps.ts';
import { deepCalyx, line, timed, WATER_5L } from './examples.fixtures.ts';
import { ledgerOf } from './ledger.ts';
import { simulateBatch } from './simulate.ts';

describe('what a measurement replaces', () => {
  const program = deepCalyx();
  const plan = simulateBatch(program, KITCHEN, TABLES);
  const stepId = (kind: Step['kind']) => program.steps.find((s) => s.kind === kind)!.id;
  const after = (sim: Simulation, kind: Step['kind']) => sim.trace.find((t) => t.kind === kind)!;
  const withReading = (kind: Step['kind'], vesselId: string, reading: Reading) =>
    simulateBatch(program, KITCHEN, TABLES, {
      actuals: { [stepId(kind)]: { adjustments: [{ kind: 'measured', atMin: 1e9, vesselId, reading }] } },
    });

  it('volume after heating is steam: solutes stay, the drink is stronger', () => {
    const sim = withReading('boil', 'pot', { what: 'volume', volumeL: 9 * expansion(100), atC: 100 });
    expect(after(sim, 'boil').now.volumeL).toBeCloseTo(9, 6);
    expect(after(sim, 'boil').after.liquor.acidG).toBeCloseTo(after(plan, 'boil').after.liquor.acidG, 6);
    expect(after(sim, 'boil').now.brix).toBeGreaterThan(after(plan, 'boil').now.brix);
  });

  it('volume after straining is held liquor: same strength, less sweetener and fewer litres follow', () => {
    const sim = withReading('strain', 'tub', { what: 'volume', volumeL: 7.5, atC: 20 });
    expect(after(sim, 'strain').now.volumeL).toBeCloseTo(7.5, 6);
    expect(after(sim, 'strain').now.brix).toBeCloseTo(after(plan, 'strain').now.brix, 9);
    expect(after(sim, 'sweeten').dosedG.sugar!).toBeLessThan(after(plan, 'sweeten').dosedG.sugar! * 0.95);
    const ledger = ledgerOf(sim);
    expect(ledger.inL - ledger.outL).toBeCloseTo(ledger.finishedL, 6);
    expect(ledger.out.find((r) => r.code === 'measured')!.litres).toBeCloseTo(
      after(plan, 'strain').now.volumeL - 7.5,
      6,
    );
  });

  it('height in the pot counts the solids out and is read hot', () => {
    // 14 cm in a 30 cm pot are 9896 mL; less the solids, at 100 °C
    const solidsMl = after(plan, 'boil').after.solids.reduce(
      (sum, s) => sum + solidVolumeMl(TABLES.ingredients.get(s.ingredientId)!, s.massG),
      0,
    );
    const sim = withReading('boil', 'pot', { what: 'level', levelCm: 14, atC: 100 });
    expect(after(sim, 'boil').now.volumeL).toBeCloseTo(
      (mlAtLevel(0.14, 0.3) - solidsMl) / expansion(100) / 1000,
      6,
    );
    expect(after(sim, 'bottle').now.volumeL).toBeLessThan(after(plan, 'bottle').now.volumeL);
  });

  it('weight of the pot and all takes pot and solids off', () => {
    const boil = after(plan, 'boil');
    const sim = withReading('boil', 'pot', { what: 'mass', massKg: 12, withVessel: true });
    // 12 kg − 2.9 kg of pot − what is left of the solids
    const solidsG = boil.after.solids.reduce((sum, s) => {
      const row = TABLES.ingredients.get(s.ingredientId)!;
      return sum + s.massG * (1 - row.waterPct / 100 - (row.solublePct / 100) * s.extracted);
    }, 0);
    expect(after(sim, 'boil').now.massG).toBeCloseTo(12_000 - 2900 - solidsG, 4);
    expect(after(sim, 'bottle').now.volumeL).not.toBeCloseTo(after(plan, 'bottle').now.volumeL, 1);
  });

  it('temperature moves the cooling that follows', () => {
    const sim = withReading('strain', 'tub', { what: 'temperature', tempC: 40 });
    const length = (s: Simulation) => after(s, 'cool').endMin - after(s, 'cool').startMin;
    expect(length(sim)).toBeLessThan(length(plan) * 0.9);
  });

  it('°Bx moves sugar above the other solubles, and so the sweetener', () => {
    const sim = withReading('strain', 'tub', { what: 'brix', brix: 4 });
    expect(brix(after(sim, 'strain').after.liquor)).toBeCloseTo(4, 9);
    expect(after(sim, 'sweeten').dosedG.sugar!).toBeLessThan(after(plan, 'sweeten').dosedG.sugar! - 100);
  });

  it('pH replaces the estimate and what is added after starts from it', () => {
    const sim = withReading('strain', 'tub', { what: 'pH', pH: 3.4, by: 'meter', calibrated: true });
    const read = phOf(after(sim, 'strain').after.liquor);
    expect(read.kind === 'estimate' && read.pH).toBeCloseTo(3.4, 4);
    expect(after(sim, 'strain').after.liquor.read).toEqual({ pH: 3.4, by: 'meter' });
    // Sugar went in after it: the reading itself no longer counts, the corrected estimate goes on.
    const end = after(sim, 'bottle').after.liquor;
    expect(end.read).toBeNull();
    const endPh = phOf(end);
    const planPh = phOf(after(plan, 'bottle').after.liquor);
    expect(endPh.kind === 'estimate' && planPh.kind === 'estimate' && endPh.pH - planPh.pH).toBeGreaterThan(
      0.4,
    );
  });

  it('more than the vessel holds, or a reading that cannot be, is a typed problem with the trace so far', () => {
    const much = withReading('boil', 'pot', { what: 'volume', volumeL: 30, atC: 20 });
    expect(much.problem).toMatchObject({ kind: 'measuredTooMuch', valueL: 30 });
    expect(much.trace.at(-1)!.kind).toBe('heat');
    expect(withReading('boil', 'pot', { what: 'level', levelCm: 60, atC: 20 }).problem?.kind).toBe(
      'measuredTooMuch',
    );
    expect(withReading('boil', 'pot', { what: 'mass', massKg: 1, withVessel: true }).problem?.kind).toBe(
      'badReading',
    );
    expect(withReading('boil', 'pot', { what: 'volume', volumeL: Number.NaN, atC: 20 }).problem?.kind).toBe(
      'badReading',
    );
  });

  it('more than was made is not believed of a bowl whose size nobody knows', () => {
    const strained = after(plan, 'strain').now.volumeL;
    const slip = withReading('strain', 'tub', { what: 'volume', volumeL: strained * 1.5 + 1.1, atC: 20 });
    expect(slip.problem?.kind).toBe('moreThanMade');
    const much = withReading('strain', 'tub', { what: 'volume', volumeL: strained * 1.5 + 0.9, atC: 20 });
    expect(much.problem).toBeNull();
  });

  it('a refractometer is refused with alcohol in the drink', () => {
    const spirited = programOf(
      [WATER_5L, line('rum', 'liquid', 'spirit-40', 900)],
      [{ kind: 'combine', lines: ['water', 'rum'] }],
    );
    const sim = simulateBatch(spirited, KITCHEN, TABLES, {
      actuals: {
        'combine-0': {
          adjustments: [{ kind: 'measured', atMin: 0, vesselId: 'pot', reading: { what: 'brix', brix: 3 } }],
        },
      },
    });
    expect(sim.problem?.kind).toBe('brixWithAlcohol');
  });
});

describe('honest problems', () => {
  const problemOf = (
    steps: Parameters<typeof programOf>[1],
    lines: Parameters<typeof programOf>[0] = [WATER_5L],
  ) => simulateBatch(programOf(lines, steps), KITCHEN, TABLES).problem;
  it('names what is unknown, missing or absurd', () => {
    expect(problemOf([{ kind: 'combine', lines: ['nothing'] }])?.kind).toBe('unknownLine');
    expect(problemOf([{ kind: 'combine', lines: ['x'] }], [line('x', 'solid', 'moon-dust', 10)])?.kind).toBe(
      'unknownItem',
    );
    expect(problemOf([{ kind: 'combine', lines: ['x'] }], [line('x', 'liquid', 'water', -5)])?.kind).toBe(
      'badAmount',
    );
    expect(problemOf([{ kind: 'combine', lines: ['water'], to: ['bath'] }])?.kind).toBe('unknownVessel');
    expect(problemOf([{ kind: 'boil', burnerId: 'gas', level: 'gentle', lid: 'on' } as never])?.kind).toBe(
      'emptyVessel',
    );
    expect(
      problemOf([
        { kind: 'combine', lines: ['water'] },
        { kind: 'heat', burnerId: 'moon', lid: 'on', until: { kind: 'temp', targetC: null } } as never,
      ])?.kind,
    ).toBe('unknownBurner');
    expect(
      problemOf(
        [{ kind: 'juice', tool: 'hand', lines: ['c'], to: ['tub'] } as never],
        [line('c', 'solid', 'hibiscus-dried', 100)],
      ),
    ).toMatchObject({ kind: 'cannotJuice', itemId: 'hibiscus-dried' });
    expect(
      problemOf(
        [{ kind: 'combine', lines: ['water'] }, { kind: 'sour', targetTaGPerL: 80, lines: ['l'] } as never],
        [WATER_5L, line('l', 'liquid', 'lime-juice', 0)],
      ),
    ).toMatchObject({ kind: 'cannotSour', targetTaGPerL: 80 });
  });
  it('says when solids would hold everything, and when a pot would boil dry', () => {
    const little = line('w', 'liquid', 'water', 300);
    const strain = {
      kind: 'strain' as const,
      press: 'drain' as const,
      cloth: false,
      keepSolids: false,
      from: ['pot'],
      to: ['tub'],
    };
    expect(
      problemOf(
        [{ kind: 'combine', lines: ['w', 'c'] }, strain],
        [little, line('c', 'solid', 'hibiscus-dried', 200)],
      )?.kind,
    ).toBe('allHeld');
    const boil = {
      kind: 'boil' as const,
      burnerId: 'gas',
      level: 'rolling' as const,
      lid: 'off' as const,
      until: timed(120),
    };
    expect(problemOf([{ kind: 'combine', lines: ['w'] }, boil], [little])?.kind).toBe('boiledDry');
  });
});
