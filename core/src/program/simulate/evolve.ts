import { add, type Composition, copyOf, EMPTY, scaled, volumeMl, water } from '../../liquor/composition.ts';
import { boilOff } from '../../physics/boilOff.ts';
import { ALL_DRAWN, drawnAfter, redLeft } from '../../physics/extraction.ts';
import { lossWPerK, type PathEnd, type Place, type Stretch, temperaturePath } from '../../physics/heat.ts';
import { ethanolLeftG } from '../../physics/vapour.ts';
import { areaM2 } from '../../physics/vesselShape.ts';
import { type BoilLevel, ICE_BATH, type Lid } from '../../tables/constants.ts';
import type { IngredientRow, MarkerId } from '../../tables/types.ts';
import { factorOf } from '../model/factors.ts';
import type { CurvePoint } from '../model/simulation.ts';
import type { Vessel } from '../model/vessel.ts';
import { isColdPlace, olderCooling, olderOrigins, warmMinutes } from './exposure.ts';
import {
  addFlow,
  capacityOfContents,
  contentsLevelM,
  drawableIn,
  liquorOf,
  potIdOf,
  rowOfSolid,
  type SimState,
  StepStop,
  setVessel,
  solidOf,
  widthM,
} from './state.ts';
import { unsafeMinutes } from './unsafe.ts';

/** Liquor in trays is 4 cm deep. */
const TRAY_DEPTH_M = 0.04;

export function ambientC(sim: SimState, place: Place): number {
  switch (place) {
    case 'fridge':
      return sim.kitchen.fridgeC;
    case 'iceBath':
      return ICE_BATH.tempC;
    case 'stove':
    case 'counter':
    case 'trays':
      return sim.kitchen.roomC;
  }
}

/** What a vessel lives through in a stretch of time, gathered for the trace. */
export interface Recorder {
  warmMin: number;
  /** Null when only the outcome is wanted. */
  curve: CurvePoint[] | null;
  /** Keep the strength along the curve too. */
  strength: boolean;
}

export const noRecorder = (keepCurve: boolean, strength = false): Recorder => ({
  warmMin: 0,
  curve: keepCurve ? [] : null,
  strength,
});

/** Where a vessel's heat comes from and goes to. */
export interface Surroundings {
  place: Place;
  lid: Lid;
  powerW: number;
}

/** The temperature path of a vessel as it stands. */
export function pathOf(
  sim: SimState,
  vessel: Vessel,
  around: Surroundings,
  until: { targetC: number } | { minutes: number },
): { stretches: Stretch[]; minutes: number; endC: number; end: PathEnd } {
  let diameterM = widthM(sim, vessel);
  let levelMetres = contentsLevelM(sim, vessel);
  if (around.place === 'trays') {
    const surface = volumeMl(vessel.liquor) / 1e6 / TRAY_DEPTH_M;
    diameterM = Math.sqrt((4 * surface) / Math.PI);
    levelMetres = TRAY_DEPTH_M;
  }
  return temperaturePath(
    vessel.liquor.tempC,
    {
      capacityJPerK: capacityOfContents(sim, vessel),
      lossWPerK:
        lossWPerK(around.place, diameterM, levelMetres) * factorOf(sim.factors, 'heatLoss', around.place),
      ambientC: ambientC(sim, around.place),
      powerW: around.powerW,
      surfaceM2: areaM2(diameterM),
      lid: around.lid,
    },
    until,
  );
}

/** Stretches of the same temperatures over another time: the pot's own pace instead of the predicted one. */
export const atPace = (stretches: readonly Stretch[], factor: number): Stretch[] =>
  stretches.map((s) => ({ ...s, minutes: s.minutes * factor, steamL: s.steamL * factor }));

/** Markers in a liquor that is being drawn, g/L: what was in it, what has come out since, in what the steam has left. */
function strengthOf(
  vessel: Vessel,
  rows: readonly IngredientRow[],
  drawn: readonly number[],
  steamL: number,
): Partial<Record<MarkerId, number>> {
  const grams: Partial<Record<MarkerId, number>> = { ...vessel.liquor.markerG };
  for (const [i, row] of rows.entries()) {
    const solid = vessel.solids[i]!;
    grams[row.marker] = (grams[row.marker] ?? 0) + solid.massG * row.potency * (drawn[i]! - solid.extracted);
  }
  const litres = volumeMl(vessel.liquor) / 1000 - steamL;
  for (const id in grams) grams[id as MarkerId] = grams[id as MarkerId]! / litres;
  return grams;
}

/** Long stretches in pieces, so that a curve of the strength bends where it should. */
const finer = (stretches: readonly Stretch[]): Stretch[] =>
  stretches.flatMap((s) => {
    const parts = Math.min(24, Math.ceil(s.minutes / 4));
    return Array.from({ length: parts }, (_, i) => ({
      minutes: s.minutes / parts,
      fromC: s.fromC + ((s.toC - s.fromC) * i) / parts,
      toC: s.fromC + ((s.toC - s.fromC) * (i + 1)) / parts,
      steamL: s.steamL / parts,
    }));
  });

/** So much more drawn, and a reading of before says nothing any more. */
const READ_CANCELLED_BY = 1e-4;

/** Lets a vessel live along a temperature path: solids are drawn, red fades, water goes as steam, clocks run. */
export function advanceVessel(
  sim: SimState,
  stepId: string,
  vessel: Vessel,
  planned: readonly Stretch[],
  place: Place,
  lived: Recorder | null,
): Vessel {
  if (planned.length === 0) return vessel;
  const stretches = lived?.strength ? finer(planned) : planned;
  const before = vessel.liquor;
  const rows: IngredientRow[] = vessel.solids.map((s) => rowOfSolid(sim, stepId, s));
  const drawn = vessel.solids.map((s) => s.extracted);
  const isCalyx = rows.map((r) => r.marker === 'calyx');
  const wet = volumeMl(before) > 0;
  let redG = before.markerG.red ?? 0;
  let redDrawnG = 0;
  let steamL = 0;
  let atMin = sim.nowMin;
  for (const s of stretches) {
    const middleC = (s.fromC + s.toC) / 2;
    if (wet) {
      for (let i = 0; i < rows.length; i++) {
        // What is drawn already stays drawn: near the end there is nothing left to work out.
        if (drawn[i]! > ALL_DRAWN) continue;
        const row = rows[i]!;
        const next = drawnAfter(drawn[i]!, row.rate100PerMin, row.activationKJ, middleC, s.minutes);
        if (isCalyx[i]) {
          const fresh = vessel.solids[i]!.massG * row.potency * (next - drawn[i]!);
          redG += fresh;
          redDrawnG += fresh;
        }
        drawn[i] = next;
      }
    }
    if (redG > 0) redG *= redLeft(middleC, s.minutes);
    steamL += s.steamL;
    atMin += s.minutes;
    if (lived) {
      lived.curve?.push(
        lived.strength
          ? { atMin, tempC: s.toC, gPerL: strengthOf(vessel, rows, drawn, steamL) }
          : { atMin, tempC: s.toC },
      );
      if (place !== 'fridge' && place !== 'iceBath') lived.warmMin += warmMinutes(s);
    }
  }

  let c: Composition = before;
  if (wet) {
    // One sum for all of them: copies are what costs most.
    let sum: Composition | null = null;
    for (let i = 0; i < rows.length; i++) {
      const solid = vessel.solids[i]!;
      const delta = drawn[i]! - solid.extracted;
      if (delta <= 0) continue;
      const all = drawableIn(sim, rows[i]!, solid.massG);
      sum ??= copyOf(before);
      const hadMl = sim.flows ? volumeMl(sum) : 0;
      add(sum, all, delta);
      const hasMl = sim.flows ? volumeMl(sum) : 0;
      addFlow(sim, () => ({
        stepId,
        code: 'drawn',
        direction: 'in',
        volumeL: (hasMl - hadMl) / 1000,
        comp: scaled(all, delta),
        lineId: solid.lineId,
        to: vessel.id,
      }));
    }
    c = sum ?? before;
  }
  const steamG = steamL * 1000;
  if (steamG > 0 && wet) {
    if (steamG >= c.waterG) throw new StepStop({ kind: 'boiledDry', stepId, vesselId: vessel.id });
    const before = c;
    const ethanolG = ethanolLeftG(c.ethanolG, c.waterG, steamG);
    const after = { ...c, waterG: c.waterG - steamG, ethanolG };
    addFlow(sim, () => ({
      stepId,
      code: 'steam',
      direction: 'out',
      volumeL: (volumeMl(before) - volumeMl(after)) / 1000,
      comp: { ...water(steamG), ethanolG: before.ethanolG - ethanolG },
      from: vessel.id,
    }));
    c = after;
  }
  const fadedG = (before.markerG.red ?? 0) + redDrawnG - redG;
  if (fadedG > 0) {
    addFlow(sim, () => ({
      stepId,
      code: 'faded',
      direction: 'out',
      volumeL: 0,
      comp: { ...EMPTY, markerG: { red: fadedG } },
      from: vessel.id,
    }));
    c = { ...c, markerG: { ...c.markerG, red: redG } };
  }
  // What goes on being drawn is another drink than the one that was read; so is what draws as nobody knows.
  const readHolds = vessel.solids.every(
    (s, i) => rows[i]!.rate100PerMin !== null && drawn[i]! - s.extracted < READ_CANCELLED_BY,
  );
  const read = before.read && readHolds ? before.read : null;
  const coldPlace = isColdPlace(place, sim.kitchen.fridgeC);
  return {
    id: vessel.id,
    lid: vessel.lid,
    place: vessel.place,
    liquor: liquorOf(
      c,
      stretches.at(-1)!.toC,
      olderOrigins(before.origins, stretches, sim.nowMin),
      olderCooling(
        before.cooling,
        stretches,
        coldPlace,
        coldPlace ? 0 : unsafeMinutes(vessel, rows, stretches, read),
        sim.kitchen.roomC,
      ),
      read,
    ),
    solids: vessel.solids.map((s, i) => (drawn[i] === s.extracted ? s : solidOf(s, drawn[i]!, s.held))),
  };
}

/** Everything but `busy` stands where it stands for a while: pots cool, red fades. */
export function advanceOthers(
  sim: SimState,
  stepId: string,
  busy: ReadonlySet<string>,
  minutes: number,
): void {
  if (minutes <= 0) return;
  for (const vessel of sim.vessels.values()) {
    if (busy.has(vessel.id)) continue;
    const { liquor, place, lid } = vessel;
    const wet = volumeMl(liquor) >= 1;
    if (!wet && liquor.origins.length === 0) continue;
    // Drained solids have the warmth of their place.
    const stretches = wet
      ? pathOf(sim, vessel, { place, lid, powerW: 0 }, { minutes }).stretches
      : [{ minutes, fromC: liquor.tempC, toC: ambientC(sim, place), steamL: 0 }];
    setVessel(sim, advanceVessel(sim, stepId, vessel, stretches, vessel.place, null));
  }
}

/** A boil of so many minutes: constant temperature, steam by the smaller of two bounds. */
export function boilPath(
  sim: SimState,
  vessel: Vessel,
  boil: { level: BoilLevel; lid: Lid; powerW: number; boilC: number; burnerId: string },
  minutes: number,
): { stretches: Stretch[]; rate: ReturnType<typeof boilOff>; litresPerMin: number } {
  const diameterM = widthM(sim, vessel);
  const rate = boilOff({
    level: boil.level,
    lid: boil.lid,
    powerW: boil.powerW,
    lossW:
      lossWPerK('stove', diameterM, contentsLevelM(sim, vessel)) *
      factorOf(sim.factors, 'heatLoss', 'stove') *
      (boil.boilC - sim.kitchen.roomC),
    surfaceM2: areaM2(diameterM),
  });
  const factor =
    factorOf(sim.factors, 'boilOff', potIdOf(sim, vessel.id) ?? undefined) *
    factorOf(sim.factors, 'boilRing', boil.burnerId) *
    factorOf(sim.factors, 'boilLevel', boil.level);
  const litresPerMin = (rate.litresPerH * factor) / 60;
  return {
    rate,
    litresPerMin,
    stretches:
      minutes > 0 ? [{ minutes, fromC: boil.boilC, toC: boil.boilC, steamL: litresPerMin * minutes }] : [],
  };
}
