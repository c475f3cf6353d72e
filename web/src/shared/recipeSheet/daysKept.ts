import type { Kitchen } from '@big-ladle/core/documents';
import { plannedLife } from '@big-ladle/core/keeping';
import type { Program, Simulation } from '@big-ladle/core/program';
import { DAY_MS, MINUTE_MS } from '@big-ladle/core/units';

/** Whole days that it keeps in its bottles; null while nothing comes into them. */
export function daysKept(
  { program, sim }: { program: Program; sim: Simulation },
  kitchen: Kitchen,
): number | null {
  const life = plannedLife(program, sim, kitchen, { startMs: 0, nowMs: 0 });
  return life && Math.max(0, Math.floor((life.deadlineMs - sim.endMin * MINUTE_MS) / DAY_MS));
}
