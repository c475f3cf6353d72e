import type { Token } from '../tokens.ts';

/** A row of the text: tokens from, end not included, without its bullet. */
export interface Row {
  from: number;
  end: number;
  bullet: boolean;
  /** Its bullet is a small picture. */
  picture: boolean;
  /** An empty row stands before it. */
  gap: boolean;
}

const BULLETS = new Set(['-', '–', '—', '*', '•', '·', '▪', '‣', '>', '+', '~']);

export const pictograph = /\p{Extended_Pictographic}/u;

export const words = (tokens: readonly Token[], from: number, end: number): string =>
  ` ${tokens
    .slice(from, end)
    .map((t) => t.t)
    .join(' ')} `;

/** More than a line of dashes. */
function hasWords(tokens: readonly Token[], from: number, end: number): boolean {
  for (let i = from; i < end; i++) if (!/^[-=_*#|.]$/.test(tokens[i]!.t)) return true;
  return false;
}

/** The rows of a text, past their bullets and numbers. */
export function rowsOf(tokens: readonly Token[]): Row[] {
  const rows: Row[] = [];
  let from = 0;
  let gap = false;
  for (let i = 0; i <= tokens.length; i++) {
    if (i < tokens.length && tokens[i]!.kind !== 'row') continue;
    if (i === from) {
      gap = true;
      from = i + 1;
      continue;
    }
    let a = from;
    let bullet = false;
    let picture = false;
    while (a < i && (BULLETS.has(tokens[a]!.t) || pictograph.test(tokens[a]!.t) || tokens[a]!.t === '→')) {
      bullet = true;
      picture = pictograph.test(tokens[a]!.t);
      a++;
    }
    if (tokens[a]?.t === 'step' && tokens[a + 1]?.kind === 'number' && a + 2 < i) {
      a += 2;
      bullet = true;
      if (tokens[a]?.t === ':' || tokens[a]?.t === '.') a++;
    }
    const number = tokens[a];
    const sign = tokens[a + 1]?.t;
    if (
      number?.kind === 'number' &&
      Number.isInteger(number.value) &&
      number.value! <= 60 &&
      (sign === '.' || sign === ')' || (sign === '-' && tokens[a + 2]?.capital === true)) &&
      a + 2 < i
    ) {
      a += 2;
      bullet = true;
    }
    if (hasWords(tokens, a, i)) rows.push({ from: a, end: i, bullet, picture, gap });
    gap = false;
    from = i + 1;
  }
  return rows;
}
