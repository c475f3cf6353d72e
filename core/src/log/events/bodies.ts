import * as v from 'valibot';
import { LOT_KINDS } from '../../documents/lot.ts';
import { CLOSURES, CONTAINER_FORMS, CONTAINER_MATERIALS } from '../../tables/containers.ts';
import { LEFTOVER_KINDS } from '../../tables/leftovers.ts';
import { between, code, id, list, name, whole, words } from '../../units/fields.ts';

/** Bodies that the log of a batch hands on as they are; all others stand with their rows. */

export const readingSchema = v.variant('what', [
  v.strictObject({ what: v.literal('volume'), volumeL: between(0, 400), atC: between(-5, 105) }),
  v.strictObject({ what: v.literal('level'), levelCm: between(0, 100), atC: between(-5, 105) }),
  v.strictObject({ what: v.literal('mass'), massKg: between(0.001, 500), withVessel: v.boolean() }),
  v.strictObject({ what: v.literal('temperature'), tempC: between(-25, 105) }),
  v.strictObject({ what: v.literal('brix'), brix: between(0, 85) }),
  v.strictObject({ what: v.literal('red'), redGPerL: between(0.1, 2000), thinned: whole(0, 99) }),
  v.strictObject({
    what: v.literal('pH'),
    pH: between(0.5, 13),
    by: v.picklist(['meter', 'strip']),
    /** Older entries do not say: then the reading is no evidence. */
    calibrated: v.optional(v.boolean()),
    thinned: v.optional(v.boolean()),
  }),
]);

export const measured = v.strictObject({ stepId: id, vesselId: id, reading: readingSchema });

export const lineKind = v.picklist(['solid', 'liquid', 'sweetener']);
export const added = v.strictObject({
  stepId: id,
  vesselId: id,
  lineKind,
  itemId: id,
  lineId: id,
  massG: between(0, 200_000),
});

export const removed = v.strictObject({
  stepId: id,
  vesselId: id,
  volumeL: between(0, 400),
  why: v.picklist(['spill', 'taste', 'other']),
});

export const flame = v.strictObject({ stepId: id, on: v.boolean() });

export const swapped = v.strictObject({ lineId: id, itemId: id, massG: between(0, 200_000) });

export const strainedEarly = v.strictObject({
  stepId: id,
  /** Water for a second boil of what is left in the cloth, L; 0: none. */
  waterL: between(0, 100),
  boilMin: between(1, 180),
});

const lot = v.strictObject({
  lotId: id,
  kind: v.picklist(LOT_KINDS),
  /** Where there are several of one kind. */
  number: v.optional(whole(1, 12)),
  /** Entries of before say what it was called. */
  name: v.optional(name(60)),
  volumeL: between(0.05, 400),
});
export const split = v.strictObject({
  stepId: id,
  /** What stays under the plan as it was, L; next to nothing: all of it is in lots. */
  restL: between(0, 400),
  lots: list(lot, 12, 1),
});

const bottle = v.strictObject({
  itemId: id,
  sizeId: id,
  /** What the kitchen calls this size; a jug for what is left over has none. */
  name: v.optional(name(60)),
  sizeMl: between(10, 30_000),
  volumeMl: between(1, 30_000),
  diameterCm: between(1, 60),
  /** Older entries do not say: glass, onto the first shelf of the fridge. */
  material: v.optional(v.picklist(CONTAINER_MATERIALS)),
  form: v.optional(v.picklist(CONTAINER_FORMS)),
  closure: v.optional(v.picklist(CLOSURES)),
  placeId: v.optional(id),
  /** Meant for somebody. */
  forWhom: v.optional(name(60)),
});
export const bottled = v.strictObject({
  stepId: id,
  hygiene: v.picklist(['clean', 'sterilised']),
  bottles: list(bottle, 400, 1),
});

const leftover = v.strictObject({
  itemId: id,
  kind: v.picklist(LEFTOVER_KINDS),
  /** What it comes from, by the tables' ids. */
  ingredientIds: list(id, 20),
  massG: between(1, 100_000),
  portions: whole(1, 100),
  placeId: id,
});
export const setAside = v.strictObject({ stepId: v.optional(id), leftovers: list(leftover, 20, 1) });

export const gifts = v.strictObject({
  occasion: name(60),
  remindNextYear: v.boolean(),
  rows: list(v.strictObject({ to: name(60), count: whole(1, 400) }), 60),
});

/** What is left when a batch ends before its bottles: nothing, or what was poured away, or drunk the same day. */
export const REST_KINDS = ['none', 'pouredAway', 'drunk'] as const;
export const stopped = v.strictObject({
  rest: v.picklist(REST_KINDS),
  /** Why, in the cook's own words, or a code where one was tapped. */
  why: v.optional(words(200)),
  code: v.optional(code),
});

/** From which packet or purchase of an ingredient it was made: what the cook calls it, or what stands on the packet. */
export const fromPurchase = v.strictObject({ itemId: id, purchase: name(60) });

export const scored = v.strictObject({ score: whole(1, 5), words: v.optional(words(200)) });

/** The cook's own words, or a code where one was tapped. */
export const noted = v.pipe(
  v.strictObject({ text: v.optional(words(2000)), code: v.optional(code), stepId: v.optional(id) }),
  v.check(({ text, code }) => text !== undefined || code !== undefined, 'name'),
);
