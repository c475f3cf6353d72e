/**
 * Recipes as people send them, made up for the tests in differing voices, each with the facts that a careful reader takes
 * from it. They were written before the reader was. A fact may be set right where a careful reader would disagree with it;
 * none is tuned to what the reader can do.
 */
export interface CorpusText {
  id: string;
  /** How it was written. */
  manner: Manner;
  /** Prose, speech or shorthand, in which a list and its method are not told apart. */
  messy: boolean;
  /** Long and told rather than written. */
  long?: boolean;
  /** Whose cups and pints are meant. */
  system: 'metric' | 'us';
  text: string;
  drinks: readonly ExpectedDrink[];
  /** Words of it which nobody could turn into a part of a recipe, and which must be shown as not understood. */
  lost?: readonly string[];
}

export const MANNERS = [
  'list',
  'card',
  'message',
  'spoken',
  'letter',
  'imperial',
  'caption',
  'notebook',
  'dialogue',
  'translated',
] as const;
export type Manner = (typeof MANNERS)[number];

export interface ExpectedDrink {
  /** Undefined: the text does not say. */
  title?: string;
  /** "4 l", "10-12 bottle". Undefined: the text does not say. */
  yield?: string;
  /**
   * "item | amount | where". The item is an item id (its form is said), a family id (its form is not said) or "?name" for
   * what no table knows. The amount: "120 g", "2-3 cup", "2 heaped tbsp", "6" (pieces), "taste", "cover", "few", "-" (not
   * said). Where: the step it goes in at, counted from one; several as "3+5"; "-" where none is said.
   */
  lines: readonly string[];
  /**
   * "kind" and what is said of it: "25-30m", "8h", "2d", "80C", "x3" (rinses), "lid:on", "place:fridge", "press:wring",
   * "by:sieve*2+cloth", "level:simmer", "to:hot", "down:0.5", "thrown", "keep", "cue".
   */
  steps: readonly string[];
}
