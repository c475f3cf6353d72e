import { type FieldProblem, PROBLEM_TYPE, PROBLEMS, type Problem, type ProblemCode } from '@big-ladle/core';
import type { ErrorRequestHandler, Response } from 'express';
import type { BaseIssue } from 'valibot';

type Extra = Omit<Problem, 'type' | 'title' | 'status'>;

/** An expected failure: becomes problem details (RFC 9457) at the edge. What is said of it is the windows' own business. */
export class HttpProblem extends Error {
  readonly status: number;
  constructor(
    readonly code: ProblemCode,
    readonly extra: Extra = {},
  ) {
    super(code);
    this.status = PROBLEMS[code];
  }
}

export const notFound = (what: string, id: string): HttpProblem =>
  new HttpProblem('notFound', { params: { what, id: id.slice(0, 80) } });

export function fieldsOf(issues: readonly BaseIssue<unknown>[]): FieldProblem[] {
  return issues.slice(0, 20).map((issue) => ({
    field: issue.path?.map((part) => String((part as { key: unknown }).key)).join('.') ?? '',
    message: issue.message,
  }));
}

export const invalid = (issues: readonly BaseIssue<unknown>[]): HttpProblem => {
  const fields = fieldsOf(issues);
  return new HttpProblem('invalid', { fields });
};

/** Answers with a problem. */
export function sendProblem(res: Response, code: ProblemCode, extra: Extra = {}): void {
  const status = PROBLEMS[code];
  const problem: Problem = { type: `${PROBLEM_TYPE}${code}`, title: code, status, ...extra };
  res.status(status).type('application/problem+json').send(JSON.stringify(problem));
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

/** What the disk or the file says, by the plain code that an extended one begins with. */
function faultOfStorage(code: string): ProblemCode | null {
  if (/^SQLITE_(?:FULL|IOERR|READONLY|CANTOPEN|PERM|AUTH)/.test(code)) return 'storage';
  if (/^SQLITE_(?:CORRUPT|NOTADB)/.test(code)) return 'damaged';
  return /^SQLITE_(?:BUSY|LOCKED)/.test(code) ? 'busy' : null;
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
      sendProblem(res, error.code, error.extra);
      return;
    }
    const parser = error as ParserError;
    if (parser?.type === 'entity.parse.failed') {
      sendProblem(res, 'malformedJson');
      return;
    }
    if (parser?.type === 'entity.too.large') {
      sendProblem(res, 'tooLarge');
      return;
    }
    if (typeof parser?.status === 'number' && parser.status >= 400 && parser.status < 500) {
      sendProblem(res, 'badRequest');
      return;
    }
    const sqlite = error as SqliteError;
    if (sqlite?.code === 'SQLITE_CONSTRAINT_UNIQUE' || sqlite?.code === 'SQLITE_CONSTRAINT_PRIMARYKEY') {
      sendProblem(res, 'alreadyThere');
      return;
    }
    const fault = faultOfStorage(sqlite?.code ?? '');
    if (fault) {
      report(error);
      sendProblem(res, fault);
      return;
    }
    report(error);
    sendProblem(res, 'internal');
  };
