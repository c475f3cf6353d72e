import { ROUTES } from '@big-ladle/core/contract';
import { learningEditSchema } from '@big-ladle/core/learn';
import { learningDoc, saveChoices } from '../services/learning.ts';
import { logbookRows } from '../services/logbook.ts';
import { yearDoc } from '../services/year.ts';
import { parse } from './parse.ts';
import type { ApiParts } from './parts.ts';
import type { Serve } from './serve.ts';

/** What was made, and a year of it; what the kitchen's own batches have told of it, and what its cook has settled of that. */
export function serveLearning(serve: Serve, { db, clock }: ApiParts): void {
  serve(ROUTES.logbook, async () => ({ answer: { rows: await logbookRows(db) } }));
  serve(ROUTES.year, async ({ query }) => ({ answer: await yearDoc(db, clock.nowMs(), query.of ?? null) }));
  serve(ROUTES.learning, async () => ({ answer: await learningDoc(db) }));
  serve(ROUTES.saveLearning, ({ body }) => saveChoices(db, parse(learningEditSchema, body), clock.nowMs()));
}
