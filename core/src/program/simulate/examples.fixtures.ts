import { plannedDrink } from '../../plannedDrink.fixtures.ts';
import type { Program, ProgramLine } from '../model/program.ts';

export const line = (id: string, kind: ProgramLine['kind'], itemId: string, massG: number) => ({
  id,
  kind,
  itemId,
  massG,
});
export const WATER_5L = line('water', 'liquid', 'water', 5000 * 0.9982);
export const timed = (minutes: number) => ({ kind: 'duration' as const, minutes });

/** The deep calyx drink, 9 L in the blue pot. */
export const deepCalyx = (methodId: 'shortBoilLongSteep' | 'straightBoil' = 'straightBoil'): Program =>
  plannedDrink('deep-calyx-ginger', methodId, 9);
