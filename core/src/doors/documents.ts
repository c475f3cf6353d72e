/** What is stored: kitchens, recipes, plans, ingredients, stock; their shapes and their schemas. */
export {
  type GatheringDoc,
  type GatheringDrink,
  GUEST_RULES,
  type GuestGroup,
  type GuestRule,
  gatheringSchema,
  type Helper,
} from '../documents/gathering.ts';
export { type CustomFacts, OWN_KINDS, type OwnKind } from '../documents/ingredient.ts';
export {
  type AwayHours,
  type BottleSize,
  type Burner,
  bottleSchema,
  burnerSchema,
  DATE_ORDERS,
  type DateOrder,
  EMPTY_KITCHEN,
  FIRST_DAYS,
  type House,
  type Kitchen,
  type KitchenTools,
  kitchenSchema,
  MESSAGE_KINDS,
  type MessageKind,
  type Pot,
  placeSchema,
  potSchema,
  type ShelfPlace,
  USUAL_PLACES,
  usualPlace,
} from '../documents/kitchen.ts';
export { LOT_KINDS, type LotKind } from '../documents/lot.ts';
export { isTooFarAhead, type PlanDoc } from '../documents/plan.ts';
export {
  type Choices,
  HEATS_TO,
  HYGIENES,
  type Instead,
  JUICE_TOOLS,
  type LineKind,
  METHOD_IDS,
  type MethodId,
  OWN_STEP_KINDS,
  type OwnRecipe,
  type OwnStepKind,
  type PlannedWay,
  type Recipe,
  type RecipeLine,
  type RecipeLot,
  type RecipeStep,
  type RootChoice,
  recipeSchema,
  type ScaleRule,
  SIEVES,
} from '../documents/recipe.ts';
export type { StockRow } from '../documents/stock.ts';
