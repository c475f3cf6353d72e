import { volumeMl } from '../../liquor/composition.ts';
import type { LineId, VesselId } from '../model/ids.ts';
import type { FlowCode, Simulation } from '../model/simulation.ts';
import { isHeated, isRaw } from '../model/tags.ts';

/** How a stream is at the end: never heated through, heated with the rest, or sold as it is. */
export type StreamState = 'raw' | 'boiled' | 'bought';

/** One ribbon of the ledger: litres at 20 °C, positive, with what it is made of. */
export interface LedgerRow {
  /** What is pressed out of fruit is one row, and no part of the plants' own water. */
  code: FlowCode | 'juice';
  lineId: LineId | null;
  /** Of what was poured in, also at the stove. */
  itemId: string | null;
  state: StreamState | null;
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

const PER_LINE: ReadonlySet<LedgerRow['code']> = new Set(['poured', 'sweetener', 'juice']);
const OF_JUICE: ReadonlySet<FlowCode> = new Set(['ownWater', 'drawn', 'held']);

/** How each line's stream is in what is left. */
function statesOfLines(vessels: Simulation['vessels']): ReadonlyMap<LineId, StreamState> {
  const states = new Map<LineId, StreamState>();
  for (const vessel of Object.values(vessels))
    for (const origin of vessel?.liquor.origins ?? []) {
      if (origin.kind === 'bought') states.set(origin.lineId, 'bought');
      else if (isRaw(origin)) states.set(origin.lineId, 'raw');
      else if (isHeated(origin) && !states.has(origin.lineId)) states.set(origin.lineId, 'boiled');
    }
  return states;
}

/**
 * Where litres come from and go. Every row is a change of a vessel's liquor that the interpreter booked, so that
 * in − out = what is left; a measured difference stands on the side its sign puts it.
 */
export function ledgerOf(sim: Pick<Simulation, 'flows' | 'vessels' | 'trace'>): Ledger {
  const juiced = new Set(sim.trace.filter((t) => t.kind === 'juice').map((t) => t.stepId));
  const states = statesOfLines(sim.vessels);
  const rows = new Map<string, LedgerRow>();
  // Pouring two liquors together changes the volume a hair against the sum of both: booked with what moved.
  let movedDriftL = 0;
  for (const flow of sim.flows) {
    if (flow.direction === 'move') {
      movedDriftL += flow.volumeL - volumeMl(flow.comp) / 1000;
      continue;
    }
    const code =
      flow.lineId !== undefined && juiced.has(flow.stepId) && OF_JUICE.has(flow.code) ? 'juice' : flow.code;
    const lineId = PER_LINE.has(code) ? (flow.lineId ?? null) : null;
    const key = `${code}:${lineId ?? ''}`;
    const row = rows.get(key) ?? {
      code,
      lineId,
      itemId: lineId === null ? null : (flow.itemId ?? null),
      state: lineId === null ? null : (states.get(lineId) ?? null),
      litres: 0,
    };
    row.litres += flow.direction === 'in' ? flow.volumeL : -flow.volumeL;
    rows.set(key, row);
  }
  if (Math.abs(movedDriftL) > 1e-9) {
    const drawn = rows.get('drawn:');
    if (drawn) drawn.litres += movedDriftL;
  }
  const ledger: Ledger = { in: [], out: [], finishedL: 0, inL: 0, outL: 0 };
  for (const row of rows.values()) {
    if (Math.abs(row.litres) < 5e-7) continue;
    const side = row.litres > 0 ? ledger.in : ledger.out;
    const litres = Math.abs(row.litres);
    side.push({ ...row, litres });
    if (row.litres > 0) ledger.inL += litres;
    else ledger.outL += litres;
  }
  for (const id of Object.keys(sim.vessels) as VesselId[])
    ledger.finishedL += volumeMl(sim.vessels[id]!.liquor) / 1000;
  return ledger;
}
