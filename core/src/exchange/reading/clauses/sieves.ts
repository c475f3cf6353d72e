import { SIEVE_WORDS } from '../../../tables/reading/deedWords.ts';
import { figureAt } from '../quantities/figures.ts';
import type { Token } from '../tokens.ts';

/** "twice through a cloth", "3 times through the sieve". */
function timesBefore(tokens: readonly Token[], from: number, at: number): number {
  for (let k = at - 1; k >= from && k > at - 4; k--) {
    if (tokens[k]!.t !== 'through') continue;
    const before = tokens[k - 1]?.t ?? '';
    if (before === 'twice') return 2;
    const count = before === 'times' ? figureAt(tokens, k - 2) : null;
    return count && Number.isInteger(count.value) && k - 2 >= from ? count.value : 1;
  }
  return 1;
}

/** What it is strained through, in the order of the words: "a sieve lined with cloth", "twice". */
export function sievesIn(tokens: readonly Token[], from: number, to: number) {
  const out: { by: 'colander' | 'sieve' | 'fineMesh' | 'cloth'; times: number; at: number }[] = [];
  for (let i = from; i < to; i++) {
    const paper = /^filters?$/.test(tokens[i]!.t) && /^(?:coffee|paper)$/.test(tokens[i - 1]?.t ?? '');
    const by = paper ? ('cloth' as const) : SIEVE_WORDS[tokens[i]!.t];
    if (!by) continue;
    if (/^(?:if|or)$/.test(tokens[i + 1]?.t ?? '')) continue;
    const p = tokens[i - 1]?.t ?? '';
    // Tea bags and bags of hibiscus strain nothing.
    if (
      tokens[i]!.t === 'bag' &&
      !(p === 'milk' || p === 'straining' || p === 'jelly' || p === 'nut' || p === 'cloth')
    )
      continue;
    const fine = p === 'fine' || p === 'mesh' || tokens[i - 2]?.t === 'fine';
    const kind = by === 'sieve' && fine ? 'fineMesh' : by;
    // "fine mesh strainer" is one thing.
    if (out.length && out.at(-1)!.at === i - 1) {
      out[out.length - 1] = { ...out.at(-1)!, by: kind === 'sieve' ? 'fineMesh' : kind, at: i };
      continue;
    }
    let times = timesBefore(tokens, from, i);
    for (let k = i + 1; k < Math.min(to, i + 4); k++) {
      const t = tokens[k]!.t;
      // What comes next has its own: "through the sieve and twice through a cloth".
      if (t === 'and' || t === ',') break;
      if (t === 'twice') times = 2;
      if ((t === 'x' || t === '×') && tokens[k + 1]?.kind === 'number') times = tokens[k + 1]!.value!;
    }
    out.push({ by: kind, times, at: i });
  }
  return out;
}
