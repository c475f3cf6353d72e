import { volumeMl } from '../liquor/composition.ts';
import type { LineId, StepId } from '../program/model/ids.ts';
import type { Program } from '../program/model/program.ts';
import type { Simulation } from '../program/model/simulation.ts';
import { rowOf } from '../program/model/tags.ts';
import type { Tables } from '../tables/types.ts';

/** What follows the drink in parts: so much of it for each millilitre that is there. */
export interface PartNow {
  lineId: LineId;
  itemId: string;
  massG: number;
  volumeMl: number;
  /** Parts wanted and parts there are, the drink before it being one. */
  wanted: number;
  parts: number;
  /** What is short of the parts wanted, g; 0 where nothing is. */
  shortG: number;
}

/**
 * The parts of a step as they really are: a jar that ran short is told, and the ratio that it makes.
 * @param planned the batch as it was planned, which still says what was to be in parts.
 * @param program the same as it is made, with what was said at the stove.
 * @returns none where nothing in the step goes by parts.
 */
export function partsNow(
  planned: Pick<Program, 'lines'>,
  program: Pick<Program, 'lines' | 'steps'>,
  sim: Pick<Simulation, 'trace' | 'flows'>,
  stepId: StepId,
  tables: Tables,
): PartNow[] {
  const entry = sim.trace.find((t) => t.stepId === stepId);
  const step = program.steps.find((s) => s.id === stepId);
  if (!entry || !step) return [];
  const poured = sim.flows.filter(
    (f) => f.stepId === stepId && f.direction === 'move' && f.to === entry.vesselId,
  );
  const thereMl = volumeMl(entry.before.liquor) + poured.reduce((sum, f) => sum + f.volumeL * 1000, 0);
  if (thereMl < 1) return [];
  return step.lines.flatMap((id): PartNow[] => {
    const rule = planned.lines.find((l) => l.id === id)?.rule;
    const line = program.lines.find((l) => l.id === id);
    if (rule?.kind !== 'byResult' || !line) return [];
    const row = rowOf(tables, line.itemId);
    const gPerMl =
      tables.liquids.get(line.itemId)?.densityGPerMl ?? tables.sweeteners.get(line.itemId)?.bulkGPerMl;
    if (!row || gPerMl === undefined) return [];
    const massG = entry.dosedG[id] ?? line.massG;
    const ml = massG / gPerMl;
    const wantedG = rule.ratio * thereMl * gPerMl;
    return [
      {
        lineId: id,
        itemId: line.itemId,
        massG,
        volumeMl: ml,
        wanted: rule.ratio,
        parts: ml / thereMl,
        shortG: Math.max(0, wantedG - massG),
      },
    ];
  });
}
