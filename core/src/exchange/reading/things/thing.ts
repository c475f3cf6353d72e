import type { Entry } from '../lexicon.ts';
import type { Quantity } from '../quantities/quantities.ts';
import type { Token } from '../tokens.ts';

/** A thing that a text names, with the amount and the words about it. Places are those of tokens. */
export interface Thing {
  from: number;
  to: number;
  entry: Entry | { kind: 'unknown'; name: string };
  quantity: Quantity | null;
  /** Words for its form and its size. */
  forms: string[];
  /** "For blending": the form it will be in, whatever is done to it before. */
  meantFor: string | null;
  /** Peel, core, juice: one thing for each. */
  part: string | null;
  /** Named as something that is known already: "the sugar". */
  definite: boolean;
  /** More of it. */
  more: boolean;
  /** "half of the sugar": a share of what there is; "the rest": 1, rest. */
  share: number | null;
  rest: boolean;
  toTaste: boolean;
  optional: boolean;
  perL: boolean;
  misspelled: boolean;
}

export const BARE: Omit<Thing, 'from' | 'to' | 'entry'> = {
  quantity: null,
  forms: [],
  meantFor: null,
  part: null,
  definite: false,
  more: false,
  share: null,
  rest: false,
  toTaste: false,
  optional: false,
  perL: false,
  misspelled: false,
};

export const JOINS = new Set(['plus', '+', 'and', '&']);

export const word = (tokens: readonly Token[], i: number, end: number): string =>
  i < end ? (tokens[i]?.t ?? '') : '';

/** Forms of which a thing is told right behind its name: "ginger powder". */
export const TAILS = new Set(
  'powder slices slice sticks stick root roots seeds seed pods pod berries berry flowers flower petals pulp paste block syrup extract corns stalks stalk sprigs sprig cubes chunks strips calyx calyces bark flesh siftings dust puree rounds pieces'.split(
    ' ',
  ),
);
