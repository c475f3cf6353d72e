import { luminanceOf } from '@big-ladle/core/liquor';
import type { Tokens } from './tokens.ts';

/** How much of a drink's colour may lie over a ground, the most first. */
const SHARES = [0.8, 0.65, 0.5, 0.35, 0.2, 0.1] as const;

/** What is written on it, with the contrast that it needs. */
export const WRITTEN: readonly { over: keyof Tokens; least: number }[] = [
  { over: 'ink', least: 7 },
  ...(['inkMuted', 'rim', 'cold', 'heat', 'ready', 'caution', 'danger'] as const).map((over) => ({
    over,
    least: 4.5,
  })),
];

const channel = (hex: string, i: number): number => Number.parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16);

/** A colour over a ground, as browsers mix in sRGB. */
export const mixed = (colour: string, ground: string, share: number): string =>
  `#${[0, 1, 2]
    .map((i) =>
      Math.round(channel(colour, i) * share + channel(ground, i) * (1 - share))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** Contrast of two colours. Source: WCAG 2.2, 1.4.3. */
function contrast(a: string, b: string): number {
  const [dark, light] = [luminanceOf(a), luminanceOf(b)].sort((x, y) => x - y);
  return (light! + 0.05) / (dark! + 0.05);
}

/** How much of a drink's colour may tint the ground of a screen so that every text on it stays readable, whatever the drink. */
export const tintShare = (drink: string, tokens: Tokens): number =>
  SHARES.find((share) => {
    const ground = mixed(drink, tokens.ground, share);
    return WRITTEN.every(({ over, least }) => contrast(tokens[over], ground) >= least);
  }) ?? 0;
