import type { DateOrder } from '@big-ladle/core/documents';

/** English, with the dates as this kitchen writes them. */
const LOCALES: Readonly<Record<DateOrder, string>> = { dayFirst: 'en-GB', monthFirst: 'en-US' };

let locale = LOCALES.dayFirst;

/** From now on dates are written in this order; an answer kept from an older version may not say. */
export function writeDates(order: DateOrder | undefined): void {
  locale = LOCALES[order ?? 'dayFirst'];
}

/** The locale that dates and figures are written in. */
export const dateLocale = (): string => locale;

const formats = new Map<string, Intl.NumberFormat>();

/** A figure with so many decimals, in local form. */
export function num(value: number, decimals = 0): string {
  const id = `${locale}|${decimals}`;
  let format = formats.get(id);
  if (!format) {
    format = new Intl.NumberFormat(locale, {
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
    });
    formats.set(id, format);
  }
  return format.format(Object.is(value, -0) || Math.abs(value) < 0.5 * 10 ** -decimals ? 0 : value);
}
