import { type Constraint, solve } from 'yalps';
import type { GatheringDoc, GuestGroup, GuestRule, GuestRuleKind } from '../documents/gathering.ts';
import { type Audience, CAUTION_ROWS } from '../tables/audience.ts';
import type { Age } from '../tables/guests.ts';
import type { Tag } from '../tables/traits.ts';

/** A drink, or a part of one that is set apart, as it would stand on the table. */
export interface TableLot {
  id: string;
  drinkId: string;
  /** What is in it, and what it has become. */
  tags: ReadonlySet<Tag>;
  itemIds: ReadonlySet<string>;
  /** All sugars in one glass, g. */
  sugarGPerGlass: number;
  /** It is still good when the last glass is poured. */
  lasts: boolean;
}

/**
 * Whether a drink that is good for so long from the moment it is done can be done late enough: cold when it is served, and good
 * until the last glass.
 */
export const lastsThrough = (
  fromDoneMs: number,
  chillMs: number,
  g: Pick<GatheringDoc, 'servesAtMs' | 'untilMs'>,
): boolean => fromDoneMs >= g.untilMs - g.servesAtMs + chillMs;

/** Why a group is not to drink a lot. */
export interface Reason {
  because: GuestRule['kind'] | Age | 'pastItsLife';
  /** The caution that says it, or the tag that is met. */
  code: string;
}

/** Those whom a rule stands for in the table of cautions. */
const AUDIENCE_OF: Partial<Record<GuestRuleKind, readonly Audience[]>> = {
  noAlcohol: ['noAlcohol'],
  mild: ['mildOnly'],
  pregnant: ['pregnancy'],
  medicine: ['medicine', 'bloodThinner'],
};
/** Rules that ask what is in a drink, with no caution of their own. */
const TAGS_OF: Partial<Record<GuestRuleKind, readonly Tag[]>> = {
  noAddedSugar: ['sweetened'],
  noHoney: ['honey'],
  noRaw: ['raw', 'live'],
  noCoconutOrNuts: ['coconut', 'nut'],
  noGrapefruit: ['grapefruit'],
  noCaffeine: ['caffeine'],
};
/** What an age brings with it, whatever rules are said. */
const AUDIENCE_OF_AGE: Readonly<Record<Age, readonly Audience[]>> = {
  adult: [],
  // Not of an age for alcohol; else as a grown person.
  teen: [],
  child: ['children'],
  infant: ['children', 'underOne'],
};
const TAGS_OF_AGE: Readonly<Record<Age, readonly Tag[]>> = {
  adult: [],
  teen: ['alcohol', 'littleAlcohol'],
  child: [],
  infant: [],
};

const cautionsFor = (lot: TableLot, who: readonly Audience[]) =>
  CAUTION_ROWS.filter((row) => who.includes(row.who) && row.when.some((tag) => lot.tags.has(tag)));

/** All that speaks against it; empty: they may. */
export function reasonsAgainst(group: Pick<GuestGroup, 'age' | 'rules'>, lot: TableLot): Reason[] {
  const reasons: Reason[] = [];
  if (!lot.lasts) reasons.push({ because: 'pastItsLife', code: 'pastItsLife' });
  for (const row of cautionsFor(lot, AUDIENCE_OF_AGE[group.age]))
    reasons.push({ because: group.age, code: row.code });
  for (const tag of TAGS_OF_AGE[group.age])
    if (lot.tags.has(tag)) reasons.push({ because: group.age, code: `tag.${tag}` });
  for (const rule of group.rules) reasons.push(...reasonsOfRule(rule, lot));
  return reasons;
}

function reasonsOfRule(rule: GuestRule, lot: TableLot): Reason[] {
  if (rule.kind === 'fewSugar')
    return lot.sugarGPerGlass > rule.gPerGlass ? [{ because: rule.kind, code: 'sugarInAGlass' }] : [];
  if (rule.kind === 'without')
    return lot.itemIds.has(rule.itemId) ? [{ because: rule.kind, code: `item.${rule.itemId}` }] : [];
  return [
    ...cautionsFor(lot, AUDIENCE_OF[rule.kind] ?? []).map((row) => ({ because: rule.kind, code: row.code })),
    ...(TAGS_OF[rule.kind] ?? [])
      .filter((tag) => lot.tags.has(tag))
      .map((tag) => ({ because: rule.kind, code: `tag.${tag}` })),
  ];
}

export const mayDrink = (group: Pick<GuestGroup, 'age' | 'rules'>, lot: TableLot): boolean =>
  reasonsAgainst(group, lot).length === 0;

/** Whether a group is to be given something at all: infants are not. */
export const isServed = (group: Pick<GuestGroup, 'age' | 'most'>): boolean =>
  group.age !== 'infant' && group.most > 0;

/** A part that could be set apart: before this step the drink is still fit for others. */
export interface Cut {
  drinkId: string;
  beforeStepId: string;
  lot: TableLot;
}

export interface Mend {
  cut: Cut;
  /** Who is served by it. */
  groupIds: readonly string[];
}

export interface Mending {
  /** The fewest parts to set apart so that everybody who can be served is. */
  mends: readonly Mend[];
  /** Whom no part of these drinks serves. */
  without: readonly string[];
}

/** Of as few parts, those that come latest in the making are taken: they are most like the drink itself. */
const LATER_IS_BETTER = 1e-3;

/**
 * The fewest changes after which every group has something to drink: which drinks to set a part of apart, and before
 * which step. A small integer programme: each group without a lot is covered by at least one part.
 * @param cuts in the order of the making.
 */
export function fewestMends(
  groups: readonly GuestGroup[],
  lots: readonly TableLot[],
  cuts: readonly Cut[],
): Mending {
  const left = groups.filter((g) => isServed(g) && !lots.some((lot) => mayDrink(g, lot)));
  const serves = cuts.map((cut) => left.filter((g) => mayDrink(g, cut.lot)).map((g) => g.id));
  const without = left.filter((g) => !serves.some((ids) => ids.includes(g.id))).map((g) => g.id);
  const wanted = left.filter((g) => !without.includes(g.id));
  if (wanted.length === 0) return { mends: [], without };
  const useful = cuts.map((_, i) => i).filter((i) => serves[i]!.length > 0);
  const { variables } = solve({
    direction: 'minimize',
    objective: 'cost',
    constraints: new Map(wanted.map((g): [string, Constraint] => [g.id, { min: 1 }])),
    variables: new Map(
      useful.map((i) => [
        `${i}`,
        new Map([
          ['cost', 1 + LATER_IS_BETTER * (1 - i / cuts.length)],
          ...serves[i]!.map((id): [string, number] => [id, 1]),
        ]),
      ]),
    ),
    binaries: true,
  });
  const chosen = variables.filter(([, n]) => n > 0.5).map(([key]) => Number(key));
  // Each group takes from one part only.
  const mends = chosen
    .sort((a, b) => b - a)
    .reduce<{ mends: Mend[]; served: Set<string> }>(
      ({ mends: all, served }, i) => {
        const groupIds = serves[i]!.filter((id) => !served.has(id));
        for (const id of groupIds) served.add(id);
        return { mends: groupIds.length > 0 ? [...all, { cut: cuts[i]!, groupIds }] : all, served };
      },
      { mends: [], served: new Set() },
    ).mends;
  return { mends: mends.reverse(), without };
}
