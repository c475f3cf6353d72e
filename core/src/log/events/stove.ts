import * as v from 'valibot';
import { METHOD_IDS } from '../../documents/recipe.ts';
import { between, code, id, list, name, whole } from '../../units/fields.ts';
import { MINUTE_MS } from '../../units/time.ts';
import { nextStraining, withEarlyStraining, withLots, withSwap } from '../effectiveProgram.ts';
import * as body from './bodies.ts';
import { atStove } from './row.ts';

/** What the lists of batches and the shelf show follows from nearly everything that happens to a drink. */
const ALL = ['batches', 'items'] as const;
/** Where a step begins or ends, or a thing goes in that is pinned with it, the batch itself is another. */
const BATCH_TOO = ['batch', ...ALL] as const;

/** How the steps went. */
const steps = {
  stepStarted: atStove({
    body: v.strictObject({
      stepId: id,
      /** Begun although the plan said that it ends at "throw out": the reasons it gave. */
      risk: v.optional(list(name(60), 4)),
    }),
    touches: BATCH_TOO,
    drinkFeels: true,
    program: null,
    fold: (draft, { id: by, atMs, body: { stepId } }) => {
      if (draft.known.has(stepId)) draft.started.set(stepId, { atMs, by });
    },
  }),
  stepEnded: atStove({
    body: v.strictObject({
      stepId: id,
      rinses: v.optional(whole(0, 20)),
      /** It was written down afterwards: when it ended is what the model says of it. */
      untimed: v.optional(v.literal(true)),
    }),
    touches: BATCH_TOO,
    drinkFeels: true,
    program: null,
    fold: (draft, { id: by, atMs, body: { stepId, rinses, untimed } }) => {
      if (!draft.known.has(stepId)) return;
      if (untimed) draft.untimed.add(by);
      if (draft.ended.has(stepId)) draft.doubled.push(by);
      else draft.ended.set(stepId, { atMs, by, rinses });
    },
  }),
  skipped: atStove({
    body: v.strictObject({ stepId: id }),
    touches: BATCH_TOO,
    drinkFeels: true,
    program: null,
    fold: (draft, { id: by, atMs, body: { stepId } }) => {
      if (draft.known.has(stepId)) draft.skipped.set(stepId, { atMs, by });
    },
  }),
  strainedEarly: atStove({
    body: body.strainedEarly,
    touches: BATCH_TOO,
    drinkFeels: true,
    program: withEarlyStraining,
    fold: (draft, { id: by, atMs, body: { stepId } }) => {
      if (!draft.known.has(stepId)) return;
      if (!draft.ended.has(stepId)) draft.ended.set(stepId, { atMs, by, rinses: undefined });
      for (const left of nextStraining(draft.program, stepId)?.between ?? [])
        draft.skipped.set(left.id, { atMs, by });
    },
  }),
  flame: atStove({
    body: body.flame,
    touches: ALL,
    drinkFeels: true,
    program: null,
    fold: (draft, entry) => draft.flames.push(entry),
  }),
  cueSeen: atStove({
    body: v.strictObject({ stepId: v.optional(id), clockId: v.optional(id), cue: name(80) }),
    touches: ['batches'],
    drinkFeels: false,
    program: null,
    fold: (draft, { atMs, body: { stepId, clockId, cue } }) => {
      if (clockId) draft.clocks.delete(clockId);
      if (stepId) draft.cues.push({ stepId, cue, atMs });
    },
  }),
  clockStarted: atStove({
    body: v.pipe(
      v.strictObject({
        clockId: id,
        /** What it is for: the cook's own words, or a code and the things it is about. */
        label: v.optional(name(60)),
        code: v.optional(code),
        itemIds: v.optional(list(id, 20)),
        minutes: between(0.1, 7 * 24 * 60),
      }),
      v.check(({ label, code }) => label !== undefined || code !== undefined, 'name'),
    ),
    touches: [],
    drinkFeels: false,
    program: null,
    fold: (draft, { atMs, body: { clockId, label, code, itemIds, minutes } }) =>
      draft.clocks.set(clockId, {
        id: clockId,
        said: { label: label ?? null, code: code ?? null, itemIds: itemIds ?? [] },
        startMs: atMs,
        endMs: atMs + minutes * MINUTE_MS,
      }),
  }),
} as const;

/** What went in, came out, was read and was tasted. */
const axis = whole(-2, 2);
const contents = {
  measured: atStove({
    body: body.measured,
    touches: ALL,
    drinkFeels: true,
    program: null,
    fold: (draft, entry) => draft.measured.push(entry),
  }),
  added: atStove({
    body: body.added,
    touches: BATCH_TOO,
    drinkFeels: true,
    program: null,
    fold: (draft, entry) => draft.added.push(entry),
  }),
  removed: atStove({
    body: body.removed,
    touches: ALL,
    drinkFeels: true,
    program: null,
    fold: (draft, entry) => draft.removed.push(entry),
  }),
  swapped: atStove({
    body: body.swapped,
    touches: BATCH_TOO,
    drinkFeels: true,
    program: withSwap,
    fold: null,
  }),
  tasted: atStove({
    body: v.strictObject({
      stepId: id,
      axes: v.strictObject({
        sweet: v.optional(axis),
        sour: v.optional(axis),
        strong: v.optional(axis),
        hot: v.optional(axis),
        /** Tasted before any sugar, beside other years. */
        crop: v.optional(axis),
      }),
      atSweetnessPct: between(0, 100),
      /** Older entries do not say. */
      atSourGPerL: v.optional(between(-5, 200)),
    }),
    touches: ALL,
    drinkFeels: true,
    program: null,
    fold: (draft, { id: eventId, body: { stepId, axes, atSweetnessPct, atSourGPerL } }) =>
      draft.tastes.push({ stepId, eventId, ...axes, atSweetnessPct, atSourGPerL }),
  }),
  split: atStove({
    body: body.split,
    touches: ALL,
    drinkFeels: true,
    program: withLots,
    fold: (draft, { body: { stepId, lots } }) => {
      if (draft.known.has(stepId))
        draft.lots.push(...lots.filter((lot) => draft.lots.every((other) => other.lotId !== lot.lotId)));
    },
  }),
} as const;

/** What became of it, and what was said of it. */
const ends = {
  planned: atStove({
    body: v.strictObject({ litres: between(0, 400), methodId: v.picklist(METHOD_IDS) }),
    touches: [],
    undo: { not: 'a plan that was begun is ended, not taken back' },
    drinkFeels: false,
    program: null,
    fold: null,
  }),
  bottled: atStove({
    body: body.bottled,
    touches: [...ALL, 'gifts'],
    drinkFeels: true,
    program: null,
    fold: (draft, { id: eventId, atMs, body: { stepId, hygiene, bottles } }) =>
      draft.bottled.push({ eventId, atMs, stepId, hygiene, bottles }),
  }),
  stopped: atStove({
    body: body.stopped,
    touches: [...BATCH_TOO, 'gifts'],
    drinkFeels: false,
    program: null,
    fold: (draft, entry) => {
      draft.stopped ??= entry;
    },
  }),
  setAside: atStove({
    body: body.setAside,
    touches: ['items'],
    drinkFeels: false,
    program: null,
    fold: (draft, entry) => draft.setAside.push(entry),
  }),
  gifts: atStove({
    body: body.gifts,
    touches: ['batches', 'gifts'],
    drinkFeels: false,
    program: null,
    fold: (draft, entry) => {
      draft.gifts = entry.body;
    },
  }),
  fromPurchase: atStove({
    body: body.fromPurchase,
    touches: ['purchases'],
    drinkFeels: false,
    program: null,
    fold: (draft, entry) => draft.purchases.push(entry),
  }),
  scored: atStove({
    body: body.scored,
    touches: ['batches'],
    drinkFeels: false,
    program: null,
    fold: (draft, entry) => {
      draft.score = entry.body;
    },
  }),
  noted: atStove({
    body: body.noted,
    touches: [],
    drinkFeels: false,
    program: null,
    fold: (draft, entry) => draft.notes.push(entry),
  }),
} as const;

export const STOVE_EVENTS = { ...steps, ...contents, ...ends } as const;
