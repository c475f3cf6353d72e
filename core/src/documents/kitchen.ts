import * as v from 'valibot';
import { ALCOHOL_UNIT_ROWS } from '../tables/alcoholUnits.ts';
import { ALLOWED_AT_FIRST } from '../tables/choices.ts';
import { BURNER_KINDS, POT_MATERIAL_IDS } from '../tables/constants.ts';
import { CLOSURES, CONTAINER_FORMS, CONTAINER_MATERIALS } from '../tables/containers.ts';
import { GAS_UNITS } from '../tables/energy.ts';
import { labelSchema } from '../tables/labels.ts';
import { PLACE_KINDS, type PlaceKind, placeKindRow } from '../tables/places.ts';
import { between, id, list, name as nameOf, paragraphs, whole } from '../units/fields.ts';
import { cupWeightSchema, measureSchema } from '../units/measures.ts';
import { DEGREES, UNIT_SYSTEMS } from '../units/units.ts';
import { learntSchema } from './learning.ts';

const name = nameOf(60);

export const potSchema = v.strictObject({
  id,
  name,
  /** Inside, cm. */
  diameterCm: between(8, 80),
  /** Inside, from the bottom to the brim, cm. */
  heightCm: between(4, 80),
  material: v.picklist(POT_MATERIAL_IDS),
  lid: v.boolean(),
  /** Empty weight in grams, if it was weighed. */
  massG: v.nullable(between(50, 60_000)),
  /** Only its litres were told: width and height are those of a usual pot. Left out: measured. */
  shapeGuessed: v.optional(v.boolean()),
});
export type Pot = v.InferOutput<typeof potSchema>;

export const burnerSchema = v.strictObject({
  id,
  name,
  kind: v.picklist(BURNER_KINDS),
  powerW: between(200, 15_000),
});
export type Burner = v.InferOutput<typeof burnerSchema>;

export const bottleSchema = v.strictObject({
  id,
  name,
  volumeMl: between(20, 30_000),
  diameterCm: between(2, 40),
  material: v.picklist(CONTAINER_MATERIALS),
  /** Left out: a bottle with a metal lid. */
  form: v.optional(v.picklist(CONTAINER_FORMS)),
  closure: v.optional(v.picklist(CLOSURES)),
  /** How many the kitchen has. */
  count: whole(0, 500),
});
export type BottleSize = v.InferOutput<typeof bottleSchema>;

/** A place where bottles, jars and bags stand. */
export const placeSchema = v.strictObject({
  id,
  name,
  kind: v.picklist(PLACE_KINDS),
  /** Only of a freezer or a cellar: others follow the fridge or the room. */
  tempC: v.nullable(between(-40, 40)),
  /** What may stand there in all, L. */
  litres: between(0.5, 2000),
  /** The floor that bottles stand on, and the height under what is above, cm. */
  widthCm: between(3, 500),
  depthCm: between(3, 200),
  heightCm: between(3, 300),
});
export type ShelfPlace = v.InferOutput<typeof placeSchema>;

/** The cook's own rule for a drink, days sealed: a shorter one counts at once, a longer one is shown as such. */
const ownRuleSchema = v.strictObject({ recipeId: id, sealedDays: whole(0, 365) });
export type OwnRule = v.InferOutput<typeof ownRuleSchema>;

/** What this cook thinks of something that sweetens, in her own words. */
const verdictSchema = v.strictObject({ itemId: id, words: paragraphs(300) });
export type Verdict = v.InferOutput<typeof verdictSchema>;

export const MESSAGE_KINDS = ['due', 'look', 'vent', 'defrost', 'warm', 'gift'] as const;
export type MessageKind = (typeof MESSAGE_KINDS)[number];

/** Someone who would get the messages of the simulated outbox. */
const messageToSchema = v.strictObject({
  id,
  name,
  kinds: list(v.picklist(MESSAGE_KINDS), MESSAGE_KINDS.length),
});
export type MessageTo = v.InferOutput<typeof messageToSchema>;

/** Tools whose size or lack decides how the work goes. */
const toolsSchema = v.strictObject({
  /** What the blender's jar holds, mL; 0: no blender. */
  blenderMl: between(0, 10_000),
  /** The largest bowl for washing, mL. */
  bowlMl: between(200, 100_000),
  /** What can receive strained liquor, all vessels together, mL. */
  receiverMl: between(500, 400_000),
  juicer: v.boolean(),
});
export type KitchenTools = v.InferOutput<typeof toolsSchema>;

const LAST_MINUTE = 24 * 60 - 1;
/** Hours that come again every week; past midnight when they end before they begin. */
const awaySchema = v.strictObject({
  kind: v.picklist(['asleep', 'away']),
  /** Days on which they begin, 0 for Sunday. */
  days: list(whole(0, 6), 7),
  /** Minutes after midnight. */
  fromMin: whole(0, LAST_MINUTE),
  toMin: whole(0, LAST_MINUTE),
});
export type AwayHours = v.InferOutput<typeof awaySchema>;

/** What this house has settled about its drinks. */
const houseSchema = v.strictObject({
  /** More free sugars than this in a glass are pointed out, g; null: nothing settled. */
  freeSugarGPerGlass: v.nullable(between(1, 200)),
  /** More citrus juice than this is pointed out, mL in a litre, for sensitive stomachs. */
  citrusMlPerL: v.nullable(between(1, 500)),
  /** Row of the table of alcohol units. */
  alcoholUnitId: v.picklist(ALCOHOL_UNIT_ROWS.map((row) => row.id)),
  /** What may be added to move a balance, the preferred sweetener first: item and fruit ids. */
  allows: list(id, 40),
});
export type House = v.InferOutput<typeof houseSchema>;

const zone = v.pipe(
  v.string(),
  v.maxLength(60),
  v.check((value) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: value });
      return true;
    } catch {
      return false;
    }
  }, 'zone'),
);

const unique = <S extends v.GenericSchema<unknown, { id: string }>>(row: S, max: number) =>
  v.pipe(
    v.array(row),
    v.maxLength(max, `between:0:${max}`),
    v.check((rows) => new Set(rows.map((r) => r.id)).size === rows.length, 'unique'),
    v.readonly(),
  );

/** A place of a kind with its usual measures. */
export function usualPlace(kind: PlaceKind, placeId: string, placeName: string): ShelfPlace {
  const row = placeKindRow(kind);
  const tempC = row.follows === 'own' ? row.usualC : null;
  return { id: placeId, name: placeName, kind, tempC, ...row.usual };
}

/** What every kitchen begins with. The ids of the fridge and the table are those of older logs. */
export const USUAL_PLACES: readonly ShelfPlace[] = [
  usualPlace('fridge', 'fridge', 'Fridge shelf'),
  usualPlace('door', 'door', 'Fridge door'),
  usualPlace('freezer', 'freezer', 'Freezer'),
  usualPlace('counter', 'counter', 'Table'),
];

const USUAL_TOOLS: KitchenTools = { blenderMl: 1500, bowlMl: 5000, receiverMl: 15_000, juicer: false };
const USUAL_HOUSE: House = {
  freeSugarGPerGlass: null,
  citrusMlPerL: null,
  alcoholUnitId: 'g10',
  allows: [...ALLOWED_AT_FIRST],
};

/** English for now. */
export const LANGUAGES = ['en'] as const;
export const DATE_ORDERS = ['dayFirst', 'monthFirst'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];
export const FIRST_DAYS = [1, 0, 6] as const;
export type FirstDay = (typeof FIRST_DAYS)[number];

/** What heat costs, in the money that prices are noted in; null: not said. */
const tariffSchema = v.strictObject({
  electricityPerKWh: v.nullable(between(0, 10_000)),
  gas: v.nullable(v.strictObject({ price: between(0, 100_000), per: v.picklist(GAS_UNITS) })),
});
export type Tariff = v.InferOutput<typeof tariffSchema>;

/** Everything about this kitchen that the model asks for. What an older one was not asked takes its usual value. */
export const kitchenSchema = v.strictObject({
  pots: unique(potSchema, 40),
  burners: unique(burnerSchema, 20),
  bottles: unique(bottleSchema, 40),
  measures: unique(measureSchema, 40),
  cupWeights: list(cupWeightSchema, 200),
  preferredMeasureId: v.nullable(id),
  units: v.picklist(UNIT_SYSTEMS),
  /** How heat is written; kitchens before this was asked read Celsius. */
  degrees: v.optional(v.picklist(DEGREES), 'celsius'),
  fridgeC: between(-1, 15),
  /** Litres that the fridge has free for a pot or bottles. */
  fridgeFreeL: between(0.5, 400),
  roomC: between(5, 45),
  /** Cold water from the tap, °C. */
  tapC: between(1, 35),
  altitudeM: between(-430, 5000),
  /** Water hardness as bicarbonate, meq/L: soft 0.5, medium 2, hard 5. */
  hardnessMeqPerL: between(0, 15),
  /** IANA time zone. */
  zone,
  /** A glass, mL. */
  servingMl: between(20, 1000),
  tools: v.optional(toolsSchema, () => ({ ...USUAL_TOOLS })),
  /** When nobody stands at the stove: asleep, at work. */
  away: v.optional(list(awaySchema, 12), () => []),
  house: v.optional(houseSchema, () => ({ ...USUAL_HOUSE })),
  /** Liquids and sweeteners as their packets have them. */
  labels: v.optional(list(labelSchema, 100), () => []),
  places: v.optional(
    v.pipe(
      unique(placeSchema, 30),
      v.check((rows) => rows.some((r) => r.kind === 'fridge'), 'aFridge'),
      v.check((rows) => rows.some((r) => r.kind === 'counter'), 'aTable'),
    ),
    () => [...USUAL_PLACES],
  ),
  tariff: v.optional(tariffSchema, () => ({ electricityPerKWh: null, gas: null })),
  ownRules: v.optional(list(ownRuleSchema, 200), () => []),
  verdicts: v.optional(list(verdictSchema, 200), () => []),
  messageTo: v.optional(unique(messageToSchema, 20), () => []),
  /** The language of the screens, how its dates are written, and the day on which a week begins (0: Sunday). */
  language: v.optional(v.picklist(LANGUAGES), 'en'),
  dateOrder: v.optional(v.picklist(DATE_ORDERS), 'dayFirst'),
  firstDay: v.optional(v.picklist(FIRST_DAYS), 1),
  /** The server's own: what is sent with a kitchen is not kept. */
  learnt: v.optional(learntSchema),
});
export type Kitchen = v.InferOutput<typeof kitchenSchema>;

/** A kitchen that nobody has said anything of: what the schema has a usual value for is not repeated here. */
export const EMPTY_KITCHEN: Kitchen = v.parse(kitchenSchema, {
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
} satisfies v.InferInput<typeof kitchenSchema>);
