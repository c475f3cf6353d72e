import type { GatheringDoc, Helper } from '../documents/gathering.ts';
import type { MethodId, Recipe } from '../documents/recipe.ts';
import { choicesUnder } from '../program/book/recipe.ts';
import { proofAgainst } from '../schedule/impossible.ts';
import { SLOT_MIN } from '../schedule/project.ts';
import { searchSchedule } from '../schedule/search.ts';
import type { Tables } from '../tables/types.ts';
import { HOUR_MS } from '../units/time.ts';
import { type FeastInput, sizeFeast } from './feast.ts';
import { feastProject } from './feastProject.ts';
import type { KitchenProject, ResourceKind } from './pieces.ts';

/** What a kitchen has too little of. */
export const LIMITS = ['hands', 'ring', 'pot', 'fridge', 'life', 'time'] as const;
export type Limit = (typeof LIMITS)[number];

/** A change after which everything finds its hours, with its price. */
export type FeastWay =
  /** A box with ice for so many litres beside the fridge. */
  | { kind: 'coolBox'; litres: number }
  | { kind: 'freeze'; drinkId: string }
  /** By another way of making it, quicker or in another pot's time. */
  | { kind: 'method'; drinkId: string; methodId: MethodId }
  | { kind: 'helper'; fromMs: number; toMs: number }
  | { kind: 'borrow'; pots: number; rings: number }
  /** Less of everything: enough in fewer evenings. */
  | { kind: 'smaller'; assurance: number }
  | { kind: 'later'; byMs: number }
  /** One drink fewer: the others take its part. */
  | { kind: 'leaveOut'; drinkId: string };

export interface WaysControl {
  seed: number;
  /** Asked before each try; true ends all of it with what was found. */
  over: () => boolean;
  /** Tries of one search, at most. */
  tries: number;
}

/** In halves of a litre a box is filled, and so much more than the least. */
const BOX_L = 0.5;
const LATER_H = [2, 4, 8, 24] as const;
const FEWER = [0.8, 0.65, 0.5] as const;

/** Whether all chains find a place within so many tries. */
function completes(project: KitchenProject, control: WaysControl): boolean {
  // Where it can be shown that there is no way, none is looked for.
  if (proofAgainst(project)) return false;
  let left = control.tries;
  let done = false;
  searchSchedule(project, {
    seed: control.seed,
    over: () => done || left-- <= 0 || control.over(),
    onBest: (s) => {
      done ||= s.missing.length === 0;
    },
  });
  return done;
}

/** With these there is as much of everything as before. */
const SAME_LITRES: ReadonlySet<FeastWay['kind']> = new Set(['coolBox', 'freeze', 'helper', 'borrow']);

const UNBOUND = 1e6;

/** The same project without one limit. */
export function withoutLimit(project: KitchenProject, limit: Limit): KitchenProject {
  const raised = (...kinds: readonly ResourceKind[]): KitchenProject => ({
    ...project,
    resources: project.resources.map((r) =>
      kinds.includes(r.kind) ? { ...r, capacity: r.capacity.map((c) => c + UNBOUND) } : r,
    ),
  });
  switch (limit) {
    case 'hands':
      return raised('person', 'eyes');
    case 'ring':
      return raised('ring');
    case 'pot':
      return raised('pot');
    case 'fridge':
      return raised('fridge', 'freezer');
    case 'life':
      return { ...project, chains: project.chains.map((c) => ({ ...c, notBefore: 0 })) };
    case 'time':
      return withMoreTime(project);
  }
}

/** As if it were begun two days sooner: everything that is dated moves back from now. */
function withMoreTime(project: KitchenProject): KitchenProject {
  const more = (2 * 24 * 60) / SLOT_MIN;
  const shift = (slot: number) => slot + more;
  return {
    slots: project.slots + more,
    dark: [...new Array<boolean>(more).fill(false), ...project.dark],
    joins: project.joins,
    resources: project.resources.map((r) => ({
      ...r,
      capacity: [...new Array<number>(more).fill(Math.max(...r.capacity)), ...r.capacity],
    })),
    chains: project.chains.map((c) => ({
      ...c,
      latest: shift(c.latest),
      notBefore: shift(c.notBefore),
      heldUntil: shift(c.heldUntil),
      earliest: c.stages[0]?.fixedAt === null ? 0 : shift(c.earliest),
      stages: c.stages.map((s) => ({ ...s, fixedAt: s.fixedAt === null ? null : shift(s.fixedAt) })),
    })),
  };
}

/** The limits of which dropping any one alone gives a plan. */
export function bindingLimits(
  input: FeastInput,
  book: readonly Recipe[],
  tables: Tables,
  control: WaysControl,
): Limit[] {
  const { drinks } = sizeFeast(input, book, tables);
  const frame = feastProject(input.gathering, drinks, input.kitchen, tables, input.nowMs);
  if (!frame) return [];
  return LIMITS.filter((limit) => !control.over() && completes(withoutLimit(frame.project, limit), control));
}

/** What taking a way changes of the gathering. */
export function withWay(
  gathering: GatheringDoc,
  way: FeastWay,
  book: readonly Recipe[],
  helper: Pick<Helper, 'id' | 'name'>,
): GatheringDoc {
  switch (way.kind) {
    case 'coolBox':
      return {
        ...gathering,
        borrowed: { ...gathering.borrowed, coldL: gathering.borrowed.coldL + way.litres },
      };
    case 'borrow':
      return {
        ...gathering,
        borrowed: {
          ...gathering.borrowed,
          pots: gathering.borrowed.pots + way.pots,
          rings: gathering.borrowed.rings + way.rings,
        },
      };
    case 'helper':
      return {
        ...gathering,
        helpers: [...gathering.helpers, { ...helper, fromMs: way.fromMs, toMs: way.toMs }],
      };
    case 'smaller':
      return { ...gathering, assurance: way.assurance };
    case 'later':
      return {
        ...gathering,
        servesAtMs: gathering.servesAtMs + way.byMs,
        untilMs: gathering.untilMs + way.byMs,
      };
    case 'freeze':
      return {
        ...gathering,
        drinks: gathering.drinks.map((d) => (d.id === way.drinkId ? { ...d, frozen: true } : d)),
      };
    case 'leaveOut':
      return { ...gathering, drinks: gathering.drinks.filter((d) => d.id !== way.drinkId) };
    case 'method':
      return {
        ...gathering,
        drinks: gathering.drinks.map((d) => {
          if (d.id !== way.drinkId || d.source.kind !== 'plan') return d;
          const { plan } = d.source;
          const recipe = book.find((r) => r.id === plan.recipeId);
          if (!recipe) return d;
          const choices = choicesUnder(recipe, way.methodId, plan.choices);
          return { ...d, source: { ...d.source, plan: { ...plan, choices } } };
        }),
      };
  }
}

/**
 * Changes that mend a feast which cannot be, one of each kind, the gentlest of it. Each was tried: taken, everything has its
 * hours.
 * @param missing the drinks that had none.
 */
export function waysOut(
  input: FeastInput,
  missing: readonly string[],
  book: readonly Recipe[],
  tables: Tables,
  control: WaysControl,
): FeastWay[] {
  const sized = sizeFeast(input, book, tables);
  const before = sized.mending.without.length + sized.mending.mends.length;
  const helps = (way: FeastWay): boolean => {
    if (control.over()) return false;
    const gathering = withWay(input.gathering, way, book, { id: 'helper', name: 'helper' });
    const tried = { ...input, gathering };
    const { drinks, mending } = SAME_LITRES.has(way.kind) ? sized : sizeFeast(tried, book, tables);
    // It is no help to one group to leave another without anything.
    const without = mending.without.length + mending.mends.length;
    if (drinks.some((d) => d.problem) || without > before) return false;
    const frame = feastProject(gathering, drinks, input.kitchen, tables, input.nowMs);
    return frame !== null && completes(frame.project, control);
  };
  const first = (ways: readonly FeastWay[]): FeastWay[] => {
    const found = ways.find(helps);
    return found ? [found] : [];
  };
  const { gathering, kitchen, nowMs } = input;
  const standsL = sized.drinks.reduce((sum, d) => sum + (d.made ? d.litres : 0), 0);
  const roomL = kitchen.fridgeFreeL + gathering.borrowed.coldL;
  const shortL = Math.ceil((standsL - roomL) / BOX_L) * BOX_L;
  const plans = gathering.drinks.flatMap((d) =>
    d.source.kind === 'plan' ? [{ d, plan: d.source.plan }] : [],
  );
  // Those that had no hours come first.
  plans.sort((a, b) => Number(missing.includes(b.d.id)) - Number(missing.includes(a.d.id)));
  return [
    ...(shortL > 0 ? first([{ kind: 'coolBox', litres: shortL }]) : []),
    ...first(plans.filter(({ d }) => !d.frozen).map(({ d }) => ({ kind: 'freeze', drinkId: d.id }))),
    ...first(
      plans.flatMap(({ d, plan }) =>
        (book.find((r) => r.id === plan.recipeId)?.methods ?? [])
          .filter((m) => m !== plan.choices.methodId)
          .map((methodId): FeastWay => ({ kind: 'method', drinkId: d.id, methodId })),
      ),
    ),
    ...first([
      { kind: 'borrow', pots: 1, rings: 0 },
      { kind: 'borrow', pots: 1, rings: 1 },
    ]),
    ...first([
      { kind: 'helper', fromMs: gathering.servesAtMs - 8 * HOUR_MS, toMs: gathering.servesAtMs },
      { kind: 'helper', fromMs: nowMs, toMs: gathering.servesAtMs },
    ]),
    ...first(
      FEWER.filter((a) => a < gathering.assurance).map((assurance) => ({ kind: 'smaller', assurance })),
    ),
    ...first(LATER_H.map((h) => ({ kind: 'later', byMs: h * HOUR_MS }))),
    ...(plans.length > 1 ? first(plans.map(({ d }) => ({ kind: 'leaveOut', drinkId: d.id }))) : []),
  ];
}
