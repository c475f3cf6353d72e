import { NOT_WORDS } from '../../tables/reading/deedWords.ts';
import type { Clause } from './clauses/clauses.ts';
import { NIGHT_MIN } from './quantities/times.ts';
import type { Token } from './tokens.ts';
import type { ReadStep } from './types.ts';

/** The words of a stretch of tokens, with one space between: what patterns are tried on. */
export const wordsOf = (tokens: readonly Token[], from: number, to: number): string => {
  let out = '';
  for (let i = from; i < to; i++) out += ` ${tokens[i]!.t}`;
  return `${out} `;
};

export function lidIn(words: string): ReadStep['lid'] {
  if (
    / (?:uncovered|lid off|not covered|without (?:a |the )?(?:lid|cover)|no lid|open pot|unlidded) /.test(
      words,
    )
  )
    return 'off';
  if (
    / (?:ajar|lid (?:half|slightly|partly|a little)|half[- ](?:covered|on)|partly covered|half open) /.test(
      words,
    )
  )
    return 'ajar';
  if (
    / (?:covered|lid on|lid|with (?:a )?cover|cover it|cover|closed pot|under (?:a |the )?lid|close with) /.test(
      words,
    )
  )
    return 'on';
  return undefined;
}

export function placeIn(words: string): ReadStep['place'] {
  if (
    / (?:fridge|refrigerator|refrigerate|icebox|chill|chilled|cold place) /.test(words) &&
    !/ water of the fridge /.test(words)
  )
    return 'fridge';
  if (/ (?:ice|ice bath|iced water) /.test(words)) return 'iceBath';
  if (/ (?:counter|room temp|room temperature|worktop|pantry|cool place|kitchen table) /.test(words))
    return 'counter';
  return undefined;
}

export function levelIn(words: string, verb: string | null): ReadStep['level'] {
  if (/ (?:rolling|hard|rapidly|vigorously|high (?:heat|flame)) /.test(words)) return 'rolling';
  if (/ simmer(?:s|ed|ing)? /.test(words) || verb === 'simmer') return 'simmer';
  if (/ (?:medium|moderate|lively) (?:heat|flame|fire|boil) | briskly /.test(words)) return 'medium';
  if (/ (?:gently|gentle|softly|low|small fire|slow|barely|bubble) /.test(words)) return 'gentle';
  return undefined;
}

/** How hard it is pressed; what is said not to be done counts as draining. */
export function pressIn(tokens: readonly Token[], from: number, to: number): ReadStep['press'] {
  let press: ReadStep['press'];
  for (let i = from; i < to; i++) {
    const t = tokens[i]!.t;
    if (t === 'drip' || t === 'dripping') press ??= 'drain';
    const wrung = /^(?:wring|wringing|wrung|squeeze|squeezing|squeezed|twist|wrings)$/.test(t);
    const pressed = /^(?:press|pressing|pressed|push|pushing|mash)$/.test(t);
    if (!wrung && !pressed) continue;
    let negated = false;
    for (let k = i - 1; k >= from && k > i - 4; k--) if (NOT_WORDS.has(tokens[k]!.t)) negated = true;
    if (negated) press ??= 'drain';
    else if (wrung) press = 'wring';
    else if (press !== 'wring') press = 'press';
  }
  return press;
}

export interface Length {
  value: number;
  /** The least it may be, where the best is said as well. */
  min?: number;
  max?: number;
  /** Said in a word: "overnight". */
  vague: boolean;
  /** The tokens that say it. */
  from?: number;
  to?: number;
}

const NIGHT =
  / (?:over ?night|(?:until|till|til|to|by) (?:the )?(?:next )?morning|(?:until|till) (?:the )?next day|go to bed|all night|through the night|night before) /;

/** How long a clause says that something takes. */
export function lengthOf(clause: Clause, words: string): Length | null {
  const [time, range] = clause.times;
  // "For 25 min (20 to 30)": the best, and from where to where.
  if (time && time.max === undefined && range?.max !== undefined && isAround(range, time.value))
    return {
      value: time.value,
      min: range.value,
      max: range.max,
      vague: false,
      from: time.from,
      to: range.to,
    };
  if (time)
    return {
      value: time.value,
      ...(time.max === undefined ? {} : { max: time.max }),
      vague: time.vague || (time.article && time.value === NIGHT_MIN),
      from: time.from,
      to: time.to,
    };
  return NIGHT.test(words) ? { value: NIGHT_MIN, vague: true } : null;
}

const isAround = (range: { value: number; max?: number }, value: number): boolean =>
  range.value <= value && value <= (range.max ?? value) && range.value < (range.max ?? value);

export const saysNight = (words: string): boolean => NIGHT.test(words);

/** "three times", "in three waters", "twice", "x3". */
export function timesIn(clause: Clause, words: string): number | null {
  if (clause.counts[0]) return clause.counts[0].value;
  if (/ (?:twice|two times|two waters) /.test(words)) return 2;
  if (/ (?:three waters|thrice) /.test(words)) return 3;
  if (/ (?:four waters) /.test(words)) return 4;
  const x = / [x×] ?(\d) | (\d) ?[x×] /.exec(words);
  if (x) return Number(x[1] ?? x[2]);
  if (/ a couple of times /.test(words)) return 2;
  return null;
}

/** The words from "until" on. */
export function cueOf(tokens: readonly Token[], text: string, clause: Clause): string | null {
  if (!clause.cue || clause.cue.to <= clause.cue.from + 1) return null;
  return text.slice(tokens[clause.cue.from]!.start, tokens[clause.cue.to - 1]!.end);
}
