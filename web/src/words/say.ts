import type { KeepDate } from '@big-ladle/core/keeping';
import { FRUIT_ROWS } from '@big-ladle/core/tables';
import type { Fraction, HandAmount, KitchenMeasure } from '@big-ladle/core/units';
import { isArgumentElement, isLiteralElement } from '@formatjs/icu-messageformat-parser';
import { IntlMessageFormat } from 'intl-messageformat';
import type { EN_BATCH } from './en/batch.ts';
import { EN } from './en/common.ts';
import type { EN_COST } from './en/cost.ts';
import type { EN_DATA_PROBLEMS } from './en/dataProblems.ts';
import type { EN_DATES } from './en/dates.ts';
import type { EN_DRINKS } from './en/drinks.ts';
import type { EN_FEAST } from './en/feast.ts';
import type { EN_FIND } from './en/find.ts';
import type { EN_GATHERINGS } from './en/gatherings.ts';
import type { EN_ITEMS } from './en/items.ts';
import type { EN_KITCHEN } from './en/kitchen.ts';
import type { EN_LOGBOOK } from './en/logbook.ts';
import type { EN_PAGES } from './en/pages.ts';
import type { EN_PHOTOS } from './en/photos.ts';
import type { EN_RECIPE_TEXT } from './en/recipeText.ts';
import type { EN_SHELF } from './en/shelf.ts';
import type { EN_SHOPPING } from './en/shopping.ts';
import type { EN_STEPS } from './en/steps.ts';
import type { EN_STOVE } from './en/stove.ts';
import type { EN_WAITING } from './en/waiting.ts';
import { dateLocale, num } from './numbers.ts';
import { writtenConstant } from './quantities.ts';

export type MessageKey =
  | keyof typeof EN
  | keyof typeof EN_BATCH
  | keyof typeof EN_DATA_PROBLEMS
  | keyof typeof EN_DATES
  | keyof typeof EN_DRINKS
  | keyof typeof EN_FIND
  | keyof typeof EN_FEAST
  | keyof typeof EN_GATHERINGS
  | keyof typeof EN_WAITING
  | keyof typeof EN_ITEMS
  | keyof typeof EN_KITCHEN
  | keyof typeof EN_PAGES
  | keyof typeof EN_PHOTOS
  | keyof typeof EN_RECIPE_TEXT
  | keyof typeof EN_SHELF
  | keyof typeof EN_COST
  | keyof typeof EN_LOGBOOK
  | keyof typeof EN_SHOPPING
  | keyof typeof EN_STEPS
  | keyof typeof EN_STOVE;

/** What a sentence is filled in with: words and figures in local form, a count for a plural, yes or no for a choice. */
export type Params = Readonly<Record<string, string | number | boolean>>;

/** All sentences that this window knows; places that are entered later bring theirs along. */
const words: Record<string, Sentence> = { ...EN };

export function teach(more: Readonly<Record<string, Sentence>>): void {
  Object.assign(words, more);
}

/** A sentence of the catalogue, filled in. */
export const say = (key: MessageKey, params: Params = {}): string => sayCode(key, params);

/** A message as it was read: words, figures, plurals and choices one after the other. */
type Elements = ReturnType<IntlMessageFormat['getAst']>;

/** As it is written; as it was read already where the application was built. */
type Sentence = string | Elements;

/** How sentences are changed before they are said: a developer's pseudo-language does so. */
interface Voice {
  text(plain: string): string;
  message(elements: Elements): Elements;
}

let voice: Voice | null = null;

/** From now on every sentence of the catalogues goes through this; asked for before anything is shown. */
export function speakThrough(wanted: Voice): void {
  voice = wanted;
}

/** A message that has figures, plurals or choices in it. */
interface Message {
  format: IntlMessageFormat;
  /** The amounts that stand in it as they are, by their names. */
  constants: readonly string[];
}

/** Each parsed once for a locale. */
const parsed = new Map<string, Map<Sentence, Message>>();

function message(text: Sentence): Message {
  const locale = dateLocale();
  const ofLocale = parsed.get(locale) ?? new Map<Sentence, Message>();
  parsed.set(locale, ofLocale);
  let made = ofLocale.get(text);
  if (!made) {
    let format = new IntlMessageFormat(text, locale, undefined, { ignoreTag: true });
    if (voice) format = new IntlMessageFormat(voice.message(format.getAst()), locale);
    made = { format, constants: constantsOf(format.getAst()) };
    ofLocale.set(text, made);
  }
  return made;
}

function constantsOf(elements: Elements): string[] {
  return elements.flatMap((e) =>
    isArgumentElement(e) && writtenConstant(e.value) !== null
      ? [e.value]
      : 'options' in e
        ? Object.values(e.options).flatMap((o) => constantsOf(o.value))
        : [],
  );
}

/** What a message is filled in with, the amounts that stand in it in this kitchen's units. */
const filled = <T>(
  { constants }: Message,
  params: Readonly<Record<string, T>>,
): Readonly<Record<string, T | string>> =>
  constants.length === 0
    ? params
    : { ...params, ...Object.fromEntries(constants.map((name) => [name, writtenConstant(name)!])) };

/**
 * A code of the core or the server in words. An unknown code shows itself, so that a missing sentence is seen at once;
 * a figure that is missing leaves the sentence as it is written.
 */
export function sayCode(code: string, params: Params = {}): string {
  const text = words[code];
  if (text === undefined) return code;
  if (typeof text === 'string' && !text.includes('{')) return voice ? voice.text(text) : text;
  const known = message(text);
  try {
    return String(known.format.format(filled(known, params)));
  } catch {
    return known.format.getAst().map(asWritten).join('');
  }
}

const asWritten = (element: Elements[number]): string =>
  'value' in element ? (isLiteralElement(element) ? element.value : `{${element.value}}`) : '#';

/** The pieces of a sentence in which things other than words stand, in their order. */
export function formatParts<T>(key: MessageKey, params: Readonly<Record<string, T>>): (string | T)[] {
  const known = message(words[key] ?? key);
  const out = known.format.format<T>(filled(known, params) as Record<string, T>);
  return Array.isArray(out) ? out : [out];
}

export const has = (code: string): boolean => code in words;

export const percent = (share: number): string => `${num(share * 100)} %`;

/** A length of time in words: "2 h 05", "35 min", "4 days". */
export function duration(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes));
  if (whole < 60) return `${whole} min`;
  const h = Math.floor(whole / 60);
  const m = whole % 60;
  if (h >= 48) return say('time.daysAndHours', { days: Math.floor(h / 24), hours: h % 24 });
  return m === 0 ? `${h} h` : `${h} h ${String(m).padStart(2, '0')}`;
}

export const days = (value: number): string => {
  const rounded = Math.round(value * 10) / 10;
  return say('time.days', { days: rounded, number: num(rounded, Number.isInteger(rounded) ? 0 : 1) });
};

/** A clock face: "6:42" for hours and minutes, "18:05" for minutes and seconds under an hour. */
export function clockFace(ms: number): { face: string; unit: 'h:min' | 'min:s' } {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  if (seconds >= 3600) {
    const minutes = Math.ceil(seconds / 60);
    return { face: `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`, unit: 'h:min' };
  }
  return { face: `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`, unit: 'min:s' };
}

const GLYPHS: Record<Fraction, string> = {
  '': '',
  '1/8': '⅛',
  '1/4': '¼',
  '1/3': '⅓',
  '1/2': '½',
  '2/3': '⅔',
  '3/4': '¾',
};

/** Parts of a fruit, whose pieces are whole fruit: "of 2 pineapples", not two more of them. */
const PARTS: ReadonlySet<string> = new Set(
  FRUIT_ROWS.flatMap((f) => f.parts.filter((p) => p.share !== 'whole').map((p) => p.itemId)),
);

/**
 * An amount as a hand measures it, in words.
 * @param itemId what it is an amount of, where a part of a fruit must not read as so many fruit.
 */
export function handText(amount: HandAmount, measures: readonly KitchenMeasure[], itemId?: string): string {
  const fraction = GLYPHS[amount.fraction];
  const number =
    amount.whole === 0 && fraction ? fraction : `${num(amount.whole)}${fraction ? ` ${fraction}` : ''}`;
  // Up to one of it is one: half a cup, but one and a half cups.
  const count = amount.whole > 1 || (amount.whole === 1 && fraction !== '') ? 2 : 1;
  const own = measures.find((m) => m.id === amount.unitId);
  if (own) return `${number} × ${own.name}`;
  const unit = sayCode(amount.kind === 'piece' ? `piece.${amount.unitId}` : `unit.${amount.unitId}`, {
    count,
  });
  const ofFruit = itemId !== undefined && amount.kind === 'piece' && PARTS.has(itemId);
  return ofFruit ? say('amount.ofFruit', { number, unit }) : `${number} ${unit}`;
}

const formats = new Map<string, Intl.DateTimeFormat>();

function dated(ms: number, zone: string, options: Intl.DateTimeFormatOptions, key: string): string {
  const id = `${dateLocale()}|${zone}|${key}`;
  let format = formats.get(id);
  if (!format) {
    format = new Intl.DateTimeFormat(dateLocale(), { ...options, timeZone: zone });
    formats.set(id, format);
  }
  return format.format(ms);
}

export const timeOfDay = (ms: number, zone: string): string =>
  dated(ms, zone, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' }, 'time');

export const dayOf = (ms: number, zone: string): string =>
  dated(ms, zone, { weekday: 'short', day: 'numeric', month: 'short' }, 'day');

/** A day without its weekday, where there is little room. */
export const shortDay = (ms: number, zone: string): string =>
  dated(ms, zone, { day: 'numeric', month: 'short' }, 'short');

export const weekday = (ms: number, zone: string): string => dated(ms, zone, { weekday: 'short' }, 'weekday');

/** The name of a day of the week, 0 for Sunday; 7 January 2024 was one. */
export const weekdayName = (day: number): string => weekday(Date.UTC(2024, 0, 7 + day), 'UTC');

export const longWeekdayName = (day: number): string =>
  dated(Date.UTC(2024, 0, 7 + day), 'UTC', { weekday: 'long' }, 'longWeekday');

/** A month by its name, 1 for January. */
export const monthName = (month: number): string =>
  dated(Date.UTC(2024, month - 1, 15), 'UTC', { month: 'short' }, 'month');

/** A day of whichever year. */
export const fullDay = (ms: number, zone: string): string =>
  dated(ms, zone, { day: 'numeric', month: 'short', year: 'numeric' }, 'full');

export const longDay = (ms: number, zone: string): string =>
  dated(ms, zone, { weekday: 'long', day: 'numeric', month: 'long' }, 'long');

/** Formats are dear to make: one for each zone. */
const isoDays = new Map<string, Intl.DateTimeFormat>();

function isoDay(ms: number, zone: string): string {
  let format = isoDays.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-CA', {
      timeZone: zone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
    isoDays.set(zone, format);
  }
  return format.format(ms);
}

/** A moment as near as a cook needs it: "14:20" today, "Wed 03:54" within a week, else with its date, and its year if that is another. */
export function moment(ms: number, nowMs: number, zone: string): string {
  const time = timeOfDay(ms, zone);
  if (isoDay(ms, zone) === isoDay(nowMs, zone)) return time;
  if (Math.abs(ms - nowMs) < 6 * 86_400_000) return `${weekday(ms, zone)} ${time}`;
  const sameYear = isoDay(ms, zone).slice(0, 4) === isoDay(nowMs, zone).slice(0, 4);
  return `${sameYear ? dayOf(ms, zone) : fullDay(ms, zone)}, ${time}`;
}

/** A language by its name in ours, as the platform has it: "hi" is "Hindi". */
export const languageName = (code: string): string =>
  new Intl.DisplayNames(dateLocale(), { type: 'language' }).of(code) ?? code;

/** A day as it is called: "Today", "Tomorrow", then by its weekday, then by its date. */
export function dayWord(ms: number, nowMs: number, zone: string): string {
  if (isoDay(ms, zone) === isoDay(nowMs, zone)) return say('day.today');
  if (isoDay(ms, zone) === isoDay(nowMs + 86_400_000, zone)) return say('day.tomorrow');
  return ms - nowMs < 6 * 86_400_000 ? dated(ms, zone, { weekday: 'long' }, 'longWeekday') : dayOf(ms, zone);
}

/** The date of a bottle, jar, bag or leftover as it stands under it, wherever that is. */
export function sayDate(date: KeepDate, zone: string, today = say('verdict.drinkToday')): string {
  switch (date.kind) {
    case 'throwOut':
      return say('verdict.throwOut');
    case 'past':
      return say('verdict.pastDay', { day: shortDay(date.dayMs, zone) });
    case 'today':
      return today;
    case 'day':
      return dayOf(date.dayMs, zone);
  }
}
