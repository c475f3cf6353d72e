import { type Kitchen, USUAL_PLACES } from '../../documents/kitchen.ts';
import type { EventBody, LogEvent } from '../../log/events/table.ts';
import { foldBatch } from '../../log/foldBatch.ts';
import { FIRST_PLACE, freshItem } from '../../log/foldItem.ts';
import type { ItemLog } from '../../log/itemLog.ts';
import type { Liquor } from '../../program/model/liquor.ts';
import type { PlannedProgram } from '../../program/model/program.ts';
import type { Step } from '../../program/model/steps.ts';
import { simulateBatch } from '../../program/simulate/simulate.ts';
import type { Tables } from '../../tables/types.ts';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../../units/time.ts';
import { bottleOf, fillingOf } from '../bottled.ts';
import { integrate } from '../integrate.ts';
import type { CoolingSoFar, Keeping } from '../shelfLife.ts';
import { type BottleLife, coolingOf, lifeOf } from '../spoilage.ts';
import { surroundingsOf } from '../storageClimate.ts';

/** Something said in the middle of a step. */
export interface Extra {
  step: number;
  /** Where in the step, 0 to 1. */
  at: number;
  deed: EventBody;
  /** Said and taken back again. */
  undone?: boolean;
}

/** One whole course of a batch and of one of its bottles: what was done, when, and where it stood. */
export interface Course {
  program: PlannedProgram;
  kitchen: Kitchen;
  tables: Tables;
  /** Minutes that each step lasted, and that went by before it. */
  lengths: readonly number[];
  gaps: readonly number[];
  skipped: readonly boolean[];
  extras: readonly Extra[];
  hygiene: 'clean' | 'sterilised';
  bottle: { volumeMl: number; diameterCm: number; hotTogether: number };
  /** Where the bottle stood, each for so many hours; the last up to the end. */
  stays: readonly { place: string; hours: number }[];
  openedH: number | null;
  /** When it is asked about, hours after the filling. */
  checkH: number;
}

/** The vessel in which a step's liquor is while it lasts. */
export const vesselOf = (step: Step): string => step.from[0] ?? step.to[0] ?? '';

const T0 = Date.UTC(2026, 10, 24, 8);

/** The log of a course, as a kitchen would have written it. */
export function eventsOf(course: Course): LogEvent[] {
  const events: LogEvent[] = [];
  const say = (deed: EventBody, atMin: number): string => {
    const id = `e${events.length}`;
    events.push({
      id,
      stream: { kind: 'batch', id: 'b' },
      v: 1,
      atMs: T0 + atMin * MINUTE_MS + events.length * 1e-3,
      deviceId: 'd',
      deviceSeq: events.length,
      ...deed,
    } as LogEvent);
    return id;
  };
  let atMin = 0;
  for (const [i, step] of course.program.steps.entries()) {
    atMin += course.gaps[i]!;
    if (i === 0 || course.gaps[i]! > 0) say({ kind: 'stepStarted', body: { stepId: step.id } }, atMin);
    const length = course.lengths[i]!;
    for (const extra of course.extras.filter((e) => e.step === i)) {
      const id = say(extra.deed, atMin + extra.at * length);
      if (extra.undone) say({ kind: 'undone', body: { target: id } }, atMin + extra.at * length);
    }
    atMin += length;
    say({ kind: course.skipped[i] ? 'skipped' : 'stepEnded', body: { stepId: step.id } }, atMin);
  }
  return events;
}

export interface Judged {
  liquor: Liquor;
  keeping: Keeping;
  life: BottleLife;
  /** Of its life at the filling, ms: what is compared, for courses may be of different lengths. */
  leftMs: number;
  /** Its whole cooling, from the pot to the end of what the bottle goes through. */
  wholeCooling: () => CoolingSoFar;
}

function itemLogOf(course: Course, filledMs: number): ItemLog {
  let atMs = filledMs;
  const places = course.stays.map(({ place, hours }) => {
    const stay = { place, fromMs: atMs };
    atMs += hours * HOUR_MS;
    return stay;
  });
  return {
    ...freshItem(filledMs, places[0]?.place ?? FIRST_PLACE),
    places: places.length ? places : [{ place: FIRST_PLACE, fromMs: filledMs }],
    openedMs: course.openedH === null ? null : filledMs + course.openedH * HOUR_MS,
  };
}

/** What becomes of a course; null where it cannot be followed. */
export function judge(course: Course): Judged | null {
  const log = foldBatch(course.program, eventsOf(course));
  const sim = simulateBatch(log.program, course.kitchen, course.tables, {
    actuals: log.actuals,
    detail: 'lean',
  });
  const liquor = sim.vessels.bottles?.liquor;
  if (sim.problem || !liquor || liquor.origins.length === 0) return null;
  const filledMs = T0 + sim.endMin * MINUTE_MS;
  const filling = fillingOf(liquor, course.hygiene, T0, filledMs);
  const around = surroundingsOf({ ...course.kitchen, places: USUAL_PLACES }, null);
  const bottle = bottleOf(filling, course.bottle, course.bottle.hotTogether);
  const item = itemLogOf(course, filledMs);
  const endMs = filledMs + course.checkH * HOUR_MS;
  const life = lifeOf(bottle, item, around, endMs);
  const wholeCooling = (): CoolingSoFar =>
    coolingOf(
      bottle,
      integrate(bottle, item, around, 7 * DAY_MS, endMs).ahead(Number.POSITIVE_INFINITY).spent,
    );
  return { liquor, keeping: filling.keeping, life, leftMs: life.deadlineMs - filledMs, wholeCooling };
}

const RANKS: readonly BottleLife['verdict'][] = ['good', 'drinkToday', 'past', 'throwOut'];
export const rankOf = (judged: Judged): number => RANKS.indexOf(judged.life.verdict);
