import * as v from 'valibot';
import type { LikedPoint } from '../balance/liked.ts';
import type { FeastTimetable } from '../documents/gathering.ts';
import { type CustomFacts, customFactsSchema } from '../documents/ingredient.ts';
import type { Recipe } from '../documents/recipe.ts';
import { type StockRow, stockSchema } from '../documents/stock.ts';
import type { InstrumentReading } from '../instruments/simulated.ts';
import type { FridgeRecord } from '../keeping/temperatureSeries.ts';
import type { LogEvent } from '../log/events/table.ts';
import type { LogbookRow } from '../logbook/lookThrough.ts';
import { id } from '../units/fields.ts';
import type { Gathering, GatheringEdit } from './gatherings.ts';
import type { LearningDoc, LearningEdit, YearDoc } from './learning.ts';
import * as m from './messages.ts';
import { newPhotoSchema, type Photo, type PhotosOf, photosOfSchema } from './photos.ts';
import { computed, del, get, post, put } from './route.ts';

/** Numbers in an address are written out. */
const number = v.pipe(v.string(), v.transform(Number), v.finite());
const seenVersion = v.object({ version: v.pipe(v.string(), v.transform(Number), m.versionSchema) });

/** Everything that a window may ask of the server, for both ends. */
export const ROUTES = {
  health: get('/health', {
    answer: computed<{ ok: boolean; version: string; tables: string; nowMs: number }>(),
  }),
  time: get('/time', { answer: computed<{ nowMs: number }>() }),

  kitchen: get('/kitchen', { answer: computed<m.KitchenDoc>() }),
  saveKitchen: put('/kitchen', { body: m.kitchenEditSchema, answer: computed<m.KitchenDoc>() }),

  batches: get('/batches', {
    query: v.object({
      status: v.optional(v.picklist(m.BATCH_STATUSES)),
      rehearsals: v.optional(v.literal('1')),
      /** Those that were put out of sight. */
      away: v.optional(v.literal('1')),
      /** Only of these drinks: their ids, with commas between. */
      drinks: v.optional(v.string()),
      /** The page after the one that named it. */
      before: v.optional(m.cursorSchema),
    }),
    answer: computed<m.BatchList>(),
  }),
  batchNames: get('/batch-names', { answer: computed<m.BatchNames>() }),
  likedPoints: get('/liked-points', { answer: computed<{ points: LikedPoint[] }>() }),
  createBatch: post('/batches', { body: m.newBatchSchema, answer: computed<m.Batch>() }),
  batch: get('/batches/:id', { answer: computed<m.BatchDoc>() }),
  savePlan: put('/batches/:id', { body: m.planEditSchema, answer: computed<m.Batch>() }),
  putBatchAway: put('/batches/:id/away', { body: m.awaySchema, answer: computed<m.Batch>() }),
  dropPlan: del('/batches/:id', { query: seenVersion }),
  startBatch: post('/batches/:id/start', { body: m.startSchema, answer: computed<m.Batch>() }),

  createRehearsal: post('/rehearsals', { body: m.newRehearsalSchema, answer: computed<m.Batch>() }),
  changeRehearsal: put('/rehearsals/:id', { body: m.rehearsalEditSchema, answer: computed<m.Batch>() }),
  forgetRehearsal: del('/rehearsals/:id'),

  events: post('/events', { body: m.eventsSchema, answer: m.eventsStoredSchema }),

  instruments: get('/instruments', { answer: computed<{ instruments: m.Instrument[] }>() }),
  putInstrument: put('/instruments/:id', { body: m.instrumentSchema, answer: computed<m.Instrument>() }),
  dropInstrument: del('/instruments/:id'),
  readings: get('/instruments/:id/readings', {
    query: v.object({ batchId: v.optional(id) }),
    answer: computed<{ readings: InstrumentReading[] }>(),
  }),
  fridge: get('/fridge', { answer: computed<{ record: FridgeRecord | null }>() }),

  recipes: get('/recipes', { answer: computed<{ recipes: Recipe[]; ingredients: CustomFacts[] }>() }),
  createRecipe: post('/recipes', { body: m.newRecipeSchema, answer: computed<Recipe>() }),
  saveRecipe: put('/recipes/:id', { body: m.recipeEditSchema, answer: computed<Recipe>() }),
  retireRecipe: del('/recipes/:id', { query: seenVersion }),
  recipeVersions: get('/recipes/:id/versions', { answer: computed<{ versions: m.RecipeVersion[] }>() }),
  putIngredient: put('/ingredients/:id', { body: customFactsSchema, answer: computed<CustomFacts>() }),

  stock: get('/stock', { answer: computed<{ stock: StockRow[] }>() }),
  putStock: put('/stock/:id', {
    body: v.omit(stockSchema, ['itemId']),
    answer: computed<{ stock: StockRow[] }>(),
  }),

  items: get('/items', {
    answer: computed<{ items: m.ShelfItem[]; leftovers: m.ShelfLeftover[] }>(),
  }),
  itemsGone: get('/items/gone', {
    query: v.object({ before: v.optional(number) }),
    answer: computed<m.GoneItems>(),
  }),
  use: get('/items/use', {
    query: v.object({ since: v.optional(number) }),
    answer: computed<{ use: m.Use[] }>(),
  }),
  item: get('/items/:id', { answer: computed<m.ShelfThing>() }),
  itemEvents: get('/items/:id/events', { answer: computed<{ events: LogEvent[] }>() }),
  purchases: get('/purchases', { answer: computed<{ purchases: m.Purchase[] }>() }),
  gifts: get('/gifts', { answer: computed<{ gifts: m.GiftBatch[] }>() }),

  /** Every batch that was made, in a line each. */
  logbook: get('/logbook', { answer: computed<{ rows: LogbookRow[] }>() }),
  /** A year of the kitchen's own calendar; left out: the newest in which anything was made. */
  year: get('/year', { query: v.object({ of: v.optional(number) }), answer: computed<YearDoc>() }),
  learning: get('/learning', { answer: computed<LearningDoc>() }),
  /** The server looks it over by `learningEditSchema`. */
  saveLearning: put('/learning', { body: computed<LearningEdit>(), answer: computed<LearningDoc>() }),

  gatherings: get('/gatherings', { answer: computed<{ gatherings: Gathering[] }>() }),
  /** The server looks it over by `gatheringEditSchema`, which is too large to be fetched with the first page. */
  saveGathering: put('/gatherings/:id', {
    body: computed<GatheringEdit>(),
    answer: computed<Gathering>(),
  }),
  /** Hours that were found for it: no change of what was settled, so its version stays. */
  keepTimetable: put('/gatherings/:id/timetable', {
    body: computed<FeastTimetable>(),
    answer: computed<Gathering>(),
  }),
  dropGathering: del('/gatherings/:id', { query: seenVersion }),

  photos: get('/photos', { query: photosOfSchema, answer: computed<PhotosOf>() }),
  /** Its body is the picture, a JPEG. */
  addPhoto: post('/photos', { query: newPhotoSchema, answer: computed<Photo>() }),
  photoFile: get('/photos/:id/file'),
  dropPhoto: del('/photos/:id'),

  pair: post('/pairing', { body: m.pairSchema, answer: computed<m.Device>() }),
  access: get('/access', { answer: computed<m.Access>() }),
  revoke: del('/access/devices/:id'),
  changeNetwork: put('/access/network', { body: m.networkSchema }),
  makeCertificate: post('/access/certificate'),

  backups: get('/backups', { answer: computed<m.BackupState>() }),
  makeBackup: post('/backups', { answer: computed<m.BackupFile>() }),
  chooseBackupFolder: put('/backups/folder', {
    body: m.backupFolderSchema,
    answer: computed<m.BackupState>(),
  }),
  restoreBackup: post('/backups/restore', { body: m.restoreSchema }),

  /** Everything as lines of text (docs/archive.md). */
  exportArchive: get('/archive', { query: v.object({ photos: v.optional(v.literal('1')) }) }),
  /** Its body is the archive itself; it is looked over, and nothing is changed yet. */
  uploadArchive: post('/archive', { answer: computed<m.ImportState>() }),
  importState: get('/archive/import', { answer: computed<{ state: m.ImportState | null }>() }),
  takeArchive: post('/archive/import', { body: m.importModeSchema, answer: computed<m.ImportState>() }),
  cancelImport: del('/archive/import'),
} as const;
