/** The drinks that are shipped, the methods they are made by, and what may be said of a step. */
export { BOOK } from '../program/book/book.ts';
export { checkRecipe, type RecipeProblem } from '../program/book/checkRecipe.ts';
export { handlesOnly, putLine, takeLineOut } from '../program/book/lineMoves.ts';
export { expand, METHODS, type MethodChoice } from '../program/book/methods/methods.ts';
export { type Presets, presetsOf, varyingLines } from '../program/book/presets.ts';
export { choicesUnder, completeChoices, defaultChoices, insteadWith } from '../program/book/recipe.ts';
export { STEP_TABLE, type StepField, saysOf } from '../program/book/stepTable.ts';
export { ownRows, withCustom } from '../program/model/ownIngredient.ts';
export { sweetWeights } from '../program/model/sweetShares.ts';
export { familyOfItem } from '../tables/families.ts';
