import { volumeMl } from '../../liquor/composition.ts';
import type { VesselId } from '../model/ids.ts';
import type { Simulation, TraceEntry } from '../model/simulation.ts';
import type { Vessel } from '../model/vessel.ts';

/**
 * What of a trace is followed over its minutes: how warm the vessel was that each step was about, °C, and how much drink
 * there was in all vessels together, L at 20 °C.
 */
export type TraceFigure = 'tempC' | 'volumeL';
type Line = { atMin: number; value: number }[];

/** Less than this in a pot is no drink that is followed, L. */
const LEAST_L = 0.05;

/** Rounding is no time that goes by. */
const HAIR_MIN = 1e-6;

const warmth = (trace: readonly TraceEntry[]): Line =>
  trace
    .filter(({ now, curve }) => now.volumeL > LEAST_L || curve.length > 0)
    .flatMap(({ startMin, endMin, before, now, curve }) => [
      { atMin: startMin, value: before.liquor.waterG > 0 ? before.liquor.tempC : now.tempC },
      ...curve.map((p) => ({ atMin: p.atMin, value: p.tempC })),
      { atMin: endMin, value: now.tempC },
    ]);

function volume(trace: readonly TraceEntry[]): Line {
  const inVessel = new Map<VesselId, number>();
  const put = (vessel: Vessel) => inVessel.set(vessel.id, volumeMl(vessel.liquor) / 1000);
  const all = () => [...inVessel.values()].reduce((sum, v) => sum + v, 0);
  return trace.flatMap(({ startMin, endMin, after, also }) => {
    const before = all();
    for (const vessel of [...also, after]) put(vessel);
    const then = all();
    return Math.max(before, then) > LEAST_L
      ? [
          { atMin: startMin, value: before },
          { atMin: endMin, value: then },
        ]
      : [];
  });
}

const LINES: Record<TraceFigure, (trace: readonly TraceEntry[]) => Line> = {
  tempC: warmth,
  volumeL: volume,
};

/**
 * A figure of a trace as a line; steps in which there is no drink are left out of it.
 * @param untilMin what would have come after it is left out: of a batch that was given up.
 */
export const traceLine = (
  { trace }: Pick<Simulation, 'trace'>,
  figure: TraceFigure,
  untilMin = Number.POSITIVE_INFINITY,
): Line =>
  LINES[figure](trace)
    .filter(({ atMin }) => atMin <= untilMin + HAIR_MIN)
    .sort((a, b) => a.atMin - b.atMin);

/**
 * How warm the vessel of a step is at a minute, °C: along the step's own line, and past its end as it went last. Null
 * without a line.
 */
export function tempAlong({ startMin, before, curve }: TraceEntry, atMin: number): number | null {
  if (curve.length === 0) return null;
  const line = [{ atMin: startMin, tempC: before.liquor.tempC }, ...curve];
  const next = line.findIndex((p, i) => i > 0 && p.atMin >= atMin);
  const [a, b] = next < 0 ? [line.at(-2)!, line.at(-1)!] : [line[next - 1]!, line[next]!];
  return b.atMin > a.atMin
    ? a.tempC + ((b.tempC - a.tempC) * (atMin - a.atMin)) / (b.atMin - a.atMin)
    : b.tempC;
}
