import { describe, expect, it } from 'vitest';
import { calendarText } from './calendar.ts';

/** A name that tries to begin lines of its own, with every letter that means something in a calendar. */
const HOSTILE = 'Red\r\nEND:VEVENT\r\nBEGIN:VALARM\nACTION:DISPLAY;x,y\\z\u2028w';

describe('a calendar file', () => {
  it('holds what was asked for, and no line that a name brought with it', async () => {
    const text = await calendarText({ name: HOSTILE, product: 'timetable' }, [
      {
        id: `step\r\nX-ANY:1`,
        startMs: Date.UTC(2026, 10, 28, 17),
        endMs: Date.UTC(2026, 10, 28, 17, 15),
        summary: HOSTILE,
        description: HOSTILE,
        url: 'http://127.0.0.1:4817/shelf/a\r\nX-ANY:1',
        free: true,
      },
    ]);
    // Long lines are folded: a line that begins with a space goes on with the one before it.
    const lines = text.replaceAll('\r\n ', '').split('\r\n');
    const count = (start: string) => lines.filter((l) => l.startsWith(start)).length;
    expect(count('BEGIN:VCALENDAR')).toBe(1);
    expect(count('BEGIN:VEVENT')).toBe(1);
    expect(count('END:VEVENT')).toBe(1);
    expect(count('BEGIN:VALARM')).toBe(0);
    expect(count('X-ANY')).toBe(0);
    expect(count('ACTION')).toBe(0);
    expect(lines.filter((l) => l !== '' && !/^[A-Z][A-Z-]*[:;]/.test(l))).toEqual([]);
    expect(lines).toContain('DTSTART:20261128T170000Z');
    expect(lines.find((l) => l.startsWith('NAME:'))).toBe(
      String.raw`NAME:Red END:VEVENT BEGIN:VALARM ACTION:DISPLAY\;x\,y\\z w`,
    );
  });
});
