import { amountOf } from '../amounts.ts';
import type { Clause } from '../clauses/clauses.ts';
import { vesselsIn } from '../clauses/namedVessels.ts';
import { sievesIn } from '../clauses/sieves.ts';
import { type Length, lengthOf, levelIn, lidIn, placeIn, wordsOf } from '../details.ts';
import type { Thing } from '../things/thing.ts';
import type { Span } from '../types.ts';
import { EVERYTHING, families, type PieceReader, type StepBuilder, TIMED } from './builder.ts';
import { boilDetails } from './cooking.ts';
import { stand } from './standing.ts';

/** "Everything in the big pot, low heat, 45 min, never boil": a sentence without a verb says one thing after another. */
export function inPieces(b: StepBuilder, clause: Clause, readPiece: PieceReader): boolean {
  const cuts: number[] = [];
  for (let i = clause.from; i < clause.to; i++) {
    const { t } = b.tokens[i]!;
    if (t !== ',' && t !== '/' && t !== ';' && t !== ':') continue;
    if (clause.things.some((thing) => i > thing.from && i < thing.to) || i === clause.from) continue;
    // Things one after the other are one list.
    const after = clause.things.some((thing) => thing.from > i && thing.from - i <= 3);
    const before = clause.things.some((thing) => thing.to <= i && i - thing.to <= 1);
    if (!(after && before)) cuts.push(i);
  }
  if (!cuts.length) return false;
  let from = clause.from;
  for (const to of [...cuts, clause.to]) {
    if (to > from) {
      const within = (q: { from: number }) => q.from >= from && q.from < to;
      const piece: Clause = {
        ...clause,
        from,
        to,
        hits: clause.hits.filter((h) => h.at >= from && h.at < to),
        things: clause.things.filter(within),
        times: clause.times.filter(within),
        temps: clause.temps.filter(within),
        counts: clause.counts.filter(within),
        amounts: clause.amounts.filter(within),
        cue: clause.cue && within(clause.cue) ? clause.cue : null,
        when: clause.when && within(clause.when) ? clause.when : null,
      };
      b.morePieces = to < clause.to;
      readPiece(b, piece, wordsOf(b.tokens, from, to), b.span(from, to));
      b.morePieces = false;
      b.lastSentence = clause.sentence;
    }
    from = to + 1;
  }
  return true;
}

/** A clause without a deed: things that go in here, a lid, a time, a note, or nothing that could be read. */
export function plainWords(
  b: StepBuilder,
  clause: Clause,
  words: string,
  span: Span,
  things: readonly Thing[],
  except: readonly Thing[],
): void {
  const length = lengthOf(clause, words);
  const lid = lidIn(words);
  const negated = clause.hits.filter((h) => h.negated);
  const last = b.last;
  if (last?.kind === 'wash' && clause.counts.length && !things.length) {
    last.rinses = b.often(clause, words);
    b.extend(last, span);
    b.understood.push(span);
    return;
  }
  const sieves = sievesIn(b.tokens, clause.from, clause.to);
  if (last?.kind === 'strain' && sieves.length && !things.length) {
    b.often(clause, words);
    last.passes.push(...sieves.map(({ by, times }) => ({ by, times })));
    b.extend(last, span);
    b.understood.push(span);
    return;
  }
  if (negated.length) {
    notDone(b, clause, words, span);
    return;
  }
  const real = things.filter(
    (t) => t.quantity || t.toTaste || (!t.definite && b.all.length > 0 && b.lines.knows(t)),
  );
  if (real.length || (things.length && EVERYTHING.test(words))) {
    const everything = EVERYTHING.test(words);
    const open = last && ['combine', 'mix', 'sweeten'].includes(last.kind) && !everything;
    if (open) {
      b.extend(last, span);
      for (const thing of things) for (const line of b.named(thing)) b.place(line, last, last.implied, thing);
    } else {
      const [vessel] = vesselsIn(b.tokens, clause.from, clause.to).filter((v) => !v.source);
      const explicit = vessel !== undefined && vessel.vessel !== 'bottles';
      const step = b.put(b.strained ? 'mix' : 'combine', span, !explicit && !everything);
      if (everything) step.everything = { except: families(except) };
      if (vessel) step.vessel = vessel.vessel;
      for (const thing of things)
        for (const line of b.named(thing)) b.place(line, step, step.implied && !thing.more, thing);
    }
    b.understood.push(span);
    if (length) stand(b, clause, words, span, length);
    return;
  }
  if (!things.length && b.focus.length && / in (?:for|it|too|as|at) /.test(words)) {
    const step = b.put(b.strained ? 'mix' : 'combine', span);
    for (const line of b.focus) b.place(line, step, false);
    b.understood.push(span);
    if (length) stand(b, clause, words, span, length);
    return;
  }
  if (!things.length && / out /.test(words) && b.focus.length) {
    const step = b.add('lift', span);
    for (const line of b.focus) step.handles.push(line.id);
    b.understood.push(span);
    return;
  }
  for (const thing of things) b.named(thing);
  if (EVERYTHING.test(words)) {
    const step = b.put(b.strained ? 'mix' : 'combine', span);
    step.everything = { except: families(except) };
    b.understood.push(span);
    if (lid) b.lid = lid;
    if (length) stand(b, clause, words, span, length);
    return;
  }
  if (
    length &&
    b.notes.length &&
    / (?:fridge|days?|weeks?|months?) /.test(words) &&
    b.strained &&
    length.value >= 1440
  ) {
    b.notes.push({ kind: 'keeps', span, days: (length.max ?? length.value) / 1440 });
    b.understood.push(span);
    return;
  }
  if (length) {
    bareTime(b, clause, words, span, length);
    return;
  }
  if (lid && last) {
    if (b.off || last.kind === 'combine') b.lid = lid;
    // "Simmer 12 min → lid on, 1 h off the heat": what follows in the sentence is under the lid.
    else if (
      (last.kind === 'boil' || last.kind === 'steep' || last.kind === 'soak') &&
      !(b.morePieces && last.minutes)
    )
      last.lid = lid;
    else b.lid = lid;
    b.understood.push(span);
    return;
  }
  if (things.length || except.length) b.understood.push(span);
}

/** A length of time that stands alone. */
function bareTime(b: StepBuilder, clause: Clause, words: string, span: Span, length: Length): void {
  const last = b.last;
  b.understood.push(span);
  b.uses(clause.times[0]);
  if (b.strained && length.value >= 1440) {
    b.notes.push({ kind: 'keeps', span, days: (length.max ?? length.value) / 1440 });
    return;
  }
  const timed =
    last &&
    ((last.kind === 'heat' && last.heatTo !== 'boil') ||
      TIMED.has(last.kind) ||
      last.kind === 'cool' ||
      last.kind === 'settle' ||
      last.kind === 'blend');
  if (timed && last.minutes && last.minutes.value === length.value) {
    b.extend(last, span);
    return;
  }
  if (timed && !last.minutes && !/ (?:off|rest|stand) /.test(words)) {
    b.time(last, length);
    b.extend(last, span);
    last.lid ??= lidIn(words) ?? null;
    if (last.kind === 'boil') last.level ??= levelIn(words, null) ?? null;
    last.place ??= placeIn(words) ?? null;
    return;
  }
  if (last?.kind === 'heat' && last.heatTo === 'boil' && !b.off && !/ (?:off|rest|stand) /.test(words)) {
    const step = b.add('boil', span);
    b.time(step, length);
    boilDetails(b, step, words, null);
    return;
  }
  if (last?.minutes && !b.off && last.minutes.value === length.value) {
    b.extend(last, span);
    return;
  }
  if (last?.kind === 'boil' && last.minutes && !b.off && !/ (?:off|rest|stand|fridge) /.test(words)) {
    // Told again in other words: nothing new.
    b.extend(last, span);
    return;
  }
  if (!last) return;
  stand(b, clause, words, span, length);
}

/** "Do not press it", "it must not boil": what is not done says how the rest is done. */
function notDone(b: StepBuilder, clause: Clause, words: string, span: Span): void {
  const last = b.last;
  const negated = clause.hits.filter((h) => h.negated);
  const { verb } = negated.find((h) => h.verb === 'boil') ?? negated[0]!;
  if (verb === 'boil' || verb === 'simmer' || verb === 'cook') {
    const heat = last?.kind === 'heat' ? last : null;
    // "Bring it up to a bare simmer, do not let it boil."
    if (heat?.heatTo === 'boil' && !heat.implied && clause.sentence === b.lastSentence)
      heat.heatTo = 'firstBubbles';
    if (heat && heat.heatTo !== 'boil') b.extend(heat, span);
    b.understood.push(span);
    return;
  }
  if (verb === 'press' || verb === 'wring' || verb === 'squeeze' || verb === 'push') {
    const strain = b.lastOf('strain');
    if (strain) {
      if (!(verb === 'wring' && strain.press)) strain.press = 'drain';
      b.extend(strain, span);
    }
    b.understood.push(span);
    return;
  }
  if (verb === 'cover' || verb === 'close') {
    const boil = b.lastOf('boil', 'steep', 'soak');
    if (boil) {
      boil.lid = 'off';
      b.extend(boil, span);
    }
    b.understood.push(span);
    return;
  }
  // "Don't peel it", "do not rinse": nothing to do, and no loss.
  if (last) b.understood.push(span);
  void words;
}

/** A correction of the amount before: "ten cloves, maybe twelve"; "no, make it two stalks". */
export function correct(b: StepBuilder, clause: Clause, words: string, things: readonly Thing[]): boolean {
  const [q] = clause.amounts;
  if (!q || / (?:makes|made|make about|gives|yields|fills|will have) /.test(words)) return false;
  // The thing that was named right before it, in this clause or the one before.
  const own = things.findLast((t) => t.to <= q.from);
  if (things.some((t) => t.from >= q.to && t.entry.kind === 'family')) return false;
  if (own) {
    const [named] = b.lines.told({ ...own, quantity: null });
    if (named && !own.quantity) {
      b.lastLine = named;
      b.namedIn = clause.sentence;
    }
  }
  const line = b.lastLine;
  if (!line || (own?.quantity && q.measure)) return false;
  const span = b.span(clause.from, clause.to);
  const amount = amountOf(q, b.text.slice(b.tokens[q.from]!.start, b.tokens[q.to - 1]!.end), b.lines.kit);
  // "Now the sugar. I use one and a half kilos.", "ginger, this is about 200 g"
  if (!line.amount && q.measure && clause.sentence - b.namedIn <= 2) {
    line.amount = amount;
    line.spans.push(span);
    clause.amounts = [];
    b.understood.push(b.span(q.from, q.to));
    b.uses(q);
    return false;
  }
  // "Ten cloves, maybe twelve."
  if (
    !q.measure &&
    line.amount?.kind === 'said' &&
    line.amount.max === undefined &&
    / (?:maybe|or|perhaps|even) /.test(words) &&
    q.value > line.amount.value &&
    q.value <= line.amount.value * 2
  ) {
    line.amount = { ...line.amount, max: q.value };
    line.spans.push(span);
    b.understood.push(b.span(q.from, q.to));
    b.uses(q);
    return false;
  }
  if (/ make (?:it|that) | i mean | sorry /.test(words) && line.amount) {
    b.lines.corrected(line, amount);
    b.uses(q);
    line.spans.push(span);
    b.understood.push(span);
    return true;
  }
  return false;
}
