import type { Kitchen } from '../documents/kitchen.ts';
import { volumeMl } from '../liquor/composition.ts';
import { solidVolumeMl } from '../physics/room.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import type { Step } from '../program/model/steps.ts';
import { BLENDING, BOWL_SHARE } from '../tables/constants.ts';
import type { Tables } from '../tables/types.ts';

/** How often the tools of a kitchen have to be filled for a batch. */
export interface ToolCounts {
  blenderLoads: number;
  /** Strained litres against what the receiving vessels hold. */
  strainedL: number;
  receiverL: number;
  receiverShortL: number;
}

/** What is washed in one step where the bowl does not take all of it at once: how many bowls, equal ones. */
export function bowlsOf(
  step: Pick<Step, 'lines'>,
  program: Pick<Program, 'lines'>,
  kitchen: Pick<Kitchen, 'tools'>,
  tables: Tables,
): number {
  const bulkMl = program.lines.reduce((sum, line) => {
    const row = step.lines.includes(line.id) ? tables.ingredients.get(line.itemId) : undefined;
    return sum + (row ? line.massG / row.bulkGPerMl : 0);
  }, 0);
  return bulkMl > 0 ? Math.ceil(bulkMl / (kitchen.tools.bowlMl * BOWL_SHARE) - 1e-9) : 0;
}

/** Blender loads and receiving vessels, counted from their sizes. */
export function toolCounts(
  program: Program,
  sim: Pick<Simulation, 'trace'>,
  kitchen: Kitchen,
  tables: Tables,
): ToolCounts {
  const { blenderMl, receiverMl } = kitchen.tools;
  let blenderLoads = 0;
  for (const step of program.steps) {
    if (step.kind !== 'blend' || blenderMl <= 0) continue;
    const entry = sim.trace.find((t) => t.stepId === step.id);
    if (!entry) continue;
    const solidsMl = entry.after.solids.reduce((sum, s) => {
      const row = tables.ingredients.get(s.ingredientId);
      return sum + (row ? solidVolumeMl(row, s.massG) : 0);
    }, 0);
    blenderLoads += Math.ceil(
      (volumeMl(entry.after.liquor) + solidsMl) / (blenderMl * BLENDING.fillShare) - 1e-9,
    );
  }
  const strainedL = sim.trace
    .filter((t) => t.kind === 'strain')
    .reduce((most, t) => Math.max(most, volumeMl(t.after.liquor) / 1000), 0);
  return {
    blenderLoads,
    strainedL,
    receiverL: receiverMl / 1000,
    receiverShortL: Math.max(0, strainedL - receiverMl / 1000),
  };
}
