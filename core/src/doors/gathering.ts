/** Feasts: how much for whom, who may drink what, and when what is done. */
export {
  demandCurve,
  enoughL,
  guestsOf,
  leftOverL,
  runsOut,
} from '../gathering/demand.ts';
export type { FeastBatch, FeastBottles, FeastDrink } from '../gathering/drinks.ts';
export type { Feast, FeastJob, FeastTimes, Sized } from '../gathering/feast.ts';
export { COOK } from '../gathering/feastProject.ts';
export {
  isServed,
  type Mend,
  mayDrink,
  type Reason,
  reasonsAgainst,
  type TableLot,
} from '../gathering/mayDrink.ts';
export { joinOf } from '../gathering/pieces.ts';
export { servingList } from '../gathering/serving.ts';
export { type FeastWay, withWay } from '../gathering/waysOut.ts';
export { nightsOf } from '../plan/firstStart.ts';
export { SLOT_MIN } from '../schedule/project.ts';
export { AGES, THIRSTS } from '../tables/guests.ts';
