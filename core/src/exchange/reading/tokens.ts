import type { Span } from './types.ts';

/** A word, a figure or a sign of the text. */
export interface Token extends Span {
  /** Small letters, no accents; signs as they are. */
  t: string;
  kind: 'word' | 'number' | 'sign' | 'row';
  /** The first letter is a capital one. */
  capital: boolean;
  /** The value of a figure. */
  value?: number;
  /** Its value where its one point or comma is the decimal sign after all: 2.125 litres. */
  otherValue?: number;
}

const FRACTION_SIGNS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};

/** Letters without their accents, small. It keeps the length of the text where letters are single code units. */
export const plain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

// A figure with its fraction, its thousands and decimals; a word with its apostrophe; an end of row; any other sign.
const PIECES =
  /(?<row>\r\n|\n|\r)|(?<key>\d\uFE0F?\u20E3)|(?<number>\d+(?:[.,]\d+)*(?:[ \u00a0]?[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]|[ \u00a0]\d+[/⁄]\d+(?!\d))?|[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])(?<under>[/⁄]\d+(?!\d))?|(?<word>\p{L}[\p{L}\p{M}]*(?:['’]\p{L}+)*)|(?<sign>\p{Extended_Pictographic}|\S)/gu;

/**
 * The value of a figure as it is written: a comma or point before exactly three digits parts thousands where what stands
 * before it is no lone nought, any other is the decimal sign.
 */
export function figureOf(text: string): number {
  const mixed = /^(.*?)[ \u00a0]?(?:([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])|[ \u00a0](\d+)[/⁄](\d+))$/u.exec(text);
  if (mixed) {
    const part = mixed[2] ? FRACTION_SIGNS[mixed[2]]! : Number(mixed[3]) / (Number(mixed[4]) || 1);
    return (mixed[1] ? figureOf(mixed[1]) : 0) + part;
  }
  const groups = text.split(/[.,]/);
  if (groups.length === 1) return Number(text);
  const thousands =
    groups.slice(1).every((g) => g.length === 3) && groups[0] !== '0' && groups[0]!.length <= 3;
  if (thousands) return Number(groups.join(''));
  // 1.234,5: the last sign is the decimal one.
  return Number(`${groups.slice(0, -1).join('')}.${groups.at(-1)}`);
}

/** Signs that only join small pictures to each other. */
const JOINERS: ReadonlySet<string> = new Set(['\uFE0F', '\u200D', '\u20E3']);

/** The text in pieces, in one pass. */
export function tokensOf(text: string): Token[] {
  const tokens: Token[] = [];
  for (const match of text.matchAll(PIECES)) {
    const start = match.index;
    const end = start + match[0].length;
    const { row, key, number, under, word } = match.groups!;
    if (row !== undefined) tokens.push({ t: '\n', start, end, kind: 'row', capital: false });
    // A figure in a box counts rows, like a bullet.
    else if (key !== undefined) tokens.push({ t: '•', start, end, kind: 'sign', capital: false });
    else if (number !== undefined) {
      const bottom = under ? Number(under.slice(1)) : 1;
      tokens.push({
        t: match[0],
        start,
        end,
        kind: 'number',
        capital: false,
        value: figureOf(number) / (bottom || 1),
        ...(/^\d{1,3}[.,]\d{3}$/.test(number) ? { otherValue: Number(number.replace(',', '.')) } : {}),
      });
    } else if (word !== undefined)
      tokens.push({
        t: plain(word).replace('’', "'"),
        start,
        end,
        kind: 'word',
        capital: word[0] !== word[0]!.toLowerCase(),
      });
    else if (!JOINERS.has(match[0])) tokens.push({ t: match[0], start, end, kind: 'sign', capital: false });
  }
  return tokens;
}

/** A row that is at least so long and ends in the middle of a sentence was broken by the width of a page. */
const WRAPPED = 60;

/** Nothing ends with one of these. */
const OPEN_ENDS: ReadonlySet<string> = new Set(
  ', of the a an and with in into to or for at from by on until my your about'.split(' '),
);

/** Without the ends of rows at which a sentence only goes on: "the juice of / six limes". */
export function unwrapped(tokens: readonly Token[]): Token[] {
  let rowStart = 0;
  return tokens.filter((token, i) => {
    if (token.kind !== 'row') return true;
    const [before, next] = [tokens[i - 1], tokens[i + 1]];
    const long = token.start - rowStart >= WRAPPED;
    rowStart = token.end;
    const goesOn = next?.kind === 'word' && !next.capital && before !== undefined && OPEN_ENDS.has(before.t);
    return !(long && goesOn);
  });
}

/** What was worked out for a place of a text, kept for as long as its tokens are: grammar asks for it again and again. */
export function oncePerPlace<T>(work: (tokens: readonly Token[], at: number) => T) {
  const known = new WeakMap<readonly Token[], (T | undefined)[]>();
  return (tokens: readonly Token[], at: number): T => {
    let row = known.get(tokens);
    if (!row) {
      row = [];
      known.set(tokens, row);
    }
    let value = row[at];
    if (value === undefined) {
      value = work(tokens, at);
      row[at] = value;
    }
    return value as T;
  };
}
