import * as v from 'valibot';
import { gatheringSchema, timetableSchema } from '../documents/gathering.ts';
import { id, moment } from '../units/fields.ts';
import { versionSchema } from './messages.ts';

/** A gathering as it is stored and exchanged. */
export const gatheringDocSchema = v.strictObject({
  id,
  version: versionSchema,
  gathering: gatheringSchema,
  timetable: v.optional(v.nullable(timetableSchema), null),
  createdMs: moment,
  updatedMs: moment,
});
export type Gathering = v.InferOutput<typeof gatheringDocSchema>;
/** Version 0: it is new. */
export const gatheringEditSchema = v.strictObject({ version: versionSchema, gathering: gatheringSchema });
export type GatheringEdit = v.InferOutput<typeof gatheringEditSchema>;
