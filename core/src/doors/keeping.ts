/** How long it keeps: the verdict on a lot, the life of a bottle, its date. */
export {
  bottleOf,
  expectedLife,
  type Filling,
  fillingOf,
  hotTogether,
  plannedLife,
} from '../keeping/bottled.ts';
export { checkKindOf, meaningOf, signsFor } from '../keeping/check.ts';
export { claimsOf } from '../keeping/claims.ts';
export {
  endOfDay,
  endOfTomorrow,
  isoKeepDate,
  type KeepDate,
  keepDate,
  lastWholeDay,
  notBefore,
  startOfToday,
} from '../keeping/date.ts';
export { type BottleFacts, coldAfterMs, SERVE_C } from '../keeping/follower.ts';
export { wouldKeepLonger } from '../keeping/lifeExtensions.ts';
export { warmLimitOf } from '../keeping/limits.ts';
export { keepingOfMix, withPoured } from '../keeping/mix.ts';
export { type PlanRisk, planRisk, type SafeWay, safeWays } from '../keeping/risk.ts';
export { acidEvidence, type Keeping, type KeepingInput, keepingOf } from '../keeping/shelfLife.ts';
export { type BottleLife, type LifePoint, lifeCurve, lifeOf, spellCostMin } from '../keeping/spoilage.ts';
export { climateAt, type Surroundings, surroundingsOf } from '../keeping/storageClimate.ts';
export {
  CELL_MS,
  type FridgeRecord,
  recordOf,
  type TemperatureSeries,
  temperatureSeriesOf,
  trackAt,
  warmSpells,
} from '../keeping/temperatureSeries.ts';
export { KEEPING } from '../tables/keeping.ts';
