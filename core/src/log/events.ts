import * as v from 'valibot';
import { LOT_KINDS } from '../program/lots.ts';
import { METHOD_IDS } from '../program/recipe.ts';
import { SIGNS } from '../tables/checks.ts';
import { CLOSURES, CONTAINER_FORMS, CONTAINER_MATERIALS } from '../tables/containers.ts';
import { LEFTOVER_KINDS, LEFTOVER_USES } from '../tables/leftovers.ts';

/** Ids are made by the client (UUID v7): the same id again is the same event. */
const id = v.pipe(v.string(), v.regex(/^[A-Za-z0-9][A-Za-z0-9_.:-]{0,79}$/, 'id'));
const finite = v.pipe(v.number(), v.finite());
const between = (low: number, high: number) => v.pipe(finite, v.minValue(low), v.maxValue(high));
const text = (max: number) => v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(max));

export const readingSchema = v.variant('what', [
  v.strictObject({ what: v.literal('volume'), volumeL: between(0, 400), atC: between(-5, 105) }),
  v.strictObject({ what: v.literal('level'), levelCm: between(0, 100), atC: between(-5, 105) }),
  v.strictObject({ what: v.literal('mass'), massKg: between(0.001, 500), withVessel: v.boolean() }),
  v.strictObject({ what: v.literal('temperature'), tempC: between(-25, 105) }),
  v.strictObject({ what: v.literal('brix'), brix: between(0, 85) }),
  v.strictObject({
    what: v.literal('pH'),
    pH: between(0.5, 13),
    by: v.picklist(['meter', 'strip']),
    /** Older entries do not say: then the reading is no evidence. */
    calibrated: v.optional(v.boolean()),
    thinned: v.optional(v.boolean()),
  }),
]);

const lineKind = v.picklist(['solid', 'liquid', 'sweetener']);
const axis = v.pipe(v.number(), v.integer(), v.minValue(-2), v.maxValue(2));

/** What stands in the body of each kind of event. A new kind is a new row here and a case in the fold. */
const BODIES = {
  planned: v.strictObject({ litres: between(0, 400), methodId: v.picklist(METHOD_IDS) }),
  stepStarted: v.strictObject({
    stepId: id,
    /** Begun although the plan said that it ends at "throw out": the reasons it gave. */
    risk: v.optional(v.pipe(v.array(text(60)), v.maxLength(4))),
  }),
  stepEnded: v.strictObject({
    stepId: id,
    rinses: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(20))),
  }),
  cueSeen: v.strictObject({ stepId: v.optional(id), clockId: v.optional(id), cue: text(80) }),
  clockStarted: v.strictObject({ clockId: id, label: text(60), minutes: between(0.1, 7 * 24 * 60) }),
  measured: v.strictObject({ stepId: id, vesselId: id, reading: readingSchema }),
  added: v.strictObject({
    stepId: id,
    vesselId: id,
    lineKind,
    itemId: id,
    lineId: id,
    massG: between(0, 200_000),
  }),
  removed: v.strictObject({
    stepId: id,
    vesselId: id,
    volumeL: between(0, 400),
    why: v.picklist(['spill', 'taste', 'other']),
  }),
  skipped: v.strictObject({ stepId: id }),
  flame: v.strictObject({ stepId: id, on: v.boolean() }),
  strainedEarly: v.strictObject({
    stepId: id,
    /** Water for a second boil of what is left in the cloth, L; 0: none. */
    waterL: between(0, 100),
    boilMin: between(1, 180),
  }),
  swapped: v.strictObject({ lineId: id, itemId: id, massG: between(0, 200_000) }),
  tasted: v.strictObject({
    stepId: id,
    axes: v.strictObject({
      sweet: v.optional(axis),
      sour: v.optional(axis),
      strong: v.optional(axis),
      hot: v.optional(axis),
    }),
    atSweetnessPct: between(0, 100),
    /** Older entries do not say. */
    atSourGPerL: v.optional(between(-5, 200)),
  }),
  split: v.strictObject({
    stepId: id,
    /** What stays under the plan as it was, L; next to nothing: all of it is in lots. */
    restL: between(0, 400),
    lots: v.pipe(
      v.array(
        v.strictObject({
          lotId: id,
          kind: v.picklist(LOT_KINDS),
          name: text(60),
          volumeL: between(0.05, 400),
        }),
      ),
      v.minLength(1),
      v.maxLength(12),
    ),
  }),
  bottled: v.strictObject({
    stepId: id,
    hygiene: v.picklist(['clean', 'sterilised']),
    bottles: v.pipe(
      v.array(
        v.strictObject({
          itemId: id,
          sizeId: id,
          name: text(60),
          sizeMl: between(10, 30_000),
          volumeMl: between(1, 30_000),
          diameterCm: between(1, 60),
          /** Older entries do not say: glass, onto the first shelf of the fridge. */
          material: v.optional(v.picklist(CONTAINER_MATERIALS)),
          form: v.optional(v.picklist(CONTAINER_FORMS)),
          closure: v.optional(v.picklist(CLOSURES)),
          placeId: v.optional(id),
          /** Meant for somebody. */
          forWhom: v.optional(text(60)),
        }),
      ),
      v.minLength(1),
      v.maxLength(400),
    ),
  }),
  setAside: v.strictObject({
    stepId: v.optional(id),
    leftovers: v.pipe(
      v.array(
        v.strictObject({
          itemId: id,
          kind: v.picklist(LEFTOVER_KINDS),
          /** What it comes from, by the tables' ids. */
          ingredientIds: v.pipe(v.array(id), v.maxLength(20)),
          massG: between(1, 100_000),
          portions: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100)),
          placeId: id,
        }),
      ),
      v.minLength(1),
      v.maxLength(20),
    ),
  }),
  gifts: v.strictObject({
    occasion: text(60),
    remindNextYear: v.boolean(),
    rows: v.pipe(
      v.array(
        v.strictObject({
          to: text(60),
          count: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(400)),
        }),
      ),
      v.maxLength(60),
    ),
  }),
  moved: v.strictObject({ place: id }),
  vented: v.strictObject({}),
  looked: v.strictObject({ signs: v.pipe(v.array(v.picklist(SIGNS)), v.maxLength(SIGNS.length)) }),
  gaveAway: v.strictObject({ to: text(60) }),
  used: v.strictObject({ massG: between(0, 100_000), use: v.picklist(LEFTOVER_USES) }),
  opened: v.strictObject({}),
  poured: v.strictObject({ volumeMl: between(0, 30_000) }),
  finished: v.strictObject({}),
  discarded: v.strictObject({ why: text(120) }),
  scored: v.strictObject({
    score: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(5)),
    words: v.optional(text(200)),
  }),
  noted: v.strictObject({ text: text(2000), stepId: v.optional(id) }),
  retimed: v.strictObject({ target: id, toMs: between(0, 8.64e15) }),
  undone: v.strictObject({ target: id }),
} as const;

export type EventKind = keyof typeof BODIES;
export const EVENT_KINDS = Object.keys(BODIES) as EventKind[];

const eventOf = <K extends EventKind>(kind: K) =>
  v.strictObject({
    id,
    stream: v.strictObject({ kind: v.picklist(['batch', 'rehearsal', 'item', 'kitchen']), id }),
    kind: v.literal(kind),
    v: v.literal(1),
    atMs: between(0, 8.64e15),
    deviceId: id,
    deviceSeq: v.pipe(v.number(), v.integer(), v.minValue(0)),
    body: BODIES[kind],
  });

export const eventSchema = v.variant('kind', [
  eventOf('planned'),
  eventOf('stepStarted'),
  eventOf('stepEnded'),
  eventOf('cueSeen'),
  eventOf('clockStarted'),
  eventOf('measured'),
  eventOf('added'),
  eventOf('removed'),
  eventOf('skipped'),
  eventOf('flame'),
  eventOf('strainedEarly'),
  eventOf('swapped'),
  eventOf('tasted'),
  eventOf('split'),
  eventOf('bottled'),
  eventOf('setAside'),
  eventOf('gifts'),
  eventOf('moved'),
  eventOf('vented'),
  eventOf('looked'),
  eventOf('gaveAway'),
  eventOf('used'),
  eventOf('opened'),
  eventOf('poured'),
  eventOf('finished'),
  eventOf('discarded'),
  eventOf('scored'),
  eventOf('noted'),
  eventOf('retimed'),
  eventOf('undone'),
]);

/** One entry of an append-only stream. */
export type LogEvent = v.InferOutput<typeof eventSchema>;
export type EventOf<K extends EventKind> = Extract<LogEvent, { kind: K }>;
/** What a screen says happened; id, time and device are put to it where it is sent. */
export type Deed = { [K in EventKind]: { kind: K; body: EventOf<K>['body'] } }[EventKind];

/** The order in which events are folded, whatever order they arrived in. */
export const inLogOrder = (a: Pick<LogEvent, 'atMs' | 'id'>, b: Pick<LogEvent, 'atMs' | 'id'>): number =>
  a.atMs - b.atMs || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);

/**
 * The events that count, in order, with the time that counts: what was undone is left out (undoing an undo brings
 * it back), what was retimed has its new time. An undo reaches only what stands before it.
 */
export function activeEvents(events: readonly LogEvent[]): LogEvent[] {
  const ordered = [...events].sort(inLogOrder);
  const undone = new Set<string>();
  const retimed = new Map<string, number>();
  const before = new Map(ordered.map((e, index) => [e.id, index]));
  // From the newest back: an undo that was itself undone does nothing.
  for (let i = ordered.length - 1; i >= 0; i--) {
    const event = ordered[i]!;
    if (undone.has(event.id)) continue;
    if (event.kind === 'undone' && (before.get(event.body.target) ?? i) < i) undone.add(event.body.target);
    if (event.kind === 'retimed' && !retimed.has(event.body.target))
      retimed.set(event.body.target, event.body.toMs);
  }
  return ordered
    .filter((e) => !undone.has(e.id) && e.kind !== 'undone' && e.kind !== 'retimed')
    .map((e) => (retimed.has(e.id) ? { ...e, atMs: retimed.get(e.id)! } : e))
    .sort(inLogOrder);
}

/** The newest deed that undo would take back; null when there is nothing. */
export function lastUndoable(events: readonly LogEvent[]): LogEvent | null {
  const undone = new Set<string>();
  const ordered = [...events].sort(inLogOrder);
  for (let i = ordered.length - 1; i >= 0; i--) {
    const event = ordered[i]!;
    if (event.kind === 'undone') {
      if (!undone.has(event.id)) undone.add(event.body.target);
      continue;
    }
    if (!undone.has(event.id) && event.kind !== 'planned') return event;
  }
  return null;
}

/**
 * Everything that was said with the same tap as a deed, in order: one tap back takes all of it back. A window numbers
 * its deeds and puts those of one tap a millisecond apart.
 */
export function saidTogether(events: readonly LogEvent[], deed: LogEvent): LogEvent[] {
  const mine = new Map(
    events
      .filter((e) => e.deviceId === deed.deviceId && e.kind !== 'undone')
      .map((e) => [e.deviceSeq, e] as const),
  );
  const together = [deed];
  for (
    let e = mine.get(deed.deviceSeq - 1);
    e && e.atMs === together[0]!.atMs - 1;
    e = mine.get(e.deviceSeq - 1)
  )
    together.unshift(e);
  return together;
}
