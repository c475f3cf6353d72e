import type { Clause } from '../clauses/clauses.ts';
import { vesselsIn } from '../clauses/namedVessels.ts';
import { sievesIn } from '../clauses/sieves.ts';
import { lengthOf, pressIn } from '../details.ts';
import type { Thing } from '../things/thing.ts';
import type { Span } from '../types.ts';
import type { StepBuilder } from './builder.ts';
import type { Piece } from './piece.ts';

export function strainIt(
  b: StepBuilder,
  clause: Clause,
  words: string,
  span: Span,
  things: readonly Thing[],
): void {
  // "Juice it in the blender and wring it through a cloth": that is how it is juiced.
  if (
    b.last?.kind === 'juice' &&
    clause.sentence === b.lastSentence &&
    / (?:wring|squeeze|press) /.test(words)
  ) {
    b.last.tool ??= 'blender';
    const jug = vesselsIn(b.tokens, clause.from, clause.to).find((v) => v.into);
    if (jug) b.last.intoVessel = jug.vessel;
    b.extend(b.last, span);
    return;
  }
  const passes = sievesIn(b.tokens, clause.from, clause.to).map(({ by, times }) => ({ by, times }));
  const times = b.often(clause, words);
  if (times !== null && passes.length === 1 && passes[0]!.times === 1) passes[0]!.times = times;
  if (times !== null && !passes.length) passes.push({ by: 'sieve', times });
  // "Two times, the second with a gauze."
  if (times === 2 && passes.length === 1 && / second (?:time )?(?:with|through|by) /.test(words)) {
    passes[0]!.times = 1;
    passes.unshift({ by: 'sieve', times: 1 });
  }
  const press = pressIn(b.tokens, clause.from, clause.to);
  const kept =
    / (?:keep|save|put aside|set aside|keeping) .*(?:solids|pulp|peel|plants|flowers|left) /.test(words) ||
    / what (?:is|was) left /.test(words);
  // "Ginger, two thumbs, grated, squeezed through a cloth": it is named here for the first time.
  const fresh = things.filter((t) => t.quantity && !t.definite);
  if (fresh.length) {
    const put = b.put(b.strained ? 'mix' : 'combine', span, true);
    for (const thing of fresh) for (const line of b.named(thing)) b.place(line, put, false, thing);
  }
  for (const thing of things) if (!fresh.includes(thing)) b.named({ ...thing, definite: true });
  // "Strain what is in the small pan. Strain what is in the pot.": two of them.
  const apart =
    clause.sentence !== b.lastSentence && vesselsIn(b.tokens, clause.from, clause.to).some((v) => v.source);
  const step = b.last?.kind === 'strain' && !apart ? b.last : b.add('strain', span);
  b.extend(step, span);
  const length = lengthOf(clause, words);
  if (length) b.time(step, length);
  step.passes.push(...passes);
  if (press) step.press = press;
  if (kept) step.kept = true;
  if (/ (?:hot|warm) /.test(words)) step.cue ??= null;
  const into = vesselsIn(b.tokens, clause.from, clause.to).find((v) => v.into);
  if (into) step.intoVessel = into.vessel;
  b.strained = true;
  b.off = false;
  b.lid = undefined;
}

export function doStrain(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things } = c;
  strainIt(b, clause, words, span, things);
}

export function doPress(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things } = c;
  // "Lift the herbs out and squeeze them."
  if (b.last?.kind === 'lift' && clause.sentence === b.lastSentence) {
    b.extend(b.last, span);
    return;
  }
  const before = b.lastOf('strain');
  const recent = b.last?.kind === 'strain' || (before && b.all.indexOf(before) >= b.all.length - 1);
  const press = pressIn(b.tokens, clause.from, clause.to);
  if (before && recent) {
    before.press = press ?? 'wring';
    b.extend(before, span);
  } else strainIt(b, clause, words, span, things);
}
