import { ABBREVIATIONS, FILLS, MEASURE_WORDS, type MeasureWord } from '../../tables/reading/measureWords.ts';
import { ABOUT, MORE, ONES, PARTS, TENS, VAGUE_NUMBERS } from '../../tables/reading/numberWords.ts';
import { nameAt } from './lexicon.ts';
import { oncePerPlace, type Token } from './tokens.ts';

/** A figure, or figures from where to where, in so many tokens. */
export interface Figure {
  value: number;
  max?: number;
  /** "some", "a few". */
  vague: boolean;
  /** "a", "an": one, where a measure or a thing follows. */
  article: boolean;
  otherValue?: number;
  length: number;
}

export type Measured = 'amount' | 'time' | 'temp' | 'times' | 'share';

/** A figure with what it counts. */
export interface Quantity {
  measured: Measured;
  value: number;
  max?: number;
  /** Amounts: the row of the measure; null where things are counted. */
  measure: MeasureWord | null;
  how?: string;
  vague: boolean;
  article: boolean;
  /** More of something that was named before. */
  more: boolean;
  /** "at least", "up to". */
  bound?: 'least' | 'most';
  from: number;
  to: number;
}

const phrases = new Map<string, MeasureWord[]>();
for (const row of MEASURE_WORDS)
  for (const words of row.words) {
    const first = words.split(/[ -]/)[0]!;
    phrases.set(first, [...(phrases.get(first) ?? []), row]);
  }

const FILL_OF = new Map(Object.entries(FILLS).flatMap(([id, f]) => f.words.map((w) => [w, id] as const)));

/** The measure that a word or two name, longest first. */
export function measureAt(
  tokens: readonly Token[],
  at: number,
  afterFigure: boolean,
): { row: MeasureWord; length: number } | null {
  const first = tokens[at]?.t;
  if (first === undefined) return null;
  let best: { row: MeasureWord; length: number } | null = null;
  for (const row of phrases.get(first) ?? []) {
    if (row.afterFigure && !afterFigure) continue;
    for (const words of row.words) {
      const parts = words.split(/[ -]/);
      if (parts[0] !== first) continue;
      let next = at;
      let fits = true;
      for (const part of parts) {
        if (tokens[next]?.t === '-') next++;
        if (tokens[next]?.t !== part) {
          fits = false;
          break;
        }
        next++;
      }
      if (fits && (!best || next - at > best.length)) best = { row, length: next - at };
    }
  }
  return best;
}

/** One number at a token: in figures or in words. "two hundred and fifty", "one and a half", "three quarters". */
function numberAt(tokens: readonly Token[], at: number): Omit<Figure, 'max'> | null {
  const token = tokens[at];
  if (!token) return null;
  if (token.kind === 'number') {
    let value = token.value!;
    let length = 1;
    const [and, a, part] = [tokens[at + 1]?.t, tokens[at + 2]?.t, tokens[at + 3]?.t];
    if (and === 'and' && a === 'a' && part && PARTS[part]) {
      value += PARTS[part];
      length = 4;
    } else if (and === 'and' && a && PARTS[a]) {
      value += PARTS[a];
      length = 3;
    } else if (and === 'dozen' || and === 'dozens') {
      value *= 12;
      length = 2;
    } else if (and === 'hundred' || and === 'thousand') {
      value *= and === 'hundred' ? 100 : 1000;
      length = 2;
    }
    return {
      value,
      vague: false,
      article: false,
      length,
      ...(length === 1 && token.otherValue !== undefined ? { otherValue: token.otherValue } : {}),
    };
  }
  return wordsAt(tokens, at);
}

/** A number in words. Linear in the words it takes. */
function wordsAt(tokens: readonly Token[], at: number): Omit<Figure, 'max'> | null {
  const word = (i: number) => tokens[i]?.t ?? '';
  const w = word(at);
  const exact = (value: number, length: number) => ({ value, vague: false, article: false, length });
  if (VAGUE_NUMBERS[w]) {
    const [from] = VAGUE_NUMBERS[w];
    return { value: from, vague: w !== 'couple', article: false, length: word(at + 1) === 'of' ? 2 : 1 };
  }
  if (w === 'a' || w === 'an') {
    const next = word(at + 1);
    if (VAGUE_NUMBERS[next]) {
      const inner = wordsAt(tokens, at + 1)!;
      return { ...inner, length: inner.length + 1 };
    }
    if (next === 'dozen') return { ...exact(12, word(at + 2) === 'of' ? 3 : 2) };
    if (next === 'hundred') return afterHundred(tokens, at + 2, 100, 2);
    if (next === 'half' || PARTS[next]) return { ...exact(PARTS[next]!, 2) };
    return { value: 1, vague: false, article: true, length: 1 };
  }
  if (w === 'half') {
    // "half a dozen"
    const a = word(at + 1) === 'a' ? 1 : 0;
    return word(at + 1 + a) === 'dozen' ? exact(6, 2 + a) : exact(1 / 2, 1);
  }
  if (w === 'dozen') return exact(12, 1);
  if (w === 'quarter') return exact(1 / 4, 1);
  let value: number;
  let length = 1;
  if (TENS[w]) {
    value = TENS[w];
    const dash = word(at + 1) === '-' ? 1 : 0;
    const one = ONES[word(at + 1 + dash)];
    if (one !== undefined && one < 10) {
      value += one;
      length += dash + 1;
    }
  } else if (ONES[w] !== undefined) value = ONES[w];
  else return null;
  if (word(at + length) === 'hundred') return afterHundred(tokens, at + length + 1, value * 100, length + 1);
  if (word(at + length) === 'thousand') return exact(value * 1000, length + 1);
  if (word(at + length) === 'dozen') return exact(value * 12, length + 1);
  // "one point eight"
  if (word(at + length) === 'point' && ONES[word(at + length + 1)] !== undefined) {
    const places = String(ONES[word(at + length + 1)]);
    return exact(Number(`${value}.${places}`), length + 2);
  }
  // "three quarters", "two thirds"
  if (PARTS[word(at + length)] && value < 10) return exact(value * PARTS[word(at + length)]!, length + 1);
  // "one and a half"
  if (word(at + length) === 'and') {
    const a = word(at + length + 1);
    const part = a === 'a' || a === 'one' ? PARTS[word(at + length + 2)] : PARTS[a];
    if (part !== undefined) {
      const used = a === 'a' || a === 'one' ? 3 : 2;
      // "two and a half dozen"
      if (word(at + length + used) === 'dozen') return exact((value + part) * 12, length + used + 1);
      return exact(value + part, length + used);
    }
  }
  return exact(value, length);
}

function afterHundred(tokens: readonly Token[], at: number, hundreds: number, length: number) {
  const and = tokens[at]?.t === 'and' ? 1 : 0;
  const rest = wordsAt(tokens, at + and);
  // "two hundred and a half" is no number, "a hundred and one" is.
  if (rest && !rest.article && !rest.vague && Number.isInteger(rest.value) && rest.value < 100)
    return { value: hundreds + rest.value, vague: false, article: false, length: length + and + rest.length };
  return { value: hundreds, vague: false, article: false, length };
}

const RANGE = new Set(['-', '–', '—', '‒', 'to', 'or', '~', 'bis']);

/** A number or a range at a token. */
export function figureAt(tokens: readonly Token[], at: number): Figure | null {
  const first = numberAt(tokens, at);
  if (!first) return null;
  if (first.article || first.vague) {
    const vague = VAGUE_NUMBERS[tokens[at]!.t] ?? VAGUE_NUMBERS[tokens[at + 1]?.t ?? ''];
    return first.vague && vague ? { ...first, max: vague[1] } : first;
  }
  let next = at + first.length;
  if (!RANGE.has(tokens[next]?.t ?? '')) {
    // "ten cloves, maybe twelve" is put together where the thing is known; "10, maybe 12" here.
    return first;
  }
  next++;
  while (ABOUT.has(tokens[next]?.t ?? '')) next++;
  const second = numberAt(tokens, next);
  if (!second || second.article || second.vague || second.value <= first.value) return first;
  return { ...first, max: second.value, length: next + second.length - at };
}

const PER_MIN: Readonly<Record<string, number>> = {
  second: 1 / 60,
  seconds: 1 / 60,
  sec: 1 / 60,
  secs: 1 / 60,
  minute: 1,
  minutes: 1,
  min: 1,
  mins: 1,
  minuts: 1,
  hour: 60,
  hours: 60,
  hr: 60,
  hrs: 60,
  h: 60,
  day: 1440,
  days: 1440,
  night: 480,
  nights: 480,
  week: 10_080,
  weeks: 10_080,
  wk: 10_080,
  wks: 10_080,
  month: 43_200,
  months: 43_200,
};
/** "Overnight": eight hours, as everywhere in the book. */
export const NIGHT_MIN = 480;

/** What stands between a figure and its measure: "two big handfuls", "3 heaped tbsp", "4-quart". */
function measureAfter(tokens: readonly Token[], from: number, afterFigure: boolean) {
  let at = from;
  let how: string | undefined;
  for (let i = 0; i < 3; i++) {
    const t = tokens[at]?.t ?? '';
    if (t === '-' && at === from) {
      at++;
      continue;
    }
    const found = measureAt(tokens, at, afterFigure && at === from);
    if (found) {
      // "three cloves" are the spice; "three cloves of garlic" are cloves of it.
      const name = nameAt(tokens, at);
      if (name && name.entry.kind !== 'group') {
        let next = at + found.length;
        if (tokens[next]?.t === 'of') next++;
        if (!nameAt(tokens, next)) break;
        if (name.length > found.length) break;
      }
      return { row: found.row, length: at + found.length - from, how };
    }
    if (MORE.has(t) && i === 0) {
      at++;
      continue;
    }
    const fill = FILL_OF.get(t);
    if (!fill) break;
    how = fill;
    at++;
  }
  return null;
}

/** A quantity at a token: an amount, a length of time, a temperature, so many times. */
export const quantityAt = oncePerPlace(findQuantity);

function findQuantity(tokens: readonly Token[], at: number): Quantity | null {
  let start = at;
  let more = false;
  let bound: Quantity['bound'];
  const t = (i: number) => tokens[i]?.t ?? '';
  // "about 20", "at least an hour", "up to 5 days", "no more than ten minutes", "~ 2 L"
  while (
    ABOUT.has(t(start)) ||
    t(start) === '~' ||
    t(start) === '≈' ||
    (t(start) === 'at' && t(start + 1) === 'least')
  ) {
    if (MORE.has(t(start))) more = true;
    if (t(start) === 'at' || t(start) === 'least') bound = 'least';
    start++;
    if (start - at > 5) return null;
  }
  if ((t(start) === 'up' && t(start + 1) === 'to') || (t(start) === 'more' && t(start + 1) === 'than')) {
    bound = 'most';
    start += 2;
  }
  const last = t(start - 1);
  const figure =
    figureAt(tokens, start) ??
    // "another litre": one more.
    (start > at && (last === 'another' || last === 'other')
      ? { value: 1, vague: false, article: true, length: 0 }
      : null);
  if (!figure) return null;
  let next = start + figure.length;
  const made = (measured: Measured, value: number, to: number, rest: Partial<Quantity> = {}): Quantity => ({
    measured,
    value,
    measure: null,
    vague: figure.vague,
    article: figure.article,
    more,
    ...(bound ? { bound } : {}),
    from: at,
    to,
    ...rest,
  });
  const range = (per: number) => (figure.max === undefined ? {} : { max: figure.max * per });
  // Degrees.
  const degree = t(next) === '°' || t(next) === 'º' || t(next).startsWith('degree') ? 1 : 0;
  const letter = degree ? t(next + 1) : t(next);
  const isF = letter === 'f' || letter === 'fahrenheit';
  const isC = letter === 'c' || letter === 'celsius' || letter === 'centigrade';
  // "85C": written together, and too much for cups.
  const sign = tokens[next];
  const together =
    sign?.capital && sign.start === tokens[next - 1]?.end && figure.value >= 30 && (isC || isF);
  if (
    degree ||
    together ||
    ((letter === 'celsius' || letter === 'fahrenheit' || letter === 'centigrade') && !figure.article)
  ) {
    const toC = (v: number) => (isF || (!isC && v > 110) ? ((v - 32) * 5) / 9 : v);
    return made('temp', toC(figure.value), next + degree + (isF || isC ? 1 : 0), {
      ...(figure.max === undefined ? {} : { max: toC(figure.max) }),
    });
  }
  if (t(next) === '%') return made('share', figure.value / 100, next + 1);
  if (t(next) === 'times' || (t(next) === 'time' && !figure.article))
    return made('times', figure.value, next + 1);
  // Time: "half an hour", "three quarters of an hour", "an hour and a half", "10 hours or 12", "20-minute".
  let per = next;
  while (
    t(per) === 'of' ||
    t(per) === 'an' ||
    t(per) === 'a' ||
    t(per) === '-' ||
    t(per) === 'more' ||
    t(per) === 'good' ||
    t(per) === 'full' ||
    t(per) === 'whole'
  ) {
    if (t(per) === 'more') more = true;
    per++;
    if (per - next > 3) break;
  }
  const minutes = PER_MIN[t(per)];
  if (minutes !== undefined && !(t(per) === 'second' && figure.article)) {
    let to = per + 1;
    let value = figure.value * minutes;
    let max = figure.max === undefined ? undefined : figure.max * minutes;
    if (t(to) === 'and' && t(to + 1) === 'a' && PARTS[t(to + 2)]) {
      value += PARTS[t(to + 2)]! * minutes;
      to += 3;
    } else if (t(to) === 'and' && PARTS[t(to + 1)]) {
      value += PARTS[t(to + 1)]! * minutes;
      to += 2;
    } else if (minutes === 60) {
      const and = t(to) === 'and' || t(to) === ',' ? 1 : 0;
      const rest = figureAt(tokens, to + and);
      if (rest && PER_MIN[t(to + and + rest.length)] === 1) {
        value += rest.value;
        to += and + rest.length + 1;
      } else if (t(per) === 'h' && isMinutes(tokens, to)) {
        value += tokens[to]!.value!;
        to++;
      }
    } else if (minutes === 1440) {
      const and = t(to) === 'and' ? 1 : 0;
      const rest = figureAt(tokens, to + and);
      if (rest && !rest.article && PER_MIN[t(to + and + rest.length)] === 60) {
        value += rest.value * 60;
        to += and + rest.length + 1;
      }
    }
    // "6 hours or overnight", "10 hours or 12", "an hour or two"
    if (t(to) === 'or' || t(to) === 'to') {
      if (t(to + 1) === 'overnight') {
        if (NIGHT_MIN > value) max = NIGHT_MIN;
        to += 2;
      } else {
        const other = quantityFigure(tokens, to + 1, minutes);
        if (other && other.minutes > value) {
          max = other.minutes;
          to = other.to;
        }
      }
    }
    return made('time', value, to, { more, ...(max === undefined ? {} : { max }) });
  }
  // An amount: "2 cups", "a quarter of a litre", "two thirds of a cup", "half a kilo", "two good mugs".
  let unit = measureAfter(tokens, next, tokens[next - 1]?.kind === 'number');
  if (!unit && figure.value < 1) {
    let of = next;
    while (t(of) === 'of' || t(of) === 'a' || t(of) === 'an') of++;
    if (of > next) {
      const after = measureAfter(tokens, of, false);
      if (after) unit = { ...after, length: of - next + after.length };
    }
  }
  if (!unit) {
    // Figures that count nothing a kitchen knows.
    if (figure.article && !isCounted(tokens, next)) return null;
    const how = FILL_OF.get(t(next));
    return made('amount', figure.value, how ? next + 1 : next, { ...range(1), ...(how ? { how } : {}) });
  }
  next += unit.length;
  let value = figure.value;
  let max = figure.max;
  if (figure.otherValue !== undefined && ['L', 'kg', 'dL'].includes(unit.row.id) && value >= 1000)
    value = figure.otherValue;
  if (t(next) === '.' && ABBREVIATIONS.has(t(next - 1)) && !nextIsSentence(tokens, next)) next++;
  // "a litre and a half", "1 kilo and half"
  if (t(next) === 'and') {
    const a = t(next + 1) === 'a' || t(next + 1) === 'one' ? 1 : 0;
    const part = PARTS[t(next + 1 + a)];
    // "a half" of what comes next has its own measure.
    if (part !== undefined && !measureAt(tokens, next + 2 + a, false) && t(next + 2 + a) !== 'a') {
      value += part;
      next += 2 + a;
    }
  }
  // "1 litre or 2"
  if ((t(next) === 'or' || t(next) === 'to') && max === undefined) {
    const other = numberAt(tokens, next + 1);
    if (other && !other.article && !other.vague && other.value > value) {
      const again = measureAfter(tokens, next + 1 + other.length, false);
      if (!again || again.row === unit.row) {
        const after = t(next + 1 + other.length);
        if (again || after === 'of' || after === ',' || after === '.' || after === '') {
          max = other.value;
          next += 1 + other.length + (again?.length ?? 0);
        }
      }
    }
  }
  if (MORE.has(t(start + figure.length))) more = true;
  return made('amount', value, next, {
    more,
    measure: unit.row,
    ...(max === undefined ? {} : { max }),
    ...(unit.how ? { how: unit.how } : {}),
  });
}

/** "1 h 40": two figures of a clock, that count nothing else. */
const isMinutes = (tokens: readonly Token[], at: number): boolean => {
  const token = tokens[at];
  if (token?.kind !== 'number' || !(Number.isInteger(token.value) && token.value! < 60)) return false;
  return token.end - token.start === 2 && !measureAfter(tokens, at + 1, true) && !nameAt(tokens, at + 1);
};

/** "or 12", "or two", "or 12 hours": minutes of the far end, counted in the unit of the near one. */
function quantityFigure(tokens: readonly Token[], at: number, minutesPer: number) {
  let from = at;
  while (ABOUT.has(tokens[from]?.t ?? '')) from++;
  const figure = numberAt(tokens, from);
  if (!figure || figure.article || figure.vague) return null;
  const unit = tokens[from + figure.length]?.t ?? '';
  const own = PER_MIN[unit];
  const to = from + figure.length + (own === undefined ? 0 : 1);
  // "to 1 h 40"
  if (unit === 'h' && isMinutes(tokens, to))
    return { minutes: figure.value * 60 + tokens[to]!.value!, to: to + 1 };
  return { minutes: figure.value * (own ?? minutesPer), to };
}

/** After an article stands something that is counted, maybe with a word for its size. */
const isCounted = (tokens: readonly Token[], at: number): boolean => tokens[at]?.kind === 'word';

const nextIsSentence = (tokens: readonly Token[], stop: number): boolean => {
  const next = tokens[stop + 1];
  return !next || next.kind === 'row' || next.capital;
};

export const fillOf = (word: string): string | undefined => FILL_OF.get(word);
