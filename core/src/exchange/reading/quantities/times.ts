import { ABOUT } from '../../../tables/reading/numberWords.ts';
import { nameAt } from '../lexicon.ts';
import type { Token } from '../tokens.ts';
import { numberAt } from './figures.ts';
import { measureAfter } from './measures.ts';

export const PER_MIN: Readonly<Record<string, number>> = {
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

/** "1 h 40": two figures of a clock, that count nothing else. */
export const isMinutes = (tokens: readonly Token[], at: number): boolean => {
  const token = tokens[at];
  if (token?.kind !== 'number' || !(Number.isInteger(token.value) && token.value! < 60)) return false;
  return token.end - token.start === 2 && !measureAfter(tokens, at + 1, true) && !nameAt(tokens, at + 1);
};

/** "or 12", "or two", "or 12 hours": minutes of the far end, counted in the unit of the near one. */
export function quantityFigure(tokens: readonly Token[], at: number, minutesPer: number) {
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
