import type { Kitchen } from '../documents/kitchen.ts';
import { abvPct } from '../liquor/composition.ts';
import type { LogEvent } from '../log/events/table.ts';
import { foldBatch } from '../log/foldBatch.ts';
import { byTheBook, type ModelFactors } from '../program/model/factors.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import type { Simulation, TraceEntry } from '../program/model/simulation.ts';
import { unread } from '../program/simulate/readings.ts';
import { simulateBatch } from '../program/simulate/simulate.ts';
import { tempAlong } from '../program/simulate/traceLine.ts';
import type { Tables } from '../tables/types.ts';
import { MINUTE_MS } from '../units/time.ts';
import { chance, type Truth, type TruthAt } from './simulated.ts';

const NOTHING: Truth = { tempC: null, massKg: null, brix: null, pH: null, abvPct: 0 };

export interface BatchTruth {
  /** What stands in the vessel of the step that was on at a moment. */
  at: TruthAt;
  /** How it will go on, by the physics as it really is. */
  forecast: Simulation;
}

/**
 * A batch as it really is, for simulated instruments: the deeds of its log, without its readings, by constants that may
 * differ from those that the kitchen counts with.
 */
export function simulateTruth(
  planned: PlannedProgram,
  kitchen: Kitchen,
  tables: Tables,
  events: readonly LogEvent[],
  nowMs: number,
  hidden: ModelFactors,
): BatchTruth {
  const log = foldBatch(planned, events);
  const { program } = log;
  // What is believed of a kitchen makes nothing so.
  const real = byTheBook(kitchen);
  const actuals = unread(log.actuals);
  const forecast = simulateBatch(program, real, tables, { actuals, factors: hidden });
  const { startedMs, currentStepId } = log;
  if (startedMs === null) return { at: () => NOTHING, forecast };
  const nowMin = (nowMs - startedMs) / MINUTE_MS;
  const moment = currentStepId
    ? simulateBatch(program, real, tables, {
        actuals,
        factors: hidden,
        stopAt: { stepId: currentStepId, atMin: nowMin },
      })
    : forecast;
  const massOf = new Map(program.vessels.map((v) => [v.id, v.massG]));
  return {
    forecast,
    at: (atMs) => {
      const minute = (atMs - startedMs) / MINUTE_MS;
      const entry =
        moment.trace.find((t) => minute >= t.startMin && minute <= t.endMin) ??
        (minute > 0 ? moment.trace.at(-1) : undefined);
      if (!entry || entry.now.volumeL < 0.02) return NOTHING;
      const { now } = entry;
      return {
        tempC: tempAt(entry, minute),
        massKg: (now.massG + (massOf.get(entry.vesselId) ?? 0)) / 1000,
        brix: now.brix,
        pH: now.ph.kind === 'estimate' ? now.ph.pH : null,
        abvPct: abvPct(entry.after.liquor),
      };
    },
  };
}

/** The temperature within a step; before its line begins and once it has ended it stays as it is. */
function tempAt(entry: TraceEntry, minute: number): number {
  const end = entry.curve.at(-1)?.atMin ?? minute;
  return tempAlong(entry, Math.max(entry.startMin, Math.min(minute, end))) ?? entry.now.tempC;
}

/** What is different in this rehearsal from what the kitchen counts with: a flame, a draught, a cloth of its own. */
export function hiddenFactors(seed: number): Record<'power' | 'boilOff' | 'heatLoss' | 'strainLoss', number> {
  let drawn = 0;
  const between = (low: number, high: number) => low + (high - low) * chance(seed, ++drawn);
  return {
    power: between(0.72, 1.05),
    boilOff: between(0.8, 1.25),
    heatLoss: between(0.85, 1.2),
    strainLoss: between(0.7, 1.6),
  };
}
