import type { Clause } from './clauses/clauses.ts';
import type { Block } from './segments/block.ts';
import type { ReadDrink, Span } from './types.ts';

/** A drink with what its reading leaves for the review. */
export interface ReadBlock {
  drink: ReadDrink;
  block: Block;
  /** Places of the text that said something. */
  understood: Span[];
  /** By line and step, all the places that told of it. */
  told: Map<string, Span[]>;
  clauses: Clause[];
}
