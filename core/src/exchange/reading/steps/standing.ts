import type { Clause } from '../clauses/clauses.ts';
import { cueOf, type Length, lidIn, placeIn, saysNight, wordsOf } from '../details.ts';
import { quantityAt } from '../quantities/quantities.ts';
import type { Thing } from '../things/thing.ts';
import type { Span } from '../types.ts';
import type { DraftStep, StepBuilder } from './builder.ts';
import { type Piece, told, toldAll } from './piece.ts';

/** "Once it is cold": it has cooled by then, also where nobody said so before. */
export function whenCool(b: StepBuilder, clause: Clause, words: string, span: Span): void {
  if (!clause.when) return;
  const said = wordsOf(b.tokens, clause.when.from, clause.when.to);
  if (/ strain(?:s|ed|ing)? /.test(said) && !b.strained && b.all.length) {
    b.add('strain', span, { implied: true });
    b.strained = true;
  }
  if (!/ (?:cold|cool|cooled|tepid|lukewarm) /.test(said)) return;
  const hot = b.all.findLastIndex((s) => s.kind === 'boil' || s.kind === 'heat');
  if (hot < 0 || b.all.slice(hot).some((s) => s.kind === 'cool')) return;
  if (/ cool(?:s|ed)? (?:it|down|in) /.test(words)) return;
  const step = b.add('cool', span, { implied: true });
  step.cue = b.text.slice(b.tokens[clause.when.from]!.start, b.tokens[clause.when.to - 1]!.end);
}

const BATH = / in (?:[a-z]+ )?(?:salted |salt |vinegar |soapy |cold |warm |lukewarm |tepid |plain )*water /;
const isBath = (t: Thing): boolean =>
  t.entry.kind === 'family' && (t.entry.family.plainWater === true || t.entry.family.washes === true);

/** It stands: steeping before it is strained, waiting after. */
export function stand(
  b: StepBuilder,
  clause: Clause,
  words: string,
  span: Span,
  length: Length | null,
): DraftStep {
  const last = b.last;
  const cold =
    / (?:cold|cool|room temperature) /.test(words) && (clause.cue !== null || / to cool /.test(words));
  // A steep that is told twice: "leave it in the pot until it is cold. I usually leave it overnight."
  if (
    last &&
    (last.kind === 'steep' || last.kind === 'soak') &&
    (!last.minutes || !length || last.minutes.value === length.value)
  ) {
    b.extend(last, span);
    if (length) b.time(last, length);
    last.lid ??= lidIn(words) ?? null;
    last.place ??= placeIn(words) ?? null;
    return last;
  }
  if (last?.kind === 'cool' && !last.minutes && length && !b.strained && saysNight(words)) {
    last.kind = 'steep';
    b.time(last, length);
    b.extend(last, span);
    return last;
  }
  const bath = BATH.test(words) && !b.all.some((s) => ['combine', 'heat', 'boil'].includes(s.kind));
  const step = b.add(bath ? 'soak' : cold && !length ? 'cool' : 'steep', span);
  if (length) b.time(step, length);
  else if (step.kind === 'steep') step.doubts.add('noTime');
  step.lid = lidIn(words) ?? b.lid ?? null;
  step.place = placeIn(words) ?? null;
  step.cue = cueOf(b.tokens, b.text, clause);
  b.lid = undefined;
  b.off = false;
  return step;
}

export function doSteep(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things, length, verb } = c;
  if (MATURES.has(verb)) {
    const step = b.add('mature', span, { lid: lidIn(words) ?? null, place: placeIn(words) ?? null });
    if (length) b.time(step, length);
    return;
  }
  // "Lets them lie in salted water": a bath, of which nothing goes into the drink.
  const bath = BATH.test(words) && things.every((t) => !t.quantity && isBath(t));
  if (bath) {
    stand(b, clause, words, span, length);
    return;
  }
  if (things.length && !clause.things.every((t) => t.definite))
    told(b, c, b.put(b.strained ? 'mix' : 'combine', span));
  const before = b.last;
  const step = stand(b, clause, words, span, length);
  // "Hold it there": as hot as it was heated.
  if (verb === 'hold' && before?.kind === 'heat' && before.heatTo !== 'boil' && / there /.test(words))
    step.keptHot = true;
}

export function doHold(b: StepBuilder, c: Piece): void {
  const { words, span, length, known } = c;
  if (b.strained && (b.bottled || (length?.value ?? 0) >= 4 * 1440)) {
    b.understood.length = known;
    b.notes.push({ kind: 'keeps', span });
    b.understood.push(span);
    return;
  }
  const step = b.strained && !saysNight(words) ? b.add('cool', span) : b.add('steep', span);
  step.place = 'fridge';
  step.lid = b.lid ?? null;
  b.lid = undefined;
  step.held = true;
  if (length) b.time(step, length);
  if (step.kind === 'cool' && / (?:days?|weeks?|months?) /.test(words)) {
    b.all.pop();
    b.notes.push({ kind: 'keeps', span });
  }
}

export function doSoak(b: StepBuilder, c: Piece): void {
  const { clause, words, span, length } = c;
  const step = b.add('soak', span);
  if (length) b.time(step, length);
  step.place = placeIn(words) ?? null;
  step.lid = lidIn(words) ?? null;
  step.cue = cueOf(b.tokens, b.text, clause);
  if (!length) step.doubts.add('noTime');
  toldAll(b, c, step);
}

export function doIce(b: StepBuilder, c: Piece): void {
  const { clause, span, length } = c;
  const implied = b.all.findLast((s) => s.kind === 'cool' && s.implied);
  const step = implied ?? b.add('cool', span);
  if (implied) b.extend(implied, span);
  step.implied = false;
  step.place = 'iceBath';
  if (length) b.time(step, length);
  coolsTo(b, clause, step);
  step.cue = cueOf(b.tokens, b.text, clause);
}

/** "Down to 8 °C." */
function coolsTo(b: StepBuilder, clause: Clause, step: DraftStep): void {
  if (!clause.temps[0]) return;
  step.tempC = clause.temps[0].value;
  b.uses(clause.temps[0]);
}

export function doCool(b: StepBuilder, c: Piece): void {
  const { clause, words, span, length, verb } = c;
  if (b.bottled && !length) {
    b.notes.push({ kind: 'keeps', span });
    return;
  }
  // "Refrigerate for up to three days": how long it keeps.
  if (b.strained && length && length.value >= 1440 && (clause.times[0]?.bound === 'most' || b.bottled)) {
    b.notes.push({ kind: 'keeps', span, days: (length.max ?? length.value) / 1440 });
    return;
  }
  const last = b.last;
  const chill = verb === 'chill' || verb === 'refrigerate';
  if (last?.kind === 'cool' && !last.minutes && clause.sentence === b.lastSentence && !chill) {
    b.extend(last, span);
    if (length) b.time(last, length);
    return;
  }
  // "Refrigerate for two days" before it is strained is a steep.
  const step =
    chill && !b.strained && length && length.value > 240 ? b.add('steep', span) : b.add('cool', span);
  step.place = placeIn(words) ?? (chill ? 'fridge' : null);
  if (length) b.time(step, length);
  step.cue = cueOf(b.tokens, b.text, clause);
  coolsTo(b, clause, step);
}

/** "Shake it every 12 hours": what is done again and again while it stands. */
export function againEvery(b: StepBuilder, clause: Clause, span: Span): boolean {
  const step = b.last;
  if (!step || !STANDS.has(step.kind)) return false;
  if (!clause.hits.some((h) => h.deeds.some((d) => d === 'stir' || d === 'shake'))) return false;
  for (let i = clause.from; i < clause.to; i++) {
    if (b.tokens[i]!.t !== 'every') continue;
    const q = quantityAt(b.tokens, i + 1);
    if (q?.measured !== 'time') continue;
    step.everyMin = q.value;
    b.uses({ from: i, to: q.to });
    b.extend(step, span);
    return true;
  }
  return false;
}
const EARLY = / or (?:strain|sieve) (?:it |everything )?after /;
const ML: Readonly<Record<string, number>> = { mL: 0.001, cL: 0.01, dL: 0.1, L: 1 };

/** "Or strain it after 4 h, pour 1 L of water onto what is left and boil that for 10 min": instead of waiting. */
export function takesBranch(b: StepBuilder, from: number, end: number): boolean {
  const step = b.last;
  if (!step || !STANDS.has(step.kind) || b.tokens[from]?.t !== 'or') return false;
  const words = wordsOf(b.tokens, from, end);
  if (!EARLY.test(words) || !/ boil /.test(words)) return false;
  const times: number[] = [];
  let waterL: number | null = null;
  const used: { from: number; to: number }[] = [];
  for (let i = from; i < end; i++) {
    const q = quantityAt(b.tokens, i);
    if (!q || q.article) continue;
    const litres = q.measure ? ML[q.measure.id] : undefined;
    if (q.measured === 'time') times.push(q.value);
    else if (litres !== undefined) waterL = q.value * litres;
    else continue;
    used.push(q);
    i = q.to - 1;
  }
  const [afterMin, boilMin] = times;
  if (afterMin === undefined || boilMin === undefined || waterL === null) return false;
  step.branch = { afterMin, waterL, boilMin };
  const span = b.span(from, end);
  b.extend(step, span);
  b.uses(...used);
  b.understood.push(span);
  return true;
}

const MATURES: ReadonlySet<string> = new Set(['mature', 'ripen', 'age']);
const STANDS: ReadonlySet<string> = new Set(['mature', 'steep', 'soak']);

export function doShake(b: StepBuilder, c: Piece): void {
  const { words, span } = c;
  const step = b.lastOf('mature', 'steep', 'soak');
  if (step && / (?:day|evening|morning) /.test(words)) step.everyMin = 1440;
  if (step) b.extend(step, span);
  else if (b.bottled) b.notes.push({ kind: 'serve', span });
}
