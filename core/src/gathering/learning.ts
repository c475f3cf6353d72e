import { TZDate } from '@date-fns/tz';
import type { GatheringDoc, GatheringDrink } from '../documents/gathering.ts';
import type { PlanDoc } from '../documents/plan.ts';
import { DEMAND_SPREAD } from '../tables/guests.ts';
import { demandOf, type HouseThirst, NO_GATHERING_YET } from './demand.ts';
import { inGlassMl } from './feast.ts';

/**
 * What a house has learnt of its guests' thirst: drunk against counted with, on the logarithm, each gathering weighing as
 * the table says against the rule. Where something ran out, what was drunk says only that it was at least so much.
 * Source: a normal prior on the logarithm of the factor with precision 1, each gathering adding `learnt`.
 */
export function houseThirst(past: readonly GatheringDoc[]): HouseThirst {
  const told = past.flatMap((g) => {
    const drunkL = g.answers?.drunkL ?? null;
    const { meanL } = demandOf(g, inGlassMl(g));
    if (drunkL === null || drunkL <= 0 || meanL <= 0) return [];
    const ratio = Math.log(drunkL / meanL);
    const ranOut = g.answers!.enough === 'tooLittle' || g.answers!.ranOut.length > 0;
    // At least so much: it counts only where that is more than the rule.
    return ranOut && ratio < 0 ? [] : [ratio];
  });
  if (told.length === 0) return NO_GATHERING_YET;
  const { learnt } = DEMAND_SPREAD;
  const sum = told.reduce((a, b) => a + b, 0);
  return {
    gatherings: told.length,
    factor: Math.exp((learnt * sum) / (1 + learnt * told.length)),
  };
}

/** The same day of the week nearest to a date a year later, at the same hour of the zone. */
function yearLater(ms: number, zone: string): number {
  const was = new TZDate(ms, zone);
  const next = new TZDate(ms, zone);
  next.setFullYear(next.getFullYear() + 1);
  // To the nearest such weekday: at most three days sooner or later.
  const ahead = (was.getDay() - next.getDay() + 7) % 7;
  next.setDate(next.getDate() + (ahead > 3 ? ahead - 7 : ahead));
  return next.getTime();
}

/**
 * A yearly gathering once more: same guests and drinks, a year later. Batches and bottles of last year are plans again,
 * where their plan is known; else they are left out. @param planOf the plan of a batch.
 */
export function nextYearOf(
  id: string,
  g: GatheringDoc,
  planOf: (batchId: string) => PlanDoc | null,
  zone: string,
): GatheringDoc {
  const servesAtMs = yearLater(g.servesAtMs, zone);
  const byMs = servesAtMs - g.servesAtMs;
  const drinks = g.drinks.flatMap((drink): GatheringDrink[] => {
    const { source } = drink;
    if (source.kind === 'plan') return [{ ...drink, source: { ...source, plan: undated(source.plan) } }];
    const plan = source.kind === 'batch' ? planOf(source.batchId) : null;
    return plan ? [{ ...drink, source: { kind: 'plan', plan: undated(plan), litres: null } }] : [];
  });
  return {
    ...g,
    servesAtMs,
    untilMs: g.untilMs + byMs,
    drinks,
    helpers: g.helpers.map((h) => ({ ...h, fromMs: h.fromMs + byMs, toMs: h.toMs + byMs })),
    gifts: g.gifts
      .filter((gift) => drinks.some((d) => d.id === gift.drinkId))
      .map((gift) => ({ ...gift, given: false })),
    pins: [],
    done: [],
    borrowed: { pots: 0, rings: 0, coldL: 0 },
    answers: null,
    before: id,
  };
}

const undated = (plan: PlanDoc): PlanDoc => ({ ...plan, readyAtMs: null });

/** Whether the next one of a yearly gathering is to be planned: it is over, and none follows it yet. */
export const comesAgain = (
  { id, gathering }: { id: string; gathering: GatheringDoc },
  all: readonly { gathering: GatheringDoc }[],
  nowMs: number,
): boolean =>
  gathering.yearly && gathering.untilMs < nowMs && !all.some((other) => other.gathering.before === id);

/** The gatherings whose answers count for one: those that were over before it. */
export const pastOf = (
  g: Pick<GatheringDoc, 'servesAtMs'>,
  all: readonly { gathering: GatheringDoc }[],
): GatheringDoc[] =>
  all
    .map((other) => other.gathering)
    .filter((other) => other.untilMs < g.servesAtMs && other.answers !== null);
