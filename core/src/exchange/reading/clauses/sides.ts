import { BEFORE_PLAIN, SUBJECTS, UNTIL_WORDS, WHEN_WORDS } from '../../../tables/reading/deedWords.ts';
import { quantityAt } from '../quantities/quantities.ts';
import type { Token } from '../tokens.ts';
import { OWN_SUBJECTS, PAUSES, plainVerb } from './hits.ts';
import { VERBS } from './verbs.ts';

/** Where a sentence tells when, why or until when: from token to token. */
export function sideRanges(tokens: readonly Token[], from: number, end: number) {
  const ranges: { from: number; to: number; kind: 'when' | 'until' | 'if' }[] = [];
  for (let i = from; i < end; i++) {
    const t = tokens[i]!.t;
    const until = UNTIL_WORDS.has(t);
    if (!until && !WHEN_WORDS.has(t)) continue;
    // "after 15 minutes", "once more", "once a day", "until the next day" with its time: no part of its own.
    if (t === 'once' && ['more', 'again', 'a', 'through'].includes(tokens[i + 1]?.t ?? '')) continue;
    if ((t === 'after' || t === 'before') && (quantityAt(tokens, i + 1)?.measured === 'time' || i + 1 >= end))
      continue;
    if ((t === 'before' || t === 'after') && PAUSES.has(tokens[i + 1]?.t ?? ',')) continue;
    if (t === 'after' && tokens[i + 1]?.t === 'that') continue;
    // "After one filters": a foreigner's "afterwards".
    if (
      t === 'after' &&
      i === from &&
      ['one', 'you', 'we', 'i'].includes(tokens[i + 1]?.t ?? '') &&
      VERBS.has(tokens[i + 2]?.t ?? '')
    )
      continue;
    let to = i + 1;
    while (to < end) {
      const w = tokens[to]!.t;
      if (w === ',' || w === ';' || w === 'then' || w === ')' || w === '!' || w === '.' || w === '?') break;
      // "until it is soft and strain", "once cold add the juice"
      if (to > i + 1 && w === 'and' && plainVerb(tokens, to + 1, end)) break;
      // "When it is quite cold I add the juice."
      if (!until && to > i + 2 && (OWN_SUBJECTS.has(w) || w === 'one') && VERBS.has(tokens[to + 1]?.t ?? ''))
        break;
      if (
        !until &&
        to > i + 2 &&
        plainVerb(tokens, to, end) &&
        !SUBJECTS.has(tokens[to - 1]!.t) &&
        !BEFORE_PLAIN.has(tokens[to - 1]!.t)
      )
        break;
      to++;
    }
    ranges.push({ from: i, to, kind: until ? 'until' : t === 'if' ? 'if' : 'when' });
    i = to;
  }
  return ranges;
}
