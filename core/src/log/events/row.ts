import type * as v from 'valibot';
import type { EffectiveProgram } from '../../program/model/program.ts';
import type { BatchDraft } from '../batchDraft.ts';
import type { Entry } from '../entry.ts';
import type { ItemLog } from '../itemLog.ts';

export const STREAM_KINDS = ['batch', 'rehearsal', 'item', 'kitchen'] as const;
export type StreamKind = (typeof STREAM_KINDS)[number];

/**
 * What an event makes stale, beside the log it stands in: the document of its batch (status and pins), the lists of
 * batches, the shelf, the gifts, what was
 * made from which packet; as the windows ask for them and as the projections hold them.
 */
export type Touched = 'batch' | 'batches' | 'items' | 'gifts' | 'purchases';

interface Common<Schema extends v.GenericSchema> {
  /** Of the body, for what is newly written. */
  body: Schema;
  touches: readonly Touched[];
  /** Whether undo takes it back; else why it does not. */
  undo: 'takenBack' | { not: string };
  /**
   * The version that is written now, and how the body of an older one becomes that of the next: the first takes version 1
   * to version 2.
   */
  v: number;
  upcasts: readonly ((body: unknown) => unknown)[];
}

/** What happened at the stove: it stands in the stream of a batch or of its rehearsal. */
export interface StoveRow<Schema extends v.GenericSchema> extends Common<Schema> {
  of: 'stove';
  /** Whether the drink itself feels it: then it is part of what a bottle's facts were worked out from. */
  drinkFeels: boolean;
  /** What it makes of the plan; null: the program stays as it is. */
  program: ((program: EffectiveProgram, entry: Entry<v.InferOutput<Schema>>) => EffectiveProgram) | null;
  /** What it adds to the log of the batch; null: nothing but what it made of the program. */
  fold: ((draft: BatchDraft, entry: Entry<v.InferOutput<Schema>>) => void) | null;
}

/** What happened to a bottle, jar, bag or leftover: it stands in the stream of that item. */
export interface ItemRow<Schema extends v.GenericSchema> extends Common<Schema> {
  of: 'item';
  fold: (log: ItemLog, entry: Entry<v.InferOutput<Schema>>) => ItemLog;
}

/** About another event of the same stream: worked in before anything is folded (`activeEvents`). */
export interface LogRow<Schema extends v.GenericSchema> extends Common<Schema> {
  of: 'log';
}

export const STREAMS_OF: Readonly<Record<'stove' | 'item' | 'log', readonly StreamKind[]>> = {
  stove: ['batch', 'rehearsal'],
  item: ['item'],
  log: ['batch', 'rehearsal', 'item'],
};

type Given<Row extends { v: number; upcasts: unknown; undo: unknown; of: string }> = Omit<
  Row,
  'of' | 'v' | 'upcasts' | 'undo'
> &
  Partial<Pick<Row, 'v' | 'upcasts' | 'undo'>>;

const USUAL = { v: 1, upcasts: [], undo: 'takenBack' } as const;

export const atStove = <S extends v.GenericSchema>(row: Given<StoveRow<S>>): StoveRow<S> => ({
  ...USUAL,
  ...row,
  of: 'stove',
});
export const ofItem = <S extends v.GenericSchema>(row: Given<ItemRow<S>>): ItemRow<S> => ({
  ...USUAL,
  ...row,
  of: 'item',
});
export const ofLog = <S extends v.GenericSchema>(row: Given<LogRow<S>>): LogRow<S> => ({
  ...USUAL,
  ...row,
  of: 'log',
});
