import { CONSERVED } from '../../liquor/composition.ts';
import type { Simulation } from '../model/simulation.ts';

/** Of everything that is conserved: what flowed in, less what left, and what stands somewhere at the end. */
export const booksOf = (sim: Pick<Simulation, 'flows' | 'vessels'>) =>
  CONSERVED.map((key) => ({
    key,
    flowed: sim.flows.reduce(
      (sum, f) => sum + (f.direction === 'in' ? f.comp[key] : f.direction === 'out' ? -f.comp[key] : 0),
      0,
    ),
    stands: Object.values(sim.vessels).reduce((sum, vessel) => sum + vessel.liquor[key], 0),
  }));
