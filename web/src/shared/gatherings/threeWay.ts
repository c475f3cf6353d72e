/** What JSON holds. */
type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json | undefined };

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
const isObject = (x: Json | undefined): x is { readonly [key: string]: Json | undefined } =>
  typeof x === 'object' && x !== null && !Array.isArray(x);
const isList = (x: Json | undefined): x is readonly Json[] => Array.isArray(x);

/** What a row of a list is known by: its id where it has one, else all of it. */
const keyOf = (row: Json): string =>
  isObject(row) && typeof row.id === 'string' ? `id ${row.id}` : JSON.stringify(row);

/**
 * A document that was changed in two places: what was changed here is laid over what stands there by now. Objects are
 * merged field by field, lists row by row; where both changed the same figure, what was changed here counts.
 * @param base as it was before it was changed here. @param mine as it is here. @param theirs as it is there.
 */
export function threeWay<T>(base: T, mine: T, theirs: T): T {
  return merged(base as Json, mine as Json, theirs as Json) as T;
}

function merged(base: Json | undefined, mine: Json | undefined, theirs: Json | undefined): Json | undefined {
  if (same(base, mine)) return theirs;
  if (same(base, theirs) || same(mine, theirs)) return mine;
  if (isObject(mine) && isObject(theirs)) return fields(isObject(base) ? base : {}, mine, theirs);
  if (isList(mine) && isList(theirs)) return rows(isList(base) ? base : [], mine, theirs);
  return mine;
}

function fields(
  base: { readonly [key: string]: Json | undefined },
  mine: { readonly [key: string]: Json | undefined },
  theirs: { readonly [key: string]: Json | undefined },
): Json {
  const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
  return Object.fromEntries(
    [...keys].flatMap((key) => {
      const value = merged(base[key], mine[key], theirs[key]);
      return value === undefined ? [] : [[key, value]];
    }),
  );
}

function rows(base: readonly Json[], mine: readonly Json[], theirs: readonly Json[]): Json {
  const [was, here, there] = [base, mine, theirs].map(
    (list) => new Map(list.map((row) => [keyOf(row), row])),
  );
  // Taken out in one place it is gone, unless the other has changed it meanwhile.
  const kept = (key: string): Json | undefined => {
    const [b, m, t] = [was!.get(key), here!.get(key), there!.get(key)];
    if (m === undefined) return b === undefined || !same(b, t) ? t : undefined;
    if (t === undefined) return b === undefined || !same(b, m) ? m : undefined;
    return merged(b, m, t);
  };
  // In the order of there; what came in here comes last.
  const keys = [...there!.keys(), ...[...here!.keys()].filter((key) => !there!.has(key))];
  return keys.flatMap((key) => {
    const row = kept(key);
    return row === undefined ? [] : [row];
  });
}
