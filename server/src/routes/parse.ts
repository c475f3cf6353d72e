import type { Request, RequestHandler, Response } from 'express';
import * as v from 'valibot';
import { invalid } from '../problems.ts';

/** The body as the schema wants it. @throws HttpProblem 422 naming each field. */
export function parse<S extends v.GenericSchema>(schema: S, value: unknown): v.InferOutput<S> {
  const result = v.safeParse(schema, value, { abortPipeEarly: true });
  if (!result.success) throw invalid(result.issues as readonly v.BaseIssue<unknown>[]);
  return result.output;
}

/** A route that may be asynchronous; what it throws goes to the error mapper. */
export const route =
  (handle: (req: Request, res: Response) => Promise<void> | void): RequestHandler =>
  async (req, res, next) => {
    try {
      await handle(req, res);
    } catch (error) {
      next(error);
    }
  };
