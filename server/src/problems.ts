import type { ErrorRequestHandler, Response } from 'express';
import type { BaseIssue } from 'valibot';

/** One field that was wrong and why, for the form to show. */
export interface FieldProblem {
  field: string;
  message: string;
}

/** An expected failure: becomes problem details (RFC 9457) at the edge. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly detail: string,
    readonly extra: Record<string, unknown> = {},
  ) {
    super(detail);
  }
}

export const notFound = (what: string, id: string): HttpProblem =>
  new HttpProblem(404, 'notFound', `There is no ${what} with the id ${id.slice(0, 80)}.`);

export function fieldsOf(issues: readonly BaseIssue<unknown>[]): FieldProblem[] {
  return issues.slice(0, 20).map((issue) => ({
    field: issue.path?.map((part) => String((part as { key: unknown }).key)).join('.') ?? '',
    message: issue.message,
  }));
}

export const invalid = (issues: readonly BaseIssue<unknown>[]): HttpProblem => {
  const fields = fieldsOf(issues);
  const first = fields[0];
  return new HttpProblem(
    422,
    'invalid',
    first ? `${first.field || 'The message'} is not right: ${first.message}.` : 'The message is not right.',
    { fields },
  );
};

function send(
  res: Response,
  status: number,
  code: string,
  detail: string,
  extra: Record<string, unknown> = {},
): void {
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: `urn:big-ladle:problem:${code}`, title: code, status, detail, ...extra }));
}

/** What body-parser says of a bad body. */
interface ParserError {
  type?: string;
  status?: number;
}
/** What better-sqlite3 throws, through Knex. */
interface SqliteError {
  code?: string;
}

/** The one place where errors become answers: safe text, no stack, no SQL. */
export const problemHandler =
  (report: (error: unknown) => void): ErrorRequestHandler =>
  (error: unknown, _req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    if (error instanceof HttpProblem) {
      send(res, error.status, error.code, error.detail, error.extra);
      return;
    }
    const parser = error as ParserError;
    if (parser?.type === 'entity.parse.failed') {
      send(res, 400, 'malformedJson', 'The message is not valid JSON. Nothing was changed.');
      return;
    }
    if (parser?.type === 'entity.too.large') {
      send(res, 413, 'tooLarge', 'The message is larger than the server takes. Nothing was changed.');
      return;
    }
    if (typeof parser?.status === 'number' && parser.status >= 400 && parser.status < 500) {
      send(res, parser.status, 'badRequest', 'The request could not be read. Nothing was changed.');
      return;
    }
    const sqlite = error as SqliteError;
    if (sqlite?.code === 'SQLITE_CONSTRAINT_UNIQUE' || sqlite?.code === 'SQLITE_CONSTRAINT_PRIMARYKEY') {
      send(res, 409, 'alreadyThere', 'Something with this id is already stored.');
      return;
    }
    if (
      sqlite?.code === 'SQLITE_FULL' ||
      sqlite?.code === 'SQLITE_IOERR' ||
      sqlite?.code === 'SQLITE_READONLY'
    ) {
      report(error);
      send(
        res,
        507,
        'storage',
        'The data file could not be written. Look at the free space and the rights of the data folder.',
      );
      return;
    }
    if (sqlite?.code === 'SQLITE_BUSY') {
      send(res, 503, 'busy', 'Another program is using the data file. Try again in a moment.');
      return;
    }
    report(error);
    send(res, 500, 'internal', 'Something went wrong in the server. What was stored before is safe.');
  };
