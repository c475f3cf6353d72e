import { areaM2, capacityMl, type Shape } from '../physics/vesselShape.ts';
import { ALLOWED_AT_FIRST } from '../tables/choices.ts';
import { type BurnerKind, burnerEfficiency, POT_MATERIALS, type PotMaterial } from '../tables/constants.ts';
import type { Closure, ContainerForm, ContainerMaterial } from '../tables/containers.ts';
import type { Label } from '../tables/labels.ts';
import { type PlaceKind, placeKindRow } from '../tables/places.ts';
import type { CupWeight, KitchenMeasure, MeasuringKit } from '../units/measures.ts';
import type { UnitSystem } from '../units/units.ts';
import type { JuiceTool } from './types.ts';

export interface Pot {
  id: string;
  name: string;
  /** Inside, cm. */
  diameterCm: number;
  /** Inside, from the bottom to the brim, cm. */
  heightCm: number;
  material: PotMaterial;
  lid: boolean;
  /** Empty weight in grams, if it was weighed. */
  massG: number | null;
}

export interface Burner {
  id: string;
  name: string;
  kind: BurnerKind;
  powerW: number;
}

export interface BottleSize {
  id: string;
  name: string;
  volumeMl: number;
  diameterCm: number;
  material: ContainerMaterial;
  /** Left out: a bottle with a metal lid. */
  form?: ContainerForm;
  closure?: Closure;
  /** How many the kitchen has. */
  count: number;
}

/** A place where bottles, jars and bags stand. */
export interface ShelfPlace {
  id: string;
  name: string;
  kind: PlaceKind;
  /** Only of a freezer or a cellar: others follow the fridge or the room. */
  tempC: number | null;
  /** What may stand there in all, L. */
  litres: number;
  /** The floor that bottles stand on, and the height under what is above, cm. */
  widthCm: number;
  depthCm: number;
  heightCm: number;
}

/** The cook's own rule for a drink, days sealed: a shorter one counts at once, a longer one is shown as such. */
export interface OwnRule {
  recipeId: string;
  sealedDays: number;
}

/** Someone who would get the messages of the simulated outbox. */
export interface MessageTo {
  id: string;
  name: string;
  kinds: readonly MessageKind[];
}
export const MESSAGE_KINDS = ['due', 'look', 'vent', 'defrost', 'warm', 'gift'] as const;
export type MessageKind = (typeof MESSAGE_KINDS)[number];

/** Tools whose size or lack decides how the work goes. */
export interface KitchenTools {
  /** What the blender's jar holds, mL; 0: no blender. */
  blenderMl: number;
  /** The largest bowl for washing, mL. */
  bowlMl: number;
  /** What can receive strained liquor, all vessels together, mL. */
  receiverMl: number;
  juicer: boolean;
}

/** Hours that come again every week; past midnight when they end before they begin. */
export interface AwayHours {
  kind: 'asleep' | 'away';
  /** Days on which they begin, 0 for Sunday. */
  days: readonly number[];
  /** Minutes after midnight. */
  fromMin: number;
  toMin: number;
}

/** What this house has settled about its drinks. */
export interface House {
  /** More free sugars than this in a glass are pointed out, g; null: nothing settled. */
  freeSugarGPerGlass: number | null;
  /** More citrus juice than this is pointed out, mL in a litre, for sensitive stomachs. */
  citrusMlPerL: number | null;
  /** Row of the table of alcohol units. */
  alcoholUnitId: string;
  /** What may be added to move a balance, the preferred sweetener first: item and fruit ids. */
  allows: readonly string[];
}

/** Everything about this kitchen that the model asks for. */
export interface Kitchen {
  pots: Pot[];
  burners: Burner[];
  bottles: BottleSize[];
  measures: KitchenMeasure[];
  cupWeights: CupWeight[];
  preferredMeasureId: string | null;
  units: UnitSystem;
  fridgeC: number;
  /** Litres that the fridge has free for a pot or bottles. */
  fridgeFreeL: number;
  roomC: number;
  /** Cold water from the tap, °C. */
  tapC: number;
  altitudeM: number;
  /** Water hardness as bicarbonate, meq/L: soft 0.5, medium 2, hard 5. */
  hardnessMeqPerL: number;
  /** IANA time zone. */
  zone: string;
  /** A glass, mL. */
  servingMl: number;
  tools: KitchenTools;
  /** When nobody stands at the stove: asleep, at work. */
  away: readonly AwayHours[];
  house: House;
  /** Liquids and sweeteners as their packets have them. */
  labels: readonly Label[];
  places: readonly ShelfPlace[];
  ownRules: readonly OwnRule[];
  messageTo: readonly MessageTo[];
}

/** A place of a kind with its usual measures. */
export function usualPlace(kind: PlaceKind, id: string, name: string): ShelfPlace {
  const row = placeKindRow(kind);
  return { id, name, kind, tempC: row.follows === 'own' ? row.usualC : null, ...row.usual };
}

/** What every kitchen begins with. The ids of the fridge and the table are those of older logs. */
export const USUAL_PLACES: readonly ShelfPlace[] = [
  usualPlace('fridge', 'fridge', 'Fridge shelf'),
  usualPlace('door', 'door', 'Fridge door'),
  usualPlace('freezer', 'freezer', 'Freezer'),
  usualPlace('counter', 'counter', 'Table'),
];

export const EMPTY_KITCHEN: Kitchen = {
  pots: [],
  burners: [],
  bottles: [],
  measures: [],
  cupWeights: [],
  preferredMeasureId: null,
  units: 'metric',
  fridgeC: 4,
  fridgeFreeL: 20,
  roomC: 21,
  tapC: 12,
  altitudeM: 0,
  hardnessMeqPerL: 2,
  zone: 'UTC',
  servingMl: 250,
  tools: { blenderMl: 1500, bowlMl: 5000, receiverMl: 15_000, juicer: false },
  away: [],
  house: {
    freeSugarGPerGlass: null,
    citrusMlPerL: null,
    alcoholUnitId: 'g10',
    allows: ALLOWED_AT_FIRST,
  },
  labels: [],
  places: USUAL_PLACES,
  ownRules: [],
  messageTo: [],
};

/** The best way to juice in a kitchen. */
export const juiceToolOf = (kitchen: Pick<Kitchen, 'tools'>): JuiceTool =>
  kitchen.tools.juicer ? 'juicer' : kitchen.tools.blenderMl > 0 ? 'blender' : 'hand';

export const potShape = (pot: Pot): Shape => ({
  diameterM: pot.diameterCm / 100,
  heightM: pot.heightCm / 100,
});
export const potCapacityMl = (pot: Pot): number => capacityMl(potShape(pot));

/** Weight of an empty pot: as weighed, else wall and base by its material. */
export function potMassG(pot: Pot): number {
  if (pot.massG !== null) return pot.massG;
  const { diameterM, heightM } = potShape(pot);
  return (areaM2(diameterM) + Math.PI * diameterM * heightM) * POT_MATERIALS[pot.material].kgPerM2 * 1000;
}

/** Power of a burner that reaches a pot, W. */
export const powerIntoPotW = (burner: Burner, pot: Pick<Pot, 'diameterCm'>): number =>
  burner.powerW * burnerEfficiency(burner.kind, burner.powerW, pot.diameterCm / 100);

export function measuringKit(kitchen: Kitchen): MeasuringKit {
  return {
    system: kitchen.units,
    measures: kitchen.measures,
    cupWeights: kitchen.cupWeights,
    ...(kitchen.preferredMeasureId ? { preferredMeasureId: kitchen.preferredMeasureId } : {}),
  };
}

/** A kitchen as glasses are counted for one drink: a shot by its own small glass, everything else by the house's. */
export const withServing = (kitchen: Kitchen, recipe: { servingMl?: number | undefined }): Kitchen =>
  recipe.servingMl === undefined || recipe.servingMl === kitchen.servingMl
    ? kitchen
    : { ...kitchen, servingMl: recipe.servingMl };
