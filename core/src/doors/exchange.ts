/** What comes in and goes out: texts that are read, recipes as JSON-LD, what was weighed, the archive. */
export {
  ARCHIVE_FORMAT,
  ARCHIVE_SECTIONS,
  ARCHIVE_V,
  type ArchiveRow,
  type ArchiveSectionName,
  archiveEndSchema,
  archiveHeadSchema,
  archiveV1Schema,
  outsideToday,
  sectionHeadSchema,
  TOLD_SECTIONS,
} from '../contract/archive.ts';
export {
  type CaptureEntry,
  type CaptureProblem,
  captureToRecipe,
  UNSEEN,
  type Unseen,
  unseenKey,
  unseenOf,
} from '../exchange/capture.ts';
export { itemFacts } from '../exchange/items.ts';
export { measureToWeigh } from '../exchange/reading/amounts.ts';
export { type LineFix, mended, type StepFix } from '../exchange/reading/mend.ts';
export { LONGEST_TEXT, readText } from '../exchange/reading/read.ts';
export { recipeOfRead } from '../exchange/reading/toRecipe.ts';
export type {
  Check,
  Mark,
  MarkedSpan,
  ReadDrink,
  ReadingKit,
  ReadLine,
  ReadStep,
  TextReading,
} from '../exchange/reading/types.ts';
export { type LdRecipe, readRecipeLd, toRecipeLd } from '../exchange/schemaOrg.ts';
export { seenTwice } from '../exchange/seenTwice.ts';
