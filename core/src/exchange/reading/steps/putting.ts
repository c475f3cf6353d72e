import type { Clause } from '../clauses/clauses.ts';
import { vesselsIn } from '../clauses/namedVessels.ts';
import { sievesIn } from '../clauses/sieves.ts';
import { cueOf, lengthOf, lidIn, placeIn, wordsOf } from '../details.ts';
import type { Thing } from '../things/thing.ts';
import type { Span } from '../types.ts';
import { type DraftStep, EVERYTHING, families, SOLIDS, type StepBuilder, TIMED } from './builder.ts';
import { type Piece, told } from './piece.ts';
import { stand } from './standing.ts';

const isOver = (b: StepBuilder, thing: Thing): boolean =>
  /^(?:over|onto|on)$/.test(b.tokens[thing.from - 1]?.t ?? '') ||
  (/^the$/.test(b.tokens[thing.from - 1]?.t ?? '') &&
    /^(?:over|onto|on)$/.test(b.tokens[thing.from - 2]?.t ?? ''));

const takesTime = ({ kind, minutes }: DraftStep): boolean =>
  !minutes && (TIMED.has(kind) || kind === 'cool' || kind === 'heat');

const OVER_SIEVE =
  / over (?:what (?:is|stays|stayed|was)|the|it) ?(?:left )?(?:in |back )*.*(?:sieve|strainer|cloth|pulp|solids|residue) /;
const ML_OF: Readonly<Record<string, number>> = { mL: 1, cL: 10, dL: 100, L: 1000 };

const namesSource = (b: StepBuilder, clause: Clause): boolean =>
  vesselsIn(b.tokens, clause.from, clause.to).some((v) => v.source);

/** Verbs of putting in that need nothing new. */
const MIXES: ReadonlySet<string> = new Set([
  'mix',
  'whisk',
  'dissolve',
  'combine',
  'dilute',
  'top',
  'unite',
  'join',
  'toss',
]);

/** "Take two kilos of apples": it is named with its amount; where it goes in is told after. */
function introduceThings(
  b: StepBuilder,
  clause: Clause,
  words: string,
  span: Span,
  things: readonly Thing[],
): void {
  const length = lengthOf(clause, words);
  if (!things.length) {
    const sieves = sievesIn(b.tokens, clause.from, clause.to);
    if (b.last?.kind === 'strain' && sieves.length)
      b.last.passes.push(...sieves.map(({ by, times }) => ({ by, times })));
    if (length && length.value >= 1440) b.notes.push({ kind: 'keeps', span });
    // "It takes about forty minutes."
    else if (length && b.touched && takesTime(b.touched)) {
      b.time(b.touched, length);
      b.extend(b.touched, span);
    } else if (!sieves.length) b.understood.pop();
    return;
  }
  const late = b.strained || things.every((t) => t.entry.kind === 'family' && t.entry.family.sweetens);
  const goesIn = late && b.all.length > 0;
  const step = goesIn ? b.put(late && !b.strained ? 'sweeten' : 'mix', span, true) : null;
  const lines = things.flatMap((t) => b.named(t));
  if (step) for (const line of lines) b.place(line, step, true);
  b.focus = lines;
}

export function putIn(
  b: StepBuilder,
  clause: Clause,
  words: string,
  span: Span,
  things: readonly Thing[],
  except: readonly Thing[],
): void {
  // "Put it in a bowl, cold water": how it is washed.
  if (
    b.last?.kind === 'wash' &&
    / (?:bowl|basin|sink|colander|sieve) /.test(words) &&
    things.every((t) => !t.quantity && t.entry.kind === 'family' && t.entry.family.plainWater)
  ) {
    b.extend(b.last, span);
    return;
  }
  // "Then add the rest": of what was begun with.
  const begun = / the rest /.test(words) && !/ rest of /.test(words) && !things.length && b.strained;
  if (begun && b.lastLine?.at.length) {
    b.place(b.lastLine, b.put('mix', span), false);
    return;
  }
  const everything = EVERYTHING.test(words);
  // "Add more if needed."
  if (clause.optional && clause.things.length && !things.length) {
    b.notes.push({ kind: 'serve', span });
    return;
  }
  // "Pour 200 mL of water over what stays in the sieve": it rinses what was strained.
  const [rinse] = things;
  const ml = rinse?.quantity?.measure ? ML_OF[rinse.quantity.measure.id] : undefined;
  if (b.last?.kind === 'strain' && ml !== undefined && things.length === 1 && OVER_SIEVE.test(words)) {
    b.last.rinseMl = rinse!.quantity!.value * ml;
    b.uses(rinse!.quantity!, rinse!);
    b.extend(b.last, span);
    return;
  }
  const meant = b.meant(clause, words, things);
  const [vessel] = vesselsIn(b.tokens, clause.from, clause.to).filter((v) => !v.source);
  // "Pour what is in the jug into the pot": nothing new goes in.
  if (!things.length && !everything && namesSource(b, clause)) {
    const step = b.put(b.strained ? 'mix' : 'combine', span);
    if (vessel) step.vessel = vessel.vessel;
    return;
  }
  if (!things.length && !everything && !meant.length) {
    stirred(b, clause, words, span);
    return;
  }
  const sweets = things.filter((t) => t.entry.kind === 'family' && t.entry.family.sweetens);
  const kind =
    things.length &&
    sweets.length === things.length &&
    b.all.some((s) => ['boil', 'heat', 'strain', 'blend', 'steep', 'soak'].includes(s.kind))
      ? 'sweeten'
      : b.strained
        ? 'mix'
        : 'combine';
  const step = b.put(kind, span);
  const cue = cueOf(b.tokens, b.text, clause) ?? whenOf(b, clause);
  if (cue) step.cue = cue;
  if (vessel) step.vessel = vessel.vessel;
  if (everything) step.everything = { except: [...(step.everything?.except ?? []), ...families(except)] };
  for (const line of meant) b.place(line, step, false);
  for (const { line, portion } of b.lines.ofPart(words)) b.place(line, step, false, undefined, portion);
  // "Cover with eight litres of water": all that was named so far lies under it.
  if (
    / cover(?:ed|s)? /.test(words) &&
    things.some((t) => t.entry.kind === 'family' && t.entry.family.plainWater)
  )
    for (const line of b.lines.all)
      if (!line.at.some((a) => !a.weak) && !line.listed) b.place(line, step, false);
  if (SOLIDS.test(words)) {
    const strain = b.lastOf('strain');
    if (strain) strain.kept = true;
  }
  const lid = lidIn(words);
  if (lid && !/ cover /.test(words)) b.lid = lid;
  for (const thing of things)
    for (const line of b.named(thing)) {
      // "Pour it over the sugar": that lies there already.
      if (thing.definite && !thing.quantity && isOver(b, thing) && line.at.some((a) => !a.weak)) continue;
      if (/ (?:squeeze|juice of|juiced) /.test(words) && line.family?.juice && !line.forms.length)
        line.part ??= 'juice';
      b.place(line, step, false, thing);
    }
  const length = lengthOf(clause, words);
  // "Put it in the fridge for two hours", "leave the mint in for 20 minutes".
  if (length && !/ minutes? before /.test(words)) stand(b, clause, words, span, length);
}

/** "Stir until it is gone", "mix well": how the last putting in is done. */
export function stirred(b: StepBuilder, clause: Clause, words: string, span: Span): void {
  const cue = cueOf(b.tokens, b.text, clause);
  const part = / the (juice|peel|zest|skins?|cores?|rind) /.exec(words)?.[1];
  if (part) {
    const name = part === 'juice' ? 'juice' : part.startsWith('core') ? 'core' : 'peel';
    const lines = b.lines.partsOf(name);
    if (lines.length) {
      const step = b.put(b.strained || b.all.some((s) => s.kind === 'strain') ? 'mix' : 'combine', span);
      for (const line of lines) b.place(line, step, false);
      const length = lengthOf(clause, words);
      if (length) stand(b, clause, words, span, length);
      return;
    }
  }
  const place = placeIn(words);
  const length = lengthOf(clause, words);
  if (place === 'fridge' && !b.bottled) {
    const step = b.add(b.strained ? 'cool' : 'steep', span, { place });
    if (length) b.time(step, length);
    return;
  }
  if (length) {
    stand(b, clause, words, span, length);
    return;
  }
  const last = b.last;
  // "Add the green bottle": something goes in, and nobody knows what.
  const moves = last !== undefined && vesselsIn(b.tokens, clause.from, clause.to).some((v) => v.into);
  const adds = !moves && clause.hits.some((h) => h.deeds.includes('put') && !MIXES.has(h.verb));
  if (adds && !/ (?:it|them|everything|all|this|that|these|two|both|together|cover) /.test(words)) {
    b.understood.pop();
    return;
  }
  if (/ (?:together|both|two|join|it all) /.test(words) && b.strained) {
    const step = b.put('mix', span);
    if (cue) step.cue = cue;
    return;
  }
  if (last && (last.kind === 'combine' || last.kind === 'mix' || last.kind === 'sweeten')) {
    if (cue) last.cue = cue;
    b.extend(last, span);
  } else if (last) b.extend(last, span);
}

/** "While it is warm", "when it is lukewarm": when it is to be done. */
export function whenOf(b: StepBuilder, clause: Clause): string | null {
  if (!clause.when) return null;
  const words = wordsOf(b.tokens, clause.when.from, clause.when.to);
  return / (?:warm|hot|cold|cool|cooled|lukewarm|tepid|boiling) /.test(words)
    ? b.text.slice(b.tokens[clause.when.from]!.start, b.tokens[clause.when.to - 1]!.end)
    : null;
}

function sweetest(b: StepBuilder, step: DraftStep): void {
  for (const line of b.lines.all)
    if (line.family?.sweetens && !line.at.some((a) => !a.weak)) b.place(line, step, false);
}

export function doIntroduce(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things } = c;
  introduceThings(b, clause, words, span, things);
}

export function doPut(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things, except } = c;
  putIn(b, clause, words, span, things, except);
}

export function doSweeten(b: StepBuilder, c: Piece): void {
  const { clause, words, span, things } = c;
  // "Each glass is sweetened with honey."
  const inGlass = / (?:each|every|the|a) (?:single )?glass /.test(words);
  const step = inGlass ? b.add('sweeten', span, { inGlass }) : b.put('sweeten', span);
  step.cue = cueOf(b.tokens, b.text, clause) ?? whenOf(b, clause) ?? step.cue;
  told(b, c, step);
  if (!things.length) sweetest(b, step);
}

export function doSour(b: StepBuilder, c: Piece): void {
  const { clause, span } = c;
  const step = b.add('sour', span);
  step.cue = cueOf(b.tokens, b.text, clause);
  told(b, c, step);
}
