import type { Clause } from '../clauses/clauses.ts';
import { cueOf, levelIn, lidIn } from '../details.ts';
import { quantityAt } from '../quantities/quantities.ts';
import type { DraftStep, StepBuilder } from './builder.ts';
import { type Piece, toldAll } from './piece.ts';
import { putIn } from './putting.ts';
import { stand } from './standing.ts';

export function boilDetails(b: StepBuilder, step: DraftStep, words: string, verb: string | null): void {
  step.level = levelIn(words, verb) ?? b.level ?? null;
  step.lid = lidIn(words) ?? b.lid ?? null;
  b.level = undefined;
  b.lid = undefined;
  b.off = false;
}

export function doHeat(b: StepBuilder, c: Piece): void {
  const { clause, words, span, length, verb } = c;
  const step = b.add('heat', span);
  step.tempC = clause.temps[0]?.value ?? null;
  b.uses(clause.temps[0]);
  step.cue = cueOf(b.tokens, b.text, clause);
  const notBoil =
    clause.hits.some((h) => h.negated && h.verb === 'boil') ||
    / (?:not|don't|dont|never) .*boil /.test(words);
  const boils = / boils? /.test(words) && !notBoil;
  step.heatTo =
    step.tempC !== null ? null : boils ? 'boil' : / bubbles? /.test(words) ? 'firstBubbles' : 'hot';
  step.lid = lidIn(words) ?? null;
  if (length) b.time(step, length);
  toldAll(b, c, step);
  if (verb === 'warm' && b.bottled) step.doubts.add('meaningGuessed');
  b.off = false;
}

export function doBoil(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things, length, verb } = c;
  const last = b.last;
  // "Boil, then simmer 20 minutes": the first brings it to the boil.
  if (last?.kind === 'boil' && !last.minutes && length && !last.cue) {
    last.kind = 'heat';
    last.heatTo = 'boil';
    last.implied = true;
    last.doubts.delete('noTime');
  }
  // "It boils gently": how the boil that was named goes on.
  if (last?.kind === 'boil' && !length && !things.length && clause.hits.every((h) => h.form !== 'plain')) {
    b.extend(last, span);
    last.level ??= levelIn(words, verb) ?? null;
    return;
  }
  // "Now it is boiling": it has come to the boil.
  if (!length && !things.length && clause.hits.every((h) => h.form === 'ing')) {
    if (last?.kind === 'heat' && last.heatTo === 'boil') b.extend(last, span);
    else b.add('heat', span, { implied: true, heatTo: 'boil' });
    return;
  }
  const kettle = / kettle /.test(words) && !length && !things.length;
  const step = b.add(
    kettle ? 'heat' : 'boil',
    span,
    kettle ? { implied: true, heatTo: 'boil', vessel: 'kettle' } : {},
  );
  if (kettle) return;
  if (length) b.time(step, length);
  else step.doubts.add('noTime');
  step.cue = cueOf(b.tokens, b.text, clause);
  boilDetails(b, step, words, verb);
  boilsDown(b, step, clause, words);
  toldAll(b, c, step);
}

export function doToBoil(b: StepBuilder, c: Piece): void {
  const { words, span, length } = c;
  const before = b.last;
  const again = before?.kind === 'heat' && before.heatTo === 'boil';
  const step = again ? before : b.add('heat', span, { heatTo: 'boil' });
  if (again) b.extend(step, span);
  toldAll(b, c, step);
  if (/ simmer /.test(words)) b.level = 'simmer';
  b.off = false;
  // "bring to the boil for ten minutes"
  if (length) {
    const boil = b.add('boil', span);
    b.time(boil, length);
    boilDetails(b, boil, words, null);
  }
}

export function doLower(b: StepBuilder, c: Piece): void {
  const { words, span, length } = c;
  b.level = 'simmer';
  const boil = b.last?.kind === 'boil' ? b.last : null;
  if (length) {
    const step = b.add('boil', span, { level: 'simmer' });
    b.time(step, length);
    boilDetails(b, step, words, 'simmer');
  } else if (boil) b.extend(boil, span);
}

export function doOff(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things, except, length } = c;
  b.off = true;
  b.lid = lidIn(words) ?? b.lid;
  if (length) stand(b, clause, words, span, length);
  if (things.length) putIn(b, clause, words, span, things, except);
}

export function doCover(b: StepBuilder, c: Piece): void {
  const { clause, words, span, length } = c;
  const lid = lidIn(` ${words} `) ?? 'on';
  const last = b.last;
  if (length) {
    stand(b, clause, words, span, length).lid = lid;
    return;
  }
  if (b.off || !last || !(last.kind === 'boil' || last.kind === 'steep' || last.kind === 'soak')) b.lid = lid;
  else last.lid = lid;
}

export function doReduce(b: StepBuilder, c: Piece): void {
  const { clause, words, span } = c;
  const step = b.add('boil', span, {
    downToShare: / half /.test(words) ? 0.5 : / third /.test(words) ? 1 / 3 : null,
  });
  boilsDown(b, step, clause, words);
}

/** "Until 2 litres are left", "down to 40 %", "until it stands 5 cm high": how far it is boiled down. */
function boilsDown(b: StepBuilder, step: DraftStep, clause: Clause, words: string): void {
  if (!/ (?:left|remains?|remaining|down to|reduced? to|high|deep) /.test(words)) return;
  for (let i = clause.from; i < clause.to; i++) {
    const q = quantityAt(b.tokens, i);
    if (!q || q.article) continue;
    const isShare = q.measured === 'share';
    const litres = q.measured === 'amount' && q.measure ? LITRES[q.measure.id] : undefined;
    if (isShare && q.value < 1) step.downToShare = q.value;
    else if (litres !== undefined) step.downToL = q.value * litres;
    else if (q.measured === 'amount' && q.measure?.id === 'cm') step.downToCm = q.value;
    else continue;
    step.doubts.delete('noTime');
    b.uses(q);
    return;
  }
}
const LITRES: Readonly<Record<string, number>> = { mL: 0.001, cL: 0.01, dL: 0.1, L: 1 };
