import {
  type AnswerOf,
  type AnyRoute,
  addressOf,
  type FieldProblem,
  PROBLEM_TYPE,
  type Problem,
  type Sent,
} from '@big-ladle/core/contract';
import * as v from 'valibot';
import { sayProblem } from '../words/problemWords.ts';

/** An answer of the server that is not the one wished for; `detail` is fit to show. */
export class ApiError extends Error {
  readonly detail: string;
  constructor(
    readonly status: number,
    readonly body: Partial<Problem>,
  ) {
    const detail = sayProblem(body);
    super(detail);
    this.detail = detail;
  }

  get code(): string {
    return this.body.title ?? 'unknown';
  }
  get fields(): readonly FieldProblem[] {
    return this.body.fields ?? [];
  }
  /** The kitchen server itself has said so, and not something between it and this page. */
  get ours(): boolean {
    return this.body.type?.startsWith(PROBLEM_TYPE) === true;
  }
}

/** The server could not be reached: nothing is lost, it is tried again. */
export class OfflineError extends Error {
  /** @param foreign something answered, and not as our server does. */
  constructor(readonly foreign = false) {
    super();
  }
}

const problemSchema = v.looseObject({});

/**
 * Asks the server for what a route of the contract says.
 * @param file sent as it is, as the body.
 * @throws ApiError, OfflineError
 */
export async function ask<R extends AnyRoute>(route: R, sent: Sent<R>, file?: Blob): Promise<AnswerOf<R>> {
  const { body } = sent as { body?: unknown };
  let response: Response;
  try {
    response = await fetch(`/api${addressOf(route, sent as Parameters<typeof addressOf>[1])}`, {
      method: route.method,
      ...(body === undefined
        ? {}
        : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
      ...(file ? { headers: { 'Content-Type': file.type || 'application/x-ndjson' }, body: file } : {}),
    });
  } catch {
    throw new OfflineError();
  }
  const parsed: unknown = response.status === 204 ? undefined : await response.json().catch(() => null);
  if (response.ok) {
    const answer = v.safeParse(route.answer, parsed);
    // Something else answers in the server's place: a page of the network, an older program.
    if (!answer.success) throw new OfflineError(true);
    return answer.output as AnswerOf<R>;
  }
  const problem = v.safeParse(problemSchema, parsed);
  throw new ApiError(response.status, problem.success ? problem.output : {});
}
