import { thingsIn } from '../things/things.ts';
import type { Token } from '../tokens.ts';
import { type Block, deedsIn, newBlock } from './block.ts';
import {
  AGAIN_HEAD,
  INGREDIENTS,
  INGREDIENTS_HEAD,
  LONGEST_HEAD,
  META,
  METHOD,
  METHOD_HEAD,
  NOTES_HEAD,
  OWN_WORDS,
  PART_HEAD,
  PART_LIST,
  PART_NAME,
  REMARK,
} from './headings.ts';
import { isListLike, listedThings } from './listed.ts';
import { pictograph, rowsOf, words } from './rows.ts';
import { type Sentence, sentencesOf } from './sentences.ts';
import { speakersIn } from './speakers.ts';
import { isTitle, isTitleRow, standsOverFacts, startsDrink, titleEnd } from './titleRows.ts';

/** Takes a text apart into its drinks, and each into what goes in and what is done. */
export function segment(tokens: readonly Token[]): Block[] {
  const rows = rowsOf(tokens);
  const speakers = speakersIn(tokens, rows);
  const blocks: Block[] = [];
  let block = newBlock();
  let section: 'list' | 'method' | 'again' | null = null;
  let listRows = 0;
  let part: string | undefined;
  const start = () => {
    part = undefined;
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
      part = partOf(text).part;
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
    if (PART_LIST.test(text) && !speakers.size) {
      const colon = from + tokens.slice(from, row.end).findIndex((t) => t.t === ':');
      const inRow = thingsIn(tokens, colon + 1, row.end, true);
      if (inRow.filter((t) => t.quantity).length >= 2) {
        block.silent.push({ from, end: colon + 1 });
        block.listed.push({ from: colon + 1, end: row.end, things: inRow, ...partOf(text) });
        continue;
      }
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
      block.listed.push({ from, end: row.end, things, ...(part && section === 'list' ? { part } : {}) });
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

/** "The second one is …", "Now the other drink". */
const tellsOfSecond = (tokens: readonly Token[], s: Sentence): boolean =>
  /^ (?:and |now |then |so |ok |okay )*(?:the |for the |my )?(?:second|other|next|third) (?:one|drink|recipe|thing)(?: is|,|:|'s| you| we| i) /.test(
    words(tokens, s.from, Math.min(s.end, s.from + 9)),
  );

/** "For the syrup:" begins the list of a part. */
function partOf(heading: string): { part?: string } {
  const name = PART_NAME.exec(heading)?.[1];
  return name ? { part: name } : {};
}
