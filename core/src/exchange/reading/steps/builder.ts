import type { OwnStepKind } from '../../../documents/recipe.ts';
import type { Clause } from '../clauses/clauses.ts';
import { vesselsIn } from '../clauses/namedVessels.ts';
import { type Length, timesIn, wordsOf } from '../details.ts';
import type { Ledger } from '../ledger.ts';
import type { DraftLine, Portion } from '../lines/draftLine.ts';
import type { Lines } from '../lines/lines.ts';
import type { Thing } from '../things/thing.ts';
import type { Token } from '../tokens.ts';
import { type Doubt, plainStep, type ReadStep, type Span } from '../types.ts';

export interface DraftStep extends Omit<ReadStep, 'doubts' | 'words'> {
  doubts: Set<Doubt>;
  /** It only says where the drink stands: "in the fridge". */
  held?: boolean;
  /** It takes everything that goes in nowhere else, but for some families of things. */
  everything: { except: string[] } | null;
  spans: Span[];
}

export const TIMED: ReadonlySet<OwnStepKind> = new Set(['boil', 'steep', 'soak', 'mature']);
export const EVERYTHING =
  / (?:everything|every thing|all (?:of )?(?:it|them|that|this|the ingredients|together|ingredients|but|except|from)|all the rest|the rest|rest of it|the lot|all in|all (?:the )?(?:other|remaining)|ingredients) /;
/** What a sieve keeps back. */
export const SOLIDS =
  / (?:what is left|what's left|what was left|what stays|what stayed|what remains|the solids|the pulp|the spent) /;
const MOST_STEPS = 60;
/** After so many steps a drink is there, also where nobody strains it. */
const MADE_BY_THEN = 3;
interface Asked {
  clause: Clause;
  words: string;
  lines: DraftLine[];
  /** Things that were not known before they were asked about. */
  things: Thing[];
  left: number;
}

/** Reads a piece of a sentence into the steps: handed on to what finds such pieces. */
export type PieceReader = (b: StepBuilder, clause: Clause, words: string, span: Span) => void;

/** Reads the clauses of one drink, in their order, into steps; things are told to the lines. */

export class StepBuilder {
  readonly all: DraftStep[] = [];
  readonly notes: { kind: 'keeps' | 'serve' | 'remark'; span: Span; days?: number }[] = [];
  readonly without: { span: Span; familyId: string | null }[] = [];
  /** Spans of clauses that said something. */
  readonly understood: Span[] = [];
  readonly text: string;
  readonly tokens: readonly Token[];
  readonly lines: Lines;
  readonly ledger: Ledger;
  strained = false;
  bottled = false;
  /** A lid was put on before anything that it belongs to was named. */
  lid: ReadStep['lid'];
  level: ReadStep['level'];
  off = false;
  /** The part of the batch that the sentence is about. */
  lot: string | null = null;
  /** The step that was told of last. */
  touched: DraftStep | null = null;
  asked: Asked | null = null;
  lastLine: DraftLine | null = null;
  lastSentence = -1;
  namedIn = -1;
  morePieces = false;
  /** What was handled or named in the last clause that named anything: "it", "them". */
  focus: DraftLine[] = [];
  focusAt: Clause | null = null;
  current: Clause | null = null;

  constructor(text: string, tokens: readonly Token[], lines: Lines, ledger: Ledger) {
    this.ledger = ledger;
    this.text = text;
    this.tokens = tokens;
    this.lines = lines;
  }

  span(from: number, to: number): Span {
    let a = from;
    while (a < to - 1 && /^(?:[,;:\-–&+/>()]|and|then|so|but|n|\n)$/.test(this.tokens[a]!.t)) a++;
    return { start: this.tokens[a]!.start, end: this.tokens[Math.max(a, to - 1)]!.end };
  }

  add(kind: OwnStepKind, span: Span, more: Partial<DraftStep> = {}): DraftStep {
    const step: DraftStep = Object.assign(
      plainStep(),
      {
        id: `s${this.all.length + 1}`,
        span,
        kind,
        doubts: new Set<Doubt>(),
        everything: null,
        spans: [span],
        lot: this.lot,
      },
      more,
    );
    if (this.all.length < MOST_STEPS) this.all.push(step);
    this.touched = step;
    return step;
  }

  /** A figure that stands alone may tell how much it makes: nothing else is waiting for one. */
  get saysYield(): boolean {
    const waits = this.lastLine !== null && this.lastLine.amount === null;
    return (this.strained || this.all.length >= MADE_BY_THEN) && !waits;
  }

  /** "5 min: rinse the hibiscus": the time in front is that of the step, where it got none. */
  led(time: { value: number; max?: number; from: number; to: number }, from: number): void {
    const made = this.all.slice(from);
    this.uses(time);
    if (!made.length || made.some((s) => s.minutes)) return;
    made.at(-1)!.minutes = { value: time.value, ...(time.max === undefined ? {} : { max: time.max }) };
    made.at(-1)!.doubts.delete('noTime');
  }

  /** A row that remarks on the step before it; the cook's own words become part of that. */
  remark(from: number, end: number, own: boolean): void {
    const span = { start: this.tokens[from]!.start, end: this.tokens[end - 1]!.end };
    const words = this.text.slice(span.start, span.end);
    if (own && this.last)
      this.last.own = words.slice(words.indexOf(':') + 1).replace(/^[\s“"]+|[\s”"]+$/g, '');
    else this.notes.push({ kind: 'remark', span });
    this.understood.push(span);
    this.ledger.useSpan(span);
  }

  /** "What is in the jug": out of what the last step pours. */
  pours(clause: Clause): void {
    const { last } = this;
    if (!last) return;
    for (const { vessel, source } of vesselsIn(this.tokens, clause.from, clause.to))
      if (source && !last.fromVessels.includes(vessel)) last.fromVessels.push(vessel);
  }

  get last(): DraftStep | undefined {
    return this.all.at(-1);
  }

  /** A quantity that became part of a fact. */
  uses(...quantities: readonly ({ from: number; to: number } | undefined)[]): void {
    for (const q of quantities) if (q) this.ledger.use(q.from, q.to);
  }

  /** How often, with the figure that says it. */
  often(clause: Clause, words: string): number | null {
    const times = timesIn(clause, words);
    if (times === null) return null;
    this.uses(...clause.counts);
    for (let i = clause.from; i < clause.to; i++)
      if (this.tokens[i]!.value !== undefined && /^[x×]$/.test(this.tokens[i - 1]?.t ?? ''))
        this.ledger.use(i, i + 1);
    return times;
  }

  lastOf(...kinds: OwnStepKind[]): DraftStep | undefined {
    return this.all.findLast((s) => kinds.includes(s.kind));
  }

  extend(step: DraftStep, span: Span): void {
    this.touched = step;
    step.spans.push(span);
    step.span = { start: Math.min(step.span.start, span.start), end: Math.max(step.span.end, span.end) };
  }

  /** A line goes in at a step, all of it or so much as is said there. */
  place(line: DraftLine, step: DraftStep, weak: boolean, thing?: Thing, said?: Portion): void {
    const portion = said ?? (thing && this.lines.portion(thing, line));
    const known = line.at.find((a) => a.stepId === step.id);
    if (known) {
      known.weak &&= weak;
      if (portion) known.portion ??= portion;
    } else line.at.push({ stepId: step.id, weak, ...(portion ? { portion } : {}) });
  }

  negated(thing: Thing): boolean {
    for (let i = thing.from - 1, n = 0; i >= 0 && n < 4; i--, n++) {
      const t = this.tokens[i]!.t;
      if (t === '.' || t === '\n' || t === '?' || t === '!') return false;
      if (['no', 'without', 'not', 'except', 'minus', 'never', 'instead'].includes(t))
        return !['skip', 'forget'].includes(this.tokens[i + 1]?.t ?? '');
      if (t === 'but' && /^(?:all|everything|ingredients)$/.test(this.tokens[i - 1]?.t ?? '')) return true;
      if ([',', ';', ':', '(', ')'].includes(t)) return false;
    }
    return false;
  }

  /** Things said not to go in with the others, and those of the same list of exceptions. */
  exceptions(clause: Clause): Thing[] {
    const out: Thing[] = [];
    let open = -1;
    for (const thing of clause.things) {
      const near =
        open >= 0 && thing.from - open <= 3 && /^(?:and|,|\+|or|&)$/.test(this.tokens[open]?.t ?? '');
      if (this.negated(thing) || near) {
        out.push(thing);
        open = thing.to;
      } else open = -1;
    }
    return out;
  }

  handle(step: DraftStep, things: readonly Thing[]): DraftLine[] {
    const lines = things.flatMap((t) => this.named(t));
    for (const line of lines) this.handles(step, line);
    return lines;
  }

  handles(step: DraftStep, line: DraftLine): void {
    if (!step.handles.includes(line.id)) step.handles.push(line.id);
  }

  /** What is handled where nothing is named: "it", or what the sentence was about. */
  spokenOf(clause: Clause, words: string): readonly DraftLine[] {
    const said = / (?:it|them|everything) /.test(words) || clause.sentence === this.lastSentence;
    return said ? this.focus : [];
  }

  named(thing: Thing): DraftLine[] {
    const lines = this.lines.told(thing);
    if (lines.length) {
      this.lastLine = lines.at(-1)!;
      this.namedIn = this.current?.sentence ?? 0;
      // Water is what things go into: "it" stays what it was.
      const water = lines.every((l) => l.family?.plainWater);
      if (this.focusAt === this.current || !water || !this.focus.length) {
        if (this.focusAt !== this.current) this.focus = [];
        this.focusAt = this.current;
        this.focus.push(...lines);
      }
    }
    return lines;
  }

  /** What "it" and "them" mean, or a verb without an object is about, as far as it is nowhere yet. */
  meant(clause: Clause, all: string, things: readonly Thing[]): DraftLine[] {
    const side = clause.cue ?? clause.when;
    const words = side
      ? `${wordsOf(this.tokens, clause.from, side.from)}${wordsOf(this.tokens, side.to, Math.max(side.to, clause.to))}`
      : all;
    // A step that takes everything has them already.
    const taken = this.all.find((s) => s.everything);
    const inIt = (l: DraftLine) =>
      taken !== undefined && !(l.familyId && taken.everything!.except.includes(l.familyId));
    const pronoun = / (?:it|them|these|those|this|that|both|they) /.test(words);
    const liquids = things.every((t) => t.entry.kind === 'family' && t.entry.family.plainWater);
    const elliptical =
      liquids &&
      clause.sentence === this.lastSentence &&
      (things.length === 0 || / (?:in|with) /.test(words));
    if (!pronoun && !elliptical) return [];
    // What lies in the pot already is boiled there; what was squeezed is mixed in.
    const cooks = clause.hits.some((h) => h.deeds[0] === 'boil' || h.deeds[0] === 'heat');
    // "Put the water into the pot. Bring it to the boil.": what is in the pot.
    const before = this.all.findLast((s) => s.kind !== 'heat' && s.kind !== 'boil');
    if (cooks && before?.kind === 'combine' && this.placedAt(before).length) return [];
    return this.focus.filter((l) => !inIt(l) && (cooks ? l.at.length === 0 : !l.at.some((a) => !a.weak)));
  }

  recent(): DraftLine[] {
    return this.lastLine ? [this.lastLine] : [];
  }

  placedAt(step: DraftStep): DraftLine[] {
    return this.lines.all.filter((l) => l.at.some((a) => a.stepId === step.id && !a.weak));
  }

  /** A filling or a stirring in: with the one before it, where nothing lies between. */
  put(kind: 'combine' | 'mix' | 'sweeten', span: Span, implied = false): DraftStep {
    const last = this.last;
    if (last && last.kind === kind && last.implied === implied && last.lot === this.lot) {
      this.extend(last, span);
      return last;
    }
    return this.add(kind, span, { implied });
  }

  time(step: DraftStep, length: Length | null): void {
    if (!length) return;
    if (length.from !== undefined) this.ledger.use(length.from, length.to!);
    step.minutes = {
      value: length.value,
      ...(length.min === undefined ? {} : { min: length.min }),
      ...(length.max === undefined ? {} : { max: length.max }),
    };
    if (length.vague) step.doubts.add('vagueTime');
    else step.doubts.delete('vagueTime');
    step.doubts.delete('noTime');
  }
}

/** The families of things. */
export const families = (things: readonly Thing[]): string[] =>
  things.flatMap((t) =>
    t.entry.kind === 'family' ? [t.entry.family.id] : t.entry.kind === 'group' ? [...t.entry.families] : [],
  );
