import * as v from 'valibot';
import {
  LEARNT_BY,
  type LearningChoices,
  learningChoicesSchema,
  learntSchema,
} from '../documents/learning.ts';
import type { WhatIsLearnt } from '../learn/learn.ts';
import { isLearntId } from '../learn/priors.ts';
import type { Year } from '../logbook/year.ts';
import { moment, whole } from '../units/fields.ts';
import { versionSchema } from './messages.ts';

/** What the cook settles, over the version of what is learnt that she has seen. */
export const learningEditSchema = v.strictObject({
  version: versionSchema,
  choices: v.pipe(
    learningChoicesSchema,
    v.check(({ held }) => held.every((h) => isLearntId(h.id)), 'unknown'),
  ),
});
export type LearningEdit = v.InferOutput<typeof learningEditSchema>;

/** One of all the things that were ever believed of this kitchen, as it is kept and exchanged. */
export const learningRowSchema = v.strictObject({
  ...learntSchema.entries,
  atMs: moment,
  by: v.picklist(LEARNT_BY),
  choices: learningChoicesSchema,
  /** How many batches it stands on. */
  batches: whole(0, 100_000),
});
export type LearningRow = v.InferOutput<typeof learningRowSchema>;

/** A year looked back at. */
export interface YearDoc {
  year: number;
  /** All years in which something was made, the newest first. */
  years: number[];
  of: Year;
}

/** What is believed of this kitchen now, and what it stands on. */
export interface LearningDoc {
  /** 0: nothing has been read yet. */
  version: number;
  choices: LearningChoices;
  /** What was settled before the last change of it; null: it was never changed. */
  choicesBefore: LearningChoices | null;
  told: Omit<WhatIsLearnt, 'learnt'>;
  /** Batches that were made and are not read yet. */
  waiting: number;
  /** Batches that were read, the newest first, with how many readings each has. */
  batches: { id: string; atMs: number; readings: number }[];
  /** The newest first. */
  versions: Pick<LearningRow, 'version' | 'atMs' | 'by' | 'batches'>[];
}
