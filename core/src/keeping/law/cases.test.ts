import { describe, expect, it } from 'vitest';
import { CASES, missOf } from './cases.ts';

describe('courses worked out by hand', () => {
  it('are forty or more', () => expect(CASES.length).toBeGreaterThanOrEqual(40));
  it.each(CASES.map((c) => [c.name, c.hand, c] as const))('%s (%s)', (_, __, one) => {
    expect(missOf(one)).toBeNull();
  });
});
