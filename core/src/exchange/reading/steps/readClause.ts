import type { Clause } from '../clauses/clauses.ts';
import { type Done, doneIn } from '../deeds.ts';
import { lengthOf, wordsOf } from '../details.ts';
import type { Span } from '../types.ts';
import { answer, ask } from './answers.ts';
import { SOLIDS, type StepBuilder } from './builder.ts';
import { doBoil, doCover, doHeat, doLower, doOff, doReduce, doToBoil } from './cooking.ts';
import { divides } from './dividing.ts';
import { doBottle, doDivide, doFreeze } from './ending.ts';
import { doKeep, doNothing } from './notes.ts';
import type { Piece } from './piece.ts';
import { correct, inPieces, plainWords } from './plainWords.ts';
import {
  doBlend,
  doDiscard,
  doJuice,
  doLift,
  doMill,
  doPick,
  doPrep,
  doSettle,
  doSkim,
  doWash,
} from './preparing.ts';
import { doIntroduce, doPut, doSour, doSweeten } from './putting.ts';
import { againEvery, doCool, doHold, doIce, doShake, doSoak, doSteep, whenCool } from './standing.ts';
import { doPress, doStrain } from './straining.ts';

/** Deeds that take no time of their own: a time behind them is that of what comes after. */
const ROOTED: ReadonlySet<string> = new Set(['prep', 'wash', 'pick', 'lift']);
/** Deeds that put nothing in. */
const HANDLES: ReadonlySet<string> = new Set(
  'wash pick prep strain press cool ice off cover lift skim bottle hold lower'.split(' '),
);

/** One clause. */
export function readClause(b: StepBuilder, clause: Clause): void {
  b.current = clause;
  const words = wordsOf(b.tokens, clause.from, clause.to);
  const span = b.span(clause.from, clause.to);
  if (clause.question) {
    ask(b, clause, words, span);
    return;
  }
  // "Prepare the limes: squeeze.": how it is prepared.
  const [only] = clause.hits;
  if (
    b.tokens[clause.from]!.t === ':' &&
    b.last?.kind === 'prep' &&
    clause.sentence === b.lastSentence &&
    (!only || clause.to === only.at + 1) &&
    !clause.things.length &&
    !clause.times.length
  ) {
    b.extend(b.last, span);
    return;
  }
  answer(b, clause, words, readPiece);
  whenCool(b, clause, words, span);
  readPiece(b, clause, words, span);
  if (b.asked && --b.asked.left < 0) b.asked = null;
  b.lastSentence = clause.sentence;
}

/** The first comma behind a verb that no thing spans; -1 where there is none. */
function pauseAfter(b: StepBuilder, verb: number, clause: Clause): number {
  for (let i = verb + 1; i < clause.to; i++)
    if (b.tokens[i]!.t === ',' && !clause.things.some((t) => i > t.from && i < t.to)) return i;
  return -1;
}

export function readPiece(b: StepBuilder, clause: Clause, words: string, span: Span): void {
  if (/^ or /.test(words) && clause.hits.length && b.all.length) {
    b.understood.push(span);
    return;
  }
  // "One part of it to six parts of water": how it is served.
  if (/ (?:one|1|a) part .*(?:parts?|to|with) | 1 : \d+ /.test(words)) {
    b.notes.push({ kind: 'serve', span });
    b.understood.push(span);
    return;
  }
  const except = b.exceptions(clause);
  const things = clause.things.filter((t) => !except.includes(t) && !(clause.optional && !t.optional));
  for (const t of except) {
    const familyId = t.entry.kind === 'family' ? t.entry.family.id : null;
    const known = b.lines.all.some((l) => l.familyId !== null && l.familyId === familyId);
    if (!known) b.without.push({ span: b.span(t.from, t.to), familyId });
    // "Not the sugar!" after "everything": it was left out there.
    const before = b.all.findLast((s) => s.everything);
    if (before && familyId && !clause.hits.length) before.everything!.except.push(familyId);
    b.understood.push(b.span(t.from, t.to));
  }
  if (divides(b, clause, words, span)) return;
  // "Make that half a cup of molasses": the amount is put right.
  const again = things[0];
  if (again?.quantity && / make (?:it|that) /.test(words) && b.lines.knows(again)) {
    b.lines.correctedBy(again);
    b.understood.push(span);
    for (const thing of things.slice(1))
      for (const line of b.named(thing)) if (b.last) b.place(line, b.last, true);
    return;
  }
  // "No, make it two stalks", "maybe twelve": the amount that was said last is put right.
  if (correct(b, clause, words, things)) return;
  if (!clause.hits.some((h) => !h.negated) && inPieces(b, clause, readPiece)) return;
  const done = doneIn(clause, words, b.strained);
  if (!done) {
    plainWords(b, clause, words, span, things, except);
    return;
  }
  if (
    b.strained &&
    / (?:into|in) (?:a|each|every) (?:big |tall |small |large |little )?glass | glass of it | over ice /.test(
      words,
    )
  ) {
    b.notes.push({ kind: 'serve', span });
    b.understood.push(span);
    return;
  }
  // "Wash them well, 2 l water, 50 g ginger": what follows the pause is named for itself.
  if (HANDLES.has(done.deed)) {
    const verb = clause.hits.at(-1)?.at ?? clause.from;
    const pause = pauseAfter(b, verb, clause);
    const late = pause < 0 ? [] : things.filter((t) => t.from > pause && t.quantity && !t.definite);
    const stays =
      pause >= 0 && !late.length && ROOTED.has(done.deed) && clause.times.some((q) => q.from > pause);
    if (late.length || stays) {
      const head = {
        ...clause,
        to: pause,
        times: stays ? [] : clause.times,
        things: clause.things.filter((t) => t.from < pause),
      };
      const tail = {
        ...clause,
        from: pause,
        hits: [],
        times: stays ? clause.times.filter((q) => q.from > pause) : [],
        amounts: [],
        things: clause.things.filter((t) => t.from >= pause),
      };
      readPiece(b, head, wordsOf(b.tokens, head.from, head.to), b.span(head.from, head.to));
      if (stays) {
        readPiece(
          b,
          { ...tail, from: pause + 1 },
          wordsOf(b.tokens, pause + 1, tail.to),
          b.span(pause + 1, tail.to),
        );
        return;
      }
      const handled = b.focus;
      plainWords(b, tail, wordsOf(b.tokens, tail.from, tail.to), b.span(tail.from, tail.to), late, []);
      const filled = b.last;
      if (filled?.kind === 'combine')
        for (const line of handled) if (!line.at.length) b.place(line, filled, true);
      return;
    }
  }
  const known = b.understood.length;
  b.understood.push(span);
  const length = lengthOf(clause, words);
  if (againEvery(b, clause, span)) return;
  if (keepsSolids(b, clause, words, done.deed)) return;
  DEEDS[done.deed](b, {
    clause,
    words,
    span,
    things,
    except,
    length,
    verb: done.verb,
    deed: done.deed,
    known,
  });
  b.pours(clause);
}

const PUTS_ASIDE = / (?:aside|by|on one side|to one side) /;

/** "Keep what is left in the pot", "put the pulp aside": what the last straining kept back is used again. */
function keepsSolids(b: StepBuilder, clause: Clause, words: string, deed: Done['deed']): boolean {
  const { last } = b;
  if (last?.kind !== 'strain' || !SOLIDS.test(words)) return false;
  const puts = clause.hits.some((h) => !h.negated && (h.deeds.includes('put') || h.verb === 'set'));
  const aside = puts && PUTS_ASIDE.test(words);
  if (deed !== 'keep' && !aside) return false;
  if (aside) last.aside = true;
  else last.kept = true;
  b.extend(last, b.span(clause.from, clause.to));
  return true;
}

/** What each deed makes of a piece. */
const DEEDS: Readonly<Record<Done['deed'], (b: StepBuilder, c: Piece) => void>> = {
  wash: doWash,
  pick: doPick,
  prep: doPrep,
  introduce: doIntroduce,
  put: doPut,
  sweeten: doSweeten,
  sour: doSour,
  toBoil: doToBoil,
  heat: doHeat,
  boil: doBoil,
  lower: doLower,
  off: doOff,
  cover: doCover,
  steep: doSteep,
  hold: doHold,
  soak: doSoak,
  strain: doStrain,
  press: doPress,
  blend: doBlend,
  mill: doMill,
  juice: doJuice,
  ice: doIce,
  cool: doCool,
  skim: doSkim,
  settle: doSettle,
  freeze: doFreeze,
  lift: doLift,
  discard: doDiscard,
  divide: doDivide,
  reduce: doReduce,
  shake: doShake,
  bottle: doBottle,
  keep: doKeep,
  serve: doKeep,
  taste: doKeep,
  yield: doKeep,
  nothing: doNothing,
};
