/**
 * For a field that is emptied once what stood in it is stored: what was typed into it meanwhile stays.
 * `setName(emptied(name, ''))`
 */
export const emptied =
  <T>(stored: T, empty: T) =>
  (now: T): T =>
    Object.is(now, stored) ? empty : now;
