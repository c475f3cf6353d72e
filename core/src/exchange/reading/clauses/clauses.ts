import { OTHERS, SUBJECTS } from '../../../tables/reading/deedWords.ts';
import { type Quantity, quantityAt } from '../quantities/quantities.ts';
import type { Thing } from '../things/thing.ts';
import { thingsIn } from '../things/things.ts';
import type { Token } from '../tokens.ts';
import { CUTS, type Hit, hitAt, plainVerb } from './hits.ts';
import { sideRanges } from './sides.ts';

/** A piece of a sentence with one deed, or with none. */
export interface Clause {
  from: number;
  to: number;
  hits: Hit[];
  things: Thing[];
  times: Quantity[];
  temps: Quantity[];
  counts: Quantity[];
  /** Amounts of nothing that is named beside them. */
  amounts: Quantity[];
  /** What it says of when it is done. */
  cue: { from: number; to: number } | null;
  /** What it says of when it begins: "once it is cold". */
  when: { from: number; to: number } | null;
  /** It asks. */
  question: boolean;
  /** Only if one likes. */
  optional: boolean;
  /** It is the whole of its sentence, or the first of it. */
  opens: boolean;
  /** Which sentence it is of. */
  sentence: number;
}

const sameFamily = (a: Thing, b: Thing): boolean =>
  a.entry.kind === 'family' && b.entry.kind === 'family' && a.entry.family.id === b.entry.family.id;

/** Where "that" or "which" opens a clause of its own before a verb with its subject; -1 where none does. */
function relativeBefore(tokens: readonly Token[], at: number, from: number): number {
  for (let k = at - 1; k >= from && k > at - 4; k--)
    if ((tokens[k]!.t === 'that' || tokens[k]!.t === 'which') && SUBJECTS.has(tokens[k + 1]!.t)) return k;
  return -1;
}

/** The clauses of one sentence. */
export function clausesIn(tokens: readonly Token[], from: number, end: number, sentence: number): Clause[] {
  const question = tokens[end]?.t === '?' || tokens[end - 1]?.t === '?';
  const side = sideRanges(tokens, from, end);
  const inSide = (i: number) => side.find((r) => i >= r.from && i < r.to);
  const hits: Hit[] = [];
  let last: Hit | null = null;
  for (let i = from; i < end; i++) {
    const range = inSide(i);
    // "(less if you like)": a condition that ends with its bracket is a remark, and opens no clause.
    if (range && (range.kind !== 'if' || tokens[range.to]?.t === ')')) continue;
    const hit = hitAt(tokens, i, range ? range.from + 1 : from, end, last);
    if (!hit) continue;
    last = hit;
    // What other people do is none of ours.
    let others = false;
    for (let k = i - 1; k >= from && k > i - 4 && !CUTS.has(tokens[k]!.t); k--)
      if (OTHERS.has(tokens[k]!.t)) others = true;
    // "Bottles that have been boiled": how they are.
    for (let k = i - 1; k >= from && k > i - 4; k--)
      if (
        hit.form === 'past' &&
        (tokens[k]!.t === 'that' || tokens[k]!.t === 'which') &&
        !SUBJECTS.has(tokens[k + 1]!.t)
      )
        others = true;
    if (!others) hits.push(hit);
  }
  const verbAt = new Set(hits.map((h) => h.at));
  const named = thingsIn(tokens, from, end, false, (i) => verbAt.has(i));
  // "A cup of lemon juice (that's five lemons)": said in other words.
  const things = named.filter((t, i) => {
    const last = named[i - 1];
    if (!last || !sameFamily(last, t)) return true;
    const between = tokens.slice(last.to, t.from).map((token) => token.t);
    return !(
      between[0] === '(' && /^(?:that's|thats|that|which|about|around|=|from|or)$/.test(between[1] ?? '')
    );
  });
  // A form of a thing is no deed: "3 limes, juice".
  const own = hits.filter((h) => !things.some((t) => h.at > t.from && h.at < t.to));
  const groups: Hit[][] = [];
  const starts: number[] = [];
  for (const hit of own) {
    const previous = groups.at(-1)?.at(-1);
    if (!previous) {
      // "A bunch of mint that you bruise": the things stand for themselves.
      const that = relativeBefore(tokens, hit.at, from);
      if (that >= 0 && things.some((t) => t.to <= that && t.quantity)) {
        groups.push([]);
        starts.push(from);
        groups.push([hit]);
        starts.push(that);
        continue;
      }
      groups.push([hit]);
      starts.push(from);
      continue;
    }
    let cut = -1;
    for (let i = hit.at - 1; i > previous.at; i--) {
      if (things.some((t) => i > t.from && i < t.to)) continue;
      if (relativeBefore(tokens, hit.at, from) === i) {
        cut = i;
        break;
      }
      if (tokens[i]!.t === 'or' && plainVerb(tokens, i + 1, end)) {
        cut = i;
        break;
      }
      if (CUTS.has(tokens[i]!.t) && !(inSide(i)?.kind === 'until' && inSide(i)!.from < previous.at)) {
        cut = i;
        break;
      }
    }
    if (cut < 0) groups.at(-1)!.push(hit);
    else {
      groups.push([hit]);
      starts.push(cut);
    }
  }
  const asideOf = (i: number) => inSide(i) !== undefined;
  if (!groups.length) {
    groups.push([]);
    starts.push(from);
  }
  return groups.map((hitsOf, n): Clause => {
    const a = starts[n]!;
    const b = starts[n + 1] ?? end;
    const times: Quantity[] = [];
    const temps: Quantity[] = [];
    const counts: Quantity[] = [];
    const amounts: Quantity[] = [];
    const mine = things.filter((t) => t.from >= a && t.from < b && !asideOf(t.from));
    for (let i = a; i < b; i++) {
      const inThing = mine.find((t) => i >= t.from && i < t.to);
      if (inThing) {
        i = inThing.to - 1;
        continue;
      }
      const q = quantityAt(tokens, i);
      if (!q || q.to > b) continue;
      const p = tokens[i - 1]?.t ?? '';
      // "After ten minutes", "for the last ten minutes" tell when, and no length.
      if (q.measured === 'time' && (p === 'after' || p === 'last' || p === 'within' || p === 'every')) {
        i = q.to - 1;
        continue;
      }
      if (q.measured === 'time') times.push(q);
      else if (q.measured === 'temp') temps.push(q);
      else if (q.measured === 'times') counts.push(q);
      else if (q.measured === 'amount' && !q.article && !q.vague) amounts.push(q);
      else continue;
      i = q.to - 1;
    }
    const until = side.find((r) => r.kind === 'until' && r.from >= a && r.from < b);
    const when = side.find((r) => r.kind === 'when' && r.from >= a && r.from < b);
    // A sentence that opens with "if" tells what may be done, and so does a clause within it.
    const optional = side.some(
      (r) =>
        r.kind === 'if' &&
        ((r.from === from && n <= 1) ||
          (r.from >= a &&
            r.from < b &&
            /^(?:needed|necessary|required|wanted|desired)$/.test(tokens[r.from + 1]?.t ?? '')) ||
          (hitsOf.length > 0 && hitsOf.every((h) => h.at >= r.from && h.at < r.to))),
    );
    return {
      from: a,
      to: b,
      hits: hitsOf,
      things: mine,
      times,
      temps,
      counts,
      amounts,
      cue: until ? { from: until.from, to: until.to } : null,
      question,
      when: when ? { from: when.from, to: when.to } : null,
      optional,
      opens: n === 0,
      sentence,
    };
  });
}
