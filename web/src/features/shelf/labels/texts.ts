import '../../../words/places/shelf.ts';
import '../../../words/places/steps.ts';
import { audienceOf, cautionsOf, smallServings } from '@big-ladle/core/balance';
import { type BottleLife, keepDate, lastWholeDay } from '@big-ladle/core/keeping';
import { saysAlcohol } from '@big-ladle/core/program';
import type { BottleItem, LeftoverItem, LeftoverLife } from '@big-ladle/core/shelf';
import type { Tables } from '@big-ladle/core/tables';
import { DAY_MS } from '@big-ladle/core/units';
import { containsOf, drawn } from '../../../shared/labels/contents.ts';
import { sayDrink, sayDrinkOf } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { grams, millilitres } from '../../../words/quantities.ts';
import { dayOf, days, say, sayCode } from '../../../words/say.ts';
import type { LabelText } from './layout.ts';

/** A short code for what came of one pot: its day, and three signs of its id. */
export const batchCode = (batchId: string, madeMs: number, zone: string): string => {
  const day = new Intl.DateTimeFormat('en-CA', { timeZone: zone, month: '2-digit', day: '2-digit' })
    .format(madeMs)
    .replace(/\D/g, '');
  const tail = batchId
    .replace(/[^a-zA-Z0-9]/g, '')
    .slice(-3)
    .toUpperCase();
  return `${day}-${tail}`;
};

/** The date as it is printed: a day that is not past, or none at all. */
function until(life: BottleLife | LeftoverLife, what: 'drink' | 'use', { zone, nowMs }: Printed): string {
  const date = keepDate(life, zone);
  if (date.kind === 'day') return say(`texts.${what}By`, { day: dayOf(date.dayMs, zone) });
  return date.kind === 'today'
    ? say(`texts.${what}Today`, { now: dayOf(nowMs, zone) })
    : say('texts.notToBeKept');
}
export interface Printed {
  zone: string;
  /** When it is printed. */
  nowMs: number;
  origin: string;
  tables: Tables;
  /** A concentrated drink is taken by small glasses, mL; null: it is not. */
  smallMlOf: (recipeId: string) => number | null;
}

/** What stands on a bottle's label. Folk sayings never do. */
export function bottleLabel(facts: BottleItem, life: BottleLife, to: Printed): LabelText {
  const { zone, origin, tables } = to;
  const { bottle } = facts;
  const rows = cautionsOf(new Set(facts.tags)).filter((row) => row.onLabel);
  const cautions = audienceOf(rows).map((a) => say(`audience.${a}`));
  const small = to.smallMlOf(facts.recipeId);
  const servings = small === null ? null : smallServings(bottle.volumeMl, small, 1);
  const lastsMs = servings
    ? Math.min(lastWholeDay(life.deadlineMs, zone), bottle.filledMs + servings.days * DAY_MS)
    : null;
  return {
    itemId: facts.itemId,
    name: sayDrinkOf(facts, facts.lot),
    under: [
      facts.tags.includes('noAddedSugar') ? say('texts.noAddedSugar') : say('texts.sweetened'),
      facts.forWhom ? say('bottleShelves.for', { forWhom: facts.forWhom }) : null,
      life.own?.longer ? say('texts.dateByTheMakers') : null,
    ]
      .filter(Boolean)
      .join(', '),
    made: dayOf(bottle.filledMs, zone),
    until: until(life, 'drink', to),
    onceOpen: say('texts.onceOpen', { openDays: days(bottle.keeping.openDays) }),
    keepCold: life.frozen ? say('texts.keepFrozenThawedDays') : say('texts.keepColdAtMost'),
    taken:
      small !== null && lastsMs !== null
        ? say('texts.aSmallGlassOf', { small: millilitres(small), lasts: dayOf(lastsMs, zone) })
        : null,
    alcohol: saysAlcohol(facts.abvPct)
      ? say('texts.containsAlcohol', { abvPct: num(facts.abvPct, 1) })
      : null,
    cautions,
    contains: containsOf(facts.itemIds, tables),
    plants: drawn(facts.itemIds, tables),
    code: batchCode(facts.batchId, bottle.filledMs, zone),
    url: `${origin}/shelf/${facts.itemId}`,
  };
}

/** What stands on a leftover's bag: one label a portion. */
export function leftoverLabel(
  facts: LeftoverItem,
  life: LeftoverLife,
  strength: string,
  to: Printed,
): LabelText {
  const { zone, origin } = to;
  const { leftover } = facts;
  return {
    itemId: facts.itemId,
    name: say(`leftover.${leftover.kind}`),
    under: say('texts.aPortion', {
      mass: grams(leftover.massG / leftover.portions),
      what: sayCode(`portion.${strength}`),
    }),
    made: dayOf(leftover.madeMs, zone),
    until: until(life, 'use', to),
    onceOpen: sayDrink(facts.recipeId, facts.drinkName),
    keepCold: life.frozen ? say('texts.keepFrozen') : say('texts.keepColdAtMost'),
    taken: null,
    alcohol: leftover.alcohol ? say('texts.containsAlcohol2') : null,
    cautions: [],
    contains: containsOf(leftover.ingredientIds, to.tables),
    plants: drawn(leftover.ingredientIds, to.tables),
    code: batchCode(facts.batchId, leftover.madeMs, zone),
    url: `${origin}/shelf/${facts.itemId}`,
  };
}

/** As it reads within a line. */
export const within = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** The few words for a pen and a strip of tape. */
export const byHandLine = (label: LabelText): string =>
  [
    label.name,
    within(label.until),
    within(label.onceOpen),
    label.alcohol && within(label.alcohol),
    label.code,
  ]
    .filter(Boolean)
    .join(' · ');
