import type { EventBody } from '../../log/events/table.ts';
import type { Reading } from '../../program/model/simulation.ts';
import type { Step } from '../../program/model/steps.ts';
import { STAGE_MIN } from '../../program/simulate/exposure.ts';
import { KEEPING } from '../../tables/keeping.ts';
import { type Course, type Extra, judge, vesselOf } from './course.ts';
import { LAW_TABLES, type Planned } from './pool.ts';
import type { Random } from './random.ts';

/** What a cook may say in the middle of a step, readings of every kind among it. */
function anyExtra(course: Course, r: Random): Extra | null {
  const steps = course.program.steps;
  const index = Math.floor(r.next() * steps.length);
  const step = steps[index]!;
  const vesselId = vesselOf(step);
  if (vesselId === 'bowl' || vesselId === '' || vesselId === 'blender') return null;
  const at = r.next();
  const body = { stepId: step.id, vesselId };
  const reading = r.pick<Reading>([
    { what: 'temperature', tempC: r.between(4, 99) },
    { what: 'brix', brix: r.between(1, 14) },
    { what: 'pH', pH: r.between(2.6, 5), by: 'meter', calibrated: r.chance(0.5) },
    { what: 'pH', pH: r.between(2.6, 5), by: 'strip', thinned: r.chance(0.5) },
  ]);
  const deed = r.pick<EventBody>([
    { kind: 'measured', body: { ...body, reading } },
    { kind: 'measured', body: { ...body, reading } },
    {
      kind: 'added',
      body: {
        ...body,
        lineKind: 'liquid',
        itemId: r.pick(['water', 'lemon-juice', 'coconut-milk-fresh', 'spirit-40', 'cider-vinegar']),
        lineId: `extra-${index}-${Math.round(at * 1e6)}`,
        massG: r.between(20, 600),
      },
    },
    { kind: 'removed', body: { ...body, volumeL: 0.05, why: 'taste' } },
    ...(step.kind === 'boil' || step.kind === 'heat'
      ? [{ kind: 'flame' as const, body: { stepId: step.id, on: false } }]
      : []),
  ]);
  return { step: index, at, deed, undone: r.chance(0.15) };
}

/** A random course along a program: times, gaps, what is skipped and said, and what the bottle lives through. */
export function courseOf(planned: Planned, r: Random): Course {
  const { program, kitchen } = planned;
  const lengths = planned.lengths.map((m) =>
    r.chance(0.3) ? Math.max(0.5, m * r.between(0.5, 1.8)) : Math.max(0.5, m),
  );
  const gaps = planned.lengths.map((_, i) => (i > 0 && r.chance(0.15) ? r.between(1, 70) : 0));
  const skipped = program.steps.map(
    (s) =>
      r.chance(0.04) && !['combine', 'strain', 'bottle', 'mix', 'blend', 'juice', 'split'].includes(s.kind),
  );
  const course: Course = {
    program,
    kitchen,
    tables: LAW_TABLES,
    lengths,
    gaps,
    skipped,
    extras: [],
    hygiene: r.chance(0.7) ? 'sterilised' : 'clean',
    bottle: {
      volumeMl: r.between(250, 3000),
      diameterCm: r.between(6, 14),
      hotTogether: r.chance(0.3) ? 8 : 1,
    },
    stays: staysOf(r),
    openedH: r.chance(0.2) ? r.between(0, 60) : null,
    checkH: r.between(0, 90),
  };
  const extras = Array.from({ length: Math.floor(r.next() * 3) }, () => anyExtra(course, r)).filter(
    (e): e is Extra => e !== null,
  );
  // A flame that goes out comes back.
  const back = extras.flatMap((e): Extra[] =>
    e.deed.kind === 'flame'
      ? [{ ...e, at: e.at + (1 - e.at) * 0.5, deed: { kind: 'flame', body: { ...e.deed.body, on: true } } }]
      : [],
  );
  return { ...course, extras: [...extras, ...back] };
}

function staysOf(r: Random): Course['stays'] {
  const fridge = (hours: number) => ({ place: 'fridge', hours });
  if (r.chance(0.5)) return [fridge(1000)];
  if (r.chance(0.2)) return [{ place: 'counter', hours: r.between(0.2, 12) }, fridge(1000)];
  if (r.chance(0.2))
    return [fridge(r.between(2, 40)), { place: 'freezer', hours: r.between(5, 60) }, fridge(1000)];
  return [fridge(r.between(2, 40)), { place: 'counter', hours: r.between(0.2, 6) }, fridge(1000)];
}

/** Steps in which something may stand warm, and so come near a limit. */
const STANDS: ReadonlySet<Step['kind']> = new Set(['soak', 'steep', 'cool', 'mix', 'bottle']);

/** The same course with one step stretched until a tally of it lies near its limit. */
export function nearLimit(course: Course, r: Random): Course {
  const found = judge(course);
  if (!found) return course;
  const { unsafeMin, from60To21Min } = found.liquor.cooling;
  const acid = found.keeping.acid.shown;
  const limits = [
    [unsafeMin, KEEPING.warmSteepH * 60],
    [
      from60To21Min,
      acid ? r.pick([KEEPING.slowCoolingH.free, KEEPING.slowCoolingH.oneDay]) * 60 : STAGE_MIN.first,
    ],
  ] as const;
  const [has, limit] = r.pick(limits);
  const wants = limit * r.between(0.9, 0.999) - has;
  const steps = course.program.steps.flatMap((s, i) => (STANDS.has(s.kind) && !course.skipped[i] ? [i] : []));
  if (wants < 2 || steps.length === 0) return course;
  const at = r.pick(steps);
  return { ...course, lengths: course.lengths.map((m, i) => (i === at ? m + wants : m)) };
}
