import { wcagContrast } from 'culori';
import { describe, expect, it } from 'vitest';
import { tintShare } from '../shared/batch/liquorColour.ts';
import { DAY, NIGHT, PAIRS } from './tokens.ts';

describe('colours used together have the contrast they need', () => {
  for (const [name, tokens] of [
    ['day', DAY],
    ['night', NIGHT],
  ] as const) {
    it.each(PAIRS.map((p) => [p.over, p.under, p.least] as const))(
      `${name}: %s on %s at least %d`,
      (over, under, least) => {
        expect(wcagContrast(tokens[over], tokens[under])).toBeGreaterThanOrEqual(least);
      },
    );
  }
  it('light text stays readable on the stove’s tint, whatever the drink', () => {
    const mix = (a: string, b: string, share: number): string => {
      const part = (hex: string, i: number) => Number.parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16);
      return `#${[0, 1, 2]
        .map((i) =>
          Math.round(part(a, i) * share + part(b, i) * (1 - share))
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`;
    };
    for (const drink of [
      '#650000',
      '#c50003',
      '#d48611',
      '#f9f8f4',
      '#efd487',
      '#b8b45a',
      '#000000',
      '#e91163',
    ]) {
      const ground = mix(drink, NIGHT.ground, tintShare(drink));
      expect(wcagContrast(NIGHT.ink, ground), drink).toBeGreaterThanOrEqual(7);
      expect(wcagContrast(NIGHT.inkMuted, ground), drink).toBeGreaterThanOrEqual(4.5);
    }
  });
});
