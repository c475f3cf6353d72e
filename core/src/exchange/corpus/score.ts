import { FAMILY_ROWS } from '../../tables/families.ts';
import type { Tables } from '../../tables/types.ts';
import { unitOf } from '../../units/units.ts';
import { itemFacts } from '../items.ts';
import { singular } from '../reading/lexicon.ts';
import { plain } from '../reading/tokens.ts';
import type { ReadAmount, ReadDrink, ReadLine, ReadStep, TextReading } from '../reading/types.ts';
import {
  type Expected,
  type ExpectedAmount,
  type ExpectedLine,
  type ExpectedStep,
  expectedOf,
} from './notation.ts';
import type { CorpusText } from './types.ts';

/** Right; wrong or missing and shown so; wrong and shown as certain; missing without a word. */
export type Outcome = 'right' | 'unsure' | 'wrong' | 'lost';

export const FACT_KINDS = [
  'title',
  'yield',
  'item',
  'amount',
  'range',
  'form',
  'place',
  'step',
  'time',
  'detail',
  'extra',
  'drink',
] as const;
export type FactKind = (typeof FACT_KINDS)[number];

export interface Verdict {
  kind: FactKind;
  outcome: Outcome;
  /** What was expected, and what was read. */
  about: string;
}

const PUTS = new Set(['combine', 'mix', 'sweeten', 'sour', 'fortify']);
const STANDS = new Set(['steep', 'soak', 'mature']);
/** Kinds of step that a reader would not tell apart. */
const classOf = (kind: string): string => (PUTS.has(kind) ? 'put' : STANDS.has(kind) ? 'stand' : kind);
const MERGED = new Set(['put', 'prep', 'strain']);

const UNITS: Readonly<Record<string, [us: string, metric: string]>> = {
  g: ['g', 'g'],
  kg: ['kg', 'kg'],
  ml: ['mL', 'mL'],
  l: ['L', 'L'],
  oz: ['ounce', 'ounce'],
  lb: ['pound', 'pound'],
  floz: ['usFluidOunce', 'usFluidOunce'],
  cup: ['usCup', 'metricCup'],
  tbsp: ['usTablespoon', 'metricTablespoon'],
  tsp: ['usTeaspoon', 'metricTeaspoon'],
  spoon: ['usTablespoon', 'metricTablespoon'],
  pint: ['usPint', 'imperialPint'],
  quart: ['usQuart', 'imperialQuart'],
  gallon: ['usGallon', 'imperialGallon'],
};

interface Merged<T> {
  steps: T[];
  first: number;
}

function merged<T extends { kind: string }>(steps: readonly T[], implied: (s: T) => boolean): Merged<T>[] {
  const out: Merged<T>[] = [];
  for (const [i, s] of steps.entries()) {
    const last = out.at(-1);
    const same = last && classOf(last.steps[0]!.kind) === classOf(s.kind) && MERGED.has(classOf(s.kind));
    if (same && implied(last.steps[0]!) === implied(s)) last.steps.push(s);
    else out.push({ steps: [s], first: i });
  }
  return out;
}

/** Which read step is which expected one: the longest run in order, times deciding between like ones. */
function aligned(want: readonly Merged<ExpectedStep>[], got: readonly Merged<ReadStep>[]): (number | null)[] {
  const gain = (w: Merged<ExpectedStep>, g: Merged<ReadStep>): number => {
    if (classOf(w.steps[0]!.kind) !== classOf(g.steps[0]!.kind)) return 0;
    const time = w.steps.find((s) => s.minutes)?.minutes?.value;
    const read = g.steps.find((s) => s.minutes)?.minutes?.value;
    return 1 + (time === read ? 0.4 : 0) + (g.steps[0]!.implied ? 0 : 0.1);
  };
  const best: number[][] = Array.from({ length: want.length + 1 }, () => Array(got.length + 1).fill(0));
  for (let i = want.length - 1; i >= 0; i--)
    for (let j = got.length - 1; j >= 0; j--)
      best[i]![j] = Math.max(
        best[i + 1]![j]!,
        best[i]![j + 1]!,
        gain(want[i]!, got[j]!) ? gain(want[i]!, got[j]!) + best[i + 1]![j + 1]! : 0,
      );
  const out: (number | null)[] = [];
  let j = 0;
  for (let i = 0; i < want.length; i++) {
    while (j < got.length && best[i]![j] === best[i]![j + 1]) j++;
    const take =
      j < got.length &&
      gain(want[i]!, got[j]!) > 0 &&
      best[i]![j]! - (gain(want[i]!, got[j]!) + best[i + 1]![j + 1]!) > -1e-9;
    if (take && best[i]![j]! > best[i + 1]![j]! + 1e-9) {
      out.push(j);
      j++;
    } else out.push(null);
  }
  return out;
}

const near = (a: number, b: number): boolean =>
  Math.abs(a - b) <= 0.03 * Math.max(Math.abs(a), Math.abs(b), 1e-9);

/** Whether an amount was read as it was said: in the same unit, or in another that comes to as much. */
function sameAmount(
  want: ExpectedAmount,
  got: ReadAmount | null,
  line: ReadLine,
  us: boolean,
  tables: Tables,
): boolean {
  if (want.kind === 'none') return got === null || got.kind === 'taste';
  if (want.kind === 'taste') return got?.kind === 'taste';
  if (got?.kind !== 'said') return false;
  if (want.kind === 'few') return got.max !== undefined && got.value >= 2 && got.max <= 7;
  const unit = want.unit ? (UNITS[want.unit]?.[us ? 0 : 1] ?? want.unit) : null;
  const piece = line.itemId ? itemFacts(line.itemId, tables)?.measurable.piece?.id : null;
  const plainUnit = (u: string | null) =>
    u === null ||
    u === piece ||
    u === 'piece' ||
    u === 'seed' ||
    u === 'star' ||
    u === 'leaf' ||
    u === 'clove' ||
    u === 'stalk' ||
    u === 'stick'
      ? null
      : u;
  if (want.how && got.how !== want.how && want.how !== 'good') return false;
  if (plainUnit(unit) === plainUnit(got.unit)) return near(want.value!, got.value);
  try {
    const [a, b] = [unitOf(unit!), unitOf(got.unit!)];
    return a.dimension === b.dimension && near(want.value! * a.factor, got.value * b.factor);
  } catch {
    return false;
  }
}

const nameMatches = (want: string, line: ReadLine): boolean => {
  const words = (t: string) => plain(t).split(/\W+/).map(singular).filter(Boolean);
  const all = words(`${line.name} ${line.part ?? ''} ${line.words}`);
  const synonyms: Record<string, string[]> = {
    zest: ['peel', 'zest', 'skin'],
    peel: ['peel', 'zest', 'skin'],
  };
  return words(want).every((w) => (synonyms[w] ?? [w]).some((s) => all.includes(s)));
};

/** How much of a text was read right. */
export function scoreOf(text: CorpusText, reading: TextReading, tables: Tables): Verdict[] {
  const wants = text.drinks.map(expectedOf);
  const out: Verdict[] = [];
  wants.forEach((want, i) => {
    const got = reading.drinks[i];
    if (!got) out.push({ kind: 'drink', outcome: 'lost', about: `drink ${i + 1}` });
    out.push(...scoreDrink(want, got ?? EMPTY, text.system === 'us', tables));
  });
  for (const extra of reading.drinks.slice(wants.length))
    out.push({ kind: 'drink', outcome: 'wrong', about: `a drink too many: ${extra.title?.words ?? ''}` });
  return out;
}

const EMPTY: ReadDrink = {
  title: null,
  yield: null,
  lines: [],
  steps: [],
  notes: [],
  without: [],
  checks: [],
};

function scoreDrink(want: Expected, got: ReadDrink, us: boolean, tables: Tables): Verdict[] {
  const out: Verdict[] = [];
  const say = (kind: FactKind, right: boolean, seen: boolean, missing: boolean, about: string) =>
    out.push({ kind, outcome: right ? 'right' : seen ? 'unsure' : missing ? 'lost' : 'wrong', about });
  if (want.title) {
    const [a, b] = [plain(want.title), plain(got.title?.words ?? '')];
    say(
      'title',
      b !== '' && (a.includes(b) || b.includes(a)),
      false,
      b === '',
      `${want.title} / ${got.title?.words}`,
    );
  }
  if (want.yield) {
    const y = got.yield;
    const unit = UNITS[want.yield.unit ?? '']?.[us ? 0 : 1] ?? want.yield.unit;
    let right = false;
    if (y) {
      right = near(y.value, want.yield.value!) && y.unit === unit && (want.yield.max ?? 0) === (y.max ?? 0);
      try {
        if (y.litres !== null) right ||= near(y.litres * 1000, want.yield.value! * unitOf(unit!).factor);
      } catch {
        // Bottles: by their number.
      }
    }
    say('yield', right, false, !y, `${JSON.stringify(want.yield)} / ${y?.words}`);
  }
  // Steps.
  const wantSteps = merged(want.steps, () => false);
  const gotSteps = merged(got.steps, (s) => s.implied);
  const match = aligned(wantSteps, gotSteps);
  wantSteps.forEach((w, i) => {
    const g = match[i] === null ? null : gotSteps[match[i]!]!;
    stepFacts(w.steps, g?.steps ?? null, say);
  });
  gotSteps.forEach((g, j) => {
    if (match.includes(j) || g.steps.every((s) => s.implied)) return;
    say(
      'extra',
      false,
      g.steps.some((s) => s.doubts.length > 0),
      false,
      `a step too many: ${g.steps[0]!.kind} “${g.steps[0]!.words}”`,
    );
  });
  const mergedOf = (expectedIndex: number) => wantSteps.findLastIndex((m) => m.first <= expectedIndex);
  // Lines.
  const free = new Set(got.lines);
  const take = (test: (l: ReadLine) => boolean): ReadLine | undefined => {
    for (const l of free)
      if (test(l)) {
        free.delete(l);
        return l;
      }
    return undefined;
  };
  const pairs = want.lines.map((w) => [w, take((l) => !w.unknown && l.itemId === w.item) ?? null] as const);
  const settled = pairs.map(([w, l]): [ExpectedLine, ReadLine | null] => {
    if (l) return [w, l];
    if (w.unknown) return [w, take((r) => r.itemId === null && nameMatches(w.item, r)) ?? null];
    const family = FAMILY_ROWS.find(
      (f) => f.id === w.item || f.forms.some((form) => form.itemId === w.item),
    )!;
    return [w, take((r) => r.familyId === family.id) ?? null];
  });
  for (const [w, l] of settled) {
    const isFamily = FAMILY_ROWS.some((f) => f.id === w.item);
    const doubted = (l?.doubts.filter((d) => d !== 'placeGuessed').length ?? 0) > 0;
    const about = `${w.item}${l ? '' : ' (none)'}`;
    say('item', l !== null, false, l === null, about);
    say(
      'amount',
      l !== null && sameAmount(w.amount, l.amount, l, us, tables),
      doubted,
      l === null || !l.amount,
      `${about} ${JSON.stringify(w.amount)} / ${JSON.stringify(l?.amount)}`,
    );
    if (w.amount.max !== undefined)
      say('range', l !== null && l.amount?.max === w.amount.max, doubted, l === null, `${about} range`);
    if (!isFamily && !w.unknown)
      say('form', l !== null && l.itemId === w.item, doubted, l === null, `${w.item} / ${l?.itemId}`);
    if (w.at.length) {
      const ids = new Set(l?.stepIds ?? []);
      const places = [...ids].map((id) => placeOf(id, got.steps, gotSteps));
      const wanted = [...new Set(w.at.map((a) => match[mergedOf(a)] ?? -1))];
      const right =
        l !== null &&
        wanted.every((p) => places.some((q) => q.includes(p))) &&
        places.every((q) => q.some((p) => wanted.includes(p)));
      say(
        'place',
        right,
        l?.doubts.includes('placeGuessed') ?? false,
        l === null || ids.size === 0,
        `${about} at ${w.at.map((a) => `${a + 1} ${want.steps[a]!.kind}`)} / ${[...ids].map((id) => `${id} ${got.steps.find((s) => s.id === id)?.kind}`)}`,
      );
    }
  }
  for (const l of free)
    say(
      'extra',
      false,
      l.doubts.some(
        (d) => d === 'optional' || d === 'unknownThing' || d === 'noAmount' || d === 'placeGuessed',
      ),
      false,
      `a line too many: ${l.itemId ?? l.name} “${l.words}”`,
    );
  return out;
}

/** The merged step of an id, and the next one where nobody wrote it. */
function placeOf(id: string, steps: readonly ReadStep[], all: readonly Merged<ReadStep>[]): number[] {
  const at = all.findIndex((m) => m.steps.some((s) => s.id === id));
  const places = [at];
  for (let k = at; k < all.length - 1 && all[k]!.steps.every((s) => s.implied); k++) places.push(k + 1);
  // What is put in and cooked at once, told in one breath.
  void steps;
  return places;
}

const LEVEL = (level: string | null | undefined): string | null =>
  level === 'gentle' ? 'simmer' : (level ?? null);

function stepFacts(
  want: readonly ExpectedStep[],
  got: readonly ReadStep[] | null,
  say: (kind: FactKind, right: boolean, seen: boolean, missing: boolean, about: string) => void,
): void {
  const w = Object.assign({}, ...want) as ExpectedStep;
  const passes = want.flatMap((s) => s.passes ?? []);
  const about = want.map((s) => s.kind).join('+');
  const doubted = got?.some((s) => s.doubts.length > 0) ?? false;
  say('step', got !== null, false, true, got ? about : `${about} (none)`);
  const first = <T>(pick: (s: ReadStep) => T | null | undefined): T | null =>
    got?.map(pick).find((v) => v !== null && v !== undefined) ?? null;
  const minutes = first((s) => s.minutes);
  if (w.minutes) {
    const right =
      minutes !== null &&
      near(minutes.value, w.minutes.value) &&
      (w.minutes.max === undefined || minutes.max === w.minutes.max);
    say(
      'time',
      right,
      doubted,
      minutes === null,
      `${about} ${JSON.stringify(w.minutes)} / ${JSON.stringify(minutes)}`,
    );
  } else if (minutes && got)
    say('extra', false, doubted, false, `a time too many: ${about} ${JSON.stringify(minutes)}`);
  const detail = (name: string, value: unknown, read: unknown) => {
    if (value === undefined) return;
    say(
      'detail',
      JSON.stringify(value) === JSON.stringify(read),
      doubted,
      read === null || read === false || read === undefined,
      `${about} ${name} ${JSON.stringify(value)} / ${JSON.stringify(read)}`,
    );
  };
  if (w.tempC !== undefined) {
    const c = first((s) => s.tempC);
    detail('tempC', w.tempC, c === null ? null : Math.round(c));
  }
  detail(
    'times',
    w.times,
    first((s) => s.rinses),
  );
  detail(
    'heatTo',
    w.heatTo,
    first((s) => s.heatTo),
  );
  detail(
    'lid',
    w.lid,
    first((s) => s.lid),
  );
  detail(
    'place',
    w.place,
    first((s) => s.place),
  );
  detail(
    'press',
    w.press,
    first((s) => s.press),
  );
  if (w.level !== undefined) detail('level', LEVEL(w.level), LEVEL(first((s) => s.level)));
  if (passes.length) detail('passes', passes, got?.flatMap((s) => s.passes) ?? null);
  if (w.thrown) detail('thrown', true, got?.some((s) => s.thrown) ?? false);
  if (w.keep) detail('keep', true, got?.some((s) => s.kept) ?? false);
  if (w.cue) detail('cue', true, got?.some((s) => s.cue !== null) ?? false);
}
