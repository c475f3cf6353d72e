import * as v from 'valibot';
import { customFactsSchema } from '../documents/ingredient.ts';
import { kitchenSchema } from '../documents/kitchen.ts';
import { recipeSchema } from '../documents/recipe.ts';
import { stockSchema } from '../documents/stock.ts';
import { INSTRUMENT_KINDS } from '../tables/instruments.ts';
import { id } from '../units/fields.ts';
import { withoutBounds } from '../units/withoutBounds.ts';
import { gatheringDocSchema } from './gatherings.ts';
import { learningRowSchema } from './learning.ts';
import { batchSchema, failingSchema } from './messages.ts';
import { photoRowSchema } from './photos.ts';

/**
 * An archive is a text of lines, each a JSON value (docs/archive.md): a head, sections with a version of their own, and
 * an end that counts the lines. A section is its head and one line for each row.
 */
export const ARCHIVE_FORMAT = 'big-ladle-archive';
export const ARCHIVE_V = 2;

export const archiveHeadSchema = v.looseObject({
  format: v.literal(ARCHIVE_FORMAT),
  v: v.number(),
});
export const sectionHeadSchema = v.looseObject({
  section: v.pipe(v.string(), v.regex(/^[a-z][A-Za-z0-9-]{0,39}$/)),
  v: v.pipe(v.number(), v.integer(), v.minValue(1)),
});
export const archiveEndSchema = v.strictObject({ end: v.literal(true), lines: v.number() });

/** As far as it must be right for a bottle to have a date; the rest of it is words. */
const keptSchema = v.looseObject({
  key: v.string(),
  filledMs: v.number(),
  clockStartMs: v.number(),
  filledC: v.number(),
  longer: v.array(v.looseObject({ code: v.string(), params: v.looseObject({}) })),
  keeping: v.looseObject({
    keepClass: v.picklist(['heated', 'rawAdded', 'raw']),
    verdict: v.picklist(['keep', 'drinkToday', 'throwOut']),
    acid: v.looseObject({ shown: v.boolean(), by: v.string() }),
    sealedDays: v.pipe(v.number(), v.minValue(0), v.maxValue(366)),
    openDays: v.pipe(v.number(), v.minValue(0), v.maxValue(366)),
    reasons: v.array(v.looseObject({ code: v.string(), params: v.looseObject({}) })),
  }),
});

const count = v.pipe(v.number(), v.integer(), v.minValue(0));
/** By its id a thing is found and addressed: it is one, in whatever version it was written. */
const named = <Row extends { id: string }>(row: v.GenericSchema<unknown, Row>) =>
  v.pipe(
    row,
    v.check((value) => v.is(id, value.id), 'id'),
  );

/** What a row would have to hold if it were newly written; what is older is taken as it stands, and named. */
export interface ArchiveSection<Row> {
  v: number;
  row: v.GenericSchema<unknown, Row>;
  today: v.GenericSchema;
}
const section = <Row>(
  version: number,
  row: v.GenericSchema<unknown, Row>,
  today: v.GenericSchema = v.unknown(),
): ArchiveSection<Row> => ({ v: version, row, today });

/**
 * The sections that are read. The documents are those of the contract, by their shape: an older archive may hold what
 * would be refused today. The entries of the log are read one by one (`readStored`).
 */
export const ARCHIVE_SECTIONS = {
  kitchen: section(1, withoutBounds(kitchenSchema), kitchenSchema),
  ingredients: section(1, named(withoutBounds(customFactsSchema)), customFactsSchema),
  stock: section(
    1,
    v.pipe(
      withoutBounds(stockSchema),
      v.check((row) => v.is(id, row.itemId), 'id'),
    ),
    stockSchema,
  ),
  recipes: section(
    1,
    v.strictObject({
      recipeId: id,
      version: v.pipe(v.number(), v.integer()),
      parent: v.nullable(v.number()),
      createdMs: v.number(),
      recipe: withoutBounds(recipeSchema),
      /** It was taken out of the book; stands with its newest version. */
      retired: v.optional(v.literal(true)),
    }),
    v.object({ recipe: recipeSchema }),
  ),
  batches: section(
    1,
    v.pipe(
      named(withoutBounds(batchSchema)),
      v.check(({ status, pins }) => !Array.isArray(pins) && (status === 'planned' || pins !== null), 'pins'),
    ),
    batchSchema,
  ),
  gatherings: section(1, named(withoutBounds(gatheringDocSchema)), gatheringDocSchema),
  /** What was believed of the kitchen, and what of it was settled. What is believed now is worked out from the batches. */
  learning: section(1, withoutBounds(learningRowSchema), learningRowSchema),
  events: section(
    1,
    v.strictObject({
      receivedMs: v.number(),
      event: v.unknown(),
      /** What a filling gave to its bottles by the rules it was filled under. Older archives do not have it. */
      kept: v.optional(keptSchema),
    }),
  ),
  instruments: section(
    1,
    v.strictObject({
      id,
      kind: v.picklist(INSTRUMENT_KINDS),
      name: v.string(),
      seed: count,
      batchId: v.nullable(v.string()),
      lost: v.boolean(),
      tareKg: v.number(),
      failing: v.nullable(withoutBounds(failingSchema)),
      /** When it was unpaired; null while it is paired. */
      droppedMs: v.nullable(v.number()),
    }),
  ),
  readings: section(
    1,
    v.strictObject({
      instrumentId: id,
      batchId: v.nullable(v.string()),
      readings: v.pipe(v.array(v.looseObject({ atMs: v.number() })), v.nonEmpty(), v.maxLength(1000)),
    }),
  ),
  /** Only where they were asked for. */
  photos: section(1, photoRowSchema),
} as const;
export type ArchiveSectionName = keyof typeof ARCHIVE_SECTIONS;
export type ArchiveRow<Name extends ArchiveSectionName> = v.InferOutput<
  (typeof ARCHIVE_SECTIONS)[Name]['row']
>;

/** Sections that are written for whoever reads the file without the program, and are not read back. */
export const TOLD_SECTIONS: ReadonlySet<string> = new Set(['dates']);

/** An archive of version 0.5.0 and before: one JSON document with its sections as fields. */
export const archiveV1Schema = v.looseObject({
  format: v.literal(ARCHIVE_FORMAT),
  v: v.literal(1),
  kitchen: v.optional(v.unknown()),
  recipes: v.array(v.unknown()),
  ingredients: v.array(v.unknown()),
  stock: v.array(v.unknown()),
  batches: v.array(v.unknown()),
  events: v.array(v.unknown()),
});

/** What a document would be refused for if it were written today; null where it would not. */
export function outsideToday(
  schema: v.GenericSchema,
  value: unknown,
): { field: string; code: string } | null {
  const read = v.safeParse(schema, value, { abortPipeEarly: true });
  if (read.success) return null;
  const [issue] = read.issues;
  return { field: v.getDotPath(issue) ?? '', code: issue.message };
}
