/**
 * Words that are the id of an item and something else as well: a trait, a kind of liquid, a marker, a piece that is
 * counted, a role. In those meanings a rule may use them.
 */
export const ROLE_WORDS: ReadonlySet<string> = new Set(['water', 'honey']);
