import { describe, expect, it } from 'vitest';
import { type AlarmMoment, announcement, callingNow } from './alarms.ts';

const END = 10_000_000;

describe('what is read out of a clock', () => {
  it('a sentence at each threshold, and nothing once it is not so any more', () => {
    const at = (minutes: number) => announcement('Blue pot, boil', END, END - minutes * 60_000);
    expect(at(61)).toBe('');
    expect(at(60)).toBe('Blue pot, boil: 60 minutes left.');
    expect(at(59.5)).toBe('Blue pot, boil: 60 minutes left.');
    expect(at(58)).toBe('');
    expect(at(30)).toBe('Blue pot, boil: 30 minutes left.');
    expect(at(9.5)).toBe('Blue pot, boil: 10 minutes left.');
    expect(at(1)).toBe('Blue pot, boil: 1 minute left.');
    expect(at(0)).toBe('Blue pot, boil: now.');
    expect(at(-30)).toBe('Blue pot, boil: now.');
  });
  it('changes seven times in the last hour, not every second', () => {
    const heard = new Set(Array.from({ length: 3700 }, (_, s) => announcement('x', END, END - s * 1000)));
    heard.delete('');
    expect(heard.size).toBe(7);
  });
});

describe('what calls, and in which order', () => {
  const moment = (clock: string, atMs: number, urgency: AlarmMoment['urgency']): AlarmMoment => ({
    key: `${clock}:${atMs}`,
    clock,
    atMs,
    text: clock,
    urgency,
  });
  const moments = [
    moment('steep', 100, 'soft'),
    moment('boil', 300, 'due'),
    moment('boil', 500, 'late'),
    moment('spice', 200, 'due'),
    moment('soak', 900, 'due'),
  ];
  const calling = (nowMs: number, heard: string[] = []) =>
    callingNow(moments, nowMs, heard).map((m) => m.key);
  it('nothing before its time', () => expect(calling(99)).toEqual([]));
  it('the more urgent first, of the same urgency the one that calls longest', () => {
    expect(calling(400)).toEqual(['spice:200', 'boil:300', 'steep:100']);
  });
  it('the latest moment of a clock speaks for those before it', () => {
    expect(calling(600)).toEqual(['boil:500', 'spice:200', 'steep:100']);
  });
  it('what was put off is silent, and what it spoke for stays silent too', () => {
    expect(calling(600, ['boil:500'])).toEqual(['spice:200', 'steep:100']);
  });
});
