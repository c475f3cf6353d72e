import { describe, expect, it } from 'vitest';
import { ClockWatch } from './clockWatch.ts';

const MINUTE = 60_000;

describe('the machine’s clock', () => {
  let wallMs = 1_800_000_000_000;
  let steadyMs = 5000;
  const watch = new ClockWatch(
    () => wallMs,
    () => steadyMs,
  );
  const pass = (ms: number, wallBesides = 0) => {
    steadyMs += ms;
    wallMs += ms + wallBesides;
  };
  it('runs on, drifts a little and is set right: nobody is told', () => {
    pass(10 * MINUTE, 900);
    expect(watch.look()).toBeNull();
    pass(10 * MINUTE, -90_000);
    expect(watch.look()).toBeNull();
  });
  it('is set forwards or back: told once, and how far', () => {
    pass(10_000, 120 * MINUTE);
    expect(watch.look()).toBe(120 * MINUTE);
    pass(10_000);
    expect(watch.look()).toBeNull();
    pass(10_000, -30 * MINUTE);
    expect(watch.look()).toBe(-30 * MINUTE);
    expect(watch.look()).toBeNull();
  });
});
