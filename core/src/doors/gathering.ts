/** Feasts: how much for whom, who may drink what, and when what is done. */
export { type FeastTimetable, followsGuests, settledOf, timetableSchema } from '../documents/gathering.ts';
export { type TableCard, tableCards } from '../gathering/cards.ts';
export {
  demandCurve,
  enoughL,
  guestsOf,
  type HouseThirst,
  leftOverL,
  runsOut,
} from '../gathering/demand.ts';
export { type FeastBatch, type FeastBottles, type FeastDrink, planAt } from '../gathering/drinks.ts';
export { type Feast, type FeastJob, type FeastTimes, inGlassMl, type Sized } from '../gathering/feast.ts';
export { COOK } from '../gathering/feastProject.ts';
export { comesAgain, houseThirst, nextYearOf, pastOf } from '../gathering/learning.ts';
export {
  isServed,
  type Mend,
  mayDrink,
  type Reason,
  reasonsAgainst,
  type TableLot,
} from '../gathering/mayDrink.ts';
export { jugFrom, outMin, putBack } from '../gathering/onTable.ts';
export { joinOf } from '../gathering/pieces.ts';
export { type SeasonDates, seasonDates } from '../gathering/seasons.ts';
export { OUT_MOST_MS, servingList } from '../gathering/serving.ts';
export {
  agreedOn,
  attendedJobs,
  basisOf,
  type MovedJob,
  movedJobs,
  nextJobs,
  timetableOf,
} from '../gathering/timetable.ts';
export { type FeastWay, withWay } from '../gathering/waysOut.ts';
export { nightsOf } from '../plan/firstStart.ts';
export { SLOT_MIN } from '../schedule/project.ts';
export { AGES, TABLE_JUG, THIRSTS } from '../tables/guests.ts';
