/** Drinks and methods set side by side, what is counted from the tools, what is bought. */

export { type CitrusMoment, citrusMoments } from '../compare/citrusMoment.ts';
export { type Cost, costInAll, costOf } from '../compare/cost.ts';
export type { Course } from '../compare/courses.ts';
export { type Enough, enoughOf, inBottlesG } from '../compare/enough.ts';
export { insteadOf, sameStrengthG } from '../compare/forms.ts';
export { furtherHours, type StandingRow, standingSteps } from '../compare/furtherHours.ts';
export { goesWith } from '../compare/goesWith.ts';
export { type HeldUnit, heldUnits } from '../compare/held.ts';
export { toLayOut } from '../compare/layOut.ts';
export { drawsOf, iceKgOf, type MethodAnswer, type MethodRow, mainMarker } from '../compare/methods.ts';
export { missingTools } from '../compare/missingTools.ts';
export { type DrinkOverview, familiesOf } from '../compare/overview.ts';
export {
  type AskedWarning,
  amountWarning,
  measuredLossWarning,
  type PlausibilityWarning,
  recipeWarnings,
} from '../compare/plausibility.ts';
export {
  type ShoppingList,
  type ShoppingPlan,
  type ShoppingRow,
  shoppingList,
  stillToGoIn,
} from '../compare/shopping.ts';
export { type StrainingFacts, strainings } from '../compare/straining.ts';
export { bowlsOf, toolCounts } from '../compare/toolCounts.ts';
export { rinsesAsked, washRoutines } from '../compare/washing.ts';
export { notedOf } from '../documents/stock.ts';
