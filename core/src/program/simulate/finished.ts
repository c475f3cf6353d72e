import { volumeMl } from '../../liquor/composition.ts';
import type { Liquor } from '../model/liquor.ts';
import { lotBottles } from '../model/lots.ts';
import type { Simulation, TraceEntry } from '../model/simulation.ts';
import type { Vessel } from '../model/vessel.ts';
import { BOTTLES } from '../model/vessels.ts';

type Ended = Pick<Simulation, 'vessels'>;

/** Less than this is what clings to a funnel, mL. */
const NOTHING_ML = 1;

/** What a batch ends in: its own bottles and those of each lot, as far as anything is in them. */
export const fillingsOf = (sim: Ended): Vessel[] =>
  Object.values(sim.vessels).filter(
    ({ id, liquor }) => (id === BOTTLES || id.startsWith(lotBottles(''))) && volumeMl(liquor) >= NOTHING_ML,
  );

/** Everything that comes into bottles, L. */
export const finishedL = (sim: Ended): number =>
  fillingsOf(sim).reduce((sum, { liquor }) => sum + volumeMl(liquor), 0) / 1000;

/** The liquor that stands for the drink where one is asked for: its own, or the largest lot's where lots took it all. */
export function finishedLiquor(sim: Ended): Liquor | undefined {
  const fillings = fillingsOf(sim);
  const own = fillings.find(({ id }) => id === BOTTLES);
  const [largest] = fillings.sort((a, b) => volumeMl(b.liquor) - volumeMl(a.liquor));
  return (own ?? largest)?.liquor ?? sim.vessels[BOTTLES]?.liquor;
}

/** The filling of the most litres, as the trace has it; while nothing is filled, what there was last. */
export const largestFilling = (sim: Pick<Simulation, 'trace'>): TraceEntry | undefined =>
  sim.trace.filter((t) => t.kind === 'bottle').sort((a, b) => b.now.volumeL - a.now.volumeL)[0] ??
  sim.trace.at(-1);
