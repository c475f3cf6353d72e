import {
  BE_FORMS,
  BEFORE_PLAIN,
  NOT_WORDS,
  SIEVE_WORDS,
  SUBJECTS,
  VESSEL_WORDS,
} from '../../tables/reading/deedWords.ts';
import { DETERMINERS, FORM_WORDS, PART_WORDS } from '../../tables/reading/formWords.ts';
import { ABOUT } from '../../tables/reading/numberWords.ts';
import { ORDINARY_WORDS } from '../../tables/reading/ordinaryWords.ts';
import type { Clause } from './clauses/clauses.ts';
import { isCut } from './clauses/hits.ts';
import { kitchenVerb } from './clauses/verbs.ts';
import type { Ledger } from './ledger.ts';
import { nameAt } from './lexicon.ts';
import { fillOf, measureAt } from './quantities/measures.ts';
import { quantityAt } from './quantities/quantities.ts';
import type { ReadBlock } from './readBlock.ts';
import { TAILS } from './things/thing.ts';
import type { Token } from './tokens.ts';
import type { Doubt, Mark, MarkedSpan, Span } from './types.ts';
import { isVesselSize } from './yields.ts';

/** Doubts that a reader must see; that a thing goes in only if one likes is no doubt about the words. */
const seen = (doubts: readonly Doubt[]): boolean => doubts.some((d) => d !== 'optional');

/**
 * What became of each piece of the text. What was read carries its facts; what holds an amount, a time, the name of a
 * thing or a deed, and became no fact, is not understood; greetings and talk stay unmarked.
 */
export function marksOf(parts: readonly ReadBlock[], tokens: readonly Token[], ledger: Ledger): MarkedSpan[] {
  const marks: (Mark | undefined)[] = Array(tokens.length).fill(undefined);
  const facts: (string[] | undefined)[] = Array(tokens.length).fill(undefined);
  const put = (span: Span, mark: Mark, fact: string | null, over: boolean) => {
    for (let i = ledger.firstAt(span.start); i < tokens.length && tokens[i]!.start < span.end; i++) {
      if (tokens[i]!.kind === 'row') continue;
      if (over || marks[i] === undefined) marks[i] = mark;
      if (fact && !facts[i]?.includes(fact)) facts[i] = [...(facts[i] ?? []), fact];
    }
  };
  for (const [index, part] of parts.entries()) {
    const { drink } = part;
    const fact = (id: string) => `${index}:${id}`;
    for (const step of drink.steps)
      for (const span of part.told.get(step.id) ?? [])
        put(span, seen(step.doubts) ? 'unsure' : 'read', step.implied ? null : fact(step.id), false);
    for (const span of part.understood) put(span, 'read', null, false);
    for (const note of drink.notes) put(note.span, 'read', fact('note'), false);
    if (drink.title) put(drink.title.span, 'read', fact('title'), true);
    if (drink.yield) put(drink.yield.span, 'read', fact('yield'), true);
    for (const line of drink.lines)
      for (const span of part.told.get(line.id) ?? [])
        put(span, seen(line.doubts) ? 'unsure' : 'read', fact(line.id), true);
    for (const clause of part.clauses)
      for (const span of unknownObjects(clause, tokens)) put(span, 'notUnderstood', null, true);
  }
  for (const part of parts) {
    const places = [...part.block.told, ...part.block.listed, ...part.block.heads];
    for (const { from, end } of places) {
      unusedFigures(tokens, from, end, ledger, marks, facts);
      leftWords(tokens, from, end, marks);
    }
  }
  return spansOf(tokens, marks, facts);
}

/** Figures that count or measure something and became part of no fact. */
function unusedFigures(
  tokens: readonly Token[],
  from: number,
  end: number,
  ledger: Ledger,
  marks: (Mark | undefined)[],
  facts: (string[] | undefined)[],
): void {
  for (let i = from; i < end; i++) {
    if (ledger.isUsed(i)) continue;
    const q = quantityAt(tokens, i);
    const told =
      q &&
      q.to <= end &&
      (tokens[i]!.kind === 'number' ||
        (q.measured !== 'amount' && !q.article) ||
        (q.measure !== null && !q.article));
    if (!told) {
      if (q) i = Math.max(i, Math.min(q.to, end) - 1);
      continue;
    }
    if (isVesselSize(tokens, q)) {
      i = q.to - 1;
      continue;
    }
    let free = true;
    for (let k = q.from; k < q.to; k++) if (ledger.isUsed(k)) free = false;
    if (free)
      for (let k = q.from; k < q.to; k++) {
        marks[k] = 'notUnderstood';
        facts[k] = undefined;
      }
    i = q.to - 1;
  }
}

/** Stretches that no fact was read from, with a word of the kitchen in them. */
function leftWords(tokens: readonly Token[], from: number, end: number, marks: (Mark | undefined)[]): void {
  let start = -1;
  const close = (at: number) => {
    if (start < 0) return;
    let kitchen = false;
    for (let k = start; k < at && !kitchen; k++) kitchen = isOfTheKitchen(tokens, k);
    if (kitchen) for (let k = start; k < at; k++) marks[k] = 'notUnderstood';
    start = -1;
  };
  for (let i = from; i < end; i++) {
    const free = marks[i] === undefined && tokens[i]!.kind !== 'row';
    if (free && start < 0 && tokens[i]!.kind !== 'sign') start = i;
    else if (!free) close(i);
  }
  close(end);
}

const isOfTheKitchen = (tokens: readonly Token[], at: number): boolean => {
  const { t, kind } = tokens[at]!;
  if (kind === 'number') return true;
  const name = nameAt(tokens, at);
  if (name && !(name.entry.kind === 'family' && name.entry.foreign)) return true;
  // "Pixie dust on top": a part or a form is one of something.
  if (PART_WORDS[t] !== undefined || TAILS.has(t)) return true;
  return kitchenVerb(t) || VESSEL_WORDS[t] !== undefined || (SIEVE_WORDS[t] !== undefined && t !== 'bag');
};

/** "Add the moon dust", "the sugar and the sparkle": objects of a putting in that no word of ours names. */
function unknownObjects(clause: Clause, tokens: readonly Token[]): Span[] {
  const hit = clause.hits.find((h) => !h.negated && h.deeds.includes('put'));
  if (!hit) return [];
  const out: Span[] = [];
  for (let i = hit.at + 1; i < clause.to; i++) {
    if (clause.things.some((t) => i >= t.from && i < t.to)) continue;
    if (clause.cue && i >= clause.cue.from && i < clause.cue.to) continue;
    if (clause.when && i >= clause.when.from && i < clause.when.to) continue;
    const p = tokens[i - 1]!.t;
    const afterThing = clause.things.some((t) => t.to === i - 1 || t.to === i - 2);
    const opens =
      i - 1 === hit.at ||
      (afterThing && isCut(p)) ||
      (DETERMINERS.has(p) && (i - 2 === hit.at || (afterThing && isCut(tokens[i - 2]!.t))));
    if (!opens || isKnown(tokens, i)) continue;
    let to = i + 1;
    while (to < clause.to && tokens[to]!.kind === 'word' && !isKnown(tokens, to)) to++;
    out.push({ start: tokens[i]!.start, end: tokens[to - 1]!.end });
    i = to;
  }
  return out;
}

const LITTLE = new Set(
  'a an and or in into to on onto over with without of for from at by as up down back out off away it them they its he she this that these those everything all both rest some any more little bit lot together together too well then now so but not no only what also again first last very until till when while if you i we u your my if is are was be has have had do does can will would as per each other another one two three once twice than there here just even still such own half whole mixture liquid drink liquor pulp solids stuff ingredients contents'.split(
    ' ',
  ),
);

const isKnown = (tokens: readonly Token[], at: number): boolean => {
  const { t, kind } = tokens[at]!;
  return (
    kind !== 'word' ||
    LITTLE.has(t) ||
    t.endsWith('ly') ||
    ORDINARY_WORDS.has(t) ||
    FORM_WORDS.has(t) ||
    PART_WORDS[t] !== undefined ||
    DETERMINERS.has(t) ||
    ABOUT.has(t) ||
    SUBJECTS.has(t) ||
    BEFORE_PLAIN.has(t) ||
    BE_FORMS.has(t) ||
    NOT_WORDS.has(t) ||
    VESSEL_WORDS[t] !== undefined ||
    SIEVE_WORDS[t] !== undefined ||
    fillOf(t) !== undefined ||
    kitchenVerb(t) ||
    measureAt(tokens, at, false) !== null ||
    quantityAt(tokens, at) !== null ||
    nameAt(tokens, at) !== null
  );
};

/** Tokens of one mark and the same facts, one after the other, as pieces of the text. */
function spansOf(
  tokens: readonly Token[],
  marks: readonly (Mark | undefined)[],
  facts: readonly (string[] | undefined)[],
): MarkedSpan[] {
  const out: MarkedSpan[] = [];
  let lastAt = -2;
  for (let i = 0; i < tokens.length; i++) {
    const mark = marks[i];
    if (!mark) continue;
    const own = facts[i] ?? [];
    const last = out.at(-1);
    const joins = last && lastAt === i - 1 && last.mark === mark && last.facts.join() === own.join();
    if (joins) last.end = tokens[i]!.end;
    else out.push({ start: tokens[i]!.start, end: tokens[i]!.end, mark, facts: own });
    lastAt = i;
  }
  return out;
}
