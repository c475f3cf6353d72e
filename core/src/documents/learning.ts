import * as v from 'valibot';
import { between, id, list, moment, whole } from '../units/fields.ts';

/** What something that is learnt is called: its kind, and what it is of; a purchase by the cook's own name, its letters escaped as in an address. */
const factorId = v.pipe(v.string('id'), v.regex(/^[A-Za-z]{1,20}(?::[A-Za-z0-9_.:%!~*'()-]{1,720})?$/, 'id'));
/** A multiplier on a constant of the model. */
const factor = between(0.02, 50);

const byItsId = <S extends v.GenericSchema<unknown, { id: string }>>(row: S, max: number) =>
  v.pipe(
    list(row, max),
    v.check((rows) => new Set(rows.map((r) => r.id)).size === rows.length, 'unique'),
  );

/** What the cook has settled of what her kitchen learns. */
export const learningChoicesSchema = v.strictObject({
  /** Held fixed at a multiplier, whatever is read. */
  held: byItsId(v.strictObject({ id: factorId, factor }), 200),
  /** Batches whose readings do not count. */
  forgotten: list(id, 2000),
  /** Only what was made after it counts; null: all of it. */
  sinceMs: v.nullable(moment),
  /** Batches that were only practised count too. */
  practice: v.boolean(),
});
export type LearningChoices = v.InferOutput<typeof learningChoicesSchema>;

export const USUAL_LEARNING: LearningChoices = { held: [], forgotten: [], sinceMs: null, practice: false };

/** What this kitchen's own batches have told of it: plans count with it, and a batch keeps what it was begun with. */
export const learntSchema = v.strictObject({
  /** Which of all that was ever believed. */
  version: whole(0, Number.MAX_SAFE_INTEGER),
  /** Multipliers on constants of the model. */
  factors: v.record(factorId, factor),
  /** How far each may still be off in the next batch: the standard deviation of its logarithm. */
  spreads: v.record(factorId, between(0, 3)),
});
export type Learnt = v.InferOutput<typeof learntSchema>;

/** Why it is believed anew: a batch was made or changed, or the cook has settled something. */
export const LEARNT_BY = ['batches', 'choices'] as const;
