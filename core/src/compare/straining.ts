import type { Sieve } from '../documents/recipe.ts';
import type { StepId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import type { StrainStep } from '../program/model/steps.ts';
import type { Tables } from '../tables/types.ts';

/** What one straining gives, whatever it goes through. */
export interface StrainingFacts {
  stepId: StepId;
  /** What came through, L at 20 °C, and how long it takes. */
  litres: number;
  minutes: number;
  /** Through these, one after the other, each so many times. */
  passes: readonly { by: Sieve; times: number }[];
  clarity: Clarity;
  /** What pressing or wringing brings beyond letting it drip, L. */
  pressGainL: number;
  /** Water poured over what stays in the sieve, L, and by which share it thins what came through. */
  rinseL: number;
  rinseThins: number;
}

/** From see-through to thick, as it stands in a glass. */
export const CLARITIES = ['clear', 'silky', 'thick'] as const;
export type Clarity = (typeof CLARITIES)[number];

/** How clear it comes out of each, dripping. Source: general kitchen practice; confidence medium. */
const THROUGH: Readonly<Record<Sieve, number>> = { colander: 2, sieve: 1, fineMesh: 1, cloth: 0 };
/** Twice through a fine mesh is as good as once through a cloth. */
const FINE_TWICE = 2;

/** What it goes through where the recipe only says with or without a cloth. */
const passesOf = (step: StrainStep): readonly { by: Sieve; times: number }[] =>
  step.passes ?? [{ by: 'sieve', times: 1 }, ...(step.cloth ? [{ by: 'cloth' as const, times: 1 }] : [])];

function clarityOf(step: StrainStep): Clarity {
  const passes = passesOf(step);
  const fineTwice = passes.some((p) => p.by === 'fineMesh' && p.times >= FINE_TWICE);
  const finest = Math.min(...passes.map((p) => THROUGH[p.by]));
  // Wrung hard, fine pulp comes along.
  const level = (fineTwice ? 0 : finest) + (step.press === 'wring' ? 1 : 0);
  return CLARITIES[Math.min(level, CLARITIES.length - 1)]!;
}

/** Each straining of a batch in figures: litres, minutes, how clear, what pressing gains, what a rinse thins. */
export function strainings(
  program: Pick<Program, 'steps'>,
  sim: Pick<Simulation, 'trace' | 'flows'>,
  tables: Tables,
): StrainingFacts[] {
  return program.steps.flatMap((step): StrainingFacts[] => {
    const entry = sim.trace.find((t) => t.stepId === step.id);
    if (step.kind !== 'strain' || !entry) return [];
    const from = [entry.after, ...entry.also].find((v) => v.id === step.from[0]);
    const solids = [...entry.also, entry.after].flatMap((v) => v.solids);
    const flows = sim.flows.filter((f) => f.stepId === step.id);
    const held = flows.filter((f) => f.code === 'held' && f.direction === 'out' && f.volumeL > 0);
    // Of each solid that was drained: what it would hold if it only dripped, less what it holds so.
    const pressGainMl = [...new Set(held.map((f) => f.lineId))].reduce((sum, lineId) => {
      const solid = [...(from?.solids ?? []), ...solids].find((s) => s.lineId === lineId);
      const row = solid ? tables.ingredients.get(solid.ingredientId) : undefined;
      return solid && row
        ? sum + Math.max(0, row.holdMlPerG.drain - row.holdMlPerG[step.press]) * solid.massG
        : sum;
    }, 0);
    const moved = flows.filter((f) => f.direction === 'move' && f.from === step.from[0]);
    const litres = moved.reduce((sum, f) => sum + f.volumeL, 0);
    const gramsIn = (comp: (typeof flows)[number]['comp']) => comp.otherSolublesG + comp.sugarG;
    // Before anything was poured over it, what came through first was as strong as what stood in the pot.
    const first = moved[0];
    const firstStrength = first && first.volumeL > 0 ? gramsIn(first.comp) / first.volumeL : 0;
    const strength = litres > 0 ? moved.reduce((sum, f) => sum + gramsIn(f.comp), 0) / litres : 0;
    return [
      {
        stepId: step.id,
        litres,
        minutes: entry.endMin - entry.startMin,
        passes: passesOf(step),
        clarity: clarityOf(step),
        pressGainL: pressGainMl / 1000,
        rinseL: (step.rinseMl ?? 0) / 1000,
        rinseThins: step.rinseMl && firstStrength > 0 ? Math.max(0, 1 - strength / firstStrength) : 0,
      },
    ];
  });
}
