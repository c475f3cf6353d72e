import { saveText } from './saveText.ts';

/** What is to stand in a calendar. */
export interface Appointment {
  id: string;
  startMs: number;
  endMs: number;
  summary: string;
  description?: string;
  url?: string;
  /** It calls so many minutes before. */
  alarmMin?: number;
  /** It does not take up the time. */
  free?: boolean;
}

/** One line: whatever would end a line of the file is a space. */
const oneLine = (text: string): string => text.replaceAll(/[\p{Cc}\u2028\u2029]+/gu, ' ').trim();
/** Text as RFC 5545, 3.3.11 writes it; the package does so for what is in an entry, and not for the calendar's own name. */
const escaped = (text: string): string => oneLine(text).replaceAll(/[\\;,]/g, String.raw`\$&`);
/** A mark of an entry, of letters that need no writing in another way. */
const markOf = (id: string): string => id.replaceAll(/[^\w:.-]/g, '-');

/**
 * An iCalendar file (RFC 5545). Names are the cook's own words, or came with somebody's archive: none can begin a line of
 * its own.
 */
export async function calendarText(
  calendar: { name: string; product: string },
  appointments: readonly Appointment[],
): Promise<string> {
  // Asked for now and then: not part of the page.
  const { default: ical, ICalAlarmType, ICalEventBusyStatus } = await import('ical-generator');
  const file = ical({
    name: escaped(calendar.name),
    prodId: { company: 'Big Ladle', product: calendar.product },
  });
  for (const a of appointments) {
    const entry = file.createEvent({
      id: markOf(a.id),
      start: new Date(a.startMs),
      end: new Date(a.endMs),
      summary: oneLine(a.summary),
      description: a.description === undefined ? null : a.description.replaceAll(/[^\P{Cc}\n]+/gu, ' '),
      ...(a.free ? { busystatus: ICalEventBusyStatus.FREE } : {}),
    });
    if (a.alarmMin !== undefined)
      entry.createAlarm({ type: ICalAlarmType.display, triggerBefore: a.alarmMin * 60 });
    if (a.url) entry.url(encodeURI(oneLine(a.url)));
  }
  return file.toString();
}

/** Gives the browser a calendar to save. */
export const saveCalendar = async (
  fileName: string,
  calendar: { name: string; product: string },
  appointments: readonly Appointment[],
): Promise<void> =>
  saveText(`${markOf(fileName)}.ics`, await calendarText(calendar, appointments), 'text/calendar');
