import type { Clause } from '../clauses/clauses.ts';
import { vesselsIn } from '../clauses/namedVessels.ts';
import { lotAt } from '../lotNames.ts';
import { quantityAt } from '../quantities/quantities.ts';
import type { ReadLot, Span } from '../types.ts';
import type { StepBuilder } from './builder.ts';

const LITRES: Readonly<Record<string, number>> = { mL: 0.001, cL: 0.01, dL: 0.1, L: 1 };
const PARTS_OFF = / (?:aside|apart|separate|separately|divide|split) /;

const lotId = ({ kind, number }: Pick<ReadLot, 'kind' | 'number'>): string => `${kind}${number ?? ''}`;

/** "Put 40 % of it aside, for children", "set half a litre apart: a trial": a part that ends in its own way. */
export function divides(b: StepBuilder, clause: Clause, words: string, span: Span): boolean {
  if (!PARTS_OFF.test(words) || clause.things.some((t) => t.quantity)) return false;
  let lot: ReturnType<typeof lotAt> = null;
  let amount: Pick<ReadLot, 'share' | 'volumeL'> | null = null;
  for (let i = clause.from; i < clause.to; i++) {
    lot ??= lotAt(b.tokens, i);
    const q = quantityAt(b.tokens, i);
    if (!q || q.article || amount) continue;
    const litres = q.measure ? LITRES[q.measure.id] : undefined;
    if (q.measured === 'share' || (q.measured === 'amount' && !q.measure && q.value < 1))
      amount = { share: q.value };
    else if (litres !== undefined) amount = { volumeL: q.value * litres };
    if (!amount) continue;
    b.uses(q);
    i = q.to - 1;
  }
  if (!lot || !amount) return false;
  const made: ReadLot = {
    id: lotId(lot),
    kind: lot.kind,
    ...(lot.number === undefined ? {} : { number: lot.number }),
    ...amount,
  };
  b.ledger.use(lot.to - 1, lot.to);
  const last = b.last;
  // One after the other they are parts of the same whole.
  const step = last?.kind === 'split' && last.lots.length ? last : b.add('split', span);
  b.extend(step, span);
  step.lots.push(made);
  b.understood.push(span);
  for (const { vessel, source } of vesselsIn(b.tokens, clause.from, clause.to))
    if (source) step.fromVessels.push(vessel);
  return true;
}

/** "For children: …": the part that a sentence is about, and where what is done with it begins; null: none. */
export function lotOfSentence(
  b: StepBuilder,
  from: number,
  end: number,
): { id: string; from: number } | null {
  const lot = lotAt(b.tokens, from);
  if (!lot || b.tokens[lot.to]?.t !== ':' || lot.to + 1 >= end) return null;
  const id = lotId(lot);
  if (!b.all.some((s) => s.lots.some((l) => l.id === id))) return null;
  b.ledger.use(from, lot.to);
  b.understood.push(b.span(from, lot.to + 1));
  return { id, from: lot.to + 1 };
}
