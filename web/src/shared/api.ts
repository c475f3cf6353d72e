import type { FieldProblem, Problem } from './apiTypes.ts';

/** An answer of the server that is not the one wished for; `detail` is fit to show. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly detail: string,
    readonly fields: readonly FieldProblem[],
    readonly body: Problem,
  ) {
    super(detail);
  }

  /** The kitchen server itself has said so, and not something between it and this page. */
  get ours(): boolean {
    return this.body.type?.startsWith('urn:big-ladle:problem:') === true;
  }
}

/** The server could not be reached: nothing is lost, it is tried again. */
export class OfflineError extends Error {}

export async function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      ...(body === undefined
        ? {}
        : { headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new OfflineError('The kitchen server does not answer.');
  }
  if (response.status === 204) return undefined as T;
  const parsed: unknown = await response.json().catch(() => null);
  if (response.ok && parsed === null) throw new OfflineError('What answers is not the kitchen server.');
  if (response.ok) return parsed as T;
  const problem = (parsed ?? {}) as Problem;
  throw new ApiError(
    response.status,
    problem.title ?? 'unknown',
    problem.detail ?? 'The server could not do that.',
    problem.fields ?? [],
    problem,
  );
}
