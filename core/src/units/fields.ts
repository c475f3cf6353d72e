import * as v from 'valibot';

/**
 * The fields that documents, events and messages are made of. Messages are codes, for words to be made of at the edge:
 * `id`, `name`, `whole`, `between:low:high`.
 */

/** The one rule for ids, whoever makes them: a window (UUID v7), the book, or the cook. */
export const id = v.pipe(v.string('id'), v.regex(/^[A-Za-z0-9][A-Za-z0-9_.:-]{0,79}$/, 'id'));

/** No control characters: they would break a line of a label, a calendar or a log. */
const PRINTS = /^[^\p{Cc}]*$/u;
/** The same with line breaks and tabs, for what is written in paragraphs. */
const PRINTS_LINES = /^(?:[^\p{Cc}]|[\n\r\t])*$/u;

/** A name, on one line. */
export const name = (max: number) =>
  v.pipe(
    v.string('name'),
    v.trim(),
    v.minLength(1, 'name'),
    v.maxLength(max, 'name'),
    v.regex(PRINTS, 'name'),
  );

/** Words of the cook, in lines. */
export const words = (max: number) =>
  v.pipe(
    v.string('name'),
    v.trim(),
    v.minLength(1, 'name'),
    v.maxLength(max, 'name'),
    v.regex(PRINTS_LINES, 'name'),
  );

/** The same where there may be none. */
export const paragraphs = (max: number) =>
  v.pipe(v.string('name'), v.maxLength(max, 'name'), v.regex(PRINTS_LINES, 'name'));

/** A number within bounds, both included. */
export const between = (low: number, high: number) => {
  const message = `between:${low}:${high}`;
  return v.pipe(v.number(message), v.finite(message), v.minValue(low, message), v.maxValue(high, message));
};
export const whole = (low: number, high: number) => v.pipe(between(low, high), v.integer('whole'));

/** A list of so many at most. */
export const list = <S extends v.GenericSchema>(item: S, max: number, min = 0) =>
  v.pipe(
    v.array(item),
    v.minLength(min, `between:${min}:${max}`),
    v.maxLength(max, `between:${min}:${max}`),
    v.readonly(),
  );

/** A moment, UTC milliseconds. How far ahead it may lie is asked by whoever knows what time it is. */
export const moment = between(0, 8.64e15);

/** A code of the catalogue of words: what is stored is never a sentence of ours. */
export const code = v.pipe(v.string('code'), v.regex(/^[A-Za-z][A-Za-z0-9.]{0,59}$/, 'code'));
