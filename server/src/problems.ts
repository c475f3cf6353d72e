import {
  type FieldProblem,
  PROBLEM_TYPE,
  PROBLEMS,
  type Problem,
  type ProblemCode,
} from '@big-ladle/core/contract';
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

/** A problem as it is told. */
export const problemAs = (code: ProblemCode, extra: Extra = {}): Problem => ({
  type: `${PROBLEM_TYPE}${code}`,
  title: code,
  status: PROBLEMS[code],
  ...extra,
});

/** Answers with a problem. */
export function sendProblem(res: Response, code: ProblemCode, extra: Extra = {}): void {
  const problem = problemAs(code, extra);
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}

/** What body-parser says of a bad body. */
interface ParserError {
  type?: string;
  status?: number;
}
/** What better-sqlite3 throws, through Knex, and what the system does. */
interface SystemError {
  code?: string;
}

/** What the disk or the file says, by the plain code that an extended one begins with. */
function faultOfStorage(code: string): ProblemCode | null {
  if (
    /^SQLITE_(?:FULL|IOERR|READONLY|CANTOPEN|PERM|AUTH)|^E(?:NOSPC|DQUOT|FBIG|ROFS|ACCES|PERM|IO)$/.test(code)
  )
    return 'storage';
  if (/^SQLITE_(?:CORRUPT|NOTADB)/.test(code)) return 'damaged';
  return /^SQLITE_(?:BUSY|LOCKED)/.test(code) ? 'busy' : null;
}

/** What is told of an error; `unexpected` ones are reported as well. */
export function problemOf(error: unknown): { code: ProblemCode; extra: Extra; unexpected: boolean } {
  const told = (code: ProblemCode, extra: Extra = {}) => ({ code, extra, unexpected: false });
  if (error instanceof HttpProblem) return told(error.code, error.extra);
  const parser = error as ParserError;
  if (parser?.type === 'entity.parse.failed') return told('malformedJson');
  if (parser?.type === 'entity.too.large') return told('tooLarge');
  if (typeof parser?.status === 'number' && parser.status >= 400 && parser.status < 500)
    return told('badRequest');
  const { code = '' } = (error ?? {}) as SystemError;
  if (code === 'SQLITE_CONSTRAINT_UNIQUE' || code === 'SQLITE_CONSTRAINT_PRIMARYKEY')
    return told('alreadyThere');
  return { code: faultOfStorage(code) ?? 'internal', extra: {}, unexpected: true };
}

/** The one place where errors become answers: safe text, no stack, no SQL. */
export const problemHandler =
  (report: (error: unknown) => void): ErrorRequestHandler =>
  (error: unknown, _req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const { code, extra, unexpected } = problemOf(error);
    if (unexpected) report(error);
    sendProblem(res, code, extra);
  };
