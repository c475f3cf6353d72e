import { clausesIn } from '../clauses/clauses.ts';
import type { Thing } from '../things/thing.ts';
import type { Token } from '../tokens.ts';
import type { Sentence } from './sentences.ts';

/** What belongs to one drink. */
export interface Block {
  /** The row, or a part of it, that names the drink. */
  title: { from: number; to: number } | null;
  /** `part`: the part of the drink that a heading says it is for, "the syrup". */
  listed: { from: number; end: number; things: Thing[]; part?: string }[];
  told: Sentence[];
  /** Headings and speakers' names: they say nothing of the drink. */
  silent: { from: number; end: number }[];
  /** Rows that only remark on what stands before them: what is to be minded, the cook's own words, all of it told again. */
  asides: { from: number; end: number; afterSentence: number; own: boolean }[];
  /** Rows of facts about the whole: they are no steps. */
  meta: { from: number; end: number }[];
  /** What was told has a deed in it, as far as it was searched. */
  hasDeeds: boolean;
  searched: number;
  /** Rows that may tell how much it makes. */
  heads: { from: number; end: number }[];
}

/** Something was done already in what was told; what was looked through before is not looked through again. */
export function deedsIn(tokens: readonly Token[], block: Block): boolean {
  while (!block.hasDeeds && block.searched < block.told.length) {
    const s = block.told[block.searched++]!;
    block.hasDeeds = clausesIn(tokens, s.from, s.end, 0).some((c) =>
      c.hits.some((h) => !QUIET.has(h.deeds[0]!)),
    );
  }
  return block.hasDeeds;
}

const QUIET: ReadonlySet<string> = new Set(['aux', 'yield', 'keep', 'serve', 'introduce', 'taste', 'go']);

export const newBlock = (): Block => ({
  title: null,
  listed: [],
  told: [],
  silent: [],
  asides: [],
  meta: [],
  hasDeeds: false,
  searched: 0,
  heads: [],
});
