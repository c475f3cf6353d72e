import { ABBREVIATIONS } from '../../tables/reading/measureWords.ts';
import { clausesIn, plainVerb } from './clauses.ts';
import { nameAt } from './lexicon.ts';
import { lotAt } from './lotNames.ts';
import { quantityAt } from './quantities.ts';
import { type Thing, thingsIn } from './things.ts';
import type { Token } from './tokens.ts';

/** A row of the text: tokens from, end not included, without its bullet. */
export interface Row {
  from: number;
  end: number;
  bullet: boolean;
  /** Its bullet is a small picture. */
  picture: boolean;
  /** An empty row stands before it. */
  gap: boolean;
}

export interface Sentence {
  from: number;
  /** At the sign that ends it. */
  end: number;
}

/** What belongs to one drink. */
export interface Block {
  /** The row, or a part of it, that names the drink. */
  title: { from: number; to: number } | null;
  listed: { from: number; end: number; things: Thing[] }[];
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

const INGREDIENTS =
  /^ (?:ingredients?|(?:you(?:'ll| will)? ?need)|what you(?:'ll)? need|what goes in(?: it)?|needs?|you need|shopping|what is in it|for the (?:drink|syrup|base|tea)) ?(?:\([^)]*\) )?:? ?$/;
const METHOD =
  /^ (?:methods?|directions?|instructions?|steps|preparation|what to do|how to make(?: it)?|to make|procedure|the way|making it|how) ?:? ?$/;
const INGREDIENTS_HEAD = /^ (?:ingredients?|you(?:'ll| will)? ?need|needs?|what you need) : /;
const METHOD_HEAD = /^ (?:methods?|directions?|instructions?|preparation|procedure|how) : /;
/** "Prep: 10 min | Cook: 35 min": times of the whole, and for how many it is. */
const META =
  /^ (?:prep(?:aration)?|cook(?:ing)?|total|active|ready|time|servings?|serves|yields?|makes|difficulty|cuisine|course)(?: time| in)? ?[:|-] /;
const PART_HEAD = /^ (?:for|the) (?:the )?[a-z]+(?: [a-z]+)? ?: ?$/;
const NOTES_HEAD = /^ (?:notes?|tips?|keeps?|storage|conservation|serving) ?:? ?$/;

/** What was told already, told again by the clock or by what stands where. */
const AGAIN_HEAD =
  /^ (?:the way of this drink|time ?table|schedule|at a glance|overview|in short|what happens when) ?:? ?$/;
/** "Take care: …": what is to be minded, and nothing to do. */
const REMARK = /^ (?:take care|be careful|careful|caution|warning|safety) : /;
/** The words of a cook in a text that others wrote. */
const OWN_WORDS = /^ (?:the )?cook (?:says|writes|notes) : /;

/** A later title is no longer than this, in words and signs. */
const LONGEST_TITLE = 9;
/** No heading has more words and signs than this. */
const LONGEST_HEAD = 40;

const BULLETS = new Set(['-', '–', '—', '*', '•', '·', '▪', '‣', '>', '+', '~']);
const pictograph = /\p{Extended_Pictographic}/u;

const words = (tokens: readonly Token[], from: number, end: number): string =>
  ` ${tokens
    .slice(from, end)
    .map((t) => t.t)
    .join(' ')} `;

/** More than a line of dashes. */
function hasWords(tokens: readonly Token[], from: number, end: number): boolean {
  for (let i = from; i < end; i++) if (!/^[-=_*#|.]$/.test(tokens[i]!.t)) return true;
  return false;
}

/** The rows of a text, past their bullets and numbers. */
export function rowsOf(tokens: readonly Token[]): Row[] {
  const rows: Row[] = [];
  let from = 0;
  let gap = false;
  for (let i = 0; i <= tokens.length; i++) {
    if (i < tokens.length && tokens[i]!.kind !== 'row') continue;
    if (i === from) {
      gap = true;
      from = i + 1;
      continue;
    }
    let a = from;
    let bullet = false;
    let picture = false;
    while (a < i && (BULLETS.has(tokens[a]!.t) || pictograph.test(tokens[a]!.t) || tokens[a]!.t === '→')) {
      bullet = true;
      picture = pictograph.test(tokens[a]!.t);
      a++;
    }
    if (tokens[a]?.t === 'step' && tokens[a + 1]?.kind === 'number' && a + 2 < i) {
      a += 2;
      bullet = true;
      if (tokens[a]?.t === ':' || tokens[a]?.t === '.') a++;
    }
    const number = tokens[a];
    const sign = tokens[a + 1]?.t;
    if (
      number?.kind === 'number' &&
      Number.isInteger(number.value) &&
      number.value! <= 60 &&
      (sign === '.' || sign === ')') &&
      a + 2 < i
    ) {
      a += 2;
      bullet = true;
    }
    if (hasWords(tokens, a, i)) rows.push({ from: a, end: i, bullet, picture, gap });
    gap = false;
    from = i + 1;
  }
  return rows;
}

const ENDS = new Set(['.', '!', '?', ';', '→', '…', '>']);

/** A sentence longer than this is cut at its next pause, or where it is: what it costs to read grows with its square. */
const LONGEST_SENTENCE = 120;
const PAUSES: ReadonlySet<string> = new Set([',', ':', '-', '(', ')', '/']);

/** Sentences of a stretch of tokens. */
export function sentencesOf(tokens: readonly Token[], from: number, end: number): Sentence[] {
  const out: Sentence[] = [];
  let start = from;
  const close = (at: number) => {
    if (at > start) out.push({ from: start, end: at });
    start = at + 1;
  };
  for (let i = from; i < end; i++) {
    const { t } = tokens[i]!;
    if (t === '.') {
      const before = tokens[i - 1];
      const next = tokens[i + 1];
      if (
        before &&
        ABBREVIATIONS.has(before.t) &&
        next &&
        i + 1 < end &&
        !next.capital &&
        next.kind !== 'row' &&
        !plainVerb(tokens, i + 1, end)
      )
        continue;
      close(i);
    } else if (ENDS.has(t) || pictograph.test(t)) close(i);
    else if (i - start >= LONGEST_SENTENCE && (PAUSES.has(t) || i - start >= 2 * LONGEST_SENTENCE)) {
      if (i > start) out.push({ from: start, end: i });
      start = i;
    }
  }
  close(end);
  return out;
}

/** A row of a list is no longer than this. */
const MOST_IN_A_ROW = 80;

/** A row that reads like one of a list: something with an amount, and no deed. */
function listedThings(tokens: readonly Token[], row: Row, inList: boolean): Thing[] | null {
  const count = row.end - row.from;
  if (count > MOST_IN_A_ROW) return null;
  const wordCount = tokens.slice(row.from, row.end).filter((t) => t.kind === 'word').length;
  const things = thingsIn(tokens, row.from, row.end, true);
  const named = things.filter((t) => t.entry.kind !== 'group');
  if (inList) {
    if (named.length) return things;
    return null;
  }
  if (count > 40) return null;
  const sentences = sentencesOf(tokens, row.from, row.end);
  const clauses = sentences.flatMap((s) => clausesIn(tokens, s.from, s.end, 0));
  const deeds = clauses.flatMap((c) => c.hits.filter((h) => h.deeds[0] !== 'aux'));
  if (deeds.length) return null;
  if (clauses.some((c) => c.times.length)) return null;
  if (!named.length) return null;
  const amounts = named.filter((t) => t.quantity || t.toTaste);
  if (amounts.length && wordCount <= 7 * named.length + 3) return things;
  // "salt", "cinnamon": names alone, in a row of their own.
  return wordCount <= 4 && row.bullet ? things : null;
}

const isTitleRow = (tokens: readonly Token[], row: Row): boolean => {
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
function titleEnd(tokens: readonly Token[], from: number, end: number): number {
  for (let i = from; i < end; i++) {
    const { t } = tokens[i]!;
    if (t === '(' || t === '.' || t === '!' || t === '|' || t === ':' || (pictograph.test(t) && i > from))
      return i;
    if (t === ',' && (quantityAt(tokens, i + 1)?.measured === 'amount' || i - from >= 2)) return i;
    if (t === '-' && quantityAt(tokens, i + 1)) return i;
  }
  return end;
}

/** "Dear one,", "Hello you two,": a greeting names no drink. */
const GREETING =
  /^ (?:my )?(?:dear|hello|hi|hey|morning|good morning|to whom|ok|okay|so|right|all right|alright) /;

/** Takes a text apart into its drinks, and each into what goes in and what is done. */
export function segment(tokens: readonly Token[]): Block[] {
  const rows = rowsOf(tokens);
  const speakers = speakersIn(tokens, rows);
  const blocks: Block[] = [];
  let block = newBlock();
  let section: 'list' | 'method' | 'again' | null = null;
  let listRows = 0;
  const start = () => {
    block = newBlock();
    blocks.push(block);
    section = null;
    listRows = 0;
  };
  start();
  for (const [index, row] of rows.entries()) {
    let { from } = row;
    const speaker = speakers.get(index);
    if (speaker !== undefined) {
      block.silent.push({ from, end: speaker });
      from = speaker;
    }
    // Headings are short.
    const text = words(tokens, from, Math.min(row.end, from + LONGEST_HEAD));
    if (INGREDIENTS.test(text)) {
      section = 'list';
      block.silent.push({ from, end: row.end });
      continue;
    }
    if (METHOD.test(text) || NOTES_HEAD.test(text)) {
      section = 'method';
      block.silent.push({ from, end: row.end });
      continue;
    }
    if (section !== 'again' && AGAIN_HEAD.test(text) && deedsIn(tokens, block)) {
      section = 'again';
      block.silent.push({ from, end: row.end });
      continue;
    }
    const own = OWN_WORDS.test(text);
    // What names an amount of something is more than a remark.
    const remarks =
      own ||
      (REMARK.test(text) &&
        !thingsIn(tokens, from, row.end, false).some((t) => t.quantity && !t.quantity.article));
    const begins =
      section === 'again' && row.gap && isTitleRow(tokens, row) && startsDrink(tokens, rows, index, block);
    if (begins) section = null;
    if (section === 'again' || remarks) {
      block.asides.push({ from, end: row.end, afterSentence: block.told.length, own });
      continue;
    }
    if (META.test(text)) {
      block.heads.push({ from, end: row.end });
      block.meta.push({ from, end: row.end });
      continue;
    }
    if (PART_HEAD.test(text)) {
      section = 'list';
      block.silent.push({ from, end: row.end });
      continue;
    }
    if (METHOD_HEAD.test(text)) {
      while (tokens[from]!.t !== ':') from++;
      from++;
      section = 'method';
    }
    const head = INGREDIENTS_HEAD.exec(text);
    if (head) {
      let a = from;
      while (tokens[a]!.t !== ':') a++;
      block.silent.push({ from, end: a + 1 });
      const things = thingsIn(tokens, a + 1, row.end, true);
      block.listed.push({ from: a + 1, end: row.end, things });
      section = null;
      continue;
    }
    const rest = { ...row, from };
    const things = speakers.size
      ? null
      : listedThings(tokens, rest, section === 'list' && isListLike(tokens, rest));
    const titled = speaker === undefined && isTitle(tokens, rest, rows, index, block, things, text);
    if (titled) {
      // A second title with a list of its own begins another drink.
      if (block.title || block.listed.length || block.told.length) {
        if (startsDrink(tokens, rows, index, block)) start();
        else if (block.title) {
          block.silent.push({ from, end: row.end });
          continue;
        }
      }
      // "We made: tamarind and ginger for the market": the name comes after.
      const colon = titleEnd(tokens, from, row.end);
      if (
        tokens[colon]?.t === ':' &&
        colon - from <= 2 &&
        !thingsIn(tokens, from, colon, true).length &&
        thingsIn(tokens, colon + 1, row.end, true).length &&
        !thingsIn(tokens, colon + 1, titleEnd(tokens, colon + 1, row.end), true).some(
          (t) => t.quantity?.measure,
        )
      ) {
        block.heads.push({ from, end: colon });
        from = colon + 1;
      }
      const comma = titleEnd(tokens, from, row.end);
      // A comma in a name: "Beet and ginger, raw".
      const end = tokens[comma]?.t === ',' && standsOverFacts(tokens, rows, index) ? row.end : comma;
      block.title = { from, to: end };
      if (tokens[end]?.t !== ':') block.heads.push({ from: end, end: row.end });
      const [afterTitle, ...more] = sentencesOf(tokens, end, row.end);
      if (tokens[end]?.t === ':' && afterTitle) {
        const inRow = thingsIn(tokens, end + 1, row.end, true);
        if (inRow.filter((t) => t.quantity).length >= 2) {
          const [listSentence, ...told] = sentencesOf(tokens, end + 1, row.end);
          block.listed.push({
            from: end + 1,
            end: listSentence!.end,
            things: thingsIn(tokens, end + 1, listSentence!.end, true),
          });
          block.told.push(...told);
          continue;
        }
        block.told.push(...sentencesOf(tokens, end + 1, row.end));
        continue;
      }
      if (
        tokens[end]?.t === '.' ||
        tokens[end]?.t === '!' ||
        (tokens[end] && pictograph.test(tokens[end]!.t)) ||
        (tokens[end]?.t === ',' && more.length)
      )
        for (const s of sentencesOf(tokens, end, row.end)) {
          if (tellsOfSecond(tokens, s) && block.told.length > 2) start();
          if (s.end > s.from) block.told.push(s);
        }
      continue;
    }
    // Among what is done, a row of things stands where it goes in.
    const amongDeeds = section === null && things !== null && deedsIn(tokens, block);
    if (things && section !== 'method' && !amongDeeds) {
      block.listed.push({ from, end: row.end, things });
      listRows++;
      continue;
    }
    // Sections end with their first row that is none of theirs.
    if (section === 'list' && listRows === 0 && !things) section = 'list';
    else if (section === 'list') section = null;
    for (const s of sentencesOf(tokens, from, row.end)) {
      if (tellsOfSecond(tokens, s) && (block.told.length > 2 || block.listed.length)) start();
      block.told.push(s);
    }
  }
  const full = blocks.filter((b) => b.listed.length || b.told.length);
  return full.length ? full : blocks.filter((b) => b.title);
}

/** Something was done already in what was told; what was looked through before is not looked through again. */
function deedsIn(tokens: readonly Token[], block: Block): boolean {
  while (!block.hasDeeds && block.searched < block.told.length) {
    const s = block.told[block.searched++]!;
    block.hasDeeds = clausesIn(tokens, s.from, s.end, 0).some((c) =>
      c.hits.some((h) => !QUIET.has(h.deeds[0]!)),
    );
  }
  return block.hasDeeds;
}
const QUIET: ReadonlySet<string> = new Set(['aux', 'yield', 'keep', 'serve', 'introduce', 'taste', 'go']);

const newBlock = (): Block => ({
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

const isListLike = (tokens: readonly Token[], row: Row): boolean =>
  tokens.slice(row.from, row.end).filter((t) => t.kind === 'word').length <= 22 &&
  sentencesOf(tokens, row.from, row.end).length <= 2;

function isTitle(
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
    // "Two jugs for the steps / Makes: 6 L": what stands over the facts about the whole.
    const below = rows[index + 1];
    const under = below ? words(tokens, below.from, Math.min(below.end, below.from + LONGEST_HEAD)) : '';
    if ((META.test(under) || INGREDIENTS.test(under)) && !amounts.some((t) => t.quantity?.measure))
      return true;
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

/** "Two jugs for the steps / Makes: 6 L": what stands over the facts about the whole, or over the list, is its name. */
function standsOverFacts(tokens: readonly Token[], rows: readonly Row[], index: number): boolean {
  const below = rows[index + 1];
  if (index !== 0 || !below) return false;
  const text = words(tokens, below.from, Math.min(below.end, below.from + LONGEST_HEAD));
  return META.test(text) || INGREDIENTS.test(text);
}

const isCapitals = (tokens: readonly Token[], row: Row): boolean =>
  tokens.slice(row.from, row.end).every((t) => t.kind !== 'word' || t.capital);

/** What follows is a list of its own and what is done with it, and the drink before has its own too, or had none. */
function startsDrink(tokens: readonly Token[], rows: readonly Row[], index: number, block: Block): boolean {
  let listed = 0;
  for (const row of rows.slice(index + 1, index + 6)) if (listedThings(tokens, row, false)) listed++;
  if (listed < 2) return false;
  return (
    (block.listed.length >= 2 && block.told.length >= 1) ||
    (block.listed.length === 0 && block.told.length === 0)
  );
}

/** "The second one is …", "Now the other drink". */
const tellsOfSecond = (tokens: readonly Token[], s: Sentence): boolean =>
  /^ (?:and |now |then |so |ok |okay )*(?:the |for the |my )?(?:second|other|next|third) (?:one|drink|recipe|thing)(?: is|,|:|'s| you| we| i) /.test(
    words(tokens, s.from, Math.min(s.end, s.from + 9)),
  );

/** "A:", "Caller:": names of speakers at the heads of rows, where they come again. */
function speakersIn(tokens: readonly Token[], rows: readonly Row[]): Map<number, number> {
  const heads = new Map<string, number[]>();
  for (const [index, row] of rows.entries()) {
    const colon = tokens.slice(row.from, row.from + 3).findIndex((t) => t.t === ':');
    if (colon < 1) continue;
    const name = words(tokens, row.from, row.from + colon);
    if (nameAt(tokens, row.from) || tokens[row.from]!.kind !== 'word') continue;
    if (REMARK.test(`${name}: `) || OWN_WORDS.test(`${name}: `) || lotAt(tokens, row.from)) continue;
    heads.set(name, [...(heads.get(name) ?? []), index]);
  }
  const out = new Map<number, number>();
  for (const [, indexes] of heads)
    if (indexes.length >= 2)
      for (const index of indexes) {
        const row = rows[index]!;
        let a = row.from;
        while (tokens[a]!.t !== ':') a++;
        out.set(index, a + 1);
      }
  return out;
}
