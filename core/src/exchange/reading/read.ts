import type { Tables } from '../../tables/types.ts';
import { checksOf } from './checks.ts';
import { type Clause, clausesIn } from './clauses/clauses.ts';
import { wordsOf } from './details.ts';
import { Ledger } from './ledger.ts';
import { finished } from './lines/finished.ts';
import { Lines } from './lines/lines.ts';
import { quantityAt } from './quantities/quantities.ts';
import type { ReadBlock } from './readBlock.ts';
import { marksOf } from './review.ts';
import type { Block } from './segments/block.ts';
import { segment } from './segments/segment.ts';
import { placeAll, withHeatings } from './settle.ts';
import { type DraftStep, StepBuilder } from './steps/builder.ts';
import { lotOfSentence } from './steps/dividing.ts';
import { readClause } from './steps/readClause.ts';
import { takesBranch } from './steps/standing.ts';
import { titleOf } from './titles.ts';
import { type Token, tokensOf, unwrapped } from './tokens.ts';
import type { ReadDrink, ReadingKit, ReadStep, ReadYield, Span, TextReading } from './types.ts';
import { containerIn, yieldIn } from './yields.ts';

/** The longest text that is read, UTF-16 code units. */
export const LONGEST_TEXT = 50_000;

/**
 * Reads a recipe, or several, out of any text: what goes in, what is done, and what could not be read. Each fact is tied
 * to its words. The time it takes grows with the length of the text and no faster.
 * @param pasted at most `LONGEST_TEXT` code units; the rest is not read.
 */
export function readText(pasted: string, tables: Tables, kit: ReadingKit): TextReading {
  const text = pasted.slice(0, LONGEST_TEXT);
  const tokens = unwrapped(tokensOf(text));
  const ledger = new Ledger(tokens);
  const parts = segment(tokens).map((block) => readBlock(block, text, tokens, tables, kit, ledger));
  const drinks = parts.map((p) => p.drink);
  const spans = marksOf(parts, tokens, ledger);
  return { drinks, spans, counts: countsOf(drinks, spans) };
}

/** How many facts were read, how many of them are unsure, and how many pieces of the text nobody understood. */
function countsOf(drinks: readonly ReadDrink[], spans: readonly { mark: string }[]): TextReading['counts'] {
  let read = 0;
  let unsure = 0;
  for (const d of drinks) {
    for (const fact of [...d.lines, ...d.steps.filter((s) => !s.implied)])
      if (fact.doubts.some((doubt) => doubt !== 'optional')) unsure++;
      else read++;
    read += (d.title ? 1 : 0) + (d.yield ? 1 : 0) + d.notes.length;
  }
  return { read, unsure, notUnderstood: spans.filter((s) => s.mark === 'notUnderstood').length };
}

const SAYS_IT = / (?:makes?|yields?|serves?|gives?|fills?|made|quantity) /;
const YIELD_HEAD =
  /\b(?:makes?|made|yields?|serves?|gives?|gave|fills?|enough for|for about|quantity|obtained|you get|end up with|ends? up as|i get|gets|get|got|comes to|will have|should have|you have)\b/;

function readBlock(
  block: Block,
  text: string,
  tokens: readonly Token[],
  tables: Tables,
  kit: ReadingKit,
  ledger: Ledger,
): ReadBlock {
  const lines = new Lines(text, tokens, tables, kit, ledger);
  for (const row of block.listed) for (const thing of row.things) lines.listed(thing, row.part);
  const steps = new StepBuilder(text, tokens, lines, ledger);
  let drinkYield: ReadYield | null = null;
  let strength = 0;
  // "Makes" says it; "I get" may say it; a figure alone is a guess.
  const take = (found: ReadYield | null, sure = 1) => {
    if (found && drinkYield && sure > strength) drinkYield = null;
    if (found) strength = Math.max(strength, sure);
    if (
      found &&
      (!drinkYield ||
        (drinkYield.litres === null &&
          found.litres !== null &&
          found.unit !== 'serving' &&
          drinkYield.unit === 'serving'))
    )
      drinkYield = found;
  };
  // "Punch for sixty glasses": the title may tell.
  if (block.title) take(yieldIn(tokens, text, block.title.from, block.title.to, kit));
  for (const head of block.heads)
    take(
      yieldIn(
        tokens,
        text,
        head.from,
        head.end,
        kit,
        / serves? | servings? /.test(wordsOf(tokens, head.from, head.end)),
      ),
    );
  const clauses: Clause[] = [];
  let askedYield = false;
  let afterQuestion = false;
  let askedUnit: string | undefined;
  const aside = (index: number) => {
    for (const { from, end, own } of block.asides.filter((a) => a.afterSentence === index))
      steps.remark(from, end, own);
  };
  for (const [index, sentence] of block.told.entries()) {
    aside(index);
    const words = wordsOf(tokens, sentence.from, sentence.end);
    const question = tokens[sentence.end]?.t === '?';
    if (takesBranch(steps, sentence.from, sentence.end)) continue;
    const led = ledTime(tokens, sentence.from, sentence.end);
    const lot = lotOfSentence(steps, sentence.from, sentence.end);
    steps.lot = lot?.id ?? null;
    const from = lot?.from ?? led?.at ?? sentence.from;
    // "What is left over can be warmed again": of another day.
    if (/ left ?overs? /.test(words)) {
      const span = { start: tokens[sentence.from]!.start, end: tokens[sentence.end - 1]!.end };
      steps.notes.push({ kind: 'serve', span });
      steps.understood.push(span);
      continue;
    }
    const own = clausesIn(tokens, from, sentence.end, index);
    if (led) {
      // "10 min: boil all but the sugar": the time stands before what it is for.
      const target = own.find((c) => c.hits.length) ?? own[0];
      if (target && !target.times.length) target.times.push(led.time);
    }
    const tells = YIELD_HEAD.test(words) || askedYield;
    const short =
      sentence.end - sentence.from <= 9 &&
      !own.some((c) => c.hits.length || c.things.length) &&
      !(afterQuestion && !askedYield) &&
      (askedYield || steps.saysYield || sentence.end <= (block.listed[0]?.from ?? 0));
    const found =
      !question && (tells || short)
        ? yieldIn(
            tokens,
            text,
            sentence.from,
            sentence.end,
            kit,
            / serves? /.test(words) || askedYield,
            askedUnit,
          )
        : null;
    if (
      found &&
      !(
        own.some((c) => c.things.some((t) => t.quantity)) &&
        !/ (?:makes|serves|yields|get|gives) /.test(words)
      )
    ) {
      take(found, SAYS_IT.test(words) || askedYield ? 2 : 1);
      steps.understood.push(found.span);
    }
    afterQuestion = question;
    askedYield =
      question &&
      / (?:how (?:much|many)|yield) /.test(words) &&
      / (?:get|bottles|is (?:it|that|this)|people|make) | how many $/.test(words);
    askedUnit = askedYield ? containerIn(words) : undefined;
    if (askedYield && question) {
      steps.understood.push({ start: tokens[sentence.from]!.start, end: tokens[sentence.end - 1]!.end });
      continue;
    }
    const before = steps.all.length;
    for (const clause of own) {
      // "10 minutes:", and nothing after it.
      if (clause.from >= clause.to) continue;
      clauses.push(clause);
      readClause(steps, clause);
    }
    if (led) steps.led(led.time, before);
  }
  aside(block.told.length);
  // Where the drink stands at last is no step.
  const end = steps.all.at(-1);
  if (end?.held && !end.minutes) {
    steps.all.pop();
    steps.notes.push({ kind: 'keeps', span: end.span });
  }
  withHeatings(steps);
  placeAll(steps, lines);
  const readLines = lines.all.map((line) => finished(line, tables, kit));
  const readSteps = steps.all.map((s) => stepOf(s, text));
  const drink: ReadDrink = {
    title: titleOf(block, text, tokens),
    yield: drinkYield,
    lines: readLines,
    steps: readSteps,
    notes: steps.notes.map((n) => ({ ...n, words: text.slice(n.span.start, n.span.end) })),
    without: steps.without.map((w) => ({
      span: w.span,
      words: text.slice(w.span.start, w.span.end),
      itemId: null,
    })),
    checks: [],
  };
  drink.checks = checksOf(drink, tables);
  for (const meta of block.meta) {
    const span = { start: tokens[meta.from]!.start, end: tokens[meta.end - 1]!.end };
    steps.understood.push(span);
    ledger.useSpan(span);
  }
  for (const fact of [drink.title, drink.yield, ...drink.notes]) if (fact) ledger.useSpan(fact.span);
  const told = new Map<string, Span[]>();
  for (const line of lines.all) told.set(line.id, line.spans);
  for (const step of steps.all) told.set(step.id, step.spans);
  return { drink, block, understood: steps.understood, told, clauses };
}

/** "10 min: …", "30 minutes - …": a time in front. */
function ledTime(tokens: readonly Token[], from: number, end: number) {
  // Most sentences begin with no time.
  if (quantityAt(tokens, from)?.measured !== 'time') return null;
  const [clause] = clausesIn(tokens, from, Math.min(end, from + 4), 0);
  const time = clause?.times[0];
  if (!time || time.from !== from || tokens[time.to]?.t !== ':' || time.to >= end) return null;
  return { time, at: time.to + 1 };
}

const stepOf = (s: DraftStep, text: string): ReadStep => ({
  id: s.id,
  span: s.span,
  words: text.slice(s.span.start, s.span.end),
  kind: s.kind,
  minutes: s.minutes,
  tempC: s.tempC,
  cue: s.cue,
  heatTo: s.heatTo,
  level: s.level,
  lid: s.lid,
  place: s.place,
  passes: s.passes,
  press: s.press,
  rinses: s.rinses,
  downToShare: s.downToShare,
  downToL: s.downToL,
  downToCm: s.downToCm,
  portionMl: s.portionMl,
  inGlass: s.inGlass,
  lots: s.lots,
  lot: s.lot,
  branch: s.branch,
  everyMin: s.everyMin,
  thrown: s.thrown,
  kept: s.kept,
  aside: s.aside,
  rinseMl: s.rinseMl,
  tool: s.tool,
  keptHot: s.keptHot,
  sterilised: s.sterilised,
  vessel: s.vessel,
  intoVessel: s.intoVessel,
  fromVessels: s.fromVessels,
  own: s.own,
  handles: s.handles,
  implied: s.implied,
  doubts: [...s.doubts],
});
