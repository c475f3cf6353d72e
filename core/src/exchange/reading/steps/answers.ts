import { amountOf } from '../amounts.ts';
import type { Clause } from '../clauses/clauses.ts';
import { doneIn } from '../deeds.ts';
import { lengthOf } from '../details.ts';
import type { Token } from '../tokens.ts';
import type { Span } from '../types.ts';
import type { PieceReader, StepBuilder } from './builder.ts';
import { boilDetails } from './cooking.ts';

export function ask(b: StepBuilder, clause: Clause, words: string, span: Span): void {
  const things = clause.things.filter((t) => !b.negated(t));
  const lines = things.filter((t) => b.lines.knows(t)).flatMap((t) => b.lines.told({ ...t, definite: true }));
  const fresh = things.filter((t) => !b.lines.knows(t));
  const known = b.asked?.clause.sentence === clause.sentence ? b.asked : null;
  if (clause.hits.length || things.length || !known)
    b.asked = {
      clause,
      words,
      lines: [...(known?.lines ?? []), ...lines],
      things: [...(known?.things ?? []), ...fresh],
      left: 3,
    };
  if (lines.length) b.focus = lines;
  if (things.length || clause.hits.length) b.understood.push(span);
}

/** What was asked is told by its answer: how much, how long, yes. */
export function answer(b: StepBuilder, clause: Clause, words: string, readPiece: PieceReader): void {
  const { asked } = b;
  if (!asked) return;
  // "What is everything?": what is told now belongs to the step that said "everything".
  if (/ (?:everything|all of it) /.test(asked.words) && clause.things.length && !clause.hits.length) {
    for (const thing of clause.things) {
      if (b.negated(thing)) continue;
      b.named(thing);
    }
    clause.things = [];
    b.understood.push(b.span(clause.from, clause.to));
    return;
  }
  if (/^ (?:no|nope|never|none|not) /.test(words)) {
    if (/^ (?:no|none|never) /.test(words) && !/ make it /.test(words)) b.asked = null;
    return;
  }
  const yes = / (?:yes|right|yeah|yep|sure|please do|of course) /.test(words);
  if (yes && asked.clause.hits.length) {
    const done = doneIn(asked.clause, asked.words, b.strained);
    if (done && done.deed !== 'yield')
      readPiece(
        b,
        { ...asked.clause, question: false },
        asked.words,
        b.span(asked.clause.from, asked.clause.to),
      );
    b.asked = null;
    return;
  }
  const [amount] = clause.amounts;
  if (amount && asked.lines.length + asked.things.length === 1 && !clause.things.some((t) => t.quantity)) {
    const line = asked.lines[0] ?? b.named(asked.things[0]!)[0];
    asked.things = [];
    if (!line) return;
    const said = amountOf(
      amount,
      b.text.slice(b.tokens[amount.from]!.start, b.tokens[amount.to - 1]!.end),
      b.lines.kit,
    );
    if (!line.amount) {
      line.amount = said;
      b.uses(amount);
      line.spans.push(b.span(amount.from, amount.to));
      line.forms.push(...formsAfter(b.tokens, amount.to, clause.to));
      b.understood.push(b.span(clause.from, clause.to));
    }
    clause.amounts = [];
    b.lastLine = line;
  }
  if (/ (?:squeezed|juice|juiced|stirred in|stir) /.test(words) && asked.things.length)
    asked.lines.push(...asked.things.splice(0).flatMap((t) => b.named(t)));
  const squeezed = / (?:squeezed|juice|juiced|squeeze) /.test(words);
  if (asked.lines.length && (squeezed || / stirred in /.test(words)))
    for (const line of asked.lines) {
      if (squeezed && line.family?.juice) line.part ??= 'juice';
      if (!line.at.some((a) => !a.weak)) {
        const step = b.put(b.strained ? 'mix' : 'combine', b.span(clause.from, clause.to));
        b.place(line, step, false);
      }
    }
  if (clause.times.length && asked.clause.hits.some((h) => ['boil', 'steep'].includes(h.deeds[0]!))) {
    const kind = asked.clause.hits.find((h) => h.deeds[0] === 'boil') ? 'boil' : 'steep';
    const known = b.lastOf(kind);
    if (known?.minutes || b.strained) return;
    const step = known ?? b.add(kind, b.span(clause.from, clause.to));
    if (kind === 'boil') boilDetails(b, step, words, null);
    b.time(step, lengthOf(clause, words));
    b.extend(step, b.span(clause.from, clause.to));
    clause.times = [];
  }
}

const FORM_TAIL = /^(?:dried|dry|fresh|sliced|grated|bruised|ground|whole|crushed|chopped|brown|white|raw)$/;
const formsAfter = (tokens: readonly Token[], from: number, to: number): string[] =>
  tokens.slice(from, Math.min(to, from + 5)).flatMap((t) => (FORM_TAIL.test(t.t) ? [t.t] : []));
