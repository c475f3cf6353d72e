import gaussian from 'gaussian';
import type { GatheringDoc, GuestGroup } from '../documents/gathering.ts';
import {
  AGE_ROWS,
  ALCOHOL_BESIDE,
  DEMAND_SPREAD,
  GLASSES,
  HEAT,
  SPILT,
  THIRST_ROWS,
  TURN_OUT,
} from '../tables/guests.ts';
import { HOUR_MS } from '../units/time.ts';

const NORMAL = gaussian(0, 1);

/** What a house has learnt from its gatherings so far. */
export interface HouseThirst {
  gatherings: number;
  /** Drunk against counted with, of those gatherings; 1 before any. */
  factor: number;
}
export const NO_GATHERING_YET: HouseThirst = { gatherings: 0, factor: 1 };

/** What will be drunk in all, as a lognormal amount. */
export interface Demand {
  /** Litres to be poured, spilt ones with them. */
  meanL: number;
  /** Coefficient of variation. */
  cv: number;
  /** The share of each group, L of the mean. */
  groupL: ReadonlyMap<string, number>;
}

export const guestsOf = (group: Pick<GuestGroup, 'least' | 'most'>): number => (group.least + group.most) / 2;

/** Glasses of one guest of a group over the whole evening. Over the first hour the rule runs evenly. */
export function glassesOf(group: Pick<GuestGroup, 'age' | 'thirst'>, g: HoursAndHeat): number {
  const hours = Math.max(0, (g.untilMs - g.servesAtMs) / HOUR_MS);
  const rule = Math.min(1, hours) * GLASSES.firstHour + Math.max(0, hours - 1) * GLASSES.furtherHour;
  const age = AGE_ROWS.find((r) => r.age === group.age)?.factor ?? 1;
  const thirst = THIRST_ROWS.find((r) => r.thirst === group.thirst)?.factor ?? 1;
  const heat = 1 + HEAT.perC * Math.max(0, Math.min(HEAT.mostC, g.outdoorC ?? HEAT.fromC) - HEAT.fromC);
  return rule * age * thirst * heat * (g.alcoholBeside ? ALCOHOL_BESIDE.factor : 1);
}
type HoursAndHeat = Pick<GatheringDoc, 'servesAtMs' | 'untilMs' | 'outdoorC' | 'alcoholBeside'>;

/**
 * How much a gathering drinks. The mean is guests × rule × turn-out, spilt drink on top; the spread has three parts that
 * are independent: the rule, less unsure with each gathering of this house; the evening; and people, who come or do
 * not, drink much or little, and even out in number. A count that is not sure adds its own.
 * @param inGlassMl of the drink in a glass, its ice left out.
 */
export function demandOf(
  g: HoursAndHeat & Pick<GatheringDoc, 'groups'>,
  inGlassMl: number,
  house: HouseThirst = NO_GATHERING_YET,
): Demand {
  const groupL = new Map<string, number>();
  let drinkers = 0;
  let countVariance = 0;
  for (const group of g.groups) {
    const each = glassesOf(group, g) * TURN_OUT.share * house.factor * (1 + SPILT.share) * (inGlassMl / 1000);
    groupL.set(group.id, guestsOf(group) * each);
    if (each > 0) drinkers += guestsOf(group);
    // Evenly between its least and its most.
    countVariance += ((group.most - group.least) * each) ** 2 / 12;
  }
  const meanL = [...groupL.values()].reduce((a, b) => a + b, 0);
  const { rule, learnt, evening, person } = DEMAND_SPREAD;
  const variance =
    rule ** 2 / (1 + learnt * house.gatherings) +
    evening ** 2 +
    (drinkers > 0 ? (person ** 2 + 1 - TURN_OUT.share) / (TURN_OUT.share * drinkers) : 0) +
    (meanL > 0 ? countVariance / meanL ** 2 : 0);
  return { meanL, cv: Math.sqrt(variance), groupL };
}

const sigmaOf = (d: Pick<Demand, 'cv'>): number => Math.sqrt(Math.log1p(d.cv ** 2));
const medianOf = (d: Pick<Demand, 'cv' | 'meanL'>): number => d.meanL / Math.sqrt(1 + d.cv ** 2);

/** The amount that is enough in a share of all such evenings, L. */
export const enoughL = (d: Pick<Demand, 'cv' | 'meanL'>, share: number): number =>
  medianOf(d) * Math.exp(sigmaOf(d) * NORMAL.ppf(share));

/** How likely so many litres run out, 0 to 1. */
export function runsOut(d: Pick<Demand, 'cv' | 'meanL'>, litres: number): number {
  if (d.meanL <= 0) return 0;
  if (litres <= 0) return 1;
  return 1 - NORMAL.cdf(Math.log(litres / medianOf(d)) / sigmaOf(d));
}

/**
 * What is left over on average, L: E(litres − X) where that is positive, in closed form for a lognormal amount.
 * @param laterL what the house drinks of it afterwards while it keeps: that is not left over.
 */
export function leftOverL(d: Pick<Demand, 'cv' | 'meanL'>, litres: number, laterL = 0): number {
  const upTo = litres - laterL;
  if (upTo <= 0) return 0;
  if (d.meanL <= 0) return upTo;
  const sigma = sigmaOf(d);
  const z = Math.log(upTo / medianOf(d)) / sigma;
  return upTo * NORMAL.cdf(z) - d.meanL * NORMAL.cdf(z - sigma);
}

export interface DemandPoint {
  litres: number;
  runsOut: number;
  leftL: number;
}

/** The whole trade-off, from hardly enough to far too much. */
export function demandCurve(d: Demand, laterL: number, points = 40): DemandPoint[] {
  if (d.meanL <= 0) return [];
  const [from, to] = [enoughL(d, 0.05), enoughL(d, 0.995)];
  return Array.from({ length: points }, (_, i) => {
    const litres = from + ((to - from) * i) / (points - 1);
    return { litres, runsOut: runsOut(d, litres), leftL: leftOverL(d, litres, laterL) };
  });
}

/** A drink that is shared out: who may have it, and its part against others. */
export interface SharedDrink {
  id: string;
  share: number;
  groupIds: ReadonlySet<string>;
}

/** What a group drinks of one of the drinks, L. */
export interface Flow {
  groupId: string;
  drinkId: string;
  litres: number;
}

/**
 * The litres in all, shared among the drinks: each group divides what it drinks among those that it may have. What a group
 * drinks that may have none of them counts for none.
 */
export function flowsOf(d: Demand, totalL: number, drinks: readonly SharedDrink[]): Flow[] {
  const scale = d.meanL > 0 ? totalL / d.meanL : 0;
  return [...d.groupL].flatMap(([groupId, groupL]) => {
    const mine = drinks.filter((drink) => drink.groupIds.has(groupId) && drink.share > 0);
    const shares = mine.reduce((sum, drink) => sum + drink.share, 0);
    return mine.map((drink) => ({
      groupId,
      drinkId: drink.id,
      litres: (scale * groupL * drink.share) / shares,
    }));
  });
}

/** Litres by drink. */
export function shareOut(d: Demand, totalL: number, drinks: readonly SharedDrink[]): Map<string, number> {
  const litres = new Map(drinks.map((drink) => [drink.id, 0]));
  for (const flow of flowsOf(d, totalL, drinks))
    litres.set(flow.drinkId, litres.get(flow.drinkId)! + flow.litres);
  return litres;
}
