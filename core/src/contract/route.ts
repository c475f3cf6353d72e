import * as v from 'valibot';

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** The names in a path: of `/batches/:id/start` it is `id`. */
export type ParamsOf<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? { [K in Name]: string } & ParamsOf<`/${Rest}`>
  : Path extends `${string}:${infer Name}`
    ? { [K in Name]: string }
    : object;

type Schema<T> = v.GenericSchema<unknown, T>;

/**
 * One thing that a window may ask of the server: where, with what, and what comes back. What is sent is checked by the
 * server; what comes back is the server's own, typed here and not read again.
 */
export interface Route<Path extends string, Query, Body, Answer> {
  method: Method;
  path: Path;
  query: Schema<Query>;
  body: Schema<Body>;
  answer: Schema<Answer>;
}
export type AnyRoute = Route<string, unknown, unknown, unknown>;

export type QueryOf<R> = R extends Route<string, infer Q, unknown, unknown> ? Q : never;
export type BodyOf<R> = R extends Route<string, unknown, infer B, unknown> ? B : never;
export type AnswerOf<R> = R extends Route<string, unknown, unknown, infer A> ? A : never;
export type PathOf<R> = R extends Route<infer P, unknown, unknown, unknown> ? P : never;

const NOTHING = v.custom<undefined>(() => true);
const NO_QUERY = v.object({});

interface Parts<Query, Body, Answer> {
  query?: Schema<Query>;
  body?: Schema<Body>;
  answer?: Schema<Answer>;
}

const of =
  (method: Method) =>
  <const Path extends string, Query = object, Body = undefined, Answer = undefined>(
    path: Path,
    parts: Parts<Query, Body, Answer> = {},
  ): Route<Path, Query, Body, Answer> => ({
    method,
    path,
    query: parts.query ?? (NO_QUERY as unknown as Schema<Query>),
    body: parts.body ?? (NOTHING as unknown as Schema<Body>),
    answer: parts.answer ?? (NOTHING as unknown as Schema<Answer>),
  });

export const get = of('GET');
export const post = of('POST');
export const put = of('PUT');
export const del = of('DELETE');

/** An answer that the server works out from what it has: its type stands here, and it is an object. */
export const computed = <T extends object>() =>
  v.custom<T>((value) => typeof value === 'object' && value !== null, 'computed');

type Given<K extends string, T> = undefined extends T
  ? { [P in K]?: T }
  : object extends T
    ? { [P in K]?: T }
    : { [P in K]: T };
type AddressOf<Query> = { [K in keyof Query]: Query[K] | number };

/** What a window gives with a route: what stands in its path, what is asked of it, what it sends. */
export type Sent<R> = Given<'params', ParamsOf<PathOf<R>>> &
  Given<'body', BodyOf<R>> & { query?: AddressOf<QueryOf<R>> };

/** A route's address with its params and query in it. */
export function addressOf(
  route: AnyRoute,
  sent: { params?: Readonly<Record<string, string>>; query?: Readonly<Record<string, unknown>> },
): string {
  const path = route.path.replace(/:(\w+)/g, (_, name: string) =>
    encodeURIComponent(sent.params?.[name] ?? ''),
  );
  const query = new URLSearchParams(
    Object.entries(sent.query ?? {}).flatMap(([key, value]): [string, string][] =>
      value === undefined ? [] : [[key, String(value)]],
    ),
  ).toString();
  return query ? `${path}?${query}` : path;
}
