/** Sweet, sour and strong: what may be added, what it makes of the drink, and for whom it is. */

export { balanceAnswer } from '../balance/additions.ts';
export { type Candidate, type CandidateKind, candidateOf, LESS_WATER } from '../balance/candidates.ts';
export { audienceOf, cautionsOf } from '../balance/cautions.ts';
export { type LikedPoint, type LikedRegion, likedRegion } from '../balance/liked.ts';
export { marksOf, scaleTrial } from '../balance/lots.ts';
export { type PartNow, partsNow } from '../balance/partsNow.ts';
export { garnishOf, ICE_CUBE_G, type Poured, pourTo, sweetForIce } from '../balance/pour.ts';
export { type LegAmount, type RatioLeg, ratioFrom, trueRatio } from '../balance/ratio.ts';
export {
  type GlassFacts,
  glassDoseG,
  glassFacts,
  HOT_C,
  servedFacts,
  smallServings,
} from '../balance/served.ts';
export {
  dosesToCome,
  FIRST_SHARE,
  FIRST_SOUR_SHARE,
  nextDose,
  nextStated,
  nextSweetener,
} from '../balance/stepPlan.ts';
export { type StrongShare, strongGPerL, strongShares } from '../balance/strong.ts';
export { type Suggestion, suggestAdditions } from '../balance/suggestions.ts';
export { insteadOfLine, swapSour, swapSweetener, sweetenWithFruit } from '../balance/swaps.ts';
export { waysBack } from '../balance/waysBack.ts';
export {
  type BalanceAim,
  type BalanceAnswer,
  type BalanceBinding,
  type BalanceLimits,
  type BalanceWish,
  NO_LIMITS,
} from '../balance/wish.ts';
