/** A value, or a typed problem. Core never phrases text: the edge turns `kind` into words. */
export type Result<T, P> = { ok: true; value: T } | { ok: false; problem: P };

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });
export const fail = <P>(problem: P): { ok: false; problem: P } => ({ ok: false, problem });

/**
 * The value of a result, for scripts and tests that know it is good.
 * @throws Error carrying the problem as JSON.
 */
export function unwrap<T, P>(result: Result<T, P>): T {
  if (result.ok) return result.value;
  throw new Error(`unwrapped a problem: ${JSON.stringify(result.problem)}`);
}

/** A word code with its figures: all sentences live at the edge, in `words/`. */
export interface Said {
  code: string;
  params: Readonly<Record<string, string | number>>;
}

export const said = (code: string, params: Said['params'] = {}): Said => ({ code, params });
