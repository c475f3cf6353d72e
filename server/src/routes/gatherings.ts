import { gatheringEditSchema, ROUTES } from '@big-ladle/core/contract';
import { timetableSchema } from '@big-ladle/core/gathering';
import { dropGathering, gatherings, keepTimetable, saveGathering } from '../services/gatherings.ts';
import { parse } from './parse.ts';
import type { ApiParts } from './parts.ts';
import type { Serve } from './serve.ts';

/** Feasts that are planned: documents with a version. What follows from them is worked out in the window. */
export function serveGatherings(serve: Serve, { db, clock }: ApiParts): void {
  serve(ROUTES.gatherings, async () => ({ answer: { gatherings: await gatherings(db) } }));
  serve(ROUTES.saveGathering, ({ params, body }) =>
    saveGathering(db, params.id, parse(gatheringEditSchema, body), clock.nowMs()),
  );
  serve(ROUTES.keepTimetable, ({ params, body }) =>
    keepTimetable(db, params.id, parse(timetableSchema, body)),
  );
  serve(ROUTES.dropGathering, ({ params, query }) => dropGathering(db, params.id, query.version));
}
