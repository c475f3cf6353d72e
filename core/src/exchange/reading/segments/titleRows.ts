import { clausesIn } from '../clauses/clauses.ts';
import { nameAt } from '../lexicon.ts';
import { quantityAt } from '../quantities/quantities.ts';
import type { Thing } from '../things/thing.ts';
import { thingsIn } from '../things/things.ts';
import type { Token } from '../tokens.ts';
import { type Block, deedsIn } from './block.ts';
import { GREETING, INGREDIENTS, LONGEST_HEAD, META, METHOD, NOTES_HEAD } from './headings.ts';
import { listedThings } from './listed.ts';
import { pictograph, type Row, words } from './rows.ts';
import { sentencesOf } from './sentences.ts';

/** A later title is no longer than this, in words and signs. */
const LONGEST_TITLE = 9;

export const isTitleRow = (tokens: readonly Token[], row: Row): boolean => {
  const wordCount = tokens
    .slice(row.from, titleEnd(tokens, row.from, row.end))
    .filter((t) => t.kind === 'word').length;
  if (wordCount === 0 || wordCount > 14) return false;
  const first = sentencesOf(tokens, row.from, row.end)[0];
  if (!first) return false;
  const text = words(tokens, row.from, Math.min(row.end, row.from + LONGEST_HEAD));
  if (INGREDIENTS.test(text) || METHOD.test(text) || NOTES_HEAD.test(text)) return false;
  return true;
};

/** Where a title ends: before brackets, a comma with an amount, a colon, the second sentence. */
export function titleEnd(tokens: readonly Token[], from: number, end: number): number {
  for (let i = from; i < end; i++) {
    const { t } = tokens[i]!;
    if (t === '(' || t === '.' || t === '!' || t === '|' || t === ':' || (pictograph.test(t) && i > from))
      return i;
    if (t === ',' && (quantityAt(tokens, i + 1)?.measured === 'amount' || i - from >= 2)) return i;
    if (t === '-' && quantityAt(tokens, i + 1)) return i;
  }
  return end;
}

export function isTitle(
  tokens: readonly Token[],
  row: Row,
  rows: readonly Row[],
  index: number,
  block: Block,
  things: Thing[] | null,
  text: string,
): boolean {
  if (!isTitleRow(tokens, row) || (row.bullet && !(index === 0 && row.picture))) return false;
  const amounts = (things ?? []).filter((t) => t.quantity && !t.quantity.article);
  // Later titles stand alone after a gap, before a list or a method of their own.
  if (index > 0 && (amounts.length > 0 || row.end - row.from > LONGEST_TITLE)) return false;
  if (index > 0 && !row.gap && !isCapitals(tokens, row)) return false;
  const first = sentencesOf(tokens, row.from, row.end)[0]!;
  const end = titleEnd(tokens, row.from, row.end);
  const beforeColon = tokens[end]?.t === ':';
  const clauses = clausesIn(tokens, first.from, Math.min(first.end, end), 0);
  const deeds = clauses.some((c) => c.hits.some((h) => h.deeds[0] !== 'aux' && h.deeds[0] !== 'yield'));
  if (tokens[first.end]?.t === '?') return false;
  if (index === 0) {
    const heads = standsOverFacts(tokens, rows, index) || standsOverList(tokens, rows, index);
    if (heads && !amounts.some((t) => t.quantity?.measure)) return true;
    if (GREETING.test(text) && !beforeColon) return false;
    if (/^ (?:the |my )?first (?:one|drink|recipe) is /.test(text)) return false;
    if (/^ [a-z]+ : /.test(text) && end - row.from === 1 && !nameAt(tokens, row.from)) return false;
    const yields = / (?:makes?|yields?|serves) [a-z0-9 ]*\d/.test(text);
    if (yields && row.end - row.from > 8) return false;
    if (
      quantityAt(tokens, row.from)?.measured === 'amount' &&
      !quantityAt(tokens, row.from)!.article &&
      !beforeColon
    )
      return false;
    const inTitle = thingsIn(tokens, row.from, end, true).some(
      (t) => t.quantity?.measure && !t.quantity.article,
    );
    if (inTitle && !beforeColon) return false;
    return !deeds || tokens[row.from]!.t === 'to';
  }
  if (deeds || beforeColon) return false;
  if (tokens[row.end - 1]!.t === '.' || tokens[row.end - 1]!.t === ',') return false;
  if (/^ (?:for|the) (?:the )?[a-z]+ ?:? $/.test(text)) return false;
  const next = rows[index + 1];
  if (!next) return false;
  if (/ (?:love|yours|greetings|thank|thanks|kiss|write|serves|makes|yield|yields|makes) /.test(text))
    return false;
  return block.title === null ? !deedsIn(tokens, block) : startsDrink(tokens, rows, index, block);
}

/** "Cold-brew hibiscus / 60 g hibiscus / 2 L water / …": a list in one row stands under it. */
function standsOverList(tokens: readonly Token[], rows: readonly Row[], index: number): boolean {
  const [row, below] = [rows[index], rows[index + 1]];
  if (index !== 0 || !row || !below || row.end - row.from > LONGEST_TITLE) return false;
  if (tokens[row.end - 1]!.t === '.' || below.end - below.from > LONGEST_LIST_ROW) return false;
  const things = thingsIn(tokens, below.from, below.end, true);
  return things.filter((t) => t.quantity && !t.quantity.article).length >= 3;
}
const LONGEST_LIST_ROW = 80;

/** "Two jugs for the steps / Makes: 6 L": what stands over the facts about the whole, or over the list, is its name. */
export function standsOverFacts(tokens: readonly Token[], rows: readonly Row[], index: number): boolean {
  const below = rows[index + 1];
  if (index !== 0 || !below) return false;
  const text = words(tokens, below.from, Math.min(below.end, below.from + LONGEST_HEAD));
  return META.test(text) || INGREDIENTS.test(text);
}

const isCapitals = (tokens: readonly Token[], row: Row): boolean =>
  tokens.slice(row.from, row.end).every((t) => t.kind !== 'word' || t.capital);

/** What follows is a list of its own and what is done with it, and the drink before has its own too, or had none. */
export function startsDrink(
  tokens: readonly Token[],
  rows: readonly Row[],
  index: number,
  block: Block,
): boolean {
  let listed = 0;
  for (const row of rows.slice(index + 1, index + 6)) if (listedThings(tokens, row, false)) listed++;
  if (listed < 2) return false;
  return (
    (block.listed.length >= 2 && block.told.length >= 1) ||
    (block.listed.length === 0 && block.told.length === 0)
  );
}
