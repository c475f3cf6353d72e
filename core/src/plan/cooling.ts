import { heatCapacityJPerK, lossWPerK, type Place, temperaturePath } from '../physics/heat.ts';
import { areaM2, levelM } from '../physics/vesselShape.ts';
import { FUSION_J_PER_G, ICE_BATH, STEEL_HEAT_SHARE } from '../tables/constants.ts';

/** Ways to cool what stands there, from the slowest a cook knows to the fastest. */
export const COOLING_WAYS = [
  'counterCovered',
  'counterOpen',
  'fridge',
  'twoPots',
  'trays',
  'iceStill',
  'iceStirred',
] as const;
export type CoolingWayId = (typeof COOLING_WAYS)[number];

export interface CoolingWay {
  id: CoolingWayId;
  /** Minutes from now until 21 °C, the end of the first stage; null: not that way. */
  to21Min: number | null;
  /** Minutes from now until it is as cold as asked; null: not that way. */
  toColdMin: number | null;
  /** Ice that it takes, kg. */
  iceKg: number | null;
}

export interface CoolingInput {
  massG: number;
  solidsG: number;
  /** Liquor and solids, mL. */
  contentsMl: number;
  tempC: number;
  coldC: number;
  diameterM: number;
  vesselG: number;
  roomC: number;
  fridgeC: number;
}

const FIRST_STAGE_C = 21;
const TRAY_DEPTH_M = 0.04;

interface Setting {
  place: Place;
  lid: 'on' | 'off';
  parts: number;
  ambientC: number;
  /** Share of the heat transfer that this way has. */
  share: number;
}

function settingOf(id: CoolingWayId, { roomC, fridgeC }: CoolingInput): Setting {
  const counter: Setting = { place: 'counter', lid: 'off', parts: 1, ambientC: roomC, share: 1 };
  switch (id) {
    case 'counterCovered':
      return { ...counter, lid: 'on' };
    case 'counterOpen':
      return counter;
    case 'twoPots':
      return { ...counter, parts: 2 };
    case 'trays':
      return { ...counter, place: 'trays' };
    case 'fridge':
      return { ...counter, place: 'fridge', lid: 'on', ambientC: fridgeC };
    case 'iceStill':
      return { ...counter, place: 'iceBath', ambientC: ICE_BATH.tempC, share: ICE_BATH.stillShare };
    case 'iceStirred':
      return { ...counter, place: 'iceBath', ambientC: ICE_BATH.tempC };
  }
}

/** How long each way would take from now on: the same physics as the batch's own. */
export function coolingWays(input: CoolingInput): CoolingWay[] {
  const { massG, solidsG, contentsMl, tempC, coldC, vesselG } = input;
  return COOLING_WAYS.map((id) => {
    const { place, lid, parts, ambientC, share } = settingOf(id, input);
    const ml = contentsMl / parts;
    const wide = place === 'trays';
    const surfaceM2 = wide ? ml / 1e6 / TRAY_DEPTH_M : areaM2(input.diameterM);
    const diameterM = wide ? Math.sqrt((4 * surfaceM2) / Math.PI) : input.diameterM;
    const level = wide ? TRAY_DEPTH_M : levelM(ml, diameterM);
    const capacityJPerK = heatCapacityJPerK(
      massG / parts,
      solidsG / parts,
      wide ? 0 : vesselG,
      STEEL_HEAT_SHARE,
    );
    const setting = {
      capacityJPerK,
      lossWPerK: lossWPerK(place, diameterM, level) * share,
      ambientC,
      powerW: 0,
      surfaceM2,
      lid,
    };
    const minutesTo = (targetC: number): number | null => {
      if (tempC <= targetC) return 0;
      const path = temperaturePath(tempC, setting, { targetC });
      return path.end === 'reached' ? path.minutes : null;
    };
    const ice = place === 'iceBath';
    return {
      id,
      to21Min: minutesTo(FIRST_STAGE_C),
      toColdMin: minutesTo(coldC),
      iceKg: ice ? (capacityJPerK * Math.max(0, tempC - coldC)) / FUSION_J_PER_G / 1000 : null,
    };
  });
}
