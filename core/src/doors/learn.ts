/** Looking back at what was made, and what it has taught of the kitchen. */

export {
  type LearningDoc,
  type LearningRow,
  learningEditSchema,
  type YearDoc,
} from '../contract/learning.ts';
export { type LearningChoices, type Learnt, USUAL_LEARNING } from '../documents/learning.ts';
export { askedL } from '../documents/plan.ts';
export { EIGHT_OF_TEN } from '../learn/forecast.ts';
export { endsAt } from '../learn/houseSweet.ts';
export { type BeliefWithCourse, evidenceOf, learnFrom, type WhatIsLearnt } from '../learn/learn.ts';
export { madeBatchOf } from '../learn/madeBatch.ts';
export { picturesAreOff, redByPicture } from '../learn/pictures.ts';
export { isOfModel, type LearntId } from '../learn/priors.ts';
export { readPurchaseId } from '../learn/purchases.ts';
export type { Evidence } from '../learn/solve.ts';
export { EVIDENCE_V, readResiduals, writeResiduals } from '../learn/stored.ts';
export { isOdd, type ReadKind } from '../learn/toRead.ts';
export { type LookedBack, lookBack, type Otherwise } from '../logbook/lookBack.ts';
export {
  costPerL,
  LOGBOOK_ORDERS,
  type LogbookOrder,
  type LogbookRow,
  type LookedFor,
  lookThrough,
  QUARTERS,
  type Quarter,
} from '../logbook/lookThrough.ts';
export { type NextTime, nextTime } from '../logbook/nextTime.ts';
export { type FilledShare, fateOf, type WhereItWent, whereItWent } from '../logbook/whereItWent.ts';
export { calendarOf, type FilledInYear, type MadeInYear, yearOf } from '../logbook/year.ts';
export { type ModelFactors, readFactorId } from '../program/model/factors.ts';
