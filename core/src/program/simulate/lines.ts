import {
  type Composition,
  EMPTY,
  massG,
  plus,
  scaled,
  volumeMl,
  WATER_20_G_PER_ML,
  water,
} from '../../liquor/composition.ts';
import type { IngredientRow, LiquidRow } from '../../tables/types.ts';
import type { VesselId } from '../model/ids.ts';
import type { CoolingTally, Origin, Solid } from '../model/liquor.ts';
import { shareOfLoad } from '../model/loads.ts';
import type { Step } from '../model/steps.ts';
import type { Vessel } from '../model/vessel.ts';
import { acidFigures, estimateShowsAcid, NO_COOLING, standing, worseCooling } from './exposure.ts';
import {
  addFlow,
  lineOf,
  liquorOf,
  mixLiquors,
  partOfSolid,
  remainingMassG,
  rowOfLine,
  rowOfSolid,
  type SimState,
  setVessel,
  solidOf,
  solidsInfo,
} from './state.ts';

/** Weaker than this a vinegar or a spirit keeps nothing and counts as raw. */
const KEEPS = { aceticPct: 4, abvPct: 35 };

export function originKindOf(kind: 'liquid' | 'sweetener', row: LiquidRow | undefined): Origin['kind'] {
  if (kind === 'sweetener' || !row) return 'sweetener';
  const weak =
    (row.treatment === 'vinegar' && row.aceticPct < KEEPS.aceticPct) ||
    (row.treatment === 'spirit' && row.abvPct < KEEPS.abvPct);
  return weak ? 'rawJuice' : row.treatment;
}

/** What a solid counts as where it is asked how long a drink keeps: itself, and each trait that limits it. */
function originKindsOfSolid(row: IngredientRow): Origin['kind'][] {
  return [
    row.traits.includes('garlic') ? 'garlic' : 'solid',
    ...(row.traits.includes('milk') ? ['rawMilk' as const] : []),
    ...(row.traits.includes('live') ? ['live' as const] : []),
  ];
}

/** Solids on their way into a vessel, with what they have been through where they lay. */
export interface TakenSolid {
  solid: Solid;
  cooling: CoolingTally;
}

/** Fresh from the board: whole things are as old as nothing, cut ones begin to count. */
export const freshSolid = (
  lineId: string,
  row: IngredientRow,
  massG: number,
  sinceMin: number | null,
): Solid => ({ lineId, ingredientId: row.id, massG, held: EMPTY, extracted: 0, wet: false, sinceMin });

/** What was lifted out of a pot has that pot's history, and the hours in its bowl since. */
function liftedCooling(sim: SimState, solid: Solid): CoolingTally {
  if (!solid.lifted) return NO_COOLING;
  const { atMin, cooling } = solid.lifted;
  return standing(cooling, sim.nowMin - atMin, !estimateShowsAcid(acidFigures(solid.held), []));
}

/** A line's solids as they lie ready: washed ones in the bowl, else straight from the board. */
export function takeSolids(sim: SimState, step: Step, lineId: string): TakenSolid {
  const line = lineOf(sim, step.id, lineId);
  const row = rowOfLine(sim, step.id, line.id, line.itemId);
  const wanted = line.massG * shareOfLoad(sim.program, step);
  for (const vessel of sim.vessels.values()) {
    if (sim.specs.get(vessel.id)?.kind !== 'bowl') continue;
    const ready = vessel.solids.find((s) => s.lineId === lineId);
    if (!ready || ready.massG <= 0) continue;
    const share = Math.min(1, wanted / ready.massG);
    setVessel(sim, {
      ...vessel,
      solids: vessel.solids.flatMap((s) =>
        s !== ready ? [s] : share > 1 - 1e-9 ? [] : [partOfSolid(s, 1 - share)],
      ),
    });
    return { solid: partOfSolid(ready, share), cooling: liftedCooling(sim, ready) };
  }
  return { solid: freshSolid(lineId, row, wanted, null), cooling: NO_COOLING };
}

/**
 * Lays a line's whole amount in a bowl, if it does not lie there yet.
 * @param opens it is cut or wetted by this: from now on its time counts.
 */
export function layOut(sim: SimState, step: Step, lineId: string, bowlId: VesselId, opens: boolean): void {
  const line = lineOf(sim, step.id, lineId);
  if (line.kind !== 'solid') return;
  const bowl = sim.vessels.get(bowlId);
  if (!bowl) return;
  const sinceMin = opens ? sim.nowMin : null;
  if (bowl.solids.some((s) => s.lineId === lineId)) {
    if (opens)
      setVessel(sim, {
        ...bowl,
        solids: bowl.solids.map((s) => (s.lineId === lineId && s.sinceMin === null ? { ...s, sinceMin } : s)),
      });
    return;
  }
  const row = rowOfLine(sim, step.id, line.id, line.itemId);
  setVessel(sim, { ...bowl, solids: [...bowl.solids, freshSolid(lineId, row, line.massG, sinceMin)] });
}

/** Solids into a vessel: their own water and what clings to them join the liquor, and they cool it. */
export function addSolids(sim: SimState, step: Step, vessel: Vessel, taken: readonly TakenSolid[]): void {
  const added = taken.filter((t) => t.solid.massG > 0);
  if (added.length === 0) return;
  const fresh = added.map((t) => t.solid);
  const cooling = added.reduce((worse, t) => worseCooling(worse, t.cooling), NO_COOLING);
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
    addFlow(sim, () => ({
      stepId: step.id,
      code,
      direction: back ? 'out' : 'in',
      volumeL: ((volumeMl(after) - volumeMl(before)) / 1000) * (back ? -1 : 1),
      comp: back ? scaled(part, -1) : part,
      lineId,
      ...(back ? { from: vessel.id } : { to: vessel.id }),
    }));
  };
  const origins: Origin[] = fresh.flatMap((solid) => {
    const row = rowOfSolid(sim, step.id, solid);
    if (!solid.wet) join('ownWater', water((solid.massG * row.waterPct) / 100), solid.lineId);
    join(solid.wet ? 'held' : 'rinseWater', solid.held, solid.lineId);
    solidsHeatG += remainingMassG(solid, row);
    return originKindsOfSolid(row).map((kind) => ({
      lineId: solid.lineId,
      kind,
      sinceMin: solid.sinceMin ?? sim.nowMin,
      heatedMin: 0,
      below60Min: null,
      ...(row.unknown ? { unknown: true as const } : {}),
    }));
  });
  const liquor = mixLiquors(
    sim,
    vessel.liquor,
    massG(vessel.liquor) + solidsInfo(sim, vessel).massG,
    liquorOf(joined, sim.kitchen.roomC, origins, cooling, null),
    massG(joined) + solidsHeatG,
  );
  setVessel(sim, {
    ...vessel,
    liquor,
    solids: [...vessel.solids, ...fresh.map((s) => solidOf(s, s.extracted, EMPTY, true))],
  });
}

/** Rinse water that clings to washed calyx and leaf, from the kitchen's tap. */
export const rinseWater = (sim: SimState, ml: number): Composition => ({
  ...water(ml * WATER_20_G_PER_ML),
  alkaliMeq: (sim.kitchen.hardnessMeqPerL * ml) / 1000,
  acidG: (-0.064 * sim.kitchen.hardnessMeqPerL * ml) / 1000,
});
