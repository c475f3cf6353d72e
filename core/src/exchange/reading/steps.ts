import type { OwnStepKind } from '../../documents/recipe.ts';
import { FORM_OF_DEED } from '../../tables/reading/formWords.ts';
import { amountOf } from './amounts.ts';
import { type Clause, sievesIn, vesselsIn } from './clauses.ts';
import { doneIn } from './deeds.ts';
import {
  cueOf,
  type Length,
  lengthOf,
  levelIn,
  lidIn,
  placeIn,
  pressIn,
  saysNight,
  timesIn,
  wordsOf,
} from './details.ts';
import type { Ledger } from './ledger.ts';
import type { DraftLine, Lines } from './lines.ts';
import type { Thing } from './things.ts';
import type { Token } from './tokens.ts';
import type { Doubt, ReadStep, Span } from './types.ts';

export interface DraftStep extends Omit<ReadStep, 'doubts' | 'words'> {
  doubts: Set<Doubt>;
  /** It only says where the drink stands: "in the fridge". */
  held?: boolean;
  /** It takes everything that goes in nowhere else, but for some families of things. */
  everything: { except: string[] } | null;
  spans: Span[];
}

const TIMED: ReadonlySet<OwnStepKind> = new Set(['boil', 'steep', 'soak', 'mature']);
const EVERYTHING =
  / (?:everything|every thing|all (?:of )?(?:it|them|that|this|the ingredients|together|ingredients|but|except|from)|all the rest|the rest|rest of it|the lot|all in|all (?:the )?(?:other|remaining)|ingredients) /;
/** Deeds that take no time of their own: a time behind them is that of what comes after. */
const ROOTED: ReadonlySet<string> = new Set(['prep', 'wash', 'pick', 'lift']);
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
/** Deeds that put nothing in. */
const HANDLES: ReadonlySet<string> = new Set(
  'wash pick prep strain press cool ice off cover lift skim bottle hold lower'.split(' '),
);
const MOST_STEPS = 60;
/** A steep of so many minutes is one that matures. */
const MATURES_MIN = 2 * 1440;

interface Asked {
  clause: Clause;
  words: string;
  lines: DraftLine[];
  /** Things that were not known before they were asked about. */
  things: Thing[];
  left: number;
}

/** Reads the clauses of one drink, in their order, into steps; things are told to the lines. */
export class Steps {
  readonly all: DraftStep[] = [];
  readonly notes: { kind: 'keeps' | 'serve'; span: Span; days?: number }[] = [];
  readonly without: { span: Span; familyId: string | null }[] = [];
  /** Spans of clauses that said something. */
  readonly understood: Span[] = [];
  private readonly text: string;
  private readonly tokens: readonly Token[];
  private readonly lines: Lines;
  private readonly ledger: Ledger;
  private strained = false;
  private bottled = false;
  /** A lid was put on before anything that it belongs to was named. */
  private lid: ReadStep['lid'];
  private level: ReadStep['level'];
  private off = false;
  private asked: Asked | null = null;
  private lastLine: DraftLine | null = null;
  private lastSentence = -1;
  private namedIn = -1;
  private morePieces = false;
  /** What was handled or named in the last clause that named anything: "it", "them". */
  private focus: DraftLine[] = [];
  private focusAt: Clause | null = null;
  private current: Clause | null = null;

  constructor(text: string, tokens: readonly Token[], lines: Lines, ledger: Ledger) {
    this.ledger = ledger;
    this.text = text;
    this.tokens = tokens;
    this.lines = lines;
  }

  private span(from: number, to: number): Span {
    let a = from;
    while (a < to - 1 && /^(?:[,;:\-–&+/>()]|and|then|so|but|n|\n)$/.test(this.tokens[a]!.t)) a++;
    return { start: this.tokens[a]!.start, end: this.tokens[Math.max(a, to - 1)]!.end };
  }

  private add(kind: OwnStepKind, span: Span, more: Partial<DraftStep> = {}): DraftStep {
    const step: DraftStep = {
      id: `s${this.all.length + 1}`,
      span,
      kind,
      minutes: null,
      tempC: null,
      cue: null,
      heatTo: null,
      level: null,
      lid: null,
      place: null,
      passes: [],
      press: null,
      rinses: null,
      downToShare: null,
      everyMin: null,
      thrown: false,
      kept: false,
      sterilised: false,
      vessel: null,
      intoVessel: null,
      handles: [],
      implied: false,
      doubts: new Set(),
      everything: null,
      spans: [span],
      ...more,
    };
    if (this.all.length < MOST_STEPS) this.all.push(step);
    return step;
  }

  /** A figure that stands alone may tell how much it makes: nothing else is waiting for one. */
  get saysYield(): boolean {
    return this.strained && !(this.lastLine && !this.lastLine.amount);
  }

  /** "5 min: rinse the hibiscus": the time in front is that of the step, where it got none. */
  led(time: { value: number; max?: number; from: number; to: number }, from: number): void {
    const made = this.all.slice(from);
    this.uses(time);
    if (!made.length || made.some((s) => s.minutes)) return;
    made.at(-1)!.minutes = { value: time.value, ...(time.max === undefined ? {} : { max: time.max }) };
    made.at(-1)!.doubts.delete('noTime');
  }

  private get last(): DraftStep | undefined {
    return this.all.at(-1);
  }

  /** A quantity that became part of a fact. */
  private uses(...quantities: readonly ({ from: number; to: number } | undefined)[]): void {
    for (const q of quantities) if (q) this.ledger.use(q.from, q.to);
  }

  /** How often, with the figure that says it. */
  private often(clause: Clause, words: string): number | null {
    const times = timesIn(clause, words);
    if (times === null) return null;
    this.uses(...clause.counts);
    for (let i = clause.from; i < clause.to; i++)
      if (this.tokens[i]!.value !== undefined && /^[x×]$/.test(this.tokens[i - 1]?.t ?? ''))
        this.ledger.use(i, i + 1);
    return times;
  }

  private lastOf(...kinds: OwnStepKind[]): DraftStep | undefined {
    return this.all.findLast((s) => kinds.includes(s.kind));
  }

  private extend(step: DraftStep, span: Span): void {
    step.spans.push(span);
    step.span = { start: Math.min(step.span.start, span.start), end: Math.max(step.span.end, span.end) };
  }

  /** A line goes in at a step, all of it or so much as is said there. */
  private place(line: DraftLine, step: DraftStep, weak: boolean, thing?: Thing): void {
    const portion = thing && this.lines.portion(thing, line);
    const known = line.at.find((a) => a.stepId === step.id);
    if (known) {
      known.weak &&= weak;
      if (portion) known.portion ??= portion;
    } else line.at.push({ stepId: step.id, weak, ...(portion ? { portion } : {}) });
  }

  /** One clause. */
  read(clause: Clause): void {
    this.current = clause;
    const words = wordsOf(this.tokens, clause.from, clause.to);
    const span = this.span(clause.from, clause.to);
    if (clause.question) {
      this.ask(clause, words, span);
      return;
    }
    this.answer(clause, words);
    this.whenCool(clause, words, span);
    this.clause(clause, words, span);
    if (this.asked && --this.asked.left < 0) this.asked = null;
    this.lastSentence = clause.sentence;
  }

  private ask(clause: Clause, words: string, span: Span): void {
    const things = clause.things.filter((t) => !this.negated(t));
    const lines = things
      .filter((t) => this.lines.knows(t))
      .flatMap((t) => this.lines.told({ ...t, definite: true }));
    const fresh = things.filter((t) => !this.lines.knows(t));
    const known = this.asked?.clause.sentence === clause.sentence ? this.asked : null;
    if (clause.hits.length || things.length || !known)
      this.asked = {
        clause,
        words,
        lines: [...(known?.lines ?? []), ...lines],
        things: [...(known?.things ?? []), ...fresh],
        left: 3,
      };
    if (lines.length) this.focus = lines;
    if (things.length || clause.hits.length) this.understood.push(span);
  }

  /** What was asked is told by its answer: how much, how long, yes. */
  private answer(clause: Clause, words: string): void {
    const { asked } = this;
    if (!asked) return;
    // "What is everything?": what is told now belongs to the step that said "everything".
    if (/ (?:everything|all of it) /.test(asked.words) && clause.things.length && !clause.hits.length) {
      for (const thing of clause.things) {
        if (this.negated(thing)) continue;
        this.named(thing);
      }
      clause.things = [];
      this.understood.push(this.span(clause.from, clause.to));
      return;
    }
    if (/^ (?:no|nope|never|none|not) /.test(words)) {
      if (/^ (?:no|none|never) /.test(words) && !/ make it /.test(words)) this.asked = null;
      return;
    }
    const yes = / (?:yes|right|yeah|yep|sure|please do|of course) /.test(words);
    if (yes && asked.clause.hits.length) {
      const done = doneIn(asked.clause, asked.words, this.strained);
      if (done && done.deed !== 'yield')
        this.clause(
          { ...asked.clause, question: false },
          asked.words,
          this.span(asked.clause.from, asked.clause.to),
        );
      this.asked = null;
      return;
    }
    const [amount] = clause.amounts;
    if (amount && asked.lines.length + asked.things.length === 1 && !clause.things.some((t) => t.quantity)) {
      const line = asked.lines[0] ?? this.named(asked.things[0]!)[0];
      asked.things = [];
      if (!line) return;
      const said = amountOf(
        amount,
        this.text.slice(this.tokens[amount.from]!.start, this.tokens[amount.to - 1]!.end),
        this.lines.kit,
      );
      if (!line.amount) {
        line.amount = said;
        this.uses(amount);
        line.spans.push(this.span(amount.from, amount.to));
        line.forms.push(...formsAfter(this.tokens, amount.to, clause.to));
        this.understood.push(this.span(clause.from, clause.to));
      }
      clause.amounts = [];
      this.lastLine = line;
    }
    if (/ (?:squeezed|juice|juiced|stirred in|stir) /.test(words) && asked.things.length)
      asked.lines.push(...asked.things.splice(0).flatMap((t) => this.named(t)));
    const squeezed = / (?:squeezed|juice|juiced|squeeze) /.test(words);
    if (asked.lines.length && (squeezed || / stirred in /.test(words)))
      for (const line of asked.lines) {
        if (squeezed && line.family?.juice) line.part ??= 'juice';
        if (!line.at.some((a) => !a.weak)) {
          const step = this.put(this.strained ? 'mix' : 'combine', this.span(clause.from, clause.to));
          this.place(line, step, false);
        }
      }
    if (clause.times.length && asked.clause.hits.some((h) => ['boil', 'steep'].includes(h.deeds[0]!))) {
      const kind = asked.clause.hits.find((h) => h.deeds[0] === 'boil') ? 'boil' : 'steep';
      const known = this.lastOf(kind);
      if (known?.minutes || this.strained) return;
      const step = known ?? this.add(kind, this.span(clause.from, clause.to));
      if (kind === 'boil') this.boilDetails(step, words, null);
      this.time(step, lengthOf(clause, words));
      this.extend(step, this.span(clause.from, clause.to));
      clause.times = [];
    }
  }

  private negated(thing: Thing): boolean {
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
  private exceptions(clause: Clause): Thing[] {
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

  private clause(clause: Clause, words: string, span: Span): void {
    if (/^ or /.test(words) && clause.hits.length && this.all.length) {
      this.understood.push(span);
      return;
    }
    // "One part of it to six parts of water": how it is served.
    if (/ (?:one|1|a) part .*(?:parts?|to|with) | 1 : \d+ /.test(words)) {
      this.notes.push({ kind: 'serve', span });
      this.understood.push(span);
      return;
    }
    const except = this.exceptions(clause);
    const things = clause.things.filter((t) => !except.includes(t) && !(clause.optional && !t.optional));
    for (const t of except) {
      const familyId = t.entry.kind === 'family' ? t.entry.family.id : null;
      const known = this.lines.all.some((l) => l.familyId !== null && l.familyId === familyId);
      if (!known) this.without.push({ span: this.span(t.from, t.to), familyId });
      // "Not the sugar!" after "everything": it was left out there.
      const before = this.all.findLast((s) => s.everything);
      if (before && familyId && !clause.hits.length) before.everything!.except.push(familyId);
      this.understood.push(this.span(t.from, t.to));
    }
    // "Make that half a cup of molasses": the amount is put right.
    const again = things[0];
    if (again?.quantity && / make (?:it|that) /.test(words) && this.lines.knows(again)) {
      this.lines.correctedBy(again);
      this.understood.push(span);
      for (const thing of things.slice(1))
        for (const line of this.named(thing)) if (this.last) this.place(line, this.last, true);
      return;
    }
    // "No, make it two stalks", "maybe twelve": the amount that was said last is put right.
    if (this.correct(clause, words, things)) return;
    if (!clause.hits.some((h) => !h.negated) && this.inPieces(clause)) return;
    const done = doneIn(clause, words, this.strained);
    if (!done) {
      this.plainWords(clause, words, span, things, except);
      return;
    }
    const told = (step: DraftStep) => {
      for (const line of this.meant(clause, words, things)) this.place(line, step, false);
      for (const thing of things) for (const line of this.named(thing)) this.place(line, step, false, thing);
    };
    if (
      this.strained &&
      / (?:into|in) (?:a|each|every) (?:big |tall |small |large |little )?glass | glass of it | over ice /.test(
        words,
      )
    ) {
      this.notes.push({ kind: 'serve', span });
      this.understood.push(span);
      return;
    }
    // "Wash them well, 2 l water, 50 g ginger": what follows the pause is named for itself.
    if (HANDLES.has(done.deed)) {
      const verb = clause.hits.at(-1)?.at ?? clause.from;
      const pause = this.pauseAfter(verb, clause);
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
          times: [],
          amounts: [],
          things: clause.things.filter((t) => t.from >= pause),
        };
        this.clause(head, wordsOf(this.tokens, head.from, head.to), this.span(head.from, head.to));
        if (stays) {
          this.clause(
            { ...tail, from: pause + 1 },
            wordsOf(this.tokens, pause + 1, tail.to),
            this.span(pause + 1, tail.to),
          );
          return;
        }
        const handled = this.focus;
        this.plainWords(
          tail,
          wordsOf(this.tokens, tail.from, tail.to),
          this.span(tail.from, tail.to),
          late,
          [],
        );
        const filled = this.last;
        if (filled?.kind === 'combine')
          for (const line of handled) if (!line.at.length) this.place(line, filled, true);
        return;
      }
    }
    const known = this.understood.length;
    this.understood.push(span);
    const length = lengthOf(clause, words);
    switch (done.deed) {
      case 'wash': {
        const before = this.last;
        const again = before?.kind === 'wash' && !things.length;
        const step = again ? before : this.add('wash', span);
        if (again) this.extend(step, span);
        step.rinses = this.often(clause, words) ?? step.rinses;
        step.cue = cueOf(this.tokens, this.text, clause) ?? step.cue;
        // Salt and vinegar to wash with are no part of the drink.
        this.handle(
          step,
          things.filter(
            (t) => !(t.entry.kind === 'family' && (t.entry.family.plainWater || t.entry.family.washes)),
          ),
        );
        return;
      }
      case 'pick':
        this.handle(this.add('pick', span), things);
        return;
      case 'prep': {
        const form = FORM_OF_DEED[done.verb];
        // "A piece of ginger that I have sliced": its form, and no step of its own.
        if (/^ (?:that|which) /.test(words) && !things.length) {
          if (form) for (const line of this.recent()) line.forms.push(form);
          return;
        }
        const step = this.last?.kind === 'prep' ? this.last : this.add('prep', span);
        this.extend(step, span);
        const lines = this.handle(step, things);
        const meant = lines.length
          ? lines
          : / (?:it|them|everything) /.test(words) || clause.sentence === this.lastSentence
            ? this.focus
            : [];
        if (done.verb === 'peel' || done.verb === 'zest')
          this.lines.peeled = meant.filter((l) => l.family?.juice);
        if (form) for (const line of meant) if (!line.part) line.forms.push(form);
        if (done.verb === 'zest') for (const line of meant) line.part ??= 'peel';
        return;
      }
      case 'introduce':
        this.introduce(clause, words, span, things);
        return;
      case 'put':
        this.putIn(clause, words, span, things, except);
        return;
      case 'sweeten': {
        const step = this.put('sweeten', span);
        step.cue = cueOf(this.tokens, this.text, clause) ?? this.whenOf(clause) ?? step.cue;
        told(step);
        if (!things.length) this.sweetest(step);
        return;
      }
      case 'toBoil': {
        const before = this.last;
        const again = before?.kind === 'heat' && before.heatTo === 'boil';
        const step = again ? before : this.add('heat', span, { heatTo: 'boil' });
        if (again) this.extend(step, span);
        told(step);
        if (EVERYTHING.test(words)) step.everything = { except: families(except) };
        if (/ simmer /.test(words)) this.level = 'simmer';
        this.off = false;
        // "bring to the boil for ten minutes"
        if (length) {
          const boil = this.add('boil', span);
          this.time(boil, length);
          this.boilDetails(boil, words, null);
        }
        return;
      }
      case 'heat':
        this.heat(clause, words, span, done.verb, length, things, except);
        return;
      case 'boil':
        this.boil(clause, words, span, done.verb, length, things, except);
        return;
      case 'lower': {
        this.level = 'simmer';
        const boil = this.last?.kind === 'boil' ? this.last : null;
        if (length) {
          const step = this.add('boil', span, { level: 'simmer' });
          this.time(step, length);
          this.boilDetails(step, words, 'simmer');
        } else if (boil) this.extend(boil, span);
        return;
      }
      case 'off': {
        this.off = true;
        this.lid = lidIn(words) ?? this.lid;
        if (length) this.stand(clause, words, span, length);
        if (things.length) this.putIn(clause, words, span, things, except);
        return;
      }
      case 'cover': {
        const lid = lidIn(` ${words} `) ?? 'on';
        const last = this.last;
        if (length) {
          this.stand(clause, words, span, length).lid = lid;
          return;
        }
        if (this.off || !last || !(last.kind === 'boil' || last.kind === 'steep' || last.kind === 'soak'))
          this.lid = lid;
        else last.lid = lid;
        return;
      }
      case 'steep':
        if (things.length && !clause.things.every((t) => t.definite))
          told(this.put(this.strained ? 'mix' : 'combine', span));
        this.stand(clause, words, span, length);
        return;
      case 'hold': {
        if (this.strained && (this.bottled || (length?.value ?? 0) >= 4 * 1440)) {
          this.understood.length = known;
          this.notes.push({ kind: 'keeps', span });
          this.understood.push(span);
          return;
        }
        const step = this.strained && !saysNight(words) ? this.add('cool', span) : this.add('steep', span);
        step.place = 'fridge';
        step.held = true;
        if (length) this.time(step, length);
        if (step.kind === 'cool' && this.mentionsKeeping(words)) {
          this.all.pop();
          this.notes.push({ kind: 'keeps', span });
        }
        return;
      }
      case 'soak': {
        const step = this.add('soak', span);
        if (length) this.time(step, length);
        step.place = placeIn(words) ?? null;
        step.lid = lidIn(words) ?? null;
        step.cue = cueOf(this.tokens, this.text, clause);
        if (!length) step.doubts.add('noTime');
        told(step);
        if (EVERYTHING.test(words)) step.everything = { except: families(except) };
        return;
      }
      case 'strain':
        this.strain(clause, words, span, things);
        return;
      case 'press': {
        const before = this.lastOf('strain');
        const recent =
          this.last?.kind === 'strain' || (before && this.all.indexOf(before) >= this.all.length - 1);
        const press = pressIn(this.tokens, clause.from, clause.to);
        if (before && recent) {
          before.press = press ?? 'wring';
          this.extend(before, span);
        } else this.strain(clause, words, span, things);
        return;
      }
      case 'blend': {
        const before = this.last;
        const again = before?.kind === 'blend' && clause.sentence === this.lastSentence;
        const step = again ? before : this.add('blend', span, { vessel: 'blender' });
        if (again) this.extend(step, span);
        if (length) this.time(step, length);
        step.cue = cueOf(this.tokens, this.text, clause) ?? step.cue;
        told(step);
        if (EVERYTHING.test(words)) step.everything = { except: families(except) };
        const kept = / (?:what is left|what's left|back in|residue|pulp|again) /.test(words);
        if (kept) {
          const strain = this.lastOf('strain');
          if (strain) strain.kept = true;
        }
        for (const line of this.placedAt(step)) if (!line.part) line.forms.push('blended');
        if (sievesIn(this.tokens, clause.from, clause.to).length) this.strain(clause, words, span, []);
        return;
      }
      case 'mill':
        this.handle(this.add('mill', span), things);
        return;
      case 'juice': {
        // "Squeeze three limes in at the end": they go in here.
        if (/ in(?: too| as well)? $/.test(words) || / (?:in at the end|into it|over it) /.test(words)) {
          const put = this.put(this.strained ? 'mix' : 'combine', span);
          for (const thing of things)
            for (const line of this.named({ ...thing, part: thing.part ?? 'juice' }))
              this.place(line, put, false);
          return;
        }
        const step =
          this.last?.kind === 'juice' && clause.sentence === this.lastSentence && !things.length
            ? this.last
            : this.add('juice', span);
        this.extend(step, span);
        const juicer = / juicer /.test(
          clause.when ? wordsOf(this.tokens, clause.from, clause.when.from) : words,
        );
        const before = this.meant(clause, words, things);
        const lines = things.flatMap((t) => this.named(juicer ? t : { ...t, part: t.part ?? 'juice' }));
        const meant = (lines.length ? lines : before.length ? before : this.recent()).map(
          (l) => this.lines.split(l, things) ?? l,
        );
        for (const line of meant) {
          if (line.family?.juice && !juicer) line.part ??= 'juice';
          if (juicer) line.juiced = true;
          this.place(line, step, !juicer);
        }
        return;
      }
      case 'ice': {
        const implied = this.all.findLast((s) => s.kind === 'cool' && s.implied);
        const step = implied ?? this.add('cool', span);
        if (implied) this.extend(implied, span);
        step.implied = false;
        step.place = 'iceBath';
        if (length) this.time(step, length);
        step.cue = cueOf(this.tokens, this.text, clause);
        return;
      }
      case 'cool': {
        if (this.bottled && !length) {
          this.notes.push({ kind: 'keeps', span });
          return;
        }
        // "Refrigerate for up to three days": how long it keeps.
        if (
          this.strained &&
          length &&
          length.value >= 1440 &&
          (clause.times[0]?.bound === 'most' || this.bottled)
        ) {
          this.notes.push({ kind: 'keeps', span, days: (length.max ?? length.value) / 1440 });
          return;
        }
        const last = this.last;
        const chill = done.verb === 'chill' || done.verb === 'refrigerate';
        if (last?.kind === 'cool' && !last.minutes && clause.sentence === this.lastSentence && !chill) {
          this.extend(last, span);
          if (length) this.time(last, length);
          return;
        }
        // "Refrigerate for two days" before it is strained is a steep.
        const step =
          chill && !this.strained && length && length.value > 240
            ? this.add('steep', span)
            : this.add('cool', span);
        step.place = placeIn(words) ?? (chill ? 'fridge' : null);
        if (length) this.time(step, length);
        step.cue = cueOf(this.tokens, this.text, clause);
        if (clause.temps[0]) step.tempC = clause.temps[0].value;
        this.uses(clause.temps[0]);
        return;
      }
      case 'skim':
        this.add('skim', span);
        return;
      case 'settle': {
        const step = this.add('settle', span);
        if (length) this.time(step, length);
        return;
      }
      case 'freeze': {
        this.add('freeze', span);
        return;
      }
      case 'lift': {
        // "lift it out" of the washing water belongs to the washing.
        if (this.last?.kind === 'wash') {
          this.extend(this.last, span);
          return;
        }
        const seeds = / seeds? /.test(words) && !things.length;
        if (seeds) {
          this.extend(this.last?.kind === 'prep' ? this.last : this.add('prep', span), span);
          return;
        }
        this.handle(this.add('lift', span), things);
        return;
      }
      case 'discard': {
        const last = this.last;
        if (last?.kind === 'soak' && / water /.test(words)) last.thrown = true;
        if (last) this.extend(last, span);
        else this.understood.length = known;
        return;
      }
      case 'divide':
        this.add('split', span).doubts.add('meaningGuessed');
        return;
      case 'reduce':
        this.add('boil', span, {
          downToShare: / half /.test(words) ? 0.5 : / third /.test(words) ? 1 / 3 : null,
        });
        return;
      case 'shake': {
        const step = this.lastOf('mature', 'steep', 'soak');
        if (step && / (?:day|evening|morning) /.test(words)) step.everyMin = 1440;
        if (step) this.extend(step, span);
        else if (this.bottled) this.notes.push({ kind: 'serve', span });
        return;
      }
      case 'bottle': {
        const step = this.last?.kind === 'bottle' ? this.last : this.add('bottle', span);
        this.extend(step, span);
        step.sterilised ||= / (?:sterilised|sterilized|boiled) /.test(words);
        this.bottled = true;
        if (/ (?:freezer|freeze) /.test(words)) this.add('freeze', span);
        return;
      }
      case 'keep':
      case 'serve':
      case 'taste':
      case 'yield':
        this.talk(done.deed, clause, words, span, things);
        return;
      case 'nothing':
        return;
    }
  }

  /** The first comma behind a verb that no thing spans; -1 where there is none. */
  private pauseAfter(verb: number, clause: Clause): number {
    for (let i = verb + 1; i < clause.to; i++)
      if (this.tokens[i]!.t === ',' && !clause.things.some((t) => i > t.from && i < t.to)) return i;
    return -1;
  }

  /** "Everything in the big pot, low heat, 45 min, never boil": a sentence without a verb says one thing after another. */
  private inPieces(clause: Clause): boolean {
    const cuts: number[] = [];
    for (let i = clause.from; i < clause.to; i++) {
      const { t } = this.tokens[i]!;
      if (t !== ',' && t !== '/' && t !== ';' && t !== ':') continue;
      if (clause.things.some((thing) => i > thing.from && i < thing.to) || i === clause.from) continue;
      // Things one after the other are one list.
      const after = clause.things.some((thing) => thing.from > i && thing.from - i <= 3);
      const before = clause.things.some((thing) => thing.to <= i && i - thing.to <= 1);
      if (!(after && before)) cuts.push(i);
    }
    if (!cuts.length) return false;
    let from = clause.from;
    for (const to of [...cuts, clause.to]) {
      if (to > from) {
        const within = (q: { from: number }) => q.from >= from && q.from < to;
        const piece: Clause = {
          ...clause,
          from,
          to,
          hits: clause.hits.filter((h) => h.at >= from && h.at < to),
          things: clause.things.filter(within),
          times: clause.times.filter(within),
          temps: clause.temps.filter(within),
          counts: clause.counts.filter(within),
          amounts: clause.amounts.filter(within),
          cue: clause.cue && within(clause.cue) ? clause.cue : null,
          when: clause.when && within(clause.when) ? clause.when : null,
        };
        this.morePieces = to < clause.to;
        this.clause(piece, wordsOf(this.tokens, from, to), this.span(from, to));
        this.morePieces = false;
        this.lastSentence = clause.sentence;
      }
      from = to + 1;
    }
    return true;
  }

  /** Keeping, serving and tasting say what is done later; what they name still goes in. */
  private talk(
    deed: 'keep' | 'serve' | 'taste' | 'yield',
    clause: Clause,
    words: string,
    span: Span,
    things: readonly Thing[],
  ): void {
    const length = lengthOf(clause, words);
    if (deed === 'keep') {
      // "Keep it there for twenty minutes" is a step.
      if (
        length &&
        length.value <= 120 &&
        !this.bottled &&
        / (?:there|warm|hot|at|going|boiling|simmering) /.test(words)
      ) {
        // "Keep it going": it boils on.
        const before = this.last;
        const boils = before?.kind === 'heat' && before.heatTo === 'boil' && !this.off;
        const step = this.add(boils ? 'boil' : 'steep', span);
        this.time(step, length);
        if (boils) this.boilDetails(step, words, null);
        return;
      }
      this.notes.push({
        kind: 'keeps',
        span,
        ...(length ? { days: (length.max ?? length.value) / 1440 } : {}),
      });
      return;
    }
    if (deed === 'serve') this.notes.push({ kind: 'serve', span });
    if (deed === 'yield' && things.some((t) => t.quantity && t.entry.kind === 'family') && !this.strained) {
      const step = this.put('combine', span, true);
      for (const thing of things) for (const line of this.named(thing)) this.place(line, step, true, thing);
    }
  }

  /** "Take two kilos of apples": it is named with its amount; where it goes in is told after. */
  private introduce(clause: Clause, words: string, span: Span, things: readonly Thing[]): void {
    const length = lengthOf(clause, words);
    if (!things.length) {
      const sieves = sievesIn(this.tokens, clause.from, clause.to);
      if (this.last?.kind === 'strain' && sieves.length)
        this.last.passes.push(...sieves.map(({ by, times }) => ({ by, times })));
      if (length && length.value >= 1440) this.notes.push({ kind: 'keeps', span });
      // "It takes about forty minutes."
      else if (
        length &&
        this.last &&
        !this.last.minutes &&
        (TIMED.has(this.last.kind) || this.last.kind === 'cool' || this.last.kind === 'heat')
      ) {
        this.time(this.last, length);
        this.extend(this.last, span);
      } else if (!sieves.length) this.understood.pop();
      return;
    }
    const late = this.strained || things.every((t) => t.entry.kind === 'family' && t.entry.family.sweetens);
    const goesIn = late && this.all.length > 0;
    const step = goesIn ? this.put(late && !this.strained ? 'sweeten' : 'mix', span, true) : null;
    const lines = things.flatMap((t) => this.named(t));
    if (step) for (const line of lines) this.place(line, step, true);
    this.focus = lines;
  }

  private mentionsKeeping(words: string): boolean {
    return / (?:days?|weeks?|months?) /.test(words);
  }

  private handle(step: DraftStep, things: readonly Thing[]): DraftLine[] {
    const lines = things.flatMap((t) => this.named(t));
    for (const line of lines) if (!step.handles.includes(line.id)) step.handles.push(line.id);
    return lines;
  }

  private named(thing: Thing): DraftLine[] {
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

  /** "Once it is cold": it has cooled by then, also where nobody said so before. */
  private whenCool(clause: Clause, words: string, span: Span): void {
    if (!clause.when) return;
    const said = wordsOf(this.tokens, clause.when.from, clause.when.to);
    if (/ strain(?:s|ed|ing)? /.test(said) && !this.strained && this.all.length) {
      this.add('strain', span, { implied: true });
      this.strained = true;
    }
    if (!/ (?:cold|cool|cooled|tepid|lukewarm) /.test(said)) return;
    const hot = this.all.findLastIndex((s) => s.kind === 'boil' || s.kind === 'heat');
    if (hot < 0 || this.all.slice(hot).some((s) => s.kind === 'cool')) return;
    if (/ cool(?:s|ed)? (?:it|down|in) /.test(words)) return;
    const step = this.add('cool', span, { implied: true });
    step.cue = this.text.slice(this.tokens[clause.when.from]!.start, this.tokens[clause.when.to - 1]!.end);
  }

  /** What "it" and "them" mean, or a verb without an object is about, as far as it is nowhere yet. */
  private meant(clause: Clause, all: string, things: readonly Thing[]): DraftLine[] {
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
    return this.focus.filter((l) => !inIt(l) && (cooks ? l.at.length === 0 : !l.at.some((a) => !a.weak)));
  }

  private recent(): DraftLine[] {
    return this.lastLine ? [this.lastLine] : [];
  }

  private placedAt(step: DraftStep): DraftLine[] {
    return this.lines.all.filter((l) => l.at.some((a) => a.stepId === step.id && !a.weak));
  }

  /** A filling or a stirring in: with the one before it, where nothing lies between. */
  private put(kind: 'combine' | 'mix' | 'sweeten', span: Span, implied = false): DraftStep {
    const last = this.last;
    if (last && last.kind === kind && last.implied === implied) {
      this.extend(last, span);
      return last;
    }
    return this.add(kind, span, { implied });
  }

  private putIn(
    clause: Clause,
    words: string,
    span: Span,
    things: readonly Thing[],
    except: readonly Thing[],
  ): void {
    // "Put it in a bowl, cold water": how it is washed.
    if (
      this.last?.kind === 'wash' &&
      / (?:bowl|basin|sink|colander|sieve) /.test(words) &&
      things.every((t) => !t.quantity && t.entry.kind === 'family' && t.entry.family.plainWater)
    ) {
      this.extend(this.last, span);
      return;
    }
    // "Then add the rest": of what was begun with.
    const begun = / the rest /.test(words) && !/ rest of /.test(words) && !things.length && this.strained;
    if (begun && this.lastLine?.at.length) {
      this.place(this.lastLine, this.put('mix', span), false);
      return;
    }
    const everything = EVERYTHING.test(words);
    // "Add more if needed."
    if (clause.optional && clause.things.length && !things.length) {
      this.notes.push({ kind: 'serve', span });
      return;
    }
    const meant = this.meant(clause, words, things);
    if (!things.length && !everything && !meant.length) {
      this.stirred(clause, words, span);
      return;
    }
    const sweets = things.filter((t) => t.entry.kind === 'family' && t.entry.family.sweetens);
    const kind =
      things.length &&
      sweets.length === things.length &&
      this.all.some((s) => ['boil', 'heat', 'strain', 'blend', 'steep', 'soak'].includes(s.kind))
        ? 'sweeten'
        : this.strained
          ? 'mix'
          : 'combine';
    const step = this.put(kind, span);
    const cue = cueOf(this.tokens, this.text, clause) ?? this.whenOf(clause);
    if (cue) step.cue = cue;
    const [vessel] = vesselsIn(this.tokens, clause.from, clause.to);
    if (vessel) step.vessel = vessel.vessel;
    if (everything) step.everything = { except: [...(step.everything?.except ?? []), ...families(except)] };
    for (const line of meant) this.place(line, step, false);
    // "Cover with eight litres of water": all that was named so far lies under it.
    if (
      / cover(?:ed|s)? /.test(words) &&
      things.some((t) => t.entry.kind === 'family' && t.entry.family.plainWater)
    )
      for (const line of this.lines.all)
        if (!line.at.some((a) => !a.weak) && !line.listed) this.place(line, step, false);
    if (/ (?:what is left|what's left|what was left|the solids|the pulp|the spent) /.test(words)) {
      const strain = this.lastOf('strain');
      if (strain) strain.kept = true;
    }
    const lid = lidIn(words);
    if (lid && !/ cover /.test(words)) this.lid = lid;
    for (const thing of things)
      for (const line of this.named(thing)) {
        if (/ (?:squeeze|juice of|juiced) /.test(words) && line.family?.juice && !line.forms.length)
          line.part ??= 'juice';
        this.place(line, step, false, thing);
      }
    const length = lengthOf(clause, words);
    // "Put it in the fridge for two hours", "leave the mint in for 20 minutes".
    if (length && !/ minutes? before /.test(words)) this.stand(clause, words, span, length);
  }

  /** "Stir until it is gone", "mix well": how the last putting in is done. */
  private stirred(clause: Clause, words: string, span: Span): void {
    const cue = cueOf(this.tokens, this.text, clause);
    const part = / the (juice|peel|zest|skins?|cores?|rind) /.exec(words)?.[1];
    if (part) {
      const name = part === 'juice' ? 'juice' : part.startsWith('core') ? 'core' : 'peel';
      const lines = this.lines.partsOf(name);
      if (lines.length) {
        const step = this.put(
          this.strained || this.all.some((s) => s.kind === 'strain') ? 'mix' : 'combine',
          span,
        );
        for (const line of lines) this.place(line, step, false);
        const length = lengthOf(clause, words);
        if (length) this.stand(clause, words, span, length);
        return;
      }
    }
    const place = placeIn(words);
    const length = lengthOf(clause, words);
    if (place === 'fridge' && !this.bottled) {
      const step = this.add(this.strained ? 'cool' : 'steep', span, { place });
      if (length) this.time(step, length);
      return;
    }
    if (length) {
      this.stand(clause, words, span, length);
      return;
    }
    const last = this.last;
    // "Add the green bottle": something goes in, and nobody knows what.
    const adds = clause.hits.some((h) => h.deeds.includes('put') && !MIXES.has(h.verb));
    if (adds && !/ (?:it|them|everything|all|this|that|these|two|both|together|cover) /.test(words)) {
      this.understood.pop();
      return;
    }
    if (/ (?:together|both|two|join|it all) /.test(words) && this.strained) {
      const step = this.put('mix', span);
      if (cue) step.cue = cue;
      return;
    }
    if (last && (last.kind === 'combine' || last.kind === 'mix' || last.kind === 'sweeten')) {
      if (cue) last.cue = cue;
      this.extend(last, span);
    } else if (last) this.extend(last, span);
  }

  /** "While it is warm", "when it is lukewarm": when it is to be done. */
  private whenOf(clause: Clause): string | null {
    if (!clause.when) return null;
    const words = wordsOf(this.tokens, clause.when.from, clause.when.to);
    return / (?:warm|hot|cold|cool|cooled|lukewarm|tepid|boiling) /.test(words)
      ? this.text.slice(this.tokens[clause.when.from]!.start, this.tokens[clause.when.to - 1]!.end)
      : null;
  }

  private sweetest(step: DraftStep): void {
    for (const line of this.lines.all)
      if (line.family?.sweetens && !line.at.some((a) => !a.weak)) this.place(line, step, false);
  }

  private time(step: DraftStep, length: Length | null): void {
    if (!length) return;
    if (length.from !== undefined) this.ledger.use(length.from, length.to!);
    step.minutes = { value: length.value, ...(length.max === undefined ? {} : { max: length.max }) };
    if (length.vague) step.doubts.add('vagueTime');
    else step.doubts.delete('vagueTime');
    step.doubts.delete('noTime');
    if (step.kind === 'steep' && this.strained === false && length.value >= MATURES_MIN) step.kind = 'steep';
  }

  private boilDetails(step: DraftStep, words: string, verb: string | null): void {
    step.level = levelIn(words, verb) ?? this.level ?? null;
    step.lid = lidIn(words) ?? this.lid ?? null;
    this.level = undefined;
    this.lid = undefined;
    this.off = false;
  }

  private heat(
    clause: Clause,
    words: string,
    span: Span,
    verb: string,
    length: Length | null,
    things: readonly Thing[],
    except: readonly Thing[],
  ): void {
    const step = this.add('heat', span);
    step.tempC = clause.temps[0]?.value ?? null;
    this.uses(clause.temps[0]);
    step.cue = cueOf(this.tokens, this.text, clause);
    const notBoil =
      clause.hits.some((h) => h.negated && h.verb === 'boil') ||
      / (?:not|don't|dont|never) .*boil /.test(words);
    const boils = / boils? /.test(words) && !notBoil;
    step.heatTo =
      step.tempC !== null ? null : boils ? 'boil' : / bubbles? /.test(words) ? 'firstBubbles' : 'hot';
    step.lid = lidIn(words) ?? null;
    if (length) this.time(step, length);
    for (const line of this.meant(clause, words, things)) this.place(line, step, false);
    for (const thing of things) for (const line of this.named(thing)) this.place(line, step, false, thing);
    if (EVERYTHING.test(words)) step.everything = { except: families(except) };
    if (verb === 'warm' && this.bottled) step.doubts.add('meaningGuessed');
    this.off = false;
  }

  private boil(
    clause: Clause,
    words: string,
    span: Span,
    verb: string,
    length: Length | null,
    things: readonly Thing[],
    except: readonly Thing[],
  ): void {
    const last = this.last;
    // "Boil, then simmer 20 minutes": the first brings it to the boil.
    if (last?.kind === 'boil' && !last.minutes && length && !last.cue) {
      last.kind = 'heat';
      last.heatTo = 'boil';
      last.implied = true;
      last.doubts.delete('noTime');
    }
    // "It boils gently": how the boil that was named goes on.
    if (last?.kind === 'boil' && !length && !things.length && clause.hits.every((h) => h.form !== 'plain')) {
      this.extend(last, span);
      last.level ??= levelIn(words, verb) ?? null;
      return;
    }
    // "Now it is boiling": it has come to the boil.
    if (!length && !things.length && clause.hits.every((h) => h.form === 'ing')) {
      if (last?.kind === 'heat' && last.heatTo === 'boil') this.extend(last, span);
      else this.add('heat', span, { implied: true, heatTo: 'boil' });
      return;
    }
    const kettle = / kettle /.test(words) && !length && !things.length;
    const step = this.add(
      kettle ? 'heat' : 'boil',
      span,
      kettle ? { implied: true, heatTo: 'boil', vessel: 'kettle' } : {},
    );
    if (kettle) return;
    if (length) this.time(step, length);
    else step.doubts.add('noTime');
    step.cue = cueOf(this.tokens, this.text, clause);
    this.boilDetails(step, words, verb);
    for (const line of this.meant(clause, words, things)) this.place(line, step, false);
    for (const thing of things) for (const line of this.named(thing)) this.place(line, step, false, thing);
    if (EVERYTHING.test(words)) step.everything = { except: families(except) };
  }

  /** It stands: steeping before it is strained, waiting after. */
  private stand(clause: Clause, words: string, span: Span, length: Length | null): DraftStep {
    const last = this.last;
    const cold =
      / (?:cold|cool|room temperature) /.test(words) && (clause.cue !== null || / to cool /.test(words));
    // A steep that is told twice: "leave it in the pot until it is cold. I usually leave it overnight."
    if (
      last &&
      (last.kind === 'steep' || last.kind === 'soak') &&
      (!last.minutes || !length || last.minutes.value === length.value)
    ) {
      this.extend(last, span);
      if (length) this.time(last, length);
      last.lid ??= lidIn(words) ?? null;
      last.place ??= placeIn(words) ?? null;
      return last;
    }
    if (last?.kind === 'cool' && !last.minutes && length && !this.strained && saysNight(words)) {
      last.kind = 'steep';
      this.time(last, length);
      this.extend(last, span);
      return last;
    }
    const bath =
      / in (?:[a-z]+ )?(?:salted |salt |vinegar |soapy |cold |warm |lukewarm |tepid |plain )*water /.test(
        words,
      ) && !this.all.some((s) => ['combine', 'heat', 'boil'].includes(s.kind));
    const step = this.add(bath ? 'soak' : cold && !length ? 'cool' : 'steep', span);
    if (length) this.time(step, length);
    else if (step.kind === 'steep') step.doubts.add('noTime');
    step.lid = lidIn(words) ?? this.lid ?? null;
    step.place = placeIn(words) ?? null;
    step.cue = cueOf(this.tokens, this.text, clause);
    this.lid = undefined;
    this.off = false;
    return step;
  }

  private strain(clause: Clause, words: string, span: Span, things: readonly Thing[]): void {
    const passes = sievesIn(this.tokens, clause.from, clause.to).map(({ by, times }) => ({ by, times }));
    const times = this.often(clause, words);
    if (times !== null && passes.length === 1 && passes[0]!.times === 1) passes[0]!.times = times;
    if (times !== null && !passes.length) passes.push({ by: 'sieve', times });
    // "Two times, the second with a gauze."
    if (times === 2 && passes.length === 1 && / second (?:time )?(?:with|through|by) /.test(words)) {
      passes[0]!.times = 1;
      passes.unshift({ by: 'sieve', times: 1 });
    }
    const press = pressIn(this.tokens, clause.from, clause.to);
    const kept =
      / (?:keep|save|put aside|set aside|keeping) .*(?:solids|pulp|peel|plants|flowers|left) /.test(words) ||
      / what (?:is|was) left /.test(words);
    // "Ginger, two thumbs, grated, squeezed through a cloth": it is named here for the first time.
    const fresh = things.filter((t) => t.quantity && !t.definite);
    if (fresh.length) {
      const put = this.put(this.strained ? 'mix' : 'combine', span, true);
      for (const thing of fresh) for (const line of this.named(thing)) this.place(line, put, false, thing);
    }
    for (const thing of things) if (!fresh.includes(thing)) this.named({ ...thing, definite: true });
    const step = this.last?.kind === 'strain' ? this.last : this.add('strain', span);
    this.extend(step, span);
    const length = lengthOf(clause, words);
    if (length) this.time(step, length);
    step.passes.push(...passes);
    if (press) step.press = press;
    if (kept) step.kept = true;
    if (/ (?:hot|warm) /.test(words)) step.cue ??= null;
    const into = vesselsIn(this.tokens, clause.from, clause.to).find((v) => v.into);
    if (into) step.intoVessel = into.vessel;
    this.strained = true;
    this.off = false;
    this.lid = undefined;
  }

  /** A correction of the amount before: "ten cloves, maybe twelve"; "no, make it two stalks". */
  private correct(clause: Clause, words: string, things: readonly Thing[]): boolean {
    const [q] = clause.amounts;
    if (!q || / (?:makes|made|make about|gives|yields|fills|will have) /.test(words)) return false;
    // The thing that was named right before it, in this clause or the one before.
    const own = things.findLast((t) => t.to <= q.from);
    if (things.some((t) => t.from >= q.to && t.entry.kind === 'family')) return false;
    if (own) {
      const [named] = this.lines.told({ ...own, quantity: null });
      if (named && !own.quantity) {
        this.lastLine = named;
        this.namedIn = clause.sentence;
      }
    }
    const line = this.lastLine;
    if (!line || (own?.quantity && q.measure)) return false;
    const span = this.span(clause.from, clause.to);
    const amount = amountOf(
      q,
      this.text.slice(this.tokens[q.from]!.start, this.tokens[q.to - 1]!.end),
      this.lines.kit,
    );
    // "Now the sugar. I use one and a half kilos.", "ginger, this is about 200 g"
    if (!line.amount && q.measure && clause.sentence - this.namedIn <= 2) {
      line.amount = amount;
      line.spans.push(span);
      clause.amounts = [];
      this.understood.push(this.span(q.from, q.to));
      this.uses(q);
      return false;
    }
    // "Ten cloves, maybe twelve."
    if (
      !q.measure &&
      line.amount?.kind === 'said' &&
      line.amount.max === undefined &&
      / (?:maybe|or|perhaps|even) /.test(words) &&
      q.value > line.amount.value &&
      q.value <= line.amount.value * 2
    ) {
      line.amount = { ...line.amount, max: q.value };
      line.spans.push(span);
      this.understood.push(this.span(q.from, q.to));
      this.uses(q);
      return false;
    }
    if (/ make (?:it|that) | i mean | sorry /.test(words) && line.amount) {
      this.lines.corrected(line, amount);
      this.uses(q);
      line.spans.push(span);
      this.understood.push(span);
      return true;
    }
    return false;
  }

  /** A clause without a deed: things that go in here, a lid, a time, a note, or nothing that could be read. */
  private plainWords(
    clause: Clause,
    words: string,
    span: Span,
    things: readonly Thing[],
    except: readonly Thing[],
  ): void {
    const length = lengthOf(clause, words);
    const lid = lidIn(words);
    const negated = clause.hits.filter((h) => h.negated);
    const last = this.last;
    if (last?.kind === 'wash' && clause.counts.length && !things.length) {
      last.rinses = this.often(clause, words);
      this.extend(last, span);
      this.understood.push(span);
      return;
    }
    const sieves = sievesIn(this.tokens, clause.from, clause.to);
    if (last?.kind === 'strain' && sieves.length && !things.length) {
      this.often(clause, words);
      last.passes.push(...sieves.map(({ by, times }) => ({ by, times })));
      this.extend(last, span);
      this.understood.push(span);
      return;
    }
    if (negated.length) {
      this.notDone(clause, words, span);
      return;
    }
    const real = things.filter(
      (t) => t.quantity || t.toTaste || (!t.definite && this.all.length > 0 && this.lines.knows(t)),
    );
    if (real.length || (things.length && EVERYTHING.test(words))) {
      const everything = EVERYTHING.test(words);
      const open = last && ['combine', 'mix', 'sweeten'].includes(last.kind) && !everything;
      if (open) {
        this.extend(last, span);
        for (const thing of things)
          for (const line of this.named(thing)) this.place(line, last, last.implied, thing);
      } else {
        const vessel = vesselsIn(this.tokens, clause.from, clause.to)[0];
        const explicit = vessel !== undefined && vessel.vessel !== 'bottles';
        const step = this.put(this.strained ? 'mix' : 'combine', span, !explicit && !everything);
        if (everything) step.everything = { except: families(except) };
        if (vessel) step.vessel = vessel.vessel;
        for (const thing of things)
          for (const line of this.named(thing)) this.place(line, step, step.implied, thing);
      }
      this.understood.push(span);
      if (length) this.stand(clause, words, span, length);
      return;
    }
    if (!things.length && this.focus.length && / in (?:for|it|too|as|at) /.test(words)) {
      const step = this.put(this.strained ? 'mix' : 'combine', span);
      for (const line of this.focus) this.place(line, step, false);
      this.understood.push(span);
      if (length) this.stand(clause, words, span, length);
      return;
    }
    if (!things.length && / out /.test(words) && this.focus.length) {
      const step = this.add('lift', span);
      for (const line of this.focus) step.handles.push(line.id);
      this.understood.push(span);
      return;
    }
    for (const thing of things) this.named(thing);
    if (EVERYTHING.test(words)) {
      const step = this.put(this.strained ? 'mix' : 'combine', span);
      step.everything = { except: families(except) };
      this.understood.push(span);
      if (lid) this.lid = lid;
      if (length) this.stand(clause, words, span, length);
      return;
    }
    if (
      length &&
      this.notes.length &&
      / (?:fridge|days?|weeks?|months?) /.test(words) &&
      this.strained &&
      length.value >= 1440
    ) {
      this.notes.push({ kind: 'keeps', span, days: (length.max ?? length.value) / 1440 });
      this.understood.push(span);
      return;
    }
    if (length) {
      this.bareTime(clause, words, span, length);
      return;
    }
    if (lid && last) {
      if (this.off || last.kind === 'combine') this.lid = lid;
      // "Simmer 12 min → lid on, 1 h off the heat": what follows in the sentence is under the lid.
      else if (
        (last.kind === 'boil' || last.kind === 'steep' || last.kind === 'soak') &&
        !(this.morePieces && last.minutes)
      )
        last.lid = lid;
      else this.lid = lid;
      this.understood.push(span);
      return;
    }
    if (things.length || except.length) this.understood.push(span);
  }

  /** A length of time that stands alone. */
  private bareTime(clause: Clause, words: string, span: Span, length: Length): void {
    const last = this.last;
    this.understood.push(span);
    this.uses(clause.times[0]);
    if (this.strained && length.value >= 1440) {
      this.notes.push({ kind: 'keeps', span, days: (length.max ?? length.value) / 1440 });
      return;
    }
    const timed =
      last &&
      ((last.kind === 'heat' && last.heatTo !== 'boil') ||
        TIMED.has(last.kind) ||
        last.kind === 'cool' ||
        last.kind === 'settle' ||
        last.kind === 'blend');
    if (timed && last.minutes && last.minutes.value === length.value) {
      this.extend(last, span);
      return;
    }
    if (timed && !last.minutes && !/ (?:off|rest|stand) /.test(words)) {
      this.time(last, length);
      this.extend(last, span);
      last.lid ??= lidIn(words) ?? null;
      if (last.kind === 'boil') last.level ??= levelIn(words, null) ?? null;
      last.place ??= placeIn(words) ?? null;
      return;
    }
    if (last?.kind === 'heat' && last.heatTo === 'boil' && !this.off && !/ (?:off|rest|stand) /.test(words)) {
      const step = this.add('boil', span);
      this.time(step, length);
      this.boilDetails(step, words, null);
      return;
    }
    if (last?.minutes && !this.off && last.minutes.value === length.value) {
      this.extend(last, span);
      return;
    }
    if (last?.kind === 'boil' && last.minutes && !this.off && !/ (?:off|rest|stand|fridge) /.test(words)) {
      // Told again in other words: nothing new.
      this.extend(last, span);
      return;
    }
    if (!last) return;
    this.stand(clause, words, span, length);
  }

  /** "Do not press it", "it must not boil": what is not done says how the rest is done. */
  private notDone(clause: Clause, words: string, span: Span): void {
    const last = this.last;
    const verb = clause.hits.find((h) => h.negated)!.verb;
    if (verb === 'boil' || verb === 'simmer' || verb === 'cook') {
      const heat = last?.kind === 'heat' ? last : null;
      if (heat && heat.heatTo !== 'boil') this.extend(heat, span);
      this.understood.push(span);
      return;
    }
    if (verb === 'press' || verb === 'wring' || verb === 'squeeze' || verb === 'push') {
      const strain = this.lastOf('strain');
      if (strain) {
        if (!(verb === 'wring' && strain.press)) strain.press = 'drain';
        this.extend(strain, span);
      }
      this.understood.push(span);
      return;
    }
    if (verb === 'cover' || verb === 'close') {
      const boil = this.lastOf('boil', 'steep', 'soak');
      if (boil) {
        boil.lid = 'off';
        this.extend(boil, span);
      }
      this.understood.push(span);
      return;
    }
    // "Don't peel it", "do not rinse": nothing to do, and no loss.
    if (last) this.understood.push(span);
    void words;
  }
}

const families = (things: readonly Thing[]): string[] =>
  things.flatMap((t) =>
    t.entry.kind === 'family' ? [t.entry.family.id] : t.entry.kind === 'group' ? [...t.entry.families] : [],
  );

const FORM_TAIL = /^(?:dried|dry|fresh|sliced|grated|bruised|ground|whole|crushed|chopped|brown|white|raw)$/;
const formsAfter = (tokens: readonly Token[], from: number, to: number): string[] =>
  tokens.slice(from, Math.min(to, from + 5)).flatMap((t) => (FORM_TAIL.test(t.t) ? [t.t] : []));
