import * as v from 'valibot';
import { ALCOHOL_UNIT_ROWS } from '../tables/alcoholUnits.ts';
import { CLOSURES, CONTAINER_FORMS, CONTAINER_MATERIALS } from '../tables/containers.ts';
import { PLACE_KINDS } from '../tables/places.ts';
import { between, id, name as nameOf, whole } from '../units/fields.ts';
import { EMPTY_KITCHEN, type Kitchen, MESSAGE_KINDS, USUAL_PLACES } from './kitchen.ts';

const name = nameOf(60);

export const potSchema = v.strictObject({
  id,
  name,
  diameterCm: between(8, 80),
  heightCm: between(4, 80),
  material: v.picklist(['stainless', 'enamel', 'aluminium', 'castIron', 'copper', 'glass']),
  lid: v.boolean(),
  massG: v.nullable(between(50, 60_000)),
});
export const burnerSchema = v.strictObject({
  id,
  name,
  kind: v.picklist(['gas', 'electric', 'induction']),
  powerW: between(200, 15_000),
});
export const bottleSchema = v.strictObject({
  id,
  name,
  volumeMl: between(20, 30_000),
  diameterCm: between(2, 40),
  material: v.picklist(CONTAINER_MATERIALS),
  form: v.optional(v.picklist(CONTAINER_FORMS)),
  closure: v.optional(v.picklist(CLOSURES)),
  count: whole(0, 500),
});
export const placeSchema = v.strictObject({
  id,
  name,
  kind: v.picklist(PLACE_KINDS),
  tempC: v.nullable(between(-40, 40)),
  litres: between(0.5, 2000),
  widthCm: between(3, 500),
  depthCm: between(3, 200),
  heightCm: between(3, 300),
});
export const measureSchema = v.strictObject({ id, name, volumeMl: between(1, 10_000) });
export const cupWeightSchema = v.strictObject({
  ingredientId: id,
  measureId: id,
  massG: between(0.1, 10_000),
});

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

const uniqueIds = <T extends { id: string }>(rows: T[]): boolean =>
  new Set(rows.map((r) => r.id)).size === rows.length;
const unique = <S extends v.GenericSchema<unknown, { id: string }>>(schema: S, max: number) =>
  v.pipe(
    v.array(schema),
    v.maxLength(max),
    v.check((rows) => uniqueIds(rows as { id: string }[]), 'unique'),
  );

export const kitchenSchema = v.strictObject({
  pots: unique(potSchema, 40),
  burners: unique(burnerSchema, 20),
  bottles: unique(bottleSchema, 40),
  measures: unique(measureSchema, 40),
  cupWeights: v.pipe(v.array(cupWeightSchema), v.maxLength(200)),
  preferredMeasureId: v.nullable(id),
  units: v.picklist(['metric', 'us']),
  fridgeC: between(-1, 15),
  fridgeFreeL: between(0.5, 400),
  roomC: between(5, 45),
  tapC: between(1, 35),
  altitudeM: between(-430, 5000),
  hardnessMeqPerL: between(0, 15),
  zone,
  servingMl: between(20, 1000),
  away: v.optional(
    v.pipe(
      v.array(
        v.strictObject({
          kind: v.picklist(['asleep', 'away']),
          days: v.pipe(v.array(whole(0, 6)), v.maxLength(7)),
          fromMin: whole(0, 1439),
          toMin: whole(0, 1439),
        }),
      ),
      v.maxLength(12),
    ),
    () => [],
  ),
  house: v.optional(
    v.strictObject({
      freeSugarGPerGlass: v.nullable(between(1, 200)),
      citrusMlPerL: v.nullable(between(1, 500)),
      alcoholUnitId: v.picklist(ALCOHOL_UNIT_ROWS.map((row) => row.id)),
      allows: v.pipe(v.array(id), v.maxLength(40)),
    }),
    () => ({ ...EMPTY_KITCHEN.house }),
  ),
  labels: v.optional(
    v.pipe(
      v.array(
        v.strictObject({
          id,
          name,
          like: id,
          sugarPer100: v.nullable(between(0, 100)),
          brix: v.nullable(between(0, 85)),
          taGPerL: v.nullable(between(-1, 150)),
          abvPct: v.nullable(between(0, 96)),
          sweetened: v.boolean(),
        }),
      ),
      v.maxLength(100),
    ),
    () => [],
  ),
  places: v.optional(
    v.pipe(
      unique(placeSchema, 30),
      v.check((rows) => rows.some((r) => r.kind === 'fridge'), 'aFridge'),
      v.check((rows) => rows.some((r) => r.kind === 'counter'), 'aTable'),
    ),
    () => [...USUAL_PLACES],
  ),
  ownRules: v.optional(
    v.pipe(v.array(v.strictObject({ recipeId: id, sealedDays: whole(0, 365) })), v.maxLength(200)),
    () => [],
  ),
  messageTo: v.optional(
    unique(
      v.strictObject({
        id,
        name,
        kinds: v.pipe(v.array(v.picklist(MESSAGE_KINDS)), v.maxLength(MESSAGE_KINDS.length)),
      }),
      20,
    ),
    () => [],
  ),
  tools: v.optional(
    v.strictObject({
      blenderMl: between(0, 10_000),
      bowlMl: between(200, 100_000),
      receiverMl: between(500, 400_000),
      juicer: v.boolean(),
    }),
    () => ({ ...EMPTY_KITCHEN.tools }),
  ),
}) satisfies v.GenericSchema<unknown, Kitchen>;
