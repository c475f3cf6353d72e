import { ABBREVIATIONS, type MeasureWord } from '../../../tables/reading/measureWords.ts';
import { ABOUT, MORE, PARTS } from '../../../tables/reading/numberWords.ts';
import { unitOf } from '../../../units/units.ts';
import { oncePerPlace, type Token } from '../tokens.ts';
import { figureAt, numberAt } from './figures.ts';
import { FILL_OF, measureAfter, measureAt } from './measures.ts';
import { isMinutes, NIGHT_MIN, PER_MIN, quantityFigure } from './times.ts';

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
  // "1 lb 4 oz", "2 kg and 300 g"
  const and = t(next) === 'and' ? 1 : 0;
  const rest = max === undefined ? numberAt(tokens, next + and) : null;
  if (rest && !rest.article && !rest.vague) {
    const part = measureAfter(tokens, next + and + rest.length, true);
    if (part && SMALLER[unit.row.id]?.includes(part.row.id)) {
      value += (rest.value * unitOf(part.row.id).factor) / unitOf(unit.row.id).factor;
      next += and + rest.length + part.length;
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

/** What follows a unit for the rest of the same amount. */
const SMALLER: Readonly<Record<string, readonly string[]>> = {
  pound: ['ounce'],
  kg: ['g'],
  L: ['mL', 'cL', 'dL'],
  imperialGallon: ['imperialQuart', 'imperialPint'],
  imperialQuart: ['imperialPint'],
};

/** After an article stands something that is counted, maybe with a word for its size. */
const isCounted = (tokens: readonly Token[], at: number): boolean => tokens[at]?.kind === 'word';

const nextIsSentence = (tokens: readonly Token[], stop: number): boolean => {
  const next = tokens[stop + 1];
  return !next || next.kind === 'row' || next.capital;
};
