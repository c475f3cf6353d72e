import * as v from 'valibot';
import { SIGNS } from '../../tables/checks.ts';
import { LEFTOVER_USES } from '../../tables/leftovers.ts';
import { between, code, id, list, name } from '../../units/fields.ts';
import { ofItem } from './row.ts';

/** Where things stand and how long they last is told by the shelf alone. */
const touches = ['items'] as const;

/** What happens to a bottle, jar, bag or leftover after it was put by. */
export const ITEM_EVENTS = {
  moved: ofItem({
    body: v.strictObject({ place: id }),
    touches,
    fold: (log, { atMs, body: { place } }) =>
      atMs < log.places[0]!.fromMs ? log : { ...log, places: [...log.places, { place, fromMs: atMs }] },
  }),
  vented: ofItem({
    body: v.strictObject({}),
    touches,
    fold: (log, { atMs }) => ({ ...log, ventedMs: atMs }),
  }),
  looked: ofItem({
    body: v.strictObject({ signs: list(v.picklist(SIGNS), SIGNS.length) }),
    touches,
    fold: (log, { atMs, body: { signs } }) => ({ ...log, looks: [...log.looks, { atMs, signs }] }),
  }),
  gaveAway: ofItem({
    body: v.strictObject({ to: name(60) }),
    touches,
    fold: (log, { atMs, body: { to } }) => ({ ...log, given: { atMs, to } }),
  }),
  used: ofItem({
    body: v.strictObject({ massG: between(0, 100_000), use: v.picklist(LEFTOVER_USES) }),
    touches,
    fold: (log, { atMs, body: { massG, use } }) => ({ ...log, used: [...log.used, { atMs, massG, use }] }),
  }),
  opened: ofItem({
    body: v.strictObject({}),
    touches,
    fold: (log, { atMs }) => ({ ...log, openedMs: log.openedMs ?? atMs }),
  }),
  poured: ofItem({
    body: v.strictObject({ volumeMl: between(0, 30_000) }),
    touches,
    fold: (log, { atMs, body: { volumeMl } }) => ({
      ...log,
      openedMs: log.openedMs ?? atMs,
      pouredMl: log.pouredMl + volumeMl,
    }),
  }),
  finished: ofItem({
    body: v.strictObject({}),
    touches,
    fold: (log, { atMs }) => ({ ...log, finishedMs: atMs }),
  }),
  discarded: ofItem({
    body: v.pipe(
      v.strictObject({
        /** The cook's own words, or the codes of what was seen or tapped. */
        why: v.optional(name(120)),
        codes: v.optional(list(code, 12, 1)),
      }),
      v.check(({ why, codes }) => why !== undefined || codes !== undefined, 'name'),
    ),
    touches,
    fold: (log, { atMs, body: { why, codes } }) => ({
      ...log,
      discarded: { atMs, why: why ?? null, codes: codes ?? [] },
    }),
  }),
} as const;
