import { LOT_WORDS } from '../../tables/reading/lotWords.ts';
import type { Token } from './tokens.ts';

const LOT_NAMES = LOT_WORDS.flatMap(({ kind, words }) =>
  words.map((w) => ({ kind, words: w.split(/[ -]/) })),
).sort((a, b) => b.words.length - a.words.length);

/** The part of a batch that is named at a token, with the number behind its name. */
export function lotAt(tokens: readonly Token[], at: number) {
  for (const { kind, words } of LOT_NAMES) {
    if (!words.every((w, i) => tokens[at + i]?.t === w)) continue;
    const next = tokens[at + words.length];
    const numbered = next?.kind === 'number' && Number.isInteger(next.value) && next.value! <= 20;
    return { kind, ...(numbered ? { number: next.value! } : {}), to: at + words.length + (numbered ? 1 : 0) };
  }
  return null;
}
