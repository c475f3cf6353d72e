/** What was said of batches and bottles, how they stand after it; instruments, and rehearsals on them. */

export { REHEARSAL_SPEEDS, type RehearsalSpeed, rehearsalNow } from '../instruments/rehearsal.ts';
export {
  FAILING_KINDS,
  type Failing,
  fridgeAirC,
  type InstrumentReading,
  isLost,
  simulatedReading,
} from '../instruments/simulated.ts';
export { cookNext } from '../instruments/simulatedCook.ts';
export { hiddenFactors, simulateTruth } from '../instruments/truth.ts';
export { tastedAt } from '../log/asTasted.ts';
export { type BatchNow, entryProblem, isEntryProblem, itemsOf, whatIf } from '../log/batchAt.ts';
export type { BatchLog, ClockSubject, Gifts } from '../log/batchLog.ts';
export { nextStraining } from '../log/effectiveProgram.ts';
export { activeEvents, lastUndoable, saidTogether, shownEvents } from '../log/events/order.ts';
export type { Touched } from '../log/events/row.ts';
export { readStored } from '../log/events/stored.ts';
export {
  EVENT_KINDS,
  EVENTS,
  type EventBody,
  eventSchema,
  type LogEvent,
  touchedBy,
} from '../log/events/table.ts';
export { effectiveProgram } from '../log/foldBatch.ts';
export { FIRST_PLACE, foldItem, freshItem, isGone, itemAfter } from '../log/foldItem.ts';
export type { ItemLog } from '../log/itemLog.ts';
export { readBatch } from '../log/readBatch.ts';
export { type DatedDeed, writtenUp } from '../log/writtenUp.ts';
export { INSTRUMENT_KINDS, INSTRUMENT_ROWS, type InstrumentKind } from '../tables/instruments.ts';
