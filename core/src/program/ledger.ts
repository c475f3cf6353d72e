import { volumeMl } from '../liquor/composition.ts';
import type { Flow, FlowCode, LineId, Simulation, TraceEntry, VesselId } from './types.ts';

/** One ribbon of the ledger: litres at 20 °C, positive, with what it is made of. */
export interface LedgerRow {
  code: FlowCode;
  lineId: LineId | null;
  litres: number;
}

export interface Ledger {
  in: LedgerRow[];
  out: LedgerRow[];
  /** What is in the vessels at the end: in bottles, when the batch is done. */
  finishedL: number;
  inL: number;
  outL: number;
}

/**
 * Where litres come from and go. Every row is a change of a vessel's liquor that the interpreter booked, so that
 * in − out = what is left; a measured difference stands on the side its sign puts it.
 */
export function ledgerOf(sim: Pick<Simulation, 'flows' | 'vessels'>): Ledger {
  const rows = new Map<string, { flow: Flow; litres: number }>();
  // Pouring two liquors together changes the volume a hair against the sum of both: booked with what moved.
  let movedDriftL = 0;
  for (const flow of sim.flows) {
    if (flow.direction === 'move') {
      movedDriftL += flow.volumeL - volumeMl(flow.comp) / 1000;
      continue;
    }
    const perLine = flow.code === 'poured' || flow.code === 'sweetener';
    const key = `${flow.code}:${perLine ? flow.lineId : ''}`;
    const signed = flow.direction === 'in' ? flow.volumeL : -flow.volumeL;
    const row = rows.get(key);
    if (row) row.litres += signed;
    else rows.set(key, { flow, litres: signed });
  }
  if (Math.abs(movedDriftL) > 1e-9) {
    const drawn = [...rows.values()].find((r) => r.flow.code === 'drawn');
    if (drawn) drawn.litres += movedDriftL;
  }
  const ledger: Ledger = { in: [], out: [], finishedL: 0, inL: 0, outL: 0 };
  for (const { flow, litres } of rows.values()) {
    if (Math.abs(litres) < 5e-7) continue;
    const perLine = flow.code === 'poured' || flow.code === 'sweetener';
    const row = { code: flow.code, lineId: perLine ? (flow.lineId ?? null) : null, litres: Math.abs(litres) };
    if (litres > 0) {
      ledger.in.push(row);
      ledger.inL += row.litres;
    } else {
      ledger.out.push(row);
      ledger.outL += row.litres;
    }
  }
  for (const id of Object.keys(sim.vessels) as VesselId[])
    ledger.finishedL += volumeMl(sim.vessels[id]!.liquor) / 1000;
  return ledger;
}

/** Grams of sweetener that reach the target, by line: what the sweetening steps of a trace dosed. */
export const dosedGOf = (sim: { trace: readonly Pick<TraceEntry, 'dosedG'>[] }): Record<LineId, number> =>
  Object.assign({}, ...sim.trace.map((t) => t.dosedG));
