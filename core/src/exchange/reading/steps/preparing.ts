import { FORM_OF_DEED } from '../../../tables/reading/formWords.ts';
import { vesselsIn } from '../clauses/namedVessels.ts';
import { sievesIn } from '../clauses/sieves.ts';
import { cueOf, lidIn, placeIn, wordsOf } from '../details.ts';
import type { Thing } from '../things/thing.ts';
import { EVERYTHING, type StepBuilder } from './builder.ts';
import { type Piece, told, toldAll } from './piece.ts';
import { strainIt } from './straining.ts';

export function doWash(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things } = c;
  // "Rinse the blender with 200 mL of the water": what it is rinsed with goes into the drink.
  const [vessel] = vesselsIn(b.tokens, clause.from, clause.to);
  if (vessel?.vessel === 'blender' && things.some((t) => t.quantity || t.share !== null)) {
    told(b, c, b.add('combine', span, { vessel: 'blender' }));
    return;
  }
  // "To rinse the juicer": nothing of the drink is washed.
  if (vessel && vessel.vessel !== 'bottles' && !vessel.into && !things.length) return;
  const before = b.last;
  const again = before?.kind === 'wash' && !things.length;
  const step = again ? before : b.add('wash', span);
  if (again) b.extend(step, span);
  step.rinses = b.often(clause, words) ?? step.rinses;
  step.cue = cueOf(b.tokens, b.text, clause) ?? step.cue;
  // Salt and vinegar to wash with are no part of the drink.
  const washed = things.filter(
    (t) => !(t.entry.kind === 'family' && (t.entry.family.plainWater || t.entry.family.washes)),
  );
  const lines = b.handle(step, washed);
  // "Take the hibiscus, rinse it three times".
  if (!lines.length && !EVERYTHING.test(words))
    for (const line of b.spokenOf(clause, words)) b.handles(step, line);
}

export function doPick(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things } = c;
  const step = b.add('pick', span);
  if (!b.handle(step, things).length && !EVERYTHING.test(words))
    for (const line of b.spokenOf(clause, words)) b.handles(step, line);
}

export function doPrep(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things, verb } = c;
  const form = FORM_OF_DEED[verb];
  // "A piece of ginger that I have sliced": its form, and no step of its own.
  const onlyParts = things.every((t) => t.entry.kind === 'group' && t.part !== null && !t.quantity);
  if (/^ (?:that|which) /.test(words) && onlyParts) {
    if (form) for (const line of b.recent()) line.forms.push(form);
    return;
  }
  const step = b.last?.kind === 'prep' ? b.last : b.add('prep', span);
  b.extend(step, span);
  const lines = b.handle(step, things);
  const meant = lines.length ? lines : b.spokenOf(clause, words);
  if (verb === 'peel' || verb === 'zest') b.lines.peeled = meant.filter((l) => l.family?.juice);
  if (form) for (const line of meant) if (!line.part) line.forms.push(form);
  if (verb === 'zest') for (const line of meant) line.part ??= 'peel';
}

export function doBlend(b: StepBuilder, c: Piece): void {
  const { clause, words, span, length } = c;
  const before = b.last;
  const again = before?.kind === 'blend' && clause.sentence === b.lastSentence;
  const step = again ? before : b.add('blend', span, { vessel: 'blender' });
  if (again) b.extend(step, span);
  if (length) b.time(step, length);
  step.cue = cueOf(b.tokens, b.text, clause) ?? step.cue;
  toldAll(b, c, step);
  const kept = / (?:what is left|what's left|back in|residue|pulp|again) /.test(words);
  if (kept) {
    const strain = b.lastOf('strain');
    if (strain) strain.kept = true;
  }
  for (const line of b.placedAt(step)) if (!line.part) line.forms.push('blended');
  if (sievesIn(b.tokens, clause.from, clause.to).length) strainIt(b, clause, words, span, []);
}

export function doMill(b: StepBuilder, c: Piece): void {
  const { span, things } = c;
  b.handle(b.add('mill', span), things);
}

export function doJuice(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things } = c;
  // "Squeeze three limes in at the end": they go in here.
  if (/ in(?: too| as well)? $/.test(words) || / (?:in at the end|into it|over it) /.test(words)) {
    const put = b.put(b.strained ? 'mix' : 'combine', span);
    for (const thing of things)
      for (const line of b.named({ ...thing, part: thing.part ?? 'juice' })) b.place(line, put, false);
    return;
  }
  const step =
    b.last?.kind === 'juice' && clause.sentence === b.lastSentence && !things.length
      ? b.last
      : b.add('juice', span);
  b.extend(step, span);
  const said = clause.when ? wordsOf(b.tokens, clause.from, clause.when.from) : words;
  const juicer = / juicer /.test(said);
  step.tool ??= juicer
    ? 'juicer'
    : / blender /.test(said)
      ? 'blender'
      : / by hand /.test(said)
        ? 'hand'
        : null;
  const into = vesselsIn(b.tokens, clause.from, clause.to).find((v) => v.into && v.vessel !== 'blender');
  if (into) step.intoVessel = into.vessel;
  const before = b.meant(clause, words, things);
  // What has no juice in the tables, or was weighed, goes in as it is, and gives what it gives.
  const asItIs = (t: Thing) =>
    juicer || (t.entry.kind === 'family' && !t.entry.family.juice) || b.lines.weighed(t);
  const lines = things.flatMap((t) => {
    if (!asItIs(t)) return b.named({ ...t, part: t.part ?? 'juice' });
    const found = b.named(t);
    for (const line of found) line.juiced = true;
    return found;
  });
  const meant = (lines.length ? lines : before.length ? before : b.recent()).map(
    (l) => b.lines.split(l, things) ?? l,
  );
  for (const line of meant) {
    const whole = juicer || line.juiced || (line.family !== undefined && !line.family.juice);
    if (!whole && line.family?.juice) line.part ??= 'juice';
    if (whole) line.juiced = true;
    b.place(line, step, !whole);
  }
}

export function doSkim(b: StepBuilder, c: Piece): void {
  const { span } = c;
  b.add('skim', span);
}

export function doSettle(b: StepBuilder, c: Piece): void {
  const { words, span, length } = c;
  const step = b.add('settle', span, { lid: lidIn(words) ?? null, place: placeIn(words) ?? null });
  if (length) b.time(step, length);
}

export function doLift(b: StepBuilder, c: Piece): void {
  const { words, span, things } = c;
  // "lift it out" of the washing water belongs to the washing.
  if (b.last?.kind === 'wash') {
    b.extend(b.last, span);
    return;
  }
  const seeds = / seeds? /.test(words) && !things.length;
  if (seeds) {
    b.extend(b.last?.kind === 'prep' ? b.last : b.add('prep', span), span);
    return;
  }
  b.handle(b.add('lift', span), things);
}

export function doDiscard(b: StepBuilder, c: Piece): void {
  const { words, span, known } = c;
  const last = b.last;
  if (last?.kind === 'soak' && / water /.test(words)) last.thrown = true;
  if (last) b.extend(last, span);
  else b.understood.length = known;
}
