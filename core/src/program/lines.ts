import {
  type Composition,
  EMPTY,
  massG,
  plus,
  scaled,
  volumeMl,
  WATER_20_G_PER_ML,
  water,
} from '../liquor/composition.ts';
import type { LiquidRow } from '../tables/types.ts';
import {
  addFlow,
  ingredientOf,
  lineOf,
  liquorOf,
  mixLiquors,
  NO_COOLING,
  partOfSolid,
  remainingMassG,
  setVessel,
  solidOf,
  solidsInfo,
  type Work,
} from './state.ts';
import type { Origin, Solid, Step, Vessel, VesselId } from './types.ts';

export function originKindOf(kind: 'liquid' | 'sweetener', row: LiquidRow | undefined): Origin['kind'] {
  if (kind === 'sweetener' || !row) return 'sweetener';
  return row.treatment;
}

/** The share of a line that one step takes: an equal part for each fill of the pot. */
export const shareOf = (work: Work, step: Step): number => (step.fill > 0 ? 1 / work.program.fills : 1);

/** A line's solids as they lie ready: washed ones in the bowl, else straight from the board. */
export function takeSolids(work: Work, step: Step, lineId: string): Solid {
  const line = lineOf(work, step.id, lineId);
  ingredientOf(work, step.id, line.itemId);
  const wanted = line.massG * shareOf(work, step);
  for (const vessel of work.vessels.values()) {
    if (work.specs.get(vessel.id)?.kind !== 'bowl') continue;
    const ready = vessel.solids.find((s) => s.lineId === lineId);
    if (!ready || ready.massG <= 0) continue;
    const share = Math.min(1, wanted / ready.massG);
    setVessel(work, {
      ...vessel,
      solids: vessel.solids.flatMap((s) =>
        s !== ready ? [s] : share > 1 - 1e-9 ? [] : [partOfSolid(s, 1 - share)],
      ),
    });
    return partOfSolid(ready, share);
  }
  return { lineId, ingredientId: line.itemId, massG: wanted, held: EMPTY, extracted: 0, wet: false };
}

/** Lays a line's whole amount in a bowl, if it does not lie there yet. */
export function layOut(work: Work, step: Step, lineId: string, bowlId: VesselId): void {
  const line = lineOf(work, step.id, lineId);
  if (line.kind !== 'solid') return;
  const bowl = work.vessels.get(bowlId);
  if (!bowl || bowl.solids.some((s) => s.lineId === lineId)) return;
  ingredientOf(work, step.id, line.itemId);
  setVessel(work, {
    ...bowl,
    solids: [
      ...bowl.solids,
      { lineId, ingredientId: line.itemId, massG: line.massG, held: EMPTY, extracted: 0, wet: false },
    ],
  });
}

/** Solids into a vessel: their own water and what clings to them join the liquor, and they cool it. */
export function addSolids(work: Work, step: Step, vessel: Vessel, solids: readonly Solid[]): void {
  const fresh = solids.filter((s) => s.massG > 0);
  if (fresh.length === 0) return;
  let comp: Composition = vessel.liquor;
  let joined: Composition = EMPTY;
  let solidsHeatG = 0;
  const join = (code: 'ownWater' | 'rinseWater' | 'held', part: Composition, lineId: string): void => {
    if (massG(part) <= 0) return;
    const before = comp;
    const after = plus(comp, part);
    comp = after;
    joined = plus(joined, part);
    // What had stayed in solids that were lifted out comes back: less held, not more poured.
    const back = code === 'held';
    addFlow(work, () => ({
      stepId: step.id,
      code,
      direction: back ? 'out' : 'in',
      volumeL: ((volumeMl(after) - volumeMl(before)) / 1000) * (back ? -1 : 1),
      comp: back ? scaled(part, -1) : part,
      lineId,
      ...(back ? { from: vessel.id } : { to: vessel.id }),
    }));
  };
  const origins: Origin[] = fresh.map((solid) => {
    const row = ingredientOf(work, step.id, solid.ingredientId);
    if (!solid.wet) join('ownWater', water((solid.massG * row.waterPct) / 100), solid.lineId);
    join(solid.wet ? 'held' : 'rinseWater', solid.held, solid.lineId);
    solidsHeatG += remainingMassG(solid, row);
    return {
      lineId: solid.lineId,
      kind: row.marker === 'garlic' ? 'garlic' : 'solid',
      sinceMin: work.nowMin,
      heatedMin: 0,
      below60Min: null,
    };
  });
  const liquor = mixLiquors(
    work,
    vessel.liquor,
    massG(vessel.liquor) + solidsInfo(work, vessel).massG,
    liquorOf(joined, work.kitchen.roomC, origins, NO_COOLING, null),
    massG(joined) + solidsHeatG,
  );
  setVessel(work, {
    ...vessel,
    liquor,
    solids: [...vessel.solids, ...fresh.map((s) => solidOf(s, s.extracted, EMPTY, true))],
  });
}

/** Rinse water that clings to washed calyx and leaf, from the kitchen's tap. */
export const rinseWater = (work: Work, ml: number): Composition => ({
  ...water(ml * WATER_20_G_PER_ML),
  alkaliMeq: (work.kitchen.hardnessMeqPerL * ml) / 1000,
  acidG: (-0.064 * work.kitchen.hardnessMeqPerL * ml) / 1000,
});
