import type { Kitchen } from '../documents/kitchen.ts';
import { volumeMl } from '../liquor/composition.ts';
import { solidVolumeMl } from '../physics/room.ts';
import type { Program, Simulation } from '../program/model/types.ts';
import { BLENDING, BOWL_SHARE } from '../tables/constants.ts';
import type { Tables } from '../tables/types.ts';

/** How often the tools of a kitchen have to be filled for a batch. */
export interface ToolCounts {
  /** Bowls full of what is washed in cold water; 0: nothing is. */
  washLots: number;
  blenderLoads: number;
  /** Strained litres against what the receiving vessels hold. */
  strainedL: number;
  receiverL: number;
  receiverShortL: number;
}

/** Blender loads, washing lots and receiving vessels, counted from their sizes. */
export function toolCounts(
  program: Program,
  sim: Pick<Simulation, 'trace'>,
  kitchen: Kitchen,
  tables: Tables,
): ToolCounts {
  const { blenderMl, bowlMl, receiverMl } = kitchen.tools;
  const swirled = program.steps.filter((s) => s.kind === 'wash').flatMap((s) => s.lines);
  const bulkMl = [...new Set(swirled)].reduce((sum, id) => {
    const line = program.lines.find((l) => l.id === id);
    const row = line ? tables.ingredients.get(line.itemId) : undefined;
    return sum + (row && line ? line.massG / row.bulkGPerMl : 0);
  }, 0);
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
    washLots: bulkMl > 0 ? Math.ceil(bulkMl / (bowlMl * BOWL_SHARE) - 1e-9) : 0,
    blenderLoads,
    strainedL,
    receiverL: receiverMl / 1000,
    receiverShortL: Math.max(0, strainedL - receiverMl / 1000),
  };
}
