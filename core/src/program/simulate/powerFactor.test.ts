import { randomLcg, randomNormal } from 'd3-random';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { powerFactorOf } from '../../physics/powerFactor.ts';
import { KITCHEN, programOf, TABLES } from '../../testKitchen.ts';
import type { ModelFactors } from '../model/factors.ts';
import type { Adjustment } from '../model/simulation.ts';
import { simulateBatch } from './simulate.ts';

/** 12 L of water in the blue pot, brought to the boil on the gas, then boiled ten minutes. */
const program = programOf(
  [{ id: 'water', kind: 'liquid', itemId: 'water', massG: 11978 }],
  [
    {
      id: 'fill',
      kind: 'combine',
      from: ['bowl'],
      to: ['pot'],
      lines: ['water'],
      until: { kind: 'duration', minutes: 2 },
    },
    {
      id: 'heat',
      kind: 'heat',
      from: ['pot'],
      to: ['pot'],
      lines: [],
      burnerId: 'gas',
      lid: 'on',
      until: { kind: 'temp', targetC: null },
    },
    {
      id: 'boil',
      kind: 'boil',
      from: ['pot'],
      to: ['pot'],
      lines: [],
      burnerId: 'gas',
      lid: 'ajar',
      level: 'gentle',
      until: { kind: 'duration', minutes: 10 },
    },
  ],
);
const really = (power: number) => {
  const factors: ModelFactors = { boilOff: 1, power, heatLoss: 1, strainLoss: 1 };
  return simulateBatch(program, KITCHEN, TABLES, { factors }).trace.find((t) => t.stepId === 'heat')!;
};
type Heat = ReturnType<typeof really>;
const tempAt = (heat: Heat, minute: number): number => {
  const points = [{ atMin: heat.startMin, tempC: heat.before.liquor.tempC }, ...heat.curve];
  const after = points.findIndex((p) => p.atMin >= minute);
  if (after <= 0) return points[0]!.tempC;
  const [a, b] = [points[after - 1]!, points[after]!];
  return a.tempC + ((b.tempC - a.tempC) * (minute - a.atMin)) / (b.atMin - a.atMin);
};
/** A probe in the pot: 25 s behind, a tenth of a degree of noise, every ten seconds. */
function probed(heat: Heat, minutes: number, seed: number, noiseC = 0.1): Adjustment[] {
  const noise = randomNormal.source(randomLcg(seed))(0, noiseC);
  return Array.from({ length: minutes * 6 }, (_, i): Adjustment => {
    const atMin = heat.startMin + (i + 1) / 6;
    const tempC = tempAt(heat, Math.max(heat.startMin, atMin - 25 / 60)) + noise();
    return { kind: 'measured', atMin, vesselId: 'pot', reading: { what: 'temperature', tempC } };
  });
}
const predicted = (adjustments: readonly Adjustment[]) =>
  simulateBatch(program, KITCHEN, TABLES, {
    actuals: { heat: { startMin: 2, adjustments: [...adjustments] } },
  });
const heatOf = (sim: ReturnType<typeof predicted>) => sim.trace.find((t) => t.stepId === 'heat')!;

describe('the heat-up corrects itself by what is read', () => {
  it('a burner 30 % weaker than the kitchen thinks: within 10 % after five minutes of a lagging probe', () => {
    const truth = really(0.7);
    const believed = heatOf(predicted([]));
    // Without readings it is far out: that is what the readings are for.
    expect(believed.endMin - believed.startMin).toBeLessThan(0.75 * (truth.endMin - truth.startMin));
    for (const seed of [0.1, 0.2, 0.3, 0.4, 0.5, 0.6]) {
      const heat = heatOf(predicted(probed(truth, 5, seed)));
      expect(
        Math.abs(heat.endMin - truth.endMin) / (truth.endMin - truth.startMin),
        `seed ${seed}`,
      ).toBeLessThan(0.1);
      expect(heat.notes.find((n) => n.code === 'heat.pace')!.params!.percent).toBeGreaterThan(60);
      expect(heat.notes.find((n) => n.code === 'heat.pace')!.params!.percent).toBeLessThan(80);
    }
  });
  it('whatever the burner really gives, readings without noise find it', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1.6, noNaN: true }), (power) => {
        const truth = really(power);
        const heat = heatOf(predicted(probed(truth, 6, 0.5, 0)));
        expect(Math.abs(heat.endMin - truth.endMin) / (truth.endMin - truth.startMin)).toBeLessThan(0.06);
      }),
      { numRuns: 20 },
    );
  });
  it('one reading by hand counts once the pot has had five minutes', () => {
    const truth = really(0.7);
    const byHand = (minute: number): Adjustment[] => [
      {
        kind: 'measured',
        atMin: truth.startMin + minute,
        vesselId: 'pot',
        reading: { what: 'temperature', tempC: tempAt(truth, truth.startMin + minute) },
      },
    ];
    const codes = (minute: number) => heatOf(predicted(byHand(minute))).notes.map((n) => n.code);
    expect(codes(3)).not.toContain('heat.pace');
    expect(codes(12)).toContain('heat.pace');
    const heat = heatOf(predicted(byHand(12)));
    expect(Math.abs(heat.endMin - truth.endMin) / (truth.endMin - truth.startMin)).toBeLessThan(0.05);
  });
  it('a flame that hardly warms is believed down to a quarter of its power, no further', () => {
    const cold: Adjustment[] = [6, 12, 18].map((minute) => ({
      kind: 'measured',
      atMin: 2 + minute,
      vesselId: 'pot',
      reading: { what: 'temperature', tempC: 15 + minute * 0.05 },
    }));
    const heat = heatOf(predicted(cold));
    expect(heat.notes).toContainEqual({ code: 'heat.pace', params: { percent: 25 } });
    expect(heat.endMin).toBeGreaterThan(really(0.3).endMin);
  });
  it('what was thrown in meanwhile ends what the readings say of the flame', () => {
    const truth = really(0.7);
    const cold: Adjustment = {
      kind: 'added',
      atMin: truth.startMin + 1,
      vesselId: 'pot',
      lineKind: 'liquid',
      itemId: 'water',
      lineId: 'more',
      massG: 2000,
    };
    const heat = heatOf(predicted([cold, ...probed(truth, 5, 0.3)]));
    expect(heat.notes.map((n) => n.code)).not.toContain('heat.pace');
  });
  it('no reading, or only early ones, leave the flame as it is', () => {
    const line = (share: number) => (minutes: number) => 20 + share * minutes;
    expect(powerFactorOf(line, [])).toBe(1);
    expect(powerFactorOf(line, [{ atMin: 1, tempC: 80 }])).toBe(1);
    // 20 + 1.5 × 10: half as strong again, by hand.
    expect(powerFactorOf(line, [{ atMin: 10, tempC: 35 }])).toBeCloseTo(1.5, 2);
  });
});
