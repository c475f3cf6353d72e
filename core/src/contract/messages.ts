import * as v from 'valibot';
import type { LikedPoint } from '../balance/liked.ts';
import { type Kitchen, kitchenSchema } from '../documents/kitchen.ts';
import { planSchema } from '../documents/plan.ts';
import { type Recipe, recipeSchema } from '../documents/recipe.ts';
import { REHEARSAL_SPEEDS } from '../instruments/rehearsal.ts';
import { FAILING_KINDS, type InstrumentReading } from '../instruments/simulated.ts';
import type { BottleItem, LeftoverItem } from '../keeping/items.ts';
import type { Gifts } from '../log/batchLog.ts';
import { eventSchema, type LogEvent } from '../log/events/table.ts';
import type { ItemLog } from '../log/itemLog.ts';
import type { PlannedProgram } from '../program/model/program.ts';
import { INSTRUMENT_KINDS } from '../tables/instruments.ts';
import type { PinnedRows } from '../tables/pinned.ts';
import type { IngredientRow } from '../tables/types.ts';
import { between, id, list, moment, name, whole } from '../units/fields.ts';
import type { Problem } from './problems.ts';

/** Documents carry a version: whoever changes one says which she has seen. */
export const versionSchema = whole(0, Number.MAX_SAFE_INTEGER);

// Batches

/** What starting a batch fixes for good: later learning and new tables never rewrite it. */
export interface Pins {
  recipe: Recipe;
  program: PlannedProgram;
  kitchen: Kitchen;
  tablesVersion: string;
  /** Rows of the tables as they were, of everything that goes in; what is added later is pinned with its event. */
  rows?: PinnedRows;
  /** The cook's own ingredients as they were; left out where there are none. */
  ingredients?: IngredientRow[];
}

export const BATCH_STATUSES = ['planned', 'on', 'done'] as const;
export type BatchStatus = (typeof BATCH_STATUSES)[number];

/** A batch that is only practised: on simulated instruments, at a speed of its own. */
export const rehearsalSchema = v.strictObject({
  speed: v.picklist(REHEARSAL_SPEEDS),
  /** The kitchen's time when this speed was set, and the rehearsal's own then. */
  realMs: moment,
  atMs: moment,
  seed: whole(0, 1_000_000),
  /** Stays among the batches, marked, when it is over. */
  kept: v.boolean(),
});
export type Rehearsal = v.InferOutput<typeof rehearsalSchema>;

/** A batch as it is stored and exchanged; its pins are the interpreter's own, and read as they stand. */
export const batchSchema = v.strictObject({
  id,
  status: v.picklist(BATCH_STATUSES),
  plan: planSchema,
  version: versionSchema,
  pins: v.nullable(v.custom<Pins>((value) => typeof value === 'object' && value !== null, 'pins')),
  createdMs: moment,
  updatedMs: moment,
  /** Only where it is practised and not made. */
  rehearsal: v.optional(rehearsalSchema),
  /** When it was put out of sight, because it cannot be read; it stays in the file and in the archive. */
  awayMs: v.optional(moment),
});
export type Batch = v.InferOutput<typeof batchSchema>;

/** A batch at a glance, for lists. Rebuilt from the log at any time. */
export interface BatchAtAGlance {
  startedMs: number | null;
  endedMs: number | null;
  /** It cannot be read: what the fold met. */
  unreadable?: string;
  /** Given up before its bottles. */
  stopped?: true;
  currentStepId: string | null;
  litres: number;
  /** Once it is over: what its plan had it make, L. */
  expectedL?: number;
  /** Once it is over: of the finished drink, g of sugar-equivalent in 100 g. */
  sweetPct?: number;
  /** Where the drink stood on the plane, once the last word on its sweetness was "about right". */
  liked?: LikedPoint;
  /** Of five, with a word, as the cook said. */
  score?: number;
  words?: string;
  /** Whom it is for. */
  gifts?: Gifts;
}
/** A batch in a list: what it pinned is read with the batch itself. */
export interface BatchListEntry {
  batch: Omit<Batch, 'pins'>;
  now: BatchAtAGlance | null;
}
/** Where a page of a list ended: when its last entry was made, and which it was. */
export const cursorSchema = v.pipe(v.string(), v.regex(/^\d{1,16}-.+$/, 'cursor'));
export interface BatchList {
  batches: BatchListEntry[];
  /** Asks for the page after this one; null: there is none. */
  next: string | null;
}
/** Every batch there is, in so few words that all of them can be looked through. */
export interface BatchNames {
  batches: { id: string; recipeId: string; status: BatchStatus; startedMs: number | null }[];
}
export interface BatchDoc {
  batch: Batch;
  events: LogEvent[];
}

const firstEvents = list(eventSchema, 10, 1);
export const newBatchSchema = v.strictObject({ id, plan: planSchema });
export const planEditSchema = v.strictObject({ version: versionSchema, plan: planSchema });
export const startSchema = v.strictObject({ version: versionSchema, events: firstEvents });
export const newRehearsalSchema = v.strictObject({
  id,
  plan: planSchema,
  speed: v.picklist(REHEARSAL_SPEEDS),
  seed: whole(0, 1_000_000),
  events: firstEvents,
});
export const awaySchema = v.strictObject({ away: v.boolean() });
export const rehearsalEditSchema = v.strictObject({
  speed: v.optional(v.picklist(REHEARSAL_SPEEDS)),
  kept: v.optional(v.boolean()),
});

// Events

export const eventsSchema = v.strictObject({ events: list(eventSchema, 500, 1) });
/** By this a window lets go of what it has kept: what does not look like it is no answer of ours. */
export const eventsStoredSchema = v.object({
  /** Those that are new, with their place in the order of all. */
  stored: v.array(v.object({ id: v.string(), seq: v.number() })),
  /** All that were sent: they are there now, also those that were before. */
  kept: v.array(v.string()),
});
export type EventsStored = v.InferOutput<typeof eventsStoredSchema>;

// The kitchen and its instruments

export const kitchenEditSchema = v.strictObject({ version: versionSchema, kitchen: kitchenSchema });
export interface KitchenDoc {
  version: number;
  kitchen: Kitchen;
}

/** A simulated fault that is on: the fridge's door stands open, its power is out. */
export const failingSchema = v.strictObject({ kind: v.picklist(FAILING_KINDS), sinceMs: moment });
/** An instrument as a window sends it. */
export const instrumentSchema = v.strictObject({
  kind: v.picklist(INSTRUMENT_KINDS),
  name: name(40),
  batchId: v.nullable(id),
  /** Out of reach, as the cook has said: a flat battery, a cable pulled. */
  lost: v.boolean(),
  tareKg: between(0, 30),
  failing: v.optional(v.nullable(failingSchema), null),
});
/** An instrument of this kitchen. All are simulated, and say so wherever they show. */
export type Instrument = v.InferOutput<typeof instrumentSchema> & { id: string; seed: number };

// The shelf

export interface StoredItem<Facts> {
  facts: Facts;
  log: ItemLog;
}
export type ShelfItem = StoredItem<BottleItem>;
export type ShelfLeftover = StoredItem<LeftoverItem>;
/** One thing of the shelf, there or gone. */
export type ShelfThing =
  | ({ kind: 'bottle'; goneMs: number | null } & ShelfItem)
  | ({ kind: 'leftover'; goneMs: number | null } & ShelfLeftover);
export interface GoneItems {
  items: (ShelfItem & { goneMs: number })[];
  next: number | null;
}
/** What of a drink was poured of late. */
export interface Use {
  recipeId: string;
  pouredMl: number;
  /** Since when it has been there, within the window. */
  sinceMs: number;
  /** Of herbs that are counted by the day, g in what was poured. */
  strongG: Record<string, number>;
}
/** A packet or purchase of an ingredient, what was made from it, and what became of that. */
export interface Purchase {
  itemId: string;
  purchase: string;
  batches: { batchId: string; recipeId: string; atMs: number }[];
  things: {
    itemId: string;
    kind: 'bottle' | 'leftover';
    batchId: string;
    recipeId: string;
    /** Where it stands; null: it is gone. */
    place: string | null;
    givenTo: string | null;
  }[];
}
export interface GiftBatch {
  batchId: string;
  recipeId: string;
  atMs: number;
  gifts: Gifts;
}

// The book

export const newRecipeSchema = v.strictObject({ recipe: recipeSchema });
export const recipeEditSchema = v.strictObject({ version: versionSchema, recipe: recipeSchema });
/** One stored version of a recipe of the cook's own. */
export interface RecipeVersion {
  version: number;
  parent: number | null;
  hash: string;
  createdMs: number;
  recipe: Recipe;
}

// Devices

export const pairSchema = v.strictObject({
  code: v.pipe(v.string(), v.regex(/^\d{6}$/, 'sixFigures')),
  name: name(40),
});
export interface Device {
  id: string;
  name: string;
  createdMs: number;
  seenMs: number;
}
export const networkSchema = v.strictObject({
  open: v.boolean(),
  /** Over a safe connection, with the certificate of the house's own. */
  safe: v.boolean(),
});
/** Who may come in and how, told on the first screen. */
export interface Access {
  open: boolean;
  tls: boolean;
  /** How it is reached was said where it was started. */
  fixed: boolean;
  /** It is open over a safe connection with the certificate of the house's own. */
  safe: boolean;
  /** The certificate of the house's own, once it has been made. */
  certificate: { untilMs: number } | null;
  /** Why the safe connection could not be opened. */
  problem: string | null;
  addresses: string[];
  /** The code that lets a device in, how often somebody has tried a wrong one, and until when nobody is let in for it. */
  pairing: { code: string; untilMs: number; wrong: number; pausedUntilMs: number | null } | null;
  devices: Device[];
}

// Backups

export const BACKUP_KINDS = ['daily', 'asked', 'before-upgrade', 'before-import', 'before-restore'] as const;
/** Why a backup was made. */
export type BackupKind = (typeof BACKUP_KINDS)[number];

export interface BackupFile {
  /** The file's name within its folder. */
  name: string;
  kind: BackupKind;
  atMs: number;
  bytes: number;
}

export interface BackupState {
  folder: string;
  /** The folder lies on another disk than the data: only then a backup outlives it. */
  elsewhere: boolean;
  /** Newest first; each was opened, looked over and folded in part when it was made. */
  backups: BackupFile[];
  /** Why the last one could not be made; null: it was. */
  problem: string | null;
}
export const backupFolderSchema = v.strictObject({
  folder: v.pipe(v.string(), v.trim(), v.nonEmpty(), v.maxLength(1000)),
});
export const restoreSchema = v.strictObject({ name: v.pipe(v.string(), v.maxLength(200)) });

// The archive

export const importModeSchema = v.strictObject({ mode: v.picklist(['merge', 'replace']) });
/** Whether an archive is added to what is here, or takes its place. */
export type ImportMode = v.InferOutput<typeof importModeSchema>['mode'];

/** How many of what there are. */
export interface ArchiveCounts {
  recipes: number;
  ingredients: number;
  batches: number;
  events: number;
  instruments: number;
  readings: number;
  photos: number;
  gatherings: number;
}

/** What an archive holds, and what would come of taking it in: worked out before anything is changed. */
export interface ImportReport {
  /** When it was written; null in old ones that do not say. */
  writtenMs: number | null;
  holds: ArchiveCounts;
  /** Of these, what is not here yet: it is added. */
  added: ArchiveCounts;
  /** What is here now: it goes when the archive takes its place. */
  here: ArchiveCounts;
  /** It has a kitchen, and there is none here. */
  kitchen: boolean;
  /** Taken in although it would be refused today: what, and by which rule. */
  outside: { id: string; field: string; code: string }[];
  /** More of these than are named. */
  outsideMore: number;
  /** Entries of a kind that is not known, and of batches that are nowhere: they are not taken in. */
  passedOver: number;
  /** Sections of a newer program: kept as they are, and written out again. */
  keptSections: string[];
}

/** Where taking in an archive stands. */
export interface ImportState {
  stage: 'checking' | 'checked' | 'preparing' | 'taking' | 'done' | 'failed';
  mode: ImportMode | null;
  /** How much of the stage is done, 0 to 1. */
  share: number;
  report: ImportReport | null;
  problem: Problem | null;
}

// The stream of changes

/** A document that changed; windows fetch it again. */
export const docChangeSchema = v.object({
  doc: v.picklist([
    'kitchen',
    'batch',
    'recipe',
    'instrument',
    'stock',
    'photo',
    'gathering',
    'learning',
    'everything',
  ]),
  id: v.string(),
  version: v.number(),
});
export type DocChange = v.InferOutput<typeof docChangeSchema>;

/** The server's time, told now and then. */
export const timeSchema = v.object({
  nowMs: v.number(),
  /** The machine's clock was just set by so much, or the machine has slept; told once. */
  jumpMs: v.optional(v.number()),
});
export type TimeMessage = v.InferOutput<typeof timeSchema>;

/** What an instrument has just shown, for the windows that look. */
export const readingsSchema = v.object({
  instrumentId: v.string(),
  batchId: v.nullable(v.string()),
  readings: v.pipe(
    v.array(v.custom<InstrumentReading>((value) => typeof value === 'object' && value !== null)),
    v.readonly(),
  ),
});
export type ReadingsMessage = v.InferOutput<typeof readingsSchema>;
