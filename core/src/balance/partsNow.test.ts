import { describe, expect, it } from 'vitest';
import { massG } from '../liquor/composition.ts';
import { effectiveProgram } from '../log/foldBatch.ts';
import { toldAt } from '../log/told.fixtures.ts';
import { line, made, step } from '../program/compile/ownSteps.fixtures.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { KITCHEN, TABLES } from '../testKitchen.ts';
import { partsNow } from './partsNow.ts';

/** Equal parts: half a litre of juice, as much honey, as much vinegar. */
const cordial = made(
  [
    line('juice', 'apple-juice', 500 * TABLES.liquids.get('apple-juice')!.densityGPerMl, 'liquid'),
    { ...line('honey', 'honey', 0, 'sweetener'), rule: { kind: 'byResult', lineId: 'juice', ratio: 1 } },
    {
      ...line('vinegar', 'cider-vinegar', 0, 'liquid'),
      rule: { kind: 'byResult', lineId: 'juice', ratio: 1 },
    },
  ],
  [step('combine', ['juice'], { to: 'tub' }), step('mix', ['honey', 'vinegar']), step('bottle')],
  { basisL: 1.5 },
);
const mixed = cordial.program.steps.find((s) => s.kind === 'mix')!.id;

const swapped = (massG: number) => {
  const event = toldAt(0, 1, { kind: 'swapped', body: { lineId: 'honey', itemId: 'honey', massG } });
  const program = effectiveProgram(cordial.program, [event]);
  const sim = simulateBatch(program, KITCHEN, TABLES);
  return { program, sim, parts: partsNow(cordial.program, program, sim, mixed, TABLES) };
};
const honeyGPerMl = TABLES.sweeteners.get('honey')!.bulkGPerMl;

describe('equal parts, as they really are', () => {
  it('with enough of everything they are 1 : 1 : 1, nothing is short', () => {
    const parts = partsNow(cordial.program, cordial.program, cordial.sim, mixed, TABLES);
    expect(parts.map((p) => p.lineId)).toEqual(['honey', 'vinegar']);
    for (const p of parts) {
      expect(p.parts).toBeCloseTo(1, 3);
      expect(p.shortG).toBeCloseTo(0, 3);
      expect(p.volumeMl).toBeCloseTo(500, 0);
    }
  });
  it('a jar that is 50 g short makes it so much less than a part; nothing of it is made up', () => {
    // Half a litre of honey is 500 x its density; 50 g of it are 50 / density mL, out of 500.
    const parts = swapped(500 * honeyGPerMl - 50).parts;
    const honey = parts.find((p) => p.lineId === 'honey')!;
    // The juice itself is a drop less, for what clings and goes into the air.
    expect(Math.abs(honey.shortG - 50)).toBeLessThan(1);
    expect(honey.parts).toBeCloseTo(1 - 50 / honeyGPerMl / 500, 2);
    // The vinegar goes by the juice: it is a part as before.
    expect(parts.find((p) => p.lineId === 'vinegar')!.parts).toBeCloseTo(1, 3);
  });
  it('what was said goes in, and no more', () => {
    const { sim } = swapped(600);
    const inG = sim.flows
      .filter((f) => f.lineId === 'honey' && f.direction === 'in')
      .reduce((sum, f) => sum + massG(f.comp), 0);
    expect(inG).toBeCloseTo(600, 0);
  });
  it('a step without parts has none', () => {
    expect(partsNow(cordial.program, cordial.program, cordial.sim, 'bottle', TABLES)).toEqual([]);
  });
});
