import type { AnswerOf, AnyRoute, BodyOf, ParamsOf, PathOf, QueryOf } from '@big-ladle/core/contract';
import { idSchema } from '@big-ladle/core/units';
import type { Response, Router } from 'express';
import { type Outcome, Written } from '../outcome.ts';
import type { StreamHub } from '../stream.ts';
import { route as caught, parse } from './parse.ts';

/** What a window asks, checked. */
export interface Asked<R extends AnyRoute> {
  params: ParamsOf<PathOf<R>>;
  query: QueryOf<R>;
  body: BodyOf<R>;
  /** For a header of the answer: a cookie, a file's name. */
  res: Response;
}

export type Serve = <R extends AnyRoute>(
  route: R,
  handle: (asked: Asked<R>) => Promise<Outcome<AnswerOf<R> | Written<AnswerOf<R>>>>,
) => void;

/** Tells the other windows what was done, and answers. */
export function tell(
  { answer, created, changed, stored }: Outcome<unknown>,
  hub: StreamHub,
  res: Response,
): void {
  for (const change of changed ?? []) hub.changed(change);
  hub.events(stored ?? []);
  if (created !== undefined) res.status(201).location(created);
  if (answer === undefined) res.status(204).end();
  else if (answer instanceof Written) res.type('json').send(answer.json);
  else res.json(answer);
}

/**
 * Puts routes of the contract into a router. Params, query and body are checked before the handler sees them; what it did
 * is told to the other windows here and nowhere else, after it was committed and before it is answered.
 */
export const serving =
  (router: Router, hub: StreamHub): Serve =>
  (route, handle) => {
    const method = route.method.toLowerCase() as Lowercase<typeof route.method>;
    router[method](
      route.path,
      caught(async (req, res) => {
        const ids = Object.entries(req.params).map(([name, value]) => [name, parse(idSchema, value)]);
        const outcome = await handle({
          params: Object.fromEntries(ids),
          query: parse(route.query, req.query) as QueryOf<typeof route>,
          body: parse(route.body, req.body) as BodyOf<typeof route>,
          res,
        });
        tell(outcome, hub, res);
      }),
    );
  };
