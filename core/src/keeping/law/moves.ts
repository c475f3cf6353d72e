import type { EventBody } from '../../log/events/table.ts';
import type { Reading } from '../../program/model/simulation.ts';
import type { Step } from '../../program/model/steps.ts';
import type { IngredientRow, Tables } from '../../tables/types.ts';
import { type Course, type Extra, vesselOf } from './course.ts';
import { MILD_RAW, PLAIN, PLAIN_ACID } from './pool.ts';
import type { Random } from './random.ts';

/** Two courses, the second riskier than the first in one way. */
export interface Pair {
  name: string;
  safer: Course;
  riskier: Course;
  /**
   * The move changes what is drawn, washed out or steamed off: both take the worse evidence of acid. Or it cuts a path in
   * the pot into other pieces.
   */
  draws: boolean;
  /** What is left out or cut short is a heating. */
  heats?: boolean;
  /** That heating is an open one: without it the lid stays on, and it stays hot for longer. */
  opens?: boolean;
  /** A reading is moved. */
  reads?: boolean;
  /** It waits longer before it is filled. */
  waits?: boolean;
}

type Move = (course: Course, r: Random) => Omit<Pair, 'name'> | null;

const PROTECTS: ReadonlySet<Step['kind']> = new Set(['heat', 'boil', 'cool', 'wash']);
const HEATS: ReadonlySet<Step['kind']> = new Set(['heat', 'boil']);
/** Steps in which something is drawn, and how long hardly anything is yet, minutes. */
const DRAWS: ReadonlySet<Step['kind']> = new Set(['heat', 'boil', 'steep', 'soak']);
const FIRST_MIN = 2;
const ON_TABLE: ReadonlySet<Step['kind']> = new Set(['mix', 'sweeten', 'bottle']);
const withAt = <T>(list: readonly T[], index: number, value: T): T[] =>
  list.map((v, i) => (i === index ? value : v));

const stepsOf = (course: Course, wanted: (step: Step, index: number) => boolean): number[] =>
  course.program.steps.flatMap((s, i) => (wanted(s, i) && !course.skipped[i] ? [i] : []));

/** A cooling between two fills protects nothing where the next one is poured in hot: the whole stays above 60 °C. */
const protects = (course: Course, index: number): boolean => {
  const step = course.program.steps[index]!;
  if (!PROTECTS.has(step.kind)) return false;
  return (
    step.kind !== 'cool' ||
    course.program.steps.every((s, i) => i <= index || s.kind !== 'strain' || s.to[0] !== step.to[0])
  );
};

const heatingOf = (step: Step): Pick<Pair, 'heats' | 'opens'> => ({
  heats: HEATS.has(step.kind),
  opens: step.kind === 'boil' && step.lid !== 'on',
});

const isWet = (step: Step): boolean => vesselOf(step) !== 'bowl' && vesselOf(step) !== '';

const added = (course: Course, step: number, at: number, itemId: string, massG: number): Extra => ({
  step,
  at,
  deed: {
    kind: 'added',
    body: {
      stepId: course.program.steps[step]!.id,
      vesselId: vesselOf(course.program.steps[step]!),
      lineKind: 'liquid',
      itemId,
      lineId: `x-${step}-${Math.round(at * 1000)}-${itemId}`,
      massG,
    },
  },
});
const withExtras = (course: Course, ...extras: Extra[]): Course => ({
  ...course,
  extras: [...course.extras, ...extras],
});
const read = (course: Course, step: number, at: number, reading: Reading): Extra => ({
  step,
  at,
  deed: {
    kind: 'measured',
    body: {
      stepId: course.program.steps[step]!.id,
      vesselId: vesselOf(course.program.steps[step]!),
      reading,
    },
  } as EventBody,
});
const readsPh = (e: Extra): boolean => e.deed.kind === 'measured' && e.deed.body.reading.what === 'pH';
/** Without pH readings: the same figure read in a drink of another acidity would not be the same reading. */
const unread = (course: Course): Course => ({ ...course, extras: course.extras.filter((e) => !readsPh(e)) });
const strained = (course: Course): number => course.program.steps.findLastIndex((s) => s.kind === 'strain');
const last = (course: Course): number => course.program.steps.length - 1;

/** Rows of the tables with something else in them. */
const withRows = (course: Course, change: (row: IngredientRow) => IngredientRow): Course => {
  const used = new Set(course.program.lines.map((l) => l.itemId));
  const ingredients = new Map(course.tables.ingredients);
  for (const id of used) {
    const row = ingredients.get(id);
    if (row) ingredients.set(id, change(row));
  }
  return { ...course, tables: { ...course.tables, ingredients } satisfies Tables };
};

/** How often each is tried, where it is not twice: those that nearly always decide something more often. */
export const WEIGHTS: Readonly<Record<string, number>> = {
  'a protective step skipped': 5,
  'warm hours more before the bottles': 10,
  'acid that is not raw left out': 3,
  'acid that is not raw later': 1,
  'a part that is raw and not acid more': 1,
  'a part with less acid': 1,
  'a part with more alkali': 2,
  'a warmer fridge': 7,
  'a reading before what came after it': 4,
  'a reading with a greater error': 1,
  'something unknown for something known': 4,
  'a question that nobody answered': 1,
  'longer on the table': 14,
  'opened earlier': 1,
};

/** A step that lasts longer; what was said in it was said at the same moment. */
function lengthened(course: Course, at: number, more: number): Course {
  const before = course.lengths[at]!;
  return {
    ...course,
    lengths: withAt(course.lengths, at, before + more),
    extras: course.extras.map((e) => (e.step === at ? { ...e, at: (e.at * before) / (before + more) } : e)),
  };
}

export const MOVES: Record<string, Move> = {
  'a protective step skipped': (course, r) => {
    const at = r.pick(stepsOf(course, (_, i) => i > 0 && protects(course, i)));
    if (at === undefined) return null;
    return {
      safer: course,
      riskier: { ...course, skipped: withAt(course.skipped, at, true) },
      draws: true,
      ...heatingOf(course.program.steps[at]!),
    };
  },
  'a protective step shortened': (course, r) => {
    const at = r.pick(stepsOf(course, (_, i) => i > 0 && i < last(course) && protects(course, i)));
    if (at === undefined) return null;
    const length = course.lengths[at]!;
    const cut = length * r.between(0.2, 0.95);
    const quiet = { ...course, extras: course.extras.filter((e) => e.step !== at) };
    // A heating begins later and ends when it did: else it would stand hot for the minutes it was not heated.
    const gapAt = course.program.steps[at]!.kind === 'heat' ? at : at + 1;
    return {
      safer: quiet,
      riskier: {
        ...quiet,
        lengths: withAt(course.lengths, at, length - cut),
        gaps: withAt(course.gaps, gapAt, course.gaps[gapAt]! + cut),
      },
      draws: true,
      ...heatingOf(course.program.steps[at]!),
    };
  },
  'warm hours more before the bottles': (course, r) => {
    // On the table after the straining, where nothing is drawn any more.
    const from = strained(course);
    if (from < 0) return null;
    const at = r.pick(stepsOf(course, (s, i) => i > from && ON_TABLE.has(s.kind)));
    if (at === undefined) return null;
    return {
      safer: course,
      riskier: lengthened(course, at, r.between(20, 300)),
      draws: false,
      waits: true,
    };
  },
  'a raw hour more before the heat': (course, r) => {
    const heat = course.program.steps.findIndex((s) => s.kind === 'heat');
    const at = r.pick(
      stepsOf(course, (s, i) => i > 0 && (heat < 0 || i <= heat) && s.kind !== 'cool' && s.kind !== 'strain'),
    );
    if (at === undefined) return null;
    return {
      safer: course,
      riskier: { ...course, gaps: withAt(course.gaps, at, course.gaps[at]! + r.between(20, 300)) },
      draws: true,
    };
  },
  'acid that is not raw left out': (course, r) => {
    const lines = course.program.lines.filter((l) => l.itemId === PLAIN_ACID);
    const line = lines.length ? r.pick(lines) : undefined;
    if (!line) return null;
    const swapped = course.program.lines.map((l) => (l === line ? { ...l, itemId: PLAIN } : l));
    return {
      safer: unread(course),
      riskier: { ...unread(course), program: { ...course.program, lines: swapped } },
      draws: false,
    };
  },
  'acid that is not raw later': (course, r) => {
    const at = r.pick(stepsOf(course, (s, i) => i > 0 && isWet(s) && i < last(course)));
    if (at === undefined) return null;
    const grams = r.between(100, 900);
    const [early, late] = [r.between(0, 0.4), r.between(0.5, 1)];
    const of = (first: string, second: string) =>
      withExtras(
        unread(course),
        added(course, at, early, first, grams),
        added(course, at, late, second, grams),
      );
    return { safer: of(PLAIN_ACID, PLAIN), riskier: of(PLAIN, PLAIN_ACID), draws: false };
  },
  'a part that is raw and not acid more': (course, r) => {
    // After the last heating: what is heated is not raw.
    const heated = course.program.steps.findLastIndex((s) => HEATS.has(s.kind));
    const at = r.pick(stepsOf(course, (s, i) => i > heated && isWet(s)));
    if (at === undefined) return null;
    const grams = r.between(50, 900);
    const when = r.next();
    return {
      safer: withExtras(unread(course), added(course, at, when, 'water', grams)),
      riskier: withExtras(unread(course), added(course, at, when, MILD_RAW, grams)),
      draws: false,
    };
  },
  'a part with more alkali': (course, r) => {
    const more = r.between(1.2, 6);
    return {
      safer: unread(course),
      riskier: withRows(unread(course), (row) => ({ ...row, alkaliMeqPerKg: row.alkaliMeqPerKg * more })),
      draws: false,
    };
  },
  'a part with less acid': (course, r) => {
    const less = r.between(0, 0.9);
    return {
      safer: unread(course),
      riskier: withRows(unread(course), (row) => ({ ...row, acidPct: row.acidPct * less })),
      draws: false,
    };
  },
  'bottles only clean': (course) => ({
    safer: { ...course, hygiene: 'sterilised' },
    riskier: { ...course, hygiene: 'clean' },
    draws: false,
  }),
  'a warmer fridge': (course, r) => ({
    safer: course,
    riskier: {
      ...course,
      kitchen: { ...course.kitchen, fridgeC: course.kitchen.fridgeC + r.between(0.5, 6) },
    },
    draws: true,
  }),
  'spirit before a boil that both have': (course, r) => {
    const boil = r.pick(stepsOf(course, (s) => s.kind === 'boil'));
    if (boil === undefined) return null;
    const grams = course.tables.liquids.get('water')!.densityGPerMl * r.between(500, 4000);
    const [before, after] = [0.01, 0.99];
    return {
      safer: withExtras(
        course,
        added(course, boil, before, 'water', grams),
        added(course, boil, after, 'spirit-63', grams),
      ),
      riskier: withExtras(
        course,
        added(course, boil, before, 'spirit-63', grams),
        added(course, boil, after, 'water', grams),
      ),
      draws: true,
    };
  },
  'a reading before what came after it': (course, r) => {
    const at = last(course);
    if (course.program.steps[at]!.kind !== 'bottle' || course.lengths[at]! < 1) return null;
    const reading: Reading = { what: 'pH', pH: r.between(2.9, 4.2), by: 'meter', calibrated: true };
    const grams = r.between(20, 300);
    const poured = added(course, at, 0.5, r.pick(['water', MILD_RAW]), grams);
    return {
      // Just before and just after: the minutes in which a reading counts are as good as the same.
      safer: withExtras(course, poured, read(course, at, 0.5001, reading)),
      riskier: withExtras(course, read(course, at, 0.4999, reading), poured),
      draws: false,
      reads: true,
    };
  },
  'a reading before the draw': (course, r) => {
    // At the very beginning of what draws: later all may be drawn, and it is the same evidence, only earlier.
    const [first] = stepsOf(course, (s) => DRAWS.has(s.kind));
    const at = last(course);
    if (first === undefined || course.lengths[first]! < 1 || course.lengths[at]! < 1) return null;
    const when = Math.min(0.9, FIRST_MIN / course.lengths[first]!) * r.next();
    const reading: Reading = { what: 'pH', pH: r.between(2.9, 4.2), by: 'meter', calibrated: true };
    return {
      safer: withExtras(course, read(course, at, 0.8, reading)),
      riskier: withExtras(course, read(course, first, when, reading)),
      draws: true,
      reads: true,
    };
  },
  'a reading with a greater error': (course, r) => {
    const at = r.pick(stepsOf(course, (s, i) => i > 0 && isWet(s)));
    if (at === undefined) return null;
    const meter = r.chance(0.6);
    const pH = r.between(2.9, meter ? 4.2 : 3.8);
    const reading = (good: boolean): Reading =>
      meter
        ? { what: 'pH', pH, by: 'meter', calibrated: good }
        : { what: 'pH', pH, by: 'strip', thinned: good };
    const when = r.next();
    return {
      safer: withExtras(course, read(course, at, when, reading(true))),
      riskier: withExtras(course, read(course, at, when, reading(false))),
      draws: false,
    };
  },
  'something unknown for something known': (course) => ({
    safer: course,
    riskier: withRows(course, (row) => ({ ...row, unknown: true })),
    draws: false,
  }),
  'a question that nobody answered': (course, r) => {
    const question = r.pick(['milk', 'garlic', 'live'] as const);
    const denied = (row: IngredientRow) =>
      row.traits.filter((t) => t !== 'milk' && t !== 'garlic' && t !== 'live');
    return {
      safer: withRows(course, (row) => ({ ...row, unknown: true, traits: denied(row) })),
      riskier: withRows(course, (row) => ({ ...row, unknown: true, traits: [...denied(row), question] })),
      draws: false,
    };
  },
  'longer on the table': (course, r) => {
    const at = course.stays.findIndex((s) => s.place === 'counter');
    if (at < 0) return null;
    const more = r.between(0.2, 5);
    const next = course.stays[at + 1];
    // As much less where it stood after that: everything else is at its own hour.
    const stays = course.stays.map((s, i) =>
      i === at
        ? { ...s, hours: s.hours + more }
        : i === at + 1 && next
          ? { ...s, hours: Math.max(0, s.hours - more) }
          : s,
    );
    return { safer: course, riskier: { ...course, stays }, draws: false };
  },
  'opened earlier': (course, r) => ({
    safer: course,
    riskier: { ...course, openedH: Math.min(course.openedH ?? 90, r.between(0, 30)) },
    draws: false,
  }),
  'a larger hot bottle, more of them together': (course) => ({
    safer: { ...course, bottle: { ...course.bottle, hotTogether: 1 } },
    riskier: { ...course, bottle: { ...course.bottle, hotTogether: 8 } },
    draws: false,
  }),
};
