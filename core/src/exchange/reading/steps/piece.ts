import type { Clause } from '../clauses/clauses.ts';
import type { Done } from '../deeds.ts';
import type { Length } from '../details.ts';
import type { Thing } from '../things/thing.ts';
import type { Span } from '../types.ts';
import { type DraftStep, EVERYTHING, families, type StepBuilder } from './builder.ts';

/** A piece of a sentence that does one thing, with what it says. */
export interface Piece {
  clause: Clause;
  words: string;
  span: Span;
  /** What it names, but for what is said not to go in. */
  things: readonly Thing[];
  except: readonly Thing[];
  length: Length | null;
  verb: string;
  deed: Done['deed'];
  /** How much was understood before it. */
  known: number;
}

/** What a piece names goes in at a step. */
export function told(b: StepBuilder, c: Piece, step: DraftStep): void {
  for (const line of b.meant(c.clause, c.words, c.things)) b.place(line, step, false);
  for (const thing of c.things) for (const line of b.named(thing)) b.place(line, step, false, thing);
  for (const { line, portion } of b.lines.ofPart(c.words)) b.place(line, step, false, undefined, portion);
}

/** The same, and where a piece says "everything", whatever goes in nowhere else. */
export function toldAll(b: StepBuilder, c: Piece, step: DraftStep): void {
  told(b, c, step);
  if (EVERYTHING.test(c.words)) step.everything = { except: families(c.except) };
}
